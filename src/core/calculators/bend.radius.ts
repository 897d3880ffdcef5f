import { z } from "zod";
import { drawBend } from "../drawings/bend-drawings";
import { bendFacts, bendRadius } from "../trades/fixings/bends";
import { mm } from "../base/figures";
import { calculator } from "./calculator";
import * as f from "./fields";

const shared = {
  family: f.choice("Cable", ["sheathed", "armoured", "mi"], { mi: "mineral-insulated" }),
  conductor: f
    .choice("Conductor", ["circular", "shaped"], { circular: "round copper", shaped: "shaped, or solid aluminium" })
    .default("circular"),
  actual: f.length0("Actual radius").optional(),
};

export default calculator({
  name: "bend.radius",
  purpose: "How tightly may I bend this cable?",
  group: "Fixings",
  source: "BS 7671:2018+A2:2022 522.8.3, on-site guidance",
  input: z.union([
    z.strictObject({ ...shared, overall: f.size("Overall diameter", 300) }).meta({ title: "Round" }),
    z
      .strictObject({
        ...shared,
        width: f.size("Width", 300),
        thickness: f.size("Thickness", 300),
        about: f
          .choice("Bent about", ["width", "thickness"], {
            width: "its wide axis, the cautious way",
            thickness: "its thin axis, the flat way",
          })
          .default("width"),
      })
      .meta({ title: "Flat" }),
  ]),
  output: z.object({ factor: z.number(), radius: z.number(), findings: f.findings }),
  first: { family: "sheathed", width: 10.1, thickness: 5.8 },
  run: (i) => {
    const [w, t, about] = "overall" in i ? [i.overall, i.overall, "width" as const] : [i.width, i.thickness, i.about];
    const b = bendRadius(i.family, w, t, about, i.conductor);
    return {
      ...b,
      facts: bendFacts(i.family, "overall" in i ? i.overall : about === "width" ? w : t, b.radius, i.actual),
    };
  },
  sheet: (i, o) => ({
    headline: `Inner radius at least ${mm(o.radius)}, ${o.factor} times the diameter.`,
    scene: drawBend(
      "overall" in i
        ? i.overall
        : i.about === "width"
          ? Math.max(i.width, i.thickness)
          : Math.min(i.width, i.thickness),
      o.radius,
    ),
  }),
});
