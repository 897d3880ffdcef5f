import { describe, expect, it } from "vitest";
import { blankJob } from "../job/model";
import { accessories, pointKinds } from "../rules/accessories";
import { LONG_SPAN, bearingsOn, clearSpans, innerWalls, usualDirection } from "./bearings";
import { layHouse } from "./house";
import { outsideFaces, outsideWallsAre } from "./outside-walls";
import { addPoint, addSeries } from "./places";
import { freeRoomName, kindOfName } from "./room-names";
import { addDeck, addRoom } from "./rooms";
import { apply, box, newId, room, twoRooms, wallOf } from "./two-rooms.fixture";
import { circuitKindFor, circuitUsuals, newCircuit } from "./usual-circuits";
import { rowsOf, stripOf } from "./unrolled";

const house = () => layHouse(twoRooms());

describe("outside walls told at once", () => {
  it("are those with no room behind them, and become alike in one step; inner, open and party walls stay as they are", () => {
    const h = house();
    // A and B stand side by side: wall 2 of A (east) and wall 0 of B (west) are one inner wall.
    const names = outsideFaces(h).map((f) => `${f.room.name}${f.wall.index}`);
    expect(names).toHaveLength(6);
    const inner = h.faces.filter((f) => f.opposite.length).map((f) => `${f.room.name}${f.wall.index}`);
    expect(inner.some((n) => names.includes(n))).toBe(false);
    const job = apply(h.job, outsideWallsAre(h, { build: "masonry", thickness: 300, insulated: true }));
    for (const w of job.walls) {
      const before = h.job.walls.find((x) => x.id === w.id)!;
      const f = h.faces[h.faceOfWall.get(w.id)!]!;
      if (f.opposite.length) expect(w).toEqual(before);
      else expect(w).toMatchObject({ build: "masonry", thickness: 300, insulated: true, backing: "outside" });
    }
    const party = { ...h.job, walls: h.job.walls.map((w, i) => (i === 0 ? { ...w, backing: "party" as const } : w)) };
    expect(outsideFaces(layHouse(party)).length).toBe(outsideFaces(h).length - (names.includes("A0") ? 1 : 0));
    const open = { ...h.job, walls: h.job.walls.map((w) => ({ ...w, build: "open" as const })) };
    expect(outsideFaces(layHouse(open))).toEqual([]);
  });
});

describe("bearings of a new deck", () => {
  it("offers the walls between rooms that stand across the joists, with how much of the deck they run under", () => {
    const h = house();
    expect(usualDirection(h.job, "ground")).toBe("north-south");
    const [wall, ...more] = innerWalls(h, "ground", "east-west");
    expect(more).toEqual([]);
    expect(wall).toMatchObject({ from: 3600, to: 3700, share: 1, masonry: false });
    expect([...wall!.between].sort()).toEqual(["A", "B"]);
    expect(innerWalls(h, "ground", "north-south")).toEqual([]);
  });
  it("reckons clear spans from bearing to bearing, and the deck is laid with them", () => {
    const h = house();
    const walls = innerWalls(h, "ground", "east-west");
    const without = bearingsOn(h.job, "ground", "east-west", []);
    const on = bearingsOn(h.job, "ground", "east-west", walls);
    expect(clearSpans(without)).toEqual([7300]);
    expect(clearSpans(without)[0]).toBeGreaterThan(LONG_SPAN);
    expect(clearSpans(on)).toEqual([3600, 3600]);
    const job = { ...h.job, decks: [], points: [] };
    const made = addDeck(job, "ground", "solid-joists", newId, { direction: "east-west", bearings: on });
    if (typeof made === "string") throw new Error(made);
    const laid = layHouse(apply(job, made.changes)).decks[0]!;
    expect(laid.joists[0]!.spans.map(([a, b]) => b - a)).toEqual([3600, 3600]);
  });
  it("is refused in words where there is no room under it", () => {
    expect(addDeck(blankJob("j", "Empty"), "ground", "solid-joists", newId)).toMatch(/Add a room first/);
  });
});

describe("circuits that are made when they are first needed", () => {
  it("a first socket makes a ring, a first light its lighting, a cooker its own; the next join what is there", () => {
    let job = twoRooms();
    const put = (kind: Parameters<typeof addPoint>[3]): void => {
      const made = addPoint(layHouse(job), room(job, "A"), null, kind, 1, null, newId);
      if (typeof made === "string") throw new Error(made);
      job = apply(job, made.changes);
    };
    for (const kind of ["socket", "light", "switch", "cooker-control", "socket", "smoke-alarm", "fused-unit"] as const)
      put(kind);
    expect(job.circuits.map((c) => [c.label, c.name, c.kind, c.points.length])).toEqual([
      ["R1", "Sockets", "ring", 2],
      ["LI1", "Lights", "lighting", 3],
      ["CK1", "Cooker", "cooker", 1],
    ]);
    expect(job.circuits.every((c) => c.way === null)).toBe(true);
    // The first board takes them on, in the order of their labels; a second one takes none.
    put("board");
    expect(job.circuits.map((c) => [c.label, c.way])).toEqual([
      ["R1", 3],
      ["LI1", 2],
      ["CK1", 1],
    ]);
    job = { ...job, circuits: job.circuits.map((c) => (c.label === "CK1" ? { ...c, way: null } : c)) };
    const ways = job.circuits.map((c) => c.way);
    put("board");
    expect(job.circuits.map((c) => c.way)).toEqual(ways);
    expect(newCircuit(job, "shower", newId).way).toBe(1);
    // A second of a kind has a label and a name of its own.
    expect(newCircuit(job, "ring", newId)).toMatchObject({ label: "R2", name: "Sockets 2" });
  });
  it("a series makes one circuit for all of it", () => {
    const job = twoRooms();
    const h = layHouse(job);
    const face = h.faces[h.faceOfWall.get(wallOf(job, "B", 1).id)!]!;
    const made = addSeries(
      h,
      face,
      { kind: "socket", gang: 2, count: 3, from: 0, to: 3600, v: 450, how: "between" },
      null,
      newId,
    );
    if (typeof made === "string") throw new Error(made);
    const after = apply(job, made.changes);
    expect(after.circuits).toHaveLength(1);
    expect(after.circuits[0]!.points).toEqual(made.points);
  });
  it("has no letters that begin a point's label, so that no name is of two things", () => {
    const points = new Set(pointKinds.map((k) => accessories[k].letter));
    for (const { letters } of Object.values(circuitUsuals)) expect(points.has(letters)).toBe(false);
    expect(circuitKindFor("fused-unit")).toBeNull();
  });
});

describe("names of rooms", () => {
  it("tell their kind, and a free one is offered", () => {
    expect(["Kitchen", "En suite", "Front hall", "Bed 2", "Snug", "Larder", "Room 4"].map(kindOfName)).toEqual([
      "kitchen",
      "bathroom",
      "hall",
      "bedroom",
      "living",
      "store",
      null,
    ]);
    expect(freeRoomName({ rooms: [] })).toBe("Room 1");
    const rooms = [{ name: "Room 2" }] as Parameters<typeof freeRoomName>[0]["rooms"];
    expect(freeRoomName({ rooms })).toBe("Room 3");
  });
});

describe("rows of the unrolled room", () => {
  const strip = () => {
    let job = blankJob("j", "One");
    job = apply(
      job,
      addRoom(
        job,
        {
          storey: "ground",
          name: "A",
          kind: "other",
          outline: box(0, 0, 4000, 3000),
          height: 2400,
          build: "stud",
          thickness: 100,
        },
        newId,
      ).changes,
    );
    return stripOf(layHouse(job), job.rooms[0]!.id);
  };
  it("are two where walls come out larger by a seventh or so, parted so that both are as short as can be", () => {
    const s = strip();
    const two = rowsOf(s, 3500, { width: 800, height: 560 });
    expect(two.second).toBe(2);
    expect(two.spans).toEqual([
      [0, 7000],
      [7000, 14_000],
    ]);
    // Of 14 000 × 3 500 one row fits a frame of 4 : 1 as well as can be.
    expect(rowsOf(s, 3500, { width: 1600, height: 400 }).second).toBeNull();
    // By a hair less than 1.15 times larger it stays one row: 1.15 × 7000 / 14 000.
    expect(rowsOf(s, 3500, { width: 1000, height: (1.149 * 2 * 3500 * 1000) / 14_000 }).second).toBeNull();
    expect(rowsOf(s, 3500, { width: 1000, height: (1.151 * 2 * 3500 * 1000) / 14_000 }).second).toBe(2);
  });
});
