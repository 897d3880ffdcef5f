/** What the first file of a backup says it is. */
export const BACKUP_FORMAT = "lumbet-backup";
/** Editions of the format are only added to; older ones are read for ever. */
export const BACKUP_VERSION = 1;

/** A file of a backup as its list of contents has it. */
export interface Content {
  name: string;
  size: number;
  sha256: string;
}

/** What stands of a job beside its job file. Times ISO 8601, UTC; `deletedAt` null where it is on the list. */
export interface JobAbout {
  version: number;
  deletedAt: string | null;
  createdAt: string;
  updatedAt: string;
}

/** A backup that cannot be used, or was not written whole. The message is for people. */
export class BackupFault extends Error {}
