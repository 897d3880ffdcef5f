import { atLeast, atMost } from "../geometry/tolerance";
import { type Finding, finding, mm } from "../rules/findings";
import { timberRules } from "./joist";

/**
 * A hole through a stud or plate of a loadless partition, mm: at most a quarter of the depth, at mid-depth; a cable nearer than 50
 * to a face needs a zone or a plate. Source: Approved Document A, BS 7671:2018+A2:2022 522.6.202.
 */
export function checkStud(
  depth: number,
  diameter: number,
  fromFace: number,
  inZone: boolean,
): { maxDiameter: number; centre: number; cover: number; findings: Finding[] } {
  const maxDiameter = timberRules.hole.size * depth;
  const off = Math.abs(fromFace - depth / 2);
  const cover = Math.min(fromFace, depth - fromFace) - diameter / 2;
  const findings: Finding[] = [];
  if (!atMost(diameter, maxDiameter))
    findings.push(
      finding("timber.stud", {
        subject: "hole",
        message: `Ø ${mm(diameter)} in a stud ${mm(depth)} deep; at most ${mm(maxDiameter)}.`,
        measured: diameter,
        limit: maxDiameter,
        sense: "most",
        unit: "mm",
        remedy: "Use a smaller bit.",
      }),
    );
  if (!atMost(off, timberRules.axisTolerance))
    findings.push(
      finding("timber.stud", {
        subject: "hole",
        message: `The centre is ${mm(off)} off mid-depth; at most ${timberRules.axisTolerance}.`,
        measured: off,
        limit: timberRules.axisTolerance,
        sense: "most",
        unit: "mm",
        remedy: `Bore ${mm(depth / 2)} from the face.`,
      }),
    );
  if (!inZone && !atLeast(cover, timberRules.cableEdge))
    findings.push(
      finding("timber.stud", {
        severity: "warn",
        subject: "hole",
        message: `${mm(cover)} to the nearest face, outside every zone.`,
        measured: cover,
        limit: timberRules.cableEdge,
        sense: "least",
        unit: "mm",
        remedy: "Fit a steel plate, or keep the cable in a zone.",
      }),
    );
  return { maxDiameter, centre: depth / 2, cover, findings };
}
