import { describe, expect, it } from "vitest";
import { desk } from "./desk";

const { page, open, given, job, text, see, press, stored, type, choose, key } = desk();

const bores = async (): Promise<number> =>
  (await given("boring.csv")).split("\r\n").filter((l) => /,\d+,\d+,\d/.test(l)).length;

describe("routes, timber and the solid view", () => {
  it("says why a run goes this way, and what the next best would cost", async () => {
    await open("demo", "stage=routes&room=kitchen");
    await see("46 runs laid");
    await press("L1 to W1");
    await press("Why this way?");
    await page().waitForSelector("[data-why]");
    expect(await text("[data-why]")).toMatch(
      /The cheapest at these weights: [\s\S]*dearer by what [\d\s\u202f.]+ of cable is worth/,
    );
    // An answer belongs to the job it was asked of: after a change it is gone.
    await press("Pin this run");
    await page().waitForFunction(() => !document.querySelector("[data-why]"));
    await key("z", "Control");
    await stored();
  });

  it("lays the whole job every way, side by side, and takes the one with the fewest holes", async () => {
    await open("demo", "stage=routes&room=kitchen");
    await see("46 runs laid");
    const before = await bores();
    await press("Lay it every way and compare");
    await page().waitForSelector("[data-variants]", { timeout: 180_000 });
    expect(await page().$$eval("[data-variant]", (l) => l.length)).toBe(5);
    await page().click('[data-variant="holes"] button');
    await page().waitForFunction(() => !document.querySelector("[data-variants]"));
    await stored();
    expect((await job()).settings.cost.bore).toBe(20_000);
    expect(await bores()).toBeLessThan(before);
    await key("z", "Control");
    await stored();
    expect(await bores()).toBe(before);
  });

  it("changes one weight by hand", async () => {
    await open("demo", "stage=routes&room=kitchen");
    await see("46 runs laid");
    await page().$$eval("summary", (l) =>
      (l.find((s) => s.textContent?.includes("Every weight")) as HTMLElement).click(),
    );
    await type("weight bend", "90");
    await stored();
    expect((await job()).settings.cost.bend).toBe(90);
    await see("Your own weights");
    await choose("preset", "As most would");
    await stored();
  });

  it("lays a ring both ways, for real", async () => {
    await open("demo", "stage=circuits&room=kitchen");
    await see("46 runs laid");
    await press("R1Ground floor sockets");
    await press("Lay it as a ring and as two radials");
    await page().waitForSelector("[data-both-ways]", { timeout: 180_000 });
    expect(await text("[data-both-ways]")).toMatch(/One ring[\s\S]*Two radials[\s\S]*one more way/);
  });

  it("keeps a part of a wall free, and lays round it at once", async () => {
    await open("demo", "stage=survey&room=kitchen");
    await see("46 runs laid");
    await key("w");
    await press("Keep a part free");
    await page().waitForSelector('[data-layer="KEPT-FREE"]');
    await stored();
    expect((await job()).forbidden).toHaveLength(1);
    await key("z", "Control");
    await page().waitForFunction(() => !document.querySelector('[data-layer="KEPT-FREE"]'));
    await stored();
  });

  it("shows chalk lines, a joist's card with its room to each limit, and bores on a line asked for", async () => {
    await open("demo", "stage=timber&room=kitchen");
    await page().waitForSelector('[data-layer="CHALK"]');
    await page().$eval('[aria-label="Joist 12 of Deck over ground floor"]', (e) =>
      e.dispatchEvent(new MouseEvent("click", { bubbles: true })),
    );
    await see("Joist 12, span");
    await see("Clearance to each limit");
    await type("bore line", "1");
    await see(
      "The line is 1 from the bearing; it must be 1 050 to 1 680 from the nearer one"
        .replaceAll("1 ", "1\u202f")
        .replace("is 1\u202ffrom", "is 1 from"),
    );
    await type("bore line", "1300");
    await stored();
    expect((await job()).decks.find((d) => d.id === "deck-over")!.boreLines).toEqual([1300]);
    await page().waitForSelector('[data-layer="CHALK"][data-id="1300"]');
    await press("Remove the line at");
    await stored();
  });

  it("gives the schedule in the order one walks, and refuses the engineered deck", async () => {
    await open("demo", "stage=timber&room=kitchen");
    await page().waitForSelector('[data-layer="CHALK"]');
    await key("b");
    await page().waitForSelector("[data-schedule]");
    const words = await text("[data-schedule]");
    expect(words).toMatch(/Line 1[\s\S]*chalk from joist \d+ at/);
    expect(words).toMatch(
      /Loft floor, rear[\s\S]*All joists: Engineered joists are cut only as their maker says[\s\S]*Ask the maker/,
    );
    const csv = await given("boring.csv");
    expect(csv.split("\r\n")[0]).toBe(
      "in,line,joist,span,timber,room,at mm,from,from top mm,height,diameter mm,cables,plate",
    );
    expect(words).toMatch(/Noggin, 2.100 from the south edge/);
    expect(words).toMatch(/Studs and walls[\s\S]*wall 3 of Kitchen[\s\S]*Stud \d/i);
  });

  it("drills the studs that are given, and says of those nobody has found that they are taken to be there", async () => {
    await open("demo", "stage=survey&room=kitchen");
    await see("46 runs laid");
    await key("w");
    await see("of Kitchen");
    // Round the walls of the room to the one of studs.
    for (let k = 0; k < 4 && !(await text("[aria-label=Inspector]")).includes("Wall 3 of Kitchen"); k++) await key("w");
    await see("Wall 3 of Kitchen");
    await see("Noggins at heights");
    await press("Studs not known");
    await see("Not measured: taken at 600 centres");
    await stored();
    expect((await job()).walls.find((w) => w.id === "kitchen-w3")!.studs).toBeNull();
    await open("demo", "stage=timber&room=kitchen");
    await key("b");
    await see("studs not measured, taken at 600 centres: find them before drilling");
  });

  it("bores a closed deck only where it is opened", async () => {
    await open("demo", "stage=survey&room=kitchen");
    await see("Deck over ground floor");
    const before = await bores();
    expect(before).toBeGreaterThan(0);
    await page().evaluate(() => {
      const summary = [...document.querySelectorAll("summary")].find((s) =>
        s.textContent?.startsWith("Deck over ground"),
      );
      summary?.click();
    });
    await choose("Access", "closed");
    await see("Nowhere: no joist is bored.");
    await stored();
    const shut = (await given("boring.csv")).split("\r\n").filter((l) => l.startsWith("Deck over ground floor"));
    expect(shut.filter((l) => /joist \d/.test(l))).toEqual([]);
    await press("Add an opening");
    await see("boards lifted");
  });

  it("shows the house in three dimensions, and shares what is picked with the other views", async () => {
    await open("demo", "stage=routes&room=kitchen");
    await see("46 runs laid");
    await key("o");
    await page().waitForSelector("[data-solid]");
    const box = (await (await page().$("[data-solid]"))!.boundingBox())!;
    // Press about until something is picked: a wall, a joist, a run or a point lies under most of the middle.
    for (const [x, y] of [
      [0.5, 0.5],
      [0.45, 0.6],
      [0.55, 0.45],
      [0.5, 0.65],
    ] as const) {
      await page().mouse.click(box.x + box.width * x, box.y + box.height * y);
      if (
        await page().$(
          "[aria-label=Inspector] section[aria-label^='Wall'], [aria-label=Inspector] section[aria-label^='Joist'], [aria-label=Inspector] section[aria-label^='Run'], [aria-label=Inspector] section[aria-label^='Point']",
        )
      )
        break;
    }
    await page().waitForSelector(
      "[aria-label=Inspector] section[aria-label^='Wall'], [aria-label=Inspector] section[aria-label^='Joist'], [aria-label=Inspector] section[aria-label^='Run'], [aria-label=Inspector] section[aria-label^='Point']",
    );
    await choose("solid storey", "First floor");
    await press("Stand in the room");
    await see("Stand back");
  });

  it("tells what is behind a wall from either face", async () => {
    await open("demo", "stage=routes&room=hall");
    await see("46 runs laid");
    await key("w");
    await key("w");
    await see("Wall 2 of Hall");
    await page().$$eval("summary", (l) =>
      (l.find((s) => s.textContent?.includes("Behind this wall")) as HTMLElement).click(),
    );
    await page().waitForSelector("[data-behind]");
    expect(await text("[data-behind]")).toMatch(/up, laid from Glaze room, \d+ deep/);
  });
});
