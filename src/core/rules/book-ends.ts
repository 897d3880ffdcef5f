import type { Rule } from "./rule";

const BS7671 = "BS 7671:2018+A2:2022";

/** Rules on what happens at the ends of cables: boxes, glands and boards. */
export const endRules = {
  "end.box-depth": {
    title: "Box will not close",
    text:
      "The box is as deep as the accessory behind its plate, the layers its conductors lie folded in, " +
      "its connectors and the heads of its screws together.",
    limit: "what must fit",
    severity: "warn",
    source: "Lumbet: accessory, layers and screws added up; typical sizes",
    why: "A plate forced home crushes insulation and pulls conductors from their terminals.",
  },
  "end.joint-reach": {
    title: "Junction box out of reach",
    text: "A junction box in a floor that is not closed for good lies under a hatch or a board that lifts.",
    limit: "under a hatch or a loose board",
    severity: "warn",
    source: `${BS7671} 526.3`,
    why: "Screws settle: what must be looked at again must be got at.",
  },
  "party.boxes": {
    title: "Boxes back to back in a separating wall",
    text: "On the two sides of a wall that separates dwellings, boxes at one height are at least 150 mm apart, edge to edge.",
    limit: "150, typical",
    severity: "warn",
    source: "Approved Document E, sockets in separating walls",
    why: "Two boxes with nothing between them are a hole for noise, and for fire.",
  },
  "chase.back-to-back": {
    title: "Cut from both sides",
    text: "Boxes or plumb chases at one place on the two sides of a wall take together at most a third of it.",
    limit: "1/3 of the wall",
    severity: "warn",
    source: "Approved Document A, chases",
    why: "Each alone is within its third; what is left between them is not a wall any more.",
  },
  "gland.depth": {
    title: "Gland too wide for the face",
    text: "The face is as deep as the gland is across its corners, and 5 mm at each side.",
    limit: "across corners + 10",
    severity: "stop",
    source: "BS EN 62444 glands, typical sizes",
    why: "The nut stands over the edge: it neither seals nor turns, and the lid does not shut.",
  },
  "gland.place": {
    title: "Gland too near",
    text:
      "Between two glands or tubes a hand with a spanner has room; each is 5 mm from the edge of its face or plate, " +
      "and lies over no hole that is there already.",
    limit: "corners + 10; 5 at the edge",
    severity: "stop",
    source: "Trade habit",
    why: "A gland that cannot be held cannot be made tight.",
  },
  "gland.approach": {
    title: "No room for the sweep",
    text: "Between the last bend of an armoured cable and the face it enters there is at least the least radius of its bends.",
    limit: "6 × diameter",
    severity: "warn",
    source: `${BS7671} 522.8.3, on-site guidance`,
    why: "Bent tighter the armour opens, and the cable pulls at its gland.",
  },
  "armour.earth": {
    title: "Armour alone is too little earth",
    text: "Where the armour alone is the protective conductor, its section is at least that of the line conductor times k1 / k2.",
    limit: "143 / 46 × the line's section",
    severity: "stop",
    source: `${BS7671} Table 54.7`,
    why: "In a fault it would carry what it cannot stand. On a PME supply it is seldom enough for bonding either.",
  },
  "board.tail": {
    title: "Tail too short in the board",
    text: "What is left at the board reaches the farthest of its terminals: line, neutral and protective conductor.",
    limit: "the longest of the three",
    severity: "warn",
    source: "Trade habit",
    why: "A tail that is short at the board is short at every board that comes after it.",
  },
  "board.crossing": {
    title: "Cables cross on the way in",
    text: "Cables are tied at the far end in the order of their ways, so that none crosses another.",
    limit: "the least there can be",
    severity: "warn",
    source: "Trade habit",
    why: "The order is fixed at the far end and cannot be mended at the board without a twist.",
  },
  "board.spare": {
    title: "No spare way",
    text: "A new board keeps at least one way for what comes next.",
    limit: "1",
    severity: "note",
    source: "Trade habit",
    why: "The next circuit otherwise wants a new board.",
  },
  "board.leakage": {
    title: "Too much standing leakage",
    text: "What leaks to earth in ordinary use behind an RCD is at most 30 % of its trip current.",
    limit: "30 % of the trip current",
    severity: "warn",
    source: `${BS7671} 531.3.2; leakage of accessories typical`,
    why: "It trips without a fault, and then somebody takes it out.",
  },
} as const satisfies Record<string, Rule>;
