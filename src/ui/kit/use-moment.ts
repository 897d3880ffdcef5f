"use client";
import { useEffect, useState } from "react";
import { nowOf } from "../../core/record/day";

/**
 * The clock of this device as a part of an address; empty until it runs in a browser, whose clock and place may be others than
 * the server's.
 */
export function useMoment(): string {
  const [moment, setMoment] = useState("");
  useEffect(() => {
    const set = (): void => {
      const { date, minute } = nowOf(new Date());
      const zone = Intl.DateTimeFormat().resolvedOptions().timeZone;
      setMoment(`&date=${date}&minute=${minute}&zone=${encodeURIComponent(zone)}`);
    };
    set();
    const timer = setInterval(set, 30_000);
    return () => clearInterval(timer);
  }, []);
  return moment;
}
