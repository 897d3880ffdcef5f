import { describe, expect, it } from "vitest";
import { EDGE, addEdge, addNode, compile, draft } from "./graph";
import { waysFrom } from "./lengths";

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
