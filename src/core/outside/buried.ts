import { atLeast, below } from "../geometry/tolerance";
import { type Finding, finding, mm } from "../rules/findings";

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
export function buried(t: Trench): Finding[] {
  const out: Finding[] = [];
  const subject = "trench";
  if (!atLeast(t.depth, trench.usual)) {
    const stop = below(t.depth, trench.least);
    out.push(
      finding("buried.depth", {
        severity: stop ? "stop" : "warn",
        subject,
        message: `${mm(t.depth)} deep; ${stop ? `never less than ${trench.least}` : `${trench.usual} is the custom`}.`,
        measured: t.depth,
        limit: stop ? trench.least : trench.usual,
        sense: "least",
        unit: "mm",
        remedy: "Dig deeper, or say what keeps it from being disturbed.",
      }),
    );
  }
  if (!t.armoured && !t.duct)
    out.push(
      finding("buried.protection", {
        subject,
        message: "The cable is neither armoured nor in a duct.",
        remedy: "Use armoured cable or a duct.",
      }),
    );
  const bed = typeof t.bedding === "number" ? t.bedding : t.bedding ? trench.bed[0] : 0;
  if (!atLeast(bed, trench.bed[0]))
    out.push(
      finding("buried.bedding", {
        subject,
        message: bed > 0 ? `${mm(bed)} of bed and cover.` : "No bed and cover.",
        measured: bed,
        limit: trench.bed[0],
        sense: "least",
        unit: "mm",
        remedy: "Lay 75 to 100 of sand or sieved soil under and over the cable.",
      }),
    );
  if (typeof t.marker === "boolean" ? !t.marker : t.marker === 0)
    out.push(
      finding("buried.marker", {
        subject,
        message: "No marker over the cable.",
        remedy: `Lay tape about ${trench.marker} above the cable.`,
      }),
    );
  else if (
    typeof t.marker === "number" &&
    (!below(t.marker, t.depth) || below(t.marker, trench.markerFrom) || t.marker > trench.markerTo)
  )
    out.push(
      finding("buried.marker", {
        subject,
        message:
          t.marker >= t.depth
            ? `The marker is ${mm(t.marker)} above the cable, out of the ground.`
            : `The marker is ${mm(t.marker)} above the cable.`,
        measured: t.marker,
        limit: trench.marker,
        unit: "mm",
        remedy: `Lay it about ${trench.marker} above the cable.`,
      }),
    );
  return out;
}
