import { describe, expect, it } from "vitest";
import type { Job, Room } from "../job/model";
import { layHouse } from "./house";
import { addPoint, addSeries, align, copyPoints, equalPlaces, freeSpot, usualCircuit } from "./places";
import { paintCircuit } from "./on-circuit";
import { apply, inSpace, newId, room, twoRooms, wallOf, withCircuit } from "./two-rooms.fixture";

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
    const ids = job.points.filter((p) => p.kind === "socket").map((p) => p.id);
    job = withCircuit(withCircuit(job, "c1", ids), "c2", []);
    const after = apply(job, paintCircuit(job, ids.slice(0, 2), "c2"));
    expect(after.circuits.map((x) => x.points)).toEqual([ids.slice(2), ids.slice(0, 2)]);
    expect(paintCircuit(after, ids.slice(0, 2), "c2")).toEqual([]);
  });
});

describe("where a new point goes", () => {
  it("the first free spot from the middle outwards, right before left, clear of plates, openings and the ends", () => {
    const job = twoRooms();
    const h = layHouse(job);
    const plate = { width: 146, height: 86 };
    const face = (j: Job, name: string, index: number) =>
      layHouse(j).faces.find((f) => f.wall.id === wallOf(j, name, index).id)!;
    // East wall of A, 3000 long, with plates at 500, 1500 and 2500: 1500 is taken, 1550 and 1450 touch it, 1600 too; 1650 is clear.
    expect(freeSpot(job, face(job, "A", 2), 450, plate)).toBe(1650);
    // Lower down nothing is in the way.
    expect(freeSpot(job, face(job, "A", 2), 300, plate)).toBe(1500);
    // South wall of A, 3600, a door from 500 to 1338.
    expect(freeSpot(job, face(job, "A", 3), 450, plate)).toBe(1800);
    const door = { ...job.openings[0]!, u: 1300, width: 1000 };
    const wide = { ...job, openings: [door] };
    // The door now reaches from 1300 to 2300: the first clear middle is 2400 (left edge 2327); on the left 1200.
    expect(freeSpot(wide, face(wide, "A", 3), 450, plate)).toBe(2400);
    const far = { ...job, openings: [{ ...door, width: 2250 }] };
    expect(freeSpot(far, face(far, "A", 3), 450, plate)).toBe(1200);
    // Nothing free: the middle, for the person to see.
    const full = { ...job, openings: [{ ...door, u: 0, width: 3600 }] };
    expect(freeSpot(full, face(full, "A", 3), 450, plate)).toBe(1800);
    expect(h.faces.length).toBe(8);
  });
  it("a plate as wide as its wall still has its one place", () => {
    const job = twoRooms();
    const f = layHouse(job).faces.find((x) => x.wall.id === wallOf(job, "B", 1).id)!;
    const short = (length: number) => ({ ...f, shape: { ...f.shape, length } });
    expect(freeSpot({ ...job, points: [], openings: [] }, short(200), 450, { width: 200, height: 86 })).toBe(100);
    expect(freeSpot({ ...job, points: [], openings: [] }, short(150), 450, { width: 146, height: 86 })).toBe(80);
  });
  it("takes the wall that is picked, else the one the room unrolls from, and the ceiling for a light", () => {
    const job = twoRooms();
    const made = (wall: string | null, kind: "switch" | "light", start = 0) => {
      const a = { ...room(job, "A"), startWall: start };
      const r = addPoint(layHouse(job), a, wall, kind, 1, null, newId);
      if (typeof r === "string") throw new Error(r);
      return (r.changes[0]!.after as { place: object }).place;
    };
    expect(made(wallOf(job, "A", 1).id, "switch")).toMatchObject({ wall: wallOf(job, "A", 1).id, v: 1200 });
    expect(made(null, "switch", 2)).toMatchObject({ wall: wallOf(job, "A", 2).id });
    expect(made(wallOf(job, "B", 1).id, "switch", 1)).toMatchObject({ wall: wallOf(job, "A", 1).id });
    expect(made(null, "light")).toMatchObject({ on: "deck", x: 1800, y: 1500, face: "ceiling" });
    const bare = {
      ...job,
      walls: job.walls.filter((w) => w.room !== room(job, "A").id),
      openings: [],
      fixtures: [],
      points: [],
    };
    expect(addPoint(layHouse(bare), room(bare, "A"), null, "switch", 1, null, newId)).toBe(
      "A has no wall to put it on.",
    );
  });
  it("a board has ways and stands proud, and joins no circuit; a gang that is not made becomes one", () => {
    const job = withCircuit(twoRooms(), "c1", []);
    const r = addPoint(layHouse(job), room(job, "B"), null, "board", 1, "c1", newId);
    if (typeof r === "string") throw new Error(r);
    // Circuits that were there before it take its ways; it joins none.
    expect(
      r.changes.slice(1).map((c) => [c.collection, (c.after as { points: string[] }).points.includes(r.point)]),
    ).toEqual(job.circuits.map(() => ["circuits", false]));
    expect(r.changes[0]!.after).toMatchObject({ kind: "board", gang: 1, ways: 10, mount: "surface", label: "DB1" });
    const s = addPoint(layHouse(job), room(job, "B"), null, "socket", 2, "c1", newId);
    if (typeof s === "string") throw new Error(s);
    expect(s.changes[0]!.after).toMatchObject({ gang: 2, ways: 0, mount: "flush" });
    expect(s.changes[1]!.after).toMatchObject({ id: "c1", points: [s.point] });
  });
  it("joins the picked circuit, else the first by label that fits and is not kept as it was", () => {
    let job = twoRooms();
    const sockets = job.points.filter((p) => p.kind === "socket").map((p) => p.id);
    const light = job.points.find((p) => p.kind === "light")!.id;
    const lightAdded = usualCircuit(job, "light", null);
    expect(lightAdded).toBeNull();
    job = withCircuit(job, "B2", [], { kind: "lighting" });
    job = withCircuit(job, "A1", [light], { kind: "lighting", state: "keep" });
    job = withCircuit(job, "D1", []);
    job = withCircuit(job, "E1", sockets);
    const pick = (kind: "socket" | "light" | "switch" | "wall-light" | "fused-unit", picked: string | null = null) =>
      usualCircuit(job, kind, picked)?.id ?? null;
    expect([pick("light"), pick("switch"), pick("wall-light")]).toEqual(["B2", "B2", "B2"]);
    // A radial takes sockets once it has one; a ring from the start.
    expect(pick("socket")).toBe("E1");
    job = withCircuit(job, "C1", [], { kind: "ring" });
    expect(pick("socket")).toBe("C1");
    expect([pick("fused-unit"), pick("fused-unit", "D1"), pick("socket", "A1"), pick("socket", "none")]).toEqual([
      null,
      "D1",
      "A1",
      "C1",
    ]);
  });
  it("a series reaches from edge to edge and no further, and says which stretch is wrong", () => {
    const job = twoRooms();
    const h = layHouse(job);
    const f = h.faces.find((x) => x.wall.id === wallOf(job, "B", 1).id)!;
    const s = { kind: "socket", gang: 2, count: 2, from: 73, to: 3527, v: 450, how: "ends" } as const;
    const r = addSeries(h, f, s, null, newId);
    if (typeof r === "string") throw new Error(r);
    expect(r.points).toHaveLength(2);
    expect(
      r.changes.filter((c) => c.collection === "points").map((c) => (c.after as { place: { u: number } }).place.u),
    ).toEqual([73, 3527]);
    expect(addSeries(h, f, { ...s, from: 72 }, null, newId)).toBe(
      "A plate of 146 at 72 reaches past the end of the wall; it must be between 73 and 3\u202f527.",
    );
    expect(addSeries(h, f, { ...s, to: 3528 }, null, newId)).toMatch(/at 3.528 reaches past/);
    expect(addSeries(h, f, { ...s, from: 900, to: 800 }, null, newId)).toBe(
      "From is 900 and to is 800; to must be the larger.",
    );
    expect(typeof addSeries(h, f, { ...s, from: 800, to: 800, count: 1 }, null, newId)).toBe("object");
  });
});

describe("lining up", () => {
  it("goes by the first picked, plumb on one wall only", () => {
    const job = twoRooms();
    const h = layHouse(job);
    const [a, b, c] = job.points.filter((p) => p.kind === "socket").map((p) => p.id) as [string, string, string];
    const us = (how: "plumb" | "level", ids: string[]) =>
      apply(job, align(h, ids, how))
        .points.filter((p) => ids.includes(p.id))
        .map((p) => (p.place as { u: number }).u);
    expect(us("plumb", [c, a])).toEqual([2500, 2500]);
    expect(us("plumb", [a, b])).toEqual([500, 500]);
    expect(us("level", [a, b])).toEqual([500, 1500]);
    const other = addPoint(h, room(job, "B"), wallOf(job, "B", 2).id, "switch", 1, null, newId);
    if (typeof other === "string") throw new Error(other);
    const two = apply(job, other.changes);
    const far = layHouse(two);
    expect(align(far, [a, other.point], "plumb")).toMatch(/different walls; only their heights/);
    expect(align(far, [a, other.point], "spread")).toMatch(/different walls/);
    expect(
      apply(two, align(far, [a, other.point], "level")).points.find((p) => p.id === other.point)!.place,
    ).toMatchObject({ v: 450 });
    // Each is mirrored about the middle of its own wall.
    expect(apply(two, align(far, [a, other.point], "mirror")).points.find((p) => p.id === a)!.place).toMatchObject({
      u: 2500,
    });
    expect(align(h, [], "mirror")).toBe("Pick a point first.");
    expect(align(h, [a], "plumb")).toBe("Pick two points or more first.");
    expect(typeof align(h, [a], "mirror")).toBe("object");
    expect(align(h, [a, job.points.find((p) => p.kind === "light")!.id], "level")).toMatch(
      /cannot be lined up together/,
    );
  });
  it("lights on a ceiling go by east and north, spread along the longer way", () => {
    let job = twoRooms();
    const lights: string[] = [job.points.find((p) => p.kind === "light")!.id];
    for (const [x, y] of [
      [400, 900],
      [3000, 1300],
    ]) {
      const made = addPoint(layHouse(job), room(job, "A"), null, "light", 1, null, newId);
      if (typeof made === "string") throw new Error(made);
      const p = made.changes[0]!.after as { place: object };
      job = apply(job, [{ ...made.changes[0]!, after: { ...p, place: { ...p.place, x, y } } }]);
      lights.push(made.point);
    }
    const at = (how: "level" | "plumb" | "spread", key: "x" | "y") =>
      lights.map((id) => {
        const p = apply(job, align(layHouse(job), lights, how)).points.find((q) => q.id === id)!;
        return (p.place as { x: number; y: number })[key];
      });
    expect(at("level", "y")).toEqual([1500, 1500, 1500]);
    expect(at("level", "x")).toEqual([1800, 400, 3000]);
    expect(at("plumb", "x")).toEqual([1800, 1800, 1800]);
    // Between 400 and 3000 the middle one goes to 1700; heights on the drawing stay.
    expect(at("spread", "x")).toEqual([1700, 400, 3000]);
    expect(at("spread", "y")).toEqual([1500, 900, 1300]);
    expect(align(layHouse(job), lights, "mirror")).toMatch(/no wall to mirror/);
  });
});

describe("a set of points copied", () => {
  it("keeps the nearer corner, stays on the wall, goes by the start wall, and joins the circuit it came from", () => {
    let job = twoRooms();
    const ids = job.points.filter((p) => p.kind === "socket").map((p) => p.id);
    job = withCircuit(job, "c1", ids.slice(0, 1));
    job = withCircuit(job, "c2", ids.slice(1), { state: "keep" });
    const b = room(job, "B");
    const short = {
      ...job,
      rooms: job.rooms.map((r) =>
        r.id === b.id ? { ...r, outline: r.outline.map((p) => ({ x: p.x, y: p.y ? 2400 : 0 })) } : r,
      ),
    };
    const made = copyPoints(layHouse(short), room(short, "A"), room(short, "B"), null, newId);
    if (typeof made === "string") throw new Error(made);
    const after = apply(short, made.changes);
    const at = made.points.map(
      (id) => after.points.find((p) => p.id === id)!.place as { wall: string; u: number; v: number },
    );
    // 500 from the left; the middle one of 3000 counts as near the left; 500 from the right of 2400.
    expect(at.slice(0, 3).map((p) => p.u)).toEqual([500, 1500, 1900]);
    expect(at.slice(0, 3).map((p) => p.wall)).toEqual(Array(3).fill(wallOf(short, "B", 2).id));
    expect(made.left).toBe(0);
    // The first joins its twin's circuit; those of a circuit kept as it was join none.
    expect(after.circuits.map((c) => c.points.length)).toEqual([2, 2]);
    const named = copyPoints(layHouse(short), room(short, "A"), room(short, "B"), "c2", newId);
    if (typeof named === "string") throw new Error(named);
    expect(apply(short, named.changes).circuits.map((c) => c.points.length)).toEqual([1, 6]);
    expect(copyPoints(layHouse(job), room(job, "A"), room(job, "A"), null, newId)).toBe(
      "Choose another room to copy into.",
    );
    const turned = { ...short, rooms: short.rooms.map((r) => (r.id === b.id ? { ...r, startWall: 1 } : r)) };
    const from = copyPoints(layHouse(turned), room(turned, "A"), room(turned, "B"), null, newId);
    if (typeof from === "string") throw new Error(from);
    expect((from.changes[0]!.after as { place: { wall: string } }).place.wall).toBe(wallOf(turned, "B", 3).id);
  });
  it("tells how many found no wall or ceiling", () => {
    const job = twoRooms();
    const b = room(job, "B");
    const walls = job.walls.filter((w) => w.room !== b.id || w.index < 2);
    const open = {
      ...job,
      walls,
      rooms: job.rooms.map((r) => (r.id === b.id ? { ...r, outline: r.outline.slice(0, 3) } : r)),
    };
    const made = copyPoints(layHouse(open), room(open, "A"), room(open, "B"), null, newId);
    if (typeof made === "string") throw new Error(made);
    // Sockets of wall 3 have no third wall to go to; the light has its deck.
    expect(made.left).toBe(3);
    expect(made.points).toHaveLength(1);
  });
});
