import { database } from "../../../../../../data/client";
import { PictureDamaged, pictureOf } from "../../../../../../data/pictures";

/** `GET /api/jobs/ID/pictures/PICTURE`: the file as it was kept. A picture never changes under its id. */
export async function GET(
  _request: Request,
  { params }: { params: Promise<{ id: string; picture: string }> },
): Promise<Response> {
  const { id, picture } = await params;
  let found: Awaited<ReturnType<typeof pictureOf>>;
  try {
    found = await pictureOf(await database(), id, picture);
  } catch (e) {
    if (!(e instanceof PictureDamaged)) throw e;
    return Response.json({ error: { code: "damaged", message: e.message, path: "picture" } }, { status: 422 });
  }
  if (!found)
    return Response.json(
      {
        error: {
          code: "not-found",
          message: `picture: there is none with the id ${JSON.stringify(picture)}`,
          path: "picture",
        },
      },
      { status: 404 },
    );
  return new Response(Buffer.from(found.data, "base64"), {
    headers: {
      "content-type": found.type,
      "cache-control": "private, max-age=31536000, immutable",
      "x-content-type-options": "nosniff",
    },
  });
}
