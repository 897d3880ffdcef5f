import { layHouse } from "../house/house";
import { jobSchema } from "../job/model";
import { planHouse } from "../plan/plan";
import { generatedHouse } from "../routing/generated-house";
import { type LineShape, type Shape, boundsOf } from "./scene";

export const job = generatedHouse(3, 2, 3);
export const house = layHouse(job);
export const plan = planHouse(house);
export const on = (shapes: readonly Shape[], layer: string): Shape[] => shapes.filter((s) => s.layer === layer);
export const lines = (shapes: readonly Shape[], layer: string): LineShape[] =>
  on(shapes, layer).filter((s): s is LineShape => s.kind === "line");
export const box = (s: Shape) => boundsOf([s]);
export const said = (shapes: readonly Shape[]): string[] => shapes.flatMap((s) => (s.kind === "text" ? [s.text] : []));
export const withWall = (more: object, at: Partial<typeof job> = {}) => {
  const wall = job.walls[0]!;
  return layHouse(
    jobSchema.parse({ ...job, ...at, walls: job.walls.map((w) => (w === wall ? { ...w, ...more } : w)) }),
  );
};
export const first = job.walls[0]!.id;
export const face = (h: typeof house) => h.faces[h.faceOfWall.get(first)!]!;
