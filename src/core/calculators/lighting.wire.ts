import { z } from "zod";
import { count } from "../base/figures";
import { carriedNames, coresFor } from "../rules/cores";
import { wireLighting } from "../trades/lighting/wire";
import { drawLightingWires } from "../drawings/calculator-drawings";
import { InputFault, calculator } from "./calculator";
import * as f from "./fields";

export default calculator({
  name: "lighting.wire",
  purpose: "Which cables does a lighting circuit need beyond its feed?",
  group: "Circuits",
  source: "On-site working practice to BS 7671:2018+A2:2022; 314.4",
  input: z.strictObject({
    feed: f.choice("Feed loops", ["rose", "switch"], { rose: "at the rose", switch: "at the switch" }),
    lights: z.array(f.name("Light")).max(200).meta({ title: "Lights", hint: "their labels" }),
    switches: f.rows(
      "Switches",
      z.strictObject({
        id: f.name("Switch"),
        gangs: f.rows(
          "Gangs",
          z.strictObject({
            works: z.array(f.name("Light")).max(40).meta({ title: "Works", hint: "labels of lights" }),
          }),
          6,
        ),
      }),
    ),
    circuits: z
      .record(f.name(), f.name("Circuit"))
      .optional()
      .meta({ title: "Circuit of each, where they differ", hint: "L1 up, W1 down" }),
    switchNeutral: f.flag("A neutral at the first switch").default(false),
  }),
  output: z.object({
    loops: z.array(z.string()),
    cables: z.array(
      z.object({
        from: z.string(),
        to: z.string(),
        cores: z.union([z.literal(2), z.literal(3)]),
        carries: z.array(z.enum(carriedNames)),
      }),
    ),
    findings: f.findings,
  }),
  first: {
    feed: "rose",
    lights: ["L1", "L2"],
    switches: [
      { id: "W1", gangs: [{ works: ["L1"] }, { works: ["L2"] }] },
      { id: "W2", gangs: [{ works: ["L2"] }] },
    ],
  },
  run: (i) => {
    const seen = new Set<string>();
    const once = (path: string, id: string): void => {
      if (seen.has(id)) throw new InputFault(path, `got "${id}"; must differ from the other lights and switches`);
      seen.add(id);
    };
    i.lights.forEach((l, n) => once(`lights.${n}`, l));
    i.switches.forEach((s, n) => once(`switches.${n}.id`, s.id));
    const lights = new Set(i.lights);
    i.switches.forEach((s, n) =>
      s.gangs.forEach((g, k) =>
        g.works.forEach((l, m) => {
          if (!lights.has(l))
            throw new InputFault(`switches.${n}.gangs.${k}.works.${m}`, `got "${l}"; must be one of the lights`);
        }),
      ),
    );
    return wireLighting({ ...i, circuits: i.circuits ?? {} });
  },
  sheet: (i, o) => {
    const three = o.cables.filter((c) => coresFor(c.carries) === 3).length;
    return {
      headline: `${count(o.cables.length, "cable")} beyond the feed, ${three} of them with three cores; the feed loops at ${o.loops.join(", ") || "nothing"}.`,
      scene: drawLightingWires(
        i.lights,
        i.switches.map((s) => s.id),
        o.loops,
        o.cables,
      ),
    };
  },
});
