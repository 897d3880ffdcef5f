"use client";
import { memo } from "react";
import { bounds } from "../../core/base/polygon";
import { type XYZ, toSpace } from "../../core/base/wall-frame";
import type { Face, House } from "../../core/house/house";
import type { Job } from "../../core/job/model";
import { fixtureNames } from "../../core/house/typical";

/** Fixtures that hang above a head: drawn dashed on plan. */
const HIGH = 1300;

const line = (points: readonly (readonly number[])[]): string => points.map((p) => `${p[0]},${-p[1]!}`).join(" ");

/** Rooms of a storey from above, with the thickness of their walls, openings, and what stands against them. */
export const PlanRooms = memo(function PlanRooms({
  house,
  job,
  storey,
  room,
  px,
  onRoom,
}: {
  house: House;
  job: Job;
  storey: string;
  room: string | null;
  px: (n: number) => number;
  onRoom: (id: string) => void;
}) {
  const faces = house.faces.filter((f) => f.room.storey === storey);
  const at = (f: Face, u: number, into = 0): XYZ => toSpace(f.frame, { u, v: 0 }, into);
  return (
    <g>
      {faces.map((f) =>
        f.wall.build === "open" ? null : (
          <polygon
            key={f.n}
            points={line([
              at(f, 0),
              at(f, f.shape.length),
              at(f, f.shape.length, -Math.min(f.shape.thickness, 600)),
              at(f, 0, -Math.min(f.shape.thickness, 600)),
            ])}
            fill="var(--opening)"
            stroke="none"
            pointerEvents="none"
          />
        ),
      )}
      {job.rooms
        .filter((r) => r.storey === storey)
        .map((r) => {
          const b = bounds(r.outline);
          const on = r.id === room;
          return (
            <g key={r.id}>
              <polygon
                points={line(r.outline.map((p) => [p.x, p.y]))}
                fill={on ? "var(--plaster)" : "var(--panel)"}
                stroke="var(--ink)"
                strokeWidth={px(on ? 2.5 : 1.5)}
                strokeDasharray={r.kind === "yard" ? `${px(8)} ${px(5)}` : undefined}
                onClick={() => onRoom(r.id)}
                className="cursor-pointer"
              />
              <text
                x={(b.x0 + b.x1) / 2}
                y={-(b.y0 + b.y1) / 2 - px(10)}
                textAnchor="middle"
                fontSize={px(13)}
                fill="var(--soft)"
                fontFamily="var(--font-cond)"
                fontWeight={600}
                pointerEvents="none"
              >
                {r.name}
              </text>
            </g>
          );
        })}
      {faces.flatMap((f) =>
        job.fixtures
          .filter((x) => x.wall === f.wall.id)
          .map((x) => {
            const p = at(f, x.u + x.width / 2, x.depth / 2);
            const corners = [at(f, x.u), at(f, x.u + x.width), at(f, x.u + x.width, x.depth), at(f, x.u, x.depth)];
            return (
              <g key={x.id} pointerEvents="none">
                <polygon
                  points={line(corners)}
                  fill={x.v >= HIGH || x.kind === "worktop" ? "none" : "var(--fixture)"}
                  fillOpacity={0.7}
                  stroke="var(--soft)"
                  strokeWidth={px(1)}
                  strokeDasharray={x.v >= HIGH ? `${px(4)} ${px(3)}` : undefined}
                />
                {x.kind === "hob"
                  ? [0.27, 0.73].flatMap((s) =>
                      [0.3, 0.7].map((t) => {
                        const c = at(f, x.u + x.width * s, x.depth * t);
                        return (
                          <circle
                            key={`${s}${t}`}
                            cx={c[0]}
                            cy={-c[1]}
                            r={Math.min(x.width, x.depth) * 0.16}
                            fill="none"
                            stroke="var(--soft)"
                            strokeWidth={px(1)}
                          />
                        );
                      }),
                    )
                  : null}
                {x.kind === "sink" ? (
                  <circle
                    cx={p[0]}
                    cy={-p[1]}
                    r={Math.min(x.width, x.depth) * 0.08}
                    fill="none"
                    stroke="var(--soft)"
                    strokeWidth={px(1)}
                  />
                ) : null}
                {x.kind !== "worktop" && x.kind !== "hob" && Math.min(x.width, x.depth) > px(16) ? (
                  <text
                    x={p[0]}
                    y={-p[1] + px(3.5)}
                    fontSize={px(10)}
                    textAnchor="middle"
                    fill="var(--soft)"
                    fontFamily="var(--font-cond)"
                  >
                    {x.name || fixtureNames[x.kind]}
                  </text>
                ) : null}
              </g>
            );
          }),
      )}
      {faces.flatMap((f) =>
        job.openings
          .filter((o) => o.wall === f.wall.id)
          .map((o) => {
            const deep = Math.min(f.shape.thickness, 600);
            const [a, b, c, d] = [at(f, o.u), at(f, o.u + o.width), at(f, o.u + o.width, -deep), at(f, o.u, -deep)];
            const mid = [at(f, o.u, -deep / 2), at(f, o.u + o.width, -deep / 2)];
            const leaf = at(f, o.u, o.width * 0.92);
            return (
              <g key={o.id} pointerEvents="none">
                <polygon points={line([a, b, c, d])} fill="var(--plate)" stroke="var(--ink)" strokeWidth={px(0.9)} />
                {o.kind === "window" ? (
                  <polyline points={line(mid)} stroke="var(--ink)" strokeWidth={px(1.2)} fill="none" />
                ) : null}
                {o.kind === "door" ? (
                  <>
                    <polyline points={line([a, leaf])} stroke="var(--soft)" strokeWidth={px(1.2)} fill="none" />
                    <polyline
                      points={line(
                        Array.from({ length: 9 }, (_, i) =>
                          at(
                            f,
                            o.u + o.width * 0.92 * Math.sin((i * Math.PI) / 16),
                            o.width * 0.92 * Math.cos((i * Math.PI) / 16),
                          ),
                        ),
                      )}
                      stroke="var(--soft)"
                      strokeWidth={px(0.7)}
                      fill="none"
                      strokeDasharray={`${px(3)} ${px(3)}`}
                    />
                  </>
                ) : null}
              </g>
            );
          }),
      )}
    </g>
  );
});
