/** Nominal voltage of a domestic supply, line to neutral, V. Source: BS 7671:2018+A2:2022 Appendix 2. */
export const NOMINAL = 230;
