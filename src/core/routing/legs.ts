import { isMetalClad } from "../rules/cables";
import { rectAround, contains } from "../base/rect";
import { EPS, tidy } from "../base/tolerance";
import { type XYZ, distance, toFace } from "../base/wall-frame";
import type { House, PlacedPoint } from "../house/house";
import type { Circuit, LegMethod, PinnedLeg } from "../job/model";
import { STUD_DEPTH, hiddenIn } from "../house/hidden-in";
import { outsideOf } from "../house/outside";
import { sectionsOf } from "../house/sections";
import { cableOf } from "../rules/catalogue";
import { cutIn } from "../rules/sections";
import { EDGE, type RouteGraph } from "./graph";

/** A stretch of the way, before stretches in line are joined. */
interface Piece {
  surface: PinnedLeg["surface"];
  method: LegMethod;
  a: XYZ;
  b: XYZ;
  /** What it goes through between its ends, where it is no straight line. */
  by?: readonly XYZ[];
  section?: string;
  /** True for one of no length: nothing is cut for it. */
  none?: true;
}

const place = (g: RouteGraph, n: number): XYZ => [tidy(g.x[n]!), tidy(g.y[n]!), tidy(g.z[n]!)];

/** Nodes visited by a list of edges, from the start node. */
function nodesOf(g: RouteGraph, start: number, edges: readonly number[]): number[] {
  const out = [start];
  for (const e of edges) {
    const last = out[out.length - 1]!;
    out.push(g.a[e] === last ? g.b[e]! : g.a[e]!);
  }
  return out;
}

/**
 * How many edges at the start only shift sideways behind the plate: the cable leaves the box there, not from its middle.
 * Counts up to the last bend, or the hole through the wall, that still lies behind the plate.
 */
function jogsBehindPlate(
  h: House,
  g: RouteGraph,
  p: PlacedPoint,
  nodes: readonly number[],
  edges: readonly number[],
): number {
  const face = h.faces[p.face];
  if (!face || p.point.place.on !== "wall") return 0;
  const plate = rectAround({ ...p.point.place, ...p.plate });
  let jogs = 0;
  for (let k = 1; k < edges.length; k++) {
    if (g.kind[edges[k - 1]!] !== EDGE.wall) break;
    if (!contains(plate, toFace(face.frame, place(g, nodes[k]!)))) break;
    // Straight out of the wall behind the box: nothing is chased to get there.
    if (g.kind[edges[k]!] === EDGE.through) jogs = k;
    if (g.kind[edges[k]!] !== EDGE.wall) break;
    if (g.axis[edges[k]!] !== g.axis[edges[k - 1]!]) jogs = k;
  }
  return jogs;
}

/** Turns the edges of a way into legs: one straight stretch on one surface by one method each. */
export function legsOf(
  h: House,
  g: RouteGraph,
  c: Pick<Circuit, "walls" | "cable"> & { id?: string },
  from: PlacedPoint,
  to: PlacedPoint,
  start: number,
  way: readonly number[],
): PinnedLeg[] {
  const armour = isMetalClad(cableOf(c.cable, h.catalogue));
  let edges = [...way];
  let nodes = nodesOf(g, start, edges);
  const head = jogsBehindPlate(h, g, from, nodes, edges);
  edges = edges.slice(head);
  nodes = nodes.slice(head);
  const tail = jogsBehindPlate(h, g, to, [...nodes].reverse(), [...edges].reverse());
  if (tail) {
    edges = edges.slice(0, -tail);
    nodes = nodes.slice(0, -tail);
  }
  const pieces: Piece[] = [];
  /** The edge that the last piece came from, or was made longer by. */
  let on = -1;
  for (let i = 0; i < edges.length; i++) {
    const e = edges[i]!;
    const kind = g.kind[e]!;
    if (kind === EDGE.corner || g.length[e]! < EPS) continue;
    const a = place(g, nodes[i]!);
    const b = place(g, nodes[i + 1]!);
    const before = pieces[pieces.length - 1];
    const like = before && kind === g.kind[on] && g.ref[e] === g.ref[on] && g.section[e] === g.section[on];
    on = e;
    if (like && !before.by && inLine(before, { a, b })) {
      before.b = b;
      continue;
    }
    const { surface, method, section } = surfaceOf(h, g, c, e);
    const piece: Piece = { surface, method, a, b };
    if (section !== undefined) piece.section = section;
    if (kind === EDGE.outside) {
      const { path } = outsideOf(h)[g.ref[e]!]!;
      piece.by = (g.a[e] === nodes[i] ? path : [...path].reverse()).slice(1, -1);
    }
    const last = pieces[pieces.length - 1];
    if (last && joins(last, piece)) {
      last.b = b;
      if (piece.method === "through-joists") last.method = "through-joists";
    } else pieces.push(piece);
  }
  // Two points in one place, which is told elsewhere: still a run, of no length, that can be named, ticked off and kept.
  if (!pieces.length) pieces.push(fromBoxToBox(h, c, from, place(g, start)));
  const legs: PinnedLeg[] = [];
  for (const p of pieces) legs.push(legOf(h, p, armour));
  return legs;
}

function legOf(h: House, p: Piece, armour: boolean): PinnedLeg {
  const path: PinnedLeg["path"] = [];
  for (const [x, y, z] of [p.a, ...(p.by ?? []), p.b]) path.push([tidy(x), tidy(y), tidy(z)]);
  return {
    surface: p.surface,
    method: p.method,
    path,
    depth: p.none ? 0 : depthOf(h, p),
    protected: armour,
    ...(p.section === undefined ? {} : { section: p.section }),
  };
}

function surfaceOf(
  h: House,
  g: RouteGraph,
  c: Pick<Circuit, "walls"> & { id?: string },
  e: number,
): Pick<Piece, "surface" | "method" | "section"> {
  const ref = g.ref[e]!;
  const laid = g.section[e] ? sectionsOf(h)[g.section[e]! - 1] : undefined;
  // Beside capping and tube under the plaster a circuit that is kept out has its own chase on the same line.
  if (laid && !laid.section.out.includes(c.id ?? ""))
    return {
      surface:
        g.kind[e] === EDGE.wall
          ? { kind: "wall", id: h.faces[ref]!.wall.id }
          : { kind: "deck", id: h.decks[ref]!.deck.id },
      method: laid.row.method,
      section: laid.section.id,
    };
  switch (g.kind[e]) {
    case EDGE.wall: {
      const wall = h.faces[ref]!.wall;
      const hidden = hiddenIn(h, wall).method;
      return { surface: { kind: "wall", id: wall.id }, method: c.walls === "surface" ? "surface" : hidden };
    }
    case EDGE.through:
      return { surface: { kind: "through", id: h.faces[ref]!.wall.id }, method: "through-wall" };
    case EDGE.outside: {
      const { way } = outsideOf(h)[ref]!;
      return { surface: { kind: "outside", id: way.id }, method: way.kind === "trench" ? "buried" : "catenary" };
    }
    case EDGE.lane:
      return { surface: { kind: "deck", id: h.decks[ref]!.deck.id }, method: "along-joist" };
    case EDGE.bay:
      return { surface: { kind: "deck", id: h.decks[ref]!.deck.id }, method: "across-bay" };
    case EDGE.bore:
      return { surface: { kind: "deck", id: h.decks[g.bores[ref]!.deck]!.deck.id }, method: "through-joists" };
    default:
      return { surface: { kind: "deck", id: h.decks[ref]!.deck.id }, method: "rise" };
  }
}

/** The stretch of no length from one box straight into another on the same wall; on a deck each has a way up of its own. */
function fromBoxToBox(h: House, c: Pick<Circuit, "walls">, from: PlacedPoint, at: XYZ): Piece {
  const { wall } = h.faces[from.face]!;
  const method = c.walls === "surface" ? "surface" : hiddenIn(h, wall).method;
  return { surface: { kind: "wall", id: wall.id }, method, a: at, b: at, none: true };
}

const crossing = (m: LegMethod): boolean => m === "across-bay" || m === "through-joists";

function joins(p: Piece, q: Piece): boolean {
  if (p.surface.id !== q.surface.id || p.surface.kind !== q.surface.kind) return false;
  if (p.section !== q.section || p.by || q.by) return false;
  return (p.method === q.method || (crossing(p.method) && crossing(q.method))) && inLine(p, q);
}

/** True for two stretches that go on straight, one from the other. */
function inLine(p: Pick<Piece, "a" | "b">, q: Pick<Piece, "a" | "b">): boolean {
  let dot = 0;
  for (let k = 0; k < 3; k++) dot += (p.b[k]! - p.a[k]!) * (q.b[k]! - q.a[k]!);
  return dot > (1 - 1e-9) * distance(p.a, p.b) * distance(q.a, q.b);
}

function depthOf(h: House, p: Piece): number {
  if (p.surface.kind === "outside") {
    const way = h.job.outsideWays.find((w) => w.id === p.surface.id);
    return way?.kind === "trench" ? way.depth : 0;
  }
  if (cutIn.has(p.method)) return h.job.settings.chaseDepth;
  if (p.method === "stud-void") return STUD_DEPTH;
  if (p.surface.kind === "deck" && p.section !== undefined) return 0;
  if (p.surface.kind === "deck") return h.decks[h.deckOfId.get(p.surface.id)!]!.deck.joists.depth / 2;
  if (p.method === "through-wall") return h.faces[h.faceOfWall.get(p.surface.id)!]!.shape.thickness / 2;
  return 0;
}
