"use client";
import { bounds } from "../../../../core/base/polygon";
import type { Deck } from "../../../../core/job/model";
import { newId, say } from "../../../job/edits";
import { Button } from "../../../kit/button";
import { SelectField } from "../../../kit/field";
import { Measures } from "../../../kit/measures";
import { Thing } from "../../../kit/thing";

const kinds: Record<Deck["opened"][number]["kind"], string> = {
  board: "boards lifted",
  hatch: "hatch",
  below: "opened from below",
};

/** Where a closed deck is opened: only there are its joists bored and cables taken across. */
export function Opened({ deck, put }: { deck: Deck; put: (o: Deck["opened"]) => string | null }) {
  const b = bounds(deck.outline);
  return (
    <div className="grid gap-1">
      <h4 className="text-[13.5px] font-semibold">Where this closed deck is opened</h4>
      {deck.opened.length ? null : (
        <p className="text-[13px] text-soft">
          Nowhere: no joist is bored. A cable can still be drawn along a bay between two walls.
        </p>
      )}
      {deck.opened.map((o) => (
        <Thing key={o.id} summary={kinds[o.kind]} onRemove={() => say(put(deck.opened.filter((x) => x.id !== o.id)))}>
          <SelectField
            label="How"
            value={o.kind}
            options={Object.entries(kinds).map(([value, name]) => ({ value: value as typeof o.kind, name }))}
            onCommit={(kind) => put(deck.opened.map((x) => (x.id === o.id ? { ...x, kind } : x)))}
          />
          <Measures
            of={o}
            rows={[
              { key: "x", label: "From the west edge", name: "opened x", min: 0 },
              { key: "y", label: "From the south edge", name: "opened y", min: 0 },
              { key: "width", label: "East–west", name: "opened width", min: 1 },
              { key: "depth", label: "North–south", name: "opened depth", min: 1 },
            ]}
            put={(next) => put(deck.opened.map((x) => (x.id === o.id ? { ...x, ...next } : x)))}
          />
        </Thing>
      ))}
      <div>
        <Button
          onClick={() =>
            say(
              put([
                ...deck.opened,
                {
                  id: newId("op"),
                  kind: "board",
                  x: Math.round((b.x1 - b.x0) / 2 / 10) * 10,
                  y: Math.round((b.y1 - b.y0) / 2 / 10) * 10,
                  width: 600,
                  depth: 600,
                },
              ]),
            )
          }
        >
          Add an opening
        </Button>
      </div>
    </div>
  );
}
