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
