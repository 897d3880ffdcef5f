"use client";
import { Trash2 } from "lucide-react";
import { bounds, rectOutline } from "../../../core/base/polygon";
import type { Deck } from "../../../core/job/model";
import { mm } from "../../../core/base/figures";
import { KeepFree } from "./keep-free";
import { say } from "../../job/edits";
import { change, edit, useDesk } from "../../job/store";
import { Button } from "../../kit/button";
import { NumberField, SelectField, TextField } from "../../kit/field";
import { ExistingCuts } from "./deck/existing-cuts";
import { JoistFields } from "./deck/joist-fields";
import { listOf } from "./deck/list-of";
import { Battens } from "./deck/battens";
import { Noggins } from "./deck/noggins";
import { Obstacles } from "./deck/obstacles";
import { Opened } from "./deck/opened";

/** Everything about one deck. */
export function DeckForm({ deck }: { deck: Deck }) {
  const job = useDesk((s) => s.job);
  const fresh = useDesk((s) => s.fresh === deck.id);
  const put = (next: Partial<Deck>): string | null => edit([change("decks", deck.id, { ...deck, ...next })]);
  const b = bounds(deck.outline);
  const resize = (next: Partial<typeof b>): string | null => {
    const n = { ...b, ...next };
    if (n.x1 - n.x0 < 100 || n.y1 - n.y0 < 100)
      return `The deck would be ${mm(n.x1 - n.x0)} × ${mm(n.y1 - n.y0)}; each side is at least 100 mm.`;
    return put({
      outline: rectOutline(n.x0, n.y0, n.x1, n.y1),
    });
  };
  return (
    <details className="border border-line px-2 py-1" open={fresh || undefined}>
      <summary className="cursor-pointer text-[13.5px]">
        {deck.name}
        <span className="text-soft">
          {" "}
          ·{" "}
          {deck.kind === "concrete"
            ? "concrete"
            : `${mm(deck.joists.depth)} × ${mm(deck.joists.breadth)} at ${mm(deck.joists.spacing)}`}
        </span>
      </summary>
      <div className="grid gap-1 pt-1">
        <TextField label="Name" name="deck name" value={deck.name} onCommit={(name) => put({ name })} />
        <SelectField
          label="Kind"
          name="deck kind"
          value={deck.kind}
          options={[
            { value: "solid-joists", name: "solid joists" },
            { value: "engineered", name: "engineered joists" },
            { value: "concrete", name: "concrete" },
          ]}
          onCommit={(kind) => put({ kind })}
        />
        {deck.kind === "engineered" ? (
          <>
            <p className="text-[13px] font-medium text-warn">
              ! Engineered joists follow their maker only: nothing is bored or notched here by rule of thumb. Enter what
              the maker's chart allows, or leave it empty.
            </p>
            <TextField
              label="Maker allows holes"
              name="maker allows"
              required={false}
              most={200}
              value={deck.makerAllows.map((w) => `${w.from} to ${w.to} up to ${w.most}`).join(", ")}
              onCommit={(text) => {
                const parts = listOf(text, ["to", "up to"]);
                if (!parts)
                  return `Maker allows holes is “${text}”; write each as from to up to, such as 300 to 3000 up to 25.`;
                return put({
                  makerAllows: parts.map(([from, to, most]) => ({ from: from!, to: to!, most: most! })),
                });
              }}
            />
          </>
        ) : null}
        <NumberField
          label="Underside, height"
          name="deck underside"
          value={deck.underside}
          onCommit={(underside) => put({ underside })}
        />
        <details>
          <summary className="cursor-pointer text-[13px] text-soft">Edges: west, east, south, north</summary>
          <div className="grid gap-1 pt-1">
            <NumberField label="West edge" name="deck west" value={b.x0} onCommit={(x0) => resize({ x0 })} />
            <NumberField label="East edge" name="deck east" value={b.x1} onCommit={(x1) => resize({ x1 })} />
            <NumberField label="South edge" name="deck south" value={b.y0} onCommit={(y0) => resize({ y0 })} />
            <NumberField label="North edge" name="deck north" value={b.y1} onCommit={(y1) => resize({ y1 })} />
          </div>
        </details>
        {deck.kind === "concrete" ? null : (
          <>
            <JoistFields deck={deck} put={put} />
            <Noggins deck={deck} put={(noggins) => put({ noggins })} />
            <Battens deck={deck} put={(battens) => put({ battens })} />
            {deck.access === "closed" ? <Opened deck={deck} put={(opened) => put({ opened })} /> : null}
            <Obstacles deck={deck} put={(obstacles) => put({ obstacles })} />
            <ExistingCuts deck={deck} />
            <KeepFree
              on={{ deck: deck.id }}
              fresh={() => {
                const [x, y] = [Math.round((b.x0 + b.x1) / 2), Math.round((b.y0 + b.y1) / 2)];
                return {
                  on: "deck",
                  deck: deck.id,
                  outline: rectOutline(x - 200, y - 200, x + 200, y + 200),
                };
              }}
            />
          </>
        )}
        <Button
          look="quiet"
          icon={<Trash2 size={14} />}
          onClick={() =>
            say(
              edit([
                ...job.forbidden
                  .filter((x) => x.place.on === "deck" && x.place.deck === deck.id)
                  .map((x) => change("forbidden", x.id, null)),
                ...job.photos.filter((p) => p.deck === deck.id).map((p) => change("photos", p.id, null)),
                change("decks", deck.id, null),
              ]),
            )
          }
        >
          Delete this deck
        </Button>
      </div>
    </details>
  );
}
