"use client";
import { clsx } from "clsx";
import { nanoid } from "nanoid";
import { ArrowRight } from "lucide-react";
import { type ReactNode, useEffect, useState } from "react";
import { halves } from "../../core/trades/ends/steps/card";
import { makingOf, makings } from "../../core/trades/ends/steps/makings";
import type { Schools } from "../../core/rules/schools";
import { PageBar } from "../kit/page-bar";
import type { SiteEntry } from "../../core/job/site-entry";
import { personName } from "../kit/person";
import { type Send, useEntries } from "../site/entries-queue";
import { Troubles } from "../site/troubles";
import { StepCards } from "./step-cards";
import type { StepRecord } from "./take-reading";

/** The run whose site record readings go to, with the lines it has, and the point where the cable ends. */
export interface RunRecord {
  job: string;
  name: string;
  run: string;
  at: string | null;
  stored: SiteEntry[];
}

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
  const back = (): void => open(null);
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
          record ? (
            <Recorded key={making.kind} record={record} send={send}>
              {(r) => <StepCards {...{ making, schools, measures, back, backName: "All work" }} record={r} />}
            </Recorded>
          ) : (
            <StepCards key={making.kind} {...{ making, schools, measures, back, backName: "All work" }} record={null} />
          )
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

/** The record of a run on this device: lines are kept here until the server has them. */
function Recorded({
  record,
  send,
  children,
}: {
  record: RunRecord;
  send: Send;
  children: (record: StepRecord) => ReactNode;
}) {
  const { entries, toSend, refused, notTaken, full, add, settle } = useEntries(record.job, record.stored, send);
  return (
    <>
      {children({
        run: record.run,
        at: record.at,
        entries,
        tell: (l) =>
          add({ id: nanoid(16), by: personName() || "Electrician 1", at: new Date().toISOString(), step: null, ...l }),
      })}
      <Troubles refused={refused} notTaken={notTaken} full={full} settle={settle} />
      {toSend ? <p className="text-[15px] text-soft">{toSend} kept on this device until there is a signal.</p> : null}
    </>
  );
}
