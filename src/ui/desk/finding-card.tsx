"use client";
import Link from "next/link";
import { useState } from "react";
import { toast } from "sonner";
import { current } from "../../core/job/patch";
import { findRule } from "../../core/rules/book";
import { Gauge } from "../kit/gauge";
import { type Freeing } from "../../core/routing/freeing";
import type { Fix } from "../../core/rules/fact";
import type { Finding } from "../../core/words/findings";
import { freeingWords } from "../../core/words/ways";
import { fixed } from "../../core/plan/tried-fixes";
import { mm } from "../../core/base/figures";
import { type Change } from "../../core/job/patch";
import type { Job } from "../../core/job/model";
import { askWorker } from "../job/ask";
import { useAsked } from "../job/use-asked";
import { edit, useDesk } from "../job/store";

const mark = { stop: "✕", warn: "!", note: "i" } as const;
const name = { stop: "Stop", warn: "Look", note: "Note" } as const;
const tone = { stop: "text-stop", warn: "text-warn", note: "text-soft" } as const;

/** The patch that a fix stands for, on the job as it is now; null when the thing is gone. */
function patchOf(job: Job, fixes: readonly Fix[]): Change[] | null {
  const out: Change[] = [];
  for (const f of fixes) {
    const before = current(job, f);
    if (before === null) return null;
    out.push({
      collection: f.collection,
      id: f.id,
      before,
      after: f.remove ? null : fixed(before as { id: string }, f),
    });
  }
  return out;
}

/** Letting go of a pin, or changing a section, is tried first: the job is laid afresh, and what comes of it is told where it would be worse. */
async function tryFirst(fixes: readonly Fix[]): Promise<string | null> {
  if (fixes.every((f) => f.collection !== "pins" && f.collection !== "sections")) return null;
  const { job, catalogue, siteBook } = useDesk.getState();
  const told = await askWorker((w) => w.tryFix(job, catalogue, siteBook, [...fixes]));
  return told.after > told.before
    ? `Laid afresh there would be ${told.after} stops in place of ${told.before}: it stays as it is.`
    : null;
}

/** A finding as a gauge: measured against limit, a sentence, a remedy to press, and why. */
export function FindingCard({ f }: { f: Finding }) {
  const [why, setWhy] = useState(false);
  const [trying, setTrying] = useState(false);
  const rule = findRule(f.rule);
  const apply = async (): Promise<void> => {
    const fix = f.fix ?? [];
    setTrying(true);
    const worse = await tryFirst(fix).catch((e: unknown) => (e instanceof Error ? e.message : String(e)));
    setTrying(false);
    const patch = patchOf(useDesk.getState().job, fix);
    const refused = worse ?? (patch ? edit(patch) : "The thing it was about is no longer there.");
    if (refused) toast.error(refused);
  };
  return (
    <article
      className="border-b border-line py-2.5"
      data-finding={f.rule}
      data-subject={f.subject}
      data-severity={f.severity}
    >
      <h3 className="flex items-baseline gap-1.5 text-[14.5px]">
        <span className={`inline-flex w-10 shrink-0 items-baseline gap-1 text-[12.5px] ${tone[f.severity]}`}>
          <span aria-hidden>{mark[f.severity]}</span>
          {name[f.severity]}
        </span>
        <span>{rule?.title ?? f.rule}</span>
      </h3>
      {f.measured !== undefined && f.limit !== undefined && f.sense ? (
        <Gauge measured={f.measured} limit={f.limit} sense={f.sense} unit={f.unit} severity={f.severity} />
      ) : null}
      <p className="mt-1 text-[13.5px]">{f.message}</p>
      <p className="mt-0.5 flex flex-wrap gap-x-3 text-[13.5px]">
        {f.remedy && f.fix?.length ? (
          <button
            type="button"
            onClick={() => void apply()}
            disabled={trying}
            data-remedy
            className="min-h-6 cursor-pointer text-left font-medium text-accent underline underline-offset-2"
          >
            {f.remedy}
          </button>
        ) : f.remedy ? (
          <span className="text-soft">{f.remedy}</span>
        ) : null}
        <button
          type="button"
          aria-expanded={why}
          onClick={() => setWhy(!why)}
          className="min-h-6 cursor-pointer text-soft underline underline-offset-2"
        >
          why
        </button>
      </p>
      {f.rule === "route.unreachable" ? <WhatFrees point={f.subject} /> : null}
      {why ? (
        <div className="mt-1 border-l-2 border-line pl-2 text-[13px] text-soft">
          {rule ? (
            <>
              <p className="text-ink">{rule.text}</p>
              <p className="mt-1">{rule.why}</p>
            </>
          ) : null}
          <p className="mt-1">
            Rule{" "}
            <Link className="underline underline-offset-2" href={`/rules#${f.rule}`}>
              {f.rule}
            </Link>{" "}
            · {f.source}. A working aid: local code and licensed practice come first.
          </p>
        </div>
      ) : null}
    </article>
  );
}

/** The least change that would free a point that cannot be reached. */
function WhatFrees({ point }: { point: string }) {
  const house = useDesk((s) => s.house);
  const { answer: told, ask } = useAsked<Freeing>((job) =>
    askWorker((w) => w.freeing(job, useDesk.getState().catalogue, point)),
  );
  if (told === null)
    return (
      <button
        type="button"
        className="min-h-6 cursor-pointer text-[13.5px] text-accent underline underline-offset-2"
        onClick={ask}
      >
        What would free it?
      </button>
    );
  if (told === "working") return <p className="text-[13px] text-soft">Trying each change.</p>;
  return (
    <div className="mt-1 text-[13px]" data-freeing>
      {told.changes.length ? (
        <>
          <p>The least that would free it:</p>
          <ol className="list-inside list-decimal">
            {told.changes.slice(0, 4).map((c) => (
              <li key={JSON.stringify(c.change)}>
                {freeingWords(house, c.change)}; then the way is <span className="num">{mm(Math.round(c.length))}</span>{" "}
                long
              </li>
            ))}
          </ol>
        </>
      ) : (
        <p>
          {told.reachable
            ? "A way leads there, but its holes are full."
            : "No single change frees it: move the point, or add a deck or wall that leads to it."}
        </p>
      )}
    </div>
  );
}
