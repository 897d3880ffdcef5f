import { runReadingNames } from "../../dead-tests/run-read";
import { type Making, card, field, long, scan } from "./card";

const depth = field("depth", "Depth of the box", 35, 10, 120);

export const boxFixing: Making = {
  kind: "box",
  name: "Fix a box",
  half: "first",
  measures: [
    depth,
    field("height", "Middle above the floor", 450, 0, 20_000),
    field("plaster", "Plaster to come", 12, 0, 40),
  ],
  cards: (m) => [
    scan,
    card(
      "Mark it",
      "Measure up from the finished floor, level it, and draw round the box itself.",
      "The level reads true on two sides; its neighbours are at the same height.",
      "Measuring from the screed before the floor is down.",
      "Zones run from where the box is: an inch off puts the cable outside them.",
      { measure: `${long(m.height!)} to the middle` },
    ),
    card(
      "Cut the recess",
      "Drill a row of holes to the depth, then chop; in a stud wall fix a noggin or a bracket between the studs.",
      "The box goes in by hand and its front is where the plaster will end.",
      "A recess deeper than a third of the leaf.",
      "A wall is thinner than it looks: Approved Document A, a third for plumb and a sixth for level.",
      {
        measure: long(Math.max(0, m.depth! - m.plaster!)),
        caution: "Masks and glasses: the dust of masonry is silica.",
      },
    ),
    card(
      "Grommets in",
      "Knock out only the holes that are used; a grommet in each before the box goes in.",
      "A finger round the hole feels only rubber.",
      "Grommets left for later: the cable is through by then.",
      "The edge of a knock-out is a knife.",
    ),
    card(
      "Fix it",
      "Two screws at least, plugs in masonry. Level it once more before the second is tight.",
      "It does not rock; lugs are level and free of plaster.",
      "Fixed by the lugs' side to the edge of a brick.",
      "It is pulled every time a plug is.",
    ),
  ],
};

export const chase: Making = {
  kind: "chase",
  name: "Chase and cover a drop",
  half: "first",
  measures: [field("depth", "Depth of the chase", 20, 10, 60), field("length", "Length of the drop", 900, 50, 4000)],
  cards: (m) => [
    scan,
    card(
      "Draw it",
      "Two lines plumb over the box, as wide as the capping. Level chases only inside their zone.",
      "The level reads true; the lines meet the box, not its corner.",
      "A slanted chase: nobody will look for it there.",
      "Outside its zone a cable wants earthed metal or armour over it.",
      { measure: long(m.length!) },
    ),
    card(
      "Cut it",
      "A chaser with its dust drawn off, to the depth and no more.",
      "Even all along; the cable and its capping lie below the face.",
      "Going deeper to be quick with the plaster.",
      "A third of the leaf for plumb, a sixth for level; never back to back.",
      { measure: `${long(m.depth!)} deep`, caution: "Eyes, ears, lungs. Silica: water or extraction." },
    ),
    card(
      "Cable in",
      "Flat to the back, no twist; a bend is stroked round, not folded.",
      "It lies without a hand on it.",
      "Pulled tight: nothing left to move when the box is dressed.",
      "A kink cuts the copper where nobody sees it.",
    ),
    card(
      "Cap it",
      "Capping or tube over it, nailed at the edges, from the box to the ceiling.",
      "Nails are clear of the cable; no cable shows.",
      "Nails through the middle.",
      "The plasterer's trowel and the next person's hook both go there.",
    ),
  ],
};

export const coil: Making = {
  kind: "coil",
  name: "Coil, label and cover the tails",
  half: "first",
  measures: [field("tail", "Tail left", 140, 0, 3000)],
  cards: (m) => [
    card(
      "Leave the tail",
      "Measure what is left from the edge of the box before anything is cut.",
      "It reaches past the far edge, with some over.",
      "Cut by eye at the end of the day.",
      "This is the last time that it can be made longer.",
      { measure: long(m.tail!) },
    ),
    card(
      "Flag it",
      "A flag on each cable: its circuit and what is at the other end, in words that stay on.",
      "It can be read without pulling it.",
      "A code only you know.",
      "Somebody else makes it off.",
    ),
    card(
      "Coil it in",
      "A coil no tighter than the cable bends, wholly inside the box.",
      "Nothing stands out past the rim.",
      "Left hanging out: it is cut off with the plaster.",
      "The float goes over the box like over everything.",
    ),
    card(
      "Cover the box",
      "A cover or tape over the whole box, and over open ends outdoors.",
      "No way in for plaster or water.",
      "Paper stuffed in: it is found plastered in.",
      "Plaster in the lugs costs more time than the cover.",
    ),
  ],
};

export const firstTest: Making = {
  kind: "first-test",
  name: "Test on the tails",
  half: "first",
  measures: [field("r1r2", "R1 + R2 to expect", 0.5, 0, 100, "Ω")],
  cards: (m) => [
    card(
      "Nothing joined",
      "Nothing is connected at either end; the far tails are apart. Null the leads.",
      "The tester reads 0.00 with its leads together.",
      "Leads not nulled: every reading is theirs too high.",
      "A tenth of an ohm is a loose joint, or it is the leads.",
      { caution: "A cable that is not yours may be live: prove it dead first." },
    ),
    card(
      "Continuity",
      "Join line and cpc at the far end; read R1 + R2 here.",
      "Within a tenth of what is expected.",
      "Reading the cpc alone and calling it both.",
      "It finds the cable that is not the one you think, now.",
      { measure: `${m.r1r2} Ω`, asks: { what: runReadingNames.lineEarth, unit: "Ω", least: 0 } },
    ),
    card(
      "Insulation",
      "500 V d.c., far tails apart: line to neutral, line to earth, neutral to earth; write down the lowest.",
      "Over range on all three.",
      "Testing with the far ends still twisted together.",
      "A nail through a cable found now costs a minute; at second fix it costs the wall.",
      { measure: "over range (≥ 200 MΩ)", asks: { what: runReadingNames.insulation, unit: "MΩ", least: 1 } },
    ),
    card(
      "Polarity",
      "Core by core from end to end: brown is brown, and the switched core is where the flag says.",
      "Each core answers alone.",
      "Going by colour.",
      "A reversed switch leaves the lamp live.",
    ),
    card(
      "Photograph, then close",
      "A photograph of each wall with a tape in it; only then is it released to be covered.",
      "The tape can be read in the picture.",
      "Closed first.",
      "Whoever drills there next has only the picture.",
    ),
  ],
};
