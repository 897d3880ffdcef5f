import * as THREE from "three";
import { planScene } from "../../core/drawings/plan-scene";
import type { Layer, LineShape, Shape } from "../../core/drawings/scene";
import { type Body, solidBodies } from "../../core/drawings/solid-bodies";
import { wallScene } from "../../core/drawings/wall-scene";
import type { House } from "../../core/house/house";
import type { Hit, Inks, Look } from "./solid-look";
import { tagOf } from "./solid-tags";

const SILL = 20;

/** Closed outlines of one layer of a drawing. */
const outlinesOn = (shapes: readonly Shape[], layer: Layer): LineShape[] =>
  shapes.filter((s): s is LineShape => s.kind === "line" && s.closed === true && s.layer === layer);

/** An outline of a drawing, turned y up. Heights that are not 0 are at least `least`: where a wall comes to nothing it keeps an edge. */
const areaOf = (s: LineShape, least = -Infinity): THREE.Shape =>
  new THREE.Shape(s.points.map(([x, y]) => new THREE.Vector2(x, y === 0 ? 0 : Math.max(-y, least))));

/** Puts what lies on a surface a little behind what is drawn on it. */
const BEHIND = { polygonOffset: true, polygonOffsetFactor: 2, polygonOffsetUnits: 4 } as const;

/**
 * Walls with their openings and the floors. A wall is seen from its room and looked through from behind, so that the house stands open
 * towards the eye; its edges are drawn all round.
 */
export function addWalls(h: House, look: Look, inks: Inks, group: THREE.Group): void {
  const shown = (id: string): boolean => look.storey === null || look.storey === id;
  const { selection } = look;
  const plain = new THREE.MeshLambertMaterial({ color: inks.plaster, ...BEHIND });
  const picked = new THREE.MeshLambertMaterial({ color: inks.zone, ...BEHIND });
  const edge = new THREE.LineBasicMaterial({ color: inks.soft });
  for (const f of h.faces) {
    if (!shown(f.room.storey) || f.wall.build === "open") continue;
    const drawn = wallScene(h, f, false);
    const shape = areaOf(outlinesOn(drawn, "WALLS")[0]!, SILL);
    shape.holes = outlinesOn(drawn, "OPENINGS").map((o) => areaOf(o, 1));
    const { along, inward, origin } = f.frame;
    const at = new THREE.Matrix4()
      .makeBasis(
        new THREE.Vector3(along.x, along.y, 0),
        new THREE.Vector3(0, 0, 1),
        new THREE.Vector3(inward.x, inward.y, 0),
      )
      .setPosition(origin[0], origin[1], f.floor);
    const geometry = new THREE.ShapeGeometry(shape);
    const mesh = new THREE.Mesh(geometry, selection?.kind === "wall" && selection.id === f.wall.id ? picked : plain);
    mesh.applyMatrix4(at);
    mesh.userData.hit = { kind: "wall", id: f.wall.id } satisfies Hit;
    const lines = new THREE.LineSegments(new THREE.EdgesGeometry(geometry), edge);
    lines.applyMatrix4(at);
    group.add(mesh, lines);
  }
  for (const s of h.job.storeys) {
    if (!shown(s.id)) continue;
    const floor = new THREE.MeshLambertMaterial({ color: inks.deck, side: THREE.DoubleSide, ...BEHIND });
    for (const outline of outlinesOn(planScene(h, s.id), "ROOMS")) {
      const mesh = new THREE.Mesh(new THREE.ShapeGeometry(areaOf(outline)), floor);
      mesh.position.z = s.level;
      group.add(mesh);
    }
  }
}

/** How solid each kind of thing is drawn: what hangs over the eye is looked through. */
const SOLID: Record<Body["kind"], number> = {
  joist: 0.3,
  noggin: 0.45,
  stud: 0.55,
  plate: 0.55,
  steel: 0.8,
  trimmer: 0.6,
  chimney: 0.6,
  stair: 0.15,
  fixture: 0.35,
  beam: 0.8,
  section: 0.6,
};

/** Joists, studs, noggins, plates, steel, chimney, what stands in the rooms, and sections of containment with their labels. */
export function addBodies(h: House, look: Look, inks: Inks, group: THREE.Group): void {
  const inkOf = (kind: Body["kind"]): string =>
    kind === "steel" || kind === "beam"
      ? inks.ink
      : kind === "fixture" || kind === "stair"
        ? inks.fixture
        : kind === "chimney"
          ? inks.soft
          : kind === "section"
            ? inks.plate
            : inks.timber;
  const materials = new Map<string, THREE.MeshLambertMaterial>();
  const material = (kind: Body["kind"], picked: boolean): THREE.MeshLambertMaterial => {
    const key = picked ? "picked" : kind;
    let m = materials.get(key);
    if (!m) {
      const opacity = picked ? 0.75 : SOLID[kind];
      m = new THREE.MeshLambertMaterial({
        color: picked ? inks.accent : inkOf(kind),
        transparent: true,
        opacity,
        depthWrite: false,
      });
      materials.set(key, m);
    }
    return m;
  };
  const edge = new THREE.LineBasicMaterial({ color: inks.timberline, transparent: true, opacity: 0.75 });
  const guessed = new THREE.LineDashedMaterial({ color: inks.timberline, dashSize: 60, gapSize: 60 });
  const casing = new THREE.LineBasicMaterial({ color: inks.ink });
  const named = new Set<string>();
  for (const b of solidBodies(h, look.storey)) {
    if (!look.joists && ["joist", "noggin", "stud", "plate"].includes(b.kind)) continue;
    if (b.high - b.low < 1) continue;
    const { selection } = look;
    const picked = b.section
      ? selection?.kind === "section" && selection.id === b.section
      : selection?.kind === "joist" && selection.deck === b.joist?.deck && selection.joist === b.joist.joist;
    const geometry = new THREE.ExtrudeGeometry(new THREE.Shape(b.outline.map((p) => new THREE.Vector2(p.x, p.y))), {
      depth: b.high - b.low,
      bevelEnabled: false,
    });
    const mesh = new THREE.Mesh(geometry, material(b.kind, picked));
    mesh.position.z = b.low;
    if (b.joist) mesh.userData.hit = { kind: "joist", ...b.joist, span: 1 } satisfies Hit;
    if (b.section) {
      mesh.userData.hit = { kind: "section", id: b.section } satisfies Hit;
      if (!named.has(b.section)) {
        named.add(b.section);
        const tag = tagOf(b.name, inks, picked ? 4 : 0, { picked });
        const n = b.outline.length;
        const [x, y] = (["x", "y"] as const).map((k) => b.outline.reduce((sum, p) => sum + p[k], 0) / n);
        tag.position.set(x!, y!, b.high + 60);
        group.add(tag);
      }
    }
    const outlined = b.section ? casing : edge;
    const lines = new THREE.LineSegments(new THREE.EdgesGeometry(geometry), b.known ? outlined : guessed);
    if (!b.known) lines.computeLineDistances();
    lines.position.z = b.low;
    group.add(mesh, lines);
  }
}
