import { describe, expect, it } from "vitest";
import { desk, fileOf as file } from "./desk";

const { app, page, open, given, upload, focusPoint, text, see, press, place, stored, type, key } = desk();

describe("from a surveyed room to a tick on site", () => {
  it("lists the demo with what is in it", async () => {
    await page().goto(app().address);
    await see("Tern Cottage");
    expect(await text("[data-job]")).toMatch(/11 rooms · 48 points · 9 circuits/);
  });

  it("adds a socket to a wall, shows its zone, and lays a run to it", async () => {
    await open("demo", "stage=points&room=hall");
    await page().waitForSelector('[data-point-tag="S7"]');
    await see("46 runs laid");
    await place("Twin socket");
    await page().waitForSelector('[data-point-tag="S19"]');
    expect(
      await page().$$eval(
        '[data-layer="ZONES"][data-id^="point-vertical "]',
        (z) => z.filter((x) => x.getAttribute("data-id")!.includes(" p-")).length,
      ),
    ).toBeGreaterThan(0);
    await see("47 runs laid");
    await stored();
    await page().keyboard.press("Escape");
    await page().keyboard.press("l");
    await see("47 runs laid, ");
  });

  it("undoes and redoes", async () => {
    await open("demo", "stage=points&room=hall");
    await page().waitForSelector('[data-point-tag="S7"]');
    await place("Twin socket");
    await page().waitForSelector('[data-point-tag="S19"]');
    await key("z", "Control");
    await page().waitForFunction(() => !document.querySelector('[data-point-tag="S19"]'));
    await key("y", "Control");
    await page().waitForSelector('[data-point-tag="S19"]');
    await stored();
  });

  it("refuses a bad number in words and keeps what was typed", async () => {
    await open("demo", "stage=points&room=kitchen");
    await focusPoint("S5");
    await type("u", "9999");
    await see(
      "From left, u is 9 999; it must be between 0 and 3 600 mm."
        .replaceAll(" ", "\u202f")
        .replace(/\u202f(?!\d)|(?<!\d)\u202f/g, " "),
    );
    expect(await page().$eval('[data-field="u"]', (e) => (e as HTMLInputElement).value)).toBe("9999");
    await page().keyboard.press("Escape");
  });

  it("shows a gauge and a remedy when a move breaks a rule, and applies it with one press", async () => {
    await open("demo", "stage=points&room=kitchen");
    await focusPoint("S5");
    await type("u", "1900");
    await page().waitForSelector('[data-finding="kitchen.sink"][data-subject="s5"]');
    expect(await text('[data-finding="kitchen.sink"][data-subject="s5"]')).toMatch(
      /Outlet near the sink[\s\S]*77[\s\S]*least 300/,
    );
    await page().click('[data-finding="kitchen.sink"][data-subject="s5"] [data-remedy]');
    await page().waitForFunction(() => !document.querySelector('[data-finding="kitchen.sink"][data-subject="s5"]'));
    expect(await page().$eval('[data-field="u"]', (e) => (e as HTMLInputElement).value)).toBe("2123");
    await stored();
  });

  it("drags a point along its wall with the pointer", async () => {
    await open("demo", "stage=points&room=kitchen");
    await focusPoint("S3");
    const was = Number(await page().$eval('[data-field="u"]', (e) => (e as HTMLInputElement).value));
    await see("46 runs laid");
    // Picked on the far wall of the room, it is brought into sight.
    await page().waitForFunction(() => {
      const b = document.querySelector('[data-point-tag="S3"]')!.getBoundingClientRect();
      const f = document.querySelector(".drawing")!.getBoundingClientRect();
      return b.left >= f.left && b.right <= f.right;
    });
    const tag = (await page().$('[data-point-tag="S3"]'))!;
    const b = (await tag.boundingBox())!;
    await page().mouse.move(b.x + b.width / 2, b.y + b.height / 2);
    await page().mouse.down();
    await page().mouse.move(b.x + b.width / 2 + 6, b.y + b.height / 2, { steps: 3 });
    await page().mouse.move(b.x + b.width / 2 + 10, b.y + b.height / 2, { steps: 3 });
    await page().mouse.up();
    await page().waitForFunction(
      (u) => Number((document.querySelector('[data-field="u"]') as HTMLInputElement | null)?.value) > u,
      {},
      was,
    );
    await stored();
  });

  it("reads marks off the tape, from the end one chooses", async () => {
    await open("demo", "stage=points&room=kitchen");
    await focusPoint("S5");
    await page().waitForFunction(() => document.querySelector('[data-mark="s5"]')?.textContent?.includes("2\u202f900"));
    await page().click('::-p-xpath(//button[@role="radio" and text()="right"])');
    await page().waitForFunction(() => document.querySelector('[data-mark="s5"]')?.textContent?.includes("700"));
    expect(await text("[data-tape-title]")).toContain("measured from the right-hand corner");
  });

  it("ticks a step on site at phone width, and finds it on the desk after a reload", async () => {
    const id = await open("demo");
    await page().setViewport({ width: 390, height: 844 });
    await page().goto(`${app().address}/jobs/${id}/site?show=runs`);
    await see("DB1 to K1");
    await press("Drilled: DB1 to K1");
    await page().waitForSelector('[data-to-send="0"]');
    await page().reload();
    await page().waitForSelector('[data-run="k.board.k1"]');
    expect(await text('[data-run="k.board.k1"]')).toMatch(/✓ Drilled/);
    await page().click('[data-run="k.board.k1"] button');
    await page().waitForSelector('[data-step="drawn-in"]');
    await press("Take back");
    await page().waitForSelector('[data-step="bored"]');
    await page().click('[data-step="bored"]');
    await page().waitForSelector('[data-step="drawn-in"]');
    await page().waitForSelector('[data-to-send="0"]');
    await page().setViewport({ width: 1280, height: 800 });
    await page().goto(`${app().address}/jobs/${id}?stage=site-book`);
    await see(/1 of \d+ steps/);
    await press("Record");
    await see("Electrician 1: DB1 to K1, drilled, taken back");
  });

  it("exports the job and brings it in again with the same plan", async () => {
    const first = await open("demo", "stage=routes");
    await see("46 runs laid");
    const text = await given("file");
    await page().goto(app().address);
    await upload("[data-file=import]", file("job.json", text));
    await page().waitForFunction(
      (id) => /\/jobs\/./.test(location.pathname) && !location.pathname.includes(id),
      {},
      first,
    );
    await see("46 runs laid");
    expect(await given("cut-list.csv")).toBe(await given("cut-list.csv", first));
  });

  it("refuses a broken file in words and changes nothing", async () => {
    await page().goto(app().address);
    await see("Tern Cottage");
    const before = await page().$$eval("[data-job]", (l) => l.length);
    await upload("[data-file=import]", file("cut-short.json", '{"format":"lumbet-job","version":1,"job":{"id":"x"'));
    await see("The file was not taken");
    expect(await text("[data-refusals]")).toMatch(/not whole JSON/);
    await page().reload();
    await see("Tern Cottage");
    expect(await page().$$eval("[data-job]", (l) => l.length)).toBe(before);
  });

  it("deletes a job and takes it back", async () => {
    await page().goto(app().address);
    await see("Tern Cottage");
    await press("Duplicate Tern Cottage");
    await page().waitForSelector('[data-job="Tern Cottage (copy)"]');
    await press("Delete Tern Cottage (copy)");
    await page().waitForFunction(() => !document.querySelector('[data-job="Tern Cottage (copy)"]'));
    await press("Undo");
    await page().waitForSelector('[data-job="Tern Cottage (copy)"]');
  });

  it("tells the second of two tabs about a clash, and lets it keep its own", async () => {
    const url = `${app().address}/jobs/${await open("demo")}?stage=points&room=kitchen`;
    const other = await app().newPage();
    await other.goto(url);
    await other.waitForSelector('[data-point-tag="S2"]');
    // The other tab is held back from hearing of the change.
    await other.evaluate(() => Object.defineProperty(document, "hidden", { value: true }));
    await page().bringToFront();
    await page().goto(url);
    await page().waitForSelector('[data-point-tag="S2"]');
    await page().$eval('[data-point-tag="S2"]', (e) => (e as unknown as SVGElement).focus());
    await type("u", "2500");
    await stored();
    await other.bringToFront();
    await other.$eval('[data-point-tag="S2"]', (e) => (e as unknown as SVGElement).focus());
    await other.waitForSelector('[data-field="u"]');
    await other.focus('[data-field="u"]');
    await other.$eval('[data-field="u"]', (e) => (e as HTMLInputElement).select());
    await other.keyboard.type("2600");
    await other.keyboard.press("Enter");
    await other.waitForFunction(() => document.body.innerText.includes("Changed in two places"), { timeout: 180_000 });
    await other.waitForSelector('[data-clash^="points "] svg');
    await other.click("::-p-text(Keep these)");
    await other.waitForSelector('[data-storing="stored"]');
    await page().bringToFront();
    await page().reload();
    await page().waitForSelector('[data-point-tag="S2"]');
    await page().$eval('[data-point-tag="S2"]', (e) => (e as unknown as SVGElement).focus());
    await page().waitForFunction(
      () => (document.querySelector('[data-field="u"]') as HTMLInputElement | null)?.value === "2600",
    );
    await other.close();
  });

  it("starts a blank job and gets a room with a socket wired to a board", async () => {
    await page().goto(app().address);
    await press("New job");
    await type("job name", "Wren House");
    await page().waitForFunction(() => location.pathname.startsWith("/jobs/"), { timeout: 180_000 });
    await press("Add room");
    await press("Add the room");
    await see("1 room, 0 decks");
    await press("Add joists over");
    await see("No wall between two rooms stands across them");
    await press("Add the deck");
    await see("1 room, 1 deck");
    await press("Points");
    await place("Board");
    await press("Circuits");
    await page().waitForSelector('[data-field="Add"]');
    await page().select('[data-field="Add"]', "ring");
    await press("Points");
    await place("Twin socket");
    await place("Single socket");
    await see("3 runs laid");
  });
});
