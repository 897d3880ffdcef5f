import { sectionShapes } from "./section-drawings";
import { describe, expect, it } from "vitest";
import { layHouse } from "../house/house";
import { twoRooms } from "../house/two-rooms.fixture";
import { planScene } from "./plan-scene";
import { legsFromAbove, runLayer, runStyles, storeyBand } from "./run-lines";
import { type Shape } from "./scene";
import { STRIP, STRIP_GAP, faceOutline, wallScene, wallWords } from "./wall-scene";
import { job, house, plan, on, lines, box, said, withWall, first, face } from "./scenes.fixture";

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
    const sections = sectionShapes(h, face(h)).filter((s) => s.kind === "line");
    expect(sections.map((s) => [s.id, box(s)])).toEqual([
      ["t1", { x0: 300 - width / 2, x1: 300 + width / 2, y0: -2400, y1: -1500 }],
      ["t2", { x0: 300, x1: 900, y0: -200 - width / 2, y1: -200 + width / 2 }],
    ]);
    expect(said(shapes)).toEqual(expect.arrayContaining(["window 1\u202f000", "hob", "Press", "kept free"]));
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
    expect(wallWords({ ...w, fireResisting: true })).toMatch(/, holds fire back$/);
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
