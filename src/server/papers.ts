import sharp from "sharp";
import { z } from "zod";
import type { House } from "../core/house/house";
import type { SiteEntry } from "../core/job/site-entry";
import type { Plan } from "../core/laid/laid";
import { builtWords, papersOf } from "../core/papers/pack";
import { type PaperKind, paperKinds } from "../core/papers/paper";
import { type Now, nowOf } from "../core/record/day";
import { dayWords } from "../core/papers/list-papers";
import { papersPdf, sheetSizes } from "./files/papers-pdf";

/** Whether a clock is known by this name. */
function isZone(zone: string): boolean {
  try {
    new Intl.DateTimeFormat("en-GB", { timeZone: zone });
    return true;
  } catch {
    return false;
  }
}

/** What is asked of the papers of a job, from an address. */
const askedSchema = z.object({
  kinds: z
    .string()
    .transform((s) => s.split(",").filter(Boolean))
    .pipe(z.array(z.enum(paperKinds)).min(1)),
  size: z.enum(sheetSizes).default("A4"),
  room: z.string().max(60).nullable(),
  wall: z.string().max(60).nullable(),
  /** The id of one paper of its kind; the others are left out. */
  one: z.string().max(200).nullable(),
  date: z.iso.date().optional(),
  minute: z.coerce.number().int().min(0).max(1439).optional(),
  zone: z.string().max(60).refine(isZone).default("UTC"),
});

const allowedWords: Record<string, string> = {
  size: sheetSizes.join(" or "),
  date: "a day such as 2026-11-30",
  minute: "0 to 1439",
  zone: "a place such as Europe/London",
};
/** What can be printed on a roll. */
const onRoll = new Set<PaperKind>(["stick", "joists", "runs"]);

/** Where a wall's page is for whoever holds the paper: null where this program answers on its own machine alone. */
export function linkOf(request: Request, job: string): ((wall: string) => string) | null {
  const url = new URL(request.url);
  const host = request.headers.get("x-forwarded-host") ?? request.headers.get("host") ?? url.host;
  if (/^(localhost|127\.|\[::1\])/.test(host)) return null;
  const proto = request.headers.get("x-forwarded-proto") ?? url.protocol.replace(":", "");
  return (wall) => `${proto}://${host}/jobs/${encodeURIComponent(job)}/walls/${encodeURIComponent(wall)}`;
}

/** A picture as it goes on paper: upright, no larger than print can show, JPEG. */
const forPaper = (file: Buffer): Promise<Buffer> =>
  sharp(file).rotate().resize(1100, 1100, { fit: "inside", withoutEnlargement: true }).jpeg({ quality: 78 }).toBuffer();

/** The papers asked for as one PDF, or the sentence why there are none. */
export async function papersAsked(
  request: Request,
  h: House,
  plan: Plan,
  siteBook: readonly SiteEntry[],
  version: number,
  picture: (id: string) => Promise<Buffer | null>,
): Promise<{ ok: true; pdf: Buffer } | { ok: false; path: string; message: string }> {
  const q = new URL(request.url).searchParams;
  const asked = askedSchema.safeParse({
    kinds: q.get("kinds") ?? "",
    size: q.get("size") ?? undefined,
    room: q.get("room") || null,
    wall: q.get("wall") || null,
    one: q.get("one") || null,
    date: q.get("date") || undefined,
    minute: q.get("minute") || undefined,
    zone: q.get("zone") || undefined,
  });
  if (!asked.success) {
    const path = String(asked.error.issues[0]?.path[0] ?? "kinds");
    const allowed = allowedWords[path] ?? `one or more of ${paperKinds.join(", ")}`;
    return { ok: false, path, message: `got ${JSON.stringify(q.get(path) ?? "")}; must be ${allowed}` };
  }
  const { kinds, size, room, wall, one, date, minute, zone } = asked.data;
  if (size === "roll" && kinds.some((k) => !onRoll.has(k)))
    return { ok: false, path: "size", message: `got "roll"; a roll takes ${[...onRoll].join(", ")} alone` };
  if (room !== null && !h.job.rooms.some((r) => r.id === room))
    return { ok: false, path: "room", message: `got ${JSON.stringify(room)}; must be a room of this job` };
  if (wall !== null && !h.job.walls.some((w) => w.id === wall))
    return { ok: false, path: "wall", message: `got ${JSON.stringify(wall)}; must be a wall of this job` };
  // The clock of whoever asks: this machine's may hang in another country.
  const here = nowOf(new Date());
  const now: Now = { date: date ?? here.date, minute: minute ?? here.minute };
  const papers = papersOf(h, plan, siteBook, {
    kinds: paperKinds.filter((k) => kinds.includes(k)),
    room,
    wall,
    wallLink: linkOf(request, h.job.id),
    now,
    zone,
  }).filter((p) => one === null || p.id === one);
  if (one !== null && !papers.length)
    return { ok: false, path: "one", message: `got ${JSON.stringify(one)}; must be a paper of this job` };
  if (!papers.length)
    return { ok: false, path: "kinds", message: "there is nothing of it yet: draw rooms and lay runs first" };
  const heading = {
    job: h.job.name,
    address: h.job.address,
    date: dayWords(now.date),
    version,
    built: builtWords(plan),
  };
  const ids = new Set(
    papers.flatMap((p) => p.blocks.flatMap((b) => (b.kind === "photos" ? b.photos.map((x) => x.picture) : []))),
  );
  const photos = new Map<string, Buffer>();
  for (const id of ids) {
    const file = await picture(id);
    if (file) photos.set(id, await forPaper(file));
  }
  return { ok: true, pdf: await papersPdf(papers, heading, size, { photos }) };
}
