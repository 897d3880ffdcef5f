/**
 * Minutes for planning a day. Typical; one electrician, tools at hand. Per piece, or per metre where named so.
 * A wall is drilled in the time for 100 mm of masonry or for 250, and in between.
 */
export const minutes = {
  bore: 2,
  notch: 6,
  studHole: 1.5,
  wallHole: { thin: 6, thick: 12 },
  chaseMetre: { plaster: 6, masonry: 12 },
  boardMetre: { up: 2.5, down: 1.5 },
  drawIn: { run: 3, metre: 0.5 },
  box: { masonry: 16, other: 8 },
  containmentMetre: 10,
  clip: 0.7,
  coverMetre: 4,
  tails: 3,
  test: 4,
  ring: 8,
  photo: 2,
  release: 3,
  /** By hand, 600 deep and as wide as a spade; in soft ground. */
  digMetre: 20,
  fillMetre: 10,
  hang: 30,
  light: 20,
  isolate: 10,
  joint: 10,
  /** Setting up at one place for one kind of work. */
  setUp: 5,
} as const;

/** Thicknesses that the two times for a hole in a wall stand for, mm. */
export const wallHoleThickness = { thin: 100, thick: 250 } as const;

/**
 * Minutes to core a hole through a wall so thick, mm; less than the thin wall takes none, more than the thick takes
 * more in proportion.
 */
export const wallHoleMinutes = (thickness: number): number => {
  const { thin, thick } = minutes.wallHole;
  const over = wallHoleThickness;
  return Math.max(thin, thin + ((thickness - over.thin) * (thick - thin)) / (over.thick - over.thin));
};

/** What of a run takes time, lengths mm. */
export interface TimedParts {
  newBores: number;
  studHoles: number;
  /** Thickness of each wall that is cored. */
  walls: readonly number[];
  chase: { plaster: number; masonry: number };
  boards: number;
  length: number;
}

/**
 * Minutes to bore, core, chase, lift and put back boards, and draw the cable in. Boxes, clips and ends are the same
 * whatever the way.
 */
export const minutesFor = (p: TimedParts): number =>
  p.newBores * minutes.bore +
  p.studHoles * minutes.studHole +
  p.walls.reduce((s, t) => s + wallHoleMinutes(t), 0) +
  (p.chase.plaster * minutes.chaseMetre.plaster + p.chase.masonry * minutes.chaseMetre.masonry) / 1000 +
  (p.boards * (minutes.boardMetre.up + minutes.boardMetre.down)) / 1000 +
  minutes.drawIn.run +
  (p.length * minutes.drawIn.metre) / 1000;

/** Kinds of work on site, in the order that the work forces. */
export const taskKinds = [
  "isolate",
  "boards-up",
  "bore",
  "chase",
  "box",
  "section",
  "dig",
  "hang",
  "lights",
  "draw-in",
  "clip",
  "cover",
  "tails",
  "joint",
  "test",
  "ring",
  "photo",
  "boards-down",
  "close",
  "fill",
] as const;
export type TaskKind = (typeof taskKinds)[number];

/** What one unit of a kind of work is called, one and several of it, and the minutes of its plainest unit. */
export interface WorkKind {
  name: string;
  one: string;
  many: string;
  each: number;
}

export const workKinds: Record<TaskKind, WorkKind> = {
  "boards-up": { name: "Boards up", one: "m", many: "m", each: minutes.boardMetre.up },
  bore: { name: "Drill", one: "hole", many: "holes", each: minutes.bore },
  chase: { name: "Chase", one: "m", many: "m", each: minutes.chaseMetre.masonry },
  box: { name: "Boxes", one: "box", many: "boxes", each: minutes.box.other },
  section: { name: "Fix containment", one: "m", many: "m", each: minutes.containmentMetre },
  "draw-in": { name: "Draw in", one: "m", many: "m", each: minutes.drawIn.metre },
  clip: { name: "Clip", one: "clip", many: "clips", each: minutes.clip },
  cover: { name: "Cover chases", one: "m", many: "m", each: minutes.coverMetre },
  tails: { name: "Coil and flag ends", one: "box", many: "boxes", each: minutes.tails },
  test: { name: "Test on the tails", one: "run", many: "runs", each: minutes.test },
  ring: { name: "Test rings end to end", one: "ring", many: "rings", each: minutes.ring },
  photo: { name: "Photograph", one: "face", many: "faces", each: minutes.photo },
  "boards-down": { name: "Boards down", one: "m", many: "m", each: minutes.boardMetre.down },
  isolate: { name: "Isolate and break into", one: "circuit", many: "circuits", each: minutes.isolate },
  joint: { name: "Join old and new", one: "joint", many: "joints", each: minutes.joint },
  dig: { name: "Dig", one: "m", many: "m", each: minutes.digMetre },
  hang: { name: "Hang the wire", one: "span", many: "spans", each: minutes.hang },
  lights: { name: "Set lights", one: "light", many: "lights", each: minutes.light },
  fill: { name: "Bed, tape and fill", one: "m", many: "m", each: minutes.fillMetre },
  close: { name: "Release for closing", one: "face", many: "faces", each: minutes.release },
};

/** By how much a kind of work takes longer than usual: what the user says, else what was learned, else as usual. */
export const timeFactor = (
  kind: TaskKind,
  work: { minutes: Partial<Record<TaskKind, number>> },
  learned: Partial<Record<TaskKind, number>>,
): number => (work.minutes[kind] === undefined ? (learned[kind] ?? 1) : work.minutes[kind] / workKinds[kind].each);
