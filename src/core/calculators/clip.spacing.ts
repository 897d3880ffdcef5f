import { z } from "zod";
import { drawClips } from "../drawings/line-drawings";
import { OUT_OF_REACH, clipLayout, clipSpacing } from "../trades/fixings/clips";
import { mm } from "../base/figures";
import { calculator } from "./calculator";
import * as f from "./fields";

export default calculator({
  name: "clip.spacing",
  purpose: "How far apart are the clips?",
  group: "Fixings",
  source: "On-site working practice to BS 7671:2018+A2:2022, support of cables",
  input: z.strictObject({
    family: f.choice("Cable", ["sheathed", "armoured", "mi"], { mi: "mineral-insulated" }),
    overall: f.size("Across its widest axis", 300),
    orientation: f.choice("Direction", ["horizontal", "vertical"]),
    reachable: f.flag("Stays within reach").default(true),
    outOfReach: f.size("Spacing by judgement out of reach").default(OUT_OF_REACH),
  }),
  output: z.object({ max: z.number().nullable(), binding: z.boolean(), band: z.string(), findings: f.findings }),
  first: { family: "sheathed", overall: 10.1, orientation: "horizontal", reachable: true },
  run: (i) => clipSpacing(i.family, i.overall, i.orientation, i.reachable, i.outOfReach),
  sheet: (_, o) => {
    if (o.max === null) return { headline: "No spacing is published: ask the cable's maker." };
    const l = clipLayout(o.max * 3 + 200, o.max, 100);
    return {
      headline: o.binding ? `At most ${mm(o.max)} apart.` : `The table does not bind; ${mm(o.max)} by judgement.`,
      scene: drawClips(o.max * 3 + 200, l.marks, l.pitch),
    };
  },
});
