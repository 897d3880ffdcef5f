import { describe, expect, it } from "vitest";
import { desk } from "./desk";

const { app, page, job, jobId, open, see, choose, stored, type } = desk();

describe("the supply", () => {
  it("is entered once in Survey, and every circuit is held against it", async () => {
    await open("demo", "stage=survey&room=hall");
    await type("Ze", "-3");
    await see(/Ze measured.*must be/);
    await type("Ze", "0.61");
    await page().waitForFunction(() => document.querySelector<HTMLInputElement>('[data-field="Ze"]')?.value === "0.61");
    await choose("Earthing", "TT");
    await see("only an RCD opens on a fault to earth");
    await type("Ze", "210");
    await stored();
    expect((await job()).supply).toMatchObject({ earthing: "TT", ze: 210 });

    await page().goto(`${app().address}/jobs/${jobId()}?stage=circuits`);
    await page().waitForSelector('section[aria-label="Circuits"]');
    await page().click('::-p-xpath(//section[@aria-label="Circuits"]//li//button[contains(., "R1")])');
    await see(/As laid:[^]*Zs 21\d(\.\d+)? of 1667 Ω/);
    await see("above 200 it may not stay so in dry ground");
    await choose("RCD", "none");
    await see("no circuit-breaker opens in time");
    // The table behind it: every point with its loop, the highest marked.
    await page().click("[data-as-laid] summary");
    await see(/S\d+ highest/);
    await stored();
  });
});
