import { type ChildProcess, spawn } from "node:child_process";
import { mkdtempSync, readFileSync, rmSync } from "node:fs";
import { createServer } from "node:net";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { type Chance, chanceFrom } from "./chance";

/** What so many requests came to. */
export interface RequestSummary {
  requests: number;
  /** By the first figure of the status. */
  statuses: Record<string, number>;
  /** Left by who asked before the answer came. */
  cut: number;
  /** Requests that were answered 500 or not at all; empty when all is well. */
  faults: string[];
  /** Memory of the server after a quarter of the time and at the end, MB. */
  memory: { quarter: number; end: number };
}

const pick = <T>(chance: Chance, list: readonly T[]): T => list[Math.floor(chance() * list.length)]!;

const ODD: readonly unknown[] = [
  null,
  "",
  "\u0000",
  "\ud83d",
  "../../etc/passwd",
  "'; drop table jobs; --",
  "<script>alert(1)</script>",
  "x".repeat(5000),
  -1,
  0,
  1e308,
  0.1,
  true,
  [],
  {},
  [[[[[[1]]]]]],
  { __proto__: { a: 1 }, constructor: 1 },
  "tern-cottage",
  "$1",
  "＝1",
];

/** Plain data with nasty things in it, up to a depth. */
function odd(chance: Chance, deep = 3): unknown {
  if (deep === 0 || chance() < 0.5) return pick(chance, ODD);
  if (chance() < 0.5) return Array.from({ length: Math.floor(chance() * 4) }, () => odd(chance, deep - 1));
  const keys = [
    "id",
    "job",
    "patch",
    "key",
    "collection",
    "before",
    "after",
    "run",
    "at",
    "kind",
    "step",
    "name",
    "input",
  ];
  return Object.fromEntries(
    Array.from({ length: Math.floor(chance() * 5) }, () => [pick(chance, keys), odd(chance, deep - 1)]),
  );
}

export const freePort = (): Promise<number> =>
  new Promise((done) => {
    const s = createServer();
    s.listen(0, "127.0.0.1", () => {
      const { port } = s.address() as { port: number };
      s.close(() => done(port));
    });
  });

const memoryOf = (pid: number): number => {
  try {
    return Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, "utf8"))?.[1] ?? 0) / 1024;
  } catch {
    return 0;
  }
};

/**
 * Sends mutated requests to a built server of its own: addresses, questions of the Bench, pictures, backups, and every action with
 * arguments of every kind.
 * @param passed how much of the time has passed, 0 to 1
 */
export async function requests(seed: number, passed: () => number): Promise<RequestSummary> {
  const data = mkdtempSync(join(tmpdir(), "lumbet-requests-"));
  const port = await freePort();
  const address = `http://127.0.0.1:${port}`;
  let said = "";
  const server: ChildProcess = spawn(
    process.execPath,
    ["node_modules/next/dist/bin/next", "start", "-H", "127.0.0.1", "-p", String(port)],
    { stdio: ["ignore", "ignore", "pipe"], env: { ...process.env, LUMBET_DATA: data, DATABASE_URL: "" } },
  );
  server.stderr!.on("data", (c: Buffer) => (said = (said + c.toString()).slice(-4000)));
  for (let i = 0; i < 300; i++) {
    try {
      await (await fetch(`${address}/`)).text();
      break;
    } catch {
      await new Promise((r) => setTimeout(r, 200));
    }
  }
  const manifest = JSON.parse(readFileSync(".next/server/server-reference-manifest.json", "utf8")) as {
    node: Record<string, unknown>;
  };
  const actions = Object.keys(manifest.node);
  const out: RequestSummary = { requests: 0, statuses: {}, cut: 0, faults: [], memory: { quarter: 0, end: 0 } };
  const chance = chanceFrom(seed);
  do {
    const [what, path, init] = oneRequest(chance, actions);
    const cut = chance() < 0.05 ? chance() * 40 : null;
    try {
      const answer = await fetch(`${address}${path}`, {
        ...init,
        redirect: "manual",
        signal: AbortSignal.timeout(cut ?? 60_000),
      });
      await answer.arrayBuffer();
      const kind = `${Math.floor(answer.status / 100)}xx`;
      out.statuses[kind] = (out.statuses[kind] ?? 0) + 1;
      if (answer.status >= 500)
        out.faults.push(`${answer.status} ${what} ${said.split("\n").slice(-6).join(" ").slice(0, 300)}`);
    } catch (e) {
      if (cut !== null) out.cut++;
      else out.faults.push(`no answer ${what}: ${(e as Error).message}`);
      if (server.exitCode !== null) break;
    }
    out.requests++;
    if (out.memory.quarter === 0 && passed() >= 0.25) out.memory.quarter = memoryOf(server.pid!);
  } while (passed() < 1);
  out.memory.end = memoryOf(server.pid!);
  const gone = new Promise((r) => server.once("exit", r));
  server.kill("SIGTERM");
  await gone;
  rmSync(data, { recursive: true, force: true });
  return out;
}

function oneRequest(chance: Chance, actions: readonly string[]): [what: string, path: string, init: RequestInit] {
  const word = (): string => {
    const x = pick(chance, ODD);
    return encodeURIComponent((typeof x === "string" ? x : JSON.stringify(x)).toWellFormed().slice(0, 300));
  };
  const body = (x: unknown): string => JSON.stringify(x) ?? "null";
  switch (Math.floor(chance() * 6)) {
    case 0: {
      const path = pick(chance, [
        `/jobs/${word()}`,
        `/jobs/tern-cottage?stage=${word()}&room=${word()}&view=${word()}`,
        `/jobs/${word()}/site`,
        `/steps?kind=${word()}&wires=${word()}&job=${word()}&run=${word()}`,
        `/bench/${word()}`,
        `/${word()}`,
      ]);
      return [path, path, {}];
    }
    case 1: {
      const path = pick(chance, [
        `/api/jobs/${word()}/${word()}`,
        `/api/jobs/tern-cottage/${word()}`,
        `/api/jobs/tern-cottage/plan.svg?storey=${word()}`,
        `/api/jobs/tern-cottage/pictures/${word()}`,
        `/api/catalogue/${word()}`,
      ]);
      return [path, path, {}];
    }
    case 2: {
      const name = pick(chance, ["gland.row", "circuit.check", "timber.check", "zone.walls", word()]);
      const input = chance() < 0.2 ? "{" : body(odd(chance));
      return [`calc ${name} ${input.slice(0, 120)}`, `/api/calc/${name}`, { method: "POST", body: input }];
    }
    case 3: {
      const bytes = Uint8Array.from({ length: Math.floor(chance() * 400) }, () => Math.floor(chance() * 256));
      if (chance() < 0.5) bytes.set([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a].slice(0, bytes.length));
      const path = pick(chance, ["/api/jobs/tern-cottage/pictures", `/api/jobs/${word()}/pictures`, "/api/backup"]);
      return [`${bytes.length} bytes to ${path}`, path, { method: "POST", body: bytes }];
    }
    default: {
      const args = Array.from({ length: Math.floor(chance() * 5) }, () =>
        chance() < 0.3 ? "tern-cottage" : odd(chance),
      );
      const text = chance() < 0.05 ? "[" : body(args);
      const id = pick(chance, actions);
      return [
        `action ${id.slice(0, 8)} ${text.slice(0, 160)}`,
        "/",
        { method: "POST", body: text, headers: { "next-action": id, "content-type": "text/plain;charset=UTF-8" } },
      ];
    }
  }
}
