import * as THREE from "three";
import { type House, pointsOfStorey } from "../../core/house/house";
import type { Plan } from "../../core/laid/laid";
import type { Hit, Inks, Look } from "./solid-look";
import { addRuns } from "./solid-runs";
import { tagOf } from "./solid-tags";
import { addBodies, addWalls } from "./solid-walls";

/** The house in three dimensions, mm, z up, lit from over the left shoulder. Things that can be picked say so in `userData.hit`. */
export function solidScene(h: House, plan: Plan | null, look: Look, inks: Inks): THREE.Group {
  const group = new THREE.Group();
  const sky = new THREE.HemisphereLight(0xffffff, 0xbfb8ad, 2.4);
  sky.position.set(0, 0, 1);
  const sun = new THREE.DirectionalLight(0xffffff, 1.1);
  sun.position.set(0.35, -0.8, 1.4);
  group.add(sky, sun);
  addWalls(h, look, inks, group);
  addBodies(h, look, inks, group);
  addRuns(h, plan, look, inks, group);
  addPoints(h, look, inks, group);
  return group;
}

function addPoints(h: House, look: Look, inks: Inks, group: THREE.Group): void {
  const { selection } = look;
  for (const p of look.storey === null ? h.points : pointsOfStorey(h, look.storey)) {
    const f = h.faces[p.face];
    const picked =
      (selection?.kind === "point" && selection.id === p.point.id) ||
      (selection?.kind === "points" && selection.ids.includes(p.point.id));
    const mesh = new THREE.Mesh(
      new THREE.BoxGeometry(p.plate.width, f ? 40 : p.plate.height, f ? p.plate.height : 40),
      new THREE.MeshBasicMaterial({ color: picked ? inks.accent : inks.plate }),
    );
    mesh.position.set(...(p.space as [number, number, number]));
    if (f) mesh.rotation.z = Math.atan2(f.frame.along.y, f.frame.along.x);
    mesh.userData.hit = { kind: "point", id: p.point.id } satisfies Hit;
    mesh.add(
      new THREE.LineSegments(new THREE.EdgesGeometry(mesh.geometry), new THREE.LineBasicMaterial({ color: inks.ink })),
    );
    group.add(mesh);
    const rank = picked ? 4 : f && f.room.id === look.room ? 2 : 1;
    const tag = tagOf(p.point.label, inks, rank, { picked });
    const into = f ? 90 : 0;
    tag.position.set(
      p.space[0] + (f ? f.frame.inward.x * into : 0),
      p.space[1] + (f ? f.frame.inward.y * into : 0),
      p.space[2] + (f ? 150 : -150),
    );
    group.add(tag);
  }
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
