import { z } from "zod";

/** The schools of practice: where good practitioners differ, the user picks and both are explained. One value of each in a job's settings. */
export const schoolsSchema = z.object({
  notch: z.enum(["warranty", "on-site"]).default("warranty"),
  notchEdge: z.enum(["top", "either"]).default("top"),
  clipOutOfReach: z.enum(["fixed", "table"]).default("fixed"),
  clipPitch: z.enum(["even", "tool"]).default("even"),
  hallCeiling: z.enum(["escape", "ordinary"]).default("escape"),
  overheadTies: z.enum(["all", "every-other"]).default("all"),
  socketCircuits: z.enum(["ring", "radials"]).default("ring"),
  cookerCurrent: z.enum(["full", "diversity"]).default("diversity"),
  armourCores: z.enum(["grey-neutral", "black-neutral"]).default("grey-neutral"),
  armourEarth: z.enum(["armour", "core-too"]).default("core-too"),
  spareGland: z.enum(["spare", "none"]).default("none"),
  glandTag: z.enum(["bolt-down", "bolt-out"]).default("bolt-down"),
  twoEarths: z.enum(["separate", "together"]).default("separate"),
  doubling: z.enum(["always", "thin"]).default("always"),
  floorJoints: z.enum(["hatch", "closed"]).default("hatch"),
  trunkingCut: z.enum(["hacksaw", "grinder"]).default("hacksaw"),
  boardOrder: z.enum(["heaviest", "by-room"]).default("heaviest"),
  lightingFeed: z.enum(["rose", "switch"]).default("rose"),
  diversity: z.enum(["dwelling", "full"]).default("dwelling"),
  switchNeutral: z.enum(["no", "yes"]).default("no"),
});
export type Schools = z.infer<typeof schoolsSchema>;
export type SchoolKey = keyof Schools;

export interface SchoolQuestion {
  key: SchoolKey;
  question: string;
  /** What the answer changes: the plan itself, the steps of the work, or both. */
  changes: "plan" | "steps" | "both";
  options: readonly [SchoolOption, SchoolOption];
}
export interface SchoolOption {
  value: string;
  name: string;
  reason: string;
}

const q = (
  key: SchoolKey,
  question: string,
  changes: SchoolQuestion["changes"],
  a: [string, string, string],
  b: [string, string, string],
): SchoolQuestion => ({
  key,
  question,
  changes,
  options: [
    { value: a[0], name: a[1], reason: a[2] },
    { value: b[0], name: b[1], reason: b[2] },
  ],
});

export const schoolQuestions: readonly SchoolQuestion[] = [
  q(
    "notch",
    "Notch zone and depth",
    "plan",
    [
      "on-site",
      "0.07 to 0.25 of span, one eighth of depth",
      "The older rule of thumb: more of the span, a shallower cut.",
    ],
    [
      "warranty",
      "0.10 to 0.20 of span, 0.15 of depth",
      "What new-home warranties ask for; a shorter part of the joist, and a little deeper.",
    ],
  ),
  q(
    "notchEdge",
    "Notch edge",
    "plan",
    [
      "top",
      "Top only",
      "The top edge is pressed together and a notch there is bridged by the board; nothing hangs open below.",
    ],
    [
      "either",
      "Top or bottom, never both at one end",
      "Where the ceiling is down and the floor stays, the bottom edge is the one that can be reached.",
    ],
  ),
  q(
    "clipOutOfReach",
    "Clip spacing out of reach",
    "plan",
    ["table", "Stay on the table", "One habit everywhere, and nothing to argue about at inspection."],
    ["fixed", "A fixed spacing, 450 mm", "Behind board nobody pulls at the cable; it only must not sag or fall."],
  ),
  q(
    "clipPitch",
    "Clip pitch habit",
    "plan",
    ["even", "Longest allowed, evenly divided", "Fewest clips, and even spacing is how the work is judged."],
    [
      "tool",
      "Fixed pitch of the clipping tool",
      "The hand keeps one rhythm and nothing is measured; a few more clips.",
    ],
  ),
  q(
    "hallCeiling",
    "Ceiling over a domestic hall",
    "plan",
    ["escape", "Treat as escape route: metal fixings", "It is the way out, whatever the ceiling is made of."],
    ["ordinary", "Ordinary fixings", "The plasterboard itself holds the cable up long enough in a house."],
  ),
  q(
    "overheadTies",
    "Metal ties on overhead armour",
    "steps",
    ["all", "All", "Nothing to count and nothing to fall."],
    ["every-other", "Every other", "Half the ties carry the cable in a fire; the rest only keep it tidy."],
  ),
  q(
    "socketCircuits",
    "Socket circuits",
    "plan",
    ["ring", "Ring", "Less copper on paper, one way in the board, known to everybody."],
    [
      "radials",
      "Radials",
      "A loose terminal shows at once, faults are simpler to find, and two 20 A circuits give more in total.",
    ],
  ),
  q(
    "cookerCurrent",
    "Cooker current",
    "plan",
    ["full", "Full load", "Everything on at once on one day of the year is the day it matters."],
    ["diversity", "After diversity", "Thermostats and habit mean that it never all draws at once for long."],
  ),
  q(
    "armourCores",
    "Cores of three-core armour",
    "steps",
    ["grey-neutral", "Grey neutral, black earth", "Black used to mean neutral: nobody then takes it for a live core."],
    ["black-neutral", "Black neutral, grey earth", "The order in which the cores are numbered."],
  ),
  q(
    "armourEarth",
    "Armour as earth",
    "steps",
    ["armour", "Armour alone", "Its section is enough, and every joint is a gland that can be looked at."],
    ["core-too", "Core as well as armour", "Glands corrode; the core keeps the earth when they do."],
  ),
  q(
    "spareGland",
    "Unused gland position",
    "both",
    ["spare", "Drill and plug a spare", "The next person does not have to drill over live work."],
    ["none", "No spare", "A hole not made is a seal that cannot fail."],
  ),
  q(
    "glandTag",
    "Bolt of the gland tag",
    "steps",
    ["bolt-down", "Nut inside, bolt facing down", "Cables drawn in later do not catch on it."],
    ["bolt-out", "Bolt facing out", "It can be checked and tightened without opening the box."],
  ),
  q(
    "twoEarths",
    "Two earths at an outlet",
    "steps",
    ["separate", "One in each terminal", "Losing one terminal does not lose both."],
    ["together", "Together", "The ring stays whole when the accessory is taken off."],
  ),
  q(
    "doubling",
    "Doubling over single conductors",
    "steps",
    ["always", "Always", "The screw bites on twice the copper, and it is the same every time."],
    [
      "thin",
      "Only where the terminal is large for the wire",
      "A terminal made for the size needs no help; less bending.",
    ],
  ),
  q(
    "floorJoints",
    "Joint boxes in a floor",
    "both",
    ["hatch", "Reachable hatch", "Every joint can be looked at again."],
    [
      "closed",
      "Maintenance-free, closed",
      "Completed as its maker says it needs no looking at, and the floor stays whole.",
    ],
  ),
  q(
    "trunkingCut",
    "Cutting trunking",
    "steps",
    ["hacksaw", "Hacksaw", "Slow and safe, and no sparks in a finished room."],
    ["grinder", "Grinder", "Fast and straight, with guard, eyes, ears and hands covered."],
  ),
  q(
    "boardOrder",
    "Order in the board",
    "both",
    ["heaviest", "Heaviest next to the main switch", "Least heat and least copper in the busbar's far end."],
    ["by-room", "By room", "People find their circuit by where they stand."],
  ),
  q(
    "lightingFeed",
    "Feed of the lights",
    "both",
    ["rose", "Loop at the rose", "Every joint is at the light, and the drop to the switch is one plain twin."],
    [
      "switch",
      "Loop at the switch",
      "Neutrals lie behind the switch for later controls; one twin goes up to the light.",
    ],
  ),
  q(
    "diversity",
    "Demand of the whole house",
    "plan",
    [
      "dwelling",
      "After the usual diversity",
      "Not everything is on at once: two thirds of the lights, two fifths of the further sockets.",
    ],
    ["full", "All in full", "Nothing is taken for granted; right where many heavy loads do run together."],
  ),
  q(
    "switchNeutral",
    "Neutral at the switch",
    "plan",
    ["no", "Only where the feed brings it", "A twin to the switch is all that a plain switch needs."],
    [
      "yes",
      "At every first switch",
      "A three-core drop leaves a neutral there, which dimmers and sensors may ask for.",
    ],
  ),
];

/** The other option of a question. */
export const otherOption = (question: SchoolQuestion, value: string): SchoolOption =>
  question.options.find((o) => o.value !== value)!;
