import { and, eq, sql } from "drizzle-orm";
import {
  type Catalogue,
  type CatalogueRow,
  type CatalogueTable,
  isCatalogueTable,
  standardCatalogue,
  withRows,
} from "../core/rules/catalogue";
import type { Db } from "./client";
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
