"use client";
const KEY = "lumbet-instrument";

/** The instrument last read with on this device; empty where none was named. */
export function instrumentName(): string {
  try {
    return localStorage.getItem(KEY) ?? "";
  } catch {
    return "";
  }
}

export function setInstrumentName(name: string): void {
  try {
    localStorage.setItem(KEY, name.slice(0, 60));
  } catch {
    // A full phone forgets the name of the meter and nothing else.
  }
}
