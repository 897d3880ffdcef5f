import { describe, expect, it } from "vitest";
import { layHouse } from "../house/house";
import { standardCatalogue } from "../rules/catalogue";
import { findingOf, namesOf } from "../words/findings";
import { freeingWords } from "../words/ways";
import { board, light, lighting, stops } from "./every-way.fixture";
import { whatFrees } from "./freeing";
import { circuit, deck, house } from "../book/limits/by-hand.fixture";
import { type Job, jobSchema } from "../job/model";
import type { Plan } from "../laid/laid";
import { makePlan } from "../plan/plan";

/*
 * Houses where an electrician sees a way at once. Each is planned whole: the way must be found, draw no stop, and be no longer than
 * the one named.
 */

const northSouth = (more: object = {}) =>
  deck({
    underside: 2415,
    joists: { direction: "north-south", breadth: 47, depth: 195, spacing: 600, first: 300, bearings: [] },
    ...more,
  });
const unreachable = (p: Plan): string[] =>
  p.facts.filter((f) => f.rule === "route.unreachable").map((f) => f.subject.id);
const longest = (job: Job): number => {
  const plan = makePlan(job);
  expect(unreachable(plan)).toEqual([]);
  expect(stops(plan)).toEqual([]);
  return plan.cable.total;
};

describe("into a deck from anywhere in the band under the ceiling", () => {
  const engineered = (points: object[], kind = "engineered"): Job =>
    house({ decks: [northSouth({ kind })], points, circuits: [lighting("l1")] });
  it("a light between engineered joists is reached along its bay: no joist is bored", () => {
    const job = engineered([board("w0", 1500), light("l1", 1800, 1500)]);
    // Up 825 to the band, 1 500 to the corner, 1 531.5 along, 187.5 into the deck, 1 500 along the joist, 268.5 across, 97.5 down;
    // the board's own strip leads straight up too, so the plan may be shorter than this by going through the first bay.
    expect(longest(job)).toBeLessThanOrEqual(825 + 1500 + 1531.5 + 187.5 + 1500 + 268.5 + 97.5 + 375);
    expect(makePlan(job).holes).toEqual([]);
  });
  it("wherever it hangs, some bay of its own leads to it", () => {
    for (let x = 350; x < 4000; x += 240) {
      const plan = makePlan(engineered([board("w0", 1500), light("l1", x, 1500)]));
      expect(unreachable(plan), String(x)).toEqual([]);
      expect(plan.holes, String(x)).toEqual([]);
    }
  });
  it("a wall along the joists lets a cable in abreast of the light, where a chimney bars both ends of its bay", () => {
    const block = (id: string, y: number) => ({
      id,
      kind: "chimney",
      name: "",
      outline: [
        { x: 0, y },
        { x: 0, y: y + 200 },
        { x: 280, y: y + 200 },
        { x: 280, y },
      ],
    });
    const job = house({
      decks: [northSouth({ kind: "engineered", obstacles: [block("a", 300), block("b", 2500)] })],
      // Boarded: in masonry so long a level chase would not be cut.
      walls: [0, 1, 2, 3].map((index) => ({ id: `w${index}`, room: "r", index, thickness: 300, build: "dry-lined" })),
      points: [board("w2", 1500), light("l1", 150, 1500)],
      circuits: [lighting("l1")],
    });
    expect(longest(job)).toBeLessThanOrEqual(8635);
  });
  it("a light half a metre from the board takes no way round the room", () => {
    // Board at y 1 500 of the west wall, the light 500 from the wall: straight up, along the first bay's joist and across.
    const job = house({
      decks: [northSouth({ joists: { ...northSouth().joists, spacing: 400, first: 200 } })],
      points: [board("w0", 1500), light("l1", 500, 1500)],
      circuits: [lighting("l1")],
    });
    expect(longest(job)).toBeLessThanOrEqual(2210);
  });
});

describe("a steel", () => {
  /** Joists east–west over two spans, 0 … 5 400 and 5 500 … 7 600, a steel across them at x 1 000; the light hangs in the second. */
  const job = (more: object = {}): Job =>
    house({
      rooms: [
        {
          id: "r",
          storey: "g",
          name: "Room",
          kind: "kitchen",
          height: 2400,
          outline: [
            { x: 0, y: 0 },
            { x: 0, y: 3000 },
            { x: 7600, y: 3000 },
            { x: 7600, y: 0 },
          ],
        },
      ],
      decks: [
        deck({
          outline: [
            { x: 0, y: 0 },
            { x: 0, y: 3000 },
            { x: 7600, y: 3000 },
            { x: 7600, y: 0 },
          ],
          joists: {
            direction: "east-west",
            depth: 200,
            breadth: 47,
            spacing: 400,
            first: 300,
            bearings: [
              [-100, 0],
              [5400, 5500],
              [7600, 7700],
            ],
          },
          obstacles: [
            {
              id: "o",
              kind: "steel",
              name: "Beam",
              outline: [
                { x: 1000, y: 0 },
                { x: 1000, y: 3000 },
                { x: 1120, y: 3000 },
                { x: 1120, y: 0 },
              ],
            },
          ],
          ...more,
        }),
      ],
      points: [board("w1", 6200), light("l1", 6200, 1000)],
      circuits: [lighting("l1")],
    });
  it("in one span bars no bore in the next, where a quarter to two fifths of 2 100 from either bearing is 525 … 840", () => {
    const plan = makePlan(job());
    expect(stops(plan)).toEqual([]);
    expect(plan.holes.length).toBeGreaterThan(0);
    for (const o of plan.holes) {
      expect(o.in.span).toBe(2);
      expect(Math.min(o.at, 2100 - o.at)).toBeGreaterThanOrEqual(525);
      expect(Math.min(o.at, 2100 - o.at)).toBeLessThanOrEqual(840);
    }
  });
  it("in the same span bars them all, and the user's word with its reason frees that joist", () => {
    const steelHere = (more: object = {}): Job => {
      const j = job(more);
      const d = j.decks[0]!;
      const outline = d.obstacles[0]!.outline.map((p) => ({ ...p, x: p.x + 6300 }));
      return { ...j, decks: [{ ...d, obstacles: [{ ...d.obstacles[0]!, outline }] }] };
    };
    expect(makePlan(steelHere()).holes.filter((o) => o.in.span === 2)).toEqual([]);
    const notHeavy = [3, 4, 5, 6, 7].map((joist) => ({
      joist,
      span: 2,
      reason: "Hung from above, seen from the loft",
    }));
    const freed = makePlan(steelHere({ notHeavy }));
    expect(freed.holes.filter((o) => o.in.span === 2).length).toBeGreaterThan(0);
    expect(stops(freed)).toEqual([]);
  });
});

describe("the end of a beam in a wall", () => {
  const beamed = (kind: string): Job =>
    house({
      decks: [],
      fixtures: [{ id: "b", wall: "w1", kind, name: "Beam", u: 1800, v: 2200, width: 150, height: 200, depth: 100 }],
      points: [
        board("w1", 400, 2325),
        { ...light("s1", 0, 0), kind: "socket", place: { on: "wall", wall: "w1", u: 3600, v: 2325 } },
      ],
      circuits: [circuit({ points: ["s1"] })],
    });
  const crossing = (p: Plan) =>
    p.runs
      .flatMap((r) => r.legs)
      .filter((l) => l.surface.id === "w1" && l.path[0]![2] > 2200 && Math.abs(l.path[0]![0] - l.path[1]![0]) > 1400);
  it("is gone round, never chased through; a thing that only stands against the wall is no steel", () => {
    const plan = makePlan(beamed("beam"));
    expect(unreachable(plan)).toEqual([]);
    expect(crossing(plan)).toEqual([]);
    expect(plan.facts.filter((f) => f.rule === "route.forbidden")).toEqual([]);
    expect(crossing(makePlan(beamed("wall-unit")))).toHaveLength(1);
  });
  it("crossed by a pin it is told by its name", () => {
    const job = beamed("beam");
    const pin = {
      id: "p",
      circuit: "c",
      from: "db",
      to: "s1",
      legs: [
        {
          surface: { kind: "wall" as const, id: "w1" },
          method: "chase" as const,
          path: [
            [400, 3000, 2325],
            [3600, 3000, 2325],
          ] as [number, number, number][],
          depth: 15,
          protected: false,
        },
      ],
    };
    const told = makePlan(jobSchema.parse({ ...job, pins: [pin] })).facts.filter((f) => f.rule === "route.forbidden");
    expect(told).toMatchObject([{ case: "beam", severity: "stop", of: { name: "Beam" } }]);
  });
});

describe("a closed deck", () => {
  const job = (more: object, l1 = light("l1", 1900, 1300)): Job =>
    house({
      decks: [deck({ access: "closed", ...more })],
      points: [board("w1", 1900), l1],
      circuits: [lighting("l1")],
    });
  it("has no joist bored: what its bays lead to is reached along them, from the walls they end at", () => {
    const plan = makePlan(job({}));
    expect(unreachable(plan)).toEqual([]);
    expect(stops(plan)).toEqual([]);
    expect(plan.holes).toEqual([]);
    // Open, the same light is reached across the joists.
    const open = makePlan(job({ access: "boards-up" }));
    expect(open.holes.length).toBeGreaterThan(0);
    expect(open.cable.total).toBeLessThan(plan.cable.total);
  });
  it("is bored where it is opened, and only there", () => {
    // Joists at y 300, 700 …; the windows of 4 000 are 1 000 … 1 600 from either end. Opened from x 1 000 to 1 500 across all of it.
    const opened = [{ id: "o", kind: "board", x: 1000, y: 0, width: 500, depth: 3000 }];
    const plan = makePlan(job({ opened }));
    expect(stops(plan)).toEqual([]);
    expect(plan.holes.length).toBeGreaterThan(0);
    for (const o of plan.holes) {
      expect(o.centre[0]).toBeGreaterThanOrEqual(1000);
      expect(o.centre[0]).toBeLessThanOrEqual(1500);
    }
  });
  it("with its bays shut by noggins the light is not reached, for that reason, and opening the deck frees it", () => {
    const noggins = [
      { at: 500, depth: 200 },
      { at: 3500, depth: 200 },
    ];
    const shut = job({ noggins });
    const plan = makePlan(shut);
    expect(unreachable(plan)).toEqual(["l1"]);
    const f = plan.facts.find((x) => x.rule === "route.unreachable")!;
    expect(findingOf(f, namesOf(layHouse(shut))).message).toMatch(/closed/);
    const frees = whatFrees(shut, standardCatalogue, "l1");
    expect(frees.changes.map((c) => c.change.kind)).toContain("open-deck");
    expect(freeingWords(layHouse(shut), { kind: "open-deck", deck: "d" })).toMatch(/lift boards of Deck/);
  });
});

describe("why a run is not laid, once and rightly", () => {
  // Joists of 100 take a bit of 25 at most.
  const job = (points: object[], circuits: object[], more: object = {}): Job =>
    house({
      decks: [deck({ joists: { ...deck().joists, depth: 100 }, underside: 2400, ...more })],
      points: [board("w1", 1900), ...points],
      circuits,
    });
  const why = (j: Job) =>
    makePlan(j)
      .facts.filter((f) => f.rule === "route.unreachable")
      .map((f) => [f.subject.id, f.case]);
  it("a cable too thick for any hole of the joists is told so, not that the holes are full", () => {
    // Bays shut by noggins at both ends of a closed deck that is opened in the middle: the joists must be bored.
    const shut = {
      access: "closed",
      opened: [{ id: "o", kind: "board", x: 1000, y: 0, width: 500, depth: 3000 }],
      noggins: [
        { at: 500, depth: 200 },
        { at: 3500, depth: 200 },
      ],
    };
    const heater = { ...light("h1", 1300, 900), kind: "light" };
    const thick = circuit({ kind: "radial", device: { rating: 32 }, cable: "swa-3x10", points: ["h1"] });
    expect(why(job([heater], [thick], shut))).toEqual([["h1", "too-thick"]]);
    const thin = circuit({ kind: "lighting", device: { rating: 6 }, cable: "te-1.0", points: ["h1"] });
    expect(why(job([heater], [thin], shut))).toEqual([]);
  });
  it("no point is told twice", () => {
    const lonely = light("l1", 1900, 900);
    const shut = { kind: "engineered", noggins: [], obstacles: [], access: "closed" };
    for (const more of [{}, shut, { kind: "concrete" }]) {
      const told = why(job([lonely, light("l2", 2900, 900)], [lighting("l1", "l2")], more)).map((x) => x[0]);
      expect(new Set(told).size).toBe(told.length);
    }
  });
});

describe("in a wall too thin for a level chase", () => {
  const job = (thickness: number): Job =>
    house({
      walls: [0, 1, 2, 3].map((index) => ({
        id: `w${index}`,
        room: "r",
        index,
        thickness: index === 1 ? thickness : 300,
      })),
      points: [
        board("w1", 800, 1400),
        { ...light("s1", 0, 0), kind: "socket", place: { on: "wall", wall: "w1", u: 2200, v: 1400 } },
      ],
      circuits: [circuit({ points: ["s1"] })],
    });
  it("cable goes up to the deck and down again, plumb", () => {
    const plan = makePlan(job(75));
    expect(unreachable(plan)).toEqual([]);
    expect(stops(plan)).toEqual([]);
    const level = plan.runs[0]!.legs.filter((l) => l.method === "chase" && l.path[0]![2] === l.path[1]![2]);
    expect(level).toEqual([]);
    // In a wall that takes it the chase goes straight across.
    expect(makePlan(job(140)).runs[0]!.legs).toHaveLength(1);
  });
});
