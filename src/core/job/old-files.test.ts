import { describe, expect, it } from "vitest";
import oneLight from "./old-files/v1-one-light.json";
import pinsAndTicks from "./old-files/v1-pins-and-ticks.json";
import { readJobFile, renamedInCatalogue, rowsForJob, writeJobFile } from "./file";
import { keyOfOldId, partsOfKey, pinId, runKey } from "./run-key";
import { VERSION, onePinAKey, upgraded } from "./upgrades";

const files: Record<string, unknown> = { "v1-one-light": oneLight, "v1-pins-and-ticks": pinsAndTicks };
const read = (x: unknown) => {
  const r = readJobFile(JSON.stringify(x));
  if (!r.ok) throw new Error(r.refusals.map((y) => `${y.path}: ${y.message}`).join("\n"));
  return r.file;
};

describe("files of every edition", () => {
  it.each(Object.keys(files))("%s opens, and written anew is of this edition and the same job", (name) => {
    const file = read(files[name]);
    const again = JSON.parse(writeJobFile(file.job, file.siteBook, file.pictures, file.catalogue)) as {
      version: number;
    };
    expect(again.version).toBe(VERSION);
    expect(read(again)).toEqual(file);
  });
  it("two pins of one run become one: the one a hand moved later", () => {
    const { job } = read(pinsAndTicks);
    expect(job.pins).toHaveLength(2);
    const [a, , b] = pinsAndTicks.job.pins;
    for (const p of job.pins) expect(p.id).toBe(pinId(p, p.number));
    const first = job.pins.find((p) => runKey(p) === runKey(a!))!;
    expect(first.legs[0]!.depth).toBe(a!.legs[0]!.depth + 5);
    expect(job.pins.some((p) => runKey(p) === runKey(b!))).toBe(true);
  });
  it("record lines name runs by key; a run whose points are gone keeps its old name", () => {
    const { siteBook } = read(pinsAndTicks);
    expect(siteBook.map((e) => partsOfKey(e.run) !== null)).toEqual([true, true, false]);
    expect(siteBook[0]!.run).toBe(runKey(pinsAndTicks.job.pins[0]!));
    expect(siteBook[1]!.run).toBe(runKey(pinsAndTicks.job.pins[2]!));
  });
  it("a version that is none is refused", () => {
    for (const version of [0, 3, 1.5, "1", null]) expect(upgraded({ ...oneLight, version })).toBeNull();
    expect(upgraded({ version: 1 })).toMatchObject({ version: 2 });
    expect(upgraded({ version: 1, job: { pins: "none" }, siteBook: [1, { run: 2 }] })).toMatchObject({ version: 2 });
  });
  it("refuses a point off its wall, with the point, the place and the wall's length", () => {
    const broken = structuredClone(pinsAndTicks) as {
      job: { points: { label: string; place: { on: string; u: number } }[] };
    };
    const p = broken.job.points.find((x) => x.place.on === "wall")!;
    p.place.u = -500;
    const r = readJobFile(JSON.stringify(broken));
    expect(r.ok).toBe(false);
    if (!r.ok)
      expect(r.refusals[0]!.message).toMatch(
        new RegExp(`^${p.label} is -500 from the left; wall \\d of Room \\d is \\d+ long`),
      );
  });
});

describe("keys of runs", () => {
  it("are told apart and put together again", () => {
    expect(runKey({ circuit: "c", from: "b", to: "a" })).toBe("c.a.b");
    expect(partsOfKey("c.a.b")).toEqual({ circuit: "c", from: "a", to: "b", number: 1 });
    expect(partsOfKey("c.a.b.2")).toEqual({ circuit: "c", from: "a", to: "b", number: 2 });
    for (const text of ["c.a", "c.a.b.0", "c.a.b.x", "c.a-b", "c.a.b.2.3", "c..b"]) expect(partsOfKey(text)).toBeNull();
  });
  it("come out of old ids wherever the dashes are", () => {
    const points = new Set(["p-1", "1", "board", "s-p"]);
    expect(keyOfOldId("r.board-p-1", points)).toBe("r.board.p-1");
    expect(keyOfOldId("r.p-1-board", points)).toBe("r.board.p-1");
    expect(keyOfOldId("r.s-p-1", points)).toBe("r.1.s-p");
    expect(keyOfOldId("r.board-x", points)).toBeNull();
    expect(keyOfOldId("nothing", points)).toBeNull();
    expect(keyOfOldId("r.1.board", points)).toBe("r.1.board");
  });
  it("make one pin each: later words go before earlier ones", () => {
    const p = (id: string, from: string, to: string) => ({ id, circuit: "c", from, to });
    expect(onePinAKey([p("pin-aaaaaaaa", "a", "b"), p("pin-bbbbbbbb", "b", "a")])).toMatchObject([{ from: "b" }]);
    expect(onePinAKey([p("pin-1a-9", "a", "b"), p("pin-bbbbbbbb", "b", "a")])).toMatchObject([{ from: "a" }]);
    expect(onePinAKey([p("x", "a", "b"), p("y", "a", "c")])).toHaveLength(2);
  });
});

describe("the user's own catalogue rows with a job", () => {
  const { job } = read(pinsAndTicks);
  const own = {
    id: "hp-2.5",
    name: "Heat-proof",
    family: "sheathed",
    csa: 2.5,
    cpc: 1.5,
    cores: 2,
    width: 10,
    thickness: 6,
    source: "maker's sheet",
  };
  const named = { ...job, circuits: job.circuits.map((c, i) => (i ? c : { ...c, cable: "hp-2.5" })) };
  it("travel where the job names them or they stand in place of a typical row, and only then", () => {
    const rows = [
      { table: "cables" as const, row: own },
      { table: "cables" as const, row: { ...own, id: "unused" } },
      { table: "cables" as const, row: { ...own, id: "te-2.5" } },
    ];
    expect(rowsForJob(named, rows).map((r) => r.row.id)).toEqual(["hp-2.5", "te-2.5"]);
    expect(rowsForJob(job, rows).map((r) => r.row.id)).toEqual(["te-2.5"]);
  });
  it("let a job be read that no catalogue here knows the cable of; without them it is refused by its field", () => {
    expect(readJobFile(writeJobFile(named)).ok).toBe(false);
    const file = readJobFile(writeJobFile(named, [], [], [{ table: "cables", row: own }]));
    expect(file.ok && file.file.catalogue[0]!.row.id).toBe("hp-2.5");
    const bad = JSON.parse(writeJobFile(named, [], [], [{ table: "cables", row: own }])) as {
      catalogue: { row: { width: number } }[];
    };
    bad.catalogue[0]!.row.width = -1;
    const r = readJobFile(JSON.stringify(bad));
    expect(!r.ok && r.refusals[0]!.path).toBe("catalogue.0.row.width");
  });
  it("can be called otherwise throughout", () => {
    const other = renamedInCatalogue(named, "cables", "hp-2.5", "hp-2.5-2");
    expect(other.circuits[0]!.cable).toBe("hp-2.5-2");
    expect(JSON.stringify(other)).not.toContain('"hp-2.5"');
    expect(renamedInCatalogue(named, "trunkings", "hp-2.5", "x").circuits).toEqual(named.circuits);
  });
});
