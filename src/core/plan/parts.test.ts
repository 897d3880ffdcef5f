import { describe, expect, it } from "vitest";
import { type House, layHouse } from "../house/house";
import { isHeavy } from "../house/deck";
import { type Job, type PinnedLeg, jobSchema } from "../job/model";
import type { LaidRun } from "../routing/lay";
import { cableOf } from "../rules/catalogue";
import { clipAtPitch } from "../trades/fixings/clips";
import { checkPlan } from "./checker";
import { clipsOf, orientationOf } from "./clips";
import { containmentOnWalls } from "./containment-on-walls";
import { endOf, lengthsOf } from "./ends";
import { holesOf } from "./holes";
import { makePlan } from "./plan";
import { takeOff, totals } from "./take-off";
import type { End, Run } from "../laid/laid";

const box = (x: number) => [
  { x, y: 0 },
  { x, y: 3000 },
  { x: x + 4000, y: 3000 },
  { x: x + 4000, y: 0 },
];
const te = cableOf("te-2.5")!;

/** Two rooms side by side with a wall of 100 between, the right one a hall, one deck over both. */
const house = (more: object = {}): Job =>
  jobSchema.parse({
    id: "j",
    name: "J",
    storeys: [{ id: "g", name: "G", level: 0, height: 2400 }],
    rooms: [
      { id: "a", storey: "g", name: "A", kind: "living", height: 2400, outline: box(0) },
      { id: "b", storey: "g", name: "B", kind: "hall", height: 2400, outline: box(4100) },
    ],
    walls: ["a", "b"].flatMap((room) =>
      [0, 1, 2, 3].map((index) => ({
        id: `${room}${index}`,
        room,
        index,
        thickness: (room === "a" && index === 2) || (room === "b" && index === 0) ? 100 : 300,
      })),
    ),
    openings: [],
    fixtures: [],
    decks: [
      {
        id: "d",
        name: "Deck",
        kind: "solid-joists",
        outline: [
          { x: 0, y: 0 },
          { x: 0, y: 3000 },
          { x: 8100, y: 3000 },
          { x: 8100, y: 0 },
        ],
        underside: 2400,
        joists: { direction: "north-south", depth: 195, breadth: 47, spacing: 400, first: 300, bearings: [] },
      },
    ],
    points: [
      { id: "db", label: "DB1", kind: "board", ways: 6, place: { on: "wall", wall: "a0", u: 1500, v: 1400 } },
      { id: "s", label: "S1", kind: "socket", gang: 2, place: { on: "wall", wall: "a1", u: 1000, v: 450 } },
    ],
    circuits: [
      {
        id: "c",
        label: "C1",
        name: "C",
        kind: "radial",
        device: { rating: 20 },
        rcd: 30,
        cable: "te-2.5",
        way: 1,
        points: ["s"],
      },
    ],
    pins: [],
    drums: [],
    ...more,
  });
const leg = (more: Partial<PinnedLeg>): PinnedLeg => ({
  surface: { kind: "wall", id: "a1" },
  method: "chase",
  path: [
    [1000, 3000, 450],
    [1000, 3000, 2400],
  ],
  depth: 15,
  protected: false,
  ...more,
});
const laid = (legs: PinnedLeg[], more: Partial<LaidRun> = {}): LaidRun => ({
  id: "c.db.s",
  number: 1,
  circuit: "c",
  from: "db",
  to: "s",
  cable: "te-2.5",
  legs,
  pin: null,
  held: null,
  bores: [],
  whole: 0,
  ...more,
});
const run = (legs: PinnedLeg[], more: Partial<Run> = {}): Run => {
  const { held: _, bores: __, whole: ___, ...rest } = laid(legs);
  return { ...rest, pathLength: 0, cutLength: 10_000, method: "chase", grouped: 1, held: false, ...more };
};

describe("clips", () => {
  const slope = (degrees: number) =>
    orientationOf({
      path: [
        [0, 0, 0],
        [Math.cos((degrees * Math.PI) / 180), 0, Math.sin((degrees * Math.PI) / 180)],
      ],
    });
  it("a slope counts as horizontal up to 60° from level, as vertical beyond", () => {
    expect([0, 45, 46, 60].map(slope)).toEqual(Array(4).fill("horizontal"));
    expect([60.1, 75, 90].map(slope)).toEqual(Array(3).fill("vertical"));
  });
  it("at the tool's pitch the last one sits at the end too, its gap the shorter", () => {
    expect(clipAtPitch(1000, 300)).toEqual({ count: 4, pitch: 300, marks: [100, 400, 700, 900] });
    expect(clipAtPitch(800, 300)).toEqual({ count: 3, pitch: 300, marks: [100, 400, 700] });
    expect(clipAtPitch(200, 300)).toEqual({ count: 1, pitch: 0, marks: [100] });
  });
  const h = layHouse(house());
  it("go on chased, surface and joist-side cable, and on nothing that rests in a hole, a bay or a void", () => {
    for (const [method, want] of [
      ["chase", true],
      ["surface", true],
      ["along-joist", true],
      ["stud-void", false],
      ["through-joists", false],
      ["across-bay", false],
      ["rise", false],
      ["through-wall", false],
    ] as const)
      expect(clipsOf(h, te, "r", 0, leg({ method })) !== null).toBe(want);
  });
  it("stay reachable on the surface only, by the table there: 300 level, 400 plumb for 10.1 across", () => {
    const level = leg({
      method: "surface",
      path: [
        [500, 3000, 450],
        [2500, 3000, 450],
      ],
    });
    expect(clipsOf(h, te, "r", 0, level)).toMatchObject({ reachable: true, max: 300, metal: false });
    expect(clipsOf(h, te, "r", 0, leg({ method: "surface" }))).toMatchObject({ reachable: true, max: 400 });
    expect(clipsOf(h, te, "r", 0, leg({}))).toMatchObject({ reachable: false, max: 450 });
  });
  it("by the schools: on the table out of reach, at the pitch of the tool, metal over the way out", () => {
    const with_ = (settings: object) => layHouse(house({ settings }));
    expect(clipsOf(with_({ schools: { clipOutOfReach: "table" } }), te, "r", 0, leg({}))!.max).toBe(400);
    const tool = clipsOf(with_({ schools: { clipPitch: "tool" }, clipToolPitch: 200 }), te, "r", 0, leg({}))!;
    expect(tool.pitch).toBe(200);
    const inHall = leg({ surface: { kind: "wall", id: "b1" }, method: "surface" });
    expect(clipsOf(h, te, "r", 0, inHall)!.metal).toBe(true);
    expect(clipsOf(h, te, "r", 0, { ...inHall, method: "chase" })!.metal).toBe(false);
    expect(clipsOf(with_({ schools: { hallCeiling: "ordinary" } }), te, "r", 0, inHall)!.metal).toBe(false);
    const over = (x: number) =>
      leg({
        surface: { kind: "deck", id: "d" },
        method: "along-joist",
        path: [
          [x, 500, 2500],
          [x, 2500, 2500],
        ],
      });
    expect(clipsOf(h, te, "r", 0, over(5000))!.metal).toBe(true);
    expect(clipsOf(h, te, "r", 0, over(2000))!.metal).toBe(false);
  });
});

describe("ends and lengths", () => {
  const h = layHouse(house());
  it("come in at the side they come from, with the tail across the box and past it", () => {
    const to = (path: PinnedLeg["path"]) => endOf(h, laid([leg({ path })]), "s", false);
    // A twin socket: the box is 130 × 70; 60 past from a side, 70 from above or below.
    expect(
      to([
        [1000, 3000, 2400],
        [1000, 3000, 450],
      ]),
    ).toMatchObject({ entry: "top", measures: { tail: 140, past: 70, fromMiddle: 105 } });
    expect(
      to([
        [1000, 3000, 0],
        [1000, 3000, 450],
      ]),
    ).toMatchObject({ entry: "bottom" });
    expect(
      to([
        [0, 3000, 450],
        [1000, 3000, 450],
      ]),
    ).toMatchObject({ entry: "left", measures: { tail: 190, past: 60, fromMiddle: 125 } });
    expect(
      to([
        [2000, 3000, 450],
        [1000, 3000, 450],
      ]),
    ).toMatchObject({ entry: "right" });
    expect(endOf(h, laid([leg({})]), "db", true)).toMatchObject({ measures: { tail: 800, fromMiddle: 800 } });
  });
  it("cut = (path + both tails + spare at both ends) × (1 + waste): by hand 1 950 + 300 + 200 = 2 450, × 1.03", () => {
    const ends: End[] = [
      { point: "db", run: "r", entry: "top", measures: { fromMiddle: 200 } },
      { point: "s", run: "r", entry: "top", measures: { fromMiddle: 100 } },
    ];
    const l = lengthsOf(h, laid([leg({})]), ends);
    expect(l.path).toBe(1950);
    expect(l.cut).toBeCloseTo(2450 * 1.03, 9);
    const none = layHouse(house({ settings: { slack: 0, wastePercent: 0 } }));
    expect(lengthsOf(none, laid([leg({})]), ends).cut).toBe(2250);
  });
  it("counts the gap from one leg to the next", () => {
    const legs = [
      leg({}),
      leg({
        path: [
          [1000, 3000, 2430],
          [1000, 3000, 2500],
        ],
      }),
    ];
    expect(lengthsOf(h, laid(legs), []).path).toBe(1950 + 30 + 70);
  });
});

describe("what the checker sees of a leg", () => {
  const rules = (job: Job, r: Run): string[] =>
    checkPlan(layHouse(job), { runs: [r], holes: [], clips: [] }).map((f) => `${f.rule}${f.case ? ` ${f.case}` : ""}`);
  const noRcd = house({ circuits: [{ ...house().circuits[0]!, rcd: null }] });
  it("a cable less than 50 from either face of its wall wants 30 mA; surface, protected and deep cable does not", () => {
    const has = (l: PinnedLeg) => rules(noRcd, run([l])).includes("zone.rcd");
    expect(has(leg({ depth: 49.9 }))).toBe(true);
    expect(has(leg({ depth: 50 }))).toBe(false);
    // The far face of the wall of 100 between the rooms.
    const thin = leg({
      surface: { kind: "wall", id: "a2" },
      path: [
        [4000, 1500, 450],
        [4000, 1500, 2400],
      ],
    });
    expect(has({ ...thin, depth: 50 })).toBe(false);
    expect(has({ ...thin, depth: 51 })).toBe(true);
    expect(has(leg({ method: "surface", depth: 0 }))).toBe(false);
    expect(has(leg({ protected: true }))).toBe(false);
    expect(rules(house(), run([leg({})]))).not.toContain("zone.rcd");
  });
  it("at any depth in a partition with metal parts", () => {
    const metal = {
      ...noRcd,
      walls: noRcd.walls.map((w) => (w.id === "a1" ? { ...w, build: "metal-stud" as const } : w)),
    };
    expect(rules(metal, run([leg({ depth: 150 })]))).toContain("zone.rcd");
  });
  it("a leg across the joists at a slant is askew; along or square it is not", () => {
    const inDeck = (path: PinnedLeg["path"]) => leg({ surface: { kind: "deck", id: "d" }, method: "across-bay", path });
    const has = (path: PinnedLeg["path"]) => rules(house(), run([inDeck(path)])).includes("route.off-surface askew");
    expect(
      has([
        [400, 500, 2500],
        [600, 700, 2500],
      ]),
    ).toBe(true);
    expect(
      has([
        [400, 500, 2500],
        [400, 1700, 2500],
      ]),
    ).toBe(false);
    expect(
      has([
        [400, 500, 2500],
        [600, 500, 2500],
      ]),
    ).toBe(false);
    expect(
      has([
        [400, 500, 2500],
        [401, 1700, 2500],
      ]),
    ).toBe(false);
  });
  it("a leg that leaves its deck in plan or in height", () => {
    const inDeck = (path: PinnedLeg["path"]) =>
      leg({ surface: { kind: "deck", id: "d" }, method: "along-joist", path });
    const has = (path: PinnedLeg["path"]) =>
      rules(house(), run([inDeck(path)])).includes("route.off-surface leaves-deck");
    expect(
      has([
        [500, 500, 2500],
        [500, 3300, 2500],
      ]),
    ).toBe(false);
    expect(
      has([
        [500, 500, 2500],
        [500, 3301, 2500],
      ]),
    ).toBe(true);
    expect(
      has([
        [500, 500, 2299],
        [500, 900, 2500],
      ]),
    ).toBe(true);
  });
});

describe("joists that carry more than a floor", () => {
  const at = (kind: string, x: number): boolean => {
    const outline = [
      { x, y: 1000 },
      { x: x + 100, y: 1000 },
      { x: x + 100, y: 1200 },
      { x, y: 1200 },
    ];
    const job = house();
    const l = layHouse({
      ...job,
      decks: [{ ...job.decks[0]!, obstacles: [{ id: "o", kind: kind as "steel", name: "", outline }] }],
    }).decks[0]!;
    return isHeavy(l, l.joists[1]!);
  };
  it("are those that a steel or trimmer touches, and those the user names", () => {
    // Joist 2 lies at x 700.
    expect(at("steel", 650)).toBe(true);
    expect(at("trimmer", 650)).toBe(true);
    expect(at("chimney", 650)).toBe(false);
    expect(at("stair", 650)).toBe(false);
    expect(at("steel", 800)).toBe(false);
    const job = house();
    const l = layHouse({ ...job, decks: [{ ...job.decks[0]!, heavyJoists: [2] }] }).decks[0]!;
    expect(l.joists.slice(0, 3).map((j) => isHeavy(l, j))).toEqual([false, true, false]);
  });
});

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
  it("surface boxes take no grommet; glands go on armour, one each end", () => {
    const surface = layHouse(house({ points: job.points.map((p) => (p.id === "s" ? { ...p, mount: "surface" } : p)) }));
    const ends: End[] = [{ point: "s", run: "c.db.s", entry: "top", measures: {} }];
    expect(takeOff(surface, [run([leg({})])], [], [], ends).some((t) => t.item === "Grommet")).toBe(false);
    expect(takeOff(h, [run([leg({})])], [], [], ends).find((t) => t.item === "Grommet")!.quantity).toBe(1);
    const armour = run([leg({})], { cable: "swa-3x2.5" });
    const glands = takeOff(h, [armour], [], [], [...ends, { ...ends[0]!, point: "db" }]).filter((t) =>
      /Gland/.test(t.item),
    );
    expect(glands).toMatchObject([{ size: "20S, M20", quantity: 2 }]);
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
