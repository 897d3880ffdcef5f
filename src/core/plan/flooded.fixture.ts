import { layHouse } from "../house/house";
import type { Job } from "../job/model";
import { buildGraph } from "../routing/build";
import { distancesFrom } from "../routing/search";
import { flood } from "./flood.fixture";

/** Shortest hidden cable from a point to every other by the lines of the program, mm; null where there is none. */
function byLines(job: Job, source: string): Map<string, number | null> {
  const h = layHouse(job);
  const g = buildGraph(h);
  const node = (id: string): number => g.terminal[h.pointOfId.get(id)!]!;
  const d = distancesFrom(
    g,
    node(source),
    job.points.map((p) => node(p.id)),
    g.hidden,
  );
  return new Map(job.points.map((p, i) => [p.id, d[i]! < Infinity ? d[i]! : null]));
}

/**
 * Where the lines and the flood differ: one leads where the other does not, or by a length that laying in the middle of bands, beside
 * joists and at tidy bores does not explain. Water that keeps off boxes, steel and openings runs no shorter way than the lines; the
 * lines lead nowhere that water which touches them does not come.
 */
export function apartFromFlood(job: Job, source: string): string[] {
  const clear = flood(job, source);
  let close: Map<string, number | null> | null = null;
  // In a closed deck a bay is crossed only where the cable comes in; past what stands in a part of a bay it keeps to the other joist.
  const kept = job.forbidden.some((x) => x.place.on === "deck");
  const more = kept || job.decks.some((d) => d.access === "closed" || d.obstacles.length) ? 1300 : 300;
  return [...byLines(job, source)].flatMap(([id, line]) => {
    const most = clear.get(id)!;
    const said = (water: number | null): string[] => [
      `${id}: ${line?.toFixed(0) ?? "no line"} against ${water ?? "dry"}`,
    ];
    if (most !== null && (line === null || line > 1.05 * most + more)) return said(most);
    if (line === null || (most !== null && line >= 0.98 * most - 150)) return [];
    const least = (close ??= flood(job, source, 0)).get(id)!;
    return least === null || line < 0.98 * least - 150 ? said(least) : [];
  });
}
