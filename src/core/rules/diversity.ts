/**
 * What of a load counts for the whole of a dwelling: `each` of the first so many circuits of a kind, `rest` of the others; largest
 * first. Typical; what is known of the house goes before it. Source: on-site working practice to BS 7671:2018+A2:2022 311.1.
 */
export const DIVERSITY = {
  lighting: { first: Infinity, each: 0.66, rest: 0.66 },
  sockets: { first: 1, each: 1, rest: 0.4 },
  shower: { first: 2, each: 1, rest: 0.25 },
} as const;
