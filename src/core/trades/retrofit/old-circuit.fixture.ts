import { layHouse } from "../../house/house";
import { type Job, jobSchema } from "../../job/model";
import { makePlan } from "../../plan/plan";
import { extensionFigures } from "./extension";

export const corners = [
  { x: 0, y: 0 },
  { x: 0, y: 3000 },
  { x: 4000, y: 3000 },
  { x: 4000, y: 0 },
];
export const socket = (id: string, u: number, more: object = {}) => ({
  id,
  label: id.toUpperCase(),
  kind: "socket",
  place: { on: "wall", wall: "w1", u, v: 450 },
  ...more,
});
/** A room over a deck of joists with an old circuit: S1 and S2 found on the north wall, S3 new between them. */
export const job = (kind: "ring" | "radial", more: Record<string, unknown> = {}): Job =>
  jobSchema.parse({
    id: "j",
    name: "Job",
    storeys: [{ id: "g", name: "Ground", level: 217, height: 2400 }],
    rooms: [{ id: "r", storey: "g", name: "Room", kind: "living", height: 2400, outline: corners }],
    walls: [0, 1, 2, 3].map((index) => ({ id: `w${index}`, room: "r", index, thickness: 200 })),
    openings: [],
    fixtures: [],
    decks: [
      {
        id: "d",
        name: "Floor",
        kind: "solid-joists",
        outline: corners,
        underside: 0,
        access: "boards-up",
        joists: { direction: "north-south", depth: 195, breadth: 47, spacing: 400, first: 200 },
      },
    ],
    points: [
      {
        id: "db",
        label: "DB1",
        kind: "board",
        ways: 8,
        existing: true,
        place: { on: "wall", wall: "w3", u: 2000, v: 1400 },
      },
      socket("s1", 800, { existing: true }),
      socket("s2", 3200, { existing: true }),
      socket("s3", 2000),
    ],
    circuits: [
      {
        id: "c",
        label: "C1",
        name: "Sockets",
        kind,
        device: { rating: kind === "ring" ? 32 : 20 },
        rcd: 30,
        cable: "te-2.5",
        way: 1,
        points: ["s1", "s2", "s3"],
        state: "extend",
      },
    ],
    foundCables: [
      { id: "f1", from: "db", to: "s1", colours: "old" },
      { id: "f2", from: "s1", to: "s2", colours: "old" },
      ...(kind === "ring" ? [{ id: "f3", from: "s2", to: "db", colours: "old" }] : []),
    ],
    pins: [],
    drums: [],
    ...more,
  });
export const worked = (j: Job) => {
  const h = layHouse(j);
  const plan = makePlan(j);
  return { h, plan, f: extensionFigures(h, plan, "c")! };
};
export const x = (more: object) => ({ extensions: [{ id: "x", circuit: "c", ...more }] });
