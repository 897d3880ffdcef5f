import { describe, expect, it } from "vitest";
import { answer, sheetOf } from "./calculator";
import { calculatorNamed, calculators } from "./registry";

const ask = (name: string, input: unknown): Record<string, unknown> => {
  const a = answer(calculatorNamed(name)!, input);
  if (!a.ok) throw new Error(a.error.message);
  return a.output as Record<string, unknown>;
};
const refused = (name: string, input: unknown): string => {
  const a = answer(calculatorNamed(name)!, input);
  return a.ok ? "" : `${a.error.path} | ${a.error.message}`;
};
const rules = (o: Record<string, unknown>): string[] =>
  (o.findings as { rule: string; severity: string }[]).map((f) => `${f.rule} ${f.severity}`);

describe("each calculator with its first input", () => {
  for (const c of calculators)
    it(`${c.name} answers, its answer has the published shape, and its sheet speaks`, () => {
      const a = answer(c, c.first);
      expect(a).toMatchObject({ ok: true });
      if (!a.ok) return;
      expect(c.output.safeParse(a.output).error).toBeUndefined();
      const sheet = sheetOf(c, c.first)!;
      expect(sheet.headline).toMatch(/^[^{}]{12,}[.]$/);
      expect(sheet.headline).not.toMatch(/NaN|undefined|Infinity/);
      for (const s of sheet.scene?.shapes ?? []) expect(JSON.stringify(s)).not.toMatch(/null|NaN|undefined/);
      const at = sheet.tape?.marks.map((m) => m.at) ?? [];
      expect(at).toEqual([...at].sort((x, y) => x - y));
      for (const x of at) expect(x).toBeLessThanOrEqual(sheet.tape!.length + 1e-6);
    });
});

// Source of the figures below: the trade's worked examples (sets, trays, clips) and arithmetic by hand, written out beside each.
describe("folds and bends, worked by hand", () => {
  it("folds a right angle with a notch as wide as the sides are deep: 50 × tan 45° = 50", () => {
    const o = ask("fold.trunking", { depth: 50, angle: 90, at: 300 });
    expect(o.halfNotch).toBeCloseTo(50, 9);
    expect([o.near, o.far]).toEqual([expect.closeTo(250, 9), expect.closeTo(350, 9)]);
    expect(rules(ask("fold.trunking", { depth: 50, angle: 90, at: 40 }))).toEqual(["fold.room stop"]);
  });
  it("makes a set of 42 in 75 trunking with half notch 15: θ = 2 atan(15/75) = 22.62°, pitch 42/sin θ + 15 = 124.2, second cut from 109.2", () => {
    const o = ask("fold.set", { depth: 75, offset: 42, halfNotch: 15 });
    expect(o.angle).toBeCloseTo(22.62, 2);
    expect(o.pitch).toBeCloseTo(124.2, 9);
    expect(o.secondNear).toBeCloseTo(109.2, 9);
    expect(o.marks).toEqual([-15, 0, 15, 109.2, 124.2, 139.2].map((x) => expect.closeTo(x, 9)));
    expect(ask("fold.set", { depth: 75, offset: 42, angle: o.angle }).pitch).toBeCloseTo(124.2, 9);
    expect(refused("fold.set", { depth: 75, offset: 42 })).toMatch(/^angle \| .*either an angle or a half notch/);
    expect(refused("fold.set", { depth: 75, offset: 42, halfNotch: 80 })).toMatch(
      /halfNotch: got 80; must be at most 75/,
    );
  });
  it("bends 150 tray flat through 90° with cuts 150 × sin 45° = 106.07 from the centre", () => {
    expect(ask("fold.tray", { width: 150, angle: 90 }).cutOffset).toBeCloseTo(106.066, 3);
    expect(ask("fold.tray", { width: 150, angle: 90, at: 500 }).marks).toEqual([
      expect.closeTo(393.934, 3),
      500,
      expect.closeTo(606.066, 3),
    ]);
  });
  it("starts a bend in 20 conduit, inner radius 50, leg 300: R 60, start 300 − 10 − 60 = 230, arc 94.25", () => {
    const o = ask("bend.conduit-90", { outside: 20, innerRadius: 50, leg: 300 });
    expect(o).toMatchObject({
      start: 230,
      arc: expect.closeTo(94.2478, 4),
      end: expect.closeTo(324.2478, 4),
      findings: [],
    });
    expect(rules(ask("bend.conduit-90", { outside: 20, innerRadius: 49.9, leg: 300 }))).toEqual(["bend.conduit stop"]);
    expect(refused("bend.conduit-90", { outside: 20, innerRadius: 50, leg: 69 })).toMatch(
      /leg: got 69; must be at least 70/,
    );
  });
  it("sets conduit by 60 at 30°: 120 − 2·60·tan 15° + 60·0.5236 = 119.26", () => {
    expect(ask("bend.conduit-set", { outside: 20, innerRadius: 50, offset: 60, angle: 30 }).centreToCentre).toBeCloseTo(
      120 - 120 * Math.tan(Math.PI / 12) + 10 * Math.PI,
      6,
    );
    expect(refused("bend.conduit-set", { outside: 20, innerRadius: 50, offset: 10, angle: 30 })).toMatch(
      /offset: got 10; must be at least 16\.1/,
    );
  });
  it("takes the radius by its band, 10 and 25 inclusive, of the dimension taken", () => {
    const r = (input: object) => [ask("bend.radius", input).factor, ask("bend.radius", input).radius];
    expect(r({ family: "sheathed", overall: 10 })).toEqual([3, 30]);
    expect(r({ family: "sheathed", overall: 10.001 })[0]).toBe(4);
    expect(r({ family: "sheathed", overall: 25 })).toEqual([4, 100]);
    expect(r({ family: "sheathed", overall: 25.001 })[0]).toBe(6);
    expect(r({ family: "sheathed", width: 10.1, thickness: 5.8 })).toEqual([4, 40.4]);
    expect(r({ family: "sheathed", width: 10.1, thickness: 5.8, about: "thickness" })[0]).toBe(3);
    expect(r({ family: "armoured", overall: 14.1 })[0]).toBe(6);
    expect(r({ family: "armoured", overall: 14.1, conductor: "shaped" })[0]).toBe(8);
    expect(r({ family: "mi", overall: 5.7 })[0]).toBe(6);
    expect(rules(ask("bend.radius", { family: "sheathed", overall: 8, actual: 23.9 }))).toEqual(["bend.radius stop"]);
    expect(rules(ask("bend.radius", { family: "sheathed", overall: 8, actual: 24 }))).toEqual([]);
  });
});

describe("ends, worked by hand", () => {
  it("picks 20S for three cores of 2.5 (9.5 / 14.1 / 0.9), hole 20.5, 24 across flats, 27 across corners", () => {
    expect(ask("gland.pick", { cable: { catalogue: "swa-3x2.5" }, outdoor: true })).toEqual({
      gland: "20S",
      thread: "M20",
      hole: 20.5,
      acrossFlats: 24,
      acrossCorners: 27,
      findings: [],
    });
    expect(refused("gland.pick", { cable: { catalogue: "te-2.5" }, outdoor: true })).toMatch(
      /^cable.catalogue \| .*must be one of swa-2x1.5/,
    );
  });
  it("warns within 0.3 of an edge: two cores of 6 are 15.9 over the sheath, the most a 20S takes", () => {
    expect(ask("gland.pick", { cable: { catalogue: "swa-2x6" }, outdoor: true })).toMatchObject({
      gland: "20S",
      findings: [{ rule: "gland.edge" }],
    });
    expect(rules(ask("gland.pick", { cable: { bedding: 9.5, overall: 15.6, wire: 0.9 }, outdoor: true }))).toEqual([
      "gland.edge warn",
    ]);
    expect(rules(ask("gland.pick", { cable: { bedding: 9.5, overall: 15.59, wire: 0.9 }, outdoor: true }))).toEqual([]);
  });
  it("lets the least sheath bind only where the gland seals on it", () => {
    const thin = { bedding: 8, overall: 9.4, wire: 0.9 };
    expect(ask("gland.pick", { cable: thin, outdoor: false }).gland).toBe("20S");
    expect(ask("gland.pick", { cable: thin, outdoor: true })).toMatchObject({
      gland: null,
      findings: [{ rule: "gland.fit", severity: "stop" }],
    });
  });
  it("sets four glands in 200: modules 37, 37, 51.5, 51.5, slack 23 shared 5.75 each", () => {
    const o = ask("gland.row", { width: 200, glands: ["20S", "20S", "25"], spare: 1 });
    expect(o.slack).toBeCloseTo(23, 9);
    expect((o.holes as { x: number }[]).map((h) => h.x)).toEqual(
      [21.375, 64.125, 114.125, 171.375].map((x) => expect.closeTo(x, 9)),
    );
    expect((o.holes as { spare: boolean }[]).map((h) => h.spare)).toEqual([false, false, false, true]);
  });
  it("says how many would fit: 3 × 37 = 111 in 100 leaves two", () => {
    expect(ask("gland.row", { width: 100, glands: ["20S", "20S", "20S"] })).toMatchObject({
      fits: false,
      holes: [],
      slack: -11,
      findings: [{ rule: "gland.row", message: expect.stringMatching(/2 of them would fit/) }],
    });
    expect(ask("gland.row", { width: 111, glands: ["20S", "20S", "20S"] }).fits).toBe(true);
    expect(refused("gland.row", { width: 100, glands: ["19"] })).toMatch(/glands.0: got "19"; must be one of 20S, 20/);
  });
  it("stops armour along the arc: no bow gives the chord, half a circle gives π/2 of it", () => {
    expect(ask("armour.cut", { chord: 1000, sweep: 0, tails: 200 })).toEqual({ armourStop: 1000, cut: 1200 });
    expect(ask("armour.cut", { chord: 1000, sweep: 500, tails: 0 }).armourStop).toBeCloseTo(500 * Math.PI, 6);
  });
  it("strips a second mineral end: 850 + 4, 60 of tails, stripper 45", () =>
    expect(ask("mi.strip", { faceToFace: 850, entry: 4, stripperBody: 45 })).toEqual({
      sheathEnd: 854,
      cut: 914,
      coverMark: 809,
      findings: [],
    }));
  it("leaves 70 past a 70 box from the top, 60 from the side, and warns outside 50 to 70", () => {
    expect(ask("tails.length", { box: { width: 70, height: 70 }, entry: "top" }).length).toBe(140);
    expect(ask("tails.length", { box: { width: 130, height: 70 }, entry: "left" }).length).toBe(190);
    expect(rules(ask("tails.length", { box: { width: 70, height: 70 }, entry: "top", past: 49 }))).toEqual([
      "end.tail warn",
    ]);
    expect(rules(ask("tails.length", { box: { width: 70, height: 70 }, entry: "top", past: 50 }))).toEqual([]);
  });
  it("knows mineral cable by its designation", () => {
    expect(ask("mi.cable", { designation: "4l2.5", covered: true })).toMatchObject({
      sheath: 8.1,
      overall: expect.closeTo(9.6, 9),
      volts: 500,
      clipHorizontal: 900,
      clipVertical: 1200,
    });
    expect(refused("mi.cable", { designation: "9X9" })).toMatch(/must be one of 2L1/);
  });
});

describe("outside, worked by hand", () => {
  it("hangs 3500 over people and 5800 over a road, edges inclusive", () => {
    expect(rules(ask("outside.overhead", { beneath: "foot", height: 3500, span: 8000, catenary: true }))).toEqual([]);
    expect(rules(ask("outside.overhead", { beneath: "foot", height: 3499, span: 8000, catenary: true }))).toEqual([
      "overhead.height stop",
    ]);
    expect(ask("outside.overhead", { beneath: "caravan-vehicles", height: 7000, span: 1, catenary: true }).least).toBe(
      6000,
    );
    expect(rules(ask("outside.overhead", { beneath: "road", height: 5800, span: 8000, catenary: false }))).toEqual([
      "overhead.catenary stop",
    ]);
  });
  it("buries at 600, warns below, stops below 450", () => {
    const t = (depth: number, more = {}) =>
      rules(ask("outside.buried", { depth, armoured: true, duct: false, bedding: 75, marker: 150, ...more }));
    expect(t(600)).toEqual([]);
    expect(t(599)).toEqual(["buried.depth warn"]);
    expect(t(450)).toEqual(["buried.depth warn"]);
    expect(t(449)).toEqual(["buried.depth stop"]);
    expect(t(600, { armoured: false })).toEqual(["buried.protection stop"]);
    expect(t(600, { bedding: false, marker: false })).toEqual(["buried.bedding warn", "buried.marker warn"]);
    expect(t(600, { bedding: true, marker: true })).toEqual([]);
    expect(t(600, { marker: 600 })).toEqual(["buried.marker warn"]);
  });
  it("slopes a hole through 300 by 15: atan 0.05 = 2.862°, 300.37 along the bit", () =>
    expect(ask("outside.fall", { through: 300 })).toMatchObject({
      angle: expect.closeTo(2.862, 3),
      bore: expect.closeTo(300.375, 3),
      findings: [],
    }));
  it("sets five lights along 12 m, 1 m from the ends, 2.5 m apart, sides in turn", () => {
    const o = ask("outside.lights", { length: 12000, count: 5, end: 1000, sides: 2 });
    expect(o).toEqual({
      gap: 2500,
      positions: [1000, 3500, 6000, 8500, 11000].map((at, i) => ({ at, side: i % 2 === 1 ? 2 : 1 })),
    });
    expect(refused("outside.lights", { length: 1000, count: 2, end: 501, sides: 1 })).toMatch(
      /end: got 501; must be at most 500/,
    );
  });
});

describe("fixings, both sides of every band", () => {
  const spacing = (family: string, overall: number, orientation = "horizontal") =>
    ask("clip.spacing", { family, overall, orientation, reachable: true }).max;
  it("takes sheathed cable at exactly 9, 15, 20, 40 in the smaller band", () => {
    expect([9, 9.01, 15, 15.01, 20, 20.01, 40, 40.01].map((d) => spacing("sheathed", d))).toEqual([
      250,
      300,
      300,
      350,
      350,
      400,
      400,
      null,
    ]);
    expect([9, 9.01, 15, 15.01, 20, 20.01, 40, 40.01].map((d) => spacing("sheathed", d, "vertical"))).toEqual([
      400,
      400,
      400,
      450,
      450,
      550,
      550,
      null,
    ]);
  });
  it("takes armoured and mineral cable likewise", () => {
    expect([9, 9.01, 15.01, 20.01, 40.01].map((d) => spacing("armoured", d))).toEqual([null, 350, 400, 450, null]);
    expect(spacing("armoured", 35, "vertical")).toBe(600);
    expect([9, 9.01, 15.01, 20.01].map((d) => spacing("mi", d))).toEqual([600, 900, 1500, null]);
  });
  it("supports conduit and trunking by their tables", () => {
    const conduit = (material: string, outside: number, orientation = "horizontal") =>
      ask("clip.conduit", { material, outside, orientation }).max;
    expect([16, 16.1, 25, 25.1, 40, 40.1].map((d) => conduit("metal", d))).toEqual([750, 1750, 1750, 2000, 2000, 2250]);
    expect(conduit("pliable", 20, "vertical")).toBe(600);
    const trunking = (w: number, h: number, orientation = "horizontal") =>
      ask("clip.trunking", { material: "metal", width: w, height: h, orientation }).max;
    expect([
      trunking(15, 20),
      trunking(20, 35),
      trunking(50, 30),
      trunking(50, 50),
      trunking(100, 50),
      trunking(100, 100),
    ]).toEqual([null, 750, 1250, 1750, 3000, 3000]);
  });
  it("asks for metal over an escape route, and 150 beside or 300 above its door", () => {
    const fire = (more: object) => rules(ask("clip.fire", { where: "surface", fixings: "plastic", ...more }));
    expect(fire({})).toEqual(["fire.collapse warn"]);
    expect(fire({ overEscape: true })).toEqual(["fire.collapse stop"]);
    expect(fire({ besideDoor: 150 })).toEqual(["fire.collapse stop"]);
    expect(fire({ besideDoor: 151, aboveDoor: 301 })).toEqual(["fire.collapse warn"]);
    expect(fire({ overEscape: true, fixings: "metal" })).toEqual([]);
    expect(fire({ where: "suspended-ceiling", fixings: "metal" })).toEqual(["fire.suspended stop"]);
  });
  it("bores a stud of 89 up to 22.25 at mid-depth", () => {
    expect(rules(ask("timber.stud", { depth: 89, diameter: 22.25 }))).toEqual([]);
    expect(rules(ask("timber.stud", { depth: 89, diameter: 22.3 }))).toEqual(["timber.stud stop"]);
    expect(rules(ask("timber.stud", { depth: 89, diameter: 20, inZone: false }))).toEqual(["timber.stud warn"]);
  });
});

describe("lights, chases and baths", () => {
  it("wires two lights and a landing: two drops, and three cores between the two-way switches", () => {
    const o = ask("lighting.wire", calculatorNamed("lighting.wire")!.first);
    expect(o.loops).toEqual(["L1", "L2"]);
    expect(o.cables).toEqual([
      { from: "L1", to: "W1", cores: 2, carries: ["line", "switched-line"] },
      { from: "L2", to: "W1", cores: 2, carries: ["line", "switched-line"] },
      { from: "W1", to: "W2", cores: 3, carries: ["common", "strapper-1", "strapper-2"] },
    ]);
    const across = { feed: "rose", lights: ["L"], switches: [{ id: "W", gangs: [{ works: ["L"] }] }] };
    expect(rules(ask("lighting.wire", { ...across, circuits: { L: "up", W: "down" } }))).toEqual([
      "lighting.borrowed stop",
    ]);
    expect(refused("lighting.wire", { ...across, lights: ["L", "L"] })).toMatch(/^lights\.1 \| .*got "L"/);
    expect(refused("lighting.wire", { ...across, lights: [] })).toMatch(
      /^switches\.0\.gangs\.0\.works\.0 \| .*must be one of/,
    );
    expect(refused("lighting.wire", { ...across, switches: [{ id: "L", gangs: [] }] })).toMatch(/^switches\.0\.id \| /);
  });
  it("lets a chase take a third of the leaf plumb and a sixth level", () => {
    const chase = (depth: number, direction: string) => ask("chase.depth", { leaf: 90, depth, direction });
    expect([chase(30, "plumb").most, chase(15, "level").most]).toEqual([30, 15]);
    expect([rules(chase(30, "plumb")), rules(chase(15, "level"))]).toEqual([[], []]);
    expect([rules(chase(30.1, "plumb")), rules(chase(15.1, "level"))]).toEqual([
      ["chase.depth stop"],
      ["chase.depth stop"],
    ]);
  });
  it("tells zones of a bathroom, what may stand there, and refuses what lies outside it", () => {
    const first = calculatorNamed("bath.check")!.first as { points: object[] };
    const o = ask("bath.check", first);
    expect(o.points).toEqual([
      { id: "L1", zone: null, toZone1: 500 },
      { id: "FN1", zone: 1, toZone1: 0 },
      { id: "SV1", zone: null, toZone1: 1680 },
    ]);
    expect(rules(o)).toEqual([]);
    const with_ = (p: object) => ({ ...first, points: [{ id: "p", kind: "light", x: 350, y: 900, z: 2000, ...p }] });
    expect(rules(ask("bath.check", with_({})))).toEqual(["bath.ip warn"]);
    expect(rules(ask("bath.check", with_({ ip: "IP43" })))).toEqual(["bath.ip stop"]);
    expect(rules(ask("bath.check", with_({ ip: "44" })))).toEqual([]);
    expect(rules(ask("bath.check", with_({ kind: "socket", x: 2400, y: 2600 })))).toEqual(["bath.socket stop"]);
    expect(refused("bath.check", with_({ x: 2401 }))).toMatch(/^points\.0\.x \| .*got 2401; must lie in the room/);
    expect(refused("bath.check", { ...first, bath: { x: 1800, y: 0, width: 700, depth: 700 } })).toMatch(
      /^bath\.x \| /,
    );
  });
});
