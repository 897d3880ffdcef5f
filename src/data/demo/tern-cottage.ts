import { type Job, canonical, jobSchema } from "../../core/job/model";

/**
 * Tern Cottage, ground floor: a made-up stone end-terrace. Kitchen and hall to the south of a spine wall,
 * the glaze room to the north; joists run north–south over all three and bear on the spine wall.
 * It starts with real problems in it: an outlet near the sink, an old hole too near a bearing, a steel in the way,
 * a kiln circuit without a way or an RCD, a drum too short.
 */
export function ternCottage(id = "tern-cottage"): Job {
  const wall = (room: string, index: number, more: Record<string, unknown>) => ({ id: `${room}-w${index + 1}`, room, index, ...more });
  const on = (wallId: string, u: number, v: number) => ({ on: "wall", wall: wallId, u, v });
  const stone = { build: "masonry", thickness: 450, backing: "outside" };
  const spine = { build: "masonry", thickness: 250, backing: "room" };
  const stud = { build: "stud", thickness: 100, backing: "room" };
  const job = jobSchema.parse({
    id,
    name: "Tern Cottage",
    address: "Made-up demo: stone end-terrace with a glaze room",
    dwelling: { country: "england", newDwelling: false, occupied: true },
    storeys: [{ id: "ground", name: "Ground floor", level: 0, height: 2400 }],
    rooms: [
      { id: "kitchen", storey: "ground", name: "Kitchen", kind: "kitchen", height: 2400, startWall: 2, outline: [{ x: 0, y: 0 }, { x: 0, y: 4200 }, { x: 3600, y: 4200 }, { x: 3600, y: 0 }] },
      { id: "hall", storey: "ground", name: "Hall", kind: "hall", height: 2400, startWall: 3, outline: [{ x: 3700, y: 0 }, { x: 3700, y: 4200 }, { x: 5500, y: 4200 }, { x: 5500, y: 0 }] },
      { id: "glaze", storey: "ground", name: "Glaze room", kind: "workshop", height: 2400, startWall: 3, outline: [{ x: 0, y: 4450 }, { x: 0, y: 8000 }, { x: 5500, y: 8000 }, { x: 5500, y: 4450 }] },
    ],
    walls: [
      wall("kitchen", 0, stone), wall("kitchen", 1, spine), wall("kitchen", 2, stud), wall("kitchen", 3, stone),
      wall("hall", 0, stud), wall("hall", 1, spine), wall("hall", 2, { ...stone, backing: "party" }), wall("hall", 3, stone),
      wall("glaze", 0, stone), wall("glaze", 1, stone), wall("glaze", 2, { build: "dry-lined", thickness: 450, backing: "party", foilBacked: true }), wall("glaze", 3, spine),
    ],
    openings: [
      { id: "kitchen-window", wall: "kitchen-w2", kind: "window", u: 900, v: 1100, width: 1200, height: 950 },
      { id: "kitchen-door", wall: "kitchen-w3", kind: "door", u: 2900, v: 0, width: 838, height: 2040 },
      { id: "kitchen-south-window", wall: "kitchen-w4", kind: "window", u: 1300, v: 900, width: 1000, height: 1100 },
      { id: "hall-kitchen-door", wall: "hall-w1", kind: "door", u: 462, v: 0, width: 838, height: 2040 },
      { id: "hall-glaze-door", wall: "hall-w2", kind: "door", u: 500, v: 0, width: 838, height: 2040 },
      { id: "front-door", wall: "hall-w4", kind: "door", u: 450, v: 0, width: 900, height: 2040 },
      { id: "glaze-hall-door", wall: "glaze-w4", kind: "door", u: 462, v: 0, width: 838, height: 2040 },
      { id: "glaze-window", wall: "glaze-w2", kind: "window", u: 600, v: 900, width: 1800, height: 1150 },
      { id: "yard-door", wall: "glaze-w2", kind: "door", u: 4200, v: 0, width: 900, height: 2040 },
    ],
    fixtures: [
      { id: "worktop-north", wall: "kitchen-w2", kind: "worktop", u: 0, v: 860, width: 3600, height: 40, depth: 620 },
      { id: "sink", wall: "kitchen-w2", kind: "sink", name: "Bowl", u: 1250, v: 720, width: 500, height: 180, depth: 500 },
      { id: "worktop-west", wall: "kitchen-w1", kind: "worktop", u: 2300, v: 860, width: 1900, height: 40, depth: 620 },
      { id: "hob", wall: "kitchen-w1", kind: "hob", u: 2900, v: 900, width: 580, height: 20, depth: 520 },
      { id: "glaze-bench", wall: "glaze-w1", kind: "worktop", name: "Bench", u: 800, v: 860, width: 2200, height: 40, depth: 700 },
      { id: "kiln", wall: "glaze-w3", kind: "appliance", name: "Kiln", u: 1500, v: 0, width: 800, height: 1000, depth: 800 },
    ],
    decks: [
      {
        id: "deck-over", name: "Deck over ground floor", kind: "solid-joists", underside: 2415,
        outline: [{ x: 0, y: 0 }, { x: 0, y: 8000 }, { x: 5500, y: 8000 }, { x: 5500, y: 0 }],
        joists: { direction: "north-south", breadth: 47, depth: 195, spacing: 400, first: 200, bearings: [[-100, 0], [4200, 4450], [8000, 8100]] },
        boards: { thickness: 22, width: 140 }, access: "boards-up",
        existingCuts: [{ id: "old-hole", kind: "hole", joist: 7, span: 1, at: 320, diameter: 20, fromTop: 97.5 }, { id: "old-notch", kind: "notch", joist: 4, span: 1, at: 620, width: 40, depth: 22, edge: "top" }],
        obstacles: [{ id: "steel", kind: "steel", name: "Steel over glaze room", outline: [{ x: 2340, y: 4450 }, { x: 2340, y: 8000 }, { x: 2460, y: 8000 }, { x: 2460, y: 4450 }] }],
      },
      { id: "slab", name: "Ground slab", kind: "concrete", underside: -150, outline: [{ x: 0, y: 0 }, { x: 0, y: 8000 }, { x: 5500, y: 8000 }, { x: 5500, y: 0 }], joists: { depth: 150, bearings: [] }, boards: { thickness: 0 }, access: "closed" },
    ],
    points: [
      { id: "board", label: "DB1", kind: "board", gang: 1, ways: 8, place: on("hall-w3", 3300, 1400), mount: "surface", boxDepth: 100 },
      { id: "s1", label: "S1", kind: "socket", gang: 2, place: on("kitchen-w1", 900, 300) },
      { id: "s2", label: "S2", kind: "socket", gang: 2, place: on("kitchen-w1", 2560, 1080) },
      { id: "s3", label: "S3", kind: "socket", gang: 2, place: on("kitchen-w2", 500, 1056) },
      { id: "s4", label: "S4", kind: "socket", gang: 2, place: on("kitchen-w2", 2030, 1056) },
      { id: "s5", label: "S5", kind: "socket", gang: 2, place: on("kitchen-w2", 2900, 1056) },
      { id: "s6", label: "S6", kind: "socket", gang: 1, place: on("kitchen-w3", 1500, 300) },
      { id: "s7", label: "S7", kind: "socket", gang: 2, place: on("hall-w3", 1500, 300) },
      { id: "s8", label: "S8", kind: "socket", gang: 2, place: on("glaze-w1", 1500, 1080) },
      { id: "s9", label: "S9", kind: "socket", gang: 2, place: on("glaze-w2", 2800, 450) },
      { id: "s10", label: "S10", kind: "socket", gang: 2, place: on("glaze-w3", 700, 450) },
      { id: "k1", label: "K1", kind: "isolator", gang: 1, name: "Kiln", place: on("glaze-w3", 2600, 1150) },
      { id: "l1", label: "L1", kind: "light", place: { on: "deck", deck: "deck-over", x: 1800, y: 2100, face: "ceiling" } },
      { id: "l2", label: "L2", kind: "light", place: { on: "deck", deck: "deck-over", x: 4600, y: 2100, face: "ceiling" } },
      { id: "l3", label: "L3", kind: "light", place: { on: "deck", deck: "deck-over", x: 1500, y: 6200, face: "ceiling" } },
      { id: "l4", label: "L4", kind: "light", place: { on: "deck", deck: "deck-over", x: 3900, y: 6200, face: "ceiling" } },
      { id: "w1", label: "W1", kind: "switch", gang: 1, place: on("kitchen-w3", 2650, 1200), controls: ["l1"] },
      { id: "w2", label: "W2", kind: "switch", gang: 1, place: on("hall-w1", 1450, 1200), controls: ["l2"] },
      { id: "w3", label: "W3", kind: "switch", gang: 2, place: on("glaze-w4", 1500, 1200), controls: ["l3", "l4"] },
    ],
    circuits: [
      { id: "r1", label: "R1", name: "Ground floor sockets", kind: "ring", device: { curve: "B", rating: 32 }, rcd: 30, cable: "te-2.5", way: 2, points: ["s1", "s2", "s3", "s4", "s5", "s6", "s7", "s8", "s9", "s10"] },
      { id: "li1", label: "LI1", name: "Ground floor lights", kind: "lighting", device: { curve: "B", rating: 6 }, rcd: 30, cable: "te-1.0", way: 3, points: ["l1", "l2", "l3", "l4", "w1", "w2", "w3"] },
      { id: "k", label: "K", name: "Kiln", kind: "radial", device: { curve: "B", rating: 40 }, rcd: null, cable: "te-10", way: null, points: ["k1"] },
    ],
    pins: [],
    drums: [
      { id: "drum-1", label: "Drum 1", cable: "te-2.5", length: 50_000 },
      { id: "drum-2", label: "Drum 2", cable: "te-2.5", length: 18_000 },
      { id: "drum-3", label: "Drum 3", cable: "te-1.0", length: 50_000 },
      { id: "drum-4", label: "Drum 4", cable: "te-10", length: 8_000 },
    ],
  });
  return canonical(job);
}
