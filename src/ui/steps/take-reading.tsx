"use client";
import { nanoid } from "nanoid";
import { useState } from "react";
import { figure } from "../../core/base/figures";
import { readNumber } from "../../core/base/numbers";
import { type SiteEntry, readingWords } from "../../core/job/site-entry";
import type { Asks } from "../../core/trades/ends/steps/card";
import { Button } from "../kit/button";
import { TextField } from "../kit/field";
import { personName } from "../kit/person";
import { type Send, useEntries } from "../site/entries-queue";
import { Troubles } from "../site/troubles";

/** The run whose site record readings go to, with the lines it has. */
export interface RunRecord {
  job: string;
  name: string;
  run: string;
  stored: SiteEntry[];
}

/** What a card asks for, with what it may be. */
export const askWords = ({ what, unit, least, most }: Asks): string =>
  [`${what}, ${unit}`, least ? `at least ${figure(least)}` : "", most === undefined ? "" : `at most ${figure(most)}`]
    .filter(Boolean)
    .join(", ");

/** A reading that a card asks for: typed, kept on this device until the server has it, and shown again with who took it. */
export function TakeReading({ asks, record, send }: { asks: Asks; record: RunRecord; send: Send }) {
  const { entries, toSend, refused, notTaken, full, add, settle } = useEntries(record.job, record.stored, send);
  const [typed, setTyped] = useState("");
  const [taken, setTaken] = useState(0);
  const [fault, setFault] = useState<string | null>(null);
  const read = readNumber(typed, asks.unit);
  const value = read.ok && read.value >= 0 ? read.value : null;
  const mine = entries.filter((e) => e.run === record.run && e.reading?.what === asks.what);
  const out =
    value !== null &&
    ((asks.least !== undefined && value < asks.least) || (asks.most !== undefined && value > asks.most));
  return (
    <section aria-label={asks.what} className="mt-3 grid gap-2 border border-line bg-panel p-3" data-reading>
      <TextField
        key={taken}
        label={askWords(asks)}
        name="reading"
        value=""
        most={20}
        onDraft={(x) => {
          setTyped(x);
          setFault(null);
        }}
        onCommit={setTyped}
      />
      {fault ? (
        <p role="alert" className="font-medium text-stop">
          {fault}
        </p>
      ) : null}
      {out ? (
        <p role="alert" className="font-medium text-stop">
          ✕ {value} {asks.unit} is {asks.least !== undefined && value < asks.least ? "less" : "more"} than it may be. It
          can be written down; put it right and read again.
        </p>
      ) : null}
      <Button
        big
        onClick={() => {
          if (value === null || value > 1_000_000)
            return setFault(
              `${asks.what} is “${typed.trim()}”; it must be a number from 0 to 1 000 000, in ${asks.unit}. ` +
                "Over range: type the most the tester shows.",
            );
          add({
            id: nanoid(16),
            run: record.run,
            kind: "reading",
            step: null,
            text: out ? "outside what it may be" : "",
            by: personName() || "Electrician 1",
            at: new Date().toISOString(),
            reading: { what: asks.what, value, unit: asks.unit },
          });
          setTyped("");
          setTaken(taken + 1);
        }}
      >
        Write it down
      </Button>
      <Troubles refused={refused} notTaken={notTaken} full={full} settle={settle} />
      {mine.length ? (
        <ul className="text-[16px]" aria-label="Readings so far">
          {mine.map((e) => (
            <li key={e.id} className="border-t border-line py-1">
              <span className="num font-medium">{readingWords(e.reading!)}</span>{" "}
              <span className="text-soft">
                {e.by}, {new Date(e.at).toLocaleString("en-GB", { dateStyle: "short", timeStyle: "short" })}
              </span>
            </li>
          ))}
        </ul>
      ) : null}
      {toSend ? <p className="text-[15px] text-soft">{toSend} kept on this device until there is a signal.</p> : null}
    </section>
  );
}
