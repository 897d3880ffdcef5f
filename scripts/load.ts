// `npm run load [-- --people 20 --seconds 60 --jobs 1000]`: what it costs a firm, on two servers over one PostgreSQL database. Needs a
// build, and Debian's postgresql. Prints the figures of docs/deploy.md; nothing is asserted here.
import { type ChildProcess, spawn } from "node:child_process";
import { existsSync, mkdtempSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { nanoid } from "nanoid";
import { newDatabase, openServer } from "../src/data/client";
import { ternCottage } from "../src/data/demo/tern-cottage";
import { addJob } from "../src/data/jobs";
import { freePort } from "../src/data/torture/requests";
import { numberOf } from "./numbers";

const people = numberOf("people", 20);
const seconds = numberOf("seconds", 60);
const jobs = numberOf("jobs", 1000);
const url = process.env.TEST_DATABASE_URL;
if (!url || !existsSync(".next/BUILD_ID")) {
  console.error(
    url ? "Not built: run `npm run build` first." : "Run it as `npm run load`, which starts a database server.",
  );
  process.exit(1);
}

const of = (share: number, times: number[]): number =>
  [...times].sort((a, b) => a - b)[Math.min(times.length - 1, Math.floor(share * times.length))] ?? NaN;
const ms = (x: number): string => `${x.toFixed(x < 10 ? 1 : 0)} ms`;
const mb = (pid: number): number =>
  Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, "utf8"))?.[1] ?? 0) / 1024;
/** Processor time of a process so far, ms: user and system, hundredths of a second each. */
const cpu = (pid: number): number => {
  const f = readFileSync(`/proc/${pid}/stat`, "utf8")
    .replace(/^.*\) /, "")
    .split(" ");
  return (Number(f[11]) + Number(f[12])) * 10;
};
async function timed(what: () => Promise<Response>): Promise<number> {
  const t = performance.now();
  const answer = await what();
  await answer.arrayBuffer();
  if (!answer.ok) throw new Error(`${answer.status} ${answer.url}`);
  return performance.now() - t;
}

interface Server {
  address: string;
  pid: number;
  started: number;
  stop: () => Promise<void>;
}
const data = mkdtempSync(join(tmpdir(), "lumbet-load-"));
async function serve(database: string): Promise<Server> {
  const port = await freePort();
  const address = `http://127.0.0.1:${port}`;
  const t = performance.now();
  const child: ChildProcess = spawn(
    process.execPath,
    ["node_modules/next/dist/bin/next", "start", "-H", "127.0.0.1", "-p", String(port)],
    { stdio: ["ignore", "ignore", "inherit"], env: { ...process.env, LUMBET_DATA: data, DATABASE_URL: database } },
  );
  for (;;) {
    try {
      const answer = await fetch(address);
      await answer.text();
      if (answer.ok) break;
    } catch {
      await new Promise((r) => setTimeout(r, 25));
    }
  }
  const gone = new Promise<void>((r) => child.once("exit", () => r()));
  return {
    address,
    pid: child.pid!,
    started: performance.now() - t,
    stop: () => (child.kill("SIGTERM"), gone),
  };
}

const database = await newDatabase(url);
const db = await openServer(database);
const ids = Array.from({ length: jobs }, (_, i) => `load-${i}`);
for (const id of ids) await addJob(db, { ...ternCottage(id), name: `Cottage ${id}` });
const servers = await Promise.all([serve(database), serve(database)]);
console.log(`${jobs} jobs of the demo's size, 2 servers, 1 database, ${people} people for ${seconds} s`);
console.log(`start to first answer: ${servers.map((s) => ms(s.started)).join(", ")}`);

const [a] = servers as [Server, Server];
const list = [];
for (let i = 0; i < 20; i++) list.push(await timed(() => fetch(a.address)));
console.log(`list of jobs: middle ${ms(of(0.5, list))}, 95 in 100 within ${ms(of(0.95, list))}`);

const site = `${a.address}/jobs/${ids[0]}/site`;
for (let i = 0; i < 5; i++) await timed(() => fetch(site));
const before = cpu(a.pid);
const views = 100;
const pages = [];
for (let i = 0; i < views; i++) pages.push(await timed(() => fetch(site)));
console.log(
  `site page from the cache: middle ${ms(of(0.5, pages))}, ${ms((cpu(a.pid) - before) / views)} of processor each`,
);

const manifest = JSON.parse(readFileSync(".next/server/server-reference-manifest.json", "utf8")) as {
  node: Record<string, { exportedName?: string }>;
};
const add = Object.entries(manifest.node).find(([, x]) => x.exportedName === "addSiteEntries")?.[0];
if (!add) throw new Error("The build has no action that adds lines to the record.");
const until = performance.now() + seconds * 1000;
const taps: number[] = [];
/** Somebody who ticks something on one of ten jobs every second or so, on one of the servers. */
async function person(n: number): Promise<void> {
  const server = servers[n % servers.length]!;
  const job = ids[n % 10]!;
  let k = 0;
  await new Promise((r) => setTimeout(r, (n * 1000) / people));
  while (performance.now() < until) {
    const line = {
      id: nanoid(16),
      run: `run-${n}-${k++ % 40}`,
      kind: "note",
      step: null,
      text: "tapped",
      by: `Person ${n}`,
      at: new Date().toISOString(),
    };
    taps.push(
      await timed(() =>
        fetch(`${server.address}/jobs/${job}/site`, {
          method: "POST",
          body: JSON.stringify([job, [line]]),
          headers: { "next-action": add!, "content-type": "text/plain;charset=UTF-8" },
        }),
      ),
    );
    await new Promise((r) => setTimeout(r, 1000));
  }
}
await Promise.all(Array.from({ length: people }, (_, n) => person(n)));
console.log(
  `${taps.length} taps: middle ${ms(of(0.5, taps))}, 95 in 100 within ${ms(of(0.95, taps))}, longest ${ms(of(1, taps))}`,
);
console.log(`memory: ${servers.map((s) => `${mb(s.pid).toFixed(0)} MB`).join(", ")}`);
await Promise.all(servers.map((s) => s.stop()));
rmSync(data, { recursive: true, force: true });
process.exit(0);
