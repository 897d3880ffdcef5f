"use client";
import { useMemo, useState } from "react";
import type { House } from "../../../core/house/house";
import { pointLabels } from "../../../core/job/labels";
import { OPEN, type SiteEntry } from "../../../core/job/site-entry";
import type { Plan } from "../../../core/laid/laid";
import { expectedOfCircuit } from "../../../core/plan/expected-readings";
import type { Line } from "../../../core/record/do-part";
import { readRing } from "../../../core/trades/dead-tests/ring-read";
import { ringWords } from "../../../core/words/tests";
import { Button } from "../../kit/button";
import { FaultLine } from "../../kit/fault-line";
import { instrumentName } from "./instrument";
import { ohmsFault, readOhms } from "./ohms";
import { SiteField } from "./site-field";
import { TakenReadings } from "./taken-readings";

const ends = [
  { key: "r1", label: "Line r1", what: "Line r1, end to end" },
  { key: "rn", label: "Neutral rn", what: "Neutral rn, end to end" },
  { key: "r2", label: "Protective r2", what: "Protective r2, end to end" },
] as const;
const nothing = { r1: "", rn: "", r2: "" };

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
  const [typed, setTyped] = useState(nothing);
  const [fault, setFault] = useState<string | null>(null);
  const expected = useMemo(() => expectedOfCircuit(house, plan, circuit)?.ring ?? null, [house, plan, circuit]);
  if (!expected) return null;
  const ring = house.job.circuits.find((c) => c.id === circuit)!;
  const key = `circuit:${circuit}`;
  const [r1, rn, r2] = ends.map((e) => readOhms(typed[e.key], "Ω"));
  const read = r1 === undefined || rn === undefined || r2 === undefined ? null : readRing(expected, r1, rn, r2, []);
  return (
    <details className="border border-line bg-panel p-3 text-[16px]" data-ring={circuit}>
      <summary className="min-h-10 cursor-pointer py-1.5 font-semibold">{ring.label} end to end</summary>
      <div className="grid grid-cols-[minmax(0,1fr)] gap-2 pt-1">
        <p className="text-soft">
          Dead and proved; leads nulled; every box joined through, {pointLabels(house.job)(ring.points[0] ?? "")} and
          on. Read each conductor from one leg to the other.
        </p>
        {ends.map((e) => (
          <SiteField
            key={e.key}
            label={`${e.label}, Ω`}
            hint={`expect ${expected[e.key].toFixed(2)}`}
            name={e.label}
            value={typed[e.key]}
            onChange={(x) => setTyped({ ...typed, [e.key]: x })}
          />
        ))}
        {read ? (
          <div
            className={`font-medium ${read.verdict === "sound" ? "text-good" : "text-stop"}`}
            data-verdict={read.verdict}
          >
            {read.verdict === "sound"
              ? "✓ Whole, and as it should read."
              : read.because.map((b) => <p key={b.kind}>✕ {ringWords(b)}</p>)}
          </div>
        ) : null}
        <FaultLine big fault={fault} />
        <Button
          big
          onClick={() => {
            for (const e of ends) {
              const bad = ohmsFault(e.label, typed[e.key], 10_000, "Ω", true);
              if (bad) return setFault(bad);
            }
            const instrument = instrumentName().trim();
            if (!instrument) return setFault("Instrument is empty: say at a run’s test what it is read with.");
            setFault(null);
            for (const e of ends)
              tell({
                run: key,
                kind: "reading",
                step: null,
                text: read?.verdict === "sound" ? "" : "not as it should be",
                reading: { what: e.what, value: readOhms(typed[e.key], "Ω") ?? OPEN, unit: "Ω" },
                instrument,
              });
            setTyped(nothing);
          }}
        >
          Write it down
        </Button>
        <TakenReadings entries={entries.filter((e) => e.run === key && e.kind === "reading")} />
      </div>
    </details>
  );
}
