import type { XY } from "../base/polygon";
import { type WallFrame, toSpace, wallFrame } from "../base/wall-frame";
import type { Job, SectionPlace } from "./model";

type On = Pick<Job, "rooms" | "walls" | "storeys">;

/** The wall of a place with its frame, from the floor of its room, and the room's height, mm; null for a wall that is not there. */
export function wallOfPlace(job: On, wall: string): { frame: WallFrame; height: number; storey: string } | null {
  const w = job.walls.find((x) => x.id === wall);
  const r = w && job.rooms.find((x) => x.id === w.room);
  if (!w || !r || w.index >= r.outline.length) return null;
  const floor = job.storeys.find((s) => s.id === r.storey)?.level ?? 0;
  return { frame: wallFrame(r.outline, w.index, floor), height: r.height, storey: r.storey };
}

/** Where a place of a section lies in plan, mm; null where its wall is not there. */
export function planOf(job: On, p: SectionPlace): XY | null {
  if (p.on === "deck") return { x: p.x, y: p.y };
  const w = wallOfPlace(job, p.wall);
  if (!w) return null;
  const [x, y] = toSpace(w.frame, p);
  return { x, y };
}

/** True where a section goes straight up or down from one surface to the next: from a wall into a deck, or on to a wall a storey off. */
export function isJunction(job: On, p: SectionPlace, q: SectionPlace): boolean {
  if (p.on !== q.on) return true;
  if (p.on !== "wall" || q.on !== "wall" || p.wall === q.wall) return false;
  return wallOfPlace(job, p.wall)?.storey !== wallOfPlace(job, q.wall)?.storey;
}

const near = (a: number, b: number): boolean => Math.abs(a - b) < 0.05;
const tenth = (x: number): number => Math.round(x * 10) / 10;

/** Puts the place after (or before) a junction right over or under the one at it, and brings along what was level or plumb with it. */
function settle(job: On, was: readonly SectionPlace[], out: SectionPlace[], i: number, step: 1 | -1): void {
  const [from, to] = [out[i], out[i + step]];
  if (!from || !to || !isJunction(job, from, to)) return;
  const at = planOf(job, from);
  if (!at) return;
  if (to.on === "deck") [to.x, to.y] = [tenth(at.x), tenth(at.y)];
  else {
    const w = wallOfPlace(job, to.wall);
    if (!w) return;
    const { origin, along } = w.frame;
    to.u = tenth((at.x - origin[0]) * along.x + (at.y - origin[1]) * along.y);
  }
  // On along the same surface: what shared a measure with the place before it still does.
  for (let k = i + step; ; k += step) {
    const [a, b, a0, b0] = [out[k], out[k + step], was[k], was[k + step]];
    if (!a || !b || !a0 || !b0) return;
    if (a.on === "deck" && b.on === "deck" && a0.on === "deck" && b0.on === "deck") {
      if (near(a0.x, b0.x)) b.x = a.x;
      if (near(a0.y, b0.y)) b.y = a.y;
    } else if (a.on === "wall" && b.on === "wall" && a0.on === "wall" && b0.on === "wall" && a.wall === b.wall) {
      if (near(a0.u, b0.u)) b.u = a.u;
    } else return settle(job, was, out, k, step);
  }
}

/**
 * A changed path of a section with what lies beyond its junctions brought along: the place right over or under the one that has moved,
 * and from there on whatever stood level or plumb with it. `was` is the path before.
 */
export function withJunctions(job: On, was: readonly SectionPlace[], path: readonly SectionPlace[]): SectionPlace[] {
  const out = path.map((p) => ({ ...p }));
  if (was.length !== path.length) return out;
  const moved = (i: number): boolean => JSON.stringify(was[i]) !== JSON.stringify(out[i]);
  out.forEach((_, i) => {
    for (const step of [1, -1] as const)
      if (moved(i) && out[i + step] && !moved(i + step)) settle(job, was, out, i, step);
  });
  return out;
}

/**
 * A path whose walls, rooms or decks have been moved: where it leaves a wall it does so at its ceiling or floor again, and what lies over
 * or under that is brought there. What is still right stays as it is.
 */
export function pathOverAgain(job: On & Pick<Job, "decks">, path: readonly SectionPlace[]): SectionPlace[] {
  const out = path.map((p) => ({ ...p }));
  out.forEach((p, i) => {
    for (const step of [1, -1] as const) {
      const q = out[i + step];
      const w = p.on === "wall" ? wallOfPlace(job, p.wall) : null;
      if (p.on !== "wall" || !q || !w || !isJunction(job, p, q)) continue;
      const d = q.on === "deck" ? job.decks.find((x) => x.id === q.deck) : undefined;
      const far = q.on === "deck" ? d?.underside : wallOfPlace(job, q.wall)?.frame.origin[2];
      if (far === undefined) continue;
      const above = far > w.frame.origin[2] + w.height / 2;
      p.v = above ? w.height : 0;
      // Of two walls the upper one comes along.
      if (q.on === "wall" && !above) continue;
      const [a, b] = [planOf(job, p), planOf(job, q)];
      if (a && b && Math.hypot(a.x - b.x, a.y - b.y) > 0.05) settle(job, path, out, i, step);
    }
  });
  return out;
}
