import { type ChildProcess, spawn, spawnSync } from "node:child_process";
import { mkdirSync, mkdtempSync, rmSync, statfsSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { built } from "./kills";
import type { Told } from "./told";

/** What came of a disk that filled while things were stored on it. */
export interface FullDiskSummary {
  /** Why it could not be tried here; null where it was. */
  left: string | null;
  /** Things stored before it was full, and after there was room again. */
  before: number;
  after: number;
  lost: string[];
}

/** Room that is kept free, and what another program leaves of it, MB. */
const KEPT = 150;
const LEFT = 90;
/** How long anything may take, ms. */
const HANGS = 120_000;

/** Stores on a small disk of its own, fills it from beside, makes room again, kills and looks. Needs the right to mount one. */
export async function fullDisk(seed: number): Promise<FullDiskSummary> {
  const out: FullDiskSummary = { left: null, before: 0, after: 0, lost: [] };
  const disk = mkdtempSync(join(tmpdir(), "lumbet-full-"));
  const mounted = spawnSync("mount", ["-t", "tmpfs", "-o", "size=400m", "tmpfs", disk], { encoding: "utf8" });
  if (mounted.status !== 0) {
    rmSync(disk, { recursive: true });
    return { ...out, left: "this user may not mount a disk" };
  }
  try {
    const writer = await built();
    mkdirSync(join(disk, "data", "backups"), { recursive: true });
    const told: Told = { versions: {}, lines: [], jobs: [] };
    const life = (n: number): ChildProcess => {
      const notes = join(disk, "told.json");
      writeFileSync(notes, JSON.stringify(told));
      return spawn(process.execPath, [writer, notes, String(seed * 1000 + n)], {
        stdio: ["ignore", "pipe", "inherit"],
        env: { ...process.env, LUMBET_DATA: join(disk, "data"), LUMBET_ROOM: String(KEPT), DATABASE_URL: "" },
      });
    };
    const filler = join(disk, "another-program");
    const first = life(1);
    await follow(first, told, out, (so) => {
      if (so.stored === 10 && !so.full) {
        out.before = so.stored;
        const { bavail, bsize } = statfsSync(disk);
        writeFileSync(filler, Buffer.alloc(Math.max(0, bavail * bsize - LEFT * 1e6)));
      }
      if (so.full === 5) rmSync(filler, { force: true });
      out.after = so.full ? so.stored - out.before : 0;
      return so.full >= 5 && out.after >= 10;
    });
    await follow(life(2), told, out, (so) => so.stored >= 1);
  } finally {
    spawnSync("umount", [disk]);
    rmSync(disk, { recursive: true, force: true });
  }
  return out;
}

/** Hears a writer until `enough`, then kills it. */
function follow(
  child: ChildProcess,
  told: Told,
  out: FullDiskSummary,
  enough: (so: { stored: number; full: number }) => boolean,
): Promise<void> {
  return new Promise((done) => {
    const so = { stored: 0, full: 0 };
    let rest = "";
    const timer = setTimeout(() => {
      out.lost.push(`stood still after ${so.stored} stored and ${so.full} refused`);
      child.kill("SIGKILL");
    }, HANGS);
    child.stdout!.on("data", (chunk: Buffer) => {
      const lines = (rest + chunk.toString()).split("\n");
      rest = lines.pop()!;
      for (const line of lines) {
        const [what, id = ""] = line.split(" ");
        if (what === "EDIT") told.versions.edited = Number(id);
        if (what === "LINE") told.lines.push(id);
        if (what === "JOB") told.jobs.push(id);
        if (what === "EDIT" || what === "LINE" || what === "JOB") so.stored++;
        if (what === "FULL") so.full++;
        if (what === "LOST" || what === "HALF") out.lost.push(line);
        if (enough(so)) child.kill("SIGKILL");
      }
    });
    child.once("exit", (code, signal) => {
      clearTimeout(timer);
      if (signal !== "SIGKILL") out.lost.push(`ended by itself (${code})`);
      done();
    });
  });
}
