import { createWriteStream } from "node:fs";
import { mkdir, rm } from "node:fs/promises";
import { join } from "node:path";
import { Readable, Transform } from "node:stream";
import { pipeline } from "node:stream/promises";
import { nanoid } from "nanoid";
import { acknowledgeAll } from "../../../data/acknowledge";
import { BackupFault } from "../../../data/backup/format";
import { restoreBackup } from "../../../data/backup/restore";
import { backupStream } from "../../../data/backup/write";
import { refusalOfRoom } from "../../../data/room";
import { refusedBy, safeHeaders } from "../../../server/guard";
import { dataFolder, database } from "../../../data/client";
import { notAllowed } from "../../../server/who";

/** Largest backup taken over the network, bytes. */
const MOST = 20_000_000_000;

const refuse = (status: number, message: string): Response =>
  Response.json({ error: { code: "invalid", message, path: "backup" } }, { status });

/** `GET /api/backup`: everything of this database as one archive, made while it is sent. */
export async function GET(request: Request): Promise<Response> {
  const refused = refusedBy(request) ?? (await notAllowed(request, "own"));
  if (refused) return refused;
  const name = `lumbet-${new Date().toISOString().slice(0, 16).replace("T", "-").replace(":", "")}.tar.gz`;
  return new Response(Readable.toWeb(backupStream(await database())) as ReadableStream, {
    headers: {
      ...safeHeaders,
      "content-type": "application/gzip",
      "content-disposition": `attachment; filename="${name}"`,
      "cache-control": "no-store",
    },
  });
}

/** `POST /api/backup`, body an archive: put back, all of it or nothing; what is here is never overwritten. */
export async function POST(request: Request): Promise<Response> {
  // It adds jobs and overwrites nothing, like bringing in a job file.
  const refused = refusedBy(request) ?? (await notAllowed(request, "plan"));
  if (refused) return refused;
  const full = await refusalOfRoom();
  if (full !== null) return refuse(507, `backup: ${full}`);
  if (!request.body) return refuse(422, "backup: the request has no archive in its body");
  const folder = join(dataFolder(), "incoming");
  const path = join(folder, `${nanoid(10)}.tar.gz`);
  let bytes = 0;
  const bounded = new Transform({
    transform(chunk: Buffer, _encoding, next) {
      bytes += chunk.length;
      next(bytes > MOST ? new BackupFault(`The archive is larger than ${MOST} bytes.`) : null, chunk);
    },
  });
  try {
    await mkdir(folder, { recursive: true });
    await pipeline(Readable.fromWeb(request.body as never), bounded, createWriteStream(path));
    const db = await database();
    const out = await restoreBackup(db, path);
    await acknowledgeAll(db);
    return Response.json(out);
  } catch (e) {
    if (e instanceof BackupFault) return refuse(422, e.message);
    throw e;
  } finally {
    await rm(path, { force: true });
  }
}
