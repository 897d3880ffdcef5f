import { Kept } from "../base/kept";
import { indexNear } from "../base/distinct";
import { same } from "../base/tolerance";
import { toFace, toSpace } from "../base/wall-frame";
import type { Face, House } from "../house/house";
import { sectionsOf } from "../house/sections";
import { type FaceNodes, addFace } from "./face-edges";
import { EDGE, type GraphDraft, addEdge, append, draft } from "./graph";
import { CLEAR, type FaceLines } from "./wall-lines";

/**
 * Adds nodes and edges of every face to the graph: level and plumb stretches inside the zones (and, when `surface` is wanted,
 * outside them too), turns round internal corners, and holes through walls between faces of two rooms.
 */
export function addWalls(g: GraphDraft, h: House, lines: FaceLines[], surface: boolean): void {
  const on: (FacePart | null)[] = [];
  for (const l of lines) on.push(l.face.wall.build === "open" ? null : faceWithLines(h, l, surface));
  for (let i = 0; i < lines.length; i++) {
    const l = lines[i]!;
    const own = on[i]!;
    l.node = own ? own.node.slice() : new Int32Array(l.us.length * l.vs.length).fill(-1);
    if (!own) continue;
    const shift = append(g, own.part);
    for (let k = 0; k < l.node.length; k++) if (l.node[k]! >= 0) l.node[k]! += shift;
  }
  for (let i = 0; i < lines.length; i++) {
    const l = lines[i]!;
    const [own, next] = [on[i]!, on[l.face.right]!];
    if (!own || !next || !l.face.shape.cornerRight) continue;
    const o = lines[l.face.right]!;
    const met = corners.of(own, [next], () => roundCorner(l, own.node, o, next.node));
    for (const [a, b] of met) addEdge(g, l.node[a]!, o.node[b]!, EDGE.corner, l.face.n);
  }
  for (let i = 0; i < lines.length; i++) {
    const l = lines[i]!;
    const own = on[i];
    const behind = l.face.opposite.filter((o) => o > l.face.n && on[o]);
    if (!own || !behind.length) continue;
    const there = behind.map((o) => on[o]!);
    const met = holes.of(own, there, () => behind.map((o, k) => through(l, own.holed, lines[o]!, there[k]!.holed)));
    for (let k = 0; k < behind.length; k++) {
      const o = behind[k]!;
      for (const [a, b] of met[k]!) addEdge(g, l.node[a]!, lines[o]!.node[b]!, EDGE.through, l.face.n, { ref2: o });
    }
  }
}

/** A face as a part of the graph, and its nodes by line. */
interface FacePart extends FaceNodes {
  part: GraphDraft;
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
    return { part, ...addFace(part, h, l, surface) };
  });
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
  const out: [number, number][] = [];
  for (let j = 0, a = 0; j < l.vs.length; j++)
    for (let i = 0; i < l.us.length; i++, a++) {
      const u = l.us[i]!;
      // Nobody drills in the very corner.
      if (node[a]! < 0 || same(u, 0) || same(u, f.shape.length)) continue;
      const there = toFace(o.face.frame, toSpace(f.frame, { u, v: l.vs[j]! }));
      if (there.u < CLEAR || there.u > o.face.shape.length - CLEAR) continue;
      const i2 = indexNear(o.us, there.u);
      const j2 = indexNear(o.vs, there.v);
      const b = i2 < 0 || j2 < 0 ? -1 : i2 + j2 * o.us.length;
      if (b >= 0 && otherNode[b]! >= 0) out.push([a, b]);
    }
  return out;
}
