import { readNumber } from "../base/numbers";
import type { XY } from "../base/polygon";
import type { Refusal } from "../job/patch";

/** A room as it was walked: each side with its length (null: could not be measured) and the turn at its far end in degrees, right positive (null: not known). */
export interface Walk {
  sides: { length: number | null; turn: number | null }[];
}

/** Shortest and longest side a walk takes, mm. */
const LEAST = 10;
const MOST = 50_000;
/** Of the perimeter: a larger gap at the end is not a slip of the tape but a side not walked. */
const GAP_SHARE = 0.03;
const GAP_LEAST = 150;
/** Most sides that may stay unmeasured: two equations, two unknowns. */
const UNKNOWN_MOST = 2;

/**
 * Reads a walk round a room with the wall on the left hand: lengths in mm (or `3.6m`), `r` and `l` for a right and a left turn of
 * 90° (`r45`, `l30` for other turns), `?` for a side that could not be measured. The last turn may be left out; so may the last side, once
 * three are known.
 * @returns the walk, or what cannot be read with its place
 */
export function readWalk(text: string): { walk: Walk } | { refusals: Refusal[] } {
  const tokens = joinThousands(text.trim().toLowerCase())
    .split(/[\s;]+/)
    .filter(Boolean);
  const refuse = (message: string): { refusals: Refusal[] } => ({ refusals: [{ path: "walk", message }] });
  if (!tokens.length)
    return refuse("the walk is empty; write a length and a turn for each side, such as 3600 r 2800 r 3600 r 2800");
  const sides: { length: number | null; turn: number | null }[] = [];
  let wantsLength = true;
  for (const [i, t] of tokens.entries()) {
    const turn = /^([rl])(\d+(?:\.\d+)?)?°?$/.exec(t);
    const length = /^\d/.test(t) ? readNumber(t, "mm") : null;
    if (wantsLength) {
      if (t === "?") sides.push({ length: null, turn: null });
      else if (length?.ok) {
        const mm = length.value;
        if (mm < LEAST || mm > MOST)
          return refuse(`side ${sides.length + 1} is ${t}; a side is ${LEAST} to ${MOST} mm`);
        sides.push({ length: mm, turn: null });
      } else if (length) return refuse(`side ${sides.length + 1} is “${t}”: ${length.why}`);
      else
        return refuse(
          `${turn ? `word ${i + 1} is the turn ${t} where` : `word ${i + 1} is “${t}”;`} a length in mm, a length like 3.6m, or ? is wanted`,
        );
    } else {
      if (!turn) return refuse(`word ${i + 1} is “${t}”; a turn is wanted there: r or l, or with its degrees, r45`);
      const degrees = turn[2] === undefined ? 90 : Number(turn[2]);
      if (degrees <= 0 || degrees >= 180)
        return refuse(`turn ${sides.length} is ${t}; a turn is more than 0 and less than 180 degrees`);
      sides[sides.length - 1]!.turn = turn[1] === "r" ? degrees : -degrees;
    }
    wantsLength = !wantsLength;
  }
  const walk = completed(sides);
  const unknown = walk.sides.filter((s) => s.length === null).length;
  if (unknown > UNKNOWN_MOST)
    return refuse(`${unknown} sides have no length; at most ${UNKNOWN_MOST} can be worked out from the rest`);
  return { walk };
}

/** A number and its unit, or its thousands, written apart belong together; a comma elsewhere only parts words. */
const joinThousands = (text: string): string =>
  text.replace(/(\d)[\s\u2009\u00a0]+(mm|cm|m)(?![a-z])/g, "$1$2").replace(/,(?!\d)/g, " ");

/** Corners of a walk from the start, heading north first, taking unknown sides as nothing; one more than there are sides. */
export function stepsOf(walk: Walk): XY[] {
  const out: XY[] = [{ x: 0, y: 0 }];
  let heading = 0;
  for (const s of walk.sides) {
    const last = out[out.length - 1]!;
    const a = (heading * Math.PI) / 180;
    out.push({ x: last.x + Math.sin(a) * (s.length ?? 0), y: last.y + Math.cos(a) * (s.length ?? 0) });
    heading += s.turn ?? 0;
  }
  return out;
}

/** Fewest sides from which the way home is plain: two could go on anywhere. */
const PLAIN = 3;

/** Fills in what a person leaves out: the last turn, and the side that leads back to the start. */
function completed(sides: Walk["sides"]): Walk {
  if (sides.length < PLAIN) return { sides };
  const known = sides.slice(0, -1).reduce((sum, s) => sum + (s.turn ?? 0), 0);
  const last = sides[sides.length - 1]!;
  const full = known < 0 ? -360 : 360;
  if (last.turn !== null) {
    if (Math.abs(known + last.turn - full) < 1e-6 && sides.length > 2) return { sides };
    // Turned, but not yet all the way round: one more side leads home.
    return { sides: [...sides, { length: null, turn: full - known - last.turn }] };
  }
  const steps = stepsOf({ sides });
  const end = steps[steps.length - 1]!;
  const perimeter = sides.reduce((sum, s) => sum + (s.length ?? 0), 0);
  const gap = Math.hypot(end.x, end.y);
  const allKnown = sides.every((s) => s.length !== null);
  if (sides.length > 2 && (!allKnown || gap <= Math.max(GAP_LEAST, GAP_SHARE * perimeter)))
    return { sides: [...sides.slice(0, -1), { ...last, turn: full - known }] };
  if (!allKnown) return { sides };
  // Straight back to the start: the length and both turns follow.
  return { sides: [...sides, { length: null, turn: null }] };
}
