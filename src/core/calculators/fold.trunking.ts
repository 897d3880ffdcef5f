import { z } from "zod";
import { halfNotch } from "../trades/containment/fold";
import { drawTrunkingFold } from "../drawings/fold-drawings";
import { fact } from "../rules/fact";
import { mm } from "../base/figures";
import { below } from "../base/tolerance";
import { calculator } from "./calculator";
import * as f from "./fields";

export default calculator({
  name: "fold.trunking",
  purpose: "Where do I cut trunking to fold a corner?",
  group: "Containment",
  source: "Geometry of the fold",
  input: z.strictObject({
    depth: f.size("Depth of the sides", 1000),
    angle: f.angle("Angle of the fold"),
    at: f.length0("Fold line from the end"),
  }),
  output: z.object({ halfNotch: z.number(), near: z.number(), far: z.number(), findings: f.findings }),
  first: { depth: 50, angle: 90, at: 300 },
  run: (i) => {
    const half = halfNotch(i.depth, i.angle);
    const near = i.at - half;
    return {
      halfNotch: half,
      near,
      far: i.at + half,
      facts: below(near, 0)
        ? [fact("fold.room", "input", "fold", { measured: near, limit: 0, sense: "least", unit: "mm", of: { half } })]
        : [],
    };
  },
  sheet: (i, o) => ({
    headline: `Cut both sides from ${mm(o.near)} and ${mm(o.far)} down to the fold line at ${mm(i.at)}.`,
    scene: drawTrunkingFold(i.depth, i.angle, i.at),
    tape: {
      length: o.far + i.depth,
      datum: "end of the trunking",
      marks: [
        { at: o.near, text: "near cut" },
        { at: i.at, text: "fold, on the back" },
        { at: o.far, text: "far cut" },
      ].filter((m) => m.at >= 0),
    },
    steps: [
      `Square the fold line all round at ${mm(i.at)}. If the lines do not meet, the square lies.`,
      `On both sides mark ${mm(o.near)} and ${mm(o.far)} at the open edge and draw to the fold line at the back.`,
      "Cut the sides only, never the back. Eyes, ears and hands covered.",
      `Take the lips out and cut them at ${mm(i.angle / 2)}°, or there is a hole at the corner.`,
      "Deburr until a finger runs clean.",
      "Fold, check with the square, drill both skins together, bolt with the heads inside.",
    ],
  }),
});
