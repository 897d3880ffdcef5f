import { mainsOf } from "../../job/mains";
import { type Cable, isMetalClad } from "../../rules/cables";
import { boardOfCircuit, feedOf, mainBoard } from "../../job/boards";
import { asWired, behindFuse, tripOf, wiredTo } from "../../job/wired";
import { Kept } from "../../base/kept";
import { signedArea } from "../../base/polygon";
import { pathLength } from "../../base/wall-frame";
import { roomServed } from "../../house/rooms-of";
import type { House } from "../../house/house";
import type { Circuit, PinnedLeg } from "../../job/model";
import { sectionOfLeg } from "../../house/sections";
import type { FoundWay, Hole } from "../../laid/laid";
import { holesByRun } from "../../laid/run-measures";
import { cableOf } from "../../rules/catalogue";
import { type Method, USUAL_SOIL } from "../../rules/ratings";
import {
  type CircuitInput,
  type CircuitLeg,
  type CircuitResult,
  atPlace,
  carried,
  checkCircuit,
  circuitFault,
  mostAt,
} from "./check-circuit";
import { type Load, circuitLoad } from "./load";
import { type Lying, type Together, lyingTogether } from "./lying-together";
import { type RatedRun, oldRuns } from "./old-part";

export type { RatedRun };

/** Insulation over a ceiling up to which the milder of its two methods holds, mm. */
const THICK = 100;

/**
 * Installation method of a leg as laid, by what it lies in; in an insulated stud wall it hangs free unless the wall says that cables
 * are fixed against the board. Source: BS 7671:2018+A2:2022 Table 4A2, in our words.
 */
export const methodOf = (h: House, leg: PinnedLeg, circuit = ""): Method =>
  methodIn(h, leg, sectionOfLeg(h, leg, circuit));

/** The same of a leg whose section is known. */
function methodIn(h: House, leg: PinnedLeg, section: ReturnType<typeof sectionOfLeg>): Method {
  if (section) {
    const wall = h.faces[h.faceOfWall.get(leg.surface.id) ?? -1]?.wall;
    return section.row.rated === "B" && wall?.insulated ? "A" : section.row.rated;
  }
  if (leg.surface.kind === "deck") {
    const over = h.decks[h.deckOfId.get(leg.surface.id) ?? -1]?.deck.insulationOver ?? 0;
    return over <= 0 ? "C" : over <= THICK ? "100" : "101";
  }
  const wall = h.faces[h.faceOfWall.get(leg.surface.id) ?? -1]?.wall;
  if (leg.method !== "stud-void" || !wall?.insulated) return "C";
  return wall.againstBoard ? "102" : "103";
}

/** Floor of the rooms that a circuit's points serve, m²; yards have none. */
export function floorServed(h: House, c: Pick<Circuit, "points" | "spurs">): number {
  const rooms = new Set(wiredTo(c).flatMap((id) => roomServed(h, id) ?? []));
  return h.job.rooms.reduce(
    (s, r) => (rooms.has(r.id) && r.kind !== "yard" ? s + Math.abs(signedArea(r.outline)) / 1e6 : s),
    0,
  );
}

/** A leg as it is rated: which of which run. */
export interface LaidLeg extends CircuitLeg {
  run: string;
  leg: number;
}
/** A place of a circuit: a point, how far it lies from the board along the cable, and how much of that is a spur or branch, m. */
export interface LaidPlace {
  point: string;
  along: number;
  spur: number;
  /** Hot, Ω. */
  zs: number;
  /** What opens the protection there in time, Ω; null where nothing does. */
  most: number | null;
  drop: { volts: number; percent: number };
}
/** A circuit as the plan lays it: everything that it is judged by, and what comes of it. */
export interface LaidCircuit {
  circuit: Circuit;
  load: Load;
  input: CircuitInput;
  result: CircuitResult;
  /** In the order of the input: the legs, then those of the spurs. */
  legs: (LaidLeg & { carries: number })[];
  /**
   * Points along the way from the board, one at the end of each of its runs, and at the end of each of the spurs of
   * the input.
   */
  way: string[];
  off: string[];
  places: LaidPlace[];
}

/** The way of a circuit: the runs in their order from the board, and those that leave it, each from a point. */
interface Shape {
  main: { run: RatedRun; to: string }[];
  /** By point: the runs to it from the way, none for the points on it. */
  branches: { joint: string; runs: RatedRun[]; to: string }[];
}

const otherEnd = (r: RatedRun, at: string): string | null => (r.from === at ? r.to : r.to === at ? r.from : null);

/** The way round a ring, or out to the farthest point of any other circuit; what hangs on it are branches. */
function shapeOf(c: Circuit, runs: readonly RatedRun[], board: string): Shape {
  const spur = new Set(c.spurs.flatMap((s) => [`${s.from} ${s.point}`, `${s.point} ${s.from}`]));
  const main =
    c.kind === "ring"
      ? round(
          runs.filter((r) => !spur.has(`${r.from} ${r.to}`)),
          board,
        )
      : farthest(runs, board);
  const used = new Set(main.map((m) => m.run));
  const jointOf = new Map<string, { joint: string; runs: RatedRun[] }>([[board, { joint: board, runs: [] }]]);
  for (const m of main) jointOf.set(m.to, { joint: m.to, runs: [] });
  const branches: Shape["branches"] = [];
  for (let grew = true; grew;) {
    grew = false;
    for (const r of runs) {
      if (used.has(r)) continue;
      for (const at of [r.from, r.to]) {
        const from = jointOf.get(at);
        const to = otherEnd(r, at)!;
        if (!from || used.has(r)) continue;
        used.add(r);
        grew = true;
        const branch = { joint: from.joint, runs: [...from.runs, r] };
        branches.push({ ...branch, to });
        if (!jointOf.has(to)) jointOf.set(to, branch);
      }
    }
  }
  return { main, branches };
}

/** From the board from run to run as long as one goes on, back to the board when the ring is whole. */
function round(runs: readonly RatedRun[], board: string): Shape["main"] {
  const left = [...runs];
  const out: Shape["main"] = [];
  for (let at = board; ;) {
    const n = left.findIndex((r) => otherEnd(r, at) !== null);
    if (n < 0) return out;
    const [run] = left.splice(n, 1);
    at = otherEnd(run!, at)!;
    out.push({ run: run!, to: at });
    if (at === board) return out;
  }
}

/** The runs from the board to the point that lies farthest along the cable. */
function farthest(runs: readonly RatedRun[], board: string): Shape["main"] {
  const reached = new Map<string, { far: number; way: Shape["main"] }>([[board, { far: 0, way: [] }]]);
  const used = new Set<RatedRun>();
  for (let grew = true; grew;) {
    grew = false;
    for (const r of runs)
      for (const at of [r.from, r.to]) {
        const from = reached.get(at);
        const to = otherEnd(r, at)!;
        if (!from || used.has(r) || reached.has(to)) continue;
        used.add(r);
        reached.set(to, { far: from.far + r.pathLength, way: [...from.way, { run: r, to }] });
        grew = true;
      }
  }
  return [...reached.values()].reduce((best, x) => (x.far > best.far ? x : best), { far: 0, way: [] as Shape["main"] })
    .way;
}

/** How a leg is rated: the very same as long as it says the same. */
const rating = new Kept<PinnedLeg, LaidLeg>();

/** What every circuit comes to, kept with it while it is laid as it was; null for one with something that no table holds. */
const kept = new Kept<Circuit, LaidCircuit | null>();

/**
 * Every new circuit as it is laid, and one that is added to with its old part, where `found` says that runs: its legs with their
 * method, grouping and insulation, what each carries, and loop and drop at every point. Circuits kept as they are, without a known cable or run, or with something that no table holds, are left out.
 */
export function laidCircuits(
  h: House,
  runs: readonly RatedRun[],
  holes: readonly Hole[],
  found: readonly FoundWay[] = [],
  lying: Lying = lyingTogether(h, runs),
): LaidCircuit[] {
  const layer = new CircuitLayer(h, runs, holes, found, lying);
  return mainsOf(h.job).flatMap((c) => layer.layOut(c) ?? []);
}

/** What the legs of a circuit are rated by. */
interface Rating {
  circuit: Circuit;
  cable: Cable;
  /** By point behind a fused unit: that unit. */
  behind: ReadonlyMap<string, string>;
  /** By run, once it is rated. */
  legs: Map<RatedRun, LaidLeg[]>;
}

/** Supply of a circuit and what lies before its board. */
type Origin = Pick<CircuitInput, "ze" | "earthing" | "before">;

class CircuitLayer {
  private readonly through: ReadonlyMap<string, readonly Hole[]>;
  private readonly main: string;
  /** Each once; one that is come to while it is laid, since boards feed each other, is not known. */
  private readonly done = new Map<Circuit, LaidCircuit | undefined>();

  constructor(
    private readonly h: House,
    private readonly runs: readonly RatedRun[],
    holes: readonly Hole[],
    private readonly found: readonly FoundWay[],
    private readonly lying: Lying,
  ) {
    this.through = holesByRun(holes);
    this.main = mainBoard(h.job)?.id ?? "";
  }

  layOut(listed: Circuit): LaidCircuit | undefined {
    if (!this.done.has(listed)) {
      this.done.set(listed, undefined);
      this.done.set(listed, this.laidOut(listed));
    }
    return this.done.get(listed);
  }

  /** An electrode on the way to its board is the earth of all that comes after. */
  private originOf(listed: Circuit): Origin {
    const { job } = this.h;
    const { ze, earthing } = job.supply;
    const board = boardOfCircuit(job, listed)?.id ?? this.main;
    if (board === this.main) return { ze, earthing };
    const feed = feedOf(job, board);
    const laid = feed && this.layOut(feed);
    const there = laid?.places.find((p) => p.point === board);
    if (!laid || !there) return { ze, earthing, before: null };
    const { volts } = there.drop;
    if (laid.circuit.farEarth === "electrode") return { ze: null, earthing: "TT", before: { zs: null, volts } };
    return { ze: laid.input.ze, earthing: laid.input.earthing ?? null, before: { zs: there.zs, volts } };
  }

  private legsOf(by: Rating, r: RatedRun): LaidLeg[] {
    let out = by.legs.get(r);
    if (out) return out;
    out = [];
    for (let i = 0; i < r.legs.length; i++) out.push(this.rated(by, r, i));
    by.legs.set(r, out);
    return out;
  }

  private rated({ circuit: c, cable, behind }: Rating, r: RatedRun, i: number): LaidLeg {
    const { h, lying } = this;
    const l = r.legs[i]!;
    const own = cableOf(r.cable, h.catalogue) ?? cable;
    const unit = behind.get(r.from) ?? behind.get(r.to);
    const fuse = unit === undefined ? undefined : h.points[h.pointOfId.get(unit)!]!.point.fuse;
    const section = sectionOfLeg(h, l, c.id);
    const method = isMetalClad(own) ? cladMethod(l, section) : methodIn(h, l, section);
    const with_: Together = lying.warm.has(c.id)
      ? lying.together(l, this.through.get(r.id) ?? NO_HOLES, c.id)
      : { circuits: 1 };
    const how = section ? section.row.grouping : method === "D" ? "ground" : with_.circuits > 1 ? with_.how : undefined;
    const another = own === cable ? null : own;
    const ambient = method === "D" ? USUAL_SOIL : c.ambient;
    // The tables for insulated places hold it already.
    const insulated = method === "C" ? c.insulated : 0;
    const made = [r.id, i, method, another, fuse, how, with_.circuits, ambient, insulated];
    return rating.of(l, made, () => ({
      run: r.id,
      leg: i,
      length: pathLength(l.path),
      method,
      ...(another ? { cable: another } : {}),
      ...(fuse === undefined ? {} : { fuse }),
      ...(how === undefined ? {} : { arrangement: how }),
      grouped: with_.circuits,
      ambient,
      insulated,
    }));
  }

  /** The runs of a circuit with its old part, where it has any. */
  private runsOf(listed: Circuit): RatedRun[] {
    const own: RatedRun[] = [];
    for (const r of this.runs) if (r.circuit === listed.id) own.push(r);
    if (own.length) own.push(...oldRuns(this.h, listed, this.runs, this.found));
    return own;
  }

  private laidOut(listed: Circuit): LaidCircuit | undefined {
    const { h } = this;
    const c = asWired(listed, h.job.points);
    const cable = cableOf(c.cable, h.catalogue);
    const own = this.runsOf(listed);
    if (!cable || c.state === "keep" || !own.length) return undefined;
    const board = c.board ?? this.main;
    const behind = behindFuse(c, (id) => h.points[h.pointOfId.get(id) ?? -1]?.point.kind);
    const by: Rating = { circuit: c, cable, behind, legs: new Map() };
    const load = circuitLoad(h.job, c);
    const origin = this.originOf(listed);
    const shape = shapeOf(c, own, board);
    const legs: LaidLeg[] = [];
    /** How many legs lead to a point of the way, and how long they are, m. */
    const to = new Map<string, { legs: number; along: number }>([[board, { legs: 0, along: 0 }]]);
    let along = 0;
    for (const m of shape.main) {
      const mine = this.legsOf(by, m.run);
      legs.push(...mine);
      along += mine.reduce((s, l) => s + l.length, 0) / 1000;
      if (!to.has(m.to)) to.set(m.to, { legs: legs.length, along });
    }
    if (!legs.length) return undefined;
    const spurs = shape.branches.map((b) => ({
      at: to.get(b.joint)!.legs - 1,
      legs: b.runs.flatMap((r) => this.legsOf(by, r)),
      b,
    }));
    const input: CircuitInput = {
      kind: c.kind === "shower" || c.kind === "outbuilding" || c.kind === "signal" ? "fixed" : c.kind,
      device: c.device,
      cable,
      designCurrent: load.amps,
      legs,
      spurs: spurs.map((s) => ({ at: s.at, legs: s.legs })),
      ...origin,
      rcd: tripOf(h.job, c),
      floorArea: floorServed(h, c),
    };
    const way = shape.main.map((m) => m.to);
    const made = [
      ...[origin.before === null, origin.before?.zs, origin.before?.volts],
      ...[cable, input.rcd, input.ze, input.earthing, input.floorArea, board, ...Object.values(load)],
      ...[...way, "legs", ...legs],
      ...spurs.flatMap((s) => ["off", s.b.joint, s.b.to, ...s.legs]),
    ];
    const laid = kept.of(listed, made, () => {
      if (circuitFault(input)) return null;
      return {
        circuit: listed,
        load,
        input,
        result: checkCircuit(input),
        legs: [...legs, ...spurs.flatMap((s) => s.legs)].map((l) => ({ ...l, carries: carried(input, l) })),
        way,
        off: shape.branches.map((b) => b.to),
        places: placesOf(input, [
          ...[...to].filter(([id]) => id !== board).map(([point, x]) => ({ point, along: x.along, legs: [] })),
          ...spurs.map(({ legs: mine, b }) => ({ point: b.to, along: to.get(b.joint)!.along, legs: mine })),
        ]),
      };
    });
    return laid ?? undefined;
  }
}

const NO_HOLES: readonly Hole[] = [];

/** Armour and mineral insulation are rated by their own methods; on walls and joists it is clipped. */
function cladMethod(l: PinnedLeg, section: ReturnType<typeof sectionOfLeg>): Method {
  if (section?.row.rated === "E" || l.method === "catenary") return "E";
  return l.method === "buried" ? "D" : "C";
}

/** Loop and drop at the points of a circuit; one that two cables lead to counts by the worse. */
function placesOf(
  input: CircuitInput,
  points: readonly { point: string; along: number; legs: readonly LaidLeg[] }[],
): LaidPlace[] {
  const places = new Map<string, LaidPlace>();
  for (const { point, along, legs } of points) {
    const { zs, drop } = atPlace(input, along, legs);
    if (zs <= (places.get(point)?.zs ?? -1)) continue;
    const spur = legs.reduce((s, l) => s + l.length, 0) / 1000;
    places.set(point, { point, along, spur, zs, most: mostAt(input, legs), drop });
  }
  return [...places.values()];
}
