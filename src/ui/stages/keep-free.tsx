"use client";
import { Trash2 } from "lucide-react";
import { bounds } from "../../core/base/polygon";
import { type Forbidden, forbiddenSchema } from "../../core/job/model";
import { newId, say } from "../job/edits";
import { change, edit, useDesk } from "../job/store";
import { Button } from "../kit/button";
import { NumberField, TextField } from "../kit/field";

/** Parts of a wall or deck that runs keep out of: another service, a cupboard to be. */
export function KeepFree({ on, fresh }: { on: { wall: string } | { deck: string }; fresh: () => Forbidden["place"] }) {
  const list = useDesk((s) => s.job.forbidden);
  const mine = list.filter((x) =>
    "wall" in on
      ? x.place.on === "wall" && x.place.wall === on.wall
      : x.place.on === "deck" && x.place.deck === on.deck,
  );
  const put = (x: Forbidden): string | null => edit([change("forbidden", x.id, x)]);
  return (
    <div className="grid gap-1">
      <h4 className="text-[13.5px] font-semibold">Kept free of runs</h4>
      {mine.map((x) => {
        const { place } = x;
        const box =
          place.on === "wall"
            ? { x0: place.u, y0: place.v, x1: place.u + place.width, y1: place.v + place.height }
            : bounds(place.outline);
        const set = (next: Partial<typeof box>): string | null => {
          const b = { ...box, ...next };
          if (b.x1 - b.x0 < 1 || b.y1 - b.y0 < 1) return "The part must be at least 1 mm each way.";
          return put({
            ...x,
            place:
              place.on === "wall"
                ? { ...place, u: b.x0, v: b.y0, width: b.x1 - b.x0, height: b.y1 - b.y0 }
                : {
                    ...place,
                    outline: [
                      { x: b.x0, y: b.y0 },
                      { x: b.x0, y: b.y1 },
                      { x: b.x1, y: b.y1 },
                      { x: b.x1, y: b.y0 },
                    ],
                  },
          });
        };
        const names =
          place.on === "wall"
            ? ["From left", "From floor", "To, from left", "To, from floor"]
            : ["West", "South", "East", "North"];
        return (
          <details key={x.id} className="border border-line px-2 py-1">
            <summary className="cursor-pointer text-[13px]">{x.name || "a part kept free"}</summary>
            <div className="grid gap-1 pt-1">
              <TextField
                label="Name"
                required={false}
                most={40}
                value={x.name}
                onCommit={(name) => put({ ...x, name })}
              />
              {(["x0", "y0", "x1", "y1"] as const).map((k, i) => (
                <NumberField
                  key={k}
                  label={names[i]!}
                  name={`free ${k}`}
                  value={box[k]}
                  onCommit={(v) => set({ [k]: v })}
                />
              ))}
              <Button
                look="quiet"
                icon={<Trash2 size={14} />}
                onClick={() => say(edit([change("forbidden", x.id, null)]))}
              >
                Remove
              </Button>
            </div>
          </details>
        );
      })}
      <div>
        <Button
          onClick={() => {
            const id = newId("fb");
            say(edit([change("forbidden", id, forbiddenSchema.parse({ id, place: fresh() }))]));
          }}
        >
          Keep a part free
        </Button>
      </div>
    </div>
  );
}
