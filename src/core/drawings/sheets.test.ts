import { describe, expect, it } from "vitest";
import { layHouse } from "../house/house";
import { jobSchema } from "../job/model";
import { sceneSvg } from "../formats/scene-files";
import { deckScene, holeShapes } from "./deck-scene";
import { roomSheet, storeySheet } from "./house-sheets";
import { drawOutline, drawOutlines, sideLengths } from "./outline-drawing";
import { type Shape, boundsOf, shifted } from "./scene";
import { job, house, plan, on, lines, box, said } from "./scenes.fixture";

describe("the scene of a deck", () => {
  const l = house.decks.find((d) => d.joists.length > 2)!;
  it("has every joist to its breadth, and its number", () => {
    const shapes = deckScene(l, job, plan.holes);
    const joists = lines(shapes, "JOISTS").filter((s) => s.id);
    expect(joists).toHaveLength(l.joists.reduce((n, j) => n + j.extent.length, 0));
    const b = box(joists[0]!);
    expect(l.along === "x" ? b.y1 - b.y0 : b.x1 - b.x0).toBeCloseTo(l.deck.joists.breadth, 6);
    expect(said(on(shapes, "LABELS"))).toEqual(l.joists.map((j) => String(j.n)));
  });
  it("has what is in the way, kept free or cut already where it is", () => {
    const b = box(lines(deckScene(l, job, []), "DECKS")[0]!);
    const outline = [
      { x: b.x0 + 100, y: -b.y0 - 100 },
      { x: b.x0 + 200, y: -b.y0 - 100 },
      { x: b.x0 + 200, y: -b.y0 - 300 },
      { x: b.x0 + 100, y: -b.y0 - 300 },
    ];
    const deck = {
      ...l.deck,
      obstacles: [{ id: "ob", kind: "steel" as const, name: "", outline }],
      noggins: [{ at: 1000, depth: 75 }],
      existingCuts: [
        { id: "x1", joist: 2, span: 1, kind: "hole" as const, at: 500, diameter: 20, fromTop: 97 },
        { id: "x2", joist: 2, span: 9, kind: "hole" as const, at: 500, diameter: 20, fromTop: 97 },
        { id: "x3", joist: 1, span: 1, kind: "notch" as const, at: 400, width: 30, depth: 10, edge: "top" as const },
      ],
    };
    const h = layHouse(
      jobSchema.parse({
        ...job,
        decks: job.decks.map((d) => (d.id === deck.id ? deck : d)),
        forbidden: [{ id: "k", name: "", place: { on: "deck", deck: deck.id, outline } }],
      }),
    );
    const laid = h.decks[h.deckOfId.get(deck.id)!]!;
    const shapes = deckScene(laid, h.job, []);
    const same = { x0: b.x0 + 100, x1: b.x0 + 200, y0: b.y0 + 100, y1: b.y0 + 300 };
    expect(box(lines(shapes, "OBSTACLES")[0]!)).toEqual(same);
    expect(said(on(shapes, "OBSTACLES"))).toEqual(["steel"]);
    expect(box(lines(shapes, "KEPT-FREE")[0]!)).toEqual(same);
    const cuts = lines(shapes, "OLD-CUTS");
    expect(cuts.map((c) => [c.id, c.fill])).toEqual([
      ["x1", "paper"],
      ["x3", "stop"],
    ]);
    const c = box(cuts[0]!);
    const [span, joist] = [laid.joists[1]!.spans[0]![0], laid.joists[1]!.at];
    const [from, to, mid] = laid.along === "x" ? [c.x0, c.x1, -(c.y0 + c.y1) / 2] : [-c.y1, -c.y0, (c.x0 + c.x1) / 2];
    expect([from, to, mid]).toEqual([span + 490, span + 510, joist]);
    const noggin = lines(shapes, "JOISTS").find((s) => !s.id)!;
    const n = box(noggin);
    expect(laid.along === "x" ? [n.x0, n.x1] : [-n.y1, -n.y0]).toEqual([laid.origin + 977, laid.origin + 1023]);
  });
  it("has chalk lines only where two joists or more are drilled on one line, and a circle for every hole in a joist", () => {
    const drilled = house.decks.flatMap((d) => on(deckScene(d, job, plan.holes), "CHALK"));
    expect(drilled.length).toBeGreaterThan(0);
    const one = plan.holes.filter((o) => o.in.kind === "joist" && o.in.deck === l.deck.id).slice(0, 1);
    expect(on(deckScene(l, job, one), "CHALK")).toEqual([]);
    expect(holeShapes(plan.holes).map((s) => s.id)).toEqual(
      plan.holes.filter((o) => o.in.kind === "joist").map((o) => o.id),
    );
  });
});

describe("sheets and outlines", () => {
  it("a room's sheet has each wall at its place along the strip, and every plate where the point is", () => {
    const sheet = roomSheet(house, "r0", plan);
    const walls = lines(sheet.shapes, "WALLS").map(box);
    for (let i = 1; i < walls.length; i++) expect(walls[i]!.x0).toBeCloseTo(walls[i - 1]!.x1, 6);
    expect(sheet.label).toBe(`${job.name}, ${job.rooms[0]!.name}, unrolled`);
    const points = house.faces.filter((f) => f.room.id === "r0").flatMap((f) => f.points);
    expect(
      lines(sheet.shapes, "POINTS")
        .map((s) => s.id)
        .sort(),
    ).toEqual(points.map((p) => p.id).sort());
  });
  it("a storey's sheet has a point for every point on it, and holes of its own decks only", () => {
    const sheet = storeySheet(house, "g", plan);
    expect(on(sheet.shapes, "POINTS").length).toBe(
      said(on(sheet.shapes, "LABELS")).filter((t) => !/^\d+$/.test(t)).length,
    );
    expect(on(sheet.shapes, "BORES").length).toBeGreaterThan(0);
    expect(storeySheet(house, "no such storey", null).shapes).toEqual([]);
  });
  it("what has no layer stays on the screen", () => {
    const svg = sceneSvg({
      label: "a",
      template: false,
      shapes: [
        { kind: "text", x: 0, y: 0, text: "help", anchor: "start", ink: "ink", drop: 0 },
        { kind: "dim", a: [0, 0], b: [100, 0], text: "100", off: 1, layer: "NAMES" },
        { kind: "circle", x: 5, y: 6, r: 7, ink: "stop", layer: "BORES", dash: true, id: "h<1>" },
      ],
    });
    expect(svg).not.toContain("help");
    expect(svg).toContain(">100</text>");
    expect(svg).toContain('<circle cx="5" cy="6" r="7" fill="none" stroke="#a8281c"');
    expect(svg).toContain('stroke-dasharray="56 40" data-id="h&lt;1&gt;"');
  });
  it("an outline numbers its corners from 1 and writes each length inside its side", () => {
    const square = [
      { x: 0, y: 0 },
      { x: 0, y: 2000 },
      { x: 3000, y: 2000 },
      { x: 3000, y: 0 },
    ];
    expect(sideLengths(square)).toEqual(["2\u202f000", "3\u202f000", "2\u202f000", "3\u202f000"]);
    const s = drawOutline(square, true, sideLengths(square), "Room");
    const texts = s.shapes.filter((x) => x.kind === "text");
    expect(texts.map((t) => t.text)).toEqual([...sideLengths(square), "1", "2", "3", "4"]);
    // West side: to the right of its line; north: under it; east: to the left; south: over it.
    expect(texts.slice(0, 4).map((t) => [t.x, t.y + 0, t.anchor, t.shift ?? 0, t.drop])).toEqual([
      [0, -1000, "start", 8, 0.3],
      [1500, -2000, "middle", 0, 1.15],
      [3000, -1000, "end", -8, 0.3],
      [1500, 0, "middle", 0, -0.55],
    ]);
    expect(
      drawOutline(square.slice(0, 3), false, ["a", "b"], "").shapes.filter((x) => x.kind === "line")[0],
    ).not.toHaveProperty("closed");
    expect(drawOutlines([square, square])).toMatchObject({ label: "2 outlines", shapes: [{ closed: true }, {}] });
  });
  it("shapes set elsewhere keep their size", () => {
    const shapes: Shape[] = [
      {
        kind: "line",
        points: [
          [0, 0],
          [10, 5],
        ],
        ink: "ink",
      },
      { kind: "circle", x: 1, y: 2, r: 3, ink: "ink" },
      { kind: "text", x: 1, y: 2, text: "", anchor: "start", ink: "ink", drop: 0 },
      { kind: "dim", a: [0, 0], b: [4, 0], text: "4", off: 1 },
    ];
    const before = boundsOf(shapes);
    const after = boundsOf(shifted(shapes, 100, -50));
    expect(after).toEqual({ x0: before.x0 + 100, x1: before.x1 + 100, y0: before.y0 - 50, y1: before.y1 - 50 });
  });
});
