import { type SiteEntry, readingWords, stepNames } from "../job/site-entry";
import type { House } from "../house/house";
import { pointLabels } from "../job/labels";
import type { Plan } from "../laid/laid";
import { type TaskKind, workKinds } from "../rules/times";
import { surfaceName } from "./closing";

/** What a line says beside its step. */
const kindWords: Partial<Record<SiteEntry["kind"], string>> = {
  undone: ", taken back",
  cannot: ", cannot",
  damage: ", damaged",
  repaired: ", repaired",
  released: ", released for closing",
  reopened: ", opened again",
  unmark: ", taken back",
  can: ", can be done again",
  cut: ", cut",
  returned: ", offcut came back",
  built: ", built elsewhere",
};

/** What a mark was about, in a word; empty where the step says it. */
function markWords(e: SiteEntry, label: (point: string) => string): string {
  if (e.mark === undefined || e.step) return "";
  if (e.mark.startsWith("end:")) return `, at ${label(e.mark.slice(4))}`;
  const kind = e.mark.startsWith("hole:") ? "bore" : e.mark.split(":")[0]!;
  return kind in workKinds ? `, ${workKinds[kind as TaskKind].name.toLowerCase()}` : "";
}

/** What a line of the record is about: a run by its ends, a point, a section, a wall or deck by its name. */
export function placeOfLine(h: House, plan: Pick<Plan, "runs"> | null, key: string): string {
  const label = pointLabels(h.job);
  const at = key.indexOf(":");
  const [kind, id] = at < 0 ? ["", ""] : [key.slice(0, at), key.slice(at + 1)];
  if (kind === "point") return label(id);
  if (kind === "section") return h.job.sections.find((s) => s.id === id)?.label ?? id;
  if (kind === "circuit") return h.job.circuits.find((c) => c.id === id)?.label ?? id;
  if (kind === "row") return h.job.lightRows.find((r) => r.id === id)?.label ?? id;
  if (kind === "wall" || kind === "deck" || kind === "outside") return surfaceName(h, { kind, id });
  const run = plan?.runs.find((r) => r.id === key);
  return run ? `${label(run.from)} to ${label(run.to)}` : label(key);
}

/** A line of the record without who and when: "DB1 to S11, drawn in". */
export function lineWords(h: House, plan: Pick<Plan, "runs"> | null, e: SiteEntry): string {
  const drum = e.cut ? (h.job.drums.find((d) => d.id === e.cut!.drum)?.label ?? "an offcut") : "";
  return [
    placeOfLine(h, plan, e.run),
    e.step ? `, ${stepNames[e.step].toLowerCase()}` : "",
    markWords(e, pointLabels(h.job)),
    kindWords[e.kind] ?? "",
    e.cut ? `, ${(e.cut.length / 1000).toFixed(1)} m of ${drum}` : "",
    e.reading ? `, ${readingWords(e.reading)}${e.instrument ? `, ${e.instrument}` : ""}` : "",
    e.text ? ` · ${e.text}` : "",
  ].join("");
}
