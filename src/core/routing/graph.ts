import type { XYZ } from "../base/wall-frame";

/** Kinds of edge. A run's legs follow from the kinds it uses. */
export const EDGE = { wall: 0, corner: 1, rise: 2, lane: 3, bay: 4, bore: 5, through: 6, drop: 7, outside: 8 } as const;
export type EdgeKind = (typeof EDGE)[keyof typeof EDGE];

/** Heading of a corner: it joins two faces at one place, has no length and keeps the axis. */
export const KEEPS = 3;

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
  /** Deepest notch there, mm, where the cables cross in a notch and not in a hole. */
  notch?: number;
}

/**
 * A graph, or a part of one, under construction: flat arrays with an entry for each node or edge, which grow as they
 * are filled.
 */
export interface GraphDraft {
  nodes: number;
  edges: number;
  x: Float64Array;
  y: Float64Array;
  z: Float64Array;
  /** Point in whose box a node lies, or −1. */
  inBox: Int32Array;
  a: Int32Array;
  b: Int32Array;
  length: Float64Array;
  kind: Uint8Array;
  /** Face for wall, corner and through edges; deck for rise, lane, bay and drop; bore place for bore edges; way out of doors. */
  ref: Int32Array;
  /** Far face of a through edge; face of a rise; else −1. */
  ref2: Int32Array;
  /** Point whose box the edge runs through, or −1. */
  box: Int32Array;
  /** 1 when a hidden cable may lie there, 0 when only a surface cable may. */
  hidden: Uint8Array;
  /** 1 where the edge lies behind a bath or a bowl. */
  wet: Uint8Array;
  /** Studs, noggins and plates on the way of a wall edge; noggins on that of a lane. */
  timbers: Uint8Array;
  /** Walls that a lane or bay edge goes right through between the joists. */
  walls: Uint8Array;
  /** Section of containment that the edge lies in: its number in the house, from 1; 0 in none. */
  section: Int32Array;
  /** 0 along x, 1 along y, 2 upright: a change of axis on the way is a bend. */
  axis: Uint8Array;
  /** Axis on which a cable goes on after an edge; `KEEPS` where it keeps the one it has. */
  heading: Uint8Array;
  /**
   * No edge indoors is shorter than this share of the sum of what it moves along x, y and z: 1 where all run along the axes, less where
   * walls stand at an angle. Times the sum from a place to another, it is no more than the way between them.
   */
  square: number;
  bores: BorePlace[];
}

const ofNodes = ["x", "y", "z", "inBox"] as const;
const ofEdges = [
  "a",
  "b",
  "length",
  "kind",
  "ref",
  "ref2",
  "box",
  "hidden",
  "wet",
  "timbers",
  "walls",
  "section",
  "axis",
  "heading",
] as const;

/** An empty draft with room for so many nodes and edges before it must grow. */
export function draft(nodes = 256, edges = 512): GraphDraft {
  return {
    nodes: 0,
    edges: 0,
    x: new Float64Array(nodes),
    y: new Float64Array(nodes),
    z: new Float64Array(nodes),
    inBox: new Int32Array(nodes),
    a: new Int32Array(edges),
    b: new Int32Array(edges),
    length: new Float64Array(edges),
    kind: new Uint8Array(edges),
    ref: new Int32Array(edges),
    ref2: new Int32Array(edges),
    box: new Int32Array(edges),
    hidden: new Uint8Array(edges),
    wet: new Uint8Array(edges),
    timbers: new Uint8Array(edges),
    walls: new Uint8Array(edges),
    section: new Int32Array(edges),
    axis: new Uint8Array(edges),
    heading: new Uint8Array(edges),
    square: 1,
    bores: [],
  };
}

type Flat = GraphDraft[(typeof ofNodes)[number]] | GraphDraft[(typeof ofEdges)[number]];

function makeRoom(g: GraphDraft, nodes: number, edges: number): void {
  const grow = (
    names: readonly (typeof ofNodes)[number][] | readonly (typeof ofEdges)[number][],
    want: number,
  ): void => {
    for (const name of names) {
      const was: Flat = g[name];
      const next = new (was.constructor as new (n: number) => Flat)(want);
      next.set(was);
      Object.assign(g, { [name]: next });
    }
  };
  if (nodes > g.x.length) grow(ofNodes, Math.max(nodes, 2 * g.x.length));
  if (edges > g.a.length) grow(ofEdges, Math.max(edges, 2 * g.a.length));
}

export function addNode(g: GraphDraft, p: XYZ, inBox = -1): number {
  const n = g.nodes++;
  if (n === g.x.length) makeRoom(g, n + 1, 0);
  g.x[n] = p[0];
  g.y[n] = p[1];
  g.z[n] = p[2];
  g.inBox[n] = inBox;
  return n;
}

export interface EdgeFacts {
  ref2?: number;
  box?: number;
  hidden?: boolean;
  wet?: boolean;
  timbers?: number;
  walls?: number;
  section?: number;
}
const PLAIN: EdgeFacts = {};

export function addEdge(
  g: GraphDraft,
  a: number,
  b: number,
  kind: EdgeKind,
  ref: number,
  facts: EdgeFacts = PLAIN,
): number {
  const e = g.edges++;
  if (e === g.a.length) makeRoom(g, 0, e + 1);
  g.a[e] = a;
  g.b[e] = b;
  const dx = Math.abs(g.x[a]! - g.x[b]!);
  const dy = Math.abs(g.y[a]! - g.y[b]!);
  const dz = Math.abs(g.z[a]! - g.z[b]!);
  g.length[e] = dx + dy < 1e-9 ? dz : dy + dz < 1e-9 ? dx : dx + dz < 1e-9 ? dy : Math.hypot(dx, dy, dz);
  g.kind[e] = kind;
  g.ref[e] = ref;
  g.ref2[e] = facts.ref2 ?? -1;
  g.box[e] = facts.box ?? -1;
  g.hidden[e] = facts.hidden === false ? 0 : 1;
  g.wet[e] = facts.wet ? 1 : 0;
  g.timbers[e] = facts.timbers ?? 0;
  g.walls[e] = facts.walls ?? 0;
  g.section[e] = facts.section ?? 0;
  const axis = dz >= dx && dz >= dy ? 2 : dx >= dy ? 0 : 1;
  g.axis[e] = axis;
  g.heading[e] = kind === EDGE.corner ? KEEPS : axis;
  const sum = dx + dy + dz;
  if (kind !== EDGE.outside && sum * g.square > g.length[e]!) g.square = g.length[e]! / sum;
  return e;
}

/**
 * Puts a part into a graph. The first nodes of the part stand in the graph already; the others are added after what is there.
 * @param outer node in the graph of each of those first ones
 * @returns what to add to the number of any other node of the part
 */
export function append(g: GraphDraft, part: GraphDraft, outer: readonly number[] = []): number {
  const k = outer.length;
  makeRoom(g, g.nodes + part.nodes - k, g.edges + part.edges);
  const shift = g.nodes - k;
  for (const name of ofNodes) g[name].set(part[name].subarray(k, part.nodes), g.nodes);
  for (const name of ofEdges) g[name].set(part[name].subarray(0, part.edges), g.edges);
  const bores = g.bores.length;
  for (let e = g.edges; e < g.edges + part.edges; e++) {
    const [a, b] = [g.a[e]!, g.b[e]!];
    g.a[e] = a < k ? outer[a]! : a + shift;
    g.b[e] = b < k ? outer[b]! : b + shift;
    if (g.kind[e] === EDGE.bore) g.ref[e]! += bores;
  }
  for (const b of part.bores) g.bores.push(b);
  g.square = Math.min(g.square, part.square);
  g.nodes += part.nodes - k;
  g.edges += part.edges;
  return shift;
}

/**
 * All legal lines of the house as flat arrays, compiled once before the searches.
 * Edges of node i are `edges[first[i]] … edges[first[i + 1] − 1]`, in the order they were added.
 */
export interface RouteGraph extends Omit<GraphDraft, "edges"> {
  first: Int32Array;
  edges: Int32Array;
  /** In the order of `edges`: the node that each leads to. */
  to: Int32Array;
  /** Node of each point by its number in the house, −1 where the point stands nowhere legal. */
  terminal: Int32Array;
  /** Id of each point by its number in the house. */
  points: readonly string[];
}

/** The first so many of a list; what lies behind them is kept only where it is little. */
const own = <T extends Flat>(list: T, count: number): T =>
  (list.length > 1.25 * count ? list.slice(0, count) : list.subarray(0, count)) as T;

export function compile(g: GraphDraft, terminal: Int32Array, points: readonly string[] = []): RouteGraph {
  const n = g.nodes;
  const m = g.edges;
  const first = new Int32Array(n + 1);
  for (let e = 0; e < m; e++) {
    first[g.a[e]! + 1]!++;
    first[g.b[e]! + 1]!++;
  }
  for (let i = 0; i < n; i++) first[i + 1]! += first[i]!;
  const fill = first.slice();
  const edges = new Int32Array(2 * m);
  const to = new Int32Array(2 * m);
  for (let e = 0; e < m; e++) {
    const [a, b] = [g.a[e]!, g.b[e]!];
    to[fill[a]!] = b;
    edges[fill[a]!++] = e;
    to[fill[b]!] = a;
    edges[fill[b]!++] = e;
  }
  return {
    nodes: n,
    x: own(g.x, n),
    y: own(g.y, n),
    z: own(g.z, n),
    inBox: own(g.inBox, n),
    a: own(g.a, m),
    b: own(g.b, m),
    length: own(g.length, m),
    kind: own(g.kind, m),
    ref: own(g.ref, m),
    ref2: own(g.ref2, m),
    box: own(g.box, m),
    hidden: own(g.hidden, m),
    wet: own(g.wet, m),
    timbers: own(g.timbers, m),
    walls: own(g.walls, m),
    section: own(g.section, m),
    axis: own(g.axis, m),
    heading: own(g.heading, m),
    square: g.square,
    first,
    edges,
    to,
    bores: g.bores,
    terminal,
    points,
  };
}
