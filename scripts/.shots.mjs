import { spawn } from "node:child_process";
import { mkdtempSync } from "node:fs";
import puppeteer from "puppeteer-core";
const port = 4711;
const dir = mkdtempSync("/tmp/lumshots-");
const server = spawn(process.execPath, ["node_modules/next/dist/bin/next", "start", "-H", "127.0.0.1", "-p", String(port)], { env: { ...process.env, LUMBET_DATA: dir }, stdio: "ignore" });
const base = `http://127.0.0.1:${port}`;
for (let i = 0; i < 100; i++) { try { await fetch(base); break; } catch { await new Promise((r) => setTimeout(r, 300)); } }
const browser = await puppeteer.launch({ executablePath: "/usr/bin/chromium", headless: true, args: ["--no-sandbox", "--use-angle=swiftshader", "--enable-unsafe-swiftshader", "--disable-background-networking"] });
for (const arg of process.argv.slice(2)) {
  const [name, url, w = "1280", h = "800", click = ""] = arg.split("|");
  const page = await browser.newPage();
  page.on("pageerror", (e) => console.log(name, "error", e.message));
  await page.setViewport({ width: +w, height: +h });
  await page.goto(base + url, { waitUntil: "domcontentloaded" });
  await new Promise((r) => setTimeout(r, 4000));
  for (const c of click.split(";").filter(Boolean)) {
    if (c.startsWith("xy:")) await page.mouse.click(...c.slice(3).split(",").map(Number));
    else if (c.startsWith("js:")) await page.evaluate(c.slice(3));
    else await page.evaluate((t) => [...document.querySelectorAll("button,a,summary,[role=button]")].find((b) => b.textContent.trim().startsWith(t) || b.getAttribute("aria-label")?.startsWith(t))?.click(), c);
    await new Promise((r) => setTimeout(r, 1200));
  }
  await page.screenshot({ path: `/tmp/shot-${name}.png` });
  await page.close();
}
await browser.close(); server.kill();
