"use client";
const KEY = "lumbet-letter-keys";

/** Whether one letter alone is a command. Who speaks to the device, or strikes keys by chance, turns it off (WCAG 2.1.4). */
export const letterKeysOn = (): boolean => {
  try {
    return localStorage.getItem(KEY) !== "off";
  } catch {
    return true;
  }
};

export function setLetterKeys(on: boolean): void {
  try {
    if (on) localStorage.removeItem(KEY);
    else localStorage.setItem(KEY, "off");
  } catch {
    // No storage: it stays as it is.
  }
}

/** True of a key press that a letter, figure or sign alone makes. */
export const isLetter = (e: Pick<KeyboardEvent, "key" | "ctrlKey" | "metaKey" | "altKey">): boolean =>
  e.key.length === 1 && !e.ctrlKey && !e.metaKey && !e.altKey;
