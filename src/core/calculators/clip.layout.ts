import { z } from "zod";
import { drawClips } from "../drawings/line-drawings";
import { END_USUAL, clipLayout } from "../trades/fixings/clips";
import { count, mm } from "../base/figures";
import { calculator } from "./calculator";
import * as f from "./fields";

export default calculator({
  name: "clip.layout",
  purpose: "Where do the clips go so that they are evenly spaced?",
  group: "Fixings",
  source: "On-site working practice to BS 7671:2018+A2:2022, support of cables",
  input: z.strictObject({
    length: f.size("Length of the stretch"),
    max: z.number().min(1).max(100_000).meta({ title: "Maximum spacing", unit: "mm" }),
    end: f.length0("First and last from the ends").default(END_USUAL),
  }),
  output: z.object({ count: z.number(), pitch: z.number(), marks: z.array(z.number()) }),
  first: { length: 2000, max: 300, end: 100 },
  run: (i) => clipLayout(i.length, i.max, i.end),
  sheet: (i, o) => ({
    headline: o.marks.length > 1 ? `${count(o.count, "clip")}, ${mm(o.pitch)} apart.` : "One clip in the middle.",
    scene: drawClips(i.length, o.marks, o.pitch),
    tape: { length: i.length, datum: "start", marks: o.marks.map((at, n) => ({ at, text: `clip ${n + 1}` })) },
  }),
});
