import { describe, expect, it } from "vitest";
import { desk } from "./desk";

const { page, app, open, see, press, type, key, stored, job, text, jobId } = desk();

/** Waits until what the selector finds reads like this. */
const reads = (selector: string, words: RegExp): Promise<unknown> =>
  page().waitForFunction(
    (s, w) => new RegExp(w).test((document.querySelector<HTMLElement>(s)?.innerText ?? "").replace(/\s+/g, " ")),
    { timeout: 180_000 },
    selector,
    words.source,
  );
const pickEnd = async (label: string): Promise<void> => {
  await page().waitForSelector('[aria-label="Points with cables"] button', { timeout: 180_000 });
  await page().click(`::-p-xpath(//ul[@aria-label="Points with cables"]//button[span[1][text()="${label}"]])`);
};

describe("ends", () => {
  it("says when a box will not close, and one press takes one that does", async () => {
    await open("demo", "stage=ends");
    await pickEnd("S4");
    await reads("[data-box-room]", /It closes: 23\.4 of 35/);
    await type("box depth", "16");
    await reads("[data-box-room]", /It will not close: 23\.4 needed, 16 there\. 25 deep would/);
    await press("Use a box 25");
    await reads("[data-box-room]", /It closes: 23\.4 of 25/);
    await stored();
    expect((await job()).points.find((p) => p.label === "S4")!.boxDepth).toBe(25);
  });

  it("moves a gland by figures, tells when it is too near the edge, and takes a hole that is there", async () => {
    await open("demo", "stage=ends");
    await pickEnd("K1");
    await page().waitForSelector("[data-gland-face=right]");
    expect(await text("[data-armour-end]")).toMatch(/gland 20, hole Ø 20\.5 · indoor type/);
    await type("gland k.board.k1", "20");
    await see("A gland of K1 is 20 from the edge of its face; it wants 21.8");
    // By hand: dragged 20 px it goes on by as many millimetres as the drawing says, by keys a millimetre at a time.
    const handle = (await page().$('[data-handle="k.board.k1"]'))!;
    await handle.scrollIntoView();
    const { x, y, width, height } = (await handle.boundingBox())!;
    await page().mouse.move(x + width / 2, y + height / 2);
    await page().mouse.down();
    await page().mouse.move(x + width / 2 + 20, y + height / 2, { steps: 4 });
    await page().mouse.up();
    await page().waitForFunction(
      () => Number(document.querySelector('[data-handle="k.board.k1"]')?.getAttribute("aria-valuenow")) > 25,
    );
    const at = async (): Promise<number> =>
      Number(await page().$eval('[data-handle="k.board.k1"]', (e) => e.getAttribute("aria-valuenow")));
    const dragged = await at();
    await handle.evaluate((e) => (e as SVGElement).focus());
    await key("ArrowRight");
    await page().waitForFunction(
      (was) => Number(document.querySelector('[data-handle="k.board.k1"]')?.getAttribute("aria-valuenow")) === was + 1,
      {},
      dragged,
    );
    await press("Where it was");
    await page().click('[data-gland-face=right] ::-p-xpath(.//button[contains(., "A hole that is there")])');
    await reads("[data-gland-face=right]", /Ø 20\.5: there already/);
    await type("hole 0 size", "16.5");
    await reads("[data-gland-face=right]", /there, to be opened up/);
    await type("hole 0 at", "90");
    await see("From the top is 90");
    await stored();
    expect((await job()).points.find((p) => p.id === "k1")!.faceHoles).toEqual([{ edge: "right", at: 35, size: 16.5 }]);
  });
});

describe("a board", () => {
  it("is tied by keys in another order, says what then crosses, and is put right with one press", async () => {
    await open("demo", "stage=board");
    await reads("[data-crossings]", /^0 crossings · 4 if tied in the order of the list of runs/);
    // What is told to those who cannot see it says how far the hand is.
    const told = (words: RegExp): Promise<unknown> =>
      page().waitForFunction(
        (w) =>
          [...document.querySelectorAll("[id^=DndLiveRegion]")].some((e) => new RegExp(w).test(e.textContent ?? "")),
        { timeout: 5_000 },
        words.source,
      );
    // Begun anew where the plan came meanwhile: the focus, or a key pressed before the places were measured, went with what was
    // drawn before.
    const moves = async (): Promise<boolean> => {
      await page().focus('[aria-label="Move R1 out"]');
      for (const [pressed, words] of [
        ["Space", /R1 out to the place of R1 out/],
        ["ArrowRight", /R1 out to the place of R1 back/],
        ["ArrowRight", /R1 out to the place of LI1/],
      ] as const) {
        await key(pressed);
        const heard = await told(words).then(
          () => true,
          () => false,
        );
        if (!heard) return false;
      }
      return true;
    };
    for (let tries = 0; !(await moves()); tries++) {
      await key("Escape");
      expect(tries).toBeLessThan(5);
    }
    await key("Space");
    await reads("[data-crossings]", /^1 pair crosses as they are tied · none need/);
    await stored();
    expect((await job()).points.find((p) => p.kind === "board")!.tied).toHaveLength(7);
    await press("Tie in the order that crosses least");
    await reads("[data-crossings]", /^0 crossings/);
    // By the school: the kiln, which had none, gets the way by the main switch.
    await press("Ways");
    await page().click('[data-order="heaviest"] button');
    await reads('[data-way="1"]', /^1 K Kiln shed/);
    await stored();
    const ways = Object.fromEntries(
      (await job()).circuits.flatMap((c) => (c.kind === "signal" ? [] : [[c.label, c.way]])),
    );
    expect(ways).toEqual({ K: 1, R1: 2, R2: 3, AL: 4, LI1: 5, O1: 6, LI2: 7 });
    await press("Entry");
    await reads("[data-crossings]", /^0 crossings/);
  });
});

describe("the main switch of a board", () => {
  it("has its own steps, and what it was tightened to stands in the chart", async () => {
    await open("demo", "stage=board");
    const id = jobId();
    await press("Flags and chart");
    await reads("[data-main-torque]", /Main switch: not read/);
    await press("Main switch of a board");
    await page().waitForSelector("[data-next]");
    while (!(await page().$("[data-reading]"))) await page().click("[data-next]");
    await type("reading", "3.1");
    await press("Write it down");
    await see("Instrument is empty");
    await type("Instrument", "Torque driver 2");
    await press("Write it down");
    await see(/Torque, the main switch 3\.1 N·m/);
    await page().goto(`${app().address}/jobs/${id}?stage=board`);
    await press("Flags and chart");
    await reads("[data-main-torque]", /Main switch: 3\.1 N·m, Electrician 1/);
  });
});

describe("the end of a run on site", () => {
  it("shows its box, leads to its steps with its own figures, and keeps the reading taken there", async () => {
    await open("demo", "stage=ends");
    const id = jobId();
    await page().setViewport({ width: 390, height: 844 });
    await page().goto(`${app().address}/jobs/${id}/site?run=k.board.k1`);
    for (const step of ["bored", "drawn-in", "clipped"]) {
      await page().waitForSelector(`[data-step=${step}]`);
      await page().click(`[data-step=${step}]`);
    }
    await page().waitForSelector("[data-site-end=k1] summary");
    await page().click("[data-site-end=k1] summary");
    await reads("[data-site-end=k1]", /wires stop at 103, sheath ringed at 90/);
    await page().click('[data-site-end=k1] ::-p-xpath(.//a[contains(., "Steel-wire armour, indoors")])');
    await page().waitForSelector("[data-next]");
    const next = (): Promise<void> => page().click("[data-next]");
    await next();
    await reads("[data-measure]", /Ø 20\.5 mm/);
    await next();
    await reads("[data-measure]", /A 103 mm/);
    await next();
    await reads("[data-measure]", /B 90 mm/);
    while (!(await page().$("[data-reading]"))) await next();
    await press("Write it down");
    await see("Armour to earth bar is “”; it must be a number from 0");
    // What a card asks for is not passed over in silence.
    await next();
    await see("Armour to earth bar is not written down");
    await type("reading", "0.9");
    await type("Instrument", "Meter 7");
    await see("0.9 Ω is more than it may be");
    await press("Write it down");
    await see(/Armour to earth bar 0\.9 Ω/);
    await page().goto(`${app().address}/jobs/${id}/site?run=k.board.k1`);
    await see(/Armour to earth bar 0\.9 Ω/);
  });
});
