"use server";
import { nanoid } from "nanoid";
import { z } from "zod";
import { type JobFile, picturesNamed, readJobFile } from "../core/job/file";
import { blankJob, idSchema } from "../core/job/model";
import { heldRunSchema } from "../core/laid/held";
import { keyedPatchSchema } from "../core/job/patch";
import { refusedReleases } from "../core/record/closing";
import { unkeepable } from "../core/job/plain-text";
import { type Doing, refusalOfRole } from "../core/job/roles";
import { type SiteEntry, siteEntrySchema } from "../core/job/site-entry";
import { acknowledge } from "../data/acknowledge";
import { takeBuiltPoints } from "../data/built";
import { cleanPicture } from "../data/clean-picture";
import { database } from "../data/client";
import type { Db } from "../data/db";
import { ternCottage } from "../data/demo/tern-cottage";
import { defaultSchools } from "../data/defaults";
import { addJobOfFile } from "../data/job-files";
import { addJob, clearJob, editJob, editsSince, findJob, jobThere, listJobs, setDeleted } from "../data/jobs";
import { planOf } from "../data/plans";
import { refusalOfRoom } from "../data/room";
import { addPictures, picturesOf } from "../data/pictures";
import { type RefusedLine, addSiteEntries as storeEntries, siteBookOf } from "../data/site-book";
import { type Me, allowed, SIGNED_OUT } from "../server/who";
import type { EditAnswer, Told } from "../ui/job/actions";

/** Thin doors to the repositories: every argument is checked here, since anyone may call them. */

const version = z.number().int().min(0);

const sentPatches = z.array(keyedPatchSchema).min(1).max(1000);

export async function edit(jobId: string, base: number, patches: unknown, who: unknown): Promise<EditAnswer> {
  const { me, refusal } = await allowed("plan");
  // Signed out is no refusal of what was made: it waits on the device until somebody is signed in again.
  if (refusal !== null)
    return me ? { kind: "refused", refusals: [{ path: "sign-in", message: refusal }] } : { kind: "signed-out" };
  const full = await refusalOfRoom();
  if (full !== null) return { kind: "no-room", message: full };
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
  const db = await database();
  const answer = await editJob(
    db,
    id.data,
    from.data,
    sent.data,
    me.name ?? (typeof who === "string" ? who.replaceAll("\0", "") : ""),
  );
  if (answer.kind === "stored") await acknowledge(db, id.data);
  return answer;
}

/** Null where the job is off the list, or is none this server can know. */
export async function changesSince(jobId: string, since: number): ReturnType<typeof editsSince> {
  if ((await allowed("look")).refusal !== null) throw new Error(SIGNED_OUT);
  const id = idSchema.safeParse(jobId);
  const from = version.safeParse(since);
  return id.success && from.success ? editsSince(await database(), id.data, from.data) : null;
}

export async function siteBook(jobId: string): ReturnType<typeof siteBookOf> {
  if ((await allowed("look")).refusal !== null) throw new Error(SIGNED_OUT);
  const id = idSchema.safeParse(jobId);
  return id.success ? siteBookOf(await database(), id.data) : [];
}

/** Most lines of the record that are taken in one go. */
const LINES = 500;

/**
 * Adds lines to the record of a job, each judged by itself: one that cannot be kept is answered with its reason and holds up no
 * other.
 */
export async function addSiteEntries(jobId: string, entries: unknown) {
  const { me, refusal } = await allowed("record");
  if (refusal !== null) return { ok: false as const, message: refusal, signIn: me === null };
  const full = await refusalOfRoom();
  if (full !== null) return { ok: false as const, message: full };
  const id = idSchema.safeParse(jobId);
  if (!id.success) return { ok: false as const, message: "This job is not one this server can know." };
  if (!Array.isArray(entries) || !entries.length || entries.length > LINES)
    return { ok: false as const, message: `Lines of the record come 1 to ${LINES} at a time.` };
  const refused: RefusedLine[] = [];
  const good: SiteEntry[] = [];
  for (const e of entries) {
    const told = refusalOfLine(e);
    if (typeof told === "string") refused.push({ id: nameOfLine(e), message: told });
    // Whoever is signed in did it, whatever the device says.
    else good.push(me.name === null ? told.line : { ...told.line, by: me.name.slice(0, 60) });
  }
  const db = await database();
  if (!(await jobThere(db, id.data))) return { ok: false as const, message: "This job is no longer there." };
  const unfit = await unfitReleases(db, id.data, good, me);
  refused.push(...unfit);
  const not = new Set(unfit.map((r) => r.id));
  refused.push(
    ...(await storeEntries(
      db,
      id.data,
      good.filter((e) => !not.has(e.id)),
    )),
  );
  const bad = new Set(refused.map((r) => r.id));
  await takeBuiltPoints(
    db,
    id.data,
    good.filter((e) => !bad.has(e.id)),
  );
  await acknowledge(db, id.data);
  return { ok: true as const, siteBook: await siteBookOf(db, id.data), refused };
}

/** Releases that may not be: by somebody whose role does not release, or while something stands against closing. */
async function unfitReleases(db: Db, job: string, lines: readonly SiteEntry[], me: Me): Promise<RefusedLine[]> {
  const releases = lines.filter((e) => e.kind === "released" || e.kind === "reopened");
  if (!releases.length) return [];
  const role = refusalOfRole(me.role, "plan");
  if (role !== null) return releases.map((e) => ({ id: e.id, message: role }));
  const found = await findJob(db, job);
  if (!found) return [];
  const { plan, siteBook } = await planOf(db, found.job);
  // A line sent twice is one that is stored already: it is not judged again.
  const there = new Set(siteBook.map((e) => e.id));
  const fresh = lines.filter((e) => !there.has(e.id));
  return [...refusedReleases(found.job, plan, siteBook, fresh)].map(([id, open]) => ({
    id,
    message: open
      ? `not released: ${open} ${open === 1 ? "thing stands" : "things stand"} against closing it`
      : "not released: nothing of the plan lies there",
  }));
}

const nameOfLine = (e: unknown): string => {
  const id = typeof e === "object" && e !== null ? (e as { id?: unknown }).id : null;
  return typeof id === "string" ? id.slice(0, 60) : "";
};

/** The line as it is stored, or why it cannot be. */
function refusalOfLine(e: unknown): { line: SiteEntry } | string {
  const bad = unkeepable(e);
  if (bad) return `${bad.path} ${bad.message}`;
  const parsed = siteEntrySchema.safeParse(e);
  if (!parsed.success) return parsed.error.issues.map((i) => `${i.path.join(".")}: ${i.message}`).join("; ");
  if (parsed.data.held !== undefined && !heldRunSchema.safeParse(parsed.data.held).success)
    return "held: is no run as it was done";
  return { line: parsed.data };
}

const nameSchema = z.string().trim().min(1).max(80);
const GONE = { ok: false as const, message: "This job is no longer there." };

/** The refusal of an action whose asker may not do this; null where they may. */
async function refused(what: Doing): Promise<{ ok: false; message: string } | null> {
  const { refusal } = await allowed(what);
  // The bin may be cleared when there is no room: it makes some.
  const message = refusal ?? (what === "own" ? null : await refusalOfRoom());
  return message === null ? null : { ok: false, message };
}

export async function createJob(from: "blank" | "demo", name: string) {
  const no = await refused("plan");
  if (no) return no;
  const parsed = nameSchema.safeParse(name);
  if (!parsed.success || unkeepable(name))
    return { ok: false as const, message: `Name is “${String(name).slice(0, 90)}”; give it 1 to 80 characters.` };
  const id = nanoid(10);
  const db = await database();
  const made = from === "demo" ? { ...ternCottage(id), name: parsed.data } : blankJob(id, parsed.data);
  await addJob(db, { ...made, settings: { ...made.settings, schools: await defaultSchools(db) } });
  await acknowledge(db, id);
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

export async function duplicateJob(jobId: string) {
  const no = await refused("plan");
  if (no) return no;
  const id = idSchema.safeParse(jobId);
  if (!id.success) return GONE;
  const db = await database();
  const found = await findJob(db, id.data);
  if (!found) return GONE;
  const next = nanoid(10);
  const taken = new Set((await listJobs(db)).map((j) => j.name));
  const pictures = await picturesOf(db, id.data, picturesNamed(found.job));
  await addJob(db, { ...found.job, id: next, name: copyName(found.job.name, taken) }, (tx) =>
    addPictures(tx, next, pictures),
  );
  await acknowledge(db, next);
  return { ok: true as const, id: next };
}

/** Does something with a job by its id, where who asks may; told in words where there is none, or none this server can know. */
async function withJob(jobId: unknown, doing: Doing, what: (db: Db, id: string) => Promise<boolean>): Promise<Told> {
  const no = await refused(doing);
  if (no) return no;
  const id = idSchema.safeParse(jobId);
  return id.success && (await what(await database(), id.data)) ? { ok: true } : GONE;
}

/** Puts a job into the bin. */
export async function removeJob(id: string): Promise<Told> {
  return withJob(id, "plan", (db, job) => setDeleted(db, job, true));
}

export async function restoreJob(id: string): Promise<Told> {
  return withJob(id, "plan", (db, job) => setDeleted(db, job, false));
}

/** Clears a job of the bin for good. */
export async function clearBinned(id: string): Promise<Told> {
  return withJob(id, "own", async (db, job) => {
    const done = await clearJob(db, job);
    if (done) await acknowledge(db, job);
    return done;
  });
}

/** Reads a job file into a new job of its own; a refused file changes nothing. */
export async function importJob(text: string) {
  const no = await refused("plan");
  if (no) return { ok: false as const, refusals: [{ path: "sign-in", message: no.message }] };
  const read = readJobFile(typeof text === "string" ? text : "");
  if (!read.ok) return { ok: false as const, refusals: read.refusals };
  const pictures: JobFile["pictures"] = [];
  for (const [i, p] of read.file.pictures.entries()) {
    const clean = await cleanPicture(Buffer.from(p.data, "base64"));
    if ("message" in clean)
      return { ok: false as const, refusals: [{ path: `pictures.${i}`, message: `${p.id}: ${clean.message}` }] };
    pictures.push({ id: p.id, type: clean.type, data: clean.bytes.toString("base64") });
  }
  const id = nanoid(10);
  const db = await database();
  await addJobOfFile(db, id, { ...read.file, pictures });
  await acknowledge(db, id);
  return { ok: true as const, id };
}
