import type { ElementHandle, Page } from "puppeteer-core";
import { describe, expect, it } from "vitest";
import { desk } from "./desk";
import { handsOf } from "./hands";

const { app, page, job, see, press, text, type, stored } = desk();

/** Tab from where one is until something of this name is in focus; fails after as many presses as a person would have patience for. */
async function tabTo(p: Page, name: RegExp, most = 120): Promise<void> {
  for (let i = 0; i < most; i++) {
    await p.keyboard.press("Tab");
    const at = await p.evaluate(() => {
      const e = document.activeElement as HTMLElement | null;
      return e ? `${e.getAttribute("aria-label") ?? ""} ${e.innerText ?? ""}`.trim() : "";
    });
    if (name.test(at)) return;
  }
  throw new Error(`Tab never came to ${String(name)}`);
}

const focused = (p: Page): Promise<string | null> =>
  p.evaluate(() => (document.activeElement as HTMLElement | null)?.dataset.field ?? null);

describe("the first day", () => {
  it("the tour goes through the demo on the real thing and ends on site", async () => {
    await page().goto(app().address);
    await press("Look round the demo");
    await page().waitForSelector('[data-tour="1"]');
    for (let n = 2; n <= 8; n++) {
      await page().keyboard.press("Enter");
      await page().waitForSelector(`[data-tour="${n}"]`);
      await page().waitForFunction(() =>
        /^(Next|Open it on site)/.test((document.activeElement as HTMLElement).innerText),
      );
    }
    await page().keyboard.press("Enter");
    await page().waitForFunction(() => location.pathname.endsWith("/site"));
  });

  it("by mouse: from the start page to the marks of a wall, each next thing being said", async () => {
    await page().goto(app().address);
    await page().waitForSelector("[data-first-day]");
    await press("Start the first job");
    await page().keyboard.type("Rose House");
    await page().keyboard.press("Enter");
    await page().waitForFunction(() => location.pathname.startsWith("/jobs/"));
    await page().waitForSelector("[data-next]");
    expect(await text("[data-next]")).toContain("Walk the first room");
    await page().click("[data-next] button");
    // The dialog starts in its first field, the name; Enter goes on to the lengths, and Enter there adds the room.
    await page().waitForSelector("[data-walk]");
    await page().waitForFunction(() => (document.activeElement as HTMLElement).dataset.field === "new room name");
    await page().keyboard.type("Kitchen");
    await page().keyboard.press("Enter");
    expect(await focused(page())).toBe("walk");
    await page().keyboard.type("3600 r 2800 r");
    // Two sides are no room yet: it is not drawn shut.
    await see("Not closed yet: a room has at least three sides");
    await page().keyboard.type(" 3600 r 2800");
    await see("Closes");
    await page().keyboard.press("Enter");
    await see("1 room, 0 decks");
    expect((await job()).rooms[0]).toMatchObject({ name: "Kitchen", kind: "kitchen" });
    // All four walls are outside, told in one step.
    await page().$eval("[data-outside-walls] summary", (e) => (e as HTMLElement).click());
    await type("outside thickness", "300");
    await press("All 4 outside walls are this");
    await page().waitForSelector('[data-outside-walls="0"]');
    await see("Not known yet");
    await page().click("[data-next] button");
    await page().waitForSelector('section[aria-label="Wall 1"]');
    await press("door");
    await page().waitForFunction(() =>
      document.querySelector("[data-next]")?.textContent?.includes("Put the board on a wall"),
    );
    await page().click("[data-next] button");
    await page().waitForSelector("[data-palette]");
    const top = (): Promise<number> => page().$eval("[data-palette]", (e) => Math.round(e.getBoundingClientRect().top));
    const before = await top();
    await page().click("::-p-xpath(//*[@data-palette]//button[contains(., 'Board')])");
    await see("1 placed");
    await page().click("::-p-xpath(//*[@data-palette]//button[contains(., 'Twin socket')])");
    await see(/[12] runs? laid/);
    // The palette stays where it was but for the hint over it, which has done its work.
    expect(Math.abs((await top()) - before)).toBeLessThan(90);
    await page().click("::-p-xpath(//*[@data-palette]//button[contains(., 'Twin socket')])");
    await see("3 runs laid");
    await see(/S\d middle/);
    const now = await job();
    expect(now.circuits).toMatchObject([{ label: "R1", kind: "ring", way: 1 }]);
    expect(now.walls.every((w) => w.thickness === 300 && w.backing === "outside")).toBe(true);
    // Every wall of the room is on the drawing as it opens.
    const frame = await page().$eval(".drawing", (e) => e.getBoundingClientRect().toJSON() as DOMRect);
    const walls = await page().$$eval("[aria-label^='Wall '][role=button]", (all) =>
      all.map((e) => e.getBoundingClientRect().toJSON() as DOMRect),
    );
    expect(walls).toHaveLength(4);
    for (const w of walls) {
      expect(w.left).toBeGreaterThanOrEqual(frame.left - 1);
      expect(w.right).toBeLessThanOrEqual(frame.right + 1);
    }
  });

  it("by keyboard alone: from a new job to its papers", async () => {
    const p = page();
    await p.goto(app().address);
    await p.waitForSelector("main h1");
    await tabTo(p, /^New job/);
    await p.keyboard.press("Enter");
    await p.waitForSelector("[role=dialog]");
    await p.keyboard.type("Key House");
    await p.keyboard.press("Enter");
    await p.waitForFunction(() => location.pathname.startsWith("/jobs/"));
    await p.waitForSelector("[data-storing]");
    // A command by its name, as there is one for everything.
    await p.keyboard.press("/");
    await p.waitForSelector("[cmdk-input]");
    await p.keyboard.type("walk");
    await p.keyboard.press("Enter");
    await p.waitForSelector("[data-walk]");
    await p.waitForFunction(() => (document.activeElement as HTMLElement).dataset.field === "new room name");
    await p.keyboard.type("Hall");
    await p.keyboard.press("Enter");
    await p.keyboard.type("4000 r 2000 r 4000 r 2000");
    await p.keyboard.press("Enter");
    await see("1 room, 0 decks");
    await p.keyboard.press("w");
    await p.waitForSelector('section[aria-label="Wall 1"]');
    await p.keyboard.press("p");
    await p.waitForFunction(() => document.activeElement?.closest("[data-palette]") !== null);
    await tabTo(p, /Board$/);
    await p.keyboard.press("Enter");
    await see("1 placed");
    await p.keyboard.press("p");
    await p.waitForFunction(() => document.activeElement?.closest("[data-palette]") !== null);
    await tabTo(p, /Twin socket/);
    await p.keyboard.press("Enter");
    await p.keyboard.press("Enter");
    await see("3 runs laid");
    // What is picked moves with the keys, and its place can be typed.
    await p.keyboard.press(".");
    await p.keyboard.press(".");
    await stored();
    await p.keyboard.press("/");
    await p.waitForSelector("[cmdk-input]");
    await p.keyboard.type("print");
    await p.keyboard.press("Enter");
    await p.waitForSelector("[data-papers]");
    await tabTo(p, /Keep as PDF/);
    const href = await p.evaluate(() => (document.activeElement as HTMLAnchorElement).href);
    const file = await fetch(href);
    expect(
      Buffer.from(await file.arrayBuffer())
        .subarray(0, 5)
        .toString(),
    ).toBe("%PDF-");
  });

  it("by touch on a phone: a job, a room, points, and a point dragged on its wall", async () => {
    const p = page();
    await p.setViewport({ width: 390, height: 844, hasTouch: true, isMobile: true });
    await p.goto(app().address);
    const tap = async (xpath: string): Promise<void> => {
      const e = (await p.waitForSelector(`::-p-xpath(${xpath})`)) as ElementHandle<HTMLElement>;
      await e.evaluate((x) => x.scrollIntoView({ block: "center" }));
      await e.tap();
    };
    await tap("//button[contains(., 'New job')]");
    await p.waitForSelector("[role=dialog]");
    await p.keyboard.type("Thumb House");
    await tap("//*[@role='dialog']//button[contains(., 'Start the job')]");
    await p.waitForFunction(() => location.pathname.startsWith("/jobs/"));
    await tap("//*[@data-next]//button");
    await p.waitForSelector("[data-walk]");
    await p.tap("[data-walk]");
    await p.keyboard.type("3000 r 3000 r 3000 r 3000");
    await tap("//*[@role='dialog']//button[contains(., 'Add the room')]");
    await p.waitForFunction(() => document.querySelector("[data-next]")?.textContent?.includes("doors and windows"));
    await tap("//nav[@aria-label='Order of work']//button[contains(., 'Points')]");
    await p.waitForSelector("[data-palette]");
    await tap("//*[@data-palette]//button[contains(., 'Board')]");
    await tap("//*[@data-palette]//button[contains(., 'Single socket')]");
    await p.waitForFunction(() => document.querySelectorAll("[data-point-tag]").length === 2);
    const u = async (): Promise<number> => {
      const place = (await job()).points.find((x) => x.kind === "socket")!.place;
      return place.on === "wall" ? place.u : NaN;
    };
    await handsOf(() => p).stored();
    const was = await u();
    const tag = (await p.waitForSelector('[data-point-tag^="S"]')) as ElementHandle<SVGGElement>;
    await tag.evaluate((e) => e.scrollIntoView({ block: "center" }));
    const box = (await tag.boundingBox())!;
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
    const finger = await p.touchscreen.touchStart(x, y);
    for (let i = 1; i <= 8; i++) await finger.move(x + i * 5, y);
    await finger.end();
    await handsOf(() => p).stored();
    await p.waitForFunction(() => document.querySelector('[data-storing="stored"]') !== null);
    expect(Math.abs((await u()) - was)).toBeGreaterThan(100);
    // The other pages are within reach of the thumb.
    await p.tap("button[aria-label='Other pages']");
    await p.waitForSelector("[role=menu]");
    expect(await text("[role=menu]")).toContain("Papers");
  });

  it("Back goes back through rooms and stages, and the list of keys turns single letters off", async () => {
    await page().goto(`${app().address}/jobs/tern-cottage?stage=points&room=kitchen`);
    await page().waitForSelector("[data-palette]");
    await press("Circuits");
    await page().waitForFunction(() => location.search.includes("stage=circuits"));
    await press("Timber");
    await page().waitForFunction(() => location.search.includes("stage=timber"));
    await page().goBack();
    await page().waitForFunction(() => location.search.includes("stage=circuits"));
    await page().waitForSelector('[aria-label="Order of work"] [aria-current=step]');
    expect(await text('[aria-label="Order of work"] [aria-current=step]')).toContain("Circuits");
    await page().goBack();
    await page().waitForSelector("[data-palette]");
    // A picked run brings its room with it.
    await page().keyboard.press("/");
    await page().waitForSelector("[cmdk-input]");
    await page().keyboard.type("kitchen wall 2");
    await page().keyboard.press("Enter");
    await see("Wall 2 of Kitchen");
    await page().keyboard.type("?");
    await page().waitForSelector("[data-keys]");
    await page().click("[role=dialog] input[type=checkbox]");
    await page().keyboard.press("Escape");
    await page().waitForFunction(() => !document.querySelector("[data-keys]"));
    await page().keyboard.press("n");
    await page().keyboard.down("Control");
    await page().keyboard.press("k");
    await page().keyboard.up("Control");
    await page().waitForSelector("[cmdk-input]");
    expect(await page().evaluate(() => location.search)).not.toContain("view=plan");
  });
});
