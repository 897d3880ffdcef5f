import { describe, expect, it } from "vitest";
import { circuit, deck, house } from "../../book/limits/by-hand.fixture";
import { layHouse } from "../../house/house";
import { moveCorner, moveWall } from "../../house/reshape";
import { removeRoom } from "../../house/rooms";
import { applyPatch } from "../../job/patch";
import { sectionsOf } from "../../house/sections";
import { checkInvariants } from "../../job/invariants";
import { type Job, canonical } from "../../job/model";
import { moveLeg, pinOf } from "../../laid/move-leg";
import { makePlan } from "../../plan/plan";
import { generatedHouse } from "../../routing/generated-house";
import type { SectionKind } from "../../rules/sections";
import { laidCircuits } from "../circuits/laid-circuit";
import { runsInSections, sectionFacts } from "./section-facts";
import { section, wall } from "./sections.fixture";

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
  it("kept out of capping, it has its own chase on the same line and is still laid", () => {
    const capped = (out: string[]) =>
      makePlan(
        house({
          sections: [section("capping", "25", [wall("w1", 1000, 450), wall("w1", 1000, 2400)], { out })],
          decks: [deck()],
        }),
      ).runs[0]!.legs.filter((l) => l.surface.id === "w1");
    expect(capped([]).map((l) => [l.method, l.section, l.depth])).toEqual([["capping", "t1", 15]]);
    expect(capped(["c"]).map((l) => [l.method, l.section, l.depth])).toEqual([["chase", undefined, 15]]);
    // Nor is it counted in: the capping is empty.
    const job = house({
      sections: [section("capping", "25", [wall("w1", 1000, 450), wall("w1", 1000, 2400)], { out: ["c"] })],
      decks: [deck()],
    });
    expect(runsInSections(layHouse(job), makePlan(job).runs).get("t1")).toEqual([]);
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
    // A corner dragged away askew takes the corner of the section along.
    const askew = applyPatch(job, moveCorner(job, room, 0, { x: -300, y: -200 }));
    expect(checkInvariants(askew)).toEqual([]);
    expect(sectionsOf(layHouse(askew))[0]!.stretches).toHaveLength(3);
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
    expect(said(section("capping", "25", [ends[0]!, { on: "deck", deck: "d", x: 1, y: 1 }]))).toMatch(
      /straight up or down/,
    );
    expect(said(section("capping", "25", [ends[0]!, ends[0]!]))).toMatch(/at least 10 mm/);
    expect(said(section("capping", "25", ends, { out: ["nobody"] }))).toMatch(/nobody is not one of the circuits/);
    expect(said(section("capping", "25", ends, { holds: [{ cable: "wire", count: 1 }] }))).toMatch(/cable catalogue/);
  });
});
