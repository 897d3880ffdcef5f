import { describe, expect, it } from "vitest";
import { layHouse } from "../house/house";
import { type Job, jobSchema } from "../job/model";
import { type Body, solidBodies } from "./solid-bodies";

const outline = [
  { x: 0, y: 0 },
  { x: 0, y: 3000 },
  { x: 4000, y: 3000 },
  { x: 4000, y: 0 },
];
const job = (more: object = {}, wall: object = {}): Job =>
  jobSchema.parse({
    id: "j",
    name: "J",
    storeys: [{ id: "g", name: "G", level: 0, height: 2400 }],
    rooms: [{ id: "r", storey: "g", name: "R", kind: "living", height: 2400, outline }],
    walls: [0, 1, 2, 3].map((index) => ({ id: `w${index}`, room: "r", index, thickness: 100, ...(index ? {} : wall) })),
    openings: [],
    fixtures: [],
    decks: [
      {
        id: "d",
        name: "D",
        kind: "solid-joists",
        outline,
        underside: 2400,
        joists: { direction: "east-west", depth: 200, breadth: 50, spacing: 500, first: 500, bearings: [] },
      },
    ],
    points: [],
    circuits: [],
    pins: [],
    drums: [],
    ...more,
  });
/** Each body in one line: kind, name, corners from above, low to high. */
const lines = (bodies: readonly Body[]): string[] =>
  bodies.map((b) => {
    const [xs, ys] = [b.outline.map((p) => p.x), b.outline.map((p) => p.y)];
    const box = `${Math.min(...xs)},${Math.min(...ys)} to ${Math.max(...xs)},${Math.max(...ys)}`;
    return `${b.kind} ${b.name}: ${box}, ${b.low} to ${b.high}${b.known ? "" : ", taken to be there"}`;
  });
const of = (kinds: readonly Body["kind"][], j: Job): string[] =>
  lines(solidBodies(layHouse(j), "g").filter((b) => kinds.includes(b.kind)));

describe("solid things of a house", () => {
  it("joists: five at 500 centres, the width of the room long", () => {
    expect(of(["joist"], job())).toEqual(
      [500, 1000, 1500, 2000, 2500].map((y, i) => `joist ${i + 1}: 0,${y - 25} to 4000,${y + 25}, 2400 to 2600`),
    );
  });
  it("noggins of a deck: from joist to joist, hung from the top", () => {
    const d = job().decks[0]!;
    expect(of(["noggin"], job({ decks: [{ ...d, noggins: [{ at: 2000, depth: 150 }] }] }))).toEqual([
      "noggin noggin: 1975,525 to 2025,975, 2450 to 2600",
      "noggin noggin: 1975,1025 to 2025,1475, 2450 to 2600",
      "noggin noggin: 1975,1525 to 2025,1975, 2450 to 2600",
      "noggin noggin: 1975,2025 to 2025,2475, 2450 to 2600",
    ]);
  });
  it("steel, trimmer, chimney and stair: what they fill of the deck", () => {
    const d = job().decks[0]!;
    const at = (x: number) => [
      { x, y: 0 },
      { x, y: 3000 },
      { x: x + 100, y: 3000 },
      { x: x + 100, y: 0 },
    ];
    const obstacles = (["steel", "trimmer", "chimney", "stair"] as const).map((kind, i) => ({
      id: kind,
      kind,
      name: i ? "" : "RSJ",
      outline: at(i * 1000),
    }));
    expect(of(["steel", "trimmer", "chimney", "stair"], job({ decks: [{ ...d, obstacles }] }))).toEqual([
      "steel RSJ: 0,0 to 100,3000, 2400 to 2600",
      "trimmer trimmer: 1000,0 to 1100,3000, 2400 to 2600",
      "chimney chimney: 2000,0 to 2100,3000, 2400 to 2600",
      "stair stair: 3000,0 to 3100,3000, 2400 to 2600",
    ]);
  });
  it("studs, plates and noggins of a stud wall, behind its boards; a door parts the sole plate", () => {
    const studs = { spacing: 1000, first: 1000, breadth: 40, depth: 75, noggins: [1200] };
    const openings = [{ id: "o", wall: "w0", kind: "door", u: 1400, v: 0, width: 800, height: 2000 }];
    const all = of(["stud", "plate", "noggin"], job({ openings }, { build: "stud", studs }));
    // Wall 1 runs north along x = 0; the wall is west of its face, its boards 12.5 thick.
    expect(all.filter((x) => x.startsWith("stud"))).toEqual([
      "stud 1: -87.5,0 to -12.5,40, 38 to 2362",
      "stud 2: -87.5,980 to -12.5,1020, 38 to 2362",
      "stud 3: -87.5,1360 to -12.5,1400, 38 to 2362",
      "stud 4: -87.5,1980 to -12.5,2020, 38 to 2362",
      "stud 5: -87.5,2200 to -12.5,2240, 38 to 2362",
      "stud 6: -87.5,2960 to -12.5,3000, 38 to 2362",
    ]);
    expect(all.filter((x) => x.startsWith("plate"))).toEqual([
      "plate sole plate: -87.5,0 to -12.5,1400, 0 to 38",
      "plate sole plate: -87.5,2200 to -12.5,3000, 0 to 38",
      "plate head plate: -87.5,0 to -12.5,3000, 2362 to 2400",
    ]);
    expect(all.filter((x) => x.startsWith("noggin"))).toEqual([
      "noggin noggin: -87.5,40 to -12.5,980, 1181 to 1219",
      "noggin noggin: -87.5,1020 to -12.5,1360, 1181 to 1219",
      "noggin noggin: -87.5,2240 to -12.5,2960, 1181 to 1219",
    ]);
  });
  it("studs nobody has found are taken to be there, and say so", () => {
    const all = of(["stud"], job({}, { build: "stud", studs: null }));
    expect(all.filter((x) => x.endsWith("taken to be there")).length).toBeGreaterThan(2);
    // One stands at each end of any stud wall.
    expect(all.filter((x) => !x.endsWith("taken to be there"))).toHaveLength(2);
  });
  it("what stands against a wall reaches into the room, the end of a beam into the wall", () => {
    const fixtures = [
      { id: "a", wall: "w0", kind: "bath", u: 500, v: 0, width: 1700, height: 560, depth: 700 },
      { id: "b", wall: "w0", kind: "beam", u: 1000, v: 2200, width: 120, height: 200 },
    ];
    expect(of(["fixture", "beam"], job({ fixtures }))).toEqual([
      "fixture bath: 0,500 to 700,2200, 0 to 560",
      "beam beam: -100,1000 to 0,1120, 2200 to 2400",
    ]);
  });
  it("containment: off its wall, or into it under the plaster, on top of the joists, and straight up through a deck", () => {
    const wall = (u: number, v: number) => ({ on: "wall", wall: "w0", u, v });
    const deck = (x: number, y: number) => ({ on: "deck", deck: "d", x, y });
    const sections = [
      // Typical sizes of the catalogue: 38 along the wall and 16 off it, capping 25 by 9, tray 12 high.
      {
        id: "m",
        label: "M",
        kind: "mini-trunking",
        size: "38x16",
        path: [wall(500, 300), wall(1500, 300), wall(1500, 900)],
      },
      { id: "c", label: "C", kind: "capping", size: "25", path: [wall(200, 400), wall(200, 1400)] },
      { id: "t", label: "T", kind: "tray", size: "100", path: [deck(1000, 1000), deck(1000, 2000), deck(3000, 2000)] },
      {
        id: "r",
        label: "R",
        kind: "trunking-plastic",
        size: "50x50",
        path: [wall(2000, 2000), wall(2000, 2400), deck(0, 2000)],
      },
    ];
    const laid = of(["section"], job({ sections }));
    expect(laid.filter((x) => / [MC]:/.test(x))).toEqual([
      "section M: 0,500 to 16,1500, 281 to 319",
      "section M: 0,1481 to 16,1519, 300 to 900",
      "section C: -9,187.5 to 0,212.5, 400 to 1400",
    ]);
    expect(laid.filter((x) => / T:/.test(x))).toEqual([
      "section T: 950,1000 to 1050,2000, 2600 to 2612",
      "section T: 1000,1950 to 3000,2050, 2600 to 2612",
    ]);
    expect(laid.filter((x) => / R:/.test(x))).toEqual([
      "section R: 0,1975 to 50,2025, 2000 to 2400",
      "section R: 0,1975 to 50,2025, 2400 to 2600",
    ]);
    const all = solidBodies(layHouse(job({ sections })), "g").filter((b) => b.kind === "section");
    expect([...new Set(all.map((b) => b.section))]).toEqual(["m", "c", "t", "r"]);
    expect(solidBodies(layHouse(job({ sections })), "nowhere").filter((b) => b.kind === "section")).toEqual([]);
  });
  it("one storey shows its own walls, and the decks under and over it", () => {
    const two = job(
      {
        storeys: [
          { id: "g", name: "G", level: 0, height: 2400 },
          { id: "f", name: "F", level: 2622, height: 2400 },
          { id: "t", name: "T", level: 5244, height: 2400 },
        ],
      },
      { build: "stud" },
    );
    const kinds = (storey: string | null): string[] => [
      ...new Set(solidBodies(layHouse(two), storey).map((b) => b.kind)),
    ];
    expect(kinds("g")).toEqual(["stud", "plate", "joist"]);
    expect(kinds("f")).toEqual(["joist"]);
    expect(kinds("t")).toEqual([]);
    expect(kinds(null)).toEqual(["stud", "plate", "joist"]);
  });
});
