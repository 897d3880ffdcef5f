import { words } from "../../kit/number-words";

/** Whether a field says that the circuit is open. */
const isOpen = (text: string): boolean => /^(open|ol|∞)$/i.test(text.trim());
/** A reading over the range of a meter, as it shows it: "> 999". */
const shown = (text: string): string => text.trim().replace(/^>\s*/, "");

/** What a field of a meter says: a number, null for an open circuit, undefined while it says nothing that can be read. */
export function readOhms(text: string, unit: string): number | null | undefined {
  if (!text.trim()) return undefined;
  return isOpen(text) ? null : (words.parse(shown(text), unit) ?? undefined);
}

/** The sentence for a field that cannot be taken; null when it can. `open`: whether it may be said to be open. */
export function ohmsFault(label: string, text: string, most: number, unit: string, open: boolean): string | null {
  if (!text.trim()) return `${label} is empty: type what the meter shows${open ? ", or “open”" : ""}.`;
  return open && isOpen(text) ? null : words.fault(label, shown(text), 0, most, unit);
}
