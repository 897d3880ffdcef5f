"use client";
import { get, set } from "idb-keyval";
import { useEffect, useMemo, useState } from "react";
import type { House } from "../../core/house/house";
import type { SiteEntry } from "../../core/job/site-entry";
import type { Plan } from "../../core/laid/laid";
import { onTheJob, sinceLooked } from "../../core/record/looked";
import { lineWords } from "../../core/words/record";
import { Button } from "../kit/button";

/** Who counts as on the job: whoever wrote within so many hours. */
const HOURS = 12;
const seenKey = (job: string): string => `lumbet-looked-${job}`;
const time = (at: string): string => new Date(at).toLocaleTimeString("en-GB", { timeStyle: "short" });

/** Who is on the job today, and what others did since one looked here last. */
export function SinceLooked({
  house,
  plan,
  entries,
  by,
}: {
  house: House;
  plan: Plan | null;
  entries: readonly SiteEntry[];
  by: string;
}) {
  const job = house.job.id;
  /** Null until it is known what was seen; a device that looks for the first time has seen what is there. */
  const [seen, setSeen] = useState<ReadonlySet<string> | null>(null);
  useEffect(() => {
    let gone = false;
    get<string[]>(seenKey(job)).then(
      (ids) => {
        if (gone) return;
        if (ids) return setSeen(new Set(ids));
        const all = entries.map((e) => e.id);
        setSeen(new Set(all));
        void set(seenKey(job), all).catch(() => undefined);
      },
      () => !gone && setSeen(new Set(entries.map((e) => e.id))),
    );
    return () => {
      gone = true;
    };
    // Read once: what comes while one looks is told until it is ticked off.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [job]);
  const others = useMemo(() => (seen ? sinceLooked(entries, seen, by) : []), [entries, seen, by]);
  const on = useMemo(() => onTheJob(entries, Date.now() - HOURS * 3_600_000).filter((x) => x.by !== by), [entries, by]);
  if (!on.length && !others.length) return null;
  const look = (): void => {
    const all = entries.map((e) => e.id);
    setSeen(new Set(all));
    void set(seenKey(job), all).catch(() => undefined);
  };
  return (
    <section
      aria-label="Others on the job"
      className="grid gap-1.5 border border-line bg-panel p-3 text-[15px]"
      data-others={others.length}
    >
      {on.map((x) => (
        <p key={x.by}>
          <b>{x.by}</b> is on the job: <span className="num">{time(x.last.at)}</span> {lineWords(house, plan, x.last)}
        </p>
      ))}
      {others.length ? (
        <details>
          <summary className="min-h-10 cursor-pointer py-1.5 font-medium">
            {others.length} {others.length === 1 ? "line is" : "lines are"} new since you looked
          </summary>
          <ul>
            {others.slice(-12).map((e) => (
              <li key={e.id} className="border-t border-dotted border-line py-1">
                <span className="num">{time(e.at)}</span> {e.by}: {lineWords(house, plan, e)}
              </li>
            ))}
          </ul>
          <Button big className="mt-1 w-full" onClick={look}>
            Seen
          </Button>
        </details>
      ) : null}
    </section>
  );
}
