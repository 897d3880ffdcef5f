"use client";
import Link from "next/link";
import { useState } from "react";
import { toast } from "sonner";
import { current } from "../../core/job/patch";
import { findRule } from "../../core/rules/book";
import { Gauge } from "../kit/gauge";
import { type Freeing } from "../../core/routing/freeing";
import { type Finding, type Fix, mm } from "../../core/rules/findings";
import { type Change } from "../../core/job/patch";
import type { Point } from "../../core/job/model";
import { askWorker } from "../job/ask";
import { useAsked } from "../job/use-asked";
import { edit, useDesk } from "../job/store";

const mark = { stop: "✕", warn: "!", note: "i" } as const;
const name = { stop: "Stop", warn: "Look", note: "Note" } as const;
const tone = { stop: "text-stop", warn: "text-warn", note: "text-soft" } as const;

/** The patch that a fix stands for, on the job as it is now; null when the thing is gone. */
export function patchOf(fixes: readonly Fix[]): Change[] | null {
  const { job } = useDesk.getState();
  const out: Change[] = [];
  for (const f of fixes) {
    if (f.collection === "cuts" || f.collection === "settings") return null;
    const runPin = f.collection === "pins" && !job.pins.some((p) => p.id === f.id);
    // A finding names the run; its pin is found by the pair it joins.
    const id = runPin
      ? (job.pins.find((p) => f.id === `${p.circuit}.${p.from}-${p.to}` || f.id === `${p.circuit}.${p.to}-${p.from}`)
          ?.id ?? f.id)
      : f.id;
    const before = current(job, { collection: f.collection, id });
    if (before === null) return null;
    if (f.remove) {
      out.push({ collection: f.collection, id, before, after: null });
      continue;
    }
    const set = { ...f.set };
    let after: Record<string, unknown> = { ...(before as object) };
    if (f.collection === "points") {
      // A point's u and v belong to its place.
      const place = { ...(before as Point).place } as Record<string, unknown>;
      for (const k of ["u", "v", "x", "y"]) if (k in set) ((place[k] = set[k]), delete set[k]);
      after = { ...after, place };
    }
    out.push({ collection: f.collection, id, before, after: { ...after, ...set } });
  }
  return out;
}

/** A finding as a gauge: measured against limit, a sentence, a remedy to press, and why. */
export function FindingCard({ f }: { f: Finding }) {
  const [why, setWhy] = useState(false);
  const rule = findRule(f.rule);
  const apply = (): void => {
    const patch = patchOf(f.fix ?? []);
    const refused = patch ? edit(patch) : "The thing it was about is no longer there.";
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
            onClick={apply}
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
  const { answer: told, ask } = useAsked<Freeing>((job) =>
    askWorker().freeing(job, useDesk.getState().catalogue, point),
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
              <li key={c.words}>
                {c.words}; then the way is <span className="num">{mm(Math.round(c.length))}</span> long
              </li>
            ))}
          </ol>
        </>
      ) : (
        <p>
          {told.reachable
            ? "A way leads there, but its bores are full."
            : "No single change frees it: move the point, or add a deck or wall that leads to it."}
        </p>
      )}
    </div>
  );
}
