import { mm } from "../../../base/figures";
import type { Schools } from "../../../rules/schools";
import { armourCut } from "../armour-cut";
import { type Making, type MeasureField, type StepCard, isolate } from "./card";

const measures: readonly MeasureField[] = [
  { key: "chord", title: "Straight from the last cleat to the gland", unit: "mm", first: 300, min: 20, max: 5000 },
  { key: "sweep", title: "Height of the bow", unit: "mm", first: 40, min: 0, max: 1000 },
  { key: "tails", title: "Cores inside the box", unit: "mm", first: 250, min: 50, max: 2000 },
  { key: "hole", title: "Hole", unit: "mm Ø", first: 20.5, min: 16, max: 90 },
];

const cores = (s: Schools): string =>
  s.armourCores === "grey-neutral" ? "Brown line, grey neutral, black earth" : "Brown line, black neutral, grey earth";

function cards(m: Readonly<Record<string, number>>, s: Schools, outdoor: boolean): StepCard[] {
  const { armourStop, cut } = armourCut(m.chord!, m.sweep!, m.tails!);
  return [
    isolate,
    {
      title: "Make the hole",
      todo: `Drill the size of the gland before anything is mounted${s.spareGland === "spare" ? ", and a spare beside it with its plug" : ""}. Deburr, and take the paint off where the washers bite.`,
      measure: `Ø ${mm(m.hole!)} mm`,
      check: "A fitting of that size goes through without force.",
      mistake: "20 re-drilled to 25: a spoiled hour.",
      caution: "Eyes, ears, lungs and hands when drilling.",
    },
    {
      title: "Shroud on first",
      todo: outdoor
        ? "Cut the shroud where the gland marks it, so that it is tight; push it up the cable, wide end to the gland."
        : "Push the shroud up the cable, wide end to the gland.",
      check: "It cannot be forgotten once it is on.",
      mistake: "Remembering it when the gland is tight.",
    },
    {
      title: "Mark where the armour stops",
      todo: "Offer the cable to the gland already in the enclosure, with a tie as a gauge, allowing for the bow.",
      measure: `${mm(armourStop)} mm`,
      check: "Bend the cable to its place and look at the tie.",
      mistake: "Too short is scrap; a bit long is pushed back into the bend.",
    },
    {
      title: "Cut",
      todo: "Cut the cable square.",
      measure: `${mm(cut)} mm`,
      check: "The cores reach the farthest terminal with room to dress.",
      mistake: "Measuring the tails from the outside of the box.",
    },
    {
      title: "Score and snap",
      todo: "Take the sheath off to the mark. Score the armour wires with a fine saw, not through; snap them off.",
      check: "The bedding below is untouched.",
      mistake: "Sawing through into the bedding.",
    },
    {
      title: "Gland",
      todo: `Gland body under the armour, wires laid fairly over the cone, none on the thread; clamp${outdoor ? "; tighten the outer seal on the sheath" : ""}.`,
      check: outdoor ? "No wire shows, and the seal grips the sheath." : "No wire shows, none is crossed.",
      mistake: "A wire across the thread: it clamps loose.",
    },
    {
      title: "Earth tag",
      todo:
        s.glandTag === "bolt-down"
          ? "Tag under the gland, brass bolt through the enclosure with the nut inside and the bolt facing down, serrated washer and lock ring."
          : "Tag under the gland, brass bolt through the enclosure facing out, serrated washer and lock ring.",
      check: "Continuity from armour to the earth bar.",
      mistake: "Tag painted on both sides.",
    },
    {
      title: "Cores",
      todo: `${cores(s)}; sleeve at both ends. ${s.armourEarth === "core-too" ? "A core and the armour are both earth." : "The armour alone is the earth: prove it at both ends."}`,
      check: "The same colours at the far end.",
      mistake: "Each end made off by a different habit.",
    },
    ...(outdoor
      ? [
          {
            title: "Keep water out",
            todo: "Shroud over the gland, drip loop below the entry, entry from below where it can be.",
            check: "No way for water to run along the cable into the box.",
            mistake: "A gland on the top of a box in the weather.",
          },
        ]
      : []),
    {
      title: "Test",
      todo: "Continuity of armour and cores, then insulation at 500 V d.c.",
      measure: "200 MΩ or more",
      check: "Read and written down before it is closed.",
      mistake: "Testing after the connected electronics.",
    },
  ];
}

export const armourIndoor: Making = {
  kind: "swa-indoor",
  name: "Steel-wire armour, indoors",
  measures,
  cards: (m, s) => cards(m, s, false),
};
export const armourOutdoor: Making = {
  kind: "swa-outdoor",
  name: "Steel-wire armour, outdoors",
  measures,
  cards: (m, s) => cards(m, s, true),
};
