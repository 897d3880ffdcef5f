import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { giveWays } from "./give-ways";
import { DRESS, boardLayout, boardTails, feedTails } from "./layout";
import { seatsFor } from "./seats";
import { type ComingCable, asGiven, crossingsIn, tieOrder } from "./tie-order";

const cable = fc.record({ way: fc.option(fc.integer({ min: 1, max: 8 })), block: fc.integer({ min: 0, max: 3 }) });
const cables = (max: number): fc.Arbitrary<ComingCable[]> =>
  fc.array(cable, { maxLength: max }).map((list) => list.map((c, i) => ({ id: `c${i}`, ...c })));

/** Every order in which the blocks keep theirs. */
function* orders(list: readonly ComingCable[]): Generator<ComingCable[]> {
  if (!list.length) yield [];
  const least = Math.min(...list.map((c) => c.block));
  for (const c of list)
    if (c.block === least) for (const rest of orders(list.filter((x) => x !== c))) yield [c, ...rest];
}

describe("order in which cables are tied", () => {
  it("heaviest by the main switch, both legs of a ring side by side: none crosses", () => {
    const t = tieOrder([
      { id: "li", way: 4, block: 0 },
      { id: "ring out", way: 2, block: 0 },
      { id: "k", way: 1, block: 0 },
      { id: "ring back", way: 2, block: 0 },
    ]);
    expect(t.order.map((c) => c.id)).toEqual(["k", "ring back", "ring out", "li"]);
    expect(t.crossings).toBe(0);
  });
  it("what comes at the left and goes to the last way crosses all between, whatever is done", () => {
    const t = tieOrder([
      { id: "k", way: 8, block: 0 },
      { id: "x", way: null, block: 0 },
      { id: "a", way: 1, block: 1 },
      { id: "b", way: 2, block: 1 },
    ]);
    expect(t.crossings).toBe(2);
  });
  it("no order of up to nine has fewer: all of them tried", () => {
    fc.assert(
      fc.property(cables(6), (list) => {
        let least = Infinity;
        for (const o of orders(list)) least = Math.min(least, crossingsIn(o));
        expect(tieOrder(list).crossings).toBe(least);
      }),
      { numRuns: 120 },
    );
    const nine = [7, 3, 9, 1, 8, 2, 6, 5, 4].map((way, i) => ({ id: `c${i}`, way, block: 0 }));
    let least = Infinity;
    for (const o of orders(nine.slice(0, 8))) least = Math.min(least, crossingsIn(o));
    expect([least, tieOrder(nine).crossings]).toEqual([0, 0]);
  });
  it("beyond that, no order has fewer than the pairs of different blocks that must cross", () => {
    fc.assert(
      fc.property(cables(40), (list) => {
        const placed = list.filter((c) => c.way !== null);
        const bound = placed.flatMap((a) => placed.filter((b) => a.block < b.block && a.way! > b.way!)).length;
        expect(tieOrder(list).crossings).toBe(bound);
      }),
    );
  });
  it("a given order is kept within its block; what it does not name lies where it would", () => {
    const list = [1, 2, 3].map((way) => ({ id: `c${way}`, way, block: 0 }));
    const ids = (given: string[], of = list) => asGiven(of, given).map((c) => c.id);
    expect(ids([])).toEqual(["c1", "c2", "c3"]);
    expect(ids(["c3", "c1"])).toEqual(["c3", "c1", "c2"]);
    expect(crossingsIn(asGiven(list, ["c3", "c1"]))).toBe(2);
    expect(ids(["c2", "x", "c1"], [...list, { id: "x", way: 0, block: 1 }])).toEqual(["c2", "c1", "c3", "x"]);
  });
});

describe("ways", () => {
  const c = (id: string, rating: number, rooms: number[], more: object = {}) => ({
    ...{ id, label: id.toUpperCase(), rating, rooms, way: null, fixed: false },
    ...more,
  });
  const three = [c("li", 6, [0, 2]), c("k", 40, [4]), c("r1", 32, [1])];
  it("heaviest next to the main switch, or in the order one walks the rooms", () => {
    expect([...giveWays(three, "heaviest")]).toEqual([
      ["k", 1],
      ["r1", 2],
      ["li", 3],
    ]);
    expect([...giveWays(three, "by-room")]).toEqual([
      ["li", 1],
      ["r1", 2],
      ["k", 3],
    ]);
  });
  it("fixed ones stay where they are and the rest go round them; equal ones by label", () => {
    const ways = giveWays([...three, c("old", 16, [0], { way: 1, fixed: true }), c("r2", 32, [1])], "heaviest");
    expect(Object.fromEntries(ways)).toEqual({ old: 1, k: 2, r1: 3, r2: 4, li: 5 });
  });
  it("gives every circuit a way of its own", () => {
    const some = fc.uniqueArray(
      fc.record({ id: fc.string({ minLength: 1 }), rating: fc.integer({ min: 3, max: 63 }) }),
      {
        selector: (x) => x.id,
      },
    );
    fc.assert(
      fc.property(some, fc.constantFrom("heaviest" as const, "by-room" as const), (list, school) => {
        const ways = [
          ...giveWays(
            list.map((x) => c(x.id, x.rating, [])),
            school,
          ).values(),
        ];
        expect([...ways].sort((a, b) => a - b)).toEqual(list.map((_, i) => i + 1));
      }),
    );
  });
});

describe("a board inside", () => {
  it("15 ways of 18 beside a main switch of 36 on 360; the sixteenth goes on a second rail", () => {
    const one = boardLayout({ width: 360, height: 240 }, 15);
    expect(one.rows).toBe(1);
    expect(one.ways[0]).toEqual({ x: 20 + 36 + 9, y: 120 - 42, row: 0 });
    expect(one.ways[14]!.x).toBe(20 + 36 + 9 + 14 * 18);
    const two = boardLayout({ width: 360, height: 240 }, 16);
    expect([two.rows, two.ways[15]!.row, two.ways[15]!.x]).toEqual([2, 1, 29]);
    expect(two.ways.every((w) => w.x <= 360 - 20)).toBe(true);
  });
  it("conductors: across and down to their terminals and 60 for dressing, the next ten up", () => {
    const b = boardLayout({ width: 360, height: 240 }, 8);
    // Way 1 at 65, 78 down; bars 210 down; screws 3.5 in from the start of each bar.
    expect(boardTails(b, 1, { x: 180, y: 0 })).toEqual({
      line: Math.ceil((115 + 78 + DRESS) / 10) * 10,
      neutral: Math.ceil((156.5 + 210 + DRESS) / 10) * 10,
      earth: Math.ceil((13.5 + 210 + DRESS) / 10) * 10,
    });
  });
  it("what feeds it: to the main switch at 38, 78 down, and to the first screw of the earth bar at 190, 210 down", () => {
    const b = boardLayout({ width: 360, height: 240 }, 8);
    expect(b.earthBar).toMatchObject({ x0: 190, y: 210 });
    const main = Math.ceil((300 - 38 + 78 + DRESS) / 10) * 10;
    const earth = Math.ceil((300 - 193.5 + 210 + DRESS) / 10) * 10;
    expect(feedTails(b, { x: 300, y: 0 })).toEqual({ line: main, neutral: main, earth });
  });
  it("notches with webs between while they fit, then one slot, then two rows", () => {
    const te = { width: 10.1, thickness: 5.8 };
    const some = (n: number) => Array.from({ length: n }, () => te);
    // Seats of 15 × 10: with webs four take 24 + 90. In a strip 13 × 8: three take 4 + 41 of the 47 inside a trunking of 50.
    expect(seatsFor(some(4), 114)).toMatchObject({ rows: 1, notched: true, spare: 0 });
    expect(seatsFor(some(4), 114).seats.map((s) => s.at)).toEqual([19.5, 44.5, 69.5, 94.5]);
    expect(seatsFor(some(5), 114)).toMatchObject({ rows: 1, notched: false, spare: 2 });
    const six = seatsFor(some(6), 47);
    expect(six).toMatchObject({ rows: 2, notched: false, spare: 0 });
    expect(six.seats.map((s) => [s.at, s.row, s.width, s.height])).toEqual([
      [8.5, 0, 13, 8],
      [8.5, 1, 13, 8],
      [22.5, 0, 13, 8],
      [22.5, 1, 13, 8],
      [36.5, 0, 13, 8],
      [36.5, 1, 13, 8],
    ]);
    expect(seatsFor([], 114)).toEqual({ seats: [], rows: 0, notched: true, spare: 0 });
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 30 }), fc.integer({ min: 60, max: 400 }), (n, length) => {
        const { seats, notched, rows } = seatsFor(some(n), length);
        for (const s of seats) {
          expect(s.at + s.width / 2).toBeLessThanOrEqual(length - (notched ? 12 : 2) + 1e-9);
          const beside = seats.filter((o) => o !== s && o.row === s.row);
          for (const o of beside)
            expect(Math.abs(o.at - s.at)).toBeGreaterThanOrEqual(s.width + (notched ? 10 : 1) - 1e-9);
        }
        expect(new Set(seats.map((s) => s.row)).size).toBe(rows);
      }),
    );
  });
});
