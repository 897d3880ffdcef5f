import { toFace, toSpace } from "../base/wall-frame";
import type { LegMethod } from "../job/model";
import type { House } from "../house/house";
import type { Plan } from "../laid/laid";

/** Something hidden in a wall, seen from one of its faces. mm. */
export interface Behind {
  /** Run of the plan; of a cable found in the house, its id. */
  run: string;
  leg: number;
  /** A cable found in the house, traced or taken to run here; else a run: whether it is in already or only planned. */
  state: "traced" | "found" | "done" | "planned";
  /** Points it joins. */
  ends: readonly [from: string, to: string | null];
  /** From this face's left end and floor, both ends of the leg. */
  a: { u: number; v: number };
  b: { u: number; v: number };
  /** Depth behind this face. */
  depth: number;
  /** The room from whose face it was laid. */
  from: string;
  /** True when it was laid from the other face. */
  otherFace: boolean;
  method: LegMethod;
}

/** All that runs in or on a wall, planned, done or found, from either face, measured from the one given: what is behind it. Sorted from left to right. */
export function behindWall(h: House, plan: Plan | null, wall: string): Behind[] {
  const f = h.faces[h.faceOfWall.get(wall) ?? -1];
  if (!f) return [];
  const out: Behind[] = [];
  const all = [
    ...(plan?.runs ?? []).map((r) => ({ ...r, state: r.held ? ("done" as const) : ("planned" as const) })),
    ...(plan?.found ?? []).map((x) => ({ ...x, state: "found" as const })),
    ...(plan?.found ?? []).map((x) => ({ ...x, legs: x.traced, state: "traced" as const })),
  ];
  for (const n of [f.n, ...f.opposite]) {
    const own = h.faces[n]!;
    for (const r of all)
      r.legs.forEach((l, i) => {
        if ((l.surface.kind !== "wall" && l.surface.kind !== "through") || l.surface.id !== own.wall.id) return;
        const [a, b] = [toFace(f.frame, l.path[0]!), toFace(f.frame, l.path[l.path.length - 1]!)];
        if (
          Math.max(a.u, b.u) < 0 ||
          Math.min(a.u, b.u) > f.shape.length ||
          Math.max(a.v, b.v) < 0 ||
          Math.min(a.v, b.v) > f.shape.height
        )
          return;
        const gap = n === f.n ? 0 : -toFace(f.frame, toSpace(own.frame, { u: 0, v: 0 })).into;
        out.push({
          run: r.id,
          leg: i,
          state: r.state,
          ends: [r.from, r.to],
          a: { u: a.u, v: a.v },
          b: { u: b.u, v: b.v },
          depth: n === f.n ? l.depth : Math.max(0, gap - l.depth),
          from: own.room.name,
          otherFace: n !== f.n,
          method: l.method,
        });
      });
  }
  return out.sort((p, q) => Math.min(p.a.u, p.b.u) - Math.min(q.a.u, q.b.u) || (p.run < q.run ? -1 : 1));
}
