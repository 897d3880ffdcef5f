import { describe, expect, it } from "vitest";
import { figure } from "../../core/base/figures";
import { drawBoardEntry } from "../../core/drawings/board-drawing";
import { boardCsv } from "../../core/formats/ends-csv";
import { feedOf } from "../../core/job/boards";
import { type Job, jobSchema } from "../../core/job/model";
import type { House } from "../../core/house/house";
import { relayHouse } from "../../core/house/relay";
import type { Plan } from "../../core/laid/laid";
import { boardPaper } from "../../core/papers/end-papers";
import { boardFigures } from "../../core/plan/board-figures";
import { endFigures } from "../../core/plan/end-figures";
import { endSteps } from "../../core/plan/end-steps";
import { planHouse } from "../../core/plan/plan";
import { maximumDemand } from "../../core/trades/circuits/demand";
import { type LaidCircuit, laidCircuits } from "../../core/trades/circuits/laid-circuit";
import { judgedWords, loopWorking } from "../../core/words/as-laid";
import { worded } from "../../core/words/findings";
import { KILN, laid } from "./laid-cottage.fixture";

const withBoard = (j: Job): Job => ({
  ...j,
  circuits: j.circuits.map((c) => (c.id === "k" ? { ...c, way: 8 } : c)),
  points: j.points.map((p) => (p.id === "k1" ? { ...p, kind: "board", ways: 2, glandAt: {}, faceHoles: [] } : p)),
});

describe("a second board in the shed, fed from way 8 of the first", () => {
  const { h, plan } = laid(withBoard);
  const f = boardFigures(h, plan, "k1")!;
  const cable = f.cables.find((c) => c.run.id === KILN)!;
  const first = boardFigures(h, plan, "board")!.cables.find((c) => c.run.id === KILN)!;

  it("the cable goes to its main switch, and takes none of its two ways; in the first board to way 8", () => {
    expect(f.layout.ways).toHaveLength(2);
    expect([cable.feed, cable.way, f.spareWays]).toEqual([true, null, 2]);
    expect(cable.terminal).toEqual({ x: f.layout.mainSwitch.x, y: f.layout.mainSwitch.y - 42 });
    expect([first.feed, first.way]).toEqual([false, 8]);
    const across = Math.abs(cable.terminal!.x - cable.entry.x) + Math.abs(cable.terminal!.y - cable.entry.y);
    expect(cable.tails!.line).toBe(Math.ceil((across + 60) / 10) * 10);
    expect(cable.tails!.neutral).toBe(cable.tails!.line);
  });
  it("says so on paper, in the table and in the drawing, and is guided as a feed", () => {
    const rows = boardPaper(h, plan, "k1")!.blocks.flatMap((b) => (b.kind === "table" ? b.rows : []));
    expect(rows.map((r) => r[2])).toEqual(["main"]);
    expect(
      boardCsv(h.job, plan, h)
        .split("\r\n")
        .filter((l) => l.includes("main switch")),
    ).toHaveLength(1);
    const said = JSON.stringify(drawBoardEntry(f, new Map()));
    expect(said).not.toContain("no way yet");
    expect(said).toContain(JSON.stringify([cable.terminal!.x, cable.entry.y]));
    const kinds = (point: string) => {
      const e = endFigures(h, plan, point)!;
      return endSteps(
        h,
        plan,
        e,
        e.cables.find((c) => c.run.id === KILN)!,
      ).at(-1);
    };
    expect(kinds("k1")).toEqual({ kind: "feed-end", measures: { sheath: 40, ...cable.tails } });
    expect(kinds("board")!.kind).toBe("board-end");
  });
});

describe("a board put on a ceiling by mistake", () => {
  it("has its cables come in behind its middle, and is drawn", () => {
    const { h, plan } = laid((j) => {
      const l1 = j.points.find((p) => p.id === "l1")!.place as { x: number };
      const there = withBoard(j);
      const place = { ...l1, x: l1.x + 900 };
      return jobSchema.parse({ ...there, points: there.points.map((p) => (p.id === "k1" ? { ...p, place } : p)) });
    });
    const f = boardFigures(h, plan, "k1")!;
    expect(f.cables.map((c) => [c.edge, c.entry])).toEqual([["behind", { x: 240, y: 120 }]]);
    const numbers = JSON.stringify(drawBoardEntry(f, new Map()), (_, x: unknown) => (Number.isNaN(x) ? "none" : x));
    expect(numbers).not.toContain('"none"');
  });
});

describe("a circuit of that second board", () => {
  /** A socket in the shed on a 16 A circuit of its own, of a house whose Ze was measured. */
  const withSocket = (feed: object = {}, beside = 700) =>
    laid((listed) => {
      const j = withBoard(listed);
      const k1 = j.points.find((p) => p.id === "k1")!.place as { on: "wall"; wall: string; u: number; v: number };
      const usual = j.circuits.find((c) => c.id === "r2")!;
      return jobSchema.parse({
        ...j,
        supply: { ...j.supply, ze: 0.3, earthing: "TN-S" },
        points: [...j.points, { id: "sk", label: "S99", kind: "socket", place: { ...k1, u: k1.u + beside } }],
        circuits: [
          ...j.circuits.map((c) => (c.id === "k" ? { ...c, ...feed } : c)),
          { ...usual, id: "sh", label: "R9", points: ["sk"], spurs: [], way: 1, board: "k1", walls: "surface" },
        ],
      });
    });
  const figures = ({ h, plan }: ReturnType<typeof laid>) => {
    const all = laidCircuits(h, plan.runs, plan.holes, plan.found);
    const [feed, own] = ["k", "sh"].map((id) => all.find((x) => x.circuit.id === id)!);
    return { feed: feed!, own: own!, facts: plan.facts.filter((f) => f.rule === "circuit.loop") };
  };

  it("starts from the loop at its board and the volts lost up to there", () => {
    const { feed, own } = figures(withSocket());
    const [at] = feed.places.filter((p) => p.point === "k1");
    // All that its device lets through, since a board hangs on it.
    expect([feed.load.from, feed.load.amps]).toEqual(["board", feed.circuit.device.rating]);
    expect(at!.drop.volts).toBeGreaterThan(1);
    expect(own.input.before).toEqual({ zs: at!.zs, volts: at!.drop.volts });
    const metres = own.legs.reduce((s, l) => s + l.length, 0) / 1000;
    expect(own.result.zs).toBeCloseTo(at!.zs + metres * 0.01951 * 1.2, 9);
    expect(own.result.drop.volts).toBeCloseTo(at!.drop.volts + (metres * 18 * own.load.amps) / 1000, 9);
    expect(loopWorking(own)).toMatch(/^[\d.]+ Ω at its board, as that is fed,/);
    expect(judgedWords(own)).toContain(`on top of ${figure(at!.drop.volts)} V up to its board`);
  });
  it("is worked out anew when what feeds its board is changed, and nothing of its own", () => {
    const { h, plan } = withSocket();
    const own = (house: House, { runs, holes, found }: Plan): LaidCircuit =>
      laidCircuits(house, runs, holes, found).find((x) => x.circuit.id === "sh")!;
    const before = own(h, plan);
    const circuits = h.job.circuits.map((c) => (c.id === "k" ? { ...c, cable: "swa-3x4" } : c));
    const next = relayHouse(h, { ...h.job, circuits });
    const after = own(next, planHouse(next));
    expect(after.circuit).toBe(before.circuit);
    expect(after.result.zs).toBeGreaterThan(before.result.zs);
    expect(after.input.before!.volts).toBeGreaterThan(before.input.before!.volts);
  });
  it("with an electrode at the shed goes by that, whatever the house has; the volts stay", () => {
    const { feed, own } = figures(withSocket({ farEarth: "electrode" }));
    expect([own.input.earthing, own.input.ze, own.input.before!.zs]).toEqual(["TT", null, null]);
    expect(own.input.before!.volts).toBe(feed.places.find((p) => p.point === "k1")!.drop.volts);
    expect(own.result.zs).toBeGreaterThan(200);
  });
  it("so does a third board fed from there", () => {
    const { h, plan } = laid((listed) => {
      const j = withBoard(listed);
      const k1 = j.points.find((p) => p.id === "k1")!;
      const place = k1.place as { on: "wall"; wall: string; u: number; v: number };
      const k = j.circuits.find((c) => c.id === "k")!;
      return jobSchema.parse({
        ...j,
        supply: { ...j.supply, ze: 0.3, earthing: "TN-S" },
        points: [
          ...j.points,
          { ...k1, id: "k2", label: "DB3", place: { ...place, u: place.u + 700 } },
          { id: "sk", label: "S99", kind: "socket", place: { ...place, u: place.u - 700 } },
        ],
        circuits: [
          ...j.circuits.map((c) => (c.id === "k" ? { ...c, farEarth: "electrode" } : c)),
          { ...k, id: "kk", label: "K2", points: ["k2"], board: "k1", way: 1, farEarth: "house" },
          { ...k, id: "ks", label: "K3", kind: "radial", points: ["sk"], board: "k2", way: 1, farEarth: null },
        ],
      });
    });
    const all = laidCircuits(h, plan.runs, plan.holes, plan.found);
    const [kk, ks] = ["kk", "ks"].map((id) => all.find((x) => x.circuit.id === id)!);
    const there = kk!.places.find((p) => p.point === "k2")!;
    expect([ks!.input.earthing, ks!.input.ze]).toEqual(["TT", null]);
    expect(ks!.input.before).toEqual({ zs: there.zs, volts: there.drop.volts });
    expect(there.zs).toBeGreaterThan(200);
  });
  it("fed by nobody knows what is said to read more, and a feed is not counted twice in the demand", () => {
    const fed = withSocket();
    const apart = withSocket({ points: [] });
    expect(figures(fed).facts.map((f) => f.case)).not.toContain("feed-unknown");
    const all = laidCircuits(apart.h, apart.plan.runs, apart.plan.holes, apart.plan.found);
    const own = all.find((x) => x.circuit.id === "sh")!;
    expect(own.input.before).toBeNull();
    const told = apart.plan.facts.filter((f) => f.case === "feed-unknown");
    expect(told.map((f) => [f.subject.id, f.severity, f.measured])).toEqual([["sh", "warn", own.result.zs]]);
    expect(worded(told)[0]!.message).toContain("how that board is fed is not known");
    expect(loopWorking(own)).toContain("+ what feeds its board, which is not known,");
    expect(maximumDemand(fed.h.job).lines.map((l) => l.circuit)).not.toContain("k");
    expect(maximumDemand(fed.h.job).lines.map((l) => l.circuit)).toContain("sh");
  });
  it("a third board between: what feeds each other is laid all the same, and said not to be known", () => {
    const { h, plan } = laid((listed) => {
      const j = withBoard(listed);
      const k1 = j.points.find((p) => p.id === "k1")!;
      const place = k1.place as { on: "wall"; wall: string; u: number; v: number };
      const feed = j.circuits.find((c) => c.id === "k")!;
      return jobSchema.parse({
        ...j,
        points: [...j.points, { ...k1, id: "k2", label: "DB3", place: { ...place, u: place.u + 700 } }],
        circuits: [
          ...j.circuits.map((c) => (c.id === "k" ? { ...c, board: "k2" } : c)),
          { ...feed, id: "kk", label: "K2", points: ["k2"], board: "k1", way: 1 },
        ],
      });
    });
    const all = laidCircuits(h, plan.runs, plan.holes, plan.found);
    expect(all.flatMap((x) => (x.input.before === undefined ? [] : [x.circuit.id]))).toEqual(["k", "kk"]);
    expect(plan.facts.some((f) => f.case === "feed-unknown")).toBe(true);
    expect([feedOf(h.job, "k1")!.id, feedOf(h.job, "k2")!.id]).toEqual(["k", "kk"]);
  });
  it("is tied after the feed, whose main switch stands before way 1", () => {
    const { h, plan } = withSocket();
    const f = boardFigures(h, plan, "k1")!;
    expect(f.cables.map((c) => [c.circuit.id, c.block, c.feed])).toEqual([
      ["k", 0, true],
      ["sh", 1, false],
    ]);
    // By its way in the first board, 8, it would cross what goes to way 1 here.
    expect([f.crossings, f.least]).toEqual([0, 0]);
    // From the left it comes in before the feed, and has to cross it.
    const left = withSocket({}, -700);
    const g = boardFigures(left.h, left.plan, "k1")!;
    expect(g.cables.map((c) => c.edge)).toEqual(["left", "right"]);
    expect([g.crossings, g.least]).toEqual([1, 1]);
  });
  it("two boards that feed each other are laid all the same", () => {
    const { h, plan } = withSocket({ board: "k1", points: ["k1"] });
    expect(laidCircuits(h, plan.runs, plan.holes, plan.found).length).toBeGreaterThan(5);
    expect(feedOf(h.job, "k1")).toBeUndefined();
  });
});
