import { atLeast, atMost } from "../../base/tolerance";
import { type Fact, fact } from "../../rules/fact";
import { timberRules } from "../../rules/timber";

/**
 * A hole through a stud or plate of a loadless partition, mm: at most a quarter of the depth, at mid-depth; a cable nearer than 50
 * to a face needs a zone or a plate. Source: Approved Document A, BS 7671:2018+A2:2022 522.6.202.
 */
export function checkStud(
  depth: number,
  diameter: number,
  fromFace: number,
  inZone: boolean,
): { maxDiameter: number; centre: number; cover: number; facts: Fact[] } {
  const maxDiameter = timberRules.hole.size * depth;
  const off = Math.abs(fromFace - depth / 2);
  const cover = Math.min(fromFace, depth - fromFace) - diameter / 2;
  const facts: Fact[] = [];
  if (!atMost(diameter, maxDiameter))
    facts.push(
      fact("timber.stud", "input", "hole", {
        case: "size",
        measured: diameter,
        limit: maxDiameter,
        sense: "most",
        unit: "mm",
        of: { depth },
      }),
    );
  if (!atMost(off, timberRules.axisTolerance))
    facts.push(
      fact("timber.stud", "input", "hole", {
        case: "axis",
        measured: off,
        limit: timberRules.axisTolerance,
        sense: "most",
        unit: "mm",
        of: { centre: depth / 2 },
      }),
    );
  if (!inZone && !atLeast(cover, timberRules.cableEdge))
    facts.push(
      fact("timber.stud", "input", "hole", {
        case: "edge",
        severity: "warn",
        measured: cover,
        limit: timberRules.cableEdge,
        sense: "least",
        unit: "mm",
      }),
    );
  return { maxDiameter, centre: depth / 2, cover, facts };
}
