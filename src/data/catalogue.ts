import { type SQL, and, eq, sql } from "drizzle-orm";
import { equal } from "../core/job/patch";
import {
  type Catalogue,
  type CatalogueRow,
  type CatalogueTable,
  isCatalogueTable,
  standardCatalogue,
  withRows,
  rowNamed,
} from "../core/rules/catalogue";
import type { Db } from "./db";
import { rowsOf } from "./job-rows";
import * as schema from "./schema";

/** The user's own rows, from makers' sheets. */
export async function ownRows(db: Db): Promise<CatalogueRow[]> {
  const rows = await db
    .select()
    .from(schema.catalogueRows)
    .orderBy(schema.catalogueRows.table, schema.catalogueRows.id);
  return rows.flatMap((r) =>
    isCatalogueTable(r.table) ? [{ table: r.table, row: r.row as CatalogueRow["row"] }] : [],
  );
}

/** The user's own rows as one column of a larger statement. */
export const ownRowsColumn = sql`(select coalesce(json_agg(json_build_object('table', c."table", 'row', c.row) order by c."table", c.id), '[]'::json) from catalogue_rows c)`;

/** The catalogue out of that column. */
export const catalogueFrom = (own: unknown): Catalogue =>
  withRows(
    standardCatalogue,
    (own as { table: string; row: CatalogueRow["row"] }[]).flatMap((r) =>
      isCatalogueTable(r.table) ? [{ table: r.table, row: r.row }] : [],
    ),
  );

/** The catalogue that holds here: the typical values with the user's own in their places. */
export async function catalogueOf(db: Db): Promise<Catalogue> {
  return withRows(standardCatalogue, await ownRows(db));
}

/** Stores rows, each in the place of the one with its id; all of them or none. The caller has checked them. */
export async function putRows(db: Db, rows: readonly CatalogueRow[]): Promise<void> {
  await db.transaction(async (tx) => {
    for (const { table, row } of rows)
      await tx
        .insert(schema.catalogueRows)
        .values({ table, id: row.id, row })
        .onConflictDoUpdate({
          target: [schema.catalogueRows.table, schema.catalogueRows.id],
          set: { row, at: new Date() },
        });
  });
}

/** Names of jobs that name a row of the catalogue; deleted ones too, since they can be put back. */
export async function jobsNaming(db: Db, table: CatalogueTable, id: string): Promise<string[]> {
  const where: Partial<Record<CatalogueTable, SQL>> = {
    cables: sql`exists (select 1 from circuits c where c.job_id = j.id and c.cable = ${id})
      or exists (select 1 from drums d where d.job_id = j.id and d.cable = ${id})
      or exists (select 1 from found_cables f where f.job_id = j.id and f.cable = ${id})
      or exists (select 1 from found_trunkings t where t.job_id = j.id and t.holds @> ${JSON.stringify([{ cable: id }])}::text::jsonb)`,
    conduits: sql`exists (select 1 from sections s where s.job_id = j.id and s.kind like 'conduit%' and s.size = ${id})`,
    trunkings: sql`exists (select 1 from found_trunkings t where t.job_id = j.id and t.size = ${id})
      or exists (select 1 from sections s where s.job_id = j.id and s.kind like '%trunking%' and s.size = ${id})`,
    layers: sql`exists (select 1 from sections s where s.job_id = j.id and s.kind || '-' || s.size = ${id})`,
  };
  const cond = where[table];
  if (!cond) return [];
  return rowsOf<{ name: string }>(await db.execute(sql`select j.name from jobs j where ${cond} order by j.name`)).map(
    (r) => r.name,
  );
}

/**
 * Puts rows that came with a job file beside those that are here. A row that is here with other values stays; the file's row then
 * gets a free id, and the job that brought it is told by `renamed`.
 */
export async function addRowsOfFile(
  db: Db,
  rows: readonly CatalogueRow[],
): Promise<{ table: CatalogueTable; from: string; to: string }[]> {
  const own = await ownRows(db);
  const here = (table: CatalogueTable, id: string): object | undefined =>
    own.find((r) => r.table === table && r.row.id === id)?.row;
  const renamed: { table: CatalogueTable; from: string; to: string }[] = [];
  const put: CatalogueRow[] = [];
  for (const r of rows) {
    const typical = (standardCatalogue[r.table] as readonly { id: string }[]).find((x) => x.id === r.row.id);
    const there = here(r.table, r.row.id) ?? typical;
    if (there && equal(there, r.row)) continue;
    if (!there) {
      put.push(r);
      continue;
    }
    let to = "";
    for (let n = 2; to === ""; n++) {
      const next = `${r.row.id.slice(0, 36)}-${n}`;
      const taken =
        here(r.table, next) ?? (standardCatalogue[r.table] as readonly { id: string }[]).find((x) => x.id === next);
      if (!taken || equal(rowNamed({ table: r.table, row: { ...taken, id: next } }, r.row.id), r.row)) to = next;
    }
    renamed.push({ table: r.table, from: r.row.id, to });
    put.push({ table: r.table, row: rowNamed(r, to) });
  }
  await putRows(db, put);
  return renamed;
}

/** Puts the typical value back, of one row or of a whole table. */
export async function dropRows(db: Db, table: CatalogueTable, id?: string): Promise<void> {
  await db
    .delete(schema.catalogueRows)
    .where(
      id === undefined
        ? eq(schema.catalogueRows.table, table)
        : and(eq(schema.catalogueRows.table, table), eq(schema.catalogueRows.id, id)),
    );
}
