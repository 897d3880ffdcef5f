import { z } from "zod";
import { trunkingSupport } from "../trades/containment/supports";
import { drawClips } from "../drawings/line-drawings";
import { clipLayout } from "../trades/fixings/clips";
import { type Fact, fact } from "../rules/fact";
import { mm } from "../base/figures";
import { calculator } from "./calculator";
import * as f from "./fields";

export default calculator({
  name: "clip.trunking",
  purpose: "How far apart are the fixings of trunking?",
  group: "Fixings",
  source: "On-site working practice to BS 7671:2018+A2:2022, spacing of supports for trunking",
  input: z.strictObject({
    material: f.choice("Material", ["metal", "insulating"]),
    width: f.size("Width", 1000),
    height: f.size("Height", 1000),
    orientation: f.choice("Direction", ["horizontal", "vertical"]),
    length: f.size("Length of the stretch").default(3000),
  }),
  output: z.object({
    max: z.number().nullable(),
    band: z.string(),
    marks: z.array(z.number()),
    pitch: z.number(),
    findings: f.findings,
  }),
  first: { material: "metal", width: 50, height: 50, orientation: "horizontal", length: 3000 },
  run: (i) => {
    const { max, band } = trunkingSupport(i.material, i.width * i.height, i.orientation === "vertical");
    const facts: Fact[] =
      max === null
        ? [fact("clip.trunking", "input", "trunking", { severity: "warn", measured: i.width * i.height, unit: "mm²" })]
        : [];
    const l = max === null ? { marks: [], pitch: 0 } : clipLayout(i.length, max, Math.min(150, i.length / 2));
    return { max, band, marks: l.marks, pitch: l.pitch, facts };
  },
  sheet: (i, o) =>
    o.max === null
      ? { headline: "No spacing is published: follow the maker." }
      : {
          headline: `At most ${mm(o.max)} apart; ${o.marks.length} on ${mm(i.length)}.`,
          scene: drawClips(i.length, o.marks, o.pitch),
          tape: { length: i.length, datum: "start", marks: o.marks.map((at, n) => ({ at, text: `fixing ${n + 1}` })) },
        },
});
