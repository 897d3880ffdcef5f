"use client";
import { type PointerEvent as RPointer, useState } from "react";
import { mm } from "../../core/base/figures";
import type { XY } from "../../core/base/polygon";
import type { House } from "../../core/house/house";
import { sectionsOf } from "../../core/house/sections";
import { withDeckPlaceAt } from "../../core/job/move-section";
import type { Section } from "../../core/job/model";
import { putSection, say } from "../job/edits";
import { useDesk } from "../job/store";
import { Button } from "../kit/button";
import { DraftLine } from "./draft-line";
import { pressed } from "./pressed";
import { type DeckSectionTool, deckPlace, withTypedPlace } from "./tools/deck-section";
import { dragPath } from "./tools/move-section";

/** Makes the section that was drawn over the joists; refused, it says why and stays in hand. Without two places there is nothing to make. */
export function finishDeckSection(tool: DeckSectionTool): string | null {
  const { deck, places, section: kind, size } = tool;
  const refused =
    deck === null || places.length < 2
      ? null
      : putSection({ kind, size, path: places.map((p) => ({ on: "deck", deck, ...p })) });
  if (!refused) useDesk.setState({ tool: null });
  return refused;
}

/** The section being drawn over the joists. Drawing mm, y down. */
export function DeckSectionDraft({
  tool,
  hover,
  px,
}: {
  tool: DeckSectionTool;
  hover: XY | null;
  px: (n: number) => number;
}) {
  const next = hover && deckPlace(tool.places, hover, false);
  const onPaper = (p: XY): XY => ({ x: p.x, y: -p.y });
  return (
    <g pointerEvents="none" data-deck-draft>
      <DraftLine
        kind={tool.section}
        size={tool.size}
        places={tool.places.map(onPaper)}
        next={next && onPaper(next)}
        px={px}
      />
    </g>
  );
}

const shown = (n: number | undefined): string => (n === undefined ? "" : mm(n));

/** What the tool asks: the next place, pressed or typed; back one, and the end. */
export function DeckSectionBar({
  tool,
  fault,
  say: tell,
}: {
  tool: DeckSectionTool;
  fault: string | null;
  say: (x: string | null) => void;
}) {
  const last = tool.places[tool.places.length - 1];
  const [west, setWest] = useState("");
  const [south, setSouth] = useState("");
  const put = (): void => {
    const next = withTypedPlace(tool, useDesk.getState().job, west || shown(last?.x), south || shown(last?.y));
    if (typeof next === "string") return tell(next);
    tell(null);
    setWest("");
    setSouth("");
    useDesk.setState({ tool: next });
  };
  return (
    <div
      className="flex shrink-0 flex-wrap items-center gap-2 border border-ink bg-panel px-2 py-1.5 text-[13.5px]"
      data-deck-section-tool={tool.places.length}
    >
      <span>Press its places, {tool.places.length} so far.</span>
      {(
        [
          ["West", "place west", west, setWest, last?.x],
          ["South", "place south", south, setSouth, last?.y],
        ] as const
      ).map(([label, name, value, set, was]) => (
        <label key={name} className="flex items-center gap-1.5">
          {label}
          <input
            data-field={name}
            inputMode="decimal"
            className="num min-h-8 w-20 border border-line bg-field px-1.5 text-right"
            value={value}
            placeholder={shown(was)}
            onChange={(e) => set(e.target.value)}
            onKeyDown={(e) => e.key === "Enter" && put()}
          />
        </label>
      ))}
      <Button onClick={put}>Put the place</Button>
      <Button
        disabled={!tool.places.length}
        onClick={() => {
          const places = tool.places.slice(0, -1);
          useDesk.setState({ tool: { ...tool, places, deck: places.length ? tool.deck : null } });
        }}
      >
        Back one
      </Button>
      <Button look="solid" disabled={tool.places.length < 2} onClick={() => say(finishDeckSection(tool))}>
        Done
      </Button>
      <Button look="quiet" onClick={() => useDesk.setState({ tool: null })}>
        Cancel
      </Button>
      {fault ? (
        <span role="alert" className="w-full font-medium text-stop">
          {fault}
        </span>
      ) : null}
    </div>
  );
}

/** To the centimetre; with Alt to the millimetre. */
const GRID = 10;

/** The stretches of sections over joists, to be picked and moved sideways in the stage of containment. */
export function DeckSectionGrips({
  house,
  decks,
  px,
  toPlan,
}: {
  house: House;
  decks: ReadonlySet<string>;
  px: (n: number) => number;
  toPlan: (e: { clientX: number; clientY: number }) => XY;
}) {
  const stage = useDesk((s) => s.stage);
  const selection = useDesk((s) => s.selection);
  if (stage !== "containment") return null;
  const take = (e: RPointer, section: Section, to: number, k: "x" | "y"): void => {
    if (e.button !== 0) return;
    e.stopPropagation();
    useDesk.setState({ selection: { kind: "section", id: section.id } });
    dragPath(e, section, (p) => {
      const step = p.altKey ? 1 : GRID;
      return withDeckPlaceAt(section, to, k, Math.round(toPlan(p)[k] / step) * step);
    });
  };
  return house.job.sections.flatMap((section) => {
    const laid = sectionsOf(house).find((s) => s.section.id === section.id);
    const half = Math.max((laid?.size.width ?? 0) / 2, px(7));
    return section.path.flatMap((q, to) => {
      const p = section.path[to - 1];
      if (p?.on !== "deck" || q.on !== "deck" || !decks.has(q.deck)) return [];
      const level = Math.abs(p.y - q.y) < 0.05;
      const [x0, y0] = [Math.min(p.x, q.x), Math.min(-p.y, -q.y)];
      return [
        <rect
          key={`${section.id} ${to}`}
          x={x0 - (level ? 0 : half)}
          y={y0 - (level ? half : 0)}
          width={Math.abs(p.x - q.x) + (level ? 0 : 2 * half)}
          height={Math.abs(p.y - q.y) + (level ? 2 * half : 0)}
          role="button"
          tabIndex={0}
          data-section={section.id}
          aria-label={`${section.label}, over the joists, stretch ${to}`}
          aria-pressed={selection?.kind === "section" && selection.id === section.id}
          className="focusable cursor-move"
          fill="transparent"
          stroke={selection?.kind === "section" && selection.id === section.id ? "var(--accent)" : "none"}
          strokeWidth={px(2.5)}
          onPointerDown={(e) => take(e, section, to, level ? "y" : "x")}
          onKeyDown={pressed(() => useDesk.setState({ selection: { kind: "section", id: section.id } }))}
        />,
      ];
    });
  });
}
