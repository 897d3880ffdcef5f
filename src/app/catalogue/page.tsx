import type { Metadata } from "next";
import { standardCatalogue, withRows } from "../../core/rules/catalogue";
import { ownRows } from "../../data/catalogue";
import { database } from "../../data/client";
import { CataloguePage } from "../../ui/rules/catalogue-page";
import { importCatalogue, putCatalogueRow, resetCatalogue } from "../bench-actions";

export const dynamic = "force-dynamic";
export const metadata: Metadata = { title: "Catalogue" };

export default async function Page() {
  const own = await ownRows(await database());
  return (
    <CataloguePage
      catalogue={withRows(standardCatalogue, own)}
      own={own.map(({ table, row }) => ({ table, id: row.id }))}
      actions={{ importSheet: importCatalogue, put: putCatalogueRow, reset: resetCatalogue }}
    />
  );
}
