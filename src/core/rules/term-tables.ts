/** Cable and containment factors of the term system. Source: on-site working practice to BS 7671:2018+A2:2022, conduit and trunking capacities. */
export type Construction = "solid" | "stranded";
type Factors = Readonly<Record<string, number>>;

/** Single-core 70 °C cable in straight conduit up to 3 m. */
export const shortCable: Record<Construction, Factors> = {
  solid: { "1": 22, "1.5": 27, "2.5": 39 },
  stranded: { "1.5": 31, "2.5": 43, "4": 58, "6": 88, "10": 146, "16": 202, "25": 385 },
};
export const shortConduit: Factors = {
  "16": 290,
  "20": 460,
  "25": 800,
  "32": 1400,
  "38": 1900,
  "50": 3500,
  "63": 5600,
};
/** Straight conduit up to this long, mm, goes by the short table. */
export const SHORT_MOST = 3000;

/** The same cable in longer conduit or conduit with bends or sets; solid and stranded alike. */
export const longCable: Factors = { "1": 16, "1.5": 22, "2.5": 30, "4": 43, "6": 58, "10": 105, "16": 145, "25": 217 };
/** Sizes of conduit in the rows below. */
export const longSizes = ["16", "20", "25", "32"] as const;

type Row = readonly [number, number, number, number] | null;
/** Conduit factors by length (m) and number of right-angle bends 0 to 4; null where there is none: a draw-in point is needed. A double set counts as one bend. */
export const longConduit: readonly { length: number; bends: readonly [Row, Row, Row, Row, Row] }[] = [
  { length: 1, bends: [null, [188, 303, 543, 947], [177, 286, 514, 900], [158, 256, 463, 818], [130, 213, 388, 692]] },
  {
    length: 1.5,
    bends: [null, [182, 294, 528, 923], [167, 270, 487, 857], [143, 233, 422, 750], [111, 182, 333, 600]],
  },
  { length: 2, bends: [null, [177, 286, 514, 900], [158, 256, 463, 818], [130, 213, 388, 692], [97, 159, 292, 529]] },
  { length: 2.5, bends: [null, [171, 278, 500, 878], [150, 244, 442, 783], [120, 196, 358, 643], [86, 141, 260, 474]] },
  { length: 3, bends: [null, [167, 270, 487, 857], [143, 233, 422, 750], [111, 182, 333, 600], null] },
  {
    length: 3.5,
    bends: [[179, 290, 521, 911], [162, 263, 475, 837], [136, 222, 404, 720], [103, 169, 311, 563], null],
  },
  { length: 4, bends: [[177, 286, 514, 900], [158, 256, 463, 818], [130, 213, 388, 692], [97, 159, 292, 529], null] },
  { length: 4.5, bends: [[174, 282, 507, 889], [154, 250, 452, 800], [125, 204, 373, 667], [91, 149, 275, 500], null] },
  { length: 5, bends: [[171, 278, 500, 878], [150, 244, 442, 783], [120, 196, 358, 643], [86, 141, 260, 474], null] },
  { length: 6, bends: [[167, 270, 487, 857], [143, 233, 422, 750], [111, 182, 333, 600], null, null] },
  { length: 7, bends: [[162, 263, 475, 837], [136, 222, 404, 720], [103, 169, 311, 563], null, null] },
  { length: 8, bends: [[158, 256, 463, 818], [130, 213, 388, 692], [97, 159, 292, 529], null, null] },
  { length: 9, bends: [[154, 250, 452, 800], [125, 204, 373, 667], [91, 149, 275, 500], null, null] },
  { length: 10, bends: [[150, 244, 442, 783], [120, 196, 358, 643], [86, 141, 260, 474], null, null] },
];

/** Single-core cable in trunking. */
export const trunkingCable: Record<Construction, Factors> = {
  solid: { "1.5": 8.0, "2.5": 11.9 },
  stranded: { "1.5": 8.6, "2.5": 12.6, "4": 16.6, "6": 21.2, "10": 35.3, "16": 47.8, "25": 73.9 },
};
export const trunkingFactor: Factors = {
  "50x38": 767,
  "50x50": 1037,
  "75x25": 738,
  "75x38": 1146,
  "75x50": 1555,
  "75x75": 2371,
  "100x25": 993,
  "100x38": 1542,
  "100x50": 2091,
  "100x75": 3189,
  "100x100": 4252,
};
