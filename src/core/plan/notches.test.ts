import { describe, expect, it } from "vitest";
import { layHouse } from "../house/house";
import { type Deck, type Job, canonical } from "../job/model";
import { boringCsv } from "../formats/plan-csv";
import { boresPaper } from "../papers/house-papers";
import { partsOf } from "../record/parts";
import { boreLines, notchLines } from "../routing/bore-lines";
import { borePrice } from "../routing/edge-costs";
import { cableOf, standardCatalogue } from "../rules/catalogue";
import { minutes } from "../rules/times";
import { boreMargins, boringTotals, notchesIn } from "../trades/timber/boring";
import { findingOf } from "../words/findings";
import { holeLine, holeTool } from "../words/holes";
import { checkHoles } from "./check-holes";
import { checkPlan } from "./checker";
import { radialsOnOneWall } from "./one-wall.fixture";
import { makePlan } from "./plan";

/** The room with joists of 195 over 3 m from wall to wall, changed. */
const withDeck = (more: Partial<Deck>, schools: Partial<Job["settings"]["schools"]> = {}, radials = 2): Job => {
  const job = radialsOnOneWall("masonry", radials, "solid-joists");
  return canonical({
    ...job,
    decks: job.decks.map((d) => ({ ...d, ...more })),
    // An opening as high as the room: the way leads over the joists.
    openings: [{ id: "o", wall: "w1", kind: "door" as const, u: 1500, v: 0, width: 1000, height: 2400 }],
    settings: { ...job.settings, schools: { ...job.settings.schools, ...schools } },
  });
};
const places = (job: Job): number[] => {
  const l = layHouse(job).decks[0]!;
  return notchLines(l, l.joists[2]!, job.settings.schools).map((x) => x.at);
};

describe("lines on which notches are wanted", () => {
  const every = [200, 229, 231, 300, 319, 321, 500, 579, 581, 729, 731, 2500];
  it("hold where the whole notch of 40 lies in the window of the school: 0.1 to 0.2 of 3 000, or 0.07 to 0.25", () => {
    // 300 + 20 to 600 − 20, and mirrored 2 420 to 2 680; 210 + 20 to 750 − 20.
    expect(places(withDeck({ notchLines: every }))).toEqual([321, 500, 579, 2500]);
    expect(places(withDeck({ notchLines: every }, { notch: "on-site" }))).toEqual([
      231, 300, 319, 321, 500, 579, 581, 729, 2500,
    ]);
  });
  it("keep 100 from an old hole, do not face an old notch in the bottom, and are none in an engineered joist", () => {
    const old = (at: number, x: object): Partial<Deck> =>
      ({ notchLines: [at], existingCuts: [{ id: "o", joist: 3, span: 1, ...x }] }) as Partial<Deck>;
    // Edge to edge: 670 + 20 + 100 + 10 = 800.
    const hole = { kind: "hole", at: 800, diameter: 20, fromTop: 97.5 };
    expect(places(withDeck(old(670, hole), { notch: "on-site" }))).toEqual([670]);
    expect(places(withDeck(old(671, hole), { notch: "on-site" }))).toEqual([]);
    const under = { kind: "notch", at: 400, width: 30, depth: 20, edge: "bottom" };
    expect(places(withDeck(old(500, under), { notchEdge: "either" }))).toEqual([]);
    expect(places(withDeck({ notchLines: [500], kind: "engineered" }))).toEqual([]);
    expect(places(withDeck({ notchLines: [500], heavyJoists: [3] }))).toEqual([]);
    expect(places(withDeck({ notchLines: [500], heavyJoists: [4] }))).toEqual([500]);
  });
});

describe("a plan over a line of notches", () => {
  const shallow = { joists: { ...withDeck({}).decks[0]!.joists, depth: 120 } };
  const job = withDeck({ ...shallow, notchLines: [2500] });
  const plan = makePlan(job);
  const h = layHouse(job);
  const notches = plan.holes.filter((o) => o.notch);
  it("crosses the joists in the notches, plated, and keeps every rule", () => {
    expect(notches.length).toBeGreaterThanOrEqual(2);
    expect(notches.every((o) => o.at === 2500 && o.plated)).toBe(true);
    expect(notches[0]!.notch).toEqual({ width: 30, depth: 11 });
    expect(checkPlan(h, plan).filter((f) => f.severity === "stop")).toEqual([]);
    expect(plan.takeoff.find((x) => x.item === "Steel plate")!.quantity).toBe(
      plan.holes.filter((o) => o.plated).length,
    );
    expect(notchesIn(plan)).toBe(notches.length);
    expect(boringTotals(plan).reduce((n, t) => n + t.joists, 0)).toBe(
      plan.holes.filter((o) => o.in.kind === "joist").length - notches.length,
    );
  });
  it("dips under the boards between the joists: nothing but the plates lies within 50 of the top", () => {
    const top = h.decks[0]!.top;
    for (const r of plan.runs)
      for (const l of r.legs)
        for (let i = 1; i < l.path.length; i++) {
          const [a, b] = [l.path[i - 1]!, l.path[i]!];
          if (l.surface.kind === "deck" && top - a[2] < 50 && top - b[2] < 50)
            expect(Math.abs(a[0] - b[0])).toBeLessThan(70);
        }
  });
  it("says the same on card, sheet and list", () => {
    const o = notches[0]!;
    expect(holeTool(o)).toBe("notch 30 wide and 11 deep");
    expect(holeLine(h, o)).toMatch(/^Joist \d+, Over, over Room: 2.500 from its south bearing, sawn into the top$/);
    expect(boringCsv(job, plan)).toContain("sawn into the top,30 × 11,2,yes");
    const table = boresPaper(h, plan).blocks.find((b) => b.kind === "table")!;
    expect(JSON.stringify(table)).toContain("30 × 11");
    expect(boreMargins(h.decks[0]!, plan, o, "warranty").map((m) => [m.measured, m.limit])).toEqual([
      [485, 300],
      [515, 600],
      [11, 18],
    ]);
  });
  it("is judged by the school of the job, and without its plate told of the nails", () => {
    // 120 × 0.15 = 18 deep by one school, × 0.125 = 15 by the other.
    const deep = notches.map((o) => ({ ...o, notch: { width: 30, depth: 16 } }));
    expect(checkHoles(h, deep, plan.runs)).toEqual([]);
    const other = layHouse(withDeck({ ...shallow, notchLines: [2500] }, { notch: "on-site" }));
    expect(checkHoles(other, deep, plan.runs).map((f) => f.rule)).toEqual(deep.map(() => "timber.notch.depth"));
    const bare = checkHoles(h, [{ ...notches[0]!, plated: false }], plan.runs);
    expect(bare.map((f) => [f.rule, f.case])).toEqual([
      ["timber.cable-edge", "notch"],
      ["timber.cable-edge", "notch"],
    ]);
    expect(findingOf(bare[0]!).remedy).toBe("Fit a steel plate over the notch.");
    const armoured = plan.runs.map((r) => ({ ...r, cable: "mi-2L1.5" }));
    expect(checkHoles(h, [{ ...notches[0]!, plated: false }], armoured).map((f) => f.rule)).toEqual([]);
  });
  it("tells of more cables than one plate covers", () => {
    const runs = [0, 1, 2, 3].map((i) => ({ ...plan.runs[0]!, id: `r${i}` }));
    const [full] = checkHoles(h, [{ ...notches[0]!, runs: runs.map((r) => r.id) }], runs);
    expect(full).toMatchObject({ rule: "hole.too-small", case: "notch", measured: 55, limit: 40 });
    expect(findingOf(full!).message).toContain("4 cables side by side want a notch 55 wide");
  });
  it("bores as ever where no line is asked for, and keeps its bores 100 from where notches are", () => {
    expect(makePlan(withDeck(shallow)).holes.some((o) => o.notch)).toBe(false);
    const near = makePlan(withDeck({ notchLines: [560] }));
    for (const o of near.holes.filter((x) => x.in.kind === "joist" && !x.notch))
      expect(Math.abs(o.at - 560)).toBeGreaterThanOrEqual(100 + 20 + 12.5 - 1e-6);
  });
});

describe("holes and notches of one deck", () => {
  it("holes keep 100 from a notch that is wanted, edge to edge, and are priced beside it", () => {
    const near = (notchLines: number[]): number[] => {
      const l = layHouse(withDeck({ notchLines }, { notch: "on-site" })).decks[0]!;
      return boreLines(l, l.joists[2]!, { notch: "warranty", notchEdge: "top" })
        .map((x) => x.at)
        .filter((at) => at < 900);
    };
    expect(near([]).length).toBeGreaterThan(1);
    // 700 + 20 + 100 + half of 25.
    expect(near([700]).every((at) => at >= 832.5)).toBe(true);
    const place = { deck: 0, joist: 0, span: 0, at: 0, centre: [0, 0, 0], most: 0, asked: true, notch: 18 } as const;
    const te = cableOf("te-2.5", standardCatalogue)!;
    expect(borePrice(100, { ...place, centre: [0, 0, 0] }, te, [])).toBeCloseTo(100 * 0.25 * 1.5, 9);
    expect(borePrice(100, { ...place, centre: [0, 0, 0] }, te, [te, te, te])).toBe(Infinity);
  });
  it("three cables go through one line, a fourth goes another way; metal-clad ones want no plate", () => {
    const four = withDeck({ notchLines: [2500] }, {}, 4);
    const plan = makePlan(four);
    const h = layHouse(four);
    const most = Math.max(...plan.holes.filter((o) => o.notch).map((o) => o.runs.length));
    expect(most).toBeLessThanOrEqual(3);
    expect(checkHoles(h, plan.holes, plan.runs).filter((f) => f.severity === "stop")).toEqual([]);
    const clad = withDeck({ notchLines: [2500] });
    const mineral = makePlan({ ...clad, circuits: clad.circuits.map((c) => ({ ...c, cable: "mi-2L1.5" })) });
    const notches = mineral.holes.filter((o) => o.notch);
    expect(notches.length === 0 || notches.every((o) => !o.plated)).toBe(true);
    expect(notches.length).toBeGreaterThan(0);
  });
  it("a hole on the axis of a very shallow joist is no notch; a notch takes its own time", () => {
    const low = withDeck({ joists: { ...withDeck({}).decks[0]!.joists, depth: 75 } });
    const bored = makePlan(low).holes.filter((o) => o.in.kind === "joist");
    expect(bored.length).toBeGreaterThan(0);
    expect(bored.some((o) => o.notch)).toBe(false);
    const job = withDeck({ notchLines: [2500] });
    const plan = makePlan(job);
    const times = partsOf(layHouse(job), plan)
      .filter((p) => p.hole?.notch)
      .map((p) => p.usual);
    expect(new Set(times)).toEqual(new Set([minutes.notch]));
  });
  it("a closed deck is notched where boards or a hatch are up, not from below", () => {
    const opened = (kind: "board" | "hatch" | "below"): number => {
      const all = { id: "o", kind, x: 0, y: 0, width: 6000, depth: 3000 };
      const closed = withDeck({ notchLines: [2500], access: "closed", opened: [all] });
      return makePlan(closed).holes.filter((o) => o.notch).length;
    };
    expect(opened("board")).toBeGreaterThan(0);
    expect(opened("hatch")).toBeGreaterThan(0);
    expect(opened("below")).toBe(0);
  });
  it("a notch sawn for a run that is done takes the next one as well", () => {
    const job = withDeck({ notchLines: [2500] });
    const plan = makePlan(job);
    const [run] = plan.runs;
    const holes = plan.holes.filter((o) => o.runs.includes(run!.id)).map((o) => ({ ...o, runs: [run!.id] }));
    const { id: key, circuit, from, to, number, cable, legs, cutLength } = run!;
    const held = { key, circuit, from, to, number, cable, legs, cutLength, holes, points: [] };
    const again = makePlan(job, { held: [held] });
    const sawn = again.holes.filter((o) => o.notch);
    const before = plan.holes.filter((o) => o.notch);
    expect(sawn.map((o) => [o.at, o.runs.length])).toEqual(before.map((o) => [2500, o.runs.length]));
    expect(before.some((o) => o.runs.length === 2)).toBe(true);
    expect(again.facts.filter((f) => f.rule.startsWith("timber."))).toEqual([]);
  });
});

describe("battens along the edge of the joists", () => {
  const plates = (battens: Deck["battens"], depth = 120): boolean[] => {
    const d = withDeck({}).decks[0]!;
    const plan = makePlan(withDeck({ joists: { ...d.joists, depth }, battens }));
    return [...new Set(plan.holes.filter((o) => o.in.kind === "joist").map((o) => o.plated))];
  };
  it("over it they move it out, so that a shallow joist wants no plate; beside it they move it in", () => {
    // 120 deep, bored on its axis with 18: 60 − 9 = 51 is enough; 115: 48.5 is not, until 5 lie over both edges.
    expect(plates([])).toEqual([false]);
    expect(plates([], 110)).toEqual([true]);
    const both = (depth: number, place: "over" | "beside"): Deck["battens"] => [
      { edge: "top", depth, place },
      { edge: "bottom", depth, place },
    ];
    expect(plates(both(25, "over"), 110)).toEqual([false]);
    expect(plates([{ edge: "bottom", depth: 25, place: "over" }], 110)).toEqual([true]);
    expect(plates([{ edge: "bottom", depth: 25, place: "beside" }])).toEqual([true]);
  });
});
