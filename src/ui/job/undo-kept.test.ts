import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Change } from "../../core/job/patch";
import { type Kept, joined } from "./undo-kept";

const step = (n: number): Change[] => [{ collection: "head", id: "name", before: `${n}`, after: `${n + 1}` }];
const steps = (from: number, to: number): Change[][] => Array.from({ length: to - from }, (_, i) => step(from + i));
const kept = (past: Change[][], at: number, before = 0, future: Change[][] = []): Kept => ({
  past,
  future,
  before,
  at,
});

describe("undo over a reload", () => {
  it("is the long list, and what was done after it was last written", () => {
    expect(joined(kept(steps(0, 100), 5), kept(steps(63, 103), 9, 63))).toEqual({
      past: steps(0, 103),
      future: [],
      before: 0,
    });
  });
  it("is the one that there is, or the newer where the long list is", () => {
    expect(joined(null, null)).toBeNull();
    const one = kept(steps(0, 3), 5);
    expect(joined(one, null)).toBe(one);
    expect(joined(null, one)).toBe(one);
    expect(joined(one, kept(steps(0, 2), 4))).toBe(one);
  });
  it("goes back only as far as the two meet: a gap between them is not bridged", () => {
    const late = kept(steps(63, 103), 9, 63);
    expect(joined(kept(steps(0, 50), 5), late)).toBe(late);
    expect(joined(kept(steps(70, 80), 5, 70), late)).toBe(late);
  });
  it("takes steps back that were undone before the page was left", () => {
    expect(joined(kept(steps(0, 10), 5), kept(steps(0, 8), 9, 0, [step(9), step(8)]))).toEqual({
      past: steps(0, 8),
      future: [step(9), step(8)],
      before: 0,
    });
  });
  it("whatever was written when, the steps follow one another without a gap, and end where the page was left", () => {
    fc.assert(
      fc.property(fc.nat({ max: 90 }), fc.nat({ max: 90 }), fc.nat({ max: 40 }), (long, more, most) => {
        const end = long + more;
        const from = Math.max(0, end - most);
        const out = joined(kept(steps(0, long), 1), kept(steps(from, end), 2, from))!;
        expect(out.past).toEqual(steps(out.before, end));
        expect(out.before).toBe(from <= long ? 0 : from);
      }),
    );
  });
});
