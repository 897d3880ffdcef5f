import { describe, expect, it } from "vitest";
import { writeJobFile } from "../src/core/job/file";
import type { Job } from "../src/core/job/model";
import { yardJob } from "../src/core/house/yard.fixture";
import { desk, fileOf } from "./desk";

const { app, page, upload, read, press, see, choose, type, key, text, stored, jobId } = desk();

/** The job as the server has it. */
const job = async (): Promise<Job> => {
  await stored();
  return (JSON.parse(await read(`/api/jobs/${jobId()}/file`)) as { job: Job }).job;
};

/** Presses the plan of the yard at a share of its width and height. */
async function pressPlan(x: number, y: number): Promise<void> {
  const at = await page().$eval("[data-outside-plan]", (e) => {
    const r = e.getBoundingClientRect();
    return { x: r.x, y: r.y, width: r.width, height: r.height };
  });
  await page().mouse.click(at.x + at.width * x, at.y + at.height * y);
}

describe("out of doors", () => {
  it("a trench is drawn, told of the drive over it, ducted and dug on site; lights are set along a path", async () => {
    await page().goto(app().address);
    await upload("[data-file=import]", fileOf("yard.json", writeJobFile(yardJob(), [], [])));
    await page().waitForFunction(() => /\/jobs\/(?!tern-cottage)/.test(location.pathname));
    const id = jobId();
    await page().goto(`${app().address}/jobs/${id}?stage=outside`);
    await page().waitForSelector("[data-outside-plan] svg");
    await press("Trench");
    await see("Press the foot of the wall it leaves.");
    // The house stands south of the yard, the shed north of it.
    await pressPlan(0.5, 0.72);
    await see("Press its turns, and last the wall it comes to");
    await pressPlan(0.5, 0.28);
    await press("Done");
    await page().waitForSelector("[data-way-figures]");
    const [trench] = (await job()).outsideWays;
    expect([trench!.label, trench!.from.wall, trench!.to.wall]).toEqual(["TR1", "out3", "out1"]);
    await see("In it: DB1 to K1.");

    await choose("ground to draw", "drive");
    await see("Press one corner.");
    await pressPlan(0.3, 0.45);
    await pressPlan(0.7, 0.55);
    await key("Enter");
    await page().waitForSelector('[data-finding="buried.duct"]');
    await page().click(`[data-outside-row="${trench!.id}"]`);
    await page().waitForSelector("[data-way-figures]");
    await press("Duct");
    await page().waitForFunction(() => !document.querySelector('[data-finding="buried.duct"]'));
    await type("Depth at both ends", "400");
    await page().waitForSelector('[data-finding="buried.depth"][data-severity="stop"]');
    await type("Depth at both ends", "40");
    await see(/Depth at both ends.*40.*50/);
    await type("Depth at both ends", "600");
    await page().waitForFunction(() => !document.querySelector('[data-finding="buried.depth"]'));

    await press("Row of lights");
    await pressPlan(0.42, 0.68);
    await pressPlan(0.42, 0.34);
    await key("Enter");
    await page().waitForSelector("[data-row-figures]");
    await type("Lights", "4");
    await page().waitForFunction(
      () => document.querySelectorAll('[aria-label="Lights of the row"] tbody tr').length === 4,
    );
    expect((await job()).lightRows[0]).toMatchObject({ count: 4, from: "k" });

    await page().goto(`${app().address}/jobs/${id}?stage=materials`);
    await see("Marker tape");
    await see("Garden light");
    await page().setViewport({ width: 390, height: 844 });
    await page().goto(`${app().address}/jobs/${id}/site`);
    await press("out: dig");
    await see("dig, the cable at");
    expect(await text("[data-big]")).toMatch(/600/);
  });
});

describe("old wiring", () => {
  it("an old radial is read, added to by the way with least mess, joined under a hatch, and isolated first on site", async () => {
    await page().setViewport({ width: 1280, height: 800 });
    const file = JSON.parse(await read("/api/jobs/tern-cottage/file")) as { job: Job };
    await page().goto(app().address);
    const circuits = file.job.circuits.filter((c) => c.id === "old");
    const bare = {
      ...file.job,
      name: "Old radial",
      work: { ...file.job.work, people: ["Electrician 1"] },
      circuits,
      extensions: [],
      outsideWays: [],
      lightRows: [],
      sections: [],
    };
    await upload("[data-file=import]", fileOf("old.json", JSON.stringify({ ...file, job: bare })));
    await page().waitForFunction(() => /\/jobs\/(?!tern-cottage)/.test(location.pathname));
    const id = jobId();
    await page().goto(`${app().address}/jobs/${id}?stage=old-wiring`);
    await page().waitForSelector("[data-extension]");
    await page().waitForSelector('[data-finding="extend.shape"]');
    await press("Take from the simulated meter");
    await see("it is a radial");
    await page().waitForFunction(() => !document.querySelector('[data-finding="extend.shape"]'));
    await choose("joint s16", "under the floor");
    await page().waitForFunction(() => /Lever connector/.test(document.body.innerText));
    await page().click('input[name="new-way"][value="surface"]');
    await page().waitForFunction(
      () => document.querySelector<HTMLInputElement>('input[name="new-way"][value="surface"]')?.checked,
    );
    const after = await job();
    expect(after.extensions[0]).toMatchObject({
      shape: "radial",
      way: "surface",
      joints: [{ point: "s16", where: "under-floor" }],
    });
    expect(after.circuits.find((c) => c.id === "old")!.walls).toBe("surface");
    await choose("wall light from", "S16");
    await see("A wall light behind a fused unit is in");
    expect((await job()).circuits.find((c) => c.id === "old")!.spurs).toHaveLength(3);

    await page().setViewport({ width: 390, height: 844 });
    await page().goto(`${app().address}/jobs/${id}/site`);
    await page().waitForSelector("[data-part]");
    await see(/O1: isolate and break into/);
    await see(/prove the tester, prove dead/);
  });
});
