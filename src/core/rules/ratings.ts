/**
 * Current ratings and the factors that take from them. A; mV per A per m. Source: BS 7671:2018+A2:2022 Appendix 4,
 * working values.
 */
export const flatMethods = ["100", "101", "102", "103", "C", "A", "B", "E"] as const;
export const armourMethods = ["C", "E", "D"] as const;
export type Method = (typeof flatMethods)[number] | (typeof armourMethods)[number];

/** What each installation method means. */
export const methodNames: Record<Method, string> = {
  "100": "on a plasterboard ceiling or joist, insulation up to 100 mm over",
  "101": "on a plasterboard ceiling or joist, insulation over 100 mm",
  "102": "stud wall with insulation, cable touching the inner board",
  "103": "stud wall with insulation, cable not touching the board",
  C: "clipped direct, or in masonry or plaster",
  A: "in conduit or trunking in an insulated wall",
  B: "in conduit or trunking on a wall",
  E: "in free air, or on a tray or ladder",
  D: "in the ground, direct or in a duct",
};

/** Flat twin-and-earth, 70 °C: amperes by method, in the order of `flatMethods`, and volt drop. */
export const flatRatings: Readonly<Record<string, { amps: readonly number[]; drop: number }>> = {
  "1": { amps: [13, 10.5, 13, 8, 16, 11.5, 13, 17], drop: 44 },
  "1.5": { amps: [16, 13, 16, 10, 20, 14.5, 16.5, 22], drop: 29 },
  "2.5": { amps: [21, 17, 21, 13.5, 27, 20, 23, 30], drop: 18 },
  "4": { amps: [27, 22, 27, 17.5, 37, 26, 30, 40], drop: 11 },
  "6": { amps: [34, 27, 35, 23.5, 47, 32, 38, 51], drop: 7.3 },
  "10": { amps: [45, 36, 47, 32, 64, 44, 52, 70], drop: 4.4 },
  "16": { amps: [57, 46, 63, 42.5, 85, 57, 69, 94], drop: 2.8 },
};

/** Armoured copper, one-phase loaded pair: amperes by method C, E, D and volt drop, by the temperature the accessories stand. */
export const armourRatings: Readonly<
  Record<70 | 90, Readonly<Record<string, { amps: readonly number[]; drop: number }>>>
> = {
  90: {
    "1.5": { amps: [27, 29, 25], drop: 31 },
    "2.5": { amps: [36, 39, 33], drop: 19 },
    "4": { amps: [49, 52, 43], drop: 12 },
    "6": { amps: [62, 66, 53], drop: 7.9 },
    "10": { amps: [85, 90, 71], drop: 4.7 },
    "16": { amps: [110, 115, 91], drop: 2.9 },
  },
  70: {
    "1.5": { amps: [21, 22, 22], drop: 29 },
    "2.5": { amps: [28, 31, 29], drop: 18 },
    "4": { amps: [38, 41, 37], drop: 11 },
    "6": { amps: [49, 53, 46], drop: 7.3 },
    "10": { amps: [67, 72, 60], drop: 4.4 },
    "16": { amps: [89, 97, 78], drop: 2.8 },
  },
};

/**
 * Mineral-insulated copper, two cores loaded, exposed to touch, by duty: amperes and volt drop. Typical; source: BS
 * 7671:2018+A2:2022 Table 4G.
 */
export const mineralRatings: Readonly<
  Record<"L" | "H", Readonly<Record<string, { amps: readonly number[]; drop: number }>>>
> = {
  L: {
    "1": { amps: [18.5, 18.5], drop: 42 },
    "1.5": { amps: [23, 23], drop: 28 },
    "2.5": { amps: [31, 31], drop: 17 },
    "4": { amps: [40, 40], drop: 10 },
  },
  H: {
    "1.5": { amps: [25, 25], drop: 28 },
    "2.5": { amps: [34, 34], drop: 17 },
    "4": { amps: [45, 45], drop: 10 },
    "6": { amps: [57, 57], drop: 7 },
    "10": { amps: [77, 77], drop: 4.2 },
  },
};
/** Methods that mineral-insulated cable is rated by: clipped or in free air, the same figure for both. */
export const mineralMethods = ["C", "E"] as const;
/** Resistance of its copper sheath, mΩ per m for 1 mm² at 20 °C. */
export const SHEATH_RESISTANCE = 18.1;

/** Section of the armour as protective conductor, mm², for 2, 3 and 4 cores. Typical. */
export const armourSection: Readonly<Record<string, readonly [number, number, number]>> = {
  "1.5": [15, 16, 17],
  "2.5": [17, 19, 20],
  "4": [19, 21, 23],
  "6": [22, 23, 36],
  "10": [26, 39, 43],
  "16": [42, 45, 49],
};
/** Resistance of steel-wire armour, mΩ per m for 1 mm² at 20 °C. Typical. */
export const ARMOUR_RESISTANCE = 155;

export const groupings = ["bunched", "wall", "tray", "ground"] as const;
/**
 * Grouping factor by number of circuits: bunched or enclosed; single layer on wall or floor; single layer on
 * perforated tray; touching in the ground (typical).
 */
export const groupingFactors: Record<
  (typeof groupings)[number],
  readonly (readonly [circuits: number, factor: number])[]
> = {
  bunched: [
    [1, 1],
    [2, 0.8],
    [3, 0.7],
    [4, 0.65],
    [5, 0.6],
    [6, 0.57],
    [7, 0.54],
    [8, 0.52],
    [9, 0.5],
    [12, 0.45],
    [16, 0.41],
    [20, 0.38],
  ],
  wall: [
    [1, 1],
    [2, 0.85],
    [3, 0.79],
    [4, 0.75],
    [5, 0.73],
    [6, 0.72],
    [7, 0.72],
    [8, 0.71],
    [9, 0.7],
  ],
  tray: [
    [1, 1],
    [2, 0.88],
    [3, 0.82],
    [4, 0.77],
    [5, 0.75],
    [6, 0.73],
    [7, 0.73],
    [8, 0.72],
    [9, 0.72],
  ],
  ground: [
    [1, 1],
    [2, 0.75],
    [3, 0.65],
    [4, 0.6],
    [5, 0.55],
    [6, 0.5],
  ],
};

/** Ambient temperature factor by °C for 70 and 90 °C insulation. */
export const ambientFactors: Record<70 | 90, readonly (readonly [degrees: number, factor: number])[]> = {
  70: [
    [25, 1.03],
    [30, 1],
    [35, 0.94],
    [40, 0.87],
    [45, 0.79],
    [50, 0.71],
    [55, 0.61],
    [60, 0.5],
  ],
  90: [
    [25, 1.02],
    [30, 1],
    [35, 0.96],
    [40, 0.91],
    [45, 0.87],
    [50, 0.82],
    [55, 0.76],
    [60, 0.71],
  ],
};

/** The same for cable in the ground, by °C of the soil: its table starts from 20. Source: BS 7671:2018+A2:2022 Table 4B2. */
export const groundFactors: Record<70 | 90, readonly (readonly [degrees: number, factor: number])[]> = {
  70: [
    [20, 1],
    [25, 0.95],
    [30, 0.89],
    [35, 0.84],
    [40, 0.77],
    [45, 0.71],
    [50, 0.63],
    [55, 0.55],
    [60, 0.45],
  ],
  90: [
    [20, 1],
    [25, 0.96],
    [30, 0.93],
    [35, 0.89],
    [40, 0.85],
    [45, 0.8],
    [50, 0.76],
    [55, 0.71],
    [60, 0.65],
  ],
};
/** Temperature of the air, and of the soil, where nobody says another, °C. */
export const USUAL_AIR = 30;
export const USUAL_SOIL = 20;

/** Factor for passing through insulation, by length in mm; base method C, never with methods 100 to 103. */
export const insulationFactors: readonly (readonly [length: number, factor: number])[] = [
  [0, 1],
  [50, 0.88],
  [100, 0.78],
  [200, 0.63],
  [400, 0.51],
  [500, 0.5],
];

/** What every leg of a ring on a 30 or 32 A device carries at least, A. Source: BS 7671:2018+A2:2022 433.1.204. */
export const RING_LEG = 20;

/** Times its rating at which a device opens at once. Source: BS EN 60898. */
const OPENS_AT = { B: 5, C: 10 } as const;
/** Nominal voltage with the least that the supply may sink to, Cmin 0.95, V. */
const LEAST_VOLTAGE = 218.5;
/** Ratings of circuit-breakers that are printed, A. Any other is worked out alike. */
export const printedDevices = [3, 6, 10, 16, 20, 25, 32, 40, 45, 50, 63] as const;

/**
 * Largest loop impedance for 0.4 s, Ω to two places, for a circuit-breaker of any rating, A. Source: BS
 * 7671:2018+A2:2022 Table 41.3.
 */
export const loopLimit = (curve: "B" | "C", rating: number): number =>
  Math.round((100 * LEAST_VOLTAGE) / (OPENS_AT[curve] * rating)) / 100;

/**
 * Largest loop impedance behind a fuse to BS 1362, Ω; of 5 A, which no table prints, that of 13 A.
 * Source: BS 7671:2018+A2:2022 Table 41.2.
 */
export const fuseLoopLimit = (rating: number): number => (rating <= 3 ? 15.6 : 2.3);

/**
 * Largest loop impedance where an RCD serves for fault protection, Ω: 50 V over its trip current, mA.
 * Source: BS 7671:2018+A2:2022 Table 41.5.
 */
export const rcdLoopLimit = (trip: number): number => Math.round(50_000 / trip);

export const earthings = ["TN-C-S", "TN-S", "TT"] as const;
export type Earthing = (typeof earthings)[number];
/** Largest external loop impedance to reckon with where it was not measured, Ω; of TT the electrode at its most. Typical. */
export const typicalZe: Readonly<Record<Earthing, number>> = { "TN-C-S": 0.35, "TN-S": 0.8, TT: 200 };
/** An electrode of more than this may not stay so, Ω. Source: BS 7671:2018+A2:2022 Table 41.5, note. */
export const ELECTRODE_MOST = 200;

/**
 * Circuits count as side by side where they lie so for this long, mm: over less a cable loses its warmth to what lies alone. A working
 * value of ours; no table gives one.
 */
export const BESIDE_FROM = 1000;

/** Factor for n circuits together: between rows the next larger number counts, beyond the last row its value. */
export function groupingFactor(circuits: number, how: (typeof groupings)[number] = "bunched"): number {
  const rows = groupingFactors[how];
  return (rows.find(([n]) => circuits <= n) ?? rows[rows.length - 1]!)[1];
}

/** Factor for the ambient temperature: between rows the next hotter counts; 25 °C and cooler alike. */
export function ambientFactor(degrees: number, insulation: 70 | 90): number | null {
  return ambientFactors[insulation].find(([t]) => degrees <= t)?.[1] ?? null;
}

/** Factor for the warmth round a leg: of the air, or of the soil for method D; 20 °C of soil and cooler alike. */
export function warmthFactor(method: Method, degrees: number, insulation: 70 | 90): number | null {
  if (method !== "D") return ambientFactor(degrees, insulation);
  return groundFactors[insulation].find(([t]) => degrees <= t)?.[1] ?? null;
}

/** Factor for a length through insulation, mm: straight between the rows, 0.5 from 500 mm on. */
export function insulationFactor(length: number): number {
  const rows = insulationFactors;
  const i = rows.findIndex(([l]) => length <= l);
  if (i < 0) return 0.5;
  if (i === 0) return 1;
  const [l0, f0] = rows[i - 1]!;
  const [l1, f1] = rows[i]!;
  return f0 + ((f1 - f0) * (length - l0)) / (l1 - l0);
}
