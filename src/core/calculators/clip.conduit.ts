import { z } from "zod";
import { conduitSupport } from "../trades/containment/supports";
import { drawClips } from "../drawings/line-drawings";
import { clipLayout } from "../trades/fixings/clips";
import { mm } from "../base/figures";
import { calculator } from "./calculator";
import * as f from "./fields";

export default calculator({
  name: "clip.conduit",
  purpose: "How far apart are the saddles of a conduit?",
  group: "Fixings",
  source: "On-site working practice to BS 7671:2018+A2:2022, spacing of supports for conduits",
  input: z.strictObject({
    material: f.choice("Material", ["metal", "insulating", "pliable"]),
    outside: f.size("Outside diameter", 200),
    orientation: f.choice("Direction", ["horizontal", "vertical"]),
    length: f.size("Length of the stretch").default(3000),
  }),
  output: z.object({ max: z.number(), band: z.string(), marks: z.array(z.number()), pitch: z.number() }),
  first: { material: "metal", outside: 20, orientation: "horizontal", length: 3000 },
  run: (i) => {
    const { max, band } = conduitSupport(i.material, i.outside, i.orientation === "vertical");
    const l = clipLayout(i.length, max, Math.min(150, i.length / 2));
    return { max, band, marks: l.marks, pitch: l.pitch };
  },
  sheet: (i, o) => ({
    headline: `At most ${mm(o.max)} apart; ${o.marks.length} on ${mm(i.length)}.`,
    scene: drawClips(i.length, o.marks, o.pitch),
    tape: { length: i.length, datum: "start", marks: o.marks.map((at, n) => ({ at, text: `saddle ${n + 1}` })) },
  }),
});
