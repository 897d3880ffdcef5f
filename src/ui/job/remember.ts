"use client";
import { type KeyedPatch, applyPatch, clashesOf, current, equal, parsePatch } from "../../core/job/patch";
import { checkInvariants } from "../../core/job/invariants";
import { layHouse } from "../../core/house/house";
import { toast } from "sonner";
import { keyed, useDesk } from "./store";
import { STEPS, type Steps, keptSteps, stepsKeeper } from "./undo-kept";

interface Waiting {
  patches: KeyedPatch[];
  /** When the tab that made them was last alive, ms. */
  beat: number;
}

/** A tab that has not been heard of for this long is closed: its waiting patches are taken over, ms. */
const GONE = 20_000;
const BEAT = 5000;

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

/** What became of the patches that a reload cut short. */
export interface Recalled {
  /** Those being stored again. */
  waiting: number;
  /** Why some no longer fit the job; they were not stored. */
  letGo: string[];
}

/** Brings undo and redo back after a reload, under what is done meanwhile. */
export async function recallSteps(): Promise<void> {
  const { id } = useDesk.getState().job;
  const kept = await keptSteps(id, tabName());
  const s = useDesk.getState();
  if (!kept || s.job.id !== id) return;
  useDesk.setState({
    past: [...kept.past, ...s.past].slice(-STEPS),
    future: s.past.length ? s.future : kept.future,
    undoEnds: kept.before,
  });
}

/** Brings patches back that the server had not confirmed when the page was left. */
export function recall(): Recalled {
  const { job } = useDesk.getState();
  const tab = tabName();
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
  const letGo: string[] = [];
  for (const { key, patch } of found) {
    const parsed = parsePatch(patch);
    if (!("patch" in parsed)) {
      letGo.push(parsed.refusals.map((r) => r.message).join("; "));
      continue;
    }
    // What the server has already, though its answer was lost.
    if (parsed.patch.every((c) => equal(current(next, c), c.after))) continue;
    const tried = applyPatch(next, parsed.patch);
    const broken = clashesOf(next, parsed.patch).length ? [] : checkInvariants(tried, useDesk.getState().catalogue);
    if (broken.length) {
      letGo.push(broken.map((r) => r.message).join("; "));
      continue;
    }
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
  return { waiting: waiting.length, letGo };
}

/** Keeps undo, redo and waiting patches on the device as they change. Returns how to stop. */
export function remember(): () => void {
  const tab = tabName();
  const { id } = useDesk.getState().job;
  const keeper = stepsKeeper(id, tab);
  const steps = (): Steps => {
    const { past, future, undoEnds } = useDesk.getState();
    return { past, future, before: undoEnds };
  };
  let told = false;
  const keepWaiting = (): void => {
    const { waiting } = useDesk.getState();
    const key = waitingKey(id, tab);
    if (!waiting.length) return localStorage.removeItem(key);
    try {
      localStorage.setItem(key, JSON.stringify({ patches: waiting, beat: Date.now() } satisfies Waiting));
    } catch {
      if (!told) toast.error("This device's storage is full: keep this page open until it says stored.");
      told = true;
    }
  };
  const off = useDesk.subscribe((s, before) => {
    if (s.waiting !== before.waiting) keepWaiting();
    if (s.past !== before.past || s.future !== before.future) keeper.keep(steps());
  });
  const beat = window.setInterval(() => useDesk.getState().waiting.length && keepWaiting(), BEAT);
  const leave = (): void => keeper.leave(steps());
  window.addEventListener("pagehide", leave);
  return () => {
    off();
    window.clearInterval(beat);
    window.removeEventListener("pagehide", leave);
  };
}
