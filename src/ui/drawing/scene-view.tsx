"use client";
import { useId, useRef } from "react";
import { type Bounds, type Scene, boundsOf } from "../../core/drawings/scene";
import { OVERLAP, tilesOf } from "../../core/drawings/tiles";
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

/** The drawing for paper: one millimetre is one millimetre, with a bar of 100 to check the printer by; over several sheets where it must be. */
export function TrueScalePrint({ scene }: { scene: Scene }) {
  if (!scene.template) return null;
  const fit = trueScale(scene);
  if (fit) return <Sheet scene={scene} {...fit} />;
  const [w, h] = extent(boundsOf(scene.shapes));
  const [pw, ph] = [w + 2 * MARGIN, h + 2 * MARGIN];
  const tiles = tilesOf(pw, ph, [PAPER[0], PAPER[1] - FOOT]);
  return tiles.map((t) => (
    <Sheet
      key={`${t.row} ${t.column}`}
      scene={scene}
      turned={false}
      width={t.x1 - t.x0}
      height={t.y1 - t.y0 + FOOT}
      from={[t.x0, t.y0]}
      words={`sheet ${t.row}.${t.column} of ${tiles.length}, its neighbours laid ${OVERLAP} mm over it`}
    />
  ));
}

/** Room for the bar at the foot of a sheet, mm. */
const FOOT = 14;

/** One sheet: all of a drawing, or the part of it that begins at `from`. */
function Sheet({
  scene,
  turned,
  width,
  height,
  from = [0, 0],
  words = "",
}: {
  scene: Scene;
  turned: boolean;
  width: number;
  height: number;
  from?: readonly [number, number];
  words?: string;
}) {
  const id = useId().replace(/[^a-z0-9]/gi, "");
  const b = boundsOf(scene.shapes);
  const unit = 0.27;
  const put: Put = {
    scale: 1,
    unit,
    wide: width,
    hatches: id,
    at: (x, y) => [MARGIN + x - b.x0 - from[0], MARGIN + y - b.y0 - from[1]],
  };
  const foot = height - 6;
  const bar = Math.min(100, Math.floor((width - 4) / 10) * 10);
  const body = (
    <>
      <Hatches prefix={id} unit={unit} />
      <clipPath id={`${id}-sheet`}>
        <rect x={0} y={0} width={width} height={words ? height - FOOT : height} />
      </clipPath>
      <g clipPath={`url(#${id}-sheet)`}>
        {scene.shapes.map((s, i) => (
          <ShapeView key={i} s={s} put={put} />
        ))}
      </g>
      {words ? (
        <rect x={0.2} y={0.2} width={width - 0.4} height={height - FOOT} fill="none" stroke="#000" strokeWidth={0.2} />
      ) : null}
      <path d={`M2,${foot}h${bar}M2,${foot - 2}v4M${2 + bar},${foot - 2}v4`} stroke="#000" strokeWidth={0.4} />
      <text x={4 + bar} y={foot + 1} fontSize={3.4} fontFamily="var(--font-cond)">
        true scale: this bar is {bar} mm{words ? `; ${words}` : ""}
      </text>
    </>
  );
  const [w, h] = turned ? [height, width] : [width, height];
  return (
    <svg
      className="only-print true-scale"
      width={`${w}mm`}
      height={`${h}mm`}
      viewBox={`0 0 ${w} ${h}`}
      role="img"
      aria-label={`${scene.label}, true scale${words ? `, ${words}` : ""}`}
    >
      {turned ? <g transform={`translate(${height} 0) rotate(90)`}>{body}</g> : body}
    </svg>
  );
}
