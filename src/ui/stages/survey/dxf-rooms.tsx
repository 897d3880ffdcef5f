"use client";
import { useState } from "react";
import { mm } from "../../../core/base/figures";
import { drawOutlines } from "../../../core/drawings/outline-drawing";
import { type DxfPlan, outlinesFrom } from "../../../core/formats/dxf-in";
import { SceneView } from "../../drawing/scene-view";
import { addRooms } from "../../job/edits";
import { useDesk } from "../../job/store";
import { Sheet } from "../../kit/dialog";
import { DialogFoot } from "../../kit/dialog-foot";
import { CheckField, NumberField } from "../../kit/field";
import { startFacts } from "./new-room";

/** Rooms made of the closed outlines on some layers of a drawing that was read. */
export function RoomsFromDxf({ name, plan, onDone }: { name: string; plan: DxfPlan; onDone: () => void }) {
  return (
    <Sheet
      open
      onOpenChange={(o) => !o && onDone()}
      wide
      title={`Rooms from ${name}`}
      about="Pick the layers on which the rooms' inside outlines are drawn, and say what one unit of the drawing is."
    >
      <PickLayers plan={plan} onDone={onDone} />
    </Sheet>
  );
}

function PickLayers({ plan, onDone }: { plan: DxfPlan; onDone: () => void }) {
  const [picked, setPicked] = useState<string[]>(() =>
    plan.layers.filter((l) => /room|wall/i.test(l.name)).map((l) => l.name),
  );
  const [scale, setScale] = useState(plan.unit ?? 1);
  const [fault, setFault] = useState<string | null>(null);
  const made = outlinesFrom(plan, picked, scale);
  const outlines = "outlines" in made ? made.outlines : [];
  const all = outlines.flat();
  const add = (): void => {
    if ("refusals" in made)
      return setFault(
        `${made.refusals[0]!.path[0]!.toUpperCase()}${made.refusals[0]!.path.slice(1)} ${made.refusals[0]!.message}.`,
      );
    const facts = startFacts();
    const n = useDesk.getState().job.rooms.length;
    const refused = addRooms(made.outlines.map((outline, i) => ({ ...facts, name: `Room ${n + i + 1}`, outline })));
    if (refused) return setFault(refused);
    useDesk.setState({ view: "plan" });
    onDone();
  };
  return (
    <div className="grid gap-3 md:grid-cols-2">
      <div className="grid content-start gap-1.5">
        <fieldset className="border border-line p-2">
          <legend className="px-1 text-[13px] text-soft">Layers</legend>
          {plan.layers.map((l) => (
            <CheckField
              key={l.name}
              label={`${l.name}: ${l.closed.length} closed, ${l.open.length} open`}
              value={picked.includes(l.name)}
              onCommit={(on) => setPicked(on ? [...picked, l.name] : picked.filter((x) => x !== l.name))}
            />
          ))}
        </fieldset>
        <p className="text-[13px] text-soft">The file says its unit is: {plan.unitName}.</p>
        <NumberField
          label="One unit is"
          name="unit scale"
          value={scale}
          min={0.001}
          max={100000}
          step={1}
          onCommit={setScale}
        />
        {plan.left.length ? <p className="text-[13px] text-soft">Left out: {plan.left.join(", ")}.</p> : null}
      </div>
      <div className="grid content-start gap-1.5">
        {outlines.length ? (
          <SceneView scene={drawOutlines(outlines)} tall={300} />
        ) : (
          <p className="text-soft">Nothing found yet.</p>
        )}
        <p aria-live="polite" className="text-[13.5px]" data-outlines>
          {outlines.length
            ? `${outlines.length} ${outlines.length === 1 ? "room" : "rooms"}, ${mm(Math.max(...all.map((p) => p.x)))} × ${mm(Math.max(...all.map((p) => p.y)))} mm in all.`
            : "refusals" in made
              ? `${made.refusals[0]!.path} ${made.refusals[0]!.message}.`
              : ""}
        </p>
        <DialogFoot fault={fault} onLeave={onDone} onDo={add}>
          Add the rooms
        </DialogFoot>
      </div>
    </div>
  );
}
