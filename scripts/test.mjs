// Everything that must hold, in order: types, lint, boundaries, unit tests, build, journeys in the real browser.
// On a machine with nothing but Node it installs the packages and, where it may, Chromium. The last line is "N passed, N failed".
import { spawnSync } from "node:child_process";
import { existsSync, mkdtempSync, readFileSync, statSync } from "node:fs";
import { tmpdir } from "node:os";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";

const root = join(dirname(fileURLToPath(import.meta.url)), "..");
process.chdir(root);
const env = { ...process.env, NEXT_TELEMETRY_DISABLED: "1" };
const call = (command, args, more = {}) =>
  spawnSync(command, args, { stdio: ["ignore", "inherit", "inherit"], env, ...more }).status === 0;
const bin = (path, ...args) => call(process.execPath, [join(root, "node_modules", path), ...args]);

let passed = 0;
let failed = 0;
function check(name, run) {
  console.log(`\n== ${name}`);
  const ok = run();
  if (ok) passed++;
  else failed++;
  return ok;
}

const stamp = "node_modules/.package-lock.json";
if (!existsSync(stamp) || statSync(stamp).mtimeMs + 1000 < statSync("package-lock.json").mtimeMs) {
  console.log("== packages");
  // `npm install` and not `npm ci`: a registry that lacks the packages of other systems leaves them out of the lock, which `ci` refuses.
  if (!call("npm", ["install", "--no-save", "--no-audit", "--no-fund"], { shell: process.platform === "win32" })) {
    console.log("npm install failed\n0 passed, 1 failed");
    process.exit(1);
  }
}
const mayInstall = process.getuid?.() === 0 && existsSync("/usr/bin/apt-get");
function install(name) {
  call("apt-get", ["update", "-qq"]);
  call("apt-get", ["install", "-y", "-qq", name], { env: { ...env, DEBIAN_FRONTEND: "noninteractive" } });
}
const chromium = ["/usr/bin/chromium", "/usr/bin/chromium-browser", "/usr/bin/google-chrome"];
if (!process.env.CHROMIUM && !chromium.some((p) => existsSync(p)) && mayInstall) {
  console.log("== Chromium, from Debian's packages");
  install("chromium");
}
if (!existsSync("/usr/lib/postgresql") && mayInstall) {
  console.log("== PostgreSQL, from Debian's packages");
  install("postgresql");
}

/** Runs Vitest and counts its tests; `by` runs it in surroundings of its own, and ends with 3 where they cannot be had. */
function tests(name, config, { files = [], by = [] } = {}) {
  console.log(`\n== ${name}`);
  const report = join(mkdtempSync(join(tmpdir(), "lumbet-report-")), "report.json");
  const args = ["run", "--config", config, "--reporter=default", "--reporter=json", `--outputFile.json=${report}`];
  const vitest = [process.execPath, join(root, "node_modules", "vitest/vitest.mjs"), ...args, ...files];
  const [command, ...rest] = [...by, ...vitest];
  const { status } = spawnSync(command, rest, { stdio: ["ignore", "inherit", "inherit"], env });
  if (by.length && status === 3) return console.log("Left out, as said above.");
  if (!existsSync(report)) {
    failed++;
    return;
  }
  const r = JSON.parse(readFileSync(report, "utf8"));
  passed += r.numPassedTests;
  failed += r.numFailedTests + (status === 0 || r.numFailedTests ? 0 : 1);
}

check("route types", () => bin("next/dist/bin/next", "typegen"));
check("types", () => bin("typescript/bin/tsc", "--noEmit"));
check("types of the core, without DOM or Node", () => bin("typescript/bin/tsc", "--noEmit", "-p", "src/core"));
check("lint", () => bin("eslint/bin/eslint.js", "src", "e2e", "scripts"));
check("layout", () => bin("prettier/bin/prettier.cjs", "--check", "--log-level=warn", "."));
check("nothing unused", () => bin("knip/bin/knip.js", "--no-progress"));
check("boundaries", () =>
  bin("dependency-cruiser/bin/dependency-cruise.mjs", "src", "--config", ".dependency-cruiser.cjs"),
);
check("the list of calculators is that of the files", () =>
  call(process.execPath, ["scripts/registry.mjs", "--check"]),
);
check("the published schemas and rule book are those of the code", () =>
  bin("tsx/dist/cli.mjs", "scripts/schemas.ts", "--check"),
);
tests("unit tests", "vitest.config.ts");
tests("what is stored, on a PostgreSQL server", "vitest.config.ts", {
  files: ["postgres", "jobs", "backup/backup", "ledger"].map((f) => `src/data/${f}.test.ts`),
  by: [process.execPath, "scripts/with-postgres.mjs"],
});
if (check("build", () => bin("next/dist/bin/next", "build"))) tests("journeys in the browser", "e2e/vitest.config.ts");

console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed ? 1 : 0);
