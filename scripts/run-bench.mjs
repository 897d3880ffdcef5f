// Prints the timings of scripts/bench.ts from one bundled file, as the browser gets the core: a loader that turns each file as it
// comes and names every function would be timed along with it.
import { spawnSync } from "node:child_process";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";
import { build } from "esbuild";

const root = join(dirname(fileURLToPath(import.meta.url)), "..");
const out = join(root, "node_modules", ".cache", "lumbet", "bench.mjs");
await build({
  entryPoints: [join(root, "scripts/bench.ts")],
  outfile: out,
  bundle: true,
  packages: "external",
  platform: "node",
  format: "esm",
  target: "node20",
  logLevel: "error",
});
process.exitCode = spawnSync(process.execPath, [out], { cwd: root, stdio: "inherit" }).status ?? 1;
