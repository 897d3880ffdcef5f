"use client";
import { bounds } from "../../../../core/base/polygon";
import type { Deck } from "../../../../core/job/model";
import { say } from "../../../job/edits";
import { Button } from "../../../kit/button";
import { NumberField } from "../../../kit/field";

/** Rows of noggins between the joists of a deck. */
export function Noggins({ deck, put }: { deck: Deck; put: (n: Deck["noggins"]) => string | null }) {
  return (
    <div className="grid gap-1">
      <h4 className="text-[13.5px] font-semibold">Noggins between the joists</h4>
      {deck.noggins.map((n, i) => (
        <div key={i} className="grid gap-1 border border-line px-2 py-1">
          <NumberField
            label="Along the joists"
            name={`noggin ${i + 1}`}
            value={n.at}
            min={0}
            onCommit={(at) => put(deck.noggins.map((x, k) => (k === i ? { ...x, at } : x)))}
          />
          <NumberField
            label="Depth from top"
            value={n.depth}
            min={10}
            max={600}
            onCommit={(depth) => put(deck.noggins.map((x, k) => (k === i ? { ...x, depth } : x)))}
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
            say(put([...deck.noggins, { at: Math.round(long / 2), depth: Math.min(75, deck.joists.depth) }]));
          }}
        >
          Add a row of noggins
        </Button>
      </div>
    </div>
  );
}
