"use client";
import { words } from "../../kit/number-words";
import { Trash2 } from "lucide-react";
import { bounds } from "../../../core/base/polygon";
import type { Deck } from "../../../core/job/model";
import { mm } from "../../../core/base/figures";
import { KeepFree } from "../keep-free";
import { newId, say } from "../../job/edits";
import { change, edit, useDesk } from "../../job/store";
import { Button } from "../../kit/button";
import { NumberField, SelectField, TextField } from "../../kit/field";

/** Everything about one deck. */
export function DeckForm({ deck }: { deck: Deck }) {
  const job = useDesk((s) => s.job);
  const fresh = useDesk((s) => s.fresh === deck.id);
  const put = (next: Partial<Deck>): string | null => edit([change("decks", deck.id, { ...deck, ...next })]);
  const joists = (next: Partial<Deck["joists"]>): string | null => put({ joists: { ...deck.joists, ...next } });
  const b = bounds(deck.outline);
  const resize = (next: Partial<typeof b>): string | null => {
    const n = { ...b, ...next };
    if (n.x1 - n.x0 < 100 || n.y1 - n.y0 < 100)
      return `The deck would be ${mm(n.x1 - n.x0)} × ${mm(n.y1 - n.y0)}; each side is at least 100 mm.`;
    return put({
      outline: [
        { x: n.x0, y: n.y0 },
        { x: n.x0, y: n.y1 },
        { x: n.x1, y: n.y1 },
        { x: n.x1, y: n.y0 },
      ],
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
            <SelectField
              label="Joists run"
              name="joists run"
              value={deck.joists.direction}
              options={[
                { value: "east-west", name: "east–west" },
                { value: "north-south", name: "north–south" },
              ]}
              onCommit={(direction) => joists({ direction })}
            />
            <NumberField
              label="Breadth"
              name="joist breadth"
              value={deck.joists.breadth}
              min={20}
              max={300}
              onCommit={(breadth) => joists({ breadth })}
            />
            <NumberField
              label="Depth"
              name="joist depth"
              value={deck.joists.depth}
              min={50}
              max={600}
              onCommit={(depth) => joists({ depth })}
            />
            <NumberField
              label="Spacing"
              name="joist spacing"
              value={deck.joists.spacing}
              min={150}
              max={1200}
              onCommit={(spacing) => joists({ spacing })}
            />
            <NumberField
              label="First, from edge"
              name="first joist"
              value={deck.joists.first}
              min={0}
              onCommit={(first) => joists({ first })}
            />
            <Bearings deck={deck} onCommit={(bearings) => joists({ bearings })} />
            <NumberField
              label="Board thickness"
              value={deck.boards.thickness}
              min={0}
              max={100}
              step={1}
              onCommit={(thickness) => put({ boards: { ...deck.boards, thickness } })}
            />
            <NumberField
              label="Board width"
              value={deck.boards.width}
              min={20}
              max={2500}
              onCommit={(width) => put({ boards: { ...deck.boards, width } })}
            />
            <NumberField
              label="Insulation above"
              value={deck.insulationOver}
              min={0}
              max={1000}
              onCommit={(insulationOver) => put({ insulationOver })}
            />
            <SelectField
              label="Access"
              value={deck.access}
              options={[
                { value: "open", name: "open" },
                { value: "boards-up", name: "boards can come up" },
                { value: "closed", name: "closed" },
              ]}
              onCommit={(access) => put({ access })}
            />
            <TextField
              label="Heavy joists"
              required={false}
              most={200}
              value={deck.heavyJoists.join(", ")}
              onCommit={(text) => {
                const parts = text.split(/[\s,]+/).filter(Boolean);
                if (parts.some((p) => !/^[1-9]\d*$/.test(p)))
                  return `Heavy joists is “${text}”; write joist numbers, such as 4, 9.`;
                return put({ heavyJoists: parts.map(Number) });
              }}
            />
            <Noggins deck={deck} put={(noggins) => put({ noggins })} />
            <Obstacles deck={deck} put={(obstacles) => put({ obstacles })} />
            <ExistingCuts deck={deck} />
            <KeepFree
              on={{ deck: deck.id }}
              fresh={() => {
                const [x, y] = [Math.round((b.x0 + b.x1) / 2), Math.round((b.y0 + b.y1) / 2)];
                return {
                  on: "deck",
                  deck: deck.id,
                  outline: [
                    { x: x - 200, y: y - 200 },
                    { x: x - 200, y: y + 200 },
                    { x: x + 200, y: y + 200 },
                    { x: x + 200, y: y - 200 },
                  ],
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

/** Reads a list such as "-100 to 0, 4,200 to 4,450": numbers with the given words between them, entries apart by commas or semicolons; null when one cannot be told. */
function listOf(text: string, between: readonly string[]): number[][] | null {
  // A comma followed by a space or the end parts entries; one between digits belongs to a number.
  const entries = text
    .split(/;|,(?=\s|$)|,(?!\d{3}(?!\d))/)
    .map((t) => t.trim())
    .filter(Boolean);
  const out = entries.map((t) => {
    const cells = t.split(new RegExp(`\\s+(?:${[...between].sort((a, b) => b.length - a.length).join("|")})\\s+`));
    const numbers = cells.map((c) => words.parse(c, "mm"));
    return cells.length === between.length + 1 && numbers.every((n) => n !== null) ? numbers : null;
  });
  return out.every((x) => x !== null) ? out : null;
}

function Bearings({ deck, onCommit }: { deck: Deck; onCommit: (b: [number, number][]) => string | null }) {
  return (
    <TextField
      label="Bearings, from–to"
      name="bearings"
      required={false}
      most={200}
      value={deck.joists.bearings.map(([a, b]) => `${a} to ${b}`).join(", ")}
      onCommit={(text) => {
        const parts = listOf(text.replaceAll(/–|\.\./g, " to "), ["to"]);
        if (!parts) return `Bearings is “${text}”; write each as from to, such as -100 to 0, 4200 to 4450.`;
        return onCommit(parts.map(([from, to]) => [from!, to!]));
      }}
    />
  );
}

function Noggins({ deck, put }: { deck: Deck; put: (n: Deck["noggins"]) => string | null }) {
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

const obstacleKinds = ["steel", "trimmer", "chimney", "stair"] as const;

function Obstacles({ deck, put }: { deck: Deck; put: (o: Deck["obstacles"]) => string | null }) {
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
                    outline: [
                      { x: n.x0, y: n.y0 },
                      { x: n.x0, y: n.y1 },
                      { x: n.x1, y: n.y1 },
                      { x: n.x1, y: n.y0 },
                    ],
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
                    outline: [
                      { x, y },
                      { x, y: y + d },
                      { x: x + w, y: y + d },
                      { x: x + w, y },
                    ],
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

const cutFields: Record<string, string> = {
  joist: "Joist number",
  span: "Span number",
  at: "From left bearing",
  diameter: "Diameter",
  fromTop: "Centre from top",
  width: "Width",
  depth: "Depth",
};

function ExistingCuts({ deck }: { deck: Deck }) {
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
