import { z } from "zod";
import { checkJoist, joistRefusals } from "../timber/check-joist";
import { joistWindows } from "../timber/joist";
import { calculator } from "./calculator";
import * as f from "./fields";

const source = "Approved Document A, and new-home warranty practice; BS 7671:2018+A2:2022 522.6.201";
const windows = z.object({ zones: z.tuple([f.interval, f.interval]), maxDiameter: z.number(), fromTop: z.number(), maxDiameterUnplated: z.number() }).nullable();

export const timberWindows = calculator({
  name: "timber.windows",
  purpose: "Where along a joist may I bore or notch, and how big?",
  source,
  input: z.strictObject({ joist: f.joist, notchSchool: f.notchSchool, noggin: f.length0.default(0) }),
  output: z.object({
    /** null for an engineered joist: nothing is computed. */
    hole: windows,
    notch: z.object({ zones: z.tuple([f.interval, f.interval]), maxDepth: z.number(), edges: z.array(z.string()) }).nullable(),
    findings: f.findings,
  }),
  run: (i) => {
    const findings = joistRefusals(i.joist, false, "joist");
    if (i.joist.kind === "engineered") return { hole: null, notch: null, findings };
    const w = joistWindows(i.joist, i.notchSchool, i.noggin);
    return {
      hole: { ...w.hole, zones: w.hole.zones.map((z) => [...z]) as [[number, number], [number, number]] },
      notch: { ...w.notch, zones: w.notch.zones.map((z) => [...z]) as [[number, number], [number, number]] },
      findings,
    };
  },
});

const cut = z.discriminatedUnion("kind", [
  z.strictObject({ id: f.name, kind: z.literal("hole"), at: f.place, diameter: f.size, fromTop: f.place }),
  z.strictObject({ id: f.name, kind: z.literal("notch"), at: f.place, width: f.size, depth: f.size, edge: z.enum(["top", "bottom"]) }),
]);

export const timberCheck = calculator({
  name: "timber.check",
  purpose: "Are these holes and notches in a joist allowed, alone and together?",
  source,
  input: z.strictObject({ joist: f.joist, notchSchool: f.notchSchool, cuts: z.array(cut).max(200), heavyLoad: z.boolean().default(false), noggin: f.length0.default(0), axisTolerance: f.length0.default(5) }),
  output: z.object({ findings: f.findings }),
  run: (i) => ({ findings: checkJoist(i.joist, i.cuts, { notchSchool: i.notchSchool, heavyLoad: i.heavyLoad, noggin: i.noggin, axisTolerance: i.axisTolerance }) }),
});
