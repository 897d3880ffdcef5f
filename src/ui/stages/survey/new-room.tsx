"use client";
import { useState } from "react";
import type { XY } from "../../../core/base/polygon";
import { type Room, type Wall, roomKinds, wallBuilds } from "../../../core/job/model";
import type { NewRoom } from "../../../core/house/rooms";
import { currentStorey } from "../../job/edits";
import { useDesk } from "../../job/store";
import { NumberField, SelectField, TextField } from "../../kit/field";

export const buildNames: Record<Wall["build"], string> = {
  masonry: "masonry",
  "dry-lined": "dry-lined masonry",
  stud: "timber stud",
  "metal-stud": "metal stud",
  open: "open, no wall",
};

/** What a room is, apart from its shape. */
export type RoomFacts = Omit<NewRoom, "outline">;

/** Facts to start a new room from: those of the last one on the storey. */
export function startFacts(): RoomFacts {
  const { job } = useDesk.getState();
  const storey = currentStorey();
  const last = [...job.rooms].filter((r) => r.storey === storey).pop();
  const wall = job.walls.find((w) => w.room === last?.id);
  return {
    storey,
    name: `Room ${job.rooms.length + 1}`,
    kind: "other",
    height: last?.height ?? job.storeys.find((s) => s.id === storey)?.height ?? 2400,
    build: wall && wall.build !== "open" ? wall.build : "masonry",
    thickness: 100,
  };
}

/** Name, kind, height, walls of a room to be added. */
export function RoomFactsFields({ facts, set }: { facts: RoomFacts; set: (next: Partial<RoomFacts>) => void }) {
  const storeys = useDesk((s) => s.job.storeys);
  return (
    <div className="grid gap-1.5">
      <TextField label="Name" name="new room name" value={facts.name} onCommit={(name) => set({ name })} />
      <SelectField
        label="Kind"
        name="new room kind"
        value={facts.kind}
        options={roomKinds.map((k) => ({ value: k, name: k }))}
        onCommit={(kind: Room["kind"]) => set({ kind })}
      />
      {storeys.length > 1 ? (
        <SelectField
          label="Storey"
          name="new room storey"
          value={facts.storey}
          options={storeys.map((s) => ({ value: s.id, name: s.name }))}
          onCommit={(storey) => set({ storey })}
        />
      ) : null}
      <NumberField
        label="Ceiling height"
        name="new room height"
        value={facts.height}
        min={300}
        max={20000}
        onCommit={(height) => set({ height })}
      />
      {facts.kind === "yard" ? null : (
        <>
          <SelectField
            label="Walls"
            name="new room walls"
            value={facts.build}
            options={wallBuilds.map((b) => ({ value: b, name: buildNames[b] }))}
            onCommit={(build) => set({ build })}
          />
          <NumberField
            label="Wall thickness"
            name="new room thickness"
            value={facts.thickness}
            min={20}
            max={2000}
            onCommit={(thickness) => set({ thickness })}
          />
        </>
      )}
    </div>
  );
}

/** Where a new room is set: to the right of everything, or against a wall of another room. */
export function useAgainst(storey: string): {
  options: { value: string; name: string }[];
  against: string;
  setAgainst: (a: string) => void;
} {
  const job = useDesk((s) => s.job);
  const [against, setAgainst] = useState("");
  const options = [
    { value: "", name: "to the right of the others" },
    ...job.rooms
      .filter((r) => r.storey === storey)
      .flatMap((r) => r.outline.map((_, i) => ({ value: `${r.id} ${i}`, name: `against wall ${i + 1} of ${r.name}` }))),
  ];
  return { options, against, setAgainst };
}

/** A small drawing of an outline with its corners numbered and its sides' lengths. North is up. */
export function OutlineDrawing({
  path,
  closed,
  lengths,
  label,
}: {
  path: readonly XY[];
  closed: boolean;
  lengths: readonly string[];
  label: string;
}) {
  const xs = path.map((p) => p.x);
  const ys = path.map((p) => p.y);
  const [x0, x1, y0, y1] = [Math.min(0, ...xs), Math.max(1000, ...xs), Math.min(0, ...ys), Math.max(1000, ...ys)];
  const unit = Math.max(x1 - x0, y1 - y0) / 300;
  const pad = unit * 34;
  const line = path.map((p) => `${p.x},${-p.y}`).join(" ");
  const n = path.length;
  return (
    <svg
      role="img"
      aria-label={label}
      viewBox={`${x0 - pad} ${-y1 - pad} ${x1 - x0 + 2 * pad} ${y1 - y0 + 2 * pad}`}
      className="block h-72 w-full border border-line bg-field"
    >
      {closed ? (
        <polygon points={line} fill="var(--plaster)" stroke="var(--ink)" strokeWidth={unit * 2} />
      ) : (
        <polyline points={line} fill="none" stroke="var(--ink)" strokeWidth={unit * 2} />
      )}
      {path.slice(0, closed ? n : n - 1).map((p, i) => {
        const q = path[(i + 1) % n]!;
        const [mx, my] = [(p.x + q.x) / 2, (p.y + q.y) / 2];
        const long = Math.hypot(q.x - p.x, q.y - p.y) || 1;
        // Words stand inside, right of the way walked.
        const off = unit * 15;
        return (
          <text
            key={i}
            x={mx + ((q.y - p.y) / long) * off * 1.6}
            y={-(my - ((q.x - p.x) / long) * off) + unit * 4}
            fontSize={unit * 11.5}
            textAnchor="middle"
            fontFamily="var(--font-mono)"
            fill="var(--ink)"
          >
            {lengths[i]}
          </text>
        );
      })}
      {path.slice(0, closed ? n : n).map((p, i) => (
        <g key={i}>
          <circle cx={p.x} cy={-p.y} r={unit * 8} fill="var(--plate)" stroke="var(--ink)" strokeWidth={unit} />
          <text
            x={p.x}
            y={-p.y + unit * 4}
            fontSize={unit * 10.5}
            textAnchor="middle"
            fontFamily="var(--font-mono)"
            fill="var(--ink)"
          >
            {i + 1}
          </text>
        </g>
      ))}
    </svg>
  );
}
