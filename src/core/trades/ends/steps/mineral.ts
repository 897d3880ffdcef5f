import { mm } from "../../../base/figures";
import { mineralStrip } from "../mineral-strip";
import { type Making, type StepCard, isolate } from "./card";

const seal = (): StepCard[] => [
  {
    title: "Pot",
    todo: "Screw the pot on square, by its own tool, until the sheath shows through its bottom.",
    check: "Square from two sides; no copper filings inside.",
    mistake: "Started crooked: it never comes right.",
  },
  {
    title: "Fill",
    todo: "Fill from one side until it is full without air; beads and sleeves on, hand-tight.",
    check: "Compound stands proud of the pot.",
    mistake: "Filling from both sides traps air.",
  },
  {
    title: "Test before pressing",
    todo: "Insulation at 500 V d.c.",
    measure: "over range (≥ 200 MΩ)",
    check: "Infinity, now.",
    mistake: "Testing only at the end.",
  },
  {
    title: "Press home and test again",
    todo: "Press the seal home, square; test again; only then fix.",
    measure: "over range (≥ 200 MΩ)",
    check: "Infinity again.",
    mistake: "Fixing first: it has to come off to be mended.",
  },
];

export const mineralFirst: Making = {
  kind: "mi-first",
  name: "Mineral-insulated, first end",
  measures: [
    { key: "tails", title: "Tails beyond the sheath", unit: "mm", first: 60, min: 20, max: 400 },
    { key: "strip", title: "Sheath to strip", unit: "mm", first: 160, min: 40, max: 500 },
  ],
  cards: (m) => [
    isolate,
    {
      title: "Straighten, shrouds on",
      todo: "Cable straight for the tool. Both shrouds on, opposite ways, before anything.",
      check: "Two shrouds, wide ends outwards.",
      mistake: "One shroud on, and the far end made off.",
    },
    {
      title: "Cut",
      todo: "A fine hacksaw, square. Pliers make the end oval and the stripper will not go on.",
      check: "Round and square.",
      mistake: "Pliers.",
    },
    {
      title: "Strip",
      todo: "The stripper marked with cores, grade and size of the cable. Strip generously.",
      measure: `${mm(m.strip!)} mm`,
      check: "The sheath's end is round, with no burr inwards.",
      mistake: "The wrong stripper: 2L for 2H.",
      caution: "Scrap straight into the bin: round offcuts roll underfoot.",
    },
    ...seal(),
    {
      title: "Tails",
      todo: "Sleeve and number; trim.",
      measure: `${mm(m.tails!)} mm`,
      check: "Continuity core by core, numbers at both ends.",
      mistake: "Identifying by position.",
    },
  ],
};

export const mineralSecond: Making = {
  kind: "mi-second",
  name: "Mineral-insulated, second end",
  measures: [
    { key: "faceToFace", title: "Face of box to face of box", unit: "mm", first: 850, min: 50, max: 20_000 },
    { key: "entry", title: "Sheath inside the second box", unit: "mm", first: 4, min: 0, max: 100 },
    { key: "tails", title: "Tails beyond the sheath", unit: "mm", first: 60, min: 20, max: 400 },
    { key: "body", title: "Body of the stripper", unit: "mm", first: 45, min: 0, max: 200 },
  ],
  cards: (m) => {
    const o = mineralStrip(m.faceToFace!, m.entry!, m.tails!, m.body!);
    return [
      isolate,
      {
        title: "Offer it up",
        todo: "With the first end in its box, lay the cable on its way and mark where the sheath meets the far box.",
        measure: `${mm(o.sheathEnd)} mm`,
        check: "Measured from the face of the box already made off.",
        mistake: "The hardest of all: the right distance between two accessories.",
      },
      {
        title: "Cut",
        todo: "Tails of ${mm(m.tails!)} mm beyond; a fine hacksaw, square. Second shroud is on.",
        measure: `${mm(o.cut)} mm`,
        check: "The shroud is on the right way.",
        mistake: "Cutting at the sheath mark.",
      },
      {
        title: "Cover off",
        todo: "Take the plastic cover off only so far that the stripper runs into it and stops itself.",
        measure: `${mm(Math.max(0, o.coverMark))} mm`,
        check: "Mark less the body of the stripper.",
        mistake: "Cover taken off generously: nothing stops the tool.",
      },
      {
        title: "Strip",
        todo: "Run the stripper until it meets the cover.",
        measure: `sheath ends at ${mm(o.sheathEnd)} mm`,
        check: "The sheath ends on its mark to the millimetre.",
        mistake: "Going on past the cover.",
      },
      ...seal(),
    ];
  },
};
