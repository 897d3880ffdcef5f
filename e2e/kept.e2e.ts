import { request } from "node:http";
import type { Page } from "puppeteer-core";
import { describe, expect, it } from "vitest";
import { desk, fileOf } from "./desk";

const { app, page, open, press, see, stored, upload, job, jobId, focusPoint } = desk();

/** Sets u of a point in a tab by its field. */
async function moveIn(tab: Page, label: string, u: string): Promise<void> {
  await tab.bringToFront();
  await tab.waitForSelector(`[data-point-tag="${label}"]`);
  await tab.$eval(`[data-point-tag="${label}"]`, (e) => (e as unknown as SVGElement).focus());
  await tab.waitForSelector('[data-field="u"]');
  await tab.focus('[data-field="u"]');
  await tab.$eval('[data-field="u"]', (e) => (e as HTMLInputElement).select());
  await tab.keyboard.type(u);
  await tab.keyboard.press("Enter");
  await tab.waitForSelector('[data-storing="stored"]');
}
const uOf = async (label: string): Promise<unknown> =>
  ((await job()).points.find((p) => p.label === label)!.place as { u?: number }).u;

describe("nothing is lost between two", () => {
  it("undo asks before it takes back what another made of it, and passes over it when it is told", async () => {
    const url = `${app().address}/jobs/${await open("demo")}?stage=points&room=kitchen`;
    await page().goto(url);
    await focusPoint("S5");
    await moveIn(page(), "S5", "1500");
    await moveIn(page(), "S2", "2500");
    const other = await app().newPage();
    await other.goto(url);
    await moveIn(other, "S2", "2600");
    await page().bringToFront();
    await focusPoint("S2");
    // What the other stored comes in by itself.
    await page().waitForFunction(
      () => (document.querySelector('[data-field="u"]') as HTMLInputElement | null)?.value === "2600",
    );
    await page().keyboard.down("Control");
    await page().keyboard.press("z");
    await page().keyboard.up("Control");
    await see("Another has changed this since");
    await see("point S2");
    expect(await uOf("S2")).toBe(2600);
    await press("Pass over it");
    await page().keyboard.down("Control");
    await page().keyboard.press("z");
    await page().keyboard.up("Control");
    await page().waitForFunction(() => !document.body.innerText.includes("Another has changed this since"));
    await stored();
    expect([await uOf("S2"), (await uOf("S5")) === 1500]).toEqual([2600, false]);
    await other.close();
  });
});

describe("the list of jobs", () => {
  it("keeps a deleted job in the bin with its date, puts it back, and clears it for good only when asked", async () => {
    const id = await imported("To the bin");
    await page().goto(app().address);
    await press("Delete To the bin");
    await page().waitForSelector("[data-bin] summary");
    await page().click("[data-bin] summary");
    await see(/deleted 20\d\d-\d\d-\d\d/);
    await press("Put To the bin back");
    await page().waitForSelector('[data-job="To the bin"]');
    await press("Delete To the bin");
    await page().waitForSelector("[data-bin] summary");
    if (!(await page().$("[data-bin][open]"))) await page().click("[data-bin] summary");
    await press("Clear To the bin for good");
    await press("Clear it for good");
    await see("To the bin has been cleared for good");
    expect((await fetch(`${app().address}/api/jobs/${id}/file`)).status).toBe(404);
  });

  it("gives all jobs as one file, refuses a damaged one in words, and puts back what changed since beside it", async () => {
    const id = await imported("Before");
    const all = Buffer.from(await (await fetch(`${app().address}/api/backup`)).arrayBuffer());
    await page().goto(`${app().address}/jobs/${id}?stage=points&room=kitchen`);
    await moveIn(page(), "S2", "2500");
    await page().goto(app().address);
    await upload("[data-file=restore]", fileOf("cut.tar.gz", all.subarray(0, all.length - 300)));
    await see(/The backup (cannot be read to its end|ends before its list of contents)/);
    await upload("[data-file=restore]", fileOf("all.tar.gz", all));
    await see("Backup put back");
    await page().waitForSelector('[data-job^="Before (backup of "]');
    await page().waitForSelector('[data-job="Before"]');
  });
});

/** Brings the demo in as a job of another name, and opens it. */
async function imported(name: string): Promise<string> {
  const file = JSON.parse(await (await fetch(`${app().address}/api/jobs/tern-cottage/file`)).text()) as {
    job: { name: string };
  };
  await page().goto(app().address);
  await upload("[data-file=import]", fileOf("demo.json", JSON.stringify({ ...file, job: { ...file.job, name } })));
  await page().waitForFunction(() => /\/jobs\/(?!tern-cottage)/.test(location.pathname));
  await page().waitForSelector("[data-storing]");
  return jobId();
}

describe("who may ask, and what a page may do", () => {
  const status = (headers: Record<string, string>, method = "GET", path = "/"): Promise<number> =>
    new Promise((done, fail) => {
      const r = request(`${app().address}${path}`, { method, headers }, (answer) => {
        answer.resume();
        done(answer.statusCode!);
      });
      r.once("error", fail);
      r.end();
    });

  it("answers to its own name alone, and changes nothing for another site's page", async () => {
    expect(await status({ host: "evil.example" })).toBe(421);
    expect(await status({ "x-forwarded-host": "evil.example" })).toBe(421);
    expect(await status({ origin: "http://evil.example" }, "POST", "/api/backup")).toBe(403);
    expect(await status({}, "GET", "/jobs/%00")).toBe(400);
    const answer = await fetch(app().address);
    expect(answer.headers.get("content-security-policy")).toMatch(/frame-ancestors 'none'/);
  });

  it("every page and worker runs under its own policy", async () => {
    const told: string[] = [];
    page().on("console", (m) => {
      if (/Content Security Policy|Refused to/i.test(m.text())) told.push(m.text());
    });
    await open("demo", "stage=routes&room=kitchen");
    const id = jobId();
    for (const path of [
      "/",
      "/bench/gland.row",
      "/schools",
      `/jobs/${id}/site`,
      "/steps?kind=coil",
      `/jobs/${id}?stage=routes&view=solid`,
    ]) {
      await page().goto(`${app().address}${path}`, { waitUntil: "networkidle2" });
    }
    expect(told.filter((t) => !/unsafe-eval/.test(t))).toEqual([]);
  });
});
