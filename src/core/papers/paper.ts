import type { Scene } from "../drawings/scene";

/** What can be printed of a job, in the order of a handover pack. */
// prettier-ignore
export const paperKinds = [
  "plan", "room", "wall", "stick", "joists", "runs", "bores", "boxes", "glands", "opened",
  "outside", "circuits", "cuts", "buy", "day", "tests", "notify",
] as const;
export type PaperKind = (typeof paperKinds)[number];
export const paperNames: Record<PaperKind, string> = {
  plan: "Plans of the storeys",
  room: "Rooms unrolled",
  wall: "Wall sheets",
  stick: "Story sticks of walls, true scale",
  joists: "Story sticks of joists, true scale",
  runs: "Story sticks of runs, true scale",
  bores: "Bore schedule",
  boxes: "Box and board cards",
  glands: "Gland templates, true scale",
  opened: "Trunking opened flat, folds at true scale",
  outside: "Trenches, wires and lights outside",
  circuits: "Circuit chart",
  cuts: "Cut list",
  buy: "Buying list",
  day: "Day list",
  tests: "Test sheet",
  notify: "Notification sheet",
};

/** A table: shares of the width by column, and the columns that hold figures. */
export interface TableBlock {
  kind: "table";
  title?: string;
  heads: readonly string[];
  shares: readonly number[];
  figures?: readonly number[];
  rows: readonly (readonly string[])[];
  /** What is said where there are no rows. */
  none: string;
}
export interface TextBlock {
  kind: "text";
  text: string;
  look?: "heading" | "caution" | "soft";
}
/** A drawing at the largest usual scale that fits, `tall` mm high at most. */
export interface SceneBlock {
  kind: "scene";
  scene: Scene;
  tall: number;
}
/** What stands on a page, from its top to its foot. */
export type Block =
  | TableBlock
  | TextBlock
  | SceneBlock
  /** A drawing at true scale, on several sheets to tape together where it is larger than one. */
  | { kind: "true"; scene: Scene }
  /** Photos of the job by the ids of their pictures, each with its words. */
  | { kind: "photos"; photos: readonly { picture: string; words: string }[] }
  /** Side by side, by shares of the width where they are not alike. */
  | {
      kind: "columns";
      shares?: readonly number[];
      columns: readonly (readonly (TableBlock | TextBlock | SceneBlock)[])[];
    }
  /** A stick at true scale in strips, each over the next by a little. mm. */
  | { kind: "stick"; name: string; length: number; marks: readonly { at: number; text: string }[] };

/** One paper of a job: it begins on a page of its own, and may go over several. */
export interface Paper {
  kind: PaperKind;
  id: string;
  title: string;
  about: string;
  landscape: boolean;
  blocks: Block[];
  /** What its QR code says; none where it is left out. */
  qr?: string;
}

/** A strip of a stick: from where to where along it, mm, and the marks on it. */
export interface Strip {
  from: number;
  to: number;
  marks: { at: number; text: string }[];
}

/** Strips of a stick overlap by so much, so that one is laid on the other to the join mark, mm. */
export const STICK_OVERLAP = 10;

/**
 * Cuts a stick into strips no longer than the paper is wide, mm; each but the first begins `STICK_OVERLAP` before the
 * last one ended.
 */
export function stripsOf(length: number, marks: readonly { at: number; text: string }[], wide: number): Strip[] {
  const out: Strip[] = [];
  for (let from = 0; ; from += wide - STICK_OVERLAP) {
    const to = Math.min(length, from + wide);
    out.push({ from, to, marks: marks.filter((m) => m.at >= from && m.at <= to) });
    if (to >= length) return out;
  }
}

/** Usual scales of drawings, 1 to. */
export const SCALES = [1, 2, 3, 4, 5, 10, 15, 20, 25, 30, 40, 50, 75, 100, 150, 200, 500] as const;

/** The largest usual scale at which a thing of this size fits on a paper of that size, mm; the smallest where none does. */
export const scaleFor = (wide: number, high: number, paperWide: number, paperHigh: number): number =>
  SCALES.find((s) => wide / s <= paperWide && high / s <= paperHigh) ?? SCALES[SCALES.length - 1]!;
