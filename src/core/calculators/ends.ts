import { z } from "zod";
import { tailLength } from "../ends/tails";
import { calculator } from "./calculator";
import * as f from "./fields";

export const tailsLength = calculator({
  name: "tails.length",
  purpose: "How much cable do I leave at the box?",
  source: "Trade habit: 50 to 70 mm past the far edge of the box",
  input: z.strictObject({ box: z.strictObject({ width: f.size, height: f.size }), entry: z.enum(["left", "right", "top", "bottom"]), past: f.length0.optional() }),
  output: z.object({ length: z.number(), findings: f.findings }),
  run: (i) => tailLength(i.box, i.entry, i.past),
});
