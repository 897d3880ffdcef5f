"use server";
import { nanoid } from "nanoid";
import { z } from "zod";
import { answer, sheetOf } from "../core/calculators/calculator";
import { calculatorNamed } from "../core/calculators/registry";
import { readCatalogueCsv } from "../core/formats/catalogue-csv";
import { idSchema } from "../core/job/model";
import { type CatalogueRow, isCatalogueTable, rowSchemas, standardCatalogue } from "../core/rules/catalogue";
import { type SchoolKey, schoolsSchema } from "../core/rules/schools";
import { catalogueOf, dropRows, jobsNaming, ownRows, putRows } from "../data/catalogue";
import { database } from "../data/client";
import { defaultSchools, setDefaultSchools } from "../data/defaults";
import { editJob, findJob, listJobs } from "../data/jobs";
import type { KeptAnswer } from "../core/calculators/kept-answer";
import { allowed } from "../server/who";
import { refusalOfRoom } from "../data/room";
import { dropAnswer, keepAnswer, keptAnswers } from "../data/kept-answers";

/** Doors to the Bench's keepings, the catalogue and the schools: every argument is checked here, since anyone may call them. */

type Told = { ok: true } | { ok: false; message: string };

const keep = z.strictObject({
  name: z
    .string()
    .trim()
    .min(1, "Name is empty; give it 1 to 80 characters.")
    .max(80, "Name is too long; at most 80 characters fit."),
  calculator: z.string().max(60),
  input: z.unknown(),
  jobId: idSchema.nullable(),
});

export async function keepBenchAnswer(
  what: unknown,
): Promise<{ ok: true; kept: KeptAnswer[] } | { ok: false; message: string }> {
  const refusal = (await allowed("record")).refusal ?? (await refusalOfRoom());
  if (refusal !== null) return { ok: false, message: refusal };
  const parsed = keep.safeParse(what);
  if (!parsed.success) return { ok: false, message: parsed.error.issues[0]!.message };
  const { name, calculator, input, jobId } = parsed.data;
  const c = calculatorNamed(calculator);
  if (!c) return { ok: false, message: `Calculator is “${calculator.slice(0, 60)}”; there is none of that name.` };
  const db = await database();
  const catalogue = await catalogueOf(db);
  const a = answer(c, input, catalogue);
  if (!a.ok) return { ok: false, message: a.error.message };
  if (JSON.stringify(input).length > 200_000)
    return { ok: false, message: "The input is larger than 200 000 characters; keep it as a file of your own." };
  if (jobId !== null && !(await findJob(db, jobId)))
    return { ok: false, message: "That job is no longer there; keep the answer without it, or choose another." };
  await keepAnswer(db, {
    id: nanoid(10),
    name,
    calculator,
    input,
    headline: sheetOf(c, input, catalogue)?.headline ?? "",
    jobId,
  });
  return { ok: true, kept: await keptAnswers(db) };
}

export async function dropBenchAnswer(
  id: string,
): Promise<{ ok: true; kept: KeptAnswer[] } | { ok: false; message: string }> {
  const { refusal } = await allowed("record");
  if (refusal !== null) return { ok: false, message: refusal };
  const db = await database();
  const one = idSchema.safeParse(id);
  if (one.success) await dropAnswer(db, one.data);
  return { ok: true, kept: await keptAnswers(db) };
}

export async function importCatalogue(
  table: string,
  text: string,
): Promise<{ ok: true; rows: number } | { ok: false; refusals: { path: string; message: string }[] }> {
  const { refusal } = await allowed("plan");
  if (refusal !== null) return { ok: false, refusals: [{ path: "sign-in", message: refusal }] };
  if (!isCatalogueTable(table))
    return { ok: false, refusals: [{ path: "table", message: "is none of the catalogue" }] };
  if (typeof text !== "string" || text.length > 1_000_000)
    return { ok: false, refusals: [{ path: "", message: "the sheet has more than 1 000 000 characters" }] };
  const read = readCatalogueCsv(table, text);
  if (!read.ok) return read;
  await putRows(await database(), read.rows);
  return { ok: true, rows: read.rows.length };
}

export async function putCatalogueRow(table: string, row: unknown): Promise<Told> {
  const { refusal } = await allowed("plan");
  if (refusal !== null) return { ok: false, message: refusal };
  if (!isCatalogueTable(table)) return { ok: false, message: "There is no such table." };
  const parsed = rowSchemas[table].safeParse(row);
  if (!parsed.success) {
    const issue = parsed.error.issues[0]!;
    const field = String(issue.path[0] ?? "row");
    return {
      ok: false,
      message: `${field} is ${JSON.stringify((row as Record<string, unknown> | null)?.[field]) ?? "nothing"}: ${issue.message}`,
    };
  }
  await putRows(await database(), [{ table, row: parsed.data as CatalogueRow["row"] }]);
  return { ok: true };
}

export async function resetCatalogue(table: string, id?: string): Promise<Told> {
  const { refusal } = await allowed("plan");
  if (refusal !== null) return { ok: false, message: refusal };
  if (!isCatalogueTable(table)) return { ok: false, message: "There is no such table." };
  const one = z.string().max(60).optional().safeParse(id);
  if (!one.success) return { ok: false, message: "There is no such row." };
  const db = await database();
  const own = (await ownRows(db)).filter((r) => r.table === table && (one.data === undefined || r.row.id === one.data));
  for (const { row } of own) {
    // Where there is a typical row of that id, taking the own one away puts the typical one back: nothing is left without.
    if ((standardCatalogue[table] as readonly { id: string }[]).some((x) => x.id === row.id)) continue;
    const named = await jobsNaming(db, table, row.id);
    if (named.length)
      return {
        ok: false,
        message: `${row.id} is used in ${named.join(", ")}; choose another there first, then take it out of the catalogue.`,
      };
  }
  await dropRows(db, table, one.data);
  return { ok: true };
}

const schoolKey = z
  .string()
  .refine((k): k is SchoolKey => Object.hasOwn(schoolsSchema.shape, k), "is no question of the schools");

/** Chooses a school for one job, or for all jobs there are and all to come. */
export async function chooseSchool(
  jobId: string | null,
  key: string,
  value: string,
): Promise<{ ok: true; jobs: number } | { ok: false; message: string }> {
  const { me, refusal } = await allowed("plan");
  if (refusal !== null) return { ok: false, message: refusal };
  const k = schoolKey.safeParse(key);
  const v = k.success ? schoolsSchema.shape[k.data].safeParse(value) : null;
  if (!k.success || !v?.success)
    return {
      ok: false,
      message: `School is “${String(value).slice(0, 40)}”; it must be one of the two of its question.`,
    };
  const db = await database();
  const ids = jobId === null ? (await listJobs(db)).map((j) => j.id) : [idSchema.parse(jobId)];
  if (jobId === null) await setDefaultSchools(db, { ...(await defaultSchools(db)), [k.data]: v.data });
  let jobs = 0;
  for (const id of ids) {
    const found = await findJob(db, id);
    if (!found) return { ok: false, message: "This job is no longer there." };
    const { settings } = found.job;
    if (settings.schools[k.data] === v.data) continue;
    const after = { ...settings, schools: { ...settings.schools, [k.data]: v.data } };
    const patch = [{ collection: "head", id: "settings", before: settings, after }];
    const done = await editJob(db, id, found.version, [{ key: nanoid(12), patch }], me.name ?? "");
    if (done.kind !== "stored")
      return { ok: false, message: `${found.job.name} could not be changed; open it and try there.` };
    jobs++;
  }
  return { ok: true, jobs };
}
