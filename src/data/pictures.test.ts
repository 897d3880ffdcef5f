import { readFileSync, readdirSync } from "node:fs";
import { sql } from "drizzle-orm";
import sharp from "sharp";
import { describe, expect, it } from "vitest";
import { blankJob } from "../core/job/model";
import { SIDE_MOST, cleanPicture } from "./clean-picture";
import { openMemory } from "./client";
import { rowsOf } from "./job-rows";
import { addJob, clearJob, setDeleted } from "./jobs";
import { PictureDamaged, addPicture, pictureOf, undamaged } from "./pictures";

const red = (width: number, height: number) => sharp({ create: { width, height, channels: 3, background: "#c00" } });
const objects = async (db: Awaited<ReturnType<typeof openMemory>>): Promise<number> =>
  rowsOf<{ n: number }>(await db.execute(sql`select count(*)::int as n from pg_largeobject_metadata`))[0]!.n;

describe("a picture beside a job", () => {
  it("comes back byte for byte, once however often it is sent, and goes with its job", async () => {
    const db = await openMemory();
    await addJob(db, blankJob("one", "One"));
    const data = (await red(300, 200).jpeg().toBuffer()).toString("base64");
    await addPicture(db, "one", { id: "p", type: "image/jpeg", data });
    await addPicture(db, "one", { id: "p", type: "image/jpeg", data: "AAAA" });
    expect(await pictureOf(db, "one", "p")).toEqual({ id: "p", type: "image/jpeg", data });
    expect(await pictureOf(db, "one", "q")).toBeNull();
    expect(await objects(db)).toBe(1);
    await setDeleted(db, "one", true);
    await clearJob(db, "one");
    expect(await objects(db)).toBe(0);
  });
  it("whose file is another's or gone is told and not shown", async () => {
    const db = await openMemory();
    await addJob(db, blankJob("one", "One"));
    await addPicture(db, "one", { id: "p", type: "image/png", data: "iVBORw0KGgo=" });
    await db.execute(sql`update pictures set content = lo_from_bytea(0, decode('AAAA', 'base64'))::bigint`);
    await expect(pictureOf(db, "one", "p")).rejects.toThrow(PictureDamaged);
    await db.execute(sql`select lo_unlink(content::oid) from pictures`);
    await expect(pictureOf(db, "one", "p")).rejects.toThrow(/not as it was stored/);
    expect(await undamaged(db, "one", "p")).toBeNull();
    await setDeleted(db, "one", true);
    expect(await clearJob(db, "one")).toBe(true);
  });
  it("of an earlier edition, in its row as base64, is the same afterwards", async () => {
    const { PGlite } = await import("@electric-sql/pglite");
    const pg = new PGlite();
    const folder = "src/data/migrations";
    const files = readdirSync(folder)
      .filter((f) => f.endsWith(".sql"))
      .sort();
    const at = files.findIndex((f) => f.startsWith("0020"));
    const run = async (list: string[]): Promise<void> => {
      for (const f of list) await pg.exec(readFileSync(`${folder}/${f}`, "utf8"));
    };
    await run(files.slice(0, at));
    const data = (await red(40, 30).png().toBuffer()).toString("base64");
    await pg.exec(`insert into jobs (id, name, address, dwelling, settings) values ('j', 'J', '', '{}', '{}');
      insert into pictures (job_id, id, type, data) values ('j', 'p', 'image/png', '${data}')`);
    await run(files.slice(at));
    const { drizzle } = await import("drizzle-orm/pglite");
    expect(await pictureOf(drizzle({ client: pg }) as never, "j", "p")).toEqual({ id: "p", type: "image/png", data });
  });
});

describe("a picture that comes in", () => {
  it("is written anew within bounds, turned as it was held, with nothing in it but the picture", async () => {
    const photo = await red(6000, 3000)
      .withMetadata({ orientation: 6 })
      .withExif({ IFD0: { Copyright: "somebody" }, IFD3: { GPSLatitude: "51/1 30/1 0/1" } })
      .jpeg()
      .toBuffer();
    const clean = await cleanPicture(Buffer.concat([photo, Buffer.from("<script>hidden</script>")]));
    if ("message" in clean) throw new Error(clean.message);
    const seen = await sharp(clean.bytes).metadata();
    expect([seen.width, seen.height, seen.format]).toEqual([SIDE_MOST / 2, SIDE_MOST, "jpeg"]);
    expect([seen.exif, seen.orientation]).toEqual([undefined, undefined]);
    expect(clean.bytes.includes("hidden")).toBe(false);
    for (const kind of ["png", "webp"] as const)
      expect(await cleanPicture(await red(20, 10).toFormat(kind).toBuffer())).toMatchObject({ type: `image/${kind}` });
  });
  it("that cannot be read to its end, or is larger than it can be, is refused in words", async () => {
    const whole = await red(400, 400).png().toBuffer();
    expect(await cleanPicture(whole.subarray(0, whole.length / 2))).toMatchObject({
      message: expect.stringMatching(/cannot be read to its end/),
    });
    expect(await cleanPicture(Buffer.from("%PDF-1.7"))).toMatchObject({
      message: expect.stringMatching(/PNG, JPEG and WebP/),
    });
    // Says 100 000 by 100 000 in its head.
    const bomb = Buffer.from(whole);
    bomb.writeUInt32BE(100_000, 16);
    bomb.writeUInt32BE(100_000, 20);
    expect("message" in (await cleanPicture(bomb))).toBe(true);
  });
});
