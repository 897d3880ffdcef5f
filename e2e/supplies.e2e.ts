import { describe, expect, it } from "vitest";
import { desk, fileOf } from "./desk";

const { app, page, open, press, see, text, type, stored, upload, given, job } = desk();

describe("what is to be bought", () => {
  it("is priced by one's own list, less what is on the van, and held against an order", async () => {
    const id = await open("demo", "stage=materials");
    await press("To buy");
    await see(/\d+ items to buy: £\d+\.\d\d by your price list, and \d+ without a price/);
    const before = await text("[data-price]");
    await upload("[data-file=packs]", fileOf("bad.json", "item,holds,price\nGrommet,many,1"));
    await see("The price list was not read");
    await see(/line 2, holds: is .many.; it must be a number/);
    expect((await job()).packs.length).toBeGreaterThan(5);
    expect(await text("[data-price]")).toBe(before);
    await upload(
      "[data-file=packs]",
      fileOf("own.csv", "item,size,holds,price\nGrommet,20 mm,10,2.00\nGrommet,20 mm,50,4.50\n"),
    );
    await see("2 packs read");
    await stored();
    // 52 needed, 20 on the van: 32 in four tens at £8, or one fifty at £4.50.
    await see(/£4\.50 by your price list/);
    await upload(
      "[data-file=order]",
      fileOf("order.csv", "item,size,quantity\nGrommet,20 mm,20\nLeft-handed hammer,,1\n"),
    );
    await see(/too few/);
    await see(/not of this job/);
    await see(/left out of the order/);
    expect(await given("buying.csv", id)).toMatch(/Grommet,20 mm,52,20,32,each,1 x 50,4\.50/);
    const sheet = await fetch(`${app().address}/api/jobs/${id}/materials.xlsx`);
    expect([sheet.ok, sheet.headers.get("content-type")]).toEqual([true, expect.stringContaining("spreadsheetml")]);
  });
});

describe("the days to come", () => {
  it("are planned from the hours given, wait for a room that another trade has, and go out as a calendar", async () => {
    const id = await open("demo", "stage=site-book");
    await page().waitForSelector("[data-strip]");
    const end = (): Promise<string> => page().$eval("[data-days] p", (e) => (e as HTMLElement).innerText);
    const was = await end();
    await type("Noise until", "half past four");
    await see("Noise until is “half past four”; give a time of day such as 08:00.");
    await type("Noise until", "10:00");
    await stored();
    await page().waitForFunction(
      (w) => (document.querySelector("[data-days] p") as HTMLElement).innerText !== w,
      {},
      was,
    );
    const days = Number(/^(\d+) days/.exec(await end())![1]);
    expect(days).toBeGreaterThan(Number(/^(\d+) days/.exec(was)![1]));
    const ics = await (await fetch(`${app().address}/api/jobs/${id}/days.ics?date=2026-11-30&minute=480`)).text();
    expect(ics).toMatch(/BEGIN:VEVENT[\s\S]*DTSTART:20261130T08/);
    const bad = await fetch(`${app().address}/api/jobs/${id}/days.ics?date=soon&minute=480`);
    expect(bad.status).toBe(400);
  });
});
