// `npm run site-figures`: how quick the site page is on a job with 5 000 lines and 300 photos, and how much script it has of its own.
// Needs a build and Chromium. Prints the figures of docs/reliability.md; nothing is asserted here.
import { mkdtempSync, readFileSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { gzipSync } from "node:zlib";
import { start } from "../e2e/start";
import type { Job } from "../src/core/job/model";
import type { SiteEntry } from "../src/core/job/site-entry";
import { numberOf } from "./numbers";

const lines = numberOf("lines", 5000);
const photos = numberOf("photos", 300);
const middle = (list: number[]): number => [...list].sort((a, b) => a - b)[list.length >> 1] ?? NaN;

const app = await start();
const file = JSON.parse(await (await fetch(`${app.address}/api/jobs/tern-cottage/file`)).text()) as { job: Job };
const runs =
  (await (await fetch(`${app.address}/api/jobs/tern-cottage/cut-list.csv`)).text()).trim().split("\n").length - 1;
const walls = file.job.walls;
const siteBook = Array.from({ length: lines }, (_, i): SiteEntry => ({
  id: `line-${i}`,
  run: `r1.board.s${1 + (i % runs)}`,
  // Notes, and ticks of what is in no part any more: as many lines to be put in order as a long job has.
  ...(i % 2
    ? ({ kind: "note", text: `Line ${i}` } as const)
    : ({ kind: "mark", text: "", mark: `gone:${i % 700}` } as const)),
  step: null,
  by: i % 2 ? "Electrician 1" : "Electrician 2",
  at: new Date(Date.UTC(2026, 10, 1, 8, 0, i * 30)).toISOString(),
}));
const job: Job = {
  ...file.job,
  photos: Array.from({ length: photos }, (_, i) => ({
    id: `photo-${i}`,
    wall: walls[i % walls.length]!.id,
    deck: null,
    outside: null,
    picture: "p1",
    u: 100,
    v: 1200,
    text: "",
    at: "2026-11-01T08:00:00Z",
  })),
};
const pictures = [{ id: "p1", type: "image/png", data: readFileSync("public/icons/192.png").toString("base64") }];
const page = await app.newPage();
await page.setViewport({ width: 390, height: 844 });
await page.goto(app.address);
const input = await page.waitForSelector("[data-file=import]");
const many = join(mkdtempSync(join(tmpdir(), "lumbet-figures-")), "many.json");
writeFileSync(many, JSON.stringify({ ...file, job, siteBook, pictures }));
await (input as unknown as { uploadFile: (f: string) => Promise<void> }).uploadFile(many);
await page.waitForFunction(() => /\/jobs\/(?!tern-cottage)/.test(location.pathname));
const id = new URL(page.url()).pathname.split("/")[2]!;
const address = `${app.address}/jobs/${id}/site`;
// The first asks the server for the plan; a phone on site comes after it.
await page.goto(address);
await page.waitForSelector("[data-part]");
const opened: number[] = [];
for (let i = 0; i < 5; i++) {
  await page.goto("about:blank");
  const t = performance.now();
  await page.goto(address, { waitUntil: "domcontentloaded" });
  await page.waitForSelector("[data-part]");
  opened.push(performance.now() - t);
}
const taps: { stored: number; shown: number }[] = [];
for (let i = 0; i < 10; i++)
  taps.push(
    // As text: what runs in the page is not compiled with this file.
    (await page.evaluate(`(async () => {
      const part = () => document.querySelector("[data-part]").getAttribute("data-part");
      const was = part();
      const before = Object.keys(localStorage).length;
      const t = performance.now();
      document.querySelector("[data-do]").click();
      const stored = Object.keys(localStorage).length > before ? performance.now() - t : NaN;
      while (part() === was) await new Promise((done) => requestAnimationFrame(done));
      return { stored, shown: performance.now() - t };
    })()`)) as { stored: number; shown: number },
  );
const html = await (await fetch(address)).text();
const scripts = [
  ...new Set(
    [...html.matchAll(/<script[^>]+src="(\/_next\/static\/chunks\/[^"]+\.js)"(?![^>]*nomodule)/gi)].map((m) => m[1]!),
  ),
];
const plain = await (await fetch(`${app.address}/rules`)).text();
let [all, own] = [0, 0];
for (const s of scripts) {
  const size = gzipSync(Buffer.from(await (await fetch(app.address + s)).arrayBuffer())).length;
  all += size;
  if (!plain.includes(s)) own += size;
}
const kb = (n: number): string => `${(n / 1024).toFixed(0)} kB`;
console.log(
  `${lines} lines and ${photos} photos: opened in ${middle(opened).toFixed(0)} ms (middle of ${opened.length})`,
);
console.log(
  `a tap: stored on the device in ${middle(taps.map((t) => t.stored)).toFixed(0)} ms, shown in ${middle(taps.map((t) => t.shown)).toFixed(0)} ms (middle of ${taps.length})`,
);
console.log(`script of the page: ${kb(all)} compressed, of it ${kb(own)} its own and not of every page`);
await app.stop();
process.exit(0);
