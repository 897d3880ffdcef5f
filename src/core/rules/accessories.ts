/** Kinds of point and what follows from each: plate, box, usual height and load. Sizes are typical; a maker's sheet goes before them. */
export const pointKinds = [
  "socket",
  "switch",
  "fused-unit",
  "cooker-control",
  "appliance-outlet",
  "isolator",
  "light",
  "wall-light",
  "junction-box",
  "board",
  "downlights",
  "pull-cord",
  "shower-pull-cord",
  "sensor",
  "fan",
  "shaver",
  "smoke-alarm",
  "heat-alarm",
  "co-alarm",
  "outdoor-socket",
  "charging-point",
  "heater",
  "immersion",
  "boiler",
  "hob",
  "oven",
  "extractor",
  "data",
  "television",
  "telephone",
  "doorbell",
  "cabinet",
] as const;
export type PointKind = (typeof pointKinds)[number];

/** What a point is for: it is treated alike with others of the same use. */
export type Use = "outlet" | "light" | "switch" | "control" | "appliance" | "alarm" | "signal" | "joint" | "board";

export interface Accessory {
  name: string;
  /** Letter the label starts with. */
  letter: string;
  use: Use;
  /** Plate by gang, mm: what is seen on the wall, and what makes the zone. */
  plate: Record<1 | 2, { width: number; height: number }>;
  /** Box by gang, mm, inside: what the conductors are cut to. */
  box: Record<1 | 2, { width: number; height: number }>;
  /** Usual height of the centre above the floor, mm; null for ceiling points. */
  height: number | null;
  /** Centre height in a new dwelling, mm. */
  newHeight: number | null;
  on: "wall" | "deck" | "either";
  gangs: readonly (1 | 2)[];
  /** Usual load of one, W; 0 where it draws none of its own, null where its circuit's device is what it may draw. Typical. */
  watts: number | null;
  /** A circuit of its own: must be, or is usual. */
  own?: "stop" | "warn";
  /** What it asks for, in words for the form; empty when nothing beyond its kind. */
  needs?: string;
}

const one = { width: 86, height: 86 };
const two = { width: 146, height: 86 };
const box1 = { width: 70, height: 70 };
const box2 = { width: 130, height: 70 };
const plates = { 1: one, 2: two } as const;
const boxes = { 1: box1, 2: box2 } as const;
const round = { 1: { width: 100, height: 100 }, 2: { width: 100, height: 100 } } as const;
const roundBox = { 1: { width: 80, height: 80 }, 2: { width: 80, height: 80 } } as const;
const boardSize = { 1: { width: 360, height: 240 }, 2: { width: 480, height: 240 } } as const;

const ALARM = "Interlinked with the others; 300 mm or more from walls and lights.";
const APART = "Its cable keeps 50 mm from mains cables, or is divided from them.";

const ceilingPoint = (name: string, letter: string, use: Use, watts: number): Accessory => ({
  ...{ name, letter, use, watts, plate: round, box: roundBox, height: null, newHeight: null, on: "deck", gangs: [1] },
});
const wallPoint = (
  name: string,
  letter: string,
  use: Use,
  watts: number | null,
  height: number,
  newHeight = height,
): Accessory => ({
  ...{ name, letter, use, watts, height, newHeight, plate: { 1: one, 2: one }, box: { 1: box1, 2: box1 } },
  on: "wall",
  gangs: [1],
});

export const accessories: Record<PointKind, Accessory> = {
  socket: {
    name: "Socket outlet",
    letter: "S",
    use: "outlet",
    watts: null,
    plate: plates,
    box: boxes,
    height: 300,
    newHeight: 450,
    on: "wall",
    gangs: [1, 2],
  },
  switch: {
    name: "Light switch",
    letter: "W",
    use: "switch",
    watts: 0,
    plate: plates,
    box: boxes,
    height: 1200,
    newHeight: 1100,
    on: "wall",
    gangs: [1, 2],
  },
  "fused-unit": {
    name: "Fused connection unit",
    letter: "F",
    use: "control",
    watts: 0,
    plate: { 1: one, 2: one },
    box: { 1: box1, 2: box1 },
    height: 1150,
    newHeight: 1150,
    on: "wall",
    gangs: [1],
  },
  "cooker-control": {
    name: "Cooker control",
    letter: "C",
    use: "control",
    watts: 0,
    plate: { 1: one, 2: two },
    box: boxes,
    height: 1150,
    newHeight: 1150,
    on: "wall",
    gangs: [1, 2],
  },
  "appliance-outlet": {
    name: "Appliance outlet",
    letter: "A",
    use: "outlet",
    watts: null,
    plate: plates,
    box: boxes,
    height: 450,
    newHeight: 450,
    on: "wall",
    gangs: [1, 2],
  },
  isolator: {
    name: "Isolating switch",
    letter: "K",
    use: "control",
    watts: 0,
    plate: { 1: one, 2: two },
    box: boxes,
    height: 1150,
    newHeight: 1150,
    on: "wall",
    gangs: [1, 2],
  },
  light: {
    name: "Ceiling light",
    letter: "L",
    use: "light",
    watts: 100,
    plate: round,
    box: roundBox,
    height: null,
    newHeight: null,
    on: "deck",
    gangs: [1],
  },
  "wall-light": {
    name: "Wall light",
    letter: "B",
    use: "light",
    watts: 100,
    plate: { 1: one, 2: one },
    box: { 1: box1, 2: box1 },
    height: 1800,
    newHeight: 1800,
    on: "wall",
    gangs: [1],
  },
  "junction-box": {
    name: "Joint box",
    letter: "J",
    use: "joint",
    watts: 0,
    plate: round,
    box: roundBox,
    height: 1800,
    newHeight: 1800,
    on: "either",
    gangs: [1],
  },
  board: {
    name: "Board",
    letter: "DB",
    use: "board",
    watts: 0,
    plate: boardSize,
    box: boardSize,
    height: 1400,
    newHeight: 1400,
    on: "wall",
    gangs: [1, 2],
  },
  downlights: {
    ...ceilingPoint("Downlight group", "DL", "light", 50),
    needs: "Keep the gap to insulation that the maker asks for; the load is that of the whole group.",
  },
  "pull-cord": ceilingPoint("Pull-cord switch", "WP", "switch", 0),
  "shower-pull-cord": {
    ...ceilingPoint("Shower pull-cord switch", "PS", "control", 9000),
    own: "stop",
    needs: "A circuit of its own for the shower, 30 mA; 45 or 50 A double pole.",
  },
  sensor: { ...ceilingPoint("Sensor switch", "SE", "switch", 0), needs: "Most need a neutral: see the school for it." },
  fan: {
    ...ceilingPoint("Fan", "FN", "appliance", 20),
    on: "either",
    height: 2100,
    newHeight: 2100,
    needs: "An isolator outside the room that cuts all poles; a 3 A fuse where its maker asks for one.",
  },
  shaver: {
    ...wallPoint("Shaver socket", "SV", "appliance", 20, 1500),
    needs: "In a bathroom only with its isolating transformer, to BS EN 61558-2-5.",
  },
  "smoke-alarm": { ...ceilingPoint("Smoke alarm", "SA", "alarm", 5), needs: ALARM },
  "heat-alarm": { ...ceilingPoint("Heat alarm", "HA", "alarm", 5), needs: ALARM },
  "co-alarm": {
    ...ceilingPoint("Carbon monoxide alarm", "CO", "alarm", 5),
    on: "either",
    height: 1800,
    newHeight: 1800,
    needs: "1 to 3 m from the appliance that burns fuel, as its maker says.",
  },
  "outdoor-socket": {
    ...wallPoint("Outdoor socket", "OS", "outlet", null, 600),
    gangs: [1, 2],
    plate: plates,
    box: boxes,
    needs: "30 mA and a rating against water, IP66 with the lid shut.",
  },
  "charging-point": {
    ...wallPoint("Vehicle charging point", "VP", "appliance", 7360, 1100),
    own: "stop",
    needs:
      "A circuit of its own; an RCD of type B, or A with 6 mA d.c. detection; a broken supply neutral guarded against (TN-C-S).",
  },
  heater: wallPoint("Heater", "H", "appliance", 2000, 300),
  immersion: { ...wallPoint("Immersion heater", "IM", "appliance", 3000, 1200), own: "warn" },
  boiler: {
    ...wallPoint("Boiler", "BO", "appliance", 150, 1400),
    needs: "A fused unit of 3 A for it and all its controls.",
  },
  hob: { ...wallPoint("Hob", "HB", "appliance", 7000, 450), needs: "A cooker control above the worktop." },
  oven: { ...wallPoint("Oven", "OV", "appliance", 3000, 450), needs: "A switch above the worktop." },
  extractor: { ...wallPoint("Extractor", "X", "appliance", 150, 2000), needs: "A fused unit of 3 A within reach." },
  data: { ...wallPoint("Data outlet", "D", "signal", 0, 300, 450), needs: APART },
  television: { ...wallPoint("Television outlet", "TV", "signal", 0, 300, 450), needs: APART },
  telephone: { ...wallPoint("Telephone outlet", "T", "signal", 0, 300, 450), needs: APART },
  /** Where the cables of data, television and telephone come together. */
  cabinet: {
    name: "Cabinet for data",
    letter: "CB",
    use: "signal",
    watts: 0,
    plate: { 1: { width: 300, height: 300 }, 2: { width: 300, height: 300 } },
    box: { 1: { width: 280, height: 280 }, 2: { width: 280, height: 280 } },
    height: 1200,
    newHeight: 1200,
    on: "wall",
    gangs: [1],
    needs: "A socket near it, on a circuit of the board; its cables keep 50 mm from mains cables.",
  },
  doorbell: { ...wallPoint("Doorbell push", "BL", "signal", 0, 1050, 1050), needs: APART },
};

/** Middle of a socket by kind of room where it differs from the usual height, mm: over a worktop or a bench. Typical practice. */
export const socketHeights: Readonly<Partial<Record<string, number>>> = {
  kitchen: 1056,
  utility: 1056,
  workshop: 1080,
  yard: 450,
};

/** Kinds that give light. */
export const isLight = (kind: PointKind): boolean => accessories[kind].use === "light";
/** Kinds that work lights. */
export const isSwitch = (kind: PointKind): boolean => accessories[kind].use === "switch";
/** Kinds into which anything may be plugged. */
export const isSocket = (kind: PointKind): boolean => kind === "socket" || kind === "outdoor-socket";
/** Kinds whose cable carries no mains. */
export const isSignal = (kind: PointKind): boolean => accessories[kind].use === "signal";
/** Kinds that are wired on a circuit of the mains: all but boards and what carries no mains. */
export const isOnMains = (kind: PointKind): boolean => kind !== "board" && !isSignal(kind);
/** Kinds that a circuit may lead to: all but what circuits start at, a board or a cabinet. */
export const isOnCircuit = (kind: PointKind): boolean => kind !== "board" && kind !== "cabinet";

/** Plate size of a point, mm. */
export const plateOf = (p: { kind: PointKind; gang: 1 | 2 }): { width: number; height: number } =>
  accessories[p.kind].plate[p.gang];
/** Inside size of its box, mm. */
export const boxOf = (p: { kind: PointKind; gang: 1 | 2 }): { width: number; height: number } =>
  accessories[p.kind].box[p.gang];
