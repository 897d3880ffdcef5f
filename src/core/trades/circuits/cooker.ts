/** Diversity of a household cooker. Source: on-site working practice to BS 7671:2018+A2:2022, allowances for diversity. */
export const cookerDiversity = { first: 10, rest: 0.3, outlet: 5 } as const;

/** Whether the whole of a cooker counts, or what is left after diversity. */
export type CookerSchool = "full" | "diversity";

/**
 * Current of a cooker, A: all of it, and what the school designs for. With diversity the first 10 A count in full, 30 % of the
 * rest, and 5 A for an outlet in the control; a cooker under 10 A counts in full. An
 * outlet counts in full as well, so that this is never the less of the two.
 */
export function cookerDemand(
  watts: number,
  voltage: number,
  outlet: boolean,
  school: CookerSchool,
): { full: number; design: number } {
  const full = watts / voltage;
  const { first, rest, outlet: forOutlet } = cookerDiversity;
  if (school === "full") return { full, design: full + (outlet ? forOutlet : 0) };
  return { full, design: Math.min(full, first) + rest * Math.max(0, full - first) + (outlet ? forOutlet : 0) };
}
