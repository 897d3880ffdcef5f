import { describe, expect, it } from "vitest";
import { layHouse } from "../house/house";
import { type Job, jobSchema } from "../job/model";
import { runKey } from "../job/run-key";
import type { HeldRun } from "../laid/held";
import type { Clips, Hole, Run } from "../laid/laid";
import { checkPlan } from "../plan/checker";
import { heldFacts } from "../plan/held-work";
import { makePlan } from "../plan/plan";
import { pointFacts } from "../plan/point-facts";
import { type JudgedRule, judgedRules, ruleOf } from "../rules/book";
import { cableOf } from "../rules/catalogue";
import type { Fact } from "../rules/fact";
import { glands } from "../rules/glands";
import { checkCircuit } from "../trades/circuits/check-circuit";
import { circuitFacts } from "../trades/circuits/circuit-facts";
import { drawFacts, foundFacts } from "../trades/circuits/found";
import { checkSpurs } from "../trades/circuits/spurs";
import { radiusFacts } from "../trades/containment/conduit-bends";
import { spaceFill } from "../trades/containment/space-fill";
import { termFill } from "../trades/containment/term-fill";
import { checkInsulation } from "../trades/dead-tests/insulation";
import { readRing } from "../trades/dead-tests/ring-read";
import { pickGland } from "../trades/ends/gland-pick";
import { glandRow } from "../trades/ends/gland-row";
import { tailLength } from "../trades/ends/tails";
import { bendFacts } from "../trades/fixings/bends";
import { clipSpacing } from "../trades/fixings/clips";
import { checkFire } from "../trades/fixings/fire";
import { checkKitchen } from "../trades/kitchen/served";
import { notifyFacts } from "../trades/kitchen/string-path";
import { buried } from "../trades/outside/buried";
import { overhead } from "../trades/outside/overhead";
import { checkJoist } from "../trades/timber/check-joist";
import { checkStud } from "../trades/timber/stud";
import { checkPath } from "../trades/zones/check-path";
import { wallZones } from "../house/wall-zones";
import { findingOf, namesOf } from "../words/findings";
import { calculatorNamed } from "../calculators/registry";

/*
 * Every rule of the book on both sides of its limit: what is just allowed brings no fact of it, what is just not allowed brings one,
 * of the severity and with the measure and limit given. The list is held against the rows of the book: a rule without a pair here,
 * or a pair without a rule, fails.
 */

interface Broken {
  facts: readonly Fact[];
  severity?: Fact["severity"];
  measured?: number;
  limit?: number;
}
interface Pair {
  allowed: () => readonly Fact[];
  broken: () => Broken;
}

// A room of 4 000 × 3 000 under a deck of joists, with whatever a rule wants in it.
const corners = [
  { x: 0, y: 0 },
  { x: 0, y: 3000 },
  { x: 4000, y: 3000 },
  { x: 4000, y: 0 },
];
const socket = (id: string, u: number, v = 450, more: object = {}) => ({
  id,
  label: id.toUpperCase(),
  kind: "socket",
  place: { on: "wall", wall: "w1", u, v },
  ...more,
});
const board = { id: "db", label: "DB1", kind: "board", ways: 8, place: { on: "wall", wall: "w3", u: 2000, v: 1400 } };
const circuit = (more: object = {}) => ({
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
const wallRow = (i: number, more: object = {}) => ({ id: `w${i}`, room: "r", index: i, thickness: 300, ...more });
const deck = (more: object = {}) => ({
  id: "d",
  name: "Deck",
  kind: "solid-joists",
  outline: corners,
  underside: 2400,
  joists: { direction: "east-west", depth: 200, breadth: 47, spacing: 400, first: 300, bearings: [] },
  ...more,
});
const house = (more: object = {}): Job =>
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
type Path = [number, number, number][];
/** A run laid by hand along given legs, from the board to S1. */
const run = (legs: Partial<Run["legs"][number]>[], more: Partial<Run> = {}): Run => ({
  id: runKey({ circuit: "c", from: "db", to: "s1" }),
  number: 1,
  circuit: "c",
  from: "db",
  to: "s1",
  cable: "te-2.5",
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
const onW1 = (...at: [u: number, v: number][]): Path => at.map(([u, v]) => [u, 3000, v]);
const checked = (job: Job, runs: Run[], holes: Hole[] = [], clips: Clips[] = []): Fact[] =>
  checkPlan(layHouse(job), { runs, holes, clips });
const held = (more: Partial<HeldRun> = {}): HeldRun => ({
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
const hole = (more: Partial<Hole> = {}): Hole => ({
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
const across = (y0: number, y1: number, x = 1200, z = 2500): Path => [
  [x, y0, z],
  [x, y1, z],
];
const deckLeg = (path: Path, method: Run["legs"][number]["method"] = "through-joists") => ({
  surface: { kind: "deck" as const, id: "d" },
  method,
  path,
  depth: 100,
});
const joist = { kind: "solid" as const, depth: 200, breadth: 47, span: 4000 };
const bore = (at: number, diameter = 20, fromTop = 100, id = "a") => ({
  id,
  kind: "hole" as const,
  at,
  diameter,
  fromTop,
});
const notch = (at: number, depth = 20, edge: "top" | "bottom" = "top", id = "n") => ({
  id,
  kind: "notch" as const,
  at,
  width: 20,
  depth,
  edge,
});
const judged = (...cuts: Parameters<typeof checkJoist>[1][number][]): Fact[] =>
  checkJoist(joist, cuts, { notchSchool: "warranty", plated: new Set(["p"]) });
const wall = { length: 4000, height: 2400, thickness: 300, openings: [], cornerLeft: true, cornerRight: true };
const path = (at: { u: number; v: number }[], hidden = { depth: 15, protected: false }, w = wall): Fact[] =>
  checkPath(w, wallZones(w, [{ id: "s", u: 1000, v: 450, width: 86, height: 86 }], []), at, hidden).facts;
const plumb = (u: number) => [
  { u, v: 450 },
  { u, v: 2000 },
];
const te25 = cableOf("te-2.5")!;
const design = (more: Partial<Parameters<typeof checkCircuit>[0]> = {}): Fact[] =>
  checkCircuit({
    kind: "radial",
    device: { curve: "B", rating: 20 },
    cable: te25,
    designCurrent: 20,
    legs: [{ length: 10_000, method: "C", grouped: 1, ambient: 30, insulated: 0 }],
    ze: 0.35,
    ...more,
  }).facts;
const leg = (more: object = {}) => [
  { length: 10_000, method: "C" as const, grouped: 1, ambient: 30, insulated: 0, ...more },
];
const kitchen = (points: object[], more: object = {}): Fact[] =>
  checkKitchen({
    worktopHeight: 900,
    sinks: [{ u0: 1000, u1: 1600 }],
    hobs: [{ u0: 3000, u1: 3600 }],
    appliances: [],
    points: points as never,
    ...more,
  });
const outlet = (u: number, v = 1150, more: object = {}) => ({
  id: "s",
  kind: "outlet",
  u,
  v,
  width: 146,
  height: 86,
  ...more,
});
const points = (list: object[], more: object = {}): Fact[] =>
  pointFacts(
    layHouse(
      house({
        points: [board, ...list],
        circuits: [circuit({ points: list.map((p) => (p as { id: string }).id) })],
        ...more,
      }),
    ),
  );
const circuits = (c: object, more: object = {}): Fact[] => circuitFacts(house({ circuits: [circuit(c)], ...more }));
const ringReads = (r1: number, rn: number): Fact[] =>
  readRing({ r1: 0.445, rn: 0.445, r2: 0.726 }, r1, rn, 0.726, []).facts;
const found = (cables: object[], c: object = {}): Fact[] =>
  foundFacts(
    house({
      points: [board, socket("s1", 1000, 450, { existing: true }), socket("s2", 2000, 450, { existing: true })],
      circuits: [circuit({ kind: "ring", state: "extend", points: ["s1", "s2"], ...c })],
      foundCables: cables,
    }),
  );
const ringFound = [
  { id: "f1", from: "db", to: "s1", cable: "te-2.5" },
  { id: "f2", from: "s1", to: "s2", cable: "te-2.5" },
  { id: "f3", from: "s2", to: "db", cable: "te-2.5" },
];
const extended = (cables: object[]): Fact[] =>
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
    }),
  ).facts;
const calc = (name: string, input: unknown): Fact[] => {
  const c = calculatorNamed(name)!;
  return [...(c.run(c.input.parse(input) as never, undefined as never) as { facts: Fact[] }).facts];
};
const sinkAt = (points: object[], country: string): Fact[] =>
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
const clips = (marks: number[], more: Partial<Clips> = {}): Clips[] => [
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
const surface = run([{ method: "surface", depth: 0, path: onW1([1000, 450], [3000, 450]) }]);
const thin = run([{ path: onW1([1000, 450], [1000, 2000]) }]);
const two = (a: object, b: object) => [a, b];

const pairs: Record<JudgedRule, Pair> = {
  "zone.outside": {
    allowed: () => path(plumb(1043)),
    broken: () => ({ facts: path(plumb(1044)), severity: "stop", measured: -1, limit: 0 }),
  },
  "zone.diagonal": {
    allowed: () =>
      path([
        { u: 1000, v: 450 },
        { u: 1000, v: 900 },
      ]),
    broken: () => ({
      facts: path([
        { u: 980, v: 450 },
        { u: 1020, v: 900 },
      ]),
      severity: "stop",
    }),
  },
  "zone.deep": {
    allowed: () => path(plumb(1500), { depth: 49, protected: false }),
    broken: () => ({
      facts: path(plumb(1500), { depth: 50, protected: false }),
      severity: "note",
      measured: 50,
      limit: 50,
    }),
  },
  "zone.rcd": {
    allowed: () => checked(house(), [run([{ path: onW1([1000, 450], [1000, 2000]) }])]),
    broken: () => ({
      facts: checked(house({ circuits: [circuit({ rcd: 100 })] }), [run([{ path: onW1([1000, 450], [1000, 2000]) }])]),
      severity: "stop",
      measured: 100,
      limit: 30,
    }),
  },
  "timber.engineered": {
    allowed: () => judged(bore(1200)),
    broken: () => ({
      facts: checkJoist({ ...joist, kind: "engineered" }, [bore(1200)], { notchSchool: "warranty" }),
      severity: "stop",
    }),
  },
  "timber.depth": {
    allowed: () => checkJoist({ ...joist, depth: 250 }, [], { notchSchool: "warranty" }),
    broken: () => ({
      facts: checkJoist({ ...joist, depth: 251 }, [], { notchSchool: "warranty" }),
      severity: "stop",
      measured: 251,
      limit: 250,
    }),
  },
  "timber.over-cut": {
    allowed: () =>
      checked(
        house({
          decks: [deck({ existingCuts: [{ id: "o", kind: "hole", joist: 2, at: 1400, diameter: 20, fromTop: 100 }] })],
        }),
        [],
        [hole()],
      ),
    broken: () => ({
      facts: checked(
        house({
          decks: [deck({ existingCuts: [{ id: "o", kind: "hole", joist: 2, at: 300, diameter: 20, fromTop: 100 }] })],
        }),
        [],
        [hole()],
      ),
    }),
  },
  "timber.in-joist": {
    allowed: () =>
      checked(house(), [
        run([
          deckLeg(
            [
              [600, 724, 2500],
              [1800, 724, 2500],
            ],
            "along-joist",
          ),
        ]),
      ]),
    broken: () => ({
      facts: checked(house(), [
        run([
          deckLeg(
            [
              [600, 720, 2500],
              [1800, 720, 2500],
            ],
            "along-joist",
          ),
        ]),
      ]),
      severity: "stop",
    }),
  },
  "timber.hole.zone": {
    allowed: () => judged(bore(1000), bore(1600, 20, 100, "b"), bore(2400, 20, 100, "c"), bore(3000, 20, 100, "d")),
    broken: () => ({ facts: judged(bore(999)), severity: "stop", measured: 999, limit: 1000 }),
  },
  "timber.hole.size": {
    allowed: () => judged(bore(1200, 50)),
    broken: () => ({ facts: judged(bore(1200, 50.1)), severity: "stop", measured: 50.1, limit: 50 }),
  },
  "timber.hole.axis": {
    allowed: () => judged(bore(1200, 20, 105)),
    broken: () => ({ facts: judged(bore(1200, 20, 94.9)), severity: "stop", measured: 5.1, limit: 5 }),
  },
  "timber.hole.spacing": {
    allowed: () => judged(bore(1200, 20), bore(1275, 25, 100, "b")),
    broken: () => ({
      facts: judged(bore(1200, 20), bore(1274, 25, 100, "b")),
      severity: "stop",
      measured: 74,
      limit: 75,
    }),
  },
  "timber.cable-edge": {
    // 40 from the axis to the top of the hole leaves 50 at the bottom edge, mirrored.
    allowed: () => judged({ ...bore(1200, 20, 140), id: "e" }, bore(2600, 20, 60, "f")),
    broken: () => ({ facts: judged({ ...bore(1200, 20, 140.5), id: "e" }), measured: 49.5, limit: 50 }),
  },
  "timber.notch.zone": {
    allowed: () => judged(notch(410), notch(790, 20, "top", "m")),
    broken: () => ({ facts: judged(notch(409)), severity: "stop", measured: 399, limit: 400 }),
  },
  "timber.notch.depth": {
    allowed: () => judged(notch(600, 30)),
    broken: () => ({ facts: judged(notch(600, 30.1)), severity: "stop", measured: 30.1, limit: 30 }),
  },
  "timber.notch.both-edges": {
    allowed: () => judged(notch(600)),
    broken: () => ({ facts: judged(notch(600, 20, "bottom")) }),
  },
  "timber.apart": {
    // Edge to edge: the notch ends at 790 + 10, the hole starts at 10 before its middle.
    allowed: () =>
      checkJoist({ ...joist, span: 3000 }, [notch(590), bore(710)], { notchSchool: "on-site", axisTolerance: 500 }),
    broken: () => ({
      facts: checkJoist({ ...joist, span: 3000 }, [notch(590), bore(709)], { notchSchool: "on-site" }),
      severity: "stop",
      measured: 99,
      limit: 100,
    }),
  },
  "timber.stud": {
    allowed: () => checkStud(100, 25, 55, true).facts,
    broken: () => ({ facts: checkStud(100, 25.1, 50, true).facts, measured: 25.1, limit: 25 }),
  },
  "hole.missing": {
    allowed: () => checked(house(), [run([deckLeg(across(500, 900))])], [hole()]),
    broken: () => ({
      facts: checked(house(), [run([deckLeg(across(500, 900))])], [hole({ centre: [1202, 700, 2500] })]),
      severity: "stop",
    }),
  },
  "hole.too-small": {
    // 45 % of Ø 18 is 114 mm²; one 2.5 flat cable has 58.6, two 117.2.
    allowed: () => checked(house(), [thin], [hole({ diameter: 18 })]),
    broken: () => ({
      facts: checked(house(), [thin, { ...thin, id: "c.db.s2" }], [hole({ diameter: 18, runs: [thin.id, "c.db.s2"] })]),
      severity: "stop",
      measured: (100 * 2 * 58.58) / (Math.PI * 81),
      limit: 45,
    }),
  },
  "route.unreachable": {
    allowed: () => makePlan(house()).facts,
    broken: () => ({
      facts: makePlan(house({ decks: [], walls: [0, 1, 2, 3].map((i) => wallRow(i, i % 2 ? {} : { build: "open" })) }))
        .facts,
    }),
  },
  "route.loose-end": {
    allowed: () => checked(house(), [run([{ path: onW1([1043, 450], [1043, 493]) }], { from: "s1", to: "s1" })]),
    broken: () => ({
      facts: checked(house(), [run([{ path: onW1([1045, 450], [1043, 450]) }], { from: "s1", to: "s1" })]),
      severity: "stop",
      measured: 45,
      limit: 0,
    }),
  },
  "route.broken": {
    allowed: () =>
      checked(house(), [run([{ path: onW1([1000, 450], [1000, 900]) }, { path: onW1([1000, 901], [1000, 1200]) }])]),
    broken: () => ({
      facts: checked(house(), [
        run([{ path: onW1([1000, 450], [1000, 900]) }, { path: onW1([1000, 901.1], [1000, 1200]) }]),
      ]),
      severity: "stop",
      measured: 1.1,
      limit: 0,
    }),
  },
  "route.opening": {
    allowed: () =>
      path(plumb(1000), undefined, { ...wall, openings: [{ u: 1000, v: 900, width: 500, height: 500 }] } as never),
    broken: () => ({
      facts: path(plumb(1001), undefined, {
        ...wall,
        openings: [{ u: 1000, v: 900, width: 500, height: 500 }],
      } as never),
      severity: "stop",
    }),
  },
  "route.off-surface": {
    allowed: () => checked(house(), [run([{ path: onW1([1000, 450], [1000, 2401]) }])]),
    broken: () => ({ facts: checked(house(), [run([{ path: onW1([1000, 450], [1000, 2401.1]) }])]), severity: "stop" }),
  },
  "route.through-box": {
    allowed: () =>
      checked(house({ points: [board, socket("s1", 1000), socket("s2", 1500, 600)] }), [
        run([{ path: onW1([1000, 556], [2000, 556]) }]),
      ]),
    broken: () => ({
      facts: checked(house({ points: [board, socket("s1", 1000), socket("s2", 1500, 600)] }), [
        run([{ path: onW1([1000, 558], [2000, 558]) }]),
      ]),
      severity: "warn",
    }),
  },
  "route.forbidden": {
    allowed: () =>
      checked(
        house({
          forbidden: [{ id: "x", place: { on: "wall", wall: "w1", u: 1000, v: 900, width: 300, height: 300 } }],
        }),
        [run([{ path: onW1([1000, 450], [1000, 2000]) }])],
      ),
    broken: () => ({
      facts: checked(
        house({ forbidden: [{ id: "x", place: { on: "wall", wall: "w1", u: 999, v: 900, width: 300, height: 300 } }] }),
        [run([{ path: onW1([1000, 450], [1000, 2000]) }])],
      ),
      severity: "stop",
    }),
  },
  "route.pin-apart": {
    allowed: () => makePlan(house()).facts,
    broken: () => {
      const job = house({ points: [board, socket("s1", 1000), socket("s2", 2000)] });
      const pin = {
        id: "p",
        circuit: "c",
        from: "s1",
        to: "s2",
        number: 1,
        legs: run([{ path: onW1([1000, 450], [2000, 450]) }]).legs,
      };
      return { facts: makePlan({ ...job, pins: [pin] }).facts, severity: "warn" };
    },
  },
  "work.moved": {
    allowed: () => heldFacts(layHouse(house({ points: [board, socket("s1", 1001)] })), [held()]),
    broken: () => ({
      facts: heldFacts(layHouse(house({ points: [board, socket("s1", 1002)] })), [held()]),
      severity: "stop",
      measured: 2,
      limit: 0,
    }),
  },
  "work.cable": {
    allowed: () => heldFacts(layHouse(house()), [held()]),
    broken: () => ({
      facts: heldFacts(layHouse(house({ circuits: [circuit({ cable: "te-4" })] })), [held()]),
      severity: "stop",
    }),
  },
  "work.apart": {
    allowed: () => makePlan(house(), { held: [held()] }).facts,
    broken: () => ({
      facts: makePlan(house({ circuits: [circuit({ points: [] })] }), { held: [held()] }).facts,
      severity: "warn",
    }),
  },
  "work.point-gone": {
    allowed: () => heldFacts(layHouse(house()), [held()]),
    broken: () => ({ facts: heldFacts(layHouse(house({ points: [board] })), [held()]), severity: "stop" }),
  },
  "stock.short": {
    allowed: () => makePlan(house({ drums: [{ id: "dr", label: "A", cable: "te-2.5", length: 100_000 }] })).facts,
    broken: () => ({
      facts: makePlan(house({ drums: [{ id: "dr", label: "A", cable: "te-2.5", length: 2000 }] })).facts,
      severity: "warn",
    }),
  },
  "outside.sheath": {
    allowed: () =>
      checked(
        house({ rooms: [{ id: "r", storey: "g", name: "Yard", kind: "yard", height: 2400, outline: corners }] }),
        [{ ...surface, cable: "swa-3x2.5", legs: surface.legs.map((l) => ({ ...l, protected: true })) }],
      ),
    broken: () => ({
      facts: checked(
        house({ rooms: [{ id: "r", storey: "g", name: "Yard", kind: "yard", height: 2400, outline: corners }] }),
        [surface],
      ),
      severity: "stop",
    }),
  },
  "clip.spacing": {
    allowed: () => checked(house(), [surface], [], clips([100, 400, 700, 1000, 1300, 1600, 1900])),
    broken: () => ({
      facts: checked(house(), [surface], [], clips([100, 400, 700, 1001, 1300, 1600, 1900])),
      severity: "stop",
      measured: 301,
      limit: 300,
    }),
  },
  "clip.end": {
    allowed: () => checked(house(), [surface], [], clips([150, 450, 750, 1050, 1350, 1650, 1850])),
    broken: () => ({
      facts: checked(house(), [surface], [], clips([100, 400, 700, 1000, 1300, 1600, 1849])),
      severity: "warn",
      measured: 151,
      limit: 150,
    }),
  },
  "clip.maker": {
    allowed: () => clipSpacing("sheathed", 40, "horizontal", true).facts,
    broken: () => ({
      facts: clipSpacing("sheathed", 40.1, "horizontal", true).facts,
      severity: "warn",
      measured: 40.1,
    }),
  },
  "clip.out-of-reach": {
    allowed: () => clipSpacing("sheathed", 10, "horizontal", true).facts,
    broken: () => ({ facts: clipSpacing("sheathed", 10, "horizontal", false).facts, severity: "note", limit: 450 }),
  },
  "clip.trunking": {
    allowed: () =>
      calc("clip.trunking", { material: "metal", width: 20, height: 15.1, orientation: "horizontal", length: 2000 }),
    broken: () => ({
      facts: calc("clip.trunking", {
        material: "metal",
        width: 20,
        height: 15,
        orientation: "horizontal",
        length: 2000,
      }),
      severity: "warn",
      measured: 300,
    }),
  },
  "fire.collapse": {
    allowed: () =>
      checkFire({
        where: "kept-by-structure",
        fixings: "plastic",
        overEscape: true,
        besideDoor: null,
        aboveDoor: null,
      }),
    broken: () => ({
      facts: checkFire({ where: "surface", fixings: "plastic", overEscape: false, besideDoor: 150, aboveDoor: null }),
      severity: "stop",
      measured: 150,
    }),
  },
  "fire.suspended": {
    allowed: () =>
      checkFire({ where: "surface", fixings: "metal", overEscape: true, besideDoor: null, aboveDoor: null }),
    broken: () => ({
      facts: checkFire({
        where: "suspended-ceiling",
        fixings: "metal",
        overEscape: false,
        besideDoor: null,
        aboveDoor: null,
      }),
      severity: "stop",
    }),
  },
  "bend.radius": {
    allowed: () => bendFacts("sheathed", 10, 30, 30),
    broken: () => ({ facts: bendFacts("sheathed", 10, 30, 29.9), severity: "stop", measured: 29.9, limit: 30 }),
  },
  "bend.maker": {
    allowed: () => bendFacts("armoured", 60, 360, undefined),
    broken: () => ({ facts: bendFacts("armoured", 60.1, 360, undefined), severity: "warn", measured: 60.1, limit: 60 }),
  },
  "bend.conduit": {
    allowed: () => radiusFacts(20, 50),
    broken: () => ({ facts: radiusFacts(20, 49.9), severity: "stop", measured: 49.9, limit: 50 }),
  },
  "fold.room": {
    allowed: () => calc("fold.trunking", { depth: 50, angle: 90, at: 50 }),
    broken: () => ({
      facts: calc("fold.trunking", { depth: 50, angle: 90, at: 49 }),
      severity: "stop",
      measured: -1,
      limit: 0,
    }),
  },
  "fill.space": {
    allowed: () => spaceFill({ width: 100, height: 10 }, [{ width: 45, thickness: 10, qty: 1 }]).facts,
    broken: () => ({
      facts: spaceFill({ width: 100, height: 10 }, [{ width: 45.1, thickness: 10, qty: 1 }]).facts,
      severity: "stop",
      measured: 45.1,
      limit: 45,
    }),
  },
  "fill.spare": {
    allowed: () => spaceFill({ width: 100, height: 10 }, [{ width: 37.9, thickness: 10, qty: 1 }]).facts,
    broken: () => ({
      facts: spaceFill({ width: 100, height: 10 }, [{ width: 38, thickness: 10, qty: 1 }]).facts,
      severity: "warn",
      measured: 38,
      limit: 38,
    }),
  },
  "fill.term": {
    allowed: () =>
      (
        termFill({ kind: "conduit", size: "16", length: 3000, bends: 0 }, [
          { csa: 1, construction: "solid", qty: 13 },
        ]) as { facts: Fact[] }
      ).facts,
    broken: () => ({
      facts: (
        termFill({ kind: "conduit", size: "16", length: 3000, bends: 0 }, [
          { csa: 1, construction: "solid", qty: 14 },
        ]) as { facts: Fact[] }
      ).facts,
      severity: "stop",
      measured: 308,
      limit: 290,
    }),
  },
  "fill.draw-in": {
    allowed: () =>
      (
        termFill({ kind: "conduit", size: "20", length: 3000, bends: 2 }, [
          { csa: 1.5, construction: "solid", qty: 1 },
        ]) as { facts: Fact[] }
      ).facts,
    broken: () => ({
      facts: (
        termFill({ kind: "conduit", size: "20", length: 3000, bends: 3 }, [
          { csa: 1.5, construction: "solid", qty: 1 },
        ]) as { facts: Fact[] }
      ).facts,
      severity: "warn",
      measured: 3,
      limit: 2,
    }),
  },
  "gland.fit": {
    allowed: () => pickGland({ bedding: 11.7, overall: 15.9, wire: 0.8 }, true, glands).facts,
    broken: () => ({ facts: pickGland({ bedding: 40, overall: 50, wire: 0.8 }, true, glands).facts, severity: "stop" }),
  },
  "gland.edge": {
    allowed: () => pickGland({ bedding: 11.3, overall: 15.5, wire: 0.9 }, true, glands).facts,
    broken: () => ({
      facts: pickGland({ bedding: 11.4, overall: 15.5, wire: 0.9 }, true, glands).facts,
      severity: "warn",
    }),
  },
  "gland.row": {
    allowed: () => glandRow(74, two(glands[0]!, glands[0]!) as never, 10, 0).facts,
    broken: () => ({
      facts: glandRow(73.9, two(glands[0]!, glands[0]!) as never, 10, 0).facts,
      severity: "stop",
      measured: 74,
      limit: 73.9,
    }),
  },
  "mi.strip": {
    allowed: () => calc("mi.strip", { faceToFace: 100, stripperBody: 100 }),
    broken: () => ({
      facts: calc("mi.strip", { faceToFace: 100, stripperBody: 101 }),
      severity: "stop",
      measured: -1,
      limit: 0,
    }),
  },
  "end.tail": {
    allowed: () => [
      ...tailLength({ width: 70, height: 70 }, "left", 50).facts,
      ...tailLength({ width: 70, height: 70 }, "left", 70).facts,
    ],
    broken: () => ({
      facts: tailLength({ width: 70, height: 70 }, "left", 71).facts,
      severity: "warn",
      measured: 71,
      limit: 70,
    }),
  },
  "point.off-wall": {
    allowed: () => points([socket("s1", 43, 43)]),
    broken: () => ({ facts: points([socket("s1", 42.9, 43)]), severity: "stop" }),
  },
  "point.circuit": {
    allowed: () => points([socket("s1", 1000)]),
    broken: () => ({ facts: pointFacts(layHouse(house({ circuits: [] }))), severity: "warn" }),
  },
  "point.in-opening": {
    allowed: () =>
      points([socket("s1", 957)], {
        openings: [{ id: "o", wall: "w1", kind: "door", u: 1000, v: 0, width: 800, height: 2000 }],
      }),
    broken: () => ({
      facts: points([socket("s1", 958)], {
        openings: [{ id: "o", wall: "w1", kind: "door", u: 1000, v: 0, width: 800, height: 2000 }],
      }),
      severity: "stop",
    }),
  },
  "point.overlap": {
    allowed: () => points([socket("s1", 1000), socket("s2", 1086)]),
    broken: () => ({ facts: points([socket("s1", 1000), socket("s2", 1085)]), severity: "stop" }),
  },
  "height.new-dwelling": {
    allowed: () =>
      points([socket("s1", 1000, 450), socket("s2", 2000, 1200), socket("s3", 3000, 450)], {
        dwelling: { newDwelling: true },
      }),
    broken: () => ({
      facts: points([socket("s1", 1000, 449)], { dwelling: { newDwelling: true } }),
      severity: "stop",
      measured: 449,
      limit: 450,
    }),
  },
  "kitchen.sink": {
    allowed: () => kitchen([outlet(627), { ...outlet(1700), id: "f", kind: "fused-unit" }]),
    broken: () => ({ facts: kitchen([outlet(628)]), measured: 299, limit: 300 }),
  },
  "kitchen.under-sink": {
    allowed: () => kitchen([outlet(927, 450)]),
    broken: () => ({ facts: kitchen([outlet(928, 450)]), severity: "warn" }),
  },
  "kitchen.worktop": {
    allowed: () => kitchen([outlet(2200, 1050)]),
    broken: () => ({ facts: kitchen([outlet(2200, 1049)]), measured: 149, limit: 150 }),
  },
  "kitchen.hob": {
    allowed: () => kitchen([outlet(2777)]),
    broken: () => ({ facts: kitchen([outlet(2778)]), measured: 149, limit: 150 }),
  },
  "kitchen.behind-hob": {
    allowed: () => kitchen([outlet(2927)]),
    broken: () => ({ facts: kitchen([outlet(2928)]), severity: "stop" }),
  },
  "kitchen.control-reach": {
    allowed: () =>
      kitchen([{ ...outlet(2200), kind: "control", serves: "hob" }], { appliances: [{ id: "hob", u: 4200, v: 1150 }] }),
    broken: () => ({
      facts: kitchen([{ ...outlet(2200), kind: "control", serves: "hob" }], {
        appliances: [{ id: "hob", u: 4201, v: 1150 }],
      }),
      measured: 2001,
      limit: 2000,
    }),
  },
  "kitchen.appliance-switch": {
    allowed: () =>
      kitchen([
        { ...outlet(2200, 450), kind: "appliance-outlet" },
        { ...outlet(2500), id: "f", kind: "fused-unit", serves: "s" },
      ]),
    broken: () => ({ facts: kitchen([{ ...outlet(2200, 450), kind: "appliance-outlet" }]) }),
  },
  "kitchen.notify.wales": {
    // From the bowl's edge at 1 000 along the wall: 4 000 on the wall is 3 000 away; in England nothing is told.
    allowed: () => sinkAt([socket("s1", 3500)], "england"),
    broken: () => ({ facts: sinkAt([socket("s1", 3500)], "wales"), severity: "note", measured: 2500, limit: 3000 }),
  },
  "circuit.board": {
    allowed: () => makePlan(house()).facts,
    broken: () => ({ facts: makePlan(house({ points: [socket("s1", 1000)] })).facts, severity: "stop" }),
  },
  "circuit.way": {
    allowed: () => circuits({ way: 8 }),
    broken: () => ({ facts: circuits({ way: 9 }), severity: "stop", measured: 9, limit: 8 }),
  },
  "circuit.rcd": {
    allowed: () => [
      ...circuits({}),
      ...circuits({ kind: "lighting", cable: "te-1.0", device: { rating: 6 } }),
      ...circuits({ rcd: null, device: { rating: 40 }, cable: "te-10" }),
    ],
    broken: () => ({
      facts: circuits({ kind: "lighting", cable: "te-1.0", device: { rating: 6 }, rcd: 100 }),
      severity: "stop",
      measured: 100,
      limit: 30,
    }),
  },
  "circuit.device": {
    allowed: () => design({ designCurrent: 20 }),
    broken: () => ({ facts: design({ designCurrent: 20.1 }), severity: "stop", measured: 20.1, limit: 20 }),
  },
  "circuit.capacity": {
    allowed: () => design({ legs: leg({ method: "A" }) }),
    broken: () => ({ facts: design({ legs: leg({ method: "101" }) }), severity: "stop", measured: 17, limit: 20 }),
  },
  "circuit.ring": {
    allowed: () => design({ kind: "ring", device: { curve: "B", rating: 32 }, legs: leg({ method: "A" }) }),
    broken: () => ({
      facts: design({ kind: "ring", device: { curve: "B", rating: 32 }, legs: leg({ method: "101" }) }),
      severity: "stop",
      measured: 17,
      limit: 20,
    }),
  },
  "circuit.drop": {
    // 18 mV × 20 A × L / 1000: 5 % of 230 V is 11.5 V, at 31.944 m.
    allowed: () => design({ legs: leg({ length: 31_944 }), device: { curve: "B", rating: 20 } }),
    broken: () => ({
      facts: design({ legs: leg({ length: 31_945 }) }),
      severity: "stop",
      measured: (100 * 18 * 20 * 31.945) / 1000 / 230,
      limit: 5,
    }),
  },
  "circuit.loop": {
    // 2.19 = 0.35 + 19.51 mΩ × 1.2 × L: L = 78.59 m.
    allowed: () => design({ designCurrent: 1, legs: leg({ length: 78_500 }) }),
    broken: () => ({
      facts: design({ designCurrent: 1, legs: leg({ length: 78_700 }) }),
      severity: "stop",
      measured: 0.35 + 0.01951 * 1.2 * 78.7,
      limit: 2.19,
    }),
  },
  "circuit.mcb-table": {
    allowed: () => design({ device: { curve: "B", rating: 16 }, designCurrent: 10 }),
    broken: () => ({
      facts: design({ device: { curve: "B", rating: 15 }, designCurrent: 10 }),
      severity: "warn",
      measured: 15,
    }),
  },
  "circuit.min-csa": {
    allowed: () => circuits({ kind: "ring", device: { rating: 32 } }),
    broken: () => ({
      facts: circuits({ kind: "ring", device: { rating: 32 }, cable: "te-1.5" }),
      severity: "stop",
      measured: 1.5,
      limit: 2.5,
    }),
  },
  "circuit.area": {
    allowed: () => design({ kind: "ring", floorArea: 100 }),
    broken: () => ({ facts: design({ kind: "ring", floorArea: 101 }), severity: "warn", measured: 101, limit: 100 }),
  },
  "circuit.spur": {
    allowed: () =>
      checkSpurs(
        [
          { id: "a", on: "ring", outlets: 2 },
          { id: "b", on: "spur", from: "a", outlets: 2 },
        ],
        "ring",
      ),
    broken: () => ({
      facts: checkSpurs(
        [
          { id: "a", on: "ring", outlets: 2 },
          { id: "b", on: "spur", from: "a", outlets: 3 },
        ],
        "ring",
      ),
      severity: "stop",
      measured: 3,
      limit: 2,
    }),
  },
  "circuit.spur.source": {
    allowed: () => checkSpurs([{ id: "a", on: "radial", outlets: 0 }], "lighting"),
    broken: () => ({ facts: checkSpurs([{ id: "a", on: "radial", outlets: 1 }], "lighting"), severity: "stop" }),
  },
  "found.colours": {
    allowed: () => found([{ ...ringFound[0]!, colours: "new" }]),
    broken: () => ({ facts: found([{ ...ringFound[0]!, colours: "old" }]), severity: "warn" }),
  },
  "found.unknown": {
    allowed: () => found([{ id: "f", from: "db", to: "s1", cable: "te-2.5" }]),
    broken: () => ({ facts: found([{ id: "f", from: "db", to: "s1", cable: "" }]), severity: "warn" }),
  },
  "found.shape": {
    allowed: () => found(ringFound),
    broken: () => ({ facts: found(ringFound.slice(0, 2)), severity: "stop" }),
  },
  "found.shape-open": {
    allowed: () => found(ringFound),
    broken: () => ({ facts: found([...ringFound.slice(0, 2), { id: "f3", from: "s2", to: null }]), severity: "note" }),
  },
  "retrofit.break": {
    allowed: () => extended([]),
    broken: () => ({ facts: extended(ringFound), severity: "note" }),
  },
  "retrofit.trace": {
    allowed: () => extended(ringFound),
    broken: () => ({ facts: extended([]), severity: "warn" }),
  },
  "retrofit.draw": {
    allowed: () =>
      drawFacts(house({ foundCables: [{ id: "f", from: "db", to: "s1", fate: "keep" }] }), [
        { id: "c.db.s1", from: "db", to: "s1" },
      ]),
    broken: () => ({
      facts: drawFacts(house({ foundCables: [{ id: "f", from: "db", to: "s1", fate: "take-out" }] }), [
        { id: "c.db.s1", from: "s1", to: "db" },
      ]),
      severity: "note",
    }),
  },
  "overhead.height": {
    allowed: () => overhead("foot", 3500, 5000, true).facts,
    broken: () => ({ facts: overhead("foot", 3499, 5000, true).facts, severity: "stop", measured: 3499, limit: 3500 }),
  },
  "overhead.catenary": {
    allowed: () => overhead("foot", 3500, 5000, true).facts,
    broken: () => ({ facts: overhead("foot", 3500, 5000, false).facts, severity: "stop", measured: 5000 }),
  },
  "buried.depth": {
    allowed: () => buried({ depth: 600, armoured: true, duct: false, bedding: 75, marker: 150 }),
    broken: () => ({
      facts: buried({ depth: 449, armoured: true, duct: false, bedding: 75, marker: 150 }),
      severity: "stop",
      measured: 449,
      limit: 450,
    }),
  },
  "buried.protection": {
    allowed: () => buried({ depth: 600, armoured: false, duct: true, bedding: 75, marker: 150 }),
    broken: () => ({
      facts: buried({ depth: 600, armoured: false, duct: false, bedding: 75, marker: 150 }),
      severity: "stop",
    }),
  },
  "buried.bedding": {
    allowed: () => buried({ depth: 600, armoured: true, duct: false, bedding: 75, marker: 150 }),
    broken: () => ({
      facts: buried({ depth: 600, armoured: true, duct: false, bedding: 74, marker: 150 }),
      severity: "warn",
      measured: 74,
      limit: 75,
    }),
  },
  "buried.marker": {
    allowed: () =>
      [100, 250].flatMap((marker) => buried({ depth: 600, armoured: true, duct: false, bedding: 75, marker })),
    broken: () => ({
      facts: buried({ depth: 600, armoured: true, duct: false, bedding: 75, marker: 99 }),
      severity: "warn",
      measured: 99,
      limit: 150,
    }),
  },
  "outside.fall": {
    allowed: () => calc("outside.fall", { through: 300, rise: 15 }),
    broken: () => ({
      facts: calc("outside.fall", { through: 300, rise: 14.9 }),
      severity: "warn",
      measured: 14.9,
      limit: 15,
    }),
  },
  "test.ring": {
    allowed: () => ringReads(0.445, 0.495),
    broken: () => ({ facts: ringReads(0.445, 0.496), severity: "stop", measured: 0.051, limit: 0.05 }),
  },
  "test.insulation": {
    allowed: () => checkInsulation(200, 500),
    broken: () => ({ facts: checkInsulation(0.99, 500), severity: "stop", measured: 0.99, limit: 1 }),
  },
  "test.radial": {
    // 24 m at 19.51 mΩ is 0.46824; a tenth of it, or 0.05, either way.
    allowed: () => calc("test.radial", { length: 24_000, line: 2.5, cpc: 1.5, measured: 0.518 }),
    broken: () => ({
      facts: calc("test.radial", { length: 24_000, line: 2.5, cpc: 1.5, measured: 0.519 }),
      severity: "warn",
      measured: 0.519,
      limit: 0.46824,
    }),
  },
};

describe("every rule of the book, on both sides of its limit", () => {
  it("has a pair here, and no pair is without a rule", () =>
    expect(Object.keys(pairs).sort()).toEqual([...judgedRules].sort()));
  it.each(judgedRules)("%s", (rule) => {
    const { allowed, broken } = pairs[rule];
    expect(allowed().filter((f) => f.rule === rule)).toEqual([]);
    const { facts, severity, measured, limit } = broken();
    const mine = facts.filter((f) => f.rule === rule);
    expect(mine.length).toBeGreaterThan(0);
    const [f] = mine;
    expect(f!.severity).toBe(severity ?? ruleOf(rule).severity);
    if (measured !== undefined) expect(f!.measured).toBeCloseTo(measured, 3);
    if (limit !== undefined) expect(f!.limit).toBeCloseTo(limit, 6);
    const words = findingOf(f!, namesOf(layHouse(house())));
    expect(words.message).toMatch(/^\S.*[.!?]$/s);
    expect(words.message).not.toMatch(/undefined|NaN|\[object|null/);
    if (words.remedy !== undefined) expect(words.remedy).not.toMatch(/undefined|NaN|\[object/);
    expect(words.source).toBe(ruleOf(rule).source);
  });
});
