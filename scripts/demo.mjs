// One command for a fresh machine: installs what is missing, builds when a source is newer, starts the server and prints its address.
import { spawn, spawnSync } from "node:child_process";
import { existsSync, readFileSync, readdirSync, statSync, writeFileSync } from "node:fs";
import http from "node:http";
import https from "node:https";
import { createServer } from "node:net";
import { dirname, isAbsolute, join } from "node:path";
import { fileURLToPath } from "node:url";

const root = join(dirname(fileURLToPath(import.meta.url)), "..");
process.chdir(root);
const args = process.argv.slice(2);
const host = "127.0.0.1";
const port = Number(process.env.PORT || 4310);
const set = process.env.LUMBET_DATA || "data";
const data = isAbsolute(set) ? set : join(root, set);

function stop(words) {
  console.error(words);
  process.exit(1);
}
for (const a of args)
  if (a !== "--reset" && a !== "--lan")
    stop(
      `Unknown option ${a}. There are --reset, which puts the demo job back as it was and touches no other, and --lan, which serves the local network over TLS and asks everyone to sign in.`,
    );
const lan = args.includes("--lan");
if (!Number.isInteger(port) || port < 1 || port > 65535)
  stop(`PORT is ${process.env.PORT}; it must be a whole number between 1 and 65535.`);
const [major, minor] = process.versions.node.split(".").map(Number);
if (major < 20 || (major === 20 && minor < 9))
  stop(`Node ${process.versions.node} is too old; Lumbet needs 20.9 or newer.`);

function run(command, list, words) {
  console.log(words);
  const r = spawnSync(command, list, {
    stdio: ["ignore", "ignore", "inherit"],
    env: { ...process.env, NEXT_TELEMETRY_DISABLED: "1" },
    shell: process.platform === "win32",
  });
  if (r.status !== 0) stop(`${words} failed (${command} ${list.join(" ")}, exit ${r.status ?? r.signal}).`);
}

function newest(path) {
  const s = statSync(path);
  if (!s.isDirectory()) return s.mtimeMs;
  return readdirSync(path).reduce((m, f) => Math.max(m, newest(join(path, f))), 0);
}

const free = await new Promise((done) => {
  const probe = createServer();
  probe.once("error", (e) => done(e.code ?? "busy"));
  probe.listen(port, host, () => probe.close(() => done(true)));
});
if (free !== true)
  stop(`Port ${port} on ${host} is in use (${free}). Stop what uses it, or choose another: PORT=4311 npm run demo`);

const lock = join(data, "lumbet.lock");
if (existsSync(lock)) {
  const pid = Number(readFileSync(lock, "utf8").split(" ")[0]);
  let alive = false;
  try {
    process.kill(pid, 0);
    alive = readFileSync(`/proc/${pid}/cmdline`, "utf8").length > 0;
  } catch (e) {
    alive = e.code === "ENOENT" ? alive : false;
  }
  if (alive)
    stop(
      `The data folder ${data} is in use by another Lumbet (process ${pid}). Stop that one first, or set LUMBET_DATA to another folder.`,
    );
}
const reset = args.includes("--reset");
if (reset) console.log("The demo job is put back as it was; all other jobs stay.");

const stamp = join(root, "node_modules", ".package-lock.json");
if (!existsSync(stamp) || statSync(stamp).mtimeMs + 1000 < statSync("package-lock.json").mtimeMs)
  run("npm", ["install", "--no-save", "--no-audit", "--no-fund"], "Installing packages");
const built = join(root, ".next", "lumbet-built");
const sources = ["src", "package-lock.json", "next.config.ts", "postcss.config.mjs"].map((p) => join(root, p));
if (!existsSync(built) || statSync(built).mtimeMs < Math.max(...sources.map(newest))) {
  run(process.execPath, [join(root, "scripts/build-offline.mjs")], "Building what opens without a signal");
  // What is handed out has had its types checked.
  process.env.LUMBET_TYPES = "checked";
  run(process.execPath, [join(root, "node_modules/next/dist/bin/next"), "build"], "Building");
  run(process.execPath, [join(root, "scripts/build-first.mjs")], "Preparing an empty database");
  writeFileSync(built, new Date().toISOString());
}

const next = join(root, "node_modules/next/dist/bin/next");
const server = spawn(
  process.execPath,
  lan ? [join(root, "scripts/serve-lan.mjs")] : [next, "start", "-H", host, "-p", String(port)],
  {
    stdio: ["ignore", "ignore", "inherit"],
    env: {
      ...process.env,
      PORT: String(port),
      LUMBET_DATA: data,
      LUMBET_ADDRESS: lan ? "" : `http://${host}:${port}`,
      LUMBET_RESET_DEMO: reset ? "1" : "",
      NEXT_TELEMETRY_DISABLED: "1",
    },
  },
);
for (const signal of ["SIGINT", "SIGTERM"]) process.on(signal, () => server.kill(signal));
server.on("exit", (code) => process.exit(code ?? 0));
/** Status with which the server answers; throws where it does not. Its own certificate is looked past here: it is asked on this machine. */
const status = () =>
  new Promise((done, fail) => {
    const options = { timeout: 20_000, ...(lan ? { rejectUnauthorized: false } : {}) };
    const asked = (lan ? https : http).get(`${lan ? "https" : "http"}://${host}:${port}/`, options, (answer) => {
      answer.resume();
      answer.on("end", () => done(answer.statusCode));
    });
    asked.on("error", fail);
    asked.on("timeout", () => asked.destroy(new Error("late")));
  });
// It says running when it answers, not before.
for (;;) {
  try {
    const got = await status();
    if (got >= 400) console.error(`The server answered ${got}; see above.`);
    break;
  } catch {
    await new Promise((done) => setTimeout(done, 100));
  }
}
if (lan) {
  const { lanAddresses } = await import("./certificate.mjs");
  for (const a of lanAddresses()) console.log(`In the local network: https://${a}:${port}`);
  console.log(
    `Browsers warn once of its own certificate; ${join(data, "tls", "authority.crt")} is the one to trust (see docs/deploy.md).`,
  );
}
console.log(`Lumbet is running at ${lan ? "https" : "http"}://${host}:${port}  (data in ${data}; Ctrl-C stops it)`);
