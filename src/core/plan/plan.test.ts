import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { layHouse } from "../house/house";
import { type Job, canonical } from "../job/model";
import { checkPlan } from "./checker";
import { generatedHouse } from "../routing/generated-house";
import { factKey } from "../rules/fact";
import { findingOf, namesOf } from "../words/findings";
import { moveLeg, pinOf } from "../laid/move-leg";
import { endFigures, fromPoint } from "./end-figures";
import { makePlan, planHouse } from "./plan";
import type { Plan } from "../laid/laid";

const seeds = fc.integer({ min: 1, max: 100_000 });
const house = fc
  .tuple(seeds, fc.integer({ min: 1, max: 3 }), fc.integer({ min: 2, max: 4 }))
  .map(([s, r, p]) => generatedHouse(s, r, p));
/** Stops that a laid plan itself could be guilty of: where points stand is the person's own doing. */
const guilty = (plan: Plan): string[] =>
  plan.facts
    .filter((f) => f.severity === "stop" && !/^(point|kitchen|height|circuit|route\.unreachable)/.test(f.rule))
    .map((f) => factKey(f));

const moved = (job: Job, id: string, by: number): Job =>
  canonical({
    ...job,
    points: job.points.map((p) =>
      p.id === id && p.place.on === "wall" ? { ...p, place: { ...p.place, u: p.place.u + by } } : p,
    ),
  });

describe("a plan of any generated storey", () => {
  it("lays no leg or hole that the checker stops", () => {
    fc.assert(
      fc.property(house, (job) => {
        expect(guilty(makePlan(job))).toEqual([]);
      }),
      { numRuns: 40 },
    );
  });
  it("is the same, byte for byte, for the same job, and after moving a point and back", () => {
    fc.assert(
      fc.property(house, (job) => {
        const first = JSON.stringify(makePlan(job));
        expect(JSON.stringify(makePlan(job))).toBe(first);
        const there = moved(job, "r0s0", 60);
        expect(JSON.stringify(makePlan(there))).not.toBe(first);
        expect(JSON.stringify(makePlan(moved(there, "r0s0", -60)))).toBe(first);
      }),
      { numRuns: 12 },
    );
  });
  it("never claims less cable than its lower bound", () => {
    fc.assert(
      fc.property(house, (job) => {
        const { cable } = makePlan(job);
        // Jogs behind a plate are not counted in the path: a plate's width at each end.
        expect(cable.total).toBeGreaterThan(cable.lines! - 146 * makePlan(job).runs.length * 2);
      }),
      { numRuns: 12 },
    );
  });
  it("changes no length when the whole house moves", () => {
    fc.assert(
      fc.property(house, fc.integer({ min: -20, max: 20 }), fc.integer({ min: -20, max: 20 }), (job, i, j) => {
        const [dx, dy] = [i * 250, j * 250];
        const shift = <T extends { x: number; y: number }>(p: T): T => ({ ...p, x: p.x + dx, y: p.y + dy });
        const there = canonical({
          ...job,
          rooms: job.rooms.map((r) => ({ ...r, outline: r.outline.map(shift) })),
          decks: job.decks.map((d) => ({ ...d, outline: d.outline.map(shift) })),
          points: job.points.map((p) => (p.place.on === "deck" ? { ...p, place: shift(p.place) } : p)),
        });
        const lengths = (x: Job): number[] => makePlan(x).runs.map((r) => Math.round(r.pathLength * 1000));
        expect(lengths(there)).toEqual(lengths(job));
      }),
      { numRuns: 10 },
    );
  });
  it("stays as it is when a laid run is pinned where it lies", () => {
    const job = generatedHouse(7);
    const plan = makePlan(job);
    const run = plan.runs[2]!;
    const again = makePlan(canonical({ ...job, pins: [pinOf(run)] }));
    expect(again.runs.map((r) => [r.from, r.to, r.pathLength])).toEqual(
      plan.runs.map((r) => [r.from, r.to, r.pathLength]),
    );
    expect(guilty(again)).toEqual([]);
  });
});

it("cables that come in at one edge of a box stand along it in the order they come from", () => {
  const h = layHouse(generatedHouse(7));
  const plan = planHouse(h);
  let beside = 0;
  for (const p of h.points)
    for (const entry of ["left", "right", "top", "bottom"] as const) {
      const here = (endFigures(h, plan, p.point.id)?.cables ?? []).filter((c) => c.end.entry === entry);
      here.sort((a, b) => a.at - b.at);
      // Where each lies at its first corner, or on its way to it: along the wall, or down from the ceiling.
      const from = here.map((c) => {
        const way = fromPoint(c.run, p.point.id);
        const [x, y, z] = way[Math.min(2, way.length - 1)]!;
        return entry === "left" || entry === "right" ? -z : x + y;
      });
      expect(from).toEqual([...from].sort((a, b) => a - b));
      if (new Set(from).size > 1) beside++;
    }
  expect(beside).toBeGreaterThan(0);
});

describe("the checker finds each way of breaking a good plan", () => {
  const job = generatedHouse(7);
  const plan = makePlan(job);
  const h = layHouse(job);
  const found = (p: Pick<Plan, "runs" | "holes" | "clips">): string[] => checkPlan(h, p).map((f) => f.rule);
  const change = (f: (p: Plan) => void): string[] => {
    const copy = structuredClone(plan);
    f(copy);
    return found(copy);
  };
  const wallLeg = (p: Plan) =>
    p.runs
      .flatMap((r) => r.legs)
      .find((l) => l.surface.kind === "wall" && Math.abs(l.path[0]![2] - l.path[1]![2]) > 300)!;
  it("starts from a plan without stops", () =>
    expect(checkPlan(h, plan).filter((f) => f.severity === "stop")).toEqual([]));
  it("a leg shifted out of its strip", () =>
    expect(
      change((p) => {
        for (const s of wallLeg(p).path) {
          const f = h.faces[h.faceOfWall.get(wallLeg(p).surface.id)!]!;
          s[0] += f.frame.along.x * 400;
          s[1] += f.frame.along.y * 400;
        }
      }),
    ).toContain("zone.outside"));
  it("a leg on a slope", () =>
    expect(
      change((p) => {
        const l = wallLeg(p);
        const f = h.faces[h.faceOfWall.get(l.surface.id)!]!;
        l.path[0]![0] += f.frame.along.x * 30;
        l.path[0]![1] += f.frame.along.y * 30;
      }),
    ).toContain("zone.diagonal"));
  it("a leg off its wall", () =>
    expect(
      change((p) => {
        const l = wallLeg(p);
        const f = h.faces[h.faceOfWall.get(l.surface.id)!]!;
        for (const s of l.path) {
          s[0] += f.frame.inward.x * 20;
          s[1] += f.frame.inward.y * 20;
        }
      }),
    ).toContain("route.off-surface"));
  it("a hole left out", () =>
    expect(
      change((p) => {
        p.holes.splice(
          p.holes.findIndex((o) => o.in.kind === "joist"),
          1,
        );
      }),
    ).toContain("hole.missing"));
  it.each(["joist", "wall"] as const)("a hole in a %s that is there for other runs", (kind) =>
    expect(
      change((p) => {
        for (const o of p.holes) if (o.in.kind === kind) o.runs = ["another"];
      }),
    ).toContain("hole.missing"),
  );
  it("a hole near a bearing", () =>
    expect(
      change((p) => {
        p.holes.find((o) => o.in.kind === "joist")!.at = 100;
      }),
    ).toContain("timber.hole.zone"));
  it("a hole off the centre line", () =>
    expect(
      change((p) => {
        p.holes.find((o) => o.in.kind === "joist")!.fromTop += 30;
      }),
    ).toContain("timber.hole.axis"));
  it.each([
    ["an old hole", "timber.hole.spacing"],
    ["an old notch", "timber.apart"],
  ])("a hole beside %s", (what, rule) => {
    const hole = plan.holes.find((o) => o.in.kind === "joist")!;
    const place = hole.in as { deck: string; joist: number; span: number };
    const old = (off: number): Job["decks"][number]["existingCuts"][number] =>
      what === "an old hole"
        ? {
            id: "old",
            kind: "hole",
            joist: place.joist,
            span: place.span,
            at: hole.at + off,
            diameter: 12,
            fromTop: hole.fromTop,
          }
        : {
            id: "old",
            kind: "notch",
            joist: place.joist,
            span: place.span,
            at: hole.at + off,
            width: 40,
            depth: 10,
            edge: "top",
          };
    const beside = (off: number): string[] =>
      checkPlan(
        layHouse({
          ...job,
          decks: job.decks.map((d) => (d.id === place.deck ? { ...d, existingCuts: [old(off)] } : d)),
        }),
        plan,
      ).flatMap((f) => (f.rule === rule ? [f.subject.id] : []));
    expect(beside(30)).not.toEqual([]);
    expect(beside(700)).toEqual([]);
  });
  it("a hole too small for what passes", () =>
    expect(
      change((p) => {
        p.holes.find((o) => o.in.kind === "joist")!.diameter = 6;
      }),
    ).toContain("hole.too-small"));
  it("a run that ends short of its point", () =>
    expect(
      change((p) => {
        p.runs[0]!.legs[0]!.path[0]![2] += 500;
      }),
    ).toContain("route.loose-end"));
  it("a gap between legs", () =>
    expect(
      change((p) => {
        p.runs[0]!.legs.splice(1, 1);
      }),
    ).toContain("route.broken"));
  it("reachable clips too far apart", () =>
    expect(
      change((p) => {
        const c = p.clips.find((x) => x.marks.length > 2)!;
        c.reachable = true;
        c.marks = [100, 900];
      }),
    ).toContain("clip.spacing"));
  it("a circuit without its RCD", () => {
    const bare = canonical({ ...job, circuits: job.circuits.map((c) => ({ ...c, rcd: null })) });
    expect(checkPlan(layHouse(bare), plan).map((f) => f.rule)).toContain("zone.rcd");
  });
});

describe("pinning and points that cannot be reached", () => {
  it("moves a plumb leg out of its strip by hand, and says so", () => {
    const job = generatedHouse(7);
    const plan = makePlan(job);
    const h = layHouse(job);
    const run = plan.runs.find(
      (r) => r.legs[0]!.surface.kind === "wall" && r.legs[0]!.path[0]![2] !== r.legs[0]!.path[1]![2],
    )!;
    // A place on the wall that no strip or band covers, well away from where the leg lies.
    const face = h.faces[h.faceOfWall.get(run.legs[0]!.surface.id)!]!;
    const bare = Array.from({ length: 40 }, (_, i) => 160 + i * 80).find(
      (u) =>
        u < face.shape.length - 160 &&
        face.zones.every(
          (z) => z.kind === "top-band" || z.kind.endsWith("horizontal") || u < z.u0 - 40 || u > z.u1 + 40,
        ),
    )!;
    const pin = moveLeg(h, run, 0, bare)!;
    const again = makePlan(canonical({ ...job, pins: [pin] }));
    expect(again.runs.find((r) => r.id === run.id)?.pin).toBe(pin.id);
    expect(again.facts.some((f) => f.rule === "zone.outside" && f.fix?.[0]?.remove)).toBe(true);
  });
  it("says why a point cannot be reached, and lays the others", () => {
    const job = generatedHouse(7);
    const wall = (id: string) => job.walls.find((w) => w.id === id)!;
    const at = (p: Job["points"][number]): string => (p.place.on === "wall" ? p.place.wall : "");
    const board = job.points.find((p) => p.kind === "board")!;
    // A socket between two open sides, without a deck: nothing leads away from its wall.
    const cut = job.points.find((p) => p.kind === "socket" && at(p) !== at(board))!;
    const { room, index } = wall(at(cut));
    const beside = job.walls.filter((w) => w.room === room && Math.abs(w.index - index) % 2 === 1);
    const bare = makePlan(
      canonical({
        ...job,
        decks: [],
        walls: job.walls.map((w) => (beside.includes(w) ? { ...w, build: "open" as const } : w)),
        points: [board, cut],
        circuits: [{ ...job.circuits.find((c) => c.id === "ring")!, points: [cut.id] }],
      }),
    );
    const [far] = bare.facts.filter((f) => f.rule === "route.unreachable");
    expect(far).toMatchObject({ case: "on-wall", subject: { kind: "point", id: cut.id }, of: { deckOver: 0 } });
    expect(findingOf(far!, namesOf(layHouse(job))).message).toMatch(/no deck over this room/);
    expect(bare.cable.lines).toBeNull();
  });
  it("refuses to bore engineered joists and says whom to ask", () => {
    const job = generatedHouse(7);
    const plan = makePlan(canonical({ ...job, decks: job.decks.map((d) => ({ ...d, kind: "engineered" as const })) }));
    expect(plan.holes.filter((o) => o.in.kind === "joist")).toEqual([]);
  });
  it("tells a board without ways and a job without a board", () => {
    const job = generatedHouse(7);
    const noWay = canonical({ ...job, circuits: job.circuits.map((c) => ({ ...c, way: null })) });
    expect(makePlan(noWay).facts.filter((f) => f.rule === "circuit.way")).toHaveLength(2);
    expect(
      makePlan(canonical({ ...job, points: job.points.filter((p) => p.kind !== "board") })).facts.map((f) => f.rule),
    ).toContain("circuit.board");
  });
});
