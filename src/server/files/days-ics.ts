import ical from "ical-generator";
import type { House } from "../../core/house/house";
import { DAY, clockText, dateAfter } from "../../core/record/calendar";
import type { Days } from "../../core/record/day";
import { leftWords, taskName } from "../../core/words/tasks";

/**
 * The days as iCalendar (RFC 5545), one event a stretch of work, in floating time: a day on site is a day of the clock on the wall,
 * wherever it hangs. Equal days make equal files.
 * @param stamp when the file was made, ISO 8601
 */
export function daysIcs(h: House, days: Days, stamp: string): string {
  const calendar = ical({ name: `${h.job.name}: first fix`, prodId: "//Lumbet//First fix//EN" });
  const byId = new Map(days.tasks.map((t) => [t.id, t]));
  const at = (minute: number): string => `${dateAfter(days.date, Math.floor(minute / DAY))}T${clockText(minute)}:00`;
  days.schedule.slots.forEach((s, i) => {
    const t = byId.get(s.task)!;
    calendar.createEvent({
      id: `${h.job.id}-${i}-${t.id.replace(/[^A-Za-z0-9]+/g, "-")}`,
      stamp: new Date(stamp),
      start: new Date(`${at(s.from)}`),
      end: new Date(`${at(s.until)}`),
      floating: true,
      summary: `${taskName(h, t)} (${h.job.work.people[s.person]})`,
      description: `${leftWords(t)} left of it${t.noisy ? "; noisy" : ""}`,
      location: h.job.address,
    });
  });
  return calendar.toString();
}
