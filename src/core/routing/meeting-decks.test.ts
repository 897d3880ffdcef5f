import { describe, expect, it } from "vitest";
import { deck, house } from "../book/limits/by-hand.fixture";
import { type House, layHouse } from "../house/house";
import type { Job } from "../job/model";
import { makePlan } from "../plan/plan";
import { board, light, lighting, stops } from "./every-way.fixture";
import { draft } from "./graph";
import { joinMeetingDecks } from "./meeting-decks";

describe("decks that meet", () => {
  const half = (id: string, y0: number, y1: number, more: object = {}) =>
    deck({
      id,
      underside: 2415,
      outline: [
        { x: 0, y: y0 },
        { x: 0, y: y1 },
        { x: 4000, y: y1 },
        { x: 4000, y: y0 },
      ],
      joists: { direction: "north-south", breadth: 47, depth: 195, spacing: 400, first: 200, bearings: [] },
      ...more,
    });
  const job = (second: object, l2 = light("l2", 1000, 2300, "d2")): Job =>
    house({
      decks: [half("d1", 0, 1500), half("d2", 1500, 3000, second)],
      points: [board("w0", 500), light("l1", 1000, 700, "d1"), l2],
      circuits: [lighting("l1", "l2")],
    });
  const between = (j: Job) => {
    const plan = makePlan(j);
    expect(stops(plan)).toEqual([]);
    return plan.runs.find((r) => r.from === "l1" && r.to === "l2")!;
  };
  it("the same decks by another school of notches: as if they had never been joined by the first", () => {
    const turned = {
      joists: { ...half("d2", 0, 1).joists, direction: "east-west", first: 200 },
      notchLines: [350, 900, 1700],
    };
    const first = layHouse(job(turned));
    const joined = (h: House) => {
      const g = draft();
      const entries = joinMeetingDecks(g, h);
      return JSON.stringify([entries, g.nodes, g.edges, g.bores, [...g.x.subarray(0, g.nodes)]]);
    };
    const told = new Set<string>();
    // One of them changes at a time.
    for (const [notch, notchEdge] of [
      ["warranty", "top"],
      ["on-site", "top"],
      ["on-site", "either"],
      ["warranty", "either"],
    ] as const) {
      const schools = { ...first.job.settings.schools, notch, notchEdge };
      const next = { ...first.job, settings: { ...first.job.settings, schools } };
      told.add(joined({ ...first, job: next }));
      expect(joined({ ...first, job: next })).toBe(joined(layHouse(structuredClone(next))));
    }
    expect(told.size).toBeGreaterThan(1);
  });
  it("joists in line: straight on along one joist, 1 600 with both drops of 97.5 and 31.5 from under the joist", () => {
    const run = between(job({}));
    expect(run.pathLength).toBe(1600 + 2 * (97.5 + 31.5));
    expect(run.legs.some((l) => l.surface.kind === "wall")).toBe(false);
  });
  it("a cable too thick for the joists of one is bored through those of the other alone", () => {
    const shallow = { joists: { ...half("d2", 0, 1).joists, depth: 90 } };
    const thick = job(shallow, light("l2", 2200, 2300, "d2"));
    const plan = makePlan({ ...thick, circuits: thick.circuits.map((c) => ({ ...c, cable: "te-16" })) });
    expect(plan.facts.filter((f) => f.rule === "hole.too-small")).toEqual([]);
    expect(plan.holes.filter((o) => o.in.kind === "joist").map((o) => o.in.deck)).not.toContain("d2");
    const deep = job({}, light("l2", 2200, 2300, "d2"));
    const both = makePlan({ ...deep, circuits: deep.circuits.map((c) => ({ ...c, cable: "te-16" })) });
    expect(both.holes.map((o) => o.in.deck)).toContain("d2");
  });
  it("one of concrete is joined to nothing: no cable lies in it", () => {
    const kinds = (d1: object, d2: object): number[] => {
      const decks = [half("d1", 0, 1500, d1), half("d2", 1500, 3000, d2)];
      return joinMeetingDecks(draft(), layHouse(house({ decks }))).map((of) => of.length);
    };
    expect(Math.min(...kinds({}, {}))).toBeGreaterThan(0);
    expect(kinds({}, { kind: "concrete" })).toEqual([0, 0]);
    expect(kinds({ kind: "concrete" }, {})).toEqual([0, 0]);
  });
  it("joists set over by 100: the cable crosses within the bay where they meet", () => {
    const run = between(job({ joists: { ...half("d2", 0, 1).joists, first: 300 } }));
    expect(run.legs.some((l) => l.surface.kind === "wall")).toBe(false);
    expect(run.pathLength).toBeLessThan(2200);
  });
  it("joists the other way: along the last bay and then along the next deck's", () => {
    const turned = { joists: { ...half("d2", 0, 1).joists, direction: "east-west", first: 200 } };
    const run = between(job(turned, light("l2", 3000, 1550, "d2")));
    expect(run.legs.some((l) => l.surface.kind === "wall")).toBe(false);
  });
  describe("where a joist lies along the side of one of them", () => {
    const across = (first: number, more: object = {}) => ({
      joists: {
        ...half("d2", 0, 1).joists,
        direction: "east-west",
        first,
        bearings: [
          [-100, 0],
          [4000, 4100],
        ],
      },
      ...more,
    });
    const turned = (first: number, more: object = {}): Job => job(across(first, more), light("l2", 1200, 1900, "d2"));
    it("the cable goes through that joist, by a bore in its window, and straight on", () => {
      for (const first of [1, 10, 23, 31]) {
        const j = turned(first);
        const run = between(j);
        expect(run.legs.some((l) => l.surface.kind === "wall")).toBe(false);
        const bored = makePlan(j).holes.filter(
          (o) => o.in.deck === "d2" && o.in.joist === 1 && o.runs.includes(run.id),
        );
        // A quarter to two fifths of 4 000 from either bearing.
        expect(bored.map((o) => Math.min(o.at, 4000 - o.at) >= 1000 && Math.min(o.at, 4000 - o.at) <= 1600)).toEqual([
          true,
        ]);
        expect(bored[0]!.centre[1]).toBe(1500 + first);
      }
    });
    it("so it does from the other side, and over a step of 40", () => {
      const first = { joists: { ...across(15).joists, first: 285 } };
      // 285 and three spacings of 400: the last joist 15 from the side.
      const both = (second: object): Job =>
        house({
          decks: [half("d1", 0, 1500, first), half("d2", 1500, 3000, second)],
          points: [board("w0", 500), light("l1", 1000, 700, "d1"), light("l2", 1200, 1900, "d2")],
          circuits: [lighting("l1", "l2")],
        });
      const joistsBored = (j: Job): string[] => {
        const run = between(j);
        expect(run.legs.some((l) => l.surface.kind === "wall")).toBe(false);
        const near = makePlan(j).holes.filter((o) => o.runs.includes(run.id) && Math.abs(o.centre[1] - 1500) <= 25);
        return near.map((o) => `${o.in.deck} ${o.in.joist}`);
      };
      expect(joistsBored(both({}))).toEqual(["d1 4"]);
      expect(joistsBored(turned(10, { underside: 2455 }))).toEqual(["d2 1"]);
    });
    const parallel = (second: object, first: number): Job =>
      house({
        decks: [half("d1", 0, 1500, { joists: { ...across(0).joists, first } }), half("d2", 1500, 3000, second)],
        points: [board("w0", 500), light("l1", 1000, 700, "d1"), light("l2", 1200, 1900, "d2")],
        circuits: [lighting("l1", "l2")],
      });
    it("through two joists side by side in one go: a hole in each, at one place", () => {
      // Joists of 47: the last of the first deck at 1 476, from 1 452.5 to 1 499.5; the first of the second from 1 500.5, or up to 49 on.
      for (const second of [24, 31, 73]) {
        const j = parallel(across(second), 276);
        const plan = makePlan(j);
        expect(stops(plan)).toEqual([]);
        const run = plan.runs.find((r) => r.to === "l2")!;
        expect(run.legs.some((l) => l.surface.kind === "wall")).toBe(false);
        const pair = plan.holes.filter(
          (o) => o.runs.includes(run.id) && [1476, 1500 + second].includes(o.centre[1]) && o.in.kind === "joist",
        );
        expect(pair.map((o) => `${o.in.deck} ${o.in.joist}`)).toEqual(["d1 4", "d2 1"]);
        expect(pair[0]!.centre[0]).toBe(pair[1]!.centre[0]);
        expect(pair[0]!.diameter).toBe(pair[1]!.diameter);
        // From deck to deck half way between the two, where that is not free.
        if (second <= 31)
          expect(run.legs.flatMap((l) => l.path).some(([, y]) => y === (1499.5 + 1500 + second - 23.5) / 2)).toBe(true);
      }
    });
    it("not where one lies a little higher, nor where one stands in the other's way", () => {
      // 40 higher; the first 45 from the side, or 10, where the joists overlap after a survey's slip.
      for (const [first, second] of [
        [276, across(24, { underside: 2455 })],
        [255, across(1)],
        [290, across(1)],
      ] as const) {
        const entries = (k: Job): number => joinMeetingDecks(draft(64, 64), layHouse(k)).flat().length;
        expect(entries(parallel(second, first))).toBe(0);
      }
    });
    it("round by the wall where the other deck's joist stands in the way", () => {
      const plan = makePlan(parallel(across(1), 255));
      expect(stops(plan)).toEqual([]);
      const run = plan.runs.find((r) => r.to === "l2")!;
      expect(plan.holes.filter((o) => o.runs.includes(run.id) && Math.abs(o.centre[1] - 1500) < 30)).toEqual([]);
    });
    it("under it and up again along the wall where that joist may not be bored: engineered, or closed", () => {
      for (const more of [{ kind: "engineered" }, { access: "closed" }]) {
        const plan = makePlan(turned(10, more));
        expect(plan.holes.filter((o) => o.in.deck === "d2")).toEqual([]);
        expect(stops(plan).filter((r) => r !== "circuit.loop")).toEqual([]);
      }
    });
  });
  it("a step of 40 between them is taken where they meet; at different storeys they do not join", () => {
    const run = between(job({ underside: 2455 }));
    const along = run.legs.flatMap((l) => l.path);
    expect(along.some(([, y]) => y === 1500)).toBe(true);
    expect(run.pathLength).toBeLessThan(2200);
    const apart = makePlan(job({ underside: 2415 + 195 - 49 })).runs.find((r) => r.to === "l2");
    expect(apart === undefined || apart.legs.some((l) => l.surface.kind === "wall")).toBe(true);
  });
  it("a gap of more than a survey's slip is no meeting", () => {
    const slip = (by: number) => job({ outline: half("d2", 1500 + by, 3000).outline });
    expect(between(slip(20)).legs.some((l) => l.surface.kind === "wall")).toBe(false);
    expect(between(slip(21)).legs.some((l) => l.surface.kind === "wall")).toBe(true);
  });
});
