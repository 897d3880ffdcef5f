import { describe, expect, it } from "vitest";
import { addPoint } from "../../house/places";
import { layHouse } from "../../house/house";
import { paintCircuit } from "../../house/on-circuit";
import { applyPatch } from "../../job/patch";
import { type Job, canonical, jobSchema } from "../../job/model";
import type { Plan, Run } from "../../laid/laid";
import type { Fact } from "../../rules/fact";
import { endFigures } from "../../plan/end-figures";
import { endSteps } from "../../plan/end-steps";
import { notifiable } from "../../plan/notify";
import { unknownsOf } from "../../plan/unknowns";
import { makePlan } from "../../plan/plan";
import { radialsOnOneWall } from "../../plan/one-wall.fixture";
import { testLines } from "../../papers/test-lines";
import { circuitsPaper } from "../../papers/house-papers";
import { partsOf } from "../../record/parts";
import { standardCatalogue } from "../../rules/catalogue";
import { partWords } from "../../words/tasks";
import { findingOf } from "../../words/findings";
import { apartFacts } from "./apart";
import { lineFacts } from "./line-facts";

const point = (id: string, kind: string, wall: string, u: number, v = 450) => ({
  id,
  label: id.toUpperCase(),
  kind,
  place: { on: "wall", wall, u, v },
});
/** The one room with two radials, a cabinet beside the board and outlets for data and television on the other walls. */
const wired = (build: "masonry" | "stud" = "masonry", more: Partial<Job> = {}): Job => {
  const job = radialsOnOneWall(build, 2, "solid-joists");
  const line = (id: string, label: string, cable: string, points: string[]): unknown => ({
    ...job.circuits[0]!,
    ...{
      id,
      label,
      name: label,
      kind: "signal",
      rcd: null,
      way: null,
      cable,
      points,
      device: { curve: "B", rating: 1 },
    },
  });
  return canonical(
    jobSchema.parse({
      ...job,
      points: [
        ...job.points,
        point("cb", "cabinet", "w1", 1500, 1400),
        point("d1", "data", "w1", 4500),
        point("d2", "data", "w2", 1500),
        point("tv", "television", "w2", 1800),
      ],
      circuits: [...job.circuits, line("net", "NET1", "data-4p", ["d1", "d2"]), line("aer", "AER1", "coax-75", ["tv"])],
      ...more,
    }),
  );
};
const about = (facts: readonly Fact[], rule: string): string[] =>
  facts.filter((f) => f.rule === rule).map((f) => `${f.subject.id} ${f.case ?? ""}`.trim());

describe("lines for data and television", () => {
  const job = wired();
  const plan = makePlan(job);
  const h = layHouse(job);
  const lines = plan.runs.filter((r) => ["net", "aer"].includes(r.circuit));
  it("lead from the cabinet to each outlet, one cable each, and are cut, clipped and counted like any other", () => {
    expect(lines.map((r) => [r.from, r.to, r.cable]).sort()).toEqual([
      ["cb", "d1", "data-4p"],
      ["cb", "d2", "data-4p"],
      ["cb", "tv", "coax-75"],
    ]);
    for (const r of lines) expect(r.cutLength).toBeGreaterThan(r.pathLength);
    expect(plan.clips.some((c) => c.run === lines[0]!.id)).toBe(plan.clips.length > 0);
    const bought = plan.takeoff.filter((t) => t.circuit === "net").map((t) => `${t.item} ${t.size}`);
    expect(bought).toContain("Cable Data cable, 4 pairs");
    expect(plan.takeoff.find((t) => t.circuit === "net" && t.item === "Data outlet")!.quantity).toBe(2);
  });
  it("are judged by nothing that is for mains", () => {
    const told = plan.facts.filter((f) => [f.subject.id, f.of?.circuit].some((x) => x === "net" || x === "aer"));
    expect(told.filter((f) => !f.rule.startsWith("signal.") && f.severity !== "note")).toEqual([]);
    expect(
      testLines(h, plan, [])
        .runs.map((r) => r.name)
        .filter((n) => /NET|AER/.test(n)),
    ).toEqual([]);
    expect(JSON.stringify(circuitsPaper(h, plan))).not.toContain("NET1");
    expect(plan.runs.filter((r) => r.circuit === "c0").every((r) => r.grouped <= 2)).toBe(true);
  });
  it("end without earth, terminals and the tests of mains", () => {
    const f = endFigures(h, plan, "d2")!;
    expect([f.earthTail, f.cables[0]!.cores, f.room!.needs]).toEqual([null, [], 24]);
    expect(endSteps(h, plan, f, f.cables[0]!).map((s) => s.kind)).toEqual(["box", "coil"]);
    expect(endFigures(h, plan, "cb")!.room).toBeNull();
    const test = partsOf(h, plan).find((p) => p.kind === "test" && p.runs[0] === lines[0]!.id)!;
    const words = partWords(h, plan, test);
    expect(`${words.over} ${words.under}`).toMatch(/every core from end to end.*never the 500 V/);
  });
  it("keep off the lines, holes and sections of mains where there is another way", () => {
    expect(about(plan.facts, "signal.apart")).toEqual([]);
    const stud = wired("stud");
    const laid = makePlan(stud);
    const circuitOf = new Map(laid.runs.map((r) => [r.id, stud.circuits.find((c) => c.id === r.circuit)!.kind]));
    for (const o of laid.holes) expect(new Set(o.runs.map((r) => circuitOf.get(r) === "signal")).size).toBe(1);
  });
  it("take another strip than the mains beside them, and another way than their trunking", () => {
    // The cabinet round the corner, level with the sockets and the outlet: the strip of all of them is one.
    const low = (sections: unknown[] = []): Job =>
      wired("masonry", {
        points: wired().points.map((p) =>
          p.id === "cb" ? { ...p, place: { on: "wall" as const, wall: "w0", u: 2600, v: 450 } } : p,
        ),
        sections,
      } as Partial<Job>);
    const lineOf = (p: Plan): Run => p.runs.find((r) => r.to === "d1")!;
    const level = (r: Run): number[] =>
      r.legs.flatMap((l) => (l.surface.id === "w1" && l.path[0]![2] === l.path[1]![2] ? [l.path[0]![2]] : []));
    expect(level(makePlan(low()).runs.find((r) => r.to === "s0")!)).toEqual([450]);
    expect(level(lineOf(makePlan(low())))).not.toContain(450);
    const path = [1300, 2800].map((u) => ({ on: "wall", wall: "w1", u, v: 450 }));
    const trunked = makePlan(low([{ id: "t", label: "T1", kind: "trunking-plastic", size: "50x50", path }]));
    const inTrunking = trunked.runs.filter((r) => r.legs.some((l) => l.section === "t")).map((r) => r.circuit);
    expect(inTrunking).toEqual(["c0", "c1"]);
  });
  it("where the user's word puts both on one line, a stud is drilled twice", () => {
    const stud = wired("stud");
    const mainsRun = makePlan(stud).runs.find((r) => r.circuit === "c1")!;
    const along = mainsRun.legs.filter((l) => l.method === "stud-void").slice(0, 1);
    const pin = { id: "p", circuit: "net", from: "cb", to: "d1", number: 1, legs: along };
    const laid = makePlan(canonical(jobSchema.parse({ ...stud, pins: [pin] })));
    const line = laid.runs.find((r) => r.pin === "p")!;
    const studs = laid.holes.filter((o) => o.in.part === "stud" && o.runs.includes(line.id));
    expect(studs.length).toBeGreaterThan(2);
    expect(studs.every((o) => o.runs.length === 1)).toBe(true);
    // The plan itself says that they run together.
    expect(laid.facts.some((f) => f.rule === "signal.apart" && f.subject.id === line.id)).toBe(true);
  });
  it("are no work to be notified and want no way in a board", () => {
    expect(notifiable(h).filter((l) => /net|aer/.test(JSON.stringify(l)))).toEqual([]);
    expect(unknownsOf(h).filter((u) => u.kind === "way")).toEqual([]);
  });
  it("need no board; mains without one is told as ever", () => {
    const bare = wired("masonry", { points: wired().points.filter((p) => p.kind !== "board") });
    const laid = makePlan(bare);
    expect(laid.runs.map((r) => r.circuit)).toEqual(["aer", "net", "net"]);
    expect(about(laid.facts, "circuit.board")).toEqual(["one-wall"]);
    const alone = makePlan({ ...bare, circuits: bare.circuits.filter((c) => c.kind === "signal") });
    expect(alone.runs).toHaveLength(3);
    expect(about(alone.facts, "circuit.board")).toEqual([]);
  });
  it("without a cabinet are not laid, and an outlet that no line leads to is told", () => {
    const none = wired("masonry", { points: wired().points.filter((p) => p.id !== "cb") });
    const bare = makePlan(none);
    expect(bare.runs.map((r) => r.circuit)).toEqual(["c0", "c1"]);
    expect(about(bare.facts, "signal.start")).toEqual(["aer no-cabinet", "net no-cabinet"]);
    const loose = wired("masonry", { circuits: wired().circuits.filter((c) => c.id !== "aer") });
    expect(about(makePlan(loose).facts, "signal.start")).toEqual(["tv no-line"]);
    const found = { ...loose, points: loose.points.map((p) => (p.id === "tv" ? { ...p, existing: true } : p)) };
    expect(about(makePlan(found).facts, "signal.start")).toEqual([]);
  });
});

describe("mains and signals on one circuit or cable", () => {
  const cases = (change: (c: Job["circuits"][number]) => object): string[] => {
    const job = wired();
    const circuits = job.circuits.map((c) => ({ ...c, ...change(c) }));
    return about(lineFacts({ ...job, circuits }, standardCatalogue), "signal.mixed");
  };
  it("are told of whichever leads to the other's points or lies in the other's cable", () => {
    expect(cases(() => ({}))).toEqual([]);
    expect(cases((c) => (c.id === "net" ? { points: ["d1", "s0"] } : {}))).toEqual(["net on-line"]);
    expect(cases((c) => (c.id === "c0" ? { points: ["s0", "tv"] } : {}))).toEqual(["c0 on-mains"]);
    expect(cases((c) => (c.id === "net" ? { cable: "te-1.0" } : {}))).toEqual(["net cable-on-line"]);
    expect(cases((c) => (c.id === "c0" ? { cable: "data-4p" } : {}))).toEqual(["c0 cable-on-mains"]);
    const own = [{ from: "board", to: "s0", number: 1, cable: "bell-2" }];
    expect(cases((c) => (c.id === "c0" ? { runCables: own } : {}))).toEqual(["c0 cable-on-mains"]);
    expect(cases((c) => (c.id === "c0" ? { cable: "data-4p", state: "keep" } : {}))).toEqual([]);
  });
  it("cannot be painted together: each kind of point takes its own kind of circuit", () => {
    const job = wired();
    expect(paintCircuit(job, ["tv", "d1"], "c0")).toEqual([]);
    expect(paintCircuit(job, ["s0"], "net")).toEqual([]);
    const [off, onto] = paintCircuit(job, ["tv"], "net");
    expect([off, onto].map((c) => [c!.id, (c!.after as { points: string[] }).points])).toEqual(
      expect.arrayContaining([
        ["net", ["d1", "d2", "tv"]],
        ["aer", []],
      ]),
    );
  });
  it("an outlet placed anew joins the line of its kind, or makes it with the cable of its kind", () => {
    let n = 0;
    const add = (job: Job, kind: "data" | "telephone" | "cabinet", picked: string | null): Job => {
      const h = layHouse(job);
      const made = addPoint(h, job.rooms[0]!, "w3", kind, 1, picked, (x) => `${x}-${n++}`);
      if (typeof made === "string") throw new Error(made);
      return applyPatch(job, made.changes);
    };
    const job = wired();
    expect(add(job, "data", null).circuits.find((c) => c.id === "net")!.points).toHaveLength(3);
    // A mains circuit that is picked is none for it.
    expect(add(job, "data", "c0").circuits.find((c) => c.id === "c0")!.points).toEqual(["s0"]);
    const cabinet = add(job, "cabinet", null).points.find((p) => !job.points.some((x) => x.id === p.id))!;
    expect(cabinet).toMatchObject({ mount: "surface", boxDepth: 90 });
    expect(add(job, "cabinet", null).circuits).toEqual(job.circuits);
    const made = add(job, "telephone", null).circuits.find((c) => !job.circuits.some((x) => x.id === c.id))!;
    expect(made).toMatchObject({ kind: "signal", label: "TEL1", cable: "tel-2p", way: null, rcd: null });
  });
});

describe("side by side with mains", () => {
  const job = wired();
  const h = layHouse(job);
  type Legs = Parameters<typeof apartFacts>[1][number]["legs"];
  const leg = (u0: number, u1: number, z: number, more: object = {}) => ({
    ...{ surface: { kind: "wall" as const, id: "w1" }, method: "chase" as const, depth: 15, protected: false },
    path: [
      [u0, 3000, z],
      [u1, 3000, z],
    ] as Legs[number]["path"],
    ...more,
  });
  const mains = { id: "m", circuit: "c0", cable: "te-2.5", legs: [leg(500, 2500, 450)] as Legs };
  const line = (legs: object[], more: object = {}) => ({
    id: "n",
    circuit: "net",
    cable: "data-4p",
    legs: legs as Legs,
    ...more,
  });
  const hole = {
    id: "o",
    in: { kind: "wall" as const, wall: "w1" },
    at: 500,
    fromTop: 900,
    centre: [500, 3000, 1500] as [number, number, number],
    diameter: 25,
    plated: false,
  };
  const told = (l: ReturnType<typeof line>, m = mains, runs: string[] = []): (string | undefined)[] =>
    apartFacts(h, [m, l] as never, runs.length ? [{ ...hole, runs }] : []).map((f) => f.case ?? "beside");
  it("less than 150 is a passing, as at a box; crossing and another wall are no matter", () => {
    expect(told(line([leg(2350, 3000, 480)]))).toEqual(["beside"]);
    expect(told(line([leg(2351, 3000, 480)]))).toEqual([]);
    expect(
      told(
        line([
          {
            ...leg(0, 0, 0),
            path: [
              [1000, 3000, 0],
              [1000, 3000, 2000],
            ],
          },
        ]),
      ),
    ).toEqual([]);
    expect(told(line([leg(500, 2500, 460, { surface: { kind: "wall", id: "w3" } })]))).toEqual([]);
  });
  it("metal over the mains divides, and one hole for both is told", () => {
    expect(told(line([leg(500, 2500, 460)]), { ...mains, cable: "mi-2L1.5" })).toEqual([]);
    expect(told(line([leg(500, 2500, 2000)]), mains, ["m", "n"])).toEqual(["hole"]);
    expect(told(line([leg(500, 2500, 2000)]), mains, ["n"])).toEqual([]);
  });
  it("in one section is told, and a section that only one lies in divides them", () => {
    const path = [500, 2500].map((u) => ({ on: "wall", wall: "w1", u, v: 450 }));
    const sections = [{ id: "t", label: "T1", kind: "trunking-plastic", size: "50x50", path }];
    const cased = layHouse(wired("masonry", { sections } as unknown as Partial<Job>));
    const inside = { section: "t", method: "trunking" };
    const both = (a: object, b: object): (string | undefined)[] =>
      apartFacts(
        cased,
        [{ ...mains, legs: [leg(500, 2500, 450, a)] }, line([leg(500, 2500, 450, b)])] as never,
        [],
      ).map((f) => f.case ?? "beside");
    expect(both(inside, inside)).toEqual(["section"]);
    expect(both(inside, {})).toEqual([]);
    expect(both({}, inside)).toEqual([]);
    expect(both({}, {})).toEqual(["beside"]);
  });
  it("says how near, to what and for how long, once for each circuit, the nearest", () => {
    const two = apartFacts(h, [mains, line([leg(500, 900, 480), leg(1000, 2000, 470)])] as never, []);
    expect(two).toHaveLength(1);
    expect(two[0]!.measured).toBeCloseTo(20 - 5.05 - 3.1, 6);
    const turned = apartFacts(h, [mains, line([leg(1000, 2000, 470), leg(500, 900, 480)])] as never, []);
    expect(turned[0]!.measured).toBeCloseTo(20 - 5.05 - 3.1, 6);
    expect(findingOf(two[0]!).message).toContain("11.9 from c0 for 1\u202f000; it keeps 50");
  });
});
