import { describe, expect, it } from "vitest";
import { layHouse } from "../../house/house";
import { type Job, jobSchema } from "../../job/model";
import { makePlan } from "../../plan/plan";
import { checkInvariants } from "../../job/invariants";
import { applyPatch } from "../../job/patch";
import { partsOf } from "../../record/parts";
import { tasksOf } from "../../record/tasks";
import { partWords } from "../../words/tasks";
import { laidCircuits } from "../circuits/laid-circuit";
import { bridgedLeg } from "../circuits/old-part";
import { pathLength } from "../../base/wall-frame";
import { beforeAndAfter, cablesAt, extensionFacts, extensionFigures, jointCores, onSkirting } from "./extension";
import { layNewWay } from "./lay-way";
import { liftedWords } from "../../words/retrofit";
import { DRAW_BENDS, boardsToLift, wayOffers } from "./new-ways";

const corners = [
  { x: 0, y: 0 },
  { x: 0, y: 3000 },
  { x: 4000, y: 3000 },
  { x: 4000, y: 0 },
];
const socket = (id: string, u: number, more: object = {}) => ({
  id,
  label: id.toUpperCase(),
  kind: "socket",
  place: { on: "wall", wall: "w1", u, v: 450 },
  ...more,
});
/** A room over a deck of joists with an old circuit: S1 and S2 found on the north wall, S3 new between them. */
const job = (kind: "ring" | "radial", more: Record<string, unknown> = {}): Job =>
  jobSchema.parse({
    id: "j",
    name: "Job",
    storeys: [{ id: "g", name: "Ground", level: 217, height: 2400 }],
    rooms: [{ id: "r", storey: "g", name: "Room", kind: "living", height: 2400, outline: corners }],
    walls: [0, 1, 2, 3].map((index) => ({ id: `w${index}`, room: "r", index, thickness: 200 })),
    openings: [],
    fixtures: [],
    decks: [
      {
        id: "d",
        name: "Floor",
        kind: "solid-joists",
        outline: corners,
        underside: 0,
        access: "boards-up",
        joists: { direction: "north-south", depth: 195, breadth: 47, spacing: 400, first: 200 },
      },
    ],
    points: [
      {
        id: "db",
        label: "DB1",
        kind: "board",
        ways: 8,
        existing: true,
        place: { on: "wall", wall: "w3", u: 2000, v: 1400 },
      },
      socket("s1", 800, { existing: true }),
      socket("s2", 3200, { existing: true }),
      socket("s3", 2000),
    ],
    circuits: [
      {
        id: "c",
        label: "C1",
        name: "Sockets",
        kind,
        device: { rating: kind === "ring" ? 32 : 20 },
        rcd: 30,
        cable: "te-2.5",
        way: 1,
        points: ["s1", "s2", "s3"],
        state: "extend",
      },
    ],
    foundCables: [
      { id: "f1", from: "db", to: "s1", colours: "old" },
      { id: "f2", from: "s1", to: "s2", colours: "old" },
      ...(kind === "ring" ? [{ id: "f3", from: "s2", to: "db", colours: "old" }] : []),
    ],
    pins: [],
    drums: [],
    ...more,
  });
const worked = (j: Job) => {
  const h = layHouse(j);
  const plan = makePlan(j);
  return { h, plan, f: extensionFigures(h, plan, "c")! };
};
const x = (more: object) => ({ extensions: [{ id: "x", circuit: "c", ...more }] });

describe("an old ring that is added to", () => {
  it("is broken where least cable is taken, joined at both ends, and stays one ring with its old part", () => {
    const { h, plan, f } = worked(job("ring"));
    expect(f.broken).toEqual({ from: "s1", to: "s2" });
    expect(f.joints.map((j) => [j.point, j.where]).sort()).toEqual([
      ["s1", "at-point"],
      ["s2", "at-point"],
    ]);
    expect(f.added).toEqual(["s3"]);
    const [laid] = laidCircuits(h, plan.runs, plan.holes, plan.found);
    // Round from the board: the old leg, both new ones, the old leg home; the broken one is no more.
    expect(laid!.way).toEqual(expect.arrayContaining(["s1", "s3", "s2"]));
    expect(laid!.legs.map((l) => l.run)).not.toContain("old:f2");
    expect(new Set(laid!.legs.map((l) => l.run))).toEqual(new Set(["old:f1", "old:f3", ...plan.runs.map((r) => r.id)]));
    // Where no way is taken for its old cables they count straight from point to point.
    const straight = laidCircuits(h, plan.runs, plan.holes)[0]!;
    expect(straight.legs.reduce((n, l) => n + l.length, 0)).toBeLessThan(laid!.legs.reduce((n, l) => n + l.length, 0));
  });
  it("is broken at the leg the user names, which is told when nobody traced it", () => {
    const said = (broken: object) => worked(job("ring", x({ broken, shape: "ring" })));
    expect(said({ from: "s2", to: "db" }).f.broken).toEqual({ from: "s2", to: "db" });
    const { h, plan } = said({ from: "db", to: "s1" });
    expect(extensionFacts(h, plan)).toEqual([]);
    const untraced = worked(
      job("ring", {
        ...x({ broken: { from: "s1", to: "s2" }, shape: "ring" }),
        foundCables: [
          { id: "f1", from: "db", to: "s1" },
          { id: "f3", from: "s2", to: "db" },
        ],
      }),
    );
    expect(untraced.f.broken).toEqual({ from: "s1", to: "s2" });
    expect(extensionFacts(untraced.h, untraced.plan).map((f) => f.rule)).toEqual(["extend.leg"]);
  });
  it("reads end to end what its old cables are long: 7.41 and 12.1 mΩ a metre", () => {
    const { plan, f } = worked(job("ring"));
    const metres =
      plan.found.reduce(
        (s, w) =>
          s +
          [...w.legs, ...w.traced].reduce(
            (n, l) => n + Math.hypot(...[0, 1, 2].map((k) => l.path[1]![k]! - l.path[0]![k]!)),
            0,
          ),
        0,
      ) / 1000;
    expect(f.endToEnd!.r1).toBeCloseTo((metres * 7.41) / 1000, 6);
    expect(f.endToEnd!.r2).toBeCloseTo((metres * 12.1) / 1000, 6);
    expect(worked(job("radial")).f.endToEnd).toBeNull();
  });
  it("with two legs in one pull: the whole length, and where it is folded", () => {
    const { f } = worked(job("ring", x({ doubled: true })));
    expect(f.doubled).toHaveLength(1);
    const [d] = f.doubled;
    expect(d!.at).toBe("s3");
    expect(d!.length).toBeCloseTo(
      f.runs.reduce((s, r) => s + r.cutLength, 0),
      6,
    );
    expect(d!.cut).toBe(f.runs[0]!.cutLength);
    expect(worked(job("ring")).f.doubled).toEqual([]);
  });
});

describe("the whole circuit, before and after", () => {
  it("as found and with what is added: longer, and its loop higher; the floor the same room", () => {
    const { h, plan } = worked(job("radial"));
    const { before, after } = beforeAndAfter(h, plan, "c");
    expect(after!.metres).toBeCloseTo(before!.metres + plan.runs.reduce((s, r) => s + r.pathLength, 0) / 1000, 3);
    expect(after!.zs).toBeGreaterThanOrEqual(before!.zs);
    expect([before!.floor, after!.floor]).toEqual([12, 12]);
    expect(beforeAndAfter(h, plan, "gone")).toEqual({ before: null, after: null });
  });
  it("a ring over 100 m² of floor is told", () => {
    const big = [
      { x: 0, y: 0 },
      { x: 0, y: 10_000 },
      { x: 10_100, y: 10_000 },
      { x: 10_100, y: 0 },
    ];
    const told = (outline: object[]) =>
      makePlan(
        job("ring", {
          rooms: [{ id: "r", storey: "g", name: "Room", kind: "living", height: 2400, outline }],
          decks: [],
        }),
      )
        .facts.filter((f) => f.rule === "circuit.area")
        .map((f) => f.measured);
    expect(told(big)).toEqual([101]);
    expect(told(corners)).toEqual([]);
  });
  it("a socket on a skirting of 150 stands with its middle at 193", () =>
    expect(onSkirting({ kind: "socket", gang: 2 }, 150)).toBe(193));
});

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

describe("which cable of two", () => {
  it("with the leg to S1 joined at the board, at S1 its own cable reads its length and the other is open", () => {
    const { h, plan, f } = worked(job("ring"));
    const at = (point: string) => cablesAt(h, plan, f.circuit, point)!;
    expect(at("s1").leg).toBe("s1");
    const way = plan.found.find((w) => w.id === "f1")!;
    const metres = [...way.legs, ...way.traced].reduce((s, l) => s + pathLength(l.path), 0) / 1000;
    expect(at("s1").cables.map((c) => [c.to, c.ohms])).toEqual([
      ["db", expect.closeTo(metres * 0.01951, 6)],
      ["s2", null],
    ]);
    // On round: at S2 it is the cable from S1 that reads, and more.
    const two = at("s2").cables;
    expect(two.map((c) => [c.to, c.ohms !== null])).toEqual([
      ["s1", true],
      ["db", false],
    ]);
    expect(two[0]!.ohms!).toBeGreaterThan(metres * 0.01951);
  });
});

it("the leg that new runs bridge is told by the old points where one of them ends", () => {
  const { h } = worked(job("ring"));
  const run = (from: string, to: string) => ({ circuit: "c", from, to });
  const [c] = h.job.circuits;
  // Through S2, an old point itself, from the board to S1.
  expect(bridgedLeg(h, c!, [run("db", "s3"), run("s3", "s2"), run("s2", "s3"), run("s3", "s1")])).toEqual({
    from: "db",
    to: "s1",
  });
  expect(bridgedLeg(h, c!, [run("db", "s3")])).toBeNull();
});

describe("an old radial that is added to", () => {
  it("goes on from one old point, with one joint, and is judged from the board on", () => {
    const { h, plan, f } = worked(job("radial"));
    expect(f.broken).toBeNull();
    expect(f.joints).toHaveLength(1);
    const [laid] = laidCircuits(h, plan.runs, plan.holes, plan.found);
    const far = Object.fromEntries(laid!.places.map((p) => [p.point, p.zs]));
    expect(far.s3!).toBeGreaterThan(far[f.joints[0]!.point]!);
  });
  it("is not begun before it is read, and stopped where it reads as the other", () => {
    const told = (shape: string) => {
      const { h, plan } = worked(job("radial", x({ shape })));
      return extensionFacts(h, plan).map((f) => [f.rule, f.case, f.severity]);
    };
    expect(told("unknown")).toEqual([["extend.shape", "unknown", "warn"]]);
    expect(told("ring")).toEqual([["extend.shape", "other", "stop"]]);
    expect(told("radial")).toEqual([]);
  });
  it("has no joint under a floor that does not lift", () => {
    const joint = (decks?: object[]) => {
      const at = worked(job("radial")).f.joints[0]!.point;
      const { h, plan } = worked(
        job("radial", {
          ...x({ shape: "radial", joints: [{ point: at, where: "under-floor" }] }),
          ...(decks ? { decks } : {}),
        }),
      );
      return extensionFacts(h, plan).map((f) => f.rule);
    };
    expect(joint()).toEqual([]);
    expect(joint([])).toEqual(["extend.joint"]);
  });
  it("buys a box and a connector for each core where it is joined apart; nothing at the old point", () => {
    const bought = (where: string, hatch = true) => {
      const at = worked(job("radial")).f.joints[0]!.point;
      const { plan } = worked(job("radial", x({ joints: [{ point: at, where, hatch }] })));
      return plan.takeoff.filter((t) => /oint box|connector/.test(t.item)).map((t) => [t.item, t.quantity]);
    };
    expect(bought("at-point")).toEqual([]);
    expect(bought("under-floor")).toEqual([
      ["Joint box", 1],
      ["Lever connector", 3],
    ]);
    expect(bought("under-floor", false)).toEqual([
      ["Lever connector", 3],
      ["Maintenance-free joint box", 1],
    ]);
  });
  it("is made dead first and joined after it is drawn in: the cards say the leg and the colours", () => {
    const { h, plan } = worked(job("radial"));
    const parts = partsOf(h, plan);
    const isolate = parts.find((p) => p.kind === "isolate")!;
    const joint = parts.find((p) => p.kind === "joint")!;
    // Nothing is drilled, cut or drawn in before.
    const states = tasksOf(h, plan, []).flatMap((t) => t.parts);
    expect(states.filter((s) => s.part.runs.length && s.state.kind === "ready").map((s) => s.part.kind)).toEqual(
      expect.arrayContaining(["isolate"]),
    );
    expect(states.find((s) => s.part.kind === "box")!.state).toMatchObject({ kind: "waits", for: { kind: "isolate" } });
    expect(partWords(h, plan, isolate).over).toMatch(/^C1: isolate, lock off/);
    expect(partWords(h, plan, joint).more).toEqual([
      { what: "line", number: "red to brown" },
      { what: "neutral", number: "black to blue" },
      { what: "earth", number: "bare, green sleeve to bare, green-yellow sleeve" },
    ]);
    expect(jointCores("new")[1]).toMatchObject({ old: "blue", new: "blue" });
    expect(jointCores("unknown")[0]!.old).toBe("brown, or red: prove which");
  });
  it("leaves the spare under the floor in the cut, and only there where it goes under boards", () => {
    const cut = (more: object) => worked(job("radial", x(more))).plan.runs[0]!.cutLength;
    const waste = 1 + job("radial").settings.wastePercent / 100;
    expect(cut({ spare: 800 }) - cut({ spare: 0 })).toBeCloseTo(800 * waste, 6);
    expect(cut({ spare: 800, way: "surface" })).toBeCloseTo(cut({ spare: 0 }), 6);
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
