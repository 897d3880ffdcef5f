"use server";
import { nanoid } from "nanoid";
import { z } from "zod";
import { picturesNamed, readJobFile } from "../core/job/file";
import { blankJob, idSchema } from "../core/job/model";
import { heldRunSchema } from "../core/laid/held";
import { keyedPatchSchema } from "../core/job/patch";
import { siteEntrySchema } from "../core/job/site-entry";
import { database } from "../data/client";
import { ternCottage } from "../data/demo/tern-cottage";
import { defaultSchools } from "../data/defaults";
import { addJobOfFile } from "../data/job-files";
import { addJob, editJob, editsSince, findJob, listJobs, setDeleted } from "../data/jobs";
import { addPictures, picturesOf } from "../data/pictures";
import { addSiteEntries as storeEntries, siteBookOf } from "../data/site-book";
import type { EditAnswer } from "../ui/job/actions";

/** Thin doors to the repositories: every argument is checked here, since anyone may call them. */

const version = z.number().int().min(0);

const sentPatches = z.array(keyedPatchSchema).min(1).max(1000);

export async function edit(jobId: string, base: number, patches: unknown, who: unknown): Promise<EditAnswer> {
  const id = idSchema.safeParse(jobId);
  const from = version.safeParse(base);
  if (!id.success || !from.success)
    return {
      kind: "refused",
      refusals: [{ path: id.success ? "version" : "job", message: "is not one this server can know" }],
    };
  const sent = sentPatches.safeParse(patches);
  if (!sent.success)
    return {
      kind: "refused",
      refusals: sent.error.issues.slice(0, 5).map((i) => ({ path: i.path.join("."), message: i.message })),
    };
  return editJob(await database(), id.data, from.data, sent.data, typeof who === "string" ? who : "");
}

export async function changesSince(jobId: string, since: number): ReturnType<typeof editsSince> {
  return editsSince(await database(), idSchema.parse(jobId), version.parse(since));
}

export async function siteBook(jobId: string): ReturnType<typeof siteBookOf> {
  return siteBookOf(await database(), idSchema.parse(jobId));
}

export async function addSiteEntries(jobId: string, entries: unknown) {
  const parsed = z.array(siteEntrySchema).min(1).max(500).safeParse(entries);
  if (!parsed.success)
    return {
      ok: false as const,
      message: parsed.error.issues.map((i) => `${i.path.join(".")}: ${i.message}`).join("; "),
    };
  const bad = parsed.data.findIndex((e) => e.held !== undefined && !heldRunSchema.safeParse(e.held).success);
  if (bad >= 0) return { ok: false as const, message: `${bad}.held: is no run as it was done` };
  const db = await database();
  if (!(await findJob(db, idSchema.parse(jobId))))
    return { ok: false as const, message: "This job is no longer there." };
  await storeEntries(db, jobId, parsed.data);
  return { ok: true as const, siteBook: await siteBookOf(db, jobId) };
}

const nameSchema = z.string().trim().min(1).max(80);

export async function createJob(from: "blank" | "demo", name: string) {
  const parsed = nameSchema.safeParse(name);
  if (!parsed.success)
    return { ok: false as const, message: `Name is “${String(name).slice(0, 90)}”; give it 1 to 80 characters.` };
  const id = nanoid(10);
  const db = await database();
  const made = from === "demo" ? { ...ternCottage(id), name: parsed.data } : blankJob(id, parsed.data);
  await addJob(db, { ...made, settings: { ...made.settings, schools: await defaultSchools(db) } });
  return { ok: true as const, id };
}

/** Name for a copy: "(copy)", then "(copy 2)" … within the model's 80 characters. */
const copyName = (name: string, taken: ReadonlySet<string>): string => {
  for (let n = 1; ; n++) {
    const tail = n === 1 ? " (copy)" : ` (copy ${n})`;
    const next = name.slice(0, 80 - tail.length) + tail;
    if (!taken.has(next)) return next;
  }
};

export async function duplicateJob(id: string) {
  const db = await database();
  const found = await findJob(db, idSchema.parse(id));
  if (!found) return { ok: false as const, message: "This job is no longer there." };
  const next = nanoid(10);
  const taken = new Set((await listJobs(db)).map((j) => j.name));
  const pictures = await picturesOf(db, id, picturesNamed(found.job));
  await addJob(db, { ...found.job, id: next, name: copyName(found.job.name, taken) }, (tx) =>
    addPictures(tx, next, pictures),
  );
  return { ok: true as const, id: next };
}

export async function removeJob(id: string): Promise<boolean> {
  return setDeleted(await database(), idSchema.parse(id), true);
}

export async function restoreJob(id: string): Promise<boolean> {
  return setDeleted(await database(), idSchema.parse(id), false);
}

/** Reads a job file into a new job of its own; a refused file changes nothing. */
export async function importJob(text: string) {
  const read = readJobFile(typeof text === "string" ? text : "");
  if (!read.ok) return { ok: false as const, refusals: read.refusals };
  const id = nanoid(10);
  await addJobOfFile(await database(), id, read.file);
  return { ok: true as const, id };
}
