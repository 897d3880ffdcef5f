import { PICTURE_MOST } from "../../../../../core/formats/picture";
import { photoSchema } from "../../../../../core/job/found";
import { acknowledge } from "../../../../../data/acknowledge";
import { cleanPicture } from "../../../../../data/clean-picture";
import { database } from "../../../../../data/client";
import { editJob, findJob } from "../../../../../data/jobs";
import { addPicture } from "../../../../../data/pictures";
import { refusalOfRoom } from "../../../../../data/room";
import { bodyUpTo } from "../../../../../server/body";
import { notAllowed, whoIs } from "../../../../../server/who";

const refuse = (status: number, message: string): Response =>
  Response.json({ error: { code: status === 404 ? "not-found" : "invalid", message, path: "photo" } }, { status });

/**
 * `POST /api/jobs/ID/photos?id=KEY&wall=WALL&u=MM&v=MM&at=TIME`, or `deck=DECK` or `outside=WAY` in place of the wall; body the picture: a photo of a
 * wall, a deck or an open trench as it was taken on site. The key is made on the device: a photo sent twice is kept once.
 */
export async function POST(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  const no = await notAllowed(request, "record");
  if (no) return no;
  const full = await refusalOfRoom();
  if (full !== null) return refuse(507, `photo: ${full}`);
  const { id } = await params;
  const q = new URL(request.url).searchParams;
  const key = q.get("id") ?? "";
  if (!/^[A-Za-z0-9_-]{8,30}$/.test(key))
    return refuse(422, `id: got ${JSON.stringify(key.slice(0, 40))}; a key of 8 to 30 letters, digits, - or _`);
  const photo = photoSchema.safeParse({
    id: key,
    wall: q.get("wall"),
    deck: q.get("deck"),
    outside: q.get("outside"),
    picture: key,
    u: Number(q.get("u") ?? 0),
    v: Number(q.get("v") ?? 0),
    at: q.get("at") ?? "",
  });
  if (!photo.success) {
    const [issue] = photo.error.issues;
    return refuse(422, `${issue!.path.join(".")}: ${issue!.message}`);
  }
  const bytes = await bodyUpTo(request, PICTURE_MOST);
  if (!bytes) return refuse(413, `photo: at most ${PICTURE_MOST} bytes are kept`);
  const clean = await cleanPicture(bytes);
  if ("message" in clean) return refuse(422, `photo: ${clean.message}`);
  const db = await database();
  const found = await findJob(db, id);
  if (!found) return refuse(404, `job: there is none with the id ${JSON.stringify(id)}`);
  const { wall, deck, outside } = photo.data;
  if (wall !== null && !found.job.walls.some((w) => w.id === wall))
    return refuse(422, `wall: there is none with the id ${JSON.stringify(wall)} in this job`);
  if (deck !== null && !found.job.decks.some((d) => d.id === deck))
    return refuse(422, `deck: there is none with the id ${JSON.stringify(deck)} in this job`);
  if (outside !== null && !found.job.outsideWays.some((w) => w.id === outside))
    return refuse(422, `outside: there is no way out of doors with the id ${JSON.stringify(outside)} in this job`);
  await addPicture(db, id, { id: key, type: clean.type, data: clean.bytes.toString("base64") });
  const patch = [{ collection: "photos", id: key, before: null, after: photo.data }];
  const who = await whoIs(request.headers);
  const told = await editJob(db, id, found.version, [{ key: `photo-${key}`, patch }], who?.name ?? "");
  if (told.kind === "refused") return refuse(422, told.refusals.map((r) => `${r.path}: ${r.message}`).join("; "));
  if (told.kind !== "stored") return refuse(409, `photo: another has its key already, or the job is gone`);
  await acknowledge(db, id);
  return Response.json({ id: key });
}
