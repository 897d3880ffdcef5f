import type { Job } from "../job/model";
import type { SiteEntry } from "../job/site-entry";
import type { Plan } from "../laid/laid";
import { type DrumCuts, cutDrums } from "../plan/drums";
import { stateOf } from "./entries";
import { inOrder } from "./order";

/** A length that came off a drum, as it was told. Lengths and marks mm. */
export interface Cut {
  id: string;
  run: string;
  length: number;
  from: number | null;
  to: number | null;
  by: string;
  at: string;
}

/** A drum, or an offcut that came back, as it stands. */
export interface DrumState {
  id: string;
  label: string;
  cable: string;
  /** When it came, or as the offcut came back. */
  length: number;
  offcut: boolean;
  cuts: Cut[];
  used: number;
  left: number;
  /** Metre mark at its free end now; null where it is not known. */
  mark: number | null;
  rising: boolean;
}

/** Id of the offcut that a line brought back. */
export const offcutId = (line: string): string => `offcut-${line}`;

/** Cuts and returns not taken back, in the order they were made. */
function cutLines(entries: readonly SiteEntry[]): SiteEntry[] {
  const lines = inOrder(entries.filter((e) => e.cut !== undefined || (e.kind === "undone" && e.step === null)));
  const back = new Set(lines.flatMap((e) => (e.kind === "undone" && e.after !== undefined ? [e.after] : [])));
  return lines.filter((e) => e.cut !== undefined && !back.has(e.id));
}

/** How much a cut took: by its marks where both were read, else its length. */
const taken = (e: SiteEntry): number => {
  const { from, to, length } = e.cut!;
  return from !== undefined && to !== undefined ? Math.abs(to - from) : length;
};

/** All drums of the job and the offcuts that came back, with what was cut from each. */
export function drumsOf(job: Pick<Job, "drums">, entries: readonly SiteEntry[]): DrumState[] {
  const lines = cutLines(entries);
  const out: DrumState[] = job.drums.map((d) => ({
    id: d.id,
    label: d.label,
    cable: d.cable,
    length: d.length,
    offcut: false,
    cuts: [],
    used: 0,
    left: d.length,
    mark: d.mark,
    rising: d.rising,
  }));
  const byId = new Map(out.map((d) => [d.id, d]));
  for (const e of lines) {
    const d = byId.get(e.cut!.drum);
    if (!d) continue;
    if (e.kind === "returned") {
      const offcut: DrumState = {
        ...d,
        id: offcutId(e.id),
        label: `Offcut of ${d.label}`,
        length: e.cut!.length,
        offcut: true,
        cuts: [],
        used: 0,
        left: e.cut!.length,
        mark: e.cut!.from ?? null,
      };
      out.push(offcut);
      byId.set(offcut.id, offcut);
      continue;
    }
    const length = taken(e);
    d.cuts.push({ id: e.id, run: e.run, length, from: e.cut!.from ?? null, to: e.cut!.to ?? null, by: e.by, at: e.at });
    d.used += length;
    d.left = Math.max(0, d.left - length);
    const by = d.rising ? length : -length;
    d.mark = e.cut!.to ?? (d.mark === null ? null : Math.max(0, d.mark + by));
  }
  return out;
}

/** Runs whose length is not cut: none told, and not drawn in either. */
export function runsToCut(plan: Pick<Plan, "runs">, entries: readonly SiteEntry[]): Plan["runs"] {
  const cut = new Set(cutLines(entries).flatMap((e) => (e.kind === "cut" ? [e.run] : [])));
  return plan.runs.filter(
    (r) =>
      !cut.has(r.id) &&
      !stateOf(
        entries.filter((e) => e.run === r.id),
        r.id,
      )["drawn-in"].done,
  );
}

/** What is still to be cut from what is really left: offcuts first, as much of them as can be used, then drums. */
export function cutsToCome(
  runs: readonly Plan["runs"][number][],
  drums: readonly DrumState[],
): (DrumCuts & { cable: string })[] {
  const cables = [...new Set(runs.map((r) => r.cable))].sort();
  return cables.map((cable) => {
    const pieces = runs.filter((r) => r.cable === cable).map((r) => ({ run: r.id, length: r.cutLength }));
    const own = drums.filter((d) => d.cable === cable && d.left > 0);
    const stock = (list: readonly DrumState[]) =>
      list.map((d) => ({ id: d.id, label: d.label, cable, length: d.left, mark: d.mark, rising: d.rising }));
    const first = cutDrums(cable, pieces, stock(own.filter((d) => d.offcut)));
    const rest = cutDrums(cable, first.unmet, stock(own.filter((d) => !d.offcut)));
    return {
      cable,
      drums: [...first.drums, ...rest.drums],
      unmet: rest.unmet,
      short: rest.short,
      proven: first.proven && rest.proven,
    };
  });
}

/** Where a run is to be cut: the drum, its mark now and the mark to cut at, to the next tenth of a metre so that it is never short. */
export interface CutAt {
  drum: DrumState;
  length: number;
  from: number | null;
  to: number | null;
  /** Left on it after; lacking where it holds too little. */
  after: number;
  lacking: number;
}
const TENTH = 100;
export function cutAt(drum: DrumState, length: number): CutAt {
  const rounded = Math.ceil(length / TENTH - 1e-6) * TENTH;
  const to = drum.mark === null ? null : drum.rising ? drum.mark + rounded : drum.mark - rounded;
  return {
    drum,
    length,
    from: drum.mark,
    to: to === null || to < 0 ? null : to,
    after: Math.max(0, drum.left - length),
    lacking: Math.max(0, length - drum.left),
  };
}

/** Planned and used of each circuit and each day, mm; `back` came back as offcuts and is not in `used`. */
export interface Used {
  /** `over`: share by which what was used is more than what was planned for the runs cut; null while none is. */
  circuits: { circuit: string; planned: number; cut: number; used: number; over: number | null }[];
  days: { date: string; used: number }[];
  back: number;
}
export function cableUsed(plan: Pick<Plan, "runs">, entries: readonly SiteEntry[]): Used {
  const circuitOf = new Map(plan.runs.map((r) => [r.id, r.circuit]));
  const circuits = new Map<string, { planned: number; cut: number; used: number }>();
  const of = (c: string) => {
    const there = circuits.get(c) ?? { planned: 0, cut: 0, used: 0 };
    circuits.set(c, there);
    return there;
  };
  const lines = cutLines(entries);
  const cutRuns = new Set(lines.flatMap((e) => (e.kind === "cut" ? [e.run] : [])));
  for (const r of plan.runs) {
    of(r.circuit).planned += r.cutLength;
    if (cutRuns.has(r.id)) of(r.circuit).cut += r.cutLength;
  }
  const days = new Map<string, number>();
  let back = 0;
  for (const e of lines) {
    const length = e.kind === "cut" ? taken(e) : -e.cut!.length;
    const circuit = circuitOf.get(e.run);
    if (circuit !== undefined) of(circuit).used += length;
    if (e.kind === "returned") back += e.cut!.length;
    const day = e.at.slice(0, 10);
    days.set(day, (days.get(day) ?? 0) + length);
  }
  return {
    circuits: [...circuits].map(([circuit, x]) => ({
      circuit,
      ...x,
      over: x.cut > 0 ? (x.used - x.cut) / x.cut : null,
    })),
    days: [...days].sort(([a], [b]) => (a < b ? -1 : 1)).map(([date, used]) => ({ date, used })),
    back,
  };
}
