import { toFace } from "../../base/wall-frame";
import type { House } from "../../house/house";
import type { FoundTrunking } from "../../job/model";
import type { Run } from "../../laid/laid";
import { overall } from "../../rules/cables";
import { cableOf } from "../../rules/catalogue";
import type { Fact } from "../../rules/fact";
import { type Filling, spaceFill } from "./space-fill";

/** A run uses a trunking when at least this much of a leg lies within it, mm. */
const SHARE_LEAST = 100;

/** Runs of the plan that lie in a found trunking. */
export function runsInTrunking(h: House, t: FoundTrunking, runs: readonly Run[]): Run[] {
  const f = h.faces[h.faceOfWall.get(t.wall) ?? -1];
  const size = h.catalogue.trunkings.find((x) => x.id === t.size);
  if (!f || !size) return [];
  const plumb = Math.abs(t.from.u - t.to.u) < 1e-6;
  const half = size.width / 2 + 1;
  const [lo, hi] = plumb
    ? [Math.min(t.from.v, t.to.v), Math.max(t.from.v, t.to.v)]
    : [Math.min(t.from.u, t.to.u), Math.max(t.from.u, t.to.u)];
  return runs.filter((r) =>
    r.legs.some((l) => {
      if (l.surface.kind !== "wall" || l.surface.id !== t.wall) return false;
      const p = l.path.map((s) => toFace(f.frame, s));
      return p.some((b, i) => {
        const a = p[i - 1];
        if (!a) return false;
        const beside = plumb
          ? Math.max(Math.abs(a.u - t.from.u), Math.abs(b.u - t.from.u))
          : Math.max(Math.abs(a.v - t.from.v), Math.abs(b.v - t.from.v));
        const [s, e] = plumb ? [Math.min(a.v, b.v), Math.max(a.v, b.v)] : [Math.min(a.u, b.u), Math.max(a.u, b.u)];
        return beside <= half && Math.min(e, hi) - Math.max(s, lo) >= SHARE_LEAST;
      });
    }),
  );
}

/** Fill of every trunking found in the house, with the runs that would go into it. Percent of its inside, limit 45. */
export function trunkingFacts(h: House, runs: readonly Run[]): Fact[] {
  return h.job.foundTrunkings.flatMap((t) => {
    const size = h.catalogue.trunkings.find((x) => x.id === t.size);
    if (!size) return [];
    const filling = (id: string, qty: number): Filling[] => {
      const c = cableOf(id, h.catalogue);
      if (!c) return [];
      return c.family === "sheathed"
        ? [{ width: c.width, thickness: c.thickness, qty }]
        : [{ diameter: overall(c), qty }];
    };
    const inside = runsInTrunking(h, t, runs);
    const fill = spaceFill({ width: size.insideWidth, height: size.insideHeight }, [
      ...t.holds.flatMap((x) => filling(x.cable, x.count)),
      ...inside.flatMap((r) => filling(r.cable, 1)),
    ]);
    const there = t.holds.reduce((n, x) => n + x.count, 0);
    return fill.facts.map((f) => ({
      ...f,
      subject: { kind: "trunking" as const, id: t.id },
      where: { wall: t.wall },
      of: { ...f.of, size: t.size, there, coming: inside.length },
    }));
  });
}
