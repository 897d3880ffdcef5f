import { pathLength } from "../geometry/wall-frame";
import type { House } from "../job/house";
import { accessories } from "../rules/accessories";
import { cableOf } from "../rules/catalogue";
import type { Clips, Hole, Run, TakeOffLine, End } from "../plan/plan-model";

/** Widths of capping sold over chased cable, mm. Typical. */
const cappings = [12, 25, 38];

const gangName = (gang: number): string => (gang === 2 ? "2-gang" : "1-gang");

/** What to buy and bring, circuit by circuit: cable, boxes, plates, clips, grommets, capping, steel plates. Lengths in metres, unrounded. */
export function takeOff(h: House, runs: readonly Run[], holes: readonly Hole[], clips: readonly Clips[], ends: readonly End[]): TakeOffLine[] {
  const sums = new Map<string, TakeOffLine>();
  const add = (item: string, size: string, quantity: number, unit: TakeOffLine["unit"], circuit: string | null): void => {
    const key = [circuit ?? "", item, size].join("\u0000");
    const line = sums.get(key);
    if (line) line.quantity += quantity;
    else sums.set(key, { item, size, quantity, unit, circuit });
  };
  const circuitOfPoint = new Map<string, string>();
  for (const c of h.job.circuits) for (const p of [...c.points, ...c.spurs.map((s) => s.point)]) circuitOfPoint.set(p, c.id);
  const runOf = new Map(runs.map((r) => [r.id, r]));
  for (const r of runs) {
    const cable = cableOf(r.cable, h.catalogue)!;
    add("Cable", cable.name, r.cutLength / 1000, "m", r.circuit);
    for (const l of r.legs)
      if (l.method === "chase" && !l.protected) {
        const width = cappings.find((w) => w >= cable.width) ?? cappings[cappings.length - 1]!;
        add("Capping", `${width} mm`, pathLength(l.path) / 1000, "m", r.circuit);
      }
  }
  for (const p of h.points) {
    const { point } = p;
    const circuit = circuitOfPoint.get(point.id) ?? null;
    const kind = accessories[point.kind];
    add(kind.name, kind.gangs.length > 1 ? gangName(point.gang) : "", 1, "each", circuit);
    if (point.kind === "board" || p.deck >= 0) continue;
    add(point.mount === "flush" ? "Flush box" : "Surface box", `${gangName(kind.gangs.length > 1 ? point.gang : 1)}, ${point.boxDepth} mm deep`, 1, "each", circuit);
  }
  for (const e of ends) {
    const p = h.points[h.pointOfId.get(e.point)!]!;
    if (p.face >= 0 && p.point.kind !== "board" && p.point.mount === "flush") add("Grommet", "20 mm", 1, "each", runOf.get(e.run)?.circuit ?? null);
  }
  for (const c of clips) {
    const run = runOf.get(c.run)!;
    add("Clip", cableOf(run.cable, h.catalogue)!.name, c.marks.length, "each", run.circuit);
  }
  for (const hole of holes) if (hole.plated) add("Steel plate", "for one bore", 1, "each", null);
  return [...sums.values()].sort((a, b) => {
    const ka = [a.circuit ?? "\uffff", a.item, a.size].join("\u0000");
    const kb = [b.circuit ?? "\uffff", b.item, b.size].join("\u0000");
    return ka < kb ? -1 : ka > kb ? 1 : 0;
  });
}

/** The same list summed over all circuits. */
export function totals(lines: readonly TakeOffLine[]): TakeOffLine[] {
  const sums = new Map<string, TakeOffLine>();
  for (const l of lines) {
    const key = `${l.item}\u0000${l.size}`;
    const s = sums.get(key);
    if (s) s.quantity += l.quantity;
    else sums.set(key, { ...l, circuit: null });
  }
  return [...sums.entries()].sort(([a], [b]) => (a < b ? -1 : a > b ? 1 : 0)).map(([, l]) => l);
}
