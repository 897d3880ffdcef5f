import { asWired, wiredTo } from "../job/wired";
import type { House } from "../house/house";
import type { Circuit, Pin } from "../job/model";
import type { HeldRun } from "../laid/held";
import { runKey } from "../job/run-key";
import type { Cable } from "../rules/cables";
import { type Catalogue, cableOf } from "../rules/catalogue";
import { type Fact, fact } from "../rules/fact";
import type { RouteGraph } from "./graph";
import { type RunCable, runCables } from "../trades/circuits/run-cable";
import { type Carried, coresFor } from "../rules/cores";
import { type Pairs, boardOf, pairsOf } from "./pairs";
import type { Way } from "./search";

/** A run to be laid: its ends, its circuit, and its way once it has one. */
export interface Task {
  /** Key of the run. */
  id: string;
  number: number;
  circuit: Circuit;
  /** As it is, or was run. */
  cable: Cable;
  /** What the job asks for: another than it is where a run done is not as the job now has it. */
  due: Cable;
  /** What its cores carry, where that is known. */
  carries: readonly Carried[];
  from: string;
  to: string;
  /** The user's own word on where it goes. */
  pin: Pin | null;
  /** The run as it was done: it stays. */
  held: HeldRun | null;
  /** False where no legal line joins its ends. */
  legal: boolean;
  way: Way | null;
  /** The way found for it in place of one with a level chase that is not to be: kept while that one stays what it would take. */
  instead?: { plain: readonly number[]; edges: number[] };
}

/** Circuits in the order they are laid: thick cable first, since it needs the room; ties by label and id. */
export const layingOrder = (circuits: readonly Circuit[], catalogue?: Catalogue): Circuit[] =>
  [...circuits].sort(
    (a, b) =>
      (cableOf(b.cable, catalogue)?.csa ?? 0) - (cableOf(a.cable, catalogue)?.csa ?? 0) ||
      (a.label < b.label ? -1 : a.label > b.label ? 1 : 0) ||
      (a.id < b.id ? -1 : 1),
  );

/** A plan of the job as it was a moment ago, for a quick look while something is dragged: which points are joined is taken from it. */
export interface Before {
  runs: readonly { circuit: string; from: string; to: string; carries: readonly Carried[] }[];
}

export interface Wanted {
  tasks: Task[];
  facts: Fact[];
  /** By circuit: least path length that any order over legal lines could have, mm; null where a point has no legal way. */
  bounds: Map<string, number | null>;
}

/** Every run that the circuits need, in laying order, not yet laid; runs that are pinned or done are joined as they are. */
export function tasksOf(h: House, g: RouteGraph, held: readonly HeldRun[] = [], before: Before | null = null): Wanted {
  const out: Wanted = { tasks: [], facts: [], bounds: new Map() };
  const pins = new Map(h.job.pins.map((p) => [runKey(p, p.number), p]));
  const done = new Map(held.map((r) => [r.key, r]));
  for (const c of layingOrder(
    h.job.circuits.flatMap((x) => (x.state === "keep" ? [] : [asWired(x, h.job.points)])),
    h.catalogue,
  )) {
    const cableFor = runCables(c, h.catalogue, (id) => h.points[h.pointOfId.get(id) ?? -1]?.point.kind);
    const board = boardOf(h, c);
    if (!cableFor || board < 0) continue;
    const given = [...h.job.pins, ...held].filter((p) => p.circuit === c.id);
    const found = joinedBefore(c, before) ?? pairsOf(h, g, c, board, given, out.facts);
    out.bounds.set(c.id, found.bound);
    const times = new Map<string, number>();
    for (const { from, to, legal, carries } of found.pairs) {
      const plain = runKey({ circuit: c.id, from, to });
      const number = (times.get(plain) ?? 0) + 1;
      times.set(plain, number);
      const id = runKey({ circuit: c.id, from, to }, number);
      const was = done.get(id) ?? null;
      const due = cableFor(from, to, number, coresFor(carries));
      out.tasks.push({
        id,
        number,
        circuit: c,
        cable: (was && cableOf(was.cable, h.catalogue)) ?? due,
        due,
        carries,
        from,
        to,
        pin: pins.get(id) ?? null,
        held: was,
        legal,
        way: null,
      });
    }
    addLeftOver(h, c, cableFor, pins, done, out);
  }
  for (const r of held)
    if (!out.tasks.some((t) => t.id === r.key))
      out.facts.push(fact("work.apart", "run", r.key, { of: { circuit: r.circuit, from: r.from, to: r.to } }));
  return out;
}

/** A pin and a run already done are laid though the circuit as it now stands would not join their points; the pin says so. */
function addLeftOver(
  h: House,
  c: Circuit,
  cableFor: RunCable,
  pins: ReadonlyMap<string, Pin>,
  done: ReadonlyMap<string, HeldRun>,
  out: Wanted,
): void {
  const has = new Set(out.tasks.map((t) => t.id));
  const there = (id: string): boolean => h.pointOfId.has(id);
  for (const [id, p] of pins) {
    if (p.circuit !== c.id || has.has(id) || done.has(id) || !there(p.from) || !there(p.to)) continue;
    out.facts.push(fact("route.pin-apart", "run", id, { fix: [{ collection: "pins", id: p.id, remove: true }] }));
    const { from, to, number } = p;
    const due = cableFor(from, to, number, 2);
    const ends = { id, number, circuit: c, from, to, due, cable: due, carries: [] };
    out.tasks.push({ ...ends, pin: p, held: null, legal: true, way: null });
  }
  for (const [id, r] of done) {
    if (r.circuit !== c.id || has.has(id) || !there(r.from) || !there(r.to)) continue;
    out.facts.push(fact("work.apart", "run", id, { of: { circuit: c.id, from: r.from, to: r.to } }));
    const { from, to, number } = r;
    const due = cableFor(from, to, number, 2);
    const cable = cableOf(r.cable, h.catalogue) ?? due;
    const ends = { id, number, circuit: c, from, to, due, cable, carries: [] };
    out.tasks.push({ ...ends, pin: null, held: r, legal: true, way: null });
  }
}

/** The pairs of a circuit as they were, when every point of it had a run; null when they must be worked out. */
function joinedBefore(c: Circuit, before: Before | null): Pairs | null {
  const runs = (before?.runs ?? []).filter((r) => r.circuit === c.id);
  const reached = new Set(runs.flatMap((r) => [r.from, r.to]));
  const points = wiredTo(c);
  if (!runs.length || points.some((id) => !reached.has(id))) return null;
  return {
    pairs: runs.map(({ from, to, carries }) => ({ from, to, legal: true, carries })),
    bound: 0,
  };
}
