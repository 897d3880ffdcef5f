import type { House } from "../../house/house";
import type { Circuit } from "../../job/model";
import { boardOfCircuit } from "../../job/boards";
import { wiredTo } from "../../job/wired";
import { pathLength } from "../../base/wall-frame";
import type { FoundWay, Run } from "../../laid/laid";

/** What of a run its rating depends on. */
export type RatedRun = Pick<Run, "id" | "circuit" | "from" | "to" | "cable" | "legs" | "pathLength">;

/** The leg of a ring that its new runs bridge: the two old points with one new cable each; null where they are no such two. */
export function bridgedLeg(
  h: Pick<House, "points" | "pointOfId">,
  c: Circuit,
  runs: readonly Pick<RatedRun, "circuit" | "from" | "to">[],
): { from: string; to: string } | null {
  const ends = new Map<string, number>();
  for (const r of runs) if (r.circuit === c.id) for (const id of [r.from, r.to]) ends.set(id, (ends.get(id) ?? 0) + 1);
  const old = [...ends].flatMap(([id, n]) => {
    const p = h.points[h.pointOfId.get(id) ?? -1]?.point;
    return n % 2 === 1 && p && (p.existing || p.kind === "board") ? [id] : [];
  });
  return old.length === 2 ? { from: old[0]!, to: old[1]! } : null;
}

const joins = (f: { from: string; to: string | null }, a: string, b: string): boolean =>
  (f.from === a && f.to === b) || (f.from === b && f.to === a);

/**
 * The old cables of a circuit that is added to, as runs of it: where they were traced or are taken to run, else straight from point to
 * point; of the cable that was made out, else of that of the circuit. The leg that a ring is broken at is no longer one of them.
 */
export function oldRuns(h: House, c: Circuit, runs: readonly RatedRun[], found: readonly FoundWay[]): RatedRun[] {
  if (c.state !== "extend") return [];
  const mine = new Set([...wiredTo(c), boardOfCircuit(h.job, c)?.id ?? ""]);
  const broken = c.kind === "ring" ? bridgedLeg(h, c, runs) : null;
  return h.job.foundCables.flatMap((f): RatedRun[] => {
    if (f.fate !== "keep" || f.to === null || !mine.has(f.from) || !mine.has(f.to)) return [];
    if (broken && joins(f, broken.from, broken.to)) return [];
    const way = found.find((w) => w.id === f.id);
    const [a, b] = [f.from, f.to].map((id) => h.points[h.pointOfId.get(id) ?? -1]?.space);
    if (!a || !b) return [];
    const straight = {
      surface: { kind: "wall" as const, id: "" },
      method: "surface" as const,
      path: [a, b].map((p): [number, number, number] => [...p]),
      depth: 0,
      protected: false,
    };
    const legs = way?.legs.length ? [...way.legs, ...way.traced] : [straight];
    return [
      {
        id: `old:${f.id}`,
        circuit: c.id,
        from: f.from,
        to: f.to,
        cable: f.cable || c.cable,
        legs,
        pathLength: legs.reduce((s, l) => s + pathLength(l.path), 0),
      },
    ];
  });
}
