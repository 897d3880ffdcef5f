// Outside Tern Cottage: the ground of its yard and garden, the trench to the kiln shed, lights along the garden path.

const box = (x0: number, y0: number, x1: number, y1: number) => [
  { x: x0, y: y0 },
  { x: x0, y: y1 },
  { x: x1, y: y1 },
  { x: x1, y: y0 },
];

export const grounds = [
  { id: "flags", room: "yard", kind: "paving", name: "Flags", outline: box(0, 8450, 5500, 11275), level: 0 },
  { id: "cart", room: "yard", kind: "drive", name: "Cart way", outline: box(0, 9500, 5500, 10700), level: -40 },
  { id: "grass", room: "garden", kind: "lawn", name: "Grass", outline: box(-6000, 8450, 0, 11275), level: -60 },
  { id: "walk", room: "garden", kind: "path", name: "Garden path", outline: box(-6000, 9500, 0, 10300), level: -60 },
  { id: "pear", room: "garden", kind: "tree", name: "Pear tree", outline: box(-4200, 10500, -2900, 11275) },
];

export const posts = [
  { id: "post-1", room: "garden", label: "P1", x: -300, y: 10500, height: 900, breadth: 90 },
  { id: "post-2", room: "garden", label: "P2", x: -5700, y: 9300, height: 900, breadth: 90 },
];

/** The trench goes down by the corner of the house and comes up at the shed; water crosses it. */
export const outsideWays = [
  {
    id: "trench-1",
    label: "TR1",
    name: "trench to the kiln shed",
    kind: "trench",
    from: { wall: "yard-w4", u: 150, v: 0 },
    to: { wall: "yard-w2", u: 4250, v: 0 },
    depth: 600,
    ducts: [{ from: 950, to: 2450, size: 63 }],
    services: [{ at: 2600, kind: "water", depth: 750 }],
  },
];

export const lightRows = [
  {
    id: "row-1",
    label: "PL1",
    name: "Garden path",
    room: "garden",
    from: "f2",
    path: [
      { x: -200, y: 9900 },
      { x: -5800, y: 9900 },
    ],
    sides: 2,
    width: 1200,
    count: 6,
    end: 300,
    carried: "ground",
    line: 600,
    height: 500,
    cable: "swa-3x1.5",
    watts: 6,
    sensor: "near",
    override: true,
  },
];

export const extensions = [
  {
    id: "x-old",
    circuit: "old",
    shape: "radial",
    joints: [{ point: "s16", where: "at-point" }],
    way: "under-boards",
    boxes: "surface",
  },
];
