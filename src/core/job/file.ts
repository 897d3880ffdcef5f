import { unkeepable } from "./plain-text";
import { z } from "zod";
import { siteEntrySchema } from "./site-entry";
import {
  type CatalogueRow,
  type CatalogueTable,
  catalogueTables,
  rowSchemas,
  standardCatalogue,
  withRows,
} from "../rules/catalogue";
import { checkInvariants, pointsOffWall } from "./invariants";
import { sizeRow } from "../rules/sections";
import { VERSION, upgraded } from "./upgrades";
import { type Job, canonical, idSchema, jobSchema } from "./model";
import type { Refusal } from "./patch";

export const FORMAT = "lumbet-job";
/** Largest job file accepted, characters. */
export const FILE_MOST = 60_000_000;

/** One row of the user's own catalogue: which table it belongs to, checked by that table's own schema. */
const ownRowSchema = z
  .strictObject({ table: z.enum(catalogueTables as [CatalogueTable, ...CatalogueTable[]]), row: z.unknown() })
  .transform((x, ctx): CatalogueRow => {
    const r = rowSchemas[x.table].safeParse(x.row);
    if (r.success) return { table: x.table, row: r.data as CatalogueRow["row"] };
    for (const i of r.error.issues) ctx.addIssue({ code: "custom", message: i.message, path: ["row", ...i.path] });
    return z.NEVER;
  });

/** A job file: the job and, beside it, what was done on site, and the user's own catalogue rows that the job is worked out with. */
export const jobFileSchema = z.strictObject({
  format: z.literal(FORMAT),
  version: z.literal(VERSION),
  job: jobSchema,
  siteBook: z.array(siteEntrySchema).max(100_000).default([]),
  /** Rows of the user's own catalogue that the job names, and those that stand in place of the typical ones. */
  catalogue: z.array(ownRowSchema).max(2000).default([]),
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

/** Files that are offered by mistake, by how they begin. */
const otherKinds: readonly [RegExp, string][] = [
  [/^%PDF/, "a PDF"],
  [/^PK/, "a spreadsheet or an archive"],
  [/^\s*</, "a web page or a drawing"],
  [/^.?(PNG|JFIF|GIF8|.{0,8}WEBP)/s, "a picture"],
  [/^\s*0\s*\r?\n\s*SECTION/, "a DXF drawing: bring it in under Survey, Drawings"],
];

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
    const other = otherKinds.find(([begins]) => begins.test(text));
    if (other)
      return refuse("", `the file is ${other[1]}, and no job file; a job file ends in .lumbet.json or .lumbet.tar.gz`);
    return refuse("", `the file is not whole JSON: ${(e as Error).message}`);
  }
  if (typeof data !== "object" || data === null || Array.isArray(data))
    return refuse("", "the file holds no job: an object with format, version and job is needed");
  const head = data as { format?: unknown; version?: unknown };
  if (head.format !== FORMAT)
    return refuse("format", `is ${JSON.stringify(head.format) ?? "missing"}; a job file says "${FORMAT}"`);
  const newest = upgraded(data as Record<string, unknown>);
  if (!newest)
    return refuse(
      "version",
      `is ${JSON.stringify(head.version) ?? "missing"}; this edition reads versions 1 to ${VERSION}`,
    );
  const bad = unkeepable(newest);
  if (bad) return refuse(bad.path, bad.message);
  const parsed = jobFileSchema.safeParse(newest);
  if (!parsed.success)
    return {
      ok: false,
      refusals: parsed.error.issues.slice(0, 50).map((i) => ({ path: i.path.join("."), message: i.message })),
    };
  const job = canonical(parsed.data.job);
  const broken = [...checkInvariants(job, withRows(standardCatalogue, parsed.data.catalogue)), ...pointsOffWall(job)];
  if (broken.length) return { ok: false, refusals: broken.slice(0, 50) };
  return { ok: true, file: { ...parsed.data, job } };
}

/** Ids of the pictures a job names. */
export const picturesNamed = (job: Job): Set<string> => new Set([...job.photos, ...job.traces].map((x) => x.picture));

/** The user's own rows that a job file carries: those that the job names, and those that replace a typical row. */
export function rowsForJob(job: Job, own: readonly CatalogueRow[]): CatalogueRow[] {
  const named = namedInCatalogue(job);
  return own.filter(
    ({ table, row }) =>
      named.has(`${table} ${row.id}`) ||
      (standardCatalogue[table] as readonly { id: string }[]).some((x) => x.id === row.id),
  );
}

/** The catalogue rows that a job names, as "table id". */
export const namedInCatalogue = (job: Job): Set<string> =>
  new Set([
    ...job.circuits.flatMap((c) => [c.cable, ...c.runCables.map((r) => r.cable)].map((x) => `cables ${x}`)),
    ...job.drums.map((d) => `cables ${d.cable}`),
    ...job.foundCables.flatMap((c) => (c.cable ? [`cables ${c.cable}`] : [])),
    ...job.sections.flatMap((s) => [
      ...s.holds.map((x) => `cables ${x.cable}`),
      ...[sizeRow(s.kind, s.size)].flatMap((r) => (r ? [`${r.table} ${r.id}`] : [])),
    ]),
    ...job.foundTrunkings.flatMap((t) => [`trunkings ${t.size}`, ...t.holds.map((h) => `cables ${h.cable}`)]),
  ]);

/** The size of a section once a row is called otherwise; of a kind with sizes of its own what follows the kind in the row's id. */
function renamedSize(s: Job["sections"][number], table: CatalogueTable, from: string, to: string): string {
  const row = sizeRow(s.kind, s.size);
  if (row?.table !== table || row.id !== from) return s.size;
  return table === "layers" && to.startsWith(`${s.kind}-`) ? to.slice(s.kind.length + 1) : to;
}

/** The job with a catalogue row it names called otherwise. */
export function renamedInCatalogue(job: Job, table: CatalogueTable, from: string, to: string): Job {
  const cable = (x: string): string => (table === "cables" && x === from ? to : x);
  return {
    ...job,
    circuits: job.circuits.map((c) => ({
      ...c,
      cable: cable(c.cable),
      runCables: c.runCables.map((r) => ({ ...r, cable: cable(r.cable) })),
    })),
    drums: job.drums.map((d) => ({ ...d, cable: cable(d.cable) })),
    foundCables: job.foundCables.map((c) => ({ ...c, cable: cable(c.cable) })),
    sections: job.sections.map((s) => ({
      ...s,
      size: renamedSize(s, table, from, to),
      holds: s.holds.map((x) => ({ ...x, cable: cable(x.cable) })),
    })),
    foundTrunkings: job.foundTrunkings.map((t) => ({
      ...t,
      size: table === "trunkings" && t.size === from ? to : t.size,
      holds: t.holds.map((h) => ({ ...h, cable: cable(h.cable) })),
    })),
  };
}

/** Writes a job file: two-space JSON, lists in canonical order, so that equal jobs make equal files. */
export function writeJobFile(
  job: Job,
  siteBook: JobFile["siteBook"] = [],
  pictures: JobFile["pictures"] = [],
  catalogue: JobFile["catalogue"] = [],
): string {
  const file = {
    format: FORMAT,
    version: VERSION,
    job: canonical(job),
    siteBook,
    ...(catalogue.length ? { catalogue } : {}),
    ...(pictures.length ? { pictures } : {}),
  };
  return JSON.stringify(file, null, 2) + "\n";
}
