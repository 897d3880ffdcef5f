import type { DetectorReading, DetectorSignal, WallDetector, WallTruth } from "./port";
import { seeded } from "../core/base/seeded";

/** How far a sweep moves between readings, mm. */
const STEP = 10;
/** Depth beyond which a cable gives no signal, mm, and beyond which a live one is not heard. Typical of such tools. */
const SEES = 50;
const HEARS = 40;
/** Half the width at which one thing is felt, mm. */
const WIDE = 35;

/** A wall detector that is not there: it sees metal and live cables near the surface, and is deafened by foil, as such tools are. */
export function simulatedDetector(seed: number): WallDetector {
  return {
    name: "Wall detector, simulated",
    simulated: true,
    sweep: async (truth) => {
      const next = seeded(seed);
      const readings: DetectorReading[] = [];
      for (let u = 0; u <= truth.length; u += STEP)
        readings.push({ u, level: Math.min(1, strength(truth, u) + next() * 0.06) });
      return { readings, signals: signals(truth, readings) };
    },
  };
}

const felt = (u: number, at: number): number => Math.max(0, 1 - Math.abs(u - at) / WIDE);

function strength(t: WallTruth, u: number): number {
  if (t.foilBacked) return 0.86;
  let level = 0;
  for (const m of t.metal) level = Math.max(level, 0.95 * felt(u, m));
  for (const s of t.timber) level = Math.max(level, 0.34 * felt(u, s));
  for (const c of t.cables)
    if (c.depth < SEES) level = Math.max(level, (0.45 + 0.5 * (1 - c.depth / SEES)) * felt(u, c.u));
  return level;
}

function signals(t: WallTruth, readings: readonly DetectorReading[]): DetectorSignal[] {
  const out: DetectorSignal[] = [];
  let from: number | null = null;
  for (let i = 0; i <= readings.length; i++) {
    const r = readings[i];
    if (r && r.level >= 0.22) {
      from ??= r.u;
      continue;
    }
    if (from === null) continue;
    const to = readings[i - 1]!.u;
    const live =
      !t.foilBacked && t.cables.some((c) => c.live && c.depth <= HEARS && c.u >= from! - WIDE && c.u <= to + WIDE);
    const strong = readings.some((x) => x.u >= from! && x.u <= to && x.level > 0.42);
    out.push({ from, to, says: live ? "live cable" : strong ? "metal" : "stud" });
    from = null;
  }
  return out;
}

/** What the sweep is worth, against what is there: to learn from, since only a simulation knows. */
export function judgeSweep(
  t: WallTruth,
  found: readonly DetectorSignal[],
): { missed: string[]; falseAlarms: number; words: string } {
  const hit = (u: number): boolean => found.some((s) => u >= s.from - WIDE && u <= s.to + WIDE);
  if (t.foilBacked)
    return {
      missed: t.cables.map((c) => c.name),
      falseAlarms: 1,
      words: `Foil-backed board sets it off from end to end: this sweep tells nothing. ${t.cables.length ? `There ${t.cables.length === 1 ? "is 1 cable" : `are ${t.cables.length} cables`} here all the same.` : "There is no cable here at all."}`,
    };
  const missed = t.cables.filter((c) => !hit(c.u)).map((c) => c.name);
  const alarms = found.filter(
    (s) => s.says !== "stud" && !t.cables.some((c) => c.u >= s.from - WIDE && c.u <= s.to + WIDE),
  ).length;
  const words = [
    missed.length
      ? `It passed over ${missed.join(", ")} in silence: too deep for it. Silence is not proof.`
      : t.cables.length
        ? "It found every cable on this line."
        : "There is no cable on this line, and it said so; on another wall the same silence may hide one.",
    alarms
      ? `${alarms} ${alarms === 1 ? "alarm was" : "alarms were"} no cable: metal studs and fixings sound the same.`
      : "",
  ];
  return { missed, falseAlarms: alarms, words: words.filter(Boolean).join(" ") };
}
