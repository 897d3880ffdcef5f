import { type DeckJoist, type LaidDeck, cutsOf, joistFor } from "../../house/deck";
import { checkJoist } from "./check-joist";

/** True when the old cuts of one span of a joist break the rules already: then nothing more is bored there. */
export function overCut(l: LaidDeck, joist: DeckJoist, span: number): boolean {
  const cuts = cutsOf(l, joist.n, span);
  const clear = joist.spans[span - 1];
  if (!cuts.length || !clear || l.deck.kind !== "solid-joists") return false;
  return checkJoist(joistFor(l, clear), cuts, { notchSchool: "on-site", plated: new Set(cuts.map((c) => c.id)) }).some(
    (f) => f.severity === "stop",
  );
}
