import { describe, expect, it } from "vitest";
import { board, circuit, deck, house } from "../../book/limits/by-hand.fixture";
import { rectOutline } from "../../base/polygon";
import { layHouse } from "../../house/house";
import { alarmFacts } from "./alarm-facts";

const at = (id: string, kind: string, x: number, y = 1500, more: object = {}) => ({
  ...{ id, label: id, kind, place: { on: "deck", deck: "d", x, y, face: "ceiling" } },
  ...more,
});
/** A room so long with what hangs from its ceiling, all on one circuit. */
const told = (length: number, ...points: ReturnType<typeof at>[]) =>
  alarmFacts(
    layHouse(
      house({
        rooms: [
          { id: "r", storey: "g", name: "Room", kind: "hall", height: 2400, outline: rectOutline(0, 0, length, 3000) },
        ],
        decks: [deck({ outline: rectOutline(0, 0, length, 3000) })],
        points: [board, ...points],
        circuits: [circuit({ kind: "fixed", points: points.map((p) => p.id) })],
      }),
    ),
  ).map((f) => [f.rule, f.subject.id, Math.round(f.measured ?? 0), f.limit ?? 0]);

describe("alarms of a room", () => {
  it("reach 7 500 for smoke and 5 300 for heat, the farthest corner deciding", () => {
    expect(told(14_600, at("a", "smoke-alarm", 7300))).toEqual([]);
    expect(told(15_000, at("a", "smoke-alarm", 7500))).toEqual([["alarm.cover", "a", 7649, 7500]]);
    expect(told(10_000, at("a", "heat-alarm", 5000))).toEqual([]);
    expect(told(10_400, at("a", "heat-alarm", 5200))).toEqual([["alarm.cover", "a", 5412, 5300]]);
  });
  it("two of them share the room between them", () => {
    expect(told(15_000, at("a", "smoke-alarm", 3750), at("b", "smoke-alarm", 11_250))).toEqual([]);
  });
  it("where smoke is watched for, heat need not reach everywhere", () => {
    expect(told(12_000, at("a", "smoke-alarm", 6000), at("h", "heat-alarm", 2000))).toEqual([]);
  });
  it("keep 300 from walls and lights; what was found is not judged", () => {
    expect(told(4000, at("a", "smoke-alarm", 2000, 299))).toEqual([["alarm.off", "a", 299, 300]]);
    expect(told(4000, at("a", "smoke-alarm", 2000), at("l", "light", 2299))).toEqual([["alarm.off", "a", 299, 300]]);
    expect(told(4000, at("a", "smoke-alarm", 2000), at("l", "light", 2300))).toEqual([]);
    expect(told(4000, at("a", "smoke-alarm", 2000, 100, { existing: true }))).toEqual([]);
    expect(told(4000, at("l", "light", 2299))).toEqual([]);
  });
});
