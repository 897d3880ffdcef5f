import { z } from "zod";
import { trayCutOffset } from "../trades/containment/fold";
import { drawTray } from "../drawings/fold-drawings";
import { mm } from "../base/figures";
import { calculator } from "./calculator";
import * as f from "./fields";

export default calculator({
  name: "fold.tray",
  purpose: "Where do I cut tray for a flat bend?",
  group: "Containment",
  source: "Geometry of the fold",
  input: z.strictObject({
    width: f.size("Width of the tray", 2000),
    angle: f.angle("Angle of the bend"),
    at: f.length0("Centre line from the end").default(0),
  }),
  output: z.object({ cutOffset: z.number(), marks: z.array(z.number()).length(3) }),
  first: { width: 150, angle: 90, at: 500 },
  run: (i) => {
    const cutOffset = trayCutOffset(i.width, i.angle);
    return { cutOffset, marks: [i.at - cutOffset, i.at, i.at + cutOffset] };
  },
  sheet: (i, o) => ({
    headline: `Two cuts, ${mm(o.cutOffset)} either side of the centre line, from the inner lip to the outer; each folds ${mm(i.angle / 2)}°.`,
    scene: drawTray(i.width, o.cutOffset),
    tape: {
      length: Math.max(o.marks[2]! * 1.2, 10),
      datum: "end of the tray",
      marks: o.marks.flatMap((at, n) => (at < 0 ? [] : [{ at, text: ["cut", "centre line", "cut"][n]! }])),
    },
    steps: [
      `Square the centre line across the tray${i.at > 0 ? ` at ${mm(i.at)}` : ""}.`,
      `Square a cut ${mm(o.cutOffset)} to each side of it.`,
      "Cut from the inner lip across to the outer lip, and leave the outer lip whole.",
      `Fold both cuts inwards to the centre line, ${mm(i.angle / 2)}° each.`,
      "Trim the four lips that meet. Deburr until a finger runs clean.",
      "Check against a known right angle, then bolt.",
    ],
  }),
});
