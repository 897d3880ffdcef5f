"use client";
import { useMemo } from "react";
import { mm } from "../../core/base/figures";
import { type Face, decksOfFace } from "../../core/house/house";
import { voidUnder } from "../../core/house/over-ceiling";
import { useDesk } from "../job/store";

/** Over the unrolled walls of a room: the deck they lead into, its joists, and the void under it where the ceiling hangs. */
export function DeckOver({ walls, y, size }: { walls: readonly { face: Face }[]; y: number; size: number }) {
  const house = useDesk((s) => s.house);
  const over = useMemo(() => {
    for (const { face } of walls)
      for (const d of decksOfFace(house, face).over) {
        const { deck, underside } = house.decks[d]!;
        return { deck, hung: voidUnder(underside, face.floor + face.shape.height) };
      }
    return null;
  }, [walls, house]);
  if (!over) return null;
  const { name, joists } = over.deck;
  return (
    <text x={0} y={y} fontSize={size} fill="var(--soft)">
      {name}: joists {mm(joists.depth)} × {mm(joists.breadth)} at {mm(joists.spacing)}, run{" "}
      {joists.direction.replace("-", "–")}
      {over.hung ? `, void of ${mm(over.hung)} over the ceiling` : ""}
    </text>
  );
}
