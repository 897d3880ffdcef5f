"use client";
import { type RefObject, useCallback, useEffect, useLayoutEffect, useRef, useState } from "react";

/** How the drawing lies in its frame: pixels per mm, and where the drawing's origin is in the frame, px. */
export interface Viewport {
  scale: number;
  x: number;
  y: number;
}

/** What is to be seen, drawing mm. */
export interface Extent {
  x0: number;
  y0: number;
  x1: number;
  y1: number;
}

const LEAST = 0.01;
const MOST = 2;
const PAD = 14;

/** The viewport in which the extent just fits the frame. */
export function fitTo(e: Extent, width: number, height: number): Viewport {
  const w = Math.max(1, e.x1 - e.x0);
  const h = Math.max(1, e.y1 - e.y0);
  const scale = Math.min(MOST, Math.max(LEAST, Math.min((width - 2 * PAD) / w, (height - 2 * PAD) / h)));
  return { scale, x: (width - w * scale) / 2 - e.x0 * scale, y: (height - h * scale) / 2 - e.y0 * scale };
}

/**
 * Zoom by wheel or pinch, pan by dragging the ground or with the middle button, fit by key. `key` names the drawing:
 * a new one is fitted afresh.
 */
export function useViewport(
  frame: RefObject<HTMLElement | null>,
  extent: Extent,
  key: string,
): {
  view: Viewport;
  size: { width: number; height: number };
  fit: () => void;
  zoom: (by: number) => void;
  startPan: (e: React.PointerEvent) => void;
  reveal: (x: number, y: number) => void;
  /** Fills the frame with a part of the drawing. */
  lookAt: (part: Extent) => void;
} {
  const [size, setSize] = useState({ width: 0, height: 0 });
  const [view, setView] = useState<Viewport>({ scale: 0.1, x: 0, y: 0 });
  const extentRef = useRef(extent);
  extentRef.current = extent;
  useLayoutEffect(() => {
    const el = frame.current;
    if (!el) return;
    const measure = (): void => setSize({ width: el.clientWidth, height: el.clientHeight });
    measure();
    const watch = new ResizeObserver(measure);
    watch.observe(el);
    return () => watch.disconnect();
  }, [frame]);
  const fit = useCallback(() => {
    const el = frame.current;
    if (el) setView(fitTo(extentRef.current, el.clientWidth, el.clientHeight));
  }, [frame]);
  const opened = useRef<{ key: string; view: Viewport; width: number; height: number } | null>(null);
  useLayoutEffect(() => {
    const el = frame.current;
    if (!el) return;
    const [width, height] = [el.clientWidth, el.clientHeight];
    const before = opened.current;
    const next = fitTo(extentRef.current, width, height);
    opened.current = { key, view: next, width, height };
    // Where a hand, or what was picked, has moved the drawing since it opened, a frame of another size keeps what is in its middle.
    setView((v) =>
      before?.key === key && before.width > 0 && v !== before.view
        ? { ...v, x: v.x + (width - before.width) / 2, y: v.y + (height - before.height) / 2 }
        : next,
    );
  }, [frame, key, size.width, size.height]);
  const reveal = useCallback(
    (x: number, y: number) => {
      const el = frame.current;
      if (!el) return;
      const margin = 60;
      setView((v) => {
        const [px, py] = [v.x + x * v.scale, v.y + y * v.scale];
        const outX = px < margin || px > el.clientWidth - margin;
        const outY = py < margin / 2 || py > el.clientHeight - margin / 2;
        return outX || outY
          ? {
              ...v,
              x: outX ? el.clientWidth / 2 - x * v.scale : v.x,
              y: outY ? el.clientHeight / 2 - y * v.scale : v.y,
            }
          : v;
      });
    },
    [frame],
  );
  const lookAt = useCallback(
    (part: Extent) => {
      const el = frame.current;
      if (el) setView(fitTo(part, el.clientWidth, el.clientHeight));
    },
    [frame],
  );
  const zoomAt = useCallback((by: number, px: number, py: number) => {
    setView((v) => {
      const scale = Math.min(MOST, Math.max(LEAST, v.scale * by));
      const k = scale / v.scale;
      return { scale, x: px - (px - v.x) * k, y: py - (py - v.y) * k };
    });
  }, []);
  const zoom = useCallback(
    (by: number) => zoomAt(by, (frame.current?.clientWidth ?? 0) / 2, (frame.current?.clientHeight ?? 0) / 2),
    [frame, zoomAt],
  );
  const pointers = useRef(new Map<number, { x: number; y: number }>());
  useEffect(() => {
    const el = frame.current;
    if (!el) return;
    const wheel = (e: WheelEvent): void => {
      e.preventDefault();
      const r = el.getBoundingClientRect();
      if (e.ctrlKey || !e.shiftKey) zoomAt(Math.exp(-e.deltaY * 0.0016), e.clientX - r.left, e.clientY - r.top);
      else setView((v) => ({ ...v, x: v.x - e.deltaY }));
    };
    el.addEventListener("wheel", wheel, { passive: false });
    return () => el.removeEventListener("wheel", wheel);
  }, [frame, zoomAt]);
  const startPan = useCallback(
    (e: React.PointerEvent) => {
      const el = frame.current;
      if (!el) return;
      const held = pointers.current;
      held.set(e.pointerId, { x: e.clientX, y: e.clientY });
      const move = (m: PointerEvent): void => {
        const was = held.get(m.pointerId);
        if (!was) return;
        if (held.size === 2) {
          const [other] = [...held].filter(([id]) => id !== m.pointerId).map(([, p]) => p);
          if (other) {
            const r = el.getBoundingClientRect();
            const before = Math.hypot(was.x - other.x, was.y - other.y);
            const now = Math.hypot(m.clientX - other.x, m.clientY - other.y);
            if (before > 0) zoomAt(now / before, (m.clientX + other.x) / 2 - r.left, (m.clientY + other.y) / 2 - r.top);
          }
        } else setView((v) => ({ ...v, x: v.x + m.clientX - was.x, y: v.y + m.clientY - was.y }));
        held.set(m.pointerId, { x: m.clientX, y: m.clientY });
      };
      const up = (m: PointerEvent): void => {
        held.delete(m.pointerId);
        if (held.size) return;
        window.removeEventListener("pointermove", move);
        window.removeEventListener("pointerup", up);
        window.removeEventListener("pointercancel", up);
      };
      if (held.size === 1) {
        window.addEventListener("pointermove", move);
        window.addEventListener("pointerup", up);
        window.addEventListener("pointercancel", up);
      }
    },
    [frame, zoomAt],
  );
  return { view, size, fit, zoom, startPan, reveal, lookAt };
}
