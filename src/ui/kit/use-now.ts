"use client";
import { useEffect, useState } from "react";
import { type Now, nowOf } from "../../core/record/day";

/** The clock on the wall, to the minute. */
export function useNow(): Now {
  const [now, setNow] = useState(() => nowOf(new Date()));
  useEffect(() => {
    const timer = setInterval(
      // The same minute is the same object: nothing is worked out anew for it.
      () => setNow((had) => (nowOf(new Date()).minute === had.minute ? had : nowOf(new Date()))),
      15_000,
    );
    return () => clearInterval(timer);
  }, []);
  return now;
}
