import type { Earthing } from "./ratings";

/** Nominal voltage of a domestic supply, line to neutral, V. Source: BS 7671:2018+A2:2022 Appendix 2. */
export const NOMINAL = 230;

/**
 * Smallest main bonding conductor of copper, mm², for the supply of a dwelling: 10 where the earth is the supply's neutral or is not
 * known, else 6. Typical; the distributor may ask for more. Source: BS 7671:2018+A2:2022 544.1.1, Table 54.8.
 */
export const bondingLeast = (earthing: Earthing | null): number => (earthing === "TN-S" || earthing === "TT" ? 6 : 10);
