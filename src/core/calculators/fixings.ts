import { z } from "zod";
import { END_USUAL, OUT_OF_REACH, clipLayout, clipSpacing } from "../fixings/clips";
import { calculator } from "./calculator";
import * as f from "./fields";

const source = "On-site working practice to BS 7671:2018+A2:2022, support of cables";

export const clipSpacingCalculator = calculator({
  name: "clip.spacing",
  purpose: "How far apart may the clips be?",
  source,
  input: z.strictObject({ family: z.enum(["sheathed", "armoured", "mi"]), overall: f.size, orientation: z.enum(["horizontal", "vertical"]), reachable: z.boolean().default(true), outOfReach: f.size.default(OUT_OF_REACH) }),
  output: z.object({ max: z.number().nullable(), binding: z.boolean(), band: z.string(), findings: f.findings }),
  run: (i) => clipSpacing(i.family, i.overall, i.orientation, i.reachable, i.outOfReach),
});

export const clipLayoutCalculator = calculator({
  name: "clip.layout",
  purpose: "Where do the clips go so that they are evenly spaced?",
  source,
  input: z.strictObject({ length: f.size, max: z.number().min(1).max(100_000), end: f.length0.default(END_USUAL) }),
  output: z.object({ count: z.number(), pitch: z.number(), marks: z.array(z.number()) }),
  run: (i) => clipLayout(i.length, i.max, i.end),
});
