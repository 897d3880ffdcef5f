import { describe, expect, it } from "vitest";
import { circuit, deck, house } from "../book/limits/by-hand.fixture";
import type { Job } from "../job/model";
import type { Plan } from "../laid/laid";
import { makePlan } from "../plan/plan";

/*
 * Houses where an electrician sees a way at once. Each is planned whole: the way must be found, draw no stop, and be no longer than
 * the one named.
 */

const board = (wall: string, u: number, v = 1500) => ({
  id: "db",
  label: "DB",
  kind: "board",
  mount: "surface",
  ways: 12,
  place: { on: "wall", wall, u, v },
});
const light = (id: string, x: number, y: number, of = "d") => ({
  id,
  label: id.toUpperCase(),
  kind: "light",
  place: { on: "deck", deck: of, x, y, face: "ceiling" },
});
const lighting = (...points: string[]) => circuit({ kind: "lighting", device: { rating: 6 }, cable: "te-1.0", points });
const northSouth = (more: object = {}) =>
  deck({
    underside: 2415,
    joists: { direction: "north-south", breadth: 47, depth: 195, spacing: 600, first: 300, bearings: [] },
    ...more,
  });
const stops = (p: Plan): string[] => p.facts.filter((f) => f.severity === "stop").map((f) => f.rule);
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
