import type { LabelPrinter } from "./port";

/** Tape of one cassette, mm. */
export const CASSETTE = 8000;
/** Fed before and after each label, mm. */
const FEED = 4;
/** Width that a letter takes on 12 mm tape, mm. */
const LETTER = 2.4;

/** How long a label comes out: its longest line and what is fed, to the mm. */
export const stripLength = (lines: readonly string[]): number =>
  Math.ceil(Math.max(...lines.map((l, i) => l.length * (i ? LETTER * 0.6 : LETTER))) + 2 * FEED);

/** A tape printer that is not there: it feeds its tape label by label and stops where the cassette is empty. */
export function simulatedLabelPrinter(left = CASSETTE): LabelPrinter {
  let tape = left;
  return {
    name: "Label printer, simulated",
    simulated: true,
    print: async (lines) => {
      const length = stripLength(lines);
      if (length > tape)
        return {
          length: null,
          words: `No tape: ${tape} mm are left and this label takes ${length}. Put in another cassette.`,
        };
      tape -= length;
      return { length, words: `${length} mm printed, ${(tape / 1000).toFixed(1)} m of tape left, simulated` };
    },
  };
}
