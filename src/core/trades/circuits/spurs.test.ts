import { describe, expect, it } from "vitest";
import { type SpurPoint, type SpurSource, checkSpurs } from "./spurs";

const ring = (id: string, outlets = 2): SpurPoint => ({ id, on: "ring", outlets });
const spur = (id: string, from: string, outlets = 1): SpurPoint => ({ id, on: "spur", from, outlets });
const fused = (id: string, from: string): SpurPoint => ({ id, on: "fused-spur", from, outlets: 1 });
const judged = (points: SpurPoint[], source: SpurSource = "ring"): unknown[] =>
  checkSpurs(points, source).map((f) => [f.rule, f.case ?? "", f.subject.id, f.measured ?? null, f.limit ?? null]);

describe("spurs", () => {
  it("one single or one twin from each point of the ring is well", () =>
    expect(judged([ring("a"), ring("b"), spur("s", "a", 2), spur("t", "b", 1)])).toEqual([]));
  it("three outlets on one unfused spur are one too many; behind a fuse they are not counted", () => {
    expect(judged([ring("a"), spur("s", "a", 3)])).toEqual([["circuit.spur", "outlets", "s", 3, 2]]);
    expect(judged([ring("a"), fused("f", "a"), spur("s", "f", 3), spur("t", "s", 3)])).toEqual([]);
  });
  it("a spur from a spur is refused at the far one, and does not count as a second at its start", () => {
    expect(judged([ring("a"), ring("b"), spur("s", "a"), spur("t", "s")])).toEqual([
      ["circuit.spur", "spur-of-spur", "t", null, null],
    ]);
    expect(checkSpurs([ring("a"), ring("b"), spur("s", "a"), spur("t", "s")], "ring")[0]!.of).toEqual({ from: "s" });
  });
  it("two spurs from one point are told at the point, with both", () => {
    const facts = checkSpurs([ring("a"), ring("b"), spur("s", "a"), spur("t", "a")], "ring");
    expect(facts).toMatchObject([
      {
        rule: "circuit.spur",
        case: "several",
        subject: { kind: "point", id: "a" },
        measured: 2,
        limit: 1,
        sense: "most",
        unit: "spurs",
        of: { spurs: ["s", "t"] },
      },
    ]);
    // Fused ones may be several.
    expect(judged([ring("a"), ring("b"), fused("s", "a"), fused("t", "a")])).toEqual([]);
  });
  it("no more spurs than points on the ring, told once about the ring; a radial has no such count", () => {
    const list = [ring("a"), spur("s", "a"), spur("t", "x")];
    expect(judged(list)).toEqual([["circuit.spur", "count", "ring", 2, 1]]);
    expect(judged([ring("a"), ring("b"), spur("s", "a"), spur("t", "b")])).toEqual([]);
    expect(judged([{ ...ring("a"), on: "radial" }, spur("s", "a"), spur("t", "x")], "radial")).toEqual([]);
  });
  it.each(["lighting", "cooker", "shower"] as const)("no outlet is taken from a %s circuit", (source) => {
    const facts = checkSpurs(
      [
        { id: "a", on: "radial", outlets: 1 },
        { id: "b", on: "radial", outlets: 0 },
      ],
      source,
    );
    expect(facts.map((f) => [f.rule, f.subject.id, f.of])).toEqual([["circuit.spur.source", "a", { source }]]);
  });
  it("points that hang on each other in a circle are judged all the same", () =>
    expect(judged([ring("a"), ring("b"), spur("s", "t"), spur("t", "s")]).map((f) => (f as string[])[1])).toEqual([
      "spur-of-spur",
      "spur-of-spur",
    ]));
});
