import { z } from "zod";
import { drawBend } from "../drawings/bend-drawings";
import { bendRadius } from "../trades/fixings/bends";
import { clipSpacing } from "../trades/fixings/clips";
import { rowOf } from "../rules/catalogue";
import { mm } from "../base/figures";
import { COVER_ADDS } from "../rules/mineral-cables";
import { InputFault, calculator } from "./calculator";
import * as f from "./fields";

export default calculator({
  name: "mi.cable",
  purpose: "How thick is this mineral-insulated cable, and how is it clipped and bent?",
  group: "Ends",
  source: "BS EN 60702-1, typical sheath diameters",
  input: z.strictObject({
    designation: f.name("Designation, such as 4L2.5"),
    covered: f.flag("With a plastic cover").default(true),
  }),
  output: z.object({
    sheath: z.number(),
    overall: z.number(),
    volts: z.number(),
    radius: z.number(),
    clipHorizontal: z.number().nullable(),
    clipVertical: z.number().nullable(),
  }),
  first: { designation: "4L2.5", covered: false },
  run: (i, catalogue) => {
    const c = rowOf(catalogue.mineral, i.designation.toUpperCase());
    if (!c)
      throw new InputFault(
        "designation",
        `got "${i.designation}"; must be one of ${catalogue.mineral.map((m) => m.id).join(", ")}`,
      );
    const overall = c.sheath + (i.covered ? COVER_ADDS : 0);
    return {
      sheath: c.sheath,
      overall,
      volts: c.duty === "L" ? 500 : 750,
      radius: bendRadius("mi", c.sheath, c.sheath).radius,
      clipHorizontal: clipSpacing("mi", overall, "horizontal", true).max,
      clipVertical: clipSpacing("mi", overall, "vertical", true).max,
    };
  },
  sheet: (i, o) => ({
    headline: `Ø ${mm(o.sheath)} sheath, ${mm(o.overall)} over all, ${o.volts} V; the stripper is the one marked ${i.designation.toUpperCase()}.`,
    scene: drawBend(o.overall, o.radius),
  }),
});
