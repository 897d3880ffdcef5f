import { z } from "zod";
import { foldAngle, setMarks } from "../trades/containment/fold";
import { drawSet } from "../drawings/fold-drawings";
import { figure, mm } from "../base/figures";
import { InputFault, calculator } from "./calculator";
import * as f from "./fields";

export default calculator({
  name: "fold.set",
  purpose: "Where do I cut for a set over an obstacle?",
  group: "Containment",
  source: "Geometry of the fold",
  input: z.strictObject({
    depth: f.size("Depth of the trunking", 1000),
    offset: f.size("Offset to make"),
    angle: f.angle("Angle of each fold", 91).optional(),
    halfNotch: f.size("Half notch", 1000).optional(),
  }),
  output: z.object({
    angle: z.number(),
    halfNotch: z.number(),
    pitch: z.number(),
    secondNear: z.number(),
    marks: z.array(z.number()).length(6),
  }),
  first: { depth: 75, offset: 42, angle: 30 },
  run: (i) => {
    if ((i.angle === undefined) === (i.halfNotch === undefined))
      throw new InputFault(
        "angle",
        i.angle === undefined
          ? "got nothing; must have either an angle or a half notch"
          : "got an angle and a half notch; must be one of them",
      );
    const angle = i.angle ?? foldAngle(i.depth, i.halfNotch!);
    if (angle > 90 + 1e-9)
      throw new InputFault("halfNotch", `got ${i.halfNotch}; must be at most ${i.depth} (a fold of 90°)`);
    return setMarks(i.depth, i.offset, angle);
  },
  sheet: (i, o) => ({
    headline: `Second cut starts ${mm(o.secondNear)} past the first fold line; fold to fold ${mm(o.pitch)}, each by ${figure(o.angle, 1)}°.`,
    scene: drawSet(o, i.depth, i.offset),
    tape: {
      length: o.marks[5]! - o.marks[0]!,
      datum: "first near cut",
      marks: [
        "first near",
        "first fold",
        "first far",
        "second near, other face",
        "second fold, other face",
        "second far, other face",
      ].map((text, n) => ({ at: o.marks[n]! - o.marks[0]!, text })),
    },
    steps: [
      `Mark the first fold line. Mark ${mm(o.halfNotch)} either side of it on the open edge of both sides.`,
      `From the first fold line measure ${mm(o.pitch)} to the second fold line. It is on the opposite face.`,
      `The second notch runs from ${mm(o.secondNear)} to ${mm(o.pitch + o.halfNotch)} past the first fold line. The middle of it is the fold line, not the end of the slope: this half notch is what people get wrong.`,
      "Cut the first notch from one face, the second from the opposite face.",
      `Fold both by ${figure(o.angle, 1)}°. The offset comes to ${mm(i.offset)}; check it before bolting.`,
    ],
  }),
});
