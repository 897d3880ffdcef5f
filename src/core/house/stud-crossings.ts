import { topAt } from "../base/ceiling";
import { EPS } from "../base/tolerance";
import type { UV } from "../base/rect";
import type { Face } from "./face";

/** A timber of a stud wall that a cable in its void must be taken through. mm on the face. */
export interface StudCrossing {
  part: "stud" | "noggin" | "head-plate" | "sole-plate";
  /** Number of the stud from the wall's left end. */
  stud?: number;
  u: number;
  v: number;
}

/** A cable that comes this near the very top or foot of the wall goes on through its plate, mm. */
const AT_PLATE = 1;

/** The timbers that a level or plumb stretch of cable in the void of a face passes through, from its start on. */
export function studCrossings(f: Face, a: UV, b: UV): StudCrossing[] {
  const s = f.studs;
  if (!s) return [];
  const between = (x: number, p: number, q: number): boolean => x > Math.min(p, q) + EPS && x < Math.max(p, q) - EPS;
  const level = Math.abs(a.v - b.v) <= Math.abs(a.u - b.u);
  if (level) {
    const out = s.studs.filter((x) => between(x.at, a.u, b.u));
    if (b.u < a.u) out.reverse();
    return out.map((x) => ({ part: "stud", stud: x.n, u: x.at, v: a.v + ((b.v - a.v) * (x.at - a.u)) / (b.u - a.u) }));
  }
  const out: StudCrossing[] = s.noggins.filter((v) => between(v, a.v, b.v)).map((v) => ({ part: "noggin", u: a.u, v }));
  const top = f.shape.top ? topAt(f.shape.top, a.u) : f.shape.height;
  for (const p of [a, b]) {
    if (p.v >= top - AT_PLATE) out.push({ part: "head-plate", u: p.u, v: top });
    if (p.v <= AT_PLATE) out.push({ part: "sole-plate", u: p.u, v: 0 });
  }
  return out.sort((p, q) => (b.v > a.v ? p.v - q.v : q.v - p.v));
}
