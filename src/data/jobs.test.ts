import { sql } from "drizzle-orm";
import { mkdtempSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { beforeAll, beforeEach, describe, expect, it } from "vitest";
import { pictureKind } from "../core/formats/picture";
import { picturesNamed, readJobFile, writeJobFile } from "../core/job/file";
import { makePlan } from "../core/plan/plan";
import { openMemory } from "./client";
import type { Db } from "./db";
import { ternCottage } from "./demo/tern-cottage";
import { FolderBusy, holderOf, lockFolder } from "./folder-lock";
import { EDITS_KEPT, addJob, countJobs, editJob, editsSince, findJob, listJobs, setDeleted } from "./jobs";
import { blankJob } from "../core/job/model";
import { addPicture, pictureOf, picturesOf } from "./pictures";
import { addSiteEntries, siteBookOf } from "./site-book";

/** Opening an embedded database on a busy machine, ms. */
const SLOW = 120_000;

const job = ternCottage();
const s4 = job.points.find((p) => p.id === "s4")!;
const s5 = job.points.find((p) => p.id === "s5")!;
const move = (p: typeof s4, u: number) => ({ ...p, place: { ...p.place, u } });
let made = 0;
/** One patch of one change, as a device sends it. */
const patch = (before: typeof s4, after: unknown) => [
  { key: `test-key-${++made}`, patch: [{ collection: "points", id: before.id, before, after }] },
];

describe("jobs in the database", () => {
  let db: Db;
  const statements: string[] = [];
  beforeAll(async () => {
    db = await openMemory((s) => void statements.push(s));
  }, SLOW);
  beforeEach(async () => {
    await db.execute(sql`delete from jobs`);
    await addJob(db, job);
  });
  it("cost an edit at most four statements, however much it changes", async () => {
    statements.length = 0;
    await editJob(db, job.id, 1, patch(s4, move(s4, 2123)));
    expect(statements.length).toBeLessThanOrEqual(4);
    expect(statements.length).toBeGreaterThan(0);
    const many = job.points
      .filter((p) => p.id !== s4.id)
      .map((p, i) => ({ collection: "points", id: p.id, before: p, after: { ...p, label: `Q${i + 1}` } }));
    statements.length = 0;
    expect(await editJob(db, job.id, 2, [{ key: "many-at-once", patch: many }])).toMatchObject({ kind: "stored" });
    expect(statements.length).toBeLessThanOrEqual(4);
  });
  it("come back as they were put in", async () => {
    expect((await findJob(db, "tern-cottage"))!.job).toEqual(job);
    expect(await listJobs(db)).toMatchObject([{ name: "Tern Cottage", rooms: 11, points: 48, circuits: 9 }]);
  });
  it("merge changes to different things and hold back a clash", async () => {
    expect(await editJob(db, job.id, 1, patch(s4, move(s4, 2123)))).toMatchObject({ kind: "stored", version: 2 });
    expect(await editJob(db, job.id, 1, patch(s5, move(s5, 3000)))).toMatchObject({
      kind: "stored",
      version: 3,
      missed: { kind: "patches", patches: [{ version: 2 }] },
    });
    expect(await editJob(db, job.id, 1, patch(s4, move(s4, 2500)))).toMatchObject({
      kind: "conflict",
      clashes: [{ id: "s4" }],
    });
    const now = (await findJob(db, job.id))!.job;
    expect(now.points.find((p) => p.id === "s4")!.place).toMatchObject({ u: 2123 });
    expect(await editsSince(db, job.id, 1)).toMatchObject({
      kind: "patches",
      patches: [{ version: 2 }, { version: 3 }],
    });
  });
  it("take twelve moves of one point by one hand, one after the other, as no conflict", async () => {
    const at = (i: number) => move(s4, 1000 + 10 * i);
    const sent = Array.from({ length: 12 }, (_, i) => patch(i ? at(i - 1) : s4, at(i))[0]!);
    expect(await editJob(db, job.id, 1, sent, "Pat")).toMatchObject({ kind: "stored", version: 13 });
    expect((await findJob(db, job.id))!.job.points.find((p) => p.id === "s4")!.place).toMatchObject({ u: 1110 });
    // Another who moved it meanwhile is still a conflict, in the middle of a chain too.
    const late = [patch(at(3), at(4))[0]!, patch(at(4), at(5))[0]!];
    expect(await editJob(db, job.id, 13, late)).toMatchObject({ kind: "conflict", clashes: [{ id: "s4" }] });
  });
  it("store a patch once, however often it is sent", async () => {
    const first = patch(s4, move(s4, 1000));
    expect(await editJob(db, job.id, 1, first)).toMatchObject({ kind: "stored", version: 2 });
    // The answer was lost; the device sends it again with what came after.
    const again = [...first, ...patch(move(s4, 1000), move(s4, 1010))];
    expect(await editJob(db, job.id, 1, again)).toMatchObject({
      kind: "stored",
      version: 3,
      missed: { kind: "patches", patches: [] },
    });
    expect(await editJob(db, job.id, 1, again)).toMatchObject({ kind: "stored", version: 3 });
    expect((await findJob(db, job.id))!.job.points.find((p) => p.id === "s4")!.place).toMatchObject({ u: 1010 });
  });
  it("store things put in, changed and taken out in one patch, and heads, as they are left", async () => {
    const s = { ...s4, id: "new-one", label: "S99", controls: [] };
    const head = { collection: "head", id: "name", before: job.name, after: "Tern Cottage, east" };
    const sent = [
      { key: "mixed-patch-1", patch: [{ collection: "points", id: s.id, before: null, after: s }, head] },
      { key: "mixed-patch-2", patch: [{ collection: "points", id: s.id, before: s, after: { ...s, label: "S98" } }] },
      {
        key: "mixed-patch-3",
        patch: [{ collection: "drums", id: job.drums[0]!.id, before: job.drums[0], after: null }],
      },
    ];
    expect(await editJob(db, job.id, 1, sent)).toMatchObject({ kind: "stored", version: 4 });
    const { job: next } = (await findJob(db, job.id))!;
    expect(next.name).toBe("Tern Cottage, east");
    expect(next.points.find((p) => p.id === "new-one")!.label).toBe("S98");
    expect(next.drums).toHaveLength(job.drums.length - 1);
  });
  it("trim old edits to a checkpoint: who is far behind gets the whole job", async () => {
    const n = EDITS_KEPT + 250;
    const sent = Array.from({ length: n }, (_, i) => patch(i ? move(s4, i) : s4, move(s4, i + 1))[0]!);
    expect(await editJob(db, job.id, 1, sent)).toMatchObject({ kind: "stored", version: n + 1 });
    expect(await editsSince(db, job.id, 1)).toMatchObject({ kind: "whole", version: n + 1 });
    const near = await editsSince(db, job.id, n);
    expect(near).toMatchObject({ kind: "patches", patches: [{ version: n + 1 }] });
    const behind = await editJob(db, job.id, 3, patch(s5, move(s5, 3000)));
    expect(behind).toMatchObject({ kind: "stored", missed: { kind: "whole" } });
  });
  it("refuse a patch that breaks the job, and change nothing", async () => {
    const room = job.rooms[0]!;
    const r = await editJob(db, job.id, 1, [
      {
        key: "bad-outline",
        patch: [
          { collection: "rooms", id: room.id, before: room, after: { ...room, outline: [...room.outline].reverse() } },
        ],
      },
    ]);
    expect(r).toMatchObject({ kind: "refused" });
    expect((await findJob(db, job.id))!.version).toBe(1);
  });
  it("leave the drawing of a released wall as it is, until it is opened again; what was built is as it is", async () => {
    const said = (id: string, kind: "released" | "reopened", at: string) =>
      ({
        id,
        run: `wall:${(s4.place as { wall: string }).wall}`,
        kind,
        step: null,
        text: "Seen",
        by: "A",
        at,
      }) as const;
    await addSiteEntries(db, job.id, [said("w1", "released", "2026-11-24T08:00:00.000Z")]);
    const { version } = (await findJob(db, job.id))!;
    const r = await editJob(db, job.id, version, patch(s4, move(s4, 44)));
    expect(r).toMatchObject({ kind: "refused" });
    expect((r as { refusals: { message: string }[] }).refusals[0]!.message).toMatch(/released for closing by A/);
    await addSiteEntries(db, job.id, [said("w2", "reopened", "2026-11-24T09:00:00.000Z")]);
    expect(await editJob(db, job.id, version, patch(s4, move(s4, 44)))).toMatchObject({ kind: "stored" });
    await addSiteEntries(db, job.id, [said("w3", "released", "2026-11-24T10:00:00.000Z")]);
    const now = (await findJob(db, job.id))!;
    const there = now.job.points.find((p) => p.id === s4.id)!;
    expect(await editJob(db, job.id, now.version, patch(there, move(there, 55)), "A", true)).toMatchObject({
      kind: "stored",
    });
  });
  it("are taken off the list and put back", async () => {
    expect(await setDeleted(db, job.id, true)).toBe(true);
    expect(await listJobs(db)).toEqual([]);
    expect(await editJob(db, job.id, 1, patch(s4, move(s4, 1)))).toEqual({ kind: "gone" });
    expect(await setDeleted(db, job.id, false)).toBe(true);
    expect(await listJobs(db)).toHaveLength(1);
  });
  it("keep site lines once, however often they are sent", async () => {
    const line = {
      id: "e1",
      run: "r1.s4-s3",
      kind: "done",
      step: "bored",
      text: "",
      by: "A",
      at: "2026-11-24T08:00:00.000Z",
    } as const;
    await addSiteEntries(db, job.id, [line]);
    expect(await addSiteEntries(db, job.id, [line, { ...line, id: "e2", kind: "undone", after: line.id }])).toEqual([]);
    expect((await siteBookOf(db, job.id)).map((e) => e.kind)).toEqual(["done", "undone"]);
    // Another line under a number that is taken is told, and not stored; what comes with it is.
    const told = await addSiteEntries(db, job.id, [
      { ...line, text: "other words" },
      { ...line, id: "e3" },
    ]);
    expect(told).toEqual([{ id: line.id, message: "another line of the record has its number already" }]);
    expect((await siteBookOf(db, job.id)).map((e) => [e.id, e.text, e.after])).toEqual([
      [line.id, line.text, undefined],
      ["e2", line.text, line.id],
      ["e3", line.text, undefined],
    ]);
  });
});

describe("the demo", () => {
  it("starts with its known problems and nothing else to stop for", () => {
    const plan = makePlan(job);
    expect(plan.facts.filter((f) => f.severity !== "note").map((f) => `${f.rule} ${f.subject.id}`)).toEqual([
      "circuit.capacity r2",
      "circuit.ring r1",
      "circuit.way k",
      "fill.space trunking-1",
      "kitchen.sink s4",
      "timber.hole.zone old-hole",
      "buried.depth trench-1",
      "buried.service trench-1",
      "found.colours board",
      "found.colours s17",
      "gland.edge k.board.k1",
      "lighting.fed-from-sockets r1",
      "lighting.unswitched b1",
      "stock.short swa-3x10",
    ]);
    expect(plan.runs).toHaveLength(46);
  });
});

describe("the data folder", () => {
  it("is held by one process, and a dead one's lock is taken over", () => {
    const folder = mkdtempSync(join(tmpdir(), "lumbet-"));
    const release = lockFolder(folder);
    expect(holderOf(folder)).toBe(process.pid);
    release();
    expect(holderOf(folder)).toBeNull();
    writeFileSync(join(folder, "lumbet.lock"), "999999999 1\n");
    lockFolder(folder)();
    // The parent of this process lives: its lock holds.
    writeFileSync(join(folder, "lumbet.lock"), `${process.ppid} -\n`);
    expect(() => lockFolder(folder)).toThrow(FolderBusy);
  });
});

describe("the list of jobs", () => {
  it("is looked through by words in the name or the address, whatever they hold, and some at a time", async () => {
    const db = await openMemory();
    for (const [id, name, address] of [
      ["a", "North barn", "1 Hill"],
      ["b", "100% oak", "2 Hill"],
      ["c", "South_barn", "3 Dale"],
    ] as const)
      await addJob(db, { ...blankJob(id, name), address });
    const found = async (words: string): Promise<string[]> => (await listJobs(db, words)).map((j) => j.id).sort();
    expect(await found("BARN")).toEqual(["a", "c"]);
    expect(await found("hill")).toEqual(["a", "b"]);
    expect([await found("%"), await found("_"), await found("\\")]).toEqual([["b"], ["c"], []]);
    expect([await countJobs(db), await countJobs(db, "dale"), (await listJobs(db, "", 2)).length]).toEqual([3, 1, 2]);
    expect((await listJobs(db, "", 1))[0]!.id).toBe((await listJobs(db))[0]!.id);
    await setDeleted(db, "a", true);
    expect([await countJobs(db), await found("barn")]).toEqual([2, ["c"]]);
  });
});

describe("pictures beside a job", () => {
  it("come back as they were kept, only those the job names go into its file", async () => {
    const db = await openMemory();
    await addJob(db, job);
    await addPicture(db, job.id, { id: "p1", type: "image/png", data: "AAAA" });
    await addPicture(db, job.id, { id: "p2", type: "image/png", data: "BBBB" });
    expect(await pictureOf(db, job.id, "p1")).toEqual({ id: "p1", type: "image/png", data: "AAAA" });
    expect(await pictureOf(db, job.id, "none")).toBeNull();
    const named = {
      ...job,
      photos: [
        {
          id: "ph",
          wall: job.walls[0]!.id,
          deck: null,
          outside: null,
          picture: "p2",
          u: 0,
          v: 0,
          text: "",
          at: "2026-11-24",
        },
      ],
    };
    const file = readJobFile(writeJobFile(named, [], await picturesOf(db, job.id, picturesNamed(named))));
    expect(file.ok && file.file.pictures.map((p) => p.id)).toEqual(["p2"]);
  });
  it("are told by how they begin, not by their name", () => {
    expect(pictureKind(Uint8Array.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 1]))).toEqual({
      type: "image/png",
    });
    expect(pictureKind(new TextEncoder().encode("<svg/>"))).toEqual({
      message: "the file is no picture that is kept; PNG, JPEG and WebP are",
    });
    expect(pictureKind(new Uint8Array(0))).toEqual({ message: "the picture is empty" });
  });
});
