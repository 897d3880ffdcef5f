import { atMost } from "../base/tolerance";
import { LONG_SPAN } from "../house/bearings";
import type { House } from "../house/house";
import { type Fact, fact } from "../rules/fact";

/** Decks of solid joists with a clear span so long that a bearing may have been forgotten: the longest of each. */
export const deckFacts = (h: House): Fact[] =>
  h.decks.flatMap((l): Fact[] => {
    if (l.deck.kind !== "solid-joists") return [];
    const spans = l.joists.flatMap((j) => j.spans.map((s, i) => ({ joist: j.n, span: i + 1, long: s[1] - s[0] })));
    const longest = spans.reduce((a, b) => (b.long > a.long ? b : a), { joist: 0, span: 0, long: 0 });
    if (atMost(longest.long, LONG_SPAN)) return [];
    return [
      fact("timber.long-span", "joist", `${l.deck.id} ${longest.joist}`, {
        where: { deck: l.deck.id, joist: longest.joist, span: longest.span },
        measured: longest.long,
        limit: LONG_SPAN,
        sense: "most",
        unit: "mm",
      }),
    ];
  });
