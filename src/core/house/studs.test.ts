import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { type Job, jobSchema } from "../job/model";
import { house as twoRooms } from "../plan/laid-by-hand.fixture";
import { layHouse } from "./house";
import { studAt, studsOf } from "./studs";
import { studCrossings } from "./stud-crossings";

/** Rooms A (0 … 4 000) and B (4 100 … 8 100), the wall of 100 between them of studs; each face 3 000 long. */
const house = (studs: Partial<Record<"a2" | "b0", object>> = {}, more: object = {}): Job =>
  jobSchema.parse({
    ...twoRooms(),
    walls: twoRooms().walls.map((w) =>
      w.id === "a2" || w.id === "b0" ? { ...w, build: "stud", studs: studs[w.id] ?? null } : w,
    ),
    ...more,
  });
const face = (job: Job, wall: string) => {
  const h = layHouse(job);
  return h.faces[h.faceOfWall.get(wall)!]!;
};
const at = (job: Job, wall: string) => face(job, wall).studs!.studs.map((s) => s.at);

describe("studs of a wall", () => {
  it("by hand: 400 centres from 400 on 3 000, with one at each end, numbered from the left", () => {
    const s = face(house({ a2: { spacing: 400, first: 400, breadth: 44 } }), "a2").studs!;
    expect(s.studs.map((x) => x.at)).toEqual([22, 400, 800, 1200, 1600, 2000, 2400, 2800, 2978]);
    expect(s.studs.map((x) => x.n)).toEqual([1, 2, 3, 4, 5, 6, 7, 8, 9]);
    expect(s).toMatchObject({ breadth: 44, depth: 75, noggins: [], assumed: false });
    expect(s.studs.every((x) => x.known)).toBe(true);
  });
  it("given on one face they are the same timbers on the other, from its own left", () => {
    const job = house({ b0: { spacing: 400, first: 300, noggins: [1200] } });
    // Face a2 runs the other way: 3 000 − 300 = 2 700, 2 300 …
    expect(at(job, "a2")).toEqual(
      at(job, "b0")
        .map((u) => 3000 - u)
        .sort((p, q) => p - q),
    );
    expect(face(job, "a2").studs).toMatchObject({ noggins: [1200], assumed: false });
    const own = house({ a2: { spacing: 600, first: 100 }, b0: { spacing: 400, first: 300 } });
    expect(at(own, "a2")).toContain(100);
    expect(at(own, "b0")).toContain(300);
  });
  it("where nobody has looked they are taken at 600 from one face, the same timbers on both; only the ends are known", () => {
    const job = house();
    expect(at(job, "a2")).toEqual([19, 600, 1200, 1800, 2400, 2981]);
    expect(at(job, "b0")).toEqual(
      at(job, "a2")
        .map((u) => 3000 - u)
        .sort((p, q) => p - q),
    );
    const s = face(job, "a2").studs!;
    expect(s.assumed).toBe(true);
    expect(s.studs.filter((x) => x.known).map((x) => x.at)).toEqual([19, 2981]);
  });
  it("one stands on each side of a doorway, and none of the row beside it", () => {
    const door = { id: "o", wall: "b0", kind: "door", u: 1000, v: 0, width: 800, height: 2040 };
    expect(at(house({}, { openings: [door] }), "b0")).toEqual([19, 600, 981, 1200, 1819, 2400, 2981]);
  });
  it("the depth is what the boards leave, or as measured; masonry has none", () => {
    expect(face(house(), "a2").studs!.depth).toBe(75);
    expect(face(house({ a2: { spacing: 600, first: 0, depth: 63 } }), "a2").studs!.depth).toBe(63);
    expect(face(house(), "a1").studs).toBeNull();
    const h = layHouse(house());
    expect(studsOf(h.faces[h.faceOfWall.get("a1")!]!, h.faces)).toBeNull();
  });
  it("a cable runs up beside a known stud with 8 to spare from its middle, wherever an assumed one may be", () => {
    const s = face(house({ a2: { spacing: 600, first: 600 } }), "a2").studs;
    expect([1200, 1226.9, 1173.1].map((u) => studAt(s, u)?.n)).toEqual([3, 3, 3]);
    expect([1227, 1173].map((u) => studAt(s, u))).toEqual([null, null]);
    expect(studAt(face(house(), "a2").studs, 1200)).toBeNull();
    expect(studAt(null, 1200)).toBeNull();
  });
});

describe("what a cable in the void goes through", () => {
  const f = face(house({ a2: { spacing: 600, first: 600, noggins: [800, 1600] } }), "a2");
  const parts = (a: [number, number], b: [number, number]) =>
    studCrossings(f, { u: a[0], v: a[1] }, { u: b[0], v: b[1] }).map((c) => [c.part, c.stud ?? c.v]);
  it("every stud between its ends when level, in the order it meets them; none at its very ends", () => {
    expect(parts([500, 450], [1900, 450])).toEqual([
      ["stud", 2],
      ["stud", 3],
      ["stud", 4],
    ]);
    expect(parts([1900, 450], [500, 450]).map((x) => x[1])).toEqual([4, 3, 2]);
    expect(parts([600, 450], [1200, 450])).toEqual([]);
  });
  it("noggins and plates when plumb: the head plate where it goes on into the deck, the sole plate into the floor", () => {
    expect(parts([900, 450], [900, 1200])).toEqual([["noggin", 800]]);
    expect(parts([900, 450], [900, 2400])).toEqual([
      ["noggin", 800],
      ["noggin", 1600],
      ["head-plate", 2400],
    ]);
    expect(parts([900, 1000], [900, 0])).toEqual([
      ["noggin", 800],
      ["sole-plate", 0],
    ]);
    expect(parts([900, 2325], [900, 2398.9])).toEqual([]);
  });
  it("there and back it is the same timbers", () =>
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 3000 }), fc.integer({ min: 0, max: 3000 }), (a, b) => {
        const there = studCrossings(f, { u: a, v: 450 }, { u: b, v: 450 });
        const back = studCrossings(f, { u: b, v: 450 }, { u: a, v: 450 });
        expect(back.map((c) => c.stud)).toEqual(there.map((c) => c.stud).reverse());
        const inside = f.studs!.studs.filter((s) => s.at > Math.min(a, b) && s.at < Math.max(a, b));
        expect(there).toHaveLength(inside.length);
      }),
    ));
});
