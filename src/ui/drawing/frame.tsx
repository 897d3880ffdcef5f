"use client";
import { Maximize, Minus, Plus } from "lucide-react";
import type { PointerEvent, ReactNode, RefObject } from "react";

/** The frame of a drawing: ground to pan on, zoom and fit in its corner. */
export function DrawingFrame({
  frame,
  onGround,
  fit,
  zoom,
  label,
  over,
  children,
}: {
  frame: RefObject<HTMLDivElement | null>;
  onGround: (e: PointerEvent) => void;
  fit: () => void;
  zoom: (by: number) => void;
  label: string;
  /** What lies over the drawing: the bar of the tool in hand. */
  over?: ReactNode;
  children: ReactNode;
}) {
  const tool =
    "inline-flex size-8 cursor-pointer items-center justify-center border border-line bg-panel hover:border-ink";
  return (
    <div ref={frame} className="drawing relative min-h-0 flex-1 touch-none overflow-hidden border border-line bg-page">
      <svg
        className="absolute inset-0"
        width="100%"
        height="100%"
        role="group"
        aria-label={label}
        onPointerDown={onGround}
      >
        {children}
      </svg>
      {over}
      <div className="no-print absolute right-2 bottom-2 flex">
        <button type="button" className={tool} aria-label="Zoom out" title="Zoom out (−)" onClick={() => zoom(1 / 1.3)}>
          <Minus size={16} />
        </button>
        <button type="button" className={tool} aria-label="Zoom in" title="Zoom in (+)" onClick={() => zoom(1.3)}>
          <Plus size={16} />
        </button>
        <button type="button" className={tool} aria-label="Fit the drawing" title="Fit (0)" onClick={fit} data-fit>
          <Maximize size={15} />
        </button>
      </div>
    </div>
  );
}
