import { mineralStrip } from "../mineral-strip";
import { type Making, type StepCard, card, field, isolate, long } from "./card";

const insulation = { what: "Insulation of the seal", unit: "MΩ", least: 1 } as const;

const seal = (): StepCard[] => [
  card(
    "Gland parts and pot",
    "Gland nut, ring and body onto the sheath; then the pot, screwed on square by its own tool, until " +
      "the sheath shows through its bottom. An earth-tail pot where the sheath is the earth.",
    "Square from two sides; no copper filings inside.",
    "Pot on, gland parts still in the bag.",
    "Nothing goes past the pot once it is on.",
  ),
  card(
    "Fill, promptly",
    "Fill from one side until it is full without air; beads and sleeves on, hand-tight.",
    "Compound stands proud of the pot.",
    "Filling from both sides traps air; leaving it open over lunch.",
    "The filling of the cable draws damp as long as it is open.",
  ),
  card(
    "Test before pressing",
    "Insulation at 500 V d.c.",
    "Infinity, now.",
    "Testing only at the end.",
    "It can still be cut back.",
    { measure: "over range (≥ 200 MΩ)", asks: insulation },
  ),
  card(
    "Press home and test again",
    "Press the seal home, square; test again; only then fix.",
    "Infinity again.",
    "Fixing first: it has to come off to be mended.",
    "Pressing is what breaks a bead.",
    { measure: "over range (≥ 200 MΩ)", asks: insulation },
  ),
  card(
    "Test the next day",
    "Insulation once more, a night later.",
    "Still infinity.",
    "Calling it done on the day.",
    "Damp that went in takes hours to show.",
    { measure: "over range (≥ 200 MΩ)", asks: insulation },
  ),
];

export const mineralFirst: Making = {
  kind: "mi-first",
  name: "Mineral-insulated, first end",
  half: "second",
  measures: [field("tails", "Tails beyond the sheath", 60, 20, 3000), field("strip", "Sheath to strip", 160, 40, 500)],
  cards: (m) => [
    isolate,
    card(
      "Straighten, shrouds on",
      "Cable straight for the tool. Both shrouds on, opposite ways, before anything.",
      "Two shrouds, wide ends outwards.",
      "One shroud on, and the far end made off.",
      "The other end is the only way on.",
    ),
    card(
      "Cover and cut",
      "Plastic cover off past the gland; a fine hacksaw, square. Pliers make the end oval and the stripper will not go on.",
      "Round and square.",
      "Pliers.",
      "Everything that follows sits on that round end.",
    ),
    card(
      "Strip",
      "The stripper marked with cores, grade and size of the cable. Strip generously.",
      "The sheath's end is round, with no burr inwards.",
      "The wrong stripper: 2L for 2H.",
      "Too short a strip is a new end.",
      { measure: long(m.strip!), caution: "Scrap straight into the bin: round offcuts roll underfoot." },
    ),
    ...seal(),
    card(
      "Tails",
      "Sleeve and number; trim.",
      "Continuity core by core, numbers at both ends.",
      "Identifying by position.",
      "The cores lie alike and bare in their filling.",
      { measure: long(m.tails!) },
    ),
  ],
};

export const mineralSecond: Making = {
  kind: "mi-second",
  name: "Mineral-insulated, second end",
  half: "second",
  measures: [
    field("faceToFace", "Face of box to face of box", 850, 50, 100_000),
    field("entry", "Sheath inside the second box", 4, 0, 100),
    field("tails", "Tails beyond the sheath", 60, 20, 3000),
    field("body", "Body of the stripper", 45, 0, 200),
  ],
  cards: (m) => {
    const o = mineralStrip(m.faceToFace!, m.entry!, m.tails!, m.body!);
    return [
      isolate,
      card(
        "Offer it up",
        "With the first end in its box, lay the cable on its way and mark where the sheath meets the far box.",
        "The mark agrees with the measure from the face of the box already made off.",
        "Measuring with a bend still to be dressed.",
        "The hardest of all: the right distance between two accessories.",
        { measure: long(o.sheathEnd) },
      ),
      card(
        "Cut",
        `Tails of ${long(m.tails!)} beyond; a fine hacksaw, square. Second shroud is on.`,
        "The shroud is on the right way.",
        "Cutting at the sheath mark.",
        "What is cut there is all there is.",
        { measure: long(o.cut) },
      ),
      card(
        "Cover off",
        "Take the plastic cover off only so far that the stripper runs into it and stops itself.",
        "Mark less the body of the stripper.",
        "Cover taken off generously: nothing stops the tool.",
        "The tool then stops exactly at the mark.",
        { measure: long(Math.max(0, o.coverMark)) },
      ),
      card(
        "Strip",
        "Run the stripper until it meets the cover.",
        "The sheath ends on its mark to the millimetre.",
        "Going on past the cover.",
        "A millimetre long and the pot stands off the box.",
        { measure: `sheath ends at ${long(o.sheathEnd)}` },
      ),
      ...seal(),
    ];
  },
};
