import { describe, expect, it } from "vitest";
import { pinOf } from "../laid/move-leg";
import { colourWords, terminalWords } from "../words/wiring";
import type { Job } from "../job/model";
import type { Plan } from "../laid/laid";
import { type Described, jobOf } from "./circuit-cases.fixture";
import { makePlan } from "./plan";

const joins = (p: Plan): string[] => p.runs.map((r) => `${r.from}-${r.to} ${r.cable} ${r.carries.join("+")}`).sort();
const metres = (p: Plan, item: string): number => p.takeoff.find((t) => t.size === item)?.quantity ?? 0;
const lit = (points: Described["points"], more: Partial<Described> = {}, c: object = {}): Job =>
  jobOf({
    points,
    circuits: [{ kind: "lighting", device: { rating: 6 }, cable: "te-1.0", points: points.map(([id]) => id), ...c }],
    ...more,
  });
const twoWay: Described["points"] = [
  ["l1", "light"],
  ["w1", "switch", { controls: ["l1"] }],
  ["w2", "switch", { controls: ["l1"] }],
];

describe("lights as the plan lays them", () => {
  it("two-way: a drop and three cores between the switches, each bought as what it is", () => {
    const plan = makePlan(lit(twoWay));
    expect(joins(plan)).toEqual([
      "db-l1 te-1.0 line+neutral",
      "l1-w2 te-1.0 line+switched-line",
      "w2-w1 te3-1.0 common+strapper-1+strapper-2",
    ]);
    const three = plan.runs.find((r) => r.cable === "te3-1.0")!;
    expect(metres(plan, "1.0 mm² three-core and earth")).toBeCloseTo(three.cutLength / 1000, 9);
    expect(plan.facts.filter((f) => f.rule === "route.unreachable")).toEqual([]);
  });
  it("looped at the switch the feed goes to the nearest switch, and a twin from there to the light", () => {
    const plan = makePlan(lit(twoWay, { schools: { lightingFeed: "switch" } }));
    expect(joins(plan)).toEqual([
      "db-w2 te-1.0 line+neutral",
      "w2-l1 te-1.0 switched-line+neutral",
      "w2-w1 te3-1.0 common+strapper-1+strapper-2",
    ]);
  });
  it("a neutral wanted at the switch makes the drop three-core", () => {
    const plan = makePlan(lit(twoWay.slice(0, 2), { schools: { switchNeutral: "yes" } }));
    expect(joins(plan)).toContain("l1-w1 te3-1.0 line+neutral+switched-line");
  });
  it("two lights by two gangs from two places: two cables of three cores side by side, numbered", () => {
    const both = { gang: 2, controls: ["l1", "l2"] };
    const plan = makePlan(
      lit([
        ["l1", "light"],
        ["l2", "light"],
        ["w1", "switch", both],
        ["w2", "switch", both],
      ]),
    );
    const three = plan.runs.filter((r) => r.cable === "te3-1.0");
    expect(three.map((r) => [r.id, r.number])).toEqual([
      ["c1.w1.w2", 1],
      ["c1.w1.w2.2", 2],
    ]);
    expect(plan.runs.filter((r) => r.carries.includes("switched-line"))).toHaveLength(2);
  });
  it("what is pinned stays joined: the light that the pin drops from takes the drop", () => {
    const two: Described["points"] = [
      ["l1", "light"],
      ["l2", "light"],
      ["w1", "switch", { controls: ["l1", "l2"] }],
    ];
    const plan = makePlan(lit(two));
    const drop = plan.runs.find((r) => r.carries.includes("line") && r.carries.includes("switched-line"))!;
    const near = drop.from === "w1" ? drop.to : drop.from;
    const far = near === "l1" ? "l2" : "l1";
    const job = lit(two);
    const other = makePlan({ ...job, pins: [{ ...pinOf(drop), id: "x", from: far, to: "w1" }] });
    expect(other.runs.find((r) => r.pin !== null)).toMatchObject({
      from: far,
      to: "w1",
      carries: ["line", "switched-line"],
    });
    expect(other.facts.some((f) => f.rule === "route.pin-apart")).toBe(false);
  });
  it("a quick look while something is dragged keeps every cable as it was", () => {
    const job = lit(twoWay);
    const plan = makePlan(job);
    expect(joins(makePlan(job, { before: plan }))).toEqual(joins(plan));
  });
  it("alarms are fed in twin and linked in three cores", () => {
    const alarms: Described["points"] = [
      ["sa", "smoke-alarm"],
      ["ha", "heat-alarm"],
    ];
    expect(joins(makePlan(lit(alarms, {}, { kind: "fixed", cable: "te-1.5" })))).toEqual([
      "db-ha te-1.5 line+neutral",
      "ha-sa te3-1.5 line+neutral+interlink",
    ]);
  });
  it("behind a fused unit 1.5, with three cores between two switches there; a run has the cable the user gives it", () => {
    const points: Described["points"] = [
      ["s1", "socket"],
      ["f1", "fused-unit"],
      ["l1", "wall-light"],
      ["w1", "switch", { controls: ["l1"] }],
      ["w2", "switch", { controls: ["l1"] }],
    ];
    const spurs = [
      { point: "f1", from: "s1" },
      { point: "w1", from: "f1" },
      { point: "w2", from: "w1" },
      { point: "l1", from: "w1" },
    ];
    const of = (more: object = {}) => makePlan(jobOf({ points, circuits: [{ points: ["s1"], spurs, ...more }] }));
    expect(joins(of())).toEqual([
      "db-s1 te-2.5 line+neutral",
      "f1-w1 te-1.5 ",
      "s1-f1 te-2.5 ",
      "w1-l1 te-1.5 switched-line+neutral",
      "w1-w2 te3-1.5 common+strapper-1+strapper-2",
    ]);
    const own = of({ runCables: [{ from: "w1", to: "f1", number: 1, cable: "te-4" }] });
    expect(own.runs.find((r) => r.from === "f1")!.cable).toBe("te-4");
  });
});

it("says where a core ends and what colour it has", () => {
  const core = {
    colour: "black",
    old: "yellow",
    carries: "strapper-1",
    sleeve: "brown",
    terminal: { mark: "L3" },
  } as const;
  expect(terminalWords(core)).toBe("L3, out");
  expect(terminalWords({ ...core, terminal: { mark: "COM", gang: 2, link: true } })).toBe(
    "gang 2 COM, linked on to the other gangs",
  );
  expect(terminalWords({ ...core, carries: "neutral", terminal: { mark: "connector" } })).toBe("neutral connector");
  expect(terminalWords({ ...core, carries: "spare", terminal: { mark: "connector" } })).toBe("parked, in a connector");
  expect([colourWords("blue", "brown"), colourWords("brown", null)]).toEqual(["blue, sleeved brown", "brown"]);
});

it("an appliance outlet hangs behind the unit that switches it off, in 1.5, and is no step of the ring", () => {
  const points: Described["points"] = [
    ["s1", "socket"],
    ["s2", "socket"],
    ["f1", "fused-unit", { controls: ["a1"] }],
    ["a1", "appliance-outlet"],
    ["a2", "appliance-outlet"],
  ];
  const ring = { kind: "ring", device: { rating: 32 }, points: ["s1", "s2", "f1", "a1", "a2"] };
  const plan = makePlan(jobOf({ points, circuits: [ring] }));
  expect(plan.runs.filter((r) => [r.from, r.to].includes("a1")).map((r) => `${r.from}-${r.to} ${r.cable}`)).toEqual([
    "f1-a1 te-1.5",
  ]);
  expect(plan.runs.filter((r) => [r.from, r.to].includes("a2"))).toHaveLength(2);
  expect(plan.facts.filter((f) => f.rule.startsWith("circuit") && f.severity !== "note")).toEqual([]);
  // A switch that is fed through what it names cannot feed it.
  const round = [{ point: "f1", from: "a1" }];
  const fed = makePlan(jobOf({ points, circuits: [{ ...ring, points: ["s1", "s2", "a1", "a2"], spurs: round }] }));
  expect(fed.runs.filter((r) => [r.from, r.to].includes("a1"))).toHaveLength(3);
});
