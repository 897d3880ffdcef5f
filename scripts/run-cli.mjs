// Starts a command-line tool of src/cli from one bundled file, made afresh only when a source is newer than it.
import { existsSync, mkdirSync, readdirSync, renameSync, statSync } from "node:fs";
import { dirname, join } from "node:path";
import { fileURLToPath, pathToFileURL } from "node:url";
import { writeRegistry } from "./registry.mjs";

const root = join(dirname(fileURLToPath(import.meta.url)), "..");
const [tool, ...args] = process.argv.slice(2);
const out = join(root, "node_modules", ".cache", "lumbet", `${tool}.mjs`);

function newest(dir) {
  let most = 0;
  for (const e of readdirSync(dir, { withFileTypes: true })) {
    const path = join(dir, e.name);
    most = Math.max(most, e.isDirectory() ? newest(path) : statSync(path).mtimeMs);
  }
  return most;
}

writeRegistry();
const made = existsSync(out) ? statSync(out).mtimeMs : 0;
if (made < Math.max(newest(join(root, "src/core")), newest(join(root, "src/cli")))) {
  const { build } = await import("esbuild");
  mkdirSync(dirname(out), { recursive: true });
  const fresh = `${out}.${process.pid}`;
  await build({
    entryPoints: [join(root, "src/cli", `${tool}.ts`)],
    outfile: fresh,
    bundle: true,
    platform: "node",
    format: "esm",
    target: "node20",
    minify: true,
    logLevel: "error",
  });
  renameSync(fresh, out);
}
process.argv = [process.argv[0], out, ...args];
await import(pathToFileURL(out).href);
