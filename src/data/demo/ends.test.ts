import { describe, expect, it } from "vitest";
import { boardCsv, clipsCsv, endsCsv } from "../../core/formats/ends-csv";
import { drawBoardEntry, drawSlot } from "../../core/drawings/board-drawing";
import { drawDrop } from "../../core/drawings/drop-drawing";
import { boardDrops } from "../../core/plan/board-drop";
import { fixingMarks, sectionFigures } from "../../core/plan/section-figures";
import { drawBox, drawBoxDepth } from "../../core/drawings/box-drawing";
import { runStyles } from "../../core/drawings/run-lines";
import { mm } from "../../core/base/figures";
import { layHouse } from "../../core/house/house";
import { type Job, jobSchema } from "../../core/job/model";
import { boardFigures } from "../../core/plan/board-figures";
import { boardNotes } from "../../core/plan/board-notes";
import { endFigures } from "../../core/plan/end-figures";
import { endSteps } from "../../core/plan/end-steps";
import { glandFaces } from "../../core/plan/gland-faces";
import { makePlan } from "../../core/plan/plan";
import { schoolsSchema } from "../../core/rules/schools";
import { makingOf, startMeasures } from "../../core/trades/ends/steps/makings";
import { ternCottage } from "./tern-cottage";

const job = ternCottage();
const laid = (more: (j: Job) => Job = (j) => j) => {
  const j = more(job);
  return { h: layHouse(j), plan: makePlan(j) };
};
const { h, plan } = laid();
const KILN = "k.board.k1";
const schools = schoolsSchema.parse({});
/** One point changed. */
const at = (id: string, set: object) => (j: Job) => ({
  ...j,
  points: j.points.map((p) => (p.id === id ? { ...p, ...set } : p)),
});

describe("the ends of the cottage", () => {
  it("every end opens a card whose figures are those of the plan, and steps that start from them", () => {
    for (const end of plan.ends) {
      const f = endFigures(h, plan, end.point)!;
      const c = f.cables.find((x) => x.run.id === end.run)!;
      expect(c.end).toEqual(end);
      const steps = endSteps(h, plan, f, c);
      const b = f.placed.point.kind === "board" ? boardFigures(h, plan, end.point)! : null;
      const unplaced = b?.cables.find((x) => x.run.id === end.run)?.way === null;
      // First fix, then the end itself; a cable whose circuit has no way is not connected yet.
      expect(steps.some((x) => makingOf(x.kind)!.half === "first")).toBe(true);
      expect(steps.some((x) => makingOf(x.kind)!.half === "second")).toBe(!unplaced || c.armour !== null);
      for (const x of steps) {
        const making = makingOf(x.kind)!;
        // No measure is outside what its field takes, so that none is quietly replaced by the usual one.
        const m = startMeasures(making, x.measures);
        for (const field of making.measures)
          if (field.key in x.measures)
            expect([x.kind, field.key, m[field.key]]).toEqual([x.kind, field.key, x.measures[field.key]]);
        const said = making
          .cards(m, schools)
          .map((y) => y.measure ?? "")
          .join(" ");
        if (x.kind === "coil") expect(said).toContain(`${mm(end.measures.tail!)} mm`);
      }
      expect(drawBox(f, (x) => x.other).shapes.length).toBeGreaterThan(3);
    }
  });
  it("a junction box wants 11 of bare copper for its connectors, and says how many cables meet", () => {
    const joint = {
      id: "j9",
      label: "J9",
      kind: "junction-box",
      place: { on: "wall", wall: "hall-w1", u: 2200, v: 2200 },
    } as const;
    const own = jobSchema.parse({
      ...job,
      points: [...job.points, joint],
      circuits: job.circuits.map((c) => (c.id === "r2" ? { ...c, points: [...c.points, "j9"] } : c)),
    });
    const { h: there, plan: then } = laid(() => own);
    const f = endFigures(there, then, "j9")!;
    expect(f.room).toBeNull();
    expect(endSteps(there, then, f, f.cables[0]!).at(-1)).toMatchObject({
      kind: "joint-box",
      measures: { strip: 11, cables: f.cables.length, amps: 20 },
    });
  });
  it("a switch is guided by how it is wired: one way, two ways, two gangs", () => {
    const kind = (id: string): string => {
      const f = endFigures(h, plan, id)!;
      return endSteps(h, plan, f, f.cables[0]!).at(-1)!.kind;
    };
    expect(["w1", "w2", "w3", "l1", "f1", "s4"].map(kind)).toEqual([
      "switch",
      "switch-two-way",
      "switch-gangs",
      "rose",
      "fused-unit",
      "outlet",
    ]);
  });
  it("a 2-gang box of 25 with three 2.5 cables is warned, and a press makes it deep enough", () => {
    const s = job.points.find(
      (p) =>
        p.kind === "socket" && p.gang === 2 && !p.existing && plan.ends.filter((e) => e.point === p.id).length === 2,
    )!;
    // A third cable: a spur to a socket that the ring has not.
    const spur = plan.runs.find(
      (r) =>
        r.from !== s.id &&
        r.to !== s.id &&
        r.circuit === plan.runs.find((x) => x.from === s.id || x.to === s.id)!.circuit,
    )!;
    const third = { ...spur, id: `${spur.id}.x`, from: s.id };
    const fake = {
      runs: [...plan.runs, third],
      ends: [...plan.ends, { ...plan.ends.find((e) => e.point === s.id)!, run: third.id }],
    };
    const thin = layHouse(at(s.id, { boxDepth: 25 })(job));
    const room = (x: typeof h, p: { runs: typeof plan.runs; ends: typeof plan.ends }) => endFigures(x, p, s.id)!.room!;
    expect(room(thin, plan).closes).toBe(true);
    expect(room(thin, fake)).toMatchObject({ closes: false, layers: 2, takes: 35, has: 25 });
    expect(room(thin, fake).needs).toBeCloseTo(18 + 2 * 3.4 + 2, 9);
    expect(drawBoxDepth(room(thin, fake), 70).label).toBe("Depth of the box: 26.8 needed, 25 there");
  });
});

describe("the armoured feed to the kiln", () => {
  const both = ["board", "k1"].map((p) => endFigures(h, plan, p)!.cables.find((c) => c.run.id === KILN)!);
  it("has the same gland in the card at both ends, on both faces, in the steps and in what is bought", () => {
    expect(both.map((c) => c.armour!.gland!.id)).toEqual(["20", "20"]);
    const faces = ["board", "k1"].map((p) => glandFaces(h, plan, p).find((f) => f.holes.some((o) => o.run === KILN))!);
    expect(faces.map((f) => f.holes.map((o) => [o.name, o.hole, o.how]))).toEqual([
      [["20", 20.5, "drill"]],
      [["20", 20.5, "drill"]],
    ]);
    const steps = ["board", "k1"].map((p, i) =>
      endSteps(h, plan, endFigures(h, plan, p)!, both[i]!).find((x) => x.kind.startsWith("swa"))!,
    );
    expect(steps.map((s) => [s.kind, s.measures.hole, s.measures.cores])).toEqual([
      ["swa-indoor", 20.5, 3],
      ["swa-indoor", 20.5, 3],
    ]);
    expect(plan.takeoff.filter((t) => t.circuit === "k" && /Gland/.test(t.item))).toEqual([
      {
        item: "Gland with tag, lock ring and shroud",
        size: "20, M20, indoor type",
        quantity: 2,
        unit: "each",
        circuit: "k",
      },
    ]);
  });
  it("at the isolator the switch has its own steps after the gland's; the board has them once the circuit has a way", () => {
    const kinds = (x: typeof h, p: typeof plan, point: string, i: number) =>
      endSteps(x, p, endFigures(x, p, point)!, both[i]!).map((s) => s.kind);
    expect(kinds(h, plan, "k1", 1)).toEqual(["coil", "first-test", "swa-indoor", "isolator"]);
    expect(kinds(h, plan, "board", 0)).toEqual(["coil", "first-test", "swa-indoor"]);
    const wayed = laid((j) => ({ ...j, circuits: j.circuits.map((c) => (c.id === "k" ? { ...c, way: 8 } : c)) }));
    expect(kinds(wayed.h, wayed.plan, "board", 0).at(-1)).toBe("board-end");
    const s4 = endFigures(h, plan, "s4")!;
    expect(endSteps(h, plan, s4, s4.cables[0]!).map((s) => s.kind)).toEqual(["box", "coil", "first-test", "outlet"]);
    // Both ways of what hangs at its ends are in the reading: 2.5 and 1.5 mm² at 7.41 and 12.1 mΩ a metre.
    const run = s4.cables[0]!.run;
    const hangs = plan.ends.filter((e) => e.run === run.id).reduce((n, e) => n + e.measures.fromMiddle!, 0) + 200;
    const expected = ((run.pathLength + hangs) / 1000) * 0.01951;
    expect(endSteps(h, plan, s4, s4.cables[0]!)[2]!.measures.r1r2).toBeCloseTo(expected, 4);
  });
  it("comes straight to both: wires stop at 103 from the cleat, sheath 13 before, cut a tail beyond", () => {
    for (const c of both) {
      expect(c.armour!.marks.wires).toBe(103);
      expect(c.armour!.marks.ring).toBe(90);
      expect(c.armour!.marks.cut - c.armour!.marks.wires).toBeCloseTo(c.end.measures.tail!, 9);
      expect(c.armour!.asEarth).toMatchObject({ has: 39, enough: true });
      expect(c.cores.map((x) => [x.colour, x.carries, x.sleeve])).toEqual([
        ["brown", "line", null],
        ["black", "cpc", "green-yellow"],
        ["grey", "neutral", "blue"],
      ]);
    }
  });
  it("out of doors the other type is bought and guided", () => {
    const out = laid(at("k1", { place: { on: "wall", wall: "yard-w2", u: 900, v: 1150 } }));
    const f = endFigures(out.h, out.plan, "k1")!;
    expect(f.outdoors).toBe(true);
    expect(endSteps(out.h, out.plan, f, f.cables[0]!).map((x) => x.kind)).toContain("swa-outdoor");
    expect(out.plan.takeoff.filter((t) => /Gland/.test(t.item)).map((t) => t.size)).toEqual([
      "20, M20, indoor type",
      "20, M20, outdoor type",
    ]);
  });
  it("into plastic the tag carries the earth, indoors and out; a board is never of plastic", () => {
    const kind = (more: object, point = "k1") => {
      const x = layHouse(at(point, more)(job));
      const f = endFigures(x, plan, point)!;
      return endSteps(
        x,
        plan,
        f,
        f.cables.find((c) => c.run.id === KILN)!,
      ).find((s) => s.kind.startsWith("swa"))!.kind;
    };
    expect(kind({ plastic: true })).toBe("swa-plastic-indoor");
    expect(kind({ plastic: true, place: { on: "wall", wall: "yard-w2", u: 900, v: 1150 } })).toBe("swa-plastic");
    expect(kind({ plastic: true }, "board")).toBe("swa-indoor");
  });
  it("takes a hole that is there, opens up a smaller one, and plugs what nothing takes", () => {
    const holes = (list: { edge: "left" | "right"; at: number; size: number }[], more: object = {}) => {
      const j = at("k1", { faceHoles: list, ...more })(job);
      const f = glandFaces(layHouse(j), plan, "k1").find((x) => x.edge === "right");
      return { took: f!.holes.map((o) => [o.how, o.x]), plugs: f!.plugs, facts: f!.facts.map((x) => [x.rule, x.case]) };
    };
    expect(holes([{ edge: "right", at: 30, size: 20.2 }])).toEqual({ took: [["there", 30]], plugs: [], facts: [] });
    expect(holes([{ edge: "right", at: 30, size: 16.5 }]).took).toEqual([["open-up", 30]]);
    expect(holes([{ edge: "right", at: 30, size: 25.5 }]).took).toEqual([["reducer", 30]]);
    expect(holes([{ edge: "left", at: 30, size: 20.5 }]).took).toEqual([["drill", 35]]);
    // The one that fits goes before the one that would have to be opened; the other lies under the nut.
    expect(
      holes([
        { edge: "right", at: 50, size: 16.5 },
        { edge: "right", at: 30, size: 20.5 },
      ]),
    ).toEqual({
      took: [["there", 30]],
      plugs: [{ at: 50, size: 16.5 }],
      facts: [["gland.place", "hole"]],
    });
    expect(holes([], { glandAt: { [KILN]: 20 } })).toEqual({
      took: [["drill", 20]],
      plugs: [],
      facts: [["gland.place", "edge"]],
    });
    expect(holes([], { glandAt: { [KILN]: 21.75 } }).facts).toEqual([]);
  });
  it("a tube stands on the face where it is drawn, takes the hole that is there, and the gland keeps clear of it", () => {
    // T3, a tube of 25, comes up to the isolator 35 under its edge, on its middle; its box is 130 wide.
    const bottom = (more: object = {}) => {
      const j = at("k1", more)(job);
      const f = glandFaces(layHouse(j), plan, "k1").find((x) => x.edge === "bottom")!;
      return {
        is: f.holes.map((o) => [o.name, o.x, o.hole, o.how]),
        plugs: f.plugs.length,
        facts: f.facts.map((x) => x.case),
      };
    };
    expect(bottom()).toEqual({ is: [["tube 25", 65, 25.5, "drill"]], plugs: 0, facts: [] });
    expect(bottom({ faceHoles: [{ edge: "bottom", at: 64, size: 20.5 }] })).toEqual({
      is: [["tube 25", 64, 25.5, "open-up"]],
      plugs: 0,
      facts: [],
    });
    expect(bottom({ faceHoles: [{ edge: "bottom", at: 62, size: 25.5 }] })).toMatchObject({
      plugs: 1,
      facts: ["hole"],
    });
    // Moved along its wall the tube comes in beside the middle, near the edge of the box.
    expect(bottom({ place: { on: "wall", wall: "shed-w3", u: 1448, v: 1150 } })).toMatchObject({
      is: [["tube 25", 117, 25.5, "drill"]],
      facts: ["edge"],
    });
    expect(
      glandFaces(layHouse(at("k1", { place: { on: "wall", wall: "shed-w3", u: 1700, v: 1150 } })(job)), plan, "k1"),
    ).toHaveLength(1);
    expect(
      glandFaces(layHouse(at("k1", { place: { on: "wall", wall: "shed-w3", u: 1500, v: 1250 } })(job)), plan, "k1"),
    ).toHaveLength(1);
    // The armour brought in from below: what is left beside the tube is 65 − 22 = 43, and its gland stands in the middle of it.
    const below = { ...plan, ends: plan.ends.map((e) => (e.point === "k1" ? { ...e, entry: "bottom" as const } : e)) };
    const both = glandFaces(h, below, "k1").find((x) => x.edge === "bottom")!;
    expect(both.fits).toBe(false);
    const wide = glandFaces(
      layHouse(at("k1", { place: { on: "wall", wall: "shed-w3", u: 1530, v: 1150 } })(job)),
      below,
      "k1",
    );
    expect(wide.find((x) => x.edge === "bottom")!.holes.map((o) => [o.name, o.x])).toEqual([
      ["tube 25", 35],
      ["20", 93.5],
    ]);
  });
});

describe("lists for other programs", () => {
  const rows = (csv: string): string[][] =>
    csv
      .trim()
      .split(/\r?\n/)
      .map((l) => l.split(","));
  it("ends, one line a cable at a point, with the armour's marks where there is armour", () => {
    const all = rows(endsCsv(job, plan, h));
    expect(all).toHaveLength(plan.ends.length + 1);
    expect(all.find((r) => r[0] === "K1")!.slice(-5)).toEqual(["32.1 of 80", "20 indoor", "90", "103", "293"]);
    expect(all.find((r) => r[0] === "S4")!.slice(5, 9)).toEqual([
      expect.stringMatching(/left|right/),
      "190",
      "10",
      "180",
    ]);
  });
  it("the board, in the order tied; clips, each from its own wall or joist", () => {
    const tied = rows(boardCsv(job, plan, h)).slice(1);
    expect(tied.map((r) => [r[1], r[2], r[3], r[5]].join(" "))).toEqual([
      "1 K  ",
      "2 R1 out 2",
      "3 R1 back 2",
      "4 LI1  3",
      "5 LI2  4",
      "6 R2  5",
      "7 AL  7",
    ]);
    const clips = rows(clipsCsv(job, plan, h)).slice(1);
    expect(clips.length).toBeGreaterThan(plan.clips.length);
    expect(clips.reduce((n, r) => n + r[r.length - 1]!.split(";").length, 0)).toBe(
      plan.clips.reduce((n, c) => n + c.marks.length, 0),
    );
    expect(new Set(clips.map((r) => r.find((x) => /corner|floor|ceiling|bearing|leg$/.test(x))))).not.toContain(
      "start of the leg",
    );
  });
});

describe("the board of the cottage", () => {
  const b = boardFigures(h, plan, "board")!;
  it("ties its six flat cables so that none crosses, in the trunking's two rows of three", () => {
    const flat = b.cables.filter((c) => c.seat);
    expect(flat.map((c) => [c.circuit.label, c.leg])).toEqual([
      ["R1", "out"],
      ["R1", "back"],
      ["LI1", null],
      ["LI2", null],
      ["R2", null],
      ["AL", null],
    ]);
    expect([b.crossings, b.least]).toEqual([0, 0]);
    // Listed R1, R1, R2, AL, LI1, LI2 on ways 2, 2, 5, 7, 3, 4: four pairs stand the wrong way round.
    expect(b.asListed).toBe(4);
    expect(b.blocks.map((x) => [x.edge, x.section, x.rows])).toEqual([
      ["left", null, 0],
      ["top", "t1", 2],
    ]);
    expect(new Set(flat.map((c) => `${c.seat!.at} ${c.seat!.row}`)).size).toBe(6);
    expect(drawSlot(b, 1).shapes.length).toBeGreaterThan(6);
  });
  it("lengths reach from the entry to each terminal, and the rest of the 800 and the half height is spare", () => {
    for (const c of b.cables.filter((x) => x.tails)) {
      const way = b.layout.ways[c.way! - 1]!;
      expect(c.tails!.line).toBe(Math.ceil((Math.abs(way.x - c.entry.x) + way.y + 60) / 10 - 1e-9) * 10);
      expect(c.has).toBe(800 + 120);
      expect(c.spare).toBe(920 - Math.max(c.tails!.line, c.tails!.neutral, c.tails!.earth));
      expect(c.brown).toBe(way.x < c.entry.x ? "left" : "right");
    }
  });
  it("heaviest by the main switch costs nothing; by room the kiln's cable crosses those before it", () => {
    const { heaviest, "by-room": room } = b.orders;
    expect([...heaviest.ways].sort((x, y) => x[1] - y[1]).map(([id]) => id)).toEqual([
      "k",
      "r1",
      "r2",
      "al",
      "li1",
      "old",
      "li2",
    ]);
    expect(heaviest.crossings).toBe(0);
    expect(room.ways.get("r1")).toBe(1);
    expect(room.crossings).toBe(4);
    expect([heaviest.ways.get("old"), room.ways.get("old")]).toEqual([6, 6]);
  });
  it("tied otherwise it says so, with the press that puts it right; the drawing follows", () => {
    const ids = b.cables
      .filter((c) => c.seat)
      .map((c) => c.run.id)
      .reverse();
    const j = at("board", { tied: ids })(job);
    const wrong = laid(() => j);
    const fact = wrong.plan.facts.find((f) => f.rule === "board.crossing")!;
    expect(fact).toMatchObject({ limit: 0, fix: [{ id: "board", set: { tied: [] } }] });
    // Fifteen pairs but for the two of the ring.
    expect(fact.measured).toBe(14);
    const f = boardFigures(wrong.h, wrong.plan, "board")!;
    expect(f.cables.filter((c) => c.seat).map((c) => c.run.id)).toEqual(ids);
    const words = (x: typeof f): string[] =>
      drawBoardEntry(x, runStyles(job)).shapes.flatMap((s) => (s.kind === "text" ? s.text : []));
    expect(words(f)).toContain("R1 back");
    expect(words(f)).toContain("K, no way yet");
  });
  it("the trunking's drop: a plumb line, fixings up from the floor, a retainer between each two, a slot over the seats", () => {
    const [d, ...more] = boardDrops(h, b);
    expect(more).toEqual([]);
    const place = b.board.place as { u: number; v: number };
    const t1 = sectionFigures(h, plan).find((x) => x.laid.section.id === "t1")!;
    // It comes down at 2 775, goes along at 1 950, and down again to the board.
    expect([d!.line, d!.off]).toEqual([3200, -100]);
    expect(d!.others.map((o) => [o.plumb, o.at])).toEqual([
      [true, 2775],
      [false, 1950],
    ]);
    expect(d!.off).toBeCloseTo(d!.line - place.u, 9);
    const here = fixingMarks(h, t1.laid, t1.fixings).filter((m) => m.wall === "hall-w3");
    expect([...d!.plumb, ...d!.others.flatMap((o) => o.marks)]).toHaveLength(here.length);
    expect(d!.plumb.every((v) => v > d!.edge)).toBe(true);
    expect(d!.retainers).toHaveLength(d!.plumb.length - 1);
    d!.retainers.forEach((v, i) => expect(v).toBeCloseTo((d!.plumb[i]! + d!.plumb[i + 1]!) / 2, 9));
    expect(d!.pieces).toEqual(t1.pieces);
    // Three seats of 13 with 1 between stand over 41.
    expect(d!.slot.to - d!.slot.from).toBeCloseTo(41, 9);
    expect((d!.slot.from + d!.slot.to) / 2).toBeGreaterThan(place.u - 180);
    expect(drawDrop(d!, b).label).toBe(`T1 down to DB1: ${d!.plumb.length} fixings on the plumb line`);
    // From below it is the bottom edge that is slotted, and the line goes down.
    const up = { ...b, blocks: b.blocks.map((x) => (x.section === "t1" ? { ...x, edge: "bottom" as const } : x)) };
    expect(boardDrops(h, up)[0]).toMatchObject({ above: false, edge: place.v - 120 });
    const bare = laid((j) => ({ ...j, sections: [] }));
    expect(boardDrops(bare.h, boardFigures(bare.h, bare.plan, "board")!)).toEqual([]);
  });
  it("asks for what the rules ask: two colour codes and lights on sockets are due here", () => {
    const due = boardNotes(h, b)
      .filter((n) => n.due)
      .map((n) => n.source.replace("BS 7671:2018+A2:2022 ", ""));
    expect(due).toEqual([
      "531.3.3",
      "443.4.1",
      "514.9.1",
      "514.12.1",
      "514.12.2",
      "514.13.1",
      "514.14.1",
      "Trade practice",
    ]);
    expect(boardNotes(h, b).every((n) => /BS 7671|Trade practice/.test(n.source))).toBe(true);
  });
});
