import { describe, expect, it } from "vitest";
import { type House, layHouse } from "../house/house";
import { type PinnedLeg } from "../job/model";
import { containmentOnWalls } from "./containment-on-walls";
import { holesOf } from "./holes";
import { makePlan } from "./plan";
import { takeOff, totals } from "./take-off";
import type { End } from "../laid/laid";

import { house, laid, leg, run } from "./laid-by-hand.fixture";

describe("holes and what to buy", () => {
  const job = house();
  const h = layHouse(job);
  const through = leg({
    surface: { kind: "deck", id: "d" },
    method: "through-joists",
    path: [
      [500, 1000, 2497.5],
      [1300, 1000, 2497.5],
    ],
  });
  it("one in each joist that a leg crosses, at its place from the bearing and from the top", () => {
    const holes = holesOf(h, [laid([through])]);
    expect(holes.map((o) => [o.in.joist, o.in.span, o.at, o.fromTop, o.diameter])).toEqual([
      [2, 1, 1000, 97.5, 16],
      [3, 1, 1000, 97.5, 16],
    ]);
    expect(holes.every((o) => !o.plated)).toBe(true);
  });
  it("shared by runs at one place, larger for more cables, plated where 50 to the edge is not kept", () => {
    const both = holesOf(h, [laid([through]), laid([through], { id: "c.db.s.2" })]);
    expect(both).toHaveLength(2);
    expect(both[0]).toMatchObject({ runs: ["c.db.s", "c.db.s.2"], diameter: 20 });
    const shallow = { ...job, decks: [{ ...job.decks[0]!, joists: { ...job.decks[0]!.joists, depth: 115 } }] };
    const low = { ...through, path: through.path.map(([x, y]) => [x, y, 2457.5] as [number, number, number]) };
    expect(holesOf(layHouse(shallow), [laid([low])])[0]).toMatchObject({ plated: true });
  });
  it("counts cable, boxes, grommets, capping, clips by what they are, and plates", () => {
    const plan = makePlan(job);
    const of = (item: string) => totals(plan.takeoff).filter((t) => t.item === item);
    expect(of("Cable")[0]).toMatchObject({ size: "2.5 mm² twin and earth", unit: "m" });
    expect(of("Cable")[0]!.quantity).toBeCloseTo(plan.runs[0]!.cutLength / 1000, 9);
    expect(of("Flush box")).toEqual([
      { item: "Flush box", size: "2-gang, 35 mm deep", quantity: 1, unit: "each", circuit: null },
    ]);
    expect(of("Grommet")[0]!.quantity).toBe(1);
    const chased = plan.runs[0]!.legs.filter((l) => l.method === "chase");
    const long = chased.reduce((s, l) => s + Math.hypot(...l.path[1]!.map((x, i) => x - l.path[0]![i]!)), 0);
    expect(of("Capping")).toMatchObject([{ size: "12 mm" }]);
    expect(of("Capping")[0]!.quantity).toBeCloseTo(long / 1000, 6);
    expect(of("Clip")[0]!.quantity).toBe(plan.clips.filter((c) => !c.metal).reduce((s, c) => s + c.marks.length, 0));
    expect(of("Consumer unit").length + of("Board").length).toBeLessThanOrEqual(1);
  });
  it("puts no capping over armour, and a metal clip where the way out asks for one", () => {
    const armour = run([leg({ protected: true })], { cable: "swa-3x2.5" });
    expect(takeOff(h, [armour], [], [], []).some((t) => t.item === "Capping")).toBe(false);
    expect(takeOff(h, [run([leg({})])], [], [], []).some((t) => t.item === "Capping")).toBe(true);
    const clip = { run: "c.db.s", leg: 0, marks: [100, 400], pitch: 300, max: 300, reachable: true };
    const items = (metal: boolean) =>
      takeOff(h, [run([leg({})])], [], [{ ...clip, metal }], []).filter((t) => /lip$/.test(t.item));
    expect(items(true)).toMatchObject([{ item: "Metal clip", quantity: 2 }]);
    expect(items(false)).toMatchObject([{ item: "Clip", quantity: 2 }]);
  });
  it("through a wall a drill as large as it takes; through a joist never more than the joist allows", () => {
    const pass = leg({
      surface: { kind: "through", id: "a2" },
      method: "through-wall",
      path: [
        [4000, 1500, 2325],
        [4100, 1500, 2325],
      ],
    });
    const cables = (n: number, cable: string, legs: PinnedLeg[]) =>
      holesOf(
        h,
        Array.from({ length: n }, (_, i) => laid(legs, { id: `r${i}`, cable })),
      );
    // Six of 10 mm² twin and earth, 13.9 × 7.3 each, want more than the largest auger; a wall takes the next core drill.
    const [wall] = cables(6, "te-10", [pass]);
    expect(wall).toMatchObject({ in: { kind: "wall", wall: "a2" }, at: 1500, fromTop: 75, plated: false });
    expect([28, 32, 38, 52]).toContain(wall!.diameter);
    expect(wall!.id).toBe("a2.1500.75");
    expect(cables(1, "te-2.5", [pass])[0]!.diameter).toBe(16);
    // In joists of 195 a quarter is 48.75, so the largest bit of 25; in joists of 75 it is 18.75, so 18, even where 18 is too small.
    expect(cables(6, "te-10", [through])[0]!.diameter).toBe(25);
    const slim = layHouse({ ...job, decks: [{ ...job.decks[0]!, joists: { ...job.decks[0]!.joists, depth: 75 } }] });
    const low = { ...through, path: through.path.map(([x, y]) => [x, y, 2437.5] as [number, number, number]) };
    const many = Array.from({ length: 6 }, (_, i) => laid([low], { id: `r${i}`, cable: "te-10" }));
    expect(holesOf(slim, many)[0]!.diameter).toBe(18);
  });
  it("boxes are of the point's kind of mounting and as wide as the point", () => {
    const boxes = (more: object) =>
      takeOff(
        layHouse(house({ points: job.points.map((p) => (p.id === "s" ? { ...p, ...more } : p)) })),
        [run([leg({})])],
        [],
        [],
        [],
      )
        .filter((t) => / box$/.test(t.item))
        .map((t) => [t.item, t.size, t.circuit]);
    expect(boxes({})).toEqual([["Flush box", "2-gang, 35 mm deep", "c"]]);
    expect(boxes({ mount: "surface", gang: 1, boxDepth: 40 })).toEqual([["Surface box", "1-gang, 40 mm deep", "c"]]);
    // A kind that is made in one width only has a 1-gang box, whatever its gangs say.
    expect(boxes({ kind: "fused-unit", gang: 2, boxDepth: 25 })).toEqual([["Flush box", "1-gang, 25 mm deep", "c"]]);
  });
  it("surface boxes take no grommet; glands go on armour, one each end", () => {
    const surface = layHouse(house({ points: job.points.map((p) => (p.id === "s" ? { ...p, mount: "surface" } : p)) }));
    const ends: End[] = [{ point: "s", run: "c.db.s", entry: "top", measures: {} }];
    expect(takeOff(surface, [run([leg({})])], [], [], ends).some((t) => t.item === "Grommet")).toBe(false);
    expect(takeOff(h, [run([leg({})])], [], [], ends).find((t) => t.item === "Grommet")!.quantity).toBe(1);
    const armour = run([leg({})], { cable: "swa-3x2.5" });
    const glands = takeOff(h, [armour], [], [], [...ends, { ...ends[0]!, point: "db" }]).filter((t) =>
      /Gland/.test(t.item),
    );
    const sleeves = takeOff(h, [armour], [], [], [...ends, { ...ends[0]!, point: "db" }]).filter((t) =>
      /sleeve/.test(t.item),
    );
    expect(sleeves.map((t) => [t.size, t.quantity])).toEqual([
      ["blue over grey", 2],
      ["green-and-yellow over black", 2],
    ]);
    expect(glands).toMatchObject([{ size: "20S, M20, indoor type", quantity: 2 }]);
  });
  it("armour of which no gland is known asks the maker; the board's spare is plugged where the school wants one", () => {
    const ends: End[] = [
      { point: "s", run: "c.db.s", entry: "top", measures: {} },
      { point: "db", run: "c.db.s", entry: "top", measures: {} },
    ];
    const armour = run([leg({})], { cable: "swa-3x2.5" });
    const schooled = (spareGland: "spare" | "none"): House =>
      layHouse(house({ settings: { ...job.settings, schools: { ...job.settings.schools, spareGland } } }));
    const plugs = (h2: House, of: End[]) => takeOff(h2, [armour], [], [], of).filter((t) => /Plug/.test(t.item));
    expect(plugs(schooled("spare"), ends)).toMatchObject([{ size: "M20", quantity: 1, circuit: "c" }]);
    expect(plugs(schooled("spare"), [ends[0]!])).toEqual([]);
    expect(plugs(schooled("none"), ends)).toEqual([]);
    const bare = { ...h, catalogue: { ...h.catalogue, glands: [] } };
    expect(takeOff(bare, [armour], [], [], ends).find((t) => /Gland/.test(t.item))).toMatchObject({
      size: "ask the maker",
      quantity: 2,
    });
    expect(takeOff(h, [run([leg({})])], [], [], ends).some((t) => /Gland|Plug/.test(t.item))).toBe(false);
  });
  it("a slanting leg meets a joist where the line says: a quarter across is a quarter along and a quarter up", () => {
    // Joists at 300, 700, 1 100 …: from x 600 to 1 000 the one at 700 is a quarter of the way.
    const slant = {
      ...through,
      path: [
        [600, 1000, 2480],
        [1000, 1400, 2520],
      ] as PinnedLeg["path"],
    };
    const [o, ...more] = holesOf(h, [laid([slant])]);
    expect(more).toEqual([]);
    expect([o!.in.joist, o!.at, o!.fromTop]).toEqual([2, 1100, 105]);
    expect(o!.centre).toEqual([700, 1100, 2490]);
  });
  it("a leg that only touches a joist's line is bored there; one that lies along it, beyond it or on another deck is not", () => {
    const from = (x0: number, x1: number, y = 1000, z = 2497.5) => ({
      ...through,
      path: [
        [x0, y, z],
        [x1, y, z],
      ] as PinnedLeg["path"],
    });
    expect(holesOf(h, [laid([from(500, 700)])]).map((o) => o.in.joist)).toEqual([2]);
    expect(holesOf(h, [laid([from(700, 900)])]).map((o) => o.in.joist)).toEqual([2]);
    expect(holesOf(h, [laid([from(500, 690)])])).toEqual([]);
    expect(holesOf(h, [laid([from(710, 1090)])])).toEqual([]);
    expect(
      holesOf(h, [
        laid([
          {
            ...from(0, 0),
            path: [
              [700, 500, 2497.5],
              [700, 900, 2497.5],
            ],
          },
        ]),
      ]),
    ).toEqual([]);
    expect(holesOf(h, [laid([from(500, 900, 1000, 2400)])])).toEqual([]);
    expect(holesOf(h, [laid([from(500, 900, 1000, 2595)])])).toEqual([]);
    expect(holesOf(h, [laid([{ ...from(500, 900), surface: { kind: "deck", id: "nowhere" } }])])).toEqual([]);
  });
  it("sums what each wall takes, by room, wall and method, circuits by label", () => {
    const named = layHouse(
      house({
        circuits: [
          { ...job.circuits[0]!, id: "c", label: "C2" },
          { ...job.circuits[0]!, id: "e", label: "C1", points: [], way: 2 },
        ],
      }),
    );
    const up = (wall: string, method: PinnedLeg["method"], long: number) =>
      leg({
        surface: { kind: "wall", id: wall },
        method,
        path: [
          [0, 0, 0],
          [0, 0, long],
        ],
      });
    const plan = {
      ...makePlan(job),
      runs: [
        run([up("b1", "chase", 500), up("a2", "surface", 300), up("a1", "surface", 100)]),
        run([up("a1", "surface", 200), up("a1", "chase", 50), through], { circuit: "e", id: "e.db.s" }),
      ],
    };
    expect(containmentOnWalls(named, plan)).toEqual([
      { wall: "a1", room: "A", number: 2, method: "chase", circuits: ["e"], legs: 1, length: 50 },
      { wall: "a1", room: "A", number: 2, method: "surface", circuits: ["e", "c"], legs: 2, length: 300 },
      { wall: "a2", room: "A", number: 3, method: "surface", circuits: ["c"], legs: 1, length: 300 },
      { wall: "b1", room: "B", number: 2, method: "chase", circuits: ["c"], legs: 1, length: 500 },
    ]);
  });
});
