import { describe, expect, it } from "vitest";
import { clipSpacing } from "../trades/fixings/clips";
import { conduitSupport, trunkingSupport } from "../trades/containment/supports";
import { overheadHeights } from "../trades/outside/overhead";
import { bendRadius } from "../trades/fixings/bends";
import { cables, overall, section } from "./cables";
import { glands } from "./glands";
import { mineralCables } from "./mineral-cables";
import {
  ambientFactor,
  armourMethods,
  armourRatings,
  armourSection,
  flatMethods,
  flatRatings,
  groupingFactor,
  insulationFactor,
  loopLimit,
  ELECTRODE_MOST,
  rcdLoopLimit,
  typicalZe,
} from "./ratings";
import { conductorResistance } from "./resistance";
import {
  longCable,
  longConduit,
  longSizes,
  shortCable,
  shortConduit,
  trunkingCable,
  trunkingFactor,
} from "./term-tables";

/*
 * The tables as they stand in the sources, written out a second time: a slip of one figure in the program, or here, fails. Sources are
 * named at each. Rows are read as words apart by spaces; "–" is no value.
 */
const rows = (text: string): string[][] =>
  text
    .trim()
    .split("\n")
    .map((l) => l.trim().split(/\s+/));
const num = (x: string): number | null => (x === "–" ? null : Number(x));

describe("clip spacing, mm, horizontal/vertical (on-site practice to BS 7671:2018+A2:2022)", () => {
  const table = rows(`
    9     250/400 –       600/800
    9.01  300/400 350/450 900/1200
    15    300/400 350/450 900/1200
    15.01 350/450 400/550 1500/2000
    20    350/450 400/550 1500/2000
    20.01 400/550 450/600 –
    40    400/550 450/600 –
    40.01 –       –       –`);
  it.each(table)("Ø %s: sheathed %s, armoured %s, mineral-insulated %s", (d, ...cells) => {
    (["sheathed", "armoured", "mi"] as const).forEach((family, i) => {
      const [h, v] = cells[i] === "–" ? [null, null] : cells[i]!.split("/").map(Number);
      expect(clipSpacing(family, Number(d), "horizontal", true).max).toBe(h);
      expect(clipSpacing(family, Number(d), "vertical", true).max).toBe(v);
    });
  });
});

describe("supports of conduit and trunking, m, horizontal/vertical (on-site practice)", () => {
  it.each(
    rows(`
    16    .75/1.0   .75/1.0   .3/.5
    16.01 1.75/2.0  1.5/1.75  .4/.6
    25    1.75/2.0  1.5/1.75  .4/.6
    25.01 2.0/2.25  1.75/2.0  .6/.8
    40    2.0/2.25  1.75/2.0  .6/.8
    40.01 2.25/2.5  2.0/2.0   .8/1.0`),
  )("conduit Ø %s: metal %s, insulating %s, pliable %s", (d, ...cells) => {
    (["metal", "insulating", "pliable"] as const).forEach((m, i) => {
      const [h, v] = cells[i]!.split("/").map(Number);
      expect(conduitSupport(m, Number(d), false).max).toBeCloseTo(h! * 1000, 9);
      expect(conduitSupport(m, Number(d), true).max).toBeCloseTo(v! * 1000, 9);
    });
  });
  it.each(
    rows(`
    300    –          –
    300.1  .75/1.0    .5/.5
    700    .75/1.0    .5/.5
    700.1  1.25/1.5   .5/.5
    1500   1.25/1.5   .5/.5
    1500.1 1.75/2.0   1.25/1.25
    2500   1.75/2.0   1.25/1.25
    2500.1 3.0/3.0    1.5/2.0
    5000   3.0/3.0    1.5/2.0
    5000.1 3.0/3.0    1.75/2.0`),
  )("trunking of %s mm²: metal %s, insulating %s", (area, ...cells) => {
    (["metal", "insulating"] as const).forEach((m, i) => {
      const [h, v] = cells[i] === "–" ? [null, null] : cells[i]!.split("/").map((x) => Number(x) * 1000);
      expect(trunkingSupport(m, Number(area), false).max).toBe(h);
      expect(trunkingSupport(m, Number(area), true).max).toBe(v);
    });
  });
});

describe("bends, × overall diameter (BS 7671:2018+A2:2022 522.8.3)", () => {
  it.each([
    ["sheathed", 10, 3],
    ["sheathed", 10.01, 4],
    ["sheathed", 25, 4],
    ["sheathed", 25.01, 6],
    ["armoured", 20, 6],
    ["mi", 8, 6],
  ] as const)("%s of %d: %d", (family, d, factor) => {
    expect(bendRadius(family, d, d)).toEqual({ factor, radius: factor * d });
  });
  it("takes the wider axis of a flat cable, or the thinner where it is bent the flat way; shaped armour 8", () => {
    expect(bendRadius("sheathed", 10.1, 5.8)).toEqual({ factor: 4, radius: 40.4 });
    expect(bendRadius("sheathed", 5.8, 10.1)).toEqual({ factor: 4, radius: 40.4 });
    expect(bendRadius("sheathed", 10.1, 5.8, "thickness").radius).toBeCloseTo(17.4, 9);
    expect(bendRadius("armoured", 20, 20, "width", "shaped").factor).toBe(8);
  });
});

describe("cable factors (on-site practice, conduit and trunking capacities)", () => {
  it("single-core in straight conduit up to 3 m", () => {
    expect(shortCable).toEqual({
      solid: { "1": 22, "1.5": 27, "2.5": 39 },
      stranded: { "1.5": 31, "2.5": 43, "4": 58, "6": 88, "10": 146, "16": 202, "25": 385 },
    });
    expect(shortConduit).toEqual({ "16": 290, "20": 460, "25": 800, "32": 1400, "38": 1900, "50": 3500, "63": 5600 });
  });
  it("single-core in longer or bent conduit", () =>
    expect(longCable).toEqual({ "1": 16, "1.5": 22, "2.5": 30, "4": 43, "6": 58, "10": 105, "16": 145, "25": 217 }));
  it("single-core in trunking", () => {
    expect(trunkingCable).toEqual({
      solid: { "1.5": 8, "2.5": 11.9 },
      stranded: { "1.5": 8.6, "2.5": 12.6, "4": 16.6, "6": 21.2, "10": 35.3, "16": 47.8, "25": 73.9 },
    });
    const table = rows(`
      50x38 767
      50x50 1037
      75x25 738
      75x38 1146
      75x50 1555
      75x75 2371
      100x25 993
      100x38 1542
      100x50 2091
      100x75 3189
      100x100 4252`);
    expect(trunkingFactor).toEqual(Object.fromEntries(table.map(([s, f]) => [s, Number(f)])));
  });
  it.each(
    rows(`
    1   –               188,303,543,947 177,286,514,900 158,256,463,818 130,213,388,692
    1.5 –               182,294,528,923 167,270,487,857 143,233,422,750 111,182,333,600
    2   –               177,286,514,900 158,256,463,818 130,213,388,692 97,159,292,529
    2.5 –               171,278,500,878 150,244,442,783 120,196,358,643 86,141,260,474
    3   –               167,270,487,857 143,233,422,750 111,182,333,600 –
    3.5 179,290,521,911 162,263,475,837 136,222,404,720 103,169,311,563 –
    4   177,286,514,900 158,256,463,818 130,213,388,692 97,159,292,529  –
    4.5 174,282,507,889 154,250,452,800 125,204,373,667 91,149,275,500  –
    5   171,278,500,878 150,244,442,783 120,196,358,643 86,141,260,474  –
    6   167,270,487,857 143,233,422,750 111,182,333,600 –               –
    7   162,263,475,837 136,222,404,720 103,169,311,563 –               –
    8   158,256,463,818 130,213,388,692 97,159,292,529  –               –
    9   154,250,452,800 125,204,373,667 91,149,275,500  –               –
    10  150,244,442,783 120,196,358,643 86,141,260,474  –               –`),
  )("conduit of %s m by bends", (metres, ...cells) => {
    const row = longConduit.find((r) => r.length === Number(metres))!;
    expect(row.bends).toEqual(cells.map((c) => (c === "–" ? null : c.split(",").map(Number))));
    expect(longConduit).toHaveLength(14);
    expect(longSizes).toEqual(["16", "20", "25", "32"]);
  });
});

describe("ratings (BS 7671:2018+A2:2022 Appendix 4)", () => {
  it.each(
    rows(`
    1.0 13 10.5 13 8 16 11.5 13 17 44  1.0 7.2  4.5
    1.5 16 13 16 10 20 14.5 16.5 22 29  1.0 8.2  5.0
    2.5 21 17 21 13.5 27 20 23 30 18  1.5 10.1 5.8
    4 27 22 27 17.5 37 26 30 40 11  1.5 11.5 6.4
    6 34 27 35 23.5 47 32 38 51 7.3 2.5 13.3 7.4
    10 45 36 47 32 64 44 52 70 4.4 4.0 16.9 9.2
    16 57 46 63 42.5 85 57 69 94 2.8 6.0 19.5 10.6`),
  )("flat %s mm²", (csa, ...cells) => {
    const n = cells.map(Number);
    const row = flatRatings[String(Number(csa))]!;
    expect(flatMethods).toEqual(["100", "101", "102", "103", "C", "A", "B", "E"]);
    expect([...row.amps, row.drop]).toEqual(n.slice(0, 9));
    const cable = cables.find((c) => c.id === `te-${csa}`)!;
    expect([cable.csa, cable.cpc, cable.width, cable.thickness]).toEqual([Number(csa), ...n.slice(9)]);
    expect(section(cable)).toBeCloseTo(n[10]! * n[11]!, 9);
    expect(overall(cable)).toBe(n[10]);
  });
  it.each(
    rows(`
    1.5 27 29 25 31  21 22 22 29  15 16 17
    2.5 36 39 33 19  28 31 29 18  17 19 20
    4   49 52 43 12  38 41 37 11  19 21 23
    6   62 66 53 7.9 49 53 46 7.3 22 23 36
    10  85 90 71 4.7 67 72 60 4.4 26 39 43
    16  110 115 91 2.9 89 97 78 2.8 42 45 49`),
  )("armoured %s mm²", (csa, ...cells) => {
    const n = cells.map(Number);
    expect(armourMethods).toEqual(["C", "E", "D"]);
    const row = (t: 70 | 90) => [...armourRatings[t][csa!]!.amps, armourRatings[t][csa!]!.drop];
    expect(row(90)).toEqual(n.slice(0, 4));
    expect(row(70)).toEqual(n.slice(4, 8));
    expect(armourSection[csa!]).toEqual(n.slice(8));
  });
  it("grouping: the next larger number counts, beyond the last its value", () => {
    const bunched = [1, 0.8, 0.7, 0.65, 0.6, 0.57, 0.54, 0.52, 0.5, 0.45, 0.45, 0.45, 0.41, 0.41, 0.41, 0.41, 0.38];
    expect(bunched.map((_, i) => groupingFactor(i + 1))).toEqual(bunched);
    expect([20, 21, 50].map((n) => groupingFactor(n))).toEqual([0.38, 0.38, 0.38]);
    const wall = [1, 0.85, 0.79, 0.75, 0.73, 0.72, 0.72, 0.71, 0.7, 0.7];
    expect(wall.map((_, i) => groupingFactor(i + 1, "wall"))).toEqual(wall);
    const tray = [1, 0.88, 0.82, 0.77, 0.75, 0.73, 0.73, 0.72, 0.72, 0.72];
    expect(tray.map((_, i) => groupingFactor(i + 1, "tray"))).toEqual(tray);
  });
  it("ambient: the next hotter row counts; none above 60", () => {
    const at = (t: 70 | 90) => [20, 25, 26, 30, 35, 40, 45, 50, 55, 60, 61].map((d) => ambientFactor(d, t));
    expect(at(70)).toEqual([1.03, 1.03, 1, 1, 0.94, 0.87, 0.79, 0.71, 0.61, 0.5, null]);
    expect(at(90)).toEqual([1.02, 1.02, 1, 1, 0.96, 0.91, 0.87, 0.82, 0.76, 0.71, null]);
  });
  it("insulation: straight between the rows", () => {
    expect([0, 50, 100, 200, 400, 500, 900].map(insulationFactor)).toEqual([1, 0.88, 0.78, 0.63, 0.51, 0.5, 0.5]);
    expect(insulationFactor(25)).toBeCloseTo(0.94, 9);
    expect(insulationFactor(150)).toBeCloseTo(0.705, 9);
    expect(insulationFactor(450)).toBeCloseTo(0.505, 9);
  });
  it("Zs, conductors and supply", () => {
    // 218.5 / (5 × In) for type B, / (10 × In) for type C, to two places: C is not half of the rounded B.
    const b = [14.57, 7.28, 4.37, 2.73, 2.19, 1.75, 1.37, 1.09, 0.97, 0.87, 0.69];
    const c = [7.28, 3.64, 2.19, 1.37, 1.09, 0.87, 0.68, 0.55, 0.49, 0.44, 0.35];
    expect([3, 6, 10, 16, 20, 25, 32, 40, 45, 50, 63].map((a) => loopLimit("B", a))).toEqual(b);
    expect([3, 6, 10, 16, 20, 25, 32, 40, 45, 50, 63].map((a) => loopLimit("C", a))).toEqual(c);
    expect([30, 100, 300].map(rcdLoopLimit)).toEqual([1667, 500, 167]);
    expect(conductorResistance).toEqual({
      "1": 18.1,
      "1.5": 12.1,
      "2.5": 7.41,
      "4": 4.61,
      "6": 3.08,
      "10": 1.83,
      "16": 1.15,
      "25": 0.727,
    });
    expect(typicalZe).toEqual({ "TN-C-S": 0.35, "TN-S": 0.8, TT: 200 });
    expect(ELECTRODE_MOST).toBe(200);
  });
});

describe("armoured cables, glands and mineral-insulated cable, mm, typical (BS 5467, BS EN 62444, BS EN 60702)", () => {
  it.each(
    rows(`
    2x1.5 7.9  12.3 .9
    2x2.5 9.0  13.6 .9
    2x4   10.1 14.7 .9
    2x6   11.3 15.9 .9
    2x10  13.2 18.0 .9
    2x16  14.9 20.4 1.25
    3x1.5 8.4  12.8 .9
    3x2.5 9.5  14.1 .9
    3x4   10.7 15.3 .9
    3x6   12.0 16.6 .9
    3x10  14.0 19.5 1.25
    3x16  15.9 21.6 1.25
    4x1.5 9.1  13.5 .9
    4x2.5 10.4 15.0 .9
    4x4   11.8 16.4 .9
    4x6   13.2 18.7 1.25
    4x10  15.6 21.1 1.25
    4x16  17.7 23.4 1.25`),
  )("armoured %s", (size, bedding, over, wire) => {
    const c = cables.find((x) => x.id === `swa-${size}`)!;
    expect([c.bedding, c.width, c.thickness, c.wire]).toEqual([bedding, over, over, wire].map((x) => Number(x)));
    expect([c.cores, c.csa]).toEqual(size!.split("x").map(Number));
    expect(section(c)).toBeCloseTo((Math.PI * Number(over) ** 2) / 4, 9);
  });
  it.each(
    rows(`
    20S M20 11.7 9.5  15.9 .8   1.25 24   27   20.5
    20  M20 14.0 12.5 20.9 .8   1.25 30   33.5 20.5
    25S M25 20.0 14.0 22.0 1.25 1.6  37.5 41.5 25.5
    25  M25 20.0 18.2 26.2 1.25 1.6  37.5 41.5 25.5
    32  M32 26.3 23.7 33.9 1.6  2.0  46   51.5 32.5
    40  M40 32.2 27.9 40.4 1.6  2.0  55   61.5 40.5`),
  )("gland %s", (id, thread, ...cells) => {
    const g = glands.find((x) => x.id === id)!;
    expect(g.thread).toBe(thread);
    expect([
      g.bedding,
      g.sheathLeast,
      g.sheathMost,
      g.wireLeast,
      g.wireMost,
      g.acrossFlats,
      g.acrossCorners,
      g.hole,
    ]).toEqual(cells.map(Number));
  });
  it("mineral-insulated sheaths", () => {
    const table = rows(`
      2L1 5.1
      2L1.5 5.7
      2L2.5 6.6
      2L4 7.7
      3L1 5.8
      3L1.5 6.4
      3L2.5 7.3
      4L1 6.3
      4L1.5 7.0
      4L2.5 8.1
      7L1 7.6
      7L1.5 8.4
      7L2.5 9.7
      2H1.5 7.9
      2H2.5 8.7
      2H4 9.8
      2H6 10.9
      2H10 12.7`);
    expect(mineralCables.map((c) => [c.id, c.sheath])).toEqual(table.map(([id, d]) => [id, num(d!)]));
    expect(mineralCables.find((c) => c.id === "7L2.5")).toMatchObject({ cores: 7, duty: "L", csa: 2.5 });
  });
  it("heights overhead", () =>
    expect(overheadHeights).toEqual({
      road: 5800,
      vehicles: 5800,
      foot: 3500,
      "caravan-vehicles": 6000,
      "caravan-foot": 3500,
    }));
});
