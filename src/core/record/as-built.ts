import { EPS } from "../base/tolerance";
import { type XYZ, toFace, toSpace } from "../base/wall-frame";
import { type House, layHouse } from "../house/house";
import type { Job, Pin, PinnedLeg, Point } from "../job/model";
import { type HeldRun, holdOf } from "../laid/held";
import type { Plan, Run } from "../laid/laid";
import { legPosition, moveLeg, pinOf } from "../laid/move-leg";
import { planHouse } from "../plan/plan";
import type { Fact } from "../rules/fact";
import type { SiteEntry } from "../job/site-entry";
import { releasedSurfaces } from "./closing";
import { builtPlaces } from "./built-behind";
import type { Line } from "./do-part";
import { heldRuns } from "./held";

/** Two measurements of one straight leg may differ by so much, mm: more, and it leans. */
export const LEANS = 15;

/** What was measured on site: a leg by its distance at both its ends, or a point by its distance from the left corner and the floor, mm. */
export type Measured =
  | { kind: "leg"; run: string; leg: number; first: number; second: number }
  | { kind: "point"; point: string; u: number; v: number };

export type Built =
  | { ok: false; message: string }
  | {
      ok: true;
      /** Lines for the record. */
      lines: Line[];
      /** The job and the plan as it is now built. */
      job: Job;
      plan: Plan;
      /** What is broken now and was not before. */
      broken: Fact[];
    };

const nameOf = (f: Fact): string =>
  JSON.stringify([f.rule, f.case, f.subject, f.where?.leg, f.where?.wall, f.where?.deck]);

/**
 * Takes what was built elsewhere into the plan: the leg or point lies where it was measured, runs that are done go with it as they
 * are, and zones, holes and ratings are judged again. Nothing is judged by being refused: what is not right is told as broken.
 */
export function builtElsewhere(h: House, plan: Plan, entries: readonly SiteEntry[], m: Measured): Built {
  const made = m.kind === "leg" ? legBuilt(h, plan, m) : pointBuilt(h, plan, m);
  if ("message" in made) return { ok: false, message: made.message };
  const { job, pins, lines } = made;
  const mine = new Set(pins.map((p) => p.run));
  // The pins show where the runs lie now; what they need there is worked out as for any other run.
  const held = heldRuns(entries).filter((r) => !mine.has(r.key));
  const others = job.pins.filter((p) => !pins.some((x) => x.pin.id === p.id));
  const trial = layHouse({ ...job, pins: [...others, ...pins.map((p) => p.pin)] }, h.catalogue);
  const laid = planHouse(trial, { held });
  const built: HeldRun[] = pins.flatMap(({ run }) => {
    const r = laid.runs.find((x) => x.id === run);
    return r ? [{ ...holdOf(r, laid.holes, job.points), built: true }] : [];
  });
  const after = layHouse(job, h.catalogue);
  const next = planHouse(after, { held: [...held, ...built], closed: releasedSurfaces(entries) });
  const before = new Set(plan.facts.map(nameOf));
  return {
    ok: true,
    lines: [...lines, ...built.map((x): Line => ({ run: x.key, kind: "built", step: null, text: made.text, held: x }))],
    job,
    plan: next,
    broken: next.facts.filter((f) => f.severity !== "note" && !before.has(nameOf(f))),
  };
}

interface Made {
  job: Job;
  /** Runs that lie elsewhere, each as a pin. */
  pins: { run: string; pin: Pin }[];
  lines: Line[];
  text: string;
}

function legBuilt(h: House, plan: Plan, m: Extract<Measured, { kind: "leg" }>): Made | { message: string } {
  const run = plan.runs.find((r) => r.id === m.run);
  const leg = run?.legs[m.leg];
  const at = leg && legPosition(h, leg);
  if (!run || !at)
    return { message: "This leg cannot lie elsewhere by a single measure: a rise, or a hole through a wall." };
  if (Math.abs(m.first - m.second) > LEANS)
    return {
      message: `The two measurements are ${Math.round(Math.abs(m.first - m.second))} apart: it leans. Hidden cable lies level or plumb; put it right, or measure again.`,
    };
  const value = Math.round((m.first + m.second) / 2);
  const pin = moveLeg(h, run, m.leg, value);
  if (!pin) return { message: "This leg cannot be moved." };
  const by = Math.round(value - at.value);
  return {
    job: h.job,
    pins: [{ run: run.id, pin }],
    lines: [],
    text: `Leg ${m.leg + 1} built ${Math.abs(by)} ${by < 0 ? "less" : "more"} than planned`,
  };
}

function pointBuilt(h: House, plan: Plan, m: Extract<Measured, { kind: "point" }>): Made | { message: string } {
  const placed = h.points[h.pointOfId.get(m.point) ?? -1];
  const face = placed && h.faces[placed.face];
  if (!placed || !face || placed.point.place.on !== "wall")
    return { message: "Only a point on a wall is measured from a corner and the floor." };
  const { width, height } = placed.plate;
  const [u, v] = [Math.round(m.u), Math.round(m.v)];
  if (u < width / 2 || u > face.shape.length - width / 2 || v < height / 2 || v > face.shape.height - height / 2)
    return {
      message: `Its middle at ${u}, ${v} puts the plate off the wall; it must be ${width / 2} to ${Math.round(face.shape.length - width / 2)} from the left corner and ${height / 2} to ${Math.round(face.shape.height - height / 2)} above the floor.`,
    };
  const place: Point["place"] = { ...placed.point.place, u, v };
  const job: Job = { ...h.job, points: h.job.points.map((p) => (p.id === m.point ? { ...p, place } : p)) };
  const to = toSpace(face.frame, { u, v });
  const pins = plan.runs
    .filter((r) => r.held && (r.from === m.point || r.to === m.point))
    .map((r) => ({ run: r.id, pin: endMoved(h, r, r.to === m.point, placed.space, to) }));
  const { u: was, v: high } = placed.point.place;
  const told = [
    u === was ? "" : `${Math.abs(u - was)} ${u < was ? "left" : "right"}`,
    v === high ? "" : `${Math.abs(v - high)} ${v < high ? "lower" : "higher"}`,
  ].filter(Boolean);
  const text = told.length ? `Built ${told.join(" and ")}` : "Built where it was planned";
  return { job, pins, lines: [{ run: `point:${m.point}`, kind: "built", step: null, text, place }], text };
}

const minus = (a: XYZ, b: XYZ): XYZ => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
const far = (a: XYZ, b: XYZ): number => Math.hypot(...minus(a, b));

/** A run whose end at a point goes with it: its last straight leg shifts sideways as a whole and is longer or shorter along its way. */
function endMoved(h: House, run: Run, atEnd: boolean, from: XYZ, to: XYZ): Pin {
  const turned = (legs: readonly PinnedLeg[]): PinnedLeg[] =>
    [...legs].reverse().map((l) => ({ ...l, path: [...l.path].reverse() }));
  const legs: readonly PinnedLeg[] = atEnd ? run.legs : turned(run.legs);
  const index = legs.length - 1;
  const last = legs[index]!;
  const at = legPosition(h, last);
  let next: readonly PinnedLeg[] = legs;
  const face = h.faces[h.faceOfWall.get(last.surface.id) ?? -1];
  if (at && face && last.surface.kind === "wall") {
    const [p, q] = [toFace(face.frame, from), toFace(face.frame, to)];
    const by = at.measure === "u" ? q.u - p.u : q.v - p.v;
    const moved =
      Math.abs(by) > EPS ? moveLeg(h, { ...run, legs: [...legs] as Run["legs"] }, index, at.value + by) : null;
    if (moved) {
      // The jog back to where the point was is not there: the point went with it.
      const back = moved.legs[moved.legs.length - 1]!;
      const jog =
        far(back.path[back.path.length - 1]!, last.path[last.path.length - 1]!) <= EPS && moved.legs.length > 1;
      next = jog ? moved.legs.slice(0, -1) : moved.legs;
    }
    const end = next[next.length - 1]!;
    next = [...next.slice(0, -1), { ...end, path: [...end.path.slice(0, -1), [...to]] }];
  }
  const pin = pinOf(run, next);
  return { ...pin, legs: atEnd ? [...next] : turned(next) };
}

/** The job and plan with all that the record says was built elsewhere: for a device that has told it and not been answered yet. */
export function asBuiltNow(h: House, entries: readonly SiteEntry[]): { job: Job; plan: Plan } {
  const places = builtPlaces(entries);
  const job: Job = {
    ...h.job,
    points: h.job.points.map((p) => (places.has(p.id) ? { ...p, place: places.get(p.id)! } : p)),
  };
  return {
    job,
    plan: planHouse(layHouse(job, h.catalogue), { held: heldRuns(entries), closed: releasedSurfaces(entries) }),
  };
}
