import { describe, expect, it } from "vitest";
import { board, circuit, house, socket } from "../../book/limits/by-hand.fixture";
import { maximumDemand } from "./demand";
import { circuitLoad, pointWatts } from "./load";

const at = (id: string, kind: string, more: object = {}) => socket(id, 1000, 1200, { kind, label: id, ...more });
const load = (points: object[], c: object, more: object = {}) => {
  const job = house({ points: [board, ...points], circuits: [circuit(c)], ...more });
  const { amps, from } = circuitLoad(job, job.circuits[0]!);
  return [Number(amps.toFixed(3)), from];
};

describe("load of a circuit", () => {
  it("as given for it, whatever is on it", () => {
    expect(load([at("l1", "wall-light")], { watts: 2300, points: ["l1"] })).toEqual([10, "given"]);
  });
  it("sockets may draw what the device lets through, on a radial as on a ring; an outdoor one alike", () => {
    const on = (kind: string, more: object = {}) => load([at("s1", kind)], { points: ["s1"], ...more });
    expect(on("socket", { device: { rating: 20 } })).toEqual([20, "sockets"]);
    expect(on("outdoor-socket", { kind: "ring", device: { rating: 32 } })).toEqual([32, "sockets"]);
    expect(on("socket", { kind: "fixed" })).toEqual([0, "none"]);
  });
  it("lights and appliances add up, each the usual for its kind or as given", () => {
    const points = [at("l1", "wall-light"), at("l2", "wall-light", { watts: 15 }), at("x1", "extractor")];
    expect(load(points, { kind: "lighting", points: ["l1", "l2", "x1"] })).toEqual([1.152, "points"]);
    expect(pointWatts({ kind: "socket", watts: null })).toBe(0);
    expect(pointWatts({ kind: "heater", watts: 0 })).toBe(0);
  });
  it("behind a fused unit no more counts than its fuse lets through", () => {
    const points = [at("k1", "isolator"), at("f1", "fused-unit", { fuse: 3 }), at("h1", "heater")];
    const spurs = [
      { point: "f1", from: "k1" },
      { point: "h1", from: "f1" },
    ];
    expect(load(points, { kind: "fixed", points: ["k1"], spurs })).toEqual([3, "points"]);
    const thirteen = [points[0]!, at("f1", "fused-unit"), points[2]!];
    expect(load(thirteen, { kind: "fixed", points: ["k1"], spurs })).toEqual([8.696, "points"]);
  });
  it("the outlet of a control counts 5 A in full as after diversity: never less in full", () => {
    const points = [at("c1", "cooker-control", { gang: 2 })];
    const small = (cookerCurrent: string) =>
      load(points, { kind: "cooker", points: ["c1"], watts: 2300 }, { settings: { schools: { cookerCurrent } } });
    expect([small("diversity"), small("full")]).toEqual([
      [15, "given"],
      [15, "given"],
    ]);
  });
  it("hob and oven by the school of the cooker: 10 000 W is 43.48 A, 20.04 after diversity", () => {
    const points = [at("c1", "cooker-control"), at("hb", "hob"), at("ov", "oven")];
    const cooker = { kind: "cooker", points: ["c1", "hb", "ov"] };
    expect(load(points, cooker)).toEqual([20.043, "points"]);
    expect(load(points, cooker, { settings: { schools: { cookerCurrent: "full" } } })).toEqual([43.478, "points"]);
    expect(load(points.slice(0, 1), { kind: "cooker", points: ["c1"] })).toEqual([0, "none"]);
  });
});

describe("demand of the whole", () => {
  const points = ["s1", "s2", "h1", "sh"].map((id) => at(id, { s: "socket", h: "heater" }[id[0]!] ?? "socket"));
  const all = house({
    points: [board, ...points.slice(0, 3), at("l1", "wall-light", { watts: 230 }), at("q1", "junction-box")],
    circuits: [
      circuit({ id: "a", label: "A", points: ["s1"], device: { rating: 20 } }),
      circuit({ id: "b", label: "B", kind: "ring", points: ["s2"], device: { rating: 32 } }),
      circuit({ id: "li", label: "LI", kind: "lighting", points: ["l1"], cable: "te-1.0", device: { rating: 6 } }),
      circuit({ id: "h", label: "H", kind: "fixed", points: ["h1"] }),
      ...[1, 2, 3].map((n) => circuit({ id: `w${n}`, label: `W${n}`, kind: "shower", watts: 9200, points: [] })),
      circuit({ id: "q", label: "Q", kind: "fixed", points: ["q1"] }),
    ],
  });
  it("takes the largest of sockets in full and two fifths of the others, two thirds of lights, two showers and a quarter", () => {
    const d = maximumDemand(all);
    expect(Object.fromEntries(d.lines.map((l) => [l.circuit, l.share]))).toEqual({
      w1: 1,
      w2: 1,
      w3: 0.25,
      b: 1,
      a: 0.4,
      h: 1,
      li: 0.66,
    });
    expect(d.amps).toBeCloseTo(40 + 40 + 10 + 32 + 8 + 2000 / 230 + 0.66, 9);
    expect(d.unknown).toEqual(["q"]);
  });
  it("by the other school all of it", () => {
    const full = {
      ...all,
      settings: { ...all.settings, schools: { ...all.settings.schools, diversity: "full" as const } },
    };
    expect(maximumDemand(full).amps).toBeCloseTo(120 + 52 + 2000 / 230 + 1, 9);
  });
});
