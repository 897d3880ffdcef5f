"use client";
import { bounds, rectOutline } from "../../../../core/base/polygon";
import type { Deck } from "../../../../core/job/model";
import { newId, say } from "../../../job/edits";
import { Button } from "../../../kit/button";
import { NumberField, SelectField, TextField } from "../../../kit/field";

const obstacleKinds = ["steel", "trimmer", "chimney", "stair"] as const;

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
          <details key={o.id} className="border border-line px-2 py-1">
            <summary className="cursor-pointer text-[13px]">{o.name || o.kind}</summary>
            <div className="grid gap-1 pt-1">
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
              <NumberField label="West" value={r.x0} onCommit={(x0) => set({ x0 })} />
              <NumberField label="East" value={r.x1} onCommit={(x1) => set({ x1 })} />
              <NumberField label="South" value={r.y0} onCommit={(y0) => set({ y0 })} />
              <NumberField label="North" value={r.y1} onCommit={(y1) => set({ y1 })} />
              <Button look="quiet" onClick={() => say(put(deck.obstacles.filter((_, k) => k !== i)))}>
                Remove
              </Button>
            </div>
          </details>
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
