// `npm run torture -- --minutes N [--seed S]`: kills, broken files and odd requests for so long, and a summary. Needs a build.
import { existsSync } from "node:fs";
import { files } from "../src/data/torture/files";
import { fullDisk } from "../src/data/torture/full-disk";
import { type KillSummary, kills } from "../src/data/torture/kills";
import { requests } from "../src/data/torture/requests";
import { numberOf } from "./numbers";

const minutes = numberOf("minutes", 2);
const seed = Math.floor(numberOf("seed", 1 + Math.floor(Math.random() * 1e6)));
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
/** Kills beside the files and the requests: each has a core. */
async function killing(): Promise<void> {
  const over = clock(1);
  for (let n = 0; !over(); n++) {
    // A folder of its own for every forty or so, so that what is there does not slow the starts.
    const k = await kills(seed + n, (done) => done >= 40 || over());
    for (const key of ["kills", "early", "edits", "lines", "jobs"] as const) killed[key] += k[key];
    killed.lost.push(...k.lost);
  }
}
async function sending() {
  const f = await files(seed, clock(0.25));
  const length = ms * 0.75;
  const began = Date.now();
  return { f, r: await requests(seed, () => (Date.now() - began) / length) };
}
const full = await fullDisk(seed);
console.log(
  full.left
    ? `full disk: left out, ${full.left}`
    : `full disk: ${full.before} stored before, ${full.after} when there was room again; lost or half: ${full.lost.length}`,
);
const [{ f, r }] = await Promise.all([sending(), killing()]);
console.log(
  `kills: ${killed.kills} (${killed.early} while starting; a third each with a slow disk and with a clock that jumps); told as stored: ` +
    `${killed.edits} edits, ${killed.lines} lines, ${killed.jobs} imports; lost or half: ${killed.lost.length}`,
);
console.log(`files: ${f.files} (${f.taken} taken, ${f.refused} refused); faults: ${f.faults.length}`);
const statuses = Object.entries(r.statuses).sort();
console.log(
  `requests: ${r.requests} (${[...statuses.map(([k, n]) => `${n} ${k}`), `${r.cut} cut`].join(", ")}); faults: ${r.faults.length}; ` +
    `memory ${Math.round(r.memory.quarter)} MB after a quarter, ${Math.round(r.memory.end)} MB at the end`,
);
const all = [...full.lost, ...killed.lost, ...f.faults, ...r.faults];
for (const fault of all.slice(0, 40)) console.log(`! ${fault}`);
console.log(all.length ? `${all.length} faults` : "clean");
process.exit(all.length ? 1 : 0);
