import { layHouse } from "../../house/house";
import { findingOf, namesOf } from "../../words/findings";
import { describe, expect, it } from "vitest";
import { type Job, canonical } from "../../job/model";
import { makePlan } from "../../plan/plan";
import { generatedBlock } from "../../routing/generated-block";
import { boardOfCircuit } from "../../job/boards";
import { circuitFacts } from "./circuit-facts";
import { RADIAL_RATING, twoRadials } from "./two-radials";

const block = generatedBlock(3, 2, 2, 2);
const [one, two] = block.points
  .filter((p) => p.kind === "board")
  .map((p) => p.id)
  .sort();
const withWays = (way: (c: Job["circuits"][number]) => number | null): Job =>
  canonical({ ...block, circuits: block.circuits.map((c) => ({ ...c, way: way(c) })) });
const waysOf = (j: Job): string[] =>
  circuitFacts(j)
    .filter((f) => f.rule === "circuit.way")
    .map((f) => f.subject.id);

describe("ways of several boards", () => {
  it("the same way on two boards is no clash; on one board it is", () => {
    expect(waysOf(withWays((c) => (c.kind === "ring" ? 1 : 2)))).toEqual([]);
    expect(waysOf(withWays(() => 1))).toHaveLength(2);
  });
  it("offers the first free way of the circuit's own board", () => {
    const job = withWays((c) => (c.board === one ? (c.kind === "ring" ? 1 : 2) : c.kind === "ring" ? 1 : null));
    const [f] = circuitFacts(job).filter((x) => x.rule === "circuit.way");
    expect(
      boardOfCircuit(
        job,
        job.circuits.find((c) => c.id === f!.subject.id)!,
      )!.id,
    ).toBe(two);
    expect(f!.fix).toEqual([{ collection: "circuits", id: f!.subject.id, set: { way: 2 } }]);
  });
  it("a circuit without a board of its own belongs to the first", () => {
    const c = { ...block.circuits[0]!, board: null };
    expect(boardOfCircuit(block, c)!.kind).toBe("board");
    expect(boardOfCircuit({ ...block, points: [] }, c)).toBeUndefined();
  });
});

describe("a ring parted into two radials", () => {
  const ring = {
    ...block.circuits.find((c) => c.kind === "ring")!,
    spurs: [{ point: "x", from: block.circuits.find((c) => c.kind === "ring")!.points[0]! }],
  };
  const [first, ...rest] = ring.points;
  it("keeps every point once, each spur with its point, and takes a device the cable carries", () => {
    const [a, b] = twoRadials(ring, [first!], rest, 7);
    expect([...a.points, ...b.points]).toEqual(ring.points);
    expect([a.spurs.length, b.spurs.length]).toEqual([1, 0]);
    expect([a.device.rating, b.device.rating, a.kind, b.kind, b.way]).toEqual([
      RADIAL_RATING,
      RADIAL_RATING,
      "radial",
      "radial",
      7,
    ]);
    expect(a.id).not.toBe(b.id);
    expect(
      twoRadials({ ...ring, id: "i".repeat(40), label: "l".repeat(12) }, [], [], null)[1].id.length,
    ).toBeLessThanOrEqual(40);
  });
});

describe("a leg that carries too little", () => {
  it("is named by its run, so that one finds it", () => {
    const flat = generatedBlock(3, 1, 2, 2);
    const hot = canonical({ ...flat, decks: flat.decks.map((d) => ({ ...d, insulationOver: 200 })) });
    const f = makePlan(hot).facts.find((x) => x.rule === "circuit.ring")!;
    expect(findingOf(f, namesOf(layHouse(hot))).message).toMatch(
      /as laid: .+ to .+, leg \d+ carries 17 A by method 101/,
    );
  });
});
