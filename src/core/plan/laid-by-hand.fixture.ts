import { type Job, type PinnedLeg, jobSchema } from "../job/model";
import type { LaidRun } from "../routing/lay";
import { cableOf } from "../rules/catalogue";
import type { Run } from "../laid/laid";

export const box = (x: number) => [
  { x, y: 0 },
  { x, y: 3000 },
  { x: x + 4000, y: 3000 },
  { x: x + 4000, y: 0 },
];
export const te = cableOf("te-2.5")!;

/** Two rooms side by side with a wall of 100 between, the right one a hall, one deck over both. */
export const house = (more: object = {}): Job =>
  jobSchema.parse({
    id: "j",
    name: "J",
    storeys: [{ id: "g", name: "G", level: 0, height: 2400 }],
    rooms: [
      { id: "a", storey: "g", name: "A", kind: "living", height: 2400, outline: box(0) },
      { id: "b", storey: "g", name: "B", kind: "hall", height: 2400, outline: box(4100) },
    ],
    walls: ["a", "b"].flatMap((room) =>
      [0, 1, 2, 3].map((index) => ({
        id: `${room}${index}`,
        room,
        index,
        thickness: (room === "a" && index === 2) || (room === "b" && index === 0) ? 100 : 300,
      })),
    ),
    openings: [],
    fixtures: [],
    decks: [
      {
        id: "d",
        name: "Deck",
        kind: "solid-joists",
        outline: [
          { x: 0, y: 0 },
          { x: 0, y: 3000 },
          { x: 8100, y: 3000 },
          { x: 8100, y: 0 },
        ],
        underside: 2400,
        joists: { direction: "north-south", depth: 195, breadth: 47, spacing: 400, first: 300, bearings: [] },
      },
    ],
    points: [
      { id: "db", label: "DB1", kind: "board", ways: 6, place: { on: "wall", wall: "a0", u: 1500, v: 1400 } },
      { id: "s", label: "S1", kind: "socket", gang: 2, place: { on: "wall", wall: "a1", u: 1000, v: 450 } },
    ],
    circuits: [
      {
        id: "c",
        label: "C1",
        name: "C",
        kind: "radial",
        device: { rating: 20 },
        rcd: 30,
        cable: "te-2.5",
        way: 1,
        points: ["s"],
      },
    ],
    pins: [],
    drums: [],
    ...more,
  });
export const leg = (more: Partial<PinnedLeg>): PinnedLeg => ({
  surface: { kind: "wall", id: "a1" },
  method: "chase",
  path: [
    [1000, 3000, 450],
    [1000, 3000, 2400],
  ],
  depth: 15,
  protected: false,
  ...more,
});
export const laid = (legs: PinnedLeg[], more: Partial<LaidRun> = {}): LaidRun => ({
  id: "c.db.s",
  number: 1,
  circuit: "c",
  from: "db",
  to: "s",
  cable: "te-2.5",
  due: "te-2.5",
  carries: [],
  legs,
  pin: null,
  held: null,
  bores: [],
  whole: 0,
  ...more,
});
export const run = (legs: PinnedLeg[], more: Partial<Run> = {}): Run => {
  const { held: _, bores: __, whole: ___, due: ____, ...rest } = laid(legs);
  return { ...rest, carries: [], pathLength: 0, cutLength: 10_000, method: "chase", grouped: 1, held: false, ...more };
};
