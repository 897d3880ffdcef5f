"use client";
import { type ReactNode, useMemo, useState } from "react";
import { pointLabels } from "../../../core/job/labels";
import type { House } from "../../../core/house/house";
import { OPEN, type SiteEntry } from "../../../core/job/site-entry";
import type { Plan, Run } from "../../../core/laid/laid";
import { expectedOnTails } from "../../../core/plan/expected-readings";
import { damagesOf } from "../../../core/record/damage";
import type { Line } from "../../../core/record/do-part";
import { insulationLeast, insulationUsual } from "../../../core/trades/dead-tests/insulation";
import { type RunReadings, readRun, runReadingNames } from "../../../core/trades/dead-tests/run-read";
import { findingOf, namesOf } from "../../../core/words/findings";
import { simulatedMeter } from "../../../instruments/simulated-meter";
import { Button } from "../../kit/button";
import { FaultLine } from "../../kit/fault-line";
import { InstrumentField, instrumentName, seedOf } from "./instrument";
import { ohmsFault, readOhms } from "./ohms";
import { SiteField } from "./site-field";
import { WithoutReadings } from "./without-readings";
import { TakenReadings } from "./taken-readings";

const fields = [
  { key: "lineEarth", label: "Line to earth", unit: "Ω", most: 10_000 },
  { key: "lineNeutral", label: "Line to neutral", unit: "Ω", most: 10_000 },
  { key: "insulation", label: "Least insulation", unit: "MΩ", most: 100_000 },
] as const;
type Key = (typeof fields)[number]["key"];
const nothing: Record<Key, string> = { lineEarth: "", lineNeutral: "", insulation: "" };

/** Dead tests on the tails of a run: taken or typed, compared at once with what it should read, written down with who and with what. */
export function TestCard({
  house,
  plan,
  run,
  entries,
  tell,
  onTested,
  onFailed,
  foot,
}: {
  house: House;
  plan: Plan;
  run: Run;
  entries: SiteEntry[];
  tell: (line: Line) => void;
  /** All is sound, or there is a reason why nothing was read. */
  onTested: (text: string) => void;
  onFailed: (why: string) => void;
  /** Puts the button that says it is done at the thumb; in the card itself when left out. */
  foot?: (done: ReactNode) => ReactNode;
}) {
  const [typed, setTyped] = useState(nothing);
  const [polarity, setPolarity] = useState<"right" | "reversed" | null>(null);
  const [meter, setMeter] = useState(instrumentName);
  const [fault, setFault] = useState<string | null>(null);
  const expected = useMemo(() => expectedOnTails(house, plan, run), [house, plan, run]);
  const label = pointLabels(house.job);
  const put = (key: Key, text: string): void => setTyped({ ...typed, [key]: text });
  const value = (key: Key): number | null | undefined => readOhms(typed[key], fields.find((f) => f.key === key)!.unit);
  const [e, n, insulation] = [value("lineEarth"), value("lineNeutral"), value("insulation")];
  const readings: RunReadings = {
    ...(e === undefined ? {} : { lineEarth: e }),
    ...(n === undefined ? {} : { lineNeutral: n }),
    ...(insulation == null ? {} : { insulation }),
    ...(polarity ? { polarity } : {}),
  };
  const found = readRun(run, expected, readings).map((f) => ({ f, told: findingOf(f, namesOf(house)) }));
  const stops = found.filter(({ f }) => f.severity === "stop");
  const all = fields.every((f) => typed[f.key].trim()) && polarity !== null;
  const hurt = damagesOf(entries).some((d) => d.run === run.id && d.repair === null);
  const hint = (key: Key): string =>
    key === "insulation"
      ? `at least ${insulationLeast}; new cable reads over ${insulationUsual}`
      : expected
        ? `expect ${expected[key].toFixed(2)}`
        : "";

  const write = (): void => {
    for (const f of fields) {
      const bad = ohmsFault(f.label, typed[f.key], f.most, f.unit, f.key !== "insulation");
      if (bad) return setFault(bad);
    }
    if (polarity === null) return setFault("Polarity is not told: look whether the colours are the same at both ends.");
    const instrument = meter.trim();
    if (!instrument) return setFault("Instrument is empty: say what it was read with.");
    setFault(null);
    for (const f of fields)
      tell({
        run: run.id,
        kind: "reading",
        step: null,
        text: "",
        reading: { what: runReadingNames[f.key], value: value(f.key) ?? OPEN, unit: f.unit },
        instrument,
      });
    setTyped(nothing);
    setPolarity(null);
    if (stops.length) onFailed(stops.map(({ told }) => told.message).join(" "));
    else onTested(`Polarity right, by ${instrument}`);
  };
  const take = async (): Promise<void> => {
    const simulated = simulatedMeter(seedOf(run.id));
    const r = await simulated.read({ expected: expected!, damaged: hurt });
    setTyped({
      lineEarth: String(r.lineEarth ?? "open"),
      lineNeutral: String(r.lineNeutral ?? "open"),
      insulation: String(r.insulation),
    });
    setPolarity(r.polarity);
    setMeter(simulated.name);
  };
  const button = (
    <Button big look={all ? "solid" : "plain"} className="min-h-16 text-xl" onClick={write} data-step="tested">
      {stops.length ? "Write down: not sound" : "Tested"}
    </Button>
  );
  return (
    <>
      <section
        aria-label="Test on the tails"
        className="grid grid-cols-[minmax(0,1fr)] gap-2 border border-line bg-panel p-3 text-[16px]"
        data-test={run.id}
      >
        <p className="text-soft">
          Isolate, prove dead, prove the tester; leads nulled. Join line, neutral and earth at {label(run.to)}, read at{" "}
          {label(run.from)}; part them for insulation.
        </p>
        {hurt ? <p className="font-medium text-stop">✕ Damage to this run is not repaired.</p> : null}
        {fields.map((f) => (
          <SiteField
            key={f.key}
            label={`${f.label}, ${f.unit}`}
            hint={hint(f.key)}
            name={f.label}
            value={typed[f.key]}
            onChange={(x) => put(f.key, x)}
          />
        ))}
        <div className="grid grid-cols-2 gap-2">
          <Button big onClick={() => put("lineEarth", "open")}>
            Earth open
          </Button>
          <Button big onClick={() => put("lineNeutral", "open")}>
            Neutral open
          </Button>
        </div>
        <div className="grid grid-cols-2 gap-2" role="group" aria-label="Polarity">
          <Button big aria-pressed={polarity === "right"} onClick={() => setPolarity("right")}>
            {polarity === "right" ? "✓ " : ""}Polarity right
          </Button>
          <Button big aria-pressed={polarity === "reversed"} onClick={() => setPolarity("reversed")}>
            {polarity === "reversed" ? "✕ " : ""}Changed over
          </Button>
        </div>
        <InstrumentField value={meter} onChange={setMeter} />
        {expected ? (
          <Button big className="whitespace-normal!" onClick={() => void take()}>
            Take from the simulated meter (it measures nothing)
          </Button>
        ) : (
          <p className="text-warn">
            ! Nothing to compare with: a conductor of this cable is in no table. Open circuits and insulation are judged
            all the same.
          </p>
        )}
        {found.map(({ f, told }) => (
          <p
            key={`${f.rule} ${f.case}`}
            role="status"
            className={`font-medium ${f.severity === "stop" ? "text-stop" : "text-warn"}`}
            data-reason={f.case}
          >
            {f.severity === "stop" ? "✕" : "!"} {told.message} {told.remedy}
          </p>
        ))}
        {all && expected && !found.length ? <p className="font-medium text-good">✓ As it should read.</p> : null}
        <FaultLine big fault={fault} />
        {foot ? null : button}
        <WithoutReadings onTested={onTested} />
        <TakenReadings entries={entries.filter((x) => x.run === run.id && x.kind === "reading")} />
      </section>
      {foot?.(button)}
    </>
  );
}
