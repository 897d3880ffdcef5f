import { EventEmitter } from "node:events";
import type { Db } from "./db";

/** What of a job another changed: the job itself, its record, or whatever it may be after the connection was gone for a while. */
export type ToldOf = "job" | "record" | "any";

/** What both drivers have below Drizzle: `listen` of PostgreSQL's LISTEN. */
interface Listening {
  listen: (channel: string, told: (payload: string) => void, again?: () => void) => Promise<unknown>;
}

const hubs = new WeakMap<Db, Promise<EventEmitter>>();
const ALL = "every job";

async function listenTo(db: Db): Promise<EventEmitter> {
  const hub = new EventEmitter();
  hub.setMaxListeners(0);
  const client = (db as unknown as { $client: Listening }).$client;
  const told = (payload: string): void => {
    const at = payload.indexOf(":");
    hub.emit(payload.slice(at + 1), payload.slice(0, at));
  };
  // The driver of a server connects again by itself, and what was told meanwhile is then looked for; the embedded one is never away.
  if ("waitReady" in client) await client.listen("lumbet", told);
  else await client.listen("lumbet", told, () => hub.emit(ALL, "any"));
  return hub;
}

/**
 * Calls `told` whenever somebody changes this job or its record, through whichever server of this database.
 * @returns what ends it
 */
export async function onChange(db: Db, jobId: string, told: (of: ToldOf) => void): Promise<() => void> {
  const there = hubs.get(db) ?? listenTo(db);
  hubs.set(db, there);
  const hub = await there.catch((e: unknown) => {
    hubs.delete(db);
    throw e;
  });
  hub.on(jobId, told);
  hub.on(ALL, told);
  return () => {
    hub.off(jobId, told);
    hub.off(ALL, told);
  };
}
