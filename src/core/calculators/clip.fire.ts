import { z } from "zod";
import { checkFire } from "../trades/fixings/fire";
import { calculator } from "./calculator";
import * as f from "./fields";

export default calculator({
  name: "clip.fire",
  purpose: "Must these fixings be metal?",
  group: "Fixings",
  source: "BS 7671:2018+A2:2022 521.10.202",
  input: z.strictObject({
    where: f.choice(
      "How it lies",
      ["surface", "under-tray", "plastic-trunking", "kept-by-structure", "suspended-ceiling"],
      {
        surface: "clipped to a surface",
        "under-tray": "under a tray",
        "plastic-trunking": "in plastic trunking",
        "kept-by-structure": "in a chase, a floor void or on top of a tray",
        "suspended-ceiling": "tied to a suspended ceiling",
      },
    ),
    fixings: f.choice("Fixings", ["plastic", "metal"]),
    overEscape: f.flag("Over an escape route").default(false),
    besideDoor: f.length0("Beside its doorway").nullable().default(null),
    aboveDoor: f.length0("Above its doorway").nullable().default(null),
  }),
  output: z.object({ ok: z.boolean(), findings: f.findings }),
  first: { where: "surface", fixings: "plastic", overEscape: true },
  run: (i) => {
    const facts = checkFire(i);
    return { ok: !facts.some((x) => x.severity === "stop"), facts };
  },
  sheet: (_, o) => ({
    headline:
      o.findings.length === 0
        ? "Plastic fixings are acceptable here."
        : o.ok
          ? "Metal is better: plastic alone may let it fall."
          : "Yes: it could fall where people must get out.",
  }),
});
