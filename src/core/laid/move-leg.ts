import { EPS, same, tidy } from "../base/tolerance";
import { type XYZ, toFace, toSpace } from "../base/wall-frame";
import type { House } from "../house/house";
import { hiddenIn } from "../house/hidden-in";
import { sectionOfLeg } from "../house/sections";
import { isSectionMethod } from "../rules/sections";
import type { Pin, PinnedLeg } from "../job/model";
import type { Run } from "./laid";
import { pinId } from "../job/run-key";

/** One straight stretch of a run. */
interface Stretch {
  surface: PinnedLeg["surface"];
  method: PinnedLeg["method"];
  depth: number;
  protected: boolean;
  a: XYZ;
  b: XYZ;
}

const minus = (p: XYZ, q: XYZ): XYZ => [p[0] - q[0], p[1] - q[1], p[2] - q[2]];
const plus = (p: XYZ, q: XYZ): XYZ => [tidy(p[0] + q[0]), tidy(p[1] + q[1]), tidy(p[2] + q[2])];
const norm = (v: XYZ): number => Math.hypot(v[0], v[1], v[2]);
const parallel = (v: XYZ, w: XYZ): boolean => {
  const n = norm(v) * norm(w);
  return n < EPS || Math.abs(Math.abs(v[0] * w[0] + v[1] * w[1] + v[2] * w[2]) - n) < 1e-6 * n;
};

/** Where a leg lies, as a number a person can type: what it measures and from where. */
export interface LegPosition {
  /** "from left" along the wall, "from floor", or "from bearing edge" across or along the deck. */
  measure: "u" | "v" | "x" | "y";
  value: number;
}

/**
 * The one coordinate by which a leg may be shifted sideways: u for a plumb leg, v for a level one, x or y in a deck;
 * null for a leg that cannot be moved (a rise, a hole through a wall).
 */
export function legPosition(h: House, leg: PinnedLeg): LegPosition | null {
  const a = leg.path[0]!;
  const b = leg.path[leg.path.length - 1]!;
  if (leg.surface.kind === "wall") {
    const f = h.faces[h.faceOfWall.get(leg.surface.id) ?? -1];
    if (!f) return null;
    const p = toFace(f.frame, a);
    return same(a[2], b[2]) ? { measure: "v", value: tidy(p.v) } : { measure: "u", value: tidy(p.u) };
  }
  if (leg.surface.kind !== "deck" || leg.method === "rise" || !same(a[2], b[2])) return null;
  return same(a[0], b[0]) ? { measure: "x", value: a[0] } : { measure: "y", value: a[1] };
}

/** The one pin of a run, with its legs where it now lies or as given. */
export const pinOf = (run: Run, legs: readonly PinnedLeg[] = run.legs): Pin => ({
  id: pinId(run, run.number),
  circuit: run.circuit,
  from: run.from,
  to: run.to,
  number: run.number,
  legs: [...legs],
});

/**
 * Shifts one leg of a run sideways to a new position and returns the run as a pin. Stretches in line with it move along;
 * neighbours that run the way of the shift grow or shrink, others are joined by a short jog. Nothing is judged here:
 * the checker says what becomes of it. Null when the leg cannot be moved.
 */
export function moveLeg(h: House, run: Run, index: number, value: number): Pin | null {
  const leg = run.legs[index];
  const at = leg && legPosition(h, leg);
  if (!leg || !at) return null;
  const by = value - at.value;
  const face = h.faces[h.faceOfWall.get(leg.surface.id) ?? -1];
  const d: XYZ =
    at.measure === "u" && face
      ? minus(toSpace(face.frame, { u: by, v: 0 }), toSpace(face.frame, { u: 0, v: 0 }))
      : at.measure === "v"
        ? [0, 0, by]
        : at.measure === "x"
          ? [by, 0, 0]
          : [0, by, 0];
  const all: Stretch[] = run.legs.map((l) => ({
    surface: l.surface,
    method: l.method,
    depth: l.depth,
    protected: l.protected,
    a: l.path[0]! as XYZ,
    b: l.path[l.path.length - 1]! as XYZ,
  }));
  const way = minus(all[index]!.b, all[index]!.a);
  let first = index;
  let last = index;
  while (first > 0 && parallel(minus(all[first - 1]!.b, all[first - 1]!.a), way)) first--;
  while (last + 1 < all.length && parallel(minus(all[last + 1]!.b, all[last + 1]!.a), way)) last++;
  const out: Stretch[] = all.slice(0, first).map((s) => ({ ...s }));
  const moved = all.slice(first, last + 1).map((s) => ({ ...s, a: plus(s.a, d), b: plus(s.b, d) }));
  const after = all.slice(last + 1).map((s) => ({ ...s }));
  const before = out[out.length - 1];
  if (before && parallel(minus(before.b, before.a), d)) before.b = moved[0]!.a;
  else out.push({ ...(before ?? moved[0]!), a: all[first]!.a, b: moved[0]!.a });
  out.push(...moved);
  const next = after[0];
  const end = moved[moved.length - 1]!;
  if (next && parallel(minus(next.b, next.a), d)) next.a = end.b;
  else out.push({ ...(next ?? end), a: end.b, b: all[last]!.b });
  out.push(...after);
  const legs = out
    .filter((s) => norm(minus(s.b, s.a)) > EPS)
    .map((s): PinnedLeg => ({
      surface: s.surface,
      method: s.surface.kind === "deck" ? deckMethod(h, s) : s.method,
      path: [[...s.a], [...s.b]],
      depth: s.depth,
      protected: s.protected,
    }));
  return pinOf(
    run,
    legs.map((l) => inOrOut(h, run, l)),
  );
}

/** A leg that was in a section and is moved off it lies in or on its wall like any other; one still on it stays in. */
function inOrOut(h: House, run: Run, leg: PinnedLeg): PinnedLeg {
  if (leg.surface.kind !== "wall" || !isSectionMethod(leg.method)) return leg;
  const section = sectionOfLeg(h, leg, run.circuit);
  if (section) return { ...leg, section: section.section.id };
  const face = h.faces[h.faceOfWall.get(leg.surface.id) ?? -1];
  const surface = h.job.circuits.find((c) => c.id === run.circuit)?.walls === "surface";
  if (!face || surface) return { ...leg, method: "surface", depth: 0 };
  return { ...leg, ...hiddenIn(h, face.wall) };
}

function deckMethod(h: House, s: Stretch): PinnedLeg["method"] {
  const l = h.decks[h.deckOfId.get(s.surface.id) ?? -1];
  if (!l || !same(s.a[2], s.b[2])) return "rise";
  const ac = l.along === "x" ? 1 : 0;
  if (same(s.a[ac]!, s.b[ac]!)) return "along-joist";
  const [lo, hi] = [Math.min(s.a[ac]!, s.b[ac]!), Math.max(s.a[ac]!, s.b[ac]!)];
  return l.joists.some((j) => j.at >= lo - EPS && j.at <= hi + EPS) ? "through-joists" : "across-bay";
}
