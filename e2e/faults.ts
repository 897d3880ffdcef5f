import { readFileSync } from "node:fs";
import { createRequire } from "node:module";
import type { Page } from "puppeteer-core";

const axe = readFileSync(createRequire(import.meta.url).resolve("axe-core/axe.min.js"), "utf8");

/** Faults of access in a page as it stands, at any level, in one theme; then those of colour, which alone differ, in the other. */
export async function faultsIn(page: Page): Promise<string[]> {
  await page.evaluate(axe);
  const before = await page.evaluate(() => document.documentElement.dataset.theme);
  const out: string[] = [];
  for (const theme of ["light", "dark"]) {
    await page.evaluate((t) => (document.documentElement.dataset.theme = t), theme);
    const found = await page.evaluate(async (whole) => {
      const { axe } = window as unknown as {
        axe: { run: (options: object) => Promise<{ violations: { id: string; nodes: { html: string }[] }[] }> };
      };
      const r = await axe.run({ resultTypes: ["violations"], ...(whole ? {} : { runOnly: ["color-contrast"] }) });
      return r.violations.map((v) => {
        const nodes = v.nodes.slice(0, 3).map((n) => n.html.slice(0, 160));
        return `${v.id}: ${nodes.join(" | ")}`;
      });
    }, theme === "light");
    out.push(...found.map((f) => `${theme}: ${f}`));
  }
  await page.evaluate((t) => (document.documentElement.dataset.theme = t ?? "light"), before);
  return out;
}
