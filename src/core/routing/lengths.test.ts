import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { changes, house } from "../house/one-change.fixture";
import { type House, layHouse } from "../house/house";
import { relayHouse } from "../house/relay";
import { graphOf } from "./build";
import { usableBy, usables } from "./edge-costs";
import type { RouteGraph } from "./graph";
import { samePlaces } from "./same-places";
import { distancesFrom, searchesOver } from "./search";
import { EDGE, addEdge, addNode, compile, draft } from "./graph";
import { goesOnFrom, waysFrom } from "./lengths";
import type { XYZ } from "../base/wall-frame";

/** Lengths between all points of a house, from each in turn, by what may be used. */
const all = (g: RouteGraph): number[][] =>
  usables.flatMap((by) =>
    [...g.terminal].filter((n) => n >= 0).map((n) => waysFrom(g, n, [...g.terminal], usableBy(g, by))),
  );

/** The same, looked for one by one. */
const plain = (g: RouteGraph): number[][] =>
  usables.flatMap((by) => {
    const usable = usableBy(g, by);
    const ends = [...g.terminal];
    return ends.flatMap((n) => {
      if (n < 0) return [];
      const clear = distancesFrom(g, n, ends, usable);
      const through = distancesFrom(g, n, ends, usable, true);
      return [clear.map((x, i) => (x < Infinity ? x : through[i]!))];
    });
  });

const expectSame = (got: readonly number[][], want: readonly number[][]): void => {
  expect(got.length).toBe(want.length);
  got.forEach((row, i) =>
    row.forEach((x, k) =>
      want[i]![k] === Infinity ? expect(x).toBe(Infinity) : expect(x).toBeCloseTo(want[i]![k]!, 5),
    ),
  );
};

describe("lengths after an edit", () => {
  it("are those of the house as it then is, one change after another", () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.constantFrom(...Object.keys(changes)), fc.nat(200), fc.integer({ min: -90, max: 90 })), {
          minLength: 1,
          maxLength: 3,
        }),
        fc.nat(2),
        (edits, unasked) => {
          let h: House = layHouse({ ...house, points: [...house.points] });
          all(graphOf(h));
          edits.forEach(([kind, n, by], i) => {
            let job = h.job;
            try {
              job = changes[kind]!(h.job, n, by);
            } catch {
              // No change of that kind can be made there.
            }
            h = relayHouse(h, job);
            const g = graphOf(h);
            // Now and then nothing is asked of a house in between.
            if (i < edits.length - 1 && (i + unasked) % 2) return;
            expectSame(all(g), plain(g));
          });
        },
      ),
      { numRuns: 15 },
    );
  });

  it("are looked for only where the edit may have changed them", () => {
    const h = layHouse({ ...house, points: [...house.points] });
    const before = graphOf(h);
    all(before);
    const whole = searchesOver(before);
    expect(whole).toBeGreaterThan(15);
    const moved = house.points.find((p) => p.place.on === "wall")!;
    const next = relayHouse(h, changes["a point moved"]!(h.job, 0, 40));
    const g = graphOf(next);
    expect(g).not.toBe(before);
    const { was, changed } = samePlaces(g, before);
    expect(changed.length).toBeLessThan(g.nodes / 4);
    expect(changed).toContain(g.terminal[next.pointOfId.get(moved.id)!]);
    expect([...was].filter((m) => m >= 0).length).toBeGreaterThan((3 * g.nodes) / 4);
    all(g);
    expect(searchesOver(g)).toBeLessThan(whole / 2);
    // Points that come later are the same points, whatever their number.
    const fewer = relayHouse(next, changes["a point taken out"]!(next.job, 0, 0));
    expect(samePlaces(graphOf(fewer), g).changed.length).toBeLessThan(g.nodes / 4);
    // The same from a house in which nothing was asked, and not from one long before.
    const third = relayHouse(next, changes["a point moved"]!(next.job, 0, -40));
    graphOf(third);
    const fourth = graphOf(relayHouse(third, changes["a point moved"]!(third.job, 0, 20)));
    all(fourth);
    expect(searchesOver(fourth)).toBeLessThan(whole / 2);
  });

  /** A small graph: places, the first few of them points, and edges as pairs of them. */
  const small = (places: readonly XYZ[], edges: readonly [number, number][], boxed = -1): RouteGraph => {
    const d = draft();
    places.forEach((p, n) => addNode(d, p, n === boxed ? n : -1));
    for (const [a, b] of edges) addEdge(d, a, b, EDGE.wall, 0);
    return compile(
      d,
      Int32Array.from(POINTS, (_, n) => n),
      POINTS,
    );
  };
  const POINTS = ["a", "b", "c", "d", "e"];
  // Five points along a wall, each a metre from the next, and two places above the first and the last.
  const row: XYZ[] = [...POINTS.map((_, n): XYZ => [1000 * n, 0, 0]), [0, 0, 2000], [4000, 0, 2000]];
  const line: [number, number][] = [
    [0, 1],
    [1, 2],
    [2, 3],
    [3, 4],
    [0, 5],
    [5, 6],
    [6, 4],
  ];
  const square: XYZ[] = [
    [0, 0, 0],
    [1000, 0, 0],
    [0, 0, 1000],
    [1000, 0, 1000],
    [-500, 0, 0],
  ];
  const without = (...gone: number[]): [number, number][] => line.filter((_, k) => !gone.includes(k));
  it.each<[string, RouteGraph, RouteGraph]>([
    [
      "a way opens that is shorter",
      small(row, without(1)),
      small([...row, [1500, 0, 0]], [...without(1), [1, 7], [7, 2]]),
    ],
    ["a way is no more", small(row, line), small(row, without(2))],
    ["a place is no more", small([...row, [1500, 0, 0]], [...without(1), [1, 7], [7, 2]]), small(row, without(1))],
    [
      "edges lead elsewhere, as long and as many",
      small(square, [
        [0, 1],
        [2, 3],
        [0, 4],
      ]),
      small(square, [
        [0, 2],
        [1, 3],
        [0, 4],
      ]),
    ],
    ["a way opens past a box that was gone through", small(row, without(4), 2), small(row, line, 2)],
    ["a box comes into the way", small(row, line), small(row, line, 2)],
    ["nothing changes but who comes first", small(row, line), small([...row].reverse(), line)],
  ])("follow where %s", (_, before, now) => {
    all(before);
    goesOnFrom(now, before);
    expectSame(all(now), plain(now));
  });

  it("are looked for once where one place cannot be reached, and not from every other", () => {
    const g = small(row, without(3, 6));
    expectSame([waysFrom(g, 0, [1, 2, 3, 4], g.hidden)], [[1000, 2000, 3000, Infinity]]);
    for (const n of [1, 2, 3]) waysFrom(g, n, [0, 1, 2, 3, 4], g.hidden);
    // Past boxes and through them, once from the first and once from itself; then one from each of two more.
    expect(searchesOver(g)).toBe(6);
  });

  it("know after one edit more through whose boxes alone they led: past them is what counts once a way is there", () => {
    // From a to c only through the box of b, 2000; the way past it is 4000.
    const [shut, far] = [without(2, 3, 6), [...row, [9000, 0, 0], [9500, 0, 0]] as XYZ[]];
    const [then, between] = [small(row, shut, 1), small(far, [...shut, [7, 8]], 1)];
    const now = small([...far, [0, 0, -1000], [2000, 0, -1000]], [...shut, [7, 8], [0, 9], [9, 10], [10, 2]], 1);
    for (const [g, before, want] of [
      [then, null, 2000],
      [between, then, 2000],
      [now, between, 4000],
    ] as const) {
      if (before) goesOnFrom(g, before);
      expect(waysFrom(g, 0, [1, 2, 5, 6], g.hidden)[1]).toBe(want);
    }
    expect(searchesOver(between)).toBe(0);
  });

  it("finds the places of a house again, each once, in whatever order they come", () => {
    // Two at each place, far apart in their order.
    const many = Array.from({ length: 200 }, (_, i): XYZ => [10 * (i % 100), 0, 0]);
    const [before, now] = [small(many, []), small([...many].reverse(), [])];
    const was = [...samePlaces(now, before).was].filter((m) => m >= 0);
    expect(was.length).toBeGreaterThan(100);
    expect(new Set(was).size).toBe(was.length);
  });

  it("names no place the same whose edges, boxes or cables allowed are not", () => {
    const h = layHouse(house);
    const g = graphOf(h);
    expect(samePlaces(g, g)).toMatchObject({ changed: [] });
    const { hidden, box, length, inBox } = g;
    const other = <K extends "hidden" | "box" | "length" | "inBox">(name: K, at: number, x: number): RouteGraph => {
      const list = g[name].slice();
      list[at] = x;
      return { ...g, [name]: list };
    };
    const e = 200;
    const ends = [g.a[e]!, g.b[e]!].sort((p, q) => p - q);
    for (const now of [
      other("hidden", e, 1 - hidden[e]!),
      other("box", e, box[e]! < 0 ? 0 : -1),
      other("length", e, length[e]! + 1),
    ])
      expect(samePlaces(now, g).changed).toEqual(ends);
    const n = ends[0]!;
    const lost = samePlaces(other("inBox", n, inBox[n]! < 0 ? 0 : -1), g);
    expect(lost.was[n]).toBe(-1);
    expect(lost.changed).toContain(n);
  });
});

describe("lengths from a place", () => {
  it("lead through the box of another point only to where nothing else does", () => {
    const g = draft();
    const [a, box, behind, beside, alone] = [
      addNode(g, [0, 0, 0]),
      addNode(g, [500, 0, 0], 3),
      addNode(g, [1000, 0, 0]),
      addNode(g, [0, 0, 2000]),
      addNode(g, [9000, 0, 0]),
    ];
    addEdge(g, a, box, EDGE.wall, 0);
    addEdge(g, box, behind, EDGE.wall, 0);
    addEdge(g, a, beside, EDGE.wall, 0);
    addEdge(g, box, beside, EDGE.wall, 0);
    const graph = compile(g, new Int32Array());
    const usable = new Uint8Array(graph.a.length).fill(1);
    expect(waysFrom(graph, a, [beside, alone, behind, -1, box], usable)).toEqual([2000, Infinity, 1000, Infinity, 500]);
    expect(waysFrom(graph, beside, [alone, behind], usable)[1]).toBeCloseTo(500 + Math.hypot(500, 2000), 6);
    expect(waysFrom(graph, a, [], usable)).toEqual([]);
  });
});
