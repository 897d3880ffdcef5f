import { factKey } from "../rules/fact";
import { describe, expect, it } from "vitest";
import { layHouse } from "../house/house";
import { type Job, canonical, jobSchema } from "../job/model";
import { makePlan } from "../plan/plan";
import { buildGraph } from "./build";
import { edgeCosts } from "./edge-costs";
import { generatedBlock } from "./generated-block";
import { generatedHouse } from "./generated-house";
import { EDGE } from "./graph";
import { presets } from "./weights";

const stops = (j: Job): string[] =>
  makePlan(j)
    .facts.filter((f) => f.severity === "stop" && /^(route|zone|hole|timber)/.test(f.rule))
    .map(factKey);

/** A house of one room, a yard north of it and a shed beyond; the board in the house, an isolator in the shed. */
function acrossTheYard(cable: string, walls: "hidden" | "surface"): Job {
  const box = (y0: number, y1: number) => [
    { x: 0, y: y0 },
    { x: 0, y: y1 },
    { x: 4000, y: y1 },
    { x: 4000, y: y0 },
  ];
  const room = (id: string, kind: string, y0: number, y1: number) => ({
    id,
    storey: "g",
    name: id,
    kind,
    height: 2400,
    outline: box(y0, y1),
  });
  const wall = (room: string, index: number, build: string, thickness: number) => ({
    id: `${room}${index}`,
    room,
    index,
    build,
    thickness,
  });
  return jobSchema.parse({
    id: "y",
    name: "y",
    storeys: [{ id: "g", name: "g", level: 0, height: 2400 }],
    rooms: [room("house", "other", 0, 3000), room("yard", "yard", 3300, 7000), room("shed", "workshop", 7200, 9000)],
    walls: [
      ...[0, 1, 2, 3].map((i) => wall("house", i, "masonry", 300)),
      wall("yard", 0, "open", 20),
      wall("yard", 1, "masonry", 200),
      wall("yard", 2, "masonry", 200),
      wall("yard", 3, "masonry", 300),
      ...[0, 1, 2, 3].map((i) => wall("shed", i, "masonry", 200)),
    ],
    openings: [],
    fixtures: [],
    decks: [],
    pins: [],
    drums: [],
    points: [
      {
        id: "DB",
        label: "DB",
        kind: "board",
        ways: 4,
        mount: "surface",
        place: { on: "wall", wall: "house0", u: 1500, v: 1400 },
      },
      {
        id: "K",
        label: "K",
        kind: "isolator",
        mount: "surface",
        place: { on: "wall", wall: "shed1", u: 2000, v: 1200 },
      },
    ],
    circuits: [
      {
        id: "c",
        label: "C",
        name: "c",
        kind: "outbuilding",
        device: { rating: 32 },
        rcd: 30,
        cable,
        way: 1,
        points: ["K"],
        walls,
      },
    ],
  });
}

describe("out of doors", () => {
  it("armour goes through the house wall, round the yard on its walls, and through into the shed; never over the open side", () => {
    const job = acrossTheYard("swa-3x4", "surface");
    const plan = makePlan(job);
    expect(stops(job)).toEqual([]);
    expect(plan.runs).toHaveLength(1);
    const surfaces = plan.runs[0]!.legs.map((l) => l.surface.id);
    expect(surfaces).toContain("yard2");
    expect(surfaces).not.toContain("yard0");
    expect(plan.holes.filter((o) => o.in.kind === "wall")).toHaveLength(2);
    // 15.3 mm over all in a core-drilled hole, at most 45 % full.
    for (const o of plan.holes) expect(o.diameter).toBeGreaterThanOrEqual(25);
  });
  it("cable hidden in plaster does not go out of doors, and says so", () => {
    const plan = makePlan(acrossTheYard("te-2.5", "hidden"));
    expect(plan.runs).toEqual([]);
    expect(plan.facts.some((f) => f.rule === "route.unreachable" && f.subject.id === "K")).toBe(true);
  });
});

describe("what an edge costs", () => {
  const job = generatedHouse(7, 2, 3);
  const h = layHouse(job);
  const g = buildGraph(h);
  const ring = job.circuits.find((c) => c.kind === "ring")!;
  const all = new Uint8Array(h.faces.length).fill(1);
  const sums = (cost: Partial<Job["settings"]["cost"]>, opened = all): number[] => {
    const weighed = layHouse({
      ...job,
      settings: { ...job.settings, cost: { ...presets.cable.cost, bore: 0, wallHole: 0, ...cost } },
    });
    return [...edgeCosts(weighed, g, ring, opened)];
  };
  const plain = sums({});
  it("is its length and nothing else with least cable", () =>
    plain.forEach((c, e) => g.hidden[e] && !g.wet[e] && expect(c).toBeCloseTo(g.length[e]!, 9)));
  it("chase counts on masonry only, work from a ladder above 2 100 only, boards along joists only", () => {
    const [chase, ladder, boards] = [sums({ chase: 2 }), sums({ height: 3 }), sums({ boards: 4 })];
    let [c, l, b] = [0, 0, 0];
    for (let e = 0; e < plain.length; e++) {
      if (!g.hidden[e]) continue;
      const wall = g.kind[e] === EDGE.wall ? h.faces[g.ref[e]!]!.wall : null;
      const masonry = wall !== null && wall.build === "masonry";
      expect(chase[e]).toBeCloseTo(plain[e]! + (masonry ? 2 * g.length[e]! : 0), 6);
      const high = wall !== null && (g.z[g.a[e]!]! + g.z[g.b[e]!]!) / 2 > 2100;
      expect(ladder[e]).toBeCloseTo(plain[e]! + (high ? 3 * g.length[e]! : 0), 6);
      const lane = g.kind[e] === EDGE.lane && h.decks[g.ref[e]!]!.deck.access !== "open";
      expect(boards[e]).toBeCloseTo(plain[e]! + (lane ? 4 * g.length[e]! : 0), 6);
      c += masonry ? 1 : 0;
      l += high ? 1 : 0;
      b += g.kind[e] === EDGE.lane ? 1 : 0;
    }
    expect(Math.min(c, l, b)).toBeGreaterThan(0);
  });
  it("a face that is shut costs its opening once, half on the way in and half on the way out", () => {
    const shut = sums({ faces: 1000 }, new Uint8Array(h.faces.length));
    for (let e = 0; e < plain.length; e++) {
      if (!g.hidden[e]) continue;
      const faces = { [EDGE.corner]: 1000, [EDGE.through]: 1000, [EDGE.rise]: 500 }[g.kind[e]!] ?? 0;
      expect(shut[e]).toBeCloseTo(plain[e]! + faces, 6);
    }
  });
});

describe("several boards and storeys", () => {
  it("each flat is wired from its own board, and nothing crosses into another flat's points", () => {
    const job = generatedBlock(3, 4, 2, 3);
    const plan = makePlan(job);
    expect(stops(job)).toEqual([]);
    for (const r of plan.runs) {
      const flat = (id: string): string => /^f\d+/.exec(id)![0];
      expect(flat(r.from)).toBe(flat(r.to));
    }
    expect(plan.facts.filter((f) => f.rule === "route.unreachable")).toEqual([]);
  });
  it("a circuit without a board of its own is fed from the first", () => {
    const job = generatedBlock(3, 2, 2, 2);
    const first = job.points.find((p) => p.kind === "board")!.id;
    const loose = canonical({
      ...job,
      circuits: job.circuits
        .filter((c) => c.points.some((p) => p.startsWith("f0")))
        .map((c) => ({ ...c, board: null })),
    });
    expect(makePlan(loose).runs.some((r) => r.from === first || r.to === first)).toBe(true);
  });
});
