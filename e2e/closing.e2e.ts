import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { type SiteEntry, steps } from "../src/core/job/site-entry";
import type { Job } from "../src/core/job/model";
import { makePlan } from "../src/core/plan/plan";
import { closingList, openOf, surfacesOf } from "../src/core/record/closing";
import { desk, fileOf } from "./desk";

const { app, page, upload, read, press, see, jobId } = desk();

describe("before a wall is closed", () => {
  it("damage holds it open, a release is refused in words, repaired it is released by name: all without a server, and the desk shows the same", async () => {
    // The demo with everything done but making off, and a photo of every wall.
    const file = JSON.parse(await read("/api/jobs/tern-cottage/file")) as { job: Job; [more: string]: unknown };
    const plan = makePlan(file.job);
    const siteBook = plan.runs.flatMap((r, i): SiteEntry[] =>
      steps
        .filter((s) => s !== "made-off")
        .map((step) => ({
          id: `d${i}-${step}`,
          run: r.id,
          kind: "done",
          step,
          text: "",
          by: "Ona Reeve",
          at: "2026-11-25T10:00:00Z",
        })),
    );
    const known = file.job.walls.map((w, i) => ({
      id: `ph${i}`,
      wall: w.id,
      deck: null,
      outside: null,
      picture: "p1",
      u: 0,
      v: 0,
      text: "",
      at: "",
    }));
    const surface = surfacesOf(file.job, plan).find(
      (s) => s.kind === "wall" && openOf(closingList(s, { ...file.job, photos: known }, plan, siteBook)) === 0,
    )!;
    // But for the wall that is to be closed: its photo is taken on the phone.
    const photos = known.filter((p) => p.wall !== surface.id);
    const job = { ...file.job, name: "To be closed", photos };
    const pictures = [{ id: "p1", type: "image/png", data: readFileSync("public/icons/192.png").toString("base64") }];
    await page().goto(app().address);
    await upload("[data-file=import]", fileOf("done.json", JSON.stringify({ ...file, job, siteBook, pictures })));
    await page().waitForFunction(() => /\/jobs\/(?!tern-cottage)/.test(location.pathname));
    const id = jobId();
    await page().setViewport({ width: 390, height: 844 });
    await page().goto(`${app().address}/jobs/${id}/site`);
    await page().waitForSelector('[data-offline="kept"]');
    await app().kill();

    const card = `[data-surface="${surface.key}"]`;
    const state = (kind: string): Promise<unknown> => page().waitForSelector(`${card} [data-state="${kind}"]`);
    await press("Close");
    await state("open");
    await page().click(`${card} > button`);
    await see("No photo of it");
    await upload(`[data-file="photo-${surface.id}"]`, "public/icons/512.png");
    await state("ready");
    await page().waitForSelector('[data-to-send="1"]');
    await page().goto(`${app().address}/jobs/${id}/site?run=${encodeURIComponent(surface.runs[0]!)}`);
    await press("Tell of damage to this cable");
    await page().type('[data-field="Place"]', "99999999");
    await press("Sheath nicked");
    await see(/Place.*99999999|99.999.999/);
    await page().$eval('[data-field="Place"]', (e) => (e as HTMLInputElement).select());
    await page().type('[data-field="Place"]', "120");
    await press("Sheath nicked");
    await see(/120 from its start: Sheath nicked/);

    await page().click('[aria-label="Back to all runs"]');
    await press("Close");
    await state("open");
    await page().click(`${card} > button`);
    await see(/Damage, not repaired: .*120 from its start: Sheath nicked/);
    await page().click(`${card} [data-release]`);
    await see("Not released: 1 thing stands against it.");

    await page().goto(`${app().address}/jobs/${id}/site?run=${encodeURIComponent(surface.runs[0]!)}`);
    await press("New length drawn in");
    await see("Repaired: New length drawn in");
    // What was repaired is read again before the wall is closed.
    await page().click("[data-test-early]");
    await press("Take from the simulated meter");
    await see("As it should read");
    await page().click('[data-test] [data-step="tested"]');
    await page().waitForFunction(() => !document.querySelector("[data-test]"));
    await page().click('[aria-label="Back to all runs"]');
    await press("Close");
    await page().waitForSelector(`${card} > button`);
    await page().click(`${card} > button`);
    await page().click(`${card} [data-release]`);
    await see("look at the 4 that are not ticked");
    for (const box of await page().$$(`${card} input[type=checkbox]`)) await box.click();
    await page().click(`${card} [data-release]`);
    await state("released");

    await app().again();
    await page().waitForSelector('[data-to-send="0"]');
    await page().setViewport({ width: 1280, height: 800 });
    await page().goto(`${app().address}/jobs/${id}?stage=site-book`);
    await press("Record");
    await page().waitForSelector('[data-surface-state="released"]');
    await see("released by Electrician 1");
    await see(/released for closing/);
    const kept = (JSON.parse(await read(`/api/jobs/${id}/file`)) as { job: Job }).job.photos.filter(
      (p) => p.wall === surface.id,
    );
    expect(kept).toHaveLength(1);
    expect((await fetch(`${app().address}/api/jobs/${id}/pictures/${kept[0]!.picture}`)).ok).toBe(true);
  });
});
