import { compareCircuits } from "../src/core/circuits/compare";
import { tourBound } from "../src/core/circuits/tour-bounds";
let seed = 7; const rnd = (m: number) => (seed = (seed * 1103515245 + 12345) % 2147483648) % m;
for (const n of [10, 13, 20, 25, 40]) { for (let k = 0; k < 3; k++) {
const at = Array.from({ length: n }, () => [rnd(9000), rnd(7000)] as const);
const d = at.map(([x, y]) => at.map(([u, v]) => Math.abs(x - u) + Math.abs(y - v)));
const t = performance.now();
const c = compareCircuits(d); console.log(n, (c.ring.length / tourBound(d, c.ring.length)).toFixed(4), (c.radials.total/ c.radials.bound).toFixed(4), c.optimal, (performance.now()-t).toFixed(0)); }}
