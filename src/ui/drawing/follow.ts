/** Follows the pointer from a press until it is let go. */
export function follow(move: (m: PointerEvent) => void, end: (m: PointerEvent) => void): void {
  const up = (m: PointerEvent): void => {
    window.removeEventListener("pointermove", move);
    window.removeEventListener("pointerup", up);
    window.removeEventListener("pointercancel", up);
    end(m);
  };
  window.addEventListener("pointermove", move);
  window.addEventListener("pointerup", up);
  window.addEventListener("pointercancel", up);
}
