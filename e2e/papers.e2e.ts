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
    for (const kind of ["plan", "room", "bores", "circuits", "cuts", "tests", "notify"])
      await page().click(`[data-kind=${kind}]`);
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
});
