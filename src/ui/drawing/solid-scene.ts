import * as THREE from "three";
import { joistShapes } from "../../core/drawings/deck-scene";
import { planScene } from "../../core/drawings/plan-scene";
import type { Layer, LineShape, Shape } from "../../core/drawings/scene";
import { wallScene } from "../../core/drawings/wall-scene";
import { type House, decksOfStorey, pointsOfStorey } from "../../core/house/house";
import type { Plan } from "../../core/laid/laid";
import type { Selection } from "../job/store";

/** What a press in the solid view hits. */
export type Hit = NonNullable<Selection>;

/** Colours of the page, as the theme has them now. */
export interface Inks {
  ink: string;
  soft: string;
  plaster: string;
  timber: string;
  accent: string;
  stop: string;
  plate: string;
  page: string;
  run: (circuit: string) => string;
}

/** Radius of a run as drawn, thicker than the cable so that it is seen, mm. */
const RUN = 18;
const PICKED_RUN = 32;
const SILL = 20;
const TAG = 0.026;

interface Look {
  /** Storey shown, or null for the whole house. */
  storey: string | null;
  selection: Selection;
  joists: boolean;
}

/** Closed outlines of one layer of a drawing. */
const outlinesOn = (shapes: readonly Shape[], layer: Layer): LineShape[] =>
  shapes.filter((s): s is LineShape => s.kind === "line" && s.closed === true && s.layer === layer);

/** An outline of a drawing, turned y up. Heights that are not 0 are at least `least`: where a wall comes to nothing it keeps an edge. */
const areaOf = (s: LineShape, least = -Infinity): THREE.Shape =>
  new THREE.Shape(s.points.map(([x, y]) => new THREE.Vector2(x, y === 0 ? 0 : Math.max(-y, least))));

/** The house in three dimensions, mm, z up: see-through walls with their openings, joists, runs, bores, points. Things that can be picked say so in `userData.hit`. */
export function solidScene(h: House, plan: Plan | null, look: Look, inks: Inks): THREE.Group {
  const group = new THREE.Group();
  const shown = (id: string): boolean => look.storey === null || look.storey === id;
  const { selection } = look;
  const wallLook = new THREE.MeshBasicMaterial({
    color: inks.plaster,
    transparent: true,
    opacity: 0.22,
    side: THREE.DoubleSide,
    depthWrite: false,
  });
  const wallPicked = new THREE.MeshBasicMaterial({
    color: inks.accent,
    transparent: true,
    opacity: 0.3,
    side: THREE.DoubleSide,
    depthWrite: false,
  });
  const edgeLook = new THREE.LineBasicMaterial({ color: inks.soft, transparent: true, opacity: 0.6 });
  for (const f of h.faces) {
    if (!shown(f.room.storey) || f.wall.build === "open") continue;
    const drawn = wallScene(h, f, false);
    const shape = areaOf(outlinesOn(drawn, "WALLS")[0]!, SILL);
    shape.holes = outlinesOn(drawn, "OPENINGS").map((o) => areaOf(o, 1));
    const at = new THREE.Matrix4()
      .makeBasis(
        new THREE.Vector3(f.frame.along.x, f.frame.along.y, 0),
        new THREE.Vector3(0, 0, 1),
        new THREE.Vector3(f.frame.along.y, -f.frame.along.x, 0),
      )
      .setPosition(f.frame.origin[0], f.frame.origin[1], f.floor);
    const put = <T extends THREE.Object3D>(o: T): T => {
      o.applyMatrix4(at);
      group.add(o);
      return o;
    };
    const geometry = new THREE.ShapeGeometry(shape);
    const picked = selection?.kind === "wall" && selection.id === f.wall.id;
    put(new THREE.Mesh(geometry, picked ? wallPicked : wallLook)).userData.hit = {
      kind: "wall",
      id: f.wall.id,
    } satisfies Hit;
    put(new THREE.LineSegments(new THREE.EdgesGeometry(geometry), edgeLook));
    for (const x of outlinesOn(drawn, "FIXTURES"))
      put(new THREE.LineLoop(new THREE.BufferGeometry().setFromPoints(areaOf(x, 1).getPoints()), edgeLook));
  }
  const floorLook = new THREE.MeshBasicMaterial({
    color: inks.plaster,
    transparent: true,
    opacity: 0.35,
    side: THREE.DoubleSide,
    depthWrite: false,
  });
  for (const s of h.job.storeys) {
    if (!shown(s.id)) continue;
    for (const outline of outlinesOn(planScene(h, s.id), "ROOMS")) {
      const mesh = new THREE.Mesh(new THREE.ShapeGeometry(areaOf(outline)), floorLook);
      mesh.position.z = s.level;
      group.add(mesh);
    }
  }
  if (look.joists) addJoists(h, look, inks, group);
  const labels = new Set(look.storey === null ? h.points : pointsOfStorey(h, look.storey));
  addRuns(h, plan, look, inks, group);
  for (const p of labels) {
    const f = h.faces[p.face];
    const picked =
      (selection?.kind === "point" && selection.id === p.point.id) ||
      (selection?.kind === "points" && selection.ids.includes(p.point.id));
    const mesh = new THREE.Mesh(
      new THREE.BoxGeometry(p.plate.width, f ? 30 : p.plate.height, f ? p.plate.height : 30),
      new THREE.MeshBasicMaterial({ color: picked ? inks.accent : inks.plate }),
    );
    mesh.position.set(...(p.space as [number, number, number]));
    if (f) mesh.rotation.z = Math.atan2(f.frame.along.y, f.frame.along.x);
    mesh.userData.hit = { kind: "point", id: p.point.id } satisfies Hit;
    mesh.add(
      new THREE.LineSegments(new THREE.EdgesGeometry(mesh.geometry), new THREE.LineBasicMaterial({ color: inks.ink })),
    );
    group.add(mesh);
    const tag = tagOf(p.point.label, inks, picked);
    const into = f ? 90 : 0;
    tag.position.set(
      p.space[0] + (f ? f.frame.inward.x * into : 0),
      p.space[1] + (f ? f.frame.inward.y * into : 0),
      p.space[2] + (f ? 130 : -130),
    );
    group.add(tag);
  }
  return group;
}

function addJoists(h: House, look: Look, inks: Inks, group: THREE.Group): void {
  const decks = look.storey === null ? h.job.decks : decksOfStorey(h.job, look.storey);
  const plain = new THREE.MeshBasicMaterial({ color: inks.timber, transparent: true, opacity: 0.5 });
  const picked = new THREE.MeshBasicMaterial({ color: inks.accent, transparent: true, opacity: 0.7 });
  for (const l of h.decks) {
    if (!decks.includes(l.deck) || l.deck.kind === "concrete") continue;
    for (const j of l.joists)
      for (const outline of outlinesOn(joistShapes(l, j, h.job.settings.schools.notch).stretches, "JOISTS")) {
        const mesh = new THREE.Mesh(
          new THREE.ExtrudeGeometry(areaOf(outline), { depth: l.deck.joists.depth, bevelEnabled: false }),
          look.selection?.kind === "joist" && look.selection.deck === l.deck.id && look.selection.joist === j.n
            ? picked
            : plain,
        );
        mesh.position.z = l.underside;
        mesh.userData.hit = { kind: "joist", deck: l.deck.id, joist: j.n, span: 1 } satisfies Hit;
        group.add(mesh);
      }
  }
}

function addRuns(h: House, plan: Plan | null, look: Look, inks: Inks, group: THREE.Group): void {
  const storey = h.job.storeys.find((s) => s.id === look.storey);
  const inside = (z: number): boolean =>
    !storey || (z >= storey.level - 400 && z <= storey.level + storey.height + 500);
  const up = new THREE.Vector3(0, 1, 0);
  for (const r of plan?.runs ?? []) {
    const picked = look.selection?.kind === "run" && look.selection.id === r.id;
    const material = new THREE.MeshBasicMaterial({
      color: inks.run(r.circuit),
      transparent: look.selection?.kind === "run" && !picked,
      opacity: look.selection?.kind === "run" && !picked ? 0.35 : 1,
    });
    for (const l of r.legs)
      for (let i = 1; i < l.path.length; i++) {
        const [a, b] = [l.path[i - 1]!, l.path[i]!].map((p) => new THREE.Vector3(p[0], p[1], p[2])) as [
          THREE.Vector3,
          THREE.Vector3,
        ];
        const long = a.distanceTo(b);
        if (long < 1 || !inside(a.z) || !inside(b.z)) continue;
        const mesh = new THREE.Mesh(
          new THREE.CylinderGeometry(picked ? PICKED_RUN : RUN, picked ? PICKED_RUN : RUN, long, 6),
          material,
        );
        mesh.position.copy(a).add(b).multiplyScalar(0.5);
        mesh.quaternion.setFromUnitVectors(up, b.clone().sub(a).normalize());
        mesh.userData.hit = { kind: "run", id: r.id } satisfies Hit;
        group.add(mesh);
      }
  }
  const bore = new THREE.MeshBasicMaterial({ color: inks.stop });
  for (const o of plan?.holes ?? []) {
    if (!inside(o.centre[2]!)) continue;
    const mesh = new THREE.Mesh(new THREE.SphereGeometry(Math.max(26, o.diameter), 10, 8), bore);
    mesh.position.set(o.centre[0]!, o.centre[1]!, o.centre[2]!);
    if (o.in.kind === "joist")
      mesh.userData.hit = { kind: "joist", deck: o.in.deck!, joist: o.in.joist!, span: o.in.span ?? 1 } satisfies Hit;
    group.add(mesh);
  }
}

/** A tag that always faces the eye. */
function tagOf(text: string, inks: Inks, picked: boolean): THREE.Sprite {
  const canvas = document.createElement("canvas");
  const wide = 20 + text.length * 17;
  canvas.width = wide * 2;
  canvas.height = 80;
  const g = canvas.getContext("2d")!;
  g.scale(2, 2);
  g.fillStyle = inks.plate;
  g.fillRect(1, 1, wide - 2, 38);
  g.lineWidth = picked ? 4 : 2;
  g.strokeStyle = picked ? inks.accent : inks.ink;
  g.strokeRect(1, 1, wide - 2, 38);
  g.fillStyle = inks.ink;
  g.font = "500 26px 'Spline Sans Mono', monospace";
  g.textAlign = "center";
  g.textBaseline = "middle";
  g.fillText(text, wide / 2, 21);
  const sprite = new THREE.Sprite(
    new THREE.SpriteMaterial({ map: new THREE.CanvasTexture(canvas), depthTest: false, sizeAttenuation: false }),
  );
  // One size on the screen, however far away: a share of the height of the view.
  sprite.scale.set((wide / 40) * TAG, TAG, 1);
  sprite.renderOrder = 2;
  return sprite;
}

/** Lets go of everything a scene holds on the graphics card. */
export function dispose(group: THREE.Object3D): void {
  group.traverse((o) => {
    if (o instanceof THREE.Mesh || o instanceof THREE.Line) {
      o.geometry.dispose();
      for (const m of Array.isArray(o.material) ? o.material : [o.material]) (m as THREE.Material).dispose();
    }
    if (o instanceof THREE.Sprite) {
      o.material.map?.dispose();
      o.material.dispose();
    }
  });
}
