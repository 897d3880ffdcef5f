import { words } from "../../../kit/number-words";

/** Reads a list such as "-100 to 0, 4,200 to 4,450": numbers with the given words between them, entries apart by commas or semicolons; null when one cannot be told. */
export function listOf(text: string, between: readonly string[]): number[][] | null {
  // A comma followed by a space or the end parts entries; one between digits belongs to a number.
  const entries = text
    .split(/;|,(?=\s|$)|,(?!\d{3}(?!\d))/)
    .map((t) => t.trim())
    .filter(Boolean);
  const out = entries.map((t) => {
    const cells = t.split(new RegExp(`\\s+(?:${[...between].sort((a, b) => b.length - a.length).join("|")})\\s+`));
    const numbers = cells.map((c) => words.parse(c, "mm"));
    return cells.length === between.length + 1 && numbers.every((n) => n !== null) ? numbers : null;
  });
  return out.every((x) => x !== null) ? out : null;
}
