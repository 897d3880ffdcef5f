import { memo } from "react";
import type { DimShape, Fill, Ink, Shape, TextShape } from "../../core/drawings/scene";
import { hatchUrl } from "./hatches";

const inks: Record<Ink, string> = {
  ink: "var(--ink)",
  soft: "var(--soft)",
  accent: "var(--accent)",
  timberline: "var(--timberline)",
  cut: "var(--stop)",
  fold: "var(--accent)",
  good: "var(--good)",
  stop: "var(--stop)",
  warn: "var(--warn)",
  none: "none",
  run1: "var(--run1)",
  run2: "var(--run2)",
  run3: "var(--run3)",
  run4: "var(--run4)",
  run5: "var(--run5)",
  run6: "var(--run6)",
};
const grounds = {
  paper: "var(--plate)",
  page: "var(--page)",
  panel: "var(--panel)",
  metal: "var(--fixture)",
  timber: "var(--timber)",
  deck: "var(--deck)",
  plaster: "var(--plaster)",
  earth: "var(--timber)",
  sand: "var(--deck)",
  cable: "var(--zone)",
  cable2: "var(--timber)",
  cable3: "var(--fixture)",
  opening: "var(--opening)",
  soft: "var(--soft)",
  stop: "var(--stop)",
} satisfies Partial<Record<Fill, string>>;

/** The colour of an ink on this page. */
export const inkOf = (ink: Ink): string => inks[ink];

const WORDS = 12.5;
const CHAR = 7.7;
/** Width of a letter as a share of its height, for what fits. */
const LETTER = 0.52;
/** One step off the thing that words and dimensions stand, px. */
const STEP = 13;

/** How a drawing lies on its paper. */
export interface Put {
  at: (x: number, y: number) => [number, number];
  scale: number;
  /** One px of the screen, in the units of the paper. */
  unit: number;
  /** Width of the paper. */
  wide: number;
  /** What the names of its hatches begin with. */
  hatches: string;
}

/** A drawing whose group is already set to millimetres: `unit` is one px in them. */
export const inPlace = (unit: number, hatches: string): Put => ({
  at: (x, y) => [x, y],
  scale: 1,
  unit,
  wide: Infinity,
  hatches,
});

const fillOf = (put: Put, fill: Fill | undefined): string =>
  fill === undefined
    ? "none"
    : fill in grounds
      ? grounds[fill as keyof typeof grounds]
      : hatchUrl(put.hatches, fill as never);
/** Dashes of a line in the units of the paper, whose px is `u`. */
export const dashOf = (dash: boolean | readonly number[] | undefined, u: number): string | undefined =>
  dash === true || (dash && dash.length) ? (dash === true ? [7, 5] : dash).map((n) => n * u).join(" ") : undefined;

function Words({ s, put }: { s: TextShape; put: Put }) {
  const u = put.unit;
  const size = (s.size ?? WORDS) * u;
  const per = put.scale;
  if (s.room && (s.room.width * per < s.text.length * size * LETTER || (s.room.height ?? Infinity) * per < size * 1.2))
    return null;
  const [x, y] = put.at(s.x, s.y);
  return (
    <text
      x={x + (s.shift ?? 0) * u}
      y={y + s.drop * STEP * u}
      fontSize={size}
      textAnchor={s.anchor}
      fill={inks[s.ink]}
      fontWeight={s.type === "bold" ? 600 : undefined}
      fontFamily={s.type === "figures" ? "var(--font-mono)" : "var(--font-cond)"}
    >
      {s.text}
    </text>
  );
}

function Dimension({ s, put }: { s: DimShape; put: Put }) {
  const u = put.unit;
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
  const ty = level && !inside ? my + (off < 0 ? -0.72 : 0.95) * WORDS * u : my;
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
          y={my - WORDS * u * 0.62}
          width={w}
          height={WORDS * u * 1.24}
          fill="var(--panel)"
          stroke="none"
        />
      ) : null}
      <text
        x={tx}
        y={ty + WORDS * u * 0.35}
        fontSize={WORDS * u}
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

/** One shape, put on paper. `ring`: it is what shows that its group has the keyboard. */
export function ShapeView({ s, put, ring = false }: { s: Shape; put: Put; ring?: boolean }) {
  if (s.kind === "text") return <Words s={s} put={put} />;
  if (s.kind === "dim") return <Dimension s={s} put={put} />;
  const u = put.unit;
  const closed = s.kind === "circle" || s.closed;
  const look = {
    fill: closed ? fillOf(put, s.fill) : "none",
    fillOpacity: s.cover,
    stroke: inks[s.ink],
    strokeWidth: s.ink === "none" ? undefined : (s.width ?? (s.heavy ? 2.4 : 1.1)) * u,
    strokeDasharray: dashOf(s.dash, u),
    "data-layer": s.layer,
    "data-id": s.id,
    className: ring ? "ring" : undefined,
  };
  if (s.kind === "circle") {
    const [x, y] = put.at(s.x, s.y);
    return <circle cx={x} cy={y} r={Math.max((s.least ?? 0) * u, s.r * put.scale)} {...look} />;
  }
  const r = (n: number): number => Math.round(n * 100) / 100;
  const d = s.points.map(([x, y], i) => `${i ? "L" : "M"}${put.at(x, y).map(r).join(",")}`).join("");
  return <path d={d + (s.closed ? "Z" : "")} strokeLinejoin="round" {...look} />;
}

/** Shapes of a drawing that lies in millimetres on the screen; nothing in them takes the pointer. */
export const Shapes = memo(function Shapes({
  shapes,
  unit,
  hatches,
}: {
  shapes: readonly Shape[];
  unit: number;
  hatches: string;
}) {
  const put = inPlace(unit, hatches);
  return (
    <g pointerEvents="none">
      {shapes.map((s, i) => (
        <ShapeView key={i} s={s} put={put} />
      ))}
    </g>
  );
});
