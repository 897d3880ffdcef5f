// `npm run mutants [folder]`: mutation testing of a folder of the core with Stryker; prints the score of each folder below it.
import { spawnSync } from "node:child_process";
import { existsSync, readFileSync } from "node:fs";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";

const root = join(dirname(fileURLToPath(import.meta.url)), "..");
process.chdir(root);
const [folder = ""] = process.argv.slice(2);
if (folder && !existsSync(join("src/core", folder))) {
  console.error(`src/core/${folder} is not a folder of the core.`);
  process.exit(2);
}
spawnSync(process.execPath, ["node_modules/@stryker-mutator/core/bin/stryker.js", "run"], {
  stdio: ["ignore", "inherit", "inherit"],
  env: { ...process.env, MUTANTS: folder },
});
const report = ".lumbet/mutants.json";
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
