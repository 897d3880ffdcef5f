import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { type Piece, cutStock } from "./cut-stock";
import { fillBest } from "./fill-best";

/** Every assignment, by brute force: the oracle. */
function brute(pieces: readonly Piece[], stock: readonly Piece[]): { unmet: number; opened: number; left: number } {
  let best = { unmet: Infinity, opened: Infinity, left: -Infinity };
  const left = stock.map((s) => s.length);
  const used = stock.map(() => 0);
  const go = (i: number, unmet: number): void => {
    if (i === pieces.length) {
      const open = left.filter((_, s) => used[s]! > 0);
      const sc = { unmet, opened: open.length, left: Math.max(0, ...open) };
      if (
        sc.unmet < best.unmet ||
        (sc.unmet === best.unmet && (sc.opened < best.opened || (sc.opened === best.opened && sc.left > best.left)))
      )
        best = sc;
      return;
    }
    for (let s = 0; s < stock.length; s++)
      if (left[s]! >= pieces[i]!.length) {
        left[s]! -= pieces[i]!.length;
        used[s]!++;
        go(i + 1, unmet);
        used[s]!--;
        left[s]! += pieces[i]!.length;
      }
    go(i + 1, unmet + pieces[i]!.length);
  };
  go(0, 0);
  return best;
}

const list = (prefix: string, min: number, max: number, most: number) =>
  fc
    .array(fc.integer({ min, max }), { minLength: 1, maxLength: most })
    .map((ls) => ls.map((length, i) => ({ id: `${prefix}${i}`, length })));

describe("cutting drums", () => {
  it("by hand: 6 + 4 + 3 + 2 from drums of 10 and 8 opens both and keeps 3 on one (10 − 6 − 4 full, 8 − 3 − 2)", () => {
    const c = cutStock(
      [6, 4, 3, 2].map((length, i) => ({ id: `p${i}`, length })),
      [
        { id: "a", length: 10 },
        { id: "b", length: 8 },
      ],
    );
    expect(c).toMatchObject({ unmet: [], left: 3, bound: 2, optimal: true });
  });
  it("agrees with brute force, and conserves every length", () =>
    fc.assert(
      fc.property(list("p", 1, 40, 6), list("d", 10, 60, 3), (pieces, stock) => {
        const c = cutStock(pieces, stock);
        const b = brute(pieces, stock);
        const length = new Map([...pieces, ...stock].map((x) => [x.id, x.length]));
        expect(c.unmet.reduce((s, id) => s + length.get(id)!, 0)).toBe(b.unmet);
        expect(c.cuts.length).toBe(b.opened);
        expect(c.left).toBe(b.left);
        expect(c.optimal).toBe(true);
        for (const cut of c.cuts)
          expect(cut.pieces.reduce((s, id) => s + length.get(id)!, 0) + cut.left).toBe(length.get(cut.stock));
        expect([...c.cuts.flatMap((x) => x.pieces), ...c.unmet].sort()).toEqual(pieces.map((p) => p.id).sort());
      }),
      { numRuns: 150 },
    ));
  it("60 pieces on 8 drums: nothing unmet, a bound given, and the same plan twice", () => {
    const pieces = Array.from({ length: 60 }, (_, i) => ({ id: `p${i}`, length: 2000 + ((i * 7919) % 11_000) }));
    const stock = Array.from({ length: 8 }, (_, i) => ({ id: `d${i}`, length: i % 2 ? 100_000 : 50_000 }));
    const c = cutStock(pieces, stock);
    expect(c.unmet).toEqual([]);
    expect(c.bound).toBeLessThanOrEqual(c.cuts.length);
    expect(c.leftBound).toBeGreaterThanOrEqual(c.left);
    expect(cutStock(pieces, stock)).toEqual(c);
  });
  it("names pieces longer than any drum", () =>
    expect(
      cutStock(
        [
          { id: "long", length: 90 },
          { id: "short", length: 5 },
        ],
        [{ id: "d", length: 50 }],
      ),
    ).toMatchObject({ unmet: ["long"], cuts: [{ stock: "d", pieces: ["short"], left: 45 }] }));
});

describe("filling one length as full as can be", () => {
  it("never goes over, and matches every subset tried", () =>
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 60 }), { minLength: 1, maxLength: 9 }),
        fc.integer({ min: 1, max: 150 }),
        (lengths, capacity) => {
          const chosen = fillBest(lengths, capacity);
          const got = chosen.reduce((s, i) => s + lengths[i]!, 0);
          let best = 0;
          for (let set = 0; set < 1 << lengths.length; set++) {
            const t = lengths.reduce((s, l, i) => s + (set & (1 << i) ? l : 0), 0);
            if (t <= capacity) best = Math.max(best, t);
          }
          expect(got).toBe(best);
          expect(new Set(chosen).size).toBe(chosen.length);
        },
      ),
    ));
});
