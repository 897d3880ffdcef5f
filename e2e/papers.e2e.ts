import { describe, expect, it } from "vitest";
import { desk } from "./desk";
import { handsOf } from "./hands";

const { app, page } = desk();

describe("papers of a job", () => {
  it("are chosen by kind, room and wall, and kept as one PDF with its pages counted", async () => {
    const { press, see, choose } = handsOf(page);
    await page().setViewport({ width: 1280, height: 800 });
    await page().goto(`${app().address}/jobs/tern-cottage`);
    await press("Papers");
    await page().waitForSelector("[data-papers]");
    await see(/\d+ papers, in this order, with their contents in front/);
    const count = (): Promise<number> => page().$eval("[data-papers]", (e) => Number(e.getAttribute("data-papers")));
    const all = await count();
    await choose("room", "Kitchen");
    await page().waitForFunction(
      (n) => Number(document.querySelector("[data-papers]")!.getAttribute("data-papers")) < n,
      {},
      all,
    );
    await choose("wall", "Kitchen, wall 3");
    await page().$$eval("[data-kind]", (all) =>
      (all as HTMLInputElement[]).filter((e) => e.checked && e.dataset.kind !== "wall").forEach((e) => e.click()),
    );
    await page().waitForSelector('[data-papers="1"]');
    await page().click("[data-kind=wall]");
    await see("Nothing is picked: tick what to print.");
    await page().click("[data-kind=wall]");
    const href = await page().$eval("[data-download]", (e) => (e as HTMLAnchorElement).href);
    const file = await fetch(href);
    expect(file.headers.get("content-type")).toBe("application/pdf");
    const bytes = Buffer.from(await file.arrayBuffer()).toString("latin1");
    expect(bytes.startsWith("%PDF-1")).toBe(true);
    expect(bytes.match(/\/Type \/Page\b/g)!.length).toBeLessThan(4);
    const bad = await fetch(`${app().address}/api/jobs/tern-cottage/papers.pdf?kinds=wall,poem`);
    expect(bad.status).toBe(400);
    expect(((await bad.json()) as { error: { message: string } }).error.message).toMatch(
      /^kinds: got "wall,poem"; must be one or more of plan, room, wall/,
    );
  });

  it("are read on pages of their own; a roll takes sticks alone; labels fill a sheet or the simulated tape", async () => {
    const { press, see, choose, type, text } = handsOf(page);
    await page().goto(`${app().address}/jobs/tern-cottage/papers`);
    await page().waitForSelector("[data-papers]");
    await press("Kitchen, wall 3 · what is behind");
    await page().waitForSelector('[data-paper^="wall "]');
    expect(new URL(page().url()).pathname).toMatch(/\/jobs\/tern-cottage\/walls\/./);
    await see("A detector that stays silent proves nothing");
    await see("Not released: cables may still be moved.");
    const href = await page().$eval("a[download]", (e) => (e as HTMLAnchorElement).href);
    const one = Buffer.from(await (await fetch(href)).arrayBuffer()).toString("latin1");
    expect(one.match(/\/Type \/Page\b/g)!.length).toBeLessThan(4);
    await page().goBack();
    await page().waitForSelector("[data-papers]");
    await press("Roll");
    await see("A roll takes story sticks alone: tick which.");
    await page().click("[data-kind=joists]");
    await see(/\d+ papers, in this order/);
    const roll = await page().$eval("[data-download]", (e) => (e as HTMLAnchorElement).href);
    expect((await fetch(roll)).headers.get("content-type")).toBe("application/pdf");
    // Labels: two for every run, from the third free place of a sheet.
    const flags = Number(await page().$eval("[data-labels]", (e) => e.getAttribute("data-labels")));
    expect(flags % 2).toBe(0);
    await type("first label", "99");
    await see(/First free label of the sheet is 99.*24/);
    await type("first label", "3");
    const sheet = await page().$eval("[data-labels-file]", (e) => (e as HTMLAnchorElement).href);
    expect(new URL(sheet).searchParams.get("first")).toBe("3");
    const labels = Buffer.from(await (await fetch(sheet)).arrayBuffer()).toString("latin1");
    expect(labels.match(/\/Type \/Page\b/g)!.length).toBe(Math.ceil((flags + 2) / 24));
    await choose("label sheet", "tape");
    await press(`Print ${flags} on tape`);
    await see(/of tape left, simulated|No tape:/);
    if (/No tape/.test(await text("[data-tape-words]"))) {
      await press("Another cassette");
      await press("Go on with");
    }
    await page().waitForFunction(
      (n) => document.querySelectorAll("[aria-label='Printed labels'] li").length === n,
      {},
      flags,
    );
  });
});
