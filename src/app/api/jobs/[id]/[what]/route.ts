import { boringCsv, cutListCsv, takeOffCsv } from "../../../../../core/formats/plan-csv";
import { writeJobFile } from "../../../../../core/job/file";
import { makePlan } from "../../../../../core/plan/plan";
import { catalogueOf } from "../../../../../data/catalogue";
import { database } from "../../../../../data/client";
import { findJob } from "../../../../../data/jobs";
import { siteBookOf } from "../../../../../data/site-book";

const csv = { "take-off.csv": takeOffCsv, "cut-list.csv": cutListCsv, "boring.csv": boringCsv } as const;

const fileName = (name: string, ending: string): string => `${name.toLowerCase().replace(/[^a-z0-9]+/g, "-").replace(/^-|-$/g, "") || "job"}${ending}`;

/** `GET /api/jobs/ID/file`, `take-off.csv`, `cut-list.csv`, `boring.csv`: worked out afresh by the same plan the desk shows. */
export async function GET(_request: Request, { params }: { params: Promise<{ id: string; what: string }> }): Promise<Response> {
  const { id, what } = await params;
  const db = await database();
  const found = await findJob(db, id);
  if (!found) return Response.json({ error: { code: "not-found", message: `job: there is none with the id ${JSON.stringify(id)}`, path: "job" } }, { status: 404 });
  const send = (body: string, type: string, ending: string): Response => new Response(body, { headers: { "content-type": `${type}; charset=utf-8`, "content-disposition": `attachment; filename="${fileName(found.job.name, ending)}"` } });
  if (what === "file") return send(writeJobFile(found.job, await siteBookOf(db, id)), "application/json", ".lumbet.json");
  const make = Object.hasOwn(csv, what) ? csv[what as keyof typeof csv] : null;
  if (!make) return Response.json({ error: { code: "not-found", message: `export: got ${JSON.stringify(what)}; must be file, ${Object.keys(csv).join(", ")}`, path: "export" } }, { status: 404 });
  return send(make(found.job, makePlan(found.job, { catalogue: await catalogueOf(db) })), "text/csv", `-${what}`);
}
