import { catalogueCsv } from "../../../../core/formats/catalogue-csv";
import { catalogueTables, isCatalogueTable } from "../../../../core/rules/catalogue";
import { catalogueOf } from "../../../../data/catalogue";
import { database } from "../../../../data/client";

/** `GET /api/catalogue/TABLE`: one table of the catalogue as CSV, as it holds here. */
export async function GET(_request: Request, { params }: { params: Promise<{ table: string }> }): Promise<Response> {
  const { table } = await params;
  if (!isCatalogueTable(table))
    return Response.json(
      {
        error: {
          code: "not-found",
          message: `table: got ${JSON.stringify(table)}; must be one of ${catalogueTables.join(", ")}`,
          path: "table",
        },
      },
      { status: 404 },
    );
  return new Response(`\uFEFF${catalogueCsv(await catalogueOf(await database()), table)}`, {
    headers: {
      "content-type": "text/csv; charset=utf-8",
      "content-disposition": `attachment; filename="${table}.csv"`,
    },
  });
}
