import { describe, expect, it } from "vitest";
import { type KitchenPoint, checkClearances } from "./clearances";
import { checkKitchen } from "./served";

const base = { worktopHeight: 900, sinks: [{ u0: 1000, u1: 1500 }], hobs: [{ u0: 3000, u1: 3600 }] };
const outlet = (u: number, v = 1150, more: Partial<KitchenPoint> = {}): KitchenPoint => ({
  id: "S",
  kind: "outlet",
  u,
  v,
  width: 146,
  height: 86,
  ...more,
});
const rules = (p: KitchenPoint): string[] => checkClearances({ ...base, points: [p] }, 5000).map((f) => f.rule);

describe("clearances along a worktop (kitchen working practice)", () => {
  it("keeps 300 from the bowl, edge to edge, inclusive", () => {
    expect(rules(outlet(1500 + 300 + 73))).toEqual([]);
    expect(rules(outlet(1500 + 299 + 73))).toEqual(["kitchen.sink"]);
    expect(rules(outlet(1000 - 300 - 73))).toEqual([]);
  });
  it("offers the nearest place that is clear", () => {
    const [f] = checkClearances({ ...base, points: [outlet(1700)] }, 5000);
    expect(f).toMatchObject({
      measured: 127,
      limit: 300,
      sense: "least",
      fix: [{ collection: "points", id: "S", set: { u: 1873 } }],
    });
  });
  it("keeps 150 above the worktop, and lifts to it", () => {
    expect(rules(outlet(2200, 1050))).toEqual([]);
    expect(checkClearances({ ...base, points: [outlet(2200, 1049)] })).toMatchObject([
      { rule: "kitchen.worktop", fix: [{ set: { v: 1050 } }] },
    ]);
  });
  it("keeps 150 from the hob, and never behind it", () => {
    expect(rules(outlet(3000 - 150 - 73))).toEqual([]);
    expect(rules(outlet(3000 - 149 - 73))).toEqual(["kitchen.hob"]);
    expect(rules(outlet(3300))).toEqual(["kitchen.behind-hob"]);
    expect(rules(outlet(3300, 450))).toEqual([]);
  });
  it("warns under the sink", () =>
    expect(rules(outlet(1250, 450, { kind: "appliance-outlet" }))).toEqual(["kitchen.under-sink"]));
});

describe("what serves what", () => {
  const control = {
    id: "C",
    kind: "control" as const,
    u: 4000,
    v: 1150,
    width: 86,
    height: 86,
    serves: ["oven", "hob"],
  };
  const judged = (
    points: Parameters<typeof checkKitchen>[0]["points"],
    appliances: Parameters<typeof checkKitchen>[0]["appliances"],
  ) => checkKitchen({ ...base, points, appliances }).map((f) => `${f.rule} ${f.subject.id}`);
  it("keeps a control within 2 m of each appliance, straight across", () => {
    expect(judged([control], [{ id: "oven", u: 2000, v: 1150 }])).toEqual([]);
    expect(judged([control], [{ id: "oven", u: 1999, v: 1150 }])).toEqual(["kitchen.control-reach C"]);
    expect(judged([control], [{ id: "fridge", u: 0, v: 0 }])).toEqual([]);
  });
  it("limits what one control serves to 50 A", () => {
    expect(
      judged(
        [control],
        [
          { id: "oven", u: 3900, v: 450, watts: 5750 },
          { id: "hob", u: 3900, v: 900, watts: 5750 },
        ],
      ),
    ).toEqual([]);
    expect(
      judged(
        [control],
        [
          { id: "oven", u: 3900, v: 450, watts: 5760 },
          { id: "hob", u: 3900, v: 900, watts: 5750 },
        ],
      ),
    ).toEqual(["kitchen.control-reach C"]);
  });
  it("wants a switch above the worktop for an outlet below it", () => {
    const low = {
      id: "A",
      kind: "appliance-outlet" as const,
      u: 2200,
      v: 450,
      width: 86,
      height: 86,
      serves: "washer",
    };
    expect(judged([low], [])).toEqual(["kitchen.appliance-switch A"]);
    expect(
      judged([low, { id: "F", kind: "fused-unit", u: 2200, v: 1150, width: 86, height: 86, serves: "A" }], []),
    ).toEqual([]);
    expect(
      judged([low, { id: "F", kind: "fused-unit", u: 2200, v: 1150, width: 86, height: 86, serves: "washer" }], []),
    ).toEqual([]);
    expect(
      judged([low, { id: "F", kind: "fused-unit", u: 2200, v: 500, width: 86, height: 86, serves: "A" }], []),
    ).toEqual(["kitchen.appliance-switch A"]);
    expect(judged([outlet(2200, 300)], [])).toEqual([]);
  });
});
