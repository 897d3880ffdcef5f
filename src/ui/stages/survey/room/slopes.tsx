"use client";
import type { Room } from "../../../../core/job/model";
import { say } from "../../../job/edits";
import { change, edit } from "../../../job/store";
import { Button } from "../../../kit/button";
import { SelectField } from "../../../kit/field";
import { Measures } from "../../../kit/measures";

/** Sloping parts of the ceiling, for lofts. */
export function Slopes({ room }: { room: Room }) {
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
            <Measures
              of={s}
              rows={[
                { key: "eaves", label: "Height there", name: `slope ${i + 1} eaves`, min: 0, max: 20000 },
                { key: "pitch", label: "Pitch", name: `slope ${i + 1} pitch`, unit: "°", step: 1, min: 1, max: 80 },
              ]}
              put={(next) => put(room.slopes.map((x, n) => (n === i ? { ...x, ...next } : x)))}
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
