/** What a core of a cable carries, where lights, switches and alarms are wired. */
export const carriedNames = [
  "line",
  "neutral",
  "switched-line",
  "common",
  "strapper-1",
  "strapper-2",
  "interlink",
] as const;
export type Carried = (typeof carriedNames)[number];

/** Live cores that a cable needs: two, or three where it carries three things. */
export const coresFor = (carries: readonly Carried[]): 2 | 3 => (carries.length >= 3 ? 3 : 2);

/** Colours of cores and of the sleeves put over them. */
export const coreColours = ["brown", "blue", "black", "grey", "green-yellow", "red", "yellow", "green"] as const;
export type CoreColour = (typeof coreColours)[number];

/** Cores of flat cable by how many there are, as made now and as found in old work. Source: BS 7671:2018+A2:2022 Table 51, Appendix 7. */
export const coresMade: Readonly<Record<2 | 3, readonly { now: CoreColour; old: CoreColour }[]>> = {
  2: [
    { now: "brown", old: "red" },
    { now: "blue", old: "black" },
  ],
  3: [
    { now: "brown", old: "red" },
    { now: "black", old: "yellow" },
    { now: "grey", old: "blue" },
  ],
};
/** The protective conductor: bare in flat cable, sleeved where it shows. */
export const cpcMade: Readonly<Record<"now" | "old", CoreColour>> = { now: "green-yellow", old: "green" };
