// Everything that must hold: types, lint, boundaries, unit tests, build, journeys in the real browser; what can goes side by side.
// On a machine with nothing but Node it installs the packages and, where it may, Chromium and a PostgreSQL server. The last line is
// "N passed, N failed".
import { spawn, spawnSync } from "node:child_process";
import { existsSync, mkdtempSync, readFileSync, statSync } from "node:fs";
import { tmpdir } from "node:os";
import { dirname, join, relative } from "node:path";
import { fileURLToPath } from "node:url";
import { stripVTControlCharacters } from "node:util";

const root = join(dirname(fileURLToPath(import.meta.url)), "..");
process.chdir(root);
const env = { ...process.env, NEXT_TELEMETRY_DISABLED: "1" };

let passed = 0;
let failed = 0;
/** What failed, a line each with why: told again at the end, where whoever looks looks first. */
const failures = [];

/** Counts one thing as failed. */
function fail(name, why = "") {
  failed++;
  failures.push(why ? `${name}: ${why}` : name);
}

/** The first lines of what was said, and the last of it, without colours. */
const first = (said, lines) => stripVTControlCharacters(said).trim().split("\n").slice(0, lines).join("\n  ");
const last = (said, lines) => stripVTControlCharacters(said).trimEnd().split("\n").slice(-lines).join("\n  ");

/** Runs a command; what it says is told when it has ended, so that two side by side do not speak at once. */
function run(command, args, more = {}) {
  return new Promise((done) => {
    const child = spawn(command, args, { stdio: ["ignore", "pipe", "pipe"], env, ...more });
    let said = "";
    for (const stream of [child.stdout, child.stderr]) stream.on("data", (c) => (said += c));
    child.once("error", (e) => done({ status: -1, said: `${said}${e.message}\n` }));
    child.once("exit", (status) => done({ status, said }));
  });
}
const bin = (path, ...args) => [process.execPath, [join(root, "node_modules", path), ...args]];

async function check(name, [command, args], more) {
  const { status, said } = await run(command, args, more);
  console.log(`\n== ${name}${status === 0 ? "" : ": failed"}\n${said.trimEnd()}`);
  if (status === 0) passed++;
  else fail(name, last(said, 20));
  return status === 0;
}

/** Runs Vitest and counts its tests; `by` runs it in surroundings of its own, and ends with 3 where they cannot be had. */
async function tests(name, config, { files = [], by = [], aside = false } = {}) {
  const report = join(mkdtempSync(join(tmpdir(), "lumbet-report-")), "report.json");
  const args = ["run", "--config", config, "--reporter=default", "--reporter=json", `--outputFile.json=${report}`];
  const vitest = [process.execPath, join(root, "node_modules", "vitest/vitest.mjs"), ...args, ...files];
  const [command, ...rest] = [...by, ...vitest];
  if (!aside) console.log(`\n== ${name}`);
  const { status, said = "" } = aside
    ? await run(command, rest)
    : spawnSync(command, rest, { stdio: ["ignore", "inherit", "inherit"], env });
  if (aside) console.log(`\n== ${name}\n${said.trimEnd()}`);
  if (by.length && status === 3) return console.log("Left out, as said above.");
  if (!existsSync(report)) return fail(name, "it ended without a report");
  const r = JSON.parse(readFileSync(report, "utf8"));
  passed += r.numPassedTests;
  const before = failed;
  for (const { name: file, assertionResults, message } of r.testResults) {
    const here = relative(root, file);
    const wrong = assertionResults.filter((t) => t.status === "failed");
    for (const t of wrong) fail(`${here} > ${t.fullName}`, first(t.failureMessages.join("\n"), 30));
    if (!wrong.length && message) fail(here, first(message, 30));
  }
  if (status !== 0 && failed === before) fail(name, "an error outside its tests, told above");
}

/** Debian's packages of what is wanted and not there, where this user may install. */
async function install() {
  if (process.getuid?.() !== 0 || !existsSync("/usr/bin/apt-get")) return;
  const chromium = ["/usr/bin/chromium", "/usr/bin/chromium-browser", "/usr/bin/google-chrome"];
  const wanted = [
    ...(process.env.CHROMIUM || chromium.some((p) => existsSync(p)) ? [] : ["chromium"]),
    ...(existsSync("/usr/lib/postgresql") ? [] : ["postgresql"]),
  ];
  if (!wanted.length) return;
  console.log(`== ${wanted.join(" and ")}, from Debian's packages, meanwhile`);
  const quiet = { env: { ...env, DEBIAN_FRONTEND: "noninteractive" } };
  await run("apt-get", ["update", "-qq"], quiet);
  for (const name of wanted) {
    const { status, said } = await run("apt-get", ["install", "-y", "-qq", name], quiet);
    if (status !== 0) console.log(`${name} could not be installed: ${said.trim().split("\n").slice(-2).join(" ")}`);
  }
}

const installed = install();
const stamp = "node_modules/.package-lock.json";
if (!existsSync(stamp) || statSync(stamp).mtimeMs + 1000 < statSync("package-lock.json").mtimeMs) {
  console.log("== packages");
  // `npm install` and not `npm ci`: a registry that lacks the packages of other systems leaves them out of the lock, which `ci` refuses.
  const { status, said } = await run("npm", ["install", "--no-save", "--no-audit", "--no-fund"], {
    shell: process.platform === "win32",
  });
  console.log(said.trimEnd());
  if (status !== 0) {
    console.log("npm install failed\n0 passed, 1 failed");
    process.exit(1);
  }
}

await check("route types", bin("next/dist/bin/next", "typegen"));
const checks = [
  ["types", bin("typescript/bin/tsc", "--noEmit")],
  ["lint", bin("eslint/bin/eslint.js", "src", "e2e", "scripts")],
  ["types of the core, without DOM or Node", bin("typescript/bin/tsc", "--noEmit", "-p", "src/core")],
  ["layout", bin("prettier/bin/prettier.cjs", "--check", "--log-level=warn", ".")],
  ["nothing unused", bin("knip/bin/knip.js", "--no-progress")],
  ["boundaries", bin("dependency-cruiser/bin/dependency-cruise.mjs", "src", "--config", ".dependency-cruiser.cjs")],
  ["the list of calculators is that of the files", [process.execPath, ["scripts/registry.mjs", "--check"]]],
  [
    "the published schemas and rule book are those of the code",
    bin("tsx/dist/cli.mjs", "scripts/schemas.ts", "--check"),
  ],
];
const inTurn = async () => {
  for (let next = checks.shift(); next; next = checks.shift()) await check(...next);
};
await Promise.all([inTurn(), inTurn()]);
await tests("unit tests", "vitest.config.ts");
await installed;
await check("what opens without a signal", [process.execPath, ["scripts/build-offline.mjs"]]);
const [built] = await Promise.all([
  // The types have been checked above.
  check("build", bin("next/dist/bin/next", "build"), { env: { ...env, LUMBET_TYPES: "checked" } }),
  tests("what is stored, on a PostgreSQL server", "vitest.config.ts", {
    files: ["postgres", "jobs", "backup/backup", "ledger", "told", "pictures", "people/people"].map(
      (f) => `src/data/${f}.test.ts`,
    ),
    by: [process.execPath, "scripts/with-postgres.mjs"],
    aside: true,
  }),
]);
if (built) {
  await check("an empty database", [process.execPath, ["scripts/build-first.mjs"]]);
  await tests("journeys in the browser", "e2e/vitest.config.ts");
  await tests("journeys on a PostgreSQL server", "e2e/vitest.config.ts", {
    files: ["e2e/postgres.e2e.ts"],
    by: [process.execPath, "scripts/with-postgres.mjs"],
  });
}

if (failures.length) console.log(`\n== what failed\n${failures.map((f) => `- ${f}`).join("\n")}`);
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed ? 1 : 0);
