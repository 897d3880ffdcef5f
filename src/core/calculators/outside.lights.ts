import { z } from "zod";
import { drawPath } from "../drawings/outside-drawings";
import { pathLights } from "../trades/outside/path-lights";
import { count, mm } from "../base/figures";
import { InputFault, calculator } from "./calculator";
import * as f from "./fields";

export default calculator({
  name: "outside.lights",
  purpose: "Where do the lights along a path go?",
  group: "Outside",
  source: "Geometry: equal gaps, sides in turn",
  input: z.strictObject({
    length: f.size("Length of the path", 1_000_000),
    count: f.whole("How many lights", 1, 500),
    end: f.length0("First and last from the ends", 500_000),
    sides: z.union([z.literal(1), z.literal(2)]).meta({ title: "Sides" }),
  }),
  output: z.object({
    positions: z.array(z.object({ at: z.number(), side: z.union([z.literal(1), z.literal(2)]) })),
    gap: z.number(),
  }),
  first: { length: 12000, count: 5, end: 1000, sides: 2 },
  run: (i) => {
    if (2 * i.end > i.length + 1e-6)
      throw new InputFault("end", `got ${i.end}; must be at most ${mm(i.length / 2)}, half the path`);
    return pathLights(i.length, i.count, i.end, i.sides);
  },
  sheet: (i, o) => ({
    headline:
      o.positions.length > 1
        ? `${count(i.count, "light")}, ${mm(o.gap)} apart along the path.`
        : `One light at ${mm(o.positions[0]!.at)}.`,
    scene: drawPath(i.length, o.positions, o.gap),
    tape: {
      length: i.length,
      datum: "start of the path",
      marks: o.positions.map((p, n) => ({ at: p.at, text: `light ${n + 1}, ${p.side === 1 ? "near" : "far"} side` })),
    },
    steps: ["Leave a loop at each light.", "Spare joint boxes now are cheaper than a second trench."],
  }),
});
