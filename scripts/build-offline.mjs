// Builds the worker that lets the site open without a signal, `public/sw.js`: before the application, which serves what is in `public`.
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";
import { build } from "esbuild";

const root = join(dirname(fileURLToPath(import.meta.url)), "..");
await build({
  entryPoints: [join(root, "src/workers/offline.worker.ts")],
  outfile: join(root, "public/sw.js"),
  bundle: true,
  minify: true,
  format: "iife",
  target: "es2022",
  define: { "process.env.NODE_ENV": '"production"' },
  logLevel: "warning",
});
