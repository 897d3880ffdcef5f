import DxfParser from "dxf-parser";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { layHouse } from "../house/house";
import { fromStrip, stripOf, toStrip } from "../house/unrolled";
import { planHouse } from "../plan/plan";
import { generatedHouse } from "../routing/generated-house";
import { outlinesFrom, readDxf } from "./dxf-in";
import { pointsCsv } from "./points-csv";
import { storeySheet, roomSheet } from "../drawings/house-sheets";
import { sceneDxf, sceneSvg } from "./scene-files";

const house = layHouse(generatedHouse(3, 2, 3));
const plan = planHouse(house);
const read = (text: string) => {
  const r = readDxf(text);
  if (!("plan" in r)) throw new Error(r.refusals[0]!.message);
  return r.plan;
};
const why = (r: object): string => ("refusals" in r ? (r.refusals as { message: string }[])[0]!.message : "taken");

describe("drawings out", () => {
  it("a plan as DXF opens in a reader of the format, in millimetres, with its layers and every room corner where it is", () => {
    const text = sceneDxf(storeySheet(house, "g", plan));
    const file = new DxfParser().parseSync(text)! as unknown as {
      entities: { layer: string; vertices?: { x: number; y: number }[] }[];
      header: Record<string, number>;
    };
    expect(file.header.$INSUNITS).toBe(4);
    const rooms = file.entities
      .filter((e) => e.layer === "ROOMS")
      .map((e) => e.vertices!.map((v) => ({ x: v.x, y: v.y })));
    expect(rooms).toEqual(house.job.rooms.map((r) => r.outline));
    for (const layer of ["OPENINGS", "JOISTS", "POINTS", "LABELS", "RUNS-R1", "RUNS-LI1", "BORES"])
      expect(
        file.entities.some((e) => e.layer === layer),
        layer,
      ).toBe(true);
  });
  it("what goes out as DXF comes in again as the same rooms", () => {
    const p = read(sceneDxf(storeySheet(house, "g", null)));
    expect(p.unitName).toBe("millimetres");
    const r = outlinesFrom(p, ["ROOMS"], p.unit!);
    if (!("outlines" in r)) throw new Error("refused");
    expect(r.outlines).toEqual(house.job.rooms.map((x) => x.outline));
  });
  it("an unrolled room as SVG has its layers, and every zone and point of the core", () => {
    const svg = sceneSvg(roomSheet(house, "r0", plan));
    expect(svg).toMatch(/^<\?xml/);
    for (const id of ["WALLS", "ZONES", "POINTS", "RUNS-R1"]) expect(svg).toContain(`<g id="${id}"`);
    const zones = house.faces.filter((f) => f.room.id === "r0").reduce((n, f) => n + f.zones.length, 0);
    expect(/<g id="ZONES".*?<\/g>/s.exec(svg)![0].match(/<polygon/g)).toHaveLength(zones);
  });
  it("names with signs of the format stay words", () => {
    const odd = layHouse({
      ...house.job,
      rooms: house.job.rooms.map((r) => ({ ...r, name: "Cook & <dine>\n0\nEOF" })),
    });
    expect(sceneSvg(storeySheet(odd, "g", null))).toContain("Cook &amp; &lt;dine&gt; 0 EOF");
    expect(read(sceneDxf(storeySheet(odd, "g", null))).layers.some((l) => l.name === "ROOMS")).toBe(true);
  });
  it("lists every point once in the CSV, with its place in the house", () => {
    const lines = pointsCsv(house).trim().split("\r\n");
    expect(lines).toHaveLength(house.points.length + 1);
    const light = house.points.find((p) => p.point.label === "L0")!;
    expect(lines.find((l) => l.startsWith("L0,"))).toContain(`${light.space[0]},${light.space[1]},${light.space[2]}`);
  });
});

describe("the unrolled strip and the house agree", () => {
  it("space → strip → space is the same place to the thousandth, and the strip's points are the core's", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 200 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 2400, noNaN: true }),
        (seed, share, v) => {
          const h = layHouse(generatedHouse(seed, 2, 2));
          for (const w of stripOf(h, "r1").walls) {
            const s = fromStrip(w, { x: w.x + share * w.face.shape.length, y: v });
            const back = fromStrip(w, toStrip(w, s));
            for (const k of [0, 1, 2] as const) expect(Math.abs(back[k] - s[k])).toBeLessThan(1e-3);
            for (const p of w.face.points) {
              const placed = h.points[h.pointOfId.get(p.id)!]!;
              expect(toStrip(w, placed.space).x).toBeCloseTo(w.x + p.u, 3);
              expect(toStrip(w, placed.space).y).toBeCloseTo(p.v, 3);
            }
          }
        },
      ),
      { numRuns: 40 },
    );
  });
});

describe("drawings in", () => {
  const dxf = (body: string, unit = 4): string =>
    `0\nSECTION\n2\nHEADER\n9\n$INSUNITS\n70\n${unit}\n0\nENDSEC\n0\nSECTION\n2\nENTITIES\n${body}0\nENDSEC\n0\nEOF\n`;
  const line = (layer: string, x1: number, y1: number, x2: number, y2: number): string =>
    `0\nLINE\n8\n${layer}\n10\n${x1}\n20\n${y1}\n11\n${x2}\n21\n${y2}\n`;
  const square =
    line("W", 0, 0, 3.6, 0) + line("W", 3.6, 2.8, 3.6, 0) + line("W", 3.6, 2.8, 0, 2.8) + line("W", 0, 2.8, 0, 0);
  it("chains single lines into a room, whichever way each is drawn, and scales metres", () => {
    const p = read(dxf(square, 6));
    expect(p.unit).toBe(1000);
    const r = outlinesFrom(p, ["W"], 1000);
    expect("outlines" in r && new Set(r.outlines[0]!.map((c) => `${c.x} ${c.y}`))).toEqual(
      new Set(["0 0", "0 2800", "3600 2800", "3600 0"]),
    );
  });
  it("refuses broken files in words", () => {
    expect(why(readDxf("hello"))).toMatch(/not a DXF drawing/);
    expect(why(readDxf("AutoCAD Binary DXF\r\n"))).toMatch(/binary DXF/);
    expect(why(readDxf(dxf("0\nTEXT\n8\nT\n1\nhello\n")))).toMatch(/no lines or polylines, only 1 text/);
    expect(why(readDxf("0\nSECTION\n2\nENTITIES\n0\nLINE\n8\nW\n10\nabc"))).not.toBe("taken");
    const open = read(dxf(line("W", 0, 0, 3, 0)));
    expect(why(outlinesFrom(open, ["W"], 1))).toMatch(/no closed outline of a room: 0 closed polylines, 1 open lines/);
    expect(why(outlinesFrom(open, [], 1))).toMatch(/none is picked/);
    expect(why(outlinesFrom(open, ["W"], 0))).toMatch(/more than 0/);
    expect(why(outlinesFrom(read(dxf(square, 6)), ["W"], 90_000))).toMatch(/at most 100 m/);
    expect(why(outlinesFrom(read(dxf(square, 6)), ["W"], 100))).toMatch(/too small for a room/);
  });
  it("refuses a drawing cut short anywhere, at once and in words", () => {
    const whole = sceneDxf(storeySheet(house, "g", plan));
    for (let cut = 0; cut < whole.trimEnd().length - 1; cut += 211)
      expect(why(readDxf(whole.slice(0, cut)))).toMatch(/cut short|not a DXF|group code|not closed|no name/);
    const noTables = whole.replace(/ENDTAB/g, "LAYER");
    expect("plan" in readDxf(noTables)).toBe(true);
  });
  it("never throws on cut-short or garbled drawings", () => {
    const whole = sceneDxf(storeySheet(house, "g", plan));
    fc.assert(
      fc.property(fc.integer({ min: 0, max: whole.length }), fc.string({ maxLength: 20 }), (cut, noise) => {
        const r = readDxf(whole.slice(0, cut) + noise);
        if ("plan" in r)
          outlinesFrom(
            r.plan,
            r.plan.layers.map((l) => l.name),
            1,
          );
        else expect(r.refusals[0]!.message.length).toBeGreaterThan(10);
      }),
      { numRuns: 300 },
    );
  });
});
