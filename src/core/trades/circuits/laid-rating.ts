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

/** Runs from the board to the farthest point of a circuit that is no ring; all of them for a ring. */
function wayOut(c: Circuit, runs: readonly Run[], board: string): Run[] {
  if (c.kind === "ring") return [...runs];
  const reached = new Map<string, { far: number; runs: Run[] }>([[board, { far: 0, runs: [] }]]);
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
  return [...reached.values()].reduce((best, x) => (x.far > best.far ? x : best), { far: 0, runs: [] as Run[] }).runs;
}

/**
 * What every new circuit carries as it is laid: the method, grouping and insulation of each leg taken from the plan. Volt drop is
 * judged only where the load is known. Findings of capacity, fault loop and drop, about the circuit.
 */
export function laidRatings(h: House, runs: readonly Run[], holes: readonly Hole[]): Fact[] {
  const circuitOf = new Map(runs.map((r) => [r.id, r.circuit]));
  const through = holesByRun(holes);
  const warm = new Set(h.job.circuits.filter((c) => c.device.rating >= WARMS).map((c) => c.id));
  const board = mainBoard(h.job)?.id ?? "";
  return h.job.circuits.flatMap((c): Fact[] => {
    const cable = cableOf(c.cable, h.catalogue);
    const own = runs.filter((r) => r.circuit === c.id);
    if (!cable || c.state === "keep" || !own.length) return [];
    const legs = wayOut(c, own, c.board ?? board).flatMap((r) => {
      const shared = (through.get(r.id) ?? []).map(
        (o) => new Set(o.runs.map((x) => circuitOf.get(x)!).filter((x) => x !== c.id && warm.has(x))).size + 1,
      );
      const together = Math.max(1, ...shared);
      return r.legs.map((l, i): CircuitLeg & { run: string; leg: number } => ({
        run: r.id,
        leg: i,
        length: pathLength(l.path),
        method: methodOf(h, l),
        grouped: l.method === "through-joists" && warm.has(c.id) ? together : 1,
        ambient: c.ambient,
        insulated: 0,
      }));
    });
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
