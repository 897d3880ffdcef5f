// Runs a command with TEST_DATABASE_URL naming a PostgreSQL server of its own, on a free port, which is gone afterwards.
// Where there is no server on this machine it says so and ends with 3.
import { spawn, spawnSync } from "node:child_process";
import { chownSync, existsSync, mkdtempSync, readdirSync, rmSync } from "node:fs";
import { createServer } from "node:net";
import { tmpdir } from "node:os";
import { join } from "node:path";

const base = "/usr/lib/postgresql";
const versions = existsSync(base) ? readdirSync(base).filter((v) => existsSync(join(base, v, "bin", "initdb"))) : [];
const version = versions.sort((a, b) => Number(b) - Number(a))[0];
if (!version) {
  console.log("There is no PostgreSQL server on this machine: Debian's package is postgresql.");
  process.exit(3);
}
const bin = (name) => join(base, version, "bin", name);

// The server refuses to run as root; it then runs as the user that its package made.
const ids = {};
if (process.getuid?.() === 0) {
  for (const [key, flag] of [
    ["uid", "-u"],
    ["gid", "-g"],
  ])
    ids[key] = Number(spawnSync("id", [flag, "postgres"], { encoding: "utf8" }).stdout.trim());
  if (!ids.uid) {
    console.log("PostgreSQL does not run as root, and there is no user postgres.");
    process.exit(3);
  }
}
const folder = mkdtempSync(join(tmpdir(), "lumbet-postgres-"));
if (ids.uid) chownSync(folder, ids.uid, ids.gid);
const data = join(folder, "data");
const made = spawnSync(
  bin("initdb"),
  ["-D", data, "-U", "lumbet", "-A", "trust", "--no-sync", "-E", "UTF8", "--locale=C.UTF-8"],
  {
    ...ids,
    cwd: folder,
    encoding: "utf8",
  },
);
if (made.status !== 0) {
  console.log(`PostgreSQL could not make a database: ${made.stderr.trim().split("\n").slice(-2).join(" ")}`);
  rmSync(folder, { recursive: true, force: true });
  process.exit(3);
}
const port = await new Promise((done) => {
  const s = createServer();
  s.listen(0, "127.0.0.1", () => {
    const { port: free } = s.address();
    s.close(() => done(free));
  });
});
const server = spawn(
  bin("postgres"),
  [
    "-D",
    data,
    "-p",
    String(port),
    "-k",
    folder,
    "-c",
    "listen_addresses=127.0.0.1",
    "-c",
    "fsync=off",
    "-c",
    "max_connections=300",
  ],
  { ...ids, cwd: folder, stdio: "ignore" },
);
for (let i = 0; i < 150; i++) {
  if (spawnSync(bin("pg_isready"), ["-h", "127.0.0.1", "-p", String(port)]).status === 0) break;
  await new Promise((r) => setTimeout(r, 200));
}
const [command, ...args] = process.argv.slice(2);
const run = spawnSync(command, args, {
  stdio: "inherit",
  env: { ...process.env, TEST_DATABASE_URL: `postgres://lumbet@127.0.0.1:${port}/postgres` },
});
const gone = new Promise((r) => server.once("exit", r));
server.kill("SIGINT");
await gone;
rmSync(folder, { recursive: true, force: true });
process.exit(run.status ?? 1);
