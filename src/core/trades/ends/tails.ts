import { type Fact, fact } from "../../rules/fact";

export type Entry = "left" | "right" | "top" | "bottom";
/** Usual length past the far edge of the box, mm: a little more from above and below. Source: trade habit. */
export const PAST = { left: 60, right: 60, top: 70, bottom: 70 } as const;
/** Sheath that stays inside the box at the entry, mm. Source: trade habit. */
export const SHEATH_INSIDE = 10;
export const PAST_LEAST = 50;
export const PAST_MOST = 70;

/**
 * Length to leave from the edge where the cable enters: across the box and past its far edge, mm.
 * Too short cannot be saved; slightly long can. Outside 50–70 past the edge a warning comes back.
 */
export function tailLength(
  box: { width: number; height: number },
  entry: Entry,
  past: number = PAST[entry],
): { length: number; facts: Fact[] } {
  const across = entry === "left" || entry === "right" ? box.width : box.height;
  const facts: Fact[] = [];
  if (past < PAST_LEAST || past > PAST_MOST)
    facts.push(
      fact("end.tail", "input", "tail", {
        measured: past,
        limit: past < PAST_LEAST ? PAST_LEAST : PAST_MOST,
        sense: past < PAST_LEAST ? "least" : "most",
        unit: "mm",
      }),
    );
  return { length: across + past, facts };
}
