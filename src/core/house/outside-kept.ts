import type { Job } from "../job/model";
import type { Change } from "../job/patch";
import { changeOf } from "./change-of";

/** Things that go; ids. */
export interface Going {
  points?: ReadonlySet<string>;
  circuits?: ReadonlySet<string>;
  walls?: ReadonlySet<string>;
  rooms?: ReadonlySet<string>;
  posts?: ReadonlySet<string>;
  ways?: ReadonlySet<string>;
}
const NONE: ReadonlySet<string> = new Set();

/**
 * What becomes of things out of doors and of old circuits when others go: a row whose feed goes is fed from nothing, a way whose
 * wall goes goes with its photos, a wire lets go of a post, ground and posts and rows go with their yard, an extension with its circuit.
 */
export function outsideWithout(job: Job, going: Going): Change[] {
  const { points = NONE, circuits = NONE, walls = NONE, rooms = NONE } = going;
  const out: Change[] = [];
  const posts = new Set([...(going.posts ?? []), ...job.posts.filter((p) => rooms.has(p.room)).map((p) => p.id)]);
  const ways = new Set([
    ...(going.ways ?? []),
    ...job.outsideWays.filter((w) => walls.has(w.from.wall) || walls.has(w.to.wall)).map((w) => w.id),
  ]);
  for (const p of job.photos)
    if (p.outside !== null && ways.has(p.outside)) out.push(changeOf(job, "photos", p.id, null));
  for (const w of job.outsideWays)
    if (ways.has(w.id)) out.push(changeOf(job, "outsideWays", w.id, null));
    else if (w.posts.some((id) => posts.has(id)))
      out.push(changeOf(job, "outsideWays", w.id, { ...w, posts: w.posts.filter((id) => !posts.has(id)) }));
  for (const id of posts) out.push(changeOf(job, "posts", id, null));
  for (const g of job.grounds) if (rooms.has(g.room)) out.push(changeOf(job, "grounds", g.id, null));
  for (const r of job.lightRows)
    if (rooms.has(r.room)) out.push(changeOf(job, "lightRows", r.id, null));
    else if (r.from !== null && points.has(r.from)) out.push(changeOf(job, "lightRows", r.id, { ...r, from: null }));
  for (const x of job.extensions) {
    if (circuits.has(x.circuit)) out.push(changeOf(job, "extensions", x.id, null));
    else if (
      x.joints.some((j) => points.has(j.point)) ||
      (x.broken && [x.broken.from, x.broken.to].some((id) => points.has(id)))
    )
      out.push(
        changeOf(job, "extensions", x.id, {
          ...x,
          joints: x.joints.filter((j) => !points.has(j.point)),
          broken: x.broken && [x.broken.from, x.broken.to].some((id) => points.has(id)) ? null : x.broken,
        }),
      );
  }
  return out;
}
