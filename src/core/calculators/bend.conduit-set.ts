import { z } from "zod";
import { conduitSet, leastOffset, radiusFacts } from "../trades/containment/conduit-bends";
import { drawConduitSet } from "../drawings/bend-drawings";
import { mm } from "../base/figures";
import { below } from "../base/tolerance";
import { InputFault, calculator } from "./calculator";
import * as f from "./fields";

export default calculator({
  name: "bend.conduit-set",
  purpose: "Where do I bend conduit for a set?",
  group: "Containment",
  source: "Geometry of the bend; BS EN 61386",
  input: z.strictObject({
    outside: f.size("Outside diameter", 200),
    innerRadius: f.size("Inner radius of the former", 2000),
    offset: f.size("Offset to make"),
    angle: f.angle("Angle of each bend", 91),
  }),
  output: z.object({ centreToCentre: z.number(), arc: z.number(), findings: f.findings }),
  first: { outside: 20, innerRadius: 50, offset: 60, angle: 30 },
  run: (i) => {
    const least = leastOffset(i.outside, i.innerRadius, i.angle);
    if (below(i.offset, least))
      throw new InputFault(
        "offset",
        `got ${i.offset}; must be at least ${mm(least)} for two bends of ${i.angle}° with this former`,
      );
    const { centreToCentre, arc } = conduitSet(i.outside, i.innerRadius, i.offset, i.angle);
    return { centreToCentre, arc, facts: radiusFacts(i.outside, i.innerRadius) };
  },
  sheet: (i, o) => ({
    headline: `Middle of the first bend to middle of the second: ${mm(o.centreToCentre)} along the tube.`,
    scene: drawConduitSet(i.outside, i.innerRadius, i.offset, i.angle, o.centreToCentre, o.arc),
    tape: {
      length: o.centreToCentre + o.arc,
      datum: "start of the first bend",
      marks: [
        { at: 0, text: "first bend starts" },
        { at: o.arc / 2, text: "middle of the first" },
        { at: o.arc, text: "first bend ends" },
        { at: o.centreToCentre, text: "second bend starts" },
        { at: o.centreToCentre + o.arc / 2, text: "middle of the second" },
      ],
    },
    steps: [
      "Mark the middle of the first bend.",
      `Mark the middle of the second ${mm(o.centreToCentre)} along the tube.`,
      `Bend the first by ${mm(i.angle)}°; each bend uses ${mm(o.arc)} of tube, half either side of its mark.`,
      "Turn the tube over, keep it in line, and bend the second back by the same angle.",
      `Lay it on a straight edge: the offset is ${mm(i.offset)}.`,
    ],
  }),
});
