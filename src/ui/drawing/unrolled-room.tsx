"use client";
import {
  type PointerEvent as RPointer,
  type RefObject,
  useCallback,
  useEffect,
  useLayoutEffect,
  useMemo,
  useRef,
  useState,
} from "react";
import { mm } from "../../core/base/figures";
import { UNKNOWN_STYLE, runStyles } from "../../core/drawings/run-lines";
import { type DrawnLeg, unroll } from "../../core/drawings/unrolled-runs";
import { sectionTags } from "../../core/drawings/section-drawings";
import { STRIP, STRIP_GAP } from "../../core/drawings/wall-scene";
import type { House } from "../../core/house/house";
import { sectionsOnFace } from "../../core/house/sections";
import { type Shape, boundsOf } from "../../core/drawings/scene";
import { type StripWall, rowsOf } from "../../core/house/unrolled";
import type { Point } from "../../core/job/model";
import { isPicked } from "../job/picking";
import { useDesk } from "../job/store";
import { DrawingFrame } from "./frame";
import { Hatches } from "./hatches";
import { boxRound, placeLabels, placeTags } from "./place-tags";
import { PointTag, tagSize } from "./point-tag";
import { LegOutline, RunLine, labelPlaces, labelSize } from "./run-line";
import { Shapes } from "./shape-view";
import { SectionBar, SectionDraft } from "./section-tool";
import { SectionGrips, SectionNames, SectionWalls } from "./section-walls";
import { dragLegOnWall } from "./tools/move-leg";
import { dragWallPoint } from "./tools/move-point";
import { DeckOver } from "./deck-over";
import { CeilingPoints } from "./ceiling-points";
import { type Extent, useViewport } from "./viewport";
import { WallFace } from "./wall-face";

/** What the names of the room's hatches begin with. */
const HATCHES = "room-";

/** The walls of a room laid side by side, with everything on them. Points and legs are taken hold of here. */
export function UnrolledRoom({ roomId }: { roomId: string }) {
  const house = useDesk((s) => s.house);
  const job = useDesk((s) => s.shown);
  const snap = useDesk((s) => s.snap);
  const plan = snap?.plan ?? null;
  const zones = useDesk((s) => s.zones);
  const selection = useDesk((s) => s.selection);
  const sweep = useDesk((s) => s.sweep);
  const tool = useDesk((s) => s.tool);
  const frame = useRef<HTMLDivElement>(null);
  // Walls and points as they are; runs from the newest plan, on the house it was worked out for.
  const drawn = useMemo(() => unroll(house, roomId, null), [house, roomId]);
  const laid = useMemo(
    () => (snap ? unroll(snap.house, roomId, snap.plan) : { legs: [], holes: [], found: [] }),
    [snap, roomId],
  );
  const styles = useMemo(() => runStyles(job), [job]);
  const over = drawn.height + STRIP + 3 * STRIP_GAP;
  const band = over + UNDER;
  const space = useRoomSize(frame);
  const { second, spans } = useMemo(() => rowsOf(drawn, band, space), [drawn, band, space]);
  // Everything is reckoned along the one strip; only where it is painted are there two rows.
  const rows = spans.map(([from, to], n) => ({
    n,
    from,
    to,
    walls: drawn.walls.filter((w) => w.x >= from && w.x < to),
  }));
  const extent = {
    x0: 0,
    x1: Math.max(1000, ...rows.map((r) => r.to - r.from)),
    y0: -over,
    y1: UNDER + (rows.length - 1) * band,
  };
  const {
    view,
    size,
    fit,
    zoom,
    startPan,
    reveal: bring,
    lookAt: fill,
  } = useViewport(frame, extent, `${roomId} ${drawn.width} ${second}`);
  const parted = useRef({ at: 0, band });
  parted.current = { at: second === null ? Infinity : spans[1]![0], band };
  const reveal = useCallback(
    (x: number, y: number) => {
      const { at, band: down } = parted.current;
      return x >= at ? bring(x - at, y + down) : bring(x, y);
    },
    [bring],
  );
  const lookAt = useCallback(
    (p: Extent) => {
      const { at, band: down } = parted.current;
      if (p.x0 >= at - ROUND) fill({ x0: p.x0 - at, x1: p.x1 - at, y0: p.y0 + down, y1: p.y1 + down });
      else if (p.x1 <= at + ROUND) fill(p);
      else fill({ x0: 0, x1: at, y0: p.y0, y1: p.y1 + down });
    },
    [fill],
  );
  const px = useCallback((n: number) => n / view.scale, [view.scale]);
  const [guide, setGuide] = useState<number | null>(null);
  const stroke = useRef<{ x: number; y: number } | null>(null);
  const [legGhost, setLegGhost] = useState<{ leg: DrawnLeg; at: number } | null>(null);
  // What is picked elsewhere, or by key, is brought into sight.
  const picked =
    selection?.kind === "point" || selection?.kind === "wall" || selection?.kind === "section"
      ? `${selection.kind} ${selection.id}`
      : "";
  const houseRef = useRef(house);
  houseRef.current = house;
  const drawnRef = useRef(drawn);
  drawnRef.current = drawn;
  useEffect(() => {
    const [kind, id] = picked.split(" ");
    for (const w of drawnRef.current.walls) {
      const p = kind === "point" ? w.face.points.find((x) => x.id === id) : undefined;
      if (p) reveal(w.x + p.u, -p.v);
      const t = kind === "section" ? sectionTags(houseRef.current, w.face).find((x) => x.id === id) : undefined;
      if (t) return reveal(w.x + t.u, -t.v);
      if (kind === "wall" && w.face.wall.id === id) reveal(w.x + w.face.shape.length / 2, -w.face.shape.height / 2);
    }
  }, [picked, reveal]);
  // One picked from a list is looked at from near; once the drawing has its new size beside what is told of it.
  const shown = selection?.kind === "section" && selection.show ? selection.id : "";
  useEffect(() => {
    if (!shown) return;
    const frames = requestAnimationFrame(() => {
      const part = sectionPart(houseRef.current, drawnRef.current.walls, shown);
      if (part) lookAt(part);
    });
    return () => cancelAnimationFrame(frames);
  }, [shown, size.height, lookAt]);
  const selectWall = useCallback((id: string) => useDesk.setState({ selection: { kind: "wall", id } }), []);

  const toDrawing = useCallback(
    (e: { clientX: number; clientY: number }) => {
      const r = frame.current!.getBoundingClientRect();
      const [x, y] = [(e.clientX - r.left - view.x) / view.scale, (e.clientY - r.top - view.y) / view.scale];
      const { at, band: down } = parted.current;
      if (at === Infinity) return { x, y };
      return y > UNDER ? { x: Math.max(at, x + at), y: y - down } : { x: Math.min(at, x), y };
    },
    [view],
  );

  const dragPoint = (e: RPointer, point: Point, at: { x: number; y: number }): void =>
    dragWallPoint(e, point, at, { walls: drawn.walls, scale: view.scale, toDrawing, guide: setGuide });
  const dragLeg = (e: RPointer, d: DrawnLeg): void => {
    const w = drawn.walls.find((x) => x.face.wall.id === d.wall);
    if (d.inDeck || !w || !snap) {
      if (e.button === 0) e.stopPropagation();
      useDesk.setState({ selection: { kind: "run", id: d.run.id, leg: d.leg } });
      return;
    }
    const { length, height } = w.face.shape;
    dragLegOnWall(e, snap.house, d.run, d.leg, { x: w.x, length, height }, toDrawing, (at) =>
      setLegGhost(at === null ? null : { leg: d, at }),
    );
  };

  const points = drawn.walls.flatMap((w) =>
    w.face.points.map((p) => ({ w, p, point: house.points[house.pointOfId.get(p.id)!]!.point })),
  );
  const stops = new Set(
    (plan?.facts ?? []).filter((f) => f.severity === "stop" && f.subject.kind === "point").map((f) => f.subject.id),
  );
  const runIds = [...new Set(laid.legs.map((l) => l.run.id))];
  // Tags stand off one another, and labels of runs off the tags: at the scale they are seen at.
  const { moved, labelAt } = useMemo(() => {
    const per = view.scale;
    const tags = points.map(({ w, p, point }) => ({
      id: p.id,
      x: (w.x + p.u) * per,
      y: -p.v * per,
      ...tagSize(point.label, p.width * per, p.height * per),
      between: betweenOf(w.x, spans, per),
    }));
    const { moved, taken } = placeTags(tags);
    taken.push(...laid.holes.map((o) => boxRound(o.x * per, o.y * per, HOLE)));
    const parts = rows.flatMap((r) =>
      runIds.flatMap((id) => {
        const legs = laid.legs.filter((l) => l.run.id === id && r.walls.some((w) => w.face.wall.id === l.wall));
        if (!legs.length) return [];
        const label = styles.get(legs[0]!.run.circuit)?.label ?? "?";
        const words = legs[0]!.run.pin !== null ? `${label}+pin` : label;
        const at = labelPlaces(legs, px).map((p) => ({ x: p.x * per, y: p.y * per }));
        return [{ id: `${r.n} ${id}`, ...labelSize(words), at }];
      }),
    );
    const put = placeLabels(parts, taken);
    const labelAt = new Map([...put].map(([id, p]) => [id, p && { x: p.x / per, y: p.y / per }]));
    return { moved, labelAt };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- rows and ids follow from what is named
  }, [drawn, laid, styles, view.scale, second]);
  return (
    <>
      <CeilingPoints roomId={roomId} />
      <DrawingFrame
        frame={frame}
        onGround={startPan}
        fit={fit}
        zoom={zoom}
        label={`Unrolled walls of ${drawn.walls[0]?.face.room.name ?? "the room"}`}
        over={tool?.kind === "section" ? <SectionBar tool={tool} walls={drawn.walls} /> : null}
      >
        <Hatches prefix={HATCHES} unit={px(1)} />
        <g transform={`translate(${view.x} ${view.y}) scale(${view.scale})`}>
          <DeckOver walls={drawn.walls} y={-drawn.height - STRIP - STRIP_GAP - px(6)} size={px(11.5)} />
          {rows.map((r) => (
            <g key={r.n} transform={`translate(${-r.from} ${r.n * band})`} data-row={r.n}>
              {r.walls.map((w) => (
                <WallFace
                  key={w.face.wall.id}
                  w={w}
                  house={house}
                  px={px}
                  hatches={HATCHES}
                  zones={zones}
                  selected={selection?.kind === "wall" && selection.id === w.face.wall.id}
                  onSelect={selectWall}
                  sweep={sweep?.wall === w.face.wall.id ? sweep : null}
                />
              ))}
              <SectionWalls walls={r.walls} house={house} px={px} hatches={HATCHES} />
              {guide !== null ? (
                <line
                  x1={r.from}
                  x2={r.to}
                  y1={-guide}
                  y2={-guide}
                  stroke="var(--accent)"
                  strokeWidth={px(1)}
                  strokeDasharray={`${px(6)} ${px(4)}`}
                />
              ) : null}
              {runIds.map((id) => {
                const legs = laid.legs.filter((l) => l.run.id === id && r.walls.some((w) => w.face.wall.id === l.wall));
                return legs.length ? (
                  <RunLine
                    key={id}
                    legs={legs}
                    style={styles.get(legs[0]!.run.circuit) ?? UNKNOWN_STYLE}
                    px={px}
                    selected={selection?.kind === "run" && selection.id === id}
                    leg={selection?.kind === "run" && selection.id === id ? (selection.leg ?? null) : null}
                    faded={selection?.kind === "run" && selection.id !== id}
                    onDown={dragLeg}
                    name={`Run ${labelOf(id)}`}
                    labelAt={labelAt.get(`${r.n} ${id}`) ?? null}
                  />
                ) : null;
              })}
              <SectionGrips walls={r.walls} house={house} px={px} toDrawing={toDrawing} />
              <Shapes shapes={laid.found.filter((s) => within(middleOf(s), r))} unit={px(1)} hatches={HATCHES} />
              {laid.holes
                .filter((o) => within(o.x, r))
                .map((o) => (
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
              {legGhost && r.walls.some((w) => w.face.wall.id === legGhost.leg.wall) ? (
                <LegOutline
                  d={legGhost.leg}
                  at={legGhost.at}
                  px={px}
                  x={drawn.walls.find((w) => w.face.wall.id === legGhost.leg.wall)?.x ?? 0}
                  plumb={Math.abs(legGhost.leg.a.x - legGhost.leg.b.x) < 1}
                />
              ) : null}
              <SectionNames walls={r.walls} house={house} px={px} />
              {points
                .filter(({ w }) => r.walls.includes(w))
                .map(({ w, p, point }) => (
                  <PointTag
                    key={p.id}
                    point={point}
                    x={w.x + p.u}
                    y={-p.v}
                    width={p.width}
                    height={p.height}
                    px={px}
                    off={moved.get(p.id) ?? [0, 0]}
                    selected={isPicked(selection, p.id)}
                    stop={stops.has(p.id)}
                    where={`wall ${w.face.wall.index + 1}, ${mm(p.u)} from the left, ${mm(p.v)} up`}
                    onDown={dragPoint}
                  />
                ))}
              {tool?.kind === "section" ? (
                <SectionDraft
                  tool={tool}
                  walls={drawn.walls}
                  from={r.from}
                  to={r.to}
                  stroke={stroke}
                  px={px}
                  scale={view.scale}
                  toDrawing={toDrawing}
                />
              ) : null}
            </g>
          ))}
        </g>
      </DrawingFrame>
    </>
  );

  function labelOf(runId: string): string {
    const r = laid.legs.find((l) => l.run.id === runId)!.run;
    const l = (id: string): string => snap?.job.points.find((p) => p.id === id)?.label ?? id;
    return `${l(r.from)} to ${l(r.to)}`;
  }
}

/** Round a section that is looked at, mm. */
const ROUND = 450;
/** Under the walls, for the strip of the deck and the name of each, mm. */
const UNDER = STRIP_GAP + STRIP / 2 + 520;

/** The ends of the row that a wall stands in, px, with a little over for a tag at its very end. */
function betweenOf(x: number, spans: readonly (readonly [number, number])[], per: number): readonly [number, number] {
  const [from, to] = spans.find(([a, b]) => x >= a && x < b) ?? spans[0]!;
  return [from * per - 10, to * per + 10];
}

/** Half of what a hole takes up on the screen, px. */
const HOLE = 5;

const within = (x: number, r: { from: number; to: number }): boolean => x >= r.from && x < r.to;

/** Where along the strip a shape has its middle. */
function middleOf(s: Shape): number {
  const b = boundsOf([s]);
  return (b.x0 + b.x1) / 2;
}

/** Size of the frame as it is with nothing opened under it: rows do not change because something is told of what is picked. */
function useRoomSize(frame: RefObject<HTMLDivElement | null>): { width: number; height: number } {
  const [size, setSize] = useState({ width: 800, height: 500, window: 0 });
  useLayoutEffect(() => {
    const el = frame.current;
    if (!el) return;
    const measure = (): void =>
      setSize((had) => {
        const [width, height, all] = [el.clientWidth, el.clientHeight, window.innerHeight];
        const same = had.width === width && had.window === all;
        return same && height <= had.height ? had : { width, height, window: all };
      });
    measure();
    const watch = new ResizeObserver(measure);
    watch.observe(el);
    return () => watch.disconnect();
  }, [frame]);
  return size;
}

/** The part of the strip that holds a section, with room round it; null where none of it is on these walls. */
function sectionPart(
  house: House,
  walls: readonly StripWall[],
  id: string,
): { x0: number; y0: number; x1: number; y1: number } | null {
  const places = walls.flatMap((w) =>
    sectionsOnFace(house, w.face.n)
      .filter((s) => s.section.id === id)
      .flatMap((s) => s.stretches.filter((x) => x.face === w.face.n).flatMap((x) => [x.a, x.b]))
      .map((p) => [w.x + p.u, -p.v] as const),
  );
  if (!places.length) return null;
  const [xs, ys] = [places.map((p) => p[0]), places.map((p) => p[1])];
  return {
    x0: Math.min(...xs) - ROUND,
    x1: Math.max(...xs) + ROUND,
    y0: Math.min(...ys) - ROUND,
    y1: Math.max(...ys) + ROUND,
  };
}
