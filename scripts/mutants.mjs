// `npm run mutants [folder] [sample]`: mutation testing of a folder of the core with Stryker; prints the score of each folder below
// it. All mutants of a large folder take hours; with a sample such as 1/10, stretches of ten lines in every hundred are mutated.
import { spawnSync } from "node:child_process";
import { existsSync, readFileSync, readdirSync, rmSync } from "node:fs";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";

const root = join(dirname(fileURLToPath(import.meta.url)), "..");
process.chdir(root);
const args = process.argv.slice(2);
const [part, parts] = (args.find((a) => /^\d+\/\d+$/.test(a)) ?? "1/1").split("/").map(Number);
const folder = args.find((a) => !/^\d+\/\d+$/.test(a)) ?? "";
if (folder && !existsSync(join("src/core", folder))) {
  console.error(`src/core/${folder} is not a folder of the core.`);
  process.exit(2);
}

/** Stretches of lines of the folder's files, "file:from-to": ten lines in every ten times `parts`, the first of them by turns. */
function sample() {
  const files = readdirSync(join("src/core", folder), { recursive: true })
    .map((f) => join("src/core", folder, f))
    .filter((f) => f.endsWith(".ts") && !/\.(test|fixture)\.ts$/.test(f))
    .sort();
  let line = 0;
  return files.flatMap((f) => {
    const lines = readFileSync(f, "utf8").split("\n").length;
    const out = [];
    for (let from = 1; from <= lines; from += 10, line++)
      if (line % parts === part - 1) out.push(`${f}:${from}-${Math.min(lines, from + 9)}`);
    return out;
  });
}

const report = ".lumbet/mutants.json";
rmSync(report, { force: true });
spawnSync(process.execPath, ["node_modules/@stryker-mutator/core/bin/stryker.js", "run"], {
  stdio: ["ignore", "inherit", "inherit"],
  env: { ...process.env, MUTANTS: folder, ...(parts > 1 ? { MUTANTS_LINES: sample().join(" ") } : {}) },
});
if (!existsSync(report)) process.exit(1);
const { files } = JSON.parse(readFileSync(report, "utf8"));
const counts = new Map();
for (const [path, { mutants }] of Object.entries(files)) {
  const parts = path.replace(/^src\/core\//, "").split("/");
  const name = parts[0] === "trades" ? parts.slice(0, 2).join("/") : parts[0];
  const c = counts.get(name) ?? { killed: 0, lived: 0 };
  for (const m of mutants) {
    if (["Killed", "Timeout", "RuntimeError", "CompileError"].includes(m.status)) c.killed++;
    else if (["Survived", "NoCoverage"].includes(m.status)) c.lived++;
  }
  counts.set(name, c);
}
console.log("\nfolder                    killed   lived   score");
for (const [name, { killed, lived }] of [...counts].sort())
  console.log(
    `${name.padEnd(24)} ${String(killed).padStart(7)} ${String(lived).padStart(7)} ${((100 * killed) / Math.max(1, killed + lived)).toFixed(1).padStart(6)} %`,
  );
