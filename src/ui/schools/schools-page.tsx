"use client";
import { layHouse } from "../../core/house/house";
import { blankJob } from "../../core/job/model";
import { factKey } from "../../core/rules/fact";
import { findingOf, namesOf } from "../../core/words/findings";
import type { Names } from "../../core/words/say";
import { type Remote, wrap } from "comlink";
import { useRouter } from "next/navigation";
import { useEffect, useMemo, useRef, useState } from "react";
import { toast } from "sonner";
import type { Job } from "../../core/job/model";
import type { PlanCounts, SchoolEffect } from "../../core/plan/school-effect";
import type { Catalogue } from "../../core/rules/catalogue";
import { mm } from "../../core/base/figures";
import { type SchoolQuestion, type Schools, otherOption, schoolQuestions } from "../../core/rules/schools";
import type { CalcWorker } from "../../workers/calc.worker";
import { PageBar } from "../kit/page-bar";

export type ChooseSchool = (
  jobId: string | null,
  key: string,
  value: string,
) => Promise<{ ok: true; jobs: number } | { ok: false; message: string }>;

const counted: readonly (readonly [keyof PlanCounts, string])[] = [
  ["clips", "clips"],
  ["metalClips", "metal clips"],
  ["holes", "holes"],
  ["cable", "m of cable"],
  ["three", "m of it in three cores"],
  ["circuits", "circuits"],
  ["parts", "parts"],
  ["stops", "stops"],
  ["looks", "things to look at"],
];

/** Every question where good practitioners differ: both schools, their reasons, and what the other would change in this job. */
export function SchoolsPage({
  job,
  jobs,
  defaults,
  catalogue,
  choose,
}: {
  job: Job | null;
  jobs: { id: string; name: string }[];
  defaults: Schools;
  catalogue: Catalogue;
  choose: ChooseSchool;
}) {
  const router = useRouter();
  const [effects, setEffects] = useState<Partial<Record<keyof Schools, SchoolEffect>>>({});
  const [forAll, setForAll] = useState(job === null);
  const worker = useRef<Remote<CalcWorker> | null>(null);
  useEffect(() => {
    if (!job) return;
    const made = new Worker(new URL("../../workers/calc.worker.ts", import.meta.url), { type: "module" });
    const remote = wrap<CalcWorker>(made);
    worker.current = remote;
    let stopped = false;
    setEffects({});
    void (async () => {
      for (const q of schoolQuestions) {
        const e = await remote.effect(job, q.key, otherOption(q, job.settings.schools[q.key]).value, catalogue);
        if (stopped) return;
        setEffects((all) => ({ ...all, [q.key]: e }));
      }
    })();
    return () => {
      stopped = true;
      made.terminate();
    };
  }, [job, catalogue]);
  const names = useMemo(() => namesOf(layHouse(job ?? blankJob("none", "none"), catalogue)), [job, catalogue]);
  const schools = job?.settings.schools ?? defaults;
  const pick = async (q: SchoolQuestion, value: string): Promise<void> => {
    try {
      const done = await choose(forAll || !job ? null : job.id, q.key, value);
      if (!done.ok) return void toast.error(done.message);
      router.refresh();
      toast(forAll || !job ? `For all jobs: ${done.jobs} changed, and every new one` : "Chosen for this job");
    } catch {
      toast.error("The server did not answer. Nothing has changed; try again when it is running.");
    }
  };
  return (
    <div className="min-h-dvh">
      <PageBar here="Schools" />
      <main className="mx-auto max-w-5xl p-4 sm:p-6">
        <h1 className="text-3xl">Schools of practice</h1>
        <p className="max-w-[75ch] text-soft">
          Where good practitioners differ, you choose. Each choice is explained, and for the job picked here the other
          one is worked out in full: what it would change is counted, not guessed.
        </p>
        <div className="sticky top-0 z-10 my-3 flex flex-wrap items-center gap-x-5 gap-y-2 border-y border-line bg-page py-2">
          <label className="flex items-center gap-2 text-[14px]">
            Show for
            <select
              className="min-h-10 border border-line bg-field px-2"
              value={job?.id ?? ""}
              data-field="job"
              onChange={(e) => {
                setForAll(e.target.value === "");
                router.push(e.target.value ? `/schools?job=${e.target.value}` : "/schools");
              }}
            >
              <option value="">new jobs</option>
              {jobs.map((j) => (
                <option key={j.id} value={j.id}>
                  {j.name}
                </option>
              ))}
            </select>
          </label>
          {job ? (
            <label className="flex min-h-10 items-center gap-2 text-[14px]">
              <input
                type="checkbox"
                className="size-5 accent-(--accent)"
                checked={forAll}
                onChange={(e) => setForAll(e.target.checked)}
              />
              Choose for all jobs, and new ones
            </label>
          ) : null}
        </div>
        {schoolQuestions.map((q) => (
          <section key={q.key} aria-label={q.question} data-school={q.key} className="border-b border-line py-4">
            <h2 className="text-xl">{q.question}</h2>
            <div role="radiogroup" aria-label={q.question} className="mt-1 grid gap-2 sm:grid-cols-2">
              {q.options.map((o) => {
                const chosen = schools[q.key] === o.value;
                return (
                  <button
                    key={o.value}
                    type="button"
                    role="radio"
                    aria-checked={chosen}
                    onClick={() => !chosen && void pick(q, o.value)}
                    className={`cursor-pointer border p-3 text-left ${chosen ? "border-2 border-ink bg-panel" : "border-line hover:border-ink"}`}
                  >
                    <span className="flex items-baseline gap-2 font-cond text-[16px] font-semibold">
                      <span aria-hidden>{chosen ? "●" : "○"}</span>
                      {o.name}
                    </span>
                    <span className="mt-1 block text-[14px] text-soft">{o.reason}</span>
                  </button>
                );
              })}
            </div>
            {job ? (
              <Effect names={names} q={q} e={effects[q.key] ?? null} other={otherOption(q, schools[q.key]).name} />
            ) : null}
          </section>
        ))}
      </main>
    </div>
  );
}

/** What the other school would change, counted. */
function Effect({ q, e, other, names }: { q: SchoolQuestion; e: SchoolEffect | null; other: string; names: Names }) {
  if (!e)
    return (
      <p className="mt-2 text-[14px] text-soft" role="status">
        Working out the other choice…
      </p>
    );
  const rows = counted.filter(([k]) => Math.abs(e.after[k] - e.before[k]) > 1e-6);
  const words =
    q.changes === "steps"
      ? "The step cards change, nothing in the plan of this job."
      : q.key === "boardOrder"
        ? e.ways
          ? `${e.ways} ${e.ways === 1 ? "circuit goes" : "circuits go"} to another way.`
          : "The ways of this job stay the same."
        : "Nothing in the plan of this job depends on it.";
  return (
    <div className="mt-2 text-[14px]" data-effect>
      {rows.length ? (
        <>
          <span className="text-soft">With “{other}”: </span>
          {rows.map(([k, name], i) => {
            const d = e.after[k] - e.before[k];
            return (
              <span key={k}>
                {i ? ", " : ""}
                <span className="num font-medium">
                  {mm(e.before[k])} → {mm(e.after[k])}
                </span>{" "}
                {name} ({d > 0 ? "+" : "−"}
                {mm(Math.abs(d))})
              </span>
            );
          })}
          .
        </>
      ) : (
        <span className="text-soft">{words}</span>
      )}
      {e.come.length || e.gone.length ? (
        <ul className="mt-1">
          {e.come.slice(0, 3).map((m) => (
            <li key={factKey(m)}>
              <span className="font-medium text-stop">comes</span> {findingOf(m, names).message}
            </li>
          ))}
          {e.gone.slice(0, 3).map((m) => (
            <li key={factKey(m)}>
              <span className="font-medium text-good">goes</span> {findingOf(m, names).message}
            </li>
          ))}
        </ul>
      ) : null}
    </div>
  );
}
