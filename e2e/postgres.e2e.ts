import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { newDatabase } from "../src/data/client";
import { handsOf } from "./hands";
import { type Running, start } from "./start";

const server = process.env.TEST_DATABASE_URL;

/** Only where there is a PostgreSQL server; `npm test` starts one where Debian's postgresql can be had. */
describe.skipIf(!server)("two servers of a firm on one PostgreSQL database", () => {
  let one: Running;
  let other: Running;
  beforeAll(async () => {
    const database = await newDatabase(server!);
    [one, other] = await Promise.all([start({ database }), start({ database })]);
  });
  afterAll(async () => {
    await Promise.all([one?.stop(), other?.stop()]);
  });
  /** A desk of a server on the kitchen of the demo. */
  const desk = async (app: Running, asks = true) => {
    const page = await app.newPage();
    // Without asking from time to time a desk knows only what it is told.
    if (!asks)
      await page.evaluateOnNewDocument(() => {
        const real = window.setInterval.bind(window);
        window.setInterval = ((f: TimerHandler, ms?: number) => ((ms ?? 0) >= 5000 ? 0 : real(f, ms))) as never;
      });
    await page.setViewport({ width: 1280, height: 800 });
    await page.goto(`${app.address}/jobs/tern-cottage?stage=points&room=kitchen`);
    const pick = async (label: string): Promise<void> => {
      await page.waitForSelector(`[data-point-tag="${label}"]`);
      await page.$eval(`[data-point-tag="${label}"]`, (e) => (e as unknown as SVGElement).focus());
      await page.waitForSelector('[data-field="u"]');
    };
    const shows = (u: string): Promise<unknown> =>
      page.waitForFunction(
        (value) => (document.querySelector('[data-field="u"]') as HTMLInputElement | null)?.value === value,
        {},
        u,
      );
    return { page, pick, shows, ...handsOf(() => page) };
  };

  it("a point moved at one is seen at the other at once, by being told and not by asking", async () => {
    const a = await desk(one);
    const b = await desk(other, false);
    await b.pick("S2");
    await a.page.bringToFront();
    await a.pick("S2");
    await a.type("u", "2500");
    await a.stored();
    await b.shows("2500");
    await a.page.close();
    await b.page.close();
  });

  it("what is ticked on site at one stands on the desk of the other, and one server that goes takes nothing with it", async () => {
    const b = await desk(other);
    const phone = await one.newPage();
    await phone.setViewport({ width: 390, height: 844 });
    await phone.goto(`${one.address}/jobs/tern-cottage/site?show=runs`);
    await phone.waitForSelector("li[data-run] > button:last-child");
    const run = await phone.$eval("li[data-run]", (e) => (e as HTMLElement).dataset.run);
    await phone.click("li[data-run] > button:last-child");
    await handsOf(() => phone).see("all sent");
    await one.stop();
    const book = await b.page.evaluate(async () =>
      ((await (await fetch("/api/jobs/tern-cottage/file")).json()) as { siteBook: { run: string }[] }).siteBook.map(
        (e) => e.run,
      ),
    );
    expect(book).toEqual([run]);
    await b.page.bringToFront();
    await b.pick("S5");
    await b.type("u", "1500");
    await b.stored();
  });
});
