import type { XYZ } from "../base/wall-frame";

/** Kinds of edge. A run's legs follow from the kinds it uses. */
export const EDGE = { wall: 0, corner: 1, rise: 2, lane: 3, bay: 4, bore: 5, through: 6, drop: 7 } as const;
export type EdgeKind = (typeof EDGE)[keyof typeof EDGE];

/** A place where one joist may be bored, found once and shared by the runs that pass. */
export interface BorePlace {
  deck: number;
  /** Index of the joist in the deck, and of its span. */
  joist: number;
  span: number;
  /** From the left bearing of the span, mm. */
  at: number;
  centre: XYZ;
  /** Largest bit that the joist and the pitch of the bore lines allow. */
  most: number;
  /** Whether it lies on a line the user asked for; null on a deck where none was. */
  asked: boolean | null;
}

/** A graph under construction: plain arrays, an entry for each node or edge. */
export interface GraphDraft {
  x: number[];
  y: number[];
  z: number[];
  /** Point in whose box a node lies, or −1. */
  inBox: number[];
  a: number[];
  b: number[];
  length: number[];
  kind: EdgeKind[];
  /** Face for wall, corner and through edges; deck for rise, lane, bay and drop; bore place for bore edges. */
  ref: number[];
  /** Far face of a through edge; face of a rise; else −1. */
  ref2: number[];
  /** Point whose box the edge runs through, or −1. */
  box: number[];
  /** 1 when a hidden cable may lie there, 0 when only a surface cable may. */
  hidden: number[];
  /** 1 where the edge lies behind a bath or a bowl. */
  wet: number[];
  /** Studs, noggins and plates on the way of a wall edge. */
  timbers: number[];
  /** Walls that a lane or bay edge goes right through between the joists. */
  walls: number[];
  bores: BorePlace[];
}

export const draft = (): GraphDraft => ({
  x: [],
  y: [],
  z: [],
  inBox: [],
  a: [],
  b: [],
  length: [],
  kind: [],
  ref: [],
  ref2: [],
  box: [],
  hidden: [],
  wet: [],
  timbers: [],
  walls: [],
  bores: [],
});

export function addNode(g: GraphDraft, p: XYZ, inBox = -1): number {
  g.x.push(p[0]);
  g.y.push(p[1]);
  g.z.push(p[2]);
  g.inBox.push(inBox);
  return g.x.length - 1;
}

export interface EdgeFacts {
  ref2?: number;
  box?: number;
  hidden?: boolean;
  wet?: boolean;
  timbers?: number;
  walls?: number;
}

export function addEdge(
  g: GraphDraft,
  a: number,
  b: number,
  kind: EdgeKind,
  ref: number,
  facts: EdgeFacts = {},
): number {
  g.a.push(a);
  g.b.push(b);
  g.length.push(
    Math.abs(g.x[a]! - g.x[b]!) + Math.abs(g.y[a]! - g.y[b]!) < 1e-9
      ? Math.abs(g.z[a]! - g.z[b]!)
      : Math.hypot(g.x[a]! - g.x[b]!, g.y[a]! - g.y[b]!, g.z[a]! - g.z[b]!),
  );
  g.kind.push(kind);
  g.ref.push(ref);
  g.ref2.push(facts.ref2 ?? -1);
  g.box.push(facts.box ?? -1);
  g.hidden.push(facts.hidden === false ? 0 : 1);
  g.wet.push(facts.wet ? 1 : 0);
  g.timbers.push(facts.timbers ?? 0);
  g.walls.push(facts.walls ?? 0);
  return g.a.length - 1;
}

/**
 * All legal lines of the house as flat arrays, compiled once before the searches.
 * Edges of node i are `edges[first[i]] … edges[first[i + 1] − 1]`, in the order they were added.
 */
export interface RouteGraph {
  nodes: number;
  x: Float64Array;
  y: Float64Array;
  z: Float64Array;
  inBox: Int32Array;
  a: Int32Array;
  b: Int32Array;
  length: Float64Array;
  kind: Uint8Array;
  ref: Int32Array;
  ref2: Int32Array;
  box: Int32Array;
  hidden: Uint8Array;
  wet: Uint8Array;
  timbers: Uint8Array;
  /** Walls that a lane or bay edge goes right through. */
  walls: Uint8Array;
  /** 0 along x, 1 along y, 2 upright: a change of axis on the way is a bend. */
  axis: Uint8Array;
  first: Int32Array;
  edges: Int32Array;
  bores: BorePlace[];
  /** Node of each point by its number in the house, −1 where the point stands nowhere legal. */
  terminal: Int32Array;
}

export function compile(g: GraphDraft, terminal: Int32Array): RouteGraph {
  const n = g.x.length;
  const m = g.a.length;
  const first = new Int32Array(n + 1);
  for (let e = 0; e < m; e++) {
    first[g.a[e]! + 1]!++;
    first[g.b[e]! + 1]!++;
  }
  for (let i = 0; i < n; i++) first[i + 1]! += first[i]!;
  const fill = first.slice();
  const edges = new Int32Array(2 * m);
  const axis = new Uint8Array(m);
  for (let e = 0; e < m; e++) {
    const [a, b] = [g.a[e]!, g.b[e]!];
    edges[fill[a]!++] = e;
    edges[fill[b]!++] = e;
    const dx = Math.abs(g.x[a]! - g.x[b]!);
    const dy = Math.abs(g.y[a]! - g.y[b]!);
    const dz = Math.abs(g.z[a]! - g.z[b]!);
    axis[e] = dz >= dx && dz >= dy ? 2 : dx >= dy ? 0 : 1;
  }
  return {
    nodes: n,
    x: Float64Array.from(g.x),
    y: Float64Array.from(g.y),
    z: Float64Array.from(g.z),
    inBox: Int32Array.from(g.inBox),
    a: Int32Array.from(g.a),
    b: Int32Array.from(g.b),
    length: Float64Array.from(g.length),
    kind: Uint8Array.from(g.kind),
    ref: Int32Array.from(g.ref),
    ref2: Int32Array.from(g.ref2),
    box: Int32Array.from(g.box),
    hidden: Uint8Array.from(g.hidden),
    wet: Uint8Array.from(g.wet),
    timbers: Uint8Array.from(g.timbers),
    walls: Uint8Array.from(g.walls),
    axis,
    first,
    edges,
    bores: g.bores,
    terminal,
  };
}
