import { topAt } from "../base/ceiling";
import { type Rect, type UV, contains, crosses, rectAround, rectOf, strictlyContains } from "../base/rect";
import { unionCovers } from "../base/rect-union";
import { EPS, atMost, same } from "../base/tolerance";
import { toSpace } from "../base/wall-frame";
import type { Face, House } from "../house/house";
import { liesOn, sectionsOf } from "../house/sections";
import { studAt } from "../house/studs";
import { BAND } from "../house/wall-zones";
import { zoneUnion } from "../house/zone-union";
import { deepestChase } from "../rules/chases";
import { EDGE, type GraphDraft, addEdge, addNode } from "./graph";
import { BAND_LINE, type FaceLines, IN_DROPS } from "./wall-lines";

/** Nodes of a face by the crossing of its lines, −1 where there is none; and those to which a hole through the wall may lead. */
export interface FaceNodes {
  node: Int32Array;
  holed: Int32Array;
}

/** Fills a part with the nodes and edges of one face. */
export function addFace(g: GraphDraft, h: House, l: FaceLines, surface: boolean): FaceNodes {
  const on = new FaceEdges(g, h, l, surface);
  on.addRows();
  return on.addPoints();
}

/** Studs on a level stretch, noggins and plates on a plumb one: a timber right at its end counts for the stretch that ends there. */
function timbersOn(f: Face, a: UV, b: UV): number {
  const { studs } = f;
  if (!studs) return 0;
  let count = 0;
  if (same(a.v, b.v)) {
    for (const s of studs.studs) if (s.at > a.u + EPS && s.at <= b.u + EPS) count++;
    return count;
  }
  count = (same(a.v, 0) ? 1 : 0) + (same(b.v, f.shape.height) ? 1 : 0);
  for (const v of studs.noggins) if (v > a.v + EPS && v <= b.v + EPS) count++;
  return count;
}

const anyCrossed = (rects: readonly Rect[], a: UV, b: UV): boolean => {
  for (const r of rects) if (crosses(r, a, b)) return true;
  return false;
};

const anyMet = (rects: readonly Rect[], a: UV, b: UV): boolean => {
  for (const r of rects) if (strictlyContains(r, a) || strictlyContains(r, b) || crosses(r, a, b)) return true;
  return false;
};

/** Nodes and edges of a face while they are put together. */
class FaceEdges {
  readonly node: Int32Array;
  private readonly union;
  private readonly rects: Rect[];
  /** What is kept free, and the end of a beam in the wall: nothing is chased through steel. */
  private readonly barred: Rect[];
  private readonly wet: Rect[];
  private readonly boxes: { rect: Rect; n: number }[];
  private readonly sections;
  /** Into a thin leaf no chase is cut as deep as the job's. */
  private readonly levelChase: boolean;
  private readonly plumbChase: boolean;

  constructor(
    private readonly g: GraphDraft,
    h: House,
    private readonly l: FaceLines,
    private readonly surface: boolean,
  ) {
    const { face, us, vs } = l;
    this.node = new Int32Array(us.length * vs.length).fill(-1);
    this.union = zoneUnion(face.zones);
    this.rects = face.shape.openings.map(rectOf);
    const onWall = h.job.fixtures.filter((x) => x.wall === face.wall.id);
    this.barred = [
      ...h.job.forbidden.flatMap((x) =>
        x.place.on === "wall" && x.place.wall === face.wall.id ? [rectOf(x.place)] : [],
      ),
      ...onWall.filter((x) => x.kind === "beam").map(rectOf),
    ];
    this.wet = onWall.filter((x) => x.kind === "bath" || x.kind === "sink").map(rectOf);
    this.boxes = face.points.map((p) => ({ rect: rectAround(p), n: h.pointOfId.get(p.id)! }));
    this.sections = sectionsOf(h).flatMap((s, n) =>
      s.stretches.flatMap((x) => (x.face === face.n ? [{ x, n: n + 1, hidden: s.row.hidden }] : [])),
    );
    this.levelChase = atMost(h.job.settings.chaseDepth, deepestChase(face.wall, "level"));
    this.plumbChase = atMost(h.job.settings.chaseDepth, deepestChase(face.wall, "plumb"));
  }

  private nodeAt(i: number, j: number): number {
    const { us, vs, face } = this.l;
    const k = i + j * us.length;
    if (this.node[k]! >= 0) return this.node[k]!;
    const at: UV = { u: us[i]!, v: vs[j]! };
    let box = -1;
    for (const x of this.boxes)
      if (strictlyContains(x.rect, at)) {
        box = x.n;
        break;
      }
    return (this.node[k] = addNode(this.g, toSpace(face.frame, at), box));
  }

  /** The section that a stretch lies in, if any: in what is let in only where it is chased. */
  private sectionOn(a: UV, b: UV, chased: boolean) {
    for (const s of this.sections) if ((!s.hidden || chased) && liesOn(s.x, a, b)) return s;
    return undefined;
  }

  private link(i: number, j: number, i2: number, j2: number): void {
    const { us, vs, face } = this.l;
    const { top } = face.shape;
    const a: UV = { u: us[i]!, v: vs[j]! };
    const b: UV = { u: us[i2]!, v: vs[j2]! };
    if (anyMet(this.rects, a, b) || anyCrossed(this.barred, a, b)) return;
    // The top of a wall under a sloping ceiling bulges upwards, so a stretch under it at both ends is under it all along.
    if (top && (a.v > topAt(top, a.u) + EPS || b.v > topAt(top, b.u) + EPS)) return;
    const plumb = same(a.u, b.u);
    let box: { rect: Rect; n: number } | null = null;
    for (const x of this.boxes)
      if (crosses(x.rect, a, b)) {
        box = x;
        break;
      }
    // Within a box nothing is chased: the box is let in as deep as it is.
    const deepEnough =
      (plumb ? this.plumbChase : this.levelChase) || (box !== null && contains(box.rect, a) && contains(box.rect, b));
    const chased = deepEnough && unionCovers(this.union, a, b) && !(plumb && studAt(face.studs, a.u));
    const section = this.sectionOn(a, b, chased);
    // In what stands on the surface a cable may lie outside the zones.
    const hidden = chased || (section !== undefined && !section.hidden);
    if (!hidden && !this.surface) return;
    addEdge(this.g, this.nodeAt(i, j), this.nodeAt(i2, j2), EDGE.wall, face.n, {
      box: box?.n ?? -1,
      hidden,
      wet: anyCrossed(this.wet, a, b),
      timbers: section && !section.hidden ? 0 : timbersOn(face, a, b),
      section: section?.n ?? 0,
    });
  }

  /** Whether a row has so-and-so column: some lines are there only in the band, in corners or in drops. */
  private there(i: number, j: number, inDrop: readonly boolean[]): boolean {
    const { us, vs, only, bandOnly, face } = this.l;
    const { height, length } = face.shape;
    if (bandOnly[i] && vs[j]! < height - BAND_LINE - EPS) return false;
    if (!only[j] || us[i]! <= BAND + EPS || us[i]! >= length - BAND - EPS) return true;
    return only[j] === IN_DROPS && inDrop[i]!;
  }

  /** The columns that each row has; a plumb stretch goes from row to row that its column has. */
  addRows(): void {
    const { us, vs, only, face } = this.l;
    const inDrop = us.map((u) => face.points.some((p) => Math.abs(u - p.u) <= p.width / 2));
    const last = new Int32Array(us.length).fill(-1);
    const columns: number[] = [];
    for (let j = 0; j < vs.length; j++) {
      columns.length = 0;
      for (let i = 0; i < us.length; i++) if (this.there(i, j, inDrop)) columns.push(i);
      // Along the very ceiling or floor line nothing is laid; plumb lines pass it into the deck.
      const level = !same(vs[j]!, 0) && !same(vs[j]!, face.shape.height);
      for (let k = 0; k < columns.length; k++) {
        const i = columns[k]!;
        const next = columns[k + 1];
        // From corner to corner nothing leads along a line that is only there in the corners, nor from drop to drop.
        const whole = !only[j] || (next !== undefined && us[next]! - us[i]! <= BAND + EPS);
        if (next !== undefined && level && whole) this.link(i, j, next, j);
        if (last[i]! >= 0) this.link(i, last[i]!, i, j);
        last[i] = j;
      }
    }
  }

  /** A point whose own strips are cut off on every side still has a node, so that the search can say it is unreachable. */
  addPoints(): FaceNodes {
    const { us, vs, face } = this.l;
    const shut: number[] = [];
    for (const p of face.points) {
      const i = us.findIndex((u) => same(u, p.u));
      const j = vs.findIndex((v) => same(v, p.v));
      if (i < 0 || j < 0) continue;
      this.nodeAt(i, j);
      // Nor does anything come to it from behind where it stands in steel, in an opening or in what is kept free.
      if ([...this.barred, ...this.rects].some((r) => strictlyContains(r, p))) shut.push(i + j * us.length);
    }
    if (!shut.length) return { node: this.node, holed: this.node };
    const holed = this.node.slice();
    for (const k of shut) holed[k] = -1;
    return { node: this.node, holed };
  }
}
