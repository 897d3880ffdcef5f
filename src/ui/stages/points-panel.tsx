"use client";
import { useState } from "react";
import { toast } from "sonner";
import { type PointKind, accessories, pointKinds } from "../../core/rules/accessories";
import { addPoint } from "../job/edits";
import { useDesk } from "../job/store";
import { Button } from "../kit/button";
import { SelectField } from "../kit/field";

/** Palette of points: a press puts one on the picked wall, ready to drag or to type its place. */
export function PointsPanel() {
  const job = useDesk((s) => s.job);
  const [circuit, setCircuit] = useState("");
  const add = (kind: PointKind, gang: 1 | 2): void => {
    const refused = addPoint(kind, gang, circuit || null);
    if (refused) toast.error(refused);
  };
  return (
    <section aria-label="Add a point" className="grid gap-1.5">
      <h2 className="text-lg">Add a point</h2>
      <p className="text-[13px] text-soft">It goes on the picked wall. Drag it, use the arrow keys, or just type a number for its distance from the left.</p>
      <div className="grid grid-cols-2 gap-1" data-palette>
        {pointKinds.flatMap((k) =>
          (k === "socket" ? ([1, 2] as const) : ([1] as const)).map((g) => (
            <Button key={`${k} ${g}`} className="justify-start" onClick={() => add(k, g)}>
              <span className="num inline-block w-6 text-[11px] text-soft">{accessories[k].letter}</span>
              <span className="truncate">{k === "socket" ? `${g === 1 ? "Single" : "Twin"} socket` : accessories[k].name}</span>
            </Button>
          )),
        )}
      </div>
      <SelectField label="Joins" name="joins" value={circuit} options={[{ value: "", name: "the usual circuit" }, ...job.circuits.map((c) => ({ value: c.id, name: `${c.label} · ${c.name}` }))]} onCommit={setCircuit} />
    </section>
  );
}
