import { sectionOfLeg, sectionsOf, type LaidSection } from "../../house/sections";
import type { House } from "../../house/house";
import type { Run } from "../../laid/laid";
import type { Cable } from "../../rules/cables";
import { cableOf } from "../../rules/catalogue";
import { type Fact, fact } from "../../rules/fact";
import { sectionSizes } from "../../rules/sections";
import { cablesThere, sectionFill } from "./section-fill";
import { bendFacts } from "./bent-pieces";
import { drawBoxFacts } from "./draw-boxes";
import { foldFaults, sectionPieces } from "./section-pieces";
import { makingOf } from "./section-turns";
import { riseFacts } from "./section-rises";
import { SPARE_FROM } from "./space-fill";
import { atLeast } from "../../base/tolerance";

/** A run in a section. */
export interface InSection {
  run: string;
  circuit: string;
  cable: Cable;
}

/** Runs of a plan by the section they lie in, each once. */
export function runsInSections(
  h: House,
  runs: readonly Pick<Run, "id" | "circuit" | "cable" | "legs">[],
): Map<string, InSection[]> {
  const out = new Map<string, InSection[]>();
  for (const s of sectionsOf(h)) out.set(s.section.id, []);
  if (!out.size) return out;
  for (const r of runs) {
    const cable = cableOf(r.cable, h.catalogue);
    if (!cable) continue;
    for (const id of new Set(r.legs.map((l) => sectionOfLeg(h, l, r.circuit)?.section.id)))
      if (id !== undefined) out.get(id)!.push({ run: r.id, circuit: r.circuit, cable });
  }
  return out;
}

/** The smallest size of its kind that takes some cables; null where none does. */
export function sizeFor(h: House, s: LaidSection, cables: readonly Cable[]): string | null {
  return sectionSizes(s.section.kind, h.catalogue).find((size) => sectionFill({ ...s, size }, cables).ok)?.id ?? null;
}

/** How full every section is, those found in the house too, with the runs that lie in it. */
export function sectionFacts(h: House, runs: readonly Run[]): Fact[] {
  const inside = runsInSections(h, runs);
  return sectionsOf(h).flatMap((s): Fact[] => {
    const coming = inside.get(s.section.id)!;
    const there = cablesThere(s, h.catalogue);
    const all = [...there, ...coming.map((x) => x.cable)];
    const fill = sectionFill(s, all);
    const first = s.section.path[0]!;
    const found = h.job.foundTrunkings.some((t) => t.id === s.section.id);
    const more = {
      where: first.on === "wall" ? { wall: first.wall } : { deck: first.deck },
      of: {
        kind: s.section.kind,
        label: s.section.label,
        size: s.section.size,
        there: there.length,
        coming: coming.length,
      },
    };
    const size = fill.ok || s.section.state === "found" ? null : sizeFor(h, s, all);
    const remedy = size ? { fix: [{ collection: "sections" as const, id: s.section.id, set: { size } }] } : {};
    const folds = foldFaults(sectionPieces(h, s)).map((x) =>
      fact("fold.room", "section", s.section.id, {
        ...more,
        case: "section",
        measured: x.room,
        limit: 0,
        sense: "least",
        unit: "mm",
        of: { ...more.of, piece: x.piece, at: x.at, way: x.way },
      }),
    );
    folds.push(...riseFacts(h, s), ...drawBoxFacts(h, s));
    if (makingOf(s) === "bent" && s.section.state === "new") folds.push(...bendFacts(s));
    const judge = (rule: "fill.space" | "fill.spare" | "fill.layer", x: object): Fact => {
      const f = fact(rule, found ? "trunking" : "section", s.section.id, { ...more, ...x });
      return size ? { ...f, of: { ...f.of, to: size }, ...remedy } : f;
    };
    if (!fill.enters) {
      const wide = all.reduce((a, b) => (b.width > a.width ? b : a));
      return [
        ...folds,
        judge("fill.space", { case: "enters", of: { ...more.of, width: wide.width, thickness: wide.thickness } }),
      ];
    }
    const limits = { measured: fill.used, limit: fill.most, sense: "most" as const, unit: fill.unit };
    if (!fill.ok) return [...folds, judge(fill.unit === "mm" ? "fill.layer" : "fill.space", limits)];
    if (fill.unit === "%" && atLeast(fill.used, SPARE_FROM))
      return [...folds, judge("fill.spare", { ...limits, limit: SPARE_FROM })];
    return folds;
  });
}
