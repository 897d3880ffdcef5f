import { overlap, type UV } from "../geometry/rect";
import { followsBand, unionMargin } from "../geometry/rect-union";
import { EPS, atLeast, same } from "../geometry/tolerance";
import { type Finding, finding, mm } from "../rules/findings";
import { DEEP, type WallFaceShape, type Zone, openingsCrossed } from "./wall-zones";
import { zoneUnion } from "./zone-union";

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
): { legs: CheckedLeg[]; findings: Finding[] } {
  const u = zoneUnion(zones);
  const frame = { u0: 0, v0: 0, u1: wall.length, v1: wall.height };
  const widest = Math.max(wall.length, wall.height);
  const legs: CheckedLeg[] = [];
  const findings: Finding[] = [];
  const deep = isDeep(hidden.depth, wall.thickness);
  for (let i = 0; i + 1 < path.length; i++) {
    const a = path[i]!;
    const b = path[i + 1]!;
    const name = path.length > 2 ? `leg ${i + 1}` : "the leg";
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
      findings.push(finding("route.opening", { subject, message: `${cap(name)} runs through opening ${o + 1}.` }));
    if (hidden.protected) continue;
    if (!same(a.u, b.u) && !same(a.v, b.v) && !deep && !followsBand(u.bands, a, b))
      findings.push(
        finding("zone.diagonal", {
          subject,
          message: `${cap(name)} is on a slope: ${mm(Math.abs(b.u - a.u))} across and ${mm(Math.abs(b.v - a.v))} up or down.`,
          remedy: "Run it level, then plumb.",
        }),
      );
    if (inside) continue;
    if (deep)
      findings.push(
        finding("zone.deep", {
          subject,
          message: `${cap(name)} is ${mm(hidden.depth)} deep, at least ${DEEP} from both surfaces; it needs no zone.`,
          measured: Math.min(hidden.depth, wall.thickness - hidden.depth),
          limit: DEEP,
          sense: "least",
          unit: "mm",
        }),
      );
    else
      findings.push(
        finding("zone.outside", {
          subject,
          message: `${cap(name)} strays ${mm(-margin)} outside every zone at ${mm(hidden.depth)} deep, unprotected.`,
          measured: margin,
          limit: 0,
          sense: "least",
          unit: "mm",
          remedy: "Move the leg into a strip or band, or protect it with earthed metal.",
        }),
      );
  }
  return { legs, findings };
}

const cap = (s: string): string => s[0]!.toUpperCase() + s.slice(1);
