import { describe, expect, it } from "vitest";
import { board, circuit, house, socket } from "../book/limits/by-hand.fixture";
import { layHouse } from "../house/house";
import { notifyRules } from "../rules/notify";
import { NOTIFY_CAUTION, notifyWords } from "../words/notify";
import { notifiable } from "./notify";

const lines = (more: object): unknown[] => notifiable(layHouse(house(more))).map((l) => [l.id, l.notify, l.reason]);
const dwelling = (country: string) => ({ country });
const old = { ...board, existing: true };
const kind = (k: string) => [{ ...house().rooms[0]!, kind: k }];
const extended = circuit({ state: "extend" });
const tray = [{ id: "b", wall: "w1", kind: "bath", u: 0, v: 0, width: 800, height: 150, depth: 800 }];

describe("what is notifiable", () => {
  it("England: a new circuit and a new consumer unit; an old board that stays is not", () => {
    expect(lines({ dwelling: dwelling("england") })).toEqual([
      ["db", true, "board"],
      ["c", true, "new-circuit"],
    ]);
    expect(lines({ points: [old, socket("s1", 1000)] })).toEqual([["c", true, "new-circuit"]]);
  });
  it("England: an addition is not, but in the zones of a bath", () => {
    const add = (room: string, u: number, more: object = {}) =>
      lines({ rooms: kind(room), fixtures: tray, points: [old, socket("s1", u)], circuits: [extended], ...more });
    expect(add("bedroom", 400)).toEqual([["c", false, "addition"]]);
    expect(add("bathroom", 400)).toEqual([["s1", true, "special"]]);
    expect(add("bathroom", 3000)).toEqual([["c", false, "addition"]]);
    // In Wales the whole room counts, and out of doors.
    expect(add("bathroom", 3000, { dwelling: dwelling("wales") })).toEqual([["s1", true, "special"]]);
    expect(add("yard", 3000, { dwelling: dwelling("wales") })).toEqual([["s1", true, "outdoors"]]);
    expect(add("yard", 3000)).toEqual([["c", false, "addition"]]);
  });
  it("Wales: also what is new within 3 m of a kitchen's sink", () => {
    const sink = [{ id: "k", wall: "w1", kind: "sink", u: 0, v: 700, width: 500, height: 200, depth: 500 }];
    const at = (u: number) =>
      lines({ dwelling: dwelling("wales"), fixtures: sink, points: [old, socket("s1", u)], circuits: [extended] });
    expect(at(2000)).toEqual([["s1", true, "kitchen"]]);
    expect(at(3900)).toEqual([["c", false, "addition"]]);
  });
  it("what stays as it is, and a circuit with nothing on it, are no work; elsewhere one asks", () => {
    expect(lines({ points: [old, socket("s1", 1)], circuits: [circuit({ state: "keep" })] })).toEqual([]);
    expect(lines({ points: [old], circuits: [circuit({ points: [] })] })).toEqual([]);
    for (const country of ["scotland", "northern-ireland", "elsewhere"])
      expect(lines({ dwelling: dwelling(country) })).toEqual([["j", null, null]]);
  });
  it("is said with its document", () => {
    expect(notifyWords({ kind: "circuit", id: "c", notify: true, reason: "new-circuit" }, "C1")).toBe(
      "C1: a new circuit; notifiable.",
    );
    expect(notifyWords({ kind: "circuit", id: "c", notify: false, reason: "addition" }, "C1")).toMatch(
      /; not notifiable\.$/,
    );
    expect(notifyWords({ kind: "job", id: "j", notify: null, reason: null }, "")).toMatch(/ask the local authority/);
    expect(["england", "wales", "scotland"].map((x) => /\d{4}/.exec(notifyRules[x]?.source ?? "")?.[0])).toEqual([
      "2013",
      "2006",
      undefined,
    ]);
    expect(NOTIFY_CAUTION).toMatch(/local authority decides/);
  });
});
