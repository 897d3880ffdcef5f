import { toFace } from "../base/wall-frame";
import { type House, decksOfFace } from "../house/house";
import { atLeast, same } from "../base/tolerance";
import { insideArea } from "../trades/containment/space-fill";
import { type LaidSection, sectionOfLeg, sectionsOf } from "../house/sections";
import type { Plan, Run } from "../laid/laid";
import type { Cable } from "../rules/cables";
import { type Fact, fact } from "../rules/fact";
import { RING_LEG } from "../rules/ratings";
import type { Method } from "../rules/ratings";
import { laidCircuits } from "../trades/circuits/laid-circuit";
import { type DrawBox, drawBoxes } from "../trades/containment/draw-boxes";
import { type InSection, runsInSections, sizeFor } from "../trades/containment/section-facts";
import { type SectionFill, cablesThere, roomFor, sectionFill } from "../trades/containment/section-fill";
import { sectionPieces } from "../trades/containment/section-pieces";
import {
  type PipeSet,
  type SectionCorner,
  type SectionPiece,
  pipeSets,
  sectionCorners,
} from "../trades/containment/section-turns";
import { type SectionFixings, sectionFixings } from "../trades/containment/section-supports";
import { type CutPlan, cutStock } from "./cut-stock";
import { metalInside } from "./metal-inside";
import { type StretchTies, sectionTies } from "./section-ties";

/** What a section does to a circuit in it. Amperes. */
export interface CircuitInSection {
  circuit: string;
  cable: Cable;
  method: Method;
  /** Circuits that lie together in it, this one included. */
  together: number;
  carries: number;
  /** What it must carry: a leg of a ring 20 A, else its device. */
  needs: number;
  /** False where it carries less than it needs. */
  holds: boolean;
}

/** Everything there is to say of a section. Lengths mm. */
export interface SectionFigures {
  laid: LaidSection;
  /** Runs in it, and cables that were there before. */
  inside: InSection[];
  there: Cable[];
  fill: SectionFill;
  /** How many more of the cable that is most in it go in; null with nothing in it to go by. */
  more: { cable: Cable; count: number } | null;
  /** The smallest size of its kind that takes what is in it; null where none does. */
  takes: string | null;
  circuits: CircuitInSection[];
  corners: SectionCorner[];
  /** Sets over the pipes that it crosses. */
  sets: PipeSet[];
  /** Boxes to draw from on the way of a conduit. */
  boxes: DrawBox[];
  pieces: SectionPiece[];
  /** Lengths of stock its pieces are cut from; null where there is nothing to cut. */
  cutting: CutPlan | null;
  fixings: SectionFixings[];
  /** Where it goes up through a ceiling or down through a floor, and is sealed round and inside. */
  seals: Seal[];
  /** Ties of the cables on tray, basket and ladder. */
  ties: StretchTies[];
  /** Metal clips inside plastic over a way out, so that the cables do not fall when it softens. */
  metalInside: number;
}

/** Width of a saw cut, mm. */
const KERF = 2;

/** The figures of every section of a house with a plan laid in it, found ones too. */
export function sectionFigures(
  h: House,
  plan: Pick<Plan, "runs" | "holes"> & Partial<Pick<Plan, "found">>,
): SectionFigures[] {
  const all = sectionsOf(h);
  if (!all.length) return [];
  const inside = runsInSections(h, plan.runs);
  const rated = laidCircuits(h, plan.runs, plan.holes, plan.found ?? []);
  const runOf = new Map(plan.runs.map((r) => [r.id, r]));
  return all.map((laid): SectionFigures => {
    const coming = inside.get(laid.section.id)!;
    const there = cablesThere(laid, h.catalogue);
    const cables = [...there, ...coming.map((x) => x.cable)];
    const usual = mostOf(cables);
    const pieces = sectionPieces(h, laid);
    return {
      laid,
      inside: coming,
      there,
      fill: sectionFill(laid, cables),
      more: usual && { cable: usual, count: roomFor(laid, cables, usual) },
      takes: cables.length ? sizeFor(h, laid, cables) : laid.section.size,
      circuits: ratedIn(h, laid, rated, runOf),
      corners: sectionCorners(h, laid),
      sets: pipeSets(h, laid),
      boxes: drawBoxes(h, laid),
      pieces,
      cutting: pieces.length ? cutFrom(pieces, laid.row.stock) : null,
      fixings: sectionFixings(laid),
      seals: sealsOf(h, laid),
      ties: sectionTies(
        h,
        laid,
        coming.map((x) => x.cable),
      ),
      metalInside: metalInside(h, laid),
    };
  });
}

/** The cable of which there are most; of as many of two, the thicker. */
function mostOf(cables: readonly Cable[]): Cable | null {
  const counts = new Map<string, { cable: Cable; n: number }>();
  for (const cable of cables) {
    const c = counts.get(cable.id);
    if (c) c.n++;
    else counts.set(cable.id, { cable, n: 1 });
  }
  return [...counts.values()].sort((a, b) => b.n - a.n || b.cable.csa - a.cable.csa)[0]?.cable ?? null;
}

/** What each circuit carries in a section, by the leg of it that carries least there. */
function ratedIn(
  h: House,
  s: LaidSection,
  rated: ReturnType<typeof laidCircuits>,
  runOf: ReadonlyMap<string, Run>,
): CircuitInSection[] {
  return rated.flatMap(({ circuit, input, legs }): CircuitInSection[] => {
    const inside = legs.filter((l) => {
      const leg = runOf.get(l.run)?.legs[l.leg];
      return leg && sectionOfLeg(h, leg, circuit.id)?.section.id === s.section.id;
    });
    if (!inside.length) return [];
    const worst = inside.reduce((a, b) => (b.carries < a.carries ? b : a));
    const ring = input.kind === "ring" && (circuit.device.rating === 30 || circuit.device.rating === 32);
    const needs = worst.fuse ?? (ring ? RING_LEG : circuit.device.rating);
    return [
      {
        circuit: circuit.id,
        cable: worst.cable ?? input.cable,
        method: worst.method,
        together: worst.grouped,
        carries: worst.carries,
        needs,
        holds: atLeast(worst.carries, needs),
      },
    ];
  });
}

/** Pieces out of lengths of stock, a saw cut between them. */
function cutFrom(pieces: readonly SectionPiece[], stock: number): CutPlan {
  const cut = pieces.map((p) => ({ id: String(p.number), length: p.length + KERF }));
  return cutStock(
    cut,
    cut.map((p) => ({ id: `length ${p.id}`, length: stock + KERF })),
  );
}

/** A place where a section passes into a deck: the opening round it is made good, and over 710 mm² its inside too. mm. */
export interface Seal {
  wall: string;
  u: number;
  where: "ceiling" | "floor";
  width: number;
  depth: number;
  /** True where the inside is sealed as well. */
  inside: boolean;
}

/** Inside from which a section is sealed inside too, mm². Source: BS 7671:2018+A2:2022 527.2.4. */
const SEAL_INSIDE = 710;

/**
 * Seals of a section: where it ends at the ceiling or the floor of a wall that meets a deck there. Nothing is taken
 * out for capping.
 */
export function sealsOf(h: House, s: LaidSection): Seal[] {
  if (s.section.state === "found" || s.row.holds === "alone" || s.row.hidden) return [];
  return s.stretches.flatMap((x): Seal[] => {
    const f = h.faces[x.face];
    if (!f || !x.plumb) return [];
    const { over, under } = decksOfFace(h, f);
    const seal = (where: Seal["where"]): Seal => ({
      wall: f.wall.id,
      u: x.a.u,
      where,
      width: s.size.width,
      depth: s.size.depth,
      inside: insideArea(s.size.inside) > SEAL_INSIDE,
    });
    const vs = [x.a.v, x.b.v];
    return [
      ...(over.length && vs.some((v) => same(v, f.shape.height)) ? [seal("ceiling")] : []),
      ...(under.length && vs.some((v) => same(v, 0)) ? [seal("floor")] : []),
    ];
  });
}

/** A note for every seal of the sections that are put in. */
export const sealFacts = (h: House): Fact[] =>
  sectionsOf(h).flatMap((s) =>
    sealsOf(h, s).map((x) =>
      fact("fire.seal", "section", s.section.id, {
        ...(x.inside ? { case: "inside" } : {}),
        where: { wall: x.wall },
        measured: insideArea(s.size.inside),
        limit: SEAL_INSIDE,
        sense: "most",
        unit: "mm²",
        of: { label: s.section.label, where: x.where, u: x.u, width: x.width, depth: x.depth },
      }),
    ),
  );

/** A fixing as it is marked: on a wall from its left end and above its floor. */
export interface FixingMark {
  wall: string;
  u: number;
  v: number;
}

/** Where the fixings of a section are marked on its walls, each from the left end of its own wall and from the floor, mm. */
export function fixingMarks(h: House, s: LaidSection, fixings: readonly SectionFixings[]): FixingMark[] {
  return fixings.flatMap((f) => {
    const x = s.stretches[f.stretch]!;
    const face = h.faces[x.face];
    if (!face) return [];
    return f.marks.map((m): FixingMark => {
      const t = m / x.length;
      const { u, v } = toFace(face.frame, [
        x.from[0] + t * (x.to[0] - x.from[0]),
        x.from[1] + t * (x.to[1] - x.from[1]),
        x.from[2] + t * (x.to[2] - x.from[2]),
      ]);
      return { wall: face.wall.id, u, v };
    });
  });
}
