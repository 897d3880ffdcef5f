import { z } from "zod";
import { siteEntrySchema } from "../site-book/entries";
import { checkInvariants } from "./invariants";
import { type Job, canonical, idSchema, jobSchema } from "./model";
import type { Refusal } from "./patch";

export const FORMAT = "lumbet-job";
export const VERSION = 1;
/** Largest job file accepted, characters. */
export const FILE_MOST = 60_000_000;

/** A job file: the job and, beside it, what was done on site. */
export const jobFileSchema = z.strictObject({
  format: z.literal(FORMAT),
  version: z.literal(VERSION),
  job: jobSchema,
  siteBook: z.array(siteEntrySchema).max(100_000).default([]),
  /** Pictures that photos and traced drawings name: id, kind, the file as base64. */
  pictures: z
    .array(
      z.strictObject({
        id: idSchema,
        type: z.enum(["image/png", "image/jpeg", "image/webp"]),
        data: z.base64().max(12_000_000),
      }),
    )
    .max(1000)
    .default([]),
});
export type JobFile = z.infer<typeof jobFileSchema>;

export type ReadResult = { ok: true; file: JobFile } | { ok: false; refusals: Refusal[] };

const refuse = (path: string, message: string): ReadResult => ({ ok: false, refusals: [{ path, message }] });

/**
 * Reads a job file. Anything malformed, cut short, too large, of another version or at odds with itself is refused
 * with the field and words; nothing is guessed.
 */
export function readJobFile(text: string): ReadResult {
  if (text.length > FILE_MOST)
    return refuse("", `the file has ${text.length} characters; at most ${FILE_MOST} are read`);
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch (e) {
    return refuse("", `the file is not whole JSON: ${(e as Error).message}`);
  }
  if (typeof data !== "object" || data === null || Array.isArray(data))
    return refuse("", "the file holds no job: an object with format, version and job is needed");
  const head = data as { format?: unknown; version?: unknown };
  if (head.format !== FORMAT)
    return refuse("format", `is ${JSON.stringify(head.format) ?? "missing"}; a job file says "${FORMAT}"`);
  if (head.version !== VERSION)
    return refuse("version", `is ${JSON.stringify(head.version) ?? "missing"}; this edition reads version ${VERSION}`);
  const parsed = jobFileSchema.safeParse(data);
  if (!parsed.success)
    return {
      ok: false,
      refusals: parsed.error.issues.slice(0, 50).map((i) => ({ path: i.path.join("."), message: i.message })),
    };
  const job = canonical(parsed.data.job);
  const broken = checkInvariants(job);
  if (broken.length) return { ok: false, refusals: broken.slice(0, 50) };
  return { ok: true, file: { ...parsed.data, job } };
}

/** Ids of the pictures a job names. */
export const picturesNamed = (job: Job): Set<string> => new Set([...job.photos, ...job.traces].map((x) => x.picture));

/** Writes a job file: two-space JSON, lists in canonical order, so that equal jobs make equal files. */
export function writeJobFile(job: Job, siteBook: JobFile["siteBook"] = [], pictures: JobFile["pictures"] = []): string {
  return (
    JSON.stringify(
      { format: FORMAT, version: VERSION, job: canonical(job), siteBook, ...(pictures.length ? { pictures } : {}) },
      null,
      2,
    ) + "\n"
  );
}
