import { isSignalCable } from "../rules/cables";
import { SIGNAL_TEST } from "./special";
import { count, mm, toCut, toMark } from "../base/figures";
import { toFace } from "../base/wall-frame";
import type { House } from "../house/house";
import { sectionsOf } from "../house/sections";
import { pointLabels } from "../job/labels";
import type { Plan } from "../laid/laid";
import { clipMarks } from "../plan/clip-marks";
import { expectedOfCircuit, expectedOnTails } from "../plan/expected-readings";
import { cableOf } from "../rules/catalogue";
import { workKinds } from "../rules/times";
import { chaseNeeds } from "../plan/chase-needs";
import type { Part } from "../record/parts";
import type { PartState, Task } from "../record/tasks";
import { surfaceName } from "./closing";
import { holeTool, holeWords } from "./holes";
import { extensionPart, outsidePart } from "./outside-tasks";
import { type PartWords, say } from "./part-words";

export type { PartWords };

/** Name of the place a task is done at: a room, a deck, a circuit. */
export function groupName(h: House, group: string): string {
  const [kind, id] = [group.slice(0, group.indexOf(":")), group.slice(group.indexOf(":") + 1)];
  if (kind === "deck") return h.job.decks.find((d) => d.id === id)?.name ?? id;
  if (kind === "circuit") return h.job.circuits.find((c) => c.id === id)?.label ?? id;
  return h.job.rooms.find((r) => r.id === id)?.name ?? "Outside";
}

/** "Landing: drill"; the same on the phone, the strip and the calendar. */
export const taskName = (h: House, t: Pick<Task, "kind" | "group">): string =>
  `${groupName(h, t.group)}: ${workKinds[t.kind].name.toLowerCase()}`;

/** How much is left of a task: "12 holes", "3.4 m". */
export function leftWords(t: Task): string {
  const left = t.parts.filter((x) => x.state.kind !== "done").reduce((s, x) => s + x.part.count, 0);
  const { one, many } = workKinds[t.kind];
  return many === "m" ? `${left.toFixed(1)} m` : count(left, one, many);
}

/** What a tap on the one big button says is done. */
export const doneWords: Record<Part["kind"], string> = {
  "boards-up": "Boards up",
  bore: "Drilled",
  chase: "Chased",
  box: "Box in",
  section: "Fixed",
  "draw-in": "Drawn in",
  clip: "Clipped",
  cover: "Covered",
  tails: "Coiled and flagged",
  test: "Tested",
  ring: "Tested end to end",
  photo: "Photographed",
  "boards-down": "Boards down",
  isolate: "Dead, and broken into",
  joint: "Joined",
  dig: "Dug",
  hang: "Hung",
  lights: "Set",
  fill: "Filled",
  close: "Released",
};

/** Reasons why something cannot be done, as they are tapped. */
export const cannotReasons = [
  "In the way",
  "Cannot reach",
  "Out of material",
  "Ask first",
  "Room not to be had",
] as const;

/** Reasons why what a card asks for is not read. */
export const notReadReasons = ["No instrument here", "Read before, on paper", "Not at this visit"] as const;

const runName = (h: House, plan: Plan, key: string): string => {
  const r = plan.runs.find((x) => x.id === key);
  const label = pointLabels(h.job);
  const circuit = h.job.circuits.find((c) => c.id === r?.circuit)?.label ?? "";
  return r ? `${circuit} ${label(r.from)}–${label(r.to)}` : key;
};
const capital = (s: string): string => (s ? s[0]!.toUpperCase() + s.slice(1) : s);
/** Which corner a place on a wall is nearer to, and how far that is. */
function fromCorner(u: number, length: number): { at: number; from: string } {
  return u <= length / 2 ? { at: u, from: "the left-hand corner" } : { at: length - u, from: "the right-hand corner" };
}

/** A hole: where it is drilled. */
function holePart(h: House, plan: Plan, p: Part): PartWords {
  const o = p.hole!;
  const w = holeWords(h, o);
  const serves = p.runs.map((r) => runName(h, plan, r)).join(", ");
  return say(
    `${capital([w.timber, w.of, w.room].filter(Boolean).join(", "))}, from ${w.from}`,
    toMark(o.at < 0 ? -o.at : o.at),
    [w.height, w.fall ?? "", holeTool(o), o.plated ? "steel plate over it" : "", serves].filter(Boolean).join(", "),
  );
}

/** Stretches of a kind on a wall by where they lie: plumb ones from a corner, level ones from the floor. */
function stretches(h: House, plan: Plan, wall: string): { what: string; number: string }[] {
  const f = h.faces[h.faceOfWall.get(wall) ?? -1];
  if (!f) return [];
  const seen = new Map<string, { what: string; number: string; at: number }>();
  for (const r of plan.runs)
    for (const l of r.legs) {
      if (l.surface.id !== wall || l.method !== "chase") continue;
      const [a, b] = [toFace(f.frame, l.path[0]!), toFace(f.frame, l.path[l.path.length - 1]!)];
      const plumb = Math.abs(a.u - b.u) < Math.abs(a.v - b.v);
      const { at, from } = fromCorner(plumb ? a.u : (a.u + b.u) / 2, f.shape.length);
      const [lo, hi] = plumb ? [Math.min(a.v, b.v), Math.max(a.v, b.v)] : [Math.min(a.u, b.u), Math.max(a.u, b.u)];
      const row = plumb
        ? { what: `plumb, from ${from}; ${toMark(lo)} to ${toMark(hi)} above the floor`, number: toMark(at), at: a.u }
        : {
            what: `level, above the floor; ${toMark(lo)} to ${toMark(hi)} from the left-hand corner`,
            number: toMark(a.v),
            at: lo,
          };
      seen.set(`${plumb}${Math.round((plumb ? a.u : a.v) / 10)}`, row);
    }
  return [...seen.values()].sort((a, b) => a.at - b.at).map(({ what, number }) => ({ what, number }));
}

/** A box: its middle from the nearer corner and the floor. */
function boxPart(h: House, p: Part, over: string, under: string): PartWords {
  const placed = h.points[h.pointOfId.get(p.at.id) ?? -1];
  const f = placed && h.faces[placed.face];
  if (!placed || !f || placed.point.place.on !== "wall") return say(over, "", under);
  const { u, v } = placed.point.place;
  const { at, from } = fromCorner(u, f.shape.length);
  return say(
    `${over}, ${surfaceName(h, { kind: "wall", id: f.wall.id })}, from ${from}`,
    toMark(at),
    [`its middle ${mm(v)} above the floor`, under].filter(Boolean).join(", "),
  );
}

function clipPart(h: House, plan: Plan, p: Part): PartWords {
  const run = plan.runs.find((r) => r.id === p.runs[0])!;
  const mine = plan.clips.filter((c) => c.run === run.id && run.legs[c.leg]!.surface.id === p.at.id);
  const rows = mine.flatMap((c) => clipMarks(h, run, c).map((m) => ({ c, m })));
  const place = surfaceName(h, { kind: p.at.kind === "deck" ? "deck" : "wall", id: p.at.id });
  const from = (m: (typeof rows)[number]["m"]): string =>
    `the ${m.from}${m.on && "joist" in m.on ? ` of joist ${m.on.joist}` : ""}`;
  const first = rows[0];
  return say(
    `${place}, ${runName(h, plan, run.id)}${first ? `, first clip from ${from(first.m)}` : ""}`,
    first ? toMark(first.m.marks[0]!) : "",
    [
      `${p.count} ${p.count === 1 ? "clip" : "clips"}`,
      first && first.m.marks.length > 1 ? `then every ${mm(Math.round(first.c.pitch))}` : "",
      mine.some((c) => c.metal) ? "metal where it could fall" : "",
    ]
      .filter(Boolean)
      .join(", "),
    rows.map(({ c, m }) => ({
      what: `from ${from(m)}${c.metal ? ", metal" : ""}`,
      number: m.marks.map((x) => toMark(x)).join(" · "),
    })),
  );
}

/** Says a part: what to do, where, and the one number. */
export function partWords(h: House, plan: Plan, p: Part): PartWords {
  const wallName = (): string =>
    surfaceName(h, { kind: p.at.kind === "deck" || p.at.kind === "outside" ? p.at.kind : "wall", id: p.at.id });
  const label = pointLabels(h.job);
  const placed = h.points[h.pointOfId.get(p.at.id) ?? -1];
  switch (p.kind) {
    case "bore":
      return holePart(h, plan, p);
    case "chase":
    case "cover": {
      const rows = stretches(h, plan, p.at.id);
      const depth = p.kind === "chase" ? `at least ${mm(chaseNeeds(h, plan, p.at.id))} deep` : "";
      return say(
        `${wallName()}${rows[0] ? `: ${rows[0].what}` : ""}`,
        rows[0]?.number ?? "",
        [`${p.count.toFixed(1)} m in all`, depth].filter(Boolean).join(", "),
        rows.slice(1),
      );
    }
    case "box": {
      const { point } = placed!;
      const what = point.mount === "flush" ? `flush box ${point.boxDepth} deep` : `surface box ${point.boxDepth} deep`;
      return boxPart(h, p, label(p.at.id), `${point.gang === 2 ? "2-gang" : "1-gang"} ${what}`);
    }
    case "tails": {
      const ends = plan.ends.filter((e) => e.point === p.at.id);
      const rows = ends.map((e) => ({
        what: `${runName(h, plan, e.run)}, ${e.entry === "behind" ? "from behind" : `in at the ${e.entry}`}`,
        number: toMark(e.measures.tail ?? 0),
      }));
      return say(
        `${label(p.at.id)}: leave ${rows[0] ? `on ${rows[0].what}` : "the tails"}`,
        rows[0]?.number ?? "",
        "from the edge of the box; coil, flag circuit and far end, cover against plaster",
        rows.slice(1),
      );
    }
    case "section": {
      const s = sectionsOf(h).find((x) => x.section.id === p.at.id)!;
      const first = s.stretches[0]!;
      const face = h.faces[first.face];
      const { at, from } = fromCorner(first.a.u, face?.shape.length ?? Infinity);
      return say(
        `${s.section.label}, ${s.row.name.toLowerCase()} ${s.section.size.replace("x", " × ")}${face ? `, ${surfaceName(h, { kind: "wall", id: face.wall.id })}: begins from ${from}` : ""}`,
        toMark(face ? at : first.a.u),
        [`${mm(first.a.v)} above the floor`, `${(s.length / 1000).toFixed(1)} m in all`].slice(face ? 0 : 1).join(", "),
      );
    }
    case "draw-in": {
      const run = plan.runs.find((r) => r.id === p.runs[0])!;
      return say(
        `${runName(h, plan, run.id)}: cut`,
        toCut(run.cutLength),
        `${cableOf(run.cable, h.catalogue)?.name ?? run.cable}, tails and spare included`,
      );
    }
    case "clip":
      return clipPart(h, plan, p);
    case "test": {
      const run = plan.runs.find((r) => r.id === p.runs[0])!;
      if (isSignalCable(cableOf(run.cable, h.catalogue)))
        return say(`${runName(h, plan, run.id)}: ${SIGNAL_TEST}`, "", "never the 500 V of the insulation test");
      const e = expectedOnTails(h, plan, run);
      return say(
        `${runName(h, plan, run.id)}: line to earth on the tails, far end joined`,
        e ? `${e.lineEarth.toFixed(2)} Ω` : "",
        e
          ? `line to neutral ${e.lineNeutral.toFixed(2)} Ω. Isolate, prove dead, prove the tester.`
          : "Isolate, prove dead, prove the tester.",
      );
    }
    case "boards-up":
      return say(
        `${wallName()}: boards to lift`,
        `${p.count.toFixed(1)} m`,
        "along the ways of the cables; look for what is under them first",
      );
    case "ring": {
      const e = expectedOfCircuit(h, plan, p.at.id)?.ring;
      return say(
        `${groupName(h, p.group)}, at the board: line from one leg to the other, every box joined through`,
        e ? `${e.r1.toFixed(2)} Ω` : "",
        e
          ? `neutral ${e.rn.toFixed(2)} Ω, protective ${e.r2.toFixed(2)} Ω. Isolate, prove dead, prove the tester.`
          : "Isolate, prove dead, prove the tester.",
      );
    }
    case "boards-down":
      return say(
        `${wallName()}: boards to put back`,
        `${p.count.toFixed(1)} m`,
        "no screw or nail within the cables' ways; mark the boards over them",
      );
    case "photo":
      return say(
        `${wallName()}: a photo`,
        "",
        `${p.at.kind === "wall" ? "the whole wall" : p.at.kind === "outside" ? "the whole trench with its cable and its bed" : "the whole deck with its cables"}, a tape in the picture`,
      );
    case "isolate":
    case "joint":
      return extensionPart(h, plan, p);
    case "dig":
    case "hang":
    case "lights":
    case "fill":
      return outsidePart(h, plan, p);
    case "close":
      return say(`${wallName()}: release for closing`, "", "when nothing stands against it");
  }
}

/** Why a part is not to be done now. */
export function stateWords(h: House, plan: Plan, s: PartState): string {
  if (s.kind === "cannot") return `${s.why} (${s.by})`;
  if (s.kind === "held") return `held by: ${partWords(h, plan, s.by).over}`;
  if (s.kind === "waits") return `after: ${partWords(h, plan, s.for).over}`;
  return "";
}
