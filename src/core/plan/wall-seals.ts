import { toFace } from "../base/wall-frame";
import type { House } from "../house/house";
import type { Run } from "../laid/laid";
import { type Fact, fact } from "../rules/fact";

/** Where cables pass a wall that separates dwellings: the hole is made good against fire. Source: BS 7671:2018+A2:2022 527.2. */
export const wallSealFacts = (h: House, runs: readonly Run[]): Fact[] =>
  runs.flatMap((r) =>
    r.legs.flatMap((l, leg) => {
      const face = l.method === "through-wall" ? h.faces[h.faceOfWall.get(l.surface.id) ?? -1] : undefined;
      const sides = face && [face, ...face.opposite.map((n) => h.faces[n]!)];
      if (!face || !sides?.some((f) => f.wall.backing === "party")) return [];
      const { u, v } = toFace(face.frame, l.path[0]!);
      return [
        fact("fire.seal", "run", r.id, { case: "cable", where: { wall: face.wall.id, run: r.id, leg }, of: { u, v } }),
      ];
    }),
  );
