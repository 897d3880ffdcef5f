import type { SectionKind } from "../../rules/sections";

/** A place on a wall, mm from its left end and from the floor. */
export const wall = (w: string, u: number, v: number) => ({ on: "wall" as const, wall: w, u, v });

/** A section T1 of a kind and size along a path. */
export const section = (kind: SectionKind, size: string, path: object[], more: object = {}) => ({
  id: "t1",
  label: "T1",
  kind,
  size,
  path,
  ...more,
});

// An L of a room: its fourth corner juts out.
const nook = [
  { x: 0, y: 0 },
  { x: 0, y: 3000 },
  { x: 2000, y: 3000 },
  { x: 2000, y: 1500 },
  { x: 4000, y: 1500 },
  { x: 4000, y: 0 },
];
/** A room with an outside corner between its walls w2 and w3, and nothing in it. */
export const roomWithNook = {
  rooms: [{ id: "r", storey: "g", name: "Room", kind: "kitchen", height: 2400, outline: nook }],
  walls: nook.map((_, i) => ({ id: `w${i}`, room: "r", index: i, thickness: 300 })),
  points: [],
  circuits: [],
  decks: [],
};
