import { atLeast } from "../../base/tolerance";
import { type Fact, fact } from "../../rules/fact";

const RAD = Math.PI / 180;
/** Least inner radius of a conduit bend as a multiple of its outside diameter. Source: BS 7671:2018+A2:2022 522.8.3, on-site guidance. */
const CONDUIT_RADIUS = 2.5;

/** Least inner radius of a bend of a conduit of some outside diameter, mm. */
export const leastRadius = (outside: number): number => CONDUIT_RADIUS * outside;

/** Radius of the tube's middle line in the bend, mm. */
export const middleRadius = (outside: number, innerRadius: number): number => innerRadius + outside / 2;

export function radiusFacts(outside: number, innerRadius: number): Fact[] {
  const limit = leastRadius(outside);
  return atLeast(innerRadius, limit)
    ? []
    : [
        fact("bend.conduit", "input", "bend", {
          measured: innerRadius,
          limit,
          sense: "least",
          unit: "mm",
          of: { outside },
        }),
      ];
}

/**
 * Marks of a right-angle bend: `leg` is from the end of the tube to the back (outer face) of the other leg. From the end of the tube, mm.
 * A negative start means that the leg is shorter than the bend itself.
 */
export function rightAngle(
  outside: number,
  innerRadius: number,
  leg: number,
): { start: number; arc: number; end: number } {
  const R = middleRadius(outside, innerRadius);
  const start = leg - outside / 2 - R;
  const arc = (Math.PI * R) / 2;
  return { start, arc, end: start + arc };
}

/** Least offset that two such bends make without a straight between them, mm. */
export const leastOffset = (outside: number, innerRadius: number, angle: number): number =>
  2 * middleRadius(outside, innerRadius) * (1 - Math.cos(angle * RAD));

/** A set: from the middle of the first arc to the middle of the second, along the tube, and the length of each arc, mm. */
export function conduitSet(
  outside: number,
  innerRadius: number,
  offset: number,
  angle: number,
): { centreToCentre: number; arc: number; straight: number } {
  const R = middleRadius(outside, innerRadius);
  const t = angle * RAD;
  const straight = offset / Math.sin(t) - 2 * R * Math.tan(t / 2);
  return { centreToCentre: straight + R * t, arc: R * t, straight };
}
