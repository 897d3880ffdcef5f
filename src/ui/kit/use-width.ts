"use client";
import { type RefObject, useLayoutEffect, useState } from "react";

/** Width of an element in px, kept true as it changes; `first` until it is known. */
export function useWidth(ref: RefObject<HTMLElement | null>, first: number): number {
  const [width, setWidth] = useState(first);
  useLayoutEffect(() => {
    const el = ref.current;
    if (!el) return;
    const measure = (): void => setWidth(el.clientWidth);
    measure();
    const watch = new ResizeObserver(measure);
    watch.observe(el);
    return () => watch.disconnect();
  }, [ref]);
  return width;
}
