import { z } from "zod";
import { drawTail } from "../drawings/end-drawings";
import { tailLength } from "../trades/ends/tails";
import { mm } from "../base/figures";
import { calculator } from "./calculator";
import * as f from "./fields";

export default calculator({
  name: "tails.length",
  purpose: "How much cable do I leave at the box?",
  group: "Ends",
  source: "Trade habit: 50 to 70 mm past the far edge of the box",
  input: z.strictObject({
    box: z.strictObject({ width: f.size("Width", 1000), height: f.size("Height", 1000) }).meta({ title: "Box" }),
    entry: f.choice("Comes in at the", ["left", "right", "top", "bottom"]),
    past: f.length0("Past the far edge").optional(),
  }),
  output: z.object({ length: z.number(), findings: f.findings }),
  first: { box: { width: 70, height: 70 }, entry: "top" },
  run: (i) => tailLength(i.box, i.entry, i.past),
  sheet: (i, o) => ({
    headline: `Leave ${mm(o.length)} from the ${i.entry} edge of the box.`,
    scene: drawTail(i.box, i.entry, o.length),
    tape: { length: o.length, datum: `${i.entry} edge of the box`, marks: [{ at: o.length, text: "cut" }] },
  }),
});
