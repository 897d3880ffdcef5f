import { describe, expect, it } from "vitest";
import { desk } from "./desk";

const { page, open, see, press, type, key, stored, job, given, text } = desk();

const pickSection = async (id: string): Promise<void> => {
  await page().waitForSelector(`[data-section-row="${id}"]`, { timeout: 180_000 });
  await page().click(`[data-section-row="${id}"]`);
  await page().waitForSelector(`[data-section-form="${id}"]`);
};
/** Waits until the circuits of the picked section read like this. */
const circuitsRead = (words: string): Promise<unknown> =>
  page().waitForFunction(
    (w) => document.querySelector<HTMLElement>("[data-section-circuits]")?.innerText.replace(/\s+/g, " ").includes(w),
    { timeout: 180_000 },
    words,
  );
/** The ground that takes the presses while a section is drawn. */
const ground = async (): Promise<{ x: number; y: number; width: number; height: number }> => {
  await page().waitForSelector("[data-section-draft] > rect");
  return page().$eval("[data-section-draft] > rect", (e) => {
    const { x, y, width, height } = e.getBoundingClientRect();
    return { x, y, width, height };
  });
};

/** Where something stands once the drawing has come to rest: the same for ten frames. */
const standing = async (selector: string): Promise<{ x: number; y: number; height: number }> => {
  await page().waitForSelector(selector);
  return page().$eval(
    selector,
    (e) =>
      new Promise<{ x: number; y: number; height: number }>((done) => {
        let [was, same] = ["", 0];
        const look = (): void => {
          const { x, y, height } = e.getBoundingClientRect();
          const now = `${x} ${y} ${height}`;
          same = now === was ? same + 1 : 0;
          was = now;
          if (same === 10) done({ x, y, height });
          else requestAnimationFrame(look);
        };
        look();
      }),
  );
};

describe("containment", () => {
  it("shows the ring fall under 20 A in the trunking it shares, and one press puts it right", async () => {
    await open("demo", "stage=containment&room=hall");
    await pickSection("t1");
    await circuitsRead("R1 2.5 B × 2 18.4 / 20 A");
    // Cut across and opened flat stand at the foot of the drawing.
    expect(await text("[data-section-cut]")).toMatch(/12\.7 % used · most 45/);
    expect(await text("[data-section-pieces]")).toMatch(/Piece 1 of 1, opened flat · cut 1.479\.5 from a 3.000 length/);
    // The folds for paper at true scale: each on a sheet of its own, one millimetre of it one millimetre.
    await page().evaluate(() => (window.print = () => document.body.setAttribute("data-printed", "")));
    await press("Print the folds");
    await page().waitForSelector("[data-printed]");
    const sheets = await page().$$eval("svg.true-scale", (all) =>
      all.map((e) => [e.getAttribute("width")!, e.getAttribute("viewBox")!.split(" ")[2]!]),
    );
    expect(sheets).toHaveLength(6);
    for (const [width, box] of sheets) expect(width).toBe(`${box}mm`);
    await page().evaluate(() => window.dispatchEvent(new Event("afterprint")));
    await page().waitForFunction(() => !document.querySelector("svg.true-scale"));
    await page().click('[data-section-circuits] button[title="Lay R1 elsewhere"]');
    await circuitsRead("R2 2.5 B × 1 23 / 20 A");
    await see("R1 is kept out");
    await stored();
    expect((await job()).sections.find((s) => s.id === "t1")!.out).toEqual(["r1"]);
    expect(await given("cut-list.csv")).toContain("R1");
  });

  it("is drawn in one stroke and corner by corner, taken back, and drawn by keys alone", async () => {
    await open("demo", "stage=containment&room=hall");
    await page().waitForSelector('[data-section-row="t1"]', { timeout: 180_000 });
    await press("Mini");
    const g = await ground();
    const at = (u: number, v: number): [number, number] => [g.x + g.width * u, g.y + g.height * (1 - v)];
    await page().mouse.move(...at(0.2, 0.3));
    await page().mouse.down();
    await page().mouse.move(...at(0.3, 0.31), { steps: 4 });
    await page().mouse.move(...at(0.42, 0.31), { steps: 4 });
    await page().mouse.up();
    await page().mouse.move(...at(0.42, 0.6), { steps: 4 });
    await page().mouse.down();
    await page().mouse.up();
    await key("Enter");
    await page().waitForSelector("[data-section-form]");
    await stored();
    const drawn = (await job()).sections.find((s) => s.label === "T5")!;
    expect([drawn.kind, drawn.size]).toEqual(["mini-trunking", "25x16"]);
    const [a, ...more] = drawn.path;
    expect(more.length).toBeGreaterThan(1);
    expect(a!.on).toBe("wall");
    await key("z", "Control");
    await page().waitForFunction(() => document.querySelectorAll("[data-section-row]").length === 5);
    await stored();
    expect((await job()).sections).toHaveLength(4);

    await key("t");
    await page().waitForSelector("[data-section-bar]");
    for (let i = 0; i < 3; i++) await key("ArrowUp", "Shift");
    await key("Space");
    for (let i = 0; i < 5; i++) await key("ArrowRight", "Shift");
    await key("Space");
    await key("Enter");
    await page().waitForSelector("[data-section-form]");
    await stored();
    const byKeys = (await job()).sections.find((s) => s.label === "T5")!;
    expect(byKeys).toMatchObject({ kind: "trunking-plastic", corners: "folded" });
    expect(byKeys.path.map((p) => (p.on === "wall" ? [p.u, p.v] : []))).toEqual([
      [1000, 1300],
      [1500, 1300],
    ]);
    // Escape takes the tool out of the hand and makes nothing.
    await key("t");
    await page().waitForSelector("[data-section-bar]");
    await key("Escape");
    await page().waitForFunction(() => !document.querySelector("[data-section-bar]"));
    expect((await job()).sections).toHaveLength(5);
    // A section half drawn does not go along into another room.
    await key("t");
    await page().waitForSelector("[data-section-bar]");
    await key("ArrowUp", "Shift");
    await key("Space");
    await page().select("[data-room]", "kitchen");
    await page().waitForFunction(() => !document.querySelector("[data-section-bar]"));
    expect((await job()).sections).toHaveLength(5);
  });

  it("refuses what cannot be in words, and loses nothing of what is there", async () => {
    await open("demo", "stage=containment&room=hall");
    await pickSection("t1");
    await type("stretch 2", "99999");
    await see(/between 0 and 2.400/);
    expect((await job()).sections.find((s) => s.id === "t1")!.path[1]).toMatchObject({ v: 1950 });
    await type("stretch 2", "1900");
    await stored();
    const { path } = (await job()).sections.find((s) => s.id === "t1")!;
    expect(path.map((p) => (p.on === "wall" ? p.v : 0))).toEqual([2400, 1900, 1900, 1500]);
  });

  it("chooses for a room: each with its reason, put in with one press, and then there is nothing left to choose", async () => {
    await open("demo", "stage=containment&room=kitchen");
    await page().waitForSelector("[data-choose]", { timeout: 180_000 });
    await press("For Kitchen");
    await see(/\d cables?\. Over cable in a chase/);
    await press("Put all");
    await stored();
    const { sections } = await job();
    expect(sections.length).toBeGreaterThan(6);
    expect(sections.filter((s) => s.kind === "capping").length).toBe(sections.length - 4);
    // The runs now lie in them: asked again, there is nothing left.
    await page().waitForFunction(
      () =>
        [...document.querySelectorAll<HTMLElement>("[data-section-row]")].filter((e) => e.innerText.includes("apping"))
          .length > 3,
    );
    await press("Schedule");
    await see("side by side · room");
  });

  it("goes on from a wall over the joists as one path, and is drawn over joists pressed and by keys", async () => {
    await open("demo", "stage=containment&room=bed2");
    await pickSection("t2");
    await type("section ends", "2300");
    await press("Go on over the joists of Loft floor, rear");
    await see("Place 8 on Loft floor, rear");
    await stored();
    const t2 = (await job()).sections.find((s) => s.id === "t2")!;
    expect(t2.path.slice(-3)).toEqual([
      { on: "wall", wall: "bed2-w2", u: 4700, v: 2300 },
      { on: "deck", deck: "loft-rear", x: 4700, y: 8000 },
      { on: "deck", deck: "loft-rear", x: 4700, y: 7500 },
    ]);
    // Moved along its wall it comes along over the joists.
    await type("stretch 4", "4600");
    await stored();
    const moved = (await job()).sections.find((s) => s.id === "t2")!;
    expect(moved.path.slice(-2)).toMatchObject([{ x: 4600 }, { x: 4600 }]);
    await press("Deck");
    await press("Ladder");
    await type("place west", "900");
    await see("From the south is");
    await type("place south", "6000");
    await page().waitForSelector('[data-deck-section-tool="1"]');
    await type("place west", "2400");
    await page().waitForSelector('[data-deck-section-tool="2"]');
    await page().focus('[data-field="place west"]');
    await page().keyboard.type("3000");
    await type("place south", "6500");
    await see("A section on a deck runs along or across it");
    await press("Done");
    await stored();
    const last = (await job()).sections.find((s) => s.kind === "ladder")!;
    expect(last.path).toMatchObject([
      { x: 900, y: 6000 },
      { x: 2400, y: 6000 },
    ]);
    // Pressed: the second press on one place ends it.
    await press("Tray");
    await page().waitForSelector('[data-deck-section-tool="0"]');
    // What was refused before is no longer said.
    expect(await page().$("[data-deck-section-tool] [role=alert]")).toBe(null);
    const box = await standing(`[aria-label="${last.label}, over the joists, stretch 1"]`);
    const [x, y] = [box.x + 20, box.y + box.height + 25];
    await page().mouse.click(x, y);
    await page().waitForSelector('[data-deck-section-tool="1"]');
    await page().mouse.click(x + 30, y);
    await page().waitForSelector('[data-deck-section-tool="2"]');
    await page().mouse.click(x + 30, y);
    await page().waitForFunction(() => !document.querySelector("[data-deck-section-tool]"));
    await stored();
    expect((await job()).sections.filter((s) => s.kind === "tray")).toHaveLength(2);
  });
});
