import { describe, expect, it } from "vitest";
import { bothSides, circuit, deck, house, socket, wallRow } from "../book/limits/by-hand.fixture";
import { layHouse } from "../house/house";
import { voidUnder } from "../house/over-ceiling";
import { ceilingDeck } from "../house/places";
import { relayHouse } from "../house/relay";
import { ceilingPointsOf } from "../house/reshape";
import type { Job } from "../job/model";
import { makePlan } from "../plan/plan";
import { standardCatalogue } from "../rules/catalogue";
import { boreLinesOf } from "./bore-lines";
import { board, light, lighting, stops } from "./every-way.fixture";
import { collectLines } from "./wall-lines";

/** Cable of a plan that reaches every point and draws no stop, mm. */
const longest = (job: Job): number => {
  const plan = makePlan(job);
  expect(plan.facts.filter((f) => f.rule === "route.unreachable")).toEqual([]);
  expect(stops(plan)).toEqual([]);
  return plan.cable.total;
};

describe("out of a board of 360 at 1 300, on a leaf in which no level chase may be cut", () => {
  const job = (u: number, chaseDepth = 25): Job =>
    house({
      settings: { chaseDepth },
      walls: [0, 1, 2, 3].map((i) => wallRow(i, i ? {} : { build: "masonry", leaf: 81 })),
      decks: [deck({ kind: "concrete" })],
      points: [board("w0", 1300), socket("s1", u, 300, { place: { on: "wall", wall: "w0", u, v: 300 } })],
      circuits: [circuit()],
    });
  it("a cable goes down the strip of a socket of 86 at 1 510: they share 13 mm", () =>
    // 1 200 down; what it goes aside is within the two boxes.
    expect(longest(job(1510))).toBeCloseTo(1200, 0));
  it("down that of one at 1 520 there are but 3 mm, and it goes another way or none", () =>
    expect(makePlan(job(1520)).facts.map((f) => f.rule)).toContain("route.unreachable"));
  it("its lines are those of the depth of chases as it now is", () => {
    const shallow = job(1510, 10);
    const deep: Job = { ...shallow, settings: { ...shallow.settings, chaseDepth: 25 } };
    const of = (j: Job, from: Job): unknown => {
      const before = layHouse(from);
      collectLines(before);
      return collectLines(relayHouse(before, j, standardCatalogue)).map((l) => [l.us, l.vs]);
    };
    expect(of(deep, shallow)).toEqual(of(deep, deep));
    expect(of(shallow, deep)).toEqual(of(shallow, shallow));
    expect(of(deep, deep)).not.toEqual(of(shallow, shallow));
  });
});

it("a cable comes down on the far side of a socket in the board's strip, where a window bars the level way", () => {
  const job = house({
    walls: [0, 1, 2, 3].map((i) => wallRow(i, { build: "dry-lined" })),
    openings: [{ id: "o", wall: "w0", kind: "window", u: 300, v: 1000, width: 800, height: 900 }],
    decks: [deck({ kind: "concrete" })],
    points: [
      board("w0", 1300),
      socket("s1", 1230, 400, { place: { on: "wall", wall: "w0", u: 1230, v: 400 } }),
      socket("s2", 3500, 400, { place: { on: "wall", wall: "w3", u: 3500, v: 400 } }),
    ],
    circuits: [circuit({ points: ["s2"] })],
  });
  // 1 100 down at 1 187 − 12.5, 1 174.5 to the corner, 500 beyond it; over the band under the ceiling it were 1 650 more.
  expect(longest(job)).toBeCloseTo(2774.5, 0);
});

it("a light under a joist is reached from its farther side where a trimmer stands at the nearer", () => {
  const trimmer = [
    [1380, 900],
    [1380, 2100],
    [1475, 2100],
    [1475, 900],
  ].map(([x, y]) => ({ x, y }));
  const job = (obstacles: object[]): Job =>
    house({
      decks: [
        deck({
          underside: 2415,
          joists: { direction: "north-south", breadth: 47, depth: 195, spacing: 600, first: 300, bearings: [] },
          obstacles,
        }),
      ],
      points: [board("w0", 1500), light("l1", 1490, 1500)],
      circuits: [lighting("l1")],
    });
  const at = (j: Job): number =>
    makePlan(j)
      .runs[0]!.legs.flatMap((l) => l.path)
      .at(-2)![0];
  expect(longest(job([{ id: "t", kind: "trimmer", outline: trimmer }]))).toBeGreaterThan(0);
  // Joist 1 476.5 to 1 523.5, and 8 beside it.
  expect([at(job([])), at(job([{ id: "t", kind: "trimmer", outline: trimmer }]))]).toEqual([1468.5, 1531.5]);
});

describe("a ceiling that hangs under its joists", () => {
  /** A kitchen of 2 400 less so much, its deck's underside at 2 400. */
  const hung = (by: number): Job =>
    house({
      rooms: house().rooms.map((r) => ({ ...r, height: 2400 - by })),
      points: [board("w0", 1500), light("l1", 500, 1500)],
      circuits: [lighting("l1")],
    });
  it("of up to 450 leaves a void, through which a cable comes to the joists and back", () => {
    const flush = longest(hung(0));
    // To a light in it the drop is as much longer; a ceiling within 100 is fixed to the joists.
    for (const by of [81, 100]) expect(longest(hung(by)), String(by)).toBeCloseTo(flush, 0);
    for (const by of [101, 130, 450]) expect(longest(hung(by)), String(by)).toBeCloseTo(flush + by, 0);
    expect(makePlan(hung(451)).facts.map((f) => f.rule)).toContain("route.unreachable");
  });
  it("a light under a joist of it is reached all the same, and hangs where the ceiling is now", () => {
    const y = layHouse(hung(0)).decks[0]!.joists[3]!.at;
    const under = (by: number): Job => ({
      ...hung(by),
      points: hung(by).points.map((p) => (p.id === "l1" ? { ...p, place: { ...p.place, y } as typeof p.place } : p)),
    });
    expect(longest(under(300)) - longest(under(0))).toBeCloseTo(300, 0);
    const [was, now] = [layHouse(hung(0)), hung(150)];
    const relaid = relayHouse(was, { ...was.job, rooms: now.rooms });
    expect(relaid.points.map((p) => p.space)).toEqual(layHouse(now).points.map((p) => p.space));
    expect(relaid.points[1]!.space[2]).toBe(2250);
    expect(relayHouse(relaid, { ...relaid.job, rooms: was.job.rooms }).points[1]!.space[2]).toBe(2400);
  });
  it("is told by the void: nothing of a ceiling right under the joists, within 100", () =>
    expect([2400, 2415, 2500, 2501, 2850].map((underside) => voidUnder(underside, 2400))).toEqual([0, 0, 0, 101, 450]));
  it("its light is moved with the room, and a new one is put on that deck", () => {
    for (const by of [0, 90, 150, 450]) {
      const job = hung(by);
      expect([ceilingDeck(job, job.rooms[0]!), ceilingPointsOf(job, job.rooms[0]!).map((p) => p.id)]).toEqual([
        "d",
        ["l1"],
      ]);
    }
    const job = hung(451);
    expect([ceilingDeck(job, job.rooms[0]!), ceilingPointsOf(job, job.rooms[0]!)]).toEqual([null, []]);
  });
});

describe("through a wall between two rooms of unlike height, under slabs", () => {
  const job = (lower: number): Job => {
    const both = bothSides(140, 0);
    return {
      ...both,
      decks: both.decks.map((d) => ({ ...d, kind: "concrete" as const })),
      rooms: both.rooms.map((r, i) => (i ? { ...r, height: r.height - lower } : r)),
      walls: both.walls.map((w) => ({ ...w, build: "dry-lined" as const })),
    };
  };
  /** Heights at which one goes through from the band under the one ceiling into that under the other. */
  const lines = (lower: number): number[] => {
    const h = layHouse(job(lower));
    const f = h.faces.find((x) => x.opposite.length)!;
    return collectLines(h)[f.n]!.vs.filter((v) => v > 2400 - lower - 150 && v < 2400 - lower && v > 2250);
  };
  it("goes in what their bands of 150 share, where the middle of neither lies in the other", () => {
    // 2 250 to 2 400 and 2 142 to 2 292: 2 250 to 2 292.
    expect(lines(108)).toContain(2271);
    // The middle of the one at 2 325 lies in the other still; and 7 mm are too little for a cable.
    expect([lines(75), lines(143)].flat()).not.toContain((2400 - 75 + 2250) / 2);
    expect(lines(143)).toEqual([]);
    expect(lines(142)).toContain(2254);
  });
});

it("a joist with an old notch is bored or left alone by the school the job has now", () => {
  const notch = { id: "n", joist: 2, span: 1, kind: "notch", at: 450, width: 40, depth: 29, edge: "top" };
  const l = layHouse(house({ decks: [deck({ existingCuts: [notch] })] })).decks[0]!;
  const lines = (school: "warranty" | "on-site"): number =>
    boreLinesOf(l, { notch: school, notchEdge: school === "warranty" ? "top" : "either" })[1]!.length;
  // Of 195: 0.15 is 29.25, an eighth 24.4.
  expect([lines("warranty") > 0, lines("on-site"), lines("warranty") > 0]).toEqual([true, 0, true]);
});
