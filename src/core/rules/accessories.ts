/** Kinds of point and what follows from each: plate, box, usual height. Sizes are typical; a maker's sheet goes before them. */
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
] as const;
export type PointKind = (typeof pointKinds)[number];

export interface Accessory {
  name: string;
  /** Letter the label starts with. */
  letter: string;
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

export const accessories: Record<PointKind, Accessory> = {
  socket: {
    name: "Socket outlet",
    letter: "S",
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
    plate: boardSize,
    box: boardSize,
    height: 1400,
    newHeight: 1400,
    on: "wall",
    gangs: [1, 2],
  },
};

/** Middle of a socket by kind of room where it differs from the usual height, mm: over a worktop or a bench. Typical practice. */
export const socketHeights: Readonly<Partial<Record<string, number>>> = {
  kitchen: 1056,
  utility: 1056,
  workshop: 1080,
  yard: 450,
};

/** Plate size of a point, mm. */
export const plateOf = (p: { kind: PointKind; gang: 1 | 2 }): { width: number; height: number } =>
  accessories[p.kind].plate[p.gang];
/** Inside size of its box, mm. */
export const boxOf = (p: { kind: PointKind; gang: 1 | 2 }): { width: number; height: number } =>
  accessories[p.kind].box[p.gang];
