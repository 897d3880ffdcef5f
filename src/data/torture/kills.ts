import { type ChildProcess, spawn } from "node:child_process";
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join, resolve } from "node:path";
import { build } from "esbuild";
import type { Told } from "./told";
import { chanceFrom } from "./chance";
import { TROUBLES } from "./trouble";

/** What so many kills came to. */
export interface KillSummary {
  kills: number;
  /** Killed while still starting. */
  early: number;
  edits: number;
  lines: number;
  jobs: number;
  /** What was told as stored and is not there, or is there in part; empty when all is well. */
  lost: string[];
}

/** How long a start may take before it is said to hang, ms. */
const HANGS = 120_000;

/**
 * Kills a process that stores things, again and again, at moments that a seed chooses: also while it starts. Each start looks for
 * everything that was ever told as stored.
 * @param until told after each kill; true ends it
 */
export async function kills(seed: number, until: (done: number) => boolean): Promise<KillSummary> {
  const folder = mkdtempSync(join(tmpdir(), "lumbet-kills-"));
  const data = join(folder, "data");
  mkdirSync(join(data, "backups"), { recursive: true });
  const writer = await built();
  const told: Told = { versions: {}, lines: [], jobs: [] };
  const out: KillSummary = { kills: 0, early: 0, edits: 0, lines: 0, jobs: 0, lost: [] };
  const chance = chanceFrom(seed);
  do {
    writeFileSync(join(folder, "told.json"), JSON.stringify(told));
    const n = out.kills + 1;
    const child = spawn(
      process.execPath,
      [writer, join(folder, "told.json"), String(seed * 1000 + n), TROUBLES[n % TROUBLES.length]!],
      { stdio: ["ignore", "pipe", "pipe"], env: { ...process.env, LUMBET_DATA: data, DATABASE_URL: "" } },
    );
    // Every fourth is killed while it starts; the others some time after they are ready.
    const early = n % 4 === 0;
    await oneLife(child, early ? 200 + chance() * 2000 : null, 20 + chance() * 1500, told, out);
    if (early) out.early++;
    out.kills++;
    // Imports would make every later start slower than the one before.
    if (told.jobs.length > 60) break;
  } while (!until(out.kills));
  rmSync(folder, { recursive: true, force: true });
  return out;
}

/** The process in one file, so that its start is the database's and not the translator's. */
export async function built(): Promise<string> {
  const outfile = resolve("node_modules/.cache/lumbet", `writer-${process.pid}.mjs`);
  await build({
    entryPoints: ["src/data/torture/writer.ts"],
    outfile,
    bundle: true,
    platform: "node",
    format: "esm",
    packages: "external",
    logLevel: "warning",
  });
  return outfile;
}

/** One process from its start to its kill; what it told before is kept, also what it told in the same breath. */
function oneLife(
  child: ChildProcess,
  killAfterStart: number | null,
  killAfterReady: number,
  told: Told,
  out: KillSummary,
): Promise<void> {
  return new Promise((done) => {
    let rest = "";
    let timer = setTimeout(() => {
      if (killAfterStart === null) out.lost.push("a start that did not end");
      child.kill("SIGKILL");
    }, killAfterStart ?? HANGS);
    child.stdout!.on("data", (chunk: Buffer) => {
      const lines = (rest + chunk.toString()).split("\n");
      rest = lines.pop()!;
      for (const line of lines) {
        const [what, ...words] = line.split(" ");
        const id = words[0] ?? "";
        if (what === "READY" && killAfterStart === null) {
          clearTimeout(timer);
          timer = setTimeout(() => child.kill("SIGKILL"), killAfterReady);
        }
        if (what === "EDIT") ((told.versions.edited = Number(id)), out.edits++);
        if (what === "LINE") (told.lines.push(id), out.lines++);
        if (what === "JOB") (told.jobs.push(id), out.jobs++);
        if (what === "LOST" || what === "HALF") out.lost.push(line);
      }
    });
    let said = "";
    child.stderr!.on("data", (c: Buffer) => (said += c.toString()));
    child.once("exit", (code, signal) => {
      clearTimeout(timer);
      if (signal !== "SIGKILL")
        out.lost.push(`ended by itself (${code}): ${said.trim().split("\n").slice(-3).join(" ")}`);
      done();
    });
  });
}
