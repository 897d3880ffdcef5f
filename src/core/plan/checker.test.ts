import { describe, expect, it } from "vitest";
import {
  across,
  checked,
  clips,
  corners,
  deck,
  deckLeg,
  hole,
  house,
  onW1,
  run,
  socket,
  wallRow,
} from "../book/limits/by-hand.fixture";
import type { Fact } from "../rules/fact";

/** Facts of one rule, as its case and what of its place is of interest. */
const of = (facts: readonly Fact[], rule: string): (string | undefined)[] =>
  facts.filter((f) => f.rule === rule).map((f) => f.case);
const level = (v: number, u0 = 1000, u1 = 3000) => run([{ path: onW1([u0, v], [u1, v]) }]);

describe("where a leg lies", () => {
  const off = (path: [number, number, number][], more = {}) =>
    of(checked(house(more), [run([{ path }])]), "route.off-surface");
  it("a pencil's width off its wall is on it; more is not, on any side", () => {
    const at = (x0: number, x1: number, y: number, z: number): [number, number, number][] => [
      [x0, y, z],
      [x1, y, z],
    ];
    expect([off(at(0, 4000, 3000, 1200)), off(at(-1, 4001, 3000, 1200)), off(at(0, 100, 3001, 1200))]).toEqual([
      [],
      [],
      [],
    ]);
    expect(off(at(-1.1, 100, 3000, 1200))).toEqual(["leaves-wall"]);
    expect(off(at(100, 4001.1, 3000, 1200))).toEqual(["leaves-wall"]);
    expect(off(at(100, 200, 3001.1, 1200))).toEqual(["leaves-wall"]);
    expect(off(at(100, 200, 2998.9, 1200))).toEqual(["leaves-wall"]);
    expect([off(at(100, 200, 3000, -1)), off(at(100, 200, 3000, 2401))]).toEqual([[], []]);
    expect(off(at(100, 200, 3000, -1.1))).toEqual(["leaves-wall"]);
    expect(off(at(100, 200, 3000, 2401.1))).toEqual(["leaves-wall"]);
  });
  it("a wall or deck that is gone is told", () => {
    const gone = run([{ surface: { kind: "wall", id: "none" }, path: onW1([0, 0], [1, 1]) }]);
    expect(of(checked(house(), [gone]), "route.off-surface")).toEqual(["wall-gone"]);
    const deckGone = run([{ ...deckLeg(across(500, 900)), surface: { kind: "deck", id: "none" } }]);
    expect(of(checked(house(), [deckGone]), "route.off-surface")).toEqual(["deck-gone"]);
  });
  it("a rise goes down through the void over a ceiling that hangs up to 450 under its deck", () => {
    const low = (z: number): unknown[] => {
      const path: [number, number, number][] = [
        [500, 0, z],
        [500, 0, 2500],
      ];
      return of(checked(house(), [run([deckLeg(path, "rise")])]), "route.off-surface");
    };
    expect([low(1950), low(1949)]).toEqual([[], ["leaves-deck"]]);
  });
  it("in a deck: at most 300 beyond its edge, 100 under it, and a floor over it; level or along", () => {
    const lies = (path: [number, number, number][]): unknown[] =>
      of(
        checked(house({ decks: [deck({ boards: { thickness: 22 } })] }), [run([deckLeg(path, "along-joist")])]),
        "route.off-surface",
      );
    expect(
      lies([
        [-300, 500, 2500],
        [1000, 500, 2500],
      ]),
    ).toEqual([]);
    expect(
      lies([
        [-301, 500, 2500],
        [1000, 500, 2500],
      ]),
    ).toEqual(["leaves-deck"]);
    expect(
      lies([
        [500, 500, 2300],
        [1000, 500, 2300],
      ]),
    ).toEqual([]);
    expect(
      lies([
        [500, 500, 2299],
        [1000, 500, 2300],
      ]),
    ).toEqual(["leaves-deck"]);
    // Top 2 600, boards 22, and 101 for what lies on them.
    expect(
      lies([
        [500, 500, 2723],
        [1000, 500, 2723],
      ]),
    ).toEqual([]);
    expect(
      lies([
        [500, 500, 2724],
        [1000, 500, 2723],
      ]),
    ).toEqual(["leaves-deck"]);
    expect(
      lies([
        [500, 500, 2500],
        [1000, 501, 2500],
      ]),
    ).toEqual([]);
    expect(
      lies([
        [500, 500, 2500],
        [1000, 501.1, 2500],
      ]),
    ).toEqual(["askew"]);
  });
  it("boxes it does not serve, and parts kept free, are told where it crosses them; touching is not crossing", () => {
    const other = socket("s2", 2000);
    const board = {
      id: "db",
      label: "DB1",
      kind: "board",
      ways: 8,
      place: { on: "wall", wall: "w3", u: 2000, v: 1400 },
    };
    const job = house({ points: [board, socket("s1", 1000), other] });
    const through = (v: number): number =>
      checked(job, [level(v)]).filter((f) => f.rule === "route.through-box").length;
    // A plate of 86 round 450: from 407 to 493. The run's own socket is no obstacle.
    expect([through(450), through(492), through(493), through(407), through(406)]).toEqual([1, 1, 0, 0, 0]);
    const free = house({
      forbidden: [
        { id: "k", name: "Cupboard", place: { on: "wall", wall: "w1", u: 1500, v: 300, width: 400, height: 300 } },
      ],
    });
    const barred = (v: number) =>
      checked(free, [level(v)])
        .filter((f) => f.rule === "route.forbidden")
        .map((f) => f.of);
    expect([barred(300), barred(600)]).toEqual([[], []]);
    expect(barred(450)).toEqual([{ name: "Cupboard" }]);
    const elsewhere = house({
      forbidden: [{ id: "k", name: "", place: { on: "wall", wall: "w2", u: 1500, v: 300, width: 400, height: 300 } }],
    });
    expect(of(checked(elsewhere, [level(450)]), "route.forbidden")).toEqual([]);
  });
});

describe("how deep a chase goes", () => {
  const told = (way: "level" | "plumb", wall: object, leg: object = {}) =>
    checked(house({ walls: [0, 1, 2, 3].map((i) => wallRow(i, i === 1 ? wall : {})) }), [
      run([{ path: way === "level" ? onW1([1000, 450], [3000, 450]) : onW1([1000, 450], [1000, 2000]), ...leg }]),
    ])
      .filter((f) => f.rule === "chase.depth")
      .map((f) => [f.case, f.measured, f.limit]);
  it("a sixth of the leaf level, a third plumb", () => {
    expect([told("level", { thickness: 90 }), told("plumb", { thickness: 45 })]).toEqual([[], []]);
    expect(told("level", { thickness: 75 })).toEqual([["level", 15, 12.5]]);
    expect(told("plumb", { thickness: 75 })).toEqual([]);
    expect(told("plumb", { thickness: 42 })).toEqual([["plumb", 15, 14]]);
    expect(told("level", { thickness: 75 }, { depth: 12.5 })).toEqual([]);
  });
  it("of a cavity wall it is the leaf; boards and what lies on the face are not chased", () => {
    expect(told("level", { thickness: 300, leaf: 75 })).toEqual([["level", 15, 12.5]]);
    expect(told("level", { thickness: 300, leaf: 90 })).toEqual([]);
    expect(told("level", { thickness: 75, build: "dry-lined" })).toEqual([]);
    expect(told("level", { thickness: 75 }, { method: "surface", depth: 0 })).toEqual([]);
  });
});

describe("how far a chase goes level", () => {
  const onW2 = (...at: [u: number, v: number][]) => at.map(([u, v]): [number, number, number] => [4000, 3000 - u, v]);
  const w2 = { surface: { kind: "wall" as const, id: "w2" } };
  const told = (legs: Parameters<typeof run>[0], more: Parameters<typeof run>[1] = {}, job = house()) =>
    checked(job, [run(legs, more)])
      .filter((f) => f.rule === "chase.level")
      .map((f) => [f.severity, f.case, f.where?.wall, f.measured, f.fix?.[0]?.id]);
  it("counts on round a corner, and afresh after a drop", () => {
    const level = { path: onW1([3000, 450], [4000, 450]) };
    expect(told([level, { ...w2, path: onW2([0, 450], [500, 450]) }])).toEqual([]);
    expect(told([level, { ...w2, path: onW2([0, 450], [510, 450]) }])).toEqual([
      ["note", "long", "w1", 1510, undefined],
    ]);
    expect(told([{ path: onW1([2000, 450], [3000, 450], [3000, 900], [4000, 900]) }])).toEqual([]);
  });
  it("is the user's to answer for where it is pinned, and let go of", () => {
    const long = [{ path: onW1([1000, 450], [3600, 450]) }];
    expect(told(long, { pin: "p" })).toEqual([["warn", "long", "w1", 2600, "p"]]);
    expect(told(long, { held: true })).toEqual([]);
  });
  it("is no matter in boards, on the surface, or in joists", () => {
    const path = onW1([1000, 450], [3600, 450]);
    expect(told([{ path, method: "surface", depth: 0 }])).toEqual([]);
    const lined = house({ walls: [0, 1, 2, 3].map((i) => wallRow(i, i === 1 ? { build: "dry-lined" } : {})) });
    expect(told([{ path }], {}, lined)).toEqual([]);
  });
  it("is shorter in a room that the run does not serve", () => {
    const two = house({
      rooms: [
        { id: "r", storey: "g", name: "R", kind: "living", height: 2400, outline: corners },
        {
          id: "n",
          storey: "g",
          name: "N",
          kind: "hall",
          height: 2400,
          outline: corners.map((c) => ({ ...c, x: c.x + 4300 })),
        },
      ],
      walls: [
        ...[0, 1, 2, 3].map((i) => wallRow(i)),
        ...[0, 1, 2, 3].map((i) => wallRow(i, { id: `n${i}`, room: "n" })),
      ],
    });
    const next = (length: number) => ({
      surface: { kind: "wall" as const, id: "n1" },
      path: [
        [4300, 3000, 2350],
        [4300 + length, 3000, 2350],
      ] as [number, number, number][],
    });
    expect(told([next(300)], {}, two)).toEqual([]);
    expect(told([next(301)], {}, two)).toEqual([["note", "elsewhere", "n1", 301, undefined]]);
  });
});

describe("where a run ends and goes on", () => {
  const end = (u: number, v = 450, y = 3000, more = {}) =>
    checked(house(), [
      run(
        [
          {
            surface: { kind: "wall", id: "w3" },
            path: [
              [2000, 0, 1400],
              [2000, 0, 2400],
            ],
          },
          {
            path: [
              [u, y, 2400],
              [u, y, v],
            ],
          },
        ],
        more,
      ),
    ]).filter((f) => f.rule === "route.loose-end");
  it("anywhere on the plate is at the point; beside it is loose, by how far", () => {
    expect([end(1000), end(1043), end(957), end(1000, 493)]).toEqual([[], [], [], []]);
    expect(end(1044)).toMatchObject([{ of: { point: "s1" }, measured: 44, limit: 0, sense: "most", unit: "mm" }]);
    expect(end(1000, 450, 3001)).toEqual([]);
    expect(end(1000, 450, 3001.5)).toHaveLength(1);
    // Work done stays where it was done: that is told elsewhere.
    expect(end(1044, 450, 3000, { held: true })).toEqual([]);
  });
  it("legs may lie a pencil apart, and no more", () => {
    const told = (by: number) =>
      checked(house(), [
        run([{ path: onW1([1000, 450], [1000, 900]) }, { path: onW1([1000 + by, 900], [2000, 900]) }]),
      ]).filter((f) => f.rule === "route.broken");
    expect([told(0), told(1)]).toEqual([[], []]);
    expect(told(1.1)).toHaveLength(1);
    expect(told(200)[0]!.measured).toBe(200);
  });
});

describe("through timber and walls", () => {
  // Joists run east–west at 300, 700, 1 100 …, 47 thick; this leg goes north at x 1 200 across the one at 700.
  const crossing = (holes = [hole()], path = across(500, 900)) =>
    checked(house(), [run([deckLeg(path)])], holes).filter((f) => f.rule === "hole.missing");
  it("every joist it crosses has its hole there: on its joist, for this run, within a pencil and a half", () => {
    expect(crossing()).toEqual([]);
    expect(crossing([])).toMatchObject([{ case: "joist", where: { joist: 2, at: 1200 } }]);
    expect(crossing([hole({ in: { kind: "joist", deck: "d", joist: 3, span: 1 } })])).toHaveLength(1);
    expect(crossing([hole({ in: { kind: "joist", deck: "other", joist: 2, span: 1 } })])).toHaveLength(1);
    expect(crossing([hole({ runs: ["another"] })])).toHaveLength(1);
    expect(crossing([hole({ centre: [1201.5, 700, 2500] })])).toEqual([]);
    expect(crossing([hole({ centre: [1201.6, 700, 2500] })])).toHaveLength(1);
    expect(crossing([hole({ centre: [1200, 700, 2501.6] })])).toHaveLength(1);
    expect(crossing([], across(500, 1300)).map((f) => f.where!.joist)).toEqual([2, 3]);
    // Under the joists there is nothing to drill.
    expect(crossing([], across(500, 900, 1200, 2400))).toEqual([]);
  });
  it("a leg that ends in a joist's timber, or lies along inside it, is told", () => {
    const inside = (path: [number, number, number][], method: "through-joists" | "along-joist" = "along-joist") =>
      checked(house(), [run([deckLeg(path, method)])])
        .filter((f) => f.rule === "timber.in-joist")
        .map((f) => f.where!.joist);
    expect(inside(across(500, 690))).toEqual([2]);
    expect(inside(across(500, 676))).toEqual([]);
    expect(
      inside([
        [500, 700, 2500],
        [1500, 700, 2500],
      ]),
    ).toEqual([2]);
    expect(
      inside([
        [500, 723, 2500],
        [1500, 723, 2500],
      ]),
    ).toEqual([2]);
    expect(
      inside([
        [500, 724, 2500],
        [1500, 724, 2500],
      ]),
    ).toEqual([]);
    // On the underside of a joist a tail lies on its face.
    expect(
      inside([
        [500, 700, 2400],
        [1500, 700, 2400],
      ]),
    ).toEqual([]);
  });
  it("an old cut noted on a joist or span that is not there is told, and judged by no other rule", () => {
    const told = (more: object) =>
      checked(
        house({
          decks: [
            deck({
              existingCuts: [{ id: "o", kind: "hole", joist: 2, at: 1400, diameter: 20, fromTop: 100, ...more }],
            }),
          ],
        }),
        [],
      ).map((f) => [f.rule, f.case, f.subject.id]);
    expect(told({})).toEqual([]);
    expect(told({ joist: 99 })).toEqual([["timber.cut-place", "joist", "o"]]);
    expect(told({ span: 2 })).toEqual([["timber.cut-place", "span", "o"]]);
    expect(told({ at: 6000 })).toEqual([["timber.cut-place", "beyond", "o"]]);
  });
  it("engineered joists are crossed only where their maker allows that hole", () => {
    const engineered = (makerAllows: object[]) =>
      of(
        checked(
          house({ decks: [deck({ kind: "engineered", makerAllows })] }),
          [run([deckLeg(across(500, 900))])],
          [hole()],
        ),
        "timber.engineered",
      ).length;
    expect(engineered([])).toBeGreaterThan(0);
    expect(engineered([{ from: 1100, to: 1300, most: 25 }])).toBe(0);
    expect(engineered([{ from: 1100, to: 1300, most: 19 }])).toBeGreaterThan(0);
    expect(engineered([{ from: 1201, to: 1300, most: 25 }])).toBeGreaterThan(0);
  });
});

describe("clips", () => {
  const surface = run([{ method: "surface", depth: 0, path: onW1([1000, 450], [3000, 450]) }]);
  const told = (marks: number[], more = {}) =>
    checked(house(), [surface], [], clips(marks, more))
      .filter((f) => f.rule.startsWith("clip."))
      .map((f) => [f.rule, f.measured, f.limit]);
  const every = (step: number, from = 100, to = 1900): number[] =>
    Array.from({ length: Math.floor((to - from) / step) + 1 }, (_, i) => from + i * step);
  it("300 apart on the level for cable of 10.1, judged where it can be reached", () => {
    expect(told(every(300))).toEqual([]);
    expect(told([...every(300, 100, 1000), 1301, 1600, 1900])).toEqual([["clip.spacing", 301, 300]]);
    expect(told([...every(300, 100, 1000), 1301, 1600, 1900], { reachable: false })).toEqual([]);
  });
  it("near both ends of the stretch", () => {
    expect(told([150, ...every(300, 400, 1900)])).toEqual([]);
    expect(told([151, ...every(300, 400, 1900)])).toEqual([["clip.end", 151, 150]]);
    expect(told(every(300, 100, 1849)).map((f) => f[0])).toEqual(["clip.end"]);
  });
  it("clips of a run or leg that is not there are nobody's fault", () => {
    expect(told(every(900), { run: "none" })).toEqual([]);
    expect(told(every(900), { leg: 9 })).toEqual([]);
  });
});

describe("protection", () => {
  it("armour and what lies on the surface want no RCD; out of doors flat cable has no place", () => {
    const yard = house({
      rooms: [{ id: "r", storey: "g", name: "Yard", kind: "yard", height: 2400, outline: house().rooms[0]!.outline }],
      walls: [0, 1, 2, 3].map((i) => wallRow(i)),
    });
    expect(of(checked(yard, [level(450)]), "outside.sheath")).toHaveLength(1);
    expect(of(checked(house(), [level(450)]), "outside.sheath")).toEqual([]);
    const armoured = run([{ path: onW1([1000, 450], [3000, 450]), protected: true }], { cable: "swa-3x10" });
    expect(of(checked(yard, [armoured]), "outside.sheath")).toEqual([]);
  });
});
