import { spawnSync } from "node:child_process";
import { mkdtempSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import type { ElementHandle, Page } from "puppeteer-core";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { type Running, start } from "./start";

let app: Running;
let page: Page;
beforeAll(async () => {
  app = await start();
  page = await app.newPage();
  await page.setViewport({ width: 1280, height: 800 });
});
afterAll(async () => app?.stop());

const text = (selector: string): Promise<string> => page.$eval(selector, (e) => (e as HTMLElement).innerText);
const see = (words: RegExp): Promise<unknown> =>
  page.waitForFunction(
    (source) => new RegExp(source, "i").test(document.body.innerText),
    { timeout: 180_000 },
    words.source,
  );
const fill = async (field: string, value: string): Promise<void> => {
  await page.waitForSelector(`[data-field="${field}"]`);
  await page.focus(`[data-field="${field}"]`);
  await page.$eval(`[data-field="${field}"]`, (e) => (e as HTMLInputElement).select());
  await page.keyboard.press("Backspace");
  await page.keyboard.type(value);
};
const calc = (args: string[], input?: string) =>
  spawnSync(process.execPath, ["scripts/run-cli.mjs", "calc", ...args], { input, encoding: "utf8" });

describe("one question, asked at each of the four doors", () => {
  const bad = { width: 150, angle: 190 };
  it("is refused alike: field, value, what is allowed", async () => {
    const single = calc(["fold.tray", JSON.stringify(bad)]);
    expect(single.status).toBe(2);
    expect(single.stdout).toBe("");
    const { error } = JSON.parse(single.stderr) as { error: { message: string; path: string } };
    expect(error.path).toBe("angle");
    expect(error.message).toMatch(/^angle: got 190; must be less than 180$/);
    const batch = calc(
      ["--batch"],
      `${JSON.stringify({ name: "fold.tray", input: bad })}\n{"name":"clip.layout","input":{"length":2000,"max":300}}\n`,
    );
    const [first, second] = batch.stdout
      .trim()
      .split("\n")
      .map((l) => JSON.parse(l) as { ok: boolean; error?: unknown; output?: { count: number } });
    expect(first).toEqual({ ok: false, error });
    expect(second!.output!.count).toBe(7);
    const http = await fetch(`${app.address}/api/calc/fold.tray`, { method: "POST", body: JSON.stringify(bad) });
    expect([http.status, await http.json()]).toEqual([422, { error }]);
    await page.goto(`${app.address}/bench/fold.tray`);
    await fill("angle", "190");
    await page.waitForSelector("[data-refused]");
    expect((await text("[data-refused]")).toLowerCase()).toContain("must be less than 180");
    expect(await page.$eval('[data-field="angle"]', (e) => (e as HTMLInputElement).value)).toBe("190");
    expect(await page.$eval('[data-field="angle"]', (e) => e.getAttribute("aria-invalid"))).toBe("true");
  });
  it("is answered alike", async () => {
    const good = JSON.stringify({ width: 150, angle: 90 });
    const single = JSON.parse(calc(["fold.tray", good]).stdout) as { cutOffset: number };
    expect(single.cutOffset).toBeCloseTo(106.066, 3);
    expect(await (await fetch(`${app.address}/api/calc/fold.tray`, { method: "POST", body: good })).json()).toEqual(
      single,
    );
    await fill("angle", "90");
    await page.waitForFunction(() => document.querySelector("[data-headline]")?.textContent?.includes("106.1"));
  });
});

describe("the Bench", () => {
  it("finds a question by its words and answers while one types", async () => {
    await page.goto(`${app.address}/bench`);
    await page.waitForSelector("[data-find-question]");
    await page.type("[data-find-question]", "how far apart clips");
    await page.waitForFunction(() => document.querySelectorAll('nav a[href^="/bench/"]').length === 1);
    await page.click('nav a[href="/bench/clip.spacing"]');
    await page.waitForSelector("[data-headline]");
    await fill("overall", "9");
    await page.waitForFunction(() => /\b250\b/.test(document.querySelector("[data-headline]")?.textContent ?? ""));
    await fill("overall", "9.1");
    await page.waitForFunction(() => /\b300\b/.test(document.querySelector("[data-headline]")?.textContent ?? ""));
  });
  it("keeps an answer for a job, and the job's site book shows it", async () => {
    await page.goto(`${app.address}/bench/gland.row`);
    await page.waitForSelector("[data-headline]");
    await page.click("::-p-xpath(//button[contains(., 'Keep')])");
    await fill("answer name", "Kiln isolator face");
    await page.select('select:has(option[value="tern-cottage"])', "tern-cottage");
    await page.keyboard.press("Tab");
    await page.click("::-p-xpath(//button[contains(., 'Keep it')])");
    await page.waitForSelector('[data-kept="Kiln isolator face"]');
    await page.goto(`${app.address}/jobs/tern-cottage?stage=site-book`);
    await (await page.waitForSelector("::-p-xpath(//button[@role='radio' and text()='Record'])"))!.click();
    await page.waitForSelector('[data-kept="Kiln isolator face"]');
    expect(await text('[data-kept="Kiln isolator face"]')).toMatch(/4 holes from the left edge: 21\.4, 64\.1/);
  });
  it("shows a busy sign while a long question is worked, and then a plan with its bound", async () => {
    await page.goto(`${app.address}/bench/materials.cut`);
    await page.waitForFunction(
      () =>
        document.querySelector("[data-answer]")?.getAttribute("aria-busy") === "false" &&
        document.querySelector("[data-headline]") !== null,
    );
    expect(await text("[data-answer]")).toMatch(/proven|at least|bound/i);
  });
});

describe("rules, catalogue, schools and steps", () => {
  it("leads from a finding straight to its rule", async () => {
    await page.goto(`${app.address}/jobs/tern-cottage?stage=points&room=kitchen`);
    const sink = '[data-finding="kitchen.sink"]';
    await page.waitForSelector(sink);
    await page.click(`::-p-xpath(//*[@data-finding="kitchen.sink"]//button[text()="why"])`);
    await page.click(`${sink} a[href="/rules#kitchen.sink"]`);
    await page.waitForFunction(() => {
      const b = document.querySelector('[data-rule="kitchen.sink"]')?.getBoundingClientRect();
      return b !== undefined && b.top >= 0 && b.top < innerHeight;
    });
    expect(await text('[data-rule="kitchen.sink"]')).toMatch(/at least 300 mm along the surface/);
  });
  it("takes a maker's sheet, refuses a bad one whole, and works with what it took", async () => {
    const dir = mkdtempSync(join(tmpdir(), "lumbet-sheet-"));
    const sheet = await (await fetch(`${app.address}/api/catalogue/glands`)).text();
    expect(sheet).toContain("20S");
    const header = sheet.split("\r\n")[0]!;
    const line = sheet.split("\r\n").find((l) => l.startsWith("20S,"))!;
    const k = header.split(",").indexOf("acrossCorners");
    const with28 = line
      .split(",")
      .map((c, i) => (i === k ? "28.5" : c))
      .join(",");
    writeFileSync(
      join(dir, "bad.csv"),
      `${header}\r\n${line
        .split(",")
        .map((c, i) => (i === k ? "wide" : c))
        .join(",")}\r\n`,
    );
    writeFileSync(join(dir, "good.csv"), `${header}\r\n${with28}\r\n`);
    await page.goto(`${app.address}/catalogue`);
    await page.click("::-p-xpath(//button[@role='tab'][contains(., 'land')])");
    const input = (await page.waitForSelector('input[type="file"]')) as ElementHandle<HTMLInputElement>;
    await input.uploadFile(join(dir, "bad.csv"));
    await page.waitForSelector("[data-refusals]");
    expect(await text("[data-refusals]")).toMatch(/line 2, acrossCorners: got "wide"/);
    await page.keyboard.press("Escape");
    await input.uploadFile(join(dir, "good.csv"));
    await see(/1 row brought in/);
    const asked = await fetch(`${app.address}/api/calc/gland.pick`, {
      method: "POST",
      body: JSON.stringify({ cable: { catalogue: "swa-3x2.5" }, outdoor: true }),
    });
    expect(await asked.json()).toMatchObject({ gland: "20S", acrossCorners: 28.5 });
  });
  it("counts what the other school would change in this job, and keeps the choice", async () => {
    await page.goto(`${app.address}/schools?job=tern-cottage`);
    const q = '[data-school="clipOutOfReach"]';
    await page.waitForSelector(`${q} [data-effect]`, { timeout: 180_000 });
    expect(await text(`${q} [data-effect]`)).toMatch(/\d+ → \d+ clips \(\+\d+\)/);
    await page.click(`::-p-xpath(//*[@data-school="clipOutOfReach"]//button[contains(., "Stay on the table")])`);
    await see(/Chosen for this job/);
    await page.reload();
    await page.waitForFunction(() =>
      document
        .querySelector('[data-school="clipOutOfReach"] [aria-checked="true"]')
        ?.textContent?.includes("Stay on the table"),
    );
  });
  it("goes through the cards of an end with one thumb", async () => {
    await page.setViewport({ width: 390, height: 844 });
    await page.goto(`${app.address}/steps?kind=swa-outdoor`);
    await page.waitForSelector("[data-next]");
    expect(await text('[data-card="0"]')).toMatch(/Prove the tester/);
    let n = 0;
    while (await page.$("[data-next]")) {
      expect(await page.$eval("[data-next]", (e) => e.getBoundingClientRect().height)).toBeGreaterThanOrEqual(48);
      await page.click("[data-next]");
      n++;
      await page.waitForFunction(
        (k) => document.querySelector(`[data-card="${k}"]`) !== null || /steps done/.test(document.body.innerText),
        {},
        n,
      );
    }
    expect(await text("h2")).toBe(`All ${n} steps done`);
    await page.setViewport({ width: 1280, height: 800 });
  });
});
