import type { Fixture, Opening } from "../job/model";

/** Sizes to start from, mm. Typical: measure what is there. */
export const openingSizes: Record<Opening["kind"], { v: number; width: number; height: number }> = {
  door: { v: 0, width: 838, height: 2040 },
  window: { v: 900, width: 1200, height: 1050 },
  arch: { v: 0, width: 838, height: 2040 },
};

export const fixtureSizes: Record<Fixture["kind"], { v: number; width: number; height: number; depth: number }> = {
  worktop: { v: 860, width: 2400, height: 40, depth: 600 },
  sink: { v: 720, width: 500, height: 180, depth: 450 },
  hob: { v: 900, width: 580, height: 20, depth: 520 },
  oven: { v: 100, width: 600, height: 720, depth: 560 },
  appliance: { v: 0, width: 600, height: 850, depth: 600 },
  "tall-unit": { v: 0, width: 600, height: 2100, depth: 580 },
  "wall-unit": { v: 1400, width: 600, height: 720, depth: 320 },
  bath: { v: 0, width: 1700, height: 560, depth: 700 },
  radiator: { v: 150, width: 1000, height: 600, depth: 100 },
  wardrobe: { v: 0, width: 1200, height: 2000, depth: 600 },
  pipe: { v: 0, width: 22, height: 2400, depth: 35 },
  beam: { v: 2200, width: 300, height: 200, depth: 300 },
};

/** What a fixture is called on screens. */
export const fixtureNames: Record<Fixture["kind"], string> = {
  worktop: "worktop",
  sink: "sink bowl",
  hob: "hob",
  oven: "oven",
  appliance: "appliance",
  "tall-unit": "tall unit",
  "wall-unit": "wall unit",
  bath: "bath",
  radiator: "radiator",
  wardrobe: "wardrobe",
  pipe: "pipe",
  beam: "beam",
};
