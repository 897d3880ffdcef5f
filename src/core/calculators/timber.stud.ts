import { z } from "zod";
import { drawJoist } from "../drawings/joist-drawing";
import { mm, most } from "../base/figures";
import { checkStud } from "../trades/timber/stud";
import { calculator } from "./calculator";
import * as f from "./fields";

export default calculator({
  name: "timber.stud",
  purpose: "How big a hole may go through a stud?",
  group: "Timber",
  source: "Approved Document A, and on-site practice; BS 7671:2018+A2:2022 522.6.202",
  input: z.strictObject({
    depth: f.size("Depth of the stud", 400),
    diameter: f.size("Diameter of the hole", 400),
    fromFace: f.length0("Centre from the face").optional(),
    inZone: f.flag("The cable lies in a zone").default(true),
  }),
  output: z.object({ maxDiameter: z.number(), centre: z.number(), cover: z.number(), findings: f.findings }),
  first: { depth: 89, diameter: 20, inZone: true },
  run: (i) => checkStud(i.depth, i.diameter, i.fromFace ?? i.depth / 2, i.inZone),
  sheet: (i, o) => ({
    headline: `At most Ø ${most(o.maxDiameter)}, ${mm(o.centre)} from either face; this one leaves ${mm(o.cover)} to the nearest face.`,
    scene: drawJoist(
      { kind: "solid", depth: i.depth, breadth: 38, span: 600 },
      null,
      [{ id: "hole", kind: "hole", at: 300, diameter: i.diameter, fromTop: i.fromFace ?? i.depth / 2 }],
      new Set(o.findings.length ? ["hole"] : []),
    ),
  }),
});
