"use client";
import { useMemo, useState } from "react";
import { bounds } from "../../../core/base/polygon";
import { applyPatch } from "../../../core/job/patch";
import { mm } from "../../../core/base/figures";
import { type ClosedWalk, type Diagonal, closeWalk, gapWords } from "../../../core/house/close-walk";
import { drawOutline, sideLengths } from "../../../core/drawings/outline-drawing";
import { alignRoom, freeCorner } from "../../../core/house/reshape";
import { addRoom } from "../../../core/house/rooms";
import { readWalk, stepsOf } from "../../../core/house/walk";
import { SceneView } from "../../drawing/scene-view";
import { takeReading } from "../../instruments/laser";
import { newId } from "../../job/edits";
import { edit, useDesk } from "../../job/store";
import { Button } from "../../kit/button";
import { Sheet } from "../../kit/dialog";
import { DialogFoot } from "../../kit/dialog-foot";
import { NumberField, SelectField } from "../../kit/field";
import { RoomFactsFields, RoomNameFields, type RoomFacts, startFacts, useAgainst } from "./new-room";

/** A room entered by walking round it: lengths and turns in one line, drawn as they are typed. */
export function WalkRoom({ open, onClose }: { open: boolean; onClose: () => void }) {
  return (
    <Sheet
      open={open}
      onOpenChange={(o) => !o && onClose()}
      wide
      title="Walk a room"
      about="Name it, then start in any corner with the wall on your left and go round. Type each length and how you turn at its end: r is right, l is left, r45 another angle, ? a side you could not measure. The last turn may be left out, and so may the last side."
    >
      {open ? <Walk onDone={onClose} /> : null}
    </Sheet>
  );
}

function Walk({ onDone }: { onDone: () => void }) {
  const job = useDesk((s) => s.job);
  const [facts, setFacts] = useState<RoomFacts>(startFacts);
  const [text, setText] = useState("");
  const [diagonals, setDiagonals] = useState<Diagonal[]>([]);
  const [fault, setFault] = useState<string | null>(null);
  const set = (next: Partial<RoomFacts>): void => setFacts((f) => ({ ...f, ...next }));
  const { options, against, setAgainst } = useAgainst(facts.storey);
  const [side, setSide] = useState("0");
  const [lineUp, setLineUp] = useState<"left" | "right" | "middle">("left");
  const read = useMemo(() => (text.trim() ? readWalk(text) : null), [text]);
  const closed = useMemo(() => (read && "walk" in read ? closeWalk(read.walk, diagonals) : null), [read, diagonals]);
  const room: ClosedWalk | null = closed && "room" in closed ? closed.room : null;
  const words =
    read && "refusals" in read
      ? read.refusals[0]!.message
      : closed && "refusals" in closed
        ? closed.refusals[0]!.message
        : null;
  const path = room ? room.outline : read && "walk" in read ? stepsOf(read.walk) : [{ x: 0, y: 0 }];
  const lengths = room
    ? sideLengths(room.outline)
    : read && "walk" in read
      ? read.walk.sides.map((s) => (s.length === null ? "?" : mm(s.length)))
      : [];
  const add = (): void => {
    if (!room)
      return setFault(words ? `The walk: ${words}.` : "Type the walk first, such as 3600 r 2800 r 3600 r 2800.");
    const corner = freeCorner(job, facts.storey);
    const b = bounds(room.outline);
    const outline = room.outline.map((p) => ({ x: p.x - b.x0 + corner.x, y: p.y - b.y0 + corner.y }));
    const made = addRoom(job, { ...facts, outline }, newId);
    let changes = made.changes;
    if (against) {
      const [otherId, otherSide] = against.split(" ");
      const next = applyPatch(job, changes);
      const other = next.rooms.find((r) => r.id === otherId)!;
      const moved = alignRoom(
        next,
        next.rooms.find((r) => r.id === made.room)!,
        Number(side),
        { room: other, side: Number(otherSide) },
        facts.thickness,
        lineUp,
      );
      if (typeof moved === "string") return setFault(moved);
      // The new room's own things are put in as they come to stand.
      const after = applyPatch(next, moved);
      changes = changes.map((c) => ({
        ...c,
        after:
          c.collection === "rooms"
            ? after.rooms.find((r) => r.id === c.id)
            : (after.walls.find((w) => w.id === c.id) ?? c.after),
      }));
      changes.push(...moved.filter((c) => !changes.some((x) => x.collection === c.collection && x.id === c.id)));
    }
    const refused = edit(changes);
    if (refused) return setFault(refused);
    useDesk.setState({ room: made.room, storey: facts.storey, selection: null });
    onDone();
  };
  return (
    <div className="grid gap-3 md:grid-cols-[1fr_16rem]">
      <div className="grid content-start gap-2">
        <div
          className="grid gap-1.5"
          onKeyDown={(e) => {
            // From the name on to the lengths; with those in, to the button that adds the room.
            if (e.key !== "Enter" || !(e.target instanceof HTMLInputElement)) return;
            // The same press must not press what is gone to.
            e.preventDefault();
            document.querySelector<HTMLElement>(room ? "[role=dialog] [data-do]" : "[data-walk]")?.focus();
          }}
        >
          <RoomNameFields facts={facts} set={set} />
        </div>
        <label className="grid gap-1">
          <span className="text-[13px] text-soft">Lengths in mm and turns</span>
          <input
            data-walk
            data-field="walk"
            className="num min-h-11 w-full border border-line bg-field px-2 text-[17px]"
            placeholder="3600 r 2800 r 3600 r 2800"
            autoComplete="off"
            spellCheck={false}
            value={text}
            onChange={(e) => {
              setText(e.target.value);
              setFault(null);
            }}
            onKeyDown={(e) => e.key === "Enter" && add()}
          />
        </label>
        <div className="flex flex-wrap items-center gap-1">
          <Button
            hint="F9"
            onMouseDown={(e) => e.preventDefault()}
            onClick={() => {
              document.querySelector<HTMLInputElement>("[data-walk]")?.focus();
              void takeReading();
            }}
          >
            Laser reading, simulated
          </Button>
        </div>
        <SceneView
          tall={320}
          scene={drawOutline(
            path,
            room !== null,
            lengths,
            room ? `Room with ${room.outline.length} sides` : "The walk so far",
          )}
        />
        <p aria-live="polite" data-gap className={`min-h-5 text-[13.5px] ${words && text.trim() ? "text-warn" : ""}`}>
          {text.trim()
            ? words
              ? `Not closed yet: ${words}.`
              : room
                ? `${gapWords(room)} ${room.sides
                    .filter((s) => s.measured === null)
                    .map((s) => `A side not measured comes out at ${mm(s.used)}.`)
                    .join(" ")}`
                : ""
            : "The room is drawn as you type."}
        </p>
        {room ? (
          <details>
            <summary className="cursor-pointer text-[13.5px] text-soft">Sides as measured and as used</summary>
            <ul className="num text-[13px]">
              {room.sides.map((s, i) => (
                <li key={i}>
                  {i + 1}: {s.measured === null ? "not measured" : mm(s.measured)} → {mm(s.used)}, turn{" "}
                  {s.usedTurn.toFixed(2)}°
                </li>
              ))}
            </ul>
          </details>
        ) : null}
        <fieldset className="grid gap-1 border border-line p-2">
          <legend className="px-1 text-[13px] text-soft">Diagonals, to pin a crooked room</legend>
          {diagonals.map((d, i) => (
            <div key={i} className="grid grid-cols-[1fr_1fr_2fr_auto] items-end gap-1">
              {(["from", "to"] as const).map((k) => (
                <select
                  key={k}
                  aria-label={`Diagonal ${i + 1} ${k} corner`}
                  className="min-h-8 border border-line bg-field px-1"
                  value={d[k]}
                  onChange={(e) =>
                    setDiagonals(diagonals.map((x, n) => (n === i ? { ...x, [k]: Number(e.target.value) } : x)))
                  }
                >
                  {path.map((_, c) => (
                    <option key={c} value={c}>
                      corner {c + 1}
                    </option>
                  ))}
                </select>
              ))}
              <NumberField
                label="Length"
                name={`diagonal ${i + 1}`}
                value={d.length}
                min={100}
                max={70000}
                onCommit={(length) => setDiagonals(diagonals.map((x, n) => (n === i ? { ...x, length } : x)))}
              />
              <Button look="quiet" onClick={() => setDiagonals(diagonals.filter((_, n) => n !== i))}>
                Remove
              </Button>
            </div>
          ))}
          <div>
            <Button
              disabled={path.length < 4}
              onClick={() =>
                setDiagonals([
                  ...diagonals,
                  { from: 0, to: 2, length: Math.round(Math.hypot(path[2]!.x - path[0]!.x, path[2]!.y - path[0]!.y)) },
                ])
              }
            >
              Add a diagonal
            </Button>
          </div>
        </fieldset>
      </div>
      <div className="grid content-start gap-2">
        <RoomFactsFields facts={facts} set={set} />
        <SelectField label="Starts against" name="stands" value={against} options={options} onCommit={setAgainst} />
        {against ? (
          <>
            <SelectField
              label="With its wall"
              name="its wall"
              value={side}
              options={(room?.outline ?? []).map((_, i) => ({
                value: String(i),
                name: `from corner ${i + 1} to ${((i + 1) % room!.outline.length) + 1}`,
              }))}
              onCommit={setSide}
            />
            <SelectField
              label="Lined up"
              name="lined up"
              value={lineUp}
              options={[
                { value: "left", name: "at the left end" },
                { value: "middle", name: "in the middle" },
                { value: "right", name: "at the right end" },
              ]}
              onCommit={setLineUp}
            />
            <p className="text-[12.5px] text-soft">
              Left and right as seen from the other room. The wall thickness above is that of the shared wall.
            </p>
          </>
        ) : null}
        <DialogFoot fault={fault} onLeave={onDone} onDo={add}>
          Add the room
        </DialogFoot>
      </div>
    </div>
  );
}
