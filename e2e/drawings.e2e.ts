import DxfParser from "dxf-parser";
import { describe, expect, it } from "vitest";
import { desk, fileOf as file } from "./desk";

const { app, page, jobId, job, open, given, upload, text, see, press, stored, type, key } = desk();

describe("drawings in and out, instruments, photos", () => {
  const line = (x1: number, y1: number, x2: number, y2: number): string =>
    `0\nLINE\n8\nROOMS\n10\n${x1}\n20\n${y1}\n11\n${x2}\n21\n${y2}\n`;
  const dxf = `0\nSECTION\n2\nHEADER\n9\n$INSUNITS\n70\n6\n0\nENDSEC\n0\nSECTION\n2\nENTITIES\n${line(0, 0, 3.2, 0)}${line(3.2, 0, 3.2, 2.6)}${line(3.2, 2.6, 0, 2.6)}${line(0, 2.6, 0, 0)}0\nENDSEC\n0\nEOF\n`;

  it("takes rooms from a DXF drawing by its layers, and refuses a broken one in words", async () => {
    await page().goto(app().address);
    await press("New job");
    await type("job name", "From a drawing");
    await page().waitForFunction(() => location.pathname.startsWith("/jobs/"), { timeout: 180_000 });
    await upload("[data-file=dxf]", file("broken.dxf", dxf.slice(0, 60)));
    await page().waitForSelector("[data-fault=drawing]");
    expect(await text("[data-fault=drawing]")).toMatch(/broken\.dxf was not taken.*Nothing has changed/s);
    await upload("[data-file=dxf]", file("plan.dxf", dxf));
    await page().waitForFunction(() => document.querySelector("[data-outlines]")?.textContent?.includes("1 room"));
    await press("Add the rooms");
    await see("1 room, 0 decks");
    await stored();
    expect((await job()).rooms[0]!.outline).toHaveLength(4);
    expect((await job()).walls).toHaveLength(4);
  });

  it("gives plan and unrolled rooms as files that other programs read", async () => {
    await open("one-room");
    const one = (await job()).rooms[0]!;
    const plan = new DxfParser().parseSync(await given("plan.dxf?storey=ground"))! as unknown as {
      entities: { layer: string }[];
    };
    expect(plan.entities.filter((e) => e.layer === "ROOMS")).toHaveLength(1);
    const svg = await given(`unrolled.svg?room=${one.id}`);
    expect(svg).toContain('<g id="WALLS"');
    expect((await fetch(`${app().address}/api/jobs/${jobId()}/unrolled.svg?room=nowhere`)).status).toBe(404);
    expect((await given("points.csv")).split("\r\n")[0]).toMatch(/^label,kind,size/);
  });

  it("lays an image under the plan and scales it by a known length", async () => {
    await open("one-room", "stage=survey&view=plan");
    await upload("[data-file=trace]", file("not-a-picture.png", "hello"));
    await page().waitForFunction(() =>
      document.querySelector("[data-fault=drawing]")?.textContent?.includes("no picture"),
    );
    await upload("[data-file=trace]", "docs/screenshots/bench.png");
    await see("Give it a known length");
    await stored();
    await page().$$eval("summary", (l) => (l.find((s) => s.textContent?.includes("bench.png")) as HTMLElement).click());
    await press("Give it a known length");
    const ground = (await page().waitForSelector("[data-tool-ground]"))!;
    const b = (await (await page().waitForSelector(".drawing"))!.boundingBox())!;
    expect(ground).toBeTruthy();
    await page().mouse.click(b.x + b.width * 0.3, b.y + b.height * 0.6);
    await see("Press the second place");
    await page().mouse.click(b.x + b.width * 0.6, b.y + b.height * 0.6);
    await type("known length", "5000");
    await page().waitForFunction(() => !document.querySelector("[data-tool-ground]"));
    await stored();
    const t = (await job()).traces[0]!;
    expect(t.scale * t.width).not.toBeCloseTo(10_000, -1);
  });

  it("draws a room on the plan by pressing its corners", async () => {
    await open("one-room", "stage=survey&view=plan");
    await press("Draw a room on the plan");
    const b = (await (await page().waitForSelector(".drawing"))!.boundingBox())!;
    for (const [x, y] of [
      [0.3, 0.7],
      [0.3, 0.4],
      [0.6, 0.4],
      [0.6, 0.7],
    ] as const)
      await page().mouse.click(b.x + b.width * x, b.y + b.height * y);
    await page().waitForSelector('[data-outline-tool="4"]');
    await press("Close the outline");
    await type("new room name", "Traced room");
    await press("Add the room");
    await see("2 rooms, 0 decks");
    await stored();
    expect((await job()).rooms.find((r) => r.name === "Traced room")!.outline).toHaveLength(4);
  });

  it("reads the simulated laser into the field in focus and moves to the next", async () => {
    await open("one-room");
    await press("Walk a room");
    await page().waitForSelector("[data-walk]");
    for (let i = 0; i < 4; i++) await key("F9");
    await page().waitForFunction(() =>
      /^36\d\d r 28\d\d r 36\d\d r 28\d\d r/.test((document.querySelector("[data-walk]") as HTMLInputElement).value),
    );
    await page().waitForFunction(() => /Closes|Ends/.test(document.querySelector("[data-gap]")?.textContent ?? ""));
    await page().focus('[data-field="new room height"]');
    await key("F9");
    await page().waitForFunction(
      () => (document.activeElement as HTMLElement | null)?.dataset.field === "new room thickness",
    );
    await page().keyboard.press("Escape");
    await page().keyboard.press("Escape");
  });

  it("sweeps a foil-backed wall with the simulated detector, and says what that is worth", async () => {
    await open("demo", "stage=survey&room=glaze");
    await page().waitForSelector('[data-point-tag="S10"]');
    await key("w");
    await key("w");
    await key("w");
    await see("Wall 3 of Glaze room");
    await key("i");
    await press("Sweep the wall");
    await page().waitForSelector("[data-sweep]");
    expect(await text("[data-sweep]")).toMatch(
      /Foil-backed board sets it off from end to end: this sweep tells nothing/,
    );
    await page().waitForSelector("[data-sweep-line]");
    await key("i");
  });

  it("attaches a photo to a wall and shows it there, also after a reload", async () => {
    await open("demo", "stage=survey&room=glaze");
    await page().waitForSelector('[data-point-tag="S10"]');
    for (let i = 0; i < 3; i++) await key("w");
    await see("Wall 3 of Glaze room");
    await upload("[data-file=photo]", "docs/screenshots/site.png");
    await page().waitForSelector("[data-photo-mark]");
    await stored();
    await page().reload();
    await page().waitForSelector("[data-photo-mark]");
    const photo = (await job()).photos[0]!;
    const answer = await fetch(`${app().address}/api/jobs/${jobId()}/pictures/${photo.picture}`);
    expect(answer.headers.get("content-type")).toMatch(/^image\//);
  });
});
