/** Solves a square set of linear equations by elimination with row exchange; null when it has no single answer. Rows are not kept. */
export function solve(rows: number[][], right: number[]): number[] | null {
  const n = right.length;
  const scale = Math.max(1e-300, ...rows.flat().map(Math.abs));
  for (let c = 0; c < n; c++) {
    let best = c;
    for (let r = c + 1; r < n; r++) if (Math.abs(rows[r]![c]!) > Math.abs(rows[best]![c]!)) best = r;
    if (Math.abs(rows[best]![c]!) < scale * 1e-14) return null;
    [rows[c], rows[best]] = [rows[best]!, rows[c]!];
    [right[c], right[best]] = [right[best]!, right[c]!];
    for (let r = c + 1; r < n; r++) {
      const f = rows[r]![c]! / rows[c]![c]!;
      if (f === 0) continue;
      for (let k = c; k < n; k++) rows[r]![k]! -= f * rows[c]![k]!;
      right[r]! -= f * right[c]!;
    }
  }
  const out = new Array<number>(n).fill(0);
  for (let r = n - 1; r >= 0; r--) {
    let sum = right[r]!;
    for (let k = r + 1; k < n; k++) sum -= rows[r]![k]! * out[k]!;
    out[r] = sum / rows[r]![r]!;
  }
  return out;
}
