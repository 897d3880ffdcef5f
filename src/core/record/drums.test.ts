import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { layHouse } from "../house/house";
import { drumSchema } from "../job/model";
import { type SiteEntry, siteEntrySchema } from "../job/site-entry";
import { makePlan } from "../plan/plan";
import { generatedHouse } from "../routing/generated-house";
import { daysOf } from "./day";
import { cableUsed, cutAt, cutsToCome, drumsOf, offcutId, runsToCut } from "./drums";
import { shortBy, shortNext } from "./short";

const drum = (id: string, more: object = {}) =>
  drumSchema.parse({ id, label: id, cable: "te-2.5", length: 50_000, ...more });
let n = 0;
const line = (kind: SiteEntry["kind"], run: string, cut: SiteEntry["cut"], more: object = {}): SiteEntry =>
  siteEntrySchema.parse({
    id: `c${String(++n).padStart(4, "0")}`,
    run,
    kind,
    step: null,
    by: "Pat",
    at: new Date(Date.UTC(2026, 10, 30, 8, n)).toISOString(),
    ...(cut ? { cut } : {}),
    ...more,
  });

describe("a drum", () => {
  it("has what it came with less what was cut, by the marks where they were read", () => {
    const cuts = [
      line("cut", "a", { drum: "d1", length: 8565, from: 52_000, to: 60_600 }),
      line("cut", "b", { drum: "d1", length: 3000 }),
    ];
    const [d] = drumsOf({ drums: [drum("d1", { mark: 52_000 })] }, cuts);
    expect(d).toMatchObject({ used: 11_600, left: 38_400, mark: 63_600 });
    expect(
      drumsOf({ drums: [drum("d1", { mark: 52_000, rising: false })] }, [
        line("cut", "a", { drum: "d1", length: 3000 }),
      ])[0],
    ).toMatchObject({ mark: 49_000 });
  });
  it("gets back a cut that was told by mistake, and never goes below nothing", () => {
    const cut = line("cut", "a", { drum: "d1", length: 8000 });
    expect(drumsOf({ drums: [drum("d1")] }, [cut, line("undone", "a", undefined, { after: cut.id })])[0]!.left).toBe(
      50_000,
    );
    expect(drumsOf({ drums: [drum("d1")] }, [line("cut", "a", { drum: "d1", length: 60_000 })])[0]!.left).toBe(0);
  });
  it("is cut at the next tenth of a metre: never short, never more than a tenth over", () => {
    const [d] = drumsOf({ drums: [drum("d1", { mark: 52_000 })] }, []);
    expect(cutAt(d!, 8565)).toMatchObject({ from: 52_000, to: 60_600 });
    expect(cutAt(d!, 8600).to).toBe(60_600);
    expect(cutAt(d!, 8501)).toMatchObject({ to: 60_600, after: 41_499, lacking: 0 });
    expect(cutAt(d!, 51_000)).toMatchObject({ after: 0, lacking: 1000 });
    expect(cutAt({ ...d!, rising: false }, 8565).to).toBe(43_400);
    expect(cutAt({ ...d!, mark: null }, 8565).to).toBeNull();
    // Marks that would fall below nothing were read wrong.
    expect(cutAt({ ...d!, mark: 5000, rising: false }, 8565).to).toBeNull();
  });
  it("an offcut that came back is stock of its own and is used first", () => {
    const back = line("returned", "a", { drum: "d1", length: 9600 });
    const drums = drumsOf({ drums: [drum("d1"), drum("d2")] }, [
      line("cut", "a", { drum: "d1", length: 20_000 }),
      back,
    ]);
    expect(drums.find((d) => d.id === offcutId(back.id))).toMatchObject({
      label: "Offcut of d1",
      left: 9600,
      offcut: true,
    });
    const run = (id: string, cutLength: number) => ({ id, cutLength, cable: "te-2.5" }) as never;
    const [c] = cutsToCome([run("x", 9000), run("y", 12_000)], drums);
    expect(c!.drums.find((d) => d.id === offcutId(back.id))!.pieces).toEqual([{ run: "x", length: 9000 }]);
    expect(c!.drums.filter((d) => d.id === "d1" || d.id === "d2").flatMap((d) => d.pieces)).toEqual([
      { run: "y", length: 12_000 },
    ]);
    const after = drumsOf({ drums: [drum("d1")] }, [back, line("cut", "x", { drum: offcutId(back.id), length: 9000 })]);
    expect(after.find((d) => d.offcut)!.left).toBe(600);
  });
  it("no cut plan takes more from a drum than is left on it, and every piece is cut once or told (property)", () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 500, max: 20_000 }), { maxLength: 12 }),
        fc.array(fc.integer({ min: 1000, max: 40_000 }), { maxLength: 5 }),
        fc.array(fc.integer({ min: 300, max: 12_000 }), { maxLength: 3 }),
        (pieces, lengths, backs) => {
          const job = { drums: lengths.map((length, i) => drum(`d${i}`, { length })) };
          const entries = lengths.length ? backs.map((length) => line("returned", "r", { drum: "d0", length })) : [];
          const drums = drumsOf(job, entries);
          const runs = pieces.map((cutLength, i) => ({ id: `r${i}`, cutLength, cable: "te-2.5" }) as never);
          const plans = cutsToCome(runs, drums);
          const all = plans.flatMap((c) => [...c.drums.flatMap((d) => d.pieces), ...c.unmet]);
          expect(all.map((p) => p.run).sort()).toEqual(pieces.map((_, i) => `r${i}`).sort());
          for (const c of plans)
            for (const d of c.drums)
              expect(d.pieces.reduce((s, p) => s + p.length, 0)).toBeLessThanOrEqual(
                drums.find((x) => x.id === d.id)!.left,
              );
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe("cable of a job", () => {
  const job = { ...generatedHouse(3), drums: [] };
  const plan = makePlan(job);
  const h = layHouse(job);
  const [a, b] = plan.runs;
  it("is to be cut for what is neither cut nor drawn in", () => {
    expect(runsToCut(plan, [])).toHaveLength(plan.runs.length);
    const entries = [
      line("cut", a!.id, { drum: "d1", length: 5000 }),
      line("done", b!.id, undefined, { step: "drawn-in" }),
    ];
    expect(runsToCut(plan, entries).map((r) => r.id)).toEqual(plan.runs.slice(2).map((r) => r.id));
  });
  it("used is what was cut less what came back, by circuit and by day", () => {
    const cut = line("cut", a!.id, { drum: "d1", length: Math.ceil(a!.cutLength) + 500 });
    const used = cableUsed(plan, [cut, line("returned", a!.id, { drum: "d1", length: 300 })]);
    const mine = used.circuits.find((c) => c.circuit === a!.circuit)!;
    expect(mine.used).toBe(Math.ceil(a!.cutLength) + 200);
    expect(mine.cut).toBeCloseTo(a!.cutLength, 6);
    expect(mine.over).toBeCloseTo((Math.ceil(a!.cutLength) + 200 - a!.cutLength) / a!.cutLength, 6);
    expect(used.circuits.find((c) => c.circuit !== a!.circuit)?.over ?? null).toBeNull();
    expect(mine.planned).toBeCloseTo(
      plan.runs.filter((r) => r.circuit === a!.circuit).reduce((s, r) => s + r.cutLength, 0),
      6,
    );
    expect(used.days).toEqual([{ date: "2026-11-30", used: Math.ceil(a!.cutLength) + 200 }]);
    expect(used.back).toBe(300);
  });
  it("is told short the day before it is, by just so much, and not when there is enough", () => {
    const now = { date: "2026-11-30", minute: 480 };
    const days = daysOf(h, plan, [], now);
    const none = shortNext("2026-11-29", days, job, plan, []);
    const last = days.schedule.slots.reduce((d, s) => Math.max(d, s.until), 0);
    expect(last).toBeGreaterThan(0);
    expect(shortBy("2026-11-29", days, job, plan, [])).toEqual([]);
    const all = shortBy("2027-12-31", days, job, plan, []);
    expect(all.reduce((s, x) => s + x.short, 0)).toBeCloseTo(
      plan.runs.reduce((s, r) => s + r.cutLength, 0),
      6,
    );
    expect(none === null || none.short.every((s) => all.find((x) => x.cable === s.cable)!.short >= s.short)).toBe(true);
    const cables = [...new Set(plan.runs.map((r) => r.cable))];
    const enough = { drums: cables.map((cable, i) => drum(`big${i}`, { cable, length: 100_000 })) };
    const two = { drums: [...enough.drums, ...cables.map((cable, i) => drum(`more${i}`, { cable, length: 100_000 }))] };
    expect(shortBy("2027-12-31", days, two, plan, [])).toEqual([]);
  });
});
