import { Readable } from "node:stream";
import { z } from "zod";
import { daysIcs } from "../../../../../server/files/days-ics";
import { jobXlsx } from "../../../../../server/files/job-xlsx";
import { labelsAsked } from "../../../../../server/labels";
import { papersAsked } from "../../../../../server/papers";
import { buyingCsv } from "../../../../../core/formats/supplies-csv";
import { buyingList } from "../../../../../core/record/buying";
import { daysOf } from "../../../../../core/record/day";
import { boringCsv, cutListCsv, takeOffCsv } from "../../../../../core/formats/plan-csv";
import { boardCsv, clipsCsv, endsCsv } from "../../../../../core/formats/ends-csv";
import { fixingsCsv, piecesCsv } from "../../../../../core/formats/sections-csv";
import { pointsCsv } from "../../../../../core/formats/points-csv";
import { storeySheet, roomSheet } from "../../../../../core/drawings/house-sheets";
import { sceneDxf, sceneSvg } from "../../../../../core/formats/scene-files";
import { layHouse } from "../../../../../core/house/house";
import { backupStream } from "../../../../../data/backup/write";
import { pictureBytes, undamaged } from "../../../../../data/pictures";
import { catalogueOf } from "../../../../../data/catalogue";
import { database } from "../../../../../data/client";
import { jobFileOf } from "../../../../../data/job-files";
import { findJob } from "../../../../../data/jobs";
import { planOf } from "../../../../../data/plans";

const csv = {
  "take-off.csv": takeOffCsv,
  "cut-list.csv": cutListCsv,
  "boring.csv": boringCsv,
  "containment.csv": piecesCsv,
  "fixings.csv": fixingsCsv,
  "clips.csv": clipsCsv,
  "ends.csv": endsCsv,
  "board.csv": boardCsv,
} as const;
const sheets = {
  "plan.svg": ["plan", "svg"],
  "plan.dxf": ["plan", "dxf"],
  "unrolled.svg": ["unrolled", "svg"],
  "unrolled.dxf": ["unrolled", "dxf"],
} as const;
const nowSchema = z.object({ date: z.iso.date(), minute: z.number().int().min(0).max(1439) });
/** Most of pictures that go into the one text of a job file, bytes; with more of them the job is an archive with the pictures beside it. */
const PICTURES_IN_FILE = 30_000_000;
const names = [
  "file",
  "points.csv",
  "days.ics",
  "buying.csv",
  "materials.xlsx",
  "papers.pdf",
  "labels.pdf",
  ...Object.keys(csv),
  ...Object.keys(sheets),
];

const fileName = (name: string, ending: string): string =>
  `${
    name
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, "-")
      .replace(/^-|-$/g, "") || "job"
  }${ending}`;
/** Opened beside the page to be looked at and printed, or kept as a file. */
const sendPdf = (request: Request, pdf: Buffer, name: string): Response =>
  new Response(pdf as BodyInit, {
    headers: {
      "content-type": "application/pdf",
      "content-disposition": `${new URL(request.url).searchParams.has("look") ? "inline" : "attachment"}; filename="${name}"`,
    },
  });
const missing = (path: string, message: string): Response =>
  Response.json({ error: { code: "not-found", message: `${path}: ${message}`, path } }, { status: 404 });

/**
 * `GET /api/jobs/ID/…`: the job file, lists as CSV, and drawings of a storey (`plan.svg?storey=ID`) or a room unrolled
 * (`unrolled.dxf?room=ID`); worked out afresh by the same plan the desk shows.
 */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ id: string; what: string }> },
): Promise<Response> {
  const { id, what } = await params;
  const db = await database();
  const found = await findJob(db, id);
  if (!found) return missing("job", `there is none with the id ${JSON.stringify(id)}`);
  const { job } = found;
  const send = (body: string, type: string, ending: string): Response =>
    // With a byte-order mark a spreadsheet reads the letters of a list as they are.
    new Response(type === "text/csv" ? `\uFEFF${body}` : body, {
      headers: {
        "content-type": `${type}; charset=utf-8`,
        "content-disposition": `attachment; filename="${fileName(job.name, ending)}"`,
      },
    });
  if (what === "file" && (await pictureBytes(db, id)) > PICTURES_IN_FILE)
    return new Response(Readable.toWeb(backupStream(db, id)) as ReadableStream, {
      headers: {
        "content-type": "application/gzip",
        "content-disposition": `attachment; filename="${fileName(job.name, ".lumbet.tar.gz")}"`,
      },
    });
  if (what === "file") return send(await jobFileOf(db, job), "application/json", ".lumbet.json");
  if (what === "papers.pdf") {
    const { house, plan, siteBook } = await planOf(db, job);
    const r = await papersAsked(request, house, plan, siteBook, found.version, async (picture) => {
      const p = await undamaged(db, id, picture);
      return p && Buffer.from(p.data, "base64");
    });
    if (!r.ok)
      return Response.json(
        { error: { code: "bad-request", message: `${r.path}: ${r.message}`, path: r.path } },
        { status: 400 },
      );
    return sendPdf(request, r.pdf, fileName(job.name, "-papers.pdf"));
  }
  if (what === "labels.pdf") {
    const { house, plan } = await planOf(db, job);
    const r = await labelsAsked(request, house, plan);
    if (!r.ok)
      return Response.json(
        { error: { code: "bad-request", message: `${r.path}: ${r.message}`, path: r.path } },
        { status: 400 },
      );
    return sendPdf(request, r.pdf, fileName(job.name, "-labels.pdf"));
  }
  if (what === "points.csv") return send(pointsCsv(layHouse(job, await catalogueOf(db))), "text/csv", "-points.csv");
  if (what === "days.ics" || what === "buying.csv" || what === "materials.xlsx") {
    const { house, plan, siteBook } = await planOf(db, job);
    if (what === "buying.csv") return send(buyingCsv(buyingList(house, plan, siteBook)), "text/csv", "-buying.csv");
    if (what === "materials.xlsx")
      return new Response((await jobXlsx(house, plan, siteBook)) as BodyInit, {
        headers: {
          "content-type": "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet",
          "content-disposition": `attachment; filename="${fileName(job.name, "-materials.xlsx")}"`,
        },
      });
    // The clock of whoever asks: this machine's may hang in another country.
    const asked = new URL(request.url).searchParams;
    const now = nowSchema.safeParse({ date: asked.get("date"), minute: Number(asked.get("minute")) });
    if (!now.success)
      return Response.json(
        {
          error: {
            code: "bad-request",
            message: "date: must be a day such as 2026-11-30, and minute 0 to 1439",
            path: "date",
          },
        },
        { status: 400 },
      );
    return send(
      daysIcs(house, daysOf(house, plan, siteBook, now.data), new Date().toISOString()),
      "text/calendar",
      "-days.ics",
    );
  }
  const known = Object.hasOwn(csv, what) || Object.hasOwn(sheets, what);
  if (!known) return missing("export", `got ${JSON.stringify(what)}; must be ${names.join(", ")}`);
  const { house, plan } = await planOf(db, job);
  if (Object.hasOwn(csv, what)) return send(csv[what as keyof typeof csv](job, plan, house), "text/csv", `-${what}`);
  if (!Object.hasOwn(sheets, what))
    return missing("export", `got ${JSON.stringify(what)}; must be ${names.join(", ")}`);
  const [view, format] = sheets[what as keyof typeof sheets];
  const list = view === "plan" ? job.storeys : job.rooms;
  const field = view === "plan" ? "storey" : "room";
  const wanted = new URL(request.url).searchParams.get(field) ?? list[0]?.id ?? "";
  const thing = list.find((x) => x.id === wanted);
  if (!thing)
    return missing(
      field,
      `got ${JSON.stringify(wanted)}; must be ${list.map((x) => x.id).join(", ") || `a ${field} of this job, which has none`}`,
    );
  const sheet = view === "plan" ? storeySheet(house, wanted, plan) : roomSheet(house, wanted, plan);
  return send(
    format === "svg" ? sceneSvg(sheet) : sceneDxf(sheet),
    format === "svg" ? "image/svg+xml" : "image/vnd.dxf",
    `-${fileName(thing.name, `.${format}`)}`,
  );
}
