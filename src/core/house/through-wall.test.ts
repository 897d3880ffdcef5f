import { describe, expect, it } from "vitest";
import { type Job, jobSchema } from "../job/model";
import { makePlan } from "../plan/plan";
import { layHouse } from "./house";

const box = (x: number, y: number, w: number, d: number) => [
  { x, y },
  { x, y: y + d },
  { x: x + w, y: y + d },
  { x: x + w, y },
];
/** A kitchen of 5 000 × 3 000; north of it a lounge over its first 2 000 and a hall over the rest, walls of 100 between. */
const house = (more: object = {}, thickness = 100): Job => {
  const rooms = [
    { id: "k", storey: "g", name: "Kitchen", kind: "kitchen", height: 2400, outline: box(0, 0, 5000, 3000) },
    {
      id: "l",
      storey: "g",
      name: "Lounge",
      kind: "living",
      height: 2400,
      outline: box(0, 3000 + thickness, 2000, 2900),
    },
    {
      id: "h",
      storey: "g",
      name: "Hall",
      kind: "hall",
      height: 2400,
      outline: box(2100, 3000 + thickness, 2900, 2900),
    },
  ];
  const inner = new Set(["k1", "l2", "l3", "h0", "h3"]);
  return jobSchema.parse({
    id: "j",
    name: "J",
    storeys: [{ id: "g", name: "G", level: 0, height: 2400 }],
    rooms,
    walls: rooms.flatMap((r) =>
      [0, 1, 2, 3].map((index) => ({
        id: `${r.id}${index}`,
        room: r.id,
        index,
        build: inner.has(`${r.id}${index}`) ? "stud" : "masonry",
        thickness: !inner.has(`${r.id}${index}`) ? 300 : index === 1 || index === 3 ? thickness : 100,
      })),
    ),
    openings: [],
    fixtures: [],
    decks: [],
    points: [],
    circuits: [],
    pins: [],
    drums: [],
    ...more,
  });
};
const socket = (id: string, wall: string, u: number, v = 450) => ({
  id,
  label: id.toUpperCase(),
  kind: "socket",
  gang: 2,
  place: { on: "wall", wall, u, v },
});
const face = (job: Job, wall: string) => {
  const h = layHouse(job);
  return h.faces[h.faceOfWall.get(wall)!]!;
};

describe("a wall seen from both its faces", () => {
  const door = { id: "o", wall: "l3", kind: "door", u: 1000, v: 0, width: 800, height: 2040 };
  it("a door given in the lounge is a hole in the kitchen's wall too, turned over left for right", () => {
    // The lounge's south wall runs west from x 2 000: 1 000 … 1 800 along it is x 200 … 1 000, and so u of the kitchen's wall.
    const kitchen = face(house({ openings: [door] }), "k1");
    expect(kitchen.openings).toEqual([{ ...door, room: "Lounge", u: 200 }]);
    expect(kitchen.shape.openings).toEqual([{ u: 200, v: 0, width: 800, height: 2040 }]);
    const lounge = face(house({ openings: [door] }), "l3");
    expect(lounge.openings).toEqual([{ ...door, room: "Lounge" }]);
    // No other wall has it.
    for (const w of ["h3", "k0", "k2", "l2"]) expect(face(house({ openings: [door] }), w).openings).toEqual([]);
  });
  it("only what lies before a face is seen of it: past the corner, under its floor and over its ceiling it ends", () => {
    const wide = { ...door, id: "w", wall: "k1", u: 1500, width: 1000 };
    expect(face(house({ openings: [wide] }), "l3").openings).toMatchObject([{ u: 0, width: 500 }]);
    expect(face(house({ openings: [wide] }), "h3").openings).toMatchObject([{ u: 2500, width: 400 }]);
    const low = house({ openings: [{ ...door, v: 1900, height: 400 }] });
    const rooms = low.rooms.map((r) => (r.id === "k" ? { ...r, height: 2000 } : r));
    expect(face({ ...low, rooms }, "k1").openings).toMatchObject([{ v: 1900, height: 100 }]);
    const step = house({ openings: [door] });
    const raised = {
      ...step,
      storeys: [...step.storeys, { id: "s", name: "Up a step", level: 180, height: 2400 }],
      rooms: step.rooms.map((r) => (r.id === "k" ? { ...r, storey: "s" } : r)),
    };
    expect(face(raised, "k1").openings).toMatchObject([{ v: 0, height: 1860 }]);
  });
  it("given on both faces it is one opening to look at, and all of both is a hole", () => {
    const twice = house({ openings: [door, { ...door, id: "p", wall: "k1", u: 250 }] });
    const kitchen = face(twice, "k1");
    expect(kitchen.openings.map((o) => o.id)).toEqual(["p"]);
    expect(kitchen.shape.openings.map((o) => o.u)).toEqual([250, 200]);
  });
  it("a point in a doorway given on the other face is told, with where to move it", () => {
    const job = house({ openings: [door], points: [socket("s", "k1", 600)] });
    const told = makePlan(job).facts.filter((f) => f.rule === "point.in-opening");
    // A 2-gang plate is 146 wide: clear of the door at 1 000 + 73.
    expect(told).toMatchObject([{ subject: { id: "s" }, of: { opening: "door", u: 1073 } }]);
  });
  it("a strip from the other face ends at the corner of the room its point stands in", () => {
    const job = house({ points: [socket("s", "l3", 1000, 450)] });
    const strips = face(job, "k1").zones.filter((z) => z.kind === "reverse-horizontal");
    expect(strips).toMatchObject([{ pointId: "s", u0: 0, u1: 2000 }]);
    // From the kitchen's side there is no corner there: its own strips go on to the kitchen's.
    const other = house({ points: [socket("s", "k1", 1000, 450)] });
    expect(face(other, "k1").zones.find((z) => z.kind === "point-horizontal")).toMatchObject({ u0: 0, u1: 5000 });
    expect(face(other, "l3").zones.find((z) => z.kind === "reverse-horizontal")).toMatchObject({ u0: 0, u1: 2000 });
    // Through a thicker wall none is carried.
    expect(face(house({ points: [socket("s", "l3", 1000)] }, 110), "k1").zones.some((z) => z.pointId === "s")).toBe(
      false,
    );
  });
  it("a strip from the other face goes no higher than the ceiling over its point", () => {
    const job = house({ points: [socket("s", "l3", 1000, 450)] });
    const rooms = job.rooms.map((r) => (r.id === "l" ? { ...r, height: 2100 } : r));
    expect(face({ ...job, rooms }, "k1").zones.find((z) => z.kind === "reverse-vertical")).toMatchObject({
      v0: 0,
      v1: 2100,
    });
    // Under a ceiling that falls from 2 400 at the east to 1 600 at the west, over x 927 … 1 073 it is lowest at 927.
    const sloped = job.rooms.map((r) =>
      r.id === "l" ? { ...r, slopes: [{ wall: 0, eaves: 1600, pitch: 21.8014094863518 }] } : r,
    );
    const up = face({ ...job, rooms: sloped }, "k1").zones.find((z) => z.kind === "reverse-vertical")!;
    expect(up.v1).toBeCloseTo(1600 + 927 * 0.4, 3);
  });
  it("doors seen or not, the board's cable goes round them: across the doorway there is no way", () => {
    const board = { id: "db", label: "DB", kind: "board", ways: 6, place: { on: "wall", wall: "k1", u: 100, v: 1400 } };
    const circuit = {
      id: "c",
      label: "C1",
      name: "C",
      kind: "radial",
      device: { rating: 20 },
      rcd: 30,
      cable: "te-2.5",
      way: 1,
      points: ["s"],
    };
    const job = house({ openings: [door], points: [board, socket("s", "k1", 1600, 450)], circuits: [circuit] });
    const { runs } = makePlan(job);
    expect(runs).toHaveLength(1);
    for (const l of runs[0]!.legs) for (const [x, , z] of l.path) expect(x > 200 && x < 1000 && z < 2040).toBe(false);
    expect(runs[0]!.legs.some((l) => l.path[0]![2] > 2040)).toBe(true);
  });
});
