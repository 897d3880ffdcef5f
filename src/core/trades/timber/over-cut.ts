import { type DeckJoist, type LaidDeck, cutsOf, joistFor } from "../../house/deck";
import type { Schools } from "../../rules/schools";
import { checkJoist } from "./check-joist";

/**
 * True when the old cuts of one span of a joist break the rules already, notches by the school of the job: then nothing more is bored
 * there.
 */
export function overCut(
  l: LaidDeck,
  joist: DeckJoist,
  span: number,
  { notch, notchEdge }: Pick<Schools, "notch" | "notchEdge">,
): boolean {
  const cuts = cutsOf(l, joist.n, span);
  const clear = joist.spans[span - 1];
  if (!cuts.length || !clear || l.deck.kind !== "solid-joists") return false;
  const plated = new Set(cuts.map((c) => c.id));
  return checkJoist(joistFor(l, clear), cuts, { notchSchool: notch, notchEdge, plated }).some(
    (f) => f.severity === "stop",
  );
}
