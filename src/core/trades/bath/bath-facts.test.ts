import { describe, expect, it } from "vitest";
import { board, circuit, corners, house, socket } from "../../book/limits/by-hand.fixture";
import { layHouse } from "../../house/house";
import { bathFacts } from "./bath-facts";

// The room of 4 000 × 3 000; w1 is its north wall, w3 its south wall, where the board hangs.
const bath = { id: "b", wall: "w1", kind: "bath", u: 0, v: 0, width: 1500, height: 560, depth: 700 };
const room = (kind = "bathroom") => [{ id: "r", storey: "g", name: "Room", kind, height: 2400, outline: corners }];
const told = (more: object) =>
  bathFacts(layHouse(house({ rooms: room(), fixtures: [bath], ...more }))).map((f) => [
    f.rule,
    f.subject.id,
    f.case ?? "",
    f.measured === undefined ? null : Math.round(f.measured),
  ]);
const onWall = (wall: string, u: number) => socket("s1", u, 450, { place: { on: "wall", wall, u, v: 450 } });

describe("a room with a bath", () => {
  it("keeps sockets 2 500 from the edge of the bath on plan, round its corner too", () => {
    const at = (wall: string, u: number) => told({ points: [board, onWall(wall, u)] });
    expect([at("w1", 4000), at("w1", 3999)]).toEqual([[], [["bath.socket", "s1", "", 2499]]]);
    // On the south wall, 2 300 in front of the bath's long side; 1 000 past its end as well that is 2 508.
    expect(at("w3", 3000)).toEqual([["bath.socket", "s1", "", 2300]]);
    expect(at("w3", 1500)).toEqual([]);
    expect(at("w3", 1600)).toEqual([["bath.socket", "s1", "", 2470]]);
  });
  it("says so where no bath is drawn, and judges no other room", () => {
    expect(told({ fixtures: [], points: [board, onWall("w1", 1000)] })).toEqual([
      ["bath.socket", "s1", "not-drawn", null],
    ]);
    expect(told({ rooms: room("kitchen"), points: [board, onWall("w1", 1000)] })).toEqual([]);
  });
  it("wants 30 mA on every circuit that serves it, its own or that of the whole, and offers it", () => {
    const served = (c: object, supply: object = {}) =>
      told({ points: [board, onWall("w1", 4000)], circuits: [circuit(c)], supply });
    expect(served({})).toEqual([]);
    expect(served({ rcd: null })).toEqual([["bath.rcd", "c", "", null]]);
    expect(served({ rcd: 100 })).toEqual([["bath.rcd", "c", "", 100]]);
    expect(served({ rcd: null }, { rcd: 30 })).toEqual([]);
    // A light on the ceiling is in the room as well; the board on its wall is no point of the circuit.
    const light = {
      id: "l1",
      label: "L1",
      kind: "light",
      place: { on: "deck", deck: "d", x: 2000, y: 1500, face: "ceiling" },
    };
    const lit = circuit({ kind: "lighting", cable: "te-1.0", device: { rating: 6 }, points: ["l1"], rcd: null });
    expect(told({ points: [board, light], circuits: [lit] })).toEqual([["bath.rcd", "c", "", null]]);
    expect(told({ points: [board, light], circuits: [{ ...lit, points: [] }] })).toEqual([]);
  });
});
