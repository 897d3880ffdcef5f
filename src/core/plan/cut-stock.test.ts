import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { type Piece, cutStock, searchCuts } from "./cut-stock";
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

describe("how cutting is proven", () => {
  const items = (prefix: string, lengths: readonly number[]): Piece[] =>
    lengths.map((length, i) => ({ id: `${prefix}${i}`, length }));
  /** Made-up lengths, the same every time: 3 to 3 + `spread`. */
  const lengths = (seed: number, n: number, spread: number): number[] =>
    Array.from({ length: n }, (_, i) => 3 + (((i + 1) * 7919 * seed + seed * seed * 104_729) % spread));
  const sheets = Array.from({ length: 24 }, (_, k) => ({
    pieces: items("p", lengths(k + 1, 5 + (k % 4), 19 + k)),
    stock: items(
      "d",
      lengths(k + 40, 2 + (k % 3), 31).map((l) => l + 12),
    ),
  }));
  it("on two dozen made-up sheets: as brute force has it, in as few branches as are kept", () => {
    const branches = sheets.map(({ pieces, stock }) => {
      const s = searchCuts(pieces, stock);
      const b = brute(pieces, stock);
      const unmet = s.plan.unmet.reduce((sum, id) => sum + pieces.find((p) => p.id === id)!.length, 0);
      expect({ unmet, opened: s.plan.cuts.length, left: s.plan.left }).toEqual(b);
      expect([s.plan.optimal, s.plan.bound, s.plan.leftBound]).toEqual([true, b.opened, b.left]);
      return s.branches;
    });
    expect(branches).toMatchSnapshot();
  });
  it("lengths that are not whole are told apart to a millionth", () => {
    const third = items("p", [10 / 3, 10 / 3, 10 / 3]);
    expect(cutStock(third, items("d", [10]))).toMatchObject({ unmet: [], bound: 1, optimal: true });
    expect(cutStock(items("p", [5, 5.001]), items("d", [10, 10]))).toMatchObject({ unmet: [], bound: 2, left: 5 });
  });
  it("what a first plan reaches is not searched further", () => {
    // One drum holds both, and 10 − 6 − 4 leaves what it must.
    expect(searchCuts(items("p", [6, 4]), items("d", [10, 10])).branches).toBe(0);
    expect(searchCuts([], items("d", [10]))).toMatchObject({
      branches: 0,
      plan: { cuts: [], unmet: [], left: 0, bound: 0, leftBound: 0, optimal: true },
    });
    expect(searchCuts(items("p", [4]), []).plan).toMatchObject({ cuts: [], unmet: ["p0"], left: 0, bound: 0 });
  });
  it("cut short, the bounds are of lengths alone: 9 + 9 + 9 + 6 needs two of 20 by sum and three by halves", () => {
    const short = cutStock(items("p", [9, 9, 9, 6]), items("d", [20, 20, 16]), 0);
    expect(short).toMatchObject({ optimal: false, bound: 2 });
    // Two drums of 20 hold 40: 40 − 33 = 7 could stand on one of them.
    expect(short.leftBound).toBe(7);
    // Over half of the longest each: a drum a piece; of 51 in all 33 are used, and one keeps at most 17 − 11.
    const halves = cutStock(items("p", [11, 11, 11]), items("d", [17, 17, 17]), 0);
    expect(halves).toMatchObject({ bound: 3, leftBound: 6, left: 6 });
    // Half is not over half: two of 10 share one of 20.
    expect(cutStock(items("p", [10, 10]), items("d", [20, 20]), 0)).toMatchObject({ bound: 1, left: 0 });
    // More pieces than drums: never more drums than there are.
    expect(cutStock(items("p", [11, 11, 11]), items("d", [17]), 0)).toMatchObject({ bound: 1, unmet: ["p1", "p2"] });
  });
  it("spent on the way, the best found so far is given, never worse than the first plan", () => {
    for (const { pieces, stock } of sheets) {
      const [first, some, all] = [0, 3, 1e6].map((budget) => cutStock(pieces, stock, budget));
      const length = (c: { unmet: string[] }) =>
        c.unmet.reduce((sum, id) => sum + pieces.find((p) => p.id === id)!.length, 0);
      const rank = (c: typeof all): number => length(c!) * 1e6 + c!.cuts.length * 1e3 - c!.left;
      expect(rank(some)).toBeLessThanOrEqual(rank(first));
      expect(rank(all)).toBeLessThanOrEqual(rank(some));
      // Nor do the bounds ever pass the best there is.
      if (length(first!) === length(all!)) {
        expect(first!.bound).toBeLessThanOrEqual(all!.cuts.length);
        if (first!.cuts.length === all!.cuts.length) expect(first!.leftBound).toBeGreaterThanOrEqual(all!.left);
      }
    }
  });
  it("a remnant is kept on the drum that can keep most: 5 off the 8 leaves the 30 whole", () => {
    const c = cutStock(items("p", [5]), items("d", [30, 8]));
    expect(c).toMatchObject({ bound: 1, left: 25 });
    const two = cutStock(items("p", [20, 5]), items("d", [20, 12, 30]));
    expect(two).toMatchObject({ cuts: [{ stock: "d2", left: 5 }], left: 5 });
  });
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
