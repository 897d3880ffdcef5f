import { toFace } from "../base/wall-frame";
import type { Face, House } from "../house/house";
import type { Hole, Run } from "../laid/laid";
import { type Fact, fact } from "../rules/fact";

/** True for a wall that holds fire back, whichever of its faces says so: as said of it, or as it separates dwellings. */
export const holdsFire = (h: House, f: Face): boolean =>
  [f, ...f.opposite.map((n) => h.faces[n]!)].some((x) => x.wall.backing === "party" || x.wall.fireResisting);

/** Holes for cables through walls that hold fire back. */
export const sealedHoles = (h: House, holes: readonly Hole[]): Hole[] =>
  holes.filter((o) => {
    const face = o.in.kind === "wall" ? h.faces[h.faceOfWall.get(o.in.wall!) ?? -1] : undefined;
    return face !== undefined && holdsFire(h, face);
  });

/**
 * Where cables pass a wall that holds fire back: the hole is made good, with its size where the plan has it.
 * Source: BS 7671:2018+A2:2022 527.2.
 */
export function wallSealFacts(h: House, runs: readonly Run[], holes: readonly Hole[]): Fact[] {
  const sealed = sealedHoles(h, holes);
  return runs.flatMap((r) =>
    r.legs.flatMap((l, leg) => {
      const face = l.method === "through-wall" ? h.faces[h.faceOfWall.get(l.surface.id) ?? -1] : undefined;
      if (!face || !holdsFire(h, face)) return [];
      const { u, v } = toFace(face.frame, l.path[0]!);
      const hole = sealed.find((o) => o.in.wall === face.wall.id && o.runs.includes(r.id));
      const party = [face, ...face.opposite.map((n) => h.faces[n]!)].some((f) => f.wall.backing === "party");
      return [
        fact("fire.seal", "run", r.id, {
          case: party ? "cable" : "fire-wall",
          where: { wall: face.wall.id, run: r.id, leg },
          of: { u, v, ...(hole ? { diameter: hole.diameter, thickness: face.shape.thickness } : {}) },
        }),
      ];
    }),
  );
}
