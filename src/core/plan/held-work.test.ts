import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { distance } from "../base/wall-frame";
import { layHouse } from "../house/house";
import { type Job, canonical } from "../job/model";
import { applyPatch } from "../job/patch";
import { holdOf } from "../laid/held";
import type { Plan } from "../laid/laid";
import { generatedHouse } from "../routing/generated-house";
import { EXACT_MOST } from "../routing/order";
import { findingOf, namesOf } from "../words/findings";
import { heldFacts, touchedWork } from "./held-work";
import { makePlan } from "./plan";

const job = generatedHouse(7);
const plan = makePlan(job);
const hold = (p: Plan, j: Job, id: string) =>
  holdOf(
    p.runs.find((r) => r.id === id)!,
    p.holes,
    j.points,
  );
const bored = plan.runs.filter((r) => plan.holes.some((h) => h.in.kind === "joist" && h.runs.includes(r.id)));
const ring = job.circuits.find((c) => c.kind === "ring")!;
const moved = (j: Job, id: string, du: number, dv = 0): Job => {
  const p = j.points.find((x) => x.id === id)!;
  const place = { ...p.place, u: (p.place as { u: number }).u + du, v: (p.place as { v: number }).v + dv };
  return applyPatch(j, [{ collection: "points", id, before: p, after: { ...p, place } }]);
};
const stops = (p: Plan): string[] =>
  p.facts.filter((f) => f.severity === "stop").map((f) => `${f.rule} ${f.subject.id}`);

describe("a plan with work done in it", () => {
  it("keeps every held run as it was done, wherever the free points go", () => {
    fc.assert(
      fc.property(fc.nat(1000), fc.integer({ min: -300, max: 300 }), fc.integer({ min: 1, max: 4 }), (n, by, many) => {
        const held = bored.slice(0, many).map((r) => hold(plan, job, r.id));
        const ends = new Set(held.flatMap((r) => [r.from, r.to]));
        const free = job.points.filter((p) => p.place.on === "wall" && p.kind === "socket" && !ends.has(p.id));
        const next = moved(job, free[n % free.length]!.id, by);
        const after = makePlan(next, { held });
        for (const r of held) {
          const now = after.runs.find((x) => x.id === r.key)!;
          expect(now.held).toBe(true);
          expect(now.cutLength).toBe(r.cutLength);
          const same =
            now.from === r.from ? r.legs : [...r.legs].reverse().map((l) => ({ ...l, path: [...l.path].reverse() }));
          expect(now.legs).toEqual(same);
          for (const o of r.holes) {
            const there = after.holes.find((h) => h.id === o.id)!;
            expect(there).toMatchObject({ at: o.at, fromTop: o.fromTop, diameter: o.diameter });
            expect(there.runs).toContain(r.key);
          }
        }
      }),
      { numRuns: 12 },
    );
  });
  it("joins the points as they are joined where any of its runs are done, one or all of them, in rings of few points and of many", () => {
    // More than are put in order exactly.
    const many = generatedHouse(7, 4, 5);
    expect(many.circuits.find((c) => c.kind === "ring")!.points.length).toBeGreaterThan(EXACT_MOST + 1);
    for (const j of [job, many]) {
      const whole = makePlan(j);
      const keys = whole.runs.map((r) => r.id).sort();
      fc.assert(
        fc.property(fc.subarray(keys), fc.boolean(), (some, all) => {
          const held = (all ? keys : some).map((id) => hold(whole, j, id));
          const after = makePlan(j, { held });
          expect(after.facts.filter((f) => f.rule === "work.apart")).toEqual([]);
          if (all) expect(after.runs.map((r) => r.id).sort()).toEqual(keys);
        }),
        { numRuns: j === many ? 2 : 6 },
      );
    }
  });
  it("lays the rest round the holes already drilled: none closer than three diameters, and none fuller than it may be", () => {
    const held = bored.slice(0, 3).map((r) => hold(plan, job, r.id));
    // The held holes are shifted off the bore lines, as a hand drills them.
    const off = held.map((r) => ({ ...r, holes: r.holes.map((o) => ({ ...o, id: `${o.id}x`, at: o.at + 20 })) }));
    for (const given of [held, off]) {
      const after = makePlan(job, { held: given });
      expect(after.facts.filter((f) => f.rule === "timber.hole.spacing" || f.rule === "hole.too-small")).toEqual([]);
    }
  });
  it("says nothing while nothing contradicts it", () => {
    const held = plan.runs.map((r) => hold(plan, job, r.id));
    const after = makePlan(job, { held });
    expect(stops(after)).toEqual(stops(plan));
    expect(after.facts.filter((f) => f.rule.startsWith("work."))).toEqual([]);
    expect(after.cable).toMatchObject({ lines: null });
  });
  it("tells planned and done of a point that moved, and offers to put it back", () => {
    const run = bored.find((r) => ring.points.includes(r.from) && ring.points.includes(r.to))!;
    const held = [hold(plan, job, run.id)];
    const next = moved(job, run.from, 40, 30);
    const f = makePlan(next, { held }).facts.filter((x) => x.rule === "work.moved");
    expect(f).toHaveLength(1);
    expect(f[0]).toMatchObject({
      severity: "stop",
      subject: { kind: "point", id: run.from },
      where: { run: run.id },
      measured: expect.closeTo(50, 6) as number,
      limit: 0,
    });
    expect(f[0]!.fix).toEqual([
      { collection: "points", id: run.from, set: { place: job.points.find((p) => p.id === run.from)!.place } },
    ]);
    expect(findingOf(f[0]!, namesOf(layHouse(next))).message).toMatch(
      /was .* when .* was done; it is now planned 50 away/,
    );
    // Its own end is not called loose: it is where it was done.
    expect(makePlan(next, { held }).facts.some((x) => x.rule === "route.loose-end")).toBe(false);
  });
  it("lets a point be a pencil's width off, and no more", () => {
    const run = bored[0]!;
    const held = [hold(plan, job, run.id)];
    const end = [run.from, run.to].find((id) => job.points.find((p) => p.id === id)!.place.on === "wall")!;
    const told = (du: number) => heldFacts(layHouse(moved(job, end, du)), held).map((f) => f.rule);
    expect(told(1)).toEqual([]);
    expect(told(1.01)).toEqual(["work.moved"]);
  });
  it("tells a cable changed, a point or a circuit taken out, and a run the circuit no longer joins", () => {
    const run = bored.find((r) => r.circuit === ring.id && ring.points.includes(r.from) && ring.points.includes(r.to))!;
    const held = [hold(plan, job, run.id)];
    const rules = (j: Job): string[] =>
      makePlan(canonical(j), { held })
        .facts.filter((f) => f.rule.startsWith("work."))
        .map((f) => `${f.rule}${f.case ? ` ${f.case}` : ""}`);
    expect(
      rules({ ...job, circuits: job.circuits.map((c) => (c.id === ring.id ? { ...c, cable: "te-4" } : c)) }),
    ).toEqual(["work.cable"]);
    const off = (c: Job["circuits"][number]) => ({ ...c, points: c.points.filter((p) => p !== run.from) });
    expect(rules({ ...job, circuits: job.circuits.map((c) => (c.id === ring.id ? off(c) : c)) })).toEqual([
      "work.apart",
    ]);
    const without = job.points.filter((p) => p.id !== run.from);
    const gone = rules({ ...job, points: without, circuits: job.circuits.map((c) => (c.id === ring.id ? off(c) : c)) });
    expect(gone.sort()).toEqual(["work.apart", "work.point-gone"]);
    expect(rules({ ...job, circuits: job.circuits.filter((c) => c.id !== ring.id) }).sort()).toEqual([
      "work.apart",
      "work.point-gone circuit",
    ]);
  });
  it("still lays the held cable of a pair that the circuit would now join otherwise", () => {
    const run = bored.find((r) => r.circuit === ring.id && ring.points.includes(r.from) && ring.points.includes(r.to))!;
    const held = [hold(plan, job, run.id)];
    const off = { ...ring, points: ring.points.filter((p) => p !== run.from) };
    const after = makePlan(canonical({ ...job, circuits: job.circuits.map((c) => (c.id === ring.id ? off : c)) }), {
      held,
    });
    expect(after.runs.filter((r) => r.held).map((r) => r.id)).toEqual([run.id]);
  });
});

describe("a change that would contradict work done", () => {
  const run = bored.find((r) => ring.points.includes(r.from) && ring.points.includes(r.to))!;
  const held = [hold(plan, job, run.id)];
  const whats = (after: Job): string[] => [...new Set(touchedWork(job, after, held).map((t) => t.what))].sort();
  const wall = run.legs.find((l) => l.surface.kind === "wall")!.surface.id;
  const deck = run.legs.find((l) => l.surface.kind === "deck")!.surface.id;
  const room = job.walls.find((w) => w.id === wall)!.room;
  const on = <K extends "walls" | "decks" | "rooms" | "circuits">(
    list: K,
    id: string,
    change: (x: Job[K][number]) => Job[K][number],
  ): Job => ({ ...job, [list]: (job[list] as Job[K][number][]).map((x) => (x.id === id ? change(x) : x)) });

  it("is told: its points, circuit, cable, walls and deck", () => {
    expect(whats(moved(job, run.from, 10))).toEqual(["point"]);
    expect(whats({ ...job, points: job.points.filter((p) => p.id !== run.to) })).toEqual(["point"]);
    expect(whats({ ...job, circuits: job.circuits.filter((c) => c.id !== ring.id) })).toEqual(["circuit"]);
    expect(whats(on("circuits", ring.id, (c) => ({ ...c, points: c.points.filter((p) => p !== run.to) })))).toEqual([
      "circuit",
    ]);
    expect(whats(on("circuits", ring.id, (c) => ({ ...c, cable: "te-4" })))).toEqual(["cable"]);
    expect(whats(on("walls", wall, (w) => ({ ...w, thickness: w.thickness + 10 })))).toEqual(["wall"]);
    expect(whats(on("walls", wall, (w) => ({ ...w, build: "open" })))).toEqual(["wall"]);
    expect(
      whats(on("rooms", room, (r) => ({ ...r, outline: r.outline.map((p) => ({ ...p, x: p.x + 5 })) }))),
    ).toContain("wall");
    expect(whats(on("decks", deck, (d) => ({ ...d, underside: d.underside + 5 })))).toEqual(["deck"]);
    expect(whats(on("decks", deck, (d) => ({ ...d, joists: { ...d.joists, spacing: 450 } })))).toEqual(["deck"]);
  });
  it("is not told of what leaves it where it is", () => {
    const free = job.points.find(
      (p) => p.place.on === "wall" && p.id !== run.from && p.id !== run.to && p.kind === "socket",
    )!;
    expect(whats(job)).toEqual([]);
    expect(whats(moved(job, free.id, 50))).toEqual([]);
    expect(whats(on("circuits", ring.id, (c) => ({ ...c, name: "Kitchen ring" })))).toEqual([]);
    expect(whats(on("walls", wall, (w) => ({ ...w, foilBacked: true })))).toEqual([]);
    expect(whats(on("decks", deck, (d) => ({ ...d, name: "Floor" })))).toEqual([]);
    expect(whats(on("rooms", room, (r) => ({ ...r, name: "Other" })))).toEqual([]);
    expect(touchedWork(job, moved(job, run.from, 10), [])).toEqual([]);
  });
  it("measures how far a point went in the house", () => {
    const h = layHouse(moved(job, run.from, 30));
    const was = layHouse(job);
    const [f] = heldFacts(h, held);
    const at = (x: typeof h) => x.points[x.pointOfId.get(run.from)!]!.space;
    expect(f!.measured).toBeCloseTo(distance(at(was), at(h)), 6);
  });
});
