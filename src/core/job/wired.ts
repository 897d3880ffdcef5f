import { type PointKind, accessories } from "../rules/accessories";
import type { Circuit, Job, Point } from "./model";

/** Points of a circuit, those on its spurs among them. */
export const wiredTo = (c: Pick<Circuit, "points" | "spurs">): string[] => [
  ...c.points,
  ...c.spurs.map((s) => s.point),
];

/** Points of a job by id, and those that switch others; worked out once for a list. */
interface Listed {
  byId: ReadonlyMap<string, Point>;
  controls: readonly Point[];
}
const listed = new WeakMap<readonly Point[], Listed>();

function listedOf(points: readonly Point[]): Listed {
  let out = listed.get(points);
  if (!out)
    listed.set(
      points,
      (out = {
        byId: new Map(points.map((p) => [p.id, p])),
        controls: points.filter((p) => accessories[p.kind].use === "control"),
      }),
    );
  return out;
}

/** Points of a list by id. */
export const pointsById = (points: readonly Point[]): ReadonlyMap<string, Point> => listedOf(points).byId;

/**
 * A circuit as it is wired: an appliance or its outlet that a fused unit, isolator or cooker control of the same circuit switches off
 * hangs behind that. The circuit itself where there is none.
 */
export function asWired(c: Circuit, points: readonly Point[]): Circuit {
  const { byId, controls } = listedOf(points);
  if (!controls.length) return c;
  const on = new Set(wiredTo(c));
  const from = new Map(c.spurs.map((s) => [s.point, s.from]));
  const behind = new Map<string, string>();
  for (const p of controls) {
    if (!on.has(p.id)) continue;
    for (const id of p.controls) {
      const q = c.points.includes(id) ? byId.get(id) : undefined;
      if (!q || behind.has(id) || (q.kind !== "appliance-outlet" && accessories[q.kind].use !== "appliance")) continue;
      // Not where the switch is fed through it.
      const seen = new Set<string>();
      for (let at: string | undefined = p.id; at !== undefined && !seen.has(at); at = from.get(at) ?? behind.get(at))
        seen.add(at);
      if (!seen.has(id)) behind.set(id, p.id);
    }
  }
  if (!behind.size) return c;
  return {
    ...c,
    points: c.points.filter((id) => !behind.has(id)),
    spurs: [...c.spurs, ...[...behind].map(([point, at]) => ({ point, from: at }))],
  };
}

/** A circuit without some points, and without the spurs that then lead nowhere; what hung on those is on no circuit. */
export function withoutWired(c: Circuit, gone: ReadonlySet<string>): Circuit {
  const points = c.points.filter((x) => !gone.has(x));
  const there = new Set(points);
  const left = c.spurs.filter((s) => !gone.has(s.point));
  const spurs: Circuit["spurs"] = [];
  for (let grew = true; grew;) {
    grew = false;
    for (const s of left)
      if (!there.has(s.point) && there.has(s.from)) {
        there.add(s.point);
        spurs.push(s);
        grew = true;
      }
  }
  return {
    ...c,
    points,
    spurs: left.filter((s) => spurs.includes(s)),
    runCables: c.runCables.filter((r) => [r.from, r.to].every((id) => !gone.has(id))),
  };
}

/** By point that lies behind a fused unit: that unit, the nearest one on the way back to the circuit. */
export function behindFuse(
  c: Pick<Circuit, "spurs">,
  kindOf: (id: string) => PointKind | undefined,
): ReadonlyMap<string, string> {
  const from = new Map(c.spurs.map((s) => [s.point, s.from]));
  const out = new Map<string, string>();
  for (const s of c.spurs) {
    const seen = new Set([s.point]);
    for (let at: string | undefined = s.from; at !== undefined && !seen.has(at); at = from.get(at)) {
      seen.add(at);
      if (kindOf(at) !== "fused-unit") continue;
      out.set(s.point, at);
      break;
    }
  }
  return out;
}

/** Trip current of what protects a circuit, mA: its own RCD or that of the whole installation, whichever trips at less; null without. */
export function tripOf(job: Pick<Job, "supply">, c: Pick<Circuit, "rcd">): number | null {
  const trips = [c.rcd, job.supply.rcd].filter((x) => x !== null);
  return trips.length ? Math.min(...trips) : null;
}
