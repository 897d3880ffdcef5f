import { layHouse } from "../job/house";
import type { Job } from "../job/model";
import type { Catalogue } from "../rules/catalogue";
import { buildGraph } from "./build";
import { usableFor } from "./edge-costs";
import { boardOf } from "./pairs";
import { distancesFrom } from "./search";

/** What would let a cable reach a point: each change by itself, the one that makes the shortest way first. Lengths mm. */
export interface Freeing {
  reachable: boolean;
  changes: { words: string; length: number }[];
}

/** Single changes to the job that might free a way, in words. */
function candidates(job: Job, circuit: string): { words: string; job: Job }[] {
  const deck = (id: string, next: Partial<Job["decks"][number]>): Job => ({
    ...job,
    decks: job.decks.map((d) => (d.id === id ? { ...d, ...next } : d)),
  });
  const out: { words: string; job: Job }[] = [];
  const c = job.circuits.find((x) => x.id === circuit);
  if (c && c.walls === "hidden")
    out.push({
      words: `take ${c.label} on the surface of the walls`,
      job: { ...job, circuits: job.circuits.map((x) => (x.id === circuit ? { ...x, walls: "surface" as const } : x)) },
    });
  for (const x of job.forbidden)
    out.push({
      words: `give up keeping ${x.name || "a part"} free`,
      job: { ...job, forbidden: job.forbidden.filter((y) => y !== x) },
    });
  for (const d of job.decks) {
    for (const o of d.obstacles)
      out.push({
        words: `find a way past ${o.name || o.kind} in ${d.name}`,
        job: deck(d.id, { obstacles: d.obstacles.filter((y) => y !== o) }),
      });
    if (d.kind === "engineered" && !d.makerAllows.length)
      out.push({
        words: `enter where the maker of the joists of ${d.name} allows holes`,
        job: deck(d.id, { makerAllows: [{ from: 300, to: 100_000, most: 25 }] }),
      });
    if (d.heavyJoists.length)
      out.push({ words: `ask an engineer about the heavy joists of ${d.name}`, job: deck(d.id, { heavyJoists: [] }) });
    if (d.existingCuts.length)
      out.push({ words: `have the cut joists of ${d.name} repaired`, job: deck(d.id, { existingCuts: [] }) });
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
    .map((x) => ({ words: x.words, length: length(x.job) }))
    .filter((x) => x.length < Infinity)
    .sort((a, b) => a.length - b.length || (a.words < b.words ? -1 : 1));
  return { reachable: false, changes };
}
