"use client";
import { SiteField } from "./site-field";

const KEY = "lumbet-instrument";

/** A torque is not read with a meter, nor a depth: each unit of its own kind has its own instrument. */
const keyOf = (unit: string): string => (unit === "N·m" || unit === "mm" ? `${KEY} ${unit}` : KEY);

/** The instrument last read with on this device, for such a unit; empty where none was named. */
export function instrumentName(unit = "Ω"): string {
  try {
    return localStorage.getItem(keyOf(unit)) ?? "";
  } catch {
    return "";
  }
}

function setInstrumentName(name: string, unit: string): void {
  try {
    localStorage.setItem(keyOf(unit), name.slice(0, 60));
  } catch {
    // A full phone forgets the name of the meter and nothing else.
  }
}

/** What something is read with; remembered on this device. */
export function InstrumentField({
  value,
  onChange,
  unit = "Ω",
}: {
  value: string;
  onChange: (name: string) => void;
  unit?: string;
}) {
  return (
    <SiteField
      text
      label="Instrument"
      value={value}
      onChange={(x) => {
        onChange(x);
        setInstrumentName(x, unit);
      }}
    />
  );
}

/** What a simulated reading comes of: the same for one name. */
export const seedOf = (name: string): number => [...name].reduce((n, c) => (n * 31 + c.charCodeAt(0)) >>> 0, 7);
