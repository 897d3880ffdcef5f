"use client";
import { type PointerEvent as RPointer, useCallback, useEffect, useMemo, useRef, useState } from "react";
import { toast } from "sonner";
import { rectAround } from "../../core/base/rect";
import type { Point } from "../../core/job/model";
import { legPosition, moveLeg } from "../../core/laid/move-leg";
import { legWords } from "../../core/drawings/tape";
import { accessories } from "../../core/rules/accessories";
import { mm } from "../../core/base/figures";
import { change, edit, endPreview, preview, useDesk } from "../job/store";
import { isPicked, pickedPoints, pressPoint, shiftPoints } from "../job/picking";
import { follow } from "./follow";
import { DrawingFrame } from "./frame";
import { runStyles } from "./run-style";
import { movePoint, nudge, placeAt, previewMove } from "./tools/move-point";
import { type DrawnLeg, STRIP, STRIP_GAP, unroll } from "./unrolled-model";
import { useViewport } from "./viewport";
import { WallFace } from "./wall-face";

/** How a run is drawn whose circuit has just been taken out. */
const UNKNOWN = { color: "var(--soft)", dash: "", label: "?" };
/** Gap between runs that lie on one line, px. */
const SIDE = 5;

/** The walls of a room laid side by side, with everything on them. Points and legs are taken hold of here. */
export function UnrolledRoom({ roomId }: { roomId: string }) {
  const house = useDesk((s) => s.house);
  const job = useDesk((s) => s.shown);
  const snap = useDesk((s) => s.snap);
  const plan = snap?.plan ?? null;
  const zones = useDesk((s) => s.zones);
  const selection = useDesk((s) => s.selection);
  const sweep = useDesk((s) => s.sweep);
  const frame = useRef<HTMLDivElement>(null);
  // Walls and points as they are; runs from the newest plan, on the house it was worked out for.
  const drawn = useMemo(() => unroll(house, roomId, null), [house, roomId]);
  const laid = useMemo(() => (snap ? unroll(snap.house, roomId, snap.plan) : { legs: [], holes: [] }), [snap, roomId]);
  const styles = useMemo(() => runStyles(job), [job]);
  const extent = {
    x0: 0,
    x1: Math.max(1000, drawn.width),
    y0: -drawn.height - STRIP - 3 * STRIP_GAP,
    y1: STRIP_GAP + STRIP / 2 + 420,
  };
  const { view, fit, zoom, startPan, reveal } = useViewport(frame, extent, `${roomId} ${drawn.width}`);
  const px = useCallback((n: number) => n / view.scale, [view.scale]);
  const [guide, setGuide] = useState<number | null>(null);
  const [legGhost, setLegGhost] = useState<{ leg: DrawnLeg; at: number } | null>(null);
  // What is picked elsewhere, or by key, is brought into sight.
  const picked = selection?.kind === "point" || selection?.kind === "wall" ? `${selection.kind} ${selection.id}` : "";
  const drawnRef = useRef(drawn);
  drawnRef.current = drawn;
  useEffect(() => {
    const [kind, id] = picked.split(" ");
    for (const w of drawnRef.current.walls) {
      const p = kind === "point" ? w.face.points.find((x) => x.id === id) : undefined;
      if (p) reveal(w.x + p.u, -p.v);
      if (kind === "wall" && w.face.wall.id === id) reveal(w.x + w.face.shape.length / 2, -w.face.shape.height / 2);
    }
  }, [picked, reveal]);
  const selectWall = useCallback((id: string) => useDesk.setState({ selection: { kind: "wall", id } }), []);

  const toDrawing = useCallback(
    (e: { clientX: number; clientY: number }) => {
      const r = frame.current!.getBoundingClientRect();
      return { x: (e.clientX - r.left - view.x) / view.scale, y: (e.clientY - r.top - view.y) / view.scale };
    },
    [view],
  );

  const dragPoint = (e: RPointer, point: Point, at: { x: number; y: number }): void => {
    if (e.button !== 0 || point.place.on !== "wall") return;
    e.stopPropagation();
    (e.currentTarget as SVGElement).focus();
    if (!pressPoint(point.id, e)) return;
    const group = pickedPoints(useDesk.getState().selection);
    if (group.length > 1) return dragGroup(e, group, at);
    const from = toDrawing(e);
    const [dx, dy] = [from.x - at.x, from.y - at.y];
    let last: ReturnType<typeof placeAt> = null;
    let frameAsked = 0;
    let moved = false;
    const move = (m: PointerEvent): void => {
      if (!moved && Math.hypot(m.clientX - e.clientX, m.clientY - e.clientY) < 4) return;
      moved = true;
      const p = toDrawing(m);
      last = placeAt(drawn.walls, point, p.x - dx, p.y - dy, view.scale, m.altKey);
      if (!frameAsked)
        frameAsked = requestAnimationFrame(() => {
          frameAsked = 0;
          if (!last) return;
          setGuide(last.snapped);
          previewMove(point, last);
        });
    };
    const up = (m: PointerEvent): void => {
      window.removeEventListener("pointermove", move);
      window.removeEventListener("pointerup", up);
      window.removeEventListener("pointercancel", up);
      cancelAnimationFrame(frameAsked);
      setGuide(null);
      if (!moved || !last || m.type === "pointercancel") return endPreview();
      const refused = movePoint(point, { on: "wall", wall: last.wall, u: last.u, v: last.v });
      if (refused) toast.error(refused);
    };
    window.addEventListener("pointermove", move);
    window.addEventListener("pointerup", up);
    window.addEventListener("pointercancel", up);
  };

  /** Several points go together, by the same amount along and up. */
  const dragGroup = (e: RPointer, ids: readonly string[], at: { x: number; y: number }): void => {
    const from = toDrawing(e);
    let by: { u: number; v: number } | null = null;
    const points = job.points.filter((p) => ids.includes(p.id) && p.place.on === "wall");
    follow(
      (m) => {
        if (!by && Math.hypot(m.clientX - e.clientX, m.clientY - e.clientY) < 4) return;
        const p = toDrawing(m);
        const g = m.altKey ? 1 : 10;
        by = { u: Math.round((p.x - from.x) / g) * g, v: Math.round((from.y - p.y) / g) * g };
        setGuide(-at.y + by.v);
        const moved = by;
        preview(
          points.map((q) =>
            change("points", q.id, {
              ...q,
              place: {
                ...q.place,
                u: (q.place as { u: number }).u + moved.u,
                v: (q.place as { v: number }).v + moved.v,
              },
            }),
          ),
        );
      },
      (m) => {
        setGuide(null);
        if (!by || m.type === "pointercancel") return endPreview();
        const refused = shiftPoints(points, by.u, by.v);
        if (refused) toast.error(refused);
      },
    );
  };

  const dragLeg = (e: RPointer, d: DrawnLeg): void => {
    if (e.button !== 0) return;
    e.stopPropagation();
    useDesk.setState({ selection: { kind: "run", id: d.run.id, leg: d.leg } });
    const on = snap?.house ?? house;
    const position = d.inDeck || d.run.held ? null : legPosition(on, d.run.legs[d.leg]!);
    const w = drawn.walls.find((x) => x.face.wall.id === d.wall);
    if (!position || !w) return;
    let at: number | null = null;
    const move = (m: PointerEvent): void => {
      if (at === null && Math.hypot(m.clientX - e.clientX, m.clientY - e.clientY) < 5) return;
      const p = toDrawing(m);
      const raw = position.measure === "u" ? p.x - w.x : -p.y;
      const most = position.measure === "u" ? w.face.shape.length : w.face.shape.height;
      at = Math.min(most, Math.max(0, m.altKey ? Math.round(raw) : Math.round(raw / 10) * 10));
      setLegGhost({ leg: d, at });
    };
    const up = (m: PointerEvent): void => {
      window.removeEventListener("pointermove", move);
      window.removeEventListener("pointerup", up);
      window.removeEventListener("pointercancel", up);
      setLegGhost(null);
      if (at === null || m.type === "pointercancel") return;
      const pin = moveLeg(on, d.run, d.leg, at);
      if (!pin) return;
      const refused = edit([change("pins", pin.id, pin)]);
      if (refused) toast.error(refused);
      else
        toast(`Pinned: leg ${d.leg + 1} at ${mm(at)}`, {
          description: "It stays where you put it. The findings say what becomes of it.",
        });
    };
    window.addEventListener("pointermove", move);
    window.addEventListener("pointerup", up);
    window.addEventListener("pointercancel", up);
  };

  const points = drawn.walls.flatMap((w) =>
    w.face.points.map((p) => ({ w, p, point: house.points[house.pointOfId.get(p.id)!]!.point })),
  );
  const stops = new Set(
    (plan?.facts ?? []).filter((f) => f.severity === "stop" && f.subject.kind === "point").map((f) => f.subject.id),
  );
  const runIds = [...new Set(laid.legs.map((l) => l.run.id))];
  const overName = drawn.walls.flatMap((w) => w.over).map((d) => house.decks[d]!)[0];

  return (
    <DrawingFrame
      frame={frame}
      onGround={startPan}
      fit={fit}
      zoom={zoom}
      label={`Unrolled walls of ${drawn.walls[0]?.face.room.name ?? "the room"}`}
    >
      <defs>
        {/* Hatches keep their size on the screen whatever the zoom. */}
        <pattern id="band" patternUnits="userSpaceOnUse" width={px(7)} height={px(7)} patternTransform="rotate(45)">
          <rect width={px(7)} height={px(7)} fill="var(--zone)" />
          <line x1={0} y1={0} x2={0} y2={px(7)} stroke="var(--zoneline)" strokeWidth={px(1.4)} />
        </pattern>
        <pattern id="strip" patternUnits="userSpaceOnUse" width={px(6)} height={px(6)} patternTransform="rotate(-45)">
          <rect width={px(6)} height={px(6)} fill="var(--zone)" />
          <line x1={0} y1={0} x2={0} y2={px(6)} stroke="var(--zoneline)" strokeWidth={px(0.9)} />
        </pattern>
        <pattern id="barred" patternUnits="userSpaceOnUse" width={px(9)} height={px(9)} patternTransform="rotate(45)">
          <path d={`M0,0v${px(9)}M0,0h${px(9)}`} stroke="var(--stop)" strokeWidth={px(0.9)} opacity={0.55} />
        </pattern>
        <pattern id="foil" patternUnits="userSpaceOnUse" width={px(22)} height={px(22)}>
          <path
            d={`M0,${px(11)}h${px(6)}M${px(11)},0v${px(6)}`}
            stroke="var(--soft)"
            strokeWidth={px(0.7)}
            opacity={0.6}
          />
        </pattern>
        <pattern id="reverse" patternUnits="userSpaceOnUse" width={px(6)} height={px(6)} patternTransform="rotate(-45)">
          <line
            x1={0}
            y1={0}
            x2={0}
            y2={px(6)}
            stroke="var(--zoneline)"
            strokeWidth={px(1.4)}
            strokeDasharray={`${px(2)} ${px(2)}`}
          />
        </pattern>
      </defs>
      <g transform={`translate(${view.x} ${view.y}) scale(${view.scale})`}>
        {overName ? (
          <text x={0} y={-drawn.height - STRIP - STRIP_GAP - px(6)} fontSize={px(11.5)} fill="var(--soft)">
            {overName.deck.name}: joists {mm(overName.deck.joists.depth)} × {mm(overName.deck.joists.breadth)} at{" "}
            {mm(overName.deck.joists.spacing)}, run {overName.deck.joists.direction.replace("-", "–")}
          </text>
        ) : null}
        {drawn.walls.map((w) => (
          <WallFace
            key={w.face.wall.id}
            w={w}
            house={house}
            job={job}
            px={px}
            zones={zones}
            selected={selection?.kind === "wall" && selection.id === w.face.wall.id}
            onSelect={selectWall}
            sweep={sweep?.wall === w.face.wall.id ? sweep : null}
          />
        ))}
        {guide !== null ? (
          <line
            x1={0}
            x2={drawn.width}
            y1={-guide}
            y2={-guide}
            stroke="var(--accent)"
            strokeWidth={px(1)}
            strokeDasharray={`${px(6)} ${px(4)}`}
          />
        ) : null}
        {runIds.map((id) => (
          <RunLine
            key={id}
            legs={laid.legs.filter((l) => l.run.id === id)}
            style={styles.get(laid.legs.find((l) => l.run.id === id)!.run.circuit) ?? UNKNOWN}
            px={px}
            selected={selection?.kind === "run" && selection.id === id}
            leg={selection?.kind === "run" && selection.id === id ? (selection.leg ?? null) : null}
            faded={selection?.kind === "run" && selection.id !== id}
            onDown={dragLeg}
            name={`Run ${labelOf(id)}`}
          />
        ))}
        {laid.holes.map((o) => (
          <circle
            key={o.id}
            cx={o.x}
            cy={o.y}
            r={Math.max(px(4), o.diameter / 2)}
            fill="var(--deck)"
            stroke="var(--stop)"
            strokeWidth={px(1.6)}
            pointerEvents="none"
          />
        ))}
        {legGhost ? (
          <Ghost
            d={legGhost.leg}
            at={legGhost.at}
            px={px}
            x={drawn.walls.find((w) => w.face.wall.id === legGhost.leg.wall)?.x ?? 0}
            plumb={Math.abs(legGhost.leg.a.x - legGhost.leg.b.x) < 1}
          />
        ) : null}
        {points.map(({ w, p, point }) => (
          <PointTag
            key={p.id}
            point={point}
            x={w.x + p.u}
            y={-p.v}
            width={p.width}
            height={p.height}
            px={px}
            selected={isPicked(selection, p.id)}
            stop={stops.has(p.id)}
            where={`wall ${w.face.wall.index + 1}, ${mm(p.u)} from the left, ${mm(p.v)} up`}
            onDown={dragPoint}
          />
        ))}
      </g>
    </DrawingFrame>
  );

  function labelOf(runId: string): string {
    const r = laid.legs.find((l) => l.run.id === runId)!.run;
    const l = (id: string): string => snap?.job.points.find((p) => p.id === id)?.label ?? id;
    return `${l(r.from)} to ${l(r.to)}`;
  }
}

function RunLine({
  legs,
  style,
  px,
  selected,
  leg,
  faded,
  onDown,
  name,
}: {
  legs: DrawnLeg[];
  style: { color: string; dash: string; label: string };
  px: (n: number) => number;
  selected: boolean;
  leg: number | null;
  faded: boolean;
  onDown: (e: RPointer, d: DrawnLeg) => void;
  name: string;
}) {
  const longest = legs
    .filter((l) => !l.inDeck)
    .reduce<DrawnLeg | null>((best, l) => (best && len(best) >= len(l) ? best : l), null);
  const shifted = legs.map((l) => {
    const plumb = Math.abs(l.a.x - l.b.x) < 1;
    const s = px(SIDE) * l.slot;
    return {
      l,
      x1: l.a.x + (plumb ? s : 0),
      y1: l.a.y + (plumb ? 0 : s),
      x2: l.b.x + (plumb ? s : 0),
      y2: l.b.y + (plumb ? 0 : s),
    };
  });
  const run = legs[0]!.run;
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={`${name}, circuit ${style.label}, ${mm(run.pathLength)} long, ${legWords[run.method as keyof typeof legWords] ?? run.method}${run.pin !== null ? `, pinned, ${style.label}\u00b7pin` : ""}`}
      aria-pressed={selected}
      className="focusable cursor-pointer"
      opacity={faded ? 0.4 : 1}
      onFocus={() =>
        useDesk.getState().selection?.kind !== "run" && useDesk.setState({ selection: { kind: "run", id: run.id } })
      }
      onKeyDown={(e) => {
        if (e.key === "Enter" || e.key === " ") {
          e.preventDefault();
          useDesk.setState({ selection: { kind: "run", id: run.id } });
        }
      }}
    >
      {shifted.map(({ l, ...p }, i) => (
        <g key={i} onPointerDown={(e) => onDown(e, l)}>
          <line {...p} stroke="transparent" strokeWidth={px(13)} />
          <line {...p} stroke="var(--plate)" strokeWidth={px(selected ? 7 : 4.6)} strokeLinecap="square" />
          <line
            {...p}
            stroke={style.color}
            strokeWidth={px(selected ? (leg === l.leg ? 5 : 3.6) : 2.4)}
            strokeDasharray={
              style.dash
                ? style.dash
                    .split(" ")
                    .map((d) => px(Number(d)))
                    .join(" ")
                : undefined
            }
            strokeLinecap="butt"
          />
        </g>
      ))}
      {longest && len(longest) > px(44) ? (
        <g
          transform={`translate(${(longest.a.x + longest.b.x) / 2 + (Math.abs(longest.a.x - longest.b.x) < 1 ? px(SIDE) * longest.slot : 0)} ${(longest.a.y + longest.b.y) / 2 + longest.slot * px(16)})`}
          pointerEvents="none"
        >
          <rect
            x={-px(style.label.length * 4 + 4)}
            y={-px(8)}
            width={px(style.label.length * 8 + 8)}
            height={px(15)}
            fill="var(--plate)"
            stroke={style.color}
            strokeWidth={px(1)}
          />
          <text
            y={px(3.8)}
            fontSize={px(11)}
            textAnchor="middle"
            fill={style.color}
            fontWeight={600}
            fontFamily="var(--font-cond)"
          >
            {style.label}
            {run.pin !== null ? "\u00b7pin" : ""}
          </text>
        </g>
      ) : null}
    </g>
  );
}

const len = (l: DrawnLeg): number => Math.hypot(l.a.x - l.b.x, l.a.y - l.b.y);

function Ghost({
  d,
  at,
  px,
  x,
  plumb,
}: {
  d: DrawnLeg;
  at: number;
  px: (n: number) => number;
  x: number;
  plumb: boolean;
}) {
  const p = plumb ? { x1: x + at, x2: x + at, y1: d.a.y, y2: d.b.y } : { x1: d.a.x, x2: d.b.x, y1: -at, y2: -at };
  return (
    <g pointerEvents="none">
      <line {...p} stroke="var(--accent)" strokeWidth={px(3)} strokeDasharray={`${px(5)} ${px(4)}`} />
      <text
        x={(p.x1 + p.x2) / 2 + px(8)}
        y={(p.y1 + p.y2) / 2 - px(8)}
        fontSize={px(14)}
        fontFamily="var(--font-mono)"
        fill="var(--ink)"
      >
        {mm(at)}
      </text>
    </g>
  );
}

function PointTag({
  point,
  x,
  y,
  width,
  height,
  px,
  selected,
  stop,
  where,
  onDown,
}: {
  point: Point;
  x: number;
  y: number;
  width: number;
  height: number;
  px: (n: number) => number;
  selected: boolean;
  stop: boolean;
  where: string;
  onDown: (e: RPointer, p: Point, at: { x: number; y: number }) => void;
}) {
  const ref = useRef<SVGGElement>(null);
  const pressing = useRef(false);
  useEffect(() => {
    if (selected && document.activeElement === document.body) ref.current?.focus({ preventScroll: true });
  }, [selected]);
  const r = rectAround({ u: x, v: y, width, height });
  const w = Math.max(width, px(point.label.length * 7.5 + 8));
  const h = Math.max(height, px(17));
  return (
    <g
      ref={ref}
      role="button"
      tabIndex={0}
      data-point-tag={point.label}
      aria-label={`${point.label}, ${accessories[point.kind].name}${point.gang === 2 ? ", 2-gang" : ""}, ${where}${point.existing ? ", found in the house" : ""}${stop ? ", has a stop finding" : ""}`}
      aria-pressed={selected}
      className="focusable cursor-grab touch-none"
      onPointerDown={(e) => {
        pressing.current = true;
        onDown(e, point, { x, y });
        window.addEventListener("pointerup", () => (pressing.current = false), { once: true });
      }}
      onFocus={() => {
        // The keyboard picks what it comes to; a press is for pressPoint to judge.
        if (!pressing.current && !isPicked(useDesk.getState().selection, point.id))
          useDesk.setState({ selection: { kind: "point", id: point.id } });
      }}
      onKeyDown={(e) => {
        if (e.key === "Enter" || e.key === " ") {
          e.preventDefault();
          e.stopPropagation();
          pressPoint(point.id, e);
          return;
        }
        const by = nudge(e);
        if (!by || point.place.on !== "wall") return;
        e.preventDefault();
        e.stopPropagation();
        const { job, selection } = useDesk.getState();
        const ids = isPicked(selection, point.id) ? pickedPoints(selection) : [point.id];
        const refused = shiftPoints(
          job.points.filter((p) => ids.includes(p.id)),
          by.u,
          by.v,
        );
        if (refused) toast.error(refused);
      }}
    >
      <rect
        x={r.u0}
        y={r.v0}
        width={width}
        height={height}
        fill="var(--plate)"
        stroke="var(--ink)"
        strokeWidth={px(1)}
      />
      <rect
        className="ring"
        x={x - w / 2}
        y={y - h / 2}
        width={w}
        height={h}
        fill="var(--plate)"
        stroke={stop ? "var(--stop)" : "var(--ink)"}
        strokeWidth={px(selected || stop ? 2.5 : 1.5)}
        strokeDasharray={point.existing ? `${px(3)} ${px(2)}` : undefined}
      />
      {selected ? (
        <rect
          x={x - w / 2 - px(4)}
          y={y - h / 2 - px(4)}
          width={w + px(8)}
          height={h + px(8)}
          fill="none"
          stroke="var(--accent)"
          strokeWidth={px(2.5)}
        />
      ) : null}
      <text
        x={x}
        y={y + px(4.2)}
        fontSize={px(12)}
        textAnchor="middle"
        fontFamily="var(--font-mono)"
        fontWeight={500}
        fill={stop ? "var(--stop)" : "var(--ink)"}
      >
        {point.label}
      </text>
      {stop ? (
        <text
          x={x + w / 2 + px(3)}
          y={y - h / 2 + px(3)}
          fontSize={px(14)}
          fontWeight={700}
          fill="var(--stop)"
          fontFamily="var(--font-cond)"
        >
          ✕
        </text>
      ) : null}
    </g>
  );
}
