import { freeingWords } from "../words/ways";
import { describe, expect, it } from "vitest";
import { toFace } from "../base/wall-frame";
import { layHouse } from "../house/house";
import { type Job, jobSchema } from "../job/model";
import { makePlan } from "../plan/plan";
import { standardCatalogue } from "../rules/catalogue";
import { whatFrees } from "./freeing";
import { presets } from "./weights";

/**
 * Walls and decks drawn in text, with the route a person would expect drawn out beside them. A letter is one cell:
 * a wall cell is 300 wide and 300 high, a deck cell 200 square. `D` board, `S` socket, `#` opening; the route is `|`, `-` and `+`.
 */
const WALL = 300;
const DECK = 200;

/** A room whose north wall is the drawing; the board and the sockets are where the letters stand. */
function wallJob(rows: string[], more: Partial<Record<"forbidden" | "fixtures", object[]>> = {}): Job {
  const [w, h] = [rows[0]!.length * WALL, rows.length * WALL];
  const at = (letter: string): { u: number; v: number }[] =>
    rows.flatMap((r, j) =>
      [...r].flatMap((c, i) => (c === letter ? [{ u: (i + 0.5) * WALL, v: h - (j + 0.5) * WALL }] : [])),
    );
  const hash = at("#");
  const sockets = at("S");
  return jobSchema.parse({
    id: "w",
    name: "w",
    storeys: [{ id: "g", name: "g", level: 0, height: h }],
    settings: { cost: presets.cable.cost },
    rooms: [
      {
        id: "r",
        storey: "g",
        name: "r",
        kind: "other",
        height: h,
        startWall: 1,
        outline: [
          { x: 0, y: 0 },
          { x: 0, y: 3000 },
          { x: w, y: 3000 },
          { x: w, y: 0 },
        ],
      },
    ],
    walls: [0, 1, 2, 3].map((index) => ({ id: `w${index}`, room: "r", index, build: "masonry", thickness: 200 })),
    openings: hash.length
      ? [
          {
            id: "o",
            wall: "w1",
            kind: "window",
            u: Math.min(...hash.map((p) => p.u)) - WALL / 2,
            v: Math.min(...hash.map((p) => p.v)) - WALL / 2,
            width: Math.max(...hash.map((p) => p.u)) - Math.min(...hash.map((p) => p.u)) + WALL,
            height: Math.max(...hash.map((p) => p.v)) - Math.min(...hash.map((p) => p.v)) + WALL,
          },
        ]
      : [],
    fixtures: more.fixtures ?? [],
    forbidden: more.forbidden ?? [],
    decks: [],
    pins: [],
    drums: [],
    points: [
      {
        id: "D",
        label: "DB",
        kind: "board",
        ways: 4,
        mount: "surface",
        place: { on: "wall", wall: "w1", ...at("D")[0]! },
      },
      ...sockets.map((p, i) => ({
        id: `S${i}`,
        label: `S${i}`,
        kind: "socket",
        place: { on: "wall", wall: "w1", ...p },
      })),
    ],
    circuits: [
      {
        id: "c",
        label: "C",
        name: "c",
        kind: "radial",
        device: { rating: 20 },
        rcd: 30,
        cable: "te-2.5",
        way: 1,
        points: sockets.map((_, i) => `S${i}`),
        order: "given",
      },
    ],
  });
}

/** The drawing with the laid route drawn over it. */
function drawnWall(rows: string[], job: Job): string[] {
  const out = rows.map((r) => [...r]);
  const h = rows.length * WALL;
  const f = layHouse(job).faces.find((x) => x.wall.id === "w1")!;
  for (const run of makePlan(job).runs)
    for (const leg of run.legs) {
      const [a, b] = [toFace(f.frame, leg.path[0]!), toFace(f.frame, leg.path[leg.path.length - 1]!)];
      const plumb = Math.abs(a.u - b.u) < 1;
      const cells = Math.max(1, Math.round(Math.hypot(a.u - b.u, a.v - b.v) / (WALL / 4)));
      for (let k = 0; k <= cells; k++) {
        const [u, v] = [a.u + ((b.u - a.u) * k) / cells, a.v + ((b.v - a.v) * k) / cells];
        const [i, j] = [
          Math.min(rows[0]!.length - 1, Math.floor(u / WALL)),
          Math.min(rows.length - 1, Math.floor((h - v) / WALL)),
        ];
        const was = out[j]![i]!;
        if (was === "." || was === "|" || was === "-")
          out[j]![i] = was !== "." && was !== (plumb ? "|" : "-") ? "+" : plumb ? "|" : "-";
      }
    }
  return out.map((r) => r.join(""));
}

describe("walls drawn in text", () => {
  const routed = (rows: string[], more: Parameters<typeof wallJob>[1] = {}): string[] =>
    drawnWall(rows, wallJob(rows, more));
  it("two points at one height: level between them", () => {
    expect(routed(["........", "........", ".D....S.", "........"])).toEqual([
      "........",
      "........",
      ".D----S.",
      "........",
    ]);
  });
  it("at different heights: out of one strip into the other, never on a slope", () => {
    expect(routed(["........", ".D......", "........", "......S.", "........"])).toEqual([
      "........",
      ".D----+.",
      "......|.",
      "......S.",
      "........",
    ]);
  });
  it("a window between them: up, along under the ceiling, and down again", () => {
    expect(routed(["........", "...##...", ".D.##.S.", "...##...", "........"])).toEqual([
      ".+----+.",
      ".|.##.|.",
      ".D.##.S.",
      "...##...",
      "........",
    ]);
  });
  it("a part kept free under the ceiling: round by the floor is no zone, so it cannot be reached on this wall", () => {
    const job = wallJob(["........", "...##...", ".D.##.S.", "...##...", "...##..."], {
      forbidden: [
        { id: "f", name: "Duct", place: { on: "wall", wall: "w1", u: 900, v: 1200, width: 600, height: 300 } },
      ],
    });
    const plan = makePlan(job);
    expect(plan.runs).toHaveLength(1);
    // It goes round the other walls of the room instead, in their bands.
    expect(new Set(plan.runs[0]!.legs.map((l) => l.surface.id))).toEqual(new Set(["w0", "w1", "w2", "w3"]));
  });
});

/** A deck of joists running up the drawing, `=` a joist, `X` what may not be crossed; `A` and `B` are lights to be joined, `D` the board's drop. */
function deckJob(rows: string[], more: Partial<Job["decks"][number]> = {}): Job {
  const [w, d] = [rows[0]!.length * DECK, rows.length * DECK];
  const at = (letter: string): { x: number; y: number }[] =>
    rows.flatMap((r, j) =>
      [...r].flatMap((c, i) => (c === letter ? [{ x: (i + 0.5) * DECK, y: d - (j + 0.5) * DECK }] : [])),
    );
  const joists = [...rows[0]!].flatMap((c, i) => (c === "=" ? [i] : []));
  const block = at("X");
  const outline = [
    { x: 0, y: 0 },
    { x: 0, y: d },
    { x: w, y: d },
    { x: w, y: 0 },
  ];
  return jobSchema.parse({
    id: "d",
    name: "d",
    storeys: [{ id: "g", name: "g", level: 0, height: 2400 }],
    settings: { cost: presets.cable.cost },
    rooms: [{ id: "r", storey: "g", name: "r", kind: "other", height: 2400, outline }],
    walls: [0, 1, 2, 3].map((index) => ({ id: `w${index}`, room: "r", index, build: "masonry", thickness: 200 })),
    openings: [],
    fixtures: [],
    pins: [],
    drums: [],
    forbidden: [],
    decks: [
      {
        id: "deck",
        name: "Deck",
        kind: "solid-joists",
        underside: 2415,
        outline,
        joists: {
          direction: "north-south",
          breadth: 47,
          depth: 195,
          spacing: (joists[1]! - joists[0]!) * DECK,
          first: (joists[0]! + 0.5) * DECK,
          bearings: [
            [-100, 0],
            [d, d + 100],
          ],
        },
        obstacles: block.length
          ? [
              {
                id: "x",
                kind: "chimney",
                outline: [
                  { x: Math.min(...block.map((p) => p.x)) - 100, y: Math.min(...block.map((p) => p.y)) - 100 },
                  { x: Math.min(...block.map((p) => p.x)) - 100, y: Math.max(...block.map((p) => p.y)) + 100 },
                  { x: Math.max(...block.map((p) => p.x)) + 100, y: Math.max(...block.map((p) => p.y)) + 100 },
                  { x: Math.max(...block.map((p) => p.x)) + 100, y: Math.min(...block.map((p) => p.y)) - 100 },
                ],
              },
            ]
          : [],
        ...more,
      },
    ],
    points: [
      {
        id: "D",
        label: "DB",
        kind: "board",
        ways: 4,
        mount: "surface",
        place: { on: "wall", wall: "w0", u: at("D")[0]!.y, v: 1400 },
      },
      ...["A", "B"].flatMap((l) =>
        at(l).map((p) => ({
          id: l,
          label: l,
          kind: "light",
          place: { on: "deck", deck: "deck", ...p, face: "ceiling" },
        })),
      ),
    ],
    circuits: [
      {
        id: "c",
        label: "C",
        name: "c",
        kind: "lighting",
        device: { rating: 6 },
        rcd: 30,
        cable: "te-1.0",
        way: 1,
        points: ["A", "B"].filter((l) => at(l).length),
        order: "given",
      },
    ],
  });
}

/** Rows of the deck in which joists are bored, from the top of the drawing, with the joists bored in each. */
function bored(rows: string[], job: Job): string[] {
  const out = rows.map((r) => [...r]);
  const d = rows.length * DECK;
  for (const o of makePlan(job).holes)
    if (o.in.kind === "joist") out[Math.floor((d - o.centre[1]!) / DECK)]![Math.floor(o.centre[0]! / DECK)] = "o";
  return out.map((r) => r.join(""));
}

describe("decks drawn in text", () => {
  // 20 rows of 200 make a span of 4 000: bores lie 1 000 to 1 600 from a bearing, rows 5 to 8 from either end.
  const open = (middle: string[]): string[] => {
    const blank = "=.=.=.=.=.";
    const rows = Array.from({ length: 20 }, () => blank);
    middle.forEach((r, i) => (rows[8 + i] = r));
    return rows;
  };
  it("bores once through each joist on the way, in one line within the legal window", () => {
    const rows = open(["=.=.=.=.=.", "=.=.=.=.=.", "DA=.=.=B=.", "=.=.=.=.=."]);
    const drawn = bored(rows, deckJob(rows));
    const lines = drawn.flatMap((r, j) => (r.includes("o") ? [{ j, r }] : []));
    // Joist 1 between the board's drop and A in the first bay, then joists 2 to 4 on to B before the last one.
    expect(lines).toHaveLength(1);
    expect(lines[0]!.r).toBe("o.o.o.o.=.");
    expect(lines[0]!.j >= 12 && lines[0]!.j <= 14).toBe(true);
  });
  it("goes round a chimney by the other window", () => {
    const rows = open([
      "=.=.=.=.=.",
      "=.=.=.=.=.",
      "DA=.=.=B=.",
      "=.=XXX=.=.",
      "=.=XXX=.=.",
      "=.=XXX=.=.",
      "=.=XXX=.=.",
      "=.=XXX=.=.",
      "=.=XXX=.=.",
      "=.=XXX=.=.",
      "=.=XXX=.=.",
      "=.=XXX=.=.",
    ]);
    const job = deckJob(rows.map((r) => r.replaceAll("X", "X")));
    // The joist that the chimney stands on, in column 4: only the window clear of the chimney is left for it.
    const rowsBored = bored(rows, job).flatMap((r, j) => (r[4] === "o" ? [j] : []));
    expect(rowsBored).toHaveLength(1);
    expect(rowsBored[0]).toBeLessThanOrEqual(8);
  });
  it("never bores a joist that is cut beyond the rules already, and says what would free the point", () => {
    const rows = open(["=.=.=.=.=.", "=.=.=.=.=.", "DA=.=.=B=.", "=.=.=.=.=."]);
    const spoilt = deckJob(rows, {
      existingCuts: [{ id: "bad", kind: "hole", joist: 3, span: 1, at: 200, diameter: 40, fromTop: 97.5 }],
    } as Partial<Job["decks"][number]>);
    const plan = makePlan(spoilt);
    expect(plan.holes.some((o) => o.in.joist === 3)).toBe(false);
    expect(plan.facts.filter((f) => f.rule === "timber.over-cut")).toEqual([]);
  });
  it("bores engineered joists only where their maker's chart says, as entered", () => {
    const rows = open(["=.=.=.=.=.", "=.=.=.=.=.", "DA=.=.=B=.", "=.=.=.=.=."]);
    const bare = makePlan(deckJob(rows, { kind: "engineered" }));
    expect(bare.holes.filter((o) => o.in.kind === "joist")).toEqual([]);
    const allowed = makePlan(deckJob(rows, { kind: "engineered", makerAllows: [{ from: 1800, to: 2200, most: 25 }] }));
    const holes = allowed.holes.filter((o) => o.in.kind === "joist");
    expect(holes.length).toBe(4);
    for (const o of holes) expect(o.at >= 1800 && o.at <= 2200).toBe(true);
    expect(allowed.facts.filter((f) => f.severity === "stop" && f.rule.startsWith("timber"))).toEqual([]);
  });
  it("tells the least change that frees a point cut off by engineered joists", () => {
    const rows = open(["=.=.=.=.=.", "=.=.=.=.=.", "D.=.=.=A=.", "=.=.=.=.=."]);
    const job = deckJob(rows, { kind: "engineered", obstacles: [] });
    // Every wall of the room is barred at its top, so that the deck is the only way.
    const held = {
      ...job,
      forbidden: [1, 2, 3].map((i) => ({
        id: `f${i}`,
        name: `Pelmet ${i}`,
        place: { on: "wall" as const, wall: `w${i}`, u: 0, v: 2100, width: 10_000, height: 300 },
      })),
    };
    const frees = whatFrees(held, standardCatalogue, "A");
    expect(frees.reachable).toBe(false);
    expect(frees.changes.map((c) => c.change.kind)).toContain("maker-chart");
    expect(freeingWords(layHouse(held), frees.changes[0]!.change)).toMatch(/\w+ \w+/);
    for (let i = 1; i < frees.changes.length; i++)
      expect(frees.changes[i]!.length).toBeGreaterThanOrEqual(frees.changes[i - 1]!.length);
  });
});
