import { EPS, atMost } from "../../base/tolerance";
import { type Fact, fact } from "../../rules/fact";
import {
  type Construction,
  SHORT_MOST,
  longCable,
  longConduit,
  longSizes,
  shortCable,
  shortConduit,
  trunkingCable,
  trunkingFactor,
} from "../../rules/term-tables";

export interface Core {
  csa: number;
  construction: Construction;
  qty: number;
}
/** What the conductors are drawn into. `size` as sold ("20", "50x50"); length mm; bends as right angles between draw-in points. */
export interface Container {
  kind: "conduit" | "trunking";
  size: string;
  length: number;
  bends: number;
}
export interface TermFill {
  sum: number;
  /** Factor of the containment; null beyond the table, where a draw-in point is needed. */
  limit: number | null;
  ok: boolean;
  facts: Fact[];
}

/** What cannot be looked up: the field and the words. */
export interface TermFault {
  path: string;
  message: string;
}

/** "50 × 38", "38x50" and 50x38 are one size. */
export function sizeName(size: string | number): string {
  const parts = String(size).toLowerCase().replace(/[×*]/g, "x").replace(/\s/g, "").split("x").map(Number);
  return parts.sort((a, b) => b - a).join("x");
}

/** Straight conduit up to 3 m goes by the short table, all other conduit by the long one. */
const isShort = (c: Container): boolean => c.bends === 0 && atMost(c.length, SHORT_MOST);

/** Factor of one conductor in that container, or the fault that there is none. */
function cableFactor(c: Container, core: Core, path: string): number | TermFault {
  const table =
    c.kind === "trunking" ? trunkingCable[core.construction] : isShort(c) ? shortCable[core.construction] : longCable;
  const f = table[String(core.csa)];
  if (f !== undefined) return f;
  const where =
    c.kind === "trunking" ? "in trunking" : isShort(c) ? "in straight conduit up to 3 m" : "in longer or bent conduit";
  const sizes = Object.keys(table)
    .map(Number)
    .sort((a, b) => a - b);
  return {
    path: `${path}.csa`,
    message: `got ${core.csa}; the factors for ${core.construction} conductors ${where} are for ${sizes.join(", ")} mm²; use fill.space for other sizes`,
  };
}

/** Factor of the container: a number, null beyond the table, or the fault that the size is not in it. */
function containerFactor(c: Container): number | null | TermFault {
  const size = sizeName(c.size);
  const unknown = (sizes: readonly string[], where: string): TermFault => ({
    path: "container.size",
    message: `got "${c.size}"; the factors ${where} are for ${sizes.join(", ")}`,
  });
  if (c.kind === "trunking") return trunkingFactor[size] ?? unknown(Object.keys(trunkingFactor), "of trunking");
  if (isShort(c)) return shortConduit[size] ?? unknown(Object.keys(shortConduit), "of straight conduit up to 3 m");
  const col = longSizes.indexOf(size as (typeof longSizes)[number]);
  if (col < 0) return unknown(longSizes, "of conduit longer than 3 m or with bends");
  const metres = c.length / 1000;
  const row = longConduit.find((r) => metres <= r.length + EPS / 1000 && (c.bends > 0 || r.bends[0] !== null));
  return row?.bends[c.bends]?.[col] ?? null;
}

const isFault = (x: number | null | TermFault): x is TermFault => typeof x === "object" && x !== null;

/**
 * Sum of cable factors against the factor of the conduit or trunking. Inclusive: a sum equal to the limit fits. Between two
 * lengths of the table the longer is taken; beyond it a draw-in point is needed (`fill.draw-in`, stop); more than two right
 * angles is bad practice (`fill.draw-in`, warn). Source: see term-tables.
 */
export function termFill(container: Container, cores: readonly Core[]): TermFill | TermFault {
  let sum = 0;
  for (const [i, core] of cores.entries()) {
    const f = cableFactor(container, core, `cores.${i}`);
    if (typeof f !== "number") return f;
    sum += f * core.qty;
  }
  const limit = containerFactor(container);
  if (isFault(limit)) return limit;
  const facts: Fact[] = [];
  const subject = `${container.kind} ${sizeName(container.size)}`;
  if (limit === null)
    facts.push(
      fact("fill.draw-in", "input", subject, {
        case: "beyond",
        measured: container.bends,
        unit: "bends",
        of: { metres: container.length / 1000 },
      }),
    );
  else if (container.bends > 2)
    facts.push(
      fact("fill.draw-in", "input", subject, {
        case: "bends",
        severity: "warn",
        measured: container.bends,
        limit: 2,
        sense: "most",
        unit: "bends",
      }),
    );
  if (limit !== null && !atMost(sum, limit))
    facts.push(fact("fill.term", "input", subject, { measured: sum, limit, sense: "most", unit: "" }));
  return { sum, limit, ok: limit !== null && atMost(sum, limit), facts };
}
