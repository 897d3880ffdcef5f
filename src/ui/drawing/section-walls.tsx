"use client";
import { useMemo } from "react";
import { sectionShapes, sectionTags } from "../../core/drawings/section-drawings";
import type { House } from "../../core/house/house";
import { sectionsOnFace } from "../../core/house/sections";
import type { StripWall } from "../../core/house/unrolled";
import { stretchMeasures } from "../../core/job/move-section";
import { useDesk } from "../job/store";
import { pressed } from "./pressed";
import { Shapes } from "./shape-view";
import { dragSection } from "./tools/move-section";

interface OnWalls {
  walls: readonly StripWall[];
  house: House;
  px: (n: number) => number;
}

/** Sections of containment on the walls of the unrolled room. */
export function SectionWalls({ walls, house, px, hatches }: OnWalls & { hatches: string }) {
  const drawn = useMemo(() => walls.map((w) => ({ w, shapes: sectionShapes(house, w.face) })), [walls, house]);
  return drawn.map(({ w, shapes }) => (
    <g key={w.face.wall.id} transform={`translate(${w.x} 0)`} pointerEvents="none">
      <Shapes shapes={shapes} unit={px(1)} hatches={hatches} />
    </g>
  ));
}

/** In the stage of containment, over the runs that lie in them: where sections are picked and taken hold of. */
export function SectionGrips({
  walls,
  house,
  px,
  toDrawing,
}: OnWalls & { toDrawing: (m: { clientX: number; clientY: number }) => { x: number; y: number } }) {
  const stage = useDesk((s) => s.stage);
  const selection = useDesk((s) => s.selection);
  if (stage !== "containment") return null;
  return walls.map((w) => (
    <g key={w.face.wall.id} transform={`translate(${w.x} 0)`}>
      {stretchBoxes(house, w, px).map(({ s, own, m, box }) => (
        <rect
          key={`${s.section.id} ${m.to}`}
          {...box}
          role="button"
          tabIndex={0}
          data-section={s.section.id}
          aria-label={`${s.section.label}, ${s.row.name.toLowerCase()}, stretch ${m.to}`}
          aria-pressed={selection?.kind === "section" && selection.id === s.section.id}
          className="focusable cursor-move"
          fill="transparent"
          onPointerDown={(e) => dragSection(e, own, m.to, w, toDrawing)}
          onKeyDown={pressed(() => useDesk.setState({ selection: { kind: "section", id: s.section.id } }))}
        />
      ))}
    </g>
  ));
}

/** The stretches of the sections of a wall that are the user's own, each with the box one takes hold of it by. */
function stretchBoxes(house: House, w: StripWall, px: (n: number) => number) {
  return sectionsOnFace(house, w.face.n).flatMap((s) => {
    const own = house.job.sections.find((x) => x.id === s.section.id);
    if (!own) return [];
    const half = Math.max(s.size.width / 2, px(7));
    return stretchMeasures(own)
      .filter((m) => m.wall === w.face.wall.id)
      .map((m) => {
        const [lo, hi] = [Math.min(m.from, m.end), Math.max(m.from, m.end)];
        const box =
          m.measure === "v"
            ? { x: lo, y: -m.value - half, width: hi - lo, height: 2 * half }
            : { x: m.value - half, y: -hi, width: 2 * half, height: hi - lo };
        return { s, own, m, box };
      });
  });
}

/** Names of the sections, and the outline of the one picked, over all that lies in them. */
export function SectionNames({ walls, house, px }: OnWalls) {
  const tags = useMemo(
    () => walls.flatMap((w) => sectionTags(house, w.face).map((t) => ({ ...t, x: w.x + t.u }))),
    [walls, house],
  );
  const selection = useDesk((s) => s.selection);
  const picked = selection?.kind === "section" ? selection.id : null;
  return (
    <g pointerEvents="none">
      {picked === null
        ? null
        : walls.flatMap((w) =>
            stretchBoxes(house, w, px)
              .filter(({ s }) => s.section.id === picked)
              .map(({ m, box }) => (
                <rect
                  key={`${w.face.wall.id} ${m.to}`}
                  {...box}
                  x={box.x + w.x}
                  fill="none"
                  stroke="var(--accent)"
                  strokeWidth={px(2.5)}
                />
              )),
          )}
      {tags.map((t) => {
        const wide = px(t.text.length * 5.8 + 8);
        const [x, y] = t.plumb
          ? [t.right ? t.x + t.half + px(6) : t.x - t.half - px(6) - wide, -t.v - px(8)]
          : [t.x - wide / 2, -t.v - t.half - px(20)];
        return (
          <g key={`${t.id} ${t.x}`}>
            <rect
              x={x}
              y={y}
              width={wide}
              height={px(16)}
              fill="var(--plate)"
              stroke="var(--ink)"
              strokeWidth={px(0.8)}
            />
            <text x={x + wide / 2} y={y + px(12)} fontSize={px(11)} textAnchor="middle" fill="var(--ink)">
              {t.text}
            </text>
          </g>
        );
      })}
    </g>
  );
}
