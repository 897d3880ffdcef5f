"use client";
import { type PointerEvent as RPointer, useCallback, useEffect, useMemo, useRef, useState } from "react";
import { type XY, bounds } from "../../core/base/polygon";
import { decksOfStorey, pointsOfStorey } from "../../core/house/house";
import { deckSectionShapes } from "../../core/drawings/section-drawings";
import { holeShapes } from "../../core/drawings/deck-scene";
import { planZoneShapes } from "../../core/drawings/room-zones";
import type { Deck } from "../../core/job/model";
import type { Hole } from "../../core/laid/laid";
import { stringPaths } from "../../core/trades/kitchen/string-path";
import { isPicked } from "../job/picking";
import { pictureUrl } from "../job/pictures";
import { useDesk, usePlan, useStorey } from "../job/store";
import { DrawingFrame } from "./frame";
import { Hatches } from "./hatches";
import { DeckLayer } from "./plan-decks";
import { PlanHandles } from "./plan-handles";
import { PlanPoint, planTag } from "./plan-points";
import { PlanRooms } from "./plan-rooms";
import { PlanRuns } from "./plan-runs";
import { say } from "../job/edits";
import { DeckSectionGrips, finishDeckSection } from "./deck-section-tool";
import { ToolBar, ToolShapes } from "./plan-tool";
import { type DeckSectionTool, deckPlace, endsThere, withDeckPlace } from "./tools/deck-section";
import { pressScale } from "./tools/known-length";
import { pressOutline } from "./tools/outline";
import { boxRound, placeTags } from "./place-tags";
import { Shapes } from "./shape-view";
import { useViewport } from "./viewport";

/** Half of what a hole takes up on the screen, px. */
const HOLE = 5;

/** A storey from above: rooms, points and runs; with `deck` the joists over it, their legal windows, bores and old cuts. */
export function PlanDrawing({ deck }: { deck: boolean }) {
  const house = useDesk((s) => s.house);
  const job = useDesk((s) => s.shown);
  const holes = usePlan()?.holes ?? NO_HOLES;
  const room = useDesk((s) => s.room);
  const selection = useDesk((s) => s.selection);
  const frame = useRef<HTMLDivElement>(null);
  const storey = useStorey();
  const stage = useDesk((s) => s.stage);
  const tool = useDesk((s) => s.tool);
  const [hover, setHover] = useState<XY | null>(null);
  const rooms = job.rooms.filter((r) => r.storey === storey);
  // The deck view shows the decks that reach the room in hand; without a room, all of the storey.
  const storeyDecks = useMemo(() => {
    const all = decksOfStorey(job, storey).filter((d) => d.kind !== "concrete");
    const r = job.rooms.find((x) => x.id === room && x.storey === storey);
    const meets = (d: Deck): boolean => {
      if (!r) return true;
      const [a, b] = [bounds(r.outline), bounds(d.outline)];
      return a.x0 < b.x1 - 50 && b.x0 < a.x1 - 50 && a.y0 < b.y1 - 50 && b.y0 < a.y1 - 50;
    };
    const near = all.filter(meets);
    return new Set((near.length ? near : all).map((d) => d.id));
  }, [job, storey, room]);
  const traces = job.traces.filter((t) => t.storey === storey && t.shown);
  const points = useMemo(() => pointsOfStorey(house, storey), [house, storey]);
  // The reach of every alarm while points are placed, else of the one in hand.
  const reach = useMemo(
    () => (deck ? [] : planZoneShapes(house, storey, (id) => stage === "points" || isPicked(selection, id))),
    [deck, house, storey, stage, selection],
  );
  const strings = useMemo(
    () => (stage === "points" && !deck && job.dwelling.country === "wales" ? stringPaths(house) : []),
    [stage, deck, job.dwelling.country, house],
  );
  const corners = [
    ...(deck && storeyDecks.size ? [] : rooms.flatMap((r) => r.outline)),
    ...(deck ? house.decks.filter((d) => storeyDecks.has(d.deck.id)).flatMap((d) => d.deck.outline) : []),
    ...traces.flatMap((t) => [
      { x: t.x, y: t.y },
      { x: t.x + t.width * t.scale, y: t.y - t.height * t.scale },
    ]),
  ];
  const b = corners.length ? bounds(corners) : { x0: 0, y0: 0, x1: 4000, y1: 4000 };
  // North is up on the screen: y is turned over.
  const extent = { x0: b.x0 - 550, x1: b.x1 + 550, y0: -b.y1 - 550, y1: -b.y0 + 900 };
  const { view, fit, zoom, startPan } = useViewport(
    frame,
    extent,
    `${storey} ${deck ? [...storeyDecks].join(" ") : ""} ${rooms.length} ${traces.length}`,
  );
  const px = useCallback((n: number) => n / view.scale, [view.scale]);
  const { moved } = useMemo(
    () =>
      placeTags(
        points.map((p) => ({
          id: p.point.id,
          x: p.space[0] * view.scale,
          y: -p.space[1] * view.scale,
          ...planTag(p, view.scale),
        })),
        deck
          ? holes
              .filter((o) => storeyDecks.has(o.in.deck ?? ""))
              .map((o) => boxRound(o.centre[0] * view.scale, -o.centre[1] * view.scale, HOLE))
          : [],
      ),
    [points, view.scale, deck, holes, storeyDecks],
  );
  const toPlan = (e: { clientX: number; clientY: number }): { x: number; y: number } => {
    const r = frame.current!.getBoundingClientRect();
    return { x: (e.clientX - r.left - view.x) / view.scale, y: -(e.clientY - r.top - view.y) / view.scale };
  };

  const onDecks = useMemo(() => deckSectionShapes(house, storey), [house, storey]);

  const [fault, setFault] = useState<string | null>(null);
  // What was refused is said while the tool is in hand, and no longer.
  const drawing = tool !== null;
  useEffect(() => {
    if (!drawing) setFault(null);
  }, [drawing]);
  /** One more place over the joists; the last one again ends it. */
  const pressDeck = (tool: DeckSectionTool, p: XY): void => {
    if (endsThere(tool, p)) return say(finishDeckSection(tool));
    const next = withDeckPlace(tool, job, p);
    setFault(typeof next === "string" ? next : null);
    if (typeof next !== "string") useDesk.setState({ tool: next });
  };
  // Drawn in one stroke: where it is let go is a place too.
  const letGo = (e: RPointer): void => {
    if (tool?.kind !== "deck-section" || !tool.places.length) return;
    const p = deckPlace(tool.places, toPlan(e), e.altKey);
    const last = tool.places[tool.places.length - 1]!;
    if (Math.hypot(p.x - last.x, p.y - last.y) * view.scale > STROKE) pressDeck(tool, p);
  };
  const pressTool = (e: RPointer): void => {
    if (e.button !== 0 || !tool || tool.kind === "section") return;
    e.stopPropagation();
    const p = toPlan(e);
    if (tool.kind === "deck-section") return pressDeck(tool, deckPlace(tool.places, p, e.altKey));
    useDesk.setState({
      tool: tool.kind === "outline" ? pressOutline(tool, p, view.scale, e.altKey) : pressScale(tool, p),
    });
  };
  // While rooms are shaped, runs step back.
  const surveying = stage === "survey" && !deck;
  const shownRoom = rooms.find((r) => r.id === room);
  const visibleDecks = deck ? house.decks.filter((d) => d.deck.kind !== "concrete" && storeyDecks.has(d.deck.id)) : [];
  return (
    <div
      className="relative flex min-h-0 flex-1 flex-col"
      onPointerMove={tool ? (e) => setHover(toPlan(e)) : undefined}
    >
      <DrawingFrame
        frame={frame}
        onGround={startPan}
        fit={fit}
        zoom={zoom}
        label={deck ? "Deck from above" : "Plan of the storey"}
      >
        <Hatches prefix={HATCHES} unit={px(1)} />
        <g transform={`translate(${view.x} ${view.y}) scale(${view.scale})`}>
          {traces.map((t) => (
            <image
              key={t.id}
              href={pictureUrl(job.id, t.picture)}
              x={t.x}
              y={-t.y}
              width={t.width * t.scale}
              height={t.height * t.scale}
              preserveAspectRatio="none"
              opacity={0.6}
              pointerEvents="none"
            />
          ))}
          <g opacity={traces.length ? 0.75 : 1}>
            <PlanRooms house={house} storey={storey} room={room} px={px} hatches={HATCHES} />
          </g>
          {visibleDecks.map((l) => (
            <DeckLayer key={l.deck.id} l={l} px={px} hatches={HATCHES} toPlan={toPlan} holes={holes} />
          ))}
          {onDecks.length ? (
            <g pointerEvents="none">
              <Shapes shapes={onDecks} unit={px(1)} hatches={HATCHES} />
            </g>
          ) : null}
          <PlanRuns storey={storey} faint={surveying} px={px} toPlan={toPlan} />
          {deck ? <DeckSectionGrips house={house} decks={storeyDecks} px={px} toPlan={toPlan} /> : null}
          {reach.length ? <Shapes shapes={reach} unit={px(1)} hatches={HATCHES} /> : null}
          {deck ? <Shapes shapes={holeShapes(holes)} unit={px(1)} hatches={HATCHES} /> : null}
          {stage === "survey" && !deck && shownRoom && !tool ? (
            <PlanHandles room={shownRoom} px={px} toPlan={toPlan} scale={view.scale} />
          ) : null}
          {strings.map((s) => (
            <polyline
              key={s.point}
              data-string={s.point}
              points={s.path.map((p) => `${p.x},${-p.y}`).join(" ")}
              fill="none"
              stroke="var(--warn)"
              strokeWidth={px(isPicked(selection, s.point) ? 3 : 1.4)}
              strokeDasharray={`${px(2)} ${px(4)}`}
              pointerEvents="none"
            />
          ))}
          {points.map((p) => (
            <PlanPoint key={p.point.id} p={p} px={px} off={moved.get(p.point.id) ?? [0, 0]} toPlan={toPlan} />
          ))}
          <g transform={`translate(${b.x0} ${-b.y0 + 450 + px(20)})`} pointerEvents="none">
            <text fontSize={px(11.5)} fill="var(--soft)">
              North is up{strings.length ? " · dotted: shortest path to points within 3 000 of the sink" : ""}
              {reach.length ? " · blue dashes: bath zones, reach of alarms" : ""}
              {deck ? " · green hatch: where a joist may be drilled · ✕: cut already there" : ""}
              {deck && holes.some((o) => o.notch) ? " · filled: a notch to saw" : ""}
            </text>
          </g>
          <ToolShapes px={px} hover={hover} />
          {tool ? (
            <rect
              x={-1e6}
              y={-1e6}
              width={2e6}
              height={2e6}
              fill="transparent"
              className="cursor-crosshair"
              data-tool-ground
              onPointerDown={pressTool}
              onPointerUp={letGo}
            />
          ) : null}
        </g>
      </DrawingFrame>
      <ToolBar fault={fault} say={setFault} />
    </div>
  );
}

/** How far a press goes to count as a stroke, px. */
const STROKE = 6;
/** What the names of the plan's hatches begin with. */
const HATCHES = "plan-";
const NO_HOLES: readonly Hole[] = [];
