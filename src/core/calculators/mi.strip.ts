import { z } from "zod";
import { drawStrip } from "../drawings/end-drawings";
import { MI_TAILS, mineralStrip } from "../trades/ends/mineral-strip";
import { below } from "../base/tolerance";
import { fact } from "../rules/fact";
import { mm } from "../base/figures";
import { calculator } from "./calculator";
import * as f from "./fields";

export default calculator({
  name: "mi.strip",
  purpose: "Where do I strip the second end of a mineral-insulated cable?",
  group: "Ends",
  source: "Trade habit; BS EN 60702-1",
  input: z.strictObject({
    faceToFace: f.size("Face of box to face of box"),
    entry: f.length0("Sheath inside the second box").default(0),
    tails: f.length0("Tails beyond the sheath").default(MI_TAILS),
    stripperBody: f.length0("Body of the stripper", 500),
  }),
  output: z.object({ sheathEnd: z.number(), cut: z.number(), coverMark: z.number(), findings: f.findings }),
  first: { faceToFace: 850, entry: 4, tails: 60, stripperBody: 45 },
  run: (i) => {
    const o = mineralStrip(i.faceToFace, i.entry, i.tails, i.stripperBody);
    return {
      ...o,
      facts: below(o.coverMark, 0)
        ? [fact("mi.strip", "input", "end", { measured: o.coverMark, limit: 0, sense: "least", unit: "mm" })]
        : [],
    };
  },
  sheet: (i, o) => ({
    headline: `Sheath ends at ${mm(o.sheathEnd)}, cover at ${mm(o.coverMark)}, cut at ${mm(o.cut)} from the face of the box already made off.`,
    scene: drawStrip(
      "Second end of a mineral-insulated cable",
      [
        { to: Math.max(0, o.coverMark), name: "cover", fill: "cable2", high: 1.1 },
        { to: o.sheathEnd, name: "stripper", fill: "metal", high: 0.8 },
        { to: o.cut, name: "tails", fill: "cable", high: 0.4 },
      ],
      [
        { at: Math.max(0, o.coverMark), text: "cover" },
        { at: o.sheathEnd, text: "sheath ends" },
        { at: o.cut, text: "cut" },
      ],
    ),
    tape: {
      length: o.cut,
      datum: "face of the box already made off",
      marks: [
        { at: Math.max(0, o.coverMark), text: "cover off to here" },
        { at: o.sheathEnd, text: "sheath ends" },
        { at: o.cut, text: "cut" },
      ],
    },
    steps: [
      "Cable straight; both shrouds on, opposite ways, before anything.",
      `Cut at ${mm(o.cut)} with a fine hacksaw: pliers make the end oval and the stripper will not go on.`,
      `Take the plastic cover off only to ${mm(o.coverMark)}.`,
      `Strip until the tool runs into the cover and stops itself: the sheath then ends at ${mm(o.sheathEnd)}.`,
      "Pot screwed on square, filled, sealed hand-tight; test; press home, square; test again; only then fix.",
      "Scrap straight into the bin: round offcuts roll underfoot.",
    ],
  }),
});
