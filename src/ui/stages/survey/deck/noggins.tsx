"use client";
import { bounds } from "../../../../core/base/polygon";
import type { Deck } from "../../../../core/job/model";
import { say } from "../../../job/edits";
import { Button } from "../../../kit/button";
import { SelectField } from "../../../kit/field";
import { Measures } from "../../../kit/measures";

/** Rows of noggins between the joists of a deck. */
export function Noggins({ deck, put }: { deck: Deck; put: (n: Deck["noggins"]) => string | null }) {
  return (
    <div className="grid gap-1">
      <h4 className="text-[13.5px] font-semibold">Noggins between the joists</h4>
      {deck.noggins.map((n, i) => (
        <div key={i} className="grid gap-1 border border-line px-2 py-1">
          <Measures
            of={n}
            rows={[
              { key: "at", label: "Along the joists", name: `noggin ${i + 1}`, min: 0 },
              { key: "depth", label: n.edge === "top" ? "Depth from top" : "Depth from bottom", min: 10, max: 600 },
            ]}
            put={(next) => put(deck.noggins.map((x, k) => (k === i ? { ...x, ...next } : x)))}
          />
          <SelectField
            label="When"
            value={n.later ? (n.edge === "top" ? "top" : "bottom") : "there"}
            options={[
              { value: "there", name: "there now" },
              { value: "top", name: "fixed later, at the top edge" },
              { value: "bottom", name: "fixed later, at the bottom edge" },
            ]}
            onCommit={(w) =>
              put(
                deck.noggins.map((x, k) =>
                  k === i ? { ...x, later: w !== "there", edge: w === "bottom" ? "bottom" : "top" } : x,
                ),
              )
            }
          />
          <Button look="quiet" onClick={() => say(put(deck.noggins.filter((_, k) => k !== i)))}>
            Remove
          </Button>
        </div>
      ))}
      <div>
        <Button
          onClick={() => {
            const b = bounds(deck.outline);
            const long = deck.joists.direction === "east-west" ? b.x1 - b.x0 : b.y1 - b.y0;
            say(
              put([
                ...deck.noggins,
                { at: Math.round(long / 2), depth: Math.min(75, deck.joists.depth), edge: "top", later: false },
              ]),
            );
          }}
        >
          Add a row of noggins
        </Button>
      </div>
    </div>
  );
}
