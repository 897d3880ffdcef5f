import { type XY, insidePolygon } from "../../../core/base/polygon";
import type { Deck, Job } from "../../../core/job/model";
import type { SectionKind } from "../../../core/rules/sections";
import { words } from "../../kit/number-words";

/** The tool that draws a section over the joists of a deck: what is drawn, on which deck once that is known, its places so far, mm. */
export interface DeckSectionTool {
  kind: "deck-section";
  section: SectionKind;
  size: string;
  deck: string | null;
  places: readonly XY[];
}

/** To the centimetre by hand; with Alt to the millimetre. */
const GRID = 10;

/** Decks over whose joists a section may lie: under boards there is no room. */
export const decksToDrawOn = (job: Pick<Job, "decks">): Deck[] =>
  job.decks.filter((d) => d.access === "open" && d.kind !== "concrete");

/** The place that the pointer stands for: any further one east to west or north to south of the one before, whichever way is farther. */
export function deckPlace(places: readonly XY[], p: XY, free: boolean): XY {
  const r = (n: number): number => (free ? Math.round(n) : Math.round(n / GRID) * GRID);
  const at = { x: r(p.x), y: r(p.y) };
  const last = places[places.length - 1];
  if (!last) return at;
  return Math.abs(p.x - last.x) >= Math.abs(p.y - last.y) ? { x: at.x, y: last.y } : { x: last.x, y: at.y };
}

const same = (a: XY, b: XY): boolean => Math.abs(a.x - b.x) < 0.05 && Math.abs(a.y - b.y) < 0.05;

/** The tool with one more place, which has to lie on a deck that is open, the same for all; or words why it is not put. */
export function withDeckPlace(tool: DeckSectionTool, job: Pick<Job, "decks">, p: XY): DeckSectionTool | string {
  const open = decksToDrawOn(job);
  const deck = open.find((d) => (tool.deck === null || d.id === tool.deck) && insidePolygon(d.outline, p));
  if (!deck)
    return tool.deck === null
      ? `Nothing lies there to draw on; a section lies on ${open.map((d) => d.name).join(" or ") || "a deck that is open, and none is"}.`
      : `That is beyond the edge of ${open.find((d) => d.id === tool.deck)?.name ?? "the deck"}; a section stays on its deck.`;
  const last = tool.places[tool.places.length - 1];
  if (last && same(last, p)) return tool;
  if (last && Math.abs(last.x - p.x) > 0.05 && Math.abs(last.y - p.y) > 0.05)
    return "A section on a deck runs along or across it; its next place is as far from the west, or as far from the south, as the one before.";
  return { ...tool, deck: deck.id, places: [...tool.places, p] };
}

/** The same with a place typed, mm from the west and from the south of the house's origin. */
export function withTypedPlace(
  tool: DeckSectionTool,
  job: Pick<Job, "decks">,
  west: string,
  south: string,
): DeckSectionTool | string {
  const bad =
    words.fault("From the west", west, -100_000, 100_000, "mm") ??
    words.fault("From the south", south, -100_000, 100_000, "mm");
  const [x, y] = [words.parse(west, "mm"), words.parse(south, "mm")];
  return (
    bad ??
    (x === null || y === null
      ? "Type how far it is from the west and from the south."
      : withDeckPlace(tool, job, { x, y }))
  );
}

/** True for a press on the last place again: it ends the section. */
export const endsThere = (tool: DeckSectionTool, p: XY): boolean =>
  tool.places.length > 1 && same(tool.places[tool.places.length - 1]!, p);
