import { topAt } from "../base/ceiling";
import { same } from "../base/tolerance";
import { toFace } from "../base/wall-frame";
import type { Section, SectionPlace } from "../job/model";
import { type Face, type House, decksOfFace, deckReaches } from "./house";
import { sectionPlace } from "./sections";

/** A way on for a section from one of its ends: over the joists of a deck, or up or down a wall of the next storey. */
export interface WayOn {
  end: "first" | "last";
  to: { kind: "deck" | "wall"; id: string };
  path: SectionPlace[];
}

/** How far it goes on at first, mm: then it is set by hand. */
const FIRST = 500;

/** The ways on from the ends of a section that stand at the ceiling or the floor of their wall. */
export const waysOn = (h: House, s: Section): WayOn[] =>
  (["first", "last"] as const).flatMap((end) => waysFrom(h, s, end));

function waysFrom(h: House, s: Section, end: WayOn["end"]): WayOn[] {
  const p = end === "first" ? s.path[0]! : s.path[s.path.length - 1]!;
  const f = p.on === "wall" ? h.faces[h.faceOfWall.get(p.wall) ?? -1] : undefined;
  const at = sectionPlace(h, p);
  // Capping ends at the ceiling: it lies under plaster only.
  if (!f || !at || p.on !== "wall" || s.kind === "capping") return [];
  const top = f.shape.top ? topAt(f.shape.top, p.u) : f.shape.height;
  const [atTop, atFloor] = [same(p.v, top) && same(top, f.shape.height), same(p.v, 0)];
  const through = decksOfFace(h, f)[atTop ? "over" : "under"].map((n) => h.decks[n]!);
  const put = (to: WayOn["to"], places: SectionPlace[]): WayOn => ({
    end,
    to,
    path: end === "last" ? [...s.path, ...places] : [...[...places].reverse(), ...s.path],
  });
  const [x, y] = [at[0], at[1]];
  const over = atTop
    ? through.flatMap((l): WayOn[] => {
        if (l.deck.access !== "open" || !deckReaches(l, { x, y })) return [];
        const { inward } = f.frame;
        const on = (d: number): SectionPlace => ({
          on: "deck",
          deck: l.deck.id,
          x: tenth(x + inward.x * d),
          y: tenth(y + inward.y * d),
        });
        // Across or along the joists only.
        if (!same(inward.x, 0) && !same(inward.y, 0)) return [];
        return [put({ kind: "deck", id: l.deck.id }, [on(0), on(FIRST)])];
      })
    : [];
  if (!(atTop || atFloor) || !through.length) return over;
  const next = h.faces.filter((g) => meets(g, f, x, y, atTop));
  const walls = next.map((g): WayOn => {
    const u = tenth(toFace(g.frame, at).u);
    const v = (d: number): number => (atTop ? d : g.shape.height - d);
    const onWall = (d: number): SectionPlace => ({ on: "wall", wall: g.wall.id, u, v: v(d) });
    return put({ kind: "wall", id: g.wall.id }, [onWall(0), onWall(Math.min(FIRST, g.shape.height))]);
  });
  return [...over, ...walls];
}

const tenth = (n: number): number => Math.round(n * 10) / 10;

/** Most between the ceiling of one storey and the floor of the next, mm. */
const DECK_MOST = 1000;

/** True for a face right over or under a place of another, looking the same way. */
function meets(g: Face, f: Face, x: number, y: number, above: boolean): boolean {
  if (
    g === f ||
    g.wall.build === "open" ||
    g.frame.inward.x * f.frame.inward.x + g.frame.inward.y * f.frame.inward.y < 0.999
  )
    return false;
  const gap = above ? g.floor - (f.floor + f.shape.height) : f.floor - (g.floor + g.shape.height);
  const p = toFace(g.frame, [x, y, 0]);
  return gap > 0 && gap <= DECK_MOST && Math.abs(p.into) <= 1 && p.u >= 0 && p.u <= g.shape.length;
}
