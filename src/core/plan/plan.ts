import { leakageFacts } from "../trades/board/leakage";
import { ratingsOf } from "../trades/circuits/laid-rating";
import { bathFacts } from "../trades/bath/bath-facts";
import { apartFacts } from "../trades/signals/apart";
import { lineFacts } from "../trades/signals/line-facts";
import { alarmFacts } from "../trades/alarms/alarm-facts";
import { demandFacts } from "../trades/circuits/demand";
import type { Lying } from "../trades/circuits/lying-together";
import { wiredFacts } from "../trades/circuits/wired-facts";
import { supplyFacts } from "../trades/circuits/supply-facts";
import { drawFacts, foundFacts } from "../trades/circuits/found";
import { type House, layHouse } from "../house/house";
import type { HeldRun } from "../laid/held";
import type { LaidDeck } from "../house/deck";
import { closedFacts, heldFacts } from "./held-work";
import { standingFacts, withTriedFixes } from "./tried-fixes";
import type { Job } from "../job/model";
import { sectionFacts } from "../trades/containment/section-facts";
import { notifyFacts } from "../trades/kitchen/string-path";
import { cutDrums } from "./drums";
import { takeOff } from "./take-off";
import { graphOf } from "../routing/build";
import { checkPlan } from "./checker";
import type { RouteGraph } from "../routing/graph";
import { foundWays } from "../routing/found-ways";
import type { Laid, LaidRun, OnProgress } from "../routing/lay";
import { type Care, NO_CARE } from "../routing/care";
import { type Why, whyThisWay } from "../routing/why";
import { type Catalogue, cableOf } from "../rules/catalogue";
import { type Fact, fact, inOrder } from "../rules/fact";
import { pathLength } from "../base/wall-frame";
import { backToBackFacts } from "./back-to-back";
import { boardFacts } from "./board-figures";
import { clipsOf } from "./clips";
import { endFacts } from "./end-figures";
import { endOf, lengthsOf } from "./ends";
import { glandFaceFacts } from "./gland-faces";
import { trunkingEndFacts } from "./trunking-ends";
import { leastCable } from "./least-cable";
import { extensionFacts } from "../trades/retrofit/extension";
import { lightRowFacts, lightRows } from "./light-row";
import { outsideFacts } from "../trades/outside/outside-facts";
import { layWithCare } from "./careful";
import type { Clips, End, Hole, Plan, Run } from "../laid/laid";
import { holesByRun } from "../laid/run-measures";
import { deckFacts } from "./deck-facts";
import { sealFacts } from "./section-figures";
import { wallSealFacts } from "./wall-seals";

export interface PlanOptions {
  /** A clock in ms, to fill `elapsed`; the core has none of its own. */
  clock?: () => number;
  /** Sizes of cables and parts; the standard ones when left out. */
  catalogue?: Catalogue;
  /** Told how many runs have been laid; returning true stops the work with `Stopped`. */
  progress?: OnProgress;
  /** A plan of the job a moment ago: then the runs join the same points and are laid once, for a quick look; its bound stands. */
  before?: Plan | null;
  /** Runs already done on site: they stay as they were done, and all else is laid round them. */
  held?: readonly HeldRun[];
  /** Faces released for closing: nothing new lies hidden in them. "wall:ID", "deck:ID". */
  closed?: readonly string[];
}

/**
 * Job in, whole plan out: the one function that screens, worker, exports and the command line call. Pure and
 * deterministic but for `elapsed`.
 */
export function makePlan(job: Job, options: PlanOptions = {}): Plan {
  return planHouse(layHouse(job, options.catalogue), options);
}

/** The same for a house already laid out. */
export function planHouse(h: House, options: PlanOptions = {}): Plan {
  const started = options.clock?.() ?? 0;
  const held = options.held ?? [];
  const before = options.before ?? null;
  const graph = graphAround(h, held);
  const found = foundWays(h, graph);
  const { laid, holes, care, circuits, lying } = layWithCare(h, graph, {
    held,
    before,
    found,
    ...(before ? { care: careOf.get(before) ?? NO_CARE } : {}),
    ...(options.progress ? { progress: options.progress } : {}),
  });
  const through = holesByRun(holes);
  const ends: End[] = [];
  const clips: Clips[] = [];
  const runs: Run[] = [];
  for (const r of laid.runs) {
    const own: [End, End] = [endOf(h, r, r.from, true), endOf(h, r, r.to, false)];
    ends.push(...own);
    addClips(h, r, clips);
    runs.push(runAsLaid(h, r, own, groupedMost(lying, r, through.get(r.id) ?? [])));
  }
  const total = runs.reduce((s, r) => s + r.pathLength, 0);
  // While something is dragged the least of a moment ago stands: it is worked out again when the hand lets go.
  const least = before
    ? { bound: Math.min(total, before.cable.bound ?? 0), plumb: before.cable.plumb }
    : leastCable(h, runs);
  const bound = runs.length ? least.bound : null;
  const standing = standingFacts(h);
  const facts: Fact[] = [
    ...laid.facts,
    ...checkPlan(h, { runs, holes, clips }),
    ...deckFacts(h),
    ...standing.points,
    ...standing.serving,
    ...notifyFacts(h),
    ...standing.circuits,
    ...supplyFacts(h.job),
    ...wiredFacts(h.job),
    ...bathFacts(h, runs),
    ...lineFacts(h.job, h.catalogue),
    ...apartFacts(h, runs, holes),
    ...alarmFacts(h),
    ...demandFacts(h.job),
    ...ratingsOf(h, runs, circuits),
    ...foundFacts(h.job),
    ...drawFacts(h.job, runs),
    ...sectionFacts(h, runs),
    ...sealFacts(h),
    ...backToBackFacts(h, runs),
    ...wallSealFacts(h, runs, holes),
    ...extensionFacts(h, { runs, found }),
    ...outsideFacts(h, runs),
    ...(h.job.lightRows.length ? lightRows(h, circuits).flatMap(lightRowFacts) : []),
    ...endFacts(h, { runs, ends }),
    ...glandFaceFacts(h, { runs, ends }),
    ...trunkingEndFacts(h),
    ...boardFacts(h, { runs, ends }),
    ...leakageFacts(h.job),
    ...stockFacts(h, runs),
    ...heldFacts(h, held, laid.runs),
    ...closedFacts(runs, options.closed ?? []),
  ];
  const plan: Plan = {
    runs,
    holes,
    clips,
    ends,
    // What is to be bought, like the least cable, is that of a moment ago while something is dragged.
    takeoff: before ? before.takeoff : takeOff(h, runs, holes, clips, ends, found),
    found,
    cable: {
      total,
      bound,
      ratio: bound === null ? null : bound > 0 ? total / bound : 1,
      plumb: least.plumb,
      lines: linesBound(laid, runs, total, before),
    },
    facts: inOrder(before ? facts : withTriedFixes(h, facts, standing)),
    elapsed: options.clock ? options.clock() - started : 0,
  };
  careOf.set(plan, care);
  return plan;
}

function addClips(h: House, r: LaidRun, clips: Clips[]): void {
  const cable = cableOf(r.cable, h.catalogue)!;
  for (let i = 0; i < r.legs.length; i++) {
    const c = clipsOf(h, cable, r, i);
    if (c) clips.push(c);
  }
}

/** How many loaded circuits lie together on the leg of a run where most do. */
function groupedMost(lying: Lying, r: LaidRun, own: readonly Hole[]): number {
  let most = 1;
  if (lying.warm.has(r.circuit))
    for (const l of r.legs) most = Math.max(most, lying.together(l, own, r.circuit).circuits);
  return most;
}

function runAsLaid(h: House, r: LaidRun, own: [End, End], grouped: number): Run {
  const { path, cut } = lengthsOf(h, r, own);
  const { id, number, circuit, from, to, cable, legs, pin } = r;
  return {
    id,
    number,
    circuit,
    from,
    to,
    cable,
    carries: [...r.carries],
    legs,
    pathLength: path,
    cutLength: r.held?.cutLength ?? cut,
    method: mainMethod(r),
    grouped,
    pin,
    held: r.held !== null,
    ...(r.held?.built ? { built: true } : {}),
  };
}

/** By plan: the circuits that were laid with more care; a quick look while something is dragged takes the same. */
const careOf = new WeakMap<Plan, Care>();

/** Why a run of the plan goes the way it goes; see `whyThisWay`. */
export function whyRun(h: House, run: string, held: readonly HeldRun[] = []): Why | null {
  const g = graphAround(h, held);
  return whyThisWay(h, g, run, layWithCare(h, g, { held, before: null, found: foundWays(h, g) }));
}

/** The legal lines of a house as they are with what is done already. */
const graphAround = (h: House, held: readonly HeldRun[]): RouteGraph => graphOf(aroundHeld(h, held));

/**
 * Least path that any orders over legal lines could have, mm; null where there is none to be had. It is on ways from middle to
 * middle: what paths leave out behind plates is taken off it alike.
 */
function linesBound(laid: Laid, runs: readonly Run[], total: number, before: Plan | null): number | null {
  if (runs.some((r) => r.pin !== null || r.held)) return null;
  if (before) return before.cable.lines === null ? null : Math.min(total, before.cable.lines);
  const bounds = [...laid.bounds.values()];
  if (bounds.some((b) => b === null)) return null;
  const whole = laid.runs.reduce((s, r) => s + r.whole, 0);
  return Math.max(0, bounds.reduce<number>((s, b) => s + b!, 0) - Math.max(0, whole - total));
}

/**
 * The house as new bores must respect it: holes drilled for runs that are done count like the old cuts of a joist, but where a bore
 * place lies right there, which other runs may then share.
 */
function aroundHeld(h: House, held: readonly HeldRun[]): House {
  const drilled = held
    .flatMap((r) => r.holes)
    .flatMap(({ in: { kind, deck, joist, span }, at, diameter, notch }) =>
      kind === "joist" && deck !== undefined && joist !== undefined && span !== undefined
        ? [{ deck, joist, span, at, diameter, ...(notch ? { notch } : {}) }]
        : [],
    );
  if (!drilled.length) return h;
  let known = around.get(held);
  if (!known) around.set(held, (known = new Map()));
  const decks = h.decks.map((d) => {
    const was = known.get(d.deck.id);
    if (was?.of === d) return was.now;
    const own = drilled.filter((o) => o.deck === d.deck.id);
    const now = own.length ? { ...d, drilled: own } : d;
    known.set(d.deck.id, { of: d, now });
    return now;
  });
  return { ...h, decks };
}

/** By what is done: each deck as laid out, and with those holes in it; so it is the same from plan to plan. */
const around = new WeakMap<readonly HeldRun[], Map<string, { of: LaidDeck; now: LaidDeck }>>();

/** Method by which the longest part of the run is taken. */
function mainMethod(r: LaidRun): string {
  const by = new Map<string, number>();
  for (const l of r.legs) by.set(l.method, (by.get(l.method) ?? 0) + pathLength(l.path));
  let best = "";
  for (const [m, len] of by) if (best === "" || len > by.get(best)! + 1e-6) best = m;
  return best;
}

/** Cables for which the drums named in the job do not hold the runs. A cable with no drum listed is simply to be bought. */
function stockFacts(h: House, runs: readonly Run[]): Fact[] {
  const { job } = h;
  const out: Fact[] = [];
  for (const cable of [...new Set(job.drums.map((d) => d.cable))].sort()) {
    const pieces = runs.filter((r) => r.cable === cable).map((r) => ({ run: r.id, length: r.cutLength }));
    const cut = cutDrums(cable, pieces, job.drums);
    if (!cut.unmet.length) continue;
    const have = cut.drums.reduce((s, d) => s + d.length, 0);
    const need = pieces.reduce((s, p) => s + p.length, 0);
    const longest = Math.max(...cut.unmet.map((p) => p.length));
    out.push(
      fact("stock.short", "cable", cable, {
        measured: have / 1000,
        limit: need / 1000,
        sense: "least",
        unit: "m",
        of: { lengths: pieces.length, unmet: cut.unmet.length, short: cut.short / 1000, longest: longest / 1000 },
      }),
    );
  }
  return out;
}
