"use client";
import type { Deck } from "../../../../core/job/model";
import { NumberField, SelectField, TextField } from "../../../kit/field";
import { Measures } from "../../../kit/measures";
import { listOf } from "./list-of";

const joistRows = [
  { key: "breadth", label: "Breadth", name: "joist breadth", min: 20, max: 300 },
  { key: "depth", label: "Depth", name: "joist depth", min: 50, max: 600 },
  { key: "spacing", label: "Spacing", name: "joist spacing", min: 150, max: 1200 },
  { key: "first", label: "First, from edge", name: "first joist", min: 0 },
] as const;
const boardRows = [
  { key: "thickness", label: "Board thickness", min: 0, max: 100, step: 1 },
  { key: "width", label: "Board width", min: 20, max: 2500 },
] as const;

/** How the joists of a deck lie, and what lies on and between them. */
export function JoistFields({ deck, put }: { deck: Deck; put: (next: Partial<Deck>) => string | null }) {
  const joists = (next: Partial<Deck["joists"]>): string | null => put({ joists: { ...deck.joists, ...next } });
  return (
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
      <Measures of={deck.joists} rows={joistRows} put={joists} />
      <Bearings deck={deck} onCommit={(bearings) => joists({ bearings })} />
      <Measures of={deck.boards} rows={boardRows} put={(next) => put({ boards: { ...deck.boards, ...next } })} />
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
    </>
  );
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
