"use client";
import { useState } from "react";
import { figure } from "../../core/base/figures";
import { readNumber } from "../../core/base/numbers";
import type { SiteEntry } from "../../core/job/site-entry";
import { type StepLine, readingsHere } from "../../core/record/readings";
import type { Asks } from "../../core/trades/ends/steps/card";
import { Button } from "../kit/button";
import { FaultLine } from "../kit/fault-line";
import { InstrumentField, instrumentName } from "../site/day/instrument";
import { SiteField } from "../site/day/site-field";
import { TakenReadings } from "../site/day/taken-readings";

/** The record that the readings of guided work go to: of a run, at the point where its cable ends. */
export interface StepRecord {
  run: string;
  at: string | null;
  entries: readonly SiteEntry[];
  tell: (line: StepLine) => void;
}

/** What a card asks for, with what it may be. */
export const askWords = ({ what, unit, least, most }: Asks): string =>
  [`${what}, ${unit}`, least ? `at least ${figure(least)}` : "", most === undefined ? "" : `at most ${figure(most)}`]
    .filter(Boolean)
    .join(", ");

/** A reading that a card asks for: typed, kept on this device until the server has it, and shown again with who took it. */
export function TakeReading({ asks, record }: { asks: Asks; record: StepRecord }) {
  const [typed, setTyped] = useState("");
  const [meter, setMeter] = useState(() => instrumentName(asks.unit));
  const [fault, setFault] = useState<string | null>(null);
  const read = readNumber(typed, asks.unit);
  const value = read.ok && read.value >= 0 ? read.value : null;
  const low = value !== null && asks.least !== undefined && value < asks.least;
  const out = low || (value !== null && asks.most !== undefined && value > asks.most);
  const write = (): void => {
    if (value === null || value > 1_000_000)
      return setFault(
        `${asks.what} is “${typed.trim()}”; it must be a number from 0 to 1 000 000, in ${asks.unit}. ` +
          "Over range: type the most the tester shows.",
      );
    const instrument = meter.trim();
    if (!instrument) return setFault("Instrument is empty: say what it was read with.");
    record.tell({
      run: record.run,
      kind: "reading",
      text: out ? "outside what it may be" : "",
      reading: { what: asks.what, value, unit: asks.unit },
      instrument,
      ...(record.at === null ? {} : { mark: `end:${record.at}` }),
    });
    setFault(null);
    setTyped("");
  };
  return (
    <section aria-label={asks.what} className="mt-3 grid gap-2 border border-line bg-panel p-3" data-reading>
      <SiteField
        label={askWords(asks)}
        name="reading"
        value={typed}
        onChange={(x) => {
          setTyped(x);
          setFault(null);
        }}
      />
      <InstrumentField unit={asks.unit} value={meter} onChange={setMeter} />
      <FaultLine big fault={fault} />
      {out ? (
        <p role="alert" className="font-medium text-stop">
          ✕ {value} {asks.unit} is {low ? "less" : "more"} than it may be. It can be written down; put it right and read
          again.
        </p>
      ) : null}
      <Button big onClick={write}>
        Write it down
      </Button>
      <TakenReadings entries={readingsHere(record, asks.what)} />
    </section>
  );
}
