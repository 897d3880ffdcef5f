import { type Job, canonical, jobSchema } from "../job/model";
import { seeded } from "../base/seeded";

/**
 * A made-up storey for tests and timing: rooms in a row with a shared wall, a deck of solid joists over all of them,
 * a board, one ring and one lighting circuit. Sizes, builds and places follow from the seed.
 */
export function generatedHouse(seed: number, rooms = 2, sockets = 3): Job {
  const next = seeded(seed);
  const between = (lo: number, hi: number, step = 10): number => Math.round((lo + next() * (hi - lo)) / step) * step;
  const depth = between(2800, 4600);
  const job: Record<string, unknown[]> = { rooms: [], walls: [], openings: [], points: [] };
  const ring: string[] = [];
  const lights: string[] = [];
  /** A few sockets stand anywhere; many are spaced out along their wall, so that none is on another. */
  const placeOf = (s: number, length: number): number =>
    sockets <= 4
      ? between(200 + 400 * Math.floor(s / 3), length - 200)
      : Math.round((200 + ((length - 400) * (Math.floor(s / 3) + 0.5)) / Math.ceil(sockets / 3)) / 10) * 10;
  let x = 0;
  for (let r = 0; r < rooms; r++) {
    const width = between(2600, 4600);
    const thick = next() < 0.5 ? 100 : 140;
    job.rooms!.push({
      id: `r${r}`,
      storey: "g",
      name: `Room ${r + 1}`,
      kind: "other",
      height: 2400,
      outline: [
        { x, y: 0 },
        { x, y: depth },
        { x: x + width, y: depth },
        { x: x + width, y: 0 },
      ],
    });
    for (let i = 0; i < 4; i++)
      job.walls!.push({
        id: `r${r}w${i}`,
        room: `r${r}`,
        index: i,
        build: next() < 0.5 ? "masonry" : "stud",
        thickness: i % 2 ? 300 : thick,
      });
    const win = between(300, 700);
    job.openings!.push({ id: `r${r}o`, wall: `r${r}w1`, kind: "window", u: win, v: 900, width: 1100, height: 1100 });
    for (let s = 0; s < sockets; s++) {
      const wall = [0, 2, 3][s % 3]!;
      const length = wall === 3 ? width : depth;
      const id = `r${r}s${s}`;
      ring.push(id);
      job.points!.push({
        id,
        label: `S${r}${s}`,
        kind: "socket",
        gang: next() < 0.5 ? 1 : 2,
        place: { on: "wall", wall: `r${r}w${wall}`, u: placeOf(s, length), v: between(300, 460) },
      });
    }
    lights.push(`r${r}l`);
    job.points!.push({
      id: `r${r}l`,
      label: `L${r}`,
      kind: "light",
      place: { on: "deck", deck: "d", x: x + width / 2, y: depth / 2, face: "ceiling" },
    });
    job.points!.push({
      id: `r${r}k`,
      label: `W${r}`,
      kind: "switch",
      place: { on: "wall", wall: `r${r}w1`, u: width - 300, v: 1200 },
      controls: [`r${r}l`],
    });
    lights.push(`r${r}k`);
    x += width + thick;
  }
  job.points!.push({
    id: "board",
    label: "DB1",
    kind: "board",
    ways: 6,
    mount: "surface",
    boxDepth: 100,
    place: { on: "wall", wall: "r0w3", u: 1300, v: 1500 },
  });
  const eastWest = next() < 0.2 && rooms === 1;
  return canonical(
    jobSchema.parse({
      ...job,
      id: `house-${seed}`,
      name: `House ${seed}`,
      storeys: [{ id: "g", name: "Ground", level: 0, height: 2400 }],
      fixtures: [],
      pins: [],
      drums: [],
      decks: [
        {
          id: "d",
          name: "Deck over",
          kind: "solid-joists",
          underside: 2415,
          outline: [
            { x: 0, y: 0 },
            { x: 0, y: depth },
            { x, y: depth },
            { x, y: 0 },
          ],
          joists: {
            direction: eastWest ? "east-west" : "north-south",
            depth: between(145, 225, 20),
            breadth: 47,
            spacing: 400,
            first: between(60, 380),
            bearings: eastWest
              ? [
                  [-100, 0],
                  [x, x + 100],
                ]
              : [
                  [-100, 0],
                  [depth, depth + 100],
                ],
          },
        },
      ],
      circuits: [
        {
          id: "ring",
          label: "R1",
          name: "Sockets",
          kind: "ring",
          device: { rating: 32 },
          rcd: 30,
          cable: "te-2.5",
          way: 1,
          points: ring,
        },
        {
          id: "lights",
          label: "LI1",
          name: "Lights",
          kind: "lighting",
          device: { rating: 6 },
          rcd: 30,
          cable: "te-1.0",
          way: 2,
          points: lights,
        },
      ],
    }),
  );
}
