"use client";
import { useId, useLayoutEffect, useRef, useState } from "react";
import { type Bounds, type Fill, type Ink, type Scene, type Shape, boundsOf } from "../../core/drawings/scene";

const inks: Record<Ink, string> = {
  ink: "var(--ink)",
  soft: "var(--soft)",
  cut: "var(--stop)",
  fold: "var(--accent)",
  good: "var(--good)",
  stop: "var(--stop)",
  warn: "var(--warn)",
  run1: "var(--run1)",
  run2: "var(--run2)",
  run3: "var(--run3)",
};
const fills: Record<Fill, string> = {
  paper: "var(--plate)",
  metal: "var(--fixture)",
  timber: "var(--timber)",
  plaster: "var(--plaster)",
  zone: "hatch",
  earth: "var(--timber)",
  sand: "var(--deck)",
  cable: "var(--zone)",
  cable2: "var(--timber)",
  cable3: "var(--fixture)",
  opening: "var(--opening)",
  waste: "waste",
};
const TEXT = 12.5;
const CHAR = 7.7;
/** One step off the thing that a dimension stands, px. */
const STEP = 13;

/** What drawings need round the shapes for words and dimension lines, px. */
const PAD = { side: 64, top: 46, bottom: 62 };

interface Put {
  at: (x: number, y: number) => [number, number];
  scale: number;
  /** Size of words and steps, in the units of the drawing on paper. */
  unit: number;
  /** Width of the paper. */
  wide: number;
}

/** One shape, put on paper. */
function ShapeView({ s, put, hatch, waste }: { s: Shape; put: Put; hatch: string; waste: string }) {
  const fill = (f: Fill | undefined): string =>
    f === undefined ? "none" : f === "zone" ? `url(#${hatch})` : f === "waste" ? `url(#${waste})` : fills[f];
  const u = put.unit;
  if (s.kind === "line") {
    const d = s.points
      .map(
        ([x, y], i) =>
          `${i ? "L" : "M"}${put
            .at(x, y)
            .map((n) => n.toFixed(2))
            .join(",")}`,
      )
      .join("");
    return (
      <path
        d={d + (s.closed ? "Z" : "")}
        fill={s.closed ? fill(s.fill) : "none"}
        stroke={inks[s.ink]}
        strokeWidth={(s.heavy ? 2.4 : 1.1) * u}
        strokeDasharray={s.dash ? `${7 * u} ${5 * u}` : undefined}
        strokeLinejoin="round"
      />
    );
  }
  if (s.kind === "circle") {
    const [x, y] = put.at(s.x, s.y);
    return (
      <circle
        cx={x}
        cy={y}
        r={s.r * put.scale}
        fill={fill(s.fill)}
        stroke={inks[s.ink]}
        strokeWidth={(s.heavy ? 2.4 : 1.1) * u}
        strokeDasharray={s.dash ? `${5 * u} ${4 * u}` : undefined}
      />
    );
  }
  if (s.kind === "text") {
    const [x, y] = put.at(s.x, s.y);
    return (
      <text
        x={x}
        y={y + s.drop * STEP * u}
        fontSize={TEXT * u}
        textAnchor={s.anchor}
        fill={inks[s.ink]}
        fontFamily="var(--font-cond)"
      >
        {s.text}
      </text>
    );
  }
  const [ax, ay] = put.at(...s.a);
  const [bx, by] = put.at(...s.b);
  const level = Math.abs(by - ay) <= Math.abs(bx - ax);
  const off = s.off * STEP * u;
  const [dx, dy] = level ? [0, off] : [off, 0];
  const w = s.text.length * CHAR * u + 6 * u;
  const length = Math.hypot(bx - ax, by - ay);
  const inside = level && length > w + 8 * u;
  const [mx, my] = [(ax + bx) / 2 + dx, (ay + by) / 2 + dy];
  const side = level ? 0 : off < 0 ? -1 : 1;
  // A figure that does not fit in its line stands beyond it, kept on the paper.
  const tx = level ? Math.min(Math.max(mx, w / 2), put.wide - w / 2) : mx + side * 5 * u;
  const ty = level && !inside ? my + (off < 0 ? -0.72 : 0.95) * TEXT * u : my;
  const anchor = level ? "middle" : side < 0 ? "end" : "start";
  return (
    <g stroke="var(--ink)" strokeWidth={0.9 * u}>
      {off !== 0 ? (
        <path d={`M${ax},${ay}L${ax + dx},${ay + dy}M${bx},${by}L${bx + dx},${by + dy}`} stroke="var(--line)" />
      ) : null}
      <path d={`M${ax + dx},${ay + dy}L${bx + dx},${by + dy}`} />
      {[
        [ax, ay],
        [bx, by],
      ].map(([x, y], i) => (
        <path key={i} d={`M${x! + dx - 3 * u},${y! + dy + 3 * u}l${6 * u},${-6 * u}`} strokeWidth={1.6 * u} />
      ))}
      {inside ? (
        <rect
          x={mx - w / 2}
          y={my - TEXT * u * 0.62}
          width={w}
          height={TEXT * u * 1.24}
          fill="var(--panel)"
          stroke="none"
        />
      ) : null}
      <text
        x={tx}
        y={ty + TEXT * u * 0.35}
        fontSize={TEXT * u}
        textAnchor={anchor}
        stroke="none"
        fill="var(--ink)"
        fontFamily="var(--font-mono)"
      >
        {s.text}
      </text>
    </g>
  );
}

function Patterns({ hatch, waste, unit }: { hatch: string; waste: string; unit: number }) {
  const p = 7 * unit;
  return (
    <defs>
      <pattern id={hatch} patternUnits="userSpaceOnUse" width={p} height={p} patternTransform="rotate(45)">
        <rect width={p} height={p} fill="var(--zone)" />
        <line x1="0" y1="0" x2="0" y2={p} stroke="var(--zoneline)" strokeWidth={1.6 * unit} />
      </pattern>
      <pattern id={waste} patternUnits="userSpaceOnUse" width={p} height={p} patternTransform="rotate(-45)">
        <rect width={p} height={p} fill="var(--plate)" />
        <line x1="0" y1="0" x2="0" y2={p} stroke="var(--stop)" strokeWidth={1.2 * unit} />
      </pattern>
    </defs>
  );
}

const extent = (b: Bounds): [number, number] => [Math.max(1e-6, b.x1 - b.x0), Math.max(1e-6, b.y1 - b.y0)];

/** A drawing to scale, as large as its place allows; words and dimension lines keep their size. */
export function SceneView({ scene, tall = 380 }: { scene: Scene; tall?: number }) {
  const ref = useRef<HTMLDivElement>(null);
  const [width, setWidth] = useState(640);
  const id = useId().replace(/[^a-z0-9]/gi, "");
  useLayoutEffect(() => {
    const el = ref.current;
    if (!el) return;
    const measure = (): void => setWidth(el.clientWidth);
    measure();
    const watch = new ResizeObserver(measure);
    watch.observe(el);
    return () => watch.disconnect();
  }, []);
  const b = boundsOf(scene.shapes);
  const [w, h] = extent(b);
  const side = width < 480 ? 44 : PAD.side;
  const scale = Math.max(1e-6, Math.min((width - 2 * side) / w, (tall - PAD.top - PAD.bottom) / h));
  const height = h * scale + PAD.top + PAD.bottom;
  const left = (width - w * scale) / 2;
  const put: Put = {
    scale,
    unit: 1,
    wide: width,
    at: (x, y) => [left + (x - b.x0) * scale, PAD.top + (y - b.y0) * scale],
  };
  return (
    <div ref={ref} className="scene w-full overflow-hidden border border-line bg-panel">
      <svg width={width} height={height} role="img" aria-label={scene.label} className="block">
        <Patterns hatch={`h${id}`} waste={`w${id}`} unit={1} />
        {scene.shapes.map((s, i) => (
          <ShapeView key={i} s={s} put={put} hatch={`h${id}`} waste={`w${id}`} />
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
  const put: Put = { scale: 1, unit, wide: fit.width, at: (x, y) => [MARGIN + x - b.x0, MARGIN + y - b.y0] };
  const foot = fit.height - 6;
  const bar = Math.min(100, Math.floor((fit.width - 4) / 10) * 10);
  const body = (
    <>
      <Patterns hatch={`p${id}`} waste={`q${id}`} unit={unit} />
      {scene.shapes.map((s, i) => (
        <ShapeView key={i} s={s} put={put} hatch={`p${id}`} waste={`q${id}`} />
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
