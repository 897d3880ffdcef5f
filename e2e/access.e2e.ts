import { readFileSync } from "node:fs";
import { createRequire } from "node:module";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { type Running, start } from "./start";

const axe = readFileSync(createRequire(import.meta.url).resolve("axe-core/axe.min.js"), "utf8");
let app: Running;
beforeAll(async () => {
  app = await start();
});
afterAll(async () => app?.stop());

const stages = [
  "survey",
  "points",
  "circuits",
  "routes",
  "timber",
  "containment",
  "fixings",
  "ends",
  "board",
  "materials",
  "site-book",
];
const screens = [
  { path: "/", width: 1280, theme: "light" },
  { path: "/", width: 390, theme: "dark" },
  ...stages.map((s, i) => ({ path: `/jobs/tern-cottage?stage=${s}`, width: 1280, theme: i % 2 ? "dark" : "light" })),
  { path: "/jobs/tern-cottage?stage=routes", width: 1024, theme: "light" },
  { path: "/jobs/tern-cottage?stage=points", width: 390, theme: "dark" },
  { path: "/jobs/tern-cottage/site", width: 390, theme: "light" },
  { path: "/jobs/tern-cottage?stage=survey&view=plan&room=glaze", width: 1280, theme: "dark" },
  { path: "/jobs/tern-cottage?stage=survey&room=loft", width: 390, theme: "light" },
  { path: "/jobs/tern-cottage?stage=routes&view=solid", width: 1280, theme: "light" },
  { path: "/jobs/tern-cottage?stage=timber&view=schedule", width: 1280, theme: "dark" },
  { path: "/bench", width: 1280, theme: "light" },
  { path: "/bench/timber.check", width: 1280, theme: "dark" },
  { path: "/bench/gland.row", width: 390, theme: "light" },
  { path: "/rules", width: 1280, theme: "light" },
  { path: "/rules", width: 390, theme: "dark" },
  { path: "/catalogue", width: 1280, theme: "dark" },
  { path: "/schools?job=tern-cottage", width: 1280, theme: "light" },
  { path: "/steps?kind=mi-second", width: 390, theme: "light" },
  { path: "/reference", width: 1280, theme: "light" },
  { path: "/jobs/tern-cottage/papers", width: 1280, theme: "dark" },
  { path: "/jobs/tern-cottage/papers", width: 390, theme: "light" },
  { path: "/jobs/tern-cottage/site?run=r1.board-s6", width: 390, theme: "dark" },
];

describe("every screen", () => {
  it.each(screens)(
    "$path at $width, $theme: no serious fault, nothing wider than the screen",
    async ({ path, width, theme }) => {
      const page = await app.newPage();
      await page.setViewport({ width, height: width === 390 ? 844 : 800 });
      await page.evaluateOnNewDocument((t) => localStorage.setItem("lumbet-theme", t), theme);
      await page.goto(app.address + path);
      await page.waitForSelector(path.includes("stage") ? "[data-storing]" : "h1");
      if (path.includes("stage"))
        await page.waitForFunction(
          () =>
            /runs laid/.test(document.body.innerText) ||
            document.querySelector(".order")?.textContent?.includes("runs laid"),
        );
      await page.evaluate(axe);
      const found = await page.evaluate(async () => {
        const r = await (
          window as unknown as {
            axe: { run: () => Promise<{ violations: { id: string; impact: string; nodes: { html: string }[] }[] }> };
          }
        ).axe.run();
        return r.violations
          .filter((v) => v.impact === "serious" || v.impact === "critical")
          .map(
            (v) =>
              `${v.id}: ${v.nodes
                .slice(0, 3)
                .map((n) => n.html.slice(0, 160))
                .join(" | ")}`,
          );
      });
      expect(found).toEqual([]);
      expect(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBeLessThanOrEqual(
        0,
      );
      await page.close();
    },
  );
});
