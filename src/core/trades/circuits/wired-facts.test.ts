import { describe, expect, it } from "vitest";
import { board, circuit, house, socket } from "../../book/limits/by-hand.fixture";
import type { Job } from "../../job/model";
import { circuitFacts } from "./circuit-facts";
import { wiredFacts } from "./wired-facts";

const at = (id: string, kind: string, u: number, more: object = {}) => socket(id, u, 1000, { kind, ...more });
const light = (id: string, x: number, more: object = {}) => ({
  id,
  label: id.toUpperCase(),
  kind: "light",
  place: { on: "deck", deck: "d", x, y: 1500, face: "ceiling" },
  ...more,
});
const job = (points: object[], circuits: object[], more: object = {}): Job =>
  house({ points: [board, ...points], circuits, ...more });
const lighting = (points: string[], more: object = {}) =>
  circuit({ id: "li", label: "LI", kind: "lighting", cable: "te-1.0", device: { rating: 6 }, way: 2, points, ...more });
const ring = (points: string[], more: object = {}) =>
  circuit({ kind: "ring", device: { rating: 32 }, points, ...more });
const told = (j: Job) => wiredFacts(j).map((f) => [f.rule, f.severity, f.subject.id, f.case ?? ""]);
const sockets = (...ids: string[]) => ids.map((id, i) => socket(id, 500 + 400 * i));

describe("what hangs on the wrong circuit", () => {
  it.each([
    ["lighting", "stop"],
    ["shower", "stop"],
    ["cooker", "warn"],
  ])("a socket on a %s circuit is a %s, as a spur of it too", (kind, severity) => {
    const on = circuit({ kind, points: ["s1"], device: { rating: 32 } });
    expect(told(job(sockets("s1"), [on]))).toEqual([["circuit.spur.source", severity, "s1", ""]]);
    const control = at("c1", "cooker-control", 2500, { gang: 2 });
    const spur = circuit({ kind, points: ["c1"], spurs: [{ point: "s1", from: "c1" }], device: { rating: 32 } });
    expect(told(job([control, ...sockets("s1")], [spur])).map((x) => x[2])).toEqual(["s1"]);
  });
  it("a cooker control with its own outlet, and sockets on rings and radials, are where they belong", () => {
    const cooker = circuit({ kind: "cooker", points: ["c1"], device: { rating: 32 } });
    expect(told(job([at("c1", "cooker-control", 2500, { gang: 2 })], [cooker]))).toEqual([]);
    expect(told(job(sockets("s1", "s2"), [ring(["s1", "s2"])]))).toEqual([]);
    expect(told(job(sockets("s1", "s2"), [circuit({ points: ["s1", "s2"] })]))).toEqual([]);
  });
  it("a light on a ring is a stop without a fused unit, and wants its labels with one", () => {
    const points = [...sockets("s1", "s2"), light("l1", 2000), at("k1", "switch", 3000, { controls: ["l1"] })];
    expect(told(job(points, [ring(["s1", "s2", "l1", "k1"])]))).toEqual([
      ["lighting.fed-from-sockets", "stop", "c", "no-fuse"],
    ]);
    const fused = [...points, at("f1", "fused-unit", 3500)];
    expect(
      told(job(fused, [ring(["s1", "s2", "f1"], { spurs: [{ point: "l1", from: "f1" }] }), lighting([])])),
    ).toEqual([["lighting.fed-from-sockets", "warn", "c", "label"]]);
    // A radial with no socket on it may well be for lights.
    expect(told(job(points.slice(2), [circuit({ points: ["l1", "k1"] })]))).toEqual([]);
  });
  it("nothing is judged of a circuit that stays as it was found", () =>
    expect(told(job(sockets("s1"), [lighting(["s1"], { state: "keep" })]))).toEqual([]));
});

describe("spurs in the job", () => {
  const three = sockets("s1", "s2", "s3", "s4");
  const spurs = (points: object[], ...list: [point: string, from: string][]) =>
    told(job(points, [ring(["s1", "s2"], { spurs: list.map(([point, from]) => ({ point, from })) })]));
  it("on a ring nothing is taken on from a spur, a fused unit neither; behind a fused unit it may be", () => {
    expect(spurs(three, ["s3", "s1"], ["s4", "s2"])).toEqual([]);
    expect(spurs(three, ["s3", "s1"], ["s4", "s3"])).toEqual([["circuit.spur", "stop", "s4", "spur-of-spur"]]);
    const unit = [...three.slice(0, 3), at("f1", "fused-unit", 3500)];
    expect(spurs(unit, ["s3", "s1"], ["f1", "s3"])).toEqual([["circuit.spur", "stop", "f1", "spur-of-spur"]]);
    expect(spurs(unit, ["f1", "s1"], ["s3", "f1"])).toEqual([]);
  });
  it("on a radial they are branches, as many as there are", () => {
    const from = { s2: "s1", s3: "s1", s4: "s3" };
    const spurs = Object.entries(from).map(([point, x]) => ({ point, from: x }));
    const j = job(three, [circuit({ points: ["s1"], spurs })]);
    expect(told(j)).toEqual([]);
    expect(circuitFacts(j).filter((f) => f.rule === "circuit.spur")).toEqual([]);
  });
});

describe("switches and lights", () => {
  const k = (id: string, controls: string[], more: object = {}) => at(id, "switch", 3000, { controls, ...more });
  it("two ways to work one light, and one switch for two, are in order", () => {
    const points = [light("l1", 1500), light("l2", 2500), k("k1", ["l1", "l2"], { gang: 2 }), k("k2", ["l1"])];
    expect(told(job(points, [lighting(["l1", "l2", "k1", "k2"])]))).toEqual([]);
  });
  it("one gang for two lights cannot share one of them with another switch", () => {
    const points = [light("l1", 1500), light("l2", 2500), k("k1", ["l1", "l2"]), k("k2", ["l1"])];
    expect(told(job(points, [lighting(["l1", "l2", "k1", "k2"])]))).toEqual([["lighting.two-way", "stop", "k1", ""]]);
  });
  it("a light that nothing works, and a switch that works nothing, are told; old ones are not", () => {
    expect(told(job([light("l1", 1500), k("k1", [])], [lighting(["l1", "k1"])]))).toEqual([
      ["lighting.idle-switch", "warn", "k1", ""],
      ["lighting.unswitched", "warn", "l1", ""],
    ]);
    const old = { existing: true };
    expect(told(job([light("l1", 1500, old), k("k1", [], old)], [lighting(["l1", "k1"])]))).toEqual([]);
    // On no circuit yet, it is not a light without a switch but a point without a circuit.
    expect(told(job([light("l1", 1500)], []))).toEqual([]);
  });
  it("a light worked from another circuit borrows its neutral: told at the switch, with all three", () => {
    const j = job(
      [light("l1", 1500), light("l2", 2500), k("k1", ["l1", "l2"])],
      [lighting(["l1", "k1"]), lighting(["l2"], { id: "lj", label: "LJ", way: 3 })],
    );
    const facts = wiredFacts(j);
    expect(facts).toMatchObject([
      {
        rule: "lighting.borrowed",
        severity: "stop",
        subject: { id: "k1" },
        of: { light: "l2", own: "li", other: "lj" },
      },
    ]);
  });
});

describe("30 mA", () => {
  const rcd = (c: object, supply: object = {}) =>
    circuitFacts(job([...sockets("s1"), at("c1", "cooker-control", 2500, { gang: 2 })], [circuit(c)], { supply }))
      .filter((f) => f.rule === "circuit.rcd")
      .map((f) => f.subject.id);
  it("for a shower, and for a cooker control with its outlet whatever its device; not for a cooker without", () => {
    expect(rcd({ kind: "shower", device: { rating: 40 }, points: [], rcd: null })).toEqual(["c"]);
    expect(rcd({ kind: "cooker", device: { rating: 40 }, points: ["c1"], rcd: null })).toEqual(["c"]);
    expect(rcd({ kind: "cooker", device: { rating: 40 }, points: [], rcd: null })).toEqual([]);
    expect(rcd({ kind: "fixed", device: { rating: 40 }, points: ["s1"], rcd: 100 })).toEqual(["c"]);
  });
  it("is there where the whole installation has it", () => {
    expect(rcd({ rcd: null }, { rcd: 30 })).toEqual([]);
    expect(rcd({ rcd: null }, { rcd: 100 })).toEqual(["c"]);
    // Of two the one that trips at less counts, whichever it is.
    expect([rcd({ rcd: 300 }, { rcd: 30 }), rcd({ rcd: 30 }, { rcd: 300 })]).toEqual([[], []]);
  });
});
