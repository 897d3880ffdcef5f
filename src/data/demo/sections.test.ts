import { describe, expect, it } from "vitest";
import { containmentIn } from "../../core/job/settings";
import type { Job } from "../../core/job/model";
import { ternCottage } from "./tern-cottage";
import { circuit, house } from "../../core/book/limits/by-hand.fixture";
import { drawFold, drawPiece } from "../../core/drawings/piece-drawings";
import { drawSectionCut, sectionShapes, sectionTags } from "../../core/drawings/section-drawings";
import { boundsOf } from "../../core/drawings/scene";
import { checkInvariants } from "../../core/job/invariants";
import { layHouse } from "../../core/house/house";
import { standardCatalogue } from "../../core/rules/catalogue";
import { withFix } from "../../core/plan/tried-fixes";
import { circuitRemedies } from "../../core/plan/circuit-remedies";
import { proposeSections, splitInTwo } from "../../core/plan/choose-sections";
import { makePlan } from "../../core/plan/plan";
import { fixingMarks, sectionFigures } from "../../core/plan/section-figures";

const job = ternCottage();
const h = layHouse(job);
const plan = makePlan(job);
const figures = sectionFigures(h, plan);
const of = (label: string) => figures.find((f) => f.laid.section.label === label)!;

describe("containment where none is drawn", () => {
  const inHall = (rooms: Job["settings"]["containment"]["rooms"]): Job => ({
    ...job,
    sections: [],
    settings: { ...job.settings, containment: { ...job.settings.containment, rooms } },
  });
  const lengths = (j: Job) => {
    const lines = makePlan(j).takeoff.filter((t) => t.item === "Capping" || t.item === "Oval tube");
    const sum = (item: string): number => lines.filter((t) => t.item === item).reduce((n, t) => n + t.quantity, 0);
    return { capping: sum("Capping"), oval: sum("Oval tube") };
  };
  it("one room may have another than the job: what is bought for its chases, and what is proposed there, is that", () => {
    const [plain, other] = [lengths(inHall({})), lengths(inHall({ kitchen: { masonry: "oval" } }))];
    expect(plain.oval).toBe(0);
    expect(other.oval).toBeGreaterThan(1);
    expect(other.capping + other.oval).toBeCloseTo(plain.capping, 9);
    const kinds = (j: Job, room: string) => {
      let n = 0;
      const list = proposeSections(
        layHouse(j),
        makePlan(j),
        { masonry: "capping", surface: "mini-trunking" },
        { room },
        () => `n${n++}`,
      );
      return new Set(list.map((x) => x.section.kind));
    };
    const oval = inHall({ kitchen: { masonry: "oval" } });
    expect(kinds(oval, "kitchen")).toContain("oval");
    expect(kinds(oval, "kitchen")).not.toContain("capping");
    expect(kinds(oval, "glaze")).not.toContain("oval");
    expect(containmentIn(oval.settings, "kitchen")).toEqual({ masonry: "oval", surface: "mini-trunking" });
    expect(containmentIn(oval.settings, null)).toEqual({ masonry: "capping", surface: "mini-trunking" });
  });
});

describe("the sections of the cottage", () => {
  it("the drop to the board: six circuits' cables, the ring at 18.4 A where it needs 20", () => {
    const t1 = of("T1");
    expect(t1.inside).toHaveLength(6);
    expect(t1.circuits.find((c) => c.circuit === "r1")).toMatchObject({
      method: "B",
      together: 2,
      needs: 20,
      holds: false,
    });
    expect(t1.circuits.find((c) => c.circuit === "r1")!.carries).toBeCloseTo(23 * 0.8, 9);
    // Lights are loaded too lightly to count.
    expect(t1.circuits.find((c) => c.circuit === "li1")).toMatchObject({ together: 1, needs: 6, holds: true });
    // 47 × 47 inside; three of 58.58, one of 41, two of 32.4.
    expect(t1.fill.used).toBeCloseTo((100 * (3 * 10.1 * 5.8 + 8.2 * 5 + 2 * 7.2 * 4.5)) / 47 ** 2, 6);
    expect(plan.facts.filter((f) => f.rule === "circuit.ring" && f.severity === "stop")).toHaveLength(1);
  });
  it("is folded over the pipe in one piece, and metal holds its cables over the way out", () => {
    const t1 = of("T1");
    expect(t1.pieces).toHaveLength(1);
    expect(t1.pieces[0]!.folds.map((f) => f.turn)).toEqual(["left", "inside", "over", "over", "inside", "right"]);
    expect(t1.metalInside).toBe(3);
    const metal = {
      ...job,
      sections: job.sections.map((s) => ({ ...s, kind: s.id === "t1" ? ("trunking-metal" as const) : s.kind })),
    };
    expect(sectionFigures(layHouse(metal), plan).find((f) => f.laid.section.id === "t1")!.metalInside).toBe(0);
    expect(t1.cutting).toMatchObject({ unmet: [], optimal: true });
    expect(plan.takeoff).toContainEqual({
      item: "Metal clip inside plastic",
      size: "",
      quantity: 3,
      unit: "each",
      circuit: null,
    });
  });
  it("wants ties on its tray, bushes on its tube and lids on its trunking, each bought once", () => {
    const bought = (item: string): [string, number][] =>
      plan.takeoff.filter((l) => l.item === item).map((l) => [l.size, Math.round(l.quantity * 1000) / 1000]);
    const t4 = of("T4");
    expect(t4.inside).toHaveLength(2);
    // Two cables of 1 mm² on 4 100: first and last 100 from the ends, 3 900 between in sixteen of at most 250.
    expect(t4.ties).toMatchObject([{ max: 250, count: 2 * 17, metal: false }]);
    expect(bought("Cable tie")).toEqual([["", 34]]);
    expect(bought("Metal tie")).toEqual([]);
    expect(bought("Conduit bush")).toEqual([["25", 2]]);
    expect(bought("Plastic trunking: lid")).toEqual([["50 × 50", 1.325]]);
    expect(bought("Mini-trunking: lid")).toEqual([["38 × 16", 6.23]]);
  });
  it("a way of its own for the ring is tried and offered, and with it the ring holds", () => {
    const r = circuitRemedies(job, standardCatalogue, "r1");
    const own = r.found.find((x) => x.kind === "section")!;
    expect(own).toMatchObject({ to: "t1", fix: [{ collection: "sections", id: "t1", set: { out: ["r1"] } }] });
    const after = makePlan(withFix(job, own.fix)!);
    expect(
      after.facts.filter((f) => f.rule.startsWith("circuit.") && f.subject.id === "r1" && f.severity === "stop"),
    ).toEqual([]);
  });
  it("split in two, the ring and the radial lie apart, and both hold", () => {
    const t1 = of("T1");
    const circuits = [...t1.circuits].sort((a, b) => b.needs - a.needs).map((c) => c.circuit);
    const [a, b] = splitInTwo(t1.laid.section, circuits, 50, { id: "t9", label: "T9" }, -1);
    const split = { ...job, sections: [...job.sections.filter((s) => s.id !== "t1"), a, b] };
    expect(checkInvariants(split)).toEqual([]);
    const after = makePlan(split);
    expect(after.facts.filter((f) => f.severity === "stop" && /^circuit\.(ring|capacity)/.test(f.rule))).toEqual([]);
    const inside = sectionFigures(layHouse(split), after);
    for (const label of ["T1", "T9"])
      expect(inside.find((f) => f.laid.section.label === label)!.inside.length).toBeGreaterThan(0);
  });
  it("is bought once for all its cables: its length, ends and fixings, and corners only where they are bought", () => {
    const line = (item: string) => plan.takeoff.filter((t) => t.item === item);
    const t1 = of("T1").pieces.reduce((s, p) => s + p.length, 0) / 1000;
    expect(line("Plastic trunking")).toEqual([
      { item: "Plastic trunking", size: "50 × 50", quantity: t1, unit: "m", circuit: null },
    ]);
    expect(line("Plastic trunking: end")[0]!.quantity).toBe(2);
    expect(line("Plastic trunking: flat corner")).toEqual([]);
    // The mini-trunking of the bedroom turns twice on its walls and once in the corner between them, with one joint on the long wall.
    expect(line("Mini-trunking: flat corner")[0]!.quantity).toBe(2);
    expect(line("Mini-trunking: inside corner")[0]!.quantity).toBe(1);
    expect(line("Mini-trunking: coupler")[0]!.quantity).toBe(1);
    const fixings = figures.reduce((s, f) => s + f.fixings.reduce((n, x) => n + x.marks.length, 0), 0);
    expect(line("Screw and plug")[0]!.quantity).toBe(fixings);
    expect(line("Trunking, found")).toEqual([]);
  });
  it("is sealed where it goes through the ceiling, inside too, since it is larger than 710 mm²", () => {
    expect(of("T1").seals).toEqual([
      { wall: "hall-w3", u: 2775, where: "ceiling", width: 50, depth: 50, inside: true },
    ]);
    expect(of("T2").seals).toEqual([]);
    expect(plan.takeoff).toContainEqual({
      item: "Intumescent seal",
      size: "50 × 50 mm",
      quantity: 1,
      unit: "each",
      circuit: null,
    });
  });
  it("where no section is drawn a chase is taken off with capping, or with oval tube as the job has it, as long", () => {
    const metres = (p: typeof plan, item: string): number =>
      p.takeoff.filter((t) => t.item === item).reduce((s, t) => s + t.quantity, 0);
    expect(metres(plan, "Capping")).toBeGreaterThan(10);
    expect(metres(plan, "Oval tube")).toBe(0);
    const settings = { ...job.settings, containment: { ...job.settings.containment, masonry: "oval" as const } };
    const drawn = makePlan({ ...job, settings });
    expect(metres(drawn, "Capping")).toBe(0);
    expect(metres(drawn, "Oval tube")).toBeCloseTo(metres(plan, "Capping"), 6);
  });
  it("each fixing is marked from the left end and the floor of its own wall", () => {
    const t1 = of("T1");
    const marks = fixingMarks(h, t1.laid, t1.fixings);
    expect(marks[0]).toEqual({ wall: "hall-w3", u: 2775, v: 2325 });
    expect(marks.every((m) => m.wall === "hall-w3")).toBe(true);
    const t2 = of("T2");
    expect(new Set(fixingMarks(h, t2.laid, t2.fixings).map((m) => m.wall))).toEqual(new Set(["bed2-w1", "bed2-w2"]));
    for (const m of fixingMarks(h, t2.laid, t2.fixings)) expect(m.u).toBeLessThanOrEqual(5500);
  });
  it("says how much more goes in, and of what is too full which size would take it", () => {
    expect(of("T1").more!.cable.id).toBe("te-2.5");
    // 994 mm² at 45 %, 281.5 taken: twelve of 58.58 go in.
    expect(of("T1").more!.count).toBe(12);
    expect(of("old").fill.ok).toBe(false);
    expect(of("old").takes).toBe("38x25");
  });
});

describe("drawings of a section", () => {
  const t1 = of("T1");
  it("cut across: every cable once and named, what more goes in dashed, all inside", () => {
    const { shapes } = drawSectionCut(t1, (id) => id.toUpperCase());
    const texts = shapes.flatMap((s) => (s.kind === "text" ? [s.text] : []));
    expect(texts.sort()).toEqual(["AL", "LI1", "LI2", "R1", "R1", "R2"]);
    expect(shapes.filter((s) => s.kind === "line" && s.dash).length).toBe(6);
    const b = boundsOf(shapes);
    expect([b.x0, b.y0, b.x1, b.y1]).toEqual([0, 0, 50, 50]);
  });
  it("in one layer side by side, old cables too", () => {
    const t4 = of("T4");
    const { shapes } = drawSectionCut(t4, (id) => id);
    const cables = shapes.filter((s) => s.kind === "line" && s.closed && s.fill?.startsWith("cable"));
    expect(cables).toHaveLength(t4.inside.length);
  });
  it("opened flat: side, back and side, cut out what is notched, and a fold alone at true scale", () => {
    const [piece] = t1.pieces;
    const whole = drawPiece(piece!, t1.laid.size);
    const b = boundsOf(whole.shapes);
    expect(b.x1).toBeCloseTo(piece!.length, 6);
    expect(b.y1).toBe(150);
    const left = piece!.folds[0]!;
    const cut = whole.shapes.filter((s) => s.kind === "line" && s.fill === "waste");
    // A corner in the plane takes a triangle of the back and its side; a fold of a set two triangles, and the back where it is cut.
    expect(cut.length).toBe(2 * 2 + 2 * 2 + 2 * 3);
    const one = drawFold(piece!, left, t1.laid.size);
    const box = boundsOf(one.shapes);
    expect(box.x1 - box.x0).toBeCloseTo(2 * left.half + 50, 6);
    expect(one.template).toBe(true);
  });
  it("on the wall: as wide as its size, with its name once and its fixings", () => {
    const face = h.faces[h.faceOfWall.get("hall-w3")!]!;
    const shapes = sectionShapes(h, face).filter((s) => s.id === "t1");
    expect(shapes.filter((s) => s.kind === "line")).toHaveLength(3);
    expect(shapes.filter((s) => s.kind === "circle")).toHaveLength(t1.fixings.reduce((n, f) => n + f.marks.length, 0));
    expect(sectionTags(h, face)).toMatchObject([
      { id: "t1", text: "T1 50 × 50", u: 2775, v: 2175, plumb: true },
      { id: "trunking-1", text: "old 38 × 16", u: 3300, v: 1960, plumb: true },
    ]);
  });
});

describe("containment chosen for a room", () => {
  let n = 0;
  const id = (): string => `x${n++}`;
  const wanted = { masonry: "capping", surface: "mini-trunking" } as const;
  it("capping over the chases in masonry, wide enough, and nothing in the void of a stud wall", () => {
    const list = proposeSections(h, plan, wanted, { room: "kitchen" }, id);
    expect(list.length).toBeGreaterThan(3);
    for (const { section, reason } of list) {
      expect(section.kind).toBe("capping");
      const [p] = section.path;
      expect(p!.on === "wall" && h.faces[h.faceOfWall.get(p!.wall)!]!.wall.build).not.toBe("stud");
      expect(reason).toMatch(/^\d+ cables?\. Over cable in a chase/);
    }
    expect(new Set(list.map((p) => p.section.label)).size).toBe(list.length);
    // Put in, all of it holds, and then nothing is left to choose.
    const after = { ...job, sections: [...job.sections, ...list.map((p) => p.section)] };
    const laid = makePlan(after);
    expect(
      laid.facts.filter((f) => f.rule.startsWith("fill.") && f.subject.kind === "section" && f.severity === "stop"),
    ).toEqual([]);
    expect(laid.runs.some((r) => r.legs.some((l) => l.method === "capping" && l.section))).toBe(true);
  });
  it("oval tube where cables are to be drawn out again", () =>
    expect(
      proposeSections(h, plan, { ...wanted, masonry: "oval" }, { room: "kitchen" }, id).every(
        (p) => p.section.kind === "oval",
      ),
    ).toBe(true));
  it("armour on cleats, and mini-trunking for what runs on the surface", () => {
    const outside = proposeSections(h, plan, wanted, { room: "shed" }, id);
    expect(outside.length).toBeGreaterThan(0);
    expect(outside.every((p) => p.section.kind === "cleats")).toBe(true);
    const open = house({ circuits: [circuit({ walls: "surface" })] });
    const list = proposeSections(layHouse(open), makePlan(open), wanted, { room: "r" }, id);
    expect(list.length).toBeGreaterThan(0);
    for (const p of list) expect([p.section.kind, p.section.size]).toEqual(["mini-trunking", "16x16"]);
  });
  it("from three cables down to a board on, one trunking takes them", () => {
    const none = { ...job, sections: [], foundTrunkings: [] };
    const list = proposeSections(layHouse(none), makePlan(none), wanted, { room: "hall" }, id);
    const drop = list.find((p) => p.section.kind === "trunking-plastic")!;
    expect(drop.reason).toMatch(/down to the board together/);
    expect(drop.section.path).toMatchObject([{ wall: "hall-w3" }, { wall: "hall-w3" }]);
  });
});
