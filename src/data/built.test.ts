import { beforeAll, describe, expect, it } from "vitest";
import { siteEntrySchema } from "../core/job/site-entry";
import { takeBuiltPoints } from "./built";
import { openMemory } from "./client";
import type { Db } from "./db";
import { ternCottage } from "./demo/tern-cottage";
import { addJob, editJob, findJob } from "./jobs";
import { addSiteEntries, siteBookOf } from "./site-book";

let db: Db;
beforeAll(async () => {
  db = await openMemory();
  await addJob(db, ternCottage("built"));
}, 60_000);

const line = (id: string, at: string, more: object) =>
  siteEntrySchema.parse({
    id,
    run: "point:s5",
    kind: "built",
    step: null,
    by: "Pat",
    at: `2026-11-30T${at}:00.000Z`,
    ...more,
  });
const tell = async (lines: ReturnType<typeof line>[]): Promise<void> => {
  expect(await addSiteEntries(db, "built", lines)).toEqual([]);
  await takeBuiltPoints(db, "built", lines);
};
const s5 = async () =>
  (await findJob(db, "built"))!.job.points.find((p) => p.id === "s5")!.place as { wall: string; u: number; v: number };

describe("a point told as built elsewhere", () => {
  it("stands there in the job, once however often it is told, and where the last word has it", async () => {
    const was = await s5();
    const at = (u: number) => ({ place: { on: "wall" as const, wall: was.wall, u, v: was.v } });
    const first = line("b1", "09:00", at(was.u - 60));
    await tell([first]);
    expect((await s5()).u).toBe(was.u - 60);
    const { version } = (await findJob(db, "built"))!;
    await tell([first]);
    expect((await findJob(db, "built"))!.version).toBe(version);
    await tell([line("b3", "11:00", at(was.u - 20))]);
    // A line that was made before and comes late moves nothing.
    await tell([line("b2", "10:00", at(was.u - 400))]);
    expect((await s5()).u).toBe(was.u - 20);
    // Nor does it where the desk has put the point elsewhere since.
    const found = (await findJob(db, "built"))!;
    const point = found.job.points.find((p) => p.id === "s5")!;
    const after = { ...point, place: { ...point.place, u: was.u + 40 } };
    await editJob(db, "built", found.version, [
      { key: "moved-at-the-desk", patch: [{ collection: "points", id: "s5", before: point, after }] },
    ]);
    await tell([line("b4", "08:00", at(was.u - 90))]);
    expect((await s5()).u).toBe(was.u + 40);
  });
  it("that is no point of the job, or is put off its wall, changes nothing and loses no line", async () => {
    const now = await s5();
    const gone = line("b5", "12:00", { run: "point:nobody", place: { on: "wall", wall: now.wall, u: 900, v: 900 } });
    const off = line("b6", "12:30", { place: { on: "wall", wall: now.wall, u: 99_000, v: 450 } });
    await tell([gone, off]);
    expect(await s5()).toEqual(now);
    expect((await siteBookOf(db, "built")).map((e) => e.id)).toEqual(expect.arrayContaining(["b5", "b6"]));
  });
  it("and cuts, marks and readings come back as they were told", async () => {
    const lines = [
      siteEntrySchema.parse({
        id: "c1",
        run: "r",
        kind: "cut",
        step: null,
        by: "Pat",
        at: "2026-11-30T13:00:00.000Z",
        cut: { drum: "drum-1", length: 8600, from: 12_400, to: 21_000 },
      }),
      siteEntrySchema.parse({
        id: "c2",
        run: "deck:d",
        kind: "mark",
        step: null,
        by: "Pat",
        at: "2026-11-30T13:01:00.000Z",
        mark: "boards-up:deck:d",
      }),
      siteEntrySchema.parse({
        id: "c3",
        run: "r",
        kind: "reading",
        step: null,
        by: "Pat",
        at: "2026-11-30T13:02:00.000Z",
        reading: { what: "x", value: 0.4, unit: "Ω" },
        instrument: "Meter 7",
      }),
    ];
    await addSiteEntries(db, "built", lines);
    expect((await siteBookOf(db, "built")).filter((e) => e.id.startsWith("c"))).toEqual(lines);
    for (const bad of [
      { kind: "mark", mark: undefined },
      { kind: "cut", cut: undefined },
      { kind: "note", cut: { drum: "d", length: 1 } },
      { kind: "done", place: { on: "wall", wall: "w", u: 1, v: 1 } },
      { kind: "note", instrument: "M" },
      { kind: "cut", cut: { drum: "d", length: 0 } },
    ])
      expect(
        siteEntrySchema.safeParse({ id: "x", run: "r", step: null, by: "P", at: "2026-11-30T13:00:00.000Z", ...bad })
          .success,
      ).toBe(false);
  });
});
