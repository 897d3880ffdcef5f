import { layHouse } from "../house/house";
import type { Job } from "../job/model";
import type { Catalogue } from "../rules/catalogue";
import { buildGraph } from "./build";
import { usableFor } from "./edge-costs";
import { boardOf } from "./pairs";
import { distancesFrom } from "./search";

/** What would let a cable reach a point: each change by itself, the one that makes the shortest way first. Lengths mm. */
export interface Freeing {
  reachable: boolean;
  changes: { change: Change; length: number }[];
}
/** One change that might free a way, and the ids that its words name. */
export interface Change {
  kind: "surface" | "unforbid" | "past-obstacle" | "maker-chart" | "heavy-joists" | "repair-cuts" | "open-deck";
  circuit?: string;
  deck?: string;
  /** Name of the part kept free or of the obstacle. */
  name?: string;
}

/** Single changes to the job that might free a way. */
function candidates(job: Job, circuit: string): { change: Change; job: Job }[] {
  const deck = (id: string, next: Partial<Job["decks"][number]>): Job => ({
    ...job,
    decks: job.decks.map((d) => (d.id === id ? { ...d, ...next } : d)),
  });
  const out: { change: Change; job: Job }[] = [];
  const c = job.circuits.find((x) => x.id === circuit);
  if (c && c.walls === "hidden")
    out.push({
      change: { kind: "surface", circuit: c.id },
      job: { ...job, circuits: job.circuits.map((x) => (x.id === circuit ? { ...x, walls: "surface" as const } : x)) },
    });
  for (const x of job.forbidden)
    out.push({
      change: { kind: "unforbid", name: x.name },
      job: { ...job, forbidden: job.forbidden.filter((y) => y !== x) },
    });
  for (const d of job.decks) {
    for (const o of d.obstacles)
      out.push({
        change: { kind: "past-obstacle", deck: d.id, name: o.name || o.kind },
        job: deck(d.id, { obstacles: d.obstacles.filter((y) => y !== o) }),
      });
    if (d.kind === "engineered" && !d.makerAllows.length)
      out.push({
        change: { kind: "maker-chart", deck: d.id },
        job: deck(d.id, { makerAllows: [{ from: 300, to: 100_000, most: 25 }] }),
      });
    if (d.heavyJoists.length)
      out.push({ change: { kind: "heavy-joists", deck: d.id }, job: deck(d.id, { heavyJoists: [] }) });
    if (d.access === "closed")
      out.push({ change: { kind: "open-deck", deck: d.id }, job: deck(d.id, { access: "boards-up" }) });
    if (d.existingCuts.length)
      out.push({ change: { kind: "repair-cuts", deck: d.id }, job: deck(d.id, { existingCuts: [] }) });
  }
  return out;
}

/**
 * Tries every single change that might free a point that cannot be reached, and tells those that do, the shortest way first.
 * @param point id of the point
 */
export function whatFrees(job: Job, catalogue: Catalogue, point: string): Freeing {
  const circuit = job.circuits.find((c) => c.points.includes(point) || c.spurs.some((s) => s.point === point));
  if (!circuit) return { reachable: false, changes: [] };
  const length = (j: Job): number => {
    const h = layHouse(j, catalogue);
    const g = buildGraph(h);
    const c = j.circuits.find((x) => x.id === circuit.id)!;
    const board = boardOf(h, c);
    const [a, b] = [g.terminal[board] ?? -1, g.terminal[h.pointOfId.get(point) ?? -1] ?? -1];
    return a < 0 || b < 0 ? Infinity : distancesFrom(g, a, [b], usableFor(h, g, c), true)[0]!;
  };
  if (length(job) < Infinity) return { reachable: true, changes: [] };
  const changes = candidates(job, circuit.id)
    .map((x) => ({ change: x.change, length: length(x.job) }))
    .filter((x) => x.length < Infinity)
    .sort((a, b) => a.length - b.length);
  return { reachable: false, changes };
}
