"use client";
import { SiteField } from "./site-field";

const KEY = "lumbet-instrument";

/** The instrument last read with on this device; empty where none was named. */
export function instrumentName(): string {
  try {
    return localStorage.getItem(KEY) ?? "";
  } catch {
    return "";
  }
}

function setInstrumentName(name: string): void {
  try {
    localStorage.setItem(KEY, name.slice(0, 60));
  } catch {
    // A full phone forgets the name of the meter and nothing else.
  }
}

/** What something is read with; remembered on this device. */
export function InstrumentField({ value, onChange }: { value: string; onChange: (name: string) => void }) {
  return (
    <SiteField
      text
      label="Instrument"
      value={value}
      onChange={(x) => {
        onChange(x);
        setInstrumentName(x);
      }}
    />
  );
}

/** What a simulated reading comes of: the same for one name. */
export const seedOf = (name: string): number => [...name].reduce((n, c) => (n * 31 + c.charCodeAt(0)) >>> 0, 7);
