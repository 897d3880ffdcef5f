import { rectOutline } from "../base/polygon";
import { type Job, jobSchema } from "../job/model";

/** A room, a yard 6 000 deep to its north, and a shed beyond it: a board in the room, an isolator in the shed, fed by armour. */
export function yardJob(more: Record<string, unknown> = {}, circuit: Record<string, unknown> = {}): Job {
  const room = (id: string, kind: string, y0: number, y1: number) => ({
    id,
    storey: "g",
    name: id,
    kind,
    height: 4500,
    outline: rectOutline(0, y0, 4000, y1),
  });
  const walls = (room: string, thick: (i: number) => number, build: (i: number) => string) =>
    [0, 1, 2, 3].map((i) => ({ id: `${room}${i}`, room, index: i, thickness: thick(i), build: build(i) }));
  return jobSchema.parse({
    id: "y",
    name: "Yard",
    storeys: [{ id: "g", name: "Ground", level: 0, height: 4500 }],
    rooms: [room("in", "hall", 0, 3000), room("out", "yard", 3300, 9300), room("shed", "workshop", 9500, 12_000)],
    walls: [
      ...walls(
        "in",
        () => 300,
        () => "masonry",
      ),
      ...walls(
        "out",
        (i) => (i === 3 ? 300 : i === 1 ? 200 : 20),
        (i) => (i % 2 ? "masonry" : "open"),
      ),
      ...walls(
        "shed",
        () => 200,
        () => "masonry",
      ),
    ],
    openings: [],
    fixtures: [],
    decks: [],
    points: [
      { id: "db", label: "DB1", kind: "board", ways: 8, place: { on: "wall", wall: "in1", u: 2000, v: 1400 } },
      { id: "k", label: "K1", kind: "isolator", boxDepth: 60, place: { on: "wall", wall: "shed3", u: 2000, v: 1200 } },
    ],
    circuits: [
      {
        id: "c",
        label: "C1",
        name: "Shed",
        kind: "outbuilding",
        device: { rating: 32 },
        rcd: 30,
        cable: "swa-3x6",
        way: 1,
        points: ["k"],
        walls: "surface",
        farEarth: "house",
        ...circuit,
      },
    ],
    pins: [],
    drums: [],
    supply: { earthing: "TN-S" },
    ...more,
  });
}

/** Straight across the yard, from the house to the shed. */
export const across = (kind: "trench" | "catenary", more: Record<string, unknown> = {}) => ({
  id: "w",
  label: kind === "trench" ? "TR1" : "CW1",
  kind,
  from: { wall: "out3", u: 2000, v: kind === "trench" ? 0 : 4000 },
  to: { wall: "out1", u: 2000, v: kind === "trench" ? 0 : 4000 },
  ...more,
});

/** A strip of ground across the whole yard, from so far along the way to so far. */
export const strip = (kind: string, from: number, to: number, level = 0, id = kind) => ({
  id,
  room: "out",
  kind,
  outline: rectOutline(0, 3300 + from, 4000, 3300 + to),
  level,
});
