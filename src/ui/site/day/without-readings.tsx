"use client";
import { useState } from "react";
import { Button } from "../../kit/button";

/** Reasons for which something is ticked as tested without readings. */
const without = ["Tested before, readings on paper", "No meter here: tested by another"];

/** Ticks a test without its readings, for a reason. */
export function WithoutReadings({ onTested }: { onTested: (why: string) => void }) {
  const [asking, setAsking] = useState(false);
  return (
    <>
      <Button big aria-expanded={asking} onClick={() => setAsking(!asking)}>
        Without readings, because …
      </Button>
      {asking ? (
        <div className="grid gap-2" role="group" aria-label="Why without readings">
          {without.map((w) => (
            <Button key={w} big className="whitespace-normal!" onClick={() => onTested(w)}>
              {w}
            </Button>
          ))}
        </div>
      ) : null}
    </>
  );
}
