"use client";
import { Copy, FlipHorizontal2, MoveHorizontal, RotateCw, Trash2 } from "lucide-react";
import { useState } from "react";
import { type Room, roomKinds } from "../../../core/job/model";
import { mm } from "../../../core/base/figures";
import { alignRoom, freeCorner, moveCorner } from "../../../core/house/reshape";
import { bounds } from "../../../core/base/polygon";
import { copyRoom, editWith, removeRoom, say, turnRoom } from "../../job/edits";
import { change, edit, useDesk } from "../../job/store";
import { Button } from "../../kit/button";
import { Sheet } from "../../kit/dialog";
import { DialogFoot } from "../../kit/dialog-foot";
import { CheckField, NumberField, SelectField, TextField } from "../../kit/field";
import { useAgainst } from "./new-room";

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

/** Sloping parts of the ceiling, for lofts. */
function Slopes({ room }: { room: Room }) {
  const put = (slopes: Room["slopes"]): string | null => edit([change("rooms", room.id, { ...room, slopes })]);
  return (
    <details>
      <summary className="cursor-pointer text-[13.5px] text-soft">
        Sloping ceiling:{" "}
        {room.slopes.length ? `${room.slopes.length} ${room.slopes.length === 1 ? "slope" : "slopes"}` : "none"}
      </summary>
      <div className="grid gap-1 pt-1">
        {room.slopes.map((s, i) => (
          <div key={i} className="grid gap-1 border-b border-dotted border-line pb-1">
            <SelectField
              label="Rises from"
              name={`slope ${i + 1} wall`}
              value={String(s.wall)}
              options={room.outline.map((_, w) => ({ value: String(w), name: `Wall ${w + 1}` }))}
              onCommit={(w) => put(room.slopes.map((x, n) => (n === i ? { ...x, wall: Number(w) } : x)))}
            />
            <NumberField
              label="Height there"
              name={`slope ${i + 1} eaves`}
              value={s.eaves}
              min={0}
              max={20000}
              onCommit={(eaves) => put(room.slopes.map((x, n) => (n === i ? { ...x, eaves } : x)))}
            />
            <NumberField
              label="Pitch"
              name={`slope ${i + 1} pitch`}
              unit="°"
              step={1}
              value={s.pitch}
              min={1}
              max={80}
              onCommit={(pitch) => put(room.slopes.map((x, n) => (n === i ? { ...x, pitch } : x)))}
            />
            <Button look="quiet" onClick={() => say(put(room.slopes.filter((_, n) => n !== i)))}>
              Remove this slope
            </Button>
          </div>
        ))}
        <div>
          <Button
            onClick={() =>
              say(put([...room.slopes, { wall: room.slopes.length % room.outline.length, eaves: 1200, pitch: 40 }]))
            }
          >
            Add a slope
          </Button>
        </div>
      </div>
    </details>
  );
}

function SetAgainst({ room, open, onClose }: { room: Room; open: boolean; onClose: () => void }) {
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
        options={room.outline.map((p, i) => ({
          value: String(i),
          name: `Wall ${i + 1}, ${mm(Math.hypot(room.outline[(i + 1) % room.outline.length]!.x - p.x, room.outline[(i + 1) % room.outline.length]!.y - p.y))}`,
        }))}
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

function CopyRoom({ room, open, onClose }: { room: Room; open: boolean; onClose: () => void }) {
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
