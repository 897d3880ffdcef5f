import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { circuit, corners, deck, house } from "../../book/limits/by-hand.fixture";
import { layHouse } from "../../house/house";
import { moveWall } from "../../house/reshape";
import { removeRoom } from "../../house/rooms";
import { applyPatch } from "../../job/patch";
import { laySection, sectionOfLeg, sectionsOf } from "../../house/sections";
import { checkInvariants } from "../../job/invariants";
import { type Job, canonical } from "../../job/model";
import { moveLeg, pinOf } from "../../laid/move-leg";
import { makePlan } from "../../plan/plan";
import { generatedHouse } from "../../routing/generated-house";
import { cableOf } from "../../rules/catalogue";
import type { SectionKind } from "../../rules/sections";
import { laidCircuits } from "../circuits/laid-circuit";
import { runsInSections, sectionFacts } from "./section-facts";
import { roomFor } from "./section-fill";
import { foldedBack, foldedMiddle, pipeSets, sectionCorners, sectionPieces } from "./section-pieces";
import { sectionFixings } from "./section-supports";

const wall = (w: string, u: number, v: number) => ({ on: "wall" as const, wall: w, u, v });
const section = (kind: SectionKind, size: string, path: object[], more: object = {}) => ({
  id: "t1",
  label: "T1",
  kind,
  size,
  path,
  ...more,
});
const te = (csa: string) => cableOf(`te-${csa}`)!;

describe("a section the runs are laid through", () => {
  // Wall 1 has a socket at 1 000; the board stands at 2 000 on wall 3. On wall 3 trunking goes from the board to the corner, far from any zone.
  const job = house({
    sections: [
      section("mini-trunking", "38x16", [
        wall("w3", 2000, 1400),
        wall("w3", 2000, 700),
        wall("w3", 4000, 700),
        wall("w0", 0, 700),
        wall("w0", 1000, 700),
      ]),
    ],
    points: [
      { id: "db", label: "DB1", kind: "board", ways: 8, place: { on: "wall", wall: "w3", u: 2000, v: 1400 } },
      { id: "s1", label: "S1", kind: "socket", place: { on: "wall", wall: "w0", u: 1000, v: 450 } },
    ],
  });
  it("stands where it is drawn: a corner of the room is no break in it", () => {
    expect(checkInvariants(job)).toEqual([]);
    const s = sectionsOf(layHouse(job))[0]!;
    expect(s.stretches.map((x) => x.length)).toEqual([700, 2000, 1000]);
    expect(s.length).toBe(3700);
  });
  it("takes the run outside the zones, on the surface, by its own method, and no clip holds the cable there", () => {
    const plan = makePlan(job);
    const legs = plan.runs[0]!.legs;
    const inside = legs.filter((l) => l.section === "t1");
    expect(inside.length).toBe(3);
    for (const l of inside) expect([l.method, l.depth]).toEqual(["mini-trunking", 0]);
    expect(plan.facts.filter((f) => f.severity === "stop")).toEqual([]);
    for (const c of plan.clips) expect(plan.runs[0]!.legs[c.leg]!.section).toBeUndefined();
    // Without it the run goes another way.
    expect(makePlan({ ...job, sections: [] }).runs[0]!.legs.some((l) => l.section)).toBe(false);
  });
  it("is rated as enclosed on a wall, 23 A for 2.5 mm², where clipped it would be 27", () => {
    const h = layHouse(job);
    const plan = makePlan(job);
    const c = laidCircuits(h, plan.runs, plan.holes)[0]!;
    const inside = c.legs.filter((l) => plan.runs[0]!.legs[l.leg]!.section === "t1");
    for (const l of inside) expect([l.method, l.grouped, l.carries]).toEqual(["B", 1, 23]);
  });
  it("a circuit kept out goes another way", () => {
    const out = { ...job, sections: job.sections.map((s) => ({ ...s, out: ["c"] })) };
    expect(makePlan(out).runs[0]!.legs.some((l) => l.section)).toBe(false);
    expect(makePlan(out).runs).toHaveLength(1);
  });
  it("one that is full is gone round where there is a way, and what another brings into it is told", () => {
    const full = (count: number): Job => ({
      ...job,
      sections: job.sections.map((s) => ({ ...s, holds: [{ cable: "te-2.5", count }] })),
    });
    // 35 × 13 inside: 45 % is 204.75 mm²; three of 10.1 × 5.8 are 175.7, a fourth makes 234.3.
    expect(makePlan(full(2)).runs[0]!.legs.some((l) => l.section)).toBe(true);
    expect(makePlan(full(3)).runs[0]!.legs.some((l) => l.section)).toBe(false);
    const pinned = makePlan(job).runs[0]!;
    const forced: Job = {
      ...full(3),
      pins: [{ id: "p", circuit: "c", from: pinned.from, to: pinned.to, number: 1, legs: pinned.legs }],
    };
    const told = makePlan(forced).facts.find((f) => f.rule === "fill.space")!;
    expect(told.measured).toBeCloseTo((100 * 4 * 58.58) / 455, 6);
    expect(told.subject).toEqual({ kind: "section", id: "t1" });
    // And the size that was found to take them, of its kind.
    expect(told.fix).toEqual([{ collection: "sections", id: "t1", set: { size: "38x25" } }]);
  });
  it("in an insulated stud wall it is rated as enclosed in one, 20 A for 2.5 mm²", () => {
    const stud = {
      ...job,
      walls: job.walls.map((w) => ({ ...w, build: "stud" as const, insulated: true, thickness: 300 })),
    };
    const plan = makePlan(stud);
    const [c] = laidCircuits(layHouse(stud), plan.runs, plan.holes);
    const inside = c!.legs.filter((l) => plan.runs[0]!.legs[l.leg]!.section === "t1");
    expect(inside.length).toBe(3);
    for (const l of inside) expect([l.method, l.carries]).toEqual(["A", 20]);
  });
  it("loaded cables found in it count as circuits, thin ones do not", () => {
    const holding = (cable: string): number => {
      const j = { ...job, sections: job.sections.map((s) => ({ ...s, size: "50x25", holds: [{ cable, count: 2 }] })) };
      const plan = makePlan(j);
      const [c] = laidCircuits(layHouse(j), plan.runs, plan.holes);
      return Math.max(...c!.legs.map((l) => l.grouped));
    };
    expect(holding("te-2.5")).toBe(3);
    expect(holding("te-1.5")).toBe(1);
  });
  it("armour does not go inside: it lies on what holds it from without, and there it is rated in free air", () => {
    const armoured = (kind: SectionKind, size: string): Job =>
      house({
        sections: [{ ...job.sections[0]!, kind, size }],
        points: job.points,
        circuits: [circuit({ cable: "swa-3x2.5", walls: "surface" })],
      });
    const inside = (j: Job) => {
      const plan = makePlan(j);
      const [c] = laidCircuits(layHouse(j), plan.runs, plan.holes);
      return c!.legs.flatMap((l) => (plan.runs[0]!.legs[l.leg]!.section ? [l.method] : []));
    };
    expect(inside(armoured("trunking-metal", "75x50"))).toEqual([]);
    expect(inside(armoured("ladder", "150"))).toEqual(["E", "E", "E"]);
    expect(inside(armoured("cleats", "one"))).toEqual(["C", "C", "C"]);
  });
  it("stays whole when its wall is moved, its corners in the corners of the room, and goes with the room", () => {
    const room = job.rooms[0]!;
    const moved = applyPatch(job, moveWall(job, room, 3, 250));
    expect(checkInvariants(moved)).toEqual([]);
    const s = sectionsOf(layHouse(moved))[0]!;
    // The south wall comes 250 into the room: the west wall is as much shorter, and what lies on it stays where it is in the house.
    expect(s.stretches.map((x) => Math.round(x.length))).toEqual([700, 2000, 750]);
    expect(applyPatch(job, removeRoom(job, room.id)).sections).toEqual([]);
  });
  it("a leg moved off it by hand is chased like any other; pinned in a section that is taken away it is told", () => {
    const h = layHouse(job);
    const run = makePlan(job).runs[0]!;
    const index = run.legs.findIndex(
      (l) => l.section === "t1" && l.surface.id === "w3" && l.path[0]![2] === l.path[1]![2],
    );
    const moved = moveLeg(h, run, index, 900)!;
    expect(
      moved.legs
        .filter((l) => l.surface.id === "w3" && l.path[0]![2] === 900)
        .map((l) => [l.method, l.section, l.depth]),
    ).toEqual([["chase", undefined, 15]]);
    // What still lies in it, on the next wall and down to it, stays in.
    expect(moved.legs.filter((l) => l.section === "t1").length).toBeGreaterThan(0);
    const pin = { ...pinOf(run), id: "p" };
    const gone = makePlan({ ...job, sections: [], pins: [pin] });
    expect(gone.facts.filter((f) => f.rule === "route.off-surface").map((f) => f.case)).toEqual([
      "section-gone",
      "section-gone",
      "section-gone",
    ]);
    expect(makePlan({ ...job, pins: [pin] }).facts.filter((f) => f.severity === "stop")).toEqual([]);
  });
  it("circuits that lie together warm each other; one that is kept out no longer does", () => {
    const two = house({
      sections: job.sections,
      points: [...job.points, { id: "s2", label: "S2", kind: "socket", place: wall("w0", 1000, 900) }],
      circuits: ["c", "d"].map((id, i) => ({
        id,
        label: id.toUpperCase(),
        name: "Sockets",
        kind: "radial",
        device: { rating: 20 },
        rcd: 30,
        cable: "te-2.5",
        way: i + 1,
        points: [`s${i + 1}`],
      })),
    });
    const carries = (j: Job): number[] => {
      const plan = makePlan(j);
      return laidCircuits(layHouse(j), plan.runs, plan.holes).map((c) => c.result.iz);
    };
    const both = carries(two);
    expect(both[0]).toBeCloseTo(23 * 0.8, 9);
    expect(makePlan(two).facts.filter((f) => f.rule === "circuit.capacity" && f.severity === "stop")).toHaveLength(2);
    const apart = { ...two, sections: two.sections.map((s) => ({ ...s, out: ["d"] })) };
    expect(carries(apart)[0]).toBeCloseTo(23, 9);
  });
});

describe("a tray on the joists of an open deck", () => {
  // The joists run east–west; a tray lies over them from south to north at x = 2 000.
  const tray = section("tray", "100", [
    { on: "deck", deck: "d", x: 2000, y: 200 },
    { on: "deck", deck: "d", x: 2000, y: 2800 },
  ]);
  const points = [
    { id: "db", label: "DB1", kind: "board", ways: 8, place: { on: "wall", wall: "w3", u: 2000, v: 1400 } },
    { id: "l1", label: "L1", kind: "socket", place: { on: "wall", wall: "w1", u: 2000, v: 450 } },
  ];
  const open = (more: object) =>
    house({ decks: [deck({ access: "open" })], points, circuits: [circuit({ points: ["l1"] })], ...more });
  it("takes the run over them without a hole, rated in free air", () => {
    const job = open({ sections: [tray] });
    expect(checkInvariants(job)).toEqual([]);
    const plan = makePlan(job);
    const over = plan.runs[0]!.legs.filter((l) => l.section === "t1");
    expect(over.map((l) => [l.method, l.surface])).toEqual([["tray", { kind: "deck", id: "d" }]]);
    expect(over[0]!.path.map((p) => p[2])).toEqual([2600, 2600]);
    expect(plan.holes.filter((o) => o.in.kind === "joist").length).toBeLessThan(
      makePlan(open({})).holes.filter((o) => o.in.kind === "joist").length,
    );
    expect(plan.facts.filter((f) => f.severity === "stop")).toEqual([]);
    const [c] = laidCircuits(layHouse(job), plan.runs, plan.holes);
    const leg = c!.legs.find((l) => plan.runs[0]!.legs[l.leg]!.section === "t1")!;
    expect([leg.method, leg.carries]).toEqual(["E", 30]);
  });
  it("is not used under boards", () => {
    const boarded = open({ sections: [tray], decks: [deck({ access: "closed" })] });
    expect(makePlan(boarded).runs[0]!.legs.some((l) => l.section)).toBe(false);
  });
  it("holds one layer: ten of 2.5 in 100 are told, with the size that takes them", () => {
    const job = open({ sections: [{ ...tray, holds: [{ cable: "te-2.5", count: 10 }] }] });
    const [told] = sectionFacts(layHouse(job), []);
    expect(told).toMatchObject({ rule: "fill.layer", limit: 96, fix: [{ set: { size: "150" } }] });
    expect(told!.measured).toBeCloseTo(101, 9);
  });
});

describe("trunking found in the house", () => {
  const job = generatedHouse(7, 2, 3);
  const board = job.points.find((p) => p.kind === "board")!;
  const place = board.place as { wall: string; u: number; v: number };
  const withTrunking = (size: string, count: number): Job =>
    canonical({
      ...job,
      foundTrunkings: [
        {
          id: "t",
          wall: place.wall,
          size,
          from: { u: place.u, v: place.v },
          to: { u: place.u, v: 2400 },
          holds: count ? [{ cable: "te-2.5", count }] : [],
        },
      ],
    });
  it("is a section like any other: the runs of the plan rise through it", () => {
    const plan = makePlan(withTrunking("100x100", 0));
    const inside = runsInSections(layHouse(withTrunking("100x100", 0)), plan.runs).get("t")!;
    const up = plan.runs.filter(
      (r) => (r.from === "board" || r.to === "board") && r.legs.some((l) => l.surface.id === place.wall),
    );
    expect(inside.length).toBeGreaterThan(0);
    for (const r of inside) expect(up.map((x) => x.id)).toContain(r.run);
  });
  it("is told when it is too full, and no other size is offered for what is there already", () => {
    // 38 × 16 has 35 × 13 inside, 455 mm²; a 2.5 is 10.1 × 5.8, 58.58 mm². Four there make 51.5 % before anything comes.
    const j = withTrunking("38x16", 4);
    const [worst] = sectionFacts(layHouse(j), []);
    expect(worst).toMatchObject({ rule: "fill.space", subject: { kind: "trunking", id: "t" } });
    expect(worst!.measured).toBeCloseTo((400 * 58.58) / 455, 6);
    expect(worst!.fix).toBeUndefined();
    expect(sectionFacts(layHouse(withTrunking("38x16", 3)), [])).toMatchObject([{ rule: "fill.spare" }]);
    expect(sectionFacts(layHouse(withTrunking("100x100", 3)), [])).toEqual([]);
  });
  it("is refused on a slope, with an unknown size or cable", () => {
    const bad = withTrunking("38x16", 1);
    const t = bad.foundTrunkings[0]!;
    const words = (x: Partial<typeof t>): string =>
      checkInvariants({ ...bad, foundTrunkings: [{ ...t, ...x }] })
        .map((r) => r.message)
        .join("; ");
    expect(words({})).toBe("");
    expect(words({ to: { u: 10, v: 2400 } })).toMatch(/level or plumb/);
    expect(words({ size: "7x7" })).toMatch(/not a trunking of the catalogue/);
    expect(words({ holds: [{ cable: "wire", count: 1 }] })).toMatch(/not in the cable catalogue/);
  });
});

describe("what is refused of a section", () => {
  const said = (s: object): string =>
    checkInvariants(house({ sections: [s] }))
      .map((r) => `${r.path}: ${r.message}`)
      .join("; ");
  it("each with its field and words", () => {
    const ends = [wall("w1", 500, 700), wall("w1", 2500, 700)];
    expect(said(section("capping", "25", ends))).toBe("");
    expect(said(section("capping", "26", ends))).toMatch(/t1\.size: 26 is no size of capping; there are 12, 25, 38/);
    expect(said(section("capping", "25", [ends[0]!, wall("w1", 2500, 900)]))).toMatch(/path\.1: .*level or plumb/);
    expect(said(section("capping", "25", [ends[0]!, wall("w2", 0, 700)]))).toMatch(
      /path\.1: .*the corner where they meet/,
    );
    expect(said(section("capping", "25", [ends[0]!, { on: "deck", deck: "d", x: 1, y: 1 }]))).toMatch(/stays on walls/);
    expect(said(section("capping", "25", [ends[0]!, ends[0]!]))).toMatch(/at least 10 mm/);
    expect(said(section("capping", "25", ends, { out: ["nobody"] }))).toMatch(/nobody is not one of the circuits/);
    expect(said(section("capping", "25", ends, { holds: [{ cable: "wire", count: 1 }] }))).toMatch(/cable catalogue/);
  });
});

describe("what a section is made of", () => {
  const laid = (kind: SectionKind, size: string, path: object[], more: object = {}) => {
    const job = house({ sections: [section(kind, size, path, more)] });
    expect(checkInvariants(job)).toEqual([]);
    const h = layHouse(job);
    return { h, s: laySection(h, job.sections[0]!)! };
  };
  it("a corner in the plane folds by its width: 90° of 50 wide takes a notch of 50 either side, 25 further out than its middle", () => {
    const { h, s } = laid(
      "trunking-plastic",
      "50x50",
      [wall("w1", 300, 700), wall("w1", 1300, 700), wall("w1", 1300, 1500)],
      {
        corners: "folded",
      },
    );
    expect(sectionCorners(h, s)).toMatchObject([{ after: 0, turn: "left", angle: 90 }]);
    const [piece, ...more] = sectionPieces(h, s);
    expect(more).toEqual([]);
    // 1 000 + 800, and half the width to the hinge on both sides of the corner.
    expect(piece!.length).toBeCloseTo(1850, 6);
    expect(piece!.folds).toMatchObject([{ at: 1025, turn: "left" }]);
    expect(piece!.folds[0]!.half).toBeCloseTo(50, 6);
  });
  it("an inside corner folds by its depth, an outside one is only slit, and neither changes the length along the back", () => {
    const inside = laid(
      "trunking-plastic",
      "75x50",
      [wall("w1", 3000, 700), wall("w1", 4000, 700), wall("w2", 0, 700), wall("w2", 400, 700)],
      {
        corners: "folded",
      },
    );
    const [piece] = sectionPieces(inside.h, inside.s);
    expect(piece).toMatchObject({ length: 1400, folds: [{ turn: "inside", at: 1000 }] });
    expect(piece!.folds[0]!.half).toBeCloseTo(50, 6);
  });
  it("round a corner that juts into the room: outside", () => {
    // An L of a room: its fourth corner juts out.
    const outline = [
      { x: 0, y: 0 },
      { x: 0, y: 3000 },
      { x: 2000, y: 3000 },
      { x: 2000, y: 1500 },
      { x: 4000, y: 1500 },
      { x: 4000, y: 0 },
    ];
    const job = house({
      rooms: [{ id: "r", storey: "g", name: "Room", kind: "kitchen", height: 2400, outline }],
      walls: outline.map((_, i) => ({ id: `w${i}`, room: "r", index: i, thickness: 300 })),
      points: [],
      circuits: [],
      decks: [],
      sections: [
        section(
          "trunking-plastic",
          "50x50",
          [wall("w2", 500, 700), wall("w2", 1500, 700), wall("w3", 0, 700), wall("w3", 900, 700)],
          {
            corners: "folded",
          },
        ),
      ],
    });
    const h = layHouse(job);
    const s = sectionsOf(h)[0]!;
    expect(sectionCorners(h, s)).toMatchObject([{ turn: "outside", angle: 90 }]);
    expect(sectionPieces(h, s)).toMatchObject([{ length: 1900, folds: [{ turn: "outside", at: 1000, half: 0 }] }]);
  });
  it("property: the pieces folded in the plane give the corners as drawn, to a thousandth", () => {
    const step = fc.integer({ min: 120, max: 500 });
    fc.assert(
      fc.property(
        fc.constantFrom("38x16", "50x25", "100x50"),
        fc.array(step, { minLength: 2, maxLength: 5 }),
        (size, steps) => {
          let [u, v] = [200, 200];
          const path = [wall("w1", u, v)];
          steps.forEach((d, i) => {
            if (i % 2) v += d;
            else u += d;
            path.push(wall("w1", u, v));
          });
          const { h, s } = laid("trunking-plastic", size, path, { corners: "folded" });
          const pieces = sectionPieces(h, s);
          expect(pieces).toHaveLength(1);
          const folded = foldedMiddle(pieces[0]!, s.size.width);
          expect(folded).toHaveLength(path.length);
          folded.forEach(([x, y], i) => {
            expect(x).toBeCloseTo(path[i]!.u - 200, 3);
            expect(y).toBeCloseTo(path[i]!.v - 200, 3);
          });
        },
      ),
      { numRuns: 60 },
    );
  });
  it("property: pieces are no longer than the stock, a joint never cuts a notch, and together they are as long as the whole", () => {
    fc.assert(
      fc.property(fc.integer({ min: 400, max: 3900 }), fc.integer({ min: 200, max: 2000 }), (along, up) => {
        const { h, s } = laid(
          "trunking-metal",
          "75x50",
          [wall("w1", 50, 100), wall("w1", along, 100), wall("w1", along, 100 + up)],
          { corners: "folded" },
        );
        const pieces = sectionPieces(h, s);
        expect(pieces.reduce((sum, p) => sum + p.length, 0)).toBeCloseTo(along - 50 + up + 75, 6);
        for (const p of pieces) {
          expect(p.length).toBeLessThanOrEqual(3000 + 1e-6);
          for (const f of p.folds) {
            expect(f.at - f.half).toBeGreaterThanOrEqual(-1e-6);
            expect(f.at + f.half).toBeLessThanOrEqual(p.length + 1e-6);
          }
        }
        expect(pieces.flatMap((p) => p.folds)).toHaveLength(1);
      }),
      { numRuns: 60 },
    );
  });
  const pipe = {
    id: "p1",
    wall: "w1",
    kind: "pipe",
    name: "heating",
    u: 1000,
    v: 0,
    width: 22,
    height: 2400,
    depth: 35,
  };
  const overPipe = (path: object[], pipes: object[] = [pipe], size = "50x50", corners = "folded") => {
    const job = house({ sections: [section("trunking-plastic", size, path, { corners })], fixtures: pipes });
    const h = layHouse(job);
    return { h, s: laySection(h, job.sections[0]!)! };
  };
  it("over a pipe it gets a set of four shallow folds: the back lies 2 mm off the pipe, level 10 mm beyond it on both sides", () => {
    const { h, s } = overPipe([wall("w1", 300, 700), wall("w1", 2300, 700)]);
    const [set] = pipeSets(h, s);
    expect(set).toMatchObject({ pipe: "p1", offset: 37, top: [690, 732] });
    const [piece] = sectionPieces(h, s);
    expect(piece!.folds.map((f) => f.turn)).toEqual(["inside", "over", "over", "inside"]);
    const back = foldedBack(piece!, 50);
    expect(back[1]![0]).toBeCloseTo(set!.from, 6);
    expect(back[2]![0]).toBeCloseTo(690, 6);
    expect(back[3]![0]).toBeCloseTo(732, 6);
    expect([back[2]![1], back[3]![1]].map((y) => Math.round(y * 1e6) / 1e6)).toEqual([37, 37]);
    expect(back[4]![0]).toBeCloseTo(set!.to, 6);
    expect(back[4]![1]).toBeCloseTo(0, 6);
    // Its end is where the section ends on the wall: the piece is longer by just what the set takes.
    expect(back[5]![0]).toBeCloseTo(2000, 6);
    expect(back[5]![1]).toBeCloseTo(0, 6);
  });
  it("property: whatever the pipe and whichever way the section runs, folded it clears the pipe and ends where it is drawn", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 10, max: 110 }),
        fc.integer({ min: 15, max: 80 }),
        fc.boolean(),
        fc.constantFrom("38x16", "50x50", "100x50"),
        (width, depth, back, size) => {
          const ends = [wall("w1", 300, 700), wall("w1", 2300, 700)];
          const { h, s } = overPipe(back ? ends.reverse() : ends, [{ ...pipe, width, depth }], size);
          const [set] = pipeSets(h, s);
          const folded = foldedBack(sectionPieces(h, s)[0]!, s.size.depth);
          expect(folded[2]![1]).toBeCloseTo(depth + 2, 4);
          expect(folded[3]![0] - folded[2]![0]).toBeCloseTo(width + 20, 4);
          const middle = back ? 2300 - (1000 + width / 2) : 700 + width / 2;
          expect((folded[2]![0] + folded[3]![0]) / 2).toBeCloseTo(middle, 4);
          expect(folded[5]![0]).toBeCloseTo(2000, 4);
          expect(set!.to - set!.from).toBeGreaterThan(width + 20);
        },
      ),
      { numRuns: 60 },
    );
  });
  it("a pipe beside it needs no set; one too near a corner leaves no room for the folds, which is told", () => {
    const beside = overPipe([wall("w1", 300, 700), wall("w1", 900, 700)]);
    expect(pipeSets(beside.h, beside.s)).toEqual([]);
    const low = overPipe([wall("w1", 300, 700), wall("w1", 2300, 700)], [{ ...pipe, height: 600 }]);
    expect(pipeSets(low.h, low.s)).toEqual([]);
    const told = (u: number) => {
      const { h } = overPipe([wall("w1", 950, 700), wall("w1", 2300, 700)], [{ ...pipe, u }]);
      return sectionFacts(h, []).filter((f) => f.rule === "fold.room");
    };
    // The set begins 10 and 37 / tan 22.5° before the pipe, 99.3: its first notch reaches 9.9 farther.
    expect(told(1060)).toEqual([]);
    expect(told(1055)).toMatchObject([{ subject: { kind: "section", id: "t1" }, severity: "stop" }]);
  });
  it("with bought corners each stretch is a straight piece less what the fitting takes", () => {
    const { h, s } = laid("trunking-plastic", "50x50", [
      wall("w1", 300, 700),
      wall("w1", 1300, 700),
      wall("w1", 1300, 1500),
    ]);
    expect(sectionPieces(h, s).map((p) => p.length)).toEqual([975, 775]);
    const long = laid("mini-trunking", "25x16", [wall("w1", 0, 700), wall("w1", 3900, 700)]);
    expect(sectionPieces(long.h, long.s).map((p) => p.length)).toEqual([3000, 900]);
  });
  it("fixings are no farther apart than the table: plastic trunking 50 × 50 at 1 500 level and 2 000 plumb, tube of 20 at 1 500 and 1 750", () => {
    const path = [wall("w1", 300, 100), wall("w1", 3700, 100), wall("w1", 3700, 2300)];
    const most = (kind: SectionKind, size: string): number[] =>
      sectionFixings(laid(kind, size, path).s).map((f) => f.max);
    // 50 × 50 is 2 500 mm²: over 1 500 up to 2 500.
    expect(most("trunking-plastic", "50x50")).toEqual([1250, 1250]);
    expect(most("trunking-metal", "75x50")).toEqual([3000, 3000]);
    expect(most("conduit-plastic", "20")).toEqual([1500, 1750]);
    expect(most("conduit-metal", "20")).toEqual([1750, 2000]);
    for (const f of sectionFixings(laid("trunking-plastic", "50x50", path).s)) {
      expect(f.pitch).toBeLessThanOrEqual(f.max);
      expect(f.marks[0]).toBe(75);
    }
  });
  it("says how many more go in: of an empty 50 × 50, sixteen of 2.5 mm², by the 45 %", () => {
    const { s } = laid("trunking-plastic", "50x50", [wall("w1", 300, 100), wall("w1", 300, 900)]);
    // 47 × 47 inside: 45 % is 994 mm², and 58.58 goes into it 16 times.
    expect(roomFor(s, [], te("2.5"))).toBe(16);
    expect(roomFor(s, [te("10"), te("10")], te("2.5"))).toBe(11);
  });
  it("a leg given by hand lies in it where it keeps to its width for 100 mm, and a chase behind it does not", () => {
    const { h } = laid("trunking-plastic", "50x50", [wall("w1", 1000, 100), wall("w1", 1000, 900)]);
    const leg = (u: number, v: number, method: "surface" | "chase") => ({
      surface: { kind: "wall" as const, id: "w1" },
      method,
      path: [[corners[1]!.x + u, 3000, v] as const, [corners[1]!.x + u, 3000, v + 300] as const].map(
        (p) => [...p] as [number, number, number],
      ),
      depth: 0,
      protected: false,
    });
    expect(sectionOfLeg(h, leg(1020, 300, "surface"))?.section.id).toBe("t1");
    expect(sectionOfLeg(h, leg(1030, 300, "surface"))).toBeNull();
    expect(sectionOfLeg(h, leg(1000, 850, "surface"))).toBeNull();
    expect(sectionOfLeg(h, leg(1000, 300, "chase"))).toBeNull();
  });
});
