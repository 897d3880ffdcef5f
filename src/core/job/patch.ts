import { z } from "zod";
import { unkeepable } from "./plain-text";
import {
  type Collection,
  type Job,
  byId,
  collectionNames,
  collections,
  dwellingSchema,
  settingsSchema,
  supplySchema,
  workSchema,
} from "./model";

/** Heads of a job that are edited whole. */
const headSchemas = {
  name: z.string().trim().min(1).max(80),
  address: z.string().trim().max(200),
  dwelling: dwellingSchema,
  supply: supplySchema,
  settings: settingsSchema,
  work: workSchema,
} as const;
export type Head = keyof typeof headSchemas;
export const headNames = Object.keys(headSchemas) as Head[];

/** One change to a job: a thing or a head, as it was and as it is to be; null where it is not there. */
export const changeSchema = z.strictObject({
  collection: z.enum(["head", ...collectionNames] as [string, ...string[]]),
  id: z.string().min(1).max(40),
  before: z.unknown(),
  after: z.unknown(),
});
export interface Change {
  collection: Collection | "head";
  id: string;
  before: unknown;
  after: unknown;
}

/** Equality of plain data, whatever the order of fields. */
export function equal(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true;
  if (typeof a !== "object" || typeof b !== "object" || a === null || b === null) return false;
  if (Array.isArray(a) !== Array.isArray(b)) return false;
  const ka = Object.keys(a).filter((k) => (a as Record<string, unknown>)[k] !== undefined);
  const kb = Object.keys(b).filter((k) => (b as Record<string, unknown>)[k] !== undefined);
  return (
    ka.length === kb.length &&
    ka.every((k) => equal((a as Record<string, unknown>)[k], (b as Record<string, unknown>)[k]))
  );
}

/** What the job holds now where a change points: the thing, the head, or null. */
export function current(job: Job, c: Pick<Change, "collection" | "id">): unknown {
  if (c.collection === "head") return Object.hasOwn(headSchemas, c.id) ? job[c.id as Head] : null;
  return (job[c.collection] as { id: string }[]).find((x) => x.id === c.id) ?? null;
}

/**
 * A patch as a device sends it. The key is made on the device once, so that a patch sent twice (its answer was lost) is stored once.
 */
export const keyedPatchSchema = z.strictObject({
  key: z.string().regex(/^[A-Za-z0-9_-]{8,40}$/, "a key of 8 to 40 letters, digits, - or _"),
  patch: z.unknown(),
});
export interface KeyedPatch {
  key: string;
  patch: Change[];
}

/**
 * The changes of a patch that do not find what they expect. Each is judged against the job as the patch so far has left it, so that
 * several changes of one thing by one hand follow each other; one that finds its outcome there already is no clash.
 */
export function clashesOf(job: Job, patch: readonly Change[]): Pick<Change, "collection" | "id">[] {
  const left = new Map<string, unknown>();
  const out: Pick<Change, "collection" | "id">[] = [];
  for (const c of patch) {
    const at = `${c.collection} ${c.id}`;
    const now = left.has(at) ? left.get(at) : current(job, c);
    if (!equal(now, c.before) && !equal(now, c.after)) out.push({ collection: c.collection, id: c.id });
    left.set(at, c.after);
  }
  return out;
}

/** The changes that take a patch back. */
export const inverse = (patch: readonly Change[]): Change[] =>
  [...patch].reverse().map((c) => ({ ...c, before: c.after, after: c.before }));

/** Applies a patch without judging it to a job in canonical order; returns a new one in that order. Unknown heads are ignored. */
export function applyPatch(job: Job, patch: readonly Change[]): Job {
  const out: Record<string, unknown> = { ...job };
  const last = new Map<Collection, Map<string, unknown>>();
  for (const c of patch) {
    if (c.collection === "head") {
      if (Object.hasOwn(headSchemas, c.id)) out[c.id] = c.after;
      continue;
    }
    const list = last.get(c.collection) ?? new Map<string, unknown>();
    last.set(c.collection, list.set(c.id, c.after));
  }
  // Only the lists that a patch names are made anew; the others are the same lists.
  for (const [collection, changes] of last) {
    const rest = (job[collection] as { id: string }[]).filter((x) => !changes.has(x.id));
    const put = [...changes.values()].filter((x) => x !== null && x !== undefined) as { id: string }[];
    out[collection] = [...rest, ...put].sort(byId);
  }
  return out as unknown as Job;
}

/**
 * The changes that lead from one job to another, found by identity: what a patch left alone is the same thing in both. Both in
 * canonical order. `before` is left out of each, since it is for applying, not for judging.
 */
export function changesBetween(from: Job, to: Job): Change[] {
  const out: Change[] = [];
  for (const h of headNames)
    if (from[h] !== to[h]) out.push({ collection: "head", id: h, before: undefined, after: to[h] });
  for (const collection of collectionNames) {
    const [a, b] = [from[collection], to[collection]] as [{ id: string }[], { id: string }[]];
    if (a === b) continue;
    const was = new Map(a.map((x) => [x.id, x]));
    for (const x of b) {
      if (was.get(x.id) !== x) out.push({ collection, id: x.id, before: undefined, after: x });
      was.delete(x.id);
    }
    for (const id of was.keys()) out.push({ collection, id, before: undefined, after: null });
  }
  return out;
}

/** A change that cannot be accepted, with the field and words. */
export interface Refusal {
  path: string;
  message: string;
}

/** Checks the shape of every `after` against the model and fills defaults; returns the clean patch or the refusals. */
export function parsePatch(input: unknown): { patch: Change[] } | { refusals: Refusal[] } {
  const bad = unkeepable(input);
  if (bad) return { refusals: [bad] };
  const list = z.array(changeSchema).min(1).max(5000).safeParse(input);
  if (!list.success)
    return { refusals: list.error.issues.map((i) => ({ path: i.path.join("."), message: i.message })) };
  const refusals: Refusal[] = [];
  const patch: Change[] = [];
  for (const c of list.data as Change[]) {
    if (c.collection === "head") {
      const schema = Object.hasOwn(headSchemas, c.id) ? headSchemas[c.id as Head] : null;
      if (!schema) {
        refusals.push({ path: `head.${c.id}`, message: `${c.id} is not a part of a job` });
        continue;
      }
      const r = schema.safeParse(c.after);
      if (r.success) patch.push({ ...c, after: r.data });
      else refusals.push(...issues(`${c.id}`, r.error));
      continue;
    }
    if (c.after === null || c.after === undefined) {
      patch.push({ ...c, before: c.before ?? null, after: null });
      continue;
    }
    const r = collections[c.collection].safeParse(c.after);
    if (!r.success) refusals.push(...issues(`${c.collection}.${c.id}`, r.error));
    else if (r.data.id !== c.id)
      refusals.push({ path: `${c.collection}.${c.id}.id`, message: `is ${r.data.id}, should be ${c.id}` });
    else patch.push({ ...c, before: c.before ?? null, after: r.data });
  }
  return refusals.length ? { refusals } : { patch };
}

const issues = (at: string, error: z.ZodError): Refusal[] =>
  error.issues.map((i) => ({ path: [at, ...i.path].join("."), message: i.message }));
