"use client";
import { mm } from "../../core/base/figures";
import type { XY } from "../../core/base/polygon";
import type { SectionKind } from "../../core/rules/sections";
import { sectionSizes } from "../../core/rules/sections";
import { useDesk } from "../job/store";

/** A section while it is drawn: as wide as it will be, its places, where it would go on to and how far that is. Drawing mm, y down. */
export function DraftLine({
  kind,
  size,
  places,
  next,
  px,
}: {
  kind: SectionKind;
  size: string;
  places: readonly XY[];
  next: XY | null;
  px: (n: number) => number;
}) {
  const catalogue = useDesk((s) => s.catalogue);
  const width = sectionSizes(kind, catalogue).find((x) => x.id === size)?.width ?? 20;
  const last = places[places.length - 1];
  const all = last && next ? [...places, next] : places;
  return (
    <>
      <polyline
        points={all.map((p) => `${p.x},${p.y}`).join(" ")}
        fill="none"
        stroke="var(--accent)"
        strokeOpacity={0.45}
        strokeWidth={Math.max(width, px(3))}
        strokeLinejoin="miter"
      />
      {places.map((p, i) => (
        <circle key={i} cx={p.x} cy={p.y} r={px(4)} fill="var(--plate)" stroke="var(--accent)" strokeWidth={px(2)} />
      ))}
      {next ? <circle cx={next.x} cy={next.y} r={px(3)} fill="var(--accent)" pointerEvents="none" /> : null}
      {last && next ? (
        <text x={next.x + px(12)} y={next.y - px(10)} fontSize={px(13)} fontFamily="var(--font-mono)" fill="var(--ink)">
          {mm(Math.abs(next.x - last.x) + Math.abs(next.y - last.y))}
        </text>
      ) : null}
    </>
  );
}
