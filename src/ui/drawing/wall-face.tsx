"use client";
import { memo } from "react";
import type { House } from "../../core/house/house";
import type { Job } from "../../core/job/model";
import { mm } from "../../core/base/figures";
import { fixtureNames } from "../../core/house/typical";
import { BAND } from "../../core/house/wall-zones";
import type { DeskState } from "../job/store";
import { STRIP, STRIP_GAP, type UnrolledWall } from "./unrolled-model";

const buildWords: Record<string, string> = {
  masonry: "masonry",
  "dry-lined": "dry-lined",
  stud: "stud",
  "metal-stud": "metal stud",
  open: "open",
};

/** One wall with its openings, fixtures, zones and deck strips. Drawing mm; `px` turns screen pixels into mm. */
export const WallFace = memo(function WallFace({
  w,
  house,
  job,
  px,
  zones,
  selected,
  onSelect,
  sweep,
}: {
  w: UnrolledWall;
  house: House;
  job: Job;
  px: (n: number) => number;
  zones: boolean;
  selected: boolean;
  onSelect: (wall: string) => void;
  sweep: DeskState["sweep"];
}) {
  const { face, x } = w;
  const { length, height } = face.shape;
  const openings = job.openings.filter((o) => o.wall === face.wall.id);
  const fixtures = job.fixtures.filter((f) => f.wall === face.wall.id);
  const { wall } = face;
  const top = face.shape.top ?? [
    { u: 0, v: height },
    { u: length, v: height },
  ];
  const outline = [`0,0`, ...top.map((p) => `${p.u},${-p.v}`), `${length},0`].join(" ");
  const photos = job.photos.filter((p) => p.wall === wall.id);
  const about =
    wall.build === "open"
      ? "open, no wall"
      : `${buildWords[wall.build]} ${mm(wall.thickness)}${wall.foilBacked ? ", foil-backed" : ""}${wall.backing === "outside" ? ", outside behind" : wall.backing === "party" ? ", party wall" : ""}`;
  return (
    <g transform={`translate(${x} 0)`}>
      <polygon
        points={outline}
        fill={wall.build === "open" ? "var(--page)" : "var(--plaster)"}
        stroke="var(--ink)"
        strokeWidth={px(1.2)}
        strokeDasharray={wall.build === "open" ? `${px(8)} ${px(5)}` : undefined}
        onClick={() => onSelect(wall.id)}
      />
      {wall.foilBacked ? <polygon points={outline} fill="url(#foil)" pointerEvents="none" /> : null}
      {zones && wall.build !== "open"
        ? face.zones.map((z, i) => {
            const look = {
              fill: `url(#${z.kind.endsWith("band") ? "band" : z.kind.startsWith("reverse") ? "reverse" : "strip"})`,
              pointerEvents: "none" as const,
              "data-zone": z.kind,
              "data-point": z.pointId,
            };
            return z.slope ? (
              <polygon
                key={i}
                points={[
                  [z.slope[0].u, z.slope[0].v],
                  [z.slope[1].u, z.slope[1].v],
                  [z.slope[1].u, Math.max(0, z.slope[1].v - BAND)],
                  [z.slope[0].u, Math.max(0, z.slope[0].v - BAND)],
                ]
                  .map((p) => `${p[0]},${-p[1]!}`)
                  .join(" ")}
                {...look}
              />
            ) : (
              <rect key={i} x={z.u0} y={-z.v1} width={z.u1 - z.u0} height={z.v1 - z.v0} {...look} />
            );
          })
        : null}
      {fixtures.map((f) => (
        <g key={f.id} pointerEvents="none">
          <rect
            x={f.u}
            y={-(f.v + f.height)}
            width={f.width}
            height={f.height}
            fill="var(--fixture)"
            fillOpacity={0.75}
            stroke="var(--soft)"
            strokeWidth={px(1)}
          />
          {f.kind === "hob" || f.width < px(38) ? null : (
            <text
              x={f.u + f.width / 2}
              y={f.height > px(16) ? -(f.v + f.height / 2) + px(4) : -f.v + px(13)}
              fontSize={px(11)}
              textAnchor="middle"
              fill="var(--soft)"
              fontFamily="var(--font-cond)"
            >
              {f.name || fixtureNames[f.kind]}
            </text>
          )}
          {f.kind === "hob" ? (
            <text
              x={f.u + f.width / 2}
              y={-(f.v + f.height) - px(4)}
              fontSize={px(11)}
              textAnchor="middle"
              fill="var(--soft)"
              fontFamily="var(--font-cond)"
            >
              hob
            </text>
          ) : null}
        </g>
      ))}
      {openings.map((o) => (
        <g key={o.id} pointerEvents="none">
          <rect
            x={o.u}
            y={-(o.v + o.height)}
            width={o.width}
            height={o.height}
            fill="var(--opening)"
            stroke="var(--ink)"
            strokeWidth={px(1)}
          />
          <text
            x={o.u + o.width / 2}
            y={-(o.v + o.height / 2)}
            fontSize={px(11)}
            textAnchor="middle"
            fill="var(--soft)"
            fontFamily="var(--font-cond)"
          >
            {o.kind} {mm(o.width)}
          </text>
        </g>
      ))}
      {job.forbidden.map((x) =>
        x.place.on === "wall" && x.place.wall === wall.id ? (
          <g key={x.id} pointerEvents="none" data-forbidden>
            <rect
              x={x.place.u}
              y={-(x.place.v + x.place.height)}
              width={x.place.width}
              height={x.place.height}
              fill="url(#barred)"
              stroke="var(--stop)"
              strokeWidth={px(1)}
            />
            <text
              x={x.place.u + x.place.width / 2}
              y={-(x.place.v + x.place.height / 2)}
              fontSize={px(10.5)}
              textAnchor="middle"
              fill="var(--ink)"
              fontFamily="var(--font-cond)"
            >
              {x.name || "kept free"}
            </text>
          </g>
        ) : null,
      )}
      {job.foundTrunkings
        .filter((t) => t.wall === wall.id)
        .map((t) => {
          const size = house.catalogue.trunkings.find((x) => x.id === t.size);
          const half = (size?.width ?? 25) / 2;
          const plumb = Math.abs(t.from.u - t.to.u) < 1;
          const [u0, u1, v0, v1] = [
            Math.min(t.from.u, t.to.u) - (plumb ? half : 0),
            Math.max(t.from.u, t.to.u) + (plumb ? half : 0),
            Math.min(t.from.v, t.to.v) - (plumb ? 0 : half),
            Math.max(t.from.v, t.to.v) + (plumb ? 0 : half),
          ];
          return (
            <rect
              key={t.id}
              x={u0}
              y={-v1}
              width={u1 - u0}
              height={v1 - v0}
              fill="var(--plate)"
              fillOpacity={0.8}
              stroke="var(--ink)"
              strokeWidth={px(1.1)}
              pointerEvents="none"
              data-trunking={t.id}
            />
          );
        })}
      {sweep ? (
        <g pointerEvents="none" data-sweep-line>
          <polyline
            points={sweep.readings.map((r) => `${r.u},${-(sweep.v + r.level * px(44))}`).join(" ")}
            fill="none"
            stroke="var(--warn)"
            strokeWidth={px(1.8)}
          />
          <line
            x1={0}
            x2={length}
            y1={-sweep.v}
            y2={-sweep.v}
            stroke="var(--warn)"
            strokeWidth={px(0.8)}
            strokeDasharray={`${px(4)} ${px(4)}`}
          />
          <text x={px(6)} y={-sweep.v + px(14)} fontSize={px(11)} fill="var(--ink)" fontFamily="var(--font-cond)">
            detector, simulated, at {mm(sweep.v)}
          </text>
        </g>
      ) : null}
      {photos.map((p) => (
        <g key={p.id} data-photo-mark pointerEvents="none">
          <circle cx={p.u} cy={-p.v} r={px(9)} fill="var(--plate)" stroke="var(--ink)" strokeWidth={px(1.4)} />
          <path
            d={`M${p.u - px(5)},${-p.v + px(3)}h${px(10)}v${-px(6)}h${-px(3)}l${-px(1)},${-px(2)}h${-px(2)}l${-px(1)},${px(2)}h${-px(3)}z`}
            fill="none"
            stroke="var(--ink)"
            strokeWidth={px(1.1)}
          />
          {p.text ? (
            <text
              x={p.u + px(12)}
              y={-p.v + px(4)}
              fontSize={px(10.5)}
              fill="var(--soft)"
              fontFamily="var(--font-cond)"
            >
              {p.text.slice(0, 28)}
            </text>
          ) : null}
        </g>
      ))}
      {selected ? (
        <polygon points={outline} fill="none" stroke="var(--accent)" strokeWidth={px(3)} pointerEvents="none" />
      ) : null}
      <Strip w={w} house={house} px={px} top />
      <Strip w={w} house={house} px={px} top={false} />
      <g
        role="button"
        tabIndex={0}
        aria-label={`Wall ${wall.index + 1}, ${mm(length)} long, ${about}`}
        aria-pressed={selected}
        className="focusable cursor-pointer"
        onClick={() => onSelect(wall.id)}
        onKeyDown={(e) => {
          if (e.key === "Enter" || e.key === " ") {
            e.preventDefault();
            onSelect(wall.id);
          }
        }}
      >
        <rect
          className="ring"
          x={px(2)}
          y={STRIP_GAP + STRIP / 2 + px(6)}
          width={Math.max(px(60), Math.min(length - px(4), px(240)))}
          height={px(34)}
          fill="transparent"
          stroke="none"
          strokeWidth={px(2)}
        />
      </g>
      <g pointerEvents="none" aria-hidden>
        <text
          x={px(6)}
          y={STRIP_GAP + STRIP / 2 + px(20)}
          fontSize={px(13)}
          fontWeight={600}
          fill="var(--ink)"
          fontFamily="var(--font-cond)"
        >
          Wall {wall.index + 1}{" "}
          <tspan fill="var(--soft)" fontWeight={400} fontFamily="var(--font-mono)" fontSize={px(11.5)}>
            {mm(length)}
          </tspan>
        </text>
        {length > px(about.length * 6.2) ? (
          <text
            x={px(6)}
            y={STRIP_GAP + STRIP / 2 + px(35)}
            fontSize={px(11.5)}
            fill="var(--soft)"
            fontFamily="var(--font-sans)"
          >
            {about}
          </text>
        ) : null}
      </g>
    </g>
  );
});

/** The deck over (or under) a wall, with its joists where they meet it. */
function Strip({ w, house, px, top }: { w: UnrolledWall; house: House; px: (n: number) => number; top: boolean }) {
  const { length, height } = w.face.shape;
  const decks = (top ? w.over : w.under).map((d) => house.decks[d]!);
  const tall = top ? STRIP : STRIP / 2;
  const y = top ? -height - STRIP_GAP - tall : STRIP_GAP;
  const deck = decks[0];
  if (!deck)
    return top ? (
      <text x={px(6)} y={-height - STRIP_GAP} fontSize={px(11)} fill="var(--soft)">
        no deck over
      </text>
    ) : null;
  const slope = deck.across === "x" ? w.face.frame.along.x : w.face.frame.along.y;
  const start = deck.across === "x" ? w.face.frame.origin[0] : w.face.frame.origin[1];
  const half = deck.deck.joists.breadth / 2;
  const crossing = Math.abs(slope) > 0.05;
  const side = crossing ? [] : deck.joists.filter((j) => Math.abs(j.at - start) < deck.deck.joists.spacing).slice(0, 1);
  return (
    <g pointerEvents="none">
      <rect
        x={0}
        y={y}
        width={length}
        height={tall}
        fill={deck.deck.kind === "concrete" ? "var(--fixture)" : "var(--deck)"}
        stroke="var(--timberline)"
        strokeWidth={px(0.8)}
      />
      {crossing
        ? deck.joists.map((j) => {
            const u = (j.at - start) / slope;
            const breadth = Math.max(half * 2, px(4));
            return u < 0 || u > length ? null : (
              <rect
                key={j.n}
                x={u - breadth / 2}
                y={y + tall * 0.04}
                width={breadth}
                height={tall * 0.92}
                fill="var(--timber)"
                stroke="var(--timberline)"
                strokeWidth={px(0.8)}
              />
            );
          })
        : side.map((j) => (
            <rect
              key={j.n}
              x={0}
              y={y + tall * 0.12}
              width={length}
              height={tall * 0.76}
              fill="var(--timber)"
              fillOpacity={0.6}
              stroke="var(--timberline)"
              strokeWidth={px(0.6)}
            />
          ))}
    </g>
  );
}
