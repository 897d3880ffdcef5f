import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { layHouse } from "../house/house";
import { minutes, taskKinds, wallHoleMinutes, workKinds } from "../rules/times";
import { type SiteEntry, siteEntrySchema } from "../job/site-entry";
import { makePlan } from "../plan/plan";
import { generatedHouse } from "../routing/generated-house";

import { daysOf } from "./day";
import { type Line, lineOfCannot, linesOfDone, linesOfRepair, linesOfUndone } from "./do-part";
import { stateOf } from "./entries";
import { heldRuns } from "./held";
import { learnedTimes } from "./learned";
import { neededSteps } from "./needed";
import { ringsUnread } from "./closing";
import { ringPart } from "./marks";
import { chaseLength } from "../plan/chases";
import { partsOf } from "./parts";
import { openTasks, tasksOf } from "./tasks";

const job = generatedHouse(3);
const h = layHouse(job);
const plan = makePlan(job);
const parts = partsOf(h, plan);

let n = 0;
const put = (lines: readonly Line[], by = "Pat", at?: number): SiteEntry[] =>
  lines.map((l) =>
    siteEntrySchema.parse({
      id: `e${String(++n).padStart(6, "0")}`,
      by,
      at: new Date(at ?? Date.UTC(2026, 10, 30, 8, 0, n)).toISOString(),
      ...l,
    }),
  );
/** The record after parts were done one after another. */
function work(ids: readonly string[], from: SiteEntry[] = []): SiteEntry[] {
  let entries = from;
  for (const id of ids) {
    const states = tasksOf(h, plan, entries).flatMap((t) => t.parts);
    const done = new Set(states.filter((x) => x.state.kind === "done").map((x) => x.part.id));
    entries = [
      ...entries,
      ...put(
        linesOfDone(
          parts.find((p) => p.id === id)!,
          parts,
          done,
          { plan, job, entries },
        ),
      ),
    ];
  }
  return entries;
}
const stateIn = (entries: readonly SiteEntry[], id: string) =>
  tasksOf(h, plan, entries)
    .flatMap((t) => t.parts)
    .find((x) => x.part.id === id)!.state;
const ofKind = (kind: string): string[] => parts.filter((p) => p.kind === kind).map((p) => p.id);

describe("what there is to do", () => {
  it("is every hole, clip and run of the plan once, and nothing twice", () => {
    expect(new Set(parts.map((p) => p.id)).size).toBe(parts.length);
    expect(ofKind("bore")).toHaveLength(plan.holes.length);
    const clips = parts.filter((p) => p.kind === "clip").reduce((s, p) => s + p.count, 0);
    expect(clips).toBe(plan.clips.reduce((s, c) => s + c.marks.length, 0));
    expect(ofKind("draw-in")).toHaveLength(plan.runs.length);
    for (const p of parts) expect(p.id.length).toBeLessThanOrEqual(140);
  });
  it("has a chase once for all that lies in it, never longer than its legs and as long as the longest", () => {
    for (const f of h.faces) {
      const legs = plan.runs.flatMap((r) => r.legs).filter((l) => l.method === "chase" && l.surface.id === f.wall.id);
      const lengths = legs.map((l) => Math.hypot(...l.path[0]!.map((x, i) => x - l.path.at(-1)![i]!)));
      const chased = chaseLength(h, plan.runs, f.wall.id);
      expect(chased).toBeLessThanOrEqual(lengths.reduce((s, x) => s + x, 0) + 1e-6);
      expect(chased).toBeGreaterThanOrEqual(Math.max(0, ...lengths) - 1e-6);
    }
  });
  it("walks a deck line by line, out on one and back on the next", () => {
    const deck = parts.filter((p) => p.kind === "bore" && p.hole?.in.kind === "joist");
    const along = (p: (typeof deck)[number]): number => {
      const l = h.decks[h.deckOfId.get(p.at.id)!]!;
      return l.along === "x" ? p.hole!.centre[0] : p.hole!.centre[1];
    };
    expect(deck.length).toBeGreaterThan(3);
    for (let i = 1; i < deck.length; i++)
      if (deck[i]!.at.id === deck[i - 1]!.at.id)
        expect(along(deck[i]!)).toBeGreaterThanOrEqual(along(deck[i - 1]!) - 1);
  });
});

describe("the order the work forces", () => {
  it("is drill, draw in, clip, coil, test, photograph, close: nothing is ready before what it needs", () => {
    const run = plan.runs.find((r) => neededSteps(plan, r.id).includes("bored"))!;
    expect(stateIn([], `draw-in:${run.id}`).kind).toBe("waits");
    const own = (kind: string): string[] =>
      parts.filter((p) => p.kind === kind && p.runs.includes(run.id)).map((p) => p.id);
    let entries: SiteEntry[] = [];
    for (const kind of ["boards-up", "bore", "chase", "box", "section"]) {
      if (own(kind).length) expect(stateIn(entries, `draw-in:${run.id}`).kind).toBe("waits");
      entries = work(own(kind), entries);
    }
    expect(stateIn(entries, `draw-in:${run.id}`).kind).toBe("ready");
    entries = work([`draw-in:${run.id}`, ...own("clip")], entries);
    expect(stateIn(entries, `test:${run.id}`).kind).toBe("waits");
    entries = work(own("tails"), entries);
    expect(stateIn(entries, `test:${run.id}`).kind).toBe("ready");
  });
  it("a ring is read end to end when all its runs are tested, and again after a repair of any of them", () => {
    const ring = parts.find((p) => p.kind === "ring")!;
    expect(ring.id).toBe(ringPart(ring.at.id));
    expect(ring.runs).toEqual(plan.runs.filter((r) => r.circuit === ring.at.id).map((r) => r.id));
    const tests = ring.runs.map((r) => `test:${r}`);
    const [run] = ring.runs;
    let entries = work(tests.slice(1));
    expect(stateIn(entries, ring.id)).toMatchObject({ kind: "waits", for: { id: tests[0] } });
    entries = work(tests.slice(0, 1), entries);
    expect(stateIn(entries, ring.id).kind).toBe("ready");
    const unread = (e: readonly SiteEntry[], runs = ring.runs.slice(0, 1)) =>
      ringsUnread({ runs }, job.circuits, plan, e);
    expect(unread(entries)).toEqual([ring.at.id]);
    expect(unread(entries, [])).toEqual([]);
    expect(unread([])).toEqual([]);
    entries = work([ring.id], entries);
    expect(unread(entries)).toEqual([]);
    expect(stateIn(entries, ring.id).kind).toBe("done");
    const repaired: Line = { run: run!, kind: "repaired", step: null, text: "New length", after: "d" };
    const lines = linesOfRepair(repaired, { plan, entries });
    expect(lines[0]).toBe(repaired);
    entries = [...entries, ...put(lines)];
    expect(stateIn(entries, ring.id).kind).toBe("waits");
    expect(stateOf(entries, run!).tested.done).toBe(false);
    // What was never tested has nothing to take back.
    expect(linesOfRepair(repaired, { plan, entries: [] })).toEqual([repaired]);
  });
  it("boards go down when all under them is tested and photographed, before the deck is released", () => {
    const j = generatedHouse(3);
    const decks = j.decks.map((d) => ({ ...d, access: "boards-up" as const }));
    const open = { ...j, decks };
    const [hh, pp] = [layHouse(open), makePlan(open)];
    const all = partsOf(hh, pp);
    const down = all.find((p) => p.kind === "boards-down")!;
    const up = all.find((p) => p.id === `boards-up:deck:${down.at.id}`)!;
    expect([down.count, down.runs]).toEqual([up.count, up.runs]);
    expect(up.usual / up.count).toBeCloseTo(minutes.boardMetre.up, 6);
    expect(down.usual / down.count).toBeCloseTo(minutes.boardMetre.down, 6);
    const at = (entries: readonly SiteEntry[], id: string, photos = false) => {
      const with_ = photos
        ? {
            ...open,
            photos: [
              {
                id: "p",
                wall: null,
                deck: down.at.id,
                outside: null,
                picture: "p",
                u: 0,
                v: 0,
                text: "",
                at: "2026-11-26T10:00:00Z",
              },
            ],
          }
        : open;
      return tasksOf(layHouse(with_), pp, entries)
        .flatMap((t) => t.parts)
        .find((x) => x.part.id === id)!.state;
    };
    const tested = put(down.runs.map((run): Line => ({ run, kind: "done", step: "tested", text: "" })));
    const clipped = put(down.runs.map((run): Line => ({ run, kind: "done", step: "clipped", text: "" })));
    expect(at(clipped, down.id, true)).toMatchObject({ kind: "waits", for: { kind: "test" } });
    expect(at([...clipped, ...tested], down.id)).toMatchObject({ kind: "waits", for: { kind: "photo" } });
    expect(at([...clipped, ...tested], down.id, true)).toEqual({ kind: "ready" });
    expect(at([...clipped, ...tested], `close:deck:${down.at.id}`, true)).toMatchObject({ for: { id: down.id } });
    const mark: Line = { run: `deck:${down.at.id}`, kind: "mark", step: null, text: "", mark: down.id };
    expect(at([...clipped, ...tested, ...put([mark])], `close:deck:${down.at.id}`, true)).toEqual({ kind: "ready" });
  });
  it("steps of a run are ticked by their last part, and its first holds it as it is in hand", () => {
    const run = plan.runs.find((r) => parts.filter((p) => p.kind === "bore" && p.runs.includes(r.id)).length > 1)!;
    const bores = parts.filter((p) => p.kind === "bore" && p.runs.includes(run.id)).map((p) => p.id);
    const some = work(bores.slice(0, -1));
    expect(stateOf(some, run.id).bored.done).toBe(false);
    expect(heldRuns(some).map((r) => r.key)).toContain(run.id);
    expect(heldRuns(some).find((r) => r.key === run.id)!.legs).toEqual(run.legs);
    const all = work(bores.slice(-1), some);
    expect(stateOf(all, run.id).bored.done).toBe(true);
    expect(all.filter((e) => e.run === run.id && e.held)).toHaveLength(1);
  });
  it("a part taken back is to do again, its step is not ticked, and nothing is held of a run with nothing done", () => {
    const run = plan.runs.find((r) => parts.some((p) => p.kind === "bore" && p.runs.includes(r.id)))!;
    const bores = parts.filter((p) => p.kind === "bore" && p.runs.includes(run.id));
    let entries = work(bores.map((p) => p.id));
    for (const p of bores) entries = [...entries, ...put(linesOfUndone(p, entries))];
    expect(stateOf(entries, run.id).bored.done).toBe(false);
    for (const p of bores) expect(stateIn(entries, p.id).kind).not.toBe("done");
    expect(heldRuns(entries).map((r) => r.key)).not.toContain(run.id);
  });
  it("a step ticked for the whole run has all its parts done", () => {
    const run = plan.runs.find((r) => neededSteps(plan, r.id).includes("bored"))!;
    const entries = put([{ run: run.id, kind: "done", step: "bored", text: "" }]);
    for (const p of parts.filter((x) => x.kind === "bore" && x.runs.length === 1 && x.runs[0] === run.id))
      expect(stateIn(entries, p.id).kind).toBe("done");
  });
  it("what cannot be done holds what depends on it and nothing else, until it can", () => {
    const bore = parts.find((p) => p.kind === "bore")!;
    const entries = put([lineOfCannot(bore, "In the way")]);
    expect(stateIn(entries, bore.id)).toMatchObject({ kind: "cannot", why: "In the way", by: "Pat" });
    for (const r of bore.runs) {
      expect(stateIn(entries, `draw-in:${r}`)).toMatchObject({ kind: "held", by: { id: bore.id } });
      expect(stateIn(entries, `test:${r}`).kind).toBe("held");
    }
    const others = plan.runs.filter((r) => !bore.runs.includes(r.id));
    for (const r of others) expect(stateIn(entries, `draw-in:${r.id}`).kind).not.toBe("held");
    const left = (e: SiteEntry[]): number => openTasks(tasksOf(h, plan, e)).reduce((s, t) => s + t.minutes, 0);
    expect(left(entries)).toBeLessThan(left([]));
    expect(stateIn([...entries, ...put([lineOfCannot(bore, null)])], bore.id).kind).not.toBe("cannot");
    expect(stateIn(work([bore.id], entries), bore.id).kind).toBe("done");
  });
  it("all of it done leaves only photographs, releases; and done in any order nothing is done twice (property)", () => {
    const mine = parts.filter((p) => !["photo", "close"].includes(p.kind)).map((p) => p.id);
    fc.assert(
      fc.property(fc.shuffledSubarray(mine, { minLength: mine.length }), (order) => {
        // One long record put together by the lines alone, whatever the order of hands.
        const done = new Set<string>();
        const entries: SiteEntry[] = [];
        for (const id of order) {
          entries.push(
            ...put(
              linesOfDone(
                parts.find((p) => p.id === id)!,
                parts,
                done,
                { plan, job, entries: [] },
              ),
            ),
          );
          done.add(id);
        }
        const left = tasksOf(h, plan, entries)
          .flatMap((t) => t.parts)
          .filter((x) => x.state.kind !== "done");
        expect(new Set(left.map((x) => x.part.kind))).toEqual(new Set(["photo", "close"]));
        for (const r of plan.runs)
          for (const s of neededSteps(plan, r.id))
            if (s !== "made-off") expect(stateOf(entries, r.id)[s].done).toBe(true);
      }),
      { numRuns: 4 },
    );
  });
  it("a surface released is done with; a wall photographed is", () => {
    const close = parts.find((p) => p.kind === "close" && p.at.kind === "wall")!;
    const key = `wall:${close.at.id}`;
    const entries = put([{ run: key, kind: "released", step: null, text: "" }]);
    expect(stateIn(entries, close.id).kind).toBe("done");
    expect(stateIn(entries, `photo:${key}`).kind).toBe("done");
    expect(
      stateIn(
        [...entries, ...put([{ run: key, kind: "reopened", step: null, text: "leak", after: entries[0]!.id }])],
        close.id,
      ).kind,
    ).not.toBe("done");
  });
});

describe("times", () => {
  const each = (minutes: Record<string, number>) => ({ ...job, work: { ...job.work, minutes } });
  it("are the user's, before what was learned, before the usual; every kind has one", () => {
    for (const k of taskKinds) expect(workKinds[k].each).toBeGreaterThan(0);
    const of = (j: typeof job, learned = {}): number =>
      tasksOf(layHouse(j), plan, [], learned).find((t) => t.kind === "draw-in")!.minutes;
    const group = tasksOf(h, plan, []).find((t) => t.kind === "draw-in")!.group;
    const usual = parts.filter((p) => p.group === group && p.kind === "draw-in").reduce((s, p) => s + p.usual, 0);
    expect(of(job)).toBeCloseTo(minutes.setUp + usual, 6);
    expect(of(job, { "draw-in": 2 })).toBeCloseTo(minutes.setUp + 2 * usual, 6);
    // Ten times the usual half minute a metre.
    expect(of(each({ "draw-in": 5 }) as typeof job, { "draw-in": 2 })).toBeCloseTo(minutes.setUp + 10 * usual, 6);
  });
  it("are those that ways are compared by: a hole by its timber or the thickness of its wall, a metre drawn in, a metre of chase by its wall", () => {
    for (const p of parts) {
      if (p.kind === "draw-in") expect(p.usual).toBeCloseTo(minutes.drawIn.run + p.count * minutes.drawIn.metre, 6);
      if (p.hole?.in.kind === "joist") expect(p.usual).toBe(minutes.bore);
      if (p.hole?.in.kind === "wall")
        expect(p.usual).toBe(wallHoleMinutes(h.faces[h.faceOfWall.get(p.hole.in.wall!)!]!.shape.thickness));
      if (p.kind === "chase") {
        const { build } = h.faces[h.faceOfWall.get(p.at.id)!]!.wall;
        expect(p.usual / p.count).toBeCloseTo(minutes.chaseMetre[build === "masonry" ? "masonry" : "plaster"], 6);
      }
    }
  });
  it("are learned from three stretches or more, by the middle one, and never from what nobody believes", () => {
    const boxes = parts.filter((p) => p.kind === "box");
    const tails = parts.filter((p) => p.kind === "tails");
    const at = (minute: number): number => Date.UTC(2026, 10, 30, 8, minute);
    const mark = (p: (typeof parts)[number], minute: number, by = "Pat"): SiteEntry[] =>
      put([{ run: `point:${p.at.id}`, kind: "mark", step: null, text: "", mark: p.id }], by, at(minute));
    // Coil one, then a box of 8 min usual that took 16; three times.
    const usual = (i: number): number => boxes[i]!.usual;
    let minute = 0;
    const lines: SiteEntry[] = [];
    for (let i = 0; i < 3; i++) {
      lines.push(...mark(tails[i]!, minute));
      minute += usual(i) * 2;
      lines.push(...mark(boxes[i]!, minute));
      minute += 1;
    }
    expect(learnedTimes(parts, lines).box).toBeCloseTo(2, 6);
    expect(learnedTimes(parts, lines.slice(0, 4)).box).toBeUndefined();
    // Two people side by side do not make each other's stretches.
    expect(learnedTimes(parts, [...lines, ...mark(tails[3]!, 5, "Sam")]).box).toBeCloseTo(2, 6);
    // A night between two ticks is not work.
    const slept = [
      ...mark(tails[0]!, 0),
      ...mark(boxes[0]!, 600),
      ...mark(tails[1]!, 601),
      ...mark(boxes[1]!, 1300),
      ...mark(tails[2]!, 1301),
      ...mark(boxes[2]!, 2000),
    ];
    expect(learnedTimes(parts, slept).box).toBeUndefined();
  });
});

describe("the days from now on", () => {
  it("place all that is left; what is done is in them no more, and what slips is placed anew", () => {
    const now = { date: "2026-11-30", minute: 480 };
    const all = daysOf(h, plan, [], now);
    const minutes = (d: typeof all): number => d.schedule.slots.reduce((s, x) => s + x.until - x.from, 0);
    expect(minutes(all)).toBeCloseTo(
      openTasks(all.tasks).reduce((s, t) => s + t.minutes, 0),
      6,
    );
    const first = ofKind("bore").slice(0, 5);
    const then = daysOf(h, plan, work(first), now);
    expect(minutes(then)).toBeLessThan(minutes(all));
    const late = daysOf(h, plan, [], { ...now, minute: 900 });
    expect(late.schedule.end).toBeGreaterThan(all.schedule.end);
    expect(Math.min(...late.schedule.slots.map((s) => s.from))).toBeGreaterThanOrEqual(900);
  });
  it("begin on their first day where that is to come", () => {
    const later = { ...job, work: { ...job.work, first: "2026-12-07" } };
    expect(daysOf(layHouse(later), plan, [], { date: "2026-11-30", minute: 900 })).toMatchObject({
      date: "2026-12-07",
      from: 0,
    });
  });
});
