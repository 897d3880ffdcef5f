import { runReadingNames } from "../../dead-tests/run-read";
import type { Schools } from "../../../rules/schools";
import { armourCoresOf, armourSleeves } from "../../../rules/armour-cores";
import { type Making, type MeasureField, type StepCard, card, field, isolate, long } from "./card";

const measures: readonly MeasureField[] = [
  field("wires", "Last cleat to where the wires stop", 300, 20, 5000),
  field("cone", "Length of the gland's cone", 13, 5, 40),
  field("tails", "Cores inside the enclosure", 250, 50, 3000),
  field("hole", "Hole", 20.5, 16, 90, "mm Ø"),
  field("cores", "Cores of the cable", 3, 2, 4, ""),
];

const coresWords = (cores: number, s: Schools): string =>
  armourCoresOf(cores, s.armourCores)
    .map((c) => `${c.core} ${c.carries}`)
    .join(", ");
const sleeveWords = (cores: number, s: Schools): string => {
  const sleeves = armourSleeves(cores, s.armourCores).map((x) => `${x.sleeve} over ${x.core}`);
  return sleeves.length ? `Sleeves: ${sleeves.join(", ")}; the same at the far end.` : "No sleeve is needed.";
};

function cards(m: Readonly<Record<string, number>>, s: Schools, outdoor: boolean, plastic: boolean): StepCard[] {
  const a = m.wires!;
  const b = a - m.cone!;
  return [
    isolate,
    card(
      "Make the hole",
      "Drill the size of the gland before anything is " +
        `mounted${s.spareGland === "spare" ? ", and a spare beside it with its plug" : ""}. ` +
        `Deburr${plastic ? "" : ", and take the paint off where the washers bite"}.`,
      "A fitting of that size goes through without force.",
      "20 re-drilled to 25: a spoiled hour.",
      "Its place comes from the template: a hand and two spanners go between.",
      { measure: `Ø ${long(m.hole!)}`, caution: "Eyes, ears, lungs and hands when drilling." },
    ),
    card(
      "Mark A: where the wires stop",
      "Offer the cable to the gland already in the enclosure, with a tie as a gauge, swept as it will lie.",
      "Bend the cable to its place and look at the tie.",
      "Measuring with the cable straight.",
      "Too short is scrap; a bit long is pushed back into the bend.",
      { measure: `A ${long(a)} from the last cleat` },
    ),
    card(
      "Mark B: where the sheath is ringed",
      "One cone length further back along the cable, a second tie.",
      "Between A and B lies what goes over the cone.",
      "One mark for both: nothing is left to lay over the cone.",
      "The wires are gripped by the length between the two.",
      { measure: `B ${long(b)} from the last cleat` },
    ),
    card(
      "Cut",
      "Cut the cable square.",
      "The cores reach the farthest terminal with room to dress.",
      "Measuring the tails from the outside of the box.",
      "They start inside the face.",
      { measure: long(a + m.tails!) },
    ),
    card(
      "Shroud, nut, ring on",
      `${outdoor ? "Cut the shroud where the gland marks it, so that it is tight on the sheath. " : ""}Shroud, ` +
        "back nut and clamping ring up the cable, in that order, wide ends to the gland.",
      "They cannot be forgotten once they are on.",
      "Remembering them when the gland is tight.",
      "Nothing goes on over a made-off end.",
    ),
    card(
      "Score and snap at A",
      "Ring the sheath at A and take it off beyond. Score the wires there with a fine saw, not through; " +
        "bend them to and fro until they snap.",
      "The bedding below is untouched.",
      "Sawing through into the bedding.",
      "Under it is the insulation.",
    ),
    card(
      "Ring the sheath at B",
      "Take off the sheath between A and B; the wires stand free and even. Bedding off above the body.",
      "Wires as long as the cone, sheath square.",
      "Sheath torn: the seal then sits on a ridge.",
      "The ring clamps wire, not plastic.",
    ),
    card(
      "Gland",
      "Body under the wires, wires laid fairly over the cone, none on the thread; ring and back nut, " +
        `two spanners on the flats${outdoor ? "; then the outer seal on the sheath" : ""}.`,
      outdoor ? "No wire shows, and the seal grips the sheath." : "No wire shows, none is crossed.",
      "A wire across the thread: it clamps loose. One spanner: the whole gland turns.",
      "The armour holds the cable and is earth as well.",
    ),
    card(
      "Earth tag",
      plastic
        ? "Tag between gland and enclosure, brass bolt, and a lead from it to the earth bar: a plastic wall carries nothing."
        : s.glandTag === "bolt-down"
          ? "Tag under the gland, brass bolt through the enclosure with the nut inside and the bolt facing " +
            "down, serrated washer and lock ring, a lead from the bolt to the earth bar."
          : "Tag under the gland, brass bolt through the enclosure facing out, serrated washer and lock ring, " +
            "a lead from the bolt to the earth bar.",
      "Continuity from armour to the earth bar.",
      "Tag painted on both sides, the lead left out.",
      "The thread in painted steel is no joint to rely on.",
      { asks: { what: "Armour to earth bar", unit: "Ω", least: 0, most: 0.5 } },
    ),
    card(
      "Cores",
      `${coresWords(m.cores!, s)}. ${sleeveWords(m.cores!, s)} ` +
        (s.armourEarth === "core-too"
          ? "A core and the armour are both earth."
          : "The armour alone is the earth: prove it at both ends."),
      "The same colours at the far end.",
      "Each end made off by a different habit.",
      "Which core is which is argued; that both ends agree is not.",
    ),
    ...(outdoor
      ? [
          card(
            "Keep water out",
            "Sealing washer under the gland, shroud over it, drip loop below the entry, entry from below where it can be.",
            "No way for water to run along the cable into the box.",
            "A gland on the top of a box in the weather.",
            "It stands on the terminals until it is found.",
          ),
        ]
      : []),
    card(
      "Test",
      "Continuity of armour and cores, then insulation at 500 V d.c., cores to each other and to the armour.",
      "Read and written down before it is closed.",
      "Testing after the connected electronics.",
      "A wire end through the bedding shows here and nowhere else.",
      { measure: "over range (≥ 200 MΩ)", asks: { what: runReadingNames.insulation, unit: "MΩ", least: 1 } },
    ),
  ];
}

const armour = (kind: string, name: string, outdoor: boolean, plastic: boolean): Making => ({
  kind,
  name,
  half: "second",
  measures,
  cards: (m, s) => cards(m, s, outdoor, plastic),
});
export const armourIndoor = armour("swa-indoor", "Steel-wire armour, indoors", false, false);
export const armourOutdoor = armour("swa-outdoor", "Steel-wire armour, outdoors", true, false);
export const armourPlastic = armour("swa-plastic", "Steel-wire armour into plastic", true, true);
export const armourPlasticIndoor = armour("swa-plastic-indoor", "Steel-wire armour into plastic, indoors", false, true);
