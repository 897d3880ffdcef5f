"use client";
import { type Change, type KeyedPatch, applyPatch, clashesOf, current, equal, parsePatch } from "../../core/job/patch";
import { checkInvariants } from "../../core/job/invariants";
import { layHouse } from "../../core/house/house";
import { keyed, useDesk } from "./store";

/** What the device keeps of a desk between reloads: undo and redo, and patches that the server has not yet confirmed. */
interface Kept {
  past: Change[][];
  future: Change[][];
}
interface Waiting {
  patches: KeyedPatch[];
  /** When the tab that made them was last alive, ms. */
  beat: number;
}

/** Undo steps kept across a reload. */
const STEPS = 60;
/** A tab that has not been heard of for this long is closed: its waiting patches are taken over, ms. */
const GONE = 20_000;
const BEAT = 5000;

const undoKey = (job: string): string => `lumbet.undo.${job}`;
const waitingKey = (job: string, tab: string): string => `lumbet.waiting.${job}.${tab}`;

function tabName(): string {
  let tab = sessionStorage.getItem("lumbet.tab");
  if (!tab) {
    tab = Math.random().toString(36).slice(2, 10);
    sessionStorage.setItem("lumbet.tab", tab);
  }
  return tab;
}

const read = <T>(store: Storage, key: string): T | null => {
  try {
    const text = store.getItem(key);
    return text ? (JSON.parse(text) as T) : null;
  } catch {
    return null;
  }
};

/** Writes as much as the device takes; when it is full the oldest half of the steps is let go. */
function write(store: Storage, key: string, value: Kept | Waiting): void {
  for (let v: Kept | Waiting = value, tries = 0; tries < 5; tries++) {
    try {
      store.setItem(key, JSON.stringify(v));
      return;
    } catch {
      if (!("past" in v)) return;
      v = { past: v.past.slice(Math.ceil(v.past.length / 2)), future: [] };
    }
  }
}

/** Brings undo, redo and unconfirmed patches back after a reload. Returns how many patches wait to be stored again. */
export function recall(): number {
  const { job } = useDesk.getState();
  const tab = tabName();
  const kept = read<Kept>(sessionStorage, undoKey(job.id)) ?? read<Kept>(localStorage, undoKey(job.id));
  if (kept && Array.isArray(kept.past) && Array.isArray(kept.future))
    useDesk.setState({ past: kept.past, future: kept.future });
  const found: KeyedPatch[] = [];
  for (let i = localStorage.length - 1; i >= 0; i--) {
    const key = localStorage.key(i);
    if (!key?.startsWith(`lumbet.waiting.${job.id}.`)) continue;
    const w = read<Waiting>(localStorage, key);
    if (key !== waitingKey(job.id, tab) && w && Date.now() - w.beat < GONE) continue;
    // Patches of an older edition have no key yet.
    if (w && Array.isArray(w.patches)) found.push(...w.patches.map((p) => (Array.isArray(p) ? keyed(p) : p)));
    localStorage.removeItem(key);
  }
  let next = job;
  const waiting: KeyedPatch[] = [];
  for (const { key, patch } of found) {
    const parsed = parsePatch(patch);
    if (!("patch" in parsed)) continue;
    // What the server has already, though its answer was lost.
    if (parsed.patch.every((c) => equal(current(next, c), c.after))) continue;
    const tried = applyPatch(next, parsed.patch);
    if (!clashesOf(next, parsed.patch).length && checkInvariants(tried, useDesk.getState().catalogue).length) continue;
    next = tried;
    waiting.push({ key, patch: parsed.patch });
  }
  if (waiting.length)
    useDesk.setState({
      job: next,
      shown: next,
      house: layHouse(next, useDesk.getState().catalogue),
      waiting,
      storing: "storing",
    });
  return waiting.length;
}

/** Keeps undo, redo and waiting patches on the device as they change. Returns how to stop. */
export function remember(): () => void {
  const tab = tabName();
  const { id } = useDesk.getState().job;
  let asked = 0;
  const keepUndo = (): void => {
    asked = 0;
    const { past, future } = useDesk.getState();
    const kept = { past: past.slice(-STEPS), future: future.slice(-STEPS) };
    write(sessionStorage, undoKey(id), kept);
    write(localStorage, undoKey(id), kept);
  };
  const keepWaiting = (): void => {
    const { waiting } = useDesk.getState();
    if (waiting.length) write(localStorage, waitingKey(id, tab), { patches: waiting, beat: Date.now() });
    else localStorage.removeItem(waitingKey(id, tab));
  };
  const off = useDesk.subscribe((s, before) => {
    if (s.waiting !== before.waiting) keepWaiting();
    if ((s.past !== before.past || s.future !== before.future) && !asked) asked = window.setTimeout(keepUndo, 150);
  });
  const beat = window.setInterval(() => useDesk.getState().waiting.length && keepWaiting(), BEAT);
  const leave = (): void => keepUndo();
  window.addEventListener("pagehide", leave);
  return () => {
    off();
    window.clearInterval(beat);
    window.clearTimeout(asked);
    window.removeEventListener("pagehide", leave);
  };
}
