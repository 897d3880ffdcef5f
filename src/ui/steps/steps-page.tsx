"use client";
import { clsx } from "clsx";
import { ArrowLeft, ArrowRight } from "lucide-react";
import { useEffect, useState } from "react";
import { type Asks, type Making, halves } from "../../core/trades/ends/steps/card";
import { makingOf, makings, startMeasures } from "../../core/trades/ends/steps/makings";
import type { Schools } from "../../core/rules/schools";
import { NumberField } from "../kit/field";
import { PageBar } from "../kit/page-bar";
import type { Send } from "../site/entries-queue";
import { type RunRecord, TakeReading, askWords } from "./take-reading";

/** Making off, one card at a time: what to do, its measure, its check, its usual mistake. For one thumb. */
export function StepsPage({
  schools,
  start,
  measures,
  record,
  send,
}: {
  schools: Schools;
  start: string | null;
  measures: { [key: string]: number };
  record: RunRecord | null;
  send: Send;
}) {
  const [kind, setKind] = useState(start);
  const making = kind === null ? null : makingOf(kind);
  const open = (k: string | null): void => {
    setKind(k);
    window.history.pushState(null, "", k === null ? "/steps" : `/steps?kind=${k}`);
    window.scrollTo(0, 0);
  };
  useEffect(() => {
    const back = (): void => setKind(new URLSearchParams(window.location.search).get("kind"));
    window.addEventListener("popstate", back);
    return () => window.removeEventListener("popstate", back);
  }, []);
  return (
    <div className="flex min-h-dvh flex-col">
      <PageBar here="Steps" />
      <main className="mx-auto flex w-full max-w-lg flex-1 flex-col p-4">
        {making ? (
          <Cards
            key={making.kind}
            making={making}
            schools={schools}
            measures={measures}
            back={() => open(null)}
            ask={(asks) =>
              record ? (
                <TakeReading key={asks.what} asks={asks} record={record} send={send} />
              ) : (
                <p className="mt-3 text-[17px]">
                  Write down: {askWords(asks)}. From a run of a job it goes to its record.
                </p>
              )
            }
          />
        ) : (
          <>
            <h1 className="text-3xl">Steps</h1>
            <p className="mb-3 text-soft">
              Before the wall is closed and after it, card by card, with the measures filled in and the usual mistake
              told beforehand.
            </p>
            {(["first", "second"] as const).map((half) => (
              <section key={half} aria-label={halves[half]} className="mb-4">
                <h2 className="mb-1 text-xl">{halves[half]}</h2>
                <ul className="grid gap-2">
                  {makings
                    .filter((m) => m.half === half)
                    .map((m) => (
                      <li key={m.kind}>
                        <button
                          type="button"
                          onClick={() => open(m.kind)}
                          className={clsx(
                            "flex min-h-14 w-full cursor-pointer items-center justify-between border border-line",
                            "bg-panel px-4 text-left font-cond text-[19px] font-semibold hover:border-ink",
                          )}
                        >
                          {m.name}
                          <ArrowRight size={18} aria-hidden />
                        </button>
                      </li>
                    ))}
                </ul>
              </section>
            ))}
          </>
        )}
      </main>
    </div>
  );
}

function Cards({
  making,
  schools,
  measures,
  back,
  ask,
}: {
  making: Making;
  schools: Schools;
  measures: { [key: string]: number };
  back: () => void;
  ask: (asks: Asks) => React.ReactNode;
}) {
  const [m, setM] = useState(() => startMeasures(making, measures));
  const [n, setN] = useState(0);
  const cards = making.cards(m, schools);
  const card = cards[n];
  const go = (to: number): void => {
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
          aria-label="All work"
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
          {card.asks ? ask(card.asks) : null}
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
            onClick={() => go(n + 1)}
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
