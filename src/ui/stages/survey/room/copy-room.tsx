"use client";
import { Copy, FlipHorizontal2 } from "lucide-react";
import { useState } from "react";
import { bounds } from "../../../../core/base/polygon";
import { freeCorner } from "../../../../core/house/reshape";
import type { Room } from "../../../../core/job/model";
import { copyRoom } from "../../../job/edits";
import { useDesk } from "../../../job/store";
import { Sheet } from "../../../kit/dialog";
import { DialogFoot } from "../../../kit/dialog-foot";
import { CheckField, SelectField, TextField } from "../../../kit/field";

/** A second room like this one. */
export function CopyRoom({ room, open, onClose }: { room: Room; open: boolean; onClose: () => void }) {
  const job = useDesk((s) => s.job);
  const [f, setF] = useState({ name: `${room.name} 2`, storey: room.storey, mirror: false, points: true });
  const [fault, setFault] = useState<string | null>(null);
  const add = (): void => {
    const to = freeCorner(job, f.storey);
    const b = bounds(room.outline);
    const same = f.storey !== room.storey;
    // On another storey it stands right over (or under) itself.
    const refused = copyRoom(room, { ...f, dx: same ? 0 : to.x - b.x0, dy: same ? 0 : to.y - b.y0 });
    if (refused) setFault(refused);
    else onClose();
  };
  return (
    <Sheet
      open={open}
      onOpenChange={(o) => !o && onClose()}
      title={`Copy ${room.name}`}
      about="With its walls, openings and what stands against them. The copy's points are on no circuit yet; paint them onto one in Circuits."
    >
      <div className="grid gap-1.5">
        <TextField label="Name" name="copy name" value={f.name} onCommit={(name) => setF({ ...f, name })} />
        {job.storeys.length > 1 ? (
          <SelectField
            label="Storey"
            name="copy storey"
            value={f.storey}
            options={job.storeys.map((s) => ({ value: s.id, name: s.name }))}
            onCommit={(storey) => setF({ ...f, storey })}
          />
        ) : null}
        <CheckField
          label="Turned over, left for right"
          value={f.mirror}
          onCommit={(mirror) => setF({ ...f, mirror })}
        />
        <CheckField label="With its points" value={f.points} onCommit={(points) => setF({ ...f, points })} />
        <DialogFoot
          fault={fault}
          onLeave={onClose}
          onDo={add}
          icon={f.mirror ? <FlipHorizontal2 size={14} /> : <Copy size={14} />}
        >
          Add the copy
        </DialogFoot>
      </div>
    </Sheet>
  );
}
