import { expect, it } from "vitest";
import { cheapPlaces, fromBoxes } from "./ahead";
import { EDGE, addEdge, addNode, compile, draft } from "./graph";

it("places are as far from a box as level and plumb lead there, on whichever side they lie, and in it not at all", () => {
  const g = draft();
  const box = [addNode(g, [1000, 1000, 1000]), addNode(g, [2000, 1000, 1000])] as const;
  const other = [addNode(g, [5000, 1000, 1000]), addNode(g, [5000, 1000, 3000])] as const;
  const near = addEdge(g, ...box, EDGE.wall, 0);
  const far = addEdge(g, ...other, EDGE.wall, 0);
  const around = (
    [
      [1500, 1000, 1000, 0],
      [400, 1000, 1000, 600],
      [2700, 1000, 1000, 700],
      [1500, 200, 1000, 800],
      [1500, 1900, 1000, 900],
      [1500, 1000, 0, 1000],
      [1500, 1000, 2100, 1100],
      [900, 800, 700, 600],
    ] as const
  ).map(([x, y, z, off]) => ({ node: addNode(g, [x, y, z]), off }));
  const cheap = cheapPlaces(compile(g, new Int32Array()), [[near], [far]], 0.5)!;
  expect(cheap.count).toBe(2);
  for (const { node, off } of around) {
    expect(cheap.near[node * 2]).toBe(off);
    expect(cheap.nearest[node]).toBe(Math.min(off, cheap.near[node * 2 + 1]!));
  }
  // Whichever box is the nearer.
  expect(cheap.nearest[other[0]]).toBe(0);
  expect(cheap.nearest[box[0]]).toBe(0);
  expect([...cheap.between]).toEqual([0, 3000, 3000, 0]);
  // To a place in the one box nothing is left from it, and from the other what lies between them.
  expect([...fromBoxes(cheap, around[0]!.node)]).toEqual([0, 3000]);
});

it("a box may be long in any way: between its ends a place is as far from it as from its side", () => {
  const ways = [
    [3000, 0, 0],
    [0, 3000, 0],
    [0, 0, 3000],
  ] as const;
  for (const [x, y, z] of ways) {
    const g = draft();
    const e = addEdge(g, addNode(g, [1000, 1000, 1000]), addNode(g, [1000 + x, 1000 + y, 1000 + z]), EDGE.wall, 0);
    const at = (share: number, off: number): number =>
      addNode(g, [
        1000 + x * share - (x ? 0 : off),
        1000 + y * share - (y ? 0 : off),
        1000 + z * share - (z ? 0 : off),
      ]);
    const places = [at(0.5, 0), at(0.5, 200), at(1.1, 0), at(-0.1, 200)];
    const { near } = cheapPlaces(compile(g, new Int32Array()), [[e]], 0.5)!;
    expect(places.map((n) => Math.round(near[n]!))).toEqual([0, 400, 300, 700]);
  }
});
