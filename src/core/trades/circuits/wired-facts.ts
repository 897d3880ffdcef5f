import type { Circuit, Job, Point } from "../../job/model";
import { wiredTo } from "../../job/wired";
import { type Fact, fact } from "../../rules/fact";

const isLight = (p: Point): boolean => p.kind === "light" || p.kind === "wall-light";

/**
 * What hangs on the wrong circuit or on none: outlets on lighting, cooker or shower, lights on sockets, spurs on spurs, lights without
 * a switch, switches that work nothing, a light worked from another circuit. Circuits kept as they are found are not judged.
 */
export function wiredFacts(job: Job): Fact[] {
  const pointOf = new Map(job.points.map((p) => [p.id, p]));
  const judged = job.circuits.filter((c) => c.state !== "keep");
  return [
    ...judged.flatMap((c) => [...outlets(c, pointOf), ...lightsOnSockets(c, pointOf), ...spursOfSpurs(c, pointOf)]),
    ...switching(job),
  ];
}

/** Socket outlets on a circuit for something else. A cooker control with its own outlet is part of the cooker circuit. */
function outlets(c: Circuit, pointOf: ReadonlyMap<string, Point>): Fact[] {
  if (c.kind !== "lighting" && c.kind !== "cooker" && c.kind !== "shower") return [];
  return wiredTo(c).flatMap((id): Fact[] =>
    pointOf.get(id)?.kind === "socket"
      ? [
          fact("circuit.spur.source", "point", id, {
            // On a cooker circuit it is a bad habit; on the others it is dangerous.
            ...(c.kind === "cooker" ? { severity: "warn" as const } : {}),
            of: { source: c.kind },
          }),
        ]
      : [],
  );
}

/** Lights on a circuit of sockets: only behind a fused unit, and then labelled. */
function lightsOnSockets(c: Circuit, pointOf: ReadonlyMap<string, Point>): Fact[] {
  const own = wiredTo(c).flatMap((id) => pointOf.get(id) ?? []);
  const sockets = c.kind === "ring" || (c.kind === "radial" && own.some((p) => p.kind === "socket"));
  const lights = own.filter(isLight).map((p) => p.id);
  if (!sockets || !lights.length) return [];
  const fused = own.some((p) => p.kind === "fused-unit");
  return [
    fact("lighting.fed-from-sockets", "circuit", c.id, {
      ...(fused ? { case: "label", severity: "warn" as const } : { case: "no-fuse" }),
      of: { points: lights },
    }),
  ];
}

/** On a ring a spur feeds what it feeds and no more: nothing is taken on from it but behind a fuse. On a radial it is a branch. */
function spursOfSpurs(c: Circuit, pointOf: ReadonlyMap<string, Point>): Fact[] {
  if (c.kind !== "ring") return [];
  const from = new Map(c.spurs.map((s) => [s.point, s.from]));
  /** A fused unit somewhere on the way back to the ring. */
  const fused = (id: string): boolean => {
    const seen = new Set<string>();
    for (let at: string | undefined = id; at !== undefined && !seen.has(at); at = from.get(at)) {
      if (pointOf.get(at)?.kind === "fused-unit") return true;
      seen.add(at);
    }
    return false;
  };
  return c.spurs.flatMap((s): Fact[] =>
    from.has(s.from) && !fused(s.from)
      ? [fact("circuit.spur", "point", s.point, { case: "spur-of-spur", of: { from: s.from } })]
      : [],
  );
}

/** Lights without a switch, switches without a light, and lights whose line and neutral come from two circuits. */
function switching(job: Job): Fact[] {
  const circuitOf = new Map(job.circuits.flatMap((c) => wiredTo(c).map((id) => [id, c.id] as const)));
  const pointOf = new Map(job.points.map((p) => [p.id, p]));
  const worked = new Set<string>();
  const out: Fact[] = [];
  for (const p of job.points) {
    if (p.kind !== "switch") continue;
    const lights = p.controls.filter((id) => pointOf.has(id));
    for (const id of lights) worked.add(id);
    if (!lights.length && !p.existing) out.push(fact("lighting.idle-switch", "point", p.id));
    const own = circuitOf.get(p.id);
    for (const id of lights) {
      const other = circuitOf.get(id);
      if (own !== undefined && other !== undefined && own !== other)
        out.push(fact("lighting.borrowed", "point", p.id, { of: { light: id, own, other } }));
    }
  }
  for (const p of job.points)
    if (isLight(p) && !p.existing && circuitOf.has(p.id) && !worked.has(p.id))
      out.push(fact("lighting.unswitched", "point", p.id));
  return out;
}
