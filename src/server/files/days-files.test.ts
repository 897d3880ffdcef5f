import readXlsx, { readSheet } from "read-excel-file/node";
import { describe, expect, it } from "vitest";
import { pointLabels } from "../../core/job/labels";
import type { SiteEntry } from "../../core/job/site-entry";
import { expectedOnTails } from "../../core/plan/expected-readings";
import { runReadingNames } from "../../core/trades/dead-tests/run-read";
import { layHouse } from "../../core/house/house";
import { makePlan } from "../../core/plan/plan";
import { totals } from "../../core/plan/take-off";
import { clockText } from "../../core/record/calendar";
import { daysOf } from "../../core/record/day";
import { generatedHouse } from "../../core/routing/generated-house";
import { daysIcs } from "./days-ics";
import { jobXlsx } from "./job-xlsx";

const job = generatedHouse(3);
const h = layHouse(job);
const plan = makePlan(job);

describe("the days as iCalendar", () => {
  const days = daysOf(h, plan, [], { date: "2026-11-30", minute: 480 });
  const text = daysIcs(h, days, "2026-11-29T20:00:00Z");
  it("have an event for every stretch of work, at its hour of the clock on the wall", () => {
    const starts = [...text.matchAll(/DTSTART:(\d{8})T(\d{2})(\d{2})00\r/g)].map((m) => `${m[1]} ${m[2]}:${m[3]}`);
    expect(starts).toHaveLength(days.schedule.slots.length);
    const first = days.schedule.slots[0]!;
    expect(starts[0]).toBe(`20261130 ${clockText(first.from)}`);
    expect(text).not.toMatch(/DTSTART[^\r]*Z\r/);
  });
  it("are one file for equal days, with ids of their own and lines of at most 75 octets", () => {
    expect(daysIcs(h, days, "2026-11-29T20:00:00Z")).toBe(text);
    const ids = [...text.matchAll(/UID:(.*)\r/g)].map((m) => m[1]);
    expect(new Set(ids).size).toBe(ids.length);
    for (const line of text.split("\r\n")) expect(new TextEncoder().encode(line).length).toBeLessThanOrEqual(75);
  });
});

describe("the lists as a spreadsheet", () => {
  const ring = job.circuits.find((c) => c.kind === "ring")!;
  const read: SiteEntry = {
    id: "r",
    run: plan.runs[0]!.id,
    kind: "reading",
    step: null,
    text: "",
    by: "Pat",
    at: "2026-11-26T11:00:00Z",
    reading: { what: runReadingNames.lineEarth, value: 0.41, unit: "Ω" },
  };
  it("reads back, by another program than wrote it, with the take-off, every cut, every hole and what was read", async () => {
    const file = Buffer.from(await jobXlsx(h, plan, [read]));
    const names = (await readXlsx(file)).map((s) => s.sheet);
    expect(names).toEqual(["Take-off", "To buy", "Cuts", "Tests of runs", "Tests of rings", "Holes"]);
    const sheet = async (name: string) => (await readSheet(file, name)).slice(1);
    const all = (await sheet("Take-off")).filter((r) => r[0] === "all");
    expect(all.map((r) => [r[1], r[2] ?? "", r[3]])).toEqual(
      totals(plan.takeoff).map((l) => [l.item, l.size, Number(l.quantity.toFixed(2))]),
    );
    const label = pointLabels(job);
    expect((await sheet("Cuts")).map((r) => [r[1], r[2], r[4]])).toEqual(
      plan.runs.map((r) => [label(r.from), label(r.to), Math.ceil(r.cutLength - 1e-6)]),
    );
    const tests = await sheet("Tests of runs");
    expect(tests).toHaveLength(plan.runs.length);
    const expected = expectedOnTails(h, plan, plan.runs[0]!)!;
    expect(tests[0]!.slice(1, 3)).toEqual([Number(expected.lineEarth.toFixed(2)), "0.41 Ω"]);
    expect(tests[1]![2]).toBeNull();
    const rings = await sheet("Tests of rings");
    expect(rings.map((r) => r[0])).toContain(`${ring.label} ${ring.name}`);
    expect(await sheet("Holes")).toHaveLength(plan.holes.length);
  });
});
