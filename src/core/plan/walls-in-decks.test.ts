import { describe, expect, it } from "vitest";
import { mm } from "../base/figures";
import { circuit, deck, house } from "../book/limits/by-hand.fixture";
import { deckWalls, wallsPassed } from "../house/deck-walls";
import { layHouse } from "../house/house";
import type { Job } from "../job/model";
import { holeLine } from "../words/holes";
import { checkPlan } from "./checker";
import { makePlan } from "./plan";

const box = (x: number, y: number, w: number, d: number) => [
  { x, y },
  { x, y: y + d },
  { x: x + w, y: y + d },
  { x: x + w, y },
];
const light = (id: string, x: number, y: number) => ({
  id,
  label: id.toUpperCase(),
  kind: "light",
  place: { on: "deck", deck: "d", x, y, face: "ceiling" },
});
/**
 * Rooms of 4 000 × 3 000 south and north of a wall of 250, two below the deck and, with `up`, two above it in the same place. Joists
 * run north–south over the wall, at x 300, 700 …
 */
const tower = (up: boolean, build = "masonry"): Job => {
  const rooms = [
    { id: "s", storey: "g", y: 0 },
    { id: "n", storey: "g", y: 3250 },
    ...(up
      ? [
          { id: "us", storey: "f", y: 0 },
          { id: "un", storey: "f", y: 3250 },
        ]
      : []),
  ];
  const spine = new Set(["s1", "n3", "us1", "un3"]);
  return house({
    storeys: [
      { id: "g", name: "Ground", level: 0, height: 2400 },
      { id: "f", name: "First", level: 2637, height: 2400 },
    ],
    rooms: rooms.map((r) => ({
      id: r.id,
      storey: r.storey,
      name: r.id.toUpperCase(),
      kind: "bedroom",
      height: 2400,
      outline: box(0, r.y, 4000, 3000),
    })),
    walls: rooms.flatMap((r) =>
      [0, 1, 2, 3].map((index) => {
        const inner = spine.has(`${r.id}${index}`);
        return {
          id: `${r.id}${index}`,
          room: r.id,
          index,
          build: inner ? build : "masonry",
          thickness: inner ? 250 : 300,
        };
      }),
    ),
    decks: [
      deck({
        underside: 2415,
        outline: box(0, 0, 4000, 6250),
        boards: { thickness: 22 },
        joists: {
          direction: "north-south",
          breadth: 47,
          depth: 200,
          spacing: 400,
          first: 300,
          bearings: [[3000, 3250]],
        },
      }),
    ],
    points: [
      { id: "db", label: "DB", kind: "board", ways: 6, place: { on: "wall", wall: "s0", u: 1500, v: 1400 } },
      light("l1", 900, 1500),
      light("l2", 900, 4700),
    ],
    circuits: [circuit({ kind: "lighting", device: { rating: 6 }, cable: "te-1.0", points: ["l1", "l2"] })],
  });
};

describe("masonry between the joists of a deck", () => {
  it("stands where a wall below goes on above, once, and nowhere else", () => {
    const walls = deckWalls(layHouse(tower(true)))[0]!;
    expect(walls).toEqual([{ wall: "s1", across: "y", x0: 0, x1: 4000, y0: 3000, y1: 3250 }]);
    expect(deckWalls(layHouse(tower(false)))).toEqual([[]]);
    expect(deckWalls(layHouse(tower(true, "stud")))).toEqual([[]]);
  });
  it("a stretch that goes through it meets its middle; one that ends before it, or runs beside it, does not", () => {
    const list = deckWalls(layHouse(tower(true)))[0]!;
    const at = (y0: number, y1: number) => wallsPassed(list, [900, y0, 2515], [900, y1, 2515]).map((w) => w.at);
    expect(at(1000, 5000)).toEqual([[900, 3125, 2515]]);
    expect(at(5000, 1000)).toEqual([[900, 3125, 2515]]);
    expect([at(1000, 3100), at(3200, 5000), at(1000, 3000)]).toEqual([[], [], []]);
    // Where two stretches meet in the middle of the wall it is met once.
    expect([...at(1000, 3125), ...at(3125, 5000)]).toHaveLength(1);
    expect(wallsPassed(list, [100, 3125, 2515], [3000, 3125, 2515])).toEqual([]);
  });
  it("is drilled, and the hole is named by the wall below, between the joists; without a wall above there is none", () => {
    const job = tower(true);
    const plan = makePlan(job);
    const holes = plan.holes.filter((o) => o.in.kind === "wall");
    expect(holes).toHaveLength(1);
    expect(holes[0]).toMatchObject({ in: { wall: "s1", deck: "d" }, runs: [plan.runs.find((r) => r.to === "l2")!.id] });
    const h = layHouse(job);
    expect(holeLine(h, holes[0]!)).toMatch(
      `Between the joists of Deck, wall 2 of S, to N: ${mm(holes[0]!.at)} from the left-hand corner, ${mm(2515)} above the floor`,
    );
    expect(plan.facts.filter((f) => f.severity === "stop")).toEqual([]);
    expect(makePlan(tower(false)).holes.filter((o) => o.in.kind === "wall")).toEqual([]);
    const missing = checkPlan(h, { ...plan, holes: plan.holes.filter((o) => o.in.kind !== "wall") });
    expect(missing.filter((f) => f.rule === "hole.missing")).toMatchObject([{ case: "wall", where: { wall: "s1" } }]);
  });
});
