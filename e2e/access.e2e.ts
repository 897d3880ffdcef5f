import type { Page } from "puppeteer-core";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { faultsIn } from "./faults";
import { handsOf } from "./hands";
import { type Running, start } from "./start";

let app: Running;
beforeAll(async () => {
  app = await start();
});
afterAll(async () => app?.stop());

const desk = "/jobs/tern-cottage";
const stages = [
  "survey",
  "points",
  "circuits",
  "old-wiring",
  "routes",
  "outside",
  "timber",
  "containment",
  "fixings",
  "ends",
  "board",
  "materials",
  "site-book",
];
/** Every route, the desk in each of its stages and views, at the widths they are used at. 640 is 1280 at 200 %. */
const screens: readonly (readonly [path: string, width: number])[] = [
  ["/", 1280],
  ["/", 390],
  ...stages.map((s) => [`${desk}?stage=${s}`, 1280] as const),
  [`${desk}?stage=routes`, 768],
  [`${desk}?stage=circuits`, 640],
  [`${desk}?stage=points`, 390],
  [`${desk}?stage=outside`, 390],
  [`${desk}?stage=old-wiring`, 390],
  [`${desk}?stage=survey&view=plan&room=glaze`, 1280],
  [`${desk}?stage=survey&room=loft`, 390],
  [`${desk}?stage=routes&view=solid`, 1280],
  [`${desk}?stage=timber&view=schedule`, 1280],
  [`${desk}/site`, 390],
  [`${desk}/site`, 844],
  [`${desk}/site?run=r1.board-s6`, 390],
  [`${desk}/site?show=close`, 390],
  [`${desk}/papers`, 1280],
  [`${desk}/papers`, 390],
  [`${desk}/papers/bores/all`, 390],
  [`${desk}/walls/WALL`, 390],
  ["/bench", 1280],
  ["/bench/timber.check", 1280],
  ["/bench/gland.row", 390],
  ["/rules", 1280],
  ["/rules", 390],
  ["/catalogue", 1280],
  ["/schools?job=tern-cottage", 1280],
  ["/steps?kind=mi-second", 390],
  ["/reference", 1280],
  ["/jobs/there-is-none", 390],
];

/** What is opened over a page, and the page it is opened on. */
const opened: readonly (readonly [name: string, path: string, open: (page: Page) => Promise<unknown>])[] = [
  ["New job", "/", (p) => handsOf(() => p).press("New job")],
  ["Find", desk, (p) => p.keyboard.press("/")],
  ["Keys", desk, (p) => p.keyboard.type("?")],
  ["Walk a room", `${desk}?stage=survey`, (p) => handsOf(() => p).press("Walk a room")],
  ["Add a room", `${desk}?stage=survey`, (p) => handsOf(() => p).press("Add room")],
  ["Joists over this storey", `${desk}?stage=survey`, (p) => handsOf(() => p).press("Add joists over")],
  ["Tour", `${desk}?tour=1`, (p) => p.waitForSelector("[data-tour]")],
];

/** One page for all: each screen is come to anew by its address. */
let page: Page | null = null;

/** Opens a page and waits until it shows what it is for. */
async function come(path: string, width: number): Promise<Page> {
  page ??= await app.newPage();
  await page.setViewport({ width, height: width === 390 ? 844 : width === 844 ? 390 : width === 640 ? 400 : 800 });
  await page.goto(app.address + path);
  const isDesk = path === desk || path.startsWith(`${desk}?`);
  await page.waitForSelector(isDesk ? "[data-storing]" : "h1");
  if (isDesk) await page.waitForFunction(() => document.querySelector(".order")?.textContent?.includes("runs laid"));
  return page;
}

describe("every screen", () => {
  it.each(screens)(
    "%s at %i: no fault at any level in either theme, nothing wider than the screen",
    async (path, width) => {
      const job = path.includes("WALL")
        ? ((await (await fetch(`${app.address}/api${desk}/file`)).json()) as { job: { walls: { id: string }[] } }).job
        : null;
      const page = await come(path.replace("WALL", job?.walls[0]?.id ?? ""), width);
      expect(await faultsIn(page)).toEqual([]);
      expect(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBeLessThanOrEqual(
        0,
      );
    },
  );
});

describe("what is opened over a page", () => {
  it.each(opened)(
    "%s: no fault at any level in either theme, and within the screen of a phone",
    async (name, path, open) => {
      const page = await come(path, 390);
      await open(page);
      await page.waitForFunction(
        (n) =>
          [...document.querySelectorAll("[role=dialog], [data-tour]")].some((e) =>
            (e as HTMLElement).innerText.includes(n),
          ) ||
          document.querySelector(`[role=dialog] [cmdk-input]`) !== null ||
          document.querySelector("[data-tour]") !== null,
        {},
        name,
      );
      expect(await faultsIn(page)).toEqual([]);
      const out = await page.$$eval("[role=dialog], [data-tour]", (all) =>
        all.some(
          (e) => e.getBoundingClientRect().left < 0 || e.getBoundingClientRect().right > window.innerWidth + 0.5,
        ),
      );
      expect(out).toBe(false);
    },
  );
});
