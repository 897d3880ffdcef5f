import { mainBoard } from "../../job/boards";
import { NOMINAL } from "../../rules/supply";
import { pathLength } from "../../base/wall-frame";
import type { House } from "../../house/house";
import type { Circuit, PinnedLeg } from "../../job/model";
import type { Hole, Run } from "../../laid/laid";
import { holesByRun } from "../../laid/run-measures";
import { cableOf } from "../../rules/catalogue";
import type { Fact } from "../../rules/fact";
import { type CircuitLeg, checkCircuit, circuitFault } from "./check-circuit";
import { cookerDemand } from "./cooker";
import type { Method } from "../../rules/ratings";

/** Insulation over a ceiling up to which the milder of its two methods holds, mm. */
const THICK = 100;
/** Devices from which a circuit warms its neighbours, A: lighting and the like is loaded too lightly to count. */
const WARMS = 16;

/** Installation method of a leg as laid, by what it lies in. Source: BS 7671:2018+A2:2022 Table 4A2, in our words. */
export function methodOf(h: House, leg: PinnedLeg): Method {
  if (leg.surface.kind === "deck") {
    const over = h.decks[h.deckOfId.get(leg.surface.id) ?? -1]?.deck.insulationOver ?? 0;
    return over <= 0 ? "C" : over <= THICK ? "100" : "101";
  }
  const wall = h.faces[h.faceOfWall.get(leg.surface.id) ?? -1]?.wall;
  return leg.method === "stud-void" && wall?.insulated ? "102" : "C";
}

/** What of a run its rating depends on. */
type RatedRun = Pick<Run, "id" | "circuit" | "from" | "to" | "legs" | "pathLength">;

/** Runs from the board to the farthest point of a circuit that is no ring; all of them for a ring. */
function wayOut(c: Circuit, runs: readonly RatedRun[], board: string): RatedRun[] {
  if (c.kind === "ring") return [...runs];
  const reached = new Map<string, { far: number; runs: RatedRun[] }>([[board, { far: 0, runs: [] }]]);
  for (let grew = true; grew;) {
    grew = false;
    for (const r of runs) {
      for (const [a, b] of [
        [r.from, r.to],
        [r.to, r.from],
      ] as const) {
        const from = reached.get(a);
        if (!from || reached.has(b) || from.runs.includes(r)) continue;
        reached.set(b, { far: from.far + r.pathLength, runs: [...from.runs, r] });
        grew = true;
      }
    }
  }
  return [...reached.values()].reduce((best, x) => (x.far > best.far ? x : best), { far: 0, runs: [] as RatedRun[] })
    .runs;
}

/**
 * What every new circuit carries as it is laid: the method, grouping and insulation of each leg taken from the plan. Volt drop is
 * judged only where the load is known. Findings of capacity, fault loop and drop, about the circuit.
 */
export function laidRatings(h: House, runs: readonly RatedRun[], holes: readonly Hole[]): Fact[] {
  const circuitOf = new Map(runs.map((r) => [r.id, r.circuit]));
  const through = holesByRun(holes);
  /**
   * Circuits that lie together on a leg: those in its fullest hole in a joist; in a wall those that go through one stud after another
   * with it, since in a single plate they only meet.
   */
  const together = (l: PinnedLeg, own: readonly Hole[], circuit: string): number => {
    const others = (o: Hole): string[] =>
      [...new Set(o.runs.map((x) => circuitOf.get(x)!))].filter((x) => x !== circuit && warm.has(x));
    if (l.method === "through-joists")
      return own.reduce((most, o) => (o.in.deck === l.surface.id ? Math.max(most, others(o).length + 1) : most), 1);
    if (l.method !== "stud-void") return 1;
    const met = new Map<string, number>();
    for (const o of own) if (o.in.wall === l.surface.id) for (const x of others(o)) met.set(x, (met.get(x) ?? 0) + 1);
    return 1 + [...met.values()].filter((n) => n > 1).length;
  };
  const warm = new Set(h.job.circuits.filter((c) => c.device.rating >= WARMS).map((c) => c.id));
  const board = mainBoard(h.job)?.id ?? "";
  return h.job.circuits.flatMap((c): Fact[] => {
    const cable = cableOf(c.cable, h.catalogue);
    const own = runs.filter((r) => r.circuit === c.id);
    if (!cable || c.state === "keep" || !own.length) return [];
    const legs = wayOut(c, own, c.board ?? board).flatMap((r) =>
      r.legs.map((l, i): CircuitLeg & { run: string; leg: number } => ({
        run: r.id,
        leg: i,
        length: pathLength(l.path),
        method: methodOf(h, l),
        grouped: warm.has(c.id) ? together(l, through.get(r.id) ?? [], c.id) : 1,
        ambient: c.ambient,
        insulated: 0,
      })),
    );
    const kind = c.kind === "shower" || c.kind === "outbuilding" ? "fixed" : c.kind;
    const outlet = c.points.some((id) =>
      h.job.points.some((p) => p.id === id && p.kind === "cooker-control" && p.gang === 2),
    );
    const load =
      c.watts > 0
        ? cookerDemand(c.watts, NOMINAL, outlet, c.kind === "cooker" ? h.job.settings.schools.cookerCurrent : "full")
            .design
        : 0;
    // Armour is rated by its own methods; on walls and joists it is clipped.
    const input = {
      kind,
      device: c.device,
      cable,
      designCurrent: load,
      legs: cable.family === "armoured" ? legs.map((l) => ({ ...l, method: "C" as const })) : legs,
      ze: null,
    };
    if (!legs.length || circuitFault(input)) return [];
    const { facts, worstLeg } = checkCircuit(input);
    const { run, leg } = legs[worstLeg]!;
    const judged = facts.filter(
      (f) =>
        f.severity !== "note" &&
        (["circuit.ring", "circuit.capacity", "circuit.loop"].includes(f.rule) ||
          (f.rule === "circuit.drop" && c.watts > 0)),
    );
    return judged.map((f) => ({
      ...f,
      subject: { kind: "circuit" as const, id: c.id },
      case: "laid",
      ...(f.where ? { where: { run, leg } } : {}),
    }));
  });
}
