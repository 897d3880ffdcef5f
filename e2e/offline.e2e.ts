import type { Page } from "puppeteer-core";
import { describe, expect, it } from "vitest";
import { desk } from "./desk";
import { handsOf } from "./hands";

const { app, page, open, jobId, see } = desk();

const tick = async (p: Page): Promise<string> => {
  await p.waitForSelector("li[data-run] > button:last-child");
  const name = await p.$eval("li[data-run] > button:last-child", (e) => e.getAttribute("aria-label")!);
  await p.click("li[data-run] > button:last-child");
  return name;
};
const book = async (id: string): Promise<{ run: string; step: string; at: string }[]> =>
  (
    (await (await fetch(`${app().address}/api/jobs/${id}/file`)).json()) as {
      siteBook: { run: string; step: string; at: string }[];
    }
  ).siteBook;

describe("on site without a signal", () => {
  it("a job once opened opens again with what was done, while the server is dead and the page was closed; what is done then is sent once", async () => {
    const id = await open("demo");
    const address = `${app().address}/jobs/${id}/site?show=runs`;
    await page().setViewport({ width: 390, height: 844 });
    await page().goto(address);
    await page().waitForSelector('[data-offline="kept"]');
    expect(jobId()).toBe(id);
    // Done and sent after the page was kept: it must stand when the page comes from the phone alone.
    const sent = await tick(page());
    await see("all sent");
    await page().waitForFunction((n) => !document.querySelector(`[aria-label="${n}"]`), {}, sent);
    await app().kill();
    await page().goto("about:blank");

    const phone = await app().newPage();
    const faults: string[] = [];
    phone.on("pageerror", (e) => faults.push((e as Error).message));
    await phone.setViewport({ width: 390, height: 844 });
    await phone.goto(address);
    await phone.waitForSelector("li[data-run]");
    await phone.waitForFunction((n) => !document.querySelector(`[aria-label="${n}"]`), {}, sent);
    // A run opens with its figures and its drawing.
    await phone.click("li[data-run] > button:first-child");
    await handsOf(() => phone).see(/cut|bore|hole/);
    await phone.click('[aria-label="Back to all runs"]');
    const waits = [await tick(phone), await tick(phone)];
    await phone.waitForSelector('[data-to-send="2"]');
    // The phone was off: what waits is still there.
    await phone.reload();
    await phone.waitForSelector('[data-to-send="2"]');
    for (const name of waits) expect(await phone.$(`[aria-label="${name}"]`)).toBeNull();
    // A page never opened here says so, in words.
    await phone.goto(`${app().address}/rules`);
    await handsOf(() => phone).see("No signal, or the server is not running");
    await phone.goto(address);
    await phone.waitForSelector('[data-to-send="2"]');

    // Two days later, still without a signal, and the clock of the phone jumped: what was done then comes after.
    const later = await app().newPage();
    await later.evaluateOnNewDocument(() => {
      const shift = 2 * 86_400_000;
      const now = Date.now.bind(Date);
      const Real = Date;
      const Shifted = class extends Real {
        constructor(...at: []) {
          super(...(at.length ? at : ([now() + shift] as unknown as [])));
        }
        static override now = (): number => now() + shift;
      };
      globalThis.Date = Shifted as DateConstructor;
    });
    await later.setViewport({ width: 390, height: 844 });
    await later.goto(address);
    await later.waitForSelector('[data-to-send="2"]');
    await tick(later);
    await later.waitForSelector('[data-to-send="3"]');
    await later.close();

    await app().again();
    await phone.waitForSelector('[data-to-send="0"]');
    const lines = await book(id);
    expect(lines).toHaveLength(4);
    expect(new Set(lines.map((l) => `${l.run} ${l.step}`)).size).toBe(4);
    expect(Date.parse(lines[3]!.at) - Date.parse(lines[2]!.at)).toBeGreaterThan(86_400_000);
    expect(faults).toEqual([]);
    await phone.close();
    // The desk shows the same.
    await page().setViewport({ width: 1280, height: 800 });
    await page().goto(`${app().address}/jobs/${id}?stage=site-book`);
    await page().waitForSelector("[data-storing]");
  });

  it("once the device keeps programs, the Bench and the desk each still run their own worker", async () => {
    const id = await open("demo");
    await page().goto(`${app().address}/jobs/${id}/site`);
    await page().waitForFunction(() => navigator.serviceWorker.controller !== null);
    for (let i = 0; i < 2; i++) {
      await page().goto(`${app().address}/bench/timber.check`);
      await see("1 stop in 2 cuts.");
      await page().goto(`${app().address}/jobs/${id}?stage=routes`);
      await see(/\d+ runs laid/);
    }
  });
});
