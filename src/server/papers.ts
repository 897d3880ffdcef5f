import { z } from "zod";
import type { House } from "../core/house/house";
import type { SiteEntry } from "../core/job/site-entry";
import type { Plan } from "../core/laid/laid";
import { papersOf } from "../core/papers/pack";
import { paperKinds } from "../core/papers/paper";
import { papersPdf, sheetSizes } from "./files/papers-pdf";

/** What is asked of the papers of a job, from an address. */
const askedSchema = z.object({
  kinds: z
    .string()
    .transform((s) => s.split(",").filter(Boolean))
    .pipe(z.array(z.enum(paperKinds)).min(1)),
  size: z.enum(sheetSizes).default("A4"),
  room: z.string().max(60).nullable(),
  wall: z.string().max(60).nullable(),
});

/** Where a wall's page is for whoever holds the paper: null where this program answers on its own machine alone. */
export function linkOf(request: Request, job: string, h: House): ((wall: string) => string) | null {
  const url = new URL(request.url);
  const host = request.headers.get("x-forwarded-host") ?? request.headers.get("host") ?? url.host;
  if (/^(localhost|127\.|\[::1\])/.test(host)) return null;
  const proto = request.headers.get("x-forwarded-proto") ?? url.protocol.replace(":", "");
  return (wall) => {
    const room = h.faces[h.faceOfWall.get(wall) ?? -1]?.room.id ?? "";
    return `${proto}://${host}/jobs/${encodeURIComponent(job)}?room=${encodeURIComponent(room)}`;
  };
}

/** The papers asked for as one PDF, or the sentence why there are none. */
export async function papersAsked(
  request: Request,
  h: House,
  plan: Plan,
  siteBook: readonly SiteEntry[],
  version: number,
): Promise<{ ok: true; pdf: Buffer } | { ok: false; path: string; message: string }> {
  const q = new URL(request.url).searchParams;
  const asked = askedSchema.safeParse({
    kinds: q.get("kinds") ?? "",
    size: q.get("size") ?? undefined,
    room: q.get("room") || null,
    wall: q.get("wall") || null,
  });
  if (!asked.success) {
    const path = String(asked.error.issues[0]?.path[0] ?? "kinds");
    const allowed = path === "size" ? sheetSizes.join(" or ") : `one or more of ${paperKinds.join(", ")}`;
    return { ok: false, path, message: `got ${JSON.stringify(q.get(path) ?? "")}; must be ${allowed}` };
  }
  const { kinds, size, room, wall } = asked.data;
  if (room !== null && !h.job.rooms.some((r) => r.id === room))
    return { ok: false, path: "room", message: `got ${JSON.stringify(room)}; must be a room of this job` };
  if (wall !== null && !h.job.walls.some((w) => w.id === wall))
    return { ok: false, path: "wall", message: `got ${JSON.stringify(wall)}; must be a wall of this job` };
  const papers = papersOf(h, plan, siteBook, {
    kinds: paperKinds.filter((k) => kinds.includes(k)),
    room,
    wall,
    wallLink: linkOf(request, h.job.id, h),
  });
  if (!papers.length)
    return { ok: false, path: "kinds", message: "there is nothing of it yet: draw rooms and lay runs first" };
  const date = new Date().toLocaleDateString("en-GB", { day: "numeric", month: "long", year: "numeric" });
  const heading = { job: h.job.name, address: h.job.address, date, version };
  return { ok: true, pdf: await papersPdf(papers, heading, size) };
}
