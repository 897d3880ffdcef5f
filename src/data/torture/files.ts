import { gzipSync, gunzipSync } from "node:zlib";
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { readCatalogueCsv } from "../../core/formats/catalogue-csv";
import { readDxf } from "../../core/formats/dxf-in";
import { storeySheet } from "../../core/drawings/house-sheets";
import { sceneDxf } from "../../core/formats/scene-files";
import { layHouse } from "../../core/house/house";
import { readJobFile, writeJobFile } from "../../core/job/file";
import { BackupFault } from "../backup/format";
import { verifyBackup } from "../backup/read";
import { backupTo } from "../backup/write";
import { openMemory } from "../client";
import { ternCottage } from "../demo/tern-cottage";
import { addJob } from "../jobs";
import { type Chance, chanceFrom } from "./chance";

/** What so many mutated files came to. */
export interface FileSummary {
  files: number;
  taken: number;
  refused: number;
  /** Files that were answered by a fault of ours, or took longer than they may; empty when all is well. */
  faults: string[];
}

/** Longest that one file may take, ms. */
const SLOW = 5000;

/** A text with one thing in it changed: a stretch cut out, doubled, or put in the place of another. */
function mutated(text: string, chance: Chance): string {
  const at = Math.floor(chance() * text.length);
  const length = Math.floor(chance() ** 3 * 200) + 1;
  const odd = ["\u0000", "\ud83d", "1e999", "-0", "null", "[[[[", '"', "{}", "９", "=1", "\n0\nEOF\n", "999999999"];
  switch (Math.floor(chance() * 4)) {
    case 0:
      return text.slice(0, at) + text.slice(at + length);
    case 1:
      return text.slice(0, at) + text.slice(at, at + length) + text.slice(at);
    case 2:
      return text.slice(0, at);
    default:
      return text.slice(0, at) + odd[Math.floor(chance() * odd.length)]! + text.slice(at + length);
  }
}

/** Reads job files, drawings, makers' sheets and backups, each with something changed in it. */
export async function files(seed: number, until: (done: number) => boolean): Promise<FileSummary> {
  const out: FileSummary = { files: 0, taken: 0, refused: 0, faults: [] };
  const chance = chanceFrom(seed);
  const folder = mkdtempSync(join(tmpdir(), "lumbet-files-"));
  const path = join(folder, "backup.tar.gz");
  const db = await openMemory();
  await addJob(db, ternCottage());
  await backupTo(db, path);
  const tar = gunzipSync(readFileSync(path));
  const house = layHouse(ternCottage());
  const job = writeJobFile(ternCottage());
  const dxf = sceneDxf(storeySheet(house, house.job.storeys[0]!.id, null));
  const csv = "id,name\nx,Y\n";
  const kinds: [name: string, read: () => Promise<boolean>][] = [
    ["job file", async () => readJobFile(mutated(job, chance)).ok],
    ["drawing", async () => "plan" in readDxf(mutated(dxf, chance))],
    ["sheet", async () => readCatalogueCsv("cables", mutated(csv, chance)).ok],
    [
      "backup",
      async () => {
        const bytes = Buffer.from(tar);
        for (let n = 0; n < 1 + chance() * 3; n++)
          bytes[Math.floor(chance() * bytes.length)] = Math.floor(chance() * 256);
        writeFileSync(
          path,
          gzipSync(bytes.subarray(0, Math.ceil(bytes.length * (chance() < 0.2 ? chance() : 1))), { level: 1 }),
        );
        try {
          await verifyBackup(path);
          return true;
        } catch (e) {
          if (e instanceof BackupFault) return false;
          throw e;
        }
      },
    ],
  ];
  do {
    const which = chance();
    const [name, read] = kinds[which < 0.4 ? 0 : which < 0.7 ? 1 : which < 0.9 ? 2 : 3]!;
    const began = performance.now();
    try {
      if (await read()) out.taken++;
      else out.refused++;
    } catch (e) {
      out.faults.push(`${name} ${out.files} of seed ${seed}: ${(e as Error).message.slice(0, 200)}`);
    }
    if (performance.now() - began > SLOW)
      out.faults.push(`${name} ${out.files} of seed ${seed} took longer than ${SLOW} ms`);
    out.files++;
  } while (!until(out.files));
  rmSync(folder, { recursive: true, force: true });
  return out;
}
