import { z } from "zod";
import { drawTrench } from "../drawings/outside-drawings";
import { buried, trench } from "../trades/outside/buried";
import { mm } from "../base/figures";
import { calculator } from "./calculator";
import * as f from "./fields";

export default calculator({
  name: "outside.buried",
  purpose: "How deep does the trench have to be?",
  group: "Outside",
  source: "BS 7671:2018+A2:2022 522.8.10, and custom",
  input: z.strictObject({
    depth: f.length0("Depth of the cable", 5000),
    armoured: f.flag("Armoured"),
    duct: f.flag("In a duct"),
    bedding: z.union([f.length0("Bed and cover", 1000), z.boolean()]).meta({ title: "Bed and cover", unit: "mm" }),
    marker: z
      .union([f.length0("Marker above the cable", 5000), z.boolean()])
      .meta({ title: "Marker above the cable", unit: "mm" }),
  }),
  output: z.object({ findings: f.findings }),
  first: { depth: 600, armoured: true, duct: false, bedding: 75, marker: 150 },
  run: (i) => ({ facts: buried(i) }),
  sheet: (i, o) => ({
    headline: o.findings.length ? `${mm(i.depth)} deep: ${o.findings.length} to fix.` : `${mm(i.depth)} deep is right.`,
    scene: drawTrench(i),
    tape: {
      length: i.depth + trench.bed[0],
      datum: "ground",
      marks: [
        ...(typeof i.marker === "number" && i.marker > 0 && i.marker < i.depth
          ? [{ at: i.depth - i.marker, text: "marker" }]
          : []),
        { at: i.depth, text: "cable" },
        { at: i.depth + (typeof i.bedding === "number" ? i.bedding : trench.bed[0]), text: "bottom of the trench" },
      ],
    },
  }),
});
