import { compareCircuits } from "../src/core/circuits/compare";
import { cutStock } from "../src/core/materials/cut-stock";
const at = Array.from({ length: 25 }, (_, i) => [(i * 7919) % 9000, (i * 104_729) % 7000] as const);
const d = at.map(([x, y]) => at.map(([u, v]) => Math.abs(x - u) + Math.abs(y - v)));
const c = compareCircuits(d); console.log(c.ring.length, c.ring.bound, c.radials.total, c.radials.bound);
const pieces = Array.from({ length: 60 }, (_, i) => ({ id: `p${i}`, length: 2000 + ((i * 7919) % 11_000) }));
const stock = Array.from({ length: 8 }, (_, i) => ({ id: `d${i}`, length: i % 2 ? 100_000 : 50_000 }));
for (const b of [1, 150000]) { const t = performance.now(); const r = cutStock(pieces, stock, b); console.log(b, performance.now()-t, r.cuts.length, r.bound, r.left, r.leftBound, r.optimal, pieces.reduce((s,p)=>s+p.length,0)); }
const d13 = at.slice(0,14).map(([x, y]) => at.slice(0,14).map(([u, v]) => Math.abs(x - u) + Math.abs(y - v)));
const t = performance.now(); compareCircuits(d13); console.log("compare13", performance.now()-t);
