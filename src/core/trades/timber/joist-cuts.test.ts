import { describe, expect, it } from "vitest";
import { type House, layHouse } from "../../house/house";
import { twoRooms } from "../../house/two-rooms.fixture";
import { type Deck, jobSchema } from "../../job/model";
import type { Hole } from "../../laid/laid";
import { boreMargins, boringOrder, boringTotals, chalkLines } from "./boring";
import { overCut } from "./over-cut";
import { checkStud } from "./stud";

const base = twoRooms();
/** A deck of joists that run north–south over 3 000 clear, 195 deep, with cuts there already. */
const withCuts = (existingCuts: object[], more: Partial<Deck> = {}): House =>
  layHouse(
    jobSchema.parse({
      ...base,
      decks: base.decks.map((d) => ({ ...d, ...more, existingCuts })),
    }),
  );
const old = (id: string, more: object) => ({
  id,
  joist: 2,
  span: 1,
  kind: "hole",
  at: 900,
  diameter: 20,
  fromTop: 97.5,
  ...more,
});
const hole = (joist: number, at: number, more: Partial<Hole> = {}): Hole => ({
  id: `h${joist}-${at}`,
  in: { kind: "joist", deck: base.decks[0]!.id, joist, span: 1 },
  at,
  fromTop: 97.5,
  centre: [joist * 400, at, 2512],
  diameter: 20,
  runs: ["r"],
  plated: false,
  ...more,
});

describe("old cuts", () => {
  const judged = (
    cuts: object[],
    more?: Partial<Deck>,
    span = 1,
    notch: "warranty" | "on-site" = "warranty",
  ): boolean => {
    const l = withCuts(cuts, more).decks[0]!;
    return overCut(l, l.joists[1]!, span, { notch, notchEdge: notch === "warranty" ? "top" : "either" });
  };
  it("within the rules leave the joist for more; past them it is left alone", () => {
    expect(judged([])).toBe(false);
    // 0.25 of 3 000 is 750, 0.4 is 1 200.
    expect(judged([old("a", { at: 750 })])).toBe(false);
    expect(judged([old("a", { at: 749 })])).toBe(true);
    expect(judged([old("a", { at: 1201 })])).toBe(true);
    expect(judged([old("a", { diameter: 49 })])).toBe(true);
    expect(judged([old("a", {}), old("b", { at: 950 })])).toBe(true);
    expect(judged([old("a", {}), old("b", { at: 960 })])).toBe(false);
  });
  it("are judged by the school of the job: 0.15 of 195 is 29.25, an eighth is 24.4; a tenth of 3 000 is 300, 0.07 is 210", () => {
    const sawn = (more: object): object => ({
      ...{ id: "n", joist: 2, span: 1, kind: "notch", at: 450, width: 40, depth: 20, edge: "top" },
      ...more,
    });
    const both = (more: object): boolean[] => [judged([sawn(more)]), judged([sawn(more)], {}, 1, "on-site")];
    expect(both({})).toEqual([false, false]);
    expect(both({ depth: 29 })).toEqual([false, true]);
    expect(both({ depth: 30 })).toEqual([true, true]);
    expect(both({ at: 300 })).toEqual([true, false]);
    expect(both({ edge: "bottom" })).toEqual([true, false]);
  });
  it("what a plate would mend, an edge nearer than 50, does not stop it", () =>
    expect(judged([old("a", { diameter: 45, fromTop: 60 })])).toBe(true));
  it("cuts of another span or joist, and joists without such rules, are no matter", () => {
    expect(judged([old("a", { at: 100 })], {}, 2)).toBe(false);
    expect(judged([old("a", { at: 100, joist: 3 })])).toBe(false);
    expect(judged([old("a", { at: 100 })], { kind: "engineered" })).toBe(false);
  });
});

describe("room to each limit", () => {
  const margins = (o: Hole, holes: Hole[] = [o], cuts: object[] = [], more?: Partial<Deck>) => {
    const l = withCuts(cuts, more).decks[0]!;
    return boreMargins(l, { holes }, o, "warranty").map((m) => [m.measured, m.limit, m.sense]);
  };
  it("of a hole at 900 of 3 000: window 750 to 1 200, bit 48.75, edge 87.5 of 50", () => {
    expect(margins(hole(2, 900))).toEqual([
      [900, 750, "least"],
      [900, 1200, "most"],
      [20, 48.75, "most"],
      [87.5, 50, "least"],
    ]);
    // Measured from the nearer bearing, and from the nearer edge.
    expect(margins(hole(2, 2100, { fromTop: 120 })).map((m) => m[0])).toEqual([900, 900, 20, 65]);
    expect(margins(hole(2, 900, { plated: true }))[3]).toEqual([87.5, 0, "least"]);
  });
  it("to the nearest new hole of the same span, and to each old cut", () => {
    const o = hole(2, 900);
    const others = [hole(2, 1000, { diameter: 25 }), hole(2, 1100), hole(3, 920), o];
    expect(margins(o, others).slice(4)).toEqual([[100, 75, "least"]]);
    const cuts = [
      old("x", { at: 1150, diameter: 30 }),
      { id: "n", joist: 2, span: 1, kind: "notch", at: 400, width: 40, depth: 10, edge: "top" },
    ];
    expect(margins(o, [o], cuts).slice(4)).toEqual([
      [250, 90, "least"],
      [470, 100, "least"],
    ]);
  });
  it("there is none to tell where the joist or the rule is missing", () => {
    expect(margins(hole(99, 900))).toEqual([]);
    expect(margins(hole(2, 900, { in: { kind: "joist", deck: "d", joist: 2, span: 7 } }))).toEqual([]);
    expect(margins(hole(2, 900), [], [], { kind: "engineered" })).toEqual([]);
  });
});

describe("the walk with the drill", () => {
  const h = withCuts([]);
  const holes = [hole(3, 900), hole(1, 900), hole(2, 900), hole(1, 1100), hole(2, 1100), hole(2, 1102)];
  it("holes within a millimetre of one line are one chalk line, from the first joist to the last", () => {
    const lines = chalkLines(h.decks[0]!, { holes });
    expect(lines.map((c) => [c.along, c.joists.map((j) => j.joist)])).toEqual([
      [900, [1, 2, 3]],
      [1100, [1, 2]],
      [1102, [2]],
    ]);
    expect(lines[0]!.marks).toEqual([
      { joist: 1, at: 900 },
      { joist: 3, at: 900 },
    ]);
    expect(lines[0]!.from).toBe(900 - h.decks[0]!.origin);
    expect(chalkLines(h.decks[0]!, { holes: [hole(1, 900), hole(2, 901)] })).toHaveLength(1);
    expect(chalkLines(h.decks[0]!, { holes: [hole(1, 900), hole(2, 901.1)] })).toHaveLength(2);
  });
  it("a line whose holes were found in another order is walked by joist all the same, and another span is another line", () => {
    const skew = [hole(3, 900), hole(2, 900.5), hole(1, 900.9)];
    expect(chalkLines(h.decks[0]!, { holes: skew })[0]).toMatchObject({
      deck: base.decks[0]!.id,
      at: 900,
      span: 1,
      joists: [{ joist: 1 }, { joist: 2 }, { joist: 3 }],
      marks: [
        { joist: 1, at: 900.9 },
        { joist: 3, at: 900 },
      ],
    });
    const id = base.decks[0]!.id;
    const far = hole(2, 900, { in: { kind: "joist", deck: id, joist: 2, span: 2 } });
    const bare = hole(2, 900, { in: { kind: "joist", deck: id, joist: 2 } });
    expect(chalkLines(h.decks[0]!, { holes: [hole(1, 900), far] }).map((c) => c.span)).toEqual([1, 2]);
    expect(chalkLines(h.decks[0]!, { holes: [hole(1, 900), bare] })).toHaveLength(1);
    const other = hole(1, 900, { in: { kind: "joist", deck: "other", joist: 1, span: 1 } });
    expect(chalkLines(h.decks[0]!, { holes: [other] })).toEqual([]);
  });
  it("goes out on one line and back on the next, and counts what each bit does", () => {
    expect(boringOrder(h, { holes }).map((s) => [s.line, s.joist])).toEqual([
      [1, 1],
      [1, 2],
      [1, 3],
      [2, 2],
      [2, 1],
      [3, 2],
    ]);
    const wall = hole(1, 0, { in: { kind: "wall", wall: "w" }, diameter: 16 });
    const stud = hole(1, 600, { in: { kind: "stud", wall: "w", part: "stud", stud: 2 }, diameter: 16 });
    expect(boringTotals({ holes: [...holes, wall, stud, hole(5, 5, { diameter: 16 })] })).toEqual([
      { diameter: 16, joists: 1, studs: 1, walls: 1 },
      { diameter: 20, joists: 6, studs: 0, walls: 0 },
    ]);
  });
});

describe("a stud", () => {
  it("of 89: a hole of 22.25 at 44.5, give or take 5, 50 from both faces never", () => {
    expect(checkStud(89, 22.25, 44.5, true)).toEqual({ maxDiameter: 22.25, centre: 44.5, cover: 33.375, facts: [] });
    expect(checkStud(89, 22.3, 44.5, true).facts).toMatchObject([
      { rule: "timber.stud", case: "size", measured: 22.3, limit: 22.25, sense: "most", unit: "mm", of: { depth: 89 } },
    ]);
    expect(checkStud(89, 20, 49.6, true).facts).toMatchObject([{ case: "axis", sense: "most", of: { centre: 44.5 } }]);
    expect(checkStud(89, 20, 49.5, true).facts).toEqual([]);
    expect(checkStud(89, 20, 39.4, true).facts).toHaveLength(1);
  });
  it("out of a zone it wants 50 to the nearer face: a warning, as a plate mends it", () => {
    expect(checkStud(140, 20, 70, false).facts).toEqual([]);
    expect(checkStud(119, 20, 59.5, false)).toMatchObject({
      cover: 49.5,
      facts: [{ case: "edge", severity: "warn", measured: 49.5, limit: 50, sense: "least", unit: "mm" }],
    });
    expect(checkStud(119, 20, 59.5, true).facts).toEqual([]);
  });
});
