import { isMetalClad } from "../rules/cables";
import { same } from "../base/tolerance";
import type { House } from "../house/house";
import { cableOf } from "../rules/catalogue";
import { addDeck } from "./deck-lanes";
import { type RouteGraph, compile, draft } from "./graph";
import { addOutside } from "./outside-lanes";
import { joinMeetingDecks } from "./meeting-decks";
import { addWalls } from "./wall-edges";
import { collectLines } from "./wall-lines";

/**
 * Builds the graph of all legal lines of the house. Deterministic: the same house gives the same nodes and edges in
 * the same order.
 */
export function buildGraph(h: House): RouteGraph {
  const g = draft(4096, 8192);
  const lines = collectLines(h);
  const surface = h.job.circuits.some((c) => c.walls === "surface" || isMetalClad(cableOf(c.cable, h.catalogue)));
  addWalls(g, h, lines, surface);
  addOutside(g, h, lines);
  const terminal = new Int32Array(h.points.length).fill(-1);
  h.points.forEach((p, i) => {
    const l = lines[p.face];
    if (!l || p.point.place.on !== "wall") return;
    const { u, v } = p.point.place;
    const a = l.us.findIndex((x) => same(x, u));
    const b = l.vs.findIndex((x) => same(x, v));
    if (a >= 0 && b >= 0) terminal[i] = l.node[a + b * l.us.length]!;
  });
  const joined = joinMeetingDecks(g, h);
  h.decks.forEach((_, n) => addDeck(g, h, n, lines, terminal, joined[n]!));
  return compile(g, terminal);
}
