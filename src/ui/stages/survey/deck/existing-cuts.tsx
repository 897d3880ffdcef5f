"use client";
import { mm } from "../../../../core/base/figures";
import type { Deck } from "../../../../core/job/model";
import { newId, say } from "../../../job/edits";
import { change, edit } from "../../../job/store";
import { Button } from "../../../kit/button";
import { NumberField } from "../../../kit/field";

const cutFields: Record<string, string> = {
  joist: "Joist number",
  span: "Span number",
  at: "From left bearing",
  diameter: "Diameter",
  fromTop: "Centre from top",
  width: "Width",
  depth: "Depth",
};

/** Holes and notches that were there before. */
export function ExistingCuts({ deck }: { deck: Deck }) {
  const put = (existingCuts: Deck["existingCuts"]): string | null =>
    edit([change("decks", deck.id, { ...deck, existingCuts })]);
  return (
    <div className="grid gap-1">
      <h4 className="text-[13.5px] font-semibold">Holes and notches already there</h4>
      {deck.existingCuts.map((c, i) => (
        <details key={c.id} className="border border-line px-2 py-1">
          <summary className="cursor-pointer text-[13px]">
            Joist {c.joist}: {c.kind} at <span className="num">{mm(c.at)}</span>
          </summary>
          <div className="grid gap-1 pt-1">
            {(Object.keys(c) as (keyof typeof c)[])
              .filter((k) => typeof c[k] === "number")
              .map((k) => (
                <NumberField
                  key={k}
                  label={cutFields[k as string] ?? String(k)}
                  unit={k === "joist" || k === "span" ? "" : "mm"}
                  step={k === "joist" || k === "span" ? 1 : 10}
                  value={c[k] as number}
                  min={0}
                  onCommit={(v) => put(deck.existingCuts.map((x, n) => (n === i ? { ...x, [k]: v } : x)))}
                />
              ))}
            <Button look="quiet" onClick={() => say(put(deck.existingCuts.filter((_, n) => n !== i)))}>
              Remove
            </Button>
          </div>
        </details>
      ))}
      <div className="flex gap-1">
        <Button
          onClick={() =>
            say(
              put([
                ...deck.existingCuts,
                {
                  id: newId("cut"),
                  kind: "hole",
                  joist: 1,
                  span: 1,
                  at: 1000,
                  diameter: 20,
                  fromTop: deck.joists.depth / 2,
                },
              ]),
            )
          }
        >
          Add hole
        </Button>
        <Button
          onClick={() =>
            say(
              put([
                ...deck.existingCuts,
                { id: newId("cut"), kind: "notch", joist: 1, span: 1, at: 600, width: 40, depth: 20, edge: "top" },
              ]),
            )
          }
        >
          Add notch
        </Button>
      </div>
    </div>
  );
}
