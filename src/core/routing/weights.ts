import type { Costs } from "../job/model";
import { costSchema } from "../job/model";

/** Height above the floor from which a wall is worked on from a ladder, mm. */
export const LADDER = 2100;

export const presetNames = ["balanced", "cable", "mess", "holes", "retrofit"] as const;
export type Preset = (typeof presetNames)[number];

/** Sets of weights to start from. Every weight is in mm of cable and can be changed by hand. */
export const presets: Record<Preset, { name: string; about: string; cost: Costs }> = {
  balanced: {
    name: "As most would",
    about: "Cable, holes, bends and chases each at their usual price.",
    cost: costSchema.parse({}),
  },
  cable: {
    name: "Least cable",
    about: "The shortest legal way, whatever it takes to make.",
    cost: costSchema.parse({ bore: 1, bend: 1, wallHole: 1, chase: 0, boards: 0, crossing: 0, height: 0, faces: 0 }),
  },
  mess: {
    name: "Least mess",
    about: "Few chases and opened walls, few holes in masonry; cable is cheap.",
    cost: costSchema.parse({
      bore: 150,
      bend: 40,
      wallHole: 2500,
      chase: 5,
      boards: 0.5,
      crossing: 20,
      height: 0,
      faces: 3000,
    }),
  },
  holes: {
    name: "Fewest holes",
    about: "As few holes in joists and holes in walls as can be.",
    cost: costSchema.parse({
      bore: 20_000,
      bend: 20,
      wallHole: 20_000,
      chase: 0.5,
      boards: 0,
      crossing: 0,
      height: 0,
      faces: 0,
    }),
  },
  retrofit: {
    name: "Retrofit",
    about: "In a house that is lived in: boards stay down and walls shut where they can.",
    cost: costSchema.parse({
      bore: 400,
      bend: 60,
      wallHole: 1800,
      chase: 6,
      boards: 4,
      crossing: 40,
      height: 0.2,
      faces: 6000,
    }),
  },
};

/** The preset that a set of weights is, or null when they are the user's own. */
export const presetOf = (c: Costs): Preset | null =>
  presetNames.find((p) => (Object.keys(c) as (keyof Costs)[]).every((k) => presets[p].cost[k] === c[k])) ?? null;

/** What each weight is called, and what it is counted in. */
export const weightWords: Record<keyof Costs, { name: string; unit: string }> = {
  cable: { name: "A mm of cable", unit: "×" },
  bore: { name: "A hole in a joist", unit: "mm of extra cable" },
  bend: { name: "A bend", unit: "mm of extra cable" },
  wallHole: { name: "A hole in a wall", unit: "mm of extra cable" },
  chase: { name: "A mm of chase, on top", unit: "mm of extra cable" },
  boards: { name: "A mm of boards lifted, on top", unit: "mm of extra cable" },
  crossing: { name: "Crossing another circuit", unit: "mm of extra cable" },
  height: { name: "A mm of wall from a ladder, on top", unit: "mm of extra cable" },
  faces: { name: "Opening a wall face", unit: "mm of extra cable" },
};
