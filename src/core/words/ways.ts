import { figure, mm } from "../base/figures";
import type { House } from "../house/house";
import type { Change } from "../routing/freeing";
import { LEVEL_CHASE } from "../rules/chases";
import type { Alternative, Closed, WayParts } from "../routing/why";

/** A wall by its number and its room. */
export const wallName = (h: House, id: string): string => {
  const f = h.faces[h.faceOfWall.get(id) ?? -1];
  return f ? `wall ${f.wall.index + 1} of ${f.room.name}` : "the wall";
};
/** What a deck is called. */
export const deckName = (h: House, id: string | undefined): string =>
  h.job.decks.find((d) => d.id === id)?.name ?? "the deck";

/** What was closed to find another way. */
export function closedWords(h: House, c: Closed): string {
  switch (c.kind) {
    case "nothing":
      return "straight along the wall";
    case "deck":
      return `without ${deckName(h, c.id)}`;
    case "bores":
      return "by other holes";
    case "wall":
      return `without ${wallName(h, c.id)}`;
    case "level":
      return `with nothing level on ${wallName(h, c.id)}`;
    case "wall-hole":
      return `without the hole in ${wallName(h, c.id)}`;
  }
}

/** How a way that was not taken compares with the one that was: what it would cost more, or why it was not taken though it costs less. */
export function comparedWords(taken: WayParts, n: Alternative): string {
  const chase = n.parts.levelTooLong - taken.levelTooLong;
  const less = Math.round(-n.dearer);
  if (less >= 0 && chase > 0)
    return `${less ? `cheaper by what ${mm(less)} of cable is worth` : "as dear"}, but with ${mm(Math.round(n.parts.levelTooLong))} chased level in masonry. A level chase weakens a wall far more than a plumb one: beyond ${mm(LEVEL_CHASE.most)} another way is taken that is less than three times as long.`;
  return `dearer by what ${mm(Math.round(n.dearer))} of cable is worth`;
}

/** Minutes as they are said: whole ones. */
export const minutesWords = (m: number): string => `${Math.round(m)} ${Math.round(m) === 1 ? "minute" : "minutes"}`;

/** A change that would free a way, as something to do. */
export function freeingWords(h: House, c: Change): string {
  switch (c.kind) {
    case "surface":
      return `take ${h.job.circuits.find((x) => x.id === c.circuit)?.label ?? "the circuit"} on the surface of the walls`;
    case "unforbid":
      return `give up keeping ${c.name || "a part"} free`;
    case "past-obstacle":
      return `find a way past ${c.name} in ${deckName(h, c.deck)}`;
    case "maker-chart":
      return `enter where the maker of the joists of ${deckName(h, c.deck)} allows holes`;
    case "heavy-joists":
      return `ask an engineer about the heavy joists of ${deckName(h, c.deck)}`;
    case "open-deck":
      return `lift boards of ${deckName(h, c.deck)}, or open it from below, and say where in Survey`;
    case "repair-cuts":
      return `have the cut joists of ${deckName(h, c.deck)} repaired`;
  }
}

const plural = (n: number, one: string): string => (n === 1 ? one : one.replace(/^(new hole|hole|bend)/, "$1s"));

/** The difference between two ways in words: what more and what less the other would take. */
export function differenceWords(taken: WayParts, other: WayParts): string {
  const words: string[] = [];
  const length = other.length - taken.length;
  if (Math.abs(length) >= 1) words.push(`${mm(Math.abs(length))} ${length > 0 ? "more" : "less"} cable`);
  const count = (a: number, b: number, one: string): void =>
    void (a !== b && words.push(`${Math.abs(b - a)} ${b > a ? "more" : "fewer"} ${plural(Math.abs(b - a), one)}`));
  count(taken.newBores, other.newBores, "new hole");
  count(taken.wallHoles, other.wallHoles, "hole in walls");
  count(taken.studHoles, other.studHoles, "hole in studs");
  count(taken.bends, other.bends, "bend");
  const stretch = (a: number, b: number, what: string): void =>
    void (Math.abs(b - a) >= 10 && words.push(`${mm(Math.abs(b - a))} ${b > a ? "more" : "less"} ${what}`));
  stretch(taken.chase, other.chase, "chase");
  stretch(taken.boards, other.boards, "boards up");
  stretch(taken.ladder, other.ladder, "off a ladder");
  const time = Math.round(other.minutes) - Math.round(taken.minutes);
  if (time) words.push(`about ${minutesWords(Math.abs(time))} ${time > 0 ? "more" : "less"}`);
  return words.length ? words.join(", ") : "the same parts, laid otherwise";
}

/** What ring and radials come to side by side. Cable m. */
export function ringAgainstRadialsWords(c: {
  ring: { cable: number; rating: number; leg: number | null };
  radials: { cable: number; rating: number };
}): string {
  const less = c.ring.cable - c.radials.cable;
  const cable =
    Math.abs(less) < 0.05
      ? "Both take the same cable"
      : `The ${less > 0 ? "radials take" : "ring takes"} ${Math.abs(less).toFixed(1)} m less`;
  const { rating, leg } = c.ring;
  const broken =
    leg === null || leg >= rating
      ? `one leg may then carry all ${rating} A`
      : `one leg may then carry all ${rating} A where the weakest carries ${figure(leg, 1)}`;
  return `${cable}. Two radials need one more way and give ${c.radials.rating} A in all. A ring gives ${rating} A; one loose terminal breaks it without a sign, and ${broken}.`;
}
