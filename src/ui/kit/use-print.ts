"use client";
import { useEffect, useState } from "react";

/** Whether what is only for paper is shown, and a call that shows it, prints, and takes it away again. */
export function usePrint(): [printed: boolean, print: () => void] {
  const [printed, setPrinted] = useState(false);
  useEffect(() => {
    if (!printed) return;
    const done = (): void => setPrinted(false);
    window.addEventListener("afterprint", done, { once: true });
    window.print();
    return () => window.removeEventListener("afterprint", done);
  }, [printed]);
  return [printed, () => setPrinted(true)];
}
