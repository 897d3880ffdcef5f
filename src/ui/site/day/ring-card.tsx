"use client";
import { type ReactNode, useMemo, useState } from "react";
import type { House } from "../../../core/house/house";
import { pointLabels } from "../../../core/job/labels";
import { OPEN, type SiteEntry } from "../../../core/job/site-entry";
import type { Plan } from "../../../core/laid/laid";
import { expectedOfCircuit } from "../../../core/plan/expected-readings";
import type { Line } from "../../../core/record/do-part";
import { METER_OFF, readRing, ringReadingNames } from "../../../core/trades/dead-tests/ring-read";
import { ringWords } from "../../../core/words/tests";
import { Button } from "../../kit/button";
import { WithoutReadings } from "./without-readings";
import { FaultLine } from "../../kit/fault-line";
import { simulatedMeter } from "../../../instruments/simulated-meter";
import { InstrumentField, instrumentName, seedOf } from "./instrument";
import { ohmsFault, readOhms } from "./ohms";
import { SiteField } from "./site-field";
import { TakenReadings } from "./taken-readings";

const ends = [
  { key: "r1", label: "Line r1", what: ringReadingNames.r1 },
  { key: "rn", label: "Neutral rn", what: ringReadingNames.rn },
  { key: "r2", label: "Protective r2", what: ringReadingNames.r2 },
] as const;
const nothing = { r1: "", rn: "", r2: "" };

/** A ring read end to end on its tails at the board, every box joined through: what it should read, and what the readings say. */
export function RingCard({
  house,
  plan,
  circuit,
  entries,
  tell,
  onTested,
  onFailed,
  foot,
}: {
  house: House;
  plan: Plan;
  circuit: string;
  entries: SiteEntry[];
  tell: (line: Line) => void;
  /** All is sound, or there is a reason why nothing was read. */
  onTested: (text: string) => void;
  onFailed: (why: string) => void;
  /** Puts the button that says it is done at the thumb. */
  foot: (done: ReactNode) => ReactNode;
}) {
  const [typed, setTyped] = useState(nothing);
  const [meter, setMeter] = useState(instrumentName);
  const [fault, setFault] = useState<string | null>(null);
  const expected = useMemo(() => expectedOfCircuit(house, plan, circuit)?.ring ?? null, [house, plan, circuit]);
  const ring = house.job.circuits.find((c) => c.id === circuit)!;
  const simulated = simulatedMeter(seedOf(circuit));
  const key = `circuit:${circuit}`;
  const [r1, rn, r2] = ends.map((e) => readOhms(typed[e.key], "Ω"));
  const all = r1 !== undefined && rn !== undefined && r2 !== undefined;
  const read = all ? readRing(expected && { ...expected, noise: METER_OFF }, r1, rn, r2, []) : null;
  const button = (
    <Button
      big
      onClick={() => {
        for (const e of ends) {
          const bad = ohmsFault(e.label, typed[e.key], 10_000, "Ω", true);
          if (bad) return setFault(bad);
        }
        const instrument = meter.trim();
        if (!instrument) return setFault("Instrument is empty: say what it was read with.");
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
        if (read && read.verdict !== "sound") onFailed(read.because.map(ringWords).join(" "));
        else onTested(`by ${instrument}`);
      }}
      look={all ? "solid" : "plain"}
      className="min-h-16 text-xl"
      data-do="ring"
    >
      {read && read.verdict !== "sound" ? "Write down: not sound" : "Tested end to end"}
    </Button>
  );
  return (
    <>
      <section
        aria-label={`${ring.label} end to end`}
        className="border border-line bg-panel p-3 text-[16px]"
        data-ring={circuit}
      >
        <div className="grid grid-cols-[minmax(0,1fr)] gap-2">
          <p className="text-soft">
            Dead and proved; leads nulled; every box joined through, {pointLabels(house.job)(ring.points[0] ?? "")} and
            on. Read each conductor from one leg to the other.
          </p>
          {expected ? null : (
            <p className="text-warn">
              ! Nothing to compare with: this ring is not whole yet, or a conductor of its cable is in no table. Look
              whether the three agree with each other.
            </p>
          )}
          {ends.map((e) => (
            <SiteField
              key={e.key}
              label={`${e.label}, Ω`}
              hint={expected ? `expect ${expected[e.key].toFixed(2)}` : ""}
              name={e.label}
              value={typed[e.key]}
              onChange={(x) => setTyped({ ...typed, [e.key]: x })}
            />
          ))}
          <InstrumentField value={meter} onChange={setMeter} />
          {expected ? (
            <Button
              big
              className="whitespace-normal!"
              onClick={() =>
                void simulated.readRing(expected).then((r) => {
                  setTyped({ r1: String(r.r1), rn: String(r.rn), r2: String(r.r2) });
                  setMeter(simulated.name);
                })
              }
            >
              Take from the simulated meter (it measures nothing)
            </Button>
          ) : null}
          {read ? (
            <div
              className={`font-medium ${read.verdict === "sound" ? "text-good" : "text-stop"}`}
              data-verdict={read.verdict}
            >
              {read.verdict === "sound"
                ? expected
                  ? "✓ Whole, and as it should read."
                  : "✓ Whole, and line and neutral agree."
                : read.because.map((b) => <p key={b.kind}>✕ {ringWords(b)}</p>)}
            </div>
          ) : null}
          <FaultLine big fault={fault} />
          <WithoutReadings onTested={onTested} />
          <TakenReadings entries={entries.filter((e) => e.run === key && e.kind === "reading")} />
        </div>
      </section>
      {foot(button)}
    </>
  );
}
