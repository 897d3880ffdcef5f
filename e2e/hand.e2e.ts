import type { Page } from "puppeteer-core";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { handsOf } from "./hands";
import { type Running, start } from "./start";

/** Journeys that stand alone: each opens a job of its own, so that one that fails fells no other. */
let app: Running;
beforeAll(async () => {
  app = await start();
});
afterAll(async () => app?.stop());

/** A fresh copy of the demo on a page of its own, at the desk. */
async function atDesk(
  query = "stage=points&room=kitchen",
): Promise<{ page: Page; id: string } & ReturnType<typeof handsOf>> {
  const page = await app.newPage();
  await page.setViewport({ width: 1280, height: 800 });
  const hands = handsOf(() => page);
  await page.goto(app.address);
  await hands.press("New from the demo");
  await page.waitForSelector('[data-field="job name"]');
  await page.keyboard.press("Enter");
  await page.waitForFunction(() => location.pathname.startsWith("/jobs/"));
  const id = new URL(page.url()).pathname.split("/").pop()!;
  await page.goto(`${app.address}/jobs/${id}?${query}`);
  await hands.see("runs");
  return { page, id, ...hands };
}
const jobOf = async (id: string) =>
  JSON.parse(await (await fetch(`${app.address}/api/jobs/${id}/file`)).text()) as {
    version: number;
    job: {
      name: string;
      points: { id: string; label: string; place: { u: number } }[];
      pins: { id: string; legs: unknown[] }[];
      circuits: { id: string; watts: number; cable: string }[];
    };
    catalogue?: { row: { id: string } }[];
  };
const fieldOf = (page: Page, name: string): Promise<string> =>
  page.$eval(`[data-field="${name}"]`, (e) => (e as HTMLInputElement).value);
const focusPoint = (page: Page, label: string): Promise<void> =>
  page.$eval(`[data-point-tag="${label}"]`, (e) => (e as unknown as SVGElement).focus());

describe("the hand at the desk", () => {
  it("moves a point by twelve quick presses, and nobody else is blamed for it", async () => {
    const { page, id, stored } = await atDesk();
    await page.waitForSelector('[data-point-tag="S5"]');
    const before = (await jobOf(id)).job.points.find((p) => p.label === "S5")!.place.u;
    await focusPoint(page, "S5");
    for (let i = 0; i < 12; i++) await page.keyboard.press("ArrowLeft");
    await stored();
    expect((await jobOf(id)).job.points.find((p) => p.label === "S5")!.place.u).toBe(before - 120);
    expect(await page.$("[role=dialog]")).toBeNull();
    await page.close();
  });

  it("goes with the next point when the arrow keys move what is picked", async () => {
    const { page, id, stored } = await atDesk();
    await page.waitForSelector('[data-point-tag="S5"]');
    await focusPoint(page, "S5");
    await page.keyboard.press(".");
    await page.waitForFunction(() => (document.activeElement?.getAttribute("data-point-tag") ?? "S5") !== "S5");
    const label = await page.evaluate(() => document.activeElement!.getAttribute("data-point-tag")!);
    const was = (await jobOf(id)).job;
    await page.keyboard.press("ArrowUp");
    await stored();
    const is = (await jobOf(id)).job;
    const changed = is.points.filter((p, i) => JSON.stringify(p) !== JSON.stringify(was.points[i]));
    expect(changed.map((p) => p.label)).toEqual([label]);
    await page.close();
  });

  it("survives Delete on a point picked in Ends, and goes on working", async () => {
    const { page, see, key } = await atDesk("stage=ends&room=kitchen");
    const listed = '[aria-label="Points with cables"] button';
    await page.waitForSelector(listed);
    const label = await page.$eval(`${listed} span`, (e) => (e as HTMLElement).innerText.trim());
    await page.click(listed);
    await page.$eval(listed, (e) => (e as HTMLElement).blur());
    await key("Delete");
    await see(`${label} deleted`);
    expect(await page.$("[data-fallen]")).toBeNull();
    await page.waitForFunction(
      (q, l) => ![...document.querySelectorAll(q)].some((c) => c.textContent?.trim() === l),
      {},
      `${listed} span:first-child`,
      label,
    );
    await key("z", "Control");
    await page.waitForFunction(
      (q, l) => [...document.querySelectorAll(q)].some((c) => c.textContent?.trim() === l),
      {},
      `${listed} span:first-child`,
      label,
    );
    await page.close();
  });

  it("moves the one pin of a run when a leg's position is typed after pinning", async () => {
    const { page, id, press, see, stored, type } = await atDesk("stage=routes&room=kitchen");
    await page.waitForSelector('[aria-label="Runs"] li button');
    await page.click('[aria-label="Runs"] li button');
    await press("Pin this run");
    await see("pinned by hand");
    await stored();
    expect((await jobOf(id)).job.pins).toHaveLength(1);
    const before = JSON.stringify((await jobOf(id)).job.pins[0]!.legs);
    // The first leg that has a position of its own takes a number.
    const legs = await page.$$('[aria-label^="Run "] ol li button');
    for (const leg of legs) {
      await leg.click();
      if (await page.$('[data-field="leg"]')) break;
    }
    const was = Number(await fieldOf(page, "leg"));
    await type("leg", String(was > 100 ? was - 40 : was + 40));
    await stored();
    const { pins } = (await jobOf(id)).job;
    expect(pins).toHaveLength(1);
    expect(JSON.stringify(pins[0]!.legs)).not.toBe(before);
    await press("Lay again");
    await stored();
    expect((await jobOf(id)).job.pins).toEqual([]);
    await page.close();
  });

  it("reads numbers as people write them, and shows what it understood", async () => {
    const { page, see, type, stored } = await atDesk();
    await page.waitForSelector('[data-point-tag="S5"]');
    await focusPoint(page, "S5");
    await type("v", "1,1 m");
    await page.waitForFunction(() => (document.querySelector('[data-field="v"]') as HTMLInputElement).value === "1100");
    await type("u", "2,900");
    await page.waitForFunction(() => (document.querySelector('[data-field="u"]') as HTMLInputElement).value === "2900");
    await type("u", "3/4");
    await see("fractions are not read");
    // A page with something not yet stored asks before it is left.
    await stored();
    await page.goto(`${app.address}/bench/cooker.demand`);
    await page.waitForSelector('[data-field="watts"]');
    await page.focus('[data-field="watts"]');
    await page.$eval('[data-field="watts"]', (e) => (e as HTMLInputElement).select());
    await page.keyboard.type("10,000 W");
    await see(/43\.5 A/);
    await page.close();
  });
});

describe("what is stored", () => {
  it("is not said of a change to a job that was deleted in another tab; the change is kept, and the job can be put back", async () => {
    const { page, id, see, press, stored } = await atDesk();
    const other = await app.newPage();
    await other.goto(app.address);
    await other.waitForSelector(`a[href="/jobs/${id}"]`);
    await other.evaluate((href) => {
      const li = document.querySelector(`a[href="${href}"]`)!.closest("li")!;
      [...li.querySelectorAll("button")].find((b) => b.textContent?.includes("Delete"))!.click();
    }, `/jobs/${id}`);
    await other.waitForFunction((href) => !document.querySelector(`a[href="${href}"]`), {}, `/jobs/${id}`);
    await other.close();
    await focusPoint(page, "S5");
    await page.keyboard.press("ArrowLeft");
    await page.waitForSelector('[data-storing="gone"]');
    await see("has been deleted in another window");
    await press("Put the job back");
    await stored();
    expect((await jobOf(id)).job.points.find((p) => p.label === "S5")!.place.u).toBe(2890);
    await page.close();
  });

  it("starts a job named by typing and Enter, and refuses a name too long in words", async () => {
    const page = await app.newPage();
    const { press, see } = handsOf(() => page);
    await page.goto(app.address);
    await press("New job");
    await page.waitForFunction(() => document.activeElement?.getAttribute("data-field") === "job name");
    await page.keyboard.press("Enter");
    await see("Name is empty; give it 1 to 80 characters.");
    await page.keyboard.type("x".repeat(81));
    await page.keyboard.press("Enter");
    await see("Name has 81 characters; at most 80 fit.");
    await page.$eval('[data-field="job name"]', (e) => (e as HTMLInputElement).select());
    await page.keyboard.type("Heron Barn");
    await page.keyboard.press("Enter");
    await page.waitForFunction(() => location.pathname.startsWith("/jobs/"));
    await see("Heron Barn");
    await page.close();
  });
});

describe("work that is done", () => {
  it("is held: a move that contradicts it asks first, and made all the same both are told until it is put back", async () => {
    const { page, id, press, see, stored, key } = await atDesk();
    await page.goto(`${app.address}/jobs/${id}/site?show=runs`);
    await page.waitForSelector("[data-run]");
    const run = await page.$eval("[data-run]", (e) => e.getAttribute("data-run")!);
    await page.$eval("[data-run] > button:last-child", (e) => (e as HTMLElement).click());
    await page.waitForSelector('[data-to-send="0"]');
    const [, a, b] = run.split(".");
    const { job } = await jobOf(id);
    const end = job.points.find((p) => (p.id === a || p.id === b) && p.id !== "board")!;
    await page.goto(`${app.address}/jobs/${id}?stage=points`);
    await see("runs laid");
    await key("/");
    await page.waitForSelector("[cmdk-input]");
    await page.keyboard.type(`point ${end.label}`);
    await page.waitForSelector('[cmdk-item][data-selected="true"]');
    await page.keyboard.press("Enter");
    await page.waitForFunction((l) => !!document.querySelector(`[data-point-tag="${l}"]`), {}, end.label);
    await focusPoint(page, end.label);
    await page.keyboard.press("ArrowUp");
    await see("Work is already done on this");
    await press("Leave it as it was done");
    expect((await jobOf(id)).job.points.find((p) => p.id === end.id)).toEqual(end);
    await focusPoint(page, end.label);
    await page.keyboard.press("ArrowUp");
    await press("Change it all the same");
    await page.waitForSelector('[data-finding="work.moved"]');
    await stored();
    await page.click('[data-finding="work.moved"] [data-remedy]');
    await press("Change it all the same");
    await page.waitForFunction(() => !document.querySelector('[data-finding="work.moved"]'));
    await stored();
    expect((await jobOf(id)).job.points.find((p) => p.id === end.id)).toEqual(end);
    await page.close();
  });
});

describe("a job with the user's own cable", () => {
  it("comes back from its file on a machine that has no such row, and the row cannot be taken out while it is used", async () => {
    const { page, id } = await atDesk();
    const file = await jobOf(id);
    const own = {
      table: "cables",
      row: {
        id: "hp-2.5",
        name: "2.5 mm² heat-proof flat",
        family: "sheathed",
        csa: 2.5,
        cpc: 1.5,
        cores: 2,
        width: 10.4,
        thickness: 6,
        source: "maker's sheet",
      },
    };
    const ring = file.job.circuits.find((c) => c.cable === "te-2.5")!;
    ring.cable = "hp-2.5";
    const input = (await (async () => {
      await page.goto(app.address);
      return page.waitForSelector("input[data-file=import]");
    })())!;
    const { mkdtempSync, writeFileSync } = await import("node:fs");
    const { join } = await import("node:path");
    const { tmpdir } = await import("node:os");
    const path = join(mkdtempSync(join(tmpdir(), "lumbet-own-")), "own.json");
    writeFileSync(path, JSON.stringify({ ...file, catalogue: [own] }));
    await (input as unknown as { uploadFile: (p: string) => Promise<void> }).uploadFile(path);
    await page.waitForFunction(() => location.pathname.startsWith("/jobs/"));
    const made = new URL(page.url()).pathname.split("/").pop()!;
    const back = await jobOf(made);
    expect(back.version).toBe(2);
    expect(back.job.circuits.find((c) => c.id === ring.id)!.cable).toBe("hp-2.5");
    expect(back.catalogue?.map((r) => r.row.id)).toEqual(["hp-2.5"]);
    await page.close();
  });
});
