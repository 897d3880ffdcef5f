"use client";
import { useEffect, useState } from "react";
import { flushSync } from "react-dom";

/** True while the page is being printed; what is only for paper is made then. */
export function usePrinting(): boolean {
  const [printing, setPrinting] = useState(false);
  useEffect(() => {
    // The paper is made as soon as this returns: what is for it must stand by then.
    const before = (): void => flushSync(() => setPrinting(true));
    const after = (): void => setPrinting(false);
    window.addEventListener("beforeprint", before);
    window.addEventListener("afterprint", after);
    return () => {
      window.removeEventListener("beforeprint", before);
      window.removeEventListener("afterprint", after);
    };
  }, []);
  return printing;
}

/** Head of whatever is printed: what it is, of what, and the day. */
export function PrintHead({ title, lines }: { title: string; lines: readonly (string | null | undefined | false)[] }) {
  const printing = usePrinting();
  const day = printing
    ? new Date().toLocaleDateString("en-GB", { weekday: "long", day: "numeric", month: "long", year: "numeric" })
    : "";
  return (
    <div className="only-print" data-print-head>
      <p className="font-cond text-[16pt] leading-tight font-semibold">{title}</p>
      <p className="mb-2 border-b border-black pb-1 text-[10pt]">
        {[...lines, day, "a working aid: local codes and licensed practice decide"].filter(Boolean).join(" · ")}
      </p>
    </div>
  );
}
