import { describe, expect, it } from "vitest";
import { board, circuit, corners, house, run, socket } from "../../book/limits/by-hand.fixture";
import { layHouse } from "../../house/house";
import { bathFacts } from "./bath-facts";
import { bathZone, zonesOnWall } from "./zones";

// BS 7671:2018+A2:2022 701.32: a bath of 1 700 × 700 in the corner of the plan, its rim at 560.
const bath = { x: 0, y: 0, width: 1700, depth: 700, rim: 560 };
const zone = (x: number, y: number, z: number) => bathZone(bath, { x, y, z }).zone;

describe("zones on plan and in height", () => {
  it("0 below the rim, 1 over it to 2 250, 2 within 600 of it, none beyond or above; edges belong to the inner one", () => {
    expect([zone(800, 300, 559), zone(800, 300, 560), zone(800, 300, 2250), zone(800, 300, 2251)]).toEqual([
      0,
      1,
      1,
      null,
    ]);
    expect([zone(1700, 700, 1000), zone(1701, 300, 1000), zone(2300, 300, 1000), zone(2301, 300, 1000)]).toEqual([
      1,
      2,
      2,
      null,
    ]);
    // Round the corner it is 600 as the crow flies.
    expect([zone(2060, 1180, 1000), zone(2061, 1180, 1000)]).toEqual([2, null]);
  });
  it("the way to zone 1 is on plan, above 2 250 as below", () => {
    expect(bathZone(bath, { x: 2100, y: 1000, z: 2400 })).toEqual({ zone: null, toZone1: 500 });
  });
});

// The room of 4 000 × 3 000; w1 is its north wall, seen from left to right going east; the bath in its west end.
const tub = { id: "b", wall: "w1", kind: "bath", u: 0, v: 0, width: 1500, height: 560, depth: 700 };
const room = [{ id: "r", storey: "g", name: "Room", kind: "bathroom", height: 2400, outline: corners }];
const h = (more: object = {}) => layHouse(house({ rooms: room, fixtures: [tub], ...more }));
const onWall = (id: string): [number, number, number][] => {
  const x = h();
  return zonesOnWall(x, x.faces[x.faceOfWall.get(id)!]!).map((z) => [z.zone, z.u0, z.u1]);
};

describe("zones as they show on the walls", () => {
  it("on its own wall, on the one round the corner, and on none that is farther off", () => {
    const own = onWall("w1");
    expect(own).toEqual([
      [1, 0, 1500],
      [2, 1500, 2100],
    ]);
    const all = ["w0", "w2", "w3"].map((id) => onWall(id));
    expect(
      all
        .filter((x) => x.length)
        .flat()
        .map(([zone, a, b]) => [zone, Math.round(b - a)]),
    ).toEqual([
      [1, 700],
      [2, 600],
    ]);
  });
});

describe("in the room", () => {
  const judged = (points: object[], more: object = {}, runs: Parameters<typeof bathFacts>[1] = []) =>
    bathFacts(h({ points: [board, ...points], circuits: [circuit({ points: [] })], ...more }), runs).map((f) => [
      f.rule,
      f.severity,
      f.subject.id,
      f.case ?? "",
    ]);
  const at = (u: number, v: number, kind: string, more: object = {}) => [socket("x", u, v, { kind, ...more })];
  it("what stands in a zone has IPX4; what is not known is asked for", () => {
    expect(judged(at(700, 1800, "wall-light"))).toEqual([["bath.ip", "warn", "x", "unknown"]]);
    expect(judged(at(700, 1800, "wall-light", { water: 3 }))).toEqual([["bath.ip", "stop", "x", ""]]);
    expect(judged(at(700, 1800, "wall-light", { water: 4 }))).toEqual([]);
    expect(judged(at(2000, 1800, "fan", { water: 4 }))).toEqual([]);
    expect(judged(at(2101, 1800, "wall-light"))).toEqual([]);
    expect(judged(at(700, 2300, "wall-light"))).toEqual([]);
    expect(judged(at(700, 300, "heater", { water: 4 }))).toEqual([["bath.ip", "stop", "x", ""]]);
  });
  it("no switch stands in a zone, but a cord may", () => {
    expect(judged(at(2000, 1200, "switch"))).toEqual([["bath.ip", "stop", "x", "switch"]]);
    expect(judged(at(2000, 1200, "isolator"))).toEqual([["bath.ip", "stop", "x", "switch"]]);
    expect(judged(at(2200, 1200, "switch"))).toEqual([]);
    expect(judged(at(2000, 2200, "pull-cord", { water: 4 }))).toEqual([]);
  });
  it("a circuit that only lies in the walls of the zones wants 30 mA as well, unless it lies deep", () => {
    const passing = (u: number, depth: number, rcd: number | null) =>
      judged([], { circuits: [circuit({ points: [], rcd })] }, [
        run([
          {
            depth,
            // Up the north wall at this u: 3 000 north, from the west.
            path: [
              [u, 3000, 300],
              [u, 3000, 1500],
            ],
          },
        ]),
      ]);
    expect(passing(1000, 15, null)).toEqual([["bath.rcd", "stop", "c", "passing"]]);
    expect(passing(1000, 15, 30)).toEqual([]);
    expect(passing(1000, 50, null)).toEqual([]);
    expect(passing(2200, 15, null)).toEqual([]);
  });
});
