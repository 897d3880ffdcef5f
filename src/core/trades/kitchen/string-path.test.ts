import { describe, expect, it } from "vitest";
import { layHouse } from "../../house/house";
import { type Job, jobSchema } from "../../job/model";
import { makePlan } from "../../plan/plan";
import { servingFacts } from "./room-kitchen";
import { notifyFacts, stringPaths, tautString } from "./string-path";

/** A kitchen 4 000 × 3 000 with a sink 500 × 500 in the north-west corner, and a dining room beyond a 100 mm wall to the east. */
function kitchen(more: { openings?: object[]; fixtures?: object[]; points: object[]; country?: string }): Job {
  const room = (id: string, x: number, w: number) => ({
    id,
    storey: "g",
    name: id,
    kind: "kitchen",
    height: 2400,
    outline: [
      { x, y: 0 },
      { x, y: 3000 },
      { x: x + w, y: 3000 },
      { x: x + w, y: 0 },
    ],
  });
  return jobSchema.parse({
    id: "k",
    name: "k",
    dwelling: { country: more.country ?? "wales" },
    storeys: [{ id: "g", name: "g", level: 0, height: 2400 }],
    rooms: [room("a", 0, 4000), room("b", 4100, 3000)],
    walls: ["a", "b"].flatMap((r) =>
      [0, 1, 2, 3].map((index) => ({ id: `${r}${index}`, room: r, index, thickness: 100 })),
    ),
    openings: more.openings ?? [],
    fixtures: [
      { id: "sink", wall: "a1", kind: "sink", u: 0, v: 720, width: 500, height: 180, depth: 500 },
      ...(more.fixtures ?? []),
    ],
    decks: [],
    circuits: [],
    pins: [],
    drums: [],
    points: more.points,
  });
}
const socket = (id: string, wall: string, u: number, v = 1056) => ({
  id,
  label: id,
  kind: "socket",
  place: { on: "wall", wall, u, v },
});
const lengths = (j: Job): Record<string, number> =>
  Object.fromEntries(stringPaths(layHouse(j)).map((s) => [s.point, Math.round(s.length * 10) / 10]));

describe("the taut string from the sink", () => {
  it("runs straight along the wall and over the floor, on the limit still within it", () => {
    // Wall a1 is the north wall from the west: the bowl ends at 500.
    expect(
      lengths(kitchen({ points: [socket("S1", "a1", 1500), socket("S2", "a1", 3500), socket("S3", "a1", 3501)] })),
    ).toEqual({ S1: 1000, S2: 3000 });
    // East wall from the north: the bowl's corner (500, 2500) to (2500, 0): 2 000 across, 2 500 down is too far; (2000, 500) on the south wall is 2 915.5.
    expect(lengths(kitchen({ points: [socket("S1", "a3", 2000)] }))).toEqual({ S1: 2915.5 });
  });
  it("stops at a wall and at a door that closes, and goes through an arch", () => {
    // Dining room, west wall (b0 runs north): a point at 1 500 up is 100 beyond the kitchen's east wall.
    const points = [socket("S1", "b0", 1600), socket("S2", "a2", 1400)];
    const at3400 = [{ id: "sink2", wall: "a1", kind: "sink", u: 3000, v: 720, width: 500, height: 180, depth: 500 }];
    expect(Object.keys(lengths(kitchen({ points, fixtures: at3400 })))).toEqual(["S2"]);
    const door = { id: "o", wall: "a2", kind: "door", u: 2000, v: 0, width: 800, height: 2040 };
    expect(Object.keys(lengths(kitchen({ points, fixtures: at3400, openings: [door] })))).toEqual(["S2"]);
    const arch = { ...door, kind: "arch" };
    const found = stringPaths(layHouse(kitchen({ points, fixtures: at3400, openings: [arch] }))).find(
      (s) => s.point === "S1",
    )!;
    // From the bowl's corner (3500, 2500) to the jamb (4000, 1000), through to (4100, 1000), then up to (4100, 1600).
    expect(found.path.map((p) => [p.x, p.y])).toEqual([
      [3500, 2500],
      [4000, 1000],
      [4100, 1000],
      [4100, 1600],
    ]);
    expect(found.length).toBeCloseTo(Math.hypot(500, 1500) + 100 + 600, 6);
  });
  it("bends round a tall unit but goes over a low one", () => {
    const unit = (height: number) => ({
      id: "u",
      wall: "a1",
      kind: "tall-unit",
      u: 900,
      v: 0,
      width: 600,
      height,
      depth: 600,
    });
    const points = [socket("S1", "a1", 2000)];
    expect(lengths(kitchen({ points, fixtures: [unit(850)] }))).toEqual({ S1: 1500 });
    // Out to (900, 600 off), along to (1500, 600 off), back to the wall: from the bowl's front corner (500, 500 off).
    expect(lengths(kitchen({ points, fixtures: [unit(2100)] })).S1).toBeCloseTo(
      Math.hypot(400, 100) + 600 + Math.hypot(500, 600),
      1,
    );
  });
  it("is a note for new work in a Welsh dwelling only", () => {
    const points = [socket("S1", "a1", 1500), { ...socket("S2", "a1", 1800), existing: true }];
    expect(
      notifyFacts(layHouse(kitchen({ points }))).map((f) => `${f.rule} ${f.subject.id} ${f.severity} ${f.measured}`),
    ).toEqual(["kitchen.notify.wales S1 note 1000"]);
    expect(notifyFacts(layHouse(kitchen({ points, country: "england" })))).toEqual([]);
    expect(makePlan(kitchen({ points })).facts.some((f) => f.rule === "kitchen.notify.wales")).toBe(true);
  });
});

describe("what serves what, in the whole room", () => {
  const top = { id: "top", wall: "a1", kind: "worktop", u: 0, v: 860, width: 4000, height: 40, depth: 600 };
  const rules = (j: Job): string[] => servingFacts(layHouse(j)).map((f) => `${f.rule} ${f.subject.id}`);
  it("measures from the nearest control to the hob's middle, across the corner", () => {
    // Hob's middle: 3 300 along the north wall, 300 off it, 910 up. Control on the east wall (a2 runs south).
    const hob = { id: "hob", wall: "a1", kind: "hob", u: 3000, v: 900, width: 600, height: 20, depth: 600 };
    const control = (u: number) => ({
      id: "C1",
      label: "C1",
      kind: "cooker-control",
      place: { on: "wall", wall: "a2", u, v: 910 },
    });
    // 700 across, 300 + x down: within 2 000 while x ≤ 300 + √(2000² − 700²) = 2 173.5.
    expect(rules(kitchen({ points: [control(2173)], fixtures: [hob] }))).toEqual([]);
    expect(rules(kitchen({ points: [control(2174)], fixtures: [hob] }))).toEqual(["kitchen.control-reach C1"]);
    expect(
      rules(kitchen({ points: [control(2900), { ...control(600), id: "C2", label: "C2" }], fixtures: [hob] })),
    ).toEqual([]);
  });
  it("wants a switch above the worktop that works the outlet below it", () => {
    const low = { id: "A1", label: "A1", kind: "appliance-outlet", place: { on: "wall", wall: "a1", u: 2000, v: 450 } };
    const unit = (v: number, controls: string[]) => ({
      id: "F1",
      label: "F1",
      kind: "fused-unit",
      controls,
      place: { on: "wall", wall: "a1", u: 2000, v },
    });
    expect(rules(kitchen({ points: [low], fixtures: [top] }))).toEqual(["kitchen.appliance-switch A1"]);
    expect(rules(kitchen({ points: [low, unit(1056, [])], fixtures: [top] }))).toEqual(["kitchen.appliance-switch A1"]);
    expect(rules(kitchen({ points: [low, unit(1056, ["A1"])], fixtures: [top] }))).toEqual([]);
    expect(rules(kitchen({ points: [low, unit(600, ["A1"])], fixtures: [top] }))).toEqual([
      "kitchen.appliance-switch A1",
    ]);
    // An outlet over the worktop wants none; nor does any where there is no worktop, or on a ceiling.
    const at = (v: number) => ({ ...low, place: { ...low.place, v } });
    expect(rules(kitchen({ points: [at(901)], fixtures: [top] }))).toEqual([]);
    expect(rules(kitchen({ points: [at(900)], fixtures: [top] }))).toHaveLength(1);
    expect(rules(kitchen({ points: [low] }))).toEqual([]);
    // Where worktops differ in height, the highest parts above from below.
    const bar = { ...top, id: "bar", wall: "a2", v: 1060 };
    expect(rules(kitchen({ points: [low, unit(1056, ["A1"])], fixtures: [top, bar] }))).toHaveLength(1);
    expect(rules(kitchen({ points: [low, unit(1101, ["A1"])], fixtures: [top, bar] }))).toEqual([]);
    // A socket that names it switches nothing.
    const plug = { ...unit(1056, ["A1"]), id: "S1", label: "S1", kind: "socket" };
    expect(rules(kitchen({ points: [low, plug], fixtures: [top] }))).toHaveLength(1);
    expect(servingFacts(layHouse(kitchen({ points: [low], fixtures: [top] })))[0]!.subject).toEqual({
      kind: "point",
      id: "A1",
    });
  });
});

describe("a string over an open floor", () => {
  const room = [
    { x: 0, y: 0 },
    { x: 0, y: 3000 },
    { x: 4000, y: 3000 },
    { x: 4000, y: 0 },
  ];
  const at = (x: number, y: number) => ({ x, y });
  type Block = [{ x: number; y: number }, { x: number; y: number }];
  const string = (blocks: Block[], from = at(500, 1500), to = at(3500, 1500), areas = [room]) => {
    const t = tautString({ areas, blocks, corners: [...blocks.flat(), ...areas.flat()] }, [from], to);
    return t && { length: Math.round(t.length * 10) / 10, bends: t.path.slice(1, -1).map((p) => [p.x, p.y]) };
  };
  it("lies straight where nothing stands between", () => {
    expect(string([])).toEqual({ length: 3000, bends: [] });
    expect(string([], at(500, 1500), at(500, 1500))).toEqual({ length: 0, bends: [] });
  });
  it("bends round the nearer end of what stands across it, whichever way that was drawn", () => {
    // A screen from (2000, 1000) to (2000, 2200): over its lower end √(1500² + 500²) twice.
    const round = { length: 3162.3, bends: [[2000, 1000]] };
    expect(string([[at(2000, 1000), at(2000, 2200)]])).toEqual(round);
    expect(string([[at(2000, 2200), at(2000, 1000)]])).toEqual(round);
    expect(string([[at(2000, 1000), at(2000, 2200)]], at(3500, 1500), at(500, 1500))).toEqual(round);
    // On a slant.
    expect(string([[at(1900, 1000), at(2100, 2200)]])!.bends).toEqual([[1900, 1000]]);
  });
  it("stops where a screen reaches from wall to wall, and passes one that only comes near its line", () => {
    // As a unit is drawn: a hair into the wall at both ends.
    const walls = room.map((c, i): Block => [c, room[(i + 1) % 4]!]);
    expect(string([...walls, [at(2000, -1), at(2000, 3001)]])).toBeNull();
    expect(string([[at(2000, 1501), at(2000, 3000)]])).toEqual({ length: 3000, bends: [] });
    expect(string([[at(2000, 0), at(2000, 1499)]])).toEqual({ length: 3000, bends: [] });
    expect(string([[at(3600, 0), at(3600, 3000)]])).toEqual({ length: 3000, bends: [] });
    // Its end just touches the string: round it, not through it, and no longer for that.
    expect(string([[at(2000, 1500), at(2000, 3000)]])).toMatchObject({ length: 3000 });
  });
  it("runs along what it lies on, and past what lies in its line", () => {
    expect(string([[at(0, 1500), at(4000, 1500)]])).toEqual({ length: 3000, bends: [] });
    expect(string([[at(1000, 1500), at(3000, 1500)]])).toEqual({ length: 3000, bends: [] });
    expect(string([], at(0, 500), at(0, 2500))).toEqual({ length: 2000, bends: [] });
  });
  it("bends round two screens that leave a zigzag: 1 000 off each way", () => {
    const t = string([
      [at(1500, 0), at(1500, 2000)],
      [at(2500, 1000), at(2500, 3000)],
    ])!;
    expect(t.bends).toEqual([
      [1500, 2000],
      [2500, 1000],
    ]);
    expect(t.length).toBeCloseTo(2 * Math.hypot(1000, 500) + Math.hypot(1000, 1000), 0);
  });
  it("never leaves the floor: round an inner corner, and not across a gap between two floors", () => {
    const corner = [at(0, 0), at(0, 3000), at(1000, 3000), at(1000, 1000), at(4000, 1000), at(4000, 0)];
    expect(string([], at(500, 2500), at(3500, 500), [corner])).toEqual({
      length: Math.round((Math.hypot(500, 1500) + Math.hypot(2500, 500)) * 10) / 10,
      bends: [[1000, 1000]],
    });
    const [left, right] = [room.map((p) => ({ ...p, x: p.x / 2 })), room.map((p) => ({ ...p, x: 2100 + p.x / 2 }))];
    const walls: Block[] = [
      [at(2000, 0), at(2000, 3000)],
      [at(2100, 0), at(2100, 3000)],
    ];
    expect(string(walls, at(500, 1500), at(3500, 1500), [left, right])).toBeNull();
    const arch = [at(2000, 1000), at(2000, 2000), at(2100, 2000), at(2100, 1000)];
    expect(string([], at(500, 1500), at(3500, 1500), [left, right, arch])).toEqual({ length: 3000, bends: [] });
  });
  it("starts from the nearest of several places", () => {
    const t = tautString({ areas: [room], blocks: [], corners: room }, [at(500, 500), at(3000, 1500)], at(3500, 1500))!;
    expect([t.length, t.path[0]]).toEqual([500, at(3000, 1500)]);
  });
});
