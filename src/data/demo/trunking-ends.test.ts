import { describe, expect, it } from "vitest";
import { sectionSchema } from "../../core/job/sections";
import { layHouse } from "../../core/house/house";
import { trunkingEnds } from "../../core/plan/trunking-ends";
import { ternCottage } from "./tern-cottage";

const job = ternCottage();
const on = (u: number, v: number) => ({ on: "wall" as const, wall: "shed-w3", u, v });
const section = (id: string, kind: string, size: string, path: ReturnType<typeof on>[]) =>
  sectionSchema.parse({ id, label: id.toUpperCase(), kind, size, path });
/** A trunking of 75 × 50 down to 900, and tubes of 20 on from it at these distances from its middle, so far under its end. */
const ends = (tubes: number[], off = 10, more: { level?: boolean; up?: boolean } = {}) => {
  const trunk = more.level ? [on(400, 1500), on(900, 1500)] : [on(800, 1800), on(800, 900)];
  const sections = [
    section("a", "trunking-plastic", "75x50", trunk),
    ...tubes.map((d, i) =>
      section(
        `b${i}`,
        "conduit-plastic",
        "20",
        more.level
          ? [on(900 + off, 1500 + d), on(1300, 1500 + d)]
          : more.up
            ? [on(800 + d, 1000), on(800 + d, 900 - off)].reverse()
            : [on(800 + d, 900 - off), on(800 + d, 400)],
      ),
    ),
  ];
  return trunkingEnds(layHouse({ ...job, sections }));
};
const is = (e: ReturnType<typeof ends>) =>
  e.map((x) => [x.end, x.width, x.depth, x.holes.map((o) => o.x), x.facts.map((f) => f.case)]);

describe("tubes that go on from the end of a trunking", () => {
  it("stand in its plate where they are drawn: from the left where it is plumb, from the top where it is level", () => {
    expect(is(ends([0]))).toEqual([["last", 75, 50, [37.5], []]]);
    expect(is(ends([-18.5, 18.5]))).toEqual([["last", 75, 50, [19, 56], []]]);
    expect(is(ends([15], 10, { level: true }))).toEqual([["last", 75, 50, [22.5], []]]);
  });
  it("too near to one another or to the edge is told, with the trunking by its name", () => {
    // 20 wants 27 across and a hand between: 37 from middle to middle, 18.5 to the edge.
    expect(is(ends([-17.5, 18.5]))).toEqual([["last", 75, 50, [20, 56], ["neighbour"]]]);
    const [e] = ends([-20]);
    expect(e!.facts).toMatchObject([
      { rule: "gland.place", subject: { kind: "section", id: "a" }, measured: 17.5, limit: 18.5, of: { label: "A" } },
    ]);
  });
  it("one that comes from elsewhere, stands off, or lies beside it is none of it", () => {
    expect(ends([0], 61)).toEqual([]);
    expect(ends([40])).toEqual([]);
    expect(ends([0], 10, { up: true })).toEqual([]);
    expect(ends([])).toEqual([]);
    expect(trunkingEnds(layHouse(job))).toEqual([]);
  });
});
