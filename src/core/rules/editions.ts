/** Editions of the publications that rules and tables take their working values from. */
const editions: readonly (readonly [designation: RegExp, edition: string])[] = [
  [/BS 7671/, "2018 with amendment 2 of 2022"],
  [/Approved Document A/, "2004 with amendments to 2013"],
  [/Approved Document M/, "2015 with amendments of 2016"],
  [/Approved Document P/, "2013"],
  [/BS EN 62444/, "2013"],
  [/BS EN 61386/, "2008"],
  [/BS EN 50085/, "2005"],
  [/BS EN 60702/, "2002"],
  [/BS 5467/, "2016"],
  [/BS 6004/, "2012"],
  [/BS 4662/, "2006"],
];

/** Edition of a source in words; custom and the maker's sheet have none. */
export const editionOf = (source: string): string =>
  editions.flatMap(([d, e]) => (d.test(source) ? [e] : [])).join("; ") ||
  "no edition: custom, a maker's sheet, or our own geometry";
