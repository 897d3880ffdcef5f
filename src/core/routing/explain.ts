import type { House, PlacedPoint } from "../job/house";
import { EDGE, type RouteGraph } from "./graph";
import { reachable } from "./search";

/**
 * Why no way leads to a point, in words: what stands round it, and what would have to give.
 * Looks only at the part of the graph that can be reached from the point.
 */
export function whyUnreachable(h: House, g: RouteGraph, p: PlacedPoint, node: number, usable: Uint8Array): string {
  const label = p.point.label;
  if (p.face < 0 && p.deck < 0) return `${label} stands on no wall and no deck.`;
  if (node < 0) return `${label} lies off its ${p.face >= 0 ? "wall" : "deck"}, so no line starts there.`;
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
    const names = [...decks].map((d) => h.decks[d]!.deck);
    const bars = names.flatMap((d) => {
      if (d.kind === "engineered") return [`${d.name} has engineered joists, which are bored only as their maker says`];
      if (d.joists.depth > 250) return [`${d.name} has joists deeper than 250, which need an engineer`];
      if (d.joists.depth * 0.25 < 16) return [`${d.name} has joists too shallow for the smallest bit`];
      if (d.obstacles.length) return [`${d.name} is barred by ${d.obstacles.map((o) => o.name || o.kind).join(", ")}`];
      return [];
    });
    return `The cable can leave ${label} into ${names.map((d) => d.name).join(" and ")}, but no legal bore or hole leads on to the board${bars.length ? `: ${bars.join("; ")}` : ""}. Lay it another way, or pin a run by hand.`;
  }
  const face = h.faces[p.face];
  if (!face)
    return `${label} hangs on ${h.decks[p.deck]!.deck.name}, where no cable can be laid${h.decks[p.deck]!.deck.kind === "concrete" ? " because it is concrete" : ""}.`;
  const near = face.shape.openings.length
    ? "openings cut its strips off"
    : "no strip of it leads to a deck or a corner";
  const over = h.decks.some((d) => Math.abs(d.underside - face.floor - face.shape.height) <= 80);
  return `${label} is on wall ${face.wall.index + 1} of ${face.room.name}: ${near}${over ? "" : ", and there is no deck over this room that a cable could enter"}${faces.size > 1 ? "" : " on this wall"}. Move the point, add a deck, or take the cable on the surface.`;
}
