import * as THREE from "three";
import type { Inks } from "./solid-look";

/** Height of a tag, as a share of the height of the view at one unit of distance. */
const TAG = 0.034;
/** Room kept between tags, px. */
const GAP = 2;

/** How a tag is ranked where two would lie over each other: the higher stays. */
export interface TagFacts {
  rank: number;
  /** Width over height. */
  ratio: number;
}

/** A tag that always faces the eye, of one size on the screen; a bar of the ink at its foot says which circuit it belongs to. */
export function tagOf(text: string, inks: Inks, rank: number, { picked = false, bar = "" } = {}): THREE.Sprite {
  const canvas = document.createElement("canvas");
  const wide = 20 + text.length * 17;
  canvas.width = wide * 2;
  canvas.height = 80;
  const g = canvas.getContext("2d")!;
  g.scale(2, 2);
  g.fillStyle = inks.plate;
  g.fillRect(1, 1, wide - 2, 38);
  if (bar) {
    g.fillStyle = bar;
    g.fillRect(1, 31, wide - 2, 8);
  }
  g.lineWidth = picked ? 4 : 2;
  g.strokeStyle = picked ? inks.accent : bar || inks.ink;
  g.strokeRect(1, 1, wide - 2, 38);
  g.fillStyle = inks.ink;
  g.font = "500 26px 'Spline Sans Mono', monospace";
  g.textAlign = "center";
  g.textBaseline = "middle";
  g.fillText(text, wide / 2, bar ? 17 : 21);
  const map = new THREE.CanvasTexture(canvas);
  map.colorSpace = THREE.SRGBColorSpace;
  const sprite = new THREE.Sprite(new THREE.SpriteMaterial({ map, depthTest: false, sizeAttenuation: false }));
  sprite.scale.set((wide / 40) * TAG, TAG, 1);
  sprite.renderOrder = 2;
  sprite.userData.tag = { rank, ratio: wide / 40 } satisfies TagFacts;
  return sprite;
}

/** Shows of the tags those that do not lie over a higher one as the house is looked at now, the nearer of two equals first. */
export function partTags(group: THREE.Object3D, camera: THREE.PerspectiveCamera, width: number, height: number): void {
  const tags: { sprite: THREE.Sprite; facts: TagFacts; x: number; y: number; far: number }[] = [];
  camera.updateMatrixWorld();
  group.traverse((o) => {
    if (!(o instanceof THREE.Sprite)) return;
    const p = o.getWorldPosition(new THREE.Vector3());
    const far = p.distanceTo(camera.position);
    const ahead = p.clone().applyMatrix4(camera.matrixWorldInverse).z < 0;
    const s = p.project(camera);
    o.visible = ahead && Math.abs(s.x) <= 1.05 && Math.abs(s.y) <= 1.05;
    if (o.visible)
      tags.push({
        sprite: o,
        facts: o.userData.tag as TagFacts,
        x: ((s.x + 1) / 2) * width,
        y: ((1 - s.y) / 2) * height,
        far,
      });
  });
  const tall = (TAG * height) / (2 * Math.tan((camera.fov * Math.PI) / 360));
  const kept: { x: number; y: number; w: number }[] = [];
  for (const t of tags.sort((a, b) => b.facts.rank - a.facts.rank || a.far - b.far)) {
    const w = tall * t.facts.ratio;
    const over = kept.some((k) => Math.abs(k.x - t.x) < (k.w + w) / 2 + GAP && Math.abs(k.y - t.y) < tall + GAP);
    t.sprite.visible = !over;
    if (!over) kept.push({ x: t.x, y: t.y, w });
  }
}
