import { seeded } from "../core/base/seeded";
import { METER_OFF } from "../core/trades/dead-tests/ring-read";
import type { TestMeter } from "./port";

/** A test meter that is not there: it reads what a sound run reads, a little off, and a failed insulation where damage is not repaired. */
export function simulatedMeter(seed: number): TestMeter {
  const about = (next: () => number, x: number): number =>
    Math.max(0, Math.round((x + (next() * 2 - 1) * METER_OFF) * 100) / 100);
  return {
    name: "Test meter, simulated",
    simulated: true,
    read: async ({ expected, damaged }) => {
      const next = seeded(seed);
      return {
        lineEarth: about(next, expected.lineEarth),
        lineNeutral: about(next, expected.lineNeutral),
        insulation: damaged ? 0.04 : 250 + Math.round(next() * 250),
        polarity: "right",
      };
    },
    readRing: async ({ r1, rn, r2 }) => {
      const next = seeded(seed);
      return { r1: about(next, r1), rn: about(next, rn), r2: about(next, r2) };
    },
  };
}
