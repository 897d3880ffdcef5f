"use client";
import { entries, get, delMany, set } from "idb-keyval";
import type { Change } from "../../core/job/patch";

/** Undo and redo as this device keeps them over a reload. */
export interface Steps {
  past: Change[][];
  future: Change[][];
  /** Steps older than the first of `past` that are no longer kept. */
  before: number;
}
export interface Kept extends Steps {
  /** When it was kept, ms. */
  at: number;
}

/** Steps kept for undo. */
export const STEPS = 2000;
/** Of those, kept at once when the page is left: what the slower store may not have yet. */
const AT_LEAVING = 40;
/** What a tab kept is let go of after so long, ms. */
const OLD = 14 * 24 * 3600 * 1000;

const key = (job: string, tab: string): string => `lumbet.undo.${job}.${tab}`;
const newest = (job: string): string => `lumbet.undo.${job}`;

const isKept = (x: unknown): x is Kept =>
  typeof x === "object" && x !== null && Array.isArray((x as Kept).past) && Array.isArray((x as Kept).future);

const readSession = (job: string): Kept | null => {
  try {
    const x: unknown = JSON.parse(sessionStorage.getItem(newest(job)) ?? "null");
    return isKept(x) ? { ...x, at: x.at ?? 0, before: x.before ?? 0 } : null;
  } catch {
    return null;
  }
};

/** What was kept at leaving, on top of the longer list that was kept before it. */
export function joined(long: Kept | null, atLeaving: Kept | null): Steps | null {
  if (!long || !atLeaving) return long ?? atLeaving;
  if (long.at >= atLeaving.at) return long;
  const older = atLeaving.before - long.before;
  if (older < 0 || older > long.past.length) return atLeaving;
  return { past: [...long.past.slice(0, older), ...atLeaving.past], future: atLeaving.future, before: long.before };
}

/** Steps of this tab, or of the one that kept some last; null where none were kept. Never fails: without a store there are none. */
export async function keptSteps(job: string, tab: string): Promise<Steps | null> {
  const session = readSession(job);
  try {
    const long = (await get<Kept>(key(job, tab))) ?? (session ? null : await get<Kept>(newest(job)));
    void tidy();
    return joined(isKept(long) ? long : null, session);
  } catch {
    return session;
  }
}

async function tidy(): Promise<void> {
  const old = (await entries<string, unknown>()).filter(
    ([k, v]) => String(k).startsWith("lumbet.undo.") && isKept(v) && Date.now() - v.at > OLD,
  );
  if (old.length) await delMany(old.map(([k]) => k));
}

/** Keeps steps as they change: one write at a time, the newest after it. */
export function stepsKeeper(job: string, tab: string): { keep: (s: Steps) => void; leave: (s: Steps) => void } {
  let next: Kept | null = null;
  let busy = false;
  const run = async (): Promise<void> => {
    if (busy) return;
    busy = true;
    while (next) {
      const now: Kept = next;
      next = null;
      try {
        await set(key(job, tab), now);
        await set(newest(job), now);
      } catch {
        // A device without such a store keeps what is kept at leaving.
      }
    }
    busy = false;
  };
  return {
    keep: (s) => {
      next = { ...s, at: Date.now() };
      void run();
    },
    leave: (s) => {
      const past = s.past.slice(-AT_LEAVING);
      const kept: Kept = {
        past,
        future: s.future.slice(-AT_LEAVING),
        before: s.before + s.past.length - past.length,
        at: Date.now(),
      };
      try {
        sessionStorage.setItem(newest(job), JSON.stringify(kept));
      } catch {
        // Full: the longer list stands.
      }
    },
  };
}
