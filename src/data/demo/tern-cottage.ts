import { type Job, canonical, jobSchema } from "../../core/job/model";

type Place =
  | { on: "wall"; wall: string; u: number; v: number }
  | { on: "deck"; deck: string; x: number; y: number; face: "ceiling" | "floor" };

const on = (wall: string, u: number, v: number): Place => ({ on: "wall", wall, u, v });
const ceiling = (deck: string, x: number, y: number): Place => ({ on: "deck", deck, x, y, face: "ceiling" });
const wall = (room: string, index: number, more: Record<string, unknown>) => ({
  id: `${room}-w${index + 1}`,
  room,
  index,
  ...more,
});
const box = (x0: number, y0: number, x1: number, y1: number) => [
  { x: x0, y: y0 },
  { x: x0, y: y1 },
  { x: x1, y: y1 },
  { x: x1, y: y0 },
];
const socket = (id: string, gang: 1 | 2, place: Place, more: Record<string, unknown> = {}) => ({
  id,
  label: id.toUpperCase(),
  kind: "socket",
  gang,
  place,
  ...more,
});
const light = (id: string, place: Place, more: Record<string, unknown> = {}) => ({
  id,
  label: id.toUpperCase(),
  kind: "light",
  place,
  ...more,
});
const switching = (id: string, gang: 1 | 2, place: Place, controls: string[], more: Record<string, unknown> = {}) => ({
  id,
  label: id.toUpperCase(),
  kind: "switch",
  gang,
  place,
  controls,
  ...more,
});

const stone = { build: "masonry", thickness: 450, backing: "outside" };
const party = { ...stone, backing: "party" };
const spine = { build: "masonry", thickness: 250, backing: "room" };
const stud = { build: "stud", thickness: 100, backing: "room" };
const garden = { build: "masonry", thickness: 225, backing: "party" };
const open = { build: "open", thickness: 20, backing: "outside" };
const shed = { build: "masonry", thickness: 225, backing: "outside" };

/** Floor of the first floor and of the loft, mm above that of the ground floor: what the decks under them make. */
const FIRST = 2632;
const LOFT = 5154;

const rooms = [
  {
    id: "kitchen",
    storey: "ground",
    name: "Kitchen",
    kind: "kitchen",
    height: 2400,
    startWall: 2,
    outline: box(0, 0, 3600, 4200),
  },
  {
    id: "hall",
    storey: "ground",
    name: "Hall",
    kind: "hall",
    height: 2400,
    startWall: 3,
    outline: box(3700, 0, 5500, 4200),
  },
  {
    id: "glaze",
    storey: "ground",
    name: "Glaze room",
    kind: "workshop",
    height: 2400,
    startWall: 3,
    outline: box(0, 4450, 5500, 8000),
  },
  {
    id: "yard",
    storey: "ground",
    name: "Yard",
    kind: "yard",
    height: 2400,
    startWall: 3,
    outline: box(0, 8450, 5500, 11275),
  },
  {
    id: "shed",
    storey: "ground",
    name: "Kiln shed",
    kind: "workshop",
    height: 2300,
    startWall: 3,
    outline: box(900, 11500, 4400, 14000),
  },
  {
    id: "bed1",
    storey: "first",
    name: "Bedroom 1",
    kind: "bedroom",
    height: 2300,
    startWall: 2,
    outline: box(0, 0, 3600, 4200),
  },
  {
    id: "landing",
    storey: "first",
    name: "Landing",
    kind: "landing",
    height: 2300,
    startWall: 0,
    outline: box(3700, 0, 5500, 4200),
  },
  {
    id: "bed2",
    storey: "first",
    name: "Bedroom 2",
    kind: "bedroom",
    height: 2300,
    startWall: 3,
    outline: box(0, 4450, 5500, 8000),
  },
  // The roof rises from the side walls to a ridge that runs north–south.
  {
    id: "loft",
    storey: "loft",
    name: "Loft",
    kind: "loft",
    height: 2400,
    startWall: 3,
    outline: box(0, 0, 5500, 8000),
    slopes: [
      { wall: 0, eaves: 350, pitch: 42 },
      { wall: 2, eaves: 350, pitch: 42 },
    ],
  },
];

const walls = [
  wall("kitchen", 0, stone),
  wall("kitchen", 1, spine),
  wall("kitchen", 2, stud),
  wall("kitchen", 3, stone),
  wall("hall", 0, stud),
  wall("hall", 1, spine),
  wall("hall", 2, party),
  wall("hall", 3, stone),
  wall("glaze", 0, stone),
  wall("glaze", 1, stone),
  wall("glaze", 2, { build: "dry-lined", thickness: 450, backing: "party", foilBacked: true }),
  wall("glaze", 3, spine),
  wall("yard", 0, open),
  wall("yard", 1, shed),
  wall("yard", 2, garden),
  wall("yard", 3, { ...stone, backing: "room" }),
  wall("shed", 0, shed),
  wall("shed", 1, shed),
  wall("shed", 2, shed),
  wall("shed", 3, shed),
  wall("bed1", 0, stone),
  wall("bed1", 1, spine),
  wall("bed1", 2, stud),
  wall("bed1", 3, stone),
  wall("landing", 0, stud),
  wall("landing", 1, spine),
  wall("landing", 2, party),
  wall("landing", 3, stone),
  wall("bed2", 0, stone),
  wall("bed2", 1, stone),
  wall("bed2", 2, { ...party, build: "dry-lined", foilBacked: true }),
  wall("bed2", 3, spine),
  wall("loft", 0, stone),
  wall("loft", 1, stone),
  wall("loft", 2, party),
  wall("loft", 3, stone),
];

const openings = [
  { id: "kitchen-window", wall: "kitchen-w2", kind: "window", u: 900, v: 1100, width: 1200, height: 950 },
  { id: "kitchen-door", wall: "kitchen-w3", kind: "door", u: 2900, v: 0, width: 838, height: 2040 },
  { id: "kitchen-south-window", wall: "kitchen-w4", kind: "window", u: 1300, v: 900, width: 1000, height: 1100 },
  { id: "hall-kitchen-door", wall: "hall-w1", kind: "door", u: 462, v: 0, width: 838, height: 2040 },
  { id: "hall-glaze-door", wall: "hall-w2", kind: "door", u: 500, v: 0, width: 838, height: 2040 },
  { id: "front-door", wall: "hall-w4", kind: "door", u: 450, v: 0, width: 900, height: 2040 },
  { id: "glaze-hall-door", wall: "glaze-w4", kind: "door", u: 462, v: 0, width: 838, height: 2040 },
  { id: "glaze-inner-window", wall: "glaze-w4", kind: "window", u: 3400, v: 1100, width: 1200, height: 950 },
  { id: "glaze-window", wall: "glaze-w2", kind: "window", u: 600, v: 900, width: 1800, height: 1150 },
  { id: "yard-door", wall: "glaze-w2", kind: "door", u: 4200, v: 0, width: 900, height: 2040 },
  { id: "yard-house-window", wall: "yard-w4", kind: "window", u: 3100, v: 900, width: 1800, height: 1150 },
  { id: "yard-house-door", wall: "yard-w4", kind: "door", u: 400, v: 0, width: 900, height: 2040 },
  { id: "yard-shed-door", wall: "yard-w2", kind: "door", u: 1500, v: 0, width: 900, height: 2000 },
  { id: "shed-door", wall: "shed-w4", kind: "door", u: 2000, v: 0, width: 900, height: 2000 },
  { id: "shed-window", wall: "shed-w1", kind: "window", u: 700, v: 1000, width: 900, height: 900 },
  { id: "bed1-window", wall: "bed1-w4", kind: "window", u: 1300, v: 850, width: 1000, height: 1100 },
  { id: "bed1-door", wall: "bed1-w3", kind: "door", u: 400, v: 0, width: 762, height: 1981 },
  { id: "landing-bed1-door", wall: "landing-w1", kind: "door", u: 3038, v: 0, width: 762, height: 1981 },
  { id: "landing-bed2-door", wall: "landing-w2", kind: "door", u: 200, v: 0, width: 762, height: 1981 },
  { id: "landing-window", wall: "landing-w4", kind: "window", u: 500, v: 1000, width: 800, height: 1000 },
  { id: "bed2-door", wall: "bed2-w4", kind: "door", u: 838, v: 0, width: 762, height: 1981 },
  { id: "bed2-window", wall: "bed2-w2", kind: "window", u: 1800, v: 850, width: 1800, height: 1100 },
];

const fixtures = [
  { id: "worktop-north", wall: "kitchen-w2", kind: "worktop", u: 0, v: 860, width: 3600, height: 40, depth: 620 },
  { id: "sink", wall: "kitchen-w2", kind: "sink", name: "Bowl", u: 1250, v: 720, width: 500, height: 180, depth: 500 },
  { id: "worktop-west", wall: "kitchen-w1", kind: "worktop", u: 2300, v: 860, width: 1900, height: 40, depth: 620 },
  { id: "hob", wall: "kitchen-w1", kind: "hob", u: 2900, v: 900, width: 580, height: 20, depth: 520 },
  {
    id: "glaze-bench",
    wall: "glaze-w1",
    kind: "worktop",
    name: "Bench",
    u: 800,
    v: 860,
    width: 2200,
    height: 40,
    depth: 700,
  },
  {
    id: "glaze-beam",
    wall: "glaze-w4",
    kind: "beam",
    name: "Steel end",
    u: 3040,
    v: 2200,
    width: 120,
    height: 200,
    depth: 100,
  },
  { id: "kiln", wall: "shed-w3", kind: "appliance", name: "Kiln", u: 500, v: 0, width: 800, height: 1000, depth: 800 },
  { id: "bed1-wardrobe", wall: "bed1-w1", kind: "wardrobe", u: 2700, v: 0, width: 1400, height: 2000, depth: 600 },
  { id: "bed1-radiator", wall: "bed1-w4", kind: "radiator", u: 1350, v: 150, width: 900, height: 600, depth: 100 },
  { id: "bed2-radiator", wall: "bed2-w2", kind: "radiator", u: 2200, v: 150, width: 1000, height: 600, depth: 100 },
];

const decks = [
  {
    id: "deck-over",
    name: "Deck over ground floor",
    kind: "solid-joists",
    underside: 2415,
    outline: box(0, 0, 5500, 8000),
    joists: {
      direction: "north-south",
      breadth: 47,
      depth: 195,
      spacing: 400,
      first: 200,
      bearings: [
        [-100, 0],
        [4200, 4450],
        [8000, 8100],
      ],
    },
    boards: { thickness: 22, width: 140 },
    access: "boards-up",
    noggins: [{ at: 2100, depth: 75 }],
    existingCuts: [
      { id: "old-hole", kind: "hole", joist: 7, span: 1, at: 320, diameter: 20, fromTop: 97.5 },
      { id: "old-notch", kind: "notch", joist: 4, span: 1, at: 620, width: 40, depth: 22, edge: "top" },
    ],
    obstacles: [
      { id: "steel", kind: "steel", name: "Steel over glaze room", outline: box(2340, 4450, 2460, 8000) },
      { id: "stair", kind: "stair", name: "Stair", outline: box(4650, 1500, 5480, 3900) },
    ],
  },
  {
    id: "loft-front",
    name: "Loft floor, front",
    kind: "solid-joists",
    underside: 4947,
    outline: box(0, 0, 5500, 4325),
    joists: {
      direction: "north-south",
      breadth: 47,
      depth: 195,
      spacing: 400,
      first: 200,
      bearings: [
        [-100, 0],
        [4200, 4325],
      ],
    },
    boards: { thickness: 12, width: 320 },
    access: "open",
    insulationOver: 100,
  },
  {
    id: "loft-rear",
    name: "Loft floor, rear",
    kind: "engineered",
    underside: 4947,
    outline: box(0, 4325, 5500, 8000),
    joists: {
      direction: "north-south",
      breadth: 63,
      depth: 195,
      spacing: 600,
      first: 300,
      bearings: [
        [0, 125],
        [3675, 3775],
      ],
    },
    boards: { thickness: 12, width: 320 },
    access: "open",
    insulationOver: 100,
  },
  {
    id: "shed-roof",
    name: "Roof joists of the shed",
    kind: "solid-joists",
    underside: 2315,
    outline: box(900, 11500, 4400, 14000),
    joists: {
      direction: "north-south",
      breadth: 47,
      depth: 145,
      spacing: 400,
      first: 200,
      bearings: [
        [-100, 0],
        [2500, 2600],
      ],
    },
    boards: { thickness: 18, width: 1200 },
    access: "closed",
  },
  {
    id: "slab",
    name: "Ground slab",
    kind: "concrete",
    underside: -150,
    outline: box(0, 0, 5500, 8000),
    joists: { depth: 150, bearings: [] },
    boards: { thickness: 0 },
    access: "closed",
  },
];

const points = [
  {
    id: "board",
    label: "DB1",
    kind: "board",
    gang: 1,
    ways: 8,
    place: on("hall-w3", 3300, 1400),
    mount: "surface",
    boxDepth: 100,
    existing: true,
  },
  socket("s1", 2, on("kitchen-w1", 900, 300)),
  socket("s2", 2, on("kitchen-w1", 2560, 1080)),
  socket("s3", 2, on("kitchen-w2", 500, 1056)),
  socket("s4", 2, on("kitchen-w2", 2030, 1056)),
  socket("s5", 2, on("kitchen-w2", 2900, 1056)),
  socket("s6", 1, on("kitchen-w3", 1500, 300)),
  socket("s7", 2, on("hall-w3", 1500, 300)),
  socket("s8", 2, on("glaze-w1", 1500, 1080)),
  socket("s9", 2, on("glaze-w2", 2800, 450)),
  socket("s10", 2, on("glaze-w3", 700, 450)),
  light("l1", ceiling("deck-over", 1800, 1900)),
  light("l2", ceiling("deck-over", 4100, 900)),
  light("l3", ceiling("deck-over", 1500, 6200)),
  light("l4", ceiling("deck-over", 3900, 6200)),
  switching("w1", 1, on("kitchen-w3", 2650, 1200), ["l1"]),
  switching("w2", 1, on("hall-w1", 1450, 1200), ["l2"]),
  switching("w3", 2, on("glaze-w4", 1500, 1200), ["l3", "l4"]),
  {
    id: "k1",
    label: "K1",
    kind: "isolator",
    gang: 1,
    name: "Kiln",
    place: on("shed-w3", 1500, 1150),
    mount: "surface",
  },
  // First floor: new sockets on a radial, old ones that stay.
  socket("s11", 2, on("landing-w1", 1200, 300)),
  socket("s12", 2, on("bed2-w4", 2400, 300)),
  socket("s13", 2, on("bed2-w1", 2400, 300)),
  socket("s14", 2, on("bed2-w2", 4700, 300)),
  socket("s15", 1, on("bed2-w3", 2600, 300)),
  socket("s16", 1, on("bed1-w1", 700, 300), { existing: true }),
  socket("s17", 1, on("bed1-w3", 3700, 300), { existing: true }),
  light("l5", ceiling("loft-front", 1900, 2100)),
  light("l6", ceiling("loft-front", 4500, 2100)),
  light("l7", ceiling("loft-rear", 3600, 6400)),
  switching("w4", 1, on("bed1-w3", 1350, 1200), ["l5"]),
  switching("w5", 1, on("landing-w1", 2800, 1200), ["l6"]),
  switching("w6", 1, on("bed2-w4", 1800, 1200), ["l7"]),
  { id: "b1", label: "B1", kind: "wall-light", name: "Loft", place: on("loft-w4", 2750, 1700) },
];

const circuits = [
  {
    id: "r1",
    label: "R1",
    name: "Ground floor sockets",
    kind: "ring",
    device: { curve: "B", rating: 32 },
    rcd: 30,
    cable: "te-2.5",
    way: 2,
    points: ["s1", "s2", "s3", "s4", "s5", "s6", "s7", "s8", "s9", "s10"],
  },
  {
    id: "r2",
    label: "R2",
    name: "First floor sockets",
    kind: "radial",
    device: { curve: "B", rating: 20 },
    rcd: 30,
    cable: "te-2.5",
    way: 5,
    points: ["s11", "s12", "s13", "s14", "s15"],
  },
  {
    id: "li1",
    label: "LI1",
    name: "Ground floor lights",
    kind: "lighting",
    device: { curve: "B", rating: 6 },
    rcd: 30,
    cable: "te-1.0",
    way: 3,
    points: ["l1", "l2", "l3", "l4", "w1", "w2", "w3"],
  },
  {
    id: "li2",
    label: "LI2",
    name: "First floor and loft lights",
    kind: "lighting",
    device: { curve: "B", rating: 6 },
    rcd: 30,
    cable: "te-1.0",
    way: 4,
    points: ["l5", "l6", "l7", "w4", "w5", "w6", "b1"],
  },
  {
    id: "k",
    label: "K",
    name: "Kiln shed",
    kind: "outbuilding",
    device: { curve: "B", rating: 40 },
    rcd: 30,
    cable: "swa-3x10",
    way: null,
    points: ["k1"],
    walls: "surface",
  },
  {
    id: "old",
    label: "O1",
    name: "Old bedroom sockets",
    kind: "radial",
    device: { curve: "B", rating: 16 },
    rcd: 30,
    cable: "te-2.5",
    way: 6,
    points: ["s16", "s17"],
    state: "keep",
  },
];

/**
 * Tern Cottage: a made-up two-storey stone end-terrace. Kitchen and hall to the south of a spine wall, the glaze room to the north;
 * a landing and two bedrooms over them, a loft under the roof, and a detached kiln shed across the yard, fed by armour along the
 * garden wall. Old and new work mixed. It starts with real problems in it: an outlet near the sink, an old hole too near a bearing,
 * a full trunking, drums too short, a kiln circuit without a way; and with a steel beam, a foil-backed wall and a deck of
 * engineered joists, which nothing may be bored through by rule of thumb.
 */
export function ternCottage(id = "tern-cottage"): Job {
  return canonical(
    jobSchema.parse({
      id,
      name: "Tern Cottage",
      address: "Made-up demo: stone end-terrace with a glaze room",
      dwelling: { country: "england", newDwelling: false, occupied: true },
      storeys: [
        { id: "ground", name: "Ground floor", level: 0, height: 2400 },
        { id: "first", name: "First floor", level: FIRST, height: 2300 },
        { id: "loft", name: "Loft", level: LOFT, height: 2400 },
      ],
      rooms,
      walls,
      openings,
      fixtures,
      decks,
      points,
      circuits,
      pins: [],
      foundCables: [
        {
          id: "old-1",
          from: "board",
          to: "s17",
          colours: "old",
          fate: "keep",
          note: "In a white sheath; looks like 2.5, not measured",
        },
        { id: "old-2", from: "s17", to: "s16", colours: "old", fate: "keep" },
      ],
      foundTrunkings: [
        {
          id: "trunking-1",
          wall: "hall-w3",
          size: "38x16",
          from: { u: 3300, v: 1520 },
          to: { u: 3300, v: 2400 },
          holds: [
            { cable: "te-2.5", count: 3 },
            { cable: "te-1.0", count: 2 },
          ],
        },
      ],
      drums: [
        { id: "drum-1", label: "Drum 1", cable: "te-2.5", length: 100_000 },
        { id: "drum-2", label: "Drum 2", cable: "te-2.5", length: 18_000 },
        { id: "drum-3", label: "Drum 3", cable: "te-1.0", length: 100_000 },
        { id: "drum-4", label: "Drum 4", cable: "swa-3x10", length: 16_000 },
      ],
    }),
  );
}
