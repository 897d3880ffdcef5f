"use client";
import { useMemo } from "react";
import type { XY } from "../../core/base/polygon";
import { deckEdge, joistShapes, overJoists } from "../../core/drawings/deck-scene";
import type { DeckJoist, LaidDeck } from "../../core/house/deck";
import type { Hole } from "../../core/laid/laid";
import { useDesk } from "../job/store";
import { pressed } from "./pressed";
import { ShapeView, Shapes, inPlace } from "./shape-view";

type Px = (n: number) => number;
type ToPlan = (e: { clientX: number; clientY: number }) => XY;

/** One deck from above; its joists are pressed. */
export function DeckLayer({
  l,
  px,
  hatches,
  toPlan,
  holes,
}: {
  l: LaidDeck;
  px: Px;
  hatches: string;
  toPlan: ToPlan;
  holes: readonly Hole[];
}) {
  const forbidden = useDesk((s) => s.shown.forbidden);
  const over = useMemo(() => overJoists(l, forbidden, holes), [l, forbidden, holes]);
  const edge = useMemo(() => deckEdge(l), [l]);
  const paper = { unit: px(1), hatches };
  return (
    <g>
      <Shapes shapes={edge} {...paper} />
      {l.joists.map((j) => (
        <JoistShape key={j.n} l={l} j={j} px={px} hatches={hatches} toPlan={toPlan} />
      ))}
      <Shapes shapes={over} {...paper} />
    </g>
  );
}

/** A joist to press: it picks the span that was pressed. */
function JoistShape({
  l,
  j,
  px,
  hatches,
  toPlan,
}: {
  l: LaidDeck;
  j: DeckJoist;
  px: Px;
  hatches: string;
  toPlan: ToPlan;
}) {
  const selection = useDesk((s) => s.selection);
  const school = useDesk((s) => s.shown.settings.schools.notch);
  const { stretches, marks } = useMemo(() => joistShapes(l, j, school), [l, j, school]);
  const picked = selection?.kind === "joist" && selection.deck === l.deck.id && selection.joist === j.n;
  const pick = (span: number): void =>
    useDesk.setState({ selection: { kind: "joist", deck: l.deck.id, joist: j.n, span } });
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={`Joist ${j.n} of ${l.deck.name}`}
      aria-pressed={picked}
      className="focusable cursor-pointer"
      onPointerDown={(e) => e.stopPropagation()}
      onClick={(e) => {
        const p = toPlan(e);
        const along = l.along === "x" ? p.x : p.y;
        pick(
          Math.max(
            0,
            j.spans.findIndex(([s, q]) => along >= s && along <= q),
          ) + 1,
        );
      }}
      onKeyDown={pressed(() => pick(1))}
    >
      {stretches.map((s, i) =>
        s.kind === "line" ? (
          <ShapeView key={i} s={picked ? { ...s, ink: "accent", width: 2.5 } : s} put={inPlace(px(1), hatches)} ring />
        ) : null,
      )}
      <Shapes shapes={marks} unit={px(1)} hatches={hatches} />
    </g>
  );
}
