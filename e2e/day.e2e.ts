import type { Page } from "puppeteer-core";
import { describe, expect, it } from "vitest";
import type { SiteEntry } from "../src/core/job/site-entry";
import type { Job } from "../src/core/job/model";
import { makePlan } from "../src/core/plan/plan";
import { closingList, surfacesOf } from "../src/core/record/closing";
import { desk, fileOf } from "./desk";
import { handsOf } from "./hands";

const { app, page, upload, read, jobId } = desk();

/** The demo with one short circuit in it: a day's work that a test can carry out. */
async function smallJob(): Promise<{ id: string; job: Job }> {
  const file = JSON.parse(await read("/api/jobs/tern-cottage/file")) as { job: Job; [more: string]: unknown };
  const circuit = file.job.circuits.find((c) => c.id === "r2")!;
  const points = new Set(["board", ...circuit.points.slice(0, 2)]);
  const job: Job = {
    ...file.job,
    name: "A day of it",
    circuits: [{ ...circuit, points: circuit.points.slice(0, 2), spurs: [] }],
    points: file.job.points.filter((p) => points.has(p.id)),
    foundCables: [],
    foundTrunkings: [],
    extensions: [],
    lightRows: [],
    outsideWays: [],
    sections: [],
    photos: [],
  };
  await page().goto(app().address);
  await upload(
    "[data-file=import]",
    fileOf("small.json", JSON.stringify({ ...file, job, siteBook: [], pictures: [] })),
  );
  await page().waitForFunction(() => /\/jobs\/(?!tern-cottage)/.test(location.pathname));
  return { id: jobId(), job };
}

/** What is in hand: kind and name of the part. */
const inHand = (p: Page): Promise<{ id: string; kind: string }> =>
  p.$eval("[data-part]", (e) => {
    const id = e.getAttribute("data-part")!;
    const kind = id.startsWith("hole:") ? "bore" : id.split(":")[0]!;
    return { id, kind };
  });
const gone = (p: Page, id: string): Promise<unknown> =>
  p.waitForFunction((x) => document.querySelector("[data-part]")?.getAttribute("data-part") !== x, {}, id);

describe("a whole day on site without a signal", () => {
  it("bores, cuts, clips, a fault found by a reading, damage, photo, release refused, repaired, released; then the desk shows the same", async () => {
    const { id, job } = await smallJob();
    const phone = await app().newPage();
    const hand = handsOf(() => phone);
    await phone.setViewport({ width: 390, height: 844 });
    const site = `${app().address}/jobs/${id}/site`;
    await phone.goto(site);
    await phone.waitForSelector('[data-offline="kept"]');
    await phone.waitForSelector("[data-part]");
    await app().kill();

    // The first thing cannot be done: it is told, held, and gone on from; then it can.
    const first = await inHand(phone);
    await hand.press("Cannot");
    await hand.press("Ask first");
    await phone.waitForSelector(`[data-stuck="${first.id}"]`);
    await hand.see("Ask first (Electrician 1)");
    await hand.press("Can now");
    await phone.waitForFunction((x) => !document.querySelector(`[data-stuck="${x}"]`), {}, first.id);

    /** Does what is in hand until a kind comes up that is not done by a tap. */
    const seen = new Set<string>();
    // What is in hand changes by a tap alone: days worked out anew do not put another thing under the thumb.
    await phone.evaluate(`(() => {
      const now = () => document.querySelector("[data-part]")?.getAttribute("data-part");
      window.changes = 0;
      let was = now();
      new MutationObserver(() => {
        if (now() && now() !== was) window.changes++;
        was = now() ?? was;
      }).observe(document.body, { subtree: true, childList: true, attributes: true, attributeFilter: ["data-part"] });
    })()`);
    let taps = 0;
    const workOn = async (stop: readonly string[]): Promise<string> => {
      for (;;) {
        const { id: part, kind } = await inHand(phone);
        if (stop.includes(kind)) return part;
        seen.add(kind);
        if (kind === "photo") {
          const input = (await phone.waitForSelector("[data-day] input[type=file]"))!;
          await (input as unknown as { uploadFile: (f: string) => Promise<void> }).uploadFile("public/icons/512.png");
          taps++;
          await gone(phone, part);
          continue;
        }
        if (kind === "draw-in") {
          expect(await hand.text("[data-part] [data-big]")).toMatch(/\d/);
          await phone.waitForSelector("[data-cut-at], [data-cut]");
          // Pressed where it is, were it under the two big buttons at the thumb.
          if (await phone.$("[data-cut-at]")) await phone.$eval("[data-cut-at]", (e) => (e as HTMLElement).click());
          await phone.waitForSelector("[data-cut]");
        }
        await phone.$eval("[data-do]", (e) => (e as HTMLElement).click());
        taps++;
        await gone(phone, part);
      }
    };
    const test = await workOn(["test", "close"]);
    expect(await phone.evaluate("window.changes")).toBe(taps);
    expect([...seen]).toEqual(expect.arrayContaining(["bore", "draw-in", "clip", "box", "tails"]));
    expect(test).toMatch(/^test:/);
    const run = test.slice("test:".length);

    // A reading that finds a fault: told at once with the place and the next thing to do; the run is not tested.
    await phone.type('[data-field="Line to earth"]', "open");
    await phone.type('[data-field="Line to neutral"]', "0.1");
    await phone.type('[data-field="Least insulation"]', "350");
    await hand.press("Polarity right");
    await phone.waitForSelector('[data-reason="earth-open"]');
    await phone.click('[data-step="tested"]');
    await hand.see("Instrument is empty");
    await phone.type('[data-field="Instrument"]', "Meter 7");
    await phone.click('[data-step="tested"]');
    await phone.waitForSelector(`[data-stuck="${test}"]`);
    await hand.see(/The protective conductor is open between/);

    // It is a nick: damage, and no wall that hides the run is released.
    await phone.goto(`${site}?run=${encodeURIComponent(run)}`);
    // What was told of it stands there, and moves nothing any more under the thumb.
    await hand.see(/The protective conductor is open between/);
    await hand.press("Tell of damage to this cable");
    await phone.waitForSelector('[data-field="Place"]');
    await phone.type('[data-field="Place"]', "240");
    await hand.press("Core to be seen");
    await hand.see(/240 from its start: Core to be seen/);
    const plan = makePlan(job);
    const surface = surfacesOf(job, plan).find(
      (s) => s.kind === "wall" && s.runs.includes(run) && !closingList(s, job, plan, []).rules.length,
    )!;
    const card = `[data-surface="${surface.key}"]`;
    await phone.goto(`${site}?show=close`);
    await phone.waitForSelector(`${card} [data-state="open"]`);
    await phone.click(`${card} > button`);
    await hand.see(/Damage, not repaired: .*240/);
    await phone.click(`${card} [data-release]`);
    await hand.see(/Not released: \d+ things? stands? against it/);

    // Repaired and read again, with the stand-in for a meter, which says that it measures nothing.
    await phone.goto(`${site}?run=${encodeURIComponent(run)}`);
    await hand.press("New length drawn in");
    await phone.goto(site);
    await phone.waitForSelector(`[data-stuck="${test}"]`);
    await hand.press("Can now");
    const tests = new Set<string>();
    // Whatever comes up first is done, until something is ready to be closed.
    for (;;) {
      await phone.waitForSelector("[data-part]");
      const part = await inHand(phone);
      if (part.kind === "close") break;
      if (part.kind === "test") {
        tests.add(part.id);
        await hand.press("Take from the simulated meter");
        await hand.see("As it should read");
        await phone.click('[data-step="tested"]');
        await gone(phone, part.id);
      } else await workOn(["test", "close"]);
    }
    expect(tests.has(test)).toBe(true);
    await hand.press("Look before closing");
    await phone.waitForSelector(card);
    await phone.click(`${card} > button`);
    // The wall's own photo may be still to come: another surface was ready first.
    if (await phone.$(`${card} [data-state="open"]`)) {
      await hand.see("No photo of it");
      const input = (await phone.waitForSelector(`[data-file="photo-${surface.id}"]`))!;
      await (input as unknown as { uploadFile: (f: string) => Promise<void> }).uploadFile("public/icons/512.png");
    }
    await phone.waitForSelector(`${card} [data-state="ready"]`);
    for (const box of await phone.$$(`${card} input[type=checkbox]`)) await box.click();
    await phone.click(`${card} [data-release]`);
    await phone.waitForSelector(`${card} [data-state="released"]`);
    const waits = await phone.$eval("[data-to-send]", (e) => Number(e.getAttribute("data-to-send")));
    expect(waits).toBeGreaterThan(10);
    await hand.press("to send");
    await phone.waitForFunction((n) => document.querySelectorAll("[data-waits]").length === n, {}, waits);
    await hand.see(/, released for closing/);

    // The browser was closed: all of it is still there, and goes once when the server is back, though it dies while it is sent.
    await phone.close();
    const again = await app().newPage();
    await again.setViewport({ width: 390, height: 844 });
    await again.goto(`${site}?show=close`);
    await again.waitForSelector(`${card} [data-state="released"]`);
    expect(await again.$eval("[data-to-send]", (e) => Number(e.getAttribute("data-to-send")))).toBe(waits);
    await app().again();
    await again.waitForFunction(
      (n) => Number(document.querySelector("[data-to-send]")!.getAttribute("data-to-send")) < n,
      {},
      waits,
    );
    await app().kill();
    await app().again();
    await again.waitForSelector('[data-to-send="0"]');
    await again.close();

    const kept = JSON.parse(await read(`/api/jobs/${id}/file`)) as { job: Job; siteBook: SiteEntry[] };
    expect(new Set(kept.siteBook.map((e) => e.id)).size).toBe(kept.siteBook.length);
    const of = (kind: string): SiteEntry[] => kept.siteBook.filter((e) => e.kind === kind);
    expect(of("cut").length).toBe(plan.runs.length);
    expect(of("reading").filter((e) => e.instrument === "Meter 7")).toHaveLength(3);
    expect(of("released").map((e) => e.run)).toEqual([surface.key]);
    expect(kept.job.photos.some((p) => p.wall === surface.id)).toBe(true);
    const hands = handsOf(page);
    await page().setViewport({ width: 1280, height: 800 });
    await page().goto(`${app().address}/jobs/${id}?stage=site-book`);
    await hands.press("Record");
    await page().waitForSelector('[data-surface-state="released"]');
    await hands.see(/Core to be seen/);
    await page().goto(`${app().address}/jobs/${id}?stage=materials`);
    await hands.press("Cable used");
    await page().waitForSelector("[data-cable-used]");
    await hands.see(/Used by day/);
  });
});
