import { EPS, atLeast, atMost } from "../base/tolerance";
import { toFace } from "../base/wall-frame";
import type { Face, House, PlacedPoint } from "../house/house";
import type { Run } from "../laid/laid";
import { type Fact, fact } from "../rules/fact";
import { chasedLegs } from "./chases";

/** Least between boxes on the two sides of a separating wall, edge to edge, mm. Typical; source: Approved Document E. */
export const PARTY_STAGGER = 150;
/** Share of a wall that what is cut from both its sides may take between them. Source: Approved Document A, chases. */
const SHARE = 1 / 3;
/** Chases this near each other's line, mm, are cut from the same part of the wall. */
const SAME_LINE = 50;

/** Boxes and chases that stand back to back in one wall: too near for the noise of a separating wall, or too deep together for any. */
export function backToBackFacts(h: House, runs: readonly Run[]): Fact[] {
  const out: Fact[] = [];
  for (const f of h.faces)
    for (const n of f.opposite) {
      const other = h.faces[n]!;
      if (n < f.n) continue;
      out.push(...boxFacts(h, f, other), ...chaseFacts(f, other, runs));
    }
  return out;
}

const flushOn = (h: House, f: Face): PlacedPoint[] =>
  f.points
    .map((p) => h.points[h.pointOfId.get(p.id)!]!)
    .filter((p) => p.point.mount === "flush" && p.point.kind !== "board");

function boxFacts(h: House, f: Face, other: Face): Fact[] {
  const party = f.wall.backing === "party" || other.wall.backing === "party";
  const solid = f.wall.build === "masonry" || f.wall.build === "dry-lined";
  const there = other.points.length ? flushOn(h, other) : [];
  if (!there.length) return [];
  return flushOn(h, f).flatMap((p) =>
    there.flatMap((q): Fact[] => {
      if (p.point.existing && q.point.existing) return [];
      const [a, b] = [toFace(f.frame, p.space), toFace(f.frame, q.space)];
      if (Math.abs(a.v - b.v) >= (p.box.height + q.box.height) / 2 - EPS) return [];
      const halves = (p.box.width + q.box.width) / 2;
      const gap = Math.abs(a.u - b.u) - halves;
      const of = { other: q.point.id };
      if (party) {
        if (atLeast(gap, PARTY_STAGGER)) return [];
        // Along its wall, away from the other; where that is off the wall, past it on the other side.
        const places = [1, -1].map((s) => b.u + (a.u >= b.u ? s : -s) * (halves + PARTY_STAGGER));
        const u = places.find((x) => x >= p.plate.width / 2 && x <= f.shape.length - p.plate.width / 2);
        return [
          fact("party.boxes", "point", p.point.id, {
            measured: Math.max(0, gap),
            limit: PARTY_STAGGER,
            sense: "least",
            unit: "mm",
            of,
            ...(u === undefined || p.point.existing
              ? {}
              : { fix: [{ collection: "points", id: p.point.id, set: { u } }] }),
          }),
        ];
      }
      const depth = p.point.boxDepth + q.point.boxDepth;
      if (!solid || gap >= -EPS || atMost(depth, f.wall.thickness * SHARE)) return [];
      return [
        fact("chase.back-to-back", "point", p.point.id, {
          case: "boxes",
          measured: depth,
          limit: f.wall.thickness * SHARE,
          sense: "most",
          unit: "mm",
          of,
        }),
      ];
    }),
  );
}

/** A plumb chase on a wall: where along it, and between which heights, as one face sees it. */
interface Chase {
  run: string;
  leg: number;
  u: number;
  v0: number;
  v1: number;
  depth: number;
}
function chasesOn(f: Face, seenFrom: Face, runs: readonly Run[]): Chase[] {
  return chasedLegs(runs, f.wall.id).flatMap(({ run, leg }): Chase[] => {
    const { path, depth } = run.legs[leg]!;
    const [a, b] = [toFace(seenFrom.frame, path[0]!), toFace(seenFrom.frame, path[path.length - 1]!)];
    if (Math.abs(a.u - b.u) > EPS) return [];
    return [{ run: run.id, leg, u: a.u, v0: Math.min(a.v, b.v), v1: Math.max(a.v, b.v), depth }];
  });
}

function chaseFacts(f: Face, other: Face, runs: readonly Run[]): Fact[] {
  if (f.wall.build !== "masonry") return [];
  const limit = f.wall.thickness * SHARE;
  const there = chasesOn(other, f, runs);
  if (!there.length) return [];
  return chasesOn(f, f, runs).flatMap((c) => {
    const deepest = there
      .filter((o) => Math.abs(o.u - c.u) < SAME_LINE && Math.min(o.v1, c.v1) - Math.max(o.v0, c.v0) > EPS)
      .sort((a, b) => b.depth - a.depth)[0];
    if (!deepest || atMost(c.depth + deepest.depth, limit)) return [];
    return [
      fact("chase.back-to-back", "run", c.run, {
        case: "chases",
        where: { wall: f.wall.id, run: c.run, leg: c.leg, at: c.u },
        measured: c.depth + deepest.depth,
        limit,
        sense: "most",
        unit: "mm",
        of: { other: deepest.run },
      }),
    ];
  });
}
