import { factKey } from "../rules/fact";
import { pinOf } from "../laid/move-leg";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { layHouse } from "../house/house";
import { type Costs, type Job, canonical } from "../job/model";
import { figuresOf, ringAgainstRadials, variantsOf } from "../plan/compare-plans";
import { makePlan } from "../plan/plan";
import type { Plan } from "../laid/laid";
import { buildGraph } from "./build";
import { generatedBlock } from "./generated-block";
import { generatedHouse } from "./generated-house";
import { EDGE } from "./graph";
import { Stopped, layRuns } from "./lay";
import { presetOf, presets } from "./weights";
import { comparedWords, differenceWords, ringAgainstRadialsWords } from "../words/ways";
import { whyThisWay } from "./why";

const weighed = (job: Job, cost: Costs): Job => ({ ...job, settings: { ...job.settings, cost } });
/** Walls that are boarded: there a level way is as good as any other. */
const boarded = (job: Job): Job => ({ ...job, walls: job.walls.map((w) => ({ ...w, build: "dry-lined" as const })) });
const laidStops = (p: Plan): string[] =>
  p.facts
    .filter((f) => f.severity === "stop" && /^(route|zone\.(outside|diagonal)|hole|timber|clip)/.test(f.rule))
    .map((f) => factKey(f));
const houses = fc
  .tuple(fc.integer({ min: 1, max: 100_000 }), fc.integer({ min: 1, max: 3 }), fc.integer({ min: 2, max: 4 }))
  .map(([s, r, p]) => generatedHouse(s, r, p));

describe("weights", () => {
  it("every preset gives a plan the checker passes; each is best, or equal, at what it is named for", () => {
    for (const seed of [2, 7, 19]) {
      const v = new Map(variantsOf(generatedHouse(seed, 3, 4)).map((x) => [x.preset, x.figures]));
      for (const [preset, f] of v) {
        expect(f.stops, `${seed} ${preset}`).toBe(0);
        expect(v.get("cable")!.cable).toBeLessThanOrEqual(f.cable + 1e-6);
        expect(v.get("holes")!.bores).toBeLessThanOrEqual(f.bores);
      }
      expect(v.get("mess")!.chase).toBeLessThanOrEqual(v.get("cable")!.chase + 1e-6);
    }
    expect(presetOf(presets.mess.cost)).toBe("mess");
    expect(presetOf({ ...presets.mess.cost, bend: 41 })).toBeNull();
  });
  it("with least cable the total is never below its printed lower bound, and in no house a tenth above it", () => {
    fc.assert(
      fc.property(houses, (job) => {
        const { cable, facts } = makePlan(weighed(boarded(job), presets.cable.cost));
        // A box over another is a fault of the job: what goes round the one is a long way from the other.
        fc.pre(!facts.some((f) => f.rule === "point.overlap"));
        const ratio = cable.total / cable.lines!;
        expect(ratio).toBeGreaterThanOrEqual(1 - 1e-9);
        expect(ratio).toBeLessThanOrEqual(1.1);
      }),
      { numRuns: 12 },
    );
  });
  it("with least cable the total is at most 1.05 of its bound in these houses", () => {
    // Of many houses a rare one, some three in a thousand, comes to 1.07: so these are named, and always the same.
    for (const seed of [3, 7, 19, 44_108, 175_701, 446_532]) {
      const { cable } = makePlan(weighed(boarded(generatedHouse(seed, 4, 4)), presets.cable.cost));
      expect(cable.total / cable.lines!, String(seed)).toBeLessThanOrEqual(1.05);
    }
  });
});

describe("the search", () => {
  it("keeps within every bore what its size allows, and lays round full ones", () => {
    const job = generatedBlock(3, 1);
    const plan = makePlan(job);
    expect(laidStops(plan)).toEqual([]);
    expect(plan.facts.filter((f) => f.rule === "route.unreachable")).toEqual([]);
  });
  it("taking an obstacle away never makes a single run dearer", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 5000 }),
        fc.integer({ min: 0, max: 80 }),
        fc.integer({ min: 0, max: 80 }),
        (seed, i, j) => {
          // Boarded: in masonry a level chase weighs more than its length, and a longer way may be the better one.
          const job = boarded(generatedHouse(seed, 2, 2));
          const deck = job.decks[0]!;
          const [w, d] = [Math.max(...deck.outline.map((p) => p.x)), Math.max(...deck.outline.map((p) => p.y))];
          const [x, y] = [(w * i) / 100, (d * j) / 100];
          const barred = canonical({
            ...job,
            decks: [
              {
                ...deck,
                obstacles: [
                  {
                    id: "o",
                    kind: "chimney" as const,
                    name: "",
                    outline: [
                      { x, y },
                      { x, y: y + 600 },
                      { x: x + 600, y: y + 600 },
                      { x: x + 600, y },
                    ],
                  },
                ],
              },
            ],
          });
          // One run at a time, so that no shared bore muddles the sum: each radial of one point.
          for (const p of job.points.filter((q) => q.kind === "socket")) {
            const single = (from: Job): Job => ({
              ...from,
              circuits: [{ ...from.circuits[0]!, kind: "radial", points: [p.id] }],
            });
            // Over the whole way: what the path leaves out behind plates is no part of the search.
            const [free, held] = [single(job), single(barred)].map((j) => {
              const h = layHouse(weighed(j, presets.cable.cost));
              return layRuns(h, buildGraph(h)).runs[0];
            });
            if (held && free) expect(free.whole).toBeLessThanOrEqual(held.whole + 4);
            else expect(held === undefined || free !== undefined).toBe(true);
          }
        },
      ),
      {
        numRuns: 12,
        examples: [
          [2896, 18, 1],
          [2061, 0, 12],
        ],
      },
    );
  });
  it("with fewest holes a single run bores no more than any way could: exact search by counting bores", () => {
    for (const seed of [2, 5, 11, 23]) {
      const job = boarded(generatedHouse(seed, 2, 2));
      const h = layHouse(job);
      const g = buildGraph(h);
      for (const p of h.points.filter((q) => q.point.kind === "socket")) {
        const single = weighed(
          { ...job, circuits: [{ ...job.circuits[0]!, kind: "radial", points: [p.point.id] }] },
          presets.holes.cost,
        );
        const plan = makePlan(single);
        // A hole in a stud or plate is half the price of one in a joist or wall.
        const holes = plan.holes.reduce((sum, o) => sum + (o.in.kind === "stud" ? 1 : 2), 0);
        // Going into a deck or out of one is three quarters of it, so that nobody dips under every joist.
        const kinds = plan.runs.flatMap((r) => r.legs.map((l) => (l.surface.kind === "deck" ? "deck" : "wall")));
        const used = holes + 1.5 * kinds.filter((k, i) => i > 0 && k !== kinds[i - 1]).length;
        // Every node again and again until none gets cheaper: the least price of holes to every node.
        const least = new Array<number>(g.nodes).fill(Infinity);
        const from = g.terminal[h.points.findIndex((q) => q.point.kind === "board")]!;
        least[from] = 0;
        const queue = [from];
        while (queue.length) {
          const n = queue.shift()!;
          for (let k = g.first[n]!; k < g.first[n + 1]!; k++) {
            const e = g.edges[k]!;
            if (!g.hidden[e]) continue;
            const to = g.a[e] === n ? g.b[e]! : g.a[e]!;
            const c =
              least[n]! +
              (g.kind[e] === EDGE.bore || g.kind[e] === EDGE.through ? 2 : g.kind[e] === EDGE.rise ? 1.5 : 0) +
              g.timbers[e]!;
            if (c < least[to]!) {
              least[to] = c;
              queue.push(to);
            }
          }
        }
        const exact = least[g.terminal[h.pointOfId.get(p.point.id)!]!]!;
        // An end that stands right on a stud is counted on the way, but nothing is drilled behind its own plate.
        expect(used).toBeGreaterThanOrEqual(exact - 2);
        expect(used).toBeLessThanOrEqual(Math.ceil(exact * 1.1));
      }
    }
  });
  it("stops when it is asked to, and tells how far it has come", () => {
    const seen: number[] = [];
    expect(() =>
      makePlan(generatedHouse(7, 2, 3), { progress: (done, of) => (seen.push(done / of), done >= 3) }),
    ).toThrow(Stopped);
    expect(seen).toHaveLength(3);
  });
});

describe("the user's hand", () => {
  const job = generatedHouse(7, 3, 4);
  const plan = makePlan(job);
  it("keeps out of a part of the deck that is forbidden, and the checker finds a pinned run that does not", () => {
    const bore = plan.holes.find((o) => o.in.kind === "joist")!;
    const [x, y] = [bore.centre[0]!, bore.centre[1]!];
    const area = {
      id: "f",
      name: "Soil pipe",
      place: {
        on: "deck" as const,
        deck: "d",
        outline: [
          { x: x - 60, y: y - 60 },
          { x: x - 60, y: y + 60 },
          { x: x + 60, y: y + 60 },
          { x: x + 60, y: y - 60 },
        ],
      },
    };
    const round = makePlan(canonical({ ...job, forbidden: [area] }));
    expect(round.holes.some((o) => Math.hypot(o.centre[0]! - x, o.centre[1]! - y) < 60)).toBe(false);
    expect(laidStops(round)).toEqual([]);
    const run = plan.runs.find((r) => r.id === bore.runs[0])!;
    const pinned = makePlan(
      canonical({
        ...job,
        forbidden: [area],
        pins: [pinOf(run)],
      }),
    );
    expect(pinned.facts.some((f) => f.rule === "route.forbidden" && f.subject.id === run.id)).toBe(true);
  });
  it("bores on the line asked for where the rules allow it", () => {
    const l = layHouse(job).decks[0]!;
    const span = l.joists[2]!.spans[0]!;
    const wanted = Math.round(span[0] - l.origin + (span[1] - span[0]) * 0.33);
    const asked = makePlan(canonical({ ...job, decks: job.decks.map((d) => ({ ...d, boreLines: [wanted] })) }));
    const on = asked.holes.filter(
      (o) => o.in.kind === "joist" && Math.abs(o.at - (wanted - (span[0] - l.origin))) < 1,
    ).length;
    expect(on / asked.holes.filter((o) => o.in.kind === "joist").length).toBeGreaterThan(0.5);
    expect(laidStops(asked)).toEqual([]);
  });
  it("says why a run goes this way: no other way found is cheaper, and the words tell the difference", () => {
    const h = layHouse(job);
    const g = buildGraph(h);
    for (const r of plan.runs.slice(0, 6)) {
      const why = whyThisWay(h, g, r.id)!;
      for (const n of why.next) {
        if (n.without.kind === "nothing") expect(n.parts.levelTooLong).toBeGreaterThan(why.taken.levelTooLong);
        else expect(n.dearer).toBeGreaterThanOrEqual(-1e-6);
        expect(comparedWords(why.taken, n)).toContain(
          n.without.kind === "nothing" ? "chased level in masonry" : "dearer by",
        );
        expect(differenceWords(why.taken, n.parts).length).toBeGreaterThan(5);
      }
    }
    expect(whyThisWay(h, g, "nothing")).toBeNull();
  });
  it("lays a circuit as ring and as two radials over the same points", () => {
    const r = ringAgainstRadials(
      job,
      job.circuits.find((c) => c.kind === "ring")!,
    )!;
    expect([...r.radials.points[0], ...r.radials.points[1]].sort()).toEqual(
      [...job.circuits.find((c) => c.kind === "ring")!.points].sort(),
    );
    expect(r.ring.runs).toBe(r.radials.runs + 1);
    expect(ringAgainstRadialsWords(r)).toMatch(/one more way/);
    expect(figuresOf(plan).cable).toBeCloseTo(plan.cable.total / 1000, 9);
  });
});

describe("old circuits", () => {
  const base = generatedHouse(7, 2, 3);
  const ring = base.circuits.find((c) => c.kind === "ring")!;
  const ids = [...ring.points].sort();
  const [fresh, ...old] = ids;
  const asOld = (more: Partial<Job["circuits"][number]>, cables: [string, string][]): Job =>
    canonical({
      ...base,
      points: base.points.map((p) => ({ ...p, existing: old.includes(p.id) || p.kind === "board" })),
      circuits: base.circuits.map((c) => (c.id === ring.id ? { ...c, state: "extend" as const, ...more } : c)),
      foundCables: cables.map(([from, to], i) => ({
        id: `f${i}`,
        from,
        to,
        cable: "te-2.5",
        colours: "new" as const,
        fate: "keep" as const,
        traced: [],
        note: "",
      })),
    });
  const round: [string, string][] = ["board", ...old].map((id, i, all): [string, string] => [
    id,
    all[(i + 1) % all.length]!,
  ]);
  it("a ring is extended by breaking one traced leg; it stays a ring", () => {
    const plan = makePlan(asOld({}, round));
    const mine = plan.runs.filter((r) => r.circuit === ring.id);
    expect(mine).toHaveLength(2);
    const ends = [...mine.map((r) => r.from), ...mine.map((r) => r.to)].filter((id) => id !== fresh);
    expect(round.some(([a, b]) => ends.includes(a) && ends.includes(b))).toBe(true);
    expect(plan.facts.some((f) => f.rule === "retrofit.break")).toBe(true);
    expect(laidStops(plan)).toEqual([]);
  });
  it("the leg broken is the one that adds least", () => {
    const plan = makePlan(weighed(asOld({}, round), presets.cable.cost));
    const added = plan.runs.filter((r) => r.circuit === ring.id).reduce((s, r) => s + r.pathLength, 0);
    for (const leg of round) {
      const one = makePlan(weighed(asOld({}, [leg]), presets.cable.cost));
      // Paths leave the jogs behind plates out: a plate's width at each end.
      expect(added).toBeLessThanOrEqual(
        one.runs.filter((r) => r.circuit === ring.id).reduce((s, r) => s + r.pathLength, 0) + 150,
      );
    }
  });
  it("a radial goes on from the nearest old point; one that stays is not laid at all", () => {
    const radial = makePlan(asOld({ kind: "radial" }, round.slice(0, -1)));
    const mine = radial.runs.filter((r) => r.circuit === ring.id);
    expect(mine).toHaveLength(1);
    expect(old).toContain(mine[0]!.from);
    expect(makePlan(asOld({ state: "keep" }, round)).runs.filter((r) => r.circuit === ring.id)).toEqual([]);
  });
  it("without a traced leg it says what to trace; a cable that comes out draws the new one in", () => {
    expect(makePlan(asOld({}, [])).facts.some((f) => f.rule === "retrofit.trace")).toBe(true);
    const first = makePlan(base).runs.find((r) => r.circuit === ring.id)!;
    const out = makePlan(
      canonical({
        ...base,
        foundCables: [
          {
            id: "x",
            from: first.from,
            to: first.to,
            cable: "",
            colours: "old",
            fate: "take-out",
            traced: [],
            note: "",
          },
        ],
      }),
    );
    expect(out.facts.some((f) => f.rule === "retrofit.draw" && f.subject.id === first.id)).toBe(true);
  });
});
