import { z } from "zod";
import { drawOverhead } from "../drawings/outside-drawings";
import { overhead } from "../trades/outside/overhead";
import { mm } from "../base/figures";
import { calculator } from "./calculator";
import * as f from "./fields";

export default calculator({
  name: "outside.overhead",
  purpose: "How high must a cable hang over this?",
  group: "Outside",
  source: "On-site working practice to BS 7671:2018+A2:2022, heights of overhead cables",
  input: z.strictObject({
    beneath: f.choice("What passes beneath", ["road", "vehicles", "foot", "caravan-vehicles", "caravan-foot"], {
      road: "a road",
      vehicles: "vehicles",
      foot: "people on foot only",
      "caravan-vehicles": "caravans and their cars",
      "caravan-foot": "a caravan site, on foot only",
    }),
    height: f.length0("Lowest height"),
    span: f.length0("Between supports"),
    catenary: f.flag("Carried on a catenary wire"),
  }),
  output: z.object({ least: z.number(), findings: f.findings }),
  first: { beneath: "foot", height: 3600, span: 8000, catenary: true },
  run: (i) => overhead(i.beneath, i.height, i.span, i.catenary),
  sheet: (i, o) => ({
    headline: `At least ${mm(o.least)}; this hangs at ${mm(i.height)}. The catenary's maker gives its span.`,
    scene: drawOverhead(i.height, i.span, o.least, i.catenary),
  }),
});
