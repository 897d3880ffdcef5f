import type { Schools } from "../../../rules/schools";

/** One card of the work: what to do, the measure it needs, how to check it, and what usually goes wrong. */
export interface StepCard {
  title: string;
  todo: string;
  /** The figure to work to, with its unit. */
  measure?: string;
  check: string;
  mistake: string;
  caution?: string;
}

/** A measure that a person may set before starting: lengths mm, torque N·m. */
export interface MeasureField {
  key: string;
  title: string;
  unit: string;
  first: number;
  min: number;
  max: number;
}

/** A termination as guided cards. */
export interface Making {
  kind: string;
  name: string;
  measures: readonly MeasureField[];
  cards: (m: Readonly<Record<string, number>>, schools: Schools) => StepCard[];
}

/** First card of all work on what may be live. */
export const isolate: StepCard = {
  title: "Make it dead",
  todo: "Isolate and lock off. Prove the tester, prove dead between all conductors, prove the tester again.",
  check: "0 V: L–N, L–E, N–E, and the tester works before and after.",
  mistake: "Testing line to neutral only: a broken neutral reads nothing too.",
  caution: "Nothing is dead until tested. Do not work above the competence or the law that applies.",
};
