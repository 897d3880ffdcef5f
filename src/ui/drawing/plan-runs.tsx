"use client";
import { type PointerEvent as RPointer, useMemo, useState } from "react";
import type { XY } from "../../core/base/polygon";
import { legsFromAbove, runLine, runStyles, storeyBand } from "../../core/drawings/run-lines";
import type { Run } from "../../core/laid/laid";
import { useDesk } from "../job/store";
import { ShapeView, inPlace } from "./shape-view";
import { dragLegInDeck } from "./tools/move-leg";

/** All runs of a storey from above; a leg in a deck is taken hold of here. */
export function PlanRuns({
  storey,
  faint,
  px,
  toPlan,
}: {
  storey: string;
  faint: boolean;
  px: (n: number) => number;
  toPlan: (e: { clientX: number; clientY: number }) => XY;
}) {
  const snap = useDesk((s) => s.snap);
  const selection = useDesk((s) => s.selection);
  const [ghost, setGhost] = useState<{ run: Run; leg: number; at: number } | null>(null);
  const styles = useMemo(() => (snap ? runStyles(snap.job) : null), [snap]);
  if (!snap || !styles) return null;
  const band = storeyBand(snap.job, storey);
  const put = inPlace(px(1), "");
  const dragLeg = (e: RPointer, run: Run, leg: number): void =>
    dragLegInDeck(e, snap.house, run, leg, toPlan, setGhost);
  return (
    <>
      {snap.plan.runs.map((run) => {
        const style = styles.get(run.circuit);
        if (!style) return null;
        const picked = selection?.kind === "run" && selection.id === run.id;
        return (
          <g
            key={run.id}
            opacity={faint ? 0.3 : selection?.kind === "run" && !picked ? 0.35 : 1}
            className="cursor-pointer"
            pointerEvents={faint ? "none" : undefined}
          >
            {legsFromAbove(run, band).map(({ leg, points }) => {
              const onDeck = run.legs[leg]!.surface.kind === "deck";
              return (
                <g key={leg} onPointerDown={(e) => dragLeg(e, run, leg)}>
                  <polyline
                    points={points.map((p) => p.join(",")).join(" ")}
                    stroke="transparent"
                    strokeWidth={px(11)}
                    fill="none"
                  />
                  <ShapeView s={runLine(run, style, points, picked ? 4 : onDeck ? 2.2 : 3)} put={put} />
                </g>
              );
            })}
          </g>
        );
      })}
      {ghost ? <LegGhost {...ghost} px={px} /> : null}
    </>
  );
}

/** Where a leg would lie if it were let go now. */
function LegGhost({ run, leg, at, px }: { run: Run; leg: number; at: number; px: (n: number) => number }) {
  const l = run.legs[leg]!;
  const [a, z] = [l.path[0]!, l.path[l.path.length - 1]!];
  const plumb = Math.abs(a[0] - z[0]) < 1e-6;
  return (
    <line
      x1={plumb ? at : a[0]}
      x2={plumb ? at : z[0]}
      y1={plumb ? -a[1] : -at}
      y2={plumb ? -z[1] : -at}
      stroke="var(--accent)"
      strokeWidth={px(3)}
      strokeDasharray={`${px(5)} ${px(4)}`}
      pointerEvents="none"
    />
  );
}
