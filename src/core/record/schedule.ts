import { EPS } from "../base/tolerance";
import type { Work } from "../job/settings";
import { type Minute, type Window, windowsOf } from "./calendar";

/** Work to be placed: minutes left, tasks that come first, the room it is done in. */
export interface Placeable {
  id: string;
  minutes: number;
  noisy: boolean;
  /** Room it needs to itself where another trade may be; null for none. */
  room: string | null;
  /** Place it is done at: going on at the same place costs nothing. */
  place: string;
  after: readonly string[];
}

/** A stretch of work as it is placed. */
export interface Slot {
  task: string;
  person: number;
  from: Minute;
  until: Minute;
}
export interface Schedule {
  slots: Slot[];
  /** When the last of it is done; `from` where there is nothing to do. */
  end: Minute;
  /** No plan of these tasks ends sooner. */
  bound: Minute;
  /** Ends at the bound, or all orders of a small job were tried. */
  proven: boolean;
  /** Tasks for which no time is found within the days looked at. */
  unplaced: string[];
}

/** Days looked at. */
const DAYS = 120;
/** Tasks up to which every order is tried, and most steps of that search. */
export const SMALL = 9;
const TRIES = 60_000;

interface Given {
  tasks: readonly Placeable[];
  byId: ReadonlyMap<string, Placeable>;
  people: number;
  windows: readonly Window[];
  from: Minute;
}

const allowed = (t: Placeable, w: Window): boolean => (w.loud || !t.noisy) && !(t.room !== null && w.away.has(t.room));

/** One state of the simulated days: who is at what until when. */
interface Going {
  at: Minute;
  window: number;
  left: Map<string, number>;
  /** Task in the hands of each person; null while idle. */
  hands: (string | null)[];
  last: (string | null)[];
  slots: Slot[];
}

/** The tasks that a person may take up at a moment: all before them done, noise and rooms permitting, in nobody's hands. */
function takable(g: Given, s: Going): Placeable[] {
  const w = g.windows[s.window]!;
  const out: Placeable[] = [];
  for (const id of s.left.keys()) {
    const t = g.byId.get(id)!;
    if (!s.hands.includes(id) && t.after.every((a) => !s.left.has(a)) && allowed(t, w)) out.push(t);
  }
  return out;
}

/** Lets time run to the next moment at which something ends: a task in hand, or the window. */
function run(g: Given, s: Going): void {
  const w = g.windows[s.window]!;
  const busy = s.hands.flatMap((t, person) => (t === null ? [] : [{ t, person }]));
  const until = Math.min(w.until, ...busy.map(({ t }) => s.at + s.left.get(t)!));
  for (const { t, person } of busy) {
    const left = s.left.get(t)! - (until - s.at);
    let k = s.slots.length - 1;
    while (k >= 0 && s.slots[k]!.person !== person) k--;
    const before = s.slots[k];
    if (before && before.task === t && Math.abs(before.until - s.at) < EPS) before.until = until;
    else s.slots.push({ task: t, person, from: s.at, until });
    s.last[person] = t;
    if (left <= EPS) {
      s.left.delete(t);
      s.hands[person] = null;
    } else s.left.set(t, left);
  }
  s.at = until;
  if (until >= w.until - EPS) {
    // What is in hand is laid down at the end of a window, and taken up again where it may be.
    s.window++;
    const next = g.windows[s.window];
    if (next) {
      s.at = next.from;
      s.hands = s.hands.map((t) =>
        t !== null &&
        allowed(
          g.tasks.find((x) => x.id === t)!,
          next,
        )
          ? t
          : null,
      );
    }
  }
}

const begin = (g: Given): Going => ({
  at: Math.max(g.from, g.windows[0]?.from ?? g.from),
  window: 0,
  left: new Map(g.tasks.filter((t) => t.minutes > EPS).map((t) => [t.id, t.minutes])),
  hands: Array.from({ length: g.people }, () => null),
  last: Array.from({ length: g.people }, () => null),
  slots: [],
});

/** The days by a rule of choice: whenever a person is free, the best of what may be taken up is. */
function byRule(g: Given, score: (t: Placeable, last: Placeable | null) => number): Going {
  const s = begin(g);
  while (s.left.size && s.window < g.windows.length) {
    for (let person = 0; person < g.people; person++) {
      if (s.hands[person] !== null) continue;
      const last = s.last[person] === null ? null : (g.byId.get(s.last[person]!) ?? null);
      let best: Placeable | null = null;
      for (const t of takable(g, s)) if (!best || score(t, last) > score(best, last) + EPS) best = t;
      s.hands[person] = best?.id ?? null;
    }
    run(g, s);
  }
  return s;
}

/** The longest chain of work from each task to the end, minutes. */
function tails(tasks: readonly Placeable[]): Map<string, number> {
  const next = new Map<string, Placeable[]>();
  for (const t of tasks) for (const a of t.after) next.set(a, [...(next.get(a) ?? []), t]);
  const out = new Map<string, number>();
  const tail = (t: Placeable): number => {
    const there = out.get(t.id);
    if (there !== undefined) return there;
    out.set(t.id, t.minutes);
    const n = t.minutes + Math.max(0, ...(next.get(t.id) ?? []).map(tail));
    out.set(t.id, n);
    return n;
  };
  tasks.forEach(tail);
  return out;
}

/** The time at which so many minutes of work are done in the windows, of those that `fit`; Infinity past the last. */
function after(g: Given, minutes: number, hands: number, fit: (w: Window) => boolean): Minute {
  let left = minutes;
  if (left <= EPS) return g.from;
  for (const w of g.windows) {
    if (!fit(w)) continue;
    const room = (w.until - Math.max(w.from, g.from)) * hands;
    if (room <= 0) continue;
    if (left <= room + EPS) return Math.max(w.from, g.from) + left / hands;
    left -= room;
  }
  return Infinity;
}

/** No schedule ends sooner: all work by all hands, the noisy work in its hours, and the longest chain by itself. */
function boundOf(g: Given, left: ReadonlyMap<string, number>, tail: ReadonlyMap<string, number>): Minute {
  const open = g.tasks.filter((t) => left.has(t.id));
  const sum = (list: readonly Placeable[]): number => list.reduce((n, t) => n + left.get(t.id)!, 0);
  const chain = Math.max(0, ...open.map((t) => tail.get(t.id)! - t.minutes + left.get(t.id)!));
  const noisy = open.filter((t) => t.noisy);
  return Math.max(
    after(g, sum(open), g.people, () => true),
    after(g, sum(noisy), g.people, (w) => w.loud),
    after(g, chain, 1, () => true),
  );
}

/** Every choice of a small job is tried, idling too, until no better end can be; true when all were. */
function searchAll(g: Given, tail: ReadonlyMap<string, number>, best: { s: Going }, bound: Minute): boolean {
  let tries = 0;
  const copy = (s: Going): Going => ({
    ...s,
    left: new Map(s.left),
    hands: [...s.hands],
    last: [...s.last],
    slots: s.slots.map((x) => ({ ...x })),
  });
  const go = (s: Going): void => {
    if (tries++ > TRIES || best.s.at <= bound + EPS) return;
    if (!s.left.size) {
      if (s.at < best.s.at - EPS) best.s = s;
      return;
    }
    if (s.window >= g.windows.length) return;
    if (boundOf({ ...g, from: s.at }, s.left, tail) >= best.s.at - EPS) return;
    const free = s.hands.findIndex((t) => t === null);
    const may = takable(g, s);
    const choose = (person: number, from: Going): void => {
      if (person >= g.people) {
        run(g, from);
        go(from);
        return;
      }
      if (from.hands[person] !== null) return choose(person + 1, from);
      for (const t of takable(g, from)) {
        const next = copy(from);
        next.hands[person] = t.id;
        choose(person + 1, next);
      }
      // To wait for what is in another's hands, or for the next window, may be better than what can be had now.
      if (from.hands.some((t) => t !== null) || !takable(g, from).length || from.window + 1 < g.windows.length)
        choose(person + 1, copy(from));
    };
    if (free < 0 || !may.length) {
      const next = copy(s);
      run(g, next);
      go(next);
    } else choose(free, copy(s));
  };
  go(begin(g));
  return tries <= TRIES;
}

/**
 * When what is done by whom: one or two people, each at one task at a time, work forced into its order, noise in its hours, rooms
 * free of other trades; a task is laid down at the end of a day or of the hours of noise and taken up again. The soonest end of
 * several rules of choice, and with few tasks of every order; `bound` holds in either case.
 * @param date of day 0, YYYY-MM-DD; `from` minutes after its midnight
 */
export function scheduleOf(
  tasks: readonly Placeable[],
  work: Work,
  occupied: boolean,
  date: string,
  from: Minute,
): Schedule {
  const known = new Set(tasks.map((t) => t.id));
  const list = tasks.map((t) => ({ ...t, after: t.after.filter((a) => known.has(a)) }));
  const windows = Array.from({ length: DAYS }, (_, day) => windowsOf(work, occupied, date, day))
    .flat()
    .filter((w) => w.until > from + EPS)
    .map((w) => ({ ...w, from: Math.max(w.from, from) }));
  const g: Given = {
    tasks: list,
    byId: new Map(list.map((t) => [t.id, t])),
    people: work.people.length,
    windows,
    from,
  };
  const tail = tails(list);
  const index = new Map(list.map((t, i) => [t.id, i]));
  const longest = Math.max(1, ...tail.values());
  const near = (t: Placeable, last: Placeable | null): number => (last && last.place === t.place ? 1 : 0);
  const order = (t: Placeable): number => 1 - index.get(t.id)! / list.length;
  const rules: ((t: Placeable, last: Placeable | null) => number)[] = [
    (t, last) => order(t) + near(t, last) * 0.2,
    (t, last) => (t.noisy ? 10 : 0) + near(t, last) * 0.3 + order(t),
    (t, last) => (t.noisy ? 10 : 0) + (tail.get(t.id)! / longest) * 5 + near(t, last) * 0.3,
    (t) => (tail.get(t.id)! / longest) * 5 + (t.noisy ? 1 : 0),
  ];
  const all = begin(g).left;
  const bound = boundOf(g, all, tail);
  const moves = (s: Going): number => {
    const place = new Map(list.map((t) => [t.id, t.place]));
    let n = 0;
    const at = new Map<number, string>();
    for (const x of s.slots) {
      if (at.has(x.person) && at.get(x.person) !== place.get(x.task)) n++;
      at.set(x.person, place.get(x.task)!);
    }
    return n;
  };
  const tried = rules.map((r) => byRule(g, r));
  const done = (s: Going): number => s.left.size;
  let s = tried[0]!;
  for (const t of tried.slice(1)) {
    const less = done(t) - done(s) || (Math.abs(t.at - s.at) > EPS ? t.at - s.at : moves(t) - moves(s));
    if (less < 0) s = t;
  }
  let proven = s.left.size === 0 && endOf(s, from) <= bound + EPS;
  if (!proven && s.left.size === 0 && list.length <= SMALL) {
    const best = { s: { ...s, at: endOf(s, from) } };
    proven = searchAll(g, tail, best, bound) || best.s.at <= bound + EPS;
    s = best.s;
  }
  const end = endOf(s, from);
  return { slots: s.slots, end, bound: Math.min(bound, end), proven, unplaced: [...s.left.keys()] };
}

const endOf = (s: Going, from: Minute): Minute => Math.max(from, ...s.slots.map((x) => x.until));
