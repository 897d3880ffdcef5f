import type { ExpectedRun, RunReadings } from "../core/trades/dead-tests/run-read";
/**
 * The port between the program and measuring devices. A real device is plugged in by giving the screens another object of these
 * shapes; the simulated ones that ship say so in `simulated`.
 */
export interface LaserMeasure {
  name: string;
  simulated: boolean;
  /**
   * Takes one reading.
   * @param truth the length that lies before a simulated instrument, mm; a real one ignores it
   * @returns mm, or null with words when the instrument gives none
   */
  measure: (truth: number) => Promise<{ length: number | null; words: string }>;
}

/** What lies in or on a wall where a detector is drawn along it, mm from the left end. */
export interface WallTruth {
  length: number;
  foilBacked: boolean;
  /** Metal that sets a detector off: metal studs. */
  metal: readonly number[];
  /** Timber studs, seen as a change of density. */
  timber: readonly number[];
  /** Cables crossed by the sweep, with their depth and whether they are live. */
  cables: readonly { u: number; depth: number; live: boolean; name: string }[];
}

export interface DetectorReading {
  u: number;
  /** Strength, 0 to 1. */
  level: number;
}
/** A stretch that the instrument reports, in its own words. */
export interface DetectorSignal {
  from: number;
  to: number;
  says: "live cable" | "metal" | "stud";
}
export interface WallDetector {
  name: string;
  simulated: boolean;
  sweep: (truth: WallTruth) => Promise<{ readings: DetectorReading[]; signals: DetectorSignal[] }>;
}

/** The tails of a run with their far end joined, as a meter finds them. */
export interface Tails {
  expected: ExpectedRun;
  /** Damage told and not repaired. */
  damaged: boolean;
}

/** A meter for dead tests on the tails of a run. */
export interface TestMeter {
  name: string;
  simulated: boolean;
  read: (t: Tails) => Promise<Required<RunReadings>>;
  /** A ring from one leg to the other, each conductor, Ω; given what a sound one reads. */
  readRing: (expected: Record<"r1" | "rn" | "r2", number>) => Promise<Record<"r1" | "rn" | "r2", number>>;
}

/** A printer of labels on tape. */
export interface LabelPrinter {
  name: string;
  simulated: boolean;
  /**
   * Prints one label.
   * @returns mm of tape it took, or null with words when it was not printed
   */
  print: (lines: readonly string[]) => Promise<{ length: number | null; words: string }>;
}
