import { describe, expect, it } from "vitest";
import { type KitchenPoint, checkClearances } from "./clearances";
import { type Appliance, type ServingPoint, checkKitchen } from "./served";

const outlet = (u: number, v = 1150, more: Partial<KitchenPoint> = {}): KitchenPoint => ({
  id: "s",
  kind: "outlet",
  u,
  v,
  width: 146,
  height: 86,
  ...more,
});
const worktop = { worktopHeight: 900, sinks: [{ u0: 1000, u1: 1600 }], hobs: [{ u0: 3000, u1: 3600 }] };
const judged = (p: KitchenPoint, length?: number) =>
  checkClearances({ ...worktop, points: [p] }, length).map((f) => [
    f.rule,
    f.measured ?? null,
    (f.fix?.[0]?.set?.u ?? f.fix?.[0]?.set?.v ?? null) as number | null,
  ]);

describe("which side a point is moved to", () => {
  it("left of the bowl it goes left, right of it right, each 300 clear of the edge", () => {
    // A plate of 146 by the bowl from 1 000 to 1 600: clear at 627 on the left, 1 973 on the right.
    expect(judged(outlet(800))).toEqual([["kitchen.sink", 127, 627]]);
    expect(judged(outlet(1299))).toEqual([["kitchen.sink", 0, 627]]);
    expect(judged(outlet(1300))).toEqual([["kitchen.sink", 0, 1973]]);
    expect(judged(outlet(1900))).toEqual([["kitchen.sink", 227, 1973]]);
    expect(judged(outlet(627))).toEqual([]);
    expect(judged(outlet(1973))).toEqual([]);
  });
  it("where its own side has no room it goes to the other, and nowhere where neither has", () => {
    const tight = { ...worktop, sinks: [{ u0: 300, u1: 900 }], hobs: [] };
    const move = (u: number, length: number): unknown =>
      checkClearances({ ...tight, points: [outlet(u)] }, length)[0]!.fix?.[0]?.set ?? null;
    // Left: 300 − 300 − 73 = −73 is off the wall; right: 900 + 300 + 73.
    expect(move(250, 4000)).toEqual({ u: 1273 });
    expect(move(250, 1346)).toEqual({ u: 1273 });
    expect(move(250, 1345)).toBeNull();
  });
  it("fused units may stand by the bowl, and nothing under it but a control", () => {
    expect(judged(outlet(800, 1150, { kind: "fused-unit" }))).toEqual([]);
    expect(judged(outlet(1300, 500))).toEqual([["kitchen.under-sink", null, 1673]]);
    expect(judged(outlet(1300, 500, { kind: "control" }))).toEqual([]);
    // Edge to edge with the bowl is beside it.
    expect(judged(outlet(927, 500))).toEqual([]);
    expect(judged(outlet(928, 500))).toEqual([["kitchen.under-sink", null, 927]]);
    expect(judged(outlet(1673, 500))).toEqual([]);
    expect(judged(outlet(1672, 500))).toEqual([["kitchen.under-sink", null, 1673]]);
  });
  it("150 over the worktop to the middle, lifted to it; at or below the worktop is below", () => {
    expect(judged(outlet(2300, 1050))).toEqual([]);
    expect(judged(outlet(2300, 1049))).toEqual([["kitchen.worktop", 149, 1050]]);
    expect(judged(outlet(2300, 900))).toEqual([]);
  });
  it("150 beside the hob, and never behind it; below the worktop the hob is no matter", () => {
    expect(judged(outlet(2777))).toEqual([]);
    expect(judged(outlet(2778))).toEqual([["kitchen.hob", 149, 2777]]);
    expect(judged(outlet(2927))).toEqual([["kitchen.hob", 0, 2777]]);
    expect(judged(outlet(2928))).toEqual([["kitchen.behind-hob", null, 2777]]);
    expect(judged(outlet(3672))).toEqual([["kitchen.behind-hob", null, 3823]]);
    expect(judged(outlet(3673))).toEqual([["kitchen.hob", 0, 3823]]);
    expect(judged(outlet(3300, 700))).toEqual([]);
  });
});

describe("what a control and a switch serve", () => {
  const point = (
    id: string,
    kind: ServingPoint["kind"],
    u: number,
    v: number,
    serves?: string | string[],
  ): ServingPoint => ({
    id,
    kind,
    u,
    v,
    width: 86,
    height: 86,
    serves,
  });
  const told = (points: ServingPoint[], appliances: Appliance[] = []) =>
    checkKitchen({ worktopHeight: 900, sinks: [], hobs: [], points, appliances }).map((f) => [
      f.rule,
      f.case ?? "",
      f.subject.id,
      f.measured === undefined ? null : Math.round(f.measured * 100) / 100,
      f.limit ?? null,
    ]);
  const cooker = (watts: number, u = 2600, v = 600): Appliance => ({ id: "cooker", u, v, watts });
  it("reach goes straight across: 1 200 along and 1 600 down are 2 000", () => {
    const control = point("c", "control", 1000, 2200, "cooker");
    expect(told([control], [cooker(0, 2200, 600)])).toEqual([]);
    expect(told([control], [cooker(0, 2201, 600)])).toEqual([["kitchen.control-reach", "", "c", 2000.6, 2000]]);
    // An appliance that is not on this wall, or is another's, is not judged here.
    expect(told([point("c", "control", 1000, 2200, "oven")], [cooker(0, 9000, 600)])).toEqual([]);
    expect(told([point("c", "fused-unit", 1000, 2200, "cooker")], [cooker(0, 9000, 600)])).toEqual([]);
  });
  it("one control takes 50 A in all: 11 500 W at 230 V", () => {
    const control = point("c", "control", 2600, 1200, ["cooker", "hob"]);
    const hob: Appliance = { id: "hob", u: 2600, v: 900, watts: 5000 };
    expect(told([control], [cooker(6500), hob])).toEqual([]);
    expect(told([control], [cooker(6501), hob])).toEqual([["kitchen.control-reach", "load", "c", 50, 50]]);
    expect(told([control], [cooker(6500), { ...hob, watts: undefined }])).toEqual([]);
  });
  it("an outlet below the worktop that feeds something wants a switch above it, that names it or what it feeds", () => {
    const low = point("o", "appliance-outlet", 500, 450, "washer");
    const missing = [["kitchen.appliance-switch", "", "o", null, null]];
    expect(told([low])).toEqual(missing);
    expect(told([low, point("f", "fused-unit", 500, 1150, "o")])).toEqual([]);
    expect(told([low, point("f", "fused-unit", 500, 1150, ["washer"])])).toEqual([]);
    expect(told([low, point("f", "fused-unit", 500, 1150, "other")])).toEqual(missing);
    // A switch at the worktop's height is below it.
    expect(told([low, point("f", "fused-unit", 500, 900, "o")])).toEqual(missing);
    expect(told([point("o", "appliance-outlet", 500, 901)])).toHaveLength(1);
    // A socket counts once it feeds something.
    expect(told([point("s", "outlet", 500, 450)])).toEqual([]);
    expect(told([point("s", "outlet", 500, 450, "washer")])).toEqual([
      ["kitchen.appliance-switch", "", "s", null, null],
    ]);
  });
});
