"use client";
import { Download } from "lucide-react";
import { useMemo } from "react";
import type { House } from "../../../core/house/house";
import { DAY, clockOf, clockText } from "../../../core/record/calendar";
import { type Days, byDate, daysOf } from "../../../core/record/day";
import type { Slot } from "../../../core/record/schedule";
import { shortNext } from "../../../core/record/short";
import type { Task } from "../../../core/record/tasks";
import { cableOf } from "../../../core/rules/catalogue";
import { workKinds } from "../../../core/rules/times";
import { leftWords, partWords, stateWords, taskName } from "../../../core/words/tasks";
import { useDesk } from "../../job/store";
import { useNow } from "../../kit/use-now";
import { Table } from "../table";
import { link, useNames } from "./frame";

const dateWords = (date: string): string =>
  new Date(`${date}T12:00:00`).toLocaleDateString("en-GB", { weekday: "long", day: "numeric", month: "long" });

/** The days to come: who does what when, worked out from what is left; what is short, what cannot be done. */
export function DaysSheet() {
  const { house, plan, job } = useNames();
  const siteBook = useDesk((s) => s.siteBook);
  const now = useNow();
  const days = useMemo(() => (plan ? daysOf(house, plan, siteBook, now) : null), [house, plan, siteBook, now]);
  const short = useMemo(
    () => (plan && days ? shortNext(now.date, days, house.job, plan, siteBook) : null),
    [plan, days, now.date, house.job, siteBook],
  );
  if (!plan || !days) return <p className="text-soft">Working out.</p>;
  const list = byDate(days);
  const byId = new Map(days.tasks.map((t) => [t.id, t]));
  const { schedule } = days;
  const stuck = days.tasks.flatMap((t) => t.parts.filter((x) => x.state.kind === "cannot"));
  const held = days.tasks.flatMap((t) => t.parts.filter((x) => x.state.kind === "held")).length;
  const end = list.at(-1);
  return (
    <div className="grid gap-3" data-days>
      <div className="flex flex-wrap items-start justify-between gap-2">
        <p className="max-w-[70ch] text-[14px]">
          {end ? (
            <>
              {list.length === 1 ? "One day" : `${list.length} days`} of work left, done on <b>{dateWords(end.date)}</b>{" "}
              at <span className="num">{clockText(schedule.end)}</span>
              {schedule.proven
                ? "; no order of the work is done sooner."
                : `; not before ${dateWords(byDateOf(days, schedule.bound))} at ${clockText(schedule.bound)} in any order.`}
            </>
          ) : (
            "Nothing is left to do."
          )}
        </p>
        <a className={link} href={`/api/jobs/${job.id}/days.ics?date=${now.date}&minute=${now.minute}`} download>
          <Download size={14} aria-hidden /> iCalendar
        </a>
      </div>
      {short ? (
        <p className="font-medium text-stop" data-short>
          ✕ Short by {dateWords(short.date)}:{" "}
          {short.short
            .map((s) => `${(s.short / 1000).toFixed(1)} m of ${cableOf(s.cable, house.catalogue)?.name ?? s.cable}`)
            .join(", ")}
          .
        </p>
      ) : null}
      {schedule.unplaced.length ? (
        <p className="font-medium text-warn">
          ! No time is found for {schedule.unplaced.map((id) => taskName(house, byId.get(id)!)).join(", ")}: look at the
          hours of work and of noise.
        </p>
      ) : null}
      {stuck.length ? (
        <section aria-label="Cannot">
          <h3 className="text-lg">Cannot for now{held ? `, and ${held} held by it` : ""}</h3>
          <ul className="text-[13.5px]">
            {stuck.map(({ part, state }) => (
              <li key={part.id} className="border-b border-dotted border-line py-0.5">
                {partWords(house, plan, part).over}: <span className="text-warn">{stateWords(house, plan, state)}</span>
              </li>
            ))}
          </ul>
        </section>
      ) : null}
      {list.map(({ date, slots }) => (
        <section key={date} aria-label={dateWords(date)}>
          <h3 className="text-lg">{dateWords(date)}</h3>
          <Strip house={house} slots={slots} tasks={byId} now={date === now.date ? now.minute : null} />
        </section>
      ))}
      <h3 className="text-lg">What is left</h3>
      <Table
        label="Tasks left"
        rows={days.tasks.filter((t) => t.parts.some((x) => x.state.kind !== "done"))}
        keyOf={(t) => t.id}
        empty="Nothing is left."
        columns={[
          { name: "Task", cell: (t) => taskName(house, t) },
          { name: "Left", num: true, cell: (t) => leftWords(t) },
          { name: "Minutes", num: true, cell: (t) => Math.round(t.minutes) },
          { name: "Noise", cell: (t) => (t.noisy ? "noisy" : "") },
          {
            name: "After",
            cell: (t) =>
              t.after
                .map((id) => byId.get(id))
                .filter((x): x is Task => x !== undefined)
                .slice(0, 2)
                .map((x) => taskName(house, x))
                .join(", ") + (t.after.length > 2 ? ` and ${t.after.length - 2} more` : ""),
          },
        ]}
      />
      <p className="text-[13px] text-soft">
        Minutes are usual ones of one person,{" "}
        {Object.keys(days.learned).length ? "some learned from what was ticked here, " : ""}
        and your own where you give them.
      </p>
    </div>
  );
}

const byDateOf = (days: Days, at: number): string => {
  const d = new Date(`${days.date}T12:00:00Z`);
  d.setUTCDate(d.getUTCDate() + Math.floor(at / DAY));
  return d.toISOString().slice(0, 10);
};

/** One day: a row a person, the hours along it; noisy work is hatched by its edge and said in its words. */
function Strip({
  house,
  slots,
  tasks,
  now,
}: {
  house: House;
  slots: readonly Slot[];
  tasks: ReadonlyMap<string, Task>;
  now: number | null;
}) {
  const { work, dwelling } = house.job;
  const [start, end] = [clockOf(work.start), clockOf(work.end)];
  const share = (minute: number): number => (100 * (minute - start)) / (end - start);
  const hours = Array.from(
    { length: Math.floor(end / 60) - Math.ceil(start / 60) + 1 },
    (_, i) => Math.ceil(start / 60) + i,
  );
  const loud = dwelling.occupied ? [clockOf(work.noiseFrom), clockOf(work.noiseUntil)] : null;
  return (
    <div className="mt-1 grid gap-1" data-strip>
      <div className="relative ml-28 h-4">
        {hours.map((h) => (
          <span
            key={h}
            className="num absolute -translate-x-1/2 text-[11.5px] text-soft"
            style={{ left: `${share(h * 60)}%` }}
          >
            {String(h).padStart(2, "0")}
          </span>
        ))}
      </div>
      {work.people.map((person, n) => (
        <div key={person} className="flex items-stretch">
          <span className="w-28 shrink-0 truncate pr-2 text-[13px]">{person}</span>
          <ol className="relative h-11 flex-1 overflow-hidden border border-line bg-page">
            {loud ? (
              <li
                aria-hidden
                className="absolute inset-y-0 bg-rail"
                style={{
                  left: `${share(Math.max(start, loud[0]!))}%`,
                  width: `${share(Math.min(end, loud[1]!)) - share(Math.max(start, loud[0]!))}%`,
                }}
              />
            ) : null}
            {slots
              .filter((s) => s.person === n)
              .map((s) => {
                const t = tasks.get(s.task)!;
                const words = `${clockText(s.from)} to ${clockText(s.until)}, ${taskName(house, t)}${t.noisy ? ", noisy" : ""}`;
                return (
                  <li
                    key={`${s.task} ${s.from}`}
                    title={words}
                    aria-label={words}
                    className={`absolute inset-y-0 overflow-hidden text-[11.5px] leading-tight ${s.until - s.from >= 22 ? "px-1" : ""} ${t.noisy ? "border-r border-page bg-ink text-page" : "border border-soft bg-panel"}`}
                    style={{
                      left: `${share(s.from % DAY)}%`,
                      width: `${share(s.until % DAY || DAY) - share(s.from % DAY)}%`,
                    }}
                  >
                    {s.until - s.from >= 22 ? (
                      <>
                        <span className="block truncate font-semibold">{workKinds[t.kind].name}</span>
                        <span className="block truncate">{taskName(house, t).split(":")[0]}</span>
                      </>
                    ) : null}
                  </li>
                );
              })}
            {now !== null && now > start && now < end ? (
              <li aria-hidden className="absolute -inset-y-1 w-0.5 bg-accent" style={{ left: `${share(now)}%` }} />
            ) : null}
          </ol>
        </div>
      ))}
    </div>
  );
}
