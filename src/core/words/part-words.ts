/** One thing to do, said so that no second look is needed: where, the one number, and from what it is measured. */
export interface PartWords {
  /** What and where. */
  over: string;
  /** The one number; empty where there is none. */
  number: string;
  /** From what it is measured, and what goes with it. */
  under: string;
  /** The same as a sentence to be spoken. */
  spoken: string;
  /** Further marks, each with its number. */
  more: { what: string; number: string }[];
}

/** Narrow spaces and dashes as a voice reads them. */
const spokenOf = (parts: readonly string[]): string =>
  parts
    .filter(Boolean)
    .join(", ")
    .replace(/[\u202f\u00a0]/g, "")
    .replace(/–/g, " to ")
    .replace(/Ø/g, "diameter ");

export function say(over: string, number: string, under: string, more: PartWords["more"] = []): PartWords {
  return { over, number, under, more, spoken: spokenOf([over, number, under]) };
}
