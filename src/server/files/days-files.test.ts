import ExcelJS from "exceljs";
import { describe, expect, it } from "vitest";
import { layHouse } from "../../core/house/house";
import { makePlan } from "../../core/plan/plan";
import { totals } from "../../core/plan/take-off";
import { buyingList } from "../../core/record/buying";
import { clockText } from "../../core/record/calendar";
import { daysOf } from "../../core/record/day";
import { generatedHouse } from "../../core/routing/generated-house";
import { daysIcs } from "./days-ics";
import { materialsXlsx } from "./materials-xlsx";

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

describe("materials as a spreadsheet", () => {
  it("reads back with the quantities of the take-off and every cut", async () => {
    const book = new ExcelJS.Workbook();
    await book.xlsx.load((await materialsXlsx(h, plan, buyingList(h, plan, []))).buffer as ArrayBuffer);
    expect(book.worksheets.map((s) => s.name)).toEqual(["Take-off", "To buy", "Cuts"]);
    const all: [string, number][] = [];
    book.getWorksheet("Take-off")!.eachRow((r) => {
      if (r.getCell(1).value === "all")
        all.push([`${String(r.getCell(2).value)} ${String(r.getCell(3).value ?? "")}`, Number(r.getCell(4).value)]);
    });
    expect(all).toEqual(totals(plan.takeoff).map((l) => [`${l.item} ${l.size}`, Number(l.quantity.toFixed(2))]));
    expect(book.getWorksheet("Cuts")!.rowCount).toBe(plan.runs.length + 1);
  });
});
