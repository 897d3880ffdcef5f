// Writes the list of calculators from the files there are: adding one means adding its file and its test. `--check` only compares.
import { readFileSync, readdirSync, writeFileSync } from "node:fs";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";

const dir = join(dirname(fileURLToPath(import.meta.url)), "..", "src/core/calculators");
const out = join(dir, "list.ts");

/** Brings the list up to date; returns whether it was. */
export function writeRegistry(check = false) {
  const names = readdirSync(dir)
    .filter((f) => /^[a-z]+\.[a-z0-9-]+\.ts$/.test(f) && !f.endsWith(".test.ts"))
    .map((f) => f.slice(0, -3))
    .sort();
  const variable = (n) => n.replace(/[.-](\w)/g, (_, c) => c.toUpperCase());
  const text = `// Made by scripts/registry.mjs from the files of this folder.\nimport type { Calculator } from "./calculator";\n${names.map((n) => `import ${variable(n)} from "./${n}";\n`).join("")}\nexport const list: readonly Calculator[] = [\n${names.map((n) => `  ${variable(n)},\n`).join("")}];\n`;
  let old = "";
  try {
    old = readFileSync(out, "utf8");
  } catch {
    old = "";
  }
  if (old === text) return true;
  if (!check) writeFileSync(out, text);
  return false;
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  const check = process.argv.includes("--check");
  if (!writeRegistry(check) && check) {
    console.error("src/core/calculators/list.ts is not up to date: run node scripts/registry.mjs");
    process.exit(1);
  }
}
