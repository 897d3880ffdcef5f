import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { toCsv } from "./csv";
import { readDxf } from "./dxf-in";

const wrap = (entities: string): string => `0\nSECTION\n2\nENTITIES\n${entities}\n0\nENDSEC\n0\nEOF\n`;
const poly = (corners: string, count = 4): string => wrap(`0\nLWPOLYLINE\n8\nA\n90\n${count}\n70\n1\n${corners}`);
const closed = (text: string): unknown => {
  const r = readDxf(text);
  return "plan" in r ? r.plan.layers[0]!.closed : r.refusals[0]!.message;
};
const square = [
  { x: 0, y: 0 },
  { x: 4000, y: 0 },
  { x: 4000, y: 3000 },
  { x: 0, y: 3000 },
];

describe("a polyline as other programs write it", () => {
  it("with a number of its own after each corner, or between its two numbers, is the same outline", () => {
    const after = square.map((p) => `10\n${p.x}\n20\n${p.y}\n91\n0`).join("\n");
    const between = square.map((p) => `10\n${p.x}\n91\n0\n20\n${p.y}`).join("\n");
    expect(closed(poly(after))).toEqual([square]);
    expect(closed(poly(between))).toEqual([square]);
  });
  it("its count of corners is not believed", () => {
    const plain = square.map((p) => `10\n${p.x}\n20\n${p.y}`).join("\n");
    expect(closed(poly(plain, 30_000_000))).toEqual([square]);
    expect(closed(poly(plain, 1))).toEqual([square]);
  });
  it("a corner with one number is refused", () => {
    expect(closed(poly("10\n0\n10\n4000\n20\n0"))).toMatch(/has a corner without its second number/);
  });
  it("more than can be walls is refused before it is made anything of", () => {
    expect(closed(poly("10\n1\n20\n2\n".repeat(310_000).trim()))).toMatch(/more than 50000 stretches/);
  });
  it("whatever is cut out, doubled or changed in it, it is taken or refused in words, and ends", () => {
    const plain = poly(square.map((p) => `10\n${p.x}\n20\n${p.y}`).join("\n")).split("\n");
    fc.assert(
      fc.property(
        fc.nat({ max: plain.length - 1 }),
        fc.constantFrom(
          "cut",
          "double",
          "10",
          "20",
          "0",
          "90",
          "LWPOLYLINE",
          "POLYLINE",
          "SEQEND",
          "VERTEX",
          "-1e9",
          "x",
        ),
        (at, how) => {
          const lines = [...plain];
          if (how === "cut") lines.splice(at, 1);
          else if (how === "double") lines.splice(at, 0, lines[at]!);
          else lines[at] = how;
          const r = readDxf(lines.join("\n"));
          expect("plan" in r || r.refusals[0]!.message.length > 5).toBe(true);
        },
      ),
      { numRuns: 500 },
    );
  });
});

it("a cell that a spreadsheet would run is written as words, its full-width signs too", () => {
  const rows = ["=1+1", "＝1+1", "＋1", "@x", "plain", "a=b"].map((x) => [x]);
  expect(toCsv(["name"], rows).split("\r\n").slice(1, 7)).toEqual([
    '"\'=1+1"',
    '"\'＝1+1"',
    '"\'＋1"',
    '"\'@x"',
    "plain",
    "a=b",
  ]);
});
