import { describe, expect, it } from "vitest";
import type { Job } from "../job/model";
import { deckReaches, decksOfFace, decksOfStorey, layHouse, layPoint, pointsOfStorey } from "./house";
import { meetsPolygon } from "./deck";
import { addStorey } from "./rooms";
import { stripOf, toStrip } from "./unrolled";
import { apply, box, newId, room, twoRooms, wallOf } from "./two-rooms.fixture";

const job = twoRooms();
const house = layHouse(job);
const face = (h: typeof house, name: string, index: number) =>
  h.faces.find((f) => f.room.name === name && f.wall.index === index)!;
const withRoom = (name: string, more: object): Job => ({
  ...job,
  rooms: job.rooms.map((r) => (r.name === name ? { ...r, ...more } : r)),
});

describe("faces of one wall", () => {
  it("two rooms a wall's thickness apart share it; the other walls are nobody else's", () => {
    expect(face(house, "A", 2).opposite).toEqual([face(house, "B", 0).n]);
    expect(house.faces.flatMap((f) => f.opposite)).toHaveLength(2);
  });
  it("the gap may differ from the wall's thickness by 40, from either side, and no more", () => {
    const shifted = (by: number): number =>
      face(layHouse(withRoom("B", { outline: box(3700 + by, 0, 3600, 3000) })), "A", 2).opposite.length;
    expect([shifted(40), shifted(41), shifted(-40), shifted(-41)]).toEqual([1, 0, 1, 0]);
    // A wall entered as 150 from one side and 100 from the other is not one wall where they stand 100 apart.
    const b = wallOf(job, "B", 0);
    const odd = { ...job, walls: job.walls.map((w) => (w.id === b.id ? { ...w, thickness: 150 } : w)) };
    expect(face(layHouse(odd), "A", 2).opposite).toEqual([]);
  });
  it("rooms that pass by one another, or stand on different storeys, share no wall", () => {
    const at = (y: number): number =>
      face(layHouse(withRoom("B", { outline: box(3700, y, 3600, 3000) })), "A", 2).opposite.length;
    expect([at(2989), at(2991), at(-2989), at(-2991)]).toEqual([1, 0, 1, 0]);
    const up = apply(job, addStorey(job, "above", "First", newId).changes);
    const storey = up.storeys.find((s) => s.name === "First")!.id;
    const above = { ...up, rooms: up.rooms.map((r) => (r.name === "B" ? { ...r, storey } : r)) };
    expect(face(layHouse(above), "A", 2).opposite).toEqual([]);
  });
  it("an angle with a wall is a corner; one that runs straight on, or meets an open side, is none", () => {
    expect(face(house, "A", 1).shape).toMatchObject({ cornerLeft: true, cornerRight: true });
    const straight = withRoom("A", {
      outline: [...box(0, 0, 3600, 3000).slice(0, 2), { x: 1800, y: 3000 }, ...box(0, 0, 3600, 3000).slice(2)],
    });
    const five = { ...straight, walls: [...job.walls, { ...wallOf(job, "A", 0), id: "fifth", index: 4 }] };
    const h = layHouse(five);
    expect([1, 2].map((i) => [face(h, "A", i).shape.cornerLeft, face(h, "A", i).shape.cornerRight])).toEqual([
      [true, false],
      [false, true],
    ]);
    const west = wallOf(job, "A", 0);
    const open = { ...job, walls: job.walls.map((w) => (w.id === west.id ? { ...w, build: "open" as const } : w)) };
    expect(face(layHouse(open), "A", 1).shape).toMatchObject({ cornerLeft: false, cornerRight: true });
    // A side that turns right back on itself is a corner too.
    const spike = withRoom("A", {
      outline: [
        { x: 0, y: 0 },
        { x: 0, y: 3000 },
        { x: 3600, y: 3000 },
        { x: 0.1, y: 3000 },
      ],
    });
    expect(face(layHouse(spike), "A", 1).shape.cornerRight).toBe(true);
  });
  it("points on the far side are seen mirrored, and give zones through a thin wall only", () => {
    // S1 500 from the left of A's east wall, 3000 long: 2500 from the left seen from B.
    const b = face(house, "B", 0);
    expect(b.reverse.map((p) => [p.u, p.v])).toEqual([
      [2500, 450],
      [1500, 450],
      [500, 450],
    ]);
    expect(b.zones.filter((z) => z.kind.startsWith("reverse"))).toHaveLength(6);
    const thick = (t: number) => ({
      ...withRoom("B", { outline: box(3600 + t, 0, 3600, 3000) }),
      walls: job.walls.map((w) => ({ ...w, thickness: t })),
    });
    expect(face(layHouse(thick(101)), "B", 0).zones.some((z) => z.kind.startsWith("reverse"))).toBe(false);
    const yard = layHouse(withRoom("A", { kind: "yard" }));
    expect(face(yard, "A", 2).zones).toEqual([]);
  });
});

describe("decks and storeys", () => {
  const deck = job.decks[0]!;
  const withDeck = (more: object): typeof house => layHouse({ ...job, decks: [{ ...deck, ...more }], points: [] });
  it("a deck lies over a face whose ceiling it touches, or over the void of one that hangs: from 1 below to 450 above", () => {
    const over = (underside: number): number =>
      decksOfFace(withDeck({ underside }), face(withDeck({}), "A", 0)).over.length;
    expect([2398, 2399, 2415, 2850, 2851].map(over)).toEqual([0, 1, 1, 1, 0]);
  });
  it("no ceiling hangs out of doors, nor one that slopes: there a deck lies within 100", () => {
    const f = face(withDeck({}), "A", 0);
    const slopes = [{ wall: 0, knee: 1000, pitch: 40 }] as unknown as typeof f.room.slopes;
    for (const more of [{ kind: "yard" as const }, { slopes }]) {
      const over = (underside: number): number =>
        decksOfFace(withDeck({ underside }), { ...f, room: { ...f.room, ...more } }).over.length;
      expect([2399, 2500, 2501].map(over)).toEqual([1, 1, 0]);
    }
  });
  it("of decks one over another the lowest is the one over a face, and what lies at its level within 100", () => {
    const over = (...undersides: number[]): number[] =>
      decksOfFace(
        layHouse({
          ...job,
          decks: undersides.map((underside, i) => ({ ...deck, id: `d${i}`, underside })),
          points: [],
        }),
        face(withDeck({}), "A", 0),
      ).over;
    expect([over(2415, 2515), over(2415, 2516), over(2700, 2415), over(2700)]).toEqual([[0, 1], [0], [1], [0]]);
  });
  it("a deck lies under a face whose floor its boards carry, within 100", () => {
    // Joists 195 and boards 22: the floor lies 217 above the underside.
    const under = (underside: number): number =>
      decksOfFace(withDeck({ underside }), face(withDeck({}), "A", 0)).under.length;
    expect([-318, -317, -217, -195, -194].map(under)).toEqual([0, 1, 1, 1, 0]);
  });
  it("a deck reaches a wall that stands up to 260 beyond its edge", () => {
    const l = house.decks[0]!;
    expect(
      [
        { x: -260, y: 100 },
        { x: -261, y: 100 },
        { x: 100, y: 100 },
      ].map((p) => deckReaches(l, p)),
    ).toEqual([true, false, true]);
    const small = withDeck({ outline: box(1000, 1000, 500, 500) });
    expect(decksOfFace(small, face(small, "A", 0)).over).toEqual([]);
  });
  it("belongs to the storey whose ceilings or floor it lies at", () => {
    const at = (underside: number): number =>
      decksOfStorey({ ...job, decks: [{ ...deck, underside }] }, "ground").length;
    expect([2398, 2399, 2850, 2851].map(at)).toEqual([0, 1, 1, 0]);
    expect([-318, -317, -117, -116].map(at)).toEqual([0, 1, 1, 0]);
    expect(decksOfStorey(job, "none")).toEqual([]);
    const empty = { ...job, rooms: [], storeys: [{ ...job.storeys[0]!, height: 3000 }] };
    expect(decksOfStorey({ ...empty, decks: [{ ...deck, underside: 3015 }] }, "ground")).toHaveLength(1);
  });
  it("a ceiling point is of the storey under it, a floor point of the one over it", () => {
    expect(pointsOfStorey(house, "ground").map((p) => p.point.label)).toEqual(["S1", "S2", "S3", "L1"]);
    const light = job.points.find((p) => p.kind === "light")!;
    const up = apply(job, addStorey(job, "above", "First", newId).changes);
    const first = up.storeys.find((s) => s.name === "First")!.id;
    const floor = {
      ...up,
      points: up.points.map((p) =>
        p.id === light.id ? { ...p, place: { ...light.place, face: "floor" } } : p,
      ) as Job["points"],
    };
    expect(pointsOfStorey(layHouse(floor), first).map((p) => p.point.label)).toEqual(["L1"]);
    expect(pointsOfStorey(layHouse(floor), "ground").map((p) => p.point.label)).toEqual(["S1", "S2", "S3"]);
  });
  it("a place on a ceiling hangs at the underside, one on a floor lies on the joists; one on nothing is nowhere", () => {
    const at = (f: "ceiling" | "floor", id = deck.id) => layPoint(house, { on: "deck", deck: id, x: 5, y: 6, face: f });
    expect([at("ceiling"), at("floor"), at("ceiling", "none")]).toEqual([[5, 6, 2415], [5, 6, 2610], null]);
    expect(layPoint(house, { on: "wall", wall: "none", u: 1, v: 2 })).toBeNull();
    expect(layPoint(house, { on: "wall", wall: wallOf(job, "A", 2).id, u: 500, v: 450 })).toEqual([3600, 2500, 450]);
  });
});

describe("what a stretch meets", () => {
  const square = box(1000, 1000, 1000, 1000);
  const meets = (ax: number, ay: number, bx: number, by: number): boolean =>
    meetsPolygon({ x: ax, y: ay }, { x: bx, y: by }, square);
  it("crossing it, ending in it, lying in it, touching its edge", () => {
    expect([meets(0, 1500, 3000, 1500), meets(0, 1500, 1500, 1500), meets(1200, 1200, 1300, 1300)]).toEqual([
      true,
      true,
      true,
    ]);
    expect([meets(0, 1000, 3000, 1000), meets(1000, 0, 1000, 3000), meets(2000, 1500, 3000, 1500)]).toEqual([
      true,
      true,
      true,
    ]);
  });
  it("nothing past any side, nor past a corner on a slant", () => {
    expect([
      meets(0, 1500, 999, 1500),
      meets(2001, 1500, 3000, 1500),
      meets(1500, 0, 1500, 999),
      meets(1500, 2001, 1500, 3000),
      meets(0, 1100, 1100, 0),
      meets(1900, 3000, 3000, 1900),
    ]).toEqual([false, false, false, false, false, false]);
    expect(meets(900, 1200, 1200, 900)).toBe(true);
  });
});

describe("a room unrolled", () => {
  it("starts at its start wall and turns right, each wall where the one before it ends", () => {
    const turned = layHouse(withRoom("A", { startWall: 2 }));
    const strip = stripOf(turned, room(job, "A").id);
    expect(strip.walls.map((w) => [w.face.wall.index, w.x])).toEqual([
      [2, 0],
      [3, 3000],
      [0, 6600],
      [1, 9600],
    ]);
    expect([strip.width, strip.height]).toEqual([13200, 2400]);
    expect(toStrip(strip.walls[1]!, [3600, 0, 700])).toEqual({ x: 3000, y: 700 });
    expect(stripOf(house, "none")).toEqual({ walls: [], width: 0, height: 0 });
    // Walls stored in another order are the same room.
    const mixed = layHouse({ ...job, walls: [...job.walls].reverse() });
    expect(stripOf(mixed, room(job, "A").id).walls.map((w) => w.face.wall.index)).toEqual([0, 1, 2, 3]);
  });
});
