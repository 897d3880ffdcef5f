"use client";
import { useId, useRef, useState } from "react";
import { type Bounds, type Scene, boundsOf } from "../../core/drawings/scene";
import { OVERLAP, tilesOf } from "../../core/drawings/tiles";
import { useWidth } from "../kit/use-width";
import { Hatches } from "./hatches";
import { type Put, ShapeView } from "./shape-view";

/** What drawings need round the shapes for words and dimension lines, px. */
const PAD = { side: 64, top: 46, bottom: 62 };

const extent = (b: Bounds): [number, number] => [Math.max(1e-6, b.x1 - b.x0), Math.max(1e-6, b.y1 - b.y0)];

/** A thing of a drawing that is moved along it by hand, or by arrow keys a millimetre at a time. Lengths mm of the drawing. */
export interface Handle {
  id: string;
  at: readonly [number, number];
  radius: number;
  most: number;
  label: string;
  onMove: (x: number) => void;
}

/**
 * A drawing to scale, as large as its place allows; words and dimension lines keep their size. `beside`: room left at its sides, px.
 */
export function SceneView({
  scene,
  tall = 380,
  beside,
  handles = [],
}: {
  scene: Scene;
  tall?: number;
  beside?: number;
  handles?: readonly Handle[];
}) {
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
      <svg
        width={width}
        height={height}
        role={handles.length ? "group" : "img"}
        aria-label={scene.label}
        className="block"
      >
        <Hatches prefix={id} unit={1} />
        {scene.shapes.map((s, i) => (
          <ShapeView key={i} s={s} put={put} />
        ))}
        {handles.map((h) => (
          <HandleView key={h.id} handle={h} put={put} />
        ))}
      </svg>
    </div>
  );
}

const step: Readonly<Record<string, number>> = { ArrowLeft: -1, ArrowRight: 1, ArrowDown: -1, ArrowUp: 1 };

function HandleView({ handle, put }: { handle: Handle; put: Put }) {
  const [drag, setDrag] = useState<{ from: number; by: number } | null>(null);
  const within = (x: number): number => Math.min(handle.most, Math.max(0, Math.round(x)));
  const x = drag ? within(handle.at[0] + drag.by / put.scale) : handle.at[0];
  const [px, py] = put.at(x, handle.at[1]);
  return (
    <g>
      <circle
        cx={px}
        cy={py}
        r={Math.max(22, handle.radius * put.scale)}
        tabIndex={0}
        role="slider"
        aria-label={handle.label}
        aria-valuenow={Math.round(x)}
        aria-valuemin={0}
        aria-valuemax={handle.most}
        data-handle={handle.id}
        className={`cursor-ew-resize touch-none ${drag ? "stroke-accent" : "stroke-transparent"} fill-transparent focus-visible:stroke-accent`}
        strokeWidth={2}
        onPointerDown={(e) => {
          e.currentTarget.setPointerCapture(e.pointerId);
          setDrag({ from: e.clientX, by: 0 });
        }}
        onPointerMove={(e) => (drag ? setDrag({ ...drag, by: e.clientX - drag.from }) : undefined)}
        onPointerUp={() => {
          if (drag && x !== handle.at[0]) handle.onMove(x);
          setDrag(null);
        }}
        onPointerCancel={() => setDrag(null)}
        onKeyDown={(e) => {
          const by = step[e.key];
          if (by === undefined) return;
          e.preventDefault();
          handle.onMove(within(handle.at[0] + by * (e.shiftKey ? 10 : 1)));
        }}
      />
      {drag ? (
        <text x={px} y={py - 28} textAnchor="middle" className="fill-accent font-mono text-[13px]">
          {x}
        </text>
      ) : null}
    </g>
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
