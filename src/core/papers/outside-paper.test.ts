import { expect, it } from "vitest";
import { bounds } from "../base/polygon";
import { drawOutside } from "../drawings/outside-plan-scene";
import { drawCatenarySide, drawRowSide, drawTrenchAlong } from "../drawings/outside-scenes";
import { layHouse } from "../house/house";
import { outsideOf } from "../house/outside";
import { across, strip, yardJob } from "../house/yard.fixture";
import { lightRowFigures } from "../plan/light-row";
import { makePlan } from "../plan/plan";
import { holeLine } from "../words/holes";
import { outsidePaper } from "./outside-paper";

const row = {
  id: "r",
  label: "PL1",
  room: "out",
  from: "k",
  path: [
    { x: 1000, y: 4000 },
    { x: 1000, y: 9000 },
  ],
  count: 3,
  end: 500,
  cable: "swa-3x1.5",
};
const job = yardJob({
  outsideWays: [
    across("trench", {
      ducts: [{ from: 1000, to: 2000, size: 63 }],
      services: [{ at: 5000, kind: "gas", depth: 800 }],
    }),
    { ...across("catenary"), id: "v" },
  ],
  grounds: [strip("drive", 1000, 2000, -40)],
  lightRows: [row],
});
/** With plain spaces in its figures. */
const plain = <T>(x: T): T => JSON.parse(JSON.stringify(x).replace(/\u202f/g, " ")) as T;
const h = layHouse(job);
const plan = makePlan(job);

it("has each way and row with its drawing and the marks to work by", () => {
  const paper = plain(outsidePaper(h, plan)!);
  const kinds = paper.blocks.map((b) => b.kind);
  expect(kinds.filter((k) => k === "scene")).toHaveLength(4);
  const tables = paper.blocks.flatMap((b) => (b.kind === "table" ? [b.rows] : []));
  expect(tables[0]).toEqual([
    ["0", "1 000", "yard", "600 to 600", "675", ""],
    ["1 000", "2 000", "drive", "560 to 560", "635", "63"],
    ["2 000", "6 000", "yard", "600 to 600", "675", ""],
  ]);
  expect(tables[1]![0]!.slice(0, 2)).toEqual(["wall to wall", "6 000"]);
  expect(tables[2]!.map((r) => [r[0], r[3]])).toEqual([
    ["where people walk", "3 500"],
    ["where vehicles reach", "5 800"],
    ["where people walk", "3 500"],
  ]);
  expect(tables[3]!.map((r) => r.slice(0, 3))).toEqual([
    ["1", "500", "left"],
    ["2", "2 500", "right"],
    ["3", "4 500", "left"],
  ]);
  expect(JSON.stringify(paper)).toMatch(/gas at 5 000, 800 deep/);
  expect(outsidePaper(layHouse(yardJob()), makePlan(yardJob()))).toBeNull();
});

it("draws each so that what is said of it is told: depth, clearance, lights, the whole from above", () => {
  const [trench, wire] = outsideOf(h);
  const figures = lightRowFigures(h, job.lightRows[0]!)!;
  expect(plain(drawTrenchAlong(trench!)).label).toBe(
    "TR1 cut along: 6 000 long, at its least 560 deep, 600 in the middle",
  );
  expect(plain(drawCatenarySide(wire!)).label).toMatch(/^CW1 from the side: one span, 3 9\d\d at its lowest/);
  expect(plain(drawRowSide(figures)).label).toBe("PL1 from the side: 3 lights along 5 000");
  const whole = plain(drawOutside(h, [figures], "w"));
  const words = whole.shapes.flatMap((s) => (s.kind === "text" ? [s.text] : []));
  expect(words).toEqual(expect.arrayContaining(["TR1", "CW1", "PL1", "drive, vehicles, −40", "1", "2", "3"]));
});

it("the tag of a post stands within its yard", () => {
  const room = job.rooms.find((r) => r.kind === "yard")!;
  const yard = bounds(room.outline);
  for (const [x, anchor] of [
    [yard.x0 + 100, "start"],
    [yard.x1 - 100, "end"],
  ] as const) {
    const post = { id: "q", room: room.id, label: "P9", x, y: yard.y0 + 100, breadth: 100, height: 2400 };
    const { shapes } = drawOutside(layHouse({ ...job, posts: [post] }), []);
    expect(shapes.find((s) => s.kind === "text" && s.text === "P9")).toMatchObject({ anchor });
  }
});

it("numbers stand on the far side of their lights, off the path, whichever way it runs", () => {
  const along = (x: number, y: number) => ({
    ...job.lightRows[0]!,
    path: [
      { x: 1000, y: 1000 },
      { x: 1000 + x, y: 1000 + y },
    ],
  });
  for (const row of [along(5000, 0), along(0, 5000), along(-5000, 0), along(0, -5000)]) {
    const figures = lightRowFigures(h, row)!;
    const texts = drawOutside(h, [figures]).shapes.flatMap((s) => (s.kind === "text" ? [s] : []));
    const upright = row.path[0]!.x === row.path[1]!.x;
    for (const l of figures.lights) {
      const word = texts.find((t) => t.text === String(l.n) && t.x === l.place.x && t.y === -l.place.y)!;
      const off = upright ? l.place.x - row.path[0]!.x : -(l.place.y - row.path[0]!.y);
      expect(Math.abs(off)).toBeGreaterThan(0);
      if (upright) expect([Math.sign(word.shift!), word.anchor]).toEqual([Math.sign(off), off > 0 ? "start" : "end"]);
      else expect(Math.sign(word.drop)).toBe(Math.sign(off));
    }
  }
});

it("a hole to the weather is started lower on that side and sealed there; one between rooms is not", () => {
  const through = plan.holes.find((o) => o.in.kind === "wall")!;
  expect(holeLine(h, through)).toMatch(/15 lower on the side of out, sealed there$/);
  const indoors = { ...job, rooms: job.rooms.map((r) => ({ ...r, kind: "hall" as const })) };
  expect(holeLine(layHouse(indoors), through)).not.toMatch(/sealed/);
});
