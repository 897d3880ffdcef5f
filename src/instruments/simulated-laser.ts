import type { LaserMeasure } from "./port";
import { seeded } from "../core/base/seeded";
import { spread } from "./spread";

export const laserSettings = ["steady", "noisy", "misread"] as const;
export type LaserSetting = (typeof laserSettings)[number];
export const laserWords: Record<LaserSetting, string> = {
  steady: "Steady: within about 1 mm",
  noisy: "Noisy: held by hand, within about 8 mm",
  misread: "Misread: one reading in three is taken off the wrong end of the tool",
};

/** Length of the instrument's own body, mm: what a reading is short or long by when its datum is set wrong. */
const BODY = 118;
const REACH = { least: 50, most: 40_000 };

/** A laser measure that is not there: it takes the true length and errs as such tools do. */
export function simulatedLaser(setting: LaserSetting, seed: number): LaserMeasure {
  const next = seeded(seed);
  return {
    name: "Laser measure, simulated",
    simulated: true,
    measure: async (truth) => {
      if (!Number.isFinite(truth) || truth < REACH.least || truth > REACH.most)
        return {
          length: null,
          words: `No reading: ${Math.round(truth)} is out of its reach of ${REACH.least} to ${REACH.most} mm.`,
        };
      const slip = spread(next) * (setting === "noisy" ? 4 : 0.5);
      const wrong = setting === "misread" && next() < 1 / 3 ? (next() < 0.5 ? -BODY : BODY) : 0;
      const length = Math.round(truth + slip + wrong);
      return { length, words: `${length} mm, simulated` };
    },
  };
}
