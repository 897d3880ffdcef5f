import { toMark } from "../base/figures";
import { type Tape, joistTape, runTape, wallTape } from "../drawings/tape";
import type { House } from "../house/house";
import { pointLabels } from "../job/labels";
import type { Plan } from "../laid/laid";
import type { Block, Paper } from "./paper";

const ABOUT = "true scale: print at 100 %, measure the check bar, tape the strips at the join marks";

const marksOf = (t: Pick<Tape, "marks">): { at: number; text: string }[] =>
  t.marks.map((m) => ({ at: m.at, text: `${toMark(m.at)} ${m.text}` }));

const stick = (kind: Paper["kind"], id: string, title: string, blocks: Block[]): Paper => ({
  kind,
  id,
  title,
  about: ABOUT,
  landscape: true,
  blocks,
});

/** The marks of a wall on a stick at true scale, from its left-hand corner and from its floor; null where nothing is to be marked. */
export function wallStick(h: House, plan: Plan, wall: string): Paper | null {
  const f = h.faces[h.faceOfWall.get(wall) ?? -1];
  const [along, up] = [wallTape(h, plan, wall, "left"), wallTape(h, plan, wall, "floor")];
  if (!f || !along || !up || !along.marks.some((m) => m.kind !== "edge")) return null;
  return stick("stick", wall, `${f.room.name}, wall ${f.wall.index + 1} · story stick`, [
    { kind: "text", look: "heading", text: "Along the wall, from its left-hand corner" },
    { kind: "stick", name: "along", length: along.length, marks: marksOf(along) },
    { kind: "text", look: "heading", text: "Up the wall, from the floor" },
    { kind: "stick", name: "up", length: up.length, marks: marksOf(up) },
  ]);
}

/** "3 to 7, 9" of 3, 4, 5, 6, 7 and 9. */
export function spansOfNumbers(numbers: readonly number[]): string {
  const out: [number, number][] = [];
  for (const n of [...numbers].sort((a, b) => a - b)) {
    const last = out[out.length - 1];
    if (last && n === last[1] + 1) last[1] = n;
    else out.push([n, n]);
  }
  return out.map(([a, b]) => (a === b ? `${a}` : b === a + 1 ? `${a}, ${b}` : `${a} to ${b}`)).join(", ");
}

/** Joists of a deck by their marks, from the left bearing face: those with the same marks share one stick. */
export function joistSticks(h: House, plan: Plan): Paper[] {
  return h.decks.flatMap((l): Paper[] => {
    const alike = new Map<string, { tape: Tape; span: number; joists: number[] }>();
    for (const j of l.joists)
      j.spans.forEach((_, i) => {
        const tape = joistTape(h, plan, l.deck.id, j.n, i + 1, "left bearing");
        if (!tape?.marks.some((m) => m.kind === "bore")) return;
        const key = JSON.stringify([i, Math.round(tape.length), tape.marks.map((m) => [Math.round(m.at), m.text])]);
        const there = alike.get(key);
        if (there) there.joists.push(j.n);
        else alike.set(key, { tape, span: i + 1, joists: [j.n] });
      });
    if (!alike.size) return [];
    const side = l.along === "x" ? "west" : "south";
    return [
      stick(
        "joists",
        l.deck.id,
        `${l.deck.name} · story sticks of its joists`,
        [...alike.values()].flatMap(({ tape, span, joists }): Block[] => [
          {
            kind: "text",
            look: "heading",
            text: `${joists.length === 1 ? "Joist" : "Joists"} ${spansOfNumbers(joists)}, span ${span}, from the ${side} bearing face`,
          },
          { kind: "stick", name: `joist ${joists[0]}`, length: tape.length, marks: marksOf(tape) },
        ]),
      ),
    ];
  });
}

/** A stick a run: turns and clips along its cable, from where it starts. */
export function runSticks(h: House, plan: Plan): Paper[] {
  const label = pointLabels(h.job);
  return plan.runs.map((r): Paper => {
    const circuit = h.job.circuits.find((c) => c.id === r.circuit)?.label ?? "";
    const tape = runTape(h, plan, r, "start");
    return stick("runs", r.id, `${circuit} ${label(r.from)}–${label(r.to)} · story stick`, [
      { kind: "text", look: "heading", text: `Along the cable, from ${label(r.from)}` },
      { kind: "stick", name: `${label(r.from)}–${label(r.to)}`, length: tape.length, marks: marksOf(tape) },
    ]);
  });
}
