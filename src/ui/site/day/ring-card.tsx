"use client";
import { useMemo, useState } from "react";
import type { House } from "../../../core/house/house";
import { pointLabels } from "../../../core/job/labels";
import { OPEN, type SiteEntry, readingWords } from "../../../core/job/site-entry";
import { leftAtEnds } from "../../../core/laid/run-measures";
import type { Plan } from "../../../core/laid/laid";
import { expectedReadings } from "../../../core/plan/expected-readings";
import type { Line } from "../../../core/record/do-part";
import { cableOf } from "../../../core/rules/catalogue";
import { laidCircuits } from "../../../core/trades/circuits/laid-circuit";
import { readRing } from "../../../core/trades/dead-tests/ring-read";
import { ringWords } from "../../../core/words/tests";
import { Button } from "../../kit/button";
import { FaultLine } from "../../kit/fault-line";
import { words } from "../../kit/number-words";
import { instrumentName } from "./instrument";

const ends = [
  { key: "r1", label: "Line r1", what: "Line r1, end to end" },
  { key: "rn", label: "Neutral rn", what: "Neutral rn, end to end" },
  { key: "r2", label: "Protective r2", what: "Protective r2, end to end" },
] as const;
type Key = (typeof ends)[number]["key"];
const isOpen = (text: string): boolean => /^(open|ol|>.*|∞)$/i.test(text.trim());

/** A ring read end to end on its tails at the board, every box joined through: what it should read, and what the readings say. */
export function RingCard({
  house,
  plan,
  circuit,
  entries,
  tell,
}: {
  house: House;
  plan: Plan;
  circuit: string;
  entries: SiteEntry[];
  tell: (line: Line) => void;
}) {
  const [typed, setTyped] = useState<Record<Key, string>>({ r1: "", rn: "", r2: "" });
  const [fault, setFault] = useState<string | null>(null);
  const expected = useMemo(() => {
    const laid = laidCircuits(house, plan.runs, plan.holes).find((c) => c.circuit.id === circuit);
    const cable = new Map(plan.runs.map((r) => [r.id, r.cable]));
    const left = (run: string): number =>
      leftAtEnds(
        plan.ends.filter((e) => e.run === run),
        house.job.settings.slack,
      );
    return laid ? expectedReadings(laid, left, (r) => cableOf(cable.get(r) ?? "", house.catalogue))?.ring : null;
  }, [house, plan, circuit]);
  if (!expected) return null;
  const label = house.job.circuits.find((c) => c.id === circuit)?.label ?? circuit;
  const value = (k: Key): number | null => (isOpen(typed[k]) ? null : words.parse(typed[k], "Ω"));
  const all =
    ends.every((e) => isOpen(typed[e.key]) || value(e.key) !== null) && ends.every((e) => typed[e.key].trim());
  const read = all ? readRing(expected, value("r1"), value("rn"), value("r2"), []) : null;
  const taken = entries.filter((e) => e.run === `circuit:${circuit}` && e.kind === "reading");
  return (
    <details className="border border-line bg-panel p-3 text-[16px]" data-ring={circuit}>
      <summary className="min-h-10 cursor-pointer py-1.5 font-semibold">{label} end to end</summary>
      <div className="grid grid-cols-[minmax(0,1fr)] gap-2 pt-1">
        <p className="text-soft">
          Dead and proved; leads nulled; every box joined through{" "}
          {pointLabels(house.job)(house.job.circuits.find((c) => c.id === circuit)?.points[0] ?? "")} and on. Read each
          conductor from one leg to the other.
        </p>
        {ends.map((e) => (
          <label key={e.key} className="grid grid-cols-[minmax(0,1fr)_8rem] items-center gap-2">
            <span>
              {e.label}, Ω<span className="block text-[14px] text-soft">expect {expected[e.key].toFixed(2)}</span>
            </span>
            <input
              className="num min-h-12 border border-line bg-field px-2 text-[18px]"
              inputMode="decimal"
              data-field={e.label}
              value={typed[e.key]}
              onChange={(x) => setTyped({ ...typed, [e.key]: x.target.value })}
            />
          </label>
        ))}
        {read ? (
          read.verdict === "sound" ? (
            <p className="font-medium text-good" data-verdict="sound">
              ✓ Whole, and as it should read.
            </p>
          ) : (
            <div className="font-medium text-stop" data-verdict={read.verdict}>
              {read.because.map((b) => (
                <p key={b.kind}>✕ {ringWords(b)}</p>
              ))}
            </div>
          )
        ) : null}
        <FaultLine big fault={fault} />
        <Button
          big
          onClick={() => {
            for (const e of ends) {
              if (!typed[e.key].trim()) return setFault(`${e.label} is empty; type what the meter shows, or “open”.`);
              const bad = isOpen(typed[e.key]) ? null : words.fault(e.label, typed[e.key], 0, 10_000, "Ω");
              if (bad) return setFault(bad);
            }
            const instrument = instrumentName().trim();
            if (!instrument) return setFault("Instrument is empty: say at a run’s test what it is read with.");
            setFault(null);
            for (const e of ends)
              tell({
                run: `circuit:${circuit}`,
                kind: "reading",
                step: null,
                text: read && read.verdict !== "sound" ? "not as it should be" : "",
                reading: { what: e.what, value: value(e.key) ?? OPEN, unit: "Ω" },
                instrument,
              });
            setTyped({ r1: "", rn: "", r2: "" });
          }}
        >
          Write it down
        </Button>
        {taken.map((e) => (
          <p key={e.id} className="text-[15px]">
            {readingWords(e.reading!)} <span className="text-soft">{e.by}</span>
          </p>
        ))}
      </div>
    </details>
  );
}
