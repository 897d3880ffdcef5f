import { describe, expect, it } from "vitest";
import type { Job } from "../job/model";
import { pointSchema } from "../job/wiring";
import { layHouse } from "./house";
import { addDeck, addStorey, copyRoom, nextLabel, removeRoom, removeStorey, withoutPoints } from "./rooms";
import { apply, box, newId, pinned, room, twoRooms, wallOf, withCircuit } from "./two-rooms.fixture";

describe("rooms and storeys", () => {
  it("copies a room with all in it; mirrored twice it is itself again", () => {
    const job = twoRooms();
    const a = room(job, "A");
    const once = copyRoom(job, a, { dx: 0, dy: 5000, storey: "ground", mirror: true, points: true, name: "M" }, newId);
    const one = apply(job, once.changes);
    expect(one.points).toHaveLength(8);
    expect(room(one, "M").outline).toEqual(box(0, 5000, 3600, 3000));
    // The door 500 from the left of the south wall stands 500 from its right.
    expect(one.openings.find((o) => o.wall === wallOf(one, "M", 3).id)!.u).toBe(3600 - 500 - 838);
    const two = apply(
      one,
      copyRoom(one, room(one, "M"), { dx: 0, dy: 5000, storey: "ground", mirror: true, points: true, name: "N" }, newId)
        .changes,
    );
    const plain = (j: Job, name: string) =>
      layHouse(j)
        .faces.filter((f) => f.room.name === name)
        .map((f) => [f.shape.length, f.shape.openings, f.points.map((p) => [p.u, p.v])]);
    expect(plain(two, "N")).toEqual(plain(two, "A"));
    expect(new Set(two.points.map((p) => p.label)).size).toBe(two.points.length);
  });
  it("takes a room out with all that names it", () => {
    const job = twoRooms();
    const after = apply(job, removeRoom(job, room(job, "A").id));
    expect(after.rooms.map((r) => r.name)).toEqual(["B"]);
    expect(after.points.map((p) => p.label)).toEqual(["L1"]);
    expect(after.openings).toEqual([]);
  });
  it("puts a storey on the deck over the one below, and takes an empty one out", () => {
    const job = twoRooms();
    const up = addStorey(job, "above", "First floor", newId);
    const two = apply(job, up.changes);
    // Deck underside 2415, joists 195, boards 22.
    expect(two.storeys.find((s) => s.id === up.storey)!.level).toBe(2632);
    expect(removeStorey(two, "ground")).toMatch(/still has 2 rooms/);
    expect(apply(two, removeStorey(two, up.storey))).toEqual(job);
  });
});

describe("points taken out", () => {
  const full = (): { job: Job; ids: string[] } => {
    let job = twoRooms();
    const ids = job.points.filter((p) => p.kind === "socket").map((p) => p.id);
    job = withCircuit(job, "c1", ids.slice(0, 2), { spurs: [{ point: ids[2], from: ids[0] }] });
    const light = job.points.find((p) => p.kind === "light")!;
    const found = {
      id: "f1",
      from: ids[0],
      to: ids[1],
      cable: "",
      colours: "unknown",
      fate: "keep",
      traced: [],
      note: "",
    };
    return {
      job: apply(job, [
        { collection: "points", id: light.id, before: light, after: { ...light, controls: [ids[0]!] } },
        pinned("c1", ids[0]!, ids[1]!),
        { collection: "foundCables", id: "f1", before: null, after: found },
        { collection: "foundCables", id: "f2", before: null, after: { ...found, id: "f2", from: ids[1], to: ids[2] } },
      ]),
      ids,
    };
  };
  it("leaves nothing that names them: circuit, spurs, pins, found cables, what works them", () => {
    const { job, ids } = full();
    const after = apply(job, withoutPoints(job, new Set([ids[0]!])));
    expect(after.points.some((p) => p.id === ids[0])).toBe(false);
    // The spur hung on the point that is gone.
    expect(after.circuits[0]).toMatchObject({ points: [ids[1]], spurs: [] });
    expect(after.pins).toEqual([]);
    expect(after.foundCables.map((f) => f.id)).toEqual(["f2"]);
    expect(after.points.find((p) => p.kind === "light")!.controls).toEqual([]);
  });
  it("nor do cables given to runs, those from a board that no circuit names too, and gangs of a light that is gone", () => {
    const { job, ids } = full();
    const own = (from: string, to: string) => ({ from, to, number: 1, cable: "te-4" });
    const c = job.circuits[0]!;
    const light = job.points.find((p) => p.kind === "light")!;
    const given = apply(job, [
      {
        collection: "circuits",
        id: c.id,
        before: c,
        after: { ...c, runCables: [own(light.id, ids[1]!), own(ids[0]!, ids[1]!)] },
      },
      {
        collection: "points",
        id: light.id,
        before: light,
        after: { ...light, gangOf: { [ids[0]!]: 2, [ids[1]!]: 1 } },
      },
    ]);
    // The light is on none of the circuit's lists, and its cable goes with it all the same.
    expect(apply(given, withoutPoints(given, new Set([light.id]))).circuits[0]!.runCables).toEqual([
      own(ids[0]!, ids[1]!),
    ]);
    const after = apply(given, withoutPoints(given, new Set([ids[0]!])));
    expect(after.circuits[0]!.runCables).toEqual([own(light.id, ids[1]!)]);
    expect(after.points.find((p) => p.kind === "light")!.gangOf).toEqual({ [ids[1]!]: 1 });
  });
  it("takes only the spur where only its end goes, and lets a found cable end untraced", () => {
    const { job, ids } = full();
    const after = apply(job, withoutPoints(job, new Set([ids[2]!])));
    expect(after.circuits[0]).toMatchObject({ points: ids.slice(0, 2), spurs: [] });
    expect(after.pins).toHaveLength(1);
    expect(after.foundCables).toMatchObject([
      { id: "f1", to: ids[1] },
      { id: "f2", from: ids[1], to: null },
    ]);
    expect(after.points.find((p) => p.kind === "light")!.controls).toEqual([ids[0]]);
  });
  it("a board taken out leaves its circuits without one", () => {
    let { job } = full();
    const wall = wallOf(job, "B", 1).id;
    const board = { ...job.points[0]!, id: "db", label: "DB1", kind: "board", gang: 1, ways: 6, controls: [] };
    job = apply(job, [
      {
        collection: "points",
        id: "db",
        before: null,
        after: { ...board, place: { on: "wall", wall, u: 900, v: 1500 } },
      },
    ]);
    job = withCircuit(job, "c2", [], { board: "db", way: 1 });
    const after = apply(job, withoutPoints(job, new Set(["db"])));
    expect(after.circuits.map((c) => [c.id, c.board])).toEqual([
      ["c1", null],
      ["c2", null],
    ]);
    expect(withoutPoints(job, new Set())).toEqual([]);
  });
  it("a room goes with its photos, found trunkings and parts kept free, and no other room's", () => {
    let job = twoRooms();
    for (const name of ["A", "B"]) {
      const wall = wallOf(job, name, 1).id;
      job = apply(job, [
        {
          collection: "photos",
          id: `ph${name}`,
          before: null,
          after: { id: `ph${name}`, wall, picture: "p", u: 100, v: 100, text: "", at: "2026-01-05T10:00:00.000Z" },
        },
        {
          collection: "foundTrunkings",
          id: `t${name}`,
          before: null,
          after: { id: `t${name}`, wall, size: "25x16", from: { u: 300, v: 1500 }, to: { u: 300, v: 2400 }, holds: [] },
        },
        {
          collection: "forbidden",
          id: `k${name}`,
          before: null,
          after: { id: `k${name}`, name: "", place: { on: "wall", wall, u: 50, v: 60, width: 70, height: 80 } },
        },
      ]);
    }
    // An old cable from one room into the other: what was traced of it in the room that goes is forgotten.
    const from = pointSchema.parse({
      id: "s",
      label: "S9",
      kind: "socket",
      place: { on: "wall", wall: wallOf(job, "B", 1).id, u: 50, v: 450 },
    });
    job = apply(job, [{ collection: "points", id: "s", before: null, after: from }]);
    const stretch = (name: string) => ({
      wall: wallOf(job, name, 1).id,
      from: { u: 50, v: 90 },
      to: { u: 50, v: 2000 },
    });
    const cable = { id: "f", from: from.id, to: null, cable: "", colours: "old", fate: "keep", note: "" };
    job = apply(job, [
      {
        collection: "foundCables",
        id: "f",
        before: null,
        after: { ...cable, traced: [stretch("A"), stretch("B")] },
      },
    ]);
    const after = apply(job, removeRoom(job, room(job, "A").id));
    expect(after.foundCables.map((f) => f.traced)).toEqual([[stretch("B")]]);
    expect([after.photos, after.foundTrunkings, after.forbidden].map((l) => l.map((x) => x.id))).toEqual([
      ["phB"],
      ["tB"],
      ["kB"],
    ]);
    expect(after.walls).toHaveLength(4);
    expect(after.fixtures).toEqual([]);
  });
});

describe("labels, storeys and decks", () => {
  it("the next label is the first that is free", () => {
    const taken = new Set(["S1", "S3"]);
    expect([nextLabel(taken, "socket"), nextLabel(taken, "socket"), nextLabel(taken, "light")]).toEqual([
      "S2",
      "S4",
      "L1",
    ]);
    expect(taken).toEqual(new Set(["S1", "S2", "S3", "S4", "L1"]));
  });
  it("a storey without a deck between lies 232 over the ceiling; one below 232 and its own height down", () => {
    const job = { ...twoRooms(), decks: [], points: [] };
    const level = (where: "above" | "below", j: Job): number =>
      (addStorey(j, where, "x", newId).changes[0]!.after as { level: number }).level;
    expect(level("above", job)).toBe(2400 + 232);
    expect(level("below", job)).toBe(-232 - 2400);
    const deck = twoRooms().decks[0]!;
    const at = (underside: number, more = {}): Job => ({ ...job, decks: [{ ...deck, underside, ...more }] });
    // 195 deep with 22 of boards; a deck from 100 below the ceiling to 450 above it is the one between.
    expect(level("above", at(2500))).toBe(2500 + 217);
    expect(level("above", at(2300))).toBe(2300 + 217);
    expect(level("above", at(2850))).toBe(2850 + 217);
    expect(level("above", at(2851))).toBe(2632);
    // Of two the lower: over it people stand.
    const both = [2700, 2415].map((underside, i) => ({ ...deck, id: `d${i}`, underside }));
    expect(level("above", { ...job, decks: both })).toBe(2415 + 217);
    expect(level("above", at(2299))).toBe(2632);
    expect(level("above", at(2415, { kind: "concrete" }))).toBe(2632);
  });
  it("says why a storey stays: gone already, rooms on it, the last", () => {
    const job = twoRooms();
    expect(removeStorey(job, "none")).toMatch(/no longer there/);
    expect(removeStorey(job, "ground")).toMatch(/still has 2 rooms; delete or move them/);
    const one = { ...job, rooms: job.rooms.slice(0, 1) };
    expect(removeStorey(one, "ground")).toMatch(/still has 1 room;/);
    expect(removeStorey({ ...job, rooms: [] }, "ground")).toMatch(/at least one storey/);
  });
  it("a deck spans the rooms' short way on bearings at its edges; a slab lies under the floor and has no joists to bear", () => {
    const job = twoRooms();
    const made = (kind: "solid-joists" | "concrete", j: Job = job) => {
      const d = addDeck(j, "ground", kind, newId);
      if (typeof d === "string") throw new Error(d);
      return d.changes[0]!.after as Job["decks"][number];
    };
    // 7300 east–west, 3000 north–south: joists run north–south, 15 over the ceiling of 2400.
    expect(made("solid-joists")).toMatchObject({
      name: "Deck over ground floor",
      underside: 2415,
      outline: box(0, 0, 7300, 3000),
      joists: {
        direction: "north-south",
        depth: 195,
        bearings: [
          [-100, 0],
          [3000, 3100],
        ],
      },
      boards: { thickness: 22 },
    });
    const narrow = { ...job, rooms: job.rooms.slice(0, 1).map((r) => ({ ...r, outline: box(0, 0, 2000, 3000) })) };
    expect(made("solid-joists", narrow).joists).toMatchObject({
      direction: "east-west",
      bearings: [
        [-100, 0],
        [2000, 2100],
      ],
    });
    expect(made("concrete")).toMatchObject({
      name: "Slab under ground floor",
      underside: -150,
      joists: { depth: 150, bearings: [] },
      boards: { thickness: 0 },
    });
    expect(addDeck({ ...job, rooms: [] }, "ground", "concrete", newId)).toMatch(/Add a room first/);
    const yard = { ...job, rooms: job.rooms.map((r) => ({ ...r, kind: "yard" as const })) };
    expect(addDeck(yard, "ground", "concrete", newId)).toMatch(/Add a room first/);
  });
});

describe("a copy of a room", () => {
  it("without points has none; on another storey its ceiling points stay behind; controls go to the copies", () => {
    const base = twoRooms();
    const [s1, l1] = [base.points.find((p) => p.label === "S1")!, base.points.find((p) => p.label === "L1")!];
    const job = apply(base, [
      { collection: "points", id: s1.id, before: s1, after: { ...s1, controls: [l1.id], existing: true } },
    ]);
    const to = { dx: 0, dy: 6000, storey: "ground", mirror: false, points: true, name: "C" };
    const copy = (more: object): Job => apply(job, copyRoom(job, room(job, "A"), { ...to, ...more }, newId).changes);
    expect(copy({ points: false }).points).toHaveLength(4);
    const same = copy({});
    const [sCopy, lCopy] = [same.points.find((p) => p.label === "S4")!, same.points.find((p) => p.label === "L2")!];
    expect(sCopy).toMatchObject({ controls: [lCopy.id], existing: false, place: { u: 500, v: 450 } });
    expect(lCopy.place).toMatchObject({ x: 1800, y: 7500 });
    const up = apply(job, addStorey(job, "above", "First", newId).changes);
    const storey = up.storeys.find((s) => s.name === "First")!.id;
    const above = apply(up, copyRoom(up, room(up, "A"), { ...to, storey }, newId).changes);
    expect(above.points.filter((p) => p.kind === "light")).toHaveLength(1);
    // A copied point without a copy of what it worked still works the old one.
    expect(above.points.find((p) => p.label === "S4")!.controls).toEqual([l1.id]);
  });
  it("turned over, its start wall and slopes are the mirrored ones", () => {
    const job = twoRooms();
    const a = { ...room(job, "A"), startWall: 0, slopes: [{ wall: 3, eaves: 1800, pitch: 30 }] };
    const made = copyRoom(job, a, { dx: 0, dy: 0, storey: "ground", mirror: true, points: false, name: "M" }, newId);
    // Sides 0 and 2 (west and east) change places; 1 and 3 stay.
    expect(made.changes[0]!.after).toMatchObject({ startWall: 2, slopes: [{ wall: 3 }] });
    expect(
      layHouse(apply(job, made.changes))
        .faces.filter((f) => f.room.name === "M")
        .map((f) => f.shape.length),
    ).toEqual([3000, 3600, 3000, 3600]);
  });
});
