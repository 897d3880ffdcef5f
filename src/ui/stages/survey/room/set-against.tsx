"use client";
import { useState } from "react";
import { sideLengths } from "../../../../core/drawings/outline-drawing";
import { alignRoom } from "../../../../core/house/reshape";
import type { Room } from "../../../../core/job/model";
import { editWith } from "../../../job/edits";
import { useDesk } from "../../../job/store";
import { Sheet } from "../../../kit/dialog";
import { DialogFoot } from "../../../kit/dialog-foot";
import { NumberField, SelectField } from "../../../kit/field";
import { useAgainst } from "../new-room";

/** A room turned and moved until one of its faces and a face of another room are one wall. */
export function SetAgainst({ room, open, onClose }: { room: Room; open: boolean; onClose: () => void }) {
  return (
    <Sheet
      open={open}
      onOpenChange={(o) => !o && onClose()}
      title={`Set ${room.name} against a wall`}
      about="The room is turned and moved, with all that is in it, until the two faces are one wall of the thickness you give."
    >
      {open ? <Against room={room} onDone={onClose} /> : null}
    </Sheet>
  );
}

function Against({ room, onDone }: { room: Room; onDone: () => void }) {
  const job = useDesk((s) => s.job);
  const { options, against, setAgainst } = useAgainst(room.storey);
  const others = options.filter((o) => o.value && !o.value.startsWith(`${room.id} `));
  const chosen = against || others[0]?.value || "";
  const [side, setSide] = useState("0");
  const [thickness, setThickness] = useState(100);
  const [lineUp, setLineUp] = useState<"left" | "right" | "middle" | "stay">("left");
  const [fault, setFault] = useState<string | null>(null);
  if (!others.length) return <p className="text-soft">There is no other room on this storey.</p>;
  return (
    <div className="grid gap-1.5">
      <SelectField
        label="Its wall"
        name="own wall"
        value={side}
        options={sideLengths(room.outline).map((long, i) => ({ value: String(i), name: `Wall ${i + 1}, ${long}` }))}
        onCommit={setSide}
      />
      <SelectField label="Goes" name="other wall" value={chosen} options={others} onCommit={setAgainst} />
      <NumberField
        label="Thickness"
        name="shared thickness"
        value={thickness}
        min={20}
        max={2000}
        onCommit={setThickness}
      />
      <SelectField
        label="Lined up"
        value={lineUp}
        options={[
          { value: "left", name: "at the left end" },
          { value: "middle", name: "in the middle" },
          { value: "right", name: "at the right end" },
          { value: "stay", name: "where it is along the wall" },
        ]}
        onCommit={setLineUp}
      />
      <p className="text-[12.5px] text-soft">Left and right as seen from the other room.</p>
      <DialogFoot
        fault={fault}
        onLeave={onDone}
        onDo={() => {
          const [other, n] = chosen.split(" ");
          const refused = editWith(
            alignRoom(
              job,
              room,
              Number(side),
              { room: job.rooms.find((r) => r.id === other)!, side: Number(n) },
              thickness,
              lineUp,
            ),
          );
          if (refused) setFault(refused);
          else onDone();
        }}
      >
        Set it there
      </DialogFoot>
    </div>
  );
}
