import { Kept } from "../base/kept";
import { indexNear } from "../base/distinct";
import { contains, crosses, rectAround, rectOf, strictlyContains, type UV } from "../base/rect";
import { topAt } from "../base/ceiling";
import { unionCovers } from "../base/rect-union";
import { EPS, atMost, same } from "../base/tolerance";
import { toFace, toSpace } from "../base/wall-frame";
import type { Face, House } from "../house/house";
import { liesOn, sectionsOf } from "../house/sections";
import { studAt } from "../house/studs";
import { BAND } from "../house/wall-zones";
import { zoneUnion } from "../house/zone-union";
import { deepestChase } from "../rules/chases";
import { EDGE, type GraphDraft, addEdge, addNode, append, draft } from "./graph";
import { BAND_LINE, CLEAR, type FaceLines, IN_DROPS } from "./wall-lines";

/**
 * Adds nodes and edges of every face to the graph: level and plumb stretches inside the zones (and, when `surface` is wanted,
 * outside them too), turns round internal corners, and holes through walls between faces of two rooms.
 */
export function addWalls(g: GraphDraft, h: House, lines: FaceLines[], surface: boolean): void {
  const on = lines.map((l) => (l.face.wall.build === "open" ? null : faceWithLines(h, l, surface)));
  lines.forEach((l, i) => {
    const own = on[i];
    if (!own) l.node = new Int32Array(l.us.length * l.vs.length).fill(-1);
    else {
      const shift = append(g, own.part);
      l.node = own.node.map((n) => (n < 0 ? n : n + shift));
    }
  });
  lines.forEach((l, i) => {
    const [own, next] = [on[i], on[l.face.right]];
    if (!own || !next || !l.face.shape.cornerRight) return;
    const o = lines[l.face.right]!;
    const met = corners.of(own, [next], () => roundCorner(l, own.node, o, next.node));
    for (const [a, b] of met) addEdge(g, l.node[a]!, o.node[b]!, EDGE.corner, l.face.n);
  });
  lines.forEach((l, i) => {
    const own = on[i];
    const behind = l.face.opposite.filter((o) => o > l.face.n && on[o]);
    if (!own || !behind.length) return;
    const there = behind.map((o) => on[o]!);
    const met = holes.of(own, there, () => behind.map((o, k) => through(l, own.node, lines[o]!, there[k]!.node)));
    behind.forEach((o, k) => {
      for (const [a, b] of met[k]!) addEdge(g, l.node[a]!, lines[o]!.node[b]!, EDGE.through, l.face.n, { ref2: o });
    });
  });
}

/** A face as a part of the graph, and its nodes by line. */
interface FacePart {
  part: GraphDraft;
  node: Int32Array;
}

const parts = new Kept<Face, FacePart>();

/**
 * The part of the graph on one face. It is kept with the face, which a house shares with the one before while nothing of it
 * changes, and made anew when anything else that it depends on is not the same.
 */
function faceWithLines(h: House, l: FaceLines, surface: boolean): FacePart {
  const { face } = l;
  const onWall = h.job.fixtures.filter((x) => x.wall === face.wall.id);
  const kept = h.job.forbidden.filter((x) => x.place.on === "wall" && x.place.wall === face.wall.id);
  const boxes = face.points.map((p) => h.pointOfId.get(p.id)!);
  const made = [
    surface,
    h.job.settings.chaseDepth,
    ...onWall,
    ...kept,
    ...boxes,
    "sections",
    ...sectionsOf(h).flatMap((s, n) =>
      s.stretches.some((x) => x.face === face.n) ? [n, JSON.stringify(s.section)] : [],
    ),
    "lines",
    l.us,
    l.vs,
  ];
  return parts.of(face, made, () => {
    const part = draft();
    return { part, node: addFace(part, h, l, surface) };
  });
}

/** Studs on a level stretch, noggins and plates on a plumb one: a timber right at its end counts for the stretch that ends there. */
function timbersOn(f: Face, a: UV, b: UV): number {
  const { studs } = f;
  if (!studs) return 0;
  if (same(a.v, b.v)) return studs.studs.filter((s) => s.at > a.u + EPS && s.at <= b.u + EPS).length;
  const plates = (same(a.v, 0) ? 1 : 0) + (same(b.v, f.shape.height) ? 1 : 0);
  return plates + studs.noggins.filter((v) => v > a.v + EPS && v <= b.v + EPS).length;
}

/** Fills a part with the nodes and edges of one face; gives the node at each crossing of its lines, −1 where there is none. */
function addFace(g: GraphDraft, h: House, l: FaceLines, surface: boolean): Int32Array {
  const { face, us, vs } = l;
  const union = zoneUnion(face.zones);
  const { top } = face.shape;
  const rects = face.shape.openings.map(rectOf);
  // What is kept free, and the end of a beam in the wall: nothing is chased through steel.
  const barred = [
    ...h.job.forbidden.flatMap((x) =>
      x.place.on === "wall" && x.place.wall === face.wall.id ? [rectOf(x.place)] : [],
    ),
    ...h.job.fixtures.filter((x) => x.wall === face.wall.id && x.kind === "beam").map(rectOf),
  ];
  // Into a thin leaf no chase is cut as deep as the job's.
  const deep = h.job.settings.chaseDepth;
  const levelChase = atMost(deep, deepestChase(face.wall, "level"));
  const plumbChase = atMost(deep, deepestChase(face.wall, "plumb"));
  const wet = h.job.fixtures
    .filter((x) => x.wall === face.wall.id && (x.kind === "bath" || x.kind === "sink"))
    .map(rectOf);
  const boxes = face.points.map((p) => ({ rect: rectAround(p), n: h.pointOfId.get(p.id)! }));
  const sections = sectionsOf(h).flatMap((s, n) =>
    s.stretches.flatMap((x) => (x.face === face.n ? [{ x, n: n + 1, hidden: s.row.hidden }] : [])),
  );
  const node = new Int32Array(us.length * vs.length).fill(-1);
  const nodeAt = (i: number, j: number): number => {
    const k = i + j * us.length;
    if (node[k]! < 0)
      node[k] = addNode(
        g,
        toSpace(face.frame, { u: us[i]!, v: vs[j]! }),
        boxes.find((x) => strictlyContains(x.rect, { u: us[i]!, v: vs[j]! }))?.n ?? -1,
      );
    return node[k]!;
  };
  const link = (i: number, j: number, i2: number, j2: number): void => {
    const a: UV = { u: us[i]!, v: vs[j]! };
    const b: UV = { u: us[i2]!, v: vs[j2]! };
    if (rects.some((r) => strictlyContains(r, a) || strictlyContains(r, b) || crosses(r, a, b))) return;
    if (barred.some((r) => crosses(r, a, b))) return;
    // The top of a wall under a sloping ceiling bulges upwards, so a stretch under it at both ends is under it all along.
    if (top && (a.v > topAt(top, a.u) + EPS || b.v > topAt(top, b.u) + EPS)) return;
    const plumb = same(a.u, b.u);
    const box = boxes.find((x) => crosses(x.rect, a, b));
    // Within a box nothing is chased: the box is let in as deep as it is.
    const deepEnough =
      (plumb ? plumbChase : levelChase) || (box !== undefined && contains(box.rect, a) && contains(box.rect, b));
    const chased = deepEnough && unionCovers(union, a, b) && !(plumb && studAt(face.studs, a.u));
    const section = sections.find((s) => (!s.hidden || chased) && liesOn(s.x, a, b));
    // In what stands on the surface a cable may lie outside the zones.
    const hidden = chased || (section !== undefined && !section.hidden);
    if (!hidden && !surface) return;
    addEdge(g, nodeAt(i, j), nodeAt(i2, j2), EDGE.wall, face.n, {
      box: box?.n ?? -1,
      hidden,
      wet: wet.some((r) => crosses(r, a, b)),
      timbers: section && !section.hidden ? 0 : timbersOn(face, a, b),
      section: section?.n ?? 0,
    });
  };
  const inBand = (j: number): boolean => vs[j]! >= face.shape.height - BAND_LINE - EPS;
  const inCorner = (i: number): boolean => us[i]! <= BAND + EPS || us[i]! >= face.shape.length - BAND - EPS;
  const inDrop = us.map((u) => face.points.some((p) => Math.abs(u - p.u) <= p.width / 2));
  // The columns that each row has; a plumb stretch goes from row to row that its column has.
  const last = new Int32Array(us.length).fill(-1);
  for (let j = 0; j < vs.length; j++) {
    const there = (i: number): boolean => !l.only[j] || inCorner(i) || (l.only[j] === IN_DROPS && inDrop[i]!);
    const columns = us.flatMap((_, i) => ((l.bandOnly[i] && !inBand(j)) || !there(i) ? [] : [i]));
    columns.forEach((i, k) => {
      // Along the very ceiling or floor line nothing is laid; plumb lines pass it into the deck.
      const next = columns[k + 1];
      const level = !same(vs[j]!, 0) && !same(vs[j]!, face.shape.height);
      // From corner to corner nothing leads along a line that is only there in the corners, nor from drop to drop.
      const whole = !l.only[j] || (next !== undefined && us[next]! - us[i]! <= BAND + EPS);
      if (next !== undefined && level && whole) link(i, j, next, j);
      if (last[i]! >= 0) link(i, last[i]!, i, j);
      last[i] = j;
    });
  }
  // A point whose own strips are cut off on every side still has a node, so that the search can say it is unreachable.
  for (const p of face.points) {
    const i = us.findIndex((u) => same(u, p.u));
    const j = vs.findIndex((v) => same(v, p.v));
    if (i >= 0 && j >= 0) nodeAt(i, j);
  }
  return node;
}

/** Where a cable goes from one face to another: the number of the crossing of lines in the one, and in the other. */
type Met = readonly (readonly [number, number])[];

/** Kept with the part of a face while those of the faces that it meets are the same: round its right corner, and right through it. */
const corners = new Kept<FacePart, Met>();
const holes = new Kept<FacePart, readonly Met[]>();

/** Round a corner: the right end of a face is the left end of the next. */
function roundCorner(l: FaceLines, node: Int32Array, next: FaceLines, nextNode: Int32Array): Met {
  const last = l.us.length - 1;
  if (!same(l.us[last] ?? -1, l.face.shape.length) || !same(next.us[0] ?? -1, 0)) return [];
  return l.vs.flatMap((v, j) => {
    const a = last + j * l.us.length;
    const b = next.vs.findIndex((w) => same(w, v)) * next.us.length;
    return b >= 0 && node[a]! >= 0 && nextNode[b]! >= 0 ? [[a, b] as const] : [];
  });
}

/** Right through a wall, from a face of one room to that of another. */
function through(l: FaceLines, node: Int32Array, o: FaceLines, otherNode: Int32Array): Met {
  const f = l.face;
  return l.vs.flatMap((v, j) =>
    l.us.flatMap((u, i) => {
      const a = i + j * l.us.length;
      // Nobody drills in the very corner.
      if (node[a]! < 0 || same(u, 0) || same(u, f.shape.length)) return [];
      const there = toFace(o.face.frame, toSpace(f.frame, { u, v }));
      if (there.u < CLEAR || there.u > o.face.shape.length - CLEAR) return [];
      const i2 = indexNear(o.us, there.u);
      const j2 = indexNear(o.vs, there.v);
      const b = i2 < 0 || j2 < 0 ? -1 : i2 + j2 * o.us.length;
      return b >= 0 && otherNode[b]! >= 0 ? [[a, b] as const] : [];
    }),
  );
}
