"use client";
import { Download, Footprints, Printer, RotateCcw } from "lucide-react";
import { useEffect, useRef, useState } from "react";
import * as THREE from "three";
import { OrbitControls } from "three/examples/jsm/controls/OrbitControls.js";
import { bounds } from "../../core/base/polygon";
import { runStyles } from "../../core/drawings/run-lines";
import { useDesk, useSnapshot } from "../job/store";
import { Button } from "../kit/button";
import type { Hit, Inks } from "./solid-look";
import { dispose, solidScene } from "./solid-scene";
import { partTags } from "./solid-tags";

/** Eye of a person, and a step, mm. */
const EYE = 1600;
const STEP = 300;
/** Share of the view that the house fills when it is first looked at. */
const FILLED = 0.92;

interface Stage {
  renderer: THREE.WebGLRenderer;
  scene: THREE.Scene;
  camera: THREE.PerspectiveCamera;
  controls: OrbitControls;
  draw: () => void;
}

/** Looks from the south-east and above, as near as lets every corner be seen, with the house in the middle of the view. */
function fitTo({ camera, controls }: Stage, corners: readonly THREE.Vector3[]): void {
  const from = new THREE.Vector3(0.5, -0.75, 0.75).normalize();
  const target = corners.reduce((sum, c) => sum.add(c), new THREE.Vector3()).multiplyScalar(1 / corners.length);
  let far = 20_000;
  const half = Math.tan((camera.fov * Math.PI) / 360);
  // What is near the eye looks larger: a few looks settle middle and distance.
  for (let k = 0; k < 6; k++) {
    camera.position.copy(target).addScaledVector(from, far);
    camera.lookAt(target);
    camera.updateMatrixWorld();
    const seen = corners.map((c) => c.clone().project(camera));
    const [xs, ys] = [seen.map((p) => p.x), seen.map((p) => p.y)];
    const size = Math.max(Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys)) / 2;
    const right = new THREE.Vector3().setFromMatrixColumn(camera.matrixWorld, 0);
    const up = new THREE.Vector3().setFromMatrixColumn(camera.matrixWorld, 1);
    target.addScaledVector(right, ((Math.max(...xs) + Math.min(...xs)) / 2) * half * camera.aspect * far);
    target.addScaledVector(up, ((Math.max(...ys) + Math.min(...ys)) / 2) * half * far);
    far *= size / FILLED;
  }
  camera.position.copy(target).addScaledVector(from, far);
  controls.target.copy(target);
}

/** The house in three dimensions: orbit or walk, one storey or all, and a press picks what the other views pick. */
export function SolidView() {
  const box = useRef<HTMLDivElement>(null);
  const stage = useRef<Stage | null>(null);
  const content = useRef<THREE.Group | null>(null);
  const { house, plan } = useSnapshot();
  const selection = useDesk((s) => s.selection);
  const room = useDesk((s) => s.room);
  /** The storey of the room in hand until another, or the whole house, is asked for. */
  const [asked, setStorey] = useState<string | null | undefined>(undefined);
  const storey = asked === undefined ? (house.job.rooms.find((r) => r.id === room)?.storey ?? null) : asked;
  const [joists, setJoists] = useState(true);
  const [walking, setWalking] = useState(false);
  const [still, setStill] = useState<string | null>(null);
  const [broken, setBroken] = useState(false);
  const walk = useRef(false);
  walk.current = walking;

  // The colours are those of the page: they change with its theme.
  const [theme, setTheme] = useState("");
  useEffect(() => {
    const tell = (): void => setTheme(document.documentElement.dataset.theme ?? "");
    tell();
    const watch = new MutationObserver(tell);
    watch.observe(document.documentElement, { attributes: true, attributeFilter: ["data-theme"] });
    return () => watch.disconnect();
  }, []);

  // The renderer lives as long as the view.
  useEffect(() => {
    const el = box.current!;
    let renderer: THREE.WebGLRenderer;
    try {
      renderer = new THREE.WebGLRenderer({ antialias: true, preserveDrawingBuffer: true });
    } catch {
      setBroken(true);
      return;
    }
    const scene = new THREE.Scene();
    const camera = new THREE.PerspectiveCamera(45, 1, 50, 200_000);
    camera.up.set(0, 0, 1);
    const controls = new OrbitControls(camera, renderer.domElement);
    renderer.setPixelRatio(Math.min(2, window.devicePixelRatio));
    renderer.domElement.setAttribute("data-solid", "");
    el.appendChild(renderer.domElement);
    const draw = (): void => {
      partTags(scene, camera, el.clientWidth, el.clientHeight);
      renderer.render(scene, camera);
    };
    controls.addEventListener("change", draw);
    stage.current = { renderer, scene, camera, controls, draw };
    const fit = (): void => {
      renderer.setSize(el.clientWidth, el.clientHeight, false);
      renderer.domElement.style.width = "100%";
      renderer.domElement.style.height = "100%";
      camera.aspect = el.clientWidth / Math.max(1, el.clientHeight);
      camera.updateProjectionMatrix();
      draw();
    };
    const watch = new ResizeObserver(fit);
    watch.observe(el);
    let from: { x: number; y: number } | null = null;
    const down = (e: PointerEvent): void => void (from = { x: e.clientX, y: e.clientY });
    const up = (e: PointerEvent): void => {
      if (!from || Math.hypot(e.clientX - from.x, e.clientY - from.y) > 5) return;
      const r = renderer.domElement.getBoundingClientRect();
      const ray = new THREE.Raycaster();
      ray.setFromCamera(
        new THREE.Vector2(((e.clientX - r.left) / r.width) * 2 - 1, -((e.clientY - r.top) / r.height) * 2 + 1),
        camera,
      );
      const hits = ray
        .intersectObjects(scene.children, true)
        .flatMap((x) => (x.object.userData.hit ? [x.object.userData.hit as Hit] : []));
      // What hangs on a wall or in a deck is meant before the wall or joist it hangs on, and a cable before what it lies in.
      const hit =
        hits.find((x) => x.kind === "point" || x.kind === "run") ??
        hits.find((x) => x.kind === "section") ??
        hits[0] ??
        null;
      useDesk.setState({ selection: hit });
    };
    renderer.domElement.addEventListener("pointerdown", down);
    renderer.domElement.addEventListener("pointerup", up);
    return () => {
      watch.disconnect();
      controls.dispose();
      if (content.current) dispose(content.current);
      content.current = null;
      renderer.dispose();
      renderer.domElement.remove();
      stage.current = null;
    };
  }, []);

  useEffect(() => {
    const s = stage.current;
    if (!s) return;
    if (content.current) {
      s.scene.remove(content.current);
      dispose(content.current);
    }
    const css = getComputedStyle(document.documentElement);
    const v = (name: string): string => css.getPropertyValue(name).trim();
    const styles = runStyles(house.job);
    const inks: Inks = {
      ink: v("--ink"),
      soft: v("--soft"),
      plaster: v("--plaster"),
      zone: v("--zone"),
      deck: v("--deck"),
      fixture: v("--fixture"),
      timber: v("--timber"),
      timberline: v("--timberline"),
      accent: v("--accent"),
      stop: v("--stop"),
      plate: v("--plate"),
      page: v("--page"),
      run: (c) => v(`--${styles.get(c)?.ink ?? "soft"}`),
    };
    content.current = solidScene(house, plan, { storey, selection, joists, room }, inks);
    s.scene.background = new THREE.Color(inks.page);
    s.scene.add(content.current);
    s.draw();
  }, [house, plan, selection, storey, joists, room, theme]);

  /** Looks at the shown part of the house from the south-east, or stands in the room shown. */
  const place = (inRoom: boolean): void => {
    const s = stage.current;
    if (!s) return;
    const { job } = house;
    const rooms = job.rooms.filter((r) => storey === null || r.storey === storey);
    const r = job.rooms.find((x) => x.id === room) ?? rooms[0];
    if (!rooms.length || !r) return;
    if (inRoom) {
      const b = bounds(r.outline);
      const floor = job.storeys.find((x) => x.id === r.storey)?.level ?? 0;
      s.camera.position.set((b.x0 + b.x1) / 2, b.y0 + (b.y1 - b.y0) * 0.35, floor + EYE);
      s.controls.target.set((b.x0 + b.x1) / 2, b.y0 + (b.y1 - b.y0) * 0.36, floor + EYE - 40);
    } else {
      // Open ground without a wall does not push the house into the distance.
      const walled = rooms.filter((x) => job.walls.some((w) => w.room === x.id && w.build !== "open"));
      const b = bounds((walled.length ? walled : rooms).flatMap((x) => x.outline));
      const levels = rooms.map((x) => job.storeys.find((y) => y.id === x.storey)?.level ?? 0);
      const [low, high] = [Math.min(...levels), Math.max(...rooms.map((x, i) => levels[i]! + x.height))];
      const corners = [b.x0, b.x1].flatMap((x) =>
        [b.y0, b.y1].flatMap((y) => [low, high].map((z) => new THREE.Vector3(x, y, z))),
      );
      fitTo(s, corners);
    }
    s.controls.update();
    s.draw();
  };
  const placeRef = useRef(place);
  placeRef.current = place;
  const standing = walking ? room : null;
  useEffect(() => placeRef.current(walking), [storey, walking, standing]);

  /** Steps along the way one looks, or turns on the spot. */
  const step = (ahead: number, turn: number): void => {
    const s = stage.current;
    if (!s) return;
    const look = s.controls.target.clone().sub(s.camera.position);
    if (turn) look.applyAxisAngle(new THREE.Vector3(0, 0, 1), turn);
    const flat = new THREE.Vector3(look.x, look.y, 0).normalize().multiplyScalar(ahead);
    s.camera.position.add(flat);
    s.controls.target.copy(s.camera.position).add(look);
    s.controls.update();
    s.draw();
  };
  const key = (e: React.KeyboardEvent): void => {
    const [ahead, turn] = { ArrowUp: [STEP, 0], ArrowDown: [-STEP, 0], ArrowLeft: [0, 0.2], ArrowRight: [0, -0.2] }[
      e.key
    ] ?? [0, 0];
    if (!ahead && !turn) return;
    e.preventDefault();
    if (walking) step(ahead!, turn!);
    else {
      const s = stage.current;
      if (!s) return;
      const off = s.camera.position.clone().sub(s.controls.target);
      if (turn) off.applyAxisAngle(new THREE.Vector3(0, 0, 1), -turn);
      else off.multiplyScalar(ahead! > 0 ? 0.9 : 1 / 0.9);
      s.camera.position.copy(s.controls.target).add(off);
      s.controls.update();
      s.draw();
    }
  };
  const picture = (): string | null => {
    const s = stage.current;
    if (!s) return null;
    s.draw();
    return s.renderer.domElement.toDataURL("image/png");
  };
  if (broken)
    return (
      <p className="grid flex-1 place-content-center border border-line p-6 text-center text-soft">
        This browser gives no three-dimensional drawing. The plan, the deck and the unrolled room show the same.
      </p>
    );
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-1.5">
      <div className="no-print flex flex-wrap items-center gap-1.5">
        <label className="flex items-center gap-1.5 text-[13px] text-soft">
          Show
          <select
            aria-label="Storeys shown"
            data-field="solid storey"
            className="min-h-8 border border-line bg-field px-1.5 text-ink"
            value={storey ?? ""}
            onChange={(e) => setStorey(e.target.value || null)}
          >
            <option value="">the whole house</option>
            {[...house.job.storeys]
              .sort((a, b) => a.level - b.level)
              .map((s) => (
                <option key={s.id} value={s.id}>
                  {s.name}
                </option>
              ))}
          </select>
        </label>
        <Button aria-pressed={joists} onClick={() => setJoists(!joists)}>
          {joists ? "Hide timber" : "Show timber"}
        </Button>
        <Button aria-pressed={walking} icon={<Footprints size={14} />} onClick={() => setWalking(!walking)}>
          {walking ? "Stand back" : "Stand in the room"}
        </Button>
        <Button icon={<RotateCcw size={14} />} aria-label="Look from the start" onClick={() => place(walking)} />
        <Button
          icon={<Download size={14} />}
          onClick={() => {
            const p = picture();
            if (!p) return;
            const a = document.createElement("a");
            a.href = p;
            a.download = "solid.png";
            a.click();
          }}
        >
          Picture
        </Button>
        <Button
          icon={<Printer size={14} />}
          onClick={() => {
            setStill(picture());
            requestAnimationFrame(() => requestAnimationFrame(() => window.print()));
          }}
        >
          Print
        </Button>
      </div>
      <div
        ref={box}
        tabIndex={0}
        role="application"
        aria-label={`The house in three dimensions. Arrow keys ${walking ? "step and turn" : "turn it and go nearer"}; a press picks.`}
        onKeyDown={key}
        className="drawing relative min-h-0 flex-1 touch-none overflow-hidden border border-line"
      />
      {still ? (
        <img src={still} alt="The house in three dimensions, as it was looked at" className="only-print w-full" />
      ) : null}
    </div>
  );
}
