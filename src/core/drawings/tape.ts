import { pointLabels } from "../job/labels";
import { toFace } from "../base/wall-frame";
import { pathLength } from "../base/wall-frame";
import type { Face, House } from "../house/house";
import { cutsOf } from "../house/deck";
import type { Plan, Run } from "../laid/laid";
import { holeSize } from "../words/holes";
import { holesOnWall } from "../laid/run-measures";

/** A mark to transfer: how far along the tape, what it is, and the circuit or thing it belongs to. */
export interface Mark {
  at: number;
  text: string;
  /** Id of the point, run or hole that the mark is for. */
  subject: string;
  kind: "point" | "drop" | "level" | "bore" | "clip" | "edge" | "existing";
}

/** A tape hooked somewhere: its length, what it is hooked on, and its marks in reading order. */
export interface Tape {
  title: string;
  length: number;
  datums: string[];
  datum: string;
  marks: Mark[];
}

const sorted = (marks: Mark[]): Mark[] => {
  const seen = new Set<string>();
  return marks
    .filter((m) => {
      const key = `${Math.round(m.at * 100)} ${m.text}`;
      if (seen.has(key)) return false;
      seen.add(key);
      return true;
    })
    .sort((a, b) => a.at - b.at || (a.text < b.text ? -1 : a.text > b.text ? 1 : 0));
};

/** Number of the stud at a place, as this face counts them. */
const studNear = (f: Face, u: number): number | undefined =>
  f.studs?.studs.reduce((a, b) => (Math.abs(b.at - u) < Math.abs(a.at - u) ? b : a)).n;

export const wallDatums = ["left", "right", "floor", "ceiling"] as const;
export type WallDatum = (typeof wallDatums)[number];

/**
 * Marks of a wall from the chosen end: points, drops and level lines, holes in its studs, plates and masonry, edges of
 * openings. Null when the wall is not there.
 */
export function wallTape(h: House, plan: Plan, wallId: string, datum: WallDatum): Tape | null {
  const f = h.faces[h.faceOfWall.get(wallId) ?? -1];
  if (!f) return null;
  const level = datum === "left" || datum === "right";
  const length = level ? f.shape.length : f.shape.height;
  const from = (x: number): number => (datum === "left" || datum === "floor" ? x : length - x);
  const label = pointLabels(h.job);
  const marks: Mark[] = f.points.map((p) => ({
    at: from(level ? p.u : p.v),
    text: `${label(p.id)} middle`,
    subject: p.id,
    kind: "point",
  }));
  for (const run of plan.runs)
    for (const leg of run.legs) {
      if (leg.surface.kind !== "wall" || leg.surface.id !== wallId) continue;
      const a = toFace(f.frame, leg.path[0]!);
      const b = toFace(f.frame, leg.path[leg.path.length - 1]!);
      const plumb = Math.abs(a.u - b.u) < 1e-6;
      const name = `${label(run.from)}–${label(run.to)}`;
      if (level && plumb) marks.push({ at: from(a.u), text: `${name} plumb`, subject: run.id, kind: "drop" });
      if (!level && !plumb) marks.push({ at: from(a.v), text: `${name} level`, subject: run.id, kind: "level" });
    }
  for (const o of holesOnWall(h, plan, wallId)) {
    const p = toFace(f.frame, o.centre);
    const into =
      o.in.kind === "wall"
        ? `core Ø ${o.diameter}`
        : `drill Ø ${o.diameter} in ${o.in.part === "stud" ? `stud ${studNear(f, p.u)}` : (o.in.part ?? "stud").replace("-", " ")}`;
    marks.push({ at: from(level ? p.u : p.v), text: into, subject: o.id, kind: "bore" });
  }
  for (const o of f.openings) {
    const [lo, hi] = level ? [o.u, o.u + o.width] : [o.v, o.v + o.height];
    for (const e of [lo, hi])
      if (e > 0 && e < length) marks.push({ at: from(e), text: `${o.kind} edge`, subject: o.id, kind: "edge" });
  }
  const side = {
    left: "the left-hand corner",
    right: "the right-hand corner",
    floor: "the floor",
    ceiling: "the ceiling",
  }[datum];
  return {
    title: `${f.room.name}, wall ${f.wall.index + 1}, measured from ${side}`,
    length,
    datums: [...wallDatums],
    datum,
    marks: sorted(marks),
  };
}

export const joistDatums = ["left bearing", "right bearing"] as const;
export type JoistDatum = (typeof joistDatums)[number];

/** Marks of one span of a joist from a bearing face: bores with bit and height, and cuts already there. */
export function joistTape(
  h: House,
  plan: Plan,
  deckId: string,
  joist: number,
  span: number,
  datum: JoistDatum,
): Tape | null {
  const l = h.decks[h.deckOfId.get(deckId) ?? -1];
  const j = l?.joists.find((x) => x.n === joist);
  const s = j?.spans[span - 1];
  if (!l || !j || !s) return null;
  const length = s[1] - s[0];
  const from = (x: number): number => (datum === "left bearing" ? x : length - x);
  const marks: Mark[] = plan.holes
    .filter((o) => o.in.deck === deckId && o.in.joist === joist && o.in.span === span)
    .map((o) => ({
      at: from(o.at),
      text: `${o.notch ? `saw ${holeSize(o)} into the top` : `drill Ø ${o.diameter}, ${Math.round(o.fromTop)} down`}, ${o.runs.length} ${o.runs.length === 1 ? "cable" : "cables"}${o.plated ? ", plate" : ""}`,
      subject: o.id,
      kind: "bore",
    }));
  for (const c of cutsOf(l, joist, span))
    marks.push({
      at: from(c.at),
      text: c.kind === "hole" ? `old hole Ø ${c.diameter}` : `old notch ${c.width} wide`,
      subject: c.id,
      kind: "existing",
    });
  const ends = l.along === "x" ? ["west", "east"] : ["south", "north"];
  return {
    title: `${l.deck.name}, joist ${joist}, span ${span}, measured from the ${datum === "left bearing" ? ends[0] : ends[1]} bearing face`,
    length,
    datums: [...joistDatums],
    datum,
    marks: sorted(marks),
  };
}

/** Marks along a run from one of its ends: where each leg turns and every clip, measured along the cable's path. */
export function runTape(h: House, plan: Plan, run: Run, datum: "start" | "end"): Tape {
  const length = run.pathLength;
  const label = pointLabels(h.job);
  const from = (x: number): number => (datum === "start" ? x : length - x);
  const marks: Mark[] = [];
  let done = 0;
  run.legs.forEach((leg, i) => {
    const clips = plan.clips.find((c) => c.run === run.id && c.leg === i);
    for (const m of clips?.marks ?? []) marks.push({ at: from(done + m), text: "clip", subject: run.id, kind: "clip" });
    done += pathLength(leg.path);
    if (i + 1 < run.legs.length)
      marks.push({
        at: from(done),
        text: `turn into ${legWords[run.legs[i + 1]!.method]}`,
        subject: run.id,
        kind: "edge",
      });
  });
  const [a, b] = datum === "start" ? [run.from, run.to] : [run.to, run.from];
  return {
    title: `Run ${label(a)} to ${label(b)}, along the cable from ${label(a)}`,
    length,
    datums: ["start", "end"],
    datum,
    marks: sorted(marks),
  };
}

/** Ways of laying a leg, in the words of the trade. */
export const legWords: Record<Run["legs"][number]["method"], string> = {
  chase: "chase and capping",
  "stud-void": "stud void",
  surface: "clipped on the surface",
  "along-joist": "along the joist",
  "through-joists": "through joists",
  "across-bay": "across between joists",
  rise: "rise",
  "through-wall": "through the wall",
  buried: "in the ground",
  catenary: "on a catenary wire",
  capping: "chase and capping",
  oval: "chase and oval tube",
  tube: "in conduit",
  "mini-trunking": "in mini-trunking",
  trunking: "in trunking",
  tray: "on tray",
  basket: "in basket",
  ladder: "on ladder",
};
