import type { Circuit } from "../../job/model";
import { behindFuse } from "../../job/wired";
import { runKey } from "../../job/run-key";
import { same } from "../../base/tolerance";
import type { PointKind } from "../../rules/accessories";
import type { Cable } from "../../rules/cables";
import { type Catalogue, cableOf } from "../../rules/catalogue";

/** Conductor behind a fused unit, mm²: enough for its 13 A however it is laid. Source: on-site working practice. */
const BEHIND = 1.5;

/** A cable like another but for its cores or its section; null where the catalogue has none. */
function alike(catalogue: Catalogue, c: Cable, cores: number, csa: number): Cable | null {
  return (
    catalogue.cables.find((x) => x.family === c.family && x.cores === cores && same(x.csa, csa)) ??
    // The next thicker one does what it must, too.
    catalogue.cables
      .filter((x) => x.family === c.family && x.cores === cores && x.csa > csa)
      .sort((a, b) => a.csa - b.csa)[0] ??
    null
  );
}

/** Which cable each run of a circuit is, by its two ends, its number and how many cores it needs. */
export type RunCable = (from: string, to: string, number: number, cores: 2 | 3) => Cable;

/**
 * The cable of each run of a circuit: the user's own word for it; else the circuit's cable, behind a fused unit no thicker than 1.5
 * mm², and with three cores where three are needed. Where the catalogue has no such cable it is the circuit's own. Null where that is
 * not in the catalogue.
 */
export function runCables(
  c: Circuit,
  catalogue: Catalogue,
  kindOf: (id: string) => PointKind | undefined,
): RunCable | null {
  const base = cableOf(c.cable, catalogue);
  if (!base) return null;
  const behind = behindFuse(c, kindOf);
  const own = new Map(
    c.runCables.map((r) => [runKey({ circuit: c.id, from: r.from, to: r.to }, r.number), r.cable] as const),
  );
  return (from, to, number, cores) => {
    const said = own.get(runKey({ circuit: c.id, from, to }, number));
    const word = said === undefined ? null : cableOf(said, catalogue);
    if (word) return word;
    const csa =
      base.family === "sheathed" && (behind.has(from) || behind.has(to)) ? Math.min(base.csa, BEHIND) : base.csa;
    const plain = csa < base.csa ? (alike(catalogue, base, base.cores, csa) ?? base) : base;
    return cores === 3 && plain.cores < 3 ? (alike(catalogue, plain, 3, csa) ?? plain) : plain;
  };
}
