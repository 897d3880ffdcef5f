import { describe, expect, it } from "vitest";
import { layHouse } from "../house/house";
import { type Job, type PinnedLeg, jobSchema } from "../job/model";
import { findingOf, namesOf } from "../words/findings";
import { mm } from "../base/figures";
import { holeLine } from "../words/holes";
import { checkPlan } from "./checker";
import { type XYZ, toFace, toSpace } from "../base/wall-frame";
import { holesOnWall } from "../laid/run-measures";
import { generatedHouse } from "../routing/generated-house";
import { holesOf } from "./holes";
import { house as twoRooms, laid, leg, run } from "./laid-by-hand.fixture";
import { makePlan } from "./plan";

/** Wall 2 of room A, of studs at 600 from its left end, one row of noggins at 1 200; socket S1 and the board stand on it. */
const job = (more: object = {}, studs: object | null = { spacing: 600, first: 600, noggins: [1200] }): Job =>
  jobSchema.parse({
    ...twoRooms(),
    walls: twoRooms().walls.map((w) => (w.id === "a1" ? { ...w, build: "stud", thickness: 125, studs } : w)),
    points: [
      { id: "db", label: "DB1", kind: "board", ways: 6, place: { on: "wall", wall: "a1", u: 3300, v: 450 } },
      { id: "s", label: "S1", kind: "socket", gang: 2, place: { on: "wall", wall: "a1", u: 1000, v: 450 } },
    ],
    ...more,
  });
const h = layHouse(job());
/** Along wall a1, which runs from (0, 3000) eastwards. */
const inVoid = (...at: [u: number, v: number][]): PinnedLeg =>
  leg({ method: "stud-void", path: at.map(([u, v]) => [u, 3000, v]) as PinnedLeg["path"] });

describe("holes in a stud wall", () => {
  it("one for each stud on the way, at its height, of the bit for what passes", () => {
    const holes = holesOf(h, [laid([inVoid([1000, 450], [2500, 450])])]);
    expect(holes.map((o) => [o.in.part, o.in.stud, o.at, o.fromTop, o.diameter])).toEqual([
      ["stud", 3, 1200, 1950, 16],
      ["stud", 4, 1800, 1950, 16],
      ["stud", 5, 2400, 1950, 16],
    ]);
    expect(holes.every((o) => o.in.kind === "stud" && o.in.wall === "a1" && !o.plated)).toBe(true);
    expect(holes[0]!.centre).toEqual([1200, 3000, 450]);
    expect(holeLine(h, holes[0]!)).toBe(
      `Stud 3, wall 2 of A: ${mm(1200)} from the left-hand corner, 450 above the floor`,
    );
  });
  it("noggins and the plate when it goes up into the deck", () => {
    const holes = holesOf(h, [laid([inVoid([1000, 450], [1000, 2400])])]);
    expect(holes.map((o) => [o.in.part, o.at, o.fromTop])).toEqual([
      ["head-plate", 1000, 0],
      ["noggin", 1000, 1200],
    ]);
    expect(holeLine(h, holes[0]!)).toBe(`Head plate, wall 2 of A: ${mm(1000)} from the left-hand corner`);
  });
  it("on the surface nothing is drilled, nor in masonry", () => {
    expect(holesOf(h, [laid([{ ...inVoid([1000, 450], [2500, 450]), method: "surface" }])])).toEqual([]);
    const b1 = { ...inVoid([1000, 450], [2500, 450]), surface: { kind: "wall" as const, id: "b1" } };
    expect(holesOf(h, [laid([b1])])).toEqual([]);
  });
  it("cables that would want a hole over a quarter of the stud go through two, one over the other by three times the bit", () => {
    // Studs of 100: at most 25. Two of 2.5 mm² go into 20, five into none up to 25.
    const many = (n: number) =>
      holesOf(
        h,
        Array.from({ length: n }, (_, i) => laid([inVoid([1000, 450], [1300, 450])], { id: `c.db.s.${i}` })),
      );
    expect(many(2).map((o) => [o.diameter, o.runs.length, o.fromTop])).toEqual([[20, 2, 1950]]);
    const five = many(5);
    expect(five.length).toBeGreaterThan(1);
    expect(five.every((o) => o.diameter <= 25)).toBe(true);
    expect(five.flatMap((o) => o.runs)).toHaveLength(5);
    const heights = five.map((o) => o.fromTop).sort((a, b) => a - b);
    expect(heights[1]! - heights[0]!).toBe(75);
    expect(new Set(five.map((o) => o.at))).toEqual(new Set([1200]));
    // Evenly about the line at 450, and drawn where they are drilled.
    expect(five.reduce((sum, o) => sum + o.fromTop, 0) / five.length).toBe(1950);
    for (const o of five) expect(o.centre).toEqual([1200, 3000, 2400 - o.fromTop]);
  });
});

describe("the checker on a stud wall", () => {
  const told = (legs: PinnedLeg[], holes = holesOf(h, [laid(legs)]), of = h) =>
    checkPlan(of, { runs: [run(legs)], holes, clips: [] }).filter((f) => /^(hole|timber)/.test(f.rule));
  const level = [inVoid([1000, 450], [2500, 450])];
  it("is content with a hole at every crossing, and names each that lacks one", () => {
    expect(told(level)).toEqual([]);
    const holes = holesOf(h, [laid(level)]);
    const [f, ...more] = told(level, holes.slice(1));
    expect(more).toEqual([]);
    expect(f).toMatchObject({ rule: "hole.missing", case: "stud", where: { wall: "a1", at: 1200 } });
    expect(findingOf(f!, namesOf(h)).message).toMatch(
      `goes through a stud ${mm(1200)} from the left end of wall 2 of A and no hole is listed there`,
    );
    const elsewhere = (by: object) => told(level, [{ ...holes[0]!, ...by }, ...holes.slice(1)]).length;
    const moved = (u: number, v: number) => elsewhere({ centre: [u, 3000, v] });
    expect([moved(1201.5, 450), moved(1202, 450)]).toEqual([0, 1]);
    expect([moved(1200, 525), moved(1200, 526)]).toEqual([0, 1]);
    expect([elsewhere({ runs: ["other"] }), elsewhere({ in: { ...holes[0]!.in, wall: "b1" } })]).toEqual([1, 1]);
    const up = [inVoid([1000, 450], [1000, 2400])];
    expect(told(up)).toEqual([]);
    expect(told(up, []).map((x) => x.case)).toEqual(["noggin", "head-plate"]);
  });
  it("a hole is at most a quarter of the stud's depth: 25 in 100, 18.75 in 75", () => {
    const size = (diameter: number, of = h) =>
      told(
        level,
        holesOf(h, [laid(level)]).map((o) => ({ ...o, diameter })),
        of,
      ).filter((f) => f.rule === "timber.stud");
    expect(size(25)).toEqual([]);
    expect(size(28)).toHaveLength(3);
    expect(size(28)[0]).toMatchObject({ case: "size", measured: 28, limit: 25, subject: { kind: "hole" } });
    const slim = layHouse(job({}, { spacing: 600, first: 600, depth: 75 }));
    expect([size(18, slim).length, size(20, slim).length]).toEqual([0, 3]);
  });
  it("a cable does not run up inside a stud, and lies free beside it", () => {
    const up = (u: number) => told([inVoid([u, 450], [u, 1100])]).map((f) => [f.rule, f.case, f.of?.stud]);
    expect(up(1200)).toEqual([["timber.in-joist", "stud", 3]]);
    expect([up(1226), up(1227)]).toEqual([[["timber.in-joist", "stud", 3]], []]);
  });
});

describe("cables in one stud wall from both of its rooms", () => {
  const base = generatedHouse(7, 2, 3);
  const all: Job = {
    ...base,
    walls: base.walls.map((w) => ({ ...w, build: "stud" as const, thickness: 125, studs: null })),
  };
  const b = layHouse(all);
  const f = b.faces.find((x) => x.opposite.length && x.studs!.studs.length > 4)!;
  const o = b.faces[f.opposite[0]!]!;
  const [from, to] = [f.studs!.studs[1]!.at - 100, f.studs!.studs[3]!.at + 100];
  const there = (height: number) => ([from, to] as const).map((u) => toSpace(f.frame, { u, v: height })) as [XYZ, XYZ];
  const onNear = (height: number): PinnedLeg =>
    leg({ method: "stud-void", surface: { kind: "wall", id: f.wall.id }, path: there(height).map((p) => [...p]) });
  const onFar = (height: number): PinnedLeg =>
    leg({
      method: "stud-void",
      surface: { kind: "wall", id: o.wall.id },
      path: there(height).map((p) => [...toSpace(o.frame, { u: toFace(o.frame, p).u, v: height })]),
    });
  const both = (near: number, far: number) =>
    holesOf(b, [laid([onNear(near)], { id: "c.db.s" }), laid([onFar(far)], { id: "c.db.t" })]);
  const crossed = f.studs!.studs.filter((s) => s.at > from && s.at < to).length;

  it("share one hole a stud where they lie at one height, told by the face of the first", () => {
    expect(crossed).toBeGreaterThan(1);
    const holes = both(450, 450);
    expect(holes).toHaveLength(crossed);
    for (const x of holes) expect([x.in.wall, x.runs.length]).toEqual([f.wall.id, 2]);
    expect(both(450, 490)).toHaveLength(crossed);
    expect(both(450, 491)).toHaveLength(2 * crossed);
  });
  it("the checker is content with it from either face, and both walls show it", () => {
    const holes = both(450, 470);
    const circuit = all.circuits[0]!.id;
    const runs = [run([onNear(450)], { id: "c.db.s", circuit }), run([onFar(470)], { id: "c.db.t", circuit })];
    const missing = (of: typeof holes) =>
      checkPlan(b, { runs, holes: of, clips: [] }).filter((x) => x.rule === "hole.missing").length;
    expect(missing(holes)).toBe(0);
    expect(missing(holes.slice(1))).toBe(2);
    for (const wall of [f.wall.id, o.wall.id]) expect(holesOnWall(b, { holes, runs }, wall)).toHaveLength(crossed);
    const other = b.faces.find((x) => x !== f && x !== o && !x.opposite.includes(f.n))!;
    expect(holesOnWall(b, { holes, runs }, other.wall.id)).toEqual([]);
  });
});

describe("a plan in a stud wall", () => {
  it("lists the studs between the board and the socket, and draws no stop", () => {
    const plan = makePlan(job());
    expect(plan.facts.filter((f) => f.severity === "stop")).toEqual([]);
    expect(plan.holes.map((o) => o.in.stud)).toEqual([3, 4, 5, 6]);
  });
  it("a socket right before a known stud has its cable taken up beside it, behind the plate", () => {
    const points = job().points.map((p) => (p.id === "s" ? { ...p, place: { ...p.place, u: 1200 } } : p));
    const deckOnly = { ...job({ points }), forbidden: [] };
    const high = deckOnly.points.map((p) =>
      p.id === "db" ? { ...p, place: { on: "wall" as const, wall: "a3", u: 1000, v: 1400 } } : p,
    );
    const plan = makePlan({ ...deckOnly, points: high });
    expect(plan.runs).toHaveLength(1);
    expect(plan.facts.filter((f) => f.severity === "stop")).toEqual([]);
    const plumb = plan.runs[0]!.legs.filter(
      (l) => l.surface.id === "a1" && l.path[0]![0] === l.path[1]![0] && l.method === "stud-void",
    );
    for (const l of plumb) expect(Math.abs(l.path[0]![0] - 1200)).toBeGreaterThanOrEqual(27);
  });
  it("moved and back, and from a house laid anew, it is the same", () => {
    expect(JSON.stringify(makePlan(job()))).toBe(JSON.stringify(makePlan(job())));
  });
});
