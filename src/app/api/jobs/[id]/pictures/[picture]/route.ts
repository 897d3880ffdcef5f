import { database } from "../../../../../../data/client";
import { pictureOf } from "../../../../../../data/pictures";

/** `GET /api/jobs/ID/pictures/PICTURE`: the file as it was kept. A picture never changes under its id. */
export async function GET(
  _request: Request,
  { params }: { params: Promise<{ id: string; picture: string }> },
): Promise<Response> {
  const { id, picture } = await params;
  const found = await pictureOf(await database(), id, picture);
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
