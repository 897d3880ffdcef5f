"use client";
import type { Deck } from "../../../../core/job/model";
import { say } from "../../../job/edits";
import { Button } from "../../../kit/button";
import { SelectField } from "../../../kit/field";
import { Measures } from "../../../kit/measures";

type Batten = Deck["battens"][number];

/** Battens along the whole of an edge of the joists, to which boards or a ceiling are fixed. */
export function Battens({ deck, put }: { deck: Deck; put: (b: Deck["battens"]) => string | null }) {
  const change = (i: number, more: Partial<Batten>): string | null =>
    put(deck.battens.map((x, k) => (k === i ? { ...x, ...more } : x)));
  const free = (["bottom", "top"] as const).find((edge) => !deck.battens.some((b) => b.edge === edge));
  return (
    <div className="grid gap-1">
      <h4 className="text-[13.5px] font-semibold">Battens along the joists’ edge</h4>
      {deck.battens.map((b, i) => (
        <div key={b.edge} className="grid gap-1 border border-line px-2 py-1">
          <Measures
            of={b}
            rows={[{ key: "depth", label: `Depth, ${b.edge} edge`, name: `batten ${i + 1}`, min: 5, max: 200 }]}
            put={(next) => change(i, next)}
          />
          <SelectField
            label="Where"
            value={b.place}
            options={[
              { value: "over", name: b.edge === "top" ? "on top of the joists" : "under the joists" },
              { value: "beside", name: "beside the joists, level with their edge" },
            ]}
            onCommit={(place) => change(i, { place: place === "beside" ? "beside" : "over" })}
          />
          <p className="text-[12.5px] text-soft">
            {b.place === "over"
              ? "Nails go into the batten: the 50 to a cable counts from its outer face."
              : "It takes its depth off the edge: the 50 to a cable counts from where it ends."}
          </p>
          <Button look="quiet" onClick={() => say(put(deck.battens.filter((_, k) => k !== i)))}>
            Remove
          </Button>
        </div>
      ))}
      {free ? (
        <div>
          <Button onClick={() => say(put([...deck.battens, { edge: free, depth: 25, place: "over" }]))}>
            Add battens at the {free}
          </Button>
        </div>
      ) : null}
    </div>
  );
}
