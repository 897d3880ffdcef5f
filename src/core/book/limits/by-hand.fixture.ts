import { describe, expect, it } from "vitest";
import { layHouse } from "../../house/house";
import { type Job, jobSchema } from "../../job/model";
import { runKey } from "../../job/run-key";
import type { HeldRun } from "../../laid/held";
import type { Clips, Hole, Run } from "../../laid/laid";
import { checkPlan } from "../../plan/checker";
import { makePlan } from "../../plan/plan";
import { pointFacts } from "../../plan/point-facts";
import { type JudgedRule, judgedRules, ruleOf } from "../../rules/book";
import { cableOf } from "../../rules/catalogue";
import type { Fact } from "../../rules/fact";
import { checkCircuit } from "../../trades/circuits/check-circuit";
import { circuitFacts } from "../../trades/circuits/circuit-facts";
import { foundFacts } from "../../trades/circuits/found";
import { readRing } from "../../trades/dead-tests/ring-read";
import { checkKitchen } from "../../trades/kitchen/served";
import { notifyFacts } from "../../trades/kitchen/string-path";
import { checkJoist } from "../../trades/timber/check-joist";
import { checkPath } from "../../trades/zones/check-path";
import { wallZones } from "../../house/wall-zones";
import { findingOf, namesOf } from "../../words/findings";
import { calculatorNamed } from "../../calculators/registry";

/*
 * Every rule of the book on both sides of its limit. This file holds the house and the hands that lay things in it; the files of
 * limits beside it hold a pair for every rule of their group, held against the rows of the book.
 */

export interface Broken {
  facts: readonly Fact[];
  severity?: Fact["severity"];
  measured?: number;
  limit?: number;
}
export interface Pair {
  allowed: () => readonly Fact[];
  broken: () => Broken;
}

// A room of 4 000 × 3 000 under a deck of joists, with whatever a rule wants in it.
export const corners = [
  { x: 0, y: 0 },
  { x: 0, y: 3000 },
  { x: 4000, y: 3000 },
  { x: 4000, y: 0 },
];
export const socket = (id: string, u: number, v = 450, more: object = {}) => ({
  id,
  label: id.toUpperCase(),
  kind: "socket",
  place: { on: "wall", wall: "w1", u, v },
  ...more,
});
export const board = {
  id: "db",
  label: "DB1",
  kind: "board",
  ways: 8,
  place: { on: "wall", wall: "w3", u: 2000, v: 1400 },
};
export const circuit = (more: object = {}) => ({
  id: "c",
  label: "C1",
  name: "Sockets",
  kind: "radial",
  device: { rating: 20 },
  rcd: 30,
  cable: "te-2.5",
  way: 1,
  points: ["s1"],
  ...more,
});
export const wallRow = (i: number, more: object = {}) => ({
  id: `w${i}`,
  room: "r",
  index: i,
  thickness: 300,
  ...more,
});
export const deck = (more: object = {}) => ({
  id: "d",
  name: "Deck",
  kind: "solid-joists",
  outline: corners,
  underside: 2400,
  joists: { direction: "east-west", depth: 200, breadth: 47, spacing: 400, first: 300, bearings: [] },
  ...more,
});
export const house = (more: object = {}): Job =>
  jobSchema.parse({
    id: "j",
    name: "Job",
    storeys: [{ id: "g", name: "Ground", level: 0, height: 2400 }],
    rooms: [{ id: "r", storey: "g", name: "Room", kind: "kitchen", height: 2400, outline: corners }],
    walls: [0, 1, 2, 3].map((i) => wallRow(i)),
    openings: [],
    fixtures: [],
    decks: [deck()],
    points: [board, socket("s1", 1000)],
    circuits: [circuit()],
    pins: [],
    drums: [],
    ...more,
  });
/** Two rooms either side of wall 1, which is so thick; S1 on the one side and T1 on the other, so far along from it. */
export const bothSides = (
  thickness: number,
  apart: number,
  more: { backing?: string; fireResisting?: boolean; boxDepth?: number; v?: number } = {},
): Job => {
  const { backing = "room", fireResisting = false, boxDepth = 35, v = 450 } = more;
  const y = 3000 + thickness;
  const far = [
    { x: 0, y },
    { x: 0, y: 6000 },
    { x: 4000, y: 6000 },
    { x: 4000, y },
  ];
  const one = house().rooms[0]!;
  const sides = [0, 1, 2, 3].flatMap((i) => [
    wallRow(i, i === 1 ? { thickness, backing, fireResisting } : {}),
    wallRow(i, { id: `q${i}`, room: "q", ...(i === 3 ? { thickness } : {}) }),
  ]);
  return house({
    rooms: [one, { ...one, id: "q", name: "Other", outline: far }],
    walls: sides,
    points: [
      board,
      socket("s1", 1000, 450, { boxDepth }),
      socket("t1", 3000 - apart, 450, { boxDepth: 35, place: { on: "wall", wall: "q3", u: 3000 - apart, v } }),
    ],
    circuits: [circuit({ points: ["s1", "t1"] })],
  });
};
export type Path = [number, number, number][];
/** A run laid by hand along given legs, from the board to S1. */
export const run = (legs: Partial<Run["legs"][number]>[], more: Partial<Run> = {}): Run => ({
  id: runKey({ circuit: "c", from: "db", to: "s1" }),
  number: 1,
  circuit: "c",
  from: "db",
  to: "s1",
  cable: "te-2.5",
  carries: [],
  legs: legs.map((l) => ({
    surface: { kind: "wall", id: "w1" },
    method: "chase",
    path: [],
    depth: 15,
    protected: false,
    ...l,
  })) as Run["legs"],
  pathLength: 0,
  cutLength: 0,
  method: "chase",
  grouped: 1,
  pin: null,
  held: false,
  ...more,
});
/** Along wall w1, which runs from (0, 3000) eastwards. */
export const onW1 = (...at: [u: number, v: number][]): Path => at.map(([u, v]) => [u, 3000, v]);
export const checked = (job: Job, runs: Run[], holes: Hole[] = [], clips: Clips[] = []): Fact[] =>
  checkPlan(layHouse(job), { runs, holes, clips });
export const held = (more: Partial<HeldRun> = {}): HeldRun => ({
  key: runKey({ circuit: "c", from: "db", to: "s1" }),
  circuit: "c",
  from: "db",
  to: "s1",
  number: 1,
  cable: "te-2.5",
  legs: run([{ path: onW1([1000, 450], [1000, 2400]) }]).legs,
  holes: [],
  cutLength: 5000,
  points: [{ id: "s1", place: { on: "wall", wall: "w1", u: 1000, v: 450 } }],
  ...more,
});
export const hole = (more: Partial<Hole> = {}): Hole => ({
  id: "h",
  in: { kind: "joist", deck: "d", joist: 2, span: 1 },
  at: 1200,
  fromTop: 100,
  centre: [1200, 700, 2500],
  diameter: 20,
  runs: [runKey({ circuit: "c", from: "db", to: "s1" })],
  plated: false,
  ...more,
});
export const across = (y0: number, y1: number, x = 1200, z = 2500): Path => [
  [x, y0, z],
  [x, y1, z],
];
export const deckLeg = (path: Path, method: Run["legs"][number]["method"] = "through-joists") => ({
  surface: { kind: "deck" as const, id: "d" },
  method,
  path,
  depth: 100,
});
export const joist = { kind: "solid" as const, depth: 200, breadth: 47, span: 4000 };
export const bore = (at: number, diameter = 20, fromTop = 100, id = "a") => ({
  id,
  kind: "hole" as const,
  at,
  diameter,
  fromTop,
});
export const notch = (at: number, depth = 20, edge: "top" | "bottom" = "top", id = "n") => ({
  id,
  kind: "notch" as const,
  at,
  width: 20,
  depth,
  edge,
});
export const judged = (...cuts: Parameters<typeof checkJoist>[1][number][]): Fact[] =>
  checkJoist(joist, cuts, { notchSchool: "warranty", plated: new Set(["p"]) });
export const wall = { length: 4000, height: 2400, thickness: 300, openings: [], cornerLeft: true, cornerRight: true };
export const path = (at: { u: number; v: number }[], hidden = { depth: 15, protected: false }, w = wall): Fact[] =>
  checkPath(w, wallZones(w, [{ id: "s", u: 1000, v: 450, width: 86, height: 86 }], []), at, hidden).facts;
export const plumb = (u: number) => [
  { u, v: 450 },
  { u, v: 2000 },
];
export const te25 = cableOf("te-2.5")!;
export const design = (more: Partial<Parameters<typeof checkCircuit>[0]> = {}): Fact[] =>
  checkCircuit({
    kind: "radial",
    device: { curve: "B", rating: 20 },
    cable: te25,
    designCurrent: 20,
    legs: [{ length: 10_000, method: "C", grouped: 1, ambient: 30, insulated: 0 }],
    ze: 0.35,
    ...more,
  }).facts;
export const leg = (more: object = {}) => [
  { length: 10_000, method: "C" as const, grouped: 1, ambient: 30, insulated: 0, ...more },
];
export const kitchen = (points: object[], more: object = {}): Fact[] =>
  checkKitchen({
    worktopHeight: 900,
    sinks: [{ u0: 1000, u1: 1600 }],
    hobs: [{ u0: 3000, u1: 3600 }],
    appliances: [],
    points: points as never,
    ...more,
  });
export const outlet = (u: number, v = 1150, more: object = {}) => ({
  id: "s",
  kind: "outlet",
  u,
  v,
  width: 146,
  height: 86,
  ...more,
});
export const points = (list: object[], more: object = {}): Fact[] =>
  pointFacts(
    layHouse(
      house({
        points: [board, ...list],
        circuits: [circuit({ points: list.map((p) => (p as { id: string }).id) })],
        ...more,
      }),
    ),
  );
export const circuits = (c: object, more: object = {}): Fact[] =>
  circuitFacts(house({ circuits: [circuit(c)], ...more }));
export const ringReads = (r1: number, rn: number): Fact[] =>
  readRing({ r1: 0.445, rn: 0.445, r2: 0.726 }, r1, rn, 0.726, []).facts;
export const found = (cables: object[], c: object = {}): Fact[] =>
  foundFacts(
    house({
      points: [board, socket("s1", 1000, 450, { existing: true }), socket("s2", 2000, 450, { existing: true })],
      circuits: [circuit({ kind: "ring", state: "extend", points: ["s1", "s2"], ...c })],
      foundCables: cables,
    }),
  );
export const ringFound = [
  { id: "f1", from: "db", to: "s1", cable: "te-2.5" },
  { id: "f2", from: "s1", to: "s2", cable: "te-2.5" },
  { id: "f3", from: "s2", to: "db", cable: "te-2.5" },
];
export const extended = (cables: object[], more: object = {}): Fact[] =>
  makePlan(
    house({
      points: [
        board,
        socket("s1", 800, 450, { existing: true }),
        socket("s2", 3200, 450, { existing: true }),
        socket("s3", 2000),
      ],
      circuits: [circuit({ kind: "ring", state: "extend", points: ["s1", "s2", "s3"], device: { rating: 32 } })],
      foundCables: cables,
      ...more,
    }),
  ).facts;
export const calc = (name: string, input: unknown): Fact[] => {
  const c = calculatorNamed(name)!;
  return [...(c.run(c.input.parse(input) as never, undefined as never) as { facts: Fact[] }).facts];
};
export const sinkAt = (points: object[], country: string): Fact[] =>
  notifyFacts(
    layHouse(
      house({
        dwelling: { country },
        points: [{ ...board, existing: true }, ...points],
        circuits: [],
        fixtures: [{ id: "sink", wall: "w1", kind: "sink", u: 500, v: 860, width: 500, height: 40, depth: 500 }],
      }),
    ),
  );
export const clips = (marks: number[], more: Partial<Clips> = {}): Clips[] => [
  {
    run: runKey({ circuit: "c", from: "db", to: "s1" }),
    leg: 0,
    marks,
    pitch: 0,
    max: 300,
    reachable: true,
    metal: false,
    ...more,
  },
];
export const surface = run([{ method: "surface", depth: 0, path: onW1([1000, 450], [3000, 450]) }]);
export const thin = run([{ path: onW1([1000, 450], [1000, 2000]) }]);
export const two = (a: object, b: object) => [a, b];

/** What the files of limits beside this one hold: each the rules whose names begin with one of its words. */
export const groups = {
  walls: ["zone", "chase", "route", "hole", "work"],
  timber: ["timber"],
  points: ["point", "height", "kitchen"],
  circuits: ["alarm", "bath", "circuit", "extend", "found", "lighting", "retrofit", "supply", "test"],
  containment: ["fill", "bend", "fold", "section", "clip", "fire"],
  ends: ["gland", "mi", "end", "stock", "armour", "board", "party"],
  outside: ["outside", "overhead", "buried", "lights"],
  signals: ["signal"],
} as const;

/** The rules of a group, in the order of the book. */
export const rulesOf = (group: keyof typeof groups): JudgedRule[] =>
  judgedRules.filter((r) => (groups[group] as readonly string[]).includes(r.split(".")[0]!));

/**
 * Judges a group of rules on both sides of their limits: what is just allowed brings no fact of the rule, what is just not allowed
 * brings one, of the severity and with the measure and limit given, and whole as it was kept. Every rule of the group has its pair.
 */
export function judgeLimits(group: keyof typeof groups, pairs: Partial<Record<JudgedRule, Pair>>): void {
  describe(`every rule of ${group}, on both sides of its limit`, () => {
    it("has a pair for every rule, and no pair is without a rule", () =>
      expect(Object.keys(pairs).sort()).toEqual(rulesOf(group).sort()));
    it.each(rulesOf(group))("%s", (rule) => {
      const { allowed, broken } = pairs[rule]!;
      expect(allowed().filter((f) => f.rule === rule)).toEqual([]);
      const { facts, severity, measured, limit } = broken();
      const mine = facts.filter((f) => f.rule === rule);
      expect(mine.length).toBeGreaterThan(0);
      const [f] = mine;
      expect(f!.severity).toBe(severity ?? ruleOf(rule).severity);
      if (measured !== undefined) expect(f!.measured).toBeCloseTo(measured, 3);
      if (limit !== undefined) expect(f!.limit).toBeCloseTo(limit, 6);
      // Subject, place, sense, unit and remedy as they were when a person last looked at them.
      expect(rounded(f!)).toMatchSnapshot();
      const words = findingOf(f!, namesOf(layHouse(house())));
      expect(words.message).toMatch(/^\S.*[.!?]$/s);
      expect(words.message).not.toMatch(/undefined|NaN|\[object|null/);
      if (words.remedy !== undefined) expect(words.remedy).not.toMatch(/undefined|NaN|\[object/);
      expect(words.source).toBe(ruleOf(rule).source);
    });
  });
}

/** A fact with its figures to a thousandth. */
const rounded = (f: Fact): unknown =>
  JSON.parse(JSON.stringify(f, (_, x: unknown) => (typeof x === "number" ? Math.round(x * 1000) / 1000 : x)));
