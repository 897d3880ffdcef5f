import { type SQL, getTableColumns, getTableName, sql } from "drizzle-orm";
import type { PgTable } from "drizzle-orm/pg-core";
import type { Collection, Job } from "../core/job/model";
import { canonical, collectionNames, jobSchema } from "../core/job/model";
import { type Head, headNames } from "../core/job/patch";
import type { Db } from "./db";
import * as schema from "./schema";

/** Table of each collection. */
export const tables = {
  storeys: schema.storeys,
  rooms: schema.rooms,
  walls: schema.walls,
  openings: schema.openings,
  fixtures: schema.fixtures,
  decks: schema.decks,
  points: schema.points,
  circuits: schema.circuits,
  pins: schema.pins,
  drums: schema.drums,
  foundCables: schema.foundCables,
  foundTrunkings: schema.foundTrunkings,
  sections: schema.sections,
  forbidden: schema.forbidden,
  photos: schema.photos,
  traces: schema.traces,
  stock: schema.stock,
  packs: schema.packs,
  grounds: schema.grounds,
  posts: schema.posts,
  outsideWays: schema.outsideWays,
  lightRows: schema.lightRows,
  extensions: schema.extensions,
} as const satisfies Record<Collection, PgTable>;

/** Columns of a table as the model names them, with their names in the database; without the job. */
const columnsOf = (table: PgTable): [model: string, column: string][] =>
  Object.entries(getTableColumns(table)).flatMap(([model, c]) =>
    model === "jobId" ? [] : [[model, c.name] as [string, string]],
  );

/** All rows of a table for a job as one JSON list, named as the model names them. */
function listed(table: PgTable, id: string): SQL {
  const pairs = columnsOf(table).map(
    ([model, column]) => sql`${sql.raw(`'${model}'`)}, ${sql.identifier("x")}.${sql.identifier(column)}`,
  );
  return sql`(select coalesce(json_agg(json_build_object(${sql.join(pairs, sql`, `)})), '[]'::json) from ${table} x where x.job_id = ${id})`;
}

/** Rows that a statement answered, whichever driver runs below. */
export const rowsOf = <T>(answer: unknown): T[] =>
  (Array.isArray(answer) ? answer : (answer as { rows: T[] }).rows) as T[];

interface JobRow {
  name: string;
  address: string;
  dwelling: unknown;
  supply: unknown;
  settings: unknown;
  work: unknown;
  version: number;
  [list: string]: unknown;
}

/** The columns that make a job, and whatever else is asked for beside them, in one statement. */
export function jobColumns(id: string): SQL {
  const lists = collectionNames.map((c) => sql`${listed(tables[c], id)} as ${sql.identifier(c)}`);
  return sql.join([sql`j.name, j.address, j.dwelling, j.supply, j.settings, j.work, j.version`, ...lists], sql`, `);
}

/** The model's job out of a row of `jobColumns`, in canonical order. */
export function jobOfRow(id: string, row: JobRow): Job {
  const lists = Object.fromEntries(collectionNames.map((c) => [c, row[c]]));
  const { name, address, dwelling, supply, settings, work } = row;
  return canonical(jobSchema.parse({ id, name, address, dwelling, supply, settings, work, ...lists }));
}

/** Reads a job with one statement. Null when there is no such job. */
export async function readJob(db: Db, id: string): Promise<{ job: Job; version: number } | null> {
  const [row] = rowsOf<JobRow>(await db.execute(sql`select ${jobColumns(id)} from jobs j where j.id = ${id}`));
  return row ? { job: jobOfRow(id, row), version: row.version } : null;
}

/** Things of one list to be put in place of what is there, and ids to be taken out. */
export interface RowChanges {
  put: { id: string }[];
  drop: string[];
}

/** Most things that one statement stores: a bound on the size of what is sent at once. */
const AT_ONCE = 2000;

/**
 * Stores changes to lists and heads of a job, and `also` (a statement of its own, such as the line of the edit), with as few
 * statements as their size allows: one for all ordinary edits.
 */
export async function writeRows(
  db: Db,
  jobId: string,
  changes: ReadonlyMap<Collection, RowChanges>,
  heads: Partial<Record<Head, unknown>>,
  version: number,
  also: SQL | null,
): Promise<void> {
  const parts: SQL[] = [];
  let held = 0;
  const flush = async (last: SQL): Promise<void> => {
    const named = parts.map((p, i) => sql`${sql.identifier(`w${i}`)} as (${p} returning 1)`);
    await db.execute(named.length ? sql`with ${sql.join(named, sql`, `)} ${last}` : last);
    parts.length = 0;
    held = 0;
  };
  for (const [c, { put, drop }] of changes) {
    const table = tables[c];
    const columns = [["jobId", "job_id"] as [string, string], ...columnsOf(table)];
    const names = sql.join(
      columns.map(([, n]) => sql.identifier(n)),
      sql`, `,
    );
    const fresh = sql.join(
      columns.slice(2).map(([, n]) => sql`${sql.identifier(n)} = excluded.${sql.identifier(n)}`),
      sql`, `,
    );
    if (drop.length)
      parts.push(
        sql`delete from ${table} where job_id = ${jobId} and id in (select json_array_elements_text(${JSON.stringify(drop)}::text::json))`,
      );
    for (let i = 0; i < put.length; i += AT_ONCE) {
      const some = put.slice(i, i + AT_ONCE);
      if (held + some.length > AT_ONCE && parts.length) await flush(sql`select 1`);
      held += some.length;
      const rows = some.map((x) =>
        Object.fromEntries(
          columns.map(([model, n]) => [n, model === "jobId" ? jobId : (x as Record<string, unknown>)[model]]),
        ),
      );
      parts.push(
        sql`insert into ${table} (${names}) select ${names} from json_populate_recordset(null::${sql.identifier(getTableName(table))}, ${JSON.stringify(rows)}::text::json) on conflict (job_id, id) do update set ${fresh}`,
      );
    }
  }
  if (also) parts.push(also);
  const set = headNames.flatMap((h) =>
    h in heads
      ? [
          sql`${sql.identifier(h)} = ${typeof heads[h] === "string" ? heads[h] : sql`${JSON.stringify(heads[h])}::text::jsonb`}`,
        ]
      : [],
  );
  await flush(
    sql`update jobs set ${sql.join([sql`version = ${version}`, sql`updated_at = now()`, ...set], sql`, `)} where id = ${jobId}`,
  );
}

/** Writes a whole new job; its id must not be taken. The caller holds the transaction. */
export async function writeJob(db: Db, job: Job): Promise<void> {
  const { id, name, address, dwelling, supply, settings, work } = job;
  await db.insert(schema.jobs).values({ id, name, address, dwelling, supply, settings, work });
  const rows = new Map<Collection, RowChanges>();
  for (const c of collectionNames) if (job[c].length) rows.set(c, { put: job[c], drop: [] });
  await writeRows(db, id, rows, {}, 1, null);
}
