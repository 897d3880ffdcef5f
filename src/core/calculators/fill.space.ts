import { z } from "zod";
import { SPACE_LIMIT, spaceFill } from "../trades/containment/space-fill";
import { drawFill } from "../drawings/fill-drawing";
import { calculator } from "./calculator";
import * as f from "./fields";

export default calculator({
  name: "fill.space",
  purpose: "Is there room in this trunking or tube for these cables?",
  group: "Containment",
  source: "On-site working practice to BS 7671:2018+A2:2022, space factor",
  input: z.strictObject({
    inside: z
      .union([
        z
          .strictObject({ width: f.size("Inside width", 1000), height: f.size("Inside height", 1000) })
          .meta({ title: "Trunking" }),
        z.strictObject({ diameter: f.size("Inside diameter", 1000) }).meta({ title: "Tube" }),
      ])
      .meta({ title: "Inside" }),
    cables: f.rows("Cables", f.filling),
    limitPercent: f.number("Most it may be filled", "%", 1, 100).default(SPACE_LIMIT),
  }),
  output: z.object({
    usedArea: z.number(),
    insideArea: z.number(),
    percent: z.number(),
    ok: z.boolean(),
    findings: f.findings,
  }),
  first: {
    inside: { width: 47, height: 47 },
    cables: [
      { width: 10.1, thickness: 5.8, qty: 9 },
      { width: 13.3, thickness: 7.4, qty: 2 },
    ],
  },
  run: (i) => spaceFill(i.inside, i.cables, i.limitPercent),
  sheet: (i, o) => ({
    headline: `${o.percent.toFixed(1)} % of the inside is taken; ${o.ok ? "they go in" : "too much"}.`,
    scene: drawFill(i.inside, i.cables),
  }),
});
