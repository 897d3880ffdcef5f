import { describe, expect, it } from "vitest";
import { desk } from "./desk";

const { app, page, job, jobId, open, see, choose, stored, focusPoint, key, place } = desk();

/** The wiring picture's words. */
const picture = (): Promise<string> =>
  page().$eval("[data-wiring-sheet] [data-wiring] svg", (e) => e.textContent ?? "");
/** Ticks a light in the list that a switch works. */
const works = (light: string): Promise<void> =>
  page().click(`::-p-xpath(//fieldset[legend[contains(., "Works")]]//label[contains(., "${light}")])`);

describe("lights and switches", () => {
  it("a light worked from two places is wired in three cores, and a third switch makes an intermediate", async () => {
    await open("demo", "stage=ends&room=hall");
    await page().waitForSelector('[aria-label="Points with cables"] button', { timeout: 180_000 });
    await page().click('::-p-xpath(//ul[@aria-label="Points with cables"]//button[span[1][text()="W2"]])');
    await page().waitForSelector('[data-wiring="w2"]');
    const two = await picture();
    expect(two).toContain("To W7 · 1.0 mm² three-core and earth");
    expect(two).toContain("black, sleeved brown");
    expect(two).toContain("COM");

    // The kitchen's switch takes the hall light as well: one gang for both cannot be, a gang of its own can.
    await page().goto(`${app().address}/jobs/${jobId()}?stage=points&room=kitchen`);
    await focusPoint("W1");
    await works("L2");
    await stored();
    await page().goto(`${app().address}/jobs/${jobId()}?stage=circuits&room=kitchen`);
    await see(/W1 and W2 work L2 together, but L1 only one of them/);
    await page().goto(`${app().address}/jobs/${jobId()}?stage=points&room=kitchen`);
    await focusPoint("W1");
    await choose("gang of L2", "gang 2");
    await stored();
    expect((await job()).points.find((p) => p.id === "w1")!.gangOf).toEqual({ l2: 2 });
    await page().goto(`${app().address}/jobs/${jobId()}?stage=ends&room=kitchen`);
    await page().waitForSelector("::-p-xpath(//button[starts-with(., 'All ')])");
    await page().$eval("::-p-xpath(//button[starts-with(., 'All ')])", (e) => (e as HTMLElement).click());
    await page().waitForFunction(
      () => (document.querySelector("[data-wiring-sheet]")?.textContent ?? "").includes("L3, out · strapper 1"),
      { timeout: 60_000 },
    );
    expect(await page().$eval("[data-wiring-sheet]", (e) => e.textContent)).toContain("common connector");
  });

  it("behind a fused unit the light is labelled, the cable is its own, and each run may have another", async () => {
    await open("demo", "stage=circuits&room=kitchen");
    await see("B2 behind F1 is fed from R1, a socket circuit, and not labelled so");
    await page().goto(`${app().address}/jobs/${jobId()}?stage=points&room=kitchen`);
    await focusPoint("F1");
    await page().click("::-p-xpath(//label[contains(., 'Lights behind it are labelled')])");
    await stored();
    await page().goto(`${app().address}/jobs/${jobId()}?stage=circuits&room=kitchen`);
    await see("No way in the consumer unit");
    await page().waitForFunction(() => !document.body.innerText.includes("not labelled so"));
    expect((await job()).points.find((p) => p.id === "f1")!.labelled).toBe(true);

    // The run to the switch is 1.5 behind the unit; the user says 2.5.
    await page().goto(`${app().address}/jobs/${jobId()}?stage=routes&room=kitchen&view=schedule`);
    await page().waitForSelector("::-p-xpath(//button[contains(., 'F1 to W8')] | //td[contains(., 'F1 to W8')])");
    await page().click("::-p-xpath(//button[contains(., 'F1 to W8')] | //td[contains(., 'F1 to W8')])");
    await see("as worked out: 1.5 mm² twin and earth");
    await choose("run cable", "2.5 mm² twin and earth");
    await stored();
    expect((await job()).circuits.find((c) => c.id === "r1")!.runCables).toMatchObject([
      { cable: "te-2.5", number: 1 },
    ]);
  });
});

describe("a data outlet", () => {
  it("joins the line of its kind from the cabinet, and without a cabinet is told of", async () => {
    await open("demo", "stage=points&room=bed2");
    await see("46 runs laid");
    await key("w");
    await page().click("::-p-xpath(//summary[contains(., 'Data, television')])");
    await place("Data outlet");
    await stored();
    const made = (await job()).points.find((p) => p.kind === "data" && p.id !== "d1")!;
    expect((await job()).circuits.find((c) => c.id === "net")!.points).toEqual(["d1", made.id]);
    await see("47 runs laid");
    // Its form offers no mains, and its end no terminal for them.
    await page().goto(`${app().address}/jobs/${jobId()}?stage=ends&room=bed1`);
    await page().waitForSelector('[aria-label="Points with cables"] button', { timeout: 180_000 });
    await page().click('::-p-xpath(//ul[@aria-label="Points with cables"]//button[span[1][text()="D1"]])');
    await see("Strip and connect as the maker of the outlet says");
    await page().goto(`${app().address}/jobs/${jobId()}?stage=points&room=hall`);
    await focusPoint("CB1");
    await key("Delete");
    await stored();
    await page().goto(`${app().address}/jobs/${jobId()}?stage=circuits&room=hall`);
    await see("NET1 has no cabinet to start from");
    await see("44 runs laid");
  });
});
