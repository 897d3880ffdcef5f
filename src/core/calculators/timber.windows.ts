import { z } from "zod";
import { drawJoist } from "../drawings/joist-drawing";
import { mm, most } from "../base/figures";
import { joistRefusals } from "../trades/timber/check-joist";
import { joistWindows } from "../trades/timber/joist";
import { calculator } from "./calculator";
import * as f from "./fields";

const windows = z
  .object({
    zones: z.tuple([f.interval, f.interval]),
    maxDiameter: z.number(),
    fromTop: z.number(),
    maxDiameterUnplated: z.number(),
  })
  .nullable();

export default calculator({
  name: "timber.windows",
  purpose: "Where along a joist may I drill or notch, and how big?",
  group: "Timber",
  source: "Approved Document A, and new-home warranty practice; BS 7671:2018+A2:2022 522.6.201",
  input: z.strictObject({
    joist: f.joist,
    notchSchool: f.notchSchool,
    noggin: f.length0("Batten or noggin fixed on top later").default(0),
  }),
  output: z.object({
    /** null for an engineered joist: nothing is computed. */
    hole: windows,
    notch: z
      .object({ zones: z.tuple([f.interval, f.interval]), maxDepth: z.number(), edges: z.array(z.string()) })
      .nullable(),
    findings: f.findings,
  }),
  first: { joist: { kind: "solid", depth: 195, breadth: 47, span: 3600 }, notchSchool: "warranty", noggin: 0 },
  run: (i) => {
    const facts = joistRefusals(i.joist, false, "joist");
    if (i.joist.kind === "engineered") return { hole: null, notch: null, facts };
    const w = joistWindows(i.joist, i.notchSchool, i.noggin);
    return {
      hole: { ...w.hole, zones: w.hole.zones.map((q) => [...q]) as [[number, number], [number, number]] },
      notch: { ...w.notch, zones: w.notch.zones.map((q) => [...q]) as [[number, number], [number, number]] },
      facts,
    };
  },
  sheet: (i, o) => {
    if (!o.hole || !o.notch)
      return { headline: "Engineered joists are cut only as their maker says.", scene: drawJoist(i.joist, null) };
    const [[a, b], [c, d]] = o.hole.zones;
    return {
      headline: `Drill ${mm(a)} to ${mm(b)} from either bearing, ${mm(o.hole.fromTop)} down, Ø ${most(o.hole.maxDiameter)} at most${o.hole.maxDiameterUnplated < o.hole.maxDiameter ? `; over Ø ${most(o.hole.maxDiameterUnplated)} with a steel plate` : ""}.`,
      scene: drawJoist(i.joist, joistWindows(i.joist, i.notchSchool, i.noggin)),
      tape: {
        length: i.joist.span,
        datum: "left bearing face",
        marks: [
          { at: a, text: "drill from" },
          { at: b, text: "drill to" },
          { at: c, text: "drill from" },
          { at: d, text: "drill to" },
        ],
      },
      steps: [
        "Hook the tape on the bearing face, not on the room's plaster.",
        `Mark ${mm(a)} and ${mm(b)} from each bearing on every joist.`,
        `Drill on the centre line, ${mm(o.hole.fromTop)} from the top, bits up to Ø ${most(o.hole.maxDiameter)}.`,
        `Keep holes three diameters apart: ${mm(3 * o.hole.maxDiameter)} for the largest.`,
      ],
    };
  },
});
