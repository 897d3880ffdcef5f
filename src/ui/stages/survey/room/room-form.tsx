"use client";
import { Copy, MoveHorizontal, RotateCw, Trash2 } from "lucide-react";
import { useState } from "react";
import { moveCorner } from "../../../../core/house/reshape";
import { isWayOut } from "../../../../core/plan/escape";
import { type Room, roomKinds } from "../../../../core/job/model";
import { editWith, removeRoom, say, turnRoom } from "../../../job/edits";
import { change, edit, useDesk } from "../../../job/store";
import { Button } from "../../../kit/button";
import { NumberField, SelectField, TextField } from "../../../kit/field";
import { CopyRoom } from "./copy-room";
import { SetAgainst } from "./set-against";
import { Slopes } from "./slopes";

/** Everything about one room but its walls. */
export function RoomForm({ room }: { room: Room }) {
  const job = useDesk((s) => s.job);
  const [copying, setCopying] = useState(false);
  const [aligning, setAligning] = useState(false);
  const put = (next: Partial<Room>): string | null => edit([change("rooms", room.id, { ...room, ...next })]);
  return (
    <div className="grid gap-1.5">
      <TextField label="Name" name="room name" value={room.name} onCommit={(name) => put({ name })} />
      <SelectField
        label="Kind"
        value={room.kind}
        options={roomKinds.map((k) => ({ value: k, name: k }))}
        onCommit={(kind) => put({ kind })}
      />
      {job.storeys.length > 1 ? (
        <SelectField
          label="Storey"
          value={room.storey}
          options={job.storeys.map((s) => ({ value: s.id, name: s.name }))}
          onCommit={(storey) => {
            const refused = put({ storey });
            if (!refused) useDesk.setState({ storey });
            return refused;
          }}
        />
      ) : null}
      <NumberField
        label="Ceiling height"
        value={room.height}
        min={300}
        max={20000}
        onCommit={(height) => put({ height })}
      />
      <SelectField
        label="Way out in a fire"
        value={room.wayOut === null ? "kind" : room.wayOut ? "yes" : "no"}
        options={[
          { value: "kind", name: `by its kind: ${isWayOut({ ...room, wayOut: null }) ? "yes" : "no"}` },
          { value: "yes", name: "yes" },
          { value: "no", name: "no" },
        ]}
        onCommit={(x) => put({ wayOut: x === "kind" ? null : x === "yes" })}
      />
      <SelectField
        label="Unroll from"
        value={String(room.startWall)}
        options={room.outline.map((_, i) => ({ value: String(i), name: `Wall ${i + 1}` }))}
        onCommit={(i) => put({ startWall: Number(i) })}
      />
      <Slopes room={room} />
      <details>
        <summary className="cursor-pointer text-[13.5px] text-soft">Corners, clockwise from above: east, north</summary>
        <div className="grid gap-1 pt-1">
          {room.outline.map((c, i) => (
            <div key={i} className="grid gap-0.5 border-b border-dotted border-line pb-1">
              {(["x", "y"] as const).map((k) => (
                <NumberField
                  key={k}
                  label={`Corner ${i + 1} ${k === "x" ? "east" : "north"}`}
                  value={c[k]}
                  onCommit={(v) => editWith(moveCorner(job, room, i, { ...c, [k]: v }))}
                />
              ))}
            </div>
          ))}
        </div>
      </details>
      <div className="flex flex-wrap gap-1">
        <Button icon={<MoveHorizontal size={14} />} onClick={() => setAligning(true)}>
          Set against a wall
        </Button>
        <Button icon={<RotateCw size={14} />} onClick={() => say(turnRoom(room, 90))}>
          Turn 90°
        </Button>
        <Button icon={<Copy size={14} />} onClick={() => setCopying(true)}>
          Copy the room
        </Button>
      </div>
      <Button look="quiet" icon={<Trash2 size={14} />} onClick={() => say(removeRoom(room.id))}>
        Delete the room and all in it
      </Button>
      <SetAgainst room={room} open={aligning} onClose={() => setAligning(false)} />
      <CopyRoom room={room} open={copying} onClose={() => setCopying(false)} />
    </div>
  );
}
