"use client";
import { mm } from "../../core/base/figures";
import type { Job } from "../../core/job/model";
import type { DeskState } from "../job/store";

type Px = (n: number) => number;

/** What the simulated wall detector showed along a line of the wall. */
export function SweepMarks({ sweep, length, px }: { sweep: NonNullable<DeskState["sweep"]>; length: number; px: Px }) {
  return (
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
  );
}

/** Where a photo of the wall was taken, with the first words of what it shows. */
export function PhotoMark({ photo, px }: { photo: Job["photos"][number]; px: Px }) {
  const [u, v] = [photo.u, photo.v];
  return (
    <g data-photo-mark pointerEvents="none">
      <circle cx={u} cy={-v} r={px(9)} fill="var(--plate)" stroke="var(--ink)" strokeWidth={px(1.4)} />
      <path
        d={`M${u - px(5)},${-v + px(3)}h${px(10)}v${-px(6)}h${-px(3)}l${-px(1)},${-px(2)}h${-px(2)}l${-px(1)},${px(2)}h${-px(3)}z`}
        fill="none"
        stroke="var(--ink)"
        strokeWidth={px(1.1)}
      />
      {photo.text ? (
        <text x={u + px(12)} y={-v + px(4)} fontSize={px(10.5)} fill="var(--soft)" fontFamily="var(--font-cond)">
          {photo.text.slice(0, 28)}
        </text>
      ) : null}
    </g>
  );
}
