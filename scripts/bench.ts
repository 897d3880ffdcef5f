import puppeteer from "puppeteer-core";
import { spawn, spawnSync } from "node:child_process";
import { existsSync, mkdtempSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { fileURLToPath } from "node:url";
import { gzipSync } from "node:zlib";
import { answer } from "../src/core/calculators/calculator";
import { calculatorNamed, calculators } from "../src/core/calculators/registry";
import { type House, layHouse } from "../src/core/house/house";
import { relayHouse } from "../src/core/house/relay";
import { type Job, canonical, sectionSchema } from "../src/core/job/model";
import { makePlan, planHouse } from "../src/core/plan/plan";
import { generatedBlock } from "../src/core/routing/generated-block";
import { presetNames, presets } from "../src/core/routing/weights";
import { generatedHouse } from "../src/core/routing/generated-house";
import { ternCottage } from "../src/data/demo/tern-cottage";

/** How long one call takes, ms. */
function took(run: () => unknown): number {
  const t = performance.now();
  run();
  return performance.now() - t;
}
const line = (name: string, ms: number, rest: string): void =>
  console.log(`${name.padEnd(46)} ${ms.toFixed(2).padStart(9)} ms${rest}`);

/** Prints timings; asserts nothing. Medians over the rounds, in milliseconds unless said; `warm` rounds go before that are not timed. */
function time(name: string, target: string, rounds: number, run: (round: number) => unknown, warm = 4): void {
  for (let i = 0; i < warm; i++) run(i);
  const ts = Array.from({ length: rounds }, (_, i) => took(() => run(i))).sort((a, b) => a - b);
  const [least, most] = [ts[0]!, ts[rounds - 1]!].map((x) => x.toFixed(2));
  line(name, ts[Math.floor(rounds / 2)]!, `   (${rounds > 1 ? `least ${least}, most ${most}; ` : ""}aim ${target})`);
}

/** Rounds after which times no longer fall, as after some minutes at the desk. */
const SETTLED = 93;

const block = generatedBlock(3, 12);
/** What a process holds that has planned the block and nothing else; asked of one of its own. */
if (process.argv[2] === "--block") {
  const megabytes = (): number => Math.round(process.memoryUsage().rss / 1e6);
  const before = megabytes();
  makePlan(block);
  console.log(`${megabytes().toString().padStart(9)} MB   (${before} of it before the plan; aim 500)`);
  process.exit();
}
const alone = (): string =>
  spawnSync(process.execPath, [...process.execArgv, fileURLToPath(import.meta.url), "--block"], {
    encoding: "utf8",
  }).stdout.trimEnd();

const demo = ternCottage();
/** What the machine does in this hour: some are at half their speed in one and not in the next. */
const pace = (): number => {
  const list = new Float64Array(1 << 16);
  return took(() => {
    for (let k = 0; k < 60; k++) for (let i = 0; i < list.length; i++) list[i] = list[i]! * 0.5 + i;
  });
};
time("this machine: four million additions", "none", 101, pace);
line(
  "plan of the demo, first ever, nothing warm",
  took(() => makePlan(demo)),
  "",
);
time("plan of the demo", "120", 31, () => makePlan(demo), SETTLED);
/** The demo as the planner holds it while one point of it is moved on and on: it lays out anew what the move touches. */
let held = layHouse(demo);
const moved = (round: number): House => {
  const points = held.job.points.map((p) =>
    p.id === "s5" && p.place.on === "wall" ? { ...p, place: { ...p.place, u: 2700 + 10 * round } } : p,
  );
  return (held = relayHouse(held, { ...held.job, points }));
};
time("plan of the demo after moving one point", "50", 31, (r) => planHouse(moved(r)), SETTLED);
/** The same while it is another circuit that is changed each time: the lines stay. */
let rated = layHouse(demo);
const changed = (round: number): House => {
  const circuits = rated.job.circuits.map((c, i) => (i === round % 3 ? { ...c, ambient: 25 + (round % 9) } : c));
  return (rated = relayHouse(rated, { ...rated.job, circuits }));
};
time("plan of the demo after changing a circuit", "50", 31, (r) => planHouse(changed(r)), SETTLED);
const planned = makePlan(demo);
time("quick plan while a point is dragged", "40", 31, (r) => planHouse(moved(r), { before: planned }), SETTLED);
const frameOf = (job: Job): ((round: number) => unknown) => {
  const p = job.points.find((x) => x.place.on === "wall")!;
  const laid = layHouse(job);
  return (r) =>
    relayHouse(laid, {
      ...job,
      points: job.points.map((x) =>
        x === p && p.place.on === "wall" ? { ...p, place: { ...p.place, u: p.place.u + 1 + (r % 50) } } : x,
      ),
    });
};
time("one frame of dragging on the demo", "4", 101, frameOf(demo));
const house16 = generatedBlock(5, 1, 12, 6);
time(`plan of a house of ${house16.points.length} points and ${house16.circuits.length} circuits`, "400", 5, () =>
  makePlan(house16),
);
time(`one frame of dragging on a block of ${block.points.length} points`, "8", 101, frameOf(block));
time(`plan of a block of 12 flats, ${block.points.length} points`, "10000", 1, () => makePlan(block), 0);
console.log(`${"  memory of a process that plans it alone".padEnd(46)} ${alone()}`);
/** A strip of mini-trunking along one wall of every room. */
const sections = block.rooms.map((r, i) => {
  const wall = block.walls.find((w) => w.room === r.id && w.index === i % 4)!;
  const [a, b] = [r.outline[wall.index]!, r.outline[(wall.index + 1) % r.outline.length]!];
  const end = Math.floor(Math.hypot(b.x - a.x, b.y - a.y) - 100);
  const path = [100, end].map((u) => ({ on: "wall", wall: wall.id, u, v: 450 }));
  return sectionSchema.parse({ id: `m${i}`, label: `M${i}`, kind: "mini-trunking", size: "38x16", path });
});
time(`the same with ${sections.length} sections`, "11000", 1, () => makePlan(canonical({ ...block, sections })), 0);
for (const [name, job] of [
  ["the demo", demo],
  ["the house", house16],
  ["two flats", generatedBlock(3, 2)],
] as const)
  for (const p of presetNames) {
    const plan = makePlan({ ...job, settings: { ...job.settings, cost: presets[p].cost } });
    console.log(
      `${`  ${name}, ${presets[p].name.toLowerCase()}: cable against its bound`.padEnd(46)} ${(plan.cable.total / (plan.cable.lines ?? plan.cable.total)).toFixed(3).padStart(9)}      (${(plan.cable.total / 1000).toFixed(1)} m, ${plan.holes.length} holes${p === "cable" ? "; aim 1.05" : ""})`,
    );
  }
const large = generatedHouse(5, 8, 4);
time("plan of 8 rooms, 49 points", "", 9, () => makePlan(large));

/** Every calculator on its first values; the slowest is named. */
const slow = new Set(["circuit.compare", "materials.cut"]);
const each = calculators
  .filter((c) => !slow.has(c.name))
  .map((c) => {
    for (let i = 0; i < 30; i++) answer(c, c.first);
    const ts = Array.from({ length: 51 }, () => {
      const t = performance.now();
      answer(c, c.first);
      return performance.now() - t;
    }).sort((a, b) => a - b);
    return { name: c.name, median: ts[25]! };
  })
  .sort((a, b) => b.median - a.median);
console.log(
  `${`slowest of ${each.length} calculators: ${each[0]!.name}`.padEnd(46)} ${each[0]!.median.toFixed(2).padStart(9)} ms   (aim 1)`,
);
const places = Array.from({ length: 26 }, (_, i) => [(i * 7919) % 9000, (i * 104_729) % 7000] as const);
const between = (n: number): number[][] =>
  places.slice(0, n).map(([x, y]) => places.slice(0, n).map(([u, v]) => Math.abs(x - u) + Math.abs(y - v)));
const compare = calculatorNamed("circuit.compare")!;
time("circuit.compare, 13 points, exact", "300", 9, () => answer(compare, { distances: between(14) }));
time("circuit.compare, 25 points, with bound", "", 5, () => answer(compare, { distances: between(26) }));
const cut = calculatorNamed("materials.cut")!;
const sixty = {
  pieces: Array.from({ length: 60 }, (_, i) => ({ id: `p${i}`, length: 2000 + ((i * 7919) % 11_000) })),
  stock: Array.from({ length: 8 }, (_, i) => ({ id: `d${i}`, length: i % 2 ? 100_000 : 50_000 })),
};
time("materials.cut, 60 pieces on 8 drums", "400", 5, () => answer(cut, sixty));
const cutOut = answer(cut, sixty);
if (cutOut.ok)
  console.log(
    `${"  proven optimal".padEnd(46)} ${String((cutOut.output as { optimal: boolean }).optimal).padStart(9)}`,
  );
time("command line: one question, whole process", "600", 5, () =>
  spawnSync("npm", ["run", "-s", "calc", "--", "fold.tray", '{"width":150,"angle":90}']),
);

/** Frames a second while a point is dragged in the browser, and how long an edit takes until it is stored. */
async function frames(port: number): Promise<void> {
  const chromium = [process.env.CHROMIUM, "/usr/bin/chromium", "/usr/bin/chromium-browser"].find(
    (p) => p && existsSync(p),
  );
  if (!chromium) return console.log("No Chromium: frames while dragging are left out.");
  const browser = await puppeteer.launch({
    executablePath: chromium,
    args: [
      "--headless=new",
      "--no-sandbox",
      "--disable-gpu",
      "--disable-background-networking",
      "--disable-component-update",
      "--disable-sync",
    ],
  });
  const page = await browser.newPage();
  await page.setViewport({ width: 1280, height: 800 });
  for (const [what, path, at] of [
    ["a point", "/jobs/tern-cottage?stage=points&room=kitchen", '[data-point-tag="S5"]'],
    ["a section with five runs", "/jobs/tern-cottage?stage=containment&room=hall", '[aria-label^="T1"][data-section]'],
    ["a section without", "/jobs/tern-cottage?stage=containment&room=shed", '[aria-label^="T3"][data-section]'],
  ] as const) {
    await page.goto(`http://127.0.0.1:${port}${path}`);
    await page.waitForFunction(() => /runs laid/.test(document.body.innerText));
    const b = (await (await page.waitForSelector(at))!.boundingBox())!;
    const [x, y] = [b.x + b.width / 2, b.y + b.height / 2];
    await page.mouse.move(x, y);
    await page.mouse.down();
    // As text: what a bundler adds to functions is not there in the page.
    await page.evaluate(
      "window.stamps = []; window.counting = true; const tick = (t) => { window.stamps.push(t); if (window.counting) requestAnimationFrame(tick); }; requestAnimationFrame(tick);",
    );
    for (let i = 0; i < 120; i++) await page.mouse.move(x + 40 * Math.sin(i / 9), y + 6 * Math.cos(i / 7));
    const stamps = (await page.evaluate("window.counting = false; window.stamps")) as number[];
    const gaps = stamps
      .slice(1)
      .map((t, i) => t - stamps[i]!)
      .sort((p, q) => p - q);
    console.log(
      `${`dragging ${what}, one frame (${gaps.length} frames)`.padEnd(46)} ${gaps[Math.floor(gaps.length / 2)]!.toFixed(2).padStart(9)} ms   (95 of 100 within ${gaps[Math.floor(gaps.length * 0.95)]!.toFixed(1)}; aim 16.7)`,
    );
    const from = performance.now();
    await page.mouse.up();
    await page.waitForSelector('[data-storing="stored"]');
    console.log(
      `${"an edit, from letting go until it is stored".padEnd(46)} ${(performance.now() - from).toFixed(0).padStart(9)} ms   (aim 200)`,
    );
  }
  await browser.close();
}

if (existsSync(".next/BUILD_ID")) {
  const port = 43_000 + (process.pid % 2000);
  const data = mkdtempSync(join(tmpdir(), "lumbet-bench-"));
  const from = performance.now();
  const server = spawn(
    process.execPath,
    ["node_modules/next/dist/bin/next", "start", "-H", "127.0.0.1", "-p", String(port)],
    { stdio: ["ignore", "pipe", "inherit"], env: { ...process.env, LUMBET_DATA: data } },
  );
  await new Promise<void>((done) => server.stdout.on("data", (c) => String(c).includes("Ready") && done()));
  console.log(
    `${"start of the built server, new database".padEnd(46)} ${(performance.now() - from).toFixed(0).padStart(9)} ms   (aim 3000)`,
  );
  const html = await (await fetch(`http://127.0.0.1:${port}/jobs/tern-cottage`)).text();
  const scripts = [...new Set([...html.matchAll(/\/_next\/static\/[^"'\\]+\.js/g)].map((m) => m[0]))];
  let all = 0;
  for (const s of scripts)
    all += gzipSync(Buffer.from(await (await fetch(`http://127.0.0.1:${port}${s}`)).arrayBuffer())).length;
  const blank = await (await fetch(`http://127.0.0.1:${port}/no-such-page`)).text();
  const own = new Set([...blank.matchAll(/\/_next\/static\/[^"'\\]+\.js/g)].map((m) => m[0]));
  let framework = 0;
  for (const s of scripts)
    if (own.has(s)) framework += gzipSync(readFileSync(join(".next", s.replace("/_next/", "")))).length;
  console.log(
    `${"script of the room view, compressed".padEnd(46)} ${((all - framework) / 1000).toFixed(0).padStart(9)} kB   (beyond ${(framework / 1000).toFixed(0)} kB on every page; aim 200)`,
  );
  await frames(port).catch((e: Error) => console.log(`Frames while dragging could not be counted: ${e.message}`));
  server.kill();
  await new Promise((r) => server.once("exit", r));
  rmSync(data, { recursive: true, force: true });
} else console.log("Not built: server start and script size are left out. Run npm run build first.");
