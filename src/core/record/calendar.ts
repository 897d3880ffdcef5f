import type { Work } from "../job/settings";

/**
 * Times of the days on site as minutes since midnight of day 0 by the clock on the wall: day 1 begins at 1440. No time zones and no
 * summer time: a day on site is a day of the clock.
 */
export type Minute = number;
export const DAY = 1440;

/** "08:30" in minutes since midnight. */
export const clockOf = (text: string): Minute => {
  const [h, m] = text.split(":").map(Number);
  return h! * 60 + m!;
};
/** Minutes since midnight as "08:30"; of a later day its time alone. */
export const clockText = (at: Minute): string => {
  const m = Math.round(at) % DAY;
  return `${String(Math.floor(m / 60)).padStart(2, "0")}:${String(m % 60).padStart(2, "0")}`;
};
/** The date, YYYY-MM-DD, so many days after another. */
export const dateAfter = (date: string, days: number): string =>
  new Date(Date.parse(`${date}T00:00:00Z`) + days * 86_400_000).toISOString().slice(0, 10);
/** 0 for Sunday to 6. */
const weekday = (date: string): number => new Date(`${date}T00:00:00Z`).getUTCDay();

/** A stretch of time that somebody can work in; `loud` where noise may be made, and the rooms not to be had. */
export interface Window {
  from: Minute;
  until: Minute;
  loud: boolean;
  away: ReadonlySet<string>;
}

/**
 * Working time of one day, cut wherever the break, the hours of noise or another trade changes what may be done.
 * @param date of day 0
 * @param occupied noise is kept to its hours only where people live in the house
 */
export function windowsOf(work: Work, occupied: boolean, date: string, day: number): Window[] {
  const on = dateAfter(date, day);
  const w = weekday(on);
  if (w === 0 || (w === 6 && !work.saturday)) return [];
  const gone = work.away.filter((a) => a.from <= on && on <= a.until);
  if (gone.some((a) => a.room === null)) return [];
  const away = new Set(gone.map((a) => a.room!));
  const [start, end] = [clockOf(work.start), clockOf(work.end)];
  const rest: [Minute, Minute] = [clockOf(work.breakAt), clockOf(work.breakAt) + work.breakMinutes];
  const loud: [Minute, Minute] = occupied ? [clockOf(work.noiseFrom), clockOf(work.noiseUntil)] : [start, end];
  const cuts = [...new Set([start, end, ...rest, ...loud])].filter((t) => t >= start && t <= end).sort((a, b) => a - b);
  const out: Window[] = [];
  for (let i = 1; i < cuts.length; i++) {
    const [from, until] = [cuts[i - 1]!, cuts[i]!];
    if (work.breakMinutes > 0 && from >= rest[0] && until <= rest[1]) continue;
    out.push({ from: day * DAY + from, until: day * DAY + until, loud: from >= loud[0] && until <= loud[1], away });
  }
  return out;
}
