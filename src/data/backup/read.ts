import { createHash } from "node:crypto";
import { createReadStream } from "node:fs";
import { pipeline } from "node:stream";
import { createGunzip } from "node:zlib";
import { extract as newExtract } from "tar-stream";
import { z } from "zod";
import { type JobFile, FILE_MOST, readJobFile } from "../../core/job/file";
import { PICTURE_MOST, pictureKind } from "../../core/formats/picture";
import { type CatalogueRow, isCatalogueTable, rowSchemas } from "../../core/rules/catalogue";
import { unkeepable } from "../../core/job/plain-text";
import { BACKUP_FORMAT, BACKUP_VERSION, BackupFault, type Content, type JobAbout } from "./format";

const time = z.iso.datetime();
const aboutSchema = z.object({
  version: z.number().int().min(1),
  deletedAt: time.nullable(),
  createdAt: time,
  updatedAt: time,
});
const headSchema = z.object({ format: z.literal(BACKUP_FORMAT), version: z.number().int(), at: time });
const contentsSchema = z.array(
  z.object({ name: z.string(), size: z.number().int().min(0), sha256: z.string().length(64) }),
);
const keptSchema = z.array(
  z.object({
    id: z.string().min(1).max(40),
    name: z.string().min(1).max(80),
    calculator: z.string().max(60),
    input: z.unknown(),
    headline: z.string().max(500),
    jobId: z.string().max(40).nullable(),
    at: time,
  }),
);
const defaultsSchema = z.array(z.object({ key: z.string().min(1).max(60), value: z.unknown() }));

/** One thing of a backup, as it comes. */
export type Part =
  | { kind: "head"; at: string }
  | { kind: "catalogue"; rows: CatalogueRow[] }
  | { kind: "defaults"; rows: z.infer<typeof defaultsSchema> }
  | { kind: "about"; job: string; about: JobAbout }
  | { kind: "job"; job: string; file: JobFile }
  | { kind: "picture"; job: string; id: string; type: JobFile["pictures"][number]["type"]; bytes: Buffer }
  | { kind: "kept"; rows: z.infer<typeof keptSchema> };

/** Most of a backup's parts; more is no backup of ours. */
const PARTS = 2_000_000;

const ID = "[A-Za-z0-9_-]{1,40}";
const names = {
  about: new RegExp(`^about/(${ID})\\.json$`),
  job: new RegExp(`^jobs/(${ID})\\.json$`),
  picture: new RegExp(`^pictures/(${ID})/(${ID})\\.(png|jpg|webp)$`),
};

/**
 * Reads a backup from a file, part by part, and holds it against its list of contents: a size or checksum that is not right, a part
 * missing or too many, or an end too early is refused at the latest with the last part. Never more than one part is in memory.
 * @throws BackupFault in words
 */
export async function* partsOf(path: string): AsyncGenerator<Part> {
  const seen: Content[] = [];
  let contents: Content[] | null = null;
  const extract = newExtract();
  const source = createReadStream(path);
  pipeline(source, createGunzip(), extract, () => undefined);
  try {
    for await (const entry of extract) {
      const { name } = entry.header;
      if (seen.length > PARTS) throw new BackupFault(`The backup has more than ${PARTS} parts.`);
      if (contents) throw new BackupFault(`The backup goes on after its list of contents, with ${printable(name)}.`);
      const bytes = await readEntry(entry, name, entry.header.size ?? 0);
      if (name === "contents.json") {
        contents = check(contentsSchema, bytes, name);
        continue;
      }
      seen.push({ name, size: bytes.length, sha256: createHash("sha256").update(bytes).digest("hex") });
      yield partOf(name, bytes, seen.length === 1);
    }
  } catch (e) {
    if (e instanceof BackupFault) throw e;
    throw new BackupFault(`The backup cannot be read to its end: ${(e as Error).message}.`);
  } finally {
    source.destroy();
  }
  compare(seen, contents);
}

const printable = (name: string): string => JSON.stringify(name.slice(0, 80));

async function readEntry(entry: AsyncIterable<unknown>, name: string, size: number): Promise<Buffer> {
  const most = names.picture.test(name) ? PICTURE_MOST : FILE_MOST * 2;
  if (size > most)
    throw new BackupFault(`${printable(name)} of the backup has ${size} bytes; at most ${most} are read.`);
  const chunks: Buffer[] = [];
  for await (const c of entry) chunks.push(c as Buffer);
  return Buffer.concat(chunks);
}

function compare(seen: readonly Content[], contents: readonly Content[] | null): void {
  if (!contents) throw new BackupFault("The backup ends before its list of contents: it is not whole.");
  if (contents.length !== seen.length)
    throw new BackupFault(`The backup has ${seen.length} parts; its list of contents has ${contents.length}.`);
  contents.forEach((c, i) => {
    const s = seen[i]!;
    if (s.name !== c.name || s.size !== c.size || s.sha256 !== c.sha256)
      throw new BackupFault(`${printable(c.name)} of the backup is not as it was written: it is damaged.`);
  });
}

function check<T>(schema: z.ZodType<T>, bytes: Buffer, name: string): T {
  let data: unknown;
  try {
    data = JSON.parse(bytes.toString("utf8"));
  } catch (e) {
    throw new BackupFault(`${printable(name)} of the backup is not whole JSON: ${(e as Error).message}.`);
  }
  const bad = unkeepable(data);
  if (bad) throw new BackupFault(`${printable(name)} of the backup: ${bad.path} ${bad.message}.`);
  const parsed = schema.safeParse(data);
  if (parsed.success) return parsed.data;
  const [issue] = parsed.error.issues;
  throw new BackupFault(`${printable(name)} of the backup: ${issue!.path.join(".")}: ${issue!.message}.`);
}

function partOf(name: string, bytes: Buffer, first: boolean): Part {
  if (first !== (name === "lumbet-backup.json"))
    throw new BackupFault("The file is no backup of Lumbet: it does not begin with lumbet-backup.json.");
  if (first) {
    const head = check(headSchema, bytes, name);
    if (head.version > BACKUP_VERSION)
      throw new BackupFault(
        `The backup is of version ${head.version}; this edition reads versions 1 to ${BACKUP_VERSION}. Use the edition that made it, or a newer one.`,
      );
    return { kind: "head", at: head.at };
  }
  if (name === "catalogue.json")
    return { kind: "catalogue", rows: rowsOfCatalogue(check(z.array(z.unknown()), bytes, name)) };
  if (name === "defaults.json") return { kind: "defaults", rows: check(defaultsSchema, bytes, name) };
  if (name === "kept-answers.json") return { kind: "kept", rows: check(keptSchema, bytes, name) };
  const about = names.about.exec(name);
  if (about) return { kind: "about", job: about[1]!, about: check(aboutSchema, bytes, name) };
  const job = names.job.exec(name);
  if (job) {
    const read = readJobFile(bytes.toString("utf8"));
    if (read.ok) return { kind: "job", job: job[1]!, file: read.file };
    const [why] = read.refusals;
    throw new BackupFault(`${printable(name)} of the backup: ${why!.path} ${why!.message}.`);
  }
  const picture = names.picture.exec(name);
  if (!picture) throw new BackupFault(`The backup holds ${printable(name)}, which no backup has.`);
  const kind = pictureKind(bytes);
  if ("message" in kind) throw new BackupFault(`${printable(name)} of the backup: ${kind.message}.`);
  return { kind: "picture", job: picture[1]!, id: picture[2]!, type: kind.type, bytes };
}

function rowsOfCatalogue(list: readonly unknown[]): CatalogueRow[] {
  return list.map((x, i) => {
    const { table, row } = (x ?? {}) as { table?: unknown; row?: unknown };
    if (typeof table !== "string" || !isCatalogueTable(table))
      throw new BackupFault(`catalogue.json of the backup: row ${i + 1} is of no table of the catalogue.`);
    const parsed = rowSchemas[table].safeParse(row);
    if (!parsed.success)
      throw new BackupFault(`catalogue.json of the backup: row ${i + 1}: ${parsed.error.issues[0]!.message}.`);
    return { table, row: parsed.data } as CatalogueRow;
  });
}

/**
 * Reads a backup through without putting anything anywhere.
 * @throws BackupFault where it is not whole or not right
 */
export async function verifyBackup(path: string): Promise<{ at: string; jobs: number; pictures: number }> {
  const out = { at: "", jobs: 0, pictures: 0 };
  for await (const p of partsOf(path)) {
    if (p.kind === "head") out.at = p.at;
    if (p.kind === "job") out.jobs++;
    if (p.kind === "picture") out.pictures++;
  }
  return out;
}
