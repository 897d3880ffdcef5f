import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { toFace, toSpace } from "../base/wall-frame";
import { layHouse } from "./house";
import { checkInvariants } from "../job/invariants";
import { type Job, type Room, blankJob } from "../job/model";
import { type Change, applyPatch, inverse } from "../job/patch";
import { addPoint, addSeries, align, copyPoints, equalPlaces, paintCircuit, wireAs } from "./places";
import { alignRoom, joinWalls, moveCorner, moveRoom, moveWall, setWall, splitWall, turnRoom } from "./reshape";
import { addDeck, addRoom, addStorey, copyRoom, removeRoom, removeStorey } from "./rooms";

let next = 0;
const newId = (p: string): string => `${p}${++next}`;
const box = (x: number, y: number, w: number, d: number) => [
  { x, y },
  { x, y: y + d },
  { x: x + w, y: y + d },
  { x: x + w, y },
];
const apply = (job: Job, changes: Change[] | string): Job => {
  if (typeof changes === "string") throw new Error(changes);
  const out = applyPatch(job, changes);
  expect(checkInvariants(out)).toEqual([]);
  // Whatever is done can be undone.
  expect(applyPatch(out, inverse(changes))).toEqual(job);
  return out;
};
const room = (job: Job, name: string): Room => job.rooms.find((r) => r.name === name)!;
const wallOf = (job: Job, name: string, index: number) =>
  job.walls.find((w) => w.room === room(job, name).id && w.index === index)!;

/** Two rooms 100 apart, a deck over both, a door, a bath, three sockets and a light. */
function twoRooms(): Job {
  let job = blankJob("j", "Two rooms");
  const add = (name: string, x: number) =>
    (job = apply(
      job,
      addRoom(
        job,
        {
          storey: "ground",
          name,
          kind: "bedroom",
          outline: box(x, 0, 3600, 3000),
          height: 2400,
          build: "stud",
          thickness: 100,
        },
        newId,
      ).changes,
    ));
  add("A", 0);
  add("B", 3700);
  const d = addDeck(job, "ground", "solid-joists", newId);
  job = apply(job, typeof d === "string" ? d : d.changes);
  job = apply(job, [
    {
      collection: "openings",
      id: "door",
      before: null,
      after: { id: "door", wall: wallOf(job, "A", 3).id, kind: "door", u: 500, v: 0, width: 838, height: 2040 },
    },
    {
      collection: "fixtures",
      id: "bath",
      before: null,
      after: {
        id: "bath",
        wall: wallOf(job, "A", 1).id,
        kind: "bath",
        name: "",
        u: 200,
        v: 0,
        width: 1700,
        height: 560,
        depth: 700,
      },
    },
  ]);
  const h = layHouse(job);
  const s = addSeries(
    h,
    h.faces.find((f) => f.wall.id === wallOf(job, "A", 2).id)!,
    { kind: "socket", gang: 2, count: 3, from: 0, to: 3000, v: 450, how: "between" },
    null,
    newId,
  );
  job = apply(job, typeof s === "string" ? s : s.changes);
  const l = addPoint(layHouse(job), room(job, "A"), null, "light", 1, null, newId);
  return apply(job, typeof l === "string" ? l : l.changes);
}
const inSpace = (job: Job): Map<string, number[]> =>
  new Map(layHouse(job).points.map((p) => [p.point.label, p.space.map((x) => Math.round(x * 5) / 5)]));

describe("reshaping rooms", () => {
  it("moving a corner leaves what is on the walls in its place", () => {
    const job = twoRooms();
    const after = apply(job, moveCorner(job, room(job, "A"), 0, { x: 0, y: -500 }));
    expect(layHouse(after).faces.find((f) => f.room.name === "A" && f.wall.index === 0)!.shape.length).toBe(3500);
    expect(inSpace(after)).toEqual(inSpace(job));
  });
  it("moving a shared wall moves both its faces and keeps its thickness", () => {
    const job = twoRooms();
    const after = apply(job, moveWall(job, room(job, "A"), 2, -300));
    expect(room(after, "A").outline[2]!.x).toBe(3900);
    expect(room(after, "B").outline[0]!.x).toBe(4000);
    const f = layHouse(after).faces.find((x) => x.room.name === "A" && x.wall.index === 2)!;
    expect(f.opposite).toHaveLength(1);
  });
  it("splits a wall beside its door, not through it, and joins it again to the same job", () => {
    const job = twoRooms();
    expect(splitWall(job, room(job, "A"), 3, 900, newId)).toMatch(/lies across 900/);
    expect(splitWall(job, room(job, "A"), 3, 5, newId)).toMatch(/must be between 10 and 3.590/);
    const split = apply(job, splitWall(job, room(job, "A"), 2, 1200, newId));
    expect(room(split, "A").outline).toHaveLength(5);
    expect(inSpace(split)).toEqual(inSpace(job));
    const back = apply(split, joinWalls(split, room(split, "A"), 2));
    expect(back).toEqual(job);
  });
  it("joining over the first corner renumbers the rest and keeps everything in place", () => {
    const job = twoRooms();
    const split = apply(job, splitWall(job, room(job, "A"), 3, 3000, newId));
    const after = apply(split, joinWalls(split, room(split, "A"), 4));
    expect(room(after, "A").outline).toHaveLength(4);
    expect(
      layHouse(after)
        .faces.filter((f) => f.room.name === "A")
        .map((f) => f.wall.index),
    ).toEqual([0, 1, 2, 3]);
    const triangle = { ...room(job, "A"), outline: room(job, "A").outline.slice(0, 3) };
    expect(joinWalls(job, triangle, 0)).toMatch(/three walls/);
  });
  it("moves and turns a room with its ceiling points", () => {
    const job = twoRooms();
    const moved = apply(job, moveRoom(job, room(job, "A"), 0, 200));
    expect(inSpace(moved).get("L1")).toEqual([1800, 1700, 2415]);
    const turned = apply(job, turnRoom(job, room(job, "A"), 90));
    expect(
      layHouse(turned)
        .faces.filter((f) => f.room.name === "A")
        .map((f) => f.shape.length),
    ).toEqual([3000, 3600, 3000, 3600]);
  });
  it("sets a room against another: one wall, two faces, the thickness asked for, whatever way it stood", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 3 }),
        fc.integer({ min: 0, max: 3 }),
        fc.integer({ min: 60, max: 500 }),
        fc.integer({ min: 0, max: 359 }),
        fc.constantFrom("left" as const, "right" as const, "middle" as const),
        (mine, other, thickness, turn, lineUp) => {
          let job = twoRooms();
          job = applyPatch(job, turnRoom(job, room(job, "B"), turn));
          job = applyPatch(job, moveRoom(job, room(job, "B"), 20_000, -9000));
          const after = apply(
            job,
            alignRoom(job, room(job, "B"), mine, { room: room(job, "A"), side: other }, thickness, lineUp),
          );
          const h = layHouse(after);
          const [a, b] = [
            h.faces.find((f) => f.room.name === "A" && f.wall.index === other)!,
            h.faces.find((f) => f.room.name === "B" && f.wall.index === mine)!,
          ];
          expect(a.opposite).toEqual([b.n]);
          expect(toFace(a.frame, b.frame.origin).into).toBeCloseTo(-thickness, 0);
          const left = toFace(a.frame, toSpace(b.frame, { u: b.shape.length, v: 0 })).u;
          const want = {
            left: 0,
            right: a.shape.length - b.shape.length,
            middle: (a.shape.length - b.shape.length) / 2,
          }[lineUp];
          expect(left).toBeCloseTo(want, 0);
        },
      ),
      { numRuns: 40 },
    );
    const job = twoRooms();
    expect(alignRoom(job, room(job, "A"), 0, { room: room(job, "A"), side: 1 }, 100, "left")).toMatch(/own wall/);
  });
  it("keeps build on both faces, and refuses a thickness the rooms contradict", () => {
    const job = twoRooms();
    const after = apply(job, setWall(job, wallOf(job, "A", 2), { build: "metal-stud", thickness: 120 }));
    expect(wallOf(after, "B", 0)).toMatchObject({ build: "metal-stud", thickness: 120 });
    expect(setWall(job, wallOf(job, "A", 2), { thickness: 300 })).toMatch(/face in B stands 100 away/);
  });
});

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

describe("placing points", () => {
  it("spaces evenly: on the ends, or with half a space at each end", () => {
    expect(equalPlaces(200, 3200, 4, "ends")).toEqual([200, 1200, 2200, 3200]);
    expect(equalPlaces(0, 3000, 3, "between")).toEqual([500, 1500, 2500]);
    expect(equalPlaces(0, 3000, 1, "ends")).toEqual([1500]);
    expect(equalPlaces(0, 3000, 0, "ends")).toEqual([]);
  });
  it("refuses a series into a door or past the end", () => {
    const job = twoRooms();
    const h = layHouse(job);
    const f = h.faces.find((x) => x.wall.id === wallOf(job, "A", 3).id)!;
    const s = { kind: "socket", gang: 2, count: 3, from: 300, to: 3300, v: 450, how: "ends" } as const;
    expect(addSeries(h, f, { ...s, from: 10 }, null, newId)).toMatch(/reaches past the end/);
    expect(addSeries(h, f, { ...s, from: 700 }, null, newId)).toMatch(/lies in the door from 500 to 1.338/);
    expect(addSeries(h, f, { ...s, kind: "light" }, null, newId)).toMatch(/ceiling/);
  });
  it("lines points up and mirrors them", () => {
    const job = twoRooms();
    const ids = job.points.filter((p) => p.kind === "socket").map((p) => p.id);
    const h = layHouse(job);
    const raised = apply(job, [
      {
        collection: "points",
        id: ids[1]!,
        before: job.points.find((p) => p.id === ids[1]),
        after: {
          ...job.points.find((p) => p.id === ids[1])!,
          place: { on: "wall", wall: wallOf(job, "A", 2).id, u: 1700, v: 900 },
        },
      },
    ]);
    const level = apply(raised, align(layHouse(raised), ids, "level"));
    expect(level.points.filter((p) => p.kind === "socket").map((p) => (p.place as { v: number }).v)).toEqual([
      450, 450, 450,
    ]);
    const spread = apply(level, align(layHouse(level), ids, "spread"));
    expect(spread).toEqual(job);
    expect(
      apply(job, align(h, ids, "mirror"))
        .points.filter((p) => p.kind === "socket")
        .map((p) => (p.place as { u: number }).u),
    ).toEqual([2500, 1500, 500]);
    expect(align(h, [ids[0]!], "level")).toMatch(/two points or more/);
  });
  it("copies a room's set into another, mirrored by the nearer corner, controls within the copy", () => {
    const job = twoRooms();
    const r = copyPoints(layHouse(job), room(job, "A"), room(job, "B"), null, newId);
    if (typeof r === "string") throw new Error(r);
    const after = apply(job, r.changes);
    expect(after.points.map((p) => p.label).sort()).toEqual(["L1", "L2", "S1", "S2", "S3", "S4", "S5", "S6"]);
    expect(inSpace(after).get("L2")).toEqual([5500, 1500, 2415]);
    expect(copyPoints(layHouse(job), room(job, "B"), room(job, "A"), null, newId)).toMatch(/no points/);
  });
  it("takes the height from the room and from whether the dwelling is new", () => {
    const job = twoRooms();
    const height = (kind: Room["kind"], newDwelling = false): number => {
      const j: Job = {
        ...job,
        dwelling: { ...job.dwelling, newDwelling },
        rooms: job.rooms.map((r) => ({ ...r, kind })),
      };
      const made = addPoint(layHouse(j), room(j, "B"), null, "socket", 2, null, newId);
      if (typeof made === "string") throw new Error(made);
      return (made.changes[0]!.after as { place: { v: number } }).place.v;
    };
    expect([
      height("bedroom"),
      height("bedroom", true),
      height("kitchen"),
      height("kitchen", true),
      height("workshop"),
      height("yard"),
    ]).toEqual([300, 450, 1056, 1056, 1080, 450]);
  });
  it("refuses a ceiling light where there is no deck over the room, and a plate under a slope comes down", () => {
    const job = twoRooms();
    expect(addPoint(layHouse({ ...job, decks: [] }), room(job, "B"), null, "light", 1, null, newId)).toMatch(
      /no deck over B/,
    );
    const sloped: Job = {
      ...job,
      rooms: job.rooms.map((r) => ({ ...r, slopes: [{ wall: 0, eaves: 600, pitch: 1 }] })),
    };
    const made = addPoint(layHouse(sloped), room(sloped, "B"), wallOf(sloped, "B", 0).id, "switch", 1, null, newId);
    // A plate of 86 under 600: its middle at 557.
    expect(typeof made === "string" ? made : (made.changes[0]!.after as { place: { v: number } }).place.v).toBe(557);
  });
  it("paints points onto a circuit and off any other", () => {
    let job = twoRooms();
    const c = (id: string, points: string[]) => ({
      collection: "circuits" as const,
      id,
      before: null,
      after: {
        id,
        label: id,
        name: id,
        kind: "radial",
        device: { curve: "B", rating: 20 },
        rcd: 30,
        cable: "te-2.5",
        way: null,
        points,
        order: "find",
        spurs: [],
        walls: "hidden",
        ambient: 30,
        watts: 0,
        state: "new",
      },
    });
    const ids = job.points.filter((p) => p.kind === "socket").map((p) => p.id);
    job = apply(job, [c("c1", ids), c("c2", [])]);
    const after = apply(job, paintCircuit(job, ids.slice(0, 2), "c2"));
    expect(after.circuits.map((x) => x.points)).toEqual([ids.slice(2), ids.slice(0, 2)]);
    expect(paintCircuit(after, ids.slice(0, 2), "c2")).toEqual([]);
  });
});

describe("spurs", () => {
  const wired = (): { job: Job; ids: string[] } => {
    const job = twoRooms();
    const ids = job.points.filter((p) => p.kind === "socket").map((p) => p.id);
    const circuit = {
      id: "c",
      label: "R1",
      name: "r",
      kind: "ring",
      device: { curve: "B", rating: 32 },
      rcd: 30,
      cable: "te-2.5",
      way: null,
      points: ids,
      order: "find",
      spurs: [],
      walls: "hidden",
      ambient: 30,
      watts: 0,
      board: null,
      state: "new",
    };
    return { job: apply(job, [{ collection: "circuits", id: "c", before: null, after: circuit }]), ids };
  };
  it("hangs a point on another of its circuit, and takes it back in", () => {
    const { job, ids } = wired();
    const spur = apply(job, wireAs(job, ids[2]!, ids[0]!));
    expect(spur.circuits[0]).toMatchObject({ points: ids.slice(0, 2), spurs: [{ point: ids[2], from: ids[0] }] });
    expect(apply(spur, wireAs(spur, ids[2]!, null)).circuits[0]).toMatchObject({ points: ids, spurs: [] });
  });
  it("refuses a spur on a spur, a second one from a point, and one from elsewhere", () => {
    const { job, ids } = wired();
    const spur = apply(job, wireAs(job, ids[2]!, ids[0]!));
    expect(wireAs(spur, ids[1]!, ids[0]!)).toMatch(/feeds a spur already/);
    expect(wireAs(spur, ids[1]!, ids[2]!)).toMatch(/starts at a point in the circuit/);
    expect(wireAs(spur, ids[0]!, ids[1]!)).toMatch(/does not hang on a spur/);
    expect(wireAs(twoRooms(), ids[0]!, ids[1]!)).toMatch(/on no circuit|is none/);
  });
});

describe("unrolled and in space", () => {
  it("a place in the house → on the unrolled wall → in the house is the same place, to the thousandth", () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ x: fc.integer({ min: -5000, max: 5000 }), y: fc.integer({ min: -5000, max: 5000 }) }), {
          minLength: 4,
          maxLength: 4,
        }),
        fc.integer({ min: 0, max: 359 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 2400, noNaN: true }),
        (shift, turn, share, v) => {
          let job = twoRooms();
          job = applyPatch(job, turnRoom(job, room(job, "A"), turn));
          job = applyPatch(job, moveRoom(job, room(job, "A"), shift[0]!.x, shift[0]!.y));
          for (const f of layHouse(job).faces) {
            const s = toSpace(f.frame, { u: f.shape.length * share, v });
            const back = toFace(f.frame, s);
            const again = toSpace(f.frame, back, back.into);
            for (const k of [0, 1, 2] as const) expect(Math.abs(again[k] - s[k])).toBeLessThan(1e-3);
            expect(Math.abs(back.into)).toBeLessThan(1e-3);
            expect(back.u).toBeCloseTo(f.shape.length * share, 3);
          }
        },
      ),
      { numRuns: 60 },
    );
  });
});
