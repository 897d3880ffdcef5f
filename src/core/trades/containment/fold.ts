/**
 * Folding trunking and tray from straight lengths. A notch opens the sides and leaves the back: it closes to the fold's angle
 * when its half width is depth × tan(angle / 2). All lengths mm, angles degrees. Source: geometry of the fold.
 */
const RAD = Math.PI / 180;

/** Half width of the notch whose closing folds by `angle`. */
export const halfNotch = (depth: number, angle: number): number => depth * Math.tan((angle * RAD) / 2);
/** Angle folded by closing a notch of that half width. */
export const foldAngle = (depth: number, half: number): number => (2 * Math.atan(half / depth)) / RAD;

export interface SetMarks {
  angle: number;
  halfNotch: number;
  /** From the first fold line to the second, along the face the first is on. */
  pitch: number;
  secondNear: number;
  /** First near, fold, far; second near, fold, far; the first fold at 0. */
  marks: [number, number, number, number, number, number];
}

/**
 * A set: two folds by the same angle the opposite ways, cut from opposite faces. The second fold is not the offset's slope
 * away from the first: since the hinges lie on opposite faces it moves by depth × tan(angle / 2).
 */
export function setMarks(depth: number, offset: number, angle: number): SetMarks {
  const half = halfNotch(depth, angle);
  const pitch = offset / Math.sin(angle * RAD) + half;
  return {
    angle,
    halfNotch: half,
    pitch,
    secondNear: pitch - half,
    marks: [-half, 0, half, pitch - half, pitch, pitch + half],
  };
}

/** How far from the centre line each of the two cuts of a flat tray bend lies: each folds half the angle about the outer lip. */
export const trayCutOffset = (width: number, angle: number): number => width * Math.sin((angle * RAD) / 2);

/**
 * Folds trunking in the plane at the marks of a set and returns how far the last part stands off the first: the proof of the
 * set's arithmetic, used by the test and by the drawing of the finished piece.
 * @returns corners of the first and the second face, mm, before the first fold and after the second
 */
export function foldedSet(
  depth: number,
  s: Pick<SetMarks, "angle" | "pitch">,
  before: number,
  after: number,
): { lower: [number, number][]; upper: [number, number][] } {
  const t = s.angle * RAD;
  const turn = (x: number, y: number): [number, number] => [
    x * Math.cos(t) - y * Math.sin(t),
    x * Math.sin(t) + y * Math.cos(t),
  ];
  const hinge = turn(s.pitch, depth);
  const half = halfNotch(depth, s.angle);
  return {
    lower: [[-before, 0], [0, 0], turn(s.pitch - half, 0), [hinge[0] + half + after, hinge[1] - depth]],
    upper: [[-before, depth], [-half, depth], turn(half, depth), hinge, [hinge[0] + half + after, hinge[1]]],
  };
}
