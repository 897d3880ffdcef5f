import { count, figure, mm } from "../base/figures";
import type { Unknown, UnknownKind } from "../plan/unknowns";

const named = (u: Unknown, most = 4): string =>
  u.of.slice(0, most).join("; ") + (u.of.length > most ? ` and ${u.of.length - most} more` : "");

/** What is not known, and what the plan takes in its place until it is. */
const words: Record<UnknownKind, (u: Unknown) => { unknown: string; took: string }> = {
  board: () => ({ unknown: "Where the board is", took: "Nothing is laid until it has a place." }),
  earthing: (u) => ({
    unknown: "How the supply is earthed",
    took: `An earth from the sheath of the cable is taken, with a loop of ${figure(u.taken ?? 0)} Ω.`,
  }),
  ze: (u) => ({ unknown: "Ze as measured", took: `The most that is usual: ${figure(u.taken ?? 0)} Ω.` }),
  "main-switch": () => ({ unknown: "Rating of the main switch", took: "The demand is held against none." }),
  bonding: () => ({ unknown: "Bonding of water, gas and oil", took: "None is taken to be there." }),
  "outside-walls": (u) => ({
    unknown: `What ${count(u.of.length, "wall")} with no room behind ${u.of.length === 1 ? "it is" : "them are"} like: ${named(u)}`,
    took: "Each is taken as its form says, with a room behind it.",
  }),
  cavity: (u) => ({
    unknown: `Whether ${count(u.of.length, "thick masonry wall")} ${u.of.length === 1 ? "has" : "have"} a cavity: ${named(u)}`,
    took: "Solid is taken: a chase is held against the whole thickness.",
  }),
  studs: (u) => ({
    unknown: `Where the studs of ${count(u.of.length, "wall")} are: ${named(u)}`,
    took: `Studs are taken ${mm(u.taken ?? 0)} apart from the left end, with no noggins.`,
  }),
  "deck-over": (u) => ({
    unknown: `What lies over ${named(u)}`,
    took: "Nothing is hung there, and no cable goes over.",
  }),
  bearings: (u) => ({
    unknown: `Whether the walls below carry ${named(u)}`,
    took: "Joists are taken to span from edge to edge: holes are placed by that.",
  }),
  noggins: (u) => ({ unknown: `Noggins in ${named(u)}`, took: "None is taken to be there." }),
  "found-end": (u) => ({
    unknown: `Where ${count(u.of.length, "found cable")} ${u.of.length === 1 ? "goes" : "go"}`,
    took: "It is drawn to where it was seen, and nothing is laid across it.",
  }),
  way: (u) => ({ unknown: `Ways of ${named(u)}`, took: "Their tails are not reckoned." }),
};

export const unknownWords = (u: Unknown): { unknown: string; took: string } => words[u.kind](u);
