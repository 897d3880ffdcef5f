/**
 * A ring as a network of resistors, solved for any pair of ends: what a meter would show on a sound or a faulty ring. This is
 * the simulated dead-test meter and the oracle for the reading of rings. Resistances Ω.
 */
export type Conductor = "line" | "neutral" | "earth";
const conductors: readonly Conductor[] = ["line", "neutral", "earth"];

export interface RingFault {
  /** A conductor broken after the n-th place round the ring (0 is the first length from the board). */
  open?: { conductor: Conductor; after: number };
  /** A joint with so many ohms too much in one conductor. */
  loose?: { conductor: Conductor; after: number; ohms: number };
  /** The legs joined wrongly for the crossed test: each end with itself. */
  crossedWrong?: boolean;
  /** A cable that joins two places on the ring, mm long. */
  bridge?: { from: number; to: number; length: number };
  /** Spurs from a place, mm long. */
  spurs?: { id: string; from: number; length: number }[];
}

interface Resistor {
  a: number;
  b: number;
  ohms: number;
}

/** Resistance between two nodes of a network, or null when nothing joins them: Gaussian elimination on the node equations. */
export function between(nodes: number, parts: readonly Resistor[], from: number, to: number): number | null {
  // Only nodes that are joined to `from` take part.
  const part = new Int32Array(nodes).fill(-1);
  const queue = [from];
  part[from] = 0;
  let n = 1;
  while (queue.length) {
    const at = queue.pop()!;
    for (const r of parts) {
      const other = r.a === at ? r.b : r.b === at ? r.a : -1;
      if (other >= 0 && part[other]! < 0) {
        part[other] = n++;
        queue.push(other);
      }
    }
  }
  if (part[to]! < 0) return null;
  if (from === to) return 0;
  const m = Array.from({ length: n }, () => new Float64Array(n + 1));
  for (const r of parts) {
    const [i, j] = [part[r.a]!, part[r.b]!];
    if (i < 0 || i === j) continue;
    const g = 1 / Math.max(r.ohms, 1e-9);
    m[i]![i]! += g;
    m[j]![j]! += g;
    m[i]![j]! -= g;
    m[j]![i]! -= g;
  }
  // One ampere in at `from`, out at `to`, which is held at nought.
  const ground = part[to]!;
  m[part[from]!]![n]! += 1;
  m[ground]!.fill(0);
  m[ground]![ground] = 1;
  for (let c = 0; c < n; c++) {
    let pivot = c;
    for (let r = c + 1; r < n; r++) if (Math.abs(m[r]![c]!) > Math.abs(m[pivot]![c]!)) pivot = r;
    [m[c], m[pivot]] = [m[pivot]!, m[c]!];
    const head = m[c]![c]!;
    if (Math.abs(head) < 1e-15) continue;
    for (let r = 0; r < n; r++) {
      if (r === c) continue;
      const f = m[r]![c]! / head;
      if (f !== 0) for (let k = c; k <= n; k++) m[r]![k]! -= f * m[c]![k]!;
    }
  }
  const v = part[from]!;
  return m[v]![n]! / m[v]![v]!;
}

/** Readings of a ring with places at `at` (mm from one end, ascending), with resistances in Ω per mm. */
export function measureRing(
  length: number,
  line: number,
  cpc: number,
  places: readonly { id: string; at: number }[],
  fault: RingFault = {},
) {
  // Nodes: for each conductor the start, the places in order, the end; then the ends of spurs.
  const per = places.length + 2;
  const node = (c: Conductor, i: number): number => conductors.indexOf(c) * per + i;
  const ohms = (c: Conductor, mm: number): number => mm * (c === "earth" ? cpc : line);
  const spurs = fault.spurs ?? [];
  const spurNode = (c: Conductor, s: number): number => 3 * per + conductors.indexOf(c) * spurs.length + s;
  const nodes = 3 * per + 3 * spurs.length;
  const stops = [0, ...places.map((p) => p.at), length];
  const parts: Resistor[] = [];
  for (const c of conductors) {
    for (let i = 0; i + 1 < per; i++) {
      if (fault.open?.conductor === c && fault.open.after === i) continue;
      const more = fault.loose?.conductor === c && fault.loose.after === i ? fault.loose.ohms : 0;
      parts.push({ a: node(c, i), b: node(c, i + 1), ohms: ohms(c, stops[i + 1]! - stops[i]!) + more });
    }
    if (fault.bridge)
      parts.push({
        a: node(c, fault.bridge.from + 1),
        b: node(c, fault.bridge.to + 1),
        ohms: ohms(c, fault.bridge.length),
      });
    spurs.forEach((s, k) => parts.push({ a: node(c, s.from + 1), b: spurNode(c, k), ohms: ohms(c, s.length) }));
  }
  const endToEnd = (c: Conductor): number | null => between(nodes, parts, node(c, 0), node(c, per - 1));
  /** Line joined to the other conductor at the board: each start with the other's end, unless joined wrongly. */
  const crossed = (other: Conductor, a: number, b: number): number | null => {
    const links: Resistor[] = fault.crossedWrong
      ? [
          { a: node("line", 0), b: node(other, 0), ohms: 0 },
          { a: node("line", per - 1), b: node(other, per - 1), ohms: 0 },
        ]
      : [
          { a: node("line", 0), b: node(other, per - 1), ohms: 0 },
          { a: node("line", per - 1), b: node(other, 0), ohms: 0 },
        ];
    return between(nodes, [...parts, ...links], a, b);
  };
  return {
    r1: endToEnd("line"),
    rn: endToEnd("neutral"),
    r2: endToEnd("earth"),
    points: [
      ...places.map((p, i) => ({
        id: p.id,
        lineNeutral: crossed("neutral", node("line", i + 1), node("neutral", i + 1)),
        lineEarth: crossed("earth", node("line", i + 1), node("earth", i + 1)),
      })),
      ...spurs.map((s, k) => ({
        id: s.id,
        lineNeutral: crossed("neutral", spurNode("line", k), spurNode("neutral", k)),
        lineEarth: crossed("earth", spurNode("line", k), spurNode("earth", k)),
      })),
    ],
  };
}
