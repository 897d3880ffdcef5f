import { describe, expect, it } from "vitest";
import { mm } from "../base/figures";
import { deck, hole, house } from "../book/limits/by-hand.fixture";
import { boringCsv } from "../formats/plan-csv";
import { layHouse } from "../house/house";
import { jobSchema } from "../job/model";
import { house as twoRooms } from "../plan/laid-by-hand.fixture";
import { makePlan } from "../plan/plan";
import { wallHoles } from "../trades/timber/boring";
import { bearingNames, holeLine, holeWords } from "./holes";

describe("where a hole is, in words", () => {
  it("in a joist: its number and span, the deck and the room under it, from the bearing by its side, down from the top", () => {
    const h = layHouse(house());
    expect(holeLine(h, hole())).toBe(
      `Joist 2, Deck, over Room: ${mm(1200)} from its west bearing, 100 down from the top`,
    );
    const spans = layHouse(house({ decks: [deck({ joists: { ...deck().joists, bearings: [[1900, 2000]] } })] }));
    const second = hole({ in: { kind: "joist", deck: "d", joist: 2, span: 2 }, at: 500, centre: [2500, 700, 2500] });
    expect(holeWords(spans, second)).toMatchObject({
      timber: "joist 2, span 2 of 2",
      along: "500 from its west bearing",
    });
    const north = layHouse(house({ decks: [deck({ joists: { ...deck().joists, direction: "north-south" } })] }));
    expect(holeWords(north, hole()).from).toBe("its south bearing");
    expect([bearingNames("x"), bearingNames("y")]).toEqual([
      ["west", "east"],
      ["south", "north"],
    ]);
  });
  it("under a room that stands on the deck, and of no room where none is there", () => {
    const upstairs = layHouse(
      house({
        storeys: [{ id: "g", name: "First", level: 2622, height: 2400 }],
        decks: [deck({ boards: { thickness: 22 } })],
      }),
    );
    expect(holeWords(upstairs, hole()).room).toBe("under Room");
    expect(holeWords(layHouse(house()), hole({ centre: [9000, 700, 2500] })).room).toBe("");
  });
  it("through a wall: from its left-hand corner and the floor, to the room behind it", () => {
    const h = layHouse(twoRooms());
    const through = hole({
      in: { kind: "wall", wall: "a2" },
      at: 1500,
      fromTop: 75,
      centre: [4000, 1500, 2325],
    });
    expect(holeLine(h, through)).toBe(
      `Wall 3 of A, to B: ${mm(1500)} from the left-hand corner, ${mm(2325)} above the floor`,
    );
    expect(holeWords(h, { ...through, in: { kind: "wall", wall: "a1" } }).room).toBe("");
  });
});

describe("the schedule as a table", () => {
  const job = jobSchema.parse({
    ...twoRooms(),
    walls: twoRooms().walls.map((w) => (w.id === "a1" || w.id === "a0" ? { ...w, build: "stud", thickness: 125 } : w)),
  });
  const plan = makePlan(job);
  it("has a line for every hole, with what it is in, where it is measured from, and its room", () => {
    const [head, ...rows] = boringCsv(job, plan).trim().split(/\r?\n/);
    expect(head).toBe("in,line,joist,span,timber,room,at mm,from,from top mm,height,diameter mm,cables,plate");
    expect(rows).toHaveLength(plan.holes.length);
    expect(rows.some((r) => r.includes("stud") && r.includes("the left-hand corner"))).toBe(true);
  });
  it("goes wall by wall from the left, joists apart", () => {
    const list = wallHoles(layHouse(job), plan);
    expect(list.length).toBe(plan.holes.filter((o) => o.in.kind !== "joist").length);
    for (let i = 1; i < list.length; i++)
      if (list[i]!.in.wall === list[i - 1]!.in.wall) expect(list[i]!.at).toBeGreaterThanOrEqual(list[i - 1]!.at);
    const walls = list.map((o) => o.in.wall);
    expect(walls.filter((w, i) => w !== walls[i - 1])).toHaveLength(new Set(walls).size);
  });
});
