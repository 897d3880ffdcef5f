import { mainsOf } from "../../job/mains";
import type { Circuit, Job, Point } from "../../job/model";
import { asWired, behindFuse, wiredTo } from "../../job/wired";
import { isLight, isSocket } from "../../rules/accessories";
import { type Fact, fact } from "../../rules/fact";
import { lightingOf } from "../lighting/gangs";
import { switchingFacts } from "../lighting/wire";

/**
 * What hangs on the wrong circuit or on none: outlets on lighting, cooker or shower, lights on sockets, spurs on spurs, lights without
 * a switch, switches that work nothing, a light worked from another circuit. Circuits kept as they are found are not judged.
 */
export function wiredFacts(job: Job): Fact[] {
  const pointOf = new Map(job.points.map((p) => [p.id, p]));
  const judged = mainsOf(job).flatMap((c) => (c.state === "keep" ? [] : [asWired(c, job.points)]));
  return [
    ...judged.flatMap((c) => [...outlets(c, pointOf), ...lightsOnSockets(c, pointOf), ...spursOfSpurs(c, pointOf)]),
    ...switching(job),
  ];
}

/** Socket outlets on a circuit for something else. A cooker control with its own outlet is part of the cooker circuit. */
function outlets(c: Circuit, pointOf: ReadonlyMap<string, Point>): Fact[] {
  if (c.kind !== "lighting" && c.kind !== "cooker" && c.kind !== "shower") return [];
  return wiredTo(c).flatMap((id): Fact[] =>
    isSocket(pointOf.get(id)?.kind ?? "board")
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
  const sockets = c.kind === "ring" || (c.kind === "radial" && own.some((p) => isSocket(p.kind)));
  if (!sockets) return [];
  const behind = behindFuse(c, (id) => pointOf.get(id)?.kind);
  const byUnit = new Map<string | undefined, string[]>();
  for (const p of own) {
    if (!isLight(p.kind)) continue;
    const unit = behind.get(p.id);
    if (unit !== undefined && pointOf.get(unit)!.labelled) continue;
    byUnit.set(unit, [...(byUnit.get(unit) ?? []), p.id]);
  }
  return [...byUnit].map(([unit, points]) =>
    fact("lighting.fed-from-sockets", "circuit", c.id, {
      ...(unit === undefined ? { case: "no-fuse" } : { case: "label", severity: "warn" as const }),
      of: { points, ...(unit === undefined ? {} : { unit }) },
    }),
  );
}

/** On a ring a spur feeds what it feeds and no more: nothing is taken on from it but behind a fuse. On a radial it is a branch. */
function spursOfSpurs(c: Circuit, pointOf: ReadonlyMap<string, Point>): Fact[] {
  if (c.kind !== "ring") return [];
  const from = new Map(c.spurs.map((s) => [s.point, s.from]));
  const behind = behindFuse(c, (id) => pointOf.get(id)?.kind);
  return c.spurs.flatMap((s): Fact[] =>
    from.has(s.from) && !behind.has(s.point)
      ? [fact("circuit.spur", "point", s.point, { case: "spur-of-spur", of: { from: s.from } })]
      : [],
  );
}

/** Lights without a switch, switches without a light, two-way pairs that do not match, and borrowed neutrals; of what is new. */
function switching(job: Job): Fact[] {
  const circuits = Object.fromEntries(job.circuits.flatMap((c) => wiredTo(c).map((id) => [id, c.id] as const)));
  const pointOf = new Map(job.points.map((p) => [p.id, p]));
  const all = lightingOf(job, [...pointOf.keys()]);
  return switchingFacts({ feed: job.settings.schools.lightingFeed, ...all, circuits }, "point").filter((f) => {
    const p = pointOf.get(f.subject.id)!;
    if (f.rule === "lighting.idle-switch") return !p.existing && !p.controls.length;
    return f.rule !== "lighting.unswitched" || (!p.existing && Object.hasOwn(circuits, p.id));
  });
}
