import { describe, expect, it } from "vitest";
import { layHouse } from "../house/house";
import { twoRooms } from "../house/two-rooms.fixture";
import { jobSchema } from "../job/model";
import { planHouse } from "../plan/plan";
import { generatedHouse } from "../routing/generated-house";
import { sceneSvg } from "../formats/scene-files";
import { deckScene, holeShapes } from "./deck-scene";
import { roomSheet, storeySheet } from "./house-sheets";
import { drawOutline, drawOutlines, sideLengths } from "./outline-drawing";
import { planScene } from "./plan-scene";
import { legsFromAbove, runLayer, runStyles, storeyBand } from "./run-lines";
import { type LineShape, type Shape, boundsOf, shifted } from "./scene";
import { STRIP, STRIP_GAP, faceOutline, wallScene, wallWords } from "./wall-scene";

const job = generatedHouse(3, 2, 3);
const house = layHouse(job);
const plan = planHouse(house);
const on = (shapes: readonly Shape[], layer: string): Shape[] => shapes.filter((s) => s.layer === layer);
const lines = (shapes: readonly Shape[], layer: string): LineShape[] =>
  on(shapes, layer).filter((s): s is LineShape => s.kind === "line");
const box = (s: Shape) => boundsOf([s]);
const said = (shapes: readonly Shape[]): string[] => shapes.flatMap((s) => (s.kind === "text" ? [s.text] : []));
const withWall = (more: object, at: Partial<typeof job> = {}) => {
  const wall = job.walls[0]!;
  return layHouse(
    jobSchema.parse({ ...job, ...at, walls: job.walls.map((w) => (w === wall ? { ...w, ...more } : w)) }),
  );
};
const first = job.walls[0]!.id;
const face = (h: typeof house) => h.faces[h.faceOfWall.get(first)!]!;

describe("the scene of a wall", () => {
  it("has the outline of the face, floor at 0 and y down", () => {
    const f = face(house);
    expect(faceOutline(f)).toEqual([
      [0, 0],
      [0, -f.shape.height],
      [f.shape.length, -f.shape.height],
      [f.shape.length, 0],
    ]);
    expect(lines(wallScene(house, f), "WALLS")[0]).toMatchObject({ id: first, closed: true, fill: "plaster" });
  });
  it("follows a sloping ceiling, with a band 150 below it", () => {
    const h = layHouse({
      ...job,
      rooms: job.rooms.map((r) => (r.id === "r0" ? { ...r, slopes: [{ wall: 0, eaves: 1000, pitch: 45 }] } : r)),
    });
    const gable = h.faces.find((f) => f.room.id === "r0" && f.wall.index === 1)!;
    expect(faceOutline(gable).length).toBeGreaterThan(4);
    const bands = lines(wallScene(h, gable), "ZONES").filter((z) => z.id!.startsWith("top-band"));
    for (const b of bands) {
      expect(b.fill).toBe("band");
      if (b.points.length === 4 && b.points[0]![1] !== b.points[1]![1])
        expect([b.points[3]![1] - b.points[0]![1], b.points[2]![1] - b.points[1]![1]]).toEqual([150, 150]);
    }
    expect(bands.some((b) => b.points[0]![1] !== b.points[1]![1])).toBe(true);
  });
  it("draws the studs of a stud wall where they stand, those nobody has looked for as two dashed edges, and its noggins", () => {
    const studs = { spacing: 600, first: 500, breadth: 40, noggins: [1200] };
    const given = withWall({ build: "stud", thickness: 100, studs });
    const f = face(given);
    const shapes = on(wallScene(given, f), "STUDS");
    const at = f.studs!.studs.map((s) => s.at);
    expect(shapes).toHaveLength(at.length + 1);
    const second = shapes.find((s) => s.kind === "line" && s.id === `${first} stud 2`)!;
    expect(box(second)).toEqual({ x0: 480, y0: -f.shape.height, x1: 520, y1: 0 });
    expect(box(shapes[shapes.length - 1]!)).toEqual({ x0: 0, y0: -1220, x1: f.shape.length, y1: -1180 });
    const unknown = withWall({ build: "stud", thickness: 100, studs: null });
    const rows = lines(wallScene(unknown, face(unknown)), "STUDS");
    const inner = face(unknown).studs!.studs.filter((s) => !s.known).length;
    expect(rows.filter((s) => s.dash)).toHaveLength(2 * inner);
    const masonry = withWall({ build: "masonry" });
    expect(on(wallScene(masonry, face(masonry)), "STUDS")).toEqual([]);
  });
  it("names an opening given on the other face by the room it was given in", () => {
    const door = { id: "dd", wall: "r1w0", kind: "door" as const, u: 900, v: 0, width: 800, height: 2040 };
    const h = layHouse({ ...job, openings: [...job.openings, door] });
    const other = h.faces[h.faceOfWall.get("r0w2")!]!;
    expect(said(on(wallScene(h, other), "NAMES")).some((t) => t === "door 800, from Room 2")).toBe(true);
    const own = h.faces[h.faceOfWall.get("r1w0")!]!;
    expect(said(on(wallScene(h, own), "NAMES"))).toContain("door 800");
  });
  it("draws every zone once, hatched by kind, and none when zones are not wanted or there is no wall", () => {
    const f = house.faces.find((x) => x.points.length > 0)!;
    const zones = lines(wallScene(house, f), "ZONES");
    expect(zones).toHaveLength(f.zones.length);
    f.zones.forEach((z, i) => {
      expect(zones[i]!.id).toBe(`${z.kind} ${z.pointId ?? ""}`);
      expect(zones[i]!.fill).toBe(
        z.kind.endsWith("band") ? "band" : z.kind.startsWith("reverse") ? "reverse" : "strip",
      );
      expect(box(zones[i]!)).toEqual({ x0: z.u0, x1: z.u1, y0: -z.v1, y1: 0 - z.v0 });
    });
    expect(on(wallScene(house, f, false), "ZONES")).toEqual([]);
    const open = withWall({ build: "open" });
    expect(on(wallScene(open, face(open)), "ZONES")).toEqual([]);
    expect(lines(wallScene(open, face(open)), "WALLS")[0]).toMatchObject({ fill: "page", dash: [8, 5] });
  });
  it("draws openings, fixtures, parts kept free and trunking found, each where it is and no other wall's", () => {
    const other = job.walls[1]!.id;
    const h = withWall(
      {},
      {
        openings: [
          { id: "o1", wall: first, kind: "window", u: 400, v: 900, width: 1000, height: 1050 },
          { id: "o2", wall: other, kind: "door", u: 400, v: 0, width: 838, height: 2040 },
        ],
        fixtures: [
          { id: "f1", wall: first, kind: "hob", name: "", u: 100, v: 900, width: 580, height: 20, depth: 520 },
          {
            id: "f2",
            wall: first,
            kind: "wardrobe",
            name: "Press",
            u: 1500,
            v: 0,
            width: 900,
            height: 2000,
            depth: 600,
          },
          { id: "f3", wall: other, kind: "oven", name: "", u: 0, v: 0, width: 600, height: 720, depth: 560 },
        ],
        forbidden: [
          { id: "k1", name: "", place: { on: "wall", wall: first, u: 50, v: 60, width: 70, height: 80 } },
          { id: "k2", name: "x", place: { on: "wall", wall: other, u: 50, v: 60, width: 70, height: 80 } },
        ],
        foundTrunkings: [
          { id: "t1", wall: first, size: "25x16", from: { u: 300, v: 1500 }, to: { u: 300, v: 2400 }, holds: [] },
          { id: "t2", wall: first, size: "25x16", from: { u: 300, v: 200 }, to: { u: 900, v: 200 }, holds: [] },
        ],
      },
    );
    const shapes = wallScene(h, face(h));
    expect(on(shapes, "OPENINGS").map((s) => s.id)).toEqual(["o1"]);
    expect(box(on(shapes, "OPENINGS")[0]!)).toEqual({ x0: 400, x1: 1400, y0: -1950, y1: -900 });
    expect(on(shapes, "FIXTURES").map((s) => s.id)).toEqual(["f1", "f2"]);
    expect(box(on(shapes, "FIXTURES")[1]!)).toEqual({ x0: 1500, x1: 2400, y0: -2000, y1: 0 });
    expect(lines(shapes, "KEPT-FREE").map((s) => [s.id, box(s)])).toEqual([
      ["k1", { x0: 50, x1: 120, y0: -140, y1: -60 }],
    ]);
    const width = h.catalogue.trunkings.find((t) => t.id === "25x16")!.width;
    expect(on(shapes, "FOUND").map(box)).toEqual([
      { x0: 300 - width / 2, x1: 300 + width / 2, y0: -2400, y1: -1500 },
      { x0: 300, x1: 900, y0: -200 - width / 2, y1: -200 + width / 2 },
    ]);
    expect(said(shapes)).toEqual(expect.arrayContaining(["window 1\u2009000", "hob", "Press", "kept free"]));
  });
  it("has the decks over and under as strips, with a joist wherever one meets the wall", () => {
    for (const f of house.faces) {
      const shapes = wallScene(house, f);
      const strips = lines(shapes, "DECKS");
      for (const s of strips) {
        const b = box(s);
        expect([b.y0, b.y1]).toEqual(
          b.y0 < 0
            ? [-f.shape.height - STRIP_GAP - STRIP, -f.shape.height - STRIP_GAP]
            : [STRIP_GAP, STRIP_GAP + STRIP / 2],
        );
        expect([b.x0, b.x1]).toEqual([0, f.shape.length]);
      }
      for (const j of lines(shapes, "JOISTS")) {
        const b = box(j);
        const deck = house.decks.find((d) =>
          strips.some((s) => s.id === d.deck.id && box(s).y0 < b.y0 && box(s).y1 > b.y1),
        )!;
        const crossing = Math.abs(deck.across === "x" ? f.frame.along.x : f.frame.along.y) > 0.5;
        if (!crossing) continue;
        const u = (b.x0 + b.x1) / 2;
        const at =
          deck.across === "x" ? f.frame.origin[0] + f.frame.along.x * u : f.frame.origin[1] + f.frame.along.y * u;
        expect(deck.joists.some((x) => Math.abs(x.at - at) < 1e-6)).toBe(true);
        expect(b.x1 - b.x0).toBeCloseTo(deck.deck.joists.breadth, 6);
      }
      expect(said(shapes)[said(shapes).length - 2]).toMatch(new RegExp(`^Wall ${f.wall.index + 1} · `));
    }
    expect(house.faces.flatMap((f) => lines(wallScene(house, f), "JOISTS")).length).toBeGreaterThan(10);
    const bare = layHouse({ ...job, decks: [], points: job.points.filter((p) => p.place.on === "wall") });
    expect(said(wallScene(bare, face(bare)))).toContain("no deck over");
  });
  it("says what the wall is made of", () => {
    const w = { ...job.walls[0]!, build: "stud" as const, thickness: 100, foilBacked: true };
    expect(wallWords({ ...w, backing: "party" })).toBe("stud 100, foil-backed, party wall");
    expect(wallWords({ ...w, foilBacked: false, backing: "outside" })).toBe("stud 100, outside behind");
    expect(wallWords({ ...w, build: "open" })).toBe("open, no wall");
  });
});

describe("the hatch of a zone", () => {
  it("tells a band, a strip of this face and a strip of the other face apart", () => {
    const two = layHouse(twoRooms());
    const hatches = new Map(
      two.faces.flatMap((f) => lines(wallScene(two, f), "ZONES").map((z) => [z.id!.split(" ")[0]!, z.fill])),
    );
    expect(Object.fromEntries(hatches)).toEqual({
      "top-band": "band",
      "corner-band": "band",
      "point-vertical": "strip",
      "point-horizontal": "strip",
      "reverse-vertical": "reverse",
      "reverse-horizontal": "reverse",
    });
  });
});

describe("the scene of a storey", () => {
  it("has every room's outline, and openings as thick as their wall", () => {
    const shapes = planScene(house, "g", "r1");
    const rooms = lines(shapes, "ROOMS");
    expect(rooms.map((r) => r.points.map(([x, y]) => ({ x, y: -y })))).toEqual(
      job.rooms.filter((r) => r.storey === "g").map((r) => r.outline),
    );
    expect(rooms.map((r) => r.fill)).toEqual(
      job.rooms.filter((r) => r.storey === "g").map((r) => (r.id === "r1" ? "plaster" : "panel")),
    );
    for (const o of job.openings) {
      const f = house.faces[house.faceOfWall.get(o.wall)!]!;
      const b = box(lines(shapes, "OPENINGS").find((s) => s.id === o.id)!);
      const level = Math.abs(f.frame.along.x) > 0.5;
      const [long, deep] = level ? [b.x1 - b.x0, b.y1 - b.y0] : [b.y1 - b.y0, b.x1 - b.x0];
      expect([long, deep].map((n) => Math.round(n))).toEqual([o.width, Math.min(600, f.shape.thickness)]);
    }
  });
  it("draws what hangs high dashed, a hob with four plates and a sink with its waste", () => {
    const at = { wall: first, name: "", u: 200, depth: 500 };
    const h = withWall(
      {},
      {
        fixtures: [
          { id: "hob", kind: "hob", v: 900, width: 580, height: 20, ...at },
          { id: "sink", kind: "sink", v: 720, width: 500, height: 180, ...at },
          { id: "high", kind: "wall-unit", v: 1300, width: 600, height: 700, ...at },
          { id: "low", kind: "oven", v: 1299, width: 600, height: 700, ...at },
        ],
      },
    );
    const mine = (id: string): Shape[] => on(planScene(h, "g"), "FIXTURES").filter((s) => s.id === id);
    expect(mine("hob").filter((s) => s.kind === "circle")).toHaveLength(4);
    expect(mine("sink").filter((s) => s.kind === "circle")).toHaveLength(1);
    expect(mine("high")[0]).toMatchObject({ dash: [4, 3] });
    expect(mine("low")[0]).not.toHaveProperty("dash");
    expect(mine("low")[0]).toMatchObject({ fill: "metal" });
  });
  it("has a run's legs that lie between the storey's floor and its ceilings, and no others", () => {
    const band = storeyBand(job, "g");
    expect(band.low).toBe(-600);
    expect(band.high).toBe(Math.max(...job.rooms.map((r) => r.height)) + 500);
    for (const r of plan.runs) {
      const legs = legsFromAbove(r, band);
      expect(legs.map((l) => l.leg)).toEqual(
        r.legs.flatMap((l, i) => (l.path.every((p) => p[2] >= band.low && p[2] <= band.high) ? [i] : [])),
      );
      for (const l of legs) expect(l.points).toEqual(r.legs[l.leg]!.path.map((p) => [p[0], -p[1]]));
    }
  });
  it("gives no two circuits of twelve one line", () => {
    const many = {
      ...job,
      circuits: Array.from({ length: 12 }, (_, i) => ({ ...job.circuits[0]!, id: `c${i}`, label: `C${i + 10}` })),
    };
    const looks = [...runStyles(many).values()].map((s) => `${s.ink} ${s.dash.join(" ")}`);
    expect(new Set(looks).size).toBe(12);
    expect([...runStyles(many).values()].map((s) => s.label)).toEqual(many.circuits.map((c) => c.label));
    expect(runLayer("Li 1/2")).toBe("RUNS-Li_1_2");
  });
});

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
    expect(sideLengths(square)).toEqual(["2\u2009000", "3\u2009000", "2\u2009000", "3\u2009000"]);
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
