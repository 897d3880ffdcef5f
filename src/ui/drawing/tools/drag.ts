/**
 * The one way in which things are dragged. A press becomes a drag when the pointer has gone a few pixels; while it lasts, at most one
 * change is shown a frame; letting go makes the last one for good; a cancelled pointer, or a press that never moved, makes none.
 */
export interface Place {
  clientX: number;
  clientY: number;
}

export type DragState<T> =
  { phase: "pressed"; from: Place } | { phase: "dragging"; from: Place; last: T } | { phase: "ended"; made: T | null };

export type DragEvent<M extends Place> = { kind: "move"; at: M } | { kind: "release" } | { kind: "cancel" };

/** What a tool makes of a drag: a change for each place of the pointer, null where it stands for none. */
export interface DragTool<M extends Place, T> {
  /** Pixels the pointer goes before a press counts as a drag. */
  threshold: number;
  changeAt: (at: M) => T | null;
}

/** The next state of a drag. Pure: it shows and makes nothing. */
export function dragStep<M extends Place, T>(s: DragState<T>, e: DragEvent<M>, tool: DragTool<M, T>): DragState<T> {
  if (s.phase === "ended") return s;
  switch (e.kind) {
    case "cancel":
      return { phase: "ended", made: null };
    case "release":
      return { phase: "ended", made: s.phase === "dragging" ? s.last : null };
    case "move": {
      const { from } = s;
      const far = Math.hypot(e.at.clientX - from.clientX, e.at.clientY - from.clientY) >= tool.threshold;
      if (s.phase === "pressed" && !far) return s;
      const last = tool.changeAt(e.at);
      if (last === null) return s;
      return { phase: "dragging", from, last };
    }
  }
}

/** Follows the pointer from a press by a tool: shows each change, and makes the last or drops them all. */
export function drag<T>(
  press: Place,
  tool: DragTool<PointerEvent, T> & { show: (change: T) => void; make: (change: T) => void; drop: () => void },
): void {
  let state: DragState<T> = { phase: "pressed", from: { clientX: press.clientX, clientY: press.clientY } };
  let frame = 0;
  const step = (e: DragEvent<PointerEvent>): void => {
    state = dragStep(state, e, tool);
    if (state.phase === "dragging" && !frame)
      frame = requestAnimationFrame(() => {
        frame = 0;
        if (state.phase === "dragging") tool.show(state.last);
      });
    if (state.phase !== "ended") return;
    cancelAnimationFrame(frame);
    window.removeEventListener("pointermove", move);
    window.removeEventListener("pointerup", up);
    window.removeEventListener("pointercancel", cancel);
    window.removeEventListener("keydown", key, true);
    if (state.made === null) tool.drop();
    else tool.make(state.made);
  };
  const move = (at: PointerEvent): void => step({ kind: "move", at });
  const up = (): void => step({ kind: "release" });
  const cancel = (): void => step({ kind: "cancel" });
  // Escape takes the hand off again.
  const key = (e: KeyboardEvent): void => {
    if (e.key !== "Escape") return;
    e.stopPropagation();
    step({ kind: "cancel" });
  };
  window.addEventListener("pointermove", move);
  window.addEventListener("pointerup", up);
  window.addEventListener("pointercancel", cancel);
  window.addEventListener("keydown", key, true);
}
