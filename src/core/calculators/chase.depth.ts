import { z } from "zod";
import { atMost } from "../base/tolerance";
import { mm, most } from "../base/figures";
import { deepestChase } from "../rules/chases";
import { fact } from "../rules/fact";
import { calculator } from "./calculator";
import * as f from "./fields";

export default calculator({
  name: "chase.depth",
  purpose: "How deep may a chase go into this leaf?",
  group: "Walls and zones",
  source: "Approved Document A",
  input: z.strictObject({
    leaf: f.size("Leaf of the wall", 2000),
    depth: f.length0("Chase", 2000),
    direction: f.choice("It goes", ["plumb", "level"]),
  }),
  output: z.object({ most: z.number(), findings: f.findings }),
  first: { leaf: 100, depth: 25, direction: "level" },
  run: ({ leaf, depth, direction }) => {
    const limit = deepestChase({ build: "masonry", thickness: leaf, leaf }, direction);
    const limits = { measured: depth, limit, sense: "most", unit: "mm" } as const;
    return {
      most: limit,
      facts: atMost(depth, limit)
        ? []
        : [fact("chase.depth", "input", "chase", { ...limits, case: direction, of: { leaf } })],
    };
  },
  sheet: (i, o) => ({
    headline: `${i.direction === "plumb" ? "A third" : "A sixth"} of the leaf: at most ${most(o.most)} deep; ${mm(i.depth)} ${o.findings.length ? "is too deep" : "may be"}.`,
  }),
});
