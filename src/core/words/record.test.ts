import { describe, expect, it } from "vitest";
import { layHouse } from "../house/house";
import { pointLabels } from "../job/labels";
import { type SiteEntry, siteEntrySchema } from "../job/site-entry";
import { makePlan } from "../plan/plan";
import { generatedHouse } from "../routing/generated-house";
import { lineWords, placeOfLine } from "./record";

const made = generatedHouse(3);
const job = { ...made, drums: [{ ...made.drums[0]!, id: "d1", label: "Drum 1" }] };
const h = layHouse(job);
const plan = makePlan(job);
const run = plan.runs[0]!;
const label = pointLabels(job);
const name = `${label(run.from)} to ${label(run.to)}`;
const said = (more: Partial<SiteEntry>): string =>
  lineWords(
    h,
    plan,
    siteEntrySchema.parse({
      id: "e",
      run: run.id,
      kind: "done",
      step: null,
      text: "",
      by: "Pat",
      at: "2026-11-26T10:00:00Z",
      ...more,
    }),
  );

describe("a line of the record in words", () => {
  it("names the step, and what became of it", () => {
    expect(said({ step: "drawn-in" })).toBe(`${name}, drawn in`);
    expect(said({ step: "drawn-in", kind: "undone" })).toBe(`${name}, drawn in, taken back`);
    expect(said({ step: "bored", kind: "cannot", text: "In the way" })).toBe(`${name}, drilled, cannot · In the way`);
    expect(said({ kind: "damage", text: "A nick" })).toBe(`${name}, damaged · A nick`);
  });
  it("names what was ticked at a place, by the kind of work", () => {
    expect(said({ kind: "mark", mark: "hole:x" })).toBe(`${name}, drill`);
    const deck = job.decks[0]!;
    expect(said({ run: `deck:${deck.id}`, kind: "mark", mark: `boards-down:deck:${deck.id}` })).toBe(
      `${deck.name}, boards down`,
    );
    const ring = job.circuits.find((c) => c.kind === "ring")!;
    expect(said({ run: `circuit:${ring.id}`, kind: "unmark", mark: `ring:circuit:${ring.id}` })).toBe(
      `${ring.label}, test rings end to end, taken back`,
    );
  });
  it("of a reading names the end, the figure and the instrument", () => {
    const reading = { what: "Torque, the outlet", value: 2, unit: "N·m" } as const;
    const mark = `end:${run.to}`;
    expect(said({ kind: "reading", reading, mark, instrument: "Driver 2" })).toBe(
      `${name}, at ${label(run.to)}, Torque, the outlet 2 N·m, Driver 2`,
    );
    expect(said({ kind: "reading", reading })).toBe(`${name}, Torque, the outlet 2 N·m`);
    expect(said({ kind: "note", text: "Torque, the outlet: not read, no instrument here", mark })).toBe(
      `${name}, at ${label(run.to)} · Torque, the outlet: not read, no instrument here`,
    );
  });
  it("of a cut names length and drum, and of what is not there any more its key", () => {
    expect(said({ kind: "cut", cut: { drum: "d1", length: 4_250 } })).toBe(`${name}, cut, 4.3 m of Drum 1`);
    expect(said({ kind: "returned", cut: { drum: "gone", length: 2_000 } })).toBe(
      `${name}, offcut came back, 2.0 m of an offcut`,
    );
    expect(placeOfLine(h, null, "section:gone")).toBe("gone");
    expect(placeOfLine(h, plan, `point:${run.to}`)).toBe(label(run.to));
    const wall = job.walls[0]!;
    expect(placeOfLine(h, plan, `wall:${wall.id}`)).toMatch(/, wall 1$/);
  });
});
