import { z } from "zod";
import { middleRadius, radiusFacts, rightAngle } from "../trades/containment/conduit-bends";
import { drawRightAngle } from "../drawings/bend-drawings";
import { mm } from "../base/figures";
import { below } from "../base/tolerance";
import { InputFault, calculator } from "./calculator";
import * as f from "./fields";

export default calculator({
  name: "bend.conduit-90",
  purpose: "Where do I start a right-angle bend in conduit?",
  group: "Containment",
  source: "Geometry of the bend; BS EN 61386",
  input: z.strictObject({
    outside: f.size("Outside diameter", 200),
    innerRadius: f.size("Inner radius of the former", 2000),
    leg: f.size("End of tube to the back of the bend"),
  }),
  output: z.object({ start: z.number(), arc: z.number(), end: z.number(), findings: f.findings }),
  first: { outside: 20, innerRadius: 50, leg: 300 },
  run: (i) => {
    const b = rightAngle(i.outside, i.innerRadius, i.leg);
    if (below(b.start, 0))
      throw new InputFault(
        "leg",
        `got ${i.leg}; must be at least ${mm(middleRadius(i.outside, i.innerRadius) + i.outside / 2)}, the bend itself`,
      );
    return { ...b, facts: radiusFacts(i.outside, i.innerRadius) };
  },
  sheet: (i, o) => ({
    headline: `Start the bend ${mm(o.start)} from the end; it uses ${mm(o.arc)} and ends at ${mm(o.end)}.`,
    scene: drawRightAngle(i.outside, i.innerRadius, i.leg, o.start, o.end),
    tape: {
      length: o.end * 1.15,
      datum: "end of the tube",
      marks: [
        { at: o.start, text: "bend starts" },
        { at: (o.start + o.end) / 2, text: "middle of the bend" },
        { at: o.end, text: "bend ends" },
      ],
    },
    steps: [
      `Mark ${mm(o.start)} from the end and set it at the start of the former.`,
      "Bend a little past the square and let it spring back.",
      `Check ${mm(i.leg)} from the end to the back of the bend.`,
      `Plastic conduit: use the spring made for ${mm(i.outside)}, and warm the tube in cold weather.`,
    ],
  }),
});
