import { z } from "zod";
import type { Core } from "../trades/containment/term-fill";
import { sizeName, termFill } from "../trades/containment/term-fill";
import type { Filling } from "../trades/containment/space-fill";
import { drawFill } from "../drawings/fill-drawing";
import { rowOf } from "../rules/catalogue";
import { mm } from "../base/figures";
import { InputFault, calculator } from "./calculator";
import * as f from "./fields";

/** Outside diameter of single-core 70 °C cable, mm, by section. Typical; for the drawing only. */
const singleCore: Record<string, number> = {
  "1": 2.8,
  "1.5": 3.0,
  "2.5": 3.6,
  "4": 4.2,
  "6": 4.8,
  "10": 6.2,
  "16": 7.3,
  "25": 9.0,
};
export const coreFillings = (cores: readonly Core[]): Filling[] =>
  cores.map((c) => ({ diameter: singleCore[String(c.csa)] ?? Math.sqrt(c.csa) * 1.8, qty: c.qty }));

export default calculator({
  name: "fill.term",
  purpose: "How many single cores may I draw into this conduit or trunking?",
  group: "Containment",
  source: "On-site working practice to BS 7671:2018+A2:2022, conduit and trunking capacities",
  input: z.strictObject({
    container: z
      .strictObject({
        kind: f.choice("Kind", ["conduit", "trunking"]),
        size: f.containerSize,
        length: f.length0("Length between draw-in points").default(0),
        bends: f.whole("Right-angle bends", 0, 20).default(0),
      })
      .meta({ title: "Containment" }),
    cores: f.rows("Single cores", f.core),
  }),
  output: z.object({ sum: z.number(), limit: z.number().nullable(), ok: z.boolean(), findings: f.findings }),
  first: {
    container: { kind: "conduit", size: 20, length: 5000, bends: 1 },
    cores: [{ csa: 2.5, construction: "stranded", qty: 6 }],
  },
  run: (i) => {
    const { kind, size, length, bends } = i.container;
    if (kind === "conduit" && bends > 0 && length === 0)
      throw new InputFault(
        "container.length",
        "got 0; with bends it must be the length between draw-in points, more than 0",
      );
    const out = termFill({ kind, size: String(size), length, bends }, i.cores);
    if ("message" in out) throw new InputFault(out.path, out.message);
    return out;
  },
  sheet: (i, o, catalogue) => {
    const size = sizeName(i.container.size);
    const conduit = rowOf(catalogue.conduits, size);
    const trunking = rowOf(catalogue.trunkings, size);
    const inside =
      i.container.kind === "conduit"
        ? conduit && { diameter: conduit.inside }
        : trunking && { width: trunking.insideWidth, height: trunking.insideHeight };
    return {
      headline:
        o.limit === null
          ? "Beyond the table: put in a box to draw from."
          : `The cores come to ${mm(o.sum)} of ${mm(o.limit)}: ${o.ok ? "they go in" : "too many"}.`,
      ...(inside ? { scene: drawFill(inside, coreFillings(i.cores)) } : {}),
    };
  },
});
