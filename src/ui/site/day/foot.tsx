"use client";
import { type ReactNode, useState } from "react";
import { cannotReasons } from "../../../core/words/tasks";
import { Button } from "../../kit/button";

/** The two big buttons at the thumb: cannot, with its reasons as chips, and what is done. */
export function Foot({
  onCannot,
  children,
  second,
  className = "-mx-3 mt-3",
}: {
  /** Null where nothing is to be told. */
  onCannot: ((why: string) => void) | null;
  children?: ReactNode;
  /** A third, quieter button under the two. */
  second?: ReactNode;
  className?: string;
}) {
  const [asking, setAsking] = useState(false);
  return (
    <footer className={`sticky bottom-0 z-10 grid gap-2 border-t border-line bg-page p-3 ${className}`}>
      {asking && onCannot ? (
        <div className="grid grid-cols-2 gap-2" role="group" aria-label="Why not">
          {cannotReasons.map((w) => (
            <Button
              key={w}
              big
              onClick={() => {
                onCannot(w);
                setAsking(false);
              }}
            >
              {w}
            </Button>
          ))}
        </div>
      ) : null}
      <div className={`grid gap-2 ${onCannot && children ? "grid-cols-[1fr_2fr]" : ""}`}>
        {onCannot ? (
          <Button big className="min-h-16" aria-expanded={asking} onClick={() => setAsking(!asking)}>
            Cannot
          </Button>
        ) : null}
        {children}
      </div>
      {second}
    </footer>
  );
}
