import { atLeast } from "../base/tolerance";
import type { House } from "../house/house";
import type { HeldRun } from "../laid/held";
import type { FoundWay, Hole } from "../laid/laid";
import { type Laid, type LaidRun, type OnProgress, layAgain, layWanted, wantedOf } from "../routing/lay";
import type { RouteGraph } from "../routing/graph";
import { type Care, type MostTogether, NO_CARE } from "../routing/care";
import type { Fact } from "../rules/fact";
import { groupingFactor, type groupings } from "../rules/ratings";
import type { Before, Task } from "../routing/tasks";
import { type LaidCircuit, laidCircuits } from "../trades/circuits/laid-circuit";
import { ratingsOf } from "../trades/circuits/laid-rating";
import { type Lying, lyingTogether } from "../trades/circuits/lying-together";
import { runLength } from "../laid/run-measures";
import { holesOf } from "./holes";

/** How often circuits that fail as laid are laid again with more care. */
const TRIES = 2;

export interface LaidWithCare {
  laid: Laid;
  holes: Hole[];
  care: Care;
  /** Every run as it lies. */
  tasks: readonly Task[];
  /** What lies with what as they lie. */
  lying: Lying;
  /** What every circuit carries as its runs lie. */
  circuits: LaidCircuit[];
}

/** Every circuit as its runs lie. */
const circuitsOf = (
  h: House,
  runs: readonly LaidRun[],
  holes: readonly Hole[],
  found: readonly FoundWay[],
  lying: Lying,
): LaidCircuit[] =>
  laidCircuits(
    h,
    runs.map((r) => ({ ...r, pathLength: runLength(r.legs) })),
    holes,
    found,
    lying,
  );

/** Circuits that fail as they are laid, by what would help them; how many findings there are in all. */
function failing(h: House, runs: readonly LaidRun[], circuits: readonly LaidCircuit[]): { care: Care; stops: number } {
  const facts = ratingsOf(h, runs, circuits).filter((f) => f.severity === "stop");
  const of = (rules: readonly string[]): Fact[] => facts.filter((f) => rules.includes(f.rule));
  // Another place helps only where it is others beside it that make it carry too little, and not those in a section that the user drew.
  const legs = new Map(runs.map((r) => [r.id, r.legs]));
  const placed = ({ where }: Fact): boolean => legs.get(where?.run ?? "")?.[where?.leg ?? -1]?.section === undefined;
  const beside = of(["circuit.ring", "circuit.capacity"]).filter((f) => Number(f.of?.grouped ?? 1) > 1 && placed(f));
  return {
    care: {
      short: new Set(of(["circuit.loop", "circuit.drop"]).map((f) => f.subject.id)),
      apart: new Map(beside.map((f) => [f.subject.id, mostTogether(f)])),
    },
    stops: facts.length,
  };
}

/** How many circuits may lie together for one that fails beside others: its capacity alone times the factor still has to be enough. */
function mostTogether({ measured, limit, of }: Fact): MostTogether {
  const alone = measured! / groupingFactor(Number(of!.grouped), of!.arrangement as (typeof groupings)[number]);
  const most = (how: keyof MostTogether): number => {
    let n = 1;
    while (n < Number(of!.grouped) && atLeast(alone * groupingFactor(n + 1, how), limit!)) n++;
    return n;
  };
  return { bunched: most("bunched"), wall: most("wall") };
}

/**
 * Lays the runs of a house so that what each circuit carries holds where a way exists: one whose loop or drop is too much is laid by
 * the shortest way; one that carries too little beside others is kept out of their holes and off their lines, and in a stud wall goes
 * through holes of its own. What does not help is not kept.
 */
export function layWithCare(
  h: House,
  g: RouteGraph,
  {
    held,
    before,
    care,
    found,
    progress,
  }: {
    held: readonly HeldRun[];
    before: Before | null;
    care?: Care;
    found: readonly FoundWay[];
    progress?: OnProgress;
  },
): LaidWithCare {
  const wanted = wantedOf(h, g, held, before);
  const { tasks } = wanted;
  const given = care ?? NO_CARE;
  const laid = layWanted(h, g, wanted, { quick: before !== null, care: given, ...(progress ? { progress } : {}) });
  const laidOut = (l: Laid, by: Care): LaidWithCare => {
    const holes = holesOf(h, l.runs, by);
    const lying = lyingTogether(h, l.runs);
    return { laid: l, holes, care: by, tasks, lying, circuits: circuitsOf(h, l.runs, holes, found, lying) };
  };
  let best = laidOut(laid, given);
  // While something is dragged it is laid as it was a moment ago.
  if (before) return best;
  let { care: more, stops } = failing(h, best.laid.runs, best.circuits);
  let tried = given;
  for (let k = 0; k < TRIES && more.short.size + more.apart.size > 0; k++) {
    const next: Care = {
      short: new Set([...tried.short, ...more.short]),
      apart: new Map([...tried.apart, ...more.apart]),
    };
    if (next.short.size === tried.short.size && next.apart.size === tried.apart.size) break;
    tried = next;
    const was = tasks.map(({ way, instead }) => ({ way, instead }));
    const again = laidOut(layAgain(h, g, wanted, next), next);
    const then = failing(h, again.laid.runs, again.circuits);
    more = then.care;
    if (then.stops < stops && again.laid.runs.length >= best.laid.runs.length) {
      best = again;
      stops = then.stops;
    } else
      tasks.forEach((t, i) => {
        t.way = was[i]!.way;
        if (was[i]!.instead) t.instead = was[i]!.instead!;
        else delete t.instead;
      });
  }
  return best;
}
