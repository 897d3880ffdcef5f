import { distance } from "../base/wall-frame";
import { openedAt } from "../house/deck";
import type { House, PlacedPoint } from "../house/house";
import type { PinnedLeg, Point } from "../job/model";
import { wiredTo } from "../job/wired";
import type { End, Run } from "../laid/laid";
import { bodyOf, enclosureDepth } from "../rules/box-room";
import { clippedStretch, clipsOf } from "./clips";
import { type Cable, isSignalCable, overall } from "../rules/cables";
import { cableOf } from "../rules/catalogue";
import { TERMINAL_DEPTH, conductorDiameter } from "../rules/conductors";
import { type Fact, fact } from "../rules/fact";
import { type Gland, coneOf } from "../rules/glands";
import { type ArmourMarks, armourAsEarth, armourMarks } from "../trades/ends/armour-end";
import { type BoxRoom, type Tail, boxRoom } from "../trades/ends/box-fill";
import { pickGland } from "../trades/ends/gland-pick";
import { MI_ENTRY, MI_TAILS, STRIPPER_BODY, mineralStrip } from "../trades/ends/mineral-strip";
import { bendRadius } from "../trades/fixings/bends";
import { type Connector, connectorsOf } from "../trades/lighting/connectors";
import { type WiredCore, wiringAt } from "../trades/lighting/terminals";

/** An armoured end: its gland and the marks on its cable. Lengths mm. */
export interface ArmourEnd {
  gland: Gland | null;
  /** The type that seals on the sheath, where the end stands out of doors. */
  outdoors: boolean;
  /** From the last cleat. */
  marks: ArmourMarks;
  asEarth: ReturnType<typeof armourAsEarth>;
  facts: Fact[];
}

/** A mineral-insulated end: which end of its run it is, and its marks from the face of the first box, mm. */
export interface MineralEnd {
  /** The end made off first, from which the other is measured. */
  first: boolean;
  faceToFace: number;
  sheathEnd: number;
  cut: number;
  coverMark: number;
  tails: number;
  body: number;
}

/** A cable at a point. */
export interface EndCable {
  end: End;
  run: Run;
  /** Rating of the device that feeds it, A. */
  rating: number;
  cable: Cable;
  /** The point at its other end. */
  other: string;
  /** Where it comes in along its edge: from the left of the box at top and bottom, from its top at the sides, mm. */
  at: number;
  cores: WiredCore[];
  armour: ArmourEnd | null;
  mineral: MineralEnd | null;
}

/** Everything to know of the box of a point and the cables in it. Lengths mm. */
export interface EndFigures {
  placed: PlacedPoint;
  /** Inside of the box; depth as the point has it. */
  box: { width: number; height: number; depth: number };
  outdoors: boolean;
  cables: EndCable[];
  /** Tail from a metal box to the accessory; null where the box is plastic or there is none. */
  earthTail: number | null;
  /** The connectors in which cores meet, by their letters. */
  connectors: Connector[];
  /** Copper to bare for a terminal, to be tried with a scrap end. */
  strip: number | null;
  /** What must fit behind the accessory; null where there is no box to close. */
  room: BoxRoom | null;
}

/** What of a plan its ends are worked out from. */
export interface WithEnds {
  runs: readonly Run[];
  ends: readonly End[];
}

/** The figures of the box at a point, from the cables that are laid to it. The one source of every measure of an end. */
export function endFigures(h: House, plan: WithEnds, point: string): EndFigures | null {
  const kept = worked(h, plan);
  let f = kept.figures.get(point);
  if (f === undefined) kept.figures.set(point, (f = figuresOf(h, kept, point)));
  return f;
}

/** What of a plan was worked out already, for the house and the ends it was worked out from. */
interface Worked {
  h: House;
  ends: readonly End[];
  runOf: ReadonlyMap<string, Run>;
  endsAt: ReadonlyMap<string, End[]>;
  figures: Map<string, EndFigures | null>;
}
const byRuns = new WeakMap<readonly Run[], Worked>();

function worked(h: House, { runs, ends }: WithEnds): Worked {
  const there = byRuns.get(runs);
  if (there && there.h === h && there.ends === ends) return there;
  const endsAt = new Map<string, End[]>();
  for (const e of ends) {
    const list = endsAt.get(e.point);
    if (list) list.push(e);
    else endsAt.set(e.point, [e]);
  }
  const out: Worked = { h, ends, runOf: new Map(runs.map((r) => [r.id, r])), endsAt, figures: new Map() };
  byRuns.set(runs, out);
  return out;
}

function figuresOf(h: House, { runOf, endsAt }: Worked, point: string): EndFigures | null {
  const placed = h.points[h.pointOfId.get(point) ?? -1];
  if (!placed) return null;
  const box = { ...placed.box, depth: enclosureDepth(placed.point) };
  const outdoors = isOutdoors(h, placed);
  const ends = (endsAt.get(point) ?? []).filter((e) => runOf.has(e.run));
  const here = ends.map((e) => runOf.get(e.run)!);
  const wired = new Map(
    wiringAt(h.job, here, (r) => cableOf(runOf.get(r.id)?.cable ?? "", h.catalogue), point).map((w) => [w.run, w]),
  );
  const places = placesAlong(placed, ends, runOf);
  const cables: EndCable[] = [];
  for (const end of ends) {
    const run = runOf.get(end.run)!;
    const cable = cableOf(run.cable, h.catalogue)!;
    cables.push({
      end,
      run,
      rating: h.job.circuits.find((x) => x.id === run.circuit)?.device.rating ?? 0,
      cable,
      other: run.from === point ? run.to : run.from,
      at: places.get(end.run)!,
      cores: isSignalCable(cable) ? [] : (wired.get(end.run)?.cores ?? []),
      armour: cable.family === "armoured" ? armourEnd(h, placed, end, run, cable, outdoors) : null,
      mineral: cable.family === "mi" ? mineralEnd(h, run, end, run.from === point) : null,
    });
  }
  const boxed = placed.face >= 0 && placed.point.kind !== "board" && placed.point.kind !== "junction-box";
  // An outlet without mains has nothing to earth.
  const signals = cables.length > 0 && cables.every((c) => isSignalCable(c.cable));
  const metal = boxed && !signals && placed.point.mount === "flush";
  const earthTail = metal && cables.length ? longestConductor(cables) : null;
  const tails = tailsOf(cables, earthTail);
  const connectors = connectorsOf(
    [...wired.values()].filter((w) => cables.some((c) => c.run.id === w.run && c.cores.length)),
  );
  return {
    placed,
    box,
    outdoors,
    cables,
    earthTail,
    connectors,
    strip: signals ? null : TERMINAL_DEPTH,
    room:
      boxed && (tails.length || (signals && placed.point.kind !== "cabinet"))
        ? boxRoom(
            box,
            bodyOf(placed.point.kind),
            tails,
            connectors.reduce((n, x) => n + x.ways.length, 0),
          )
        : null,
  };
}

function longestConductor(cables: readonly EndCable[]): number {
  let longest = 0;
  for (const c of cables) longest = Math.max(longest, c.end.measures.conductor ?? 0);
  return longest;
}

/** Conductors that lie behind the accessory. */
function tailsOf(cables: readonly EndCable[], earthTail: number | null): Tail[] {
  const out: Tail[] = [];
  for (const { cores, armour, cable, end } of cables)
    for (const core of cores)
      out.push({
        diameter: conductorDiameter(core.carries === "cpc" && !armour ? Math.max(cable.cpc, 1) : cable.csa),
        length: end.measures.conductor ?? 0,
      });
  if (earthTail !== null && out.length) out.push({ diameter: out[out.length - 1]!.diameter, length: earthTail });
  return out;
}

/** True for a point in the open. */
const isOutdoors = (h: House, p: PlacedPoint): boolean => h.faces[p.face]?.room.kind === "yard";

/** Cables that come in at one edge stand equally apart along it, in the order they come from. */
function placesAlong(p: PlacedPoint, ends: readonly End[], runOf: ReadonlyMap<string, Run>): Map<string, number> {
  const out = new Map<string, number>();
  for (const entry of ["left", "right", "top", "bottom", "behind"] as const) {
    const here = ends.filter((e) => e.entry === entry);
    if (here.length > 1) {
      const order = new Map(here.map((e) => [e, orderBy(p, runOf, e)]));
      here.sort((a, b) => order.get(a)! - order.get(b)!);
    }
    const length = entry === "left" || entry === "right" ? p.box.height : p.box.width;
    for (let i = 0; i < here.length; i++) out.set(here[i]!.run, (length * (i + 1)) / (here.length + 1));
  }
  return out;
}

/** What orders cables along an edge: how far along the wall, or down it, they come from; ties stay as the plan has them. */
function orderBy(p: PlacedPoint, runOf: ReadonlyMap<string, Run>, e: End): number {
  const way = fromPoint(runOf.get(e.run)!, p.point.id);
  const far = way[Math.min(2, way.length - 1)]!;
  return e.entry === "left" || e.entry === "right" ? -far[2] : far[0] + far[1];
}

/** The way of a run as places in space, from the point outwards. */
export function fromPoint(run: Pick<Run, "from" | "legs">, point: string): PinnedLeg["path"] {
  const clean: PinnedLeg["path"] = [];
  let last: Place | null = null;
  for (const l of run.legs)
    for (const q of l.path) {
      if (!last || distance(q, last) > 1e-6) clean.push(q);
      last = q;
    }
  return run.from === point ? clean : clean.reverse();
}

/** From a point along a run to its first bend, mm; null where it never bends. */
export function toFirstBend(run: Pick<Run, "from" | "legs">, point: string): number | null {
  const way = fromPoint(run, point);
  let sum = 0;
  for (let i = 1; i < way.length; i++) {
    sum += distance(way[i - 1]!, way[i]!);
    if (i + 1 < way.length && turns(way[i - 1]!, way[i]!, way[i + 1]!)) return sum;
  }
  return null;
}

type Place = PinnedLeg["path"][number];
const turns = (a: Place, b: Place, c: Place): boolean => distance(a, b) + distance(b, c) - distance(a, c) > 1e-6;

/** From the middle of a box to the edge that a cable comes in at, mm. */
const toEdge = (p: PlacedPoint, entry: End["entry"]): number =>
  entry === "behind" ? 0 : (entry === "left" || entry === "right" ? p.box.width : p.box.height) / 2;

function armourEnd(h: House, p: PlacedPoint, end: End, run: Run, cable: Cable, outdoors: boolean): ArmourEnd {
  const picked = pickGland(
    { bedding: cable.bedding ?? 0, overall: overall(cable), wire: cable.wire ?? 0 },
    outdoors,
    h.catalogue.glands,
  );
  const bend = toFirstBend(run, p.point.id);
  const marks = armourMarks(
    {
      toBend: bend === null ? null : Math.max(0, bend - toEdge(p, end.entry)),
      cleat: lastCleat(h, cable, run, p.point.id) ?? h.job.settings.clipEnd,
      radius: bendRadius("armoured", cable.width, cable.thickness).radius,
    },
    picked.gland ? coneOf(picked.gland) : 0,
    end.measures.tail ?? 0,
  );
  return { ...picked, outdoors, marks, asEarth: armourAsEarth(cable.csa, cable.cores) };
}

/** From the face of a box back to the nearest clip of the leg that comes to it, mm; null where that leg is not clipped. */
function lastCleat(h: House, cable: Cable, run: Run, point: string): number | null {
  const leg = run.from === point ? 0 : run.legs.length - 1;
  const marks = clipsOf(h, cable, run, leg)?.marks;
  if (!marks) return null;
  const [from, to] = clippedStretch(h, run, leg);
  return leg === 0 && run.from === point ? marks[0]! - from : to - marks[marks.length - 1]!;
}

function mineralEnd(h: House, run: Run, end: End, first: boolean): MineralEnd {
  const tails = end.measures.conductor ?? end.measures.tail ?? MI_TAILS;
  const half = (id: string, atStart: boolean): number => {
    const p = h.points[h.pointOfId.get(id) ?? -1];
    if (!p || p.face < 0) return 0;
    const path = run.legs[atStart ? 0 : run.legs.length - 1]!.path;
    const [a, b] = atStart ? [path[0]!, path[1]!] : [path[path.length - 1]!, path[path.length - 2]!];
    return (Math.abs(a[2] - b[2]) > 1e-6 ? p.box.height : p.box.width) / 2;
  };
  const faceToFace = run.pathLength - half(run.from, true) - half(run.to, false);
  return {
    first,
    faceToFace,
    tails,
    body: STRIPPER_BODY,
    ...mineralStrip(faceToFace, MI_ENTRY, tails, STRIPPER_BODY),
  };
}

/** Room that a gland's corners want in the depth of a face, beyond themselves, mm on each side. */
const DEPTH_ROOM = 5;

/** What is wrong at the ends of a plan: boxes that do not close, glands that do not fit, armour that is no earth by itself. */
export function endFacts(h: House, plan: WithEnds): Fact[] {
  const out: Fact[] = [];
  const kept = new Set(h.job.circuits.filter((c) => c.state === "keep").flatMap(wiredTo));
  for (const { point, deck } of h.points) {
    if (kept.has(point.id)) continue;
    if (point.kind === "junction-box" && deck >= 0 && !reached(h, point, deck))
      out.push(fact("end.joint-reach", "point", point.id, { where: { deck: h.decks[deck]!.deck.id } }));
    const f = endFigures(h, plan, point.id);
    if (!f?.cables.length) continue;
    if (f.room && !f.room.closes && !point.existing)
      out.push(
        fact("end.box-depth", "point", point.id, {
          measured: f.room.has,
          limit: f.room.needs,
          sense: "least",
          unit: "mm",
          of: { layers: f.room.layers, cables: f.cables.length, ...f.room.parts },
          ...(f.room.takes === null
            ? {}
            : { fix: [{ collection: "points", id: point.id, set: { boxDepth: f.room.takes } }] }),
        }),
      );
    for (const c of f.cables) if (c.armour) out.push(...armourFacts(h, f, c, c.armour));
  }
  return out;
}

/** True where a junction box in a floor can be got at again, or need not be. */
function reached(h: House, point: Point, deck: number): boolean {
  if (point.existing || h.job.settings.schools.floorJoints === "closed" || point.place.on !== "deck") return true;
  const laid = h.decks[deck]!;
  // Over open joists there is nothing to lift; boards that are up anyway get their hatch, which is bought.
  return laid.deck.access !== "closed" || openedAt(laid, point.place).some((o) => o.kind !== "below");
}

function armourFacts(h: House, f: EndFigures, c: EndCable, a: ArmourEnd): Fact[] {
  const { point } = f.placed;
  const out: Fact[] = a.facts.map((x) => ({
    ...x,
    subject: { kind: "run", id: c.run.id },
    of: { ...x.of, gland: x.subject.id },
  }));
  const wide = a.gland ? a.gland.acrossCorners + 2 * DEPTH_ROOM : 0;
  if (a.gland && c.end.entry !== "behind" && point.kind !== "junction-box" && f.box.depth < wide)
    out.push(
      fact("gland.depth", "point", point.id, {
        measured: f.box.depth,
        limit: wide,
        sense: "least",
        unit: "mm",
        of: { gland: a.gland.id, corners: a.gland.acrossCorners },
        ...(wide <= 120 ? { fix: [{ collection: "points", id: point.id, set: { boxDepth: Math.ceil(wide) } }] } : {}),
      }),
    );
  if (!a.marks.fits)
    out.push(
      fact("gland.approach", "point", point.id, {
        measured: a.marks.room ?? 0,
        limit: a.marks.sweep ?? 0,
        sense: "least",
        unit: "mm",
        of: { run: c.run.id },
      }),
    );
  // Said once for a run, at the end it is fed from.
  if (a.asEarth && !a.asEarth.enough && h.job.settings.schools.armourEarth === "armour" && c.run.from === point.id)
    out.push(
      fact("armour.earth", "circuit", c.run.circuit, {
        measured: a.asEarth.has,
        limit: a.asEarth.needs,
        sense: "least",
        unit: "mm²",
        of: { cable: c.cable.name },
      }),
    );
  return out;
}
