import { z } from "zod";
import { drawFall } from "../drawings/outside-drawings";
import { RISE, fallOf } from "../trades/outside/fall";
import { below } from "../base/tolerance";
import { fact } from "../rules/fact";
import { figure, mm } from "../base/figures";
import { calculator } from "./calculator";
import * as f from "./fields";

export default calculator({
  name: "outside.fall",
  purpose: "How do I slope a hole through an outside wall?",
  group: "Outside",
  source: "Trade habit: rising inward by 15 to 20 mm",
  input: z.strictObject({
    through: f.size("Through the wall", 5000),
    rise: f.length0("Rise inward", 1000).default(RISE),
  }),
  output: z.object({ angle: z.number(), bore: z.number(), findings: f.findings }),
  first: { through: 300, rise: 15 },
  run: (i) => ({
    ...fallOf(i.through, i.rise),
    facts: below(i.rise, RISE)
      ? [fact("outside.fall", "input", "hole", { measured: i.rise, limit: RISE, sense: "least", unit: "mm" })]
      : [],
  }),
  sheet: (i, o) => ({
    headline: `${figure(o.angle, 1)}° from level; the bit goes ${mm(o.bore)}.`,
    scene: drawFall(i.through, i.rise),
    steps: [
      `Mark outside ${mm(i.rise)} lower than inside.`,
      "Look and scan before drilling. Eyes, ears and lungs covered.",
      "Leave a drip loop below the entry.",
    ],
  }),
});
