import type { House } from "../house/house";
import type { TaskKind } from "../rules/times";
import type { SiteEntry } from "../job/site-entry";
import type { Plan } from "../laid/laid";
import { DAY, type Minute, dateAfter } from "./calendar";
import { learnedTimes } from "./learned";
import { type Part, partsOf } from "./parts";
import { type Schedule, type Slot, scheduleOf } from "./schedule";
import { type Task, openTasks, tasksOf } from "./tasks";

/** The work of a job as it stands, and when the rest of it is done by whom. */
export interface Days {
  tasks: Task[];
  schedule: Schedule;
  /** Date of the schedule's day 0. */
  date: string;
  /** Minutes after its midnight that the rest is planned from. */
  from: Minute;
  learned: Partial<Record<TaskKind, number>>;
}

/** The moment as the clock on the wall has it. */
export interface Now {
  date: string;
  minute: Minute;
}

/** Clock of the device. */
export const nowOf = (d: Date): Now => ({
  date: `${d.getFullYear()}-${String(d.getMonth() + 1).padStart(2, "0")}-${String(d.getDate()).padStart(2, "0")}`,
  minute: d.getHours() * 60 + d.getMinutes(),
});

/** The rest of the work, worked out from now, or from its first day where that is still to come. */
export function daysOf(
  h: House,
  plan: Plan,
  entries: readonly SiteEntry[],
  now: Now,
  parts: readonly Part[] = partsOf(h, plan),
): Days {
  const learned = learnedTimes(parts, entries);
  const tasks = tasksOf(h, plan, entries, learned, parts);
  const { work, dwelling } = h.job;
  const later = work.first !== null && work.first > now.date;
  const date = later ? work.first! : now.date;
  const from = later ? 0 : now.minute;
  const schedule = scheduleOf(
    openTasks(tasks).map((t) => ({
      id: t.id,
      minutes: t.minutes,
      noisy: t.noisy,
      room: t.group.startsWith("room:") ? t.group.slice(5) : null,
      place: t.group,
      after: t.after,
    })),
    work,
    dwelling.occupied,
    date,
    from,
  );
  return { tasks, schedule, date, from, learned };
}

/** Dates that have any work, in order, each with its slots. */
export function byDate({
  schedule,
  date,
}: Pick<Days, "schedule" | "date">): { date: string; day: number; slots: Slot[] }[] {
  const by = new Map<number, Slot[]>();
  for (const s of schedule.slots) {
    const day = Math.floor(s.from / DAY);
    by.set(day, [...(by.get(day) ?? []), s]);
  }
  return [...by]
    .sort(([a], [b]) => a - b)
    .map(([day, slots]) => ({
      date: dateAfter(date, day),
      day,
      slots: slots.sort((a, b) => a.from - b.from || a.person - b.person),
    }));
}
