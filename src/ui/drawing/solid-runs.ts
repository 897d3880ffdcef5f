import * as THREE from "three";
import { LineMaterial } from "three/examples/jsm/lines/LineMaterial.js";
import { LineSegments2 } from "three/examples/jsm/lines/LineSegments2.js";
import { LineSegmentsGeometry } from "three/examples/jsm/lines/LineSegmentsGeometry.js";
import { runStyles, storeyBand } from "../../core/drawings/run-lines";
import type { House } from "../../core/house/house";
import type { Plan } from "../../core/laid/laid";
import type { Hit, Inks, Look } from "./solid-look";
import { tagOf } from "./solid-tags";

/** Width of a run on the screen, px. */
const WIDTH = 3.5;
const PICKED_WIDTH = 7;
/** A step of a dash on paper, as a length in the house, mm. */
const DASH = 40;
/** What a press near a run still hits, mm. */
const REACH = 45;
/** Shortest stretch that a circuit's tag is put on, mm. */
const LABELLED = 500;

/** Runs in the inks and dashes of their circuits, of one width however far away, each circuit tagged once; holes as discs. */
export function addRuns(h: House, plan: Plan | null, look: Look, inks: Inks, group: THREE.Group): void {
  const band = look.storey === null ? null : storeyBand(h.job, look.storey);
  const inside = (z: number): boolean => !band || (z >= band.low && z <= band.high);
  const floor = h.job.storeys.find((s) => s.id === look.storey)?.level ?? -Infinity;
  const styles = runStyles(h.job);
  const pickedRun = look.selection?.kind === "run" ? look.selection.id : null;
  const pressed = new THREE.MeshBasicMaterial({ colorWrite: false, depthWrite: false, transparent: true });
  const up = new THREE.Vector3(0, 1, 0);
  /** By circuit: its longest stretch shown. */
  const longest = new Map<string, { long: number; middle: THREE.Vector3 }>();
  for (const r of plan?.runs ?? []) {
    const picked = pickedRun === r.id;
    const dim = pickedRun !== null && !picked;
    const places: number[] = [];
    for (const l of r.legs)
      for (let i = 1; i < l.path.length; i++) {
        const [p, q] = [l.path[i - 1]!, l.path[i]!];
        const [a, b] = [new THREE.Vector3(...p), new THREE.Vector3(...q)];
        const long = a.distanceTo(b);
        if (long < 1 || !inside(p[2]) || !inside(q[2])) continue;
        places.push(...p, ...q);
        const middle = a.clone().add(b).multiplyScalar(0.5);
        const known = longest.get(r.circuit);
        // What lies under the floor is seen from the storey below: its name would float over it.
        const over = p[2] >= floor && q[2] >= floor;
        if (over && (picked || !known || long > known.long))
          longest.set(r.circuit, { long: picked ? Infinity : long, middle });
        const rod = new THREE.Mesh(new THREE.CylinderGeometry(REACH, REACH, long, 6), pressed);
        rod.position.copy(middle);
        rod.quaternion.setFromUnitVectors(up, b.sub(a).normalize());
        rod.userData.hit = { kind: "run", id: r.id } satisfies Hit;
        group.add(rod);
      }
    if (!places.length) continue;
    const dash = styles.get(r.circuit)?.dash ?? [];
    const line = new LineSegments2(
      new LineSegmentsGeometry().setPositions(places),
      new LineMaterial({
        color: inks.run(r.circuit),
        linewidth: picked ? PICKED_WIDTH : WIDTH,
        transparent: dim,
        opacity: dim ? 0.3 : 1,
        dashed: dash.length > 0,
        dashSize: (dash[0] ?? 1) * DASH,
        gapSize: (dash[1] ?? 0) * DASH,
      }),
    );
    if (dash.length) line.computeLineDistances();
    line.renderOrder = picked ? 1 : 0;
    // A press is taken by the rod round it.
    line.raycast = () => undefined;
    group.add(line);
  }
  for (const [circuit, { long, middle }] of longest) {
    if (long < LABELLED) continue;
    const tag = tagOf(styles.get(circuit)?.label ?? "?", inks, 3, { bar: inks.run(circuit) });
    tag.position.copy(middle);
    group.add(tag);
  }
  const disc = new THREE.MeshBasicMaterial({ color: inks.stop });
  for (const o of plan?.holes ?? []) {
    if (!inside(o.centre[2])) continue;
    const mesh = new THREE.Mesh(new THREE.SphereGeometry(Math.max(30, o.diameter), 12, 8), disc);
    mesh.position.set(...o.centre);
    if (o.in.kind === "joist")
      mesh.userData.hit = { kind: "joist", deck: o.in.deck!, joist: o.in.joist!, span: o.in.span ?? 1 } satisfies Hit;
    group.add(mesh);
  }
}
