import sharp from "sharp";
import { beforeAll, describe, expect, it } from "vitest";
import { openMemory } from "../data/client";
import { ternCottage } from "../data/demo/tern-cottage";
import { addJob, findJob } from "../data/jobs";
import { pictureIds } from "../data/pictures";
import { POST } from "./api/jobs/[id]/photos/route";

const held = globalThis as { lumbetDb?: ReturnType<typeof openMemory> };
const wall = ternCottage().walls[0]!.id;
let photo: Buffer;
beforeAll(async () => {
  held.lumbetDb = openMemory();
  await addJob(await held.lumbetDb, ternCottage("j"));
  photo = await sharp({ create: { width: 20, height: 10, channels: 3, background: "#c00" } })
    .jpeg()
    .toBuffer();
});
const send = async (
  more: Record<string, string> = {},
  body: Uint8Array = photo,
  job = "j",
): Promise<{ status: number; message: string }> => {
  const q = new URLSearchParams({ id: "key-of-one", wall, u: "900", v: "1200", at: "2026-11-26T10:00:00Z", ...more });
  const request = new Request(`http://localhost/api/jobs/${job}/photos?${q}`, {
    method: "POST",
    body: Buffer.from(body),
  });
  const answer = await POST(request, { params: Promise.resolve({ id: job }) });
  const told = (await answer.json()) as { error?: { message: string } };
  return { status: answer.status, message: told.error?.message ?? "" };
};

describe("a photo taken on site", () => {
  it("is kept once at its wall, however often it is sent, also at the same time", async () => {
    const all = await Promise.all([send(), send(), send()]);
    expect(all.map((a) => a.status)).toEqual([200, 200, 200]);
    expect((await send()).status).toBe(200);
    const db = await held.lumbetDb!;
    const { photos } = (await findJob(db, "j"))!.job;
    expect(photos).toMatchObject([{ id: "key-of-one", wall, u: 900, v: 1200 }]);
    expect(await pictureIds(db, "j")).toEqual(["key-of-one"]);
  });
  it("is refused in words, and nothing of it kept, where its key, place, wall, job or picture is none", async () => {
    const refused = {
      key: await send({ id: "a b" }),
      place: await send({ id: "another-key", u: "wide" }),
      wall: await send({ id: "another-key", wall: "gone" }),
      job: await send({ id: "another-key" }, photo, "nobody"),
      picture: await send({ id: "another-key" }, photo.subarray(0, 40)),
    };
    expect(Object.values(refused).map((r) => r.status)).toEqual([422, 422, 422, 404, 422]);
    expect(refused.key.message).toMatch(/^id: got "a b"; a key of 8 to 30/);
    expect(refused.place.message).toMatch(/^u: /);
    expect(refused.wall.message).toMatch(/^wall: there is none with the id "gone"/);
    expect(refused.picture.message).toMatch(/cannot be read to its end/);
    expect(await pictureIds(await held.lumbetDb!, "j")).toEqual(["key-of-one"]);
  });
});
