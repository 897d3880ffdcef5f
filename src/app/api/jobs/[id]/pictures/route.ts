import { nanoid } from "nanoid";
import { PICTURE_MOST } from "../../../../../core/formats/picture";
import { database } from "../../../../../data/client";
import { jobThere } from "../../../../../data/jobs";
import { notAllowed } from "../../../../../server/who";
import { bodyUpTo } from "../../../../../server/body";
import { cleanPicture } from "../../../../../data/clean-picture";
import { refusalOfRoom } from "../../../../../data/room";
import { addPicture } from "../../../../../data/pictures";

const refuse = (status: number, message: string): Response =>
  Response.json({ error: { code: status === 404 ? "not-found" : "invalid", message, path: "picture" } }, { status });

/** `POST /api/jobs/ID/pictures`, body the picture file: keeps it beside the job and answers its id. */
export async function POST(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  const no = await notAllowed(request, "record");
  if (no) return no;
  const full = await refusalOfRoom();
  if (full !== null) return refuse(507, `picture: ${full}`);
  const { id } = await params;
  if (Number(request.headers.get("content-length") ?? 0) > PICTURE_MOST)
    return refuse(413, `picture: at most ${PICTURE_MOST} bytes are kept`);
  const bytes = await bodyUpTo(request, PICTURE_MOST);
  if (!bytes) return refuse(413, `picture: at most ${PICTURE_MOST} bytes are kept`);
  const clean = await cleanPicture(bytes);
  if ("message" in clean) return refuse(422, `picture: ${clean.message}`);
  const db = await database();
  if (!(await jobThere(db, id))) return refuse(404, `job: there is none with the id ${JSON.stringify(id)}`);
  const picture = nanoid(12);
  await addPicture(db, id, { id: picture, type: clean.type, data: clean.bytes.toString("base64") });
  return Response.json({ id: picture });
}
