import { type Job, canonical, jobSchema } from "../job/model";

/**
 * One room of 6 × 3 m: a board at the left of its long wall, and as many radials of 20 A, each to a socket of its own at the right of
 * the same wall, so that all their cables want the same way.
 */
export function radialsOnOneWall(
  build: "masonry" | "stud",
  radials: number,
  over: "concrete" | "solid-joists" = "concrete",
): Job {
  const outline = [
    { x: 0, y: 0 },
    { x: 0, y: 3000 },
    { x: 6000, y: 3000 },
    { x: 6000, y: 0 },
  ];
  const each = Array.from({ length: radials }, (_, i) => i);
  return canonical(
    jobSchema.parse({
      id: "one-wall",
      name: "One wall",
      supply: { earthing: "TN-C-S", ze: 0.3 },
      storeys: [{ id: "g", name: "Ground", level: 0, height: 2400 }],
      rooms: [{ id: "r", storey: "g", name: "Room", kind: "other", height: 2400, outline }],
      walls: [0, 1, 2, 3].map((index) => ({
        id: `w${index}`,
        room: "r",
        index,
        build,
        thickness: 200,
        ...(build === "stud" ? { studs: { spacing: 400, first: 200, breadth: 47, depth: 145 } } : {}),
      })),
      decks: [
        {
          id: "d",
          name: "Over",
          kind: over,
          underside: 2415,
          outline,
          joists: {
            direction: "north-south",
            depth: 195,
            bearings: [
              [-100, 0],
              [3000, 3100],
            ],
          },
        },
      ],
      openings: [],
      fixtures: [],
      pins: [],
      drums: [],
      points: [
        {
          id: "board",
          label: "DB",
          kind: "board",
          ways: 16,
          mount: "surface",
          boxDepth: 100,
          place: { on: "wall", wall: "w1", u: 400, v: 450 },
        },
        ...each.map((i) => ({
          id: `s${i}`,
          label: `S${i}`,
          kind: "socket",
          place: { on: "wall", wall: "w1", u: 3000 + 300 * i, v: 450 },
        })),
      ],
      circuits: each.map((i) => ({
        id: `c${i}`,
        label: `C${i}`,
        name: `Radial ${i}`,
        kind: "radial",
        device: { curve: "B", rating: 20 },
        rcd: 30,
        cable: "te-2.5",
        way: i + 1,
        points: [`s${i}`],
      })),
    }),
  );
}
