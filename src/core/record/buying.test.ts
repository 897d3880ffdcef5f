import { describe, expect, it } from "vitest";
import { packsCsv, readOrderCsv, readPacksCsv } from "../formats/supplies-csv";
import { layHouse } from "../house/house";
import { type Job, packSchema, stockSchema } from "../job/model";
import { siteEntrySchema } from "../job/site-entry";
import { makePlan } from "../plan/plan";
import { placedTakeOff, totals, totalsBy } from "../plan/take-off";
import { generatedHouse } from "../routing/generated-house";
import { cableOf, standardCatalogue } from "../rules/catalogue";
import { buyingCost, buyingList, compareOrder } from "./buying";

const bare: Job = { ...generatedHouse(3), drums: [] };
const plan = makePlan(bare);
const list = (more: Partial<Job> = {}, entries: Parameters<typeof buyingList>[2] = []) =>
  buyingList(layHouse({ ...bare, ...more }), plan, entries);
const grommets = totals(plan.takeoff).find((l) => l.item === "Grommet")!;

describe("what is to be bought", () => {
  it("is the take-off where nothing is there, and cable by what is not cut", () => {
    const lines = list();
    expect(lines.map((l) => [l.item, l.size])).toEqual(totals(plan.takeoff).map((l) => [l.item, l.size]));
    for (const l of lines) {
      expect(l.toBuy).toBeCloseTo(l.needed, 6);
      const t = totals(plan.takeoff).find((x) => x.item === l.item && x.size === l.size)!;
      expect(l.needed).toBeCloseTo(t.quantity, 6);
    }
    expect(buyingCost(lines)).toEqual({ price: 0, unpriced: lines.length });
  });
  it("is less what is on the van, never below nothing, and in whole things", () => {
    const stock = (quantity: number) => [
      stockSchema.parse({ id: "s", item: "grommet", size: grommets.size, quantity }),
    ];
    const one = (quantity: number) => list({ stock: stock(quantity) }).find((l) => l.item === "Grommet")!;
    expect(one(2)).toMatchObject({ there: 2, toBuy: grommets.quantity - 2 });
    expect(one(1.5).toBuy).toBe(grommets.quantity - 1);
    expect(one(9999)).toMatchObject({ there: grommets.quantity, toBuy: 0, bought: { packs: [] } });
  });
  it("of cable is what drums cannot give, in drums that every length can be cut from; cut runs are bought no more", () => {
    const cable = plan.runs[0]!.cable;
    const name = cableOf(cable, standardCatalogue)!.name;
    const packs = [packSchema.parse({ id: "d", item: "Cable", size: name, holds: 50, price: 3000 })];
    const all = list({ packs }).find((l) => l.size === name)!;
    expect(all.bought!.holds).toBeGreaterThanOrEqual(all.toBuy);
    const drum = { id: "drum", label: "D", cable, length: 100_000, mark: null, rising: true };
    const less = list({ packs, drums: [drum] }).find((l) => l.size === name)!;
    expect(less.toBuy).toBeLessThan(all.toBuy);
    const run = plan.runs.find((r) => r.cable === cable)!;
    const cut = siteEntrySchema.parse({
      id: "c1",
      run: run.id,
      kind: "cut",
      step: null,
      by: "Pat",
      at: "2026-11-30T08:00:00Z",
      cut: { drum: "gone", length: 5000 },
    });
    expect(list({ packs }, [cut]).find((l) => l.size === name)!.needed).toBeCloseTo(
      all.needed - run.cutLength / 1000,
      6,
    );
  });
  it("an order is held against it: left out, too few, too many, not of this job", () => {
    const lines = list();
    const [a, b, c] = lines;
    const found = compareOrder(lines, [
      { item: a!.item, size: a!.size, quantity: a!.toBuy },
      { item: b!.item.toUpperCase(), size: b!.size, quantity: b!.toBuy / 2 },
      { item: c!.item, size: c!.size, quantity: c!.toBuy + 5 },
      { item: "Left-handed hammer", size: "", quantity: 1 },
    ]);
    expect(found.slice(0, 3).map((d) => d.kind)).toEqual(["right", "short", "over"]);
    expect(found.slice(3, -1).every((d) => d.kind === "missing")).toBe(true);
    expect(found.at(-1)).toMatchObject({ item: "Left-handed hammer", kind: "not-in-job" });
  });
});

describe("the take-off by place and by work", () => {
  it("sums to the whole, whatever it is split by", () => {
    const placed = placedTakeOff(layHouse(bare), plan);
    for (const split of [totalsBy(placed, (l) => l.place), totalsBy(placed, (l) => l.task)]) {
      const sums = new Map<string, number>();
      for (const { lines } of split)
        for (const l of lines) sums.set(`${l.item} ${l.size}`, (sums.get(`${l.item} ${l.size}`) ?? 0) + l.quantity);
      for (const t of totals(plan.takeoff)) expect(sums.get(`${t.item} ${t.size}`)).toBeCloseTo(t.quantity, 6);
      expect(sums.size).toBe(totals(plan.takeoff).length);
    }
    for (const l of placed) expect(l.place).toMatch(/^(room|deck):./);
  });
});

describe("price lists and orders", () => {
  it("are read by the names of their columns, prices in pounds, and written back the same", () => {
    const text =
      "Item,Size,Holds,Price,Code\r\nGrommet,20 mm,100,£3.50,G20\r\nClip,2.5,100,,\r\nScrew and plug,,,,\r\n";
    const read = readPacksCsv(text);
    expect(read).toEqual({
      ok: true,
      rows: [
        { item: "Grommet", size: "20 mm", holds: 100, price: 350, code: "G20" },
        { item: "Clip", size: "2.5", holds: 100, price: null, code: "" },
      ],
    });
    if (read.ok) expect(readPacksCsv(packsCsv(read.rows, [{ item: "Box", size: "" }]))).toEqual(read);
  });
  it("are refused whole, each fault by its line, column and what is allowed", () => {
    expect(readPacksCsv("a,b\n1,2")).toMatchObject({
      ok: false,
      faults: [{ path: "line 1", message: expect.stringMatching(/no column item, holds/) }],
    });
    const bad = readPacksCsv("item,holds,price\nClip,none,1\n,5,\nBox,1,-2");
    expect(bad.ok ? [] : bad.faults.map((f) => f.path)).toEqual(["line 2, holds", "line 3, item", "line 4, price"]);
    expect(readOrderCsv("item,quantity\nClip,lots")).toMatchObject({
      ok: false,
      faults: [{ path: "line 2, quantity" }],
    });
    expect(readOrderCsv('item,size,quantity\nClip,2.5,"1,200"')).toEqual({
      ok: true,
      rows: [{ item: "Clip", size: "2.5", quantity: 1200 }],
    });
  });
});
