import { isMetalClad } from "../rules/cables";
import { Kept } from "../base/kept";
import { same } from "../base/tolerance";
import type { LaidDeck } from "../house/deck";
import type { Face, House } from "../house/house";
import { outsideOf } from "../house/outside";
import { cableOf } from "../rules/catalogue";
import { addDeck } from "./deck-lanes";
import { type RouteGraph, compile, draft } from "./graph";
import { goesOnFrom } from "./lengths";
import { addOutside } from "./outside-lanes";
import { joinMeetingDecks } from "./meeting-decks";
import { addWalls } from "./wall-edges";
import { collectLines } from "./wall-lines";

/** Whether lines outside the zones are wanted too, for cable on the surface or in armour. */
const wantsSurface = (h: House): boolean =>
  h.job.circuits.some((c) => c.walls === "surface" || isMetalClad(cableOf(c.cable, h.catalogue)));

const kept = new Kept<Face, RouteGraph>();

/**
 * The graph of all legal lines of a house. It is kept with the first of its faces: a house after an edit shares faces and decks with the
 * one before, and where it shares all that lines are made of, say because a circuit was changed, the graph is the very same.
 */
export function graphOf(h: House): RouteGraph {
  const [first] = h.faces;
  if (!first) return buildGraph(h);
  const { fixtures, forbidden, sections, foundTrunkings, outsideWays, settings } = h.job;
  const made = [
    ...[...h.faces, ...h.decks, ...h.points],
    ...[fixtures, forbidden, sections, foundTrunkings, settings.schools, settings.chaseDepth, wantsSurface(h)],
    ...[outsideWays, ...outsideOf(h).map((w) => w.cable)],
  ];
  return kept.of(first, made, () => {
    const parts = [...h.faces, ...h.decks];
    const before = parts.map((x) => latest.get(x)).find((x) => x);
    const g = buildGraph(h, before);
    if (before) goesOnFrom(g, before);
    for (const x of parts) latest.set(x, g);
    return g;
  });
}

/** So many places and twice as many edges may come with an edit before there is no room for them. */
const MORE = 200;

/** The last graph of a house with a face or a deck in it. */
const latest = new WeakMap<Face | LaidDeck, RouteGraph>();

/**
 * Builds the graph of all legal lines of the house. Deterministic: the same house gives the same nodes and edges in
 * the same order.
 * @param before that of much the same house: there is room for as much at once
 */
export function buildGraph(h: House, before?: RouteGraph): RouteGraph {
  const g = before ? draft(before.nodes + MORE, before.a.length + 2 * MORE) : draft(4096, 8192);
  const lines = collectLines(h);
  const surface = wantsSurface(h);
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
  return compile(
    g,
    terminal,
    h.points.map((p) => p.point.id),
  );
}
