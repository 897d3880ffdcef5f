"use client";
import { Trash2 } from "lucide-react";
import { accessories } from "../../core/rules/accessories";
import { type Alignment, alignmentWords } from "../../core/house/places";
import { alignPoints, removePoints, say, setCircuit } from "../job/edits";
import { pickPoints } from "../job/picking";
import { change, edit, useDesk } from "../job/store";
import { Button } from "../kit/button";
import { NumberField, SelectField } from "../kit/field";

/** Several points picked at once: what they share, lining them up, one circuit for all. */
export function GroupForm({ ids }: { ids: readonly string[] }) {
  const job = useDesk((s) => s.job);
  const points = ids.flatMap((id) => job.points.find((p) => p.id === id) ?? []);
  const onWalls = points.every((p) => p.place.on === "wall");
  const circuits = new Set(points.map((p) => job.circuits.find((c) => c.points.includes(p.id))?.id ?? ""));
  const heights = new Set(points.map((p) => (p.place.on === "wall" ? p.place.v : -1)));
  const kinds = [...new Set(points.map((p) => p.kind))];
  return (
    <section aria-label="Several points" className="grid gap-1.5">
      <div className="flex items-center justify-between">
        <h2 className="text-lg">{points.length} points</h2>
        <Button
          look="quiet"
          aria-label={`Delete ${points.length} points`}
          title="Delete (Del)"
          icon={<Trash2 size={16} />}
          onClick={() => say(removePoints(ids))}
        />
      </div>
      <p className="num text-[13px]">{points.map((p) => p.label).join(", ")}</p>
      <p className="text-[13px] text-soft">
        {kinds.map((k) => accessories[k].name.toLowerCase()).join(", ")}. Shift and press adds or leaves one out; arrow
        keys move all.
      </p>
      {onWalls ? (
        <NumberField
          label="From floor, all"
          name="group height"
          value={[...heights][0]!}
          min={0}
          max={10000}
          onCommit={(v) => edit(points.map((p) => change("points", p.id, { ...p, place: { ...p.place, v } })))}
        />
      ) : null}
      <SelectField
        label="Circuit, all"
        name="group circuit"
        value={circuits.size === 1 ? [...circuits][0]! : "mixed"}
        options={[
          ...(circuits.size > 1 ? [{ value: "mixed", name: "not the same" }] : []),
          { value: "", name: "none yet" },
          ...job.circuits.map((c) => ({ value: c.id, name: `${c.label} · ${c.name}` })),
        ]}
        onCommit={(c) => (c === "mixed" ? null : setCircuit(ids, c || null))}
      />
      <SelectField
        label="Found or new"
        value={points.every((p) => p.existing) ? "found" : points.some((p) => p.existing) ? "mixed" : "new"}
        options={[
          { value: "mixed", name: "not the same" },
          { value: "new", name: "new, put in by this job" },
          { value: "found", name: "found in the house" },
        ].filter((o) => o.value !== "mixed" || (points.some((p) => p.existing) && !points.every((p) => p.existing)))}
        onCommit={(x) =>
          x === "mixed" ? null : edit(points.map((p) => change("points", p.id, { ...p, existing: x === "found" })))
        }
      />
      <div className="grid gap-1" role="group" aria-label="Line up">
        {(Object.keys(alignmentWords) as Alignment[]).map((a) => (
          <Button key={a} className="justify-start" onClick={() => say(alignPoints(ids, a))}>
            {alignmentWords[a]}
          </Button>
        ))}
      </div>
      <Button look="quiet" onClick={() => pickPoints([])}>
        Clear selection
      </Button>
    </section>
  );
}
