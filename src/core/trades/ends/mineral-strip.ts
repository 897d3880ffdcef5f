/** Usual tails of a mineral-insulated end, mm. Source: trade habit. */
export const MI_TAILS = 60;
/** Sheath that goes into a box past its face, mm. Typical of a gland. */
export const MI_ENTRY = 4;
/** Body of the usual stripper, mm. Typical; the tool in the hand goes before it. */
export const STRIPPER_BODY = 45;

/**
 * Marks for the second end of a mineral-insulated cable, all from the face of the box already made off, mm: where the sheath
 * ends, where to cut, and where the plastic cover stops so that the stripper runs into it and stops itself at the sheath mark.
 */
export function mineralStrip(
  faceToFace: number,
  entry: number,
  tails: number,
  stripperBody: number,
): { sheathEnd: number; cut: number; coverMark: number } {
  const sheathEnd = faceToFace + entry;
  return { sheathEnd, cut: sheathEnd + tails, coverMark: sheathEnd - stripperBody };
}
