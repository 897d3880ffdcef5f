"use client";
import { bounds, rectOutline } from "../../../core/base/polygon";
import { type Forbidden, forbiddenSchema } from "../../../core/job/model";
import { newId, say } from "../../job/edits";
import { change, edit, useDesk } from "../../job/store";
import { Button } from "../../kit/button";
import { TextField } from "../../kit/field";
import { Measures } from "../../kit/measures";
import { Thing } from "../../kit/thing";

const rows = (names: readonly [string, string, string, string]) =>
  (["x0", "y0", "x1", "y1"] as const).map((key, i) => ({ key, label: names[i]!, name: `free ${key}` }));
const onWall = rows(["From left", "From floor", "To, from left", "To, from floor"]);
const onDeck = rows(["West", "South", "East", "North"]);

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
                : { ...place, outline: rectOutline(b.x0, b.y0, b.x1, b.y1) },
          });
        };
        return (
          <Thing
            key={x.id}
            summary={x.name || "a part kept free"}
            onRemove={() => say(edit([change("forbidden", x.id, null)]))}
          >
            <TextField
              label="Name"
              required={false}
              most={40}
              value={x.name}
              onCommit={(name) => put({ ...x, name })}
            />
            <Measures of={box} rows={place.on === "wall" ? onWall : onDeck} put={set} />
          </Thing>
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
