import { isMains } from "../job/mains";
import { behindFuse, wiredTo, withoutWired } from "../job/wired";
import { pointLabels } from "../job/labels";
import type { Circuit, Job } from "../job/model";
import type { Change } from "../job/patch";
import { type PointKind, isOnCircuit, isSignal } from "../rules/accessories";
import { changeOf } from "./change-of";

/** Puts points on a circuit (null: on none), off any other, and lets go of pins that no longer hold. */
export function paintCircuit(job: Job, ids: readonly string[], circuitId: string | null): Change[] {
  const circuit = job.circuits.find((c) => c.id === circuitId);
  /** Mains goes to mains, and what carries none to its own lines. */
  const fits = (kind: PointKind): boolean =>
    isOnCircuit(kind) && (circuit === undefined || isMains(circuit) === !isSignal(kind));
  const wanted = new Set(ids.filter((id) => job.points.some((p) => p.id === id && fits(p.kind))));
  const out: Change[] = job.pins
    .filter((p) => (wanted.has(p.from) || wanted.has(p.to)) && p.circuit !== circuitId)
    .map((p) => changeOf(job, "pins", p.id, null));
  for (const c of job.circuits) {
    const on = new Set(wiredTo(c));
    if (c.id === circuitId) {
      const add = [...wanted].filter((id) => !on.has(id));
      if (add.length) out.push(changeOf(job, "circuits", c.id, { ...c, points: [...c.points, ...add] }));
    } else if ([...wanted].some((id) => on.has(id))) out.push(changeOf(job, "circuits", c.id, withoutWired(c, wanted)));
  }
  return out;
}

/**
 * Wires a point from another point of its circuit, or (from null) back into the circuit's own order. On a ring that is a spur: one
 * from each point, and on a spur hangs nothing but behind a fused unit. On the others it is a branch, and a branch may branch.
 */
export function wireAs(job: Job, point: string, from: string | null): Change[] | string {
  const c = job.circuits.find((x) => wiredTo(x).includes(point));
  if (!c) return "This point is on no circuit yet; put it on one first.";
  const label = pointLabels(job);
  const kindOf = (id: string): PointKind | undefined => job.points.find((p) => p.id === id)?.kind;
  const pins = job.pins
    .filter((p) => p.circuit === c.id && (p.from === point || p.to === point))
    .map((p) => changeOf(job, "pins", p.id, null));
  const spurs = c.spurs.filter((s) => s.point !== point);
  const put = (points: string[], next: Circuit["spurs"]): Change[] => [
    ...pins,
    changeOf(job, "circuits", c.id, { ...c, points, spurs: next }),
  ];
  if (from === null) return put(c.points.includes(point) ? c.points : [...c.points, point], spurs);
  if (from === point || !wiredTo(c).includes(from))
    return `It starts at a point of ${c.label}; ${label(from)} is none.`;
  const next = [...spurs, { point, from }];
  const upstream = new Map(next.map((s) => [s.point, s.from]));
  const seen = new Set<string>();
  for (let at: string | undefined = from; at !== undefined && !seen.has(at); at = upstream.get(at)) seen.add(at);
  if (seen.has(point)) return `${label(from)} is fed through ${label(point)}; choose one that is not.`;
  if (c.kind === "ring") {
    const behind = behindFuse({ spurs: next }, kindOf);
    const free = kindOf(from) === "fused-unit" || behind.has(from);
    if (!free && spurs.some((s) => s.from === from))
      return `${label(from)} feeds a spur already; one unfused spur feeds one outlet.`;
    if (!free && spurs.some((s) => s.point === from))
      return `${label(from)} is on a spur itself; nothing hangs on a spur but behind a fused unit.`;
    if (kindOf(point) !== "fused-unit" && !behind.has(point) && spurs.some((s) => s.from === point))
      return `${label(point)} feeds a spur itself; a spur does not hang on a spur.`;
  }
  return put(
    c.points.filter((x) => x !== point),
    next,
  );
}
