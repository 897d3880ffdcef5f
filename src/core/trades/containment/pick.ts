import type { Catalogue } from "../../rules/catalogue";
import { type Fact, fact } from "../../rules/fact";
import { type Filling, type Inside, SPACE_LIMIT, insideArea, spaceFill } from "./space-fill";
import { type Core, type TermFault, termFill } from "./term-fill";
import { longSizes, shortConduit, trunkingFactor } from "../../rules/term-tables";

export interface Choice {
  size: string;
  /** Sum of cable factors, for single cores. */
  sum?: number;
  /** Share of the inside, for all other cable. */
  percent?: number;
  limit: number;
}
export interface Picked {
  size: string | null;
  sum?: number;
  percent?: number;
  limit: number | null;
  /** Larger sizes that take them too, smallest first. */
  alternatives: Choice[];
  facts: Fact[];
}

function settle(fits: Choice[], tried: Choice[], none: Fact): Picked {
  const [first, ...alternatives] = fits;
  if (first) return { ...first, alternatives, facts: [] };
  const largest = tried[tried.length - 1];
  return {
    size: null,
    ...(largest?.sum === undefined ? {} : { sum: largest.sum }),
    ...(largest?.percent === undefined ? {} : { percent: largest.percent }),
    limit: largest?.limit ?? null,
    alternatives: [],
    facts: [none],
  };
}

/** Smallest conduit or trunking that takes the single cores, by cable factors. Length mm. */
export function pickForCores(
  kind: "conduit" | "trunking",
  length: number,
  bends: number,
  cores: readonly Core[],
): Picked | TermFault {
  const sizes =
    kind === "trunking"
      ? Object.entries(trunkingFactor)
          .sort((a, b) => a[1] - b[1])
          .map(([s]) => s)
      : bends === 0 && length <= 3000
        ? Object.keys(shortConduit)
        : [...longSizes];
  const tried: Choice[] = [];
  const fits: Choice[] = [];
  const facts: Fact[] = [];
  for (const size of sizes) {
    const f = termFill({ kind, size, length, bends }, cores);
    if ("message" in f) return f;
    if (f.limit === null) return { size: null, sum: f.sum, limit: null, alternatives: [], facts: f.facts };
    tried.push({ size, sum: f.sum, limit: f.limit });
    if (f.ok) {
      fits.push({ size, sum: f.sum, limit: f.limit });
      if (fits.length === 1) facts.push(...f.facts);
    }
  }
  const most = tried[tried.length - 1]!;
  const out = settle(
    fits,
    tried,
    fact("fill.term", "input", kind, {
      case: "largest",
      measured: most.sum!,
      limit: most.limit,
      sense: "most",
      unit: "",
      of: { size: most.size },
    }),
  );
  return { ...out, facts: [...out.facts, ...facts] };
}

/** Smallest conduit or trunking of the catalogue that takes the cables within 45 % of its inside. */
export function pickForCables(kind: "conduit" | "trunking", cables: readonly Filling[], catalogue: Catalogue): Picked {
  const all: { size: string; inside: Inside }[] =
    kind === "conduit"
      ? catalogue.conduits.map((c) => ({ size: c.id, inside: { diameter: c.inside } }))
      : catalogue.trunkings.map((t) => ({ size: t.id, inside: { width: t.insideWidth, height: t.insideHeight } }));
  const sorted = all.sort((a, b) => insideArea(a.inside) - insideArea(b.inside) || (a.size < b.size ? -1 : 1));
  const judged = sorted.map((s) => ({ ...s, fill: spaceFill(s.inside, cables) }));
  const choice = (j: (typeof judged)[number]): Choice => ({
    size: j.size,
    percent: j.fill.percent,
    limit: SPACE_LIMIT,
  });
  const fits = judged.filter((j) => j.fill.ok);
  const largest = judged[judged.length - 1];
  const out = settle(
    fits.map(choice),
    judged.map(choice),
    fact("fill.space", "input", kind, {
      case: largest ? "largest" : "none",
      ...(largest
        ? {
            measured: largest.fill.percent,
            limit: SPACE_LIMIT,
            sense: "most" as const,
            unit: "%",
            of: { size: largest.size },
          }
        : {}),
    }),
  );
  return { ...out, facts: [...out.facts, ...(fits[0]?.fill.facts ?? [])] };
}
