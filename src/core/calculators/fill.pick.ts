import { z } from "zod";
import { pickForCables, pickForCores } from "../trades/containment/pick";
import { drawFill } from "../drawings/fill-drawing";
import { rowOf } from "../rules/catalogue";
import { mm } from "../base/figures";
import { InputFault, calculator } from "./calculator";
import * as f from "./fields";
import { coreFillings } from "./fill.term";

const choice = z.object({
  size: z.string(),
  sum: z.number().optional(),
  percent: z.number().optional(),
  limit: z.number(),
});

export default calculator({
  name: "fill.pick",
  purpose: "Which size of conduit or trunking takes these?",
  group: "Containment",
  source:
    "On-site working practice to BS 7671:2018+A2:2022, capacities and space factor; BS EN 61386 and BS EN 50085, typical inside sizes",
  input: z.strictObject({
    kind: f.choice("Kind", ["conduit", "trunking"]),
    length: f.length0("Length between draw-in points").default(0),
    bends: f.whole("Right-angle bends", 0, 20).default(0),
    cores: f.rows("Single cores", f.core).optional(),
    cables: f.rows("Other cables", f.filling).optional(),
  }),
  output: z.object({
    size: z.string().nullable(),
    sum: z.number().optional(),
    percent: z.number().optional(),
    limit: z.number().nullable(),
    alternatives: z.array(choice),
    findings: f.findings,
  }),
  first: { kind: "trunking", cables: [{ width: 10.1, thickness: 5.8, qty: 6 }] },
  run: (i, catalogue) => {
    const some = (list: readonly { qty: number }[] | undefined): boolean => !!list?.some((x) => x.qty > 0);
    if (some(i.cores) === some(i.cables))
      throw new InputFault(
        "cores",
        some(i.cores)
          ? "got cores and cables; must be one or the other, since mixed cable goes by the space rule: list all as cables"
          : "got nothing; must list single cores, or other cables",
      );
    if (some(i.cables)) return pickForCables(i.kind, i.cables!, catalogue);
    if (i.kind === "conduit" && i.bends > 0 && i.length === 0)
      throw new InputFault("length", "got 0; with bends it must be the length between draw-in points, more than 0");
    const out = pickForCores(i.kind, i.length, i.bends, i.cores!);
    if ("message" in out) throw new InputFault(out.path, out.message);
    return out;
  },
  sheet: (i, o, catalogue) => {
    const conduit = o.size === null ? null : rowOf(catalogue.conduits, o.size);
    const trunking = o.size === null ? null : rowOf(catalogue.trunkings, o.size);
    const inside =
      i.kind === "conduit"
        ? conduit && { diameter: conduit.inside }
        : trunking && { width: trunking.insideWidth, height: trunking.insideHeight };
    const how = o.percent !== undefined ? `${o.percent.toFixed(1)} % full` : `${mm(o.sum ?? 0)} of ${mm(o.limit ?? 0)}`;
    return {
      headline: o.size === null ? "None of the sizes takes them all." : `Take ${o.size.replace("x", " × ")}: ${how}.`,
      ...(inside ? { scene: drawFill(inside, i.cables?.length ? i.cables : coreFillings(i.cores ?? [])) } : {}),
      steps: o.alternatives
        .slice(0, 3)
        .map(
          (a) =>
            `With more to spare: ${a.size.replace("x", " × ")}, ${a.percent !== undefined ? `${a.percent.toFixed(1)} %` : `${mm(a.sum ?? 0)} of ${mm(a.limit)}`}.`,
        ),
    };
  },
});
