"use client";
import { useState } from "react";
import { create } from "zustand";
import { type PointKind, type Use, accessories, pointKinds } from "../../core/rules/accessories";
import { usualHeight } from "../../core/house/places";
import { addPoint, addSeries, copyPoints, pickedWall, say } from "../job/edits";
import { useDesk } from "../job/store";
import { Button } from "../kit/button";
import { FaultLine } from "../kit/fault-line";
import { NumberField, SelectField } from "../kit/field";
import { Measures } from "../kit/measures";

const kindName = (k: PointKind, g: 1 | 2): string =>
  k === "socket" ? `${g === 1 ? "Single" : "Twin"} socket` : accessories[k].name;

/** The circuit that new points join, as chosen; empty where each goes by its kind. */
const useJoins = create<{ circuit: string }>(() => ({ circuit: "" }));

/**
 * Palette of points: a press puts one on the picked wall, ready to drag or to type its place. It stands first and whatever is
 * picked comes under it, so that no button moves between two presses.
 */
export function Palette() {
  const job = useDesk((s) => s.job);
  const { circuit } = useJoins();
  return (
    <section aria-label="Add a point" className="grid gap-1.5">
      <h2 className="text-lg">Add a point</h2>
      <p className="text-[13px] text-soft">
        On the picked wall. Drag it, use the arrow keys, or type a number for its distance from the left. Shift picks
        several.
      </p>
      <div className="grid gap-1" data-palette>
        <Kinds kinds={everyday} circuit={circuit} />
        <div className="grid grid-cols-2 gap-x-1">
          {more.map(({ name, kinds }) => (
            <details key={name} className="open:col-span-2">
              <summary className="min-h-7 cursor-pointer text-[13.5px]">{name}</summary>
              <Kinds kinds={kinds} circuit={circuit} />
            </details>
          ))}
        </div>
      </div>
      <SelectField
        label="Joins"
        name="joins"
        value={circuit}
        options={[
          { value: "", name: "chosen by kind of point" },
          ...job.circuits.map((c) => ({ value: c.id, name: `${c.label} · ${c.name}` })),
        ]}
        onCommit={(id) => useJoins.setState({ circuit: id })}
      />
    </section>
  );
}

/** What else puts points down: several along a wall, the set of another room. */
export function PointsPanel() {
  const { circuit } = useJoins();
  return (
    <>
      <Series circuit={circuit || null} />
      <CopySet />
    </>
  );
}

/** Kinds that every room has are at hand, the others lie in drawers by what they are for. */
const everyday: readonly PointKind[] = [
  "socket",
  "switch",
  "light",
  "wall-light",
  "fused-unit",
  "cooker-control",
  "appliance-outlet",
  "isolator",
  "junction-box",
  "board",
];
const drawers: readonly [name: string, uses: readonly Use[]][] = [
  ["More lights and switches", ["light", "switch"]],
  ["Alarms", ["alarm"]],
  ["Appliances and controls", ["appliance", "control", "outlet"]],
  ["Data, television, doorbell", ["signal"]],
];
const more = drawers.map(([name, uses]) => ({
  name,
  kinds: pointKinds.filter((k) => !everyday.includes(k) && uses.includes(accessories[k].use)),
}));

/** A button for each kind, a socket in both its sizes. */
function Kinds({ kinds, circuit }: { kinds: readonly PointKind[]; circuit: string }) {
  return (
    <div className="grid grid-cols-2 gap-1">
      {kinds.flatMap((k) =>
        (k === "socket" ? ([1, 2] as const) : ([1] as const)).map((g) => (
          <Button
            key={`${k} ${g}`}
            className="min-w-0 justify-start text-left leading-tight whitespace-normal!"
            onClick={() => say(addPoint(k, g, circuit || null))}
          >
            <span className="num inline-block w-5 shrink-0 text-[11px] text-soft">{accessories[k].letter}</span>
            <span className="min-w-0">{kindName(k, g)}</span>
          </Button>
        )),
      )}
    </div>
  );
}

const seriesKinds = (["socket", "switch", "wall-light", "fused-unit", "appliance-outlet"] as const).flatMap((k) =>
  (k === "socket" ? ([1, 2] as const) : ([1] as const)).map((g) => ({ value: `${k} ${g}`, name: kindName(k, g) })),
);

/** Several of a kind along the picked wall at equal spacing. */
function Series({ circuit }: { circuit: string | null }) {
  const house = useDesk((s) => s.house);
  useDesk((s) => s.selection);
  const wall = pickedWall();
  const face = house.faces[house.faceOfWall.get(wall ?? "") ?? -1];
  const [kind, setKind] = useState("socket 2");
  const [count, setCount] = useState(3);
  const [range, setRange] = useState<{ wall: string; from: number; to: number; v: number } | null>(null);
  const [how, setHow] = useState<"ends" | "between">("between");
  const [fault, setFault] = useState<string | null>(null);
  if (!face || !wall)
    return <p className="text-[13px] text-soft">Pick a wall to place several at equal spacing along it.</p>;
  const [k, g] = kind.split(" ") as [PointKind, "1" | "2"];
  const r =
    range?.wall === wall
      ? range
      : { wall, from: 0, to: Math.round(face.shape.length * 10) / 10, v: usualHeight(house.job, face.room, k) };
  return (
    <details className="border border-line px-2 py-1" data-series>
      <summary className="cursor-pointer text-[13.5px]">
        Several along wall {face.wall.index + 1}, equally spaced
      </summary>
      <div className="grid gap-1 pt-1">
        <SelectField label="Kind" name="series kind" value={kind} options={seriesKinds} onCommit={setKind} />
        <NumberField
          label="How many"
          name="series count"
          unit=""
          step={1}
          min={1}
          max={40}
          value={count}
          whole
          onCommit={setCount}
        />
        <Measures
          of={r}
          rows={[
            { key: "from", label: "From", name: "series from", min: 0, max: face.shape.length },
            { key: "to", label: "To", name: "series to", min: 0, max: face.shape.length },
            { key: "v", label: "Height", name: "series height", min: 0, max: face.shape.height },
          ]}
          put={(next) => setRange({ ...r, ...next })}
        />
        <SelectField
          label="Spaced"
          name="series how"
          value={how}
          options={[
            { value: "between", name: "half a space at each end" },
            { value: "ends", name: "first and last on the ends" },
          ]}
          onCommit={setHow}
        />
        <FaultLine fault={fault} />
        <Button
          look="solid"
          onClick={() =>
            setFault(
              addSeries(
                wall,
                { kind: k, gang: g === "2" ? 2 : 1, count, from: r.from, to: r.to, v: r.v, how },
                circuit,
              ),
            )
          }
        >
          Place {count}
        </Button>
      </div>
    </details>
  );
}

/** The set of one room put into the room shown. */
function CopySet() {
  const job = useDesk((s) => s.job);
  const room = useDesk((s) => s.room);
  const others = job.rooms.filter((r) => r.id !== room);
  if (!room || !others.length) return null;
  return (
    <SelectField
      label="Copy the points of"
      name="copy points"
      value=""
      options={[{ value: "", name: "choose a room" }, ...others.map((r) => ({ value: r.id, name: r.name }))]}
      onCommit={(from) => (from ? copyPoints(from, room) : null)}
    />
  );
}
