import { z } from "zod";
import { drawKitchen } from "../drawings/wall-drawing";
import { checkKitchen } from "../trades/kitchen/served";
import { calculator } from "./calculator";
import * as f from "./fields";

const along = z
  .strictObject({ u0: f.place("From"), u1: f.place("To") })
  .refine((a) => a.u0 <= a.u1, { path: ["u1"], message: "must be at least u0" });

export default calculator({
  name: "kitchen.check",
  purpose: "Are the kitchen outlets clear of sink and hob, and can all be switched off?",
  group: "Kitchen",
  source: "Kitchen working practice to BS 7671:2018+A2:2022",
  input: z.strictObject({
    worktopHeight: f.length0("Worktop above the floor", 2000),
    sinks: f.rows("Bowls", along, 20).default([]),
    hobs: f.rows("Hobs", along, 20).default([]),
    points: f.rows(
      "Points",
      z.strictObject({
        id: f.name("Point"),
        kind: f.choice("Kind", ["outlet", "control", "fused-unit", "appliance-outlet"], { control: "cooker control" }),
        u: f.place("From the left"),
        v: f.place("Above the floor"),
        width: f.size("Width"),
        height: f.size("Height"),
        serves: z
          .union([f.name(), z.array(f.name()).max(20)])
          .optional()
          .meta({ title: "Serves" }),
      }),
    ),
    appliances: f
      .rows(
        "Appliances",
        z.strictObject({
          id: f.name("Appliance"),
          u: f.place("From the left"),
          v: f.place("Above the floor"),
          watts: f.number("Load", "W", 0, 100_000).optional(),
        }),
      )
      .default([]),
  }),
  output: z.object({ findings: f.findings }),
  first: {
    worktopHeight: 900,
    sinks: [{ u0: 600, u1: 1100 }],
    hobs: [{ u0: 2000, u1: 2580 }],
    points: [
      { id: "S1", kind: "outlet", u: 1378, v: 1150, width: 146, height: 86 },
      { id: "C1", kind: "control", u: 2800, v: 1150, width: 146, height: 86, serves: "oven" },
    ],
    appliances: [{ id: "oven", u: 2290, v: 450 }],
  },
  run: (i) => ({ facts: checkKitchen(i) }),
  sheet: (i, o) => ({
    headline: o.findings.length ? `Not yet: ${o.findings.length} to fix.` : "All clear.",
    scene: drawKitchen(i, new Set(o.findings.map((x) => x.subject))),
  }),
});
