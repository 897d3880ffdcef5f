"use client";
import { bounds, rectOutline } from "../../../../core/base/polygon";
import type { Deck } from "../../../../core/job/model";
import { newId, say } from "../../../job/edits";
import { Button } from "../../../kit/button";
import { SelectField, TextField } from "../../../kit/field";
import { Measures } from "../../../kit/measures";
import { Thing } from "../../../kit/thing";

const obstacleKinds = ["steel", "trimmer", "chimney", "stair"] as const;

const sides = [
  { key: "x0", label: "West" },
  { key: "x1", label: "East" },
  { key: "y0", label: "South" },
  { key: "y1", label: "North" },
] as const;

/** What stands in a deck: steel, trimmers, chimneys, stairs. */
export function Obstacles({ deck, put }: { deck: Deck; put: (o: Deck["obstacles"]) => string | null }) {
  const b = bounds(deck.outline);
  return (
    <div className="grid gap-1">
      <h4 className="text-[13.5px] font-semibold">In the way: steel, trimmer, chimney, stair</h4>
      {deck.obstacles.map((o, i) => {
        const r = bounds(o.outline);
        const set = (next: Partial<typeof r>): string | null => {
          const n = { ...r, ...next };
          if (n.x1 <= n.x0 || n.y1 <= n.y0) return "East must lie east of west, and north of south.";
          return put(
            deck.obstacles.map((x, k) =>
              k === i
                ? {
                    ...x,
                    outline: rectOutline(n.x0, n.y0, n.x1, n.y1),
                  }
                : x,
            ),
          );
        };
        return (
          <Thing
            key={o.id}
            summary={o.name || o.kind}
            onRemove={() => say(put(deck.obstacles.filter((_, k) => k !== i)))}
          >
            <SelectField
              label="Kind"
              value={o.kind}
              options={obstacleKinds.map((k) => ({ value: k, name: k }))}
              onCommit={(kind) => put(deck.obstacles.map((x, k) => (k === i ? { ...x, kind } : x)))}
            />
            <TextField
              label="Name"
              required={false}
              most={40}
              value={o.name}
              onCommit={(name) => put(deck.obstacles.map((x, k) => (k === i ? { ...x, name } : x)))}
            />
            <Measures of={r} rows={sides} put={set} />
          </Thing>
        );
      })}
      <div className="flex flex-wrap gap-1">
        {obstacleKinds.map((kind) => (
          <Button
            key={kind}
            onClick={() => {
              const [w, d] = {
                steel: [120, b.y1 - b.y0],
                trimmer: [1000, 47],
                chimney: [900, 500],
                stair: [900, 2600],
              }[kind] as [number, number];
              const [x, y] = [Math.round((b.x0 + b.x1 - w) / 2), Math.round(Math.max(b.y0, (b.y0 + b.y1 - d) / 2))];
              say(
                put([
                  ...deck.obstacles,
                  {
                    id: newId("ob"),
                    kind,
                    name: "",
                    outline: rectOutline(x, y, x + w, y + d),
                  },
                ]),
              );
            }}
          >
            Add {kind}
          </Button>
        ))}
      </div>
    </div>
  );
}
