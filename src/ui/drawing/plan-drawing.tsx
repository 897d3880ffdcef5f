"use client";
import { type PointerEvent as RPointer, useCallback, useMemo, useRef, useState } from "react";
import { toast } from "sonner";
import { type XY, bounds } from "../../core/base/polygon";
import { decksOfStorey, pointsOfStorey } from "../../core/house/house";
import type { Deck, Point } from "../../core/job/model";
import { stringPaths } from "../../core/trades/kitchen/string-path";
import { legPosition, moveLeg } from "../../core/laid/move-leg";
import { mm } from "../../core/base/figures";
import { chalkLines } from "../../core/trades/timber/boring";
import { joistFor } from "../../core/house/deck";
import { joistWindows } from "../../core/trades/timber/joist";
import { plateOf } from "../../core/rules/accessories";
import type { Run } from "../../core/laid/laid";
import { change, edit, endPreview, preview, useDesk, usePlan, useStorey } from "../job/store";
import { isPicked, pickedPoints, pressPoint, shiftPoints } from "../job/picking";
import { pictureUrl } from "../job/pictures";
import { follow } from "./follow";
import { DrawingFrame } from "./frame";
import { PlanHandles } from "./plan-handles";
import { PlanRooms } from "./plan-rooms";
import { ToolBar, ToolShapes, nextCorner } from "./plan-tool";
import { runStyles } from "./run-style";
import { movePoint, nudge } from "./tools/move-point";
import { useViewport } from "./viewport";

/** A storey from above: rooms, points and runs; with `deck` the joists over it, their legal windows, bores and old cuts. */
export function PlanDrawing({ deck }: { deck: boolean }) {
  const house = useDesk((s) => s.house);
  const job = useDesk((s) => s.shown);
  const plan = usePlan();
  const room = useDesk((s) => s.room);
  const selection = useDesk((s) => s.selection);
  const frame = useRef<HTMLDivElement>(null);
  const styles = useMemo(() => runStyles(job), [job]);
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
  const level = job.storeys.find((s) => s.id === storey)?.level ?? 0;
  const high = level + Math.max(0, ...rooms.map((r) => r.height)) + 500;
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
  const [ghost, setGhost] = useState<{ run: Run; leg: number; at: number } | null>(null);
  const toPlan = (e: { clientX: number; clientY: number }): { x: number; y: number } => {
    const r = frame.current!.getBoundingClientRect();
    return { x: (e.clientX - r.left - view.x) / view.scale, y: -(e.clientY - r.top - view.y) / view.scale };
  };

  const dragLeg = (e: RPointer, run: Run, leg: number): void => {
    if (e.button !== 0) return;
    e.stopPropagation();
    useDesk.setState({ selection: { kind: "run", id: run.id, leg } });
    const l = run.legs[leg]!;
    const position = l.surface.kind === "deck" ? legPosition(house, l) : null;
    if (!position) return;
    let at: number | null = null;
    follow(
      (m) => {
        if (at === null && Math.hypot(m.clientX - e.clientX, m.clientY - e.clientY) < 5) return;
        const p = toPlan(m);
        at = Math.round((position.measure === "x" ? p.x : p.y) / (m.altKey ? 1 : 5)) * (m.altKey ? 1 : 5);
        setGhost({ run, leg, at });
      },
      (m) => {
        setGhost(null);
        if (at === null || m.type === "pointercancel") return;
        const pin = moveLeg(house, run, leg, at);
        const refused = pin && edit([change("pins", pin.id, pin)]);
        if (refused) toast.error(refused);
      },
    );
  };

  const dragDeckPoint = (e: RPointer, p: Point): void => {
    if (e.button !== 0) return;
    e.stopPropagation();
    if (!pressPoint(p.id, e) || p.place.on !== "deck") return;
    const start = p.place;
    const from = toPlan(e);
    let to: Point["place"] | null = null;
    follow(
      (m) => {
        if (!to && Math.hypot(m.clientX - e.clientX, m.clientY - e.clientY) < 4) return;
        const at = toPlan(m);
        const grid = m.altKey ? 1 : 10;
        to = {
          ...start,
          x: Math.round((start.x + at.x - from.x) / grid) * grid,
          y: Math.round((start.y + at.y - from.y) / grid) * grid,
        };
        preview([change("points", p.id, { ...p, place: to })]);
      },
      (m) => {
        if (!to || m.type === "pointercancel") return endPreview();
        const refused = movePoint(p, to);
        if (refused) toast.error(refused);
      },
    );
  };

  const pressTool = (e: RPointer): void => {
    if (e.button !== 0 || !tool) return;
    e.stopPropagation();
    const p = toPlan(e);
    if (tool.kind === "outline") {
      const [first] = tool.corners;
      const near = first && tool.corners.length > 2 && Math.hypot(p.x - first.x, p.y - first.y) * view.scale < 12;
      if (!near)
        useDesk.setState({
          tool: { kind: "outline", corners: [...tool.corners, nextCorner(tool.corners, p, e.altKey)] },
        });
    } else useDesk.setState({ tool: tool.a === null ? { ...tool, a: p } : { ...tool, b: p } });
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
        <defs>
          <pattern id="window" patternUnits="userSpaceOnUse" width={px(6)} height={px(6)} patternTransform="rotate(45)">
            <line x1={0} y1={0} x2={0} y2={px(6)} stroke="var(--good)" strokeWidth={px(1.6)} />
          </pattern>
        </defs>
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
            <PlanRooms house={house} job={job} storey={storey} room={room} px={px} onRoom={showRoom} />
          </g>
          {visibleDecks.map((l) => (
            <g key={l.deck.id}>
              <polygon
                points={l.deck.outline.map((p) => `${p.x},${-p.y}`).join(" ")}
                fill="none"
                stroke="var(--timberline)"
                strokeWidth={px(1)}
                strokeDasharray={`${px(6)} ${px(4)}`}
                pointerEvents="none"
              />
              {l.joists.map((j) => {
                const half = l.deck.joists.breadth / 2;
                const box = (from: number, to: number): { x: number; y: number; width: number; height: number } =>
                  l.along === "x"
                    ? { x: from, y: -(j.at + half), width: to - from, height: half * 2 }
                    : { x: j.at - half, y: -to, width: half * 2, height: to - from };
                const picked = selection?.kind === "joist" && selection.deck === l.deck.id && selection.joist === j.n;
                return (
                  <g
                    key={j.n}
                    role="button"
                    tabIndex={0}
                    aria-label={`Joist ${j.n} of ${l.deck.name}`}
                    aria-pressed={picked}
                    className="focusable cursor-pointer"
                    onPointerDown={(e) => e.stopPropagation()}
                    onClick={(e) => pick(e.clientX, e.clientY)}
                    onKeyDown={(e) =>
                      (e.key === "Enter" || e.key === " ") &&
                      (e.preventDefault(),
                      useDesk.setState({ selection: { kind: "joist", deck: l.deck.id, joist: j.n, span: 1 } }))
                    }
                  >
                    {j.extent.map(([p, q], i) => (
                      <rect
                        key={i}
                        className="ring"
                        {...box(p, q)}
                        fill="var(--timber)"
                        stroke={picked ? "var(--accent)" : "var(--timberline)"}
                        strokeWidth={px(picked ? 2.5 : 0.7)}
                      />
                    ))}
                    {l.deck.kind === "solid-joists"
                      ? j.spans.flatMap((s, k) =>
                          joistWindows(joistFor(l, s), job.settings.schools.notch).hole.zones.map(([p, q], i) => (
                            <rect
                              key={`${k} ${i}`}
                              {...box(s[0] + p, s[0] + q)}
                              fill="url(#window)"
                              pointerEvents="none"
                            />
                          )),
                        )
                      : null}
                    <text
                      {...(l.along === "x"
                        ? { x: l.origin + px(3), y: -j.at + px(4) }
                        : { x: j.at, y: -l.origin + px(14) })}
                      fontSize={px(10.5)}
                      textAnchor={l.along === "x" ? "start" : "middle"}
                      fontFamily="var(--font-mono)"
                      fill="var(--ink)"
                      pointerEvents="none"
                    >
                      {j.n}
                    </text>
                  </g>
                );
                function pick(clientX: number, clientY: number): void {
                  const p = toPlan({ clientX, clientY });
                  const along = l.along === "x" ? p.x : p.y;
                  const span = j.spans.findIndex(([s, e]) => along >= s && along <= e);
                  useDesk.setState({
                    selection: { kind: "joist", deck: l.deck.id, joist: j.n, span: Math.max(0, span) + 1 },
                  });
                }
              })}
              {l.deck.noggins.map((n, i) => (
                <rect
                  key={`n${i}`}
                  {...(l.along === "x"
                    ? { x: l.origin + n.at - 23, y: -l.high, width: 46, height: l.high - l.low }
                    : { x: l.low, y: -(l.origin + n.at + 23), width: l.high - l.low, height: 46 })}
                  fill="none"
                  stroke="var(--timberline)"
                  strokeWidth={px(0.8)}
                  strokeDasharray={`${px(3)} ${px(3)}`}
                  pointerEvents="none"
                />
              ))}
              {chalkLines(l, { holes: plan?.holes ?? [] })
                .filter((c) => c.joists.length > 1)
                .map((c) => {
                  const [a, z] = [l.joists[c.marks[0].joist - 1]!.at, l.joists[c.marks[1].joist - 1]!.at];
                  const p =
                    l.along === "x"
                      ? { x1: c.along, x2: c.along, y1: -a, y2: -z }
                      : { x1: a, x2: z, y1: -c.along, y2: -c.along };
                  return (
                    <g
                      key={`${c.along} ${c.span} ${c.marks[0].joist}`}
                      pointerEvents="none"
                      data-chalk={Math.round(c.at)}
                    >
                      <line
                        {...p}
                        stroke="var(--accent)"
                        strokeWidth={px(1.1)}
                        strokeDasharray={`${px(1.5)} ${px(3)}`}
                      />
                      <text
                        x={p.x2 + px(6)}
                        y={p.y2 - px(5)}
                        fontSize={px(10.5)}
                        fontFamily="var(--font-mono)"
                        fill="var(--ink)"
                      >
                        {mm(c.at)}
                      </text>
                    </g>
                  );
                })}
              {job.forbidden.map((x) =>
                x.place.on === "deck" && x.place.deck === l.deck.id ? (
                  <polygon
                    key={x.id}
                    points={x.place.outline.map((p) => `${p.x},${-p.y}`).join(" ")}
                    fill="var(--stop)"
                    fillOpacity={0.15}
                    stroke="var(--stop)"
                    strokeWidth={px(1.2)}
                    strokeDasharray={`${px(4)} ${px(3)}`}
                    pointerEvents="none"
                  />
                ) : null,
              )}
              {l.deck.obstacles.map((o) => (
                <g key={o.id} pointerEvents="none">
                  <polygon
                    points={o.outline.map((p) => `${p.x},${-p.y}`).join(" ")}
                    fill="var(--soft)"
                    stroke="var(--ink)"
                    strokeWidth={px(1)}
                  />
                  <text
                    x={bounds(o.outline).x1 + px(5)}
                    y={-(bounds(o.outline).y0 + bounds(o.outline).y1) / 2}
                    fontSize={px(11)}
                    fill="var(--ink)"
                    fontFamily="var(--font-cond)"
                  >
                    {o.name || o.kind}
                  </text>
                </g>
              ))}
              {l.deck.existingCuts.map((c) => {
                const j = l.joists[c.joist - 1];
                const s = j?.spans[c.span - 1];
                if (!j || !s) return null;
                const half = l.deck.joists.breadth / 2;
                const wide = c.kind === "hole" ? c.diameter : c.width;
                const at = l.along === "x" ? { x: s[0] + c.at, y: -j.at } : { x: j.at, y: -(s[0] + c.at) };
                // To scale: a hole is as long as its bit is wide, through the joist; a notch is filled.
                return (
                  <g key={c.id} pointerEvents="none">
                    <rect
                      {...(l.along === "x"
                        ? { x: at.x - wide / 2, y: at.y - half, width: wide, height: 2 * half }
                        : { x: at.x - half, y: at.y - wide / 2, width: 2 * half, height: wide })}
                      fill={c.kind === "notch" ? "var(--stop)" : "var(--plate)"}
                      fillOpacity={0.7}
                      stroke="var(--stop)"
                      strokeWidth={px(1.2)}
                    />
                    <path
                      d={`M${at.x - px(5)},${at.y - px(5)}L${at.x + px(5)},${at.y + px(5)}M${at.x - px(5)},${at.y + px(5)}L${at.x + px(5)},${at.y - px(5)}`}
                      stroke="var(--stop)"
                      strokeWidth={px(2.2)}
                    />
                  </g>
                );
              })}
            </g>
          ))}
          {(plan?.runs ?? []).map((run) => {
            const style = styles.get(run.circuit);
            if (!style) return null;
            const picked = selection?.kind === "run" && selection.id === run.id;
            return (
              <g
                key={run.id}
                opacity={surveying ? 0.3 : selection?.kind === "run" && !picked ? 0.35 : 1}
                className="cursor-pointer"
                pointerEvents={surveying ? "none" : undefined}
              >
                {run.legs.map((l, i) => {
                  if (!l.path.every((p) => p[2] >= level - 600 && p[2] <= high)) return null;
                  const onDeck = l.surface.kind === "deck";
                  const d = l.path.map((p, k) => `${k ? "L" : "M"}${p[0]},${-p[1]}`).join("");
                  return (
                    <g key={i} onPointerDown={(e) => dragLeg(e, run, i)}>
                      <path d={d} stroke="transparent" strokeWidth={px(11)} fill="none" />
                      <path
                        d={d}
                        stroke={style.color}
                        strokeWidth={px(picked ? 4 : onDeck ? 2.2 : 3)}
                        strokeDasharray={
                          style.dash
                            ? style.dash
                                .split(" ")
                                .map((n) => px(Number(n)))
                                .join(" ")
                            : undefined
                        }
                        fill="none"
                      />
                    </g>
                  );
                })}
              </g>
            );
          })}
          {deck
            ? (plan?.holes ?? [])
                .filter((o) => o.in.kind === "joist")
                .map((o) => (
                  <circle
                    key={o.id}
                    cx={o.centre[0]}
                    cy={-o.centre[1]}
                    r={Math.max(px(3.6), o.diameter / 2)}
                    fill="var(--plate)"
                    stroke="var(--ink)"
                    strokeWidth={px(1.5)}
                    pointerEvents="none"
                  />
                ))
            : null}
          {ghost
            ? (() => {
                const l = ghost.run.legs[ghost.leg]!;
                const [a, z] = [l.path[0]!, l.path[l.path.length - 1]!];
                const plumb = Math.abs(a[0] - z[0]) < 1e-6;
                return (
                  <line
                    x1={plumb ? ghost.at : a[0]}
                    x2={plumb ? ghost.at : z[0]}
                    y1={plumb ? -a[1] : -ghost.at}
                    y2={plumb ? -z[1] : -ghost.at}
                    stroke="var(--accent)"
                    strokeWidth={px(3)}
                    strokeDasharray={`${px(5)} ${px(4)}`}
                    pointerEvents="none"
                  />
                );
              })()
            : null}
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
          {points.map((p) => {
            const picked = isPicked(selection, p.point.id);
            const w = Math.max(px(p.point.label.length * 7 + 7), p.deck >= 0 ? plateOf(p.point).width : 0);
            return (
              <g
                key={p.point.id}
                role="button"
                tabIndex={0}
                data-point-tag={p.point.label}
                aria-label={`${p.point.label}, ${p.deck >= 0 ? `on the deck at ${mm(p.space[0])} east, ${mm(p.space[1])} north` : `${mm(p.space[2])} up`}`}
                aria-pressed={picked}
                className="focusable cursor-grab touch-none"
                onPointerDown={(e) => dragDeckPoint(e, p.point)}
                onFocus={(e) =>
                  e.currentTarget.matches(":focus-visible") &&
                  !isPicked(selection, p.point.id) &&
                  useDesk.setState({ selection: { kind: "point", id: p.point.id } })
                }
                onKeyDown={(e) => {
                  const by = nudge(e);
                  if (!by || (p.point.place.on !== "deck" && pickedPoints(selection).length < 2)) return;
                  e.preventDefault();
                  e.stopPropagation();
                  const ids = picked ? pickedPoints(selection) : [p.point.id];
                  const refused = shiftPoints(
                    job.points.filter((q) => ids.includes(q.id)),
                    by.u,
                    by.v,
                  );
                  if (refused) toast.error(refused);
                }}
              >
                <rect
                  className="ring"
                  x={p.space[0] - w / 2}
                  y={-p.space[1] - px(8)}
                  width={w}
                  height={px(16)}
                  rx={p.deck >= 0 ? px(8) : 0}
                  fill="var(--plate)"
                  stroke={picked ? "var(--accent)" : "var(--ink)"}
                  strokeWidth={px(picked ? 3 : 1.2)}
                />
                <text
                  x={p.space[0]}
                  y={-p.space[1] + px(3.8)}
                  fontSize={px(10.5)}
                  textAnchor="middle"
                  fontFamily="var(--font-mono)"
                  fill="var(--ink)"
                >
                  {p.point.label}
                </text>
              </g>
            );
          })}
          <g transform={`translate(${b.x0} ${-b.y0 + 450 + px(20)})`} pointerEvents="none">
            <text fontSize={px(11.5)} fill="var(--soft)">
              North is up{strings.length ? " · dotted: a taut string within 3 000 of the bowl" : ""}
              {deck ? " · green hatch: where a joist may be bored · ✕: cut already there" : ""}
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
            />
          ) : null}
        </g>
      </DrawingFrame>
      <ToolBar />
    </div>
  );
}

const showRoom = (id: string): void => useDesk.setState({ room: id });
