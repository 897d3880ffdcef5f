import type { Change, KeyedPatch } from "../../core/job/patch";
import type { Job } from "../../core/job/model";
import type { SiteEntry } from "../../core/job/site-entry";

/** Done, or why not in words. */
export type Told = { ok: true } | { ok: false; message: string };

/** What was stored after a version: the patches, or the whole job where they are no longer kept one by one. */
export type Since =
  { kind: "patches"; patches: { version: number; patch: Change[] }[] } | { kind: "whole"; job: Job; version: number };

/** What the interface asks of the server. The pages hand these in; the interface knows no other way to the data. */
export interface JobActions {
  edit: (jobId: string, base: number, patches: KeyedPatch[], who: string) => Promise<EditAnswer>;
  /** Null when the job is off the list. */
  changesSince: (jobId: string, version: number) => Promise<Since | null>;
  siteBook: (jobId: string) => Promise<SiteEntry[]>;
  /** Puts a job that was deleted back on the list. */
  restore: (id: string) => Promise<Told>;
}

export type EditAnswer =
  | { kind: "stored"; version: number; missed: Since }
  | { kind: "conflict"; version: number; job: Job; clashes: Pick<Change, "collection" | "id">[] }
  | { kind: "refused"; refusals: { path: string; message: string }[] }
  | { kind: "gone" }
  /** Nobody is signed in on this device any more: what was made waits. */
  | { kind: "signed-out" }
  /** The server's disk is full: what was made waits. */
  | { kind: "no-room"; message: string };

export interface JobsActions {
  create: (from: "blank" | "demo", name: string) => Promise<{ ok: true; id: string } | { ok: false; message: string }>;
  duplicate: (id: string) => Promise<{ ok: true; id: string } | { ok: false; message: string }>;
  remove: (id: string) => Promise<Told>;
  restore: (id: string) => Promise<Told>;
  /** Clears a job of the bin for good. */
  clear: (id: string) => Promise<Told>;
  importFile: (
    text: string,
  ) => Promise<{ ok: true; id: string } | { ok: false; refusals: { path: string; message: string }[] }>;
}
