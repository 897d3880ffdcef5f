import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { workSchema } from "../job/settings";
import { DAY, clockOf, clockText, dateAfter, windowsOf } from "./calendar";
import { type Placeable, SMALL, scheduleOf } from "./schedule";

const MONDAY = "2026-11-30";
const work = (more: object = {}) => workSchema.parse(more);
const two = { people: ["Pat", "Sam"] };
const task = (id: string, minutes: number, more: Partial<Placeable> = {}): Placeable => ({
  id,
  minutes,
  noisy: false,
  room: null,
  place: id,
  after: [],
  ...more,
});
/** Times of a task as "day person from-until". */
const times = (s: ReturnType<typeof scheduleOf>, id: string): string[] =>
  s.slots
    .filter((x) => x.task === id)
    .map((x) => `${Math.floor(x.from / DAY)} ${x.person} ${clockText(x.from)}-${clockText(x.until)}`);

describe("the days on site", () => {
  it("read and say the time of day, and count dates over months and leap days", () => {
    expect(clockOf("08:30")).toBe(510);
    expect(clockText(510 + DAY)).toBe("08:30");
    expect(dateAfter("2028-02-28", 1)).toBe("2028-02-29");
    expect(dateAfter("2026-12-31", 1)).toBe("2027-01-01");
  });
  it("have their hours, their break and their hours of noise, and none on a Sunday", () => {
    const w = windowsOf(work(), true, MONDAY, 0).map(
      (x) => `${clockText(x.from)}-${clockText(x.until)}${x.loud ? " loud" : ""}`,
    );
    expect(w).toEqual(["08:00-09:00", "09:00-12:30 loud", "13:00-16:00 loud", "16:00-16:30"]);
    expect(windowsOf(work(), false, MONDAY, 0).every((x) => x.loud)).toBe(true);
    expect(windowsOf(work({ breakMinutes: 0 }), false, MONDAY, 0).at(-1)!.until).toBe(clockOf("16:30"));
    expect(windowsOf(work(), true, MONDAY, 5)).toEqual([]);
    expect(windowsOf(work({ saturday: true }), true, MONDAY, 5)).not.toEqual([]);
    expect(windowsOf(work({ saturday: true }), true, MONDAY, 6)).toEqual([]);
  });
  it("leave out a room that another trade has, from its first day to its last", () => {
    const away = (room: string | null) =>
      work({ away: [{ id: "a", what: "Plaster dries", room, from: "2026-12-01", until: "2026-12-02" }] });
    expect(windowsOf(away("hall"), false, MONDAY, 0)[0]!.away.size).toBe(0);
    expect([...windowsOf(away("hall"), false, MONDAY, 1)[0]!.away]).toEqual(["hall"]);
    expect([...windowsOf(away("hall"), false, MONDAY, 2)[0]!.away]).toEqual(["hall"]);
    expect(windowsOf(away("hall"), false, MONDAY, 3)[0]!.away.size).toBe(0);
    expect(windowsOf(away(null), false, MONDAY, 2)).toEqual([]);
  });
});

describe("a schedule", () => {
  it("keeps noise to its hours and does quiet work before them", () => {
    const s = scheduleOf([task("drill", 60, { noisy: true }), task("coil", 30)], work(), true, MONDAY, 0);
    expect(times(s, "coil")).toEqual(["0 0 08:00-08:30"]);
    expect(times(s, "drill")).toEqual(["0 0 09:00-10:00"]);
    expect(s).toMatchObject({ end: 600, proven: true });
  });
  it("lays noisy work down at the end of its hours and takes it up the next day", () => {
    const s = scheduleOf([task("chase", 60, { noisy: true })], work(), true, MONDAY, clockOf("15:30"));
    expect(times(s, "chase")).toEqual(["0 0 15:30-16:00", "1 0 09:00-09:30"]);
  });
  it("goes round the break and over a week's end", () => {
    const s = scheduleOf([task("clip", 60)], work(), false, MONDAY, 4 * DAY + clockOf("16:00"));
    expect(times(s, "clip")).toEqual(["4 0 16:00-16:30", "7 0 08:00-08:30"]);
    expect(times(scheduleOf([task("clip", 60)], work(), false, MONDAY, clockOf("12:00")), "clip")).toEqual([
      "0 0 12:00-12:30",
      "0 0 13:00-13:30",
    ]);
  });
  it("has two people at once at what does not wait for the other, and nobody at two things", () => {
    const s = scheduleOf(
      [task("a", 60), task("b", 60), task("c", 30, { after: ["a", "b"] })],
      work(two),
      false,
      MONDAY,
      0,
    );
    expect(s.end).toBe(clockOf("09:30"));
    expect(s.proven).toBe(true);
    expect(times(s, "c")[0]).toMatch(/09:00-09:30/);
  });
  it("waits for a long chain where that ends sooner: a rule of thumb alone would not", () => {
    // Three of 2 h and two of 3 h for two people: 6 h each way only when the threes lie together.
    const s = scheduleOf(
      [task("a", 120), task("b", 120), task("c", 120), task("d", 180), task("e", 180)],
      work({ ...two, breakMinutes: 0 }),
      false,
      MONDAY,
      0,
    );
    expect(s).toMatchObject({ end: clockOf("14:00"), bound: clockOf("14:00"), proven: true });
  });
  it("waits for a room until the other trade is out of it, and tells what finds no time at all", () => {
    const away = [{ id: "a", what: "Screed dries", room: "hall", from: MONDAY, until: "2026-12-01" }];
    expect(times(scheduleOf([task("x", 30, { room: "hall" })], work({ away }), false, MONDAY, 0), "x")).toEqual([
      "2 0 08:00-08:30",
    ]);
    const never = scheduleOf(
      [task("x", 30, { noisy: true })],
      work({ noiseFrom: "17:00", noiseUntil: "18:00" }),
      true,
      MONDAY,
      0,
    );
    expect(never.unplaced).toEqual(["x"]);
  });
  it("says nothing to do where nothing is", () => {
    expect(scheduleOf([], work(), true, MONDAY, 77)).toEqual({
      slots: [],
      end: 77,
      bound: 77,
      proven: true,
      unplaced: [],
    });
  });

  const some = (most: number) =>
    fc
      .array(
        fc.record({
          minutes: fc.integer({ min: 5, max: 300 }),
          noisy: fc.boolean(),
          mask: fc.integer({ min: 0, max: 1 << most }),
        }),
        { minLength: 1, maxLength: most },
      )
      .map((list) =>
        list.map(({ minutes, noisy, mask }, i) =>
          task(`t${i}`, minutes, { noisy, after: list.flatMap((_, j) => (j < i && (mask >> j) & 1 ? [`t${j}`] : [])) }),
        ),
      );
  it("is legal: all the minutes, in order, in hours, one thing in one hand, not below its bound (property)", () => {
    fc.assert(
      fc.property(some(20), fc.boolean(), fc.integer({ min: 0, max: 3 * DAY }), (tasks, pair, from) => {
        const w = work(pair ? two : {});
        const s = scheduleOf(tasks, w, true, MONDAY, from);
        expect(s.unplaced).toEqual([]);
        expect(s.bound).toBeLessThanOrEqual(s.end + 1e-6);
        const windows = Array.from({ length: 40 }, (_, d) => windowsOf(w, true, MONDAY, d)).flat();
        for (const t of tasks) {
          const mine = s.slots.filter((x) => x.task === t.id);
          expect(mine.reduce((n, x) => n + x.until - x.from, 0)).toBeCloseTo(t.minutes, 6);
          for (const x of mine) {
            expect(x.from).toBeGreaterThanOrEqual(from);
            for (const a of t.after)
              for (const y of s.slots.filter((z) => z.task === a)) expect(y.until).toBeLessThanOrEqual(x.from + 1e-6);
            const inside = windows.filter((v) => v.from < x.until - 1e-6 && v.until > x.from + 1e-6);
            expect(inside.reduce((n, v) => n + Math.min(v.until, x.until) - Math.max(v.from, x.from), 0)).toBeCloseTo(
              x.until - x.from,
              6,
            );
            if (t.noisy) expect(inside.every((v) => v.loud)).toBe(true);
          }
        }
        for (const x of s.slots)
          for (const y of s.slots)
            if (x !== y && (x.person === y.person || x.task === y.task))
              expect(x.until <= y.from + 1e-6 || y.until <= x.from + 1e-6).toBe(true);
      }),
      { numRuns: 60 },
    );
  });
  it("of a small job is the best there is: no order of choosing, with idling, ends sooner (property, by plain search)", () => {
    const w = work({ ...two, breakMinutes: 0, noiseFrom: "09:00", noiseUntil: "11:00", end: "12:00" });
    const windows = Array.from({ length: 30 }, (_, d) => windowsOf(w, true, MONDAY, d)).flat();
    /** Minute by half hour: every choice at every half hour. Tasks last half hours. */
    const best = (tasks: Placeable[]): number => {
      const known = new Map<string, number>();
      const slots = windows.flatMap((v) =>
        Array.from({ length: (v.until - v.from) / 30 }, (_, i) => ({
          at: v.from + i * 30,
          loud: v.loud,
          first: i === 0,
        })),
      );
      // In hand a task goes on to the end of its window: what one person holds is given from slot to slot.
      const go = (k: number, left: number[], hands: (number | null)[]): number => {
        if (left.every((l) => l === 0)) return k === 0 ? 0 : slots[k - 1]!.at + 30;
        const slot = slots[k];
        if (!slot) return Infinity;
        const keep = hands.map((h) =>
          h !== null && left[h]! > 0 && (!slot.first || slot.loud || !tasks[h]!.noisy) ? h : null,
        );
        const key = `${k}|${left}|${keep}`;
        const there = known.get(key);
        if (there !== undefined) return there;
        const may = tasks.flatMap((t, i) =>
          left[i]! > 0 &&
          !keep.includes(i) &&
          (slot.loud || !t.noisy) &&
          t.after.every((a) => left[Number(a.slice(1))] === 0)
            ? [i]
            : [],
        );
        let out = Infinity;
        const choices = (h: number | null): (number | null)[] => (h !== null ? [h] : [null, ...may]);
        for (const a of choices(keep[0]!))
          for (const b of choices(keep[1]!)) {
            if (a !== null && a === b) continue;
            out = Math.min(
              out,
              go(
                k + 1,
                left.map((l, i) => (i === a || i === b ? l - 1 : l)),
                [a, b],
              ),
            );
          }
        known.set(key, out);
        return out;
      };
      return go(
        0,
        tasks.map((t) => t.minutes / 30),
        [null, null],
      );
    };
    fc.assert(
      fc.property(some(4), (list) => {
        const tasks = list.map((t) => ({ ...t, minutes: Math.ceil(t.minutes / 60) * 30 }));
        expect(tasks.length).toBeLessThanOrEqual(SMALL);
        const s = scheduleOf(tasks, w, true, MONDAY, 0);
        expect(s.proven).toBe(true);
        expect(s.end).toBeCloseTo(best(tasks), 6);
      }),
      { numRuns: 40 },
    );
  });
});
