import { type House, type PlacedPoint, decksOfFace } from "../house/house";
import type { Fact } from "../rules/fact";
import { EDGE, type RouteGraph } from "./graph";
import { reachable } from "./search";

/** What bars the joists of a deck to bores, from the gravest on; null where nothing does. */
function barOf(d: House["job"]["decks"][number]): string | null {
  if (d.kind === "engineered") return "engineered";
  if (d.joists.depth > 250) return "deep";
  if (d.joists.depth * 0.25 < 16) return "shallow";
  if (d.access === "closed") return "closed";
  return d.obstacles.length ? "obstacles" : null;
}

/**
 * Why no way leads to a point: what stands round it, and what would have to give. Looks only at the part of the graph that can be
 * reached from the point. Returns the case and what its sentence names.
 */
export function whyUnreachable(
  h: House,
  g: RouteGraph,
  p: PlacedPoint,
  node: number,
  usable: Uint8Array,
): Pick<Fact, "case" | "of" | "where"> {
  if (p.face < 0 && p.deck < 0) return { case: "nowhere" };
  if (node < 0) return { case: p.face >= 0 ? "off-wall" : "off-deck" };
  const seen = reachable(g, node, usable);
  const faces = new Set<number>();
  const decks = new Set<number>();
  for (let e = 0; e < g.a.length; e++) {
    if (!usable[e] || !seen[g.a[e]!]) continue;
    if (g.kind[e] === EDGE.wall) faces.add(g.ref[e]!);
    else if (g.kind[e] === EDGE.bore) decks.add(g.bores[g.ref[e]!]!.deck);
    else if (g.kind[e] === EDGE.lane || g.kind[e] === EDGE.bay || g.kind[e] === EDGE.rise) decks.add(g.ref[e]!);
  }
  if (decks.size) {
    const there = [...decks].map((d) => h.decks[d]!.deck);
    return { case: "decks", of: { decks: there.map((d) => d.id), bars: there.map((d) => barOf(d) ?? "") } };
  }
  const face = h.faces[p.face];
  if (!face) {
    const { deck } = h.decks[p.deck]!;
    return { case: deck.kind === "concrete" ? "concrete" : "on-deck", where: { deck: deck.id } };
  }
  const over = decksOfFace(h, face).over.length > 0;
  return {
    case: "on-wall",
    where: { wall: face.wall.id },
    of: {
      cut: face.shape.openings.length ? 1 : 0,
      deckOver: over ? 1 : 0,
      further: faces.size > 1 ? 1 : 0,
    },
  };
}
