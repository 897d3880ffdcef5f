import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { type LightingInput, wireLighting } from "./wire";

const wire = (more: Partial<LightingInput> = {}) =>
  wireLighting({ feed: "rose", lights: ["l1"], switches: [{ id: "w1", gangs: [{ works: ["l1"] }] }], ...more });
const told = (more: Partial<LightingInput>): string[] =>
  wire(more).cables.map((c) => `${c.from}-${c.to} ${c.cores}: ${c.carries.join(" ")}`);
const one = (id: string, ...works: string[]) => ({ id, gangs: [{ works }] });

describe("one light and one switch", () => {
  it("looped at the rose: a twin drops with line and switched line", () => {
    expect(wire().loops).toEqual(["l1"]);
    expect(told({})).toEqual(["l1-w1 2: line switched-line"]);
  });
  it("looped at the switch: the feed goes there, and a twin up with switched line and neutral", () => {
    expect(wire({ feed: "switch" }).loops).toEqual(["w1"]);
    expect(told({ feed: "switch" })).toEqual(["w1-l1 2: switched-line neutral"]);
  });
  it("with a neutral wanted at the switch the drop has three cores; where the feed brings one it has not", () => {
    expect(told({ switchNeutral: true })).toEqual(["l1-w1 3: line neutral switched-line"]);
    expect(told({ feed: "switch", switchNeutral: true })).toEqual(["w1-l1 2: switched-line neutral"]);
  });
});

describe("several", () => {
  it("two switches for one light are two-way: three cores between them, the drop at one", () => {
    const two = { switches: [one("w1", "l1"), one("w2", "l1")] };
    expect(told(two)).toEqual(["l1-w1 2: line switched-line", "w1-w2 3: common strapper-1 strapper-2"]);
    expect(told({ ...two, feed: "switch" })).toEqual([
      "w1-l1 2: switched-line neutral",
      "w1-w2 3: common strapper-1 strapper-2",
    ]);
  });
  it("a third is an intermediate: three cores in and out", () => {
    expect(told({ switches: [one("w1", "l1"), one("w2", "l1"), one("w3", "l1")] }).slice(1)).toEqual([
      "w1-w2 3: common strapper-1 strapper-2",
      "w2-w3 3: common strapper-1 strapper-2",
    ]);
  });
  it("two gangs for two lights get a drop from each", () => {
    const gangs = { lights: ["l1", "l2"], switches: [{ id: "w1", gangs: [{ works: ["l1"] }, { works: ["l2"] }] }] };
    expect(wire(gangs).loops).toEqual(["l1", "l2"]);
    expect(told(gangs)).toEqual(["l1-w1 2: line switched-line", "l2-w1 2: line switched-line"]);
    expect(wire({ ...gangs, feed: "switch" }).loops).toEqual(["w1"]);
  });
  it("two gangs worked from two places get two cables of three cores between the same switches", () => {
    const gangs = (id: string) => ({ id, gangs: [{ works: ["l1"] }, { works: ["l2"] }] });
    expect(told({ lights: ["l1", "l2"], switches: [gangs("w1"), gangs("w2")] })).toEqual([
      "l1-w1 2: line switched-line",
      "w1-w2 3: common strapper-1 strapper-2",
      "l2-w1 2: line switched-line",
      "w1-w2 3: common strapper-1 strapper-2",
    ]);
  });
  it("more lights of one gang hang on the first by a twin with switched line and neutral, off the loop", () => {
    const three = { lights: ["l1", "l2", "l3"], switches: [one("w1", "l1", "l2", "l3")] };
    expect(wire(three).loops).toEqual(["l1"]);
    expect(told(three)).toEqual([
      "l1-w1 2: line switched-line",
      "l1-l2 2: switched-line neutral",
      "l2-l3 2: switched-line neutral",
    ]);
  });
  it("where ways are known the nearest light takes the drop, and each next one hangs on the nearest", () => {
    const at: Record<string, number> = { l1: 0, l2: 10, l3: 4, w1: 11, w2: 30 };
    const apart = (a: string, b: string): number => Math.abs(at[a]! - at[b]!);
    const three = { lights: ["l1", "l2", "l3"], switches: [one("w2", "l1", "l2", "l3"), one("w1", "l1", "l2", "l3")] };
    expect(told({ ...three, apart })).toEqual([
      "l2-w1 2: line switched-line",
      "w1-w2 3: common strapper-1 strapper-2",
      "l2-l3 2: switched-line neutral",
      "l3-l1 2: switched-line neutral",
    ]);
  });
});

describe("what is wrong", () => {
  const facts = (more: Partial<LightingInput>): unknown[] =>
    wire(more).facts.map((f) => [f.rule, f.severity, f.subject.id, ...Object.values(f.of ?? {})]);
  it("nothing, for one light and its switch", () => {
    expect(facts({})).toEqual([]);
  });
  it("a light without a switch is on the loop and told; a switch that works nothing is told", () => {
    expect(wire({ lights: ["l1", "l2"] }).loops).toEqual(["l1", "l2"]);
    expect(facts({ lights: ["l1", "l2"], switches: [one("w1", "l1"), one("w2", "gone")] })).toEqual([
      ["lighting.idle-switch", "warn", "w2"],
      ["lighting.unswitched", "warn", "l2"],
    ]);
  });
  it("a light whose switch is on another circuit borrows its neutral, and no cable is wired across", () => {
    const two = { circuits: { l1: "up", w1: "down" } };
    expect(facts(two)).toEqual([["lighting.borrowed", "stop", "w1", "l1", "down", "up"]]);
    expect(told(two)).toEqual([]);
    expect(facts({ circuits: { l1: "up" } })).toEqual([]);
  });
  it("two gangs that share one light and not another do not match; told once a pair", () => {
    const uneven = { lights: ["l1", "l2"], switches: [one("w1", "l1", "l2"), one("w2", "l1")] };
    expect(facts(uneven)).toEqual([["lighting.two-way", "stop", "w1", "w2", ["l1"], ["l2"]]]);
    expect(facts({ ...uneven, switches: [one("w1", "l1"), one("w2", "l1", "l2")] })).toEqual([
      ["lighting.two-way", "stop", "w1", "w2", ["l1"], ["l2"]],
    ]);
  });
});

it("whatever works whatever, every light has one way to a loop, and every switch that works one is reached", () => {
  const ids = (letter: string, n: number): string[] => Array.from({ length: n }, (_, i) => `${letter}${i}`);
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 6 }),
      fc.array(fc.array(fc.array(fc.nat(5), { maxLength: 3 }), { minLength: 1, maxLength: 3 }), { maxLength: 5 }),
      fc.constantFrom("rose" as const, "switch" as const),
      fc.boolean(),
      (n, gangs, feed, switchNeutral) => {
        const lights = ids("l", n);
        const switches = gangs.map((g, i) => ({
          id: `w${i}`,
          gangs: g.map((works) => ({ works: works.flatMap((x) => (x < n ? [`l${x}`] : [])) })),
        }));
        const { loops, cables } = wireLighting({ feed, switchNeutral, lights, switches });
        const there = new Set(loops);
        for (let grew = true; grew;) {
          grew = false;
          for (const c of cables)
            for (const [a, b] of [
              [c.from, c.to],
              [c.to, c.from],
            ] as const)
              if (there.has(a) && !there.has(b)) grew = !!there.add(b);
        }
        const working = switches.flatMap((s) => (s.gangs.some((g) => g.works.length) ? [s.id] : []));
        expect([...there].sort()).toEqual([...lights, ...working].sort());
        // A light takes its switched line from one place only.
        for (const l of lights) {
          const into = cables.filter(
            (c) => c.carries.includes("switched-line") && (c.to === l || (c.from === l && c.to.startsWith("w"))),
          );
          expect(into.length).toBe(loops.includes(l) && feed === "switch" ? 0 : into.length ? 1 : 0);
        }
        for (const c of cables) expect(c.carries).toHaveLength(c.cores);
      },
    ),
    { numRuns: 300 },
  );
});
