import { atLeast, below } from "../../base/tolerance";
import { type Fact, fact } from "../../rules/fact";

/** Working figures for a trench, mm. Source: BS 7671:2018+A2:2022 522.8.10, and custom. */
export const trench = { usual: 600, least: 450, bed: [75, 100], marker: 150, markerFrom: 100, markerTo: 250 } as const;

export interface Trench {
  depth: number;
  armoured: boolean;
  duct: boolean;
  /** Bed and cover, mm; true when it is as usual, false when there is none. */
  bedding: number | boolean;
  /** Height of the marker above the cable, mm; true when it is as usual, false when there is none. */
  marker: number | boolean;
}

/** What is wrong with a buried cable. Inclusive: 450 warns and does not stop, 600 is enough. */
export function buried(t: Trench): Fact[] {
  const out: Fact[] = [];
  const subject = "trench";
  if (!atLeast(t.depth, trench.usual)) {
    const stop = below(t.depth, trench.least);
    out.push(
      fact("buried.depth", "input", subject, {
        severity: stop ? "stop" : "warn",
        measured: t.depth,
        limit: stop ? trench.least : trench.usual,
        sense: "least",
        unit: "mm",
      }),
    );
  }
  if (!t.armoured && !t.duct) out.push(fact("buried.protection", "input", subject));
  const bed = typeof t.bedding === "number" ? t.bedding : t.bedding ? trench.bed[0] : 0;
  if (!atLeast(bed, trench.bed[0]))
    out.push(
      fact("buried.bedding", "input", subject, { measured: bed, limit: trench.bed[0], sense: "least", unit: "mm" }),
    );
  if (typeof t.marker === "boolean" ? !t.marker : t.marker === 0)
    out.push(fact("buried.marker", "input", subject, { case: "none", of: { usual: trench.marker } }));
  else if (
    typeof t.marker === "number" &&
    (!below(t.marker, t.depth) || below(t.marker, trench.markerFrom) || t.marker > trench.markerTo)
  )
    out.push(
      fact("buried.marker", "input", subject, {
        case: t.marker >= t.depth ? "out-of-ground" : "height",
        measured: t.marker,
        limit: trench.marker,
        unit: "mm",
        of: { usual: trench.marker },
      }),
    );
  return out;
}
