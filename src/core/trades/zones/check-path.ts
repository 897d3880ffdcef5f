import { overlap, type UV } from "../../base/rect";
import { followsBand, unionMargin } from "../../base/rect-union";
import { EPS, atLeast, same } from "../../base/tolerance";
import { type Fact, type SubjectKind, fact } from "../../rules/fact";
import { DEEP, type WallFaceShape, type Zone, openingsCrossed } from "../../house/wall-zones";
import { zoneUnion } from "../../house/zone-union";

export interface CheckedLeg {
  index: number;
  inside: boolean;
  /** The zones that hold part of the leg. */
  zones: Zone[];
  /** Room to spare to the edge of the zones together, mm; negative: how far it strays. */
  margin: number;
}

/** How a path is hidden. `protected`: earthed metal, armour, or mechanical protection against nails and screws. */
export interface Hidden {
  depth: number;
  protected: boolean;
}

/** True at 50 mm or more from both surfaces of the wall. */
export const isDeep = (depth: number, thickness: number): boolean =>
  atLeast(depth, DEEP) && atLeast(thickness - depth, DEEP);

/**
 * Judges a path on one wall face leg by leg against the zones of that face.
 * @param path places on the face, mm, in order; a leg is a stretch between two of them
 * @returns legs with their margin, and findings `zone.outside`, `zone.diagonal`, `zone.deep`, `route.opening`
 */
export function checkPath(
  wall: WallFaceShape,
  zones: readonly Zone[],
  path: readonly UV[],
  hidden: Hidden,
  subject = "path",
  kind: SubjectKind = "input",
): { legs: CheckedLeg[]; facts: Fact[] } {
  const u = zoneUnion(zones);
  const frame = { u0: 0, v0: 0, u1: wall.length, v1: wall.height };
  const widest = Math.max(wall.length, wall.height);
  const legs: CheckedLeg[] = [];
  const facts: Fact[] = [];
  const several = path.length > 2 ? 1 : 0;
  const deep = isDeep(hidden.depth, wall.thickness);
  for (let i = 0; i + 1 < path.length; i++) {
    const a = path[i]!;
    const b = path[i + 1]!;
    const raw = unionMargin(u, frame, a, b);
    const margin = Math.max(-widest, Math.min(widest, raw));
    const inside = margin >= -EPS;
    const span = {
      u0: Math.min(a.u, b.u) - 2 * EPS,
      u1: Math.max(a.u, b.u) + 2 * EPS,
      v0: Math.min(a.v, b.v) - 2 * EPS,
      v1: Math.max(a.v, b.v) + 2 * EPS,
    };
    const touches = (z: Zone): boolean =>
      overlap(z, span) !== null || (z.u0 <= span.u1 && z.u1 >= span.u0 && z.v0 <= span.v1 && z.v1 >= span.v0);
    legs.push({ index: i, inside, zones: zones.filter(touches), margin });
    for (const o of openingsCrossed(wall.openings, a, b))
      facts.push(fact("route.opening", kind, subject, { where: { leg: i }, of: { opening: o + 1, several } }));
    if (hidden.protected) continue;
    if (!same(a.u, b.u) && !same(a.v, b.v) && !deep && !followsBand(u.bands, a, b))
      facts.push(
        fact("zone.diagonal", kind, subject, {
          where: { leg: i },
          of: { across: Math.abs(b.u - a.u), up: Math.abs(b.v - a.v), several },
        }),
      );
    if (inside) continue;
    if (deep)
      facts.push(
        fact("zone.deep", kind, subject, {
          where: { leg: i },
          measured: Math.min(hidden.depth, wall.thickness - hidden.depth),
          limit: DEEP,
          sense: "least",
          unit: "mm",
          of: { depth: hidden.depth, several },
        }),
      );
    else
      facts.push(
        fact("zone.outside", kind, subject, {
          where: { leg: i },
          measured: margin,
          limit: 0,
          sense: "least",
          unit: "mm",
          of: { depth: hidden.depth, several },
        }),
      );
  }
  return { legs, facts };
}
