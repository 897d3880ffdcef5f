import fc from "fast-check";
import { expect, it } from "vitest";
import { EDGE, type RouteGraph, addEdge, addNode, compile, draft } from "./graph";
import { samePlaces } from "./same-places";

interface Line {
  a: number;
  b: number;
  hidden: boolean;
  box: number;
  outside: boolean;
}

/** A graph of some of twenty-five places on a square and lines between them, each place by its own number. */
function graphWith(places: readonly number[], lines: readonly Line[]): RouteGraph {
  const g = draft();
  const node = new Map(places.map((p) => [p, addNode(g, [100 * (p % 5), 100 * Math.floor(p / 5), 0])]));
  for (const { a, b, hidden, box, outside } of lines) {
    const ends = [node.get(a), node.get(b)];
    if (ends[0] === undefined || ends[1] === undefined) continue;
    addEdge(g, ends[0], ends[1], outside ? EDGE.outside : EDGE.wall, 0, { hidden, box });
  }
  return compile(g, Int32Array.of(-1, -1), ["p", "q"]);
}

/** What leads on from each place, in order. */
const leadsOn = (places: readonly number[], lines: readonly Line[]): Map<number, string> =>
  new Map(
    places.map((p) => [
      p,
      lines
        .filter((l) => (l.a === p || l.b === p) && places.includes(l.a) && places.includes(l.b))
        .map((l) => `${l.a === p ? l.b : l.a} ${l.hidden} ${l.box} ${l.outside}`)
        .join(";"),
    ]),
  );

it("what has changed is every place that is new or whose lines are not what they were, and no other", () => {
  const all = Array.from({ length: 25 }, (_, i) => i);
  const pairs = all.flatMap((a) => all.filter((b) => b > a && (b - a === 1 || b - a === 5)).map((b) => ({ a, b })));
  const lines = pairs.map((p): Line => ({ ...p, hidden: true, box: -1, outside: false }));
  fc.assert(
    fc.property(
      fc.subarray(all, { minLength: 22 }),
      fc.subarray(all, { minLength: 22 }),
      fc.array(
        fc.record({
          at: fc.nat(lines.length - 1),
          what: fc.constantFrom("gone", "hidden", "box", "outside", "across"),
          then: fc.boolean(),
        }),
        { maxLength: 4 },
      ),
      (placesThen, placesNow, edits) => {
        let [then, now] = [lines, lines];
        for (const { at, what, then: before } of edits) {
          const was = lines[at]!;
          const change = (list: readonly Line[]): Line[] =>
            list.flatMap((l) => {
              if (l.a !== was.a || l.b !== was.b) return [l];
              if (what === "gone") return [];
              if (what === "across") return [l, { ...l, b: (l.b + 6) % 25 === l.a ? l.b : (l.b + 6) % 25 }];
              return [{ ...l, hidden: what !== "hidden", box: what === "box" ? 1 : -1, outside: what === "outside" }];
            });
          if (before) then = change(then);
          else now = change(now);
        }
        const { was, changed, gone } = samePlaces(graphWith(placesNow, now), graphWith(placesThen, then));
        const [ledThen, leadsNow] = [leadsOn(placesThen, then), leadsOn(placesNow, now)];
        expect(changed.map((n) => placesNow[n])).toEqual(placesNow.filter((p) => ledThen.get(p) !== leadsNow.get(p)));
        expect(gone.map((n) => placesThen[n])).toEqual(placesThen.filter((p) => !placesNow.includes(p)));
        placesNow.forEach((p, n) =>
          expect(was[n]! < 0 ? -1 : placesThen[was[n]!]).toBe(placesThen.includes(p) ? p : -1),
        );
      },
    ),
    { numRuns: 300 },
  );
});

it("lines lost in great number leave what lies beyond them as it was", () => {
  // A row of forty places with a line from the first to each; then without half of them.
  const row = (led: (n: number) => boolean): RouteGraph => {
    const g = draft();
    for (let n = 0; n < 40; n++) addNode(g, [100 * n, 0, 0]);
    for (let n = 1; n < 40; n++) if (led(n)) addEdge(g, 0, n, EDGE.wall, 0);
    for (let n = 20; n < 39; n++) addEdge(g, n, n + 1, EDGE.wall, 0);
    return compile(g, new Int32Array(0), []);
  };
  const { changed } = samePlaces(
    row((n) => n % 2 === 0),
    row(() => true),
  );
  expect(changed).toEqual([0, ...Array.from({ length: 20 }, (_, i) => 2 * i + 1)]);
});

it("a box is that of the same point, whatever number that has", () => {
  const row = (points: string[], box: number): RouteGraph => {
    const g = draft();
    for (let n = 0; n < 4; n++) addNode(g, [100 * n, 0, 0], n === 3 ? box : -1);
    for (let n = 0; n < 3; n++) addEdge(g, n, n + 1, EDGE.wall, 0, n === 1 ? { box } : {});
    return compile(g, new Int32Array(points.length), points);
  };
  expect(samePlaces(row(["q"], 0), row(["p", "q"], 1)).changed).toEqual([]);
  // That of another point is another box, though it has the number that the other had.
  expect(samePlaces(row(["p", "q"], 0), row(["q"], 0)).changed).toEqual([1, 2, 3]);
});
