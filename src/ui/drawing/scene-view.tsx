"use client";
import { useId, useRef } from "react";
import { type Bounds, type Scene, boundsOf } from "../../core/drawings/scene";
import { useWidth } from "../kit/use-width";
import { Hatches } from "./hatches";
import { type Put, ShapeView } from "./shape-view";

/** What drawings need round the shapes for words and dimension lines, px. */
const PAD = { side: 64, top: 46, bottom: 62 };

const extent = (b: Bounds): [number, number] => [Math.max(1e-6, b.x1 - b.x0), Math.max(1e-6, b.y1 - b.y0)];

/** A drawing to scale, as large as its place allows; words and dimension lines keep their size. `beside`: room left at its sides, px. */
export function SceneView({ scene, tall = 380, beside }: { scene: Scene; tall?: number; beside?: number }) {
  const ref = useRef<HTMLDivElement>(null);
  const width = useWidth(ref, 640);
  const id = useId().replace(/[^a-z0-9]/gi, "");
  const b = boundsOf(scene.shapes);
  const [w, h] = extent(b);
  const side = beside ?? (width < 480 ? 44 : PAD.side);
  const scale = Math.max(1e-6, Math.min((width - 2 * side) / w, (tall - PAD.top - PAD.bottom) / h));
  const height = h * scale + PAD.top + PAD.bottom;
  const left = (width - w * scale) / 2;
  const put: Put = {
    scale,
    unit: 1,
    wide: width,
    hatches: id,
    at: (x, y) => [left + (x - b.x0) * scale, PAD.top + (y - b.y0) * scale],
  };
  return (
    <div ref={ref} className="scene w-full overflow-hidden border border-line bg-panel">
      <svg width={width} height={height} role="img" aria-label={scene.label} className="block">
        <Hatches prefix={id} unit={1} />
        {scene.shapes.map((s, i) => (
          <ShapeView key={i} s={s} put={put} />
        ))}
      </svg>
    </div>
  );
}

/** Paper of A4 inside its margins, mm. */
const PAPER: readonly [number, number] = [190, 265];
/** Room for words round the shapes, mm. */
const MARGIN = 18;

/** Whether a template fits the paper at true scale, upright or turned; null when it does not. */
export function trueScale(scene: Scene): { turned: boolean; width: number; height: number } | null {
  if (!scene.template) return null;
  const [w, h] = extent(boundsOf(scene.shapes));
  const [pw, ph] = [w + 2 * MARGIN, h + 2 * MARGIN + 14];
  if (pw <= PAPER[0] && ph <= PAPER[1]) return { turned: false, width: pw, height: ph };
  if (pw <= PAPER[1] && ph <= PAPER[0]) return { turned: true, width: pw, height: ph };
  return null;
}

/** The drawing for paper: one millimetre is one millimetre, with a bar of 100 to check the printer by. Seen only in print. */
export function TrueScalePrint({ scene }: { scene: Scene }) {
  const id = useId().replace(/[^a-z0-9]/gi, "");
  const fit = trueScale(scene);
  if (!fit) return null;
  const b = boundsOf(scene.shapes);
  const unit = 0.27;
  const put: Put = {
    scale: 1,
    unit,
    wide: fit.width,
    hatches: id,
    at: (x, y) => [MARGIN + x - b.x0, MARGIN + y - b.y0],
  };
  const foot = fit.height - 6;
  const bar = Math.min(100, Math.floor((fit.width - 4) / 10) * 10);
  const body = (
    <>
      <Hatches prefix={id} unit={unit} />
      {scene.shapes.map((s, i) => (
        <ShapeView key={i} s={s} put={put} />
      ))}
      <path d={`M2,${foot}h${bar}M2,${foot - 2}v4M${2 + bar},${foot - 2}v4`} stroke="#000" strokeWidth={0.4} />
      <text x={4 + bar} y={foot + 1} fontSize={3.4} fontFamily="var(--font-cond)">
        true scale: this bar is {bar} mm
      </text>
    </>
  );
  const [w, h] = fit.turned ? [fit.height, fit.width] : [fit.width, fit.height];
  return (
    <svg
      className="only-print true-scale"
      width={`${w}mm`}
      height={`${h}mm`}
      viewBox={`0 0 ${w} ${h}`}
      role="img"
      aria-label={`${scene.label}, true scale`}
    >
      {fit.turned ? <g transform={`translate(${fit.height} 0) rotate(90)`}>{body}</g> : body}
    </svg>
  );
}
