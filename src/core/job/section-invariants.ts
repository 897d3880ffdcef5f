import { EPS } from "../base/tolerance";
import { type WallFrame, distance, toSpace, wallFrame } from "../base/wall-frame";
import type { Catalogue } from "../rules/catalogue";
import { sectionRows, sectionSizes } from "../rules/sections";
import type { Job, SectionPlace } from "./model";
import type { Refusal } from "./patch";
import { isJunction, planOf, wallOfPlace } from "./section-junctions";

/** How far apart the two places of a corner may lie on its two walls, mm. */
const SAME_CORNER = 1;

/** Most of a deck, its boards and what stands between them and the walls, that a section goes through, mm. */
const DECK_MOST = 1000;

/** What is wrong with a section where it goes from a wall into a deck or on to a wall of the next storey; null where nothing is. */
function junctionFault(job: Job, p: SectionPlace, q: SectionPlace): string | null {
  const [a, b] = [planOf(job, p), planOf(job, q)];
  if (!a || !b) return null;
  if (Math.hypot(a.x - b.x, a.y - b.y) > SAME_CORNER)
    return "a section goes from a wall into a deck, or on to a wall of the next storey, straight up or down: its next place lies right over or under";
  const ends = [p, q].map((x) => {
    if (x.on === "deck") {
      const d = job.decks.find((y) => y.id === x.deck);
      return d ? { z: d.underside + d.joists.depth, atEdge: true } : null;
    }
    const w = wallOfPlace(job, x.wall)!;
    return { z: w.frame.origin[2] + x.v, atEdge: Math.abs(x.v) < EPS || Math.abs(x.v - w.height) < EPS };
  });
  if (ends.some((e) => e && !e.atEdge))
    return "a section leaves a wall at its ceiling or its floor only, for a deck or for the wall of another storey";
  const gap = Math.abs((ends[0]?.z ?? 0) - (ends[1]?.z ?? 0));
  return ends[0] && ends[1] && gap > DECK_MOST
    ? `a section goes through one deck at a time; from this place to the next it is ${Math.round(gap)} mm up or down`
    : null;
}

/** Sections have a size of their kind, run level or plumb, and turn from wall to wall where the walls meet. */
export function checkSections(job: Job, catalogue: Catalogue): Refusal[] {
  const out: Refusal[] = [];
  const wallOf = new Map(job.walls.map((w) => [w.id, w]));
  const roomOf = new Map(job.rooms.map((r) => [r.id, r]));
  for (const s of job.sections) {
    const sizes = sectionSizes(s.kind, catalogue).map((x) => x.id);
    if (!sizes.includes(s.size))
      out.push({
        path: `sections.${s.id}.size`,
        message: `${s.size} is no size of ${sectionRows[s.kind].name.toLowerCase()}; there are ${sizes.join(", ")}`,
      });
    const frameOf = (wall: string): WallFrame | null => {
      const w = wallOf.get(wall);
      const r = w && roomOf.get(w.room);
      return w && r && w.index < r.outline.length ? wallFrame(r.outline, w.index, 0) : null;
    };
    s.path.forEach((q, i) => {
      const p = s.path[i - 1];
      if (!p) return;
      const path = `sections.${s.id}.path.${i}`;
      if (isJunction(job, p, q)) {
        const fault = junctionFault(job, p, q);
        if (fault) out.push({ path, message: fault });
        return;
      }
      if (p.on === "deck" || q.on === "deck") {
        if (p.on === "deck" && q.on === "deck" && Math.abs(p.x - q.x) > EPS && Math.abs(p.y - q.y) > EPS)
          out.push({ path, message: "a section on a deck runs along or across it; its next place shares x or y" });
        if (p.on === "deck" && q.on === "deck" && p.deck !== q.deck)
          out.push({ path, message: "a section on a deck stays on that deck" });
        return;
      }
      if (p.wall === q.wall) {
        if (Math.abs(p.u - q.u) > EPS && Math.abs(p.v - q.v) > EPS)
          out.push({
            path,
            message: "a section runs level or plumb; its next place shares the distance from the left or the height",
          });
        return;
      }
      const [f, g] = [frameOf(p.wall), frameOf(q.wall)];
      if (!f || !g) return;
      if (distance(toSpace(f, p), toSpace(g, q)) > SAME_CORNER)
        out.push({ path, message: "a section goes from one wall to the next only in the corner where they meet" });
    });
    const all = s.path.reduce((sum, q, i) => {
      const p = s.path[i - 1];
      return p?.on === "wall" && q.on === "wall" && p.wall === q.wall
        ? sum + Math.hypot(q.u - p.u, q.v - p.v)
        : p?.on === "deck" && q.on === "deck"
          ? sum + Math.hypot(q.x - p.x, q.y - p.y)
          : sum;
    }, 0);
    if (all < 10) out.push({ path: `sections.${s.id}.path`, message: "a section is at least 10 mm long" });
  }
  return out;
}
