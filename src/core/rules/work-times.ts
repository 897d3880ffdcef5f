/** Kinds of work on site, in the order that the work forces. */
export const taskKinds = [
  "boards-up",
  "bore",
  "chase",
  "box",
  "section",
  "draw-in",
  "clip",
  "cover",
  "tails",
  "test",
  "photo",
  "close",
] as const;
export type TaskKind = (typeof taskKinds)[number];

/** What one unit of a kind of work is, how long it usually takes, and how long setting up for it at one place takes, minutes. */
export interface WorkTime {
  name: string;
  /** What is counted. */
  unit: string;
  each: number;
  setUp: number;
}

/**
 * Usual times of one person, minutes. Source: Lumbet's own, of ordinary first-fix work in lived-in houses; the user's own times and
 * those learned on the job go before them.
 */
export const workTimes: Record<TaskKind, WorkTime> = {
  "boards-up": { name: "Boards up", unit: "m²", each: 3, setUp: 5 },
  bore: { name: "Drill", unit: "holes", each: 2, setUp: 5 },
  chase: { name: "Chase", unit: "m", each: 12, setUp: 8 },
  box: { name: "Boxes", unit: "boxes", each: 8, setUp: 4 },
  section: { name: "Fix containment", unit: "m", each: 10, setUp: 8 },
  "draw-in": { name: "Draw in", unit: "m", each: 1.2, setUp: 4 },
  clip: { name: "Clip", unit: "clips", each: 0.7, setUp: 3 },
  cover: { name: "Cover chases", unit: "m", each: 4, setUp: 3 },
  tails: { name: "Coil and flag ends", unit: "boxes", each: 3, setUp: 2 },
  test: { name: "Test on the tails", unit: "runs", each: 4, setUp: 8 },
  photo: { name: "Photograph", unit: "faces", each: 2, setUp: 1 },
  close: { name: "Release for closing", unit: "surfaces", each: 3, setUp: 1 },
};

/** How much more a hole in masonry, or a box let into it, takes than one in timber. Source: as above. */
export const inMasonry = { hole: 4, box: 2 } as const;

/** Minutes of one unit: what the user says, else what was learned, else what is usual. */
export const minutesEach = (
  kind: TaskKind,
  work: { minutes: Partial<Record<TaskKind, number>> },
  learned: Partial<Record<TaskKind, number>>,
): number => work.minutes[kind] ?? workTimes[kind].each * (learned[kind] ?? 1);
