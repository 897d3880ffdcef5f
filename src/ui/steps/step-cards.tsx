"use client";
import { ArrowLeft } from "lucide-react";
import { useState } from "react";
import { isRead, lineOfNotRead } from "../../core/record/readings";
import type { Schools } from "../../core/rules/schools";
import type { Asks, Making } from "../../core/trades/ends/steps/card";
import { startMeasures } from "../../core/trades/ends/steps/makings";
import { notReadReasons } from "../../core/words/tasks";
import { Button } from "../kit/button";
import { NumberField } from "../kit/field";
import { type StepRecord, TakeReading, askWords } from "./take-reading";

/** Guided work, one card at a time: what to do, its measure, its check, its usual mistake. For one thumb. */
export function StepCards({
  making,
  schools,
  measures,
  back,
  backName,
  record,
}: {
  making: Making;
  schools: Schools;
  measures: { [key: string]: number };
  back: () => void;
  backName: string;
  /** Where readings go to; null where no run of a job is meant. */
  record: StepRecord | null;
}) {
  const [m, setM] = useState(() => startMeasures(making, measures));
  const [n, setN] = useState(0);
  const cards = making.cards(m, schools);
  const card = cards[n];
  /** The card whose reading was not written down when one wanted to go on. */
  const [wanting, setWanting] = useState<Asks | null>(null);
  const go = (to: number): void => {
    setWanting(null);
    setN(to);
    window.scrollTo(0, 0);
  };
  return (
    <>
      <div className="mb-2 flex items-center gap-2">
        <button
          type="button"
          onClick={back}
          className="inline-flex size-12 cursor-pointer items-center justify-center border border-line bg-panel"
          aria-label={backName}
        >
          <ArrowLeft />
        </button>
        <div>
          <h1 className="text-2xl leading-none">{making.name}</h1>
          <p className="text-[14px] text-soft" role="status">
            {card ? `Step ${n + 1} of ${cards.length}` : "Done"}
          </p>
        </div>
      </div>
      <div className="mb-3 h-1.5 bg-line" aria-hidden>
        <div className="h-full bg-accent" style={{ width: `${(100 * n) / cards.length}%` }} />
      </div>
      {n === 0 ? (
        <details className="mb-3 border border-line bg-panel p-3">
          <summary className="min-h-8 cursor-pointer font-cond text-[17px] font-semibold">Measures to work to</summary>
          <div className="mt-2 grid gap-2">
            {making.measures.map((f) => (
              <NumberField
                key={f.key}
                label={f.title}
                unit={f.unit}
                value={m[f.key]!}
                min={f.min}
                max={f.max}
                step={f.max <= 25 ? 1 : 10}
                onCommit={(x) => setM({ ...m, [f.key]: x })}
              />
            ))}
          </div>
        </details>
      ) : null}
      {card ? (
        <article className="flex-1" data-card={n}>
          <h2 className="text-[30px] leading-tight">{card.title}</h2>
          {card.measure ? (
            <p className="num my-2 border-y-2 border-(--tape) py-2 text-[28px] leading-tight font-medium" data-measure>
              {card.measure}
            </p>
          ) : null}
          <p className="my-2 text-[20px] leading-snug">{card.todo}</p>
          {card.asks && record ? <TakeReading key={`${n} ${card.asks.what}`} asks={card.asks} record={record} /> : null}
          {card.asks && !record ? (
            <p className="mt-3 text-[17px]">
              Write down: {askWords(card.asks)}. From a run of a job it goes to its record.
            </p>
          ) : null}
          <p className="mt-4 border-l-4 border-good pl-3 text-[17px] leading-snug">
            <span className="font-cond font-semibold">Right when.</span> {card.check}
          </p>
          <p className="mt-3 border-l-4 border-warn pl-3 text-[17px] leading-snug">
            <span className="font-cond font-semibold">What goes wrong.</span> {card.mistake}
          </p>
          <p className="mt-3 border-l-4 border-line pl-3 text-[17px] leading-snug">
            <span className="font-cond font-semibold">Why.</span> {card.why}
          </p>
          {card.caution ? (
            <p className="mt-3 border-l-4 border-stop pl-3 text-[17px] leading-snug font-medium">{card.caution}</p>
          ) : null}
        </article>
      ) : (
        <article className="flex-1">
          <h2 className="text-[30px]">All {cards.length} steps done</h2>
          <p className="my-2 text-[19px]">Photograph it with a tape in the picture, and test before it is closed.</p>
        </article>
      )}
      {wanting && record ? (
        <div className="mt-3 grid gap-2 border border-stop p-3" role="group" aria-label="Why it is not read">
          <p role="alert" className="font-medium text-stop">
            {wanting.what} is not written down: read it, or say why not.
          </p>
          {notReadReasons.map((why) => (
            <Button
              key={why}
              big
              onClick={() => {
                record.tell(lineOfNotRead(record, wanting.what, why));
                go(n + 1);
              }}
            >
              {why}
            </Button>
          ))}
        </div>
      ) : null}
      <div className="sticky bottom-0 mt-4 grid grid-cols-[auto_1fr] gap-2 bg-page py-3">
        <button
          type="button"
          disabled={n === 0}
          onClick={() => go(n - 1)}
          className="min-h-16 cursor-pointer border border-line bg-panel px-5 font-cond text-[18px] font-semibold disabled:opacity-40"
        >
          Back
        </button>
        {card ? (
          <button
            type="button"
            onClick={() => {
              if (card.asks && record && !isRead(record, card.asks.what)) setWanting(card.asks);
              else go(n + 1);
            }}
            className="min-h-16 cursor-pointer bg-accent px-5 font-cond text-[20px] font-semibold text-onaccent"
            data-next
          >
            {n + 1 < cards.length ? "Checked, next" : "Checked, done"}
          </button>
        ) : (
          <button
            type="button"
            onClick={() => go(0)}
            className="min-h-16 cursor-pointer bg-accent px-5 font-cond text-[20px] font-semibold text-onaccent"
          >
            The next one
          </button>
        )}
      </div>
    </>
  );
}
