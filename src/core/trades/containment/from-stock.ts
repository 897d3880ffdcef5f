import type { Fold, SectionPiece } from "./section-turns";

/** Least that is left between a cut end and a notch or a bend, mm. */
const CLEAR = 20;

/** A length with its folds cut into lengths of stock; a joint never goes through a notch or a bend. */
export function fromStock(whole: number, folds: readonly Fold[], stock: number): Omit<SectionPiece, "number">[] {
  const out: Omit<SectionPiece, "number">[] = [];
  let start = 0;
  const put = (end: number): void => {
    if (end - start <= 1e-6) return;
    const mine = folds.filter((f) => f.at > start && f.at < end).map((f) => ({ ...f, at: f.at - start }));
    out.push({ length: end - start, folds: mine });
    start = end;
  };
  while (whole - start > stock + 1e-6) {
    let end = start + stock;
    // From the last fold backwards: where one is moved clear of, it may meet the one before.
    for (const f of [...folds].reverse())
      if (Math.abs(f.at - end) < f.half + CLEAR) end = Math.min(end, f.at - f.half - CLEAR);
    put(end <= start + CLEAR ? start + stock : end);
  }
  put(whole);
  return out;
}

/** The same of a tube that is cut for boxes to draw from at some places along it, each taking `takes` of it in its middle. */
export function fromStockBetween(
  whole: number,
  folds: readonly Fold[],
  stock: number,
  boxes: readonly number[],
  takes: number,
): Omit<SectionPiece, "number">[] {
  const ends = [...boxes, whole];
  return ends.flatMap((end, i) => {
    const from = i ? boxes[i - 1]! + takes / 2 : 0;
    const to = i < boxes.length ? end - takes / 2 : end;
    const mine = folds.filter((f) => f.at > from && f.at < to).map((f) => ({ ...f, at: f.at - from }));
    return fromStock(to - from, mine, stock);
  });
}
