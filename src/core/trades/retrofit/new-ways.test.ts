import { describe, expect, it } from "vitest";
import { type Job } from "../../job/model";
import { makePlan } from "../../plan/plan";
import { checkInvariants } from "../../job/invariants";
import { applyPatch } from "../../job/patch";
import { pathLength } from "../../base/wall-frame";
import { layNewWay } from "./lay-way";
import { liftedWords } from "../../words/retrofit";
import { DRAW_BENDS, boardsToLift, wayOffers } from "./new-ways";
import { job, worked, x } from "./old-circuit.fixture";

describe("the way that is chosen is laid", () => {
  const chosen = (way: "surface" | "skirting" | "under-boards", j = job("radial", x({ shape: "radial" }))) => {
    const { h, f } = worked(j);
    const next = applyPatch(j, layNewWay(h, j.extensions[0]!, way, f.runs));
    expect(checkInvariants(next)).toEqual([]);
    return { next, plan: makePlan(next) };
  };
  it("in mini-trunking along the top of the skirting: a section from point to point, bought, with the run in it", () => {
    const { next, plan } = chosen("surface");
    expect(next.sections.map((s) => [s.kind, s.path.map((p) => p.on === "wall" && [p.u, p.v])])).toEqual([
      [
        "mini-trunking",
        [
          [800, 450],
          [800, 160],
          [2000, 160],
          [2000, 450],
        ],
      ],
    ]);
    expect(plan.runs[0]!.legs.every((l) => l.section === next.sections[0]!.id)).toBe(true);
    expect(plan.takeoff.find((t) => t.item === "Mini-trunking")!.quantity).toBeCloseTo(1.748, 3);
    expect(plan.facts.filter((f) => f.severity === "stop").map((f) => f.rule)).toEqual([]);
  });
  it("behind the skirting: pinned plumb down in the wall, along at 60, and up; another way lets go of it", () => {
    const { next, plan } = chosen("skirting");
    expect(plan.runs[0]!.pin).toBe(next.pins[0]!.id);
    expect(plan.runs[0]!.legs.map((l) => [l.method, Math.round(pathLength(l.path))])).toEqual([
      ["chase", 390],
      ["surface", 1200],
      ["chase", 390],
    ]);
    expect(plan.facts.filter((f) => f.severity === "stop").map((f) => f.rule)).toEqual([]);
    const back = chosen("under-boards", next).next;
    expect([back.pins, back.sections, back.circuits[0]!.walls]).toEqual([[], [], "hidden"]);
    expect(chosen("under-boards", chosen("surface").next).next.sections).toEqual([]);
  });
  it("round the room the other way where a door stands between", () => {
    const door = { id: "a", wall: "w1", kind: "door", u: 1200, v: 0, width: 300, height: 2000 };
    const base = job("radial", { ...x({ shape: "radial" }), openings: [door] });
    const without = (list: string[]) => list.filter((id) => id !== "s2");
    const { next, plan } = chosen("surface", {
      ...base,
      points: base.points.filter((p) => p.id !== "s2"),
      circuits: base.circuits.map((c) => ({ ...c, points: without(c.points) })),
      foundCables: base.foundCables.filter((f) => f.to !== "s2"),
    });
    const walls = next.sections[0]!.path.map((p) => (p.on === "wall" ? p.wall : ""));
    expect([...new Set(walls)].sort()).toEqual(["w0", "w1", "w2", "w3"]);
    // 800 and 2 000 of this wall, and round the others: 3 000, 4 000 and 3 000; down and up 290 twice.
    expect(plan.runs[0]!.pathLength).toBeCloseTo(800 + 2000 + 10_000 + 580, 0);
  });
});

describe("ways of a new cable side by side", () => {
  const offers = (j: Job) => {
    const { h, plan } = worked(j);
    return Object.fromEntries(wayOffers(h, plan.runs, plan.holes, plan.found).map((o) => [o.way, o]));
  };
  it("along one wall with the joists across: 1 200 along and 450 twice down; boards over all of it, a hole in each joist", () => {
    const o = offers(job("radial"));
    expect(o["under-boards"]).toMatchObject({ no: null, length: 1200 + 900, holes: 3, boards: 2 * 600 + 1200 });
    expect(o.skirting).toMatchObject({ no: null, skirting: 1200, chase: 900 });
    expect(o.surface).toMatchObject({ no: null, seen: 2100, length: 2100 });
    expect(o["old-cable"]!.no).toEqual({ kind: "no-old-cable" });
    expect(o.chased!.length).toBeGreaterThanOrEqual(1200);
  });
  it("says which boards come up: by both ends, and across the joists between by their numbers", () => {
    const { h, plan } = worked(job("radial"));
    const [l] = boardsToLift(h, plan.runs);
    // Joists stand at 200, 600 … : between 800 and 2 000 lie those at 1 000, 1 400 and 1 800.
    expect([l!.joists, l!.across]).toEqual([[3, 4, 5], 1200]);
    expect(liftedWords(l!, (id) => id.toUpperCase())).toMatch(
      /^A board by S[13] and one by S[13]; 1.200 of boards across joists 3 to 5\.$/,
    );
    const along = job("radial").decks.map((d) => ({ ...d, joists: { ...d.joists, direction: "east-west" as const } }));
    const [none] = boardsToLift(worked(job("radial", { decks: along })).h, plan.runs);
    expect(liftedWords(none!, (id) => id)).toMatch(/with the joists between, none\.$/);
    expect(boardsToLift(worked(job("radial", { decks: [] })).h, plan.runs)).toEqual([]);
  });
  it("with the joists a board at each end and no hole", () => {
    const decks = job("radial").decks.map((d) => ({ ...d, joists: { ...d.joists, direction: "east-west" as const } }));
    expect(offers(job("radial", { decks }))["under-boards"]).toMatchObject({ holes: 0, boards: 1200 });
  });
  it("is refused by what stands in the way: no boards, a door on either side, in plaster", () => {
    expect(offers(job("radial", { decks: [] }))["under-boards"]!.no).toEqual({ kind: "no-boards" });
    const door = (id: string, u: number, wall = "w1") => ({
      id,
      wall,
      kind: "door",
      u,
      v: 0,
      width: 300,
      height: 2000,
    });
    expect(offers(job("radial", { openings: [door("a", 1200), door("b", 2500)] })).skirting).toMatchObject({
      no: { kind: "door" },
    });
    expect(offers(job("radial", { openings: [door("a", 2500)] })).skirting!.no).toBeNull();
    const old = {
      id: "f9",
      from: "s3",
      to: "s2",
      fate: "take-out",
      traced: [{ wall: "w1", from: { u: 2000, v: 450 }, to: { u: 3200, v: 450 } }],
    };
    const j = job("radial", {
      foundCables: [
        { id: "f1", from: "db", to: "s1" },
        { id: "f2", from: "s1", to: "s2" },
        old,
        { ...old, id: "f8", to: "s1", traced: [{ wall: "w1", from: { u: 2000, v: 450 }, to: { u: 800, v: 450 } }] },
      ],
    });
    expect(offers(j)["old-cable"]!.no).toEqual({ kind: "in-plaster", length: 1200 });
    expect(DRAW_BENDS).toBe(2);
    // In a stud wall nothing holds it, but round three bends it sticks; round two it comes.
    const stud = job("radial").walls.map((w) => ({ ...w, build: "stud" as const }));
    const bent = (...at: [number, number][]) => {
      const way = (to: string, us: [number, number][]) => ({
        id: `o-${to}`,
        from: "s3",
        to,
        fate: "take-out",
        traced: us.slice(1).map(([u, v], i) => ({ wall: "w1", from: { u: us[i]![0], v: us[i]![1] }, to: { u, v } })),
      });
      const mirrored = at.map(([u, v]): [number, number] => [4000 - u, v]);
      return offers(
        job("radial", {
          walls: stud,
          foundCables: [
            { id: "f1", from: "db", to: "s1" },
            { id: "f2", from: "s1", to: "s2" },
            way("s2", at),
            way("s1", mirrored),
          ],
        }),
      )["old-cable"]!;
    };
    expect(bent([2000, 450], [2000, 2000], [3200, 2000], [3200, 450]).no).toBeNull();
    expect(bent([2000, 450], [2000, 2000], [2600, 2000], [2600, 1500], [3200, 1500]).no).toEqual({
      kind: "bends",
      bends: 3,
    });
  });
});
