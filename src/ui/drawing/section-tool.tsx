"use client";
import { type RefObject, useEffect, useId, useMemo, useRef, useState } from "react";
import type { StripWall } from "../../core/house/unrolled";
import { sectionRows, sectionSizes } from "../../core/rules/sections";
import { putSection, say } from "../job/edits";
import { useDesk } from "../job/store";
import { Button } from "../kit/button";
import { words } from "../kit/number-words";
import { DraftLine } from "./draft-line";
import {
  type Draft,
  type SectionTool,
  type StripPlace,
  pathOf,
  placeAtLength,
  placeFor,
  snapsOf,
  withPlace,
} from "./tools/draw-section";

const NO_SNAPS = { xs: [], vs: [] };
const ARROWS: Record<string, readonly [number, number] | undefined> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};

/** Nearness at which the pointer snaps, px. */
const SNAP = 8;
const put = (tool: SectionTool | null): void => useDesk.setState({ tool });

/** Makes the section that was drawn; says why it is refused. Without two places there is nothing to make. */
export function finishSection(walls: readonly StripWall[], tool: SectionTool): string | null {
  put(null);
  if (tool.draft.length < 2) return null;
  return putSection({ kind: tool.section, size: tool.size, path: pathOf(walls, tool.draft) });
}

/** The section being drawn on the unrolled walls, and the ground that takes the presses meanwhile. Drawing mm, y down. */
export function SectionDraft({
  tool,
  walls,
  from,
  to,
  stroke: down,
  px,
  scale,
  toDrawing,
}: {
  tool: SectionTool;
  walls: readonly StripWall[];
  /** The row of the strip that is drawn, mm along it. */
  from: number;
  to: number;
  /** Where the hand came down, in any row, px. */
  stroke: RefObject<{ x: number; y: number } | null>;
  px: (n: number) => number;
  scale: number;
  toDrawing: (m: { clientX: number; clientY: number }) => { x: number; y: number };
}) {
  const snaps = useMemo(() => snapsOf(walls), [walls]);
  const clip = useId();
  const { hover } = tool;
  const at = (e: { clientX: number; clientY: number; altKey: boolean }, draft: Draft): StripPlace => {
    const d = toDrawing(e);
    return placeFor(walls, draft, { x: d.x, v: -d.y }, snaps, SNAP / scale, e.altKey);
  };
  const show = (p: StripPlace): void => {
    if (tool.hover?.x !== p.x || tool.hover.v !== p.v) put({ ...tool, hover: p });
  };
  const last = tool.draft[tool.draft.length - 1];
  const height = Math.max(0, ...walls.map((w) => w.face.shape.height));
  return (
    <g data-section-draft>
      <clipPath id={clip}>
        <rect x={from - px(14)} y={-height - px(40)} width={to - from + px(28)} height={height + px(80)} />
      </clipPath>
      <g clipPath={`url(#${clip})`}>
        <DraftLine
          kind={tool.section}
          size={tool.size}
          places={tool.draft.map((p) => ({ x: p.x, y: -p.v }))}
          next={hover && { x: hover.x, y: -hover.v }}
          px={px}
        />
      </g>
      <rect
        x={from}
        y={-height}
        width={to - from}
        height={height}
        fill="transparent"
        className="cursor-crosshair"
        onPointerDown={(e) => {
          if (e.button !== 0) return;
          e.stopPropagation();
          down.current = { x: e.clientX, y: e.clientY };
          const p = at(e, tool.draft);
          // The last place pressed again ends it.
          if (last && tool.draft.length > 1 && p.x === last.x && p.v === last.v) return say(finishSection(walls, tool));
          put({ ...tool, draft: withPlace(tool.draft, p), hover: p });
        }}
        onPointerMove={(e) => show(at(e, tool.draft))}
        onPointerUp={(e) => {
          const began = down.current;
          down.current = null;
          // Drawn in one stroke: where it is let go is a place too.
          if (began && Math.hypot(e.clientX - began.x, e.clientY - began.y) > 6)
            put({ ...tool, draft: withPlace(tool.draft, at(e, tool.draft)) });
        }}
      />
    </g>
  );
}

/** What the tool in hand asks, over the drawing: the size, a typed length, and its end. */
export function SectionBar({ tool, walls }: { tool: SectionTool; walls: readonly StripWall[] }) {
  const catalogue = useDesk((s) => s.catalogue);
  const [text, setText] = useState("");
  const [fault, setFault] = useState<string | null>(null);
  const latest = useRef(tool);
  latest.current = tool;
  useEffect(() => {
    const key = (e: KeyboardEvent): void => {
      const { draft, hover } = latest.current;
      const typing = e.target instanceof HTMLInputElement || e.target instanceof HTMLSelectElement;
      const arrow = ARROWS[e.key];
      if (arrow && !typing) {
        const step = e.shiftKey ? 100 : 10;
        const from = hover ?? draft[draft.length - 1] ?? { x: 1000, v: 1000 };
        // By the arrows the first place goes anywhere, the next ones level or plumb from the last.
        const to = { x: from.x + arrow[0] * step, v: from.v + arrow[1] * step };
        put({ ...latest.current, hover: placeFor(walls, draft, to, NO_SNAPS, 0, true) });
      } else if (e.key === " " && hover && !typing && !(e.target instanceof HTMLButtonElement))
        put({ ...latest.current, draft: withPlace(draft, hover) });
      else if (e.key === "Escape") put(null);
      else if (e.key === "Enter" && !(e.target instanceof HTMLInputElement)) say(finishSection(walls, latest.current));
      else return;
      e.preventDefault();
      e.stopPropagation();
    };
    window.addEventListener("keydown", key, true);
    return () => window.removeEventListener("keydown", key, true);
  }, [walls]);
  // Its places are on the walls of this room: in another, or without the drawing, the tool is out of the hand.
  const room = walls[0]?.face.room.id;
  useEffect(
    () => () => {
      if (useDesk.getState().tool?.kind === "section") put(null);
    },
    [room],
  );
  const row = sectionRows[tool.section];
  const typed = (): void => {
    const n = words.parse(text, "mm");
    const bad = words.fault("Length", text, 10, 20_000, "mm");
    const next = n === null || !tool.hover ? null : placeAtLength(walls, tool.draft, tool.hover, n);
    if (bad || !next)
      return setFault(
        bad ??
          (tool.draft.length ? "Point the way it goes on first; it must stay on the walls." : "Press where it begins."),
      );
    setFault(null);
    setText("");
    put({ ...tool, draft: withPlace(tool.draft, next), hover: next });
  };
  return (
    <div
      data-section-bar
      className="absolute bottom-2 left-2 z-10 flex max-w-[calc(100%-8rem)] flex-wrap items-center gap-2 border border-ink bg-panel px-2 py-1.5 text-[13.5px]"
    >
      <b>{row.name}</b>
      <label className="flex items-center gap-1">
        Size
        <select
          className="min-h-8 border border-line bg-field px-1"
          value={tool.size}
          onChange={(e) => put({ ...tool, size: e.target.value })}
        >
          {sectionSizes(tool.section, catalogue).map((s) => (
            <option key={s.id} value={s.id}>
              {s.id.replace("x", " × ")}
            </option>
          ))}
        </select>
      </label>
      <span className="text-soft">
        {tool.draft.length
          ? "Level or plumb, corner by corner; the last place again, or Enter, ends it."
          : "Press where it begins; by keys: arrows, then Space."}
      </span>
      {tool.draft.length ? (
        <>
          <label className="flex items-center gap-1">
            Length
            <input
              className="num min-h-8 w-20 border border-line bg-field px-1 text-right"
              value={text}
              inputMode="decimal"
              onChange={(e) => setText(e.target.value)}
              onKeyDown={(e) => {
                if (e.key === "Enter") typed();
              }}
            />
            mm
          </label>
          <Button look="quiet" onClick={() => put({ ...tool, draft: tool.draft.slice(0, -1) })}>
            Back
          </Button>
          <Button look="solid" onClick={() => say(finishSection(walls, tool))}>
            Done
          </Button>
        </>
      ) : null}
      <Button look="quiet" onClick={() => put(null)}>
        Cancel
      </Button>
      {fault ? (
        <p role="alert" className="basis-full text-stop">
          {fault}
        </p>
      ) : null}
    </div>
  );
}
