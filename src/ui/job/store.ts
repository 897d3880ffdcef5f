"use client";
import { nanoid } from "nanoid";
import { create } from "zustand";
import { type House, layHouse } from "../../core/house/house";
import { relayHouse } from "../../core/house/relay";
import { type Touched, touchedWork } from "../../core/plan/held-work";
import { frozenChanges } from "../../core/record/frozen";
import { heldRuns } from "../../core/record/held";
import { checkInvariants, newlyOffWall } from "../../core/job/invariants";
import type { Job } from "../../core/job/model";
import {
  type Change,
  type KeyedPatch,
  applyPatch,
  clashesOf,
  current,
  equal,
  inverse,
  parsePatch,
} from "../../core/job/patch";
import { withSectionsOver } from "../../core/job/sections-over";
import type { Catalogue } from "../../core/rules/catalogue";
import type { Plan } from "../../core/laid/laid";
import type { SiteEntry } from "../../core/job/site-entry";
import type { KeptAnswer } from "../bench/actions";
import type { ScaleTool } from "../drawing/tools/known-length";
import type { DeckSectionTool } from "../drawing/tools/deck-section";
import type { SectionTool } from "../drawing/tools/draw-section";
import type { OutlineTool } from "../drawing/tools/outline";
import type { StageId, View } from "./stages";
import { STEPS } from "./undo-kept";

/** What is picked out, in every view at once. */
export type Selection =
  | { kind: "point"; id: string }
  | { kind: "points"; ids: string[] }
  | { kind: "wall"; id: string }
  | { kind: "run"; id: string; leg?: number }
  | { kind: "joist"; deck: string; joist: number; span: number }
  | { kind: "circuit"; id: string }
  | { kind: "deck"; id: string }
  /** `show`: picked from a list, so that the drawing goes to it. */
  | { kind: "section"; id: string; show?: true }
  /** A part of the ground, a post, a trench or wire, or a row of lights. */
  | { kind: "outside"; id: string }
  | null;

/** What pressing the plan does, when it does more than pick. */
export type PlanTool = OutlineTool | ScaleTool | SectionTool | DeckSectionTool | null;

export type { View } from "./stages";

export interface Conflict {
  theirs: Job;
  version: number;
  clashes: Pick<Change, "collection" | "id">[];
  mine: KeyedPatch[];
}

/** A plan never goes without the job and the house it was worked out for. */
export interface Snapshot {
  job: Job;
  house: House;
  plan: Plan;
}

/** Whether what is seen is what is stored: `refused` and `gone` keep what waits until a person settles it. */
export type Storing = "stored" | "storing" | "offline" | "conflict" | "refused" | "gone" | "signed-out" | "no-room";

export interface DeskState {
  job: Job;
  catalogue: Catalogue;
  /** Job with a change under way (a point being dragged); equal to `job` at rest. */
  shown: Job;
  house: House;
  version: number;
  past: Change[][];
  future: Change[][];
  /** Steps made here that are no longer kept for undo: it ends before the job as it was opened. */
  undoEnds: number;
  /** A step back (or forth) that would take back what another changed since; kept until a person says whether. */
  overwrites: { way: "past" | "future"; things: Pick<Change, "collection" | "id">[] } | null;
  /** Patches made here and not yet stored, oldest first. */
  waiting: KeyedPatch[];
  storing: Storing;
  /** Why the server would not store what waits; null when it did. */
  notStored: string | null;
  conflict: Conflict | null;
  /** A change that contradicts work already done, kept until a person says whether to make it. */
  contradicts: { patch: Change[]; touched: Touched[] } | null;
  /** The newest plan with the job and house it was worked out for; null before the first. */
  snap: Snapshot | null;
  planning: boolean;
  /** Share of the plan worked out, when it takes long enough to tell. */
  progress: number | null;
  planFault: string | null;
  siteBook: SiteEntry[];
  /** Answers of the Bench kept for this job. */
  kept: KeptAnswer[];
  selection: Selection;
  room: string | null;
  /** Storey shown while no room of it is; null: that of the room. */
  storey: string | null;
  /** Circuit that pressed points are put on, or null when a press picks. */
  paint: string | null;
  /** Thing just added whose form is to open. */
  fresh: string | null;
  tool: PlanTool;
  /** Drawer of simulated instruments. */
  instruments: boolean;
  /** Last sweep of the wall detector, shown on its wall. */
  sweep: {
    wall: string;
    v: number;
    readings: { u: number; level: number }[];
    signals: { from: number; to: number; says: string }[];
  } | null;
  stage: StageId;
  view: View;
  zones: boolean;
  /** A dialog of Survey that a command has asked for. */
  asked: "walk" | "rectangle" | "deck" | null;
  /** Whether the list of keys is open. */
  keysOpen: boolean;
  /** The stop of the tour one is at, from 0; null where none is taken. */
  tour: number | null;
  find: boolean;
  /** Why the person here may change nothing of the plan; null where they may. */
  looking: string | null;
}

/** The desk's state; one for the page. Made by `openDesk`. */
export const useDesk = create<DeskState>(() => ({}) as DeskState);

export function openDesk(
  job: Job,
  version: number,
  siteBook: SiteEntry[],
  catalogue: Catalogue,
  start: { stage: StageId; room: string | null; view?: View | null },
): void {
  useDesk.setState({
    job,
    shown: job,
    catalogue,
    house: layHouse(job, catalogue),
    version,
    past: [],
    future: [],
    undoEnds: 0,
    overwrites: null,
    waiting: [],
    storing: "stored",
    notStored: null,
    conflict: null,
    contradicts: null,
    snap: null,
    planning: true,
    progress: null,
    planFault: null,
    siteBook,
    kept: [],
    selection: null,
    room: start.room ?? firstRoom(job),
    storey: null,
    paint: null,
    fresh: null,
    instruments: false,
    tool: null,
    sweep: null,
    stage: start.stage,
    view: start.view ?? (start.stage === "timber" ? "deck" : "unrolled"),
    zones: true,
    asked: null,
    keysOpen: false,
    tour: null,
    find: false,
    looking: null,
  });
}

/** What belongs together: the newest plan with its job and house, or the job as it is while there is no plan yet. */
export function useSnapshot(): { job: Job; house: House; plan: Plan | null } {
  const snap = useDesk((s) => s.snap);
  const job = useDesk((s) => (s.snap ? null : s.job));
  const house = useDesk((s) => (s.snap ? null : s.house));
  return snap ?? { job: job!, house: house!, plan: null };
}

/** The newest plan, for what is counted from it alone. */
export const usePlan = (): Plan | null => useDesk((s) => s.snap?.plan ?? null);

/** Storey shown: the picked one, else that of the room, else the lowest. */
export const useStorey = (): string =>
  useDesk(
    (s) =>
      s.storey ??
      s.job.rooms.find((r) => r.id === s.room)?.storey ??
      [...s.job.storeys].sort((a, b) => a.level - b.level)[0]!.id,
  );

const firstRoom = (job: Job): string | null =>
  (job.rooms.find((r) => r.kind === "kitchen") ?? job.rooms[0])?.id ?? null;

/** A change of one thing: its value as it is now, and as it is to be. */
export function change(collection: Change["collection"], id: string, after: unknown): Change {
  return { collection, id, before: current(useDesk.getState().job, { collection, id }), after };
}

/** A patch with a key of its own, by which the server knows it again. */
export const keyed = (patch: Change[]): KeyedPatch => ({ key: nanoid(12), patch });

const show = (job: Job): Pick<DeskState, "job" | "shown" | "house"> => ({
  job,
  shown: job,
  house: relayHouse(useDesk.getState().house, job, useDesk.getState().catalogue),
});

/**
 * Makes an edit: checked, applied at once, remembered for undo, and put in line for storing. One that contradicts work already done
 * is put to the person first.
 * @returns the sentence why it was refused, or null when it was taken
 */
export function edit(patch: Change[], knowingly = false): string | null {
  const s = useDesk.getState();
  const taken = s.looking ?? take(s.job, [...withSectionsOver(s.job, patch)]);
  if (typeof taken === "string") {
    useDesk.setState({ shown: s.job, house: relayHouse(s.house, s.job, s.catalogue) });
    return taken;
  }
  const touched = knowingly ? [] : touchedWork(s.job, taken.job, heldRuns(s.siteBook));
  if (touched.length) {
    useDesk.setState({ shown: s.job, house: relayHouse(s.house, s.job, s.catalogue), contradicts: { patch, touched } });
    return "Work is already done on this: say whether to change it all the same.";
  }
  useDesk.setState({
    ...show(taken.job),
    past: [...s.past.slice(-(STEPS - 1)), taken.patch],
    undoEnds: s.undoEnds + Math.max(0, s.past.length - (STEPS - 1)),
    future: [],
    waiting: [...s.waiting, keyed(taken.patch)],
  });
  return null;
}

function take(job: Job, patch: Change[]): { job: Job; patch: Change[] } | string {
  const parsed = parsePatch(patch);
  const refusals =
    "refusals" in parsed
      ? parsed.refusals
      : [
          ...checkInvariants(applyPatch(job, parsed.patch), useDesk.getState().catalogue),
          ...newlyOffWall(job, applyPatch(job, parsed.patch)),
          ...frozenChanges(job, applyPatch(job, parsed.patch), useDesk.getState().siteBook),
        ];
  if (refusals.length || "refusals" in parsed)
    return refusals
      .map((r) => sentence(r))
      .slice(0, 3)
      .join(" ");
  return { job: applyPatch(job, parsed.patch), patch: parsed.patch };
}

const sentence = (r: { path: string; message: string }): string => {
  const field = r.path.split(".").pop() ?? "";
  const text = /^[a-z]/.test(r.message) ? r.message : `${field}: ${r.message}`;
  return text.endsWith(".") ? text : `${text[0]!.toUpperCase()}${text.slice(1)}.`;
};

/** Shows a change under way without storing it: zones and findings follow. */
export function preview(patch: Change[]): void {
  const s = useDesk.getState();
  const shown = applyPatch(s.job, patch);
  useDesk.setState({ shown, house: relayHouse(s.house, shown, s.catalogue) });
}

export function endPreview(): void {
  const s = useDesk.getState();
  if (s.shown !== s.job) useDesk.setState({ shown: s.job, house: relayHouse(s.house, s.job, s.catalogue) });
}

/** What a step back or forth came to: done, put to the person first, nothing there, or a sentence why it cannot be. */
export type Stepped = "done" | "asks" | "nothing" | { refused: string };

function step(from: "past" | "future", to: "past" | "future", knowingly: boolean): Stepped {
  const s = useDesk.getState();
  const last = s[from][s[from].length - 1];
  if (!last) return "nothing";
  const back = from === "past" ? inverse(last) : last;
  // What another made of it meanwhile is not taken back unasked.
  const things = knowingly ? [] : clashesOf(s.job, back);
  if (things.length) {
    useDesk.setState({ overwrites: { way: from, things } });
    return "asks";
  }
  let at = s.job;
  const on = back.map((c) => {
    const now = { ...c, before: current(at, c) };
    at = applyPatch(at, [now]);
    return now;
  });
  const taken = take(s.job, on);
  if (typeof taken === "string") return { refused: taken };
  useDesk.setState({
    ...show(taken.job),
    [from]: s[from].slice(0, -1),
    [to]: [...s[to], last],
    waiting: [...s.waiting, keyed(taken.patch)],
  } as Partial<DeskState>);
  return "done";
}
export const undo = (knowingly = false): Stepped => step("past", "future", knowingly);
export const redo = (knowingly = false): Stepped => step("future", "past", knowingly);

/** Leaves what another changed as it is, and goes past the step that would take it back. */
export function passOver(): void {
  const s = useDesk.getState();
  if (s.overwrites) useDesk.setState({ [s.overwrites.way]: s[s.overwrites.way].slice(0, -1), overwrites: null });
}

/** What others stored, as patches or, far behind, as the whole job. */
export type Missed = { kind: "patches"; patches: { version: number; patch: Change[] }[] } | { kind: "whole"; job: Job };

/**
 * Brings in what others stored: on top of it our waiting patches are applied again. `sent` patches are stored and wait
 * no more.
 */
export function mergeMissed(missed: Missed, version: number, sent: ReadonlySet<string>): void {
  const s = useDesk.getState();
  const waiting = s.waiting.filter((w) => !sent.has(w.key));
  if (missed.kind === "whole") {
    useDesk.setState({ ...show(waiting.reduce((job, w) => applyPatch(job, w.patch), missed.job)), version, waiting });
    return;
  }
  const mine = new Set(s.waiting.flatMap((w) => w.patch).map((c) => `${c.collection} ${c.id}`));
  const job = missed.patches.reduce(
    (at, m) =>
      applyPatch(
        at,
        m.patch.filter((c) => !mine.has(`${c.collection} ${c.id}`)),
      ),
    s.job,
  );
  useDesk.setState({ ...(missed.patches.length ? show(job) : {}), version, waiting });
}

/** Which of two to keep, of one thing that was changed in two places. */
export type Keep = "theirs" | "mine";
export const thingKey = (c: Pick<Change, "collection" | "id">): string => `${c.collection} ${c.id}`;

/**
 * Settles a conflict thing by thing: of each either theirs or mine is kept; everything else that waits here is stored on top of
 * theirs. Undo stays. Nothing is let go that was not asked about.
 * @returns the sentence why it cannot be so, and then nothing has changed; null when it is settled
 */
export function settle(keep: (thing: string) => Keep): string | null {
  const s = useDesk.getState();
  const c = s.conflict;
  if (!c) return null;
  const asked = new Set(c.clashes.map(thingKey));
  let job = c.theirs;
  const waiting: KeyedPatch[] = [];
  for (const { patch } of c.mine) {
    const on: Change[] = [];
    for (const x of patch) {
      if (asked.has(thingKey(x)) && keep(thingKey(x)) === "theirs") continue;
      const change = { ...x, before: current(job, x) };
      if (equal(change.before, change.after)) continue;
      job = applyPatch(job, [change]);
      on.push(change);
    }
    if (on.length) waiting.push(keyed(on));
  }
  const refusals = [
    ...checkInvariants(job, s.catalogue),
    ...newlyOffWall(c.theirs, job),
    ...frozenChanges(c.theirs, job, s.siteBook),
  ];
  if (refusals.length) return refusals.map(sentence).slice(0, 3).join(" ");
  useDesk.setState({
    ...show(job),
    version: c.version,
    waiting,
    conflict: null,
    storing: waiting.length ? "storing" : "stored",
    notStored: null,
  });
  return null;
}
