import { toMark } from "../base/figures";
import type { Face, House } from "../house/house";
import { boardOfCircuit } from "../job/boards";
import { wiredTo } from "../job/wired";
import type { Plan } from "../laid/laid";
import type { Behind } from "../plan/behind-wall";

/** Whether a leg in a wall stands plumb. */
export const isPlumb = (x: Pick<Behind, "a" | "b">): boolean => Math.abs(x.a.u - x.b.u) < Math.abs(x.a.v - x.b.v);

const states: Record<Behind["state"], string> = {
  traced: "found, traced",
  found: "found, taken to run here",
  done: "in",
  planned: "planned",
};
/** "found, traced", "in", "planned". */
export const behindState = (x: Pick<Behind, "state">): string => states[x.state];

const span = (a: number, b: number): string =>
  Math.abs(a - b) < 1 ? toMark(a) : `${toMark(Math.min(a, b))} to ${toMark(Math.max(a, b))}`;

/** "plumb at 1 350; 300 to 2 400 up, laid from Hall": from the left-hand corner of the face that one looks at, and its floor. */
export function behindPlace(x: Pick<Behind, "a" | "b" | "otherFace" | "from">): string {
  const through = Math.hypot(x.a.u - x.b.u, x.a.v - x.b.v) < 1;
  const plumb = isPlumb(x);
  const at = plumb ? toMark((x.a.u + x.b.u) / 2) : span(x.a.u, x.b.u);
  const way = through ? "through" : plumb ? "plumb" : "level";
  return `${way} at ${at}; ${span(x.a.v, x.b.v)} up${x.otherFace ? `, laid from ${x.from}` : ""}`;
}

/** How to make a wall dead before anything is fixed in it: which ways of which board, and what a detector does not say. */
export function isolateWords(h: House, plan: Pick<Plan, "runs">, f: Face, behind: readonly Behind[]): string {
  const circuits = new Set(behind.flatMap((x) => plan.runs.find((r) => r.id === x.run)?.circuit ?? []));
  // What hangs on a point here is as live as the point.
  for (const c of h.job.circuits) if (wiredTo(c).some((id) => f.points.some((p) => p.id === id))) circuits.add(c.id);
  const byBoard = new Map<string, string[]>();
  for (const c of h.job.circuits) {
    if (!circuits.has(c.id)) continue;
    const board = boardOfCircuit(h.job, c)?.label ?? "the board";
    const way = c.way === null ? `${c.label} (way not given)` : `${c.label} (way ${c.way})`;
    byBoard.set(board, [...(byBoard.get(board) ?? []), way]);
  }
  const off = [...byBoard].map(([board, ways]) => `${ways.join(", ")} at ${board}`).join("; ");
  const found = behind.some((x) => x.state === "found" || x.state === "traced");
  return [
    off
      ? `Switch off ${off}; lock off, prove dead, prove the tester.`
      : "No circuit of this job is in it; circuits that nobody has found may be.",
    found ? "Cables found here are of other circuits: trace each and make it dead too." : "",
    "A detector that stays silent proves nothing: scan where nothing is drawn too.",
    f.wall.foilBacked ? "This wall has foil behind the board: a detector rings all over it or stays silent." : "",
  ]
    .filter(Boolean)
    .join(" ");
}
