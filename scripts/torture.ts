// `npm run torture -- --minutes N [--seed S]`: kills, broken files and odd requests for so long, and a summary. Needs a build.
import { existsSync } from "node:fs";
import { files } from "../src/data/torture/files";
import { type KillSummary, kills } from "../src/data/torture/kills";
import { requests } from "../src/data/torture/requests";

const arg = (name: string, usual: number): number => {
  const at = process.argv.indexOf(`--${name}`);
  const n = at < 0 ? usual : Number(process.argv[at + 1]);
  if (!(n > 0)) {
    console.error(`--${name} is ${process.argv[at + 1] ?? "missing"}; it must be a number more than 0.`);
    process.exit(1);
  }
  return n;
};
const minutes = arg("minutes", 2);
const seed = Math.floor(arg("seed", 1 + Math.floor(Math.random() * 1e6)));
if (!existsSync(".next/BUILD_ID")) {
  console.error("Not built: run `npm run build` first.");
  process.exit(1);
}
console.log(`seed ${seed}, ${minutes} minutes`);
const ms = minutes * 60_000;

/** True once a share of the time has passed since it was made. */
const clock = (share: number): (() => boolean) => {
  const end = Date.now() + ms * share;
  return () => Date.now() > end;
};

const killed: KillSummary = { kills: 0, early: 0, edits: 0, lines: 0, jobs: 0, lost: [] };
const forKills = clock(0.72);
for (let n = 0; !forKills(); n++) {
  // A folder of its own for every forty or so, so that what is there does not slow the starts.
  const k = await kills(seed + n, (done) => done >= 40 || forKills());
  for (const key of ["kills", "early", "edits", "lines", "jobs"] as const) killed[key] += k[key];
  killed.lost.push(...k.lost);
}
console.log(
  `kills: ${killed.kills} (${killed.early} while starting); told as stored: ${killed.edits} edits, ${killed.lines} lines, ` +
    `${killed.jobs} imports; lost or half: ${killed.lost.length}`,
);
const forFiles = clock(0.12);
const f = await files(seed, forFiles);
console.log(`files: ${f.files} (${f.taken} taken, ${f.refused} refused); faults: ${f.faults.length}`);
const length = ms * 0.16;
const began = Date.now();
const r = await requests(seed, () => (Date.now() - began) / length);
console.log(
  `requests: ${r.requests} (${Object.entries(r.statuses)
    .sort()
    .map(([k, n]) => `${n} ${k}`)
    .join(
      ", ",
    )}); faults: ${r.faults.length}; memory ${Math.round(r.memory.quarter)} MB after a quarter, ${Math.round(r.memory.end)} MB at the end`,
);
const all = [...killed.lost, ...f.faults, ...r.faults];
for (const fault of all.slice(0, 40)) console.log(`! ${fault}`);
console.log(all.length ? `${all.length} faults` : "clean");
process.exit(all.length ? 1 : 0);
