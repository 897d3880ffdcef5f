"use client";
import { useMemo, useState } from "react";
import { pointLabels } from "../../../core/job/labels";
import type { House } from "../../../core/house/house";
import { OPEN, type SiteEntry, readingWords } from "../../../core/job/site-entry";
import type { Plan, Run } from "../../../core/laid/laid";
import { damagesOf } from "../../../core/record/damage";
import type { Line } from "../../../core/record/do-part";
import { type RunReadings, readRun, runReadingNames } from "../../../core/trades/dead-tests/run-read";
import { expectedOf, runReasonWords } from "../../../core/words/tasks";
import { simulatedMeter } from "../../../instruments/simulated-meter";
import { Button } from "../../kit/button";
import { FaultLine } from "../../kit/fault-line";
import { words } from "../../kit/number-words";
import { instrumentName, setInstrumentName } from "./instrument";

const fields = [
  { key: "lineEarth", label: "Line to earth", unit: "Ω" },
  { key: "lineNeutral", label: "Line to neutral", unit: "Ω" },
  { key: "insulation", label: "Least insulation", unit: "MΩ" },
] as const;
type Key = (typeof fields)[number]["key"];

/** What stands for an open circuit in a field. */
const isOpen = (text: string): boolean => /^(open|ol|>.*|∞)$/i.test(text.trim());

/** Reasons for which a run is ticked as tested without readings. */
const without = ["Tested before, readings on paper", "No meter here: tested by another"];

const seedOf = (name: string): number => [...name].reduce((n, c) => (n * 31 + c.charCodeAt(0)) >>> 0, 7);

/** Dead tests on the tails of a run: taken or typed, compared at once with what it should read, written down with who and with what. */
export function TestCard({
  house,
  plan,
  run,
  entries,
  tell,
  onTested,
  onFailed,
}: {
  house: House;
  plan: Plan;
  run: Run;
  entries: SiteEntry[];
  tell: (line: Line) => void;
  /** All is sound, or there is a reason why nothing was read. */
  onTested: (text: string) => void;
  onFailed: (why: string) => void;
}) {
  const [typed, setTyped] = useState<Record<Key, string>>({ lineEarth: "", lineNeutral: "", insulation: "" });
  const [polarity, setPolarity] = useState<"right" | "reversed" | null>(null);
  const [instrument, setInstrument] = useState<string | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const [asking, setAsking] = useState(false);
  const with_ = instrument ?? instrumentName();
  const expected = useMemo(() => expectedOf(house, plan, run), [house, plan, run]);
  const label = pointLabels(house.job);
  const [from, to] = [label(run.from), label(run.to)];
  const value = (k: Key): number | null | undefined => {
    const text = typed[k].trim();
    if (!text) return undefined;
    if (isOpen(text)) return k === "insulation" ? 1000 : null;
    return words.parse(text, k === "insulation" ? "MΩ" : "Ω") ?? undefined;
  };
  const insulation = value("insulation");
  const readings: RunReadings = {
    ...(value("lineEarth") === undefined ? {} : { lineEarth: value("lineEarth")! }),
    ...(value("lineNeutral") === undefined ? {} : { lineNeutral: value("lineNeutral")! }),
    ...(insulation === undefined || insulation === null ? {} : { insulation }),
    ...(polarity ? { polarity } : {}),
  };
  const reasons = expected ? readRun(expected, readings) : [];
  const stops = reasons.filter((r) => r.severity === "stop");
  const all = fields.every((f) => typed[f.key].trim()) && polarity !== null;
  const taken = entries.filter((e) => e.run === run.id && e.kind === "reading");
  const hurt = damagesOf(entries).some((d) => d.run === run.id && d.repair === null);

  const write = (): void => {
    for (const f of fields) {
      const text = typed[f.key].trim();
      if (!text) return setFault(`${f.label} is empty: read it, or say why it is not read.`);
      if (isOpen(text)) continue;
      const bad = words.fault(f.label, text, 0, f.key === "insulation" ? 100_000 : 10_000, f.unit);
      if (bad) return setFault(bad);
    }
    if (polarity === null) return setFault("Polarity is not told: look whether the colours are the same at both ends.");
    if (!with_.trim()) return setFault("Instrument is empty: say what it was read with.");
    setFault(null);
    for (const f of fields) {
      const v = value(f.key);
      tell({
        run: run.id,
        kind: "reading",
        step: null,
        text: "",
        reading: { what: runReadingNames[f.key], value: v ?? OPEN, unit: f.unit },
        instrument: with_.trim(),
      });
    }
    setTyped({ lineEarth: "", lineNeutral: "", insulation: "" });
    setPolarity(null);
    if (stops.length) onFailed(stops.map((r) => runReasonWords(r, from, to)).join(" "));
    else onTested(`Polarity right, by ${with_.trim()}`);
  };
  return (
    <section
      aria-label="Test on the tails"
      className="grid grid-cols-[minmax(0,1fr)] gap-2 border border-line bg-panel p-3 text-[16px]"
      data-test={run.id}
    >
      <p className="text-soft">
        Isolate, prove dead, prove the tester; leads nulled. Join line, neutral and earth at {to}, read at {from}; part
        them for insulation.
      </p>
      {hurt ? <p className="font-medium text-stop">✕ Damage to this run is not repaired.</p> : null}
      {fields.map((f) => {
        const e = f.key === "insulation" ? null : (expected?.[f.key] ?? null);
        return (
          <label key={f.key} className="grid grid-cols-[minmax(0,1fr)_8rem] items-center gap-2">
            <span>
              {f.label}, {f.unit}
              <span className="block text-[14px] text-soft">
                {f.key === "insulation"
                  ? "at least 1; new cable reads over 200"
                  : e === null
                    ? ""
                    : `expect ${e.toFixed(2)}`}
              </span>
            </span>
            <input
              className="num min-h-12 border border-line bg-field px-2 text-[18px]"
              inputMode="decimal"
              data-field={f.label}
              value={typed[f.key]}
              onChange={(x) => setTyped({ ...typed, [f.key]: x.target.value })}
            />
          </label>
        );
      })}
      <div className="grid grid-cols-2 gap-2">
        <Button big onClick={() => setTyped({ ...typed, lineEarth: "open" })}>
          Earth open
        </Button>
        <Button big onClick={() => setTyped({ ...typed, lineNeutral: "open" })}>
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
      <label className="grid gap-1 text-[15px]">
        Instrument
        <input
          className="min-h-12 border border-line bg-field px-2 text-[16px]"
          maxLength={60}
          data-field="Instrument"
          value={with_}
          onChange={(e) => {
            setInstrument(e.target.value);
            setInstrumentName(e.target.value);
          }}
        />
      </label>
      {expected ? (
        <Button
          big
          className="whitespace-normal!"
          onClick={() =>
            void (async () => {
              const meter = simulatedMeter(seedOf(run.id));
              const r = await meter.read({ expected, damaged: hurt });
              setTyped({
                lineEarth: r.lineEarth === null ? "open" : String(r.lineEarth),
                lineNeutral: r.lineNeutral === null ? "open" : String(r.lineNeutral),
                insulation: String(r.insulation),
              });
              setPolarity(r.polarity);
              setInstrument(meter.name);
            })()
          }
        >
          Take from the simulated meter (it measures nothing)
        </Button>
      ) : null}
      {reasons.map((r) => (
        <p
          key={r.fault}
          role="status"
          className={`font-medium ${r.severity === "stop" ? "text-stop" : "text-warn"}`}
          data-reason={r.fault}
        >
          {r.severity === "stop" ? "✕" : "!"} {runReasonWords(r, from, to)}
        </p>
      ))}
      {all && !reasons.length ? <p className="font-medium text-good">✓ As it should read.</p> : null}
      <FaultLine big fault={fault} />
      <Button big look={all ? "solid" : "plain"} className="min-h-16 text-xl" onClick={write} data-step="tested">
        {stops.length ? "Write down: not sound" : "Tested"}
      </Button>
      <Button big aria-expanded={asking} onClick={() => setAsking(!asking)}>
        Without readings, because …
      </Button>
      {asking ? (
        <div className="grid gap-2" role="group" aria-label="Why without readings">
          {without.map((w) => (
            <Button key={w} big className="whitespace-normal!" onClick={() => onTested(w)}>
              {w}
            </Button>
          ))}
        </div>
      ) : null}
      {taken.length ? (
        <ul className="text-[15px]" aria-label="Readings so far">
          {taken.map((e) => (
            <li key={e.id} className="border-t border-line py-1">
              {readingWords(e.reading!)}{" "}
              <span className="text-soft">
                {e.by}, {new Date(e.at).toLocaleString("en-GB", { dateStyle: "short", timeStyle: "short" })}
                {e.instrument ? `, ${e.instrument}` : ""}
              </span>
            </li>
          ))}
        </ul>
      ) : null}
    </section>
  );
}
