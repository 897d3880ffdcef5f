import { toFace } from "../base/wall-frame";
import type { House } from "../house/house";
import { sectionOfLeg } from "../house/sections";
import type { Section, SectionPlace } from "../job/model";
import { pathBeside } from "../job/move-section";
import type { Plan } from "../laid/laid";
import type { Cable } from "../rules/cables";
import { cableOf } from "../rules/catalogue";
import { type SectionKind, cutIn, sectionRows, sectionSizes } from "../rules/sections";
import { sectionFill } from "../trades/containment/section-fill";
import { SPARE_FROM } from "../trades/containment/space-fill";
import { laySection } from "../house/sections";
import { EPS } from "../base/tolerance";

/** What is used where nobody says otherwise: under plaster, and on the surface. */
export interface Wanted {
  masonry: "capping" | "oval";
  surface: "mini-trunking" | "conduit-plastic";
}

/** A section as it is proposed, and why. */
export interface Proposed {
  section: Section;
  reason: string;
}

/** From so many cables down to a board on, one trunking takes them. */
const DROP = 3;

interface Line {
  wall: string;
  plumb: boolean;
  /** Distance from the left, or height. */
  at: number;
  from: number;
  to: number;
  cables: Map<string, Cable>;
  chased: boolean;
  board: boolean;
}

/**
 * Containment for the runs laid on the walls of a room that lie in none yet: one section along each line of cables. In masonry under
 * the plaster capping or oval tube; on the surface mini-trunking or tube; armour on cleats; three and more down to a board in
 * trunking. In a stud wall the void is enough. The smallest size that takes them, with room for another where it is filled by area.
 */
export function proposeSections(
  h: House,
  plan: Pick<Plan, "runs">,
  wanted: Wanted,
  on: { room?: string; run?: string },
  newId: () => string,
): Proposed[] {
  const lines: Line[] = [];
  for (const r of plan.runs) {
    if (on.run !== undefined && r.id !== on.run) continue;
    const cable = cableOf(r.cable, h.catalogue);
    if (!cable) continue;
    for (const l of r.legs) {
      const f = l.surface.kind === "wall" ? h.faces[h.faceOfWall.get(l.surface.id) ?? -1] : undefined;
      if (
        !f ||
        (on.room !== undefined && f.room.id !== on.room) ||
        l.method === "stud-void" ||
        sectionOfLeg(h, l, r.circuit)
      )
        continue;
      const path = l.path.map((p) => toFace(f.frame, p));
      for (let i = 1; i < path.length; i++) {
        const [a, b] = [path[i - 1]!, path[i]!];
        const plumb = Math.abs(a.u - b.u) < Math.abs(a.v - b.v);
        const [k, m] = plumb ? (["u", "v"] as const) : (["v", "u"] as const);
        lines.push({
          wall: f.wall.id,
          plumb,
          at: a[k],
          from: Math.min(a[m], b[m]),
          to: Math.max(a[m], b[m]),
          cables: new Map([[r.id, cable]]),
          chased: cutIn.has(l.method),
          board: [r.from, r.to].some((id) => h.points[h.pointOfId.get(id) ?? -1]?.point.kind === "board"),
        });
      }
    }
  }
  const taken = new Set(h.job.sections.map((s) => s.label));
  return merged(lines).flatMap((l) => proposalFor(h, l, wanted, newId, taken) ?? []);
}

/** Lines on one line of a wall, laid the same way, that touch or lie over one another become one. */
function merged(lines: readonly Line[]): Line[] {
  const out: Line[] = [];
  const order = [...lines].sort(
    (a, b) => (a.wall < b.wall ? -1 : a.wall > b.wall ? 1 : 0) || +a.plumb - +b.plumb || a.at - b.at || a.from - b.from,
  );
  for (const l of order) {
    const same = out.find(
      (x) =>
        x.wall === l.wall &&
        x.plumb === l.plumb &&
        x.chased === l.chased &&
        Math.abs(x.at - l.at) < 1 &&
        l.from <= x.to + 1 &&
        x.from <= l.to + 1,
    );
    if (!same) out.push({ ...l, cables: new Map(l.cables) });
    else {
      same.from = Math.min(same.from, l.from);
      same.to = Math.max(same.to, l.to);
      same.board ||= l.board;
      for (const [run, cable] of l.cables) same.cables.set(run, cable);
    }
  }
  return out.filter((l) => l.to - l.from >= 50);
}

function proposalFor(h: House, l: Line, wanted: Wanted, newId: () => string, taken: Set<string>): Proposed | null {
  const cables = [...l.cables.values()];
  const armour = cables.every((c) => c.family === "armoured");
  const drop = l.board && l.plumb && cables.length >= DROP;
  const room = h.faces[h.faceOfWall.get(l.wall) ?? -1]?.room.id ?? "";
  const there = { ...wanted, ...h.job.settings.containment.rooms[room] };
  const kind: SectionKind = armour ? "cleats" : drop ? "trunking-plastic" : l.chased ? there.masonry : there.surface;
  const place = (x: number): SectionPlace =>
    l.plumb
      ? { on: "wall", wall: l.wall, u: tenth(l.at), v: tenth(x) }
      : { on: "wall", wall: l.wall, u: tenth(x), v: tenth(l.at) };
  const section: Section = {
    id: newId(),
    label: nextLabel(taken),
    kind,
    size: "",
    path: [place(l.from), place(l.to)],
    corners: "fitted",
    innerRadius: null,
    intoWall: "none",
    state: "new",
    holds: [],
    out: [],
  };
  const sizes = sectionSizes(kind, h.catalogue);
  // With room for another where it is filled by area; in one layer the narrowest that takes them.
  const fits = (spare: boolean): string | undefined =>
    sizes.find((size) => {
      const s = laySection(h, { ...section, size: size.id });
      const fill = s && sectionFill(s, cables);
      return fill?.ok && (!spare || fill.unit !== "%" || fill.used < SPARE_FROM - EPS);
    })?.id;
  const size = fits(true) ?? fits(false);
  if (size === undefined) return null;
  taken.add(section.label);
  return { section: { ...section, size }, reason: reasonFor(h, l, kind, cables.length) };
}

function reasonFor(h: House, l: Line, kind: SectionKind, cables: number): string {
  const { about } = sectionRows[kind];
  const n = `${cables} ${cables === 1 ? "cable" : "cables"}`;
  if (kind === "cleats") return "Armour stands by itself: cleats hold it.";
  if (kind === "trunking-plastic")
    return `${n} come down to the board together: one trunking takes them, and the next.`;
  return `${n}. ${about}`;
}

const tenth = (x: number): number => Math.round(x * 10) / 10;

/** The next label that is free: T1, T2 … */
export function nextLabel(taken: ReadonlySet<string>): string {
  for (let n = 1; ; n++) if (!taken.has(`T${n}`)) return `T${n}`;
}

/** Room for a lid between two sections side by side, mm. */
const BESIDE = 10;

/**
 * A section split in two: a second one beside it, and every other circuit in each, the heaviest apart. `side` is −1 where there is
 * only room on its other side.
 * @param circuits those in it, the heaviest first
 */
export function splitInTwo(
  section: Section,
  circuits: readonly string[],
  width: number,
  made: { id: string; label: string },
  side: 1 | -1 = 1,
): [Section, Section] {
  const out = (odd: 0 | 1): string[] => [...new Set([...section.out, ...circuits.filter((_, i) => i % 2 === odd)])];
  return [
    { ...section, out: out(1) },
    { ...section, ...made, path: pathBeside(section, side * (width + BESIDE)), out: out(0) },
  ];
}
