import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { XYZ } from "../base/wall-frame";
import { EDGE, type RouteGraph, addEdge, addNode, compile, draft } from "./graph";
import { goesOnFrom, waysFrom } from "./lengths";
import { samePlaces } from "./same-places";
import { type ChangedWays, sameWays } from "./same-ways";
import { distancesFrom, searchesOver } from "./search";

/** Point in whose box a place lies, by place. */
type Boxes = Readonly<Record<number, number>>;

/** Places and edges as pairs of them; edges of a way through a box that none of their places lies in come last. */
function graph(
  places: readonly XYZ[],
  edges: readonly (readonly [number, number, number?])[],
  boxes: Boxes = {},
): RouteGraph {
  const d = draft();
  places.forEach((p, n) => addNode(d, p, boxes[n] ?? -1));
  for (const [a, b, box] of edges) addEdge(d, a, b, EDGE.wall, 0, { box: box ?? -1 });
  const points = ["p", "q", "r", "s", "t", "u", "v", "w", "x"];
  return compile(
    d,
    Int32Array.from(points, () => -1),
    points,
  );
}

const changed = (now: RouteGraph, before: RouteGraph, through = false): ChangedWays =>
  sameWays(now, before, samePlaces(now, before), [now.hidden, before.hidden], through);

/** A line along a wall from 0 to 9 m, with a place each metre, and one between the fourth and the fifth, so far along; a second above it. */
function wall(at: number, drop: boolean): RouteGraph {
  const places: XYZ[] = [0, 2000].flatMap((z) => Array.from({ length: 10 }, (_, i): XYZ => [1000 * i, 0, z]));
  const edges: [number, number][] = [0, 10].flatMap((row) =>
    Array.from({ length: 9 }, (_, i): [number, number] => [row + i, row + i + 1]).filter(([i]) => i !== row + 4),
  );
  const [low, high] = [places.push([at, 0, 0]) - 1, places.push([at, 0, 2000]) - 1];
  edges.push([4, low], [low, 5], [14, high], [high, 15]);
  if (drop) edges.push([low, high]);
  return graph(places, edges);
}

describe("ways round what an edit has changed", () => {
  it("are as long as they were where a place moves along a line", () => {
    expect(changed(wall(4300, false), wall(4600, false))).toEqual({ boxes: new Set(), ends: [], least: Infinity });
    // Then every length is taken over, and none looked for: from one end to the other, from the second to the last but one.
    const [before, now] = [wall(4300, false), wall(4600, false)];
    for (const n of [0, 1]) waysFrom(before, n, [2, 3, 5, 8, 9], before.hidden);
    goesOnFrom(now, before);
    expect(waysFrom(now, 0, [2, 3, 5, 8, 9], now.hidden)).toEqual([2000, 3000, 5000, 8000, 9000]);
    expect(searchesOver(now)).toBe(0);
  });

  it("are not, where it is the way up that moves: 300 out, 2000 up and 300 back before, 600 each way now", () => {
    const ways = changed(wall(4600, true), wall(4300, true));
    // From below on the left to above on the left, and the same on the right: 400 and 2000 and 400 now.
    expect(ways.ends.slice().sort((a, b) => a - b)).toEqual([4, 5, 14, 15]);
    expect(ways.least).toBe(2600);
    // Across it is as long as it was, 1000 and 2000: from there on nothing changes, and 0 to 9 is far shorter than any detour.
    const [before, now] = [wall(4300, true), wall(4600, true)];
    for (const n of [0, 9]) waysFrom(before, n, [1, 2, 8, 12, 13, 17], before.hidden);
    goesOnFrom(now, before);
    const got = waysFrom(now, 0, [1, 2, 8, 12, 13, 17], now.hidden);
    expect(got).toEqual(distancesFrom(now, 0, [1, 2, 8, 12, 13, 17], now.hidden));
    // Up on the left it is 600 longer than it was.
    expect(got[3]).toBe(4600 + 2000 + 2600);
  });

  it("are not made up for by what cables may not use", () => {
    const barred = (g: RouteGraph): RouteGraph => {
      const d = draft();
      for (let n = 0; n < g.nodes; n++) addNode(d, [g.x[n]!, g.y[n]!, g.z[n]!]);
      for (let e = 0; e < g.a.length; e++) addEdge(d, g.a[e]!, g.b[e]!, EDGE.wall, 0);
      // Straight up on either side, but only for what lies on the surface.
      for (const n of [4, 5]) addEdge(d, n, n + 10, EDGE.wall, 0, { hidden: false });
      return compile(d, new Int32Array());
    };
    expect(changed(barred(wall(4600, true)), barred(wall(4300, true))).ends).toHaveLength(4);
  });

  it("are not known of, where more has changed than is worth looking at", () => {
    const many = (x: number): RouteGraph =>
      graph(
        Array.from({ length: 70 }, (_, i): XYZ => [i, x, 0]),
        Array.from({ length: 69 }, (_, i) => [i, i + 1] as const),
      );
    const ways = changed(many(1), many(0));
    expect(ways).toMatchObject({ least: 0 });
    expect(ways.ends).toHaveLength(70);
  });

  it("say nothing of two points whose boxes lie there: each may go through its own", () => {
    // The short way up leads over the edge of a box of p; that box moves off it.
    const places: XYZ[] = [
      [0, 0, 0],
      [1000, 0, 0],
      [2000, 0, 0],
      [3000, 0, 0],
    ];
    const edges = (box?: number): [number, number, number?][] => [
      [0, 1],
      [1, 2, box],
      [2, 3],
    ];
    const ends: Boxes = { 0: 0, 3: 1 };
    const [then, now] = [graph(places, edges(2), ends), graph(places, edges(), ends)];
    // What was shut is open; and boxes of the past count as well as those of today.
    expect(changed(now, then)).toMatchObject({ ends: [1, 2], least: 1000 });
    expect([...changed(now, then).boxes].sort()).toEqual([0, 1, 2]);
    expect([...changed(then, now).boxes].sort()).toEqual([0, 1, 2]);
    // Through boxes nothing has changed.
    expect(changed(now, then, true).ends).toEqual([]);
    waysFrom(then, 0, [1, 2, 3], then.hidden);
    goesOnFrom(now, then);
    expect(waysFrom(now, 0, [1, 2, 3], now.hidden)).toEqual([1000, 2000, 3000]);
  });

  it("count the boxes of points that are there only now, or were there only before", () => {
    const places: XYZ[] = [
      [0, 0, 0],
      [1000, 0, 0],
      [2000, 0, 0],
    ];
    const line: [number, number][] = [
      [0, 1],
      [1, 2],
    ];
    const end = (z: number, box: number): RouteGraph => graph([...places, [2000, 0, z]], [...line, [2, 3]], { 3: box });
    expect([...changed(end(300, 4), end(500, 5)).boxes].sort()).toEqual([4, 5]);
  });

  it("let two points whose boxes lie there be looked for: the one went through its own, and cannot now", () => {
    // From p to q over the edge of p's own box, or round by 1000; for all others there is only the way round.
    const places: XYZ[] = [
      [0, 0, 0],
      [1000, 0, 0],
      [2000, 0, 0],
      [3000, 0, 0],
      [1000, 0, 500],
      [2000, 0, 500],
    ];
    const round: [number, number, number?][] = [
      [0, 1],
      [1, 4],
      [4, 5],
      [5, 2],
      [2, 3],
    ];
    const ends: Boxes = { 0: 0, 3: 1 };
    const [then, now] = [graph(places, [...round, [1, 2, 0]], ends), graph(places, round, ends)];
    expect(waysFrom(then, 0, [1, 3, 4], then.hidden)).toEqual([1000, 3000, 1500]);
    expect(changed(now, then).ends).toEqual([]);
    goesOnFrom(now, then);
    expect(waysFrom(now, 0, [1, 3, 4], now.hidden)).toEqual([1000, 4000, 1500]);
  });

  it("never let a length be taken over that is another now: lines and drops come, go and move on two walls", () => {
    let [kept, looked] = [0, 0];
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.nat(30), fc.boolean(), fc.boolean()), { minLength: 1, maxLength: 9 }),
        fc.tuple(fc.nat(8), fc.integer({ min: -3, max: 3 }), fc.boolean(), fc.boolean()),
        fc.array(fc.nat(1000), { minLength: 4, maxLength: 4 }),
        (drops, [which, by, open, of], ends) => {
          const before = grid(drops);
          const now = grid(
            drops.map(([at, box, whole], i) =>
              i === which % drops.length ? [Math.max(0, at + by), by ? box : of, whole !== open] : [at, box, whole],
            ),
          );
          const stay = [...new Set(ends.map((n) => n % now.nodes))].filter((n) => samePlaces(now, before).was[n]! >= 0);
          const { was } = samePlaces(now, before);
          for (const a of stay)
            waysFrom(
              before,
              was[a]!,
              stay.map((b) => was[b]!),
              before.hidden,
            );
          goesOnFrom(now, before);
          const got = stay.map((a) => waysFrom(now, a, stay, now.hidden));
          if (stay.length > 3) {
            if (searchesOver(now)) looked++;
            else kept++;
          }
          stay.forEach((a, k) => {
            const clear = distancesFrom(now, a, stay, now.hidden);
            const any = distancesFrom(now, a, stay, now.hidden, true);
            got[k]!.forEach((x, i) => {
              const want = clear[i]! < Infinity ? clear[i]! : any[i]!;
              if (want === Infinity) expect(x).toBe(Infinity);
              else expect(x).toBeCloseTo(want, 5);
            });
          });
        },
      ),
      { numRuns: 400 },
    );
    expect(kept).toBeGreaterThan(20);
    expect(looked).toBeGreaterThan(20);
  });
});

/** Four lines along a wall, one above the other, with drops between them; each drop may stand in the box of a point. */
function grid(drops: readonly (readonly [at: number, box: boolean, whole: boolean])[]): RouteGraph {
  const places: XYZ[] = [];
  const boxes: Record<number, number> = {};
  const edges: [number, number][] = [];
  const xs = [...new Set([0, 10, 20, 30, ...drops.map(([at]) => at)])].sort((a, b) => a - b);
  xs.forEach((x, i) => {
    const d = drops.findIndex(([at]) => at === x);
    const drop = drops[d];
    for (let row = 0; row < 4; row++) {
      const n = places.push([100 * x, 0, 700 * row]) - 1;
      if (drop?.[1] && row === 1) boxes[n] = d;
      if (i > 0 && row !== 3) edges.push([n - 4, n]);
      if (drop && row > 0 && (drop[2] || row === 1)) edges.push([n - 1, n]);
    }
  });
  return graph(places, edges, boxes);
}
