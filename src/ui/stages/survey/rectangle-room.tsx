"use client";
import { useState } from "react";
import type { XY } from "../../../core/base/polygon";
import { freeCorner } from "../../../core/house/reshape";
import { SceneView } from "../../drawing/scene-view";
import { addRooms, currentStorey } from "../../job/edits";
import { useDesk } from "../../job/store";
import { Sheet } from "../../kit/dialog";
import { DialogFoot } from "../../kit/dialog-foot";
import { NumberField } from "../../kit/field";
import { RoomFactsFields, RoomNameFields, type RoomFacts, startFacts } from "./new-room";
import { drawOutline, sideLengths } from "../../../core/drawings/outline-drawing";

/** A rectangular room by its inside sizes, or a room of the outline traced on the plan. */
export function RectangleRoom({
  open,
  onClose,
  outline,
}: {
  open: boolean;
  onClose: () => void;
  outline?: XY[] | null;
}) {
  return (
    <Sheet
      open={open}
      onOpenChange={(o) => !o && onClose()}
      title="Add a room"
      about={
        outline
          ? "The outline is the one you traced. What is it called?"
          : "Inside sizes, wall to wall. Set it a wall's thickness away from its neighbour and the two share the wall; a crooked room is walked instead."
      }
    >
      {open ? <Rectangle onDone={onClose} outline={outline ?? null} /> : null}
    </Sheet>
  );
}

function Rectangle({ onDone, outline }: { onDone: () => void; outline: XY[] | null }) {
  const [facts, setFacts] = useState<RoomFacts>(startFacts);
  const [box, setBox] = useState(() => ({
    ...freeCorner(useDesk.getState().job, currentStorey()),
    width: 3600,
    depth: 3000,
  }));
  const [fault, setFault] = useState<string | null>(null);
  const corners = outline ?? [
    { x: box.x, y: box.y },
    { x: box.x, y: box.y + box.depth },
    { x: box.x + box.width, y: box.y + box.depth },
    { x: box.x + box.width, y: box.y },
  ];
  return (
    <div className="grid gap-1.5">
      <RoomNameFields facts={facts} set={(next) => setFacts((f) => ({ ...f, ...next }))} />
      <RoomFactsFields facts={facts} set={(next) => setFacts((f) => ({ ...f, ...next }))} />
      {outline ? (
        <SceneView tall={320} scene={drawOutline(outline, true, sideLengths(outline), "The outline traced")} />
      ) : (
        <>
          <NumberField
            label="East–west"
            name="room width"
            value={box.width}
            min={300}
            max={50000}
            onCommit={(width) => setBox((b) => ({ ...b, width }))}
          />
          <NumberField
            label="North–south"
            name="room depth"
            value={box.depth}
            min={300}
            max={50000}
            onCommit={(depth) => setBox((b) => ({ ...b, depth }))}
          />
          <NumberField
            label="South-west corner, east"
            name="room east"
            value={box.x}
            onCommit={(x) => setBox((b) => ({ ...b, x }))}
          />
          <NumberField
            label="South-west corner, north"
            name="room north"
            value={box.y}
            onCommit={(y) => setBox((b) => ({ ...b, y }))}
          />
        </>
      )}
      <DialogFoot
        fault={fault}
        onLeave={onDone}
        onDo={() => {
          const refused = addRooms([{ ...facts, outline: corners }]);
          if (refused) return setFault(refused);
          onDone();
        }}
      >
        Add the room
      </DialogFoot>
    </div>
  );
}
