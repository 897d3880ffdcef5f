import { isSignalCable } from "../rules/cables";
import { z } from "zod";
import { checkCircuit, circuitFault } from "../trades/circuits/check-circuit";
import { USUAL_AIR, USUAL_SOIL, armourMethods, earthings, flatMethods, groupings } from "../rules/ratings";
import { drawLines } from "../drawings/line-drawings";
import type { Catalogue } from "../rules/catalogue";
import { cableOf } from "../rules/catalogue";
import { figure, mm } from "../base/figures";
import { InputFault, calculator } from "./calculator";
import * as f from "./fields";

const methods = [...new Set([...flatMethods, ...armourMethods])] as ["100", "101", "102", "103", "C", "A", "E", "D"];
const cable = (id: string, catalogue: Catalogue) => {
  const c = cableOf(id, catalogue);
  if (!c || c.family === "mi" || isSignalCable(c))
    throw new InputFault("cable", `got "${id}"; must be one of ${catalogue.cables.map((x) => x.id).join(", ")}`);
  return c;
};

export default calculator({
  name: "circuit.check",
  purpose: "Does this circuit hold: device, cable, volt drop, fault loop?",
  group: "Circuits",
  source: "BS 7671:2018+A2:2022 433, 525, 411 and Appendix 4",
  input: z.strictObject({
    kind: f.choice("Kind", ["ring", "radial", "lighting", "cooker", "fixed"]),
    device: z
      .strictObject({ curve: f.choice("Curve", ["B", "C"]), rating: f.number("Rating", "A", 1, 125) })
      .meta({ title: "Device" }),
    cable: f.name("Cable of the catalogue"),
    designCurrent: f.number("Design current", "A", 0, 1000),
    legs: z
      .array(
        z.strictObject({
          length: f.size("Length"),
          method: f.choice("Method", methods),
          grouped: f.whole("Circuits grouped", 1, 20).default(1),
          /** Of the soil for method D. Left out: 30 of the air, 20 of the soil. */
          ambient: f.number("Ambient", "°C", -10, 60).optional(),
          insulated: f.length0("Through insulation").default(0),
          arrangement: f
            .choice("Lie", groupings, {
              bunched: "bunched or enclosed",
              wall: "one layer on a wall or floor",
              tray: "one layer on perforated tray",
              ground: "touching in the ground",
            })
            .default("bunched"),
        }),
      )
      .min(1)
      .max(200)
      .meta({ title: "Legs" }),
    supply: z
      .strictObject({
        ze: f.number("Ze", "Ω", 0, 2000).optional(),
        earthing: f.choice("Earthing", earthings).optional(),
        rcd: f.number("RCD", "mA", 10, 500).optional(),
      })
      .meta({ title: "Supply" })
      .optional(),
    spurs: z
      .array(
        z.strictObject({
          at: f.whole("After leg", 0, 199),
          length: f.size("Length"),
          method: f.choice("Method", methods),
          grouped: f.whole("Circuits grouped", 1, 20).default(1),
        }),
      )
      .max(60)
      .default([])
      .meta({ title: "Spurs" }),
    accessories: z
      .union([z.literal(70), z.literal(90)])
      .default(70)
      .meta({ title: "Terminal temperature rating", unit: "°C" }),
    earth: f.choice("Earth of armoured cable", ["armour", "core", "both"]).default("armour"),
    floorArea: f.number("Floor served by a ring", "m²", 0, 10_000).optional(),
  }),
  output: z.object({
    iz: z.number(),
    worstLeg: z.number(),
    zs: z.number(),
    maxZs: z.number().nullable(),
    drop: z.object({ volts: z.number(), percent: z.number(), limit: z.number() }),
    spurs: z.array(z.object({ zs: z.number(), drop: z.object({ volts: z.number(), percent: z.number() }) })),
    points: z.array(
      z.object({ at: z.number(), zs: z.number(), drop: z.object({ volts: z.number(), percent: z.number() }) }),
    ),
    findings: f.findings,
  }),
  first: {
    kind: "ring",
    device: { curve: "B", rating: 32 },
    cable: "te-2.5",
    designCurrent: 32,
    legs: [
      { length: 30000, method: "C" },
      { length: 12000, method: "102" },
      { length: 14000, method: "C" },
    ],
    supply: { ze: 0.35 },
  },
  run: (i, catalogue) => {
    const late = i.spurs.findIndex((s) => s.at >= i.legs.length);
    if (late >= 0)
      throw new InputFault(
        `spurs.${late}.at`,
        `got ${i.spurs[late]!.at}; legs are counted from 0, so it must be at most ${i.legs.length - 1}`,
      );
    const usual = (method: string): number => (method === "D" ? USUAL_SOIL : USUAL_AIR);
    const input = {
      ...i,
      legs: i.legs.map((l) => ({ ...l, ambient: l.ambient ?? usual(l.method) })),
      cable: cable(i.cable, catalogue),
      ze: i.supply?.ze ?? null,
      earthing: i.supply?.earthing ?? null,
      rcd: i.supply?.rcd ?? null,
      spurs: i.spurs.map(({ at, length, method, grouped }) => ({
        at,
        legs: [{ length, method, grouped, ambient: i.legs[at]!.ambient ?? usual(method), insulated: 0 }],
      })),
    };
    const fault = circuitFault(input);
    if (fault) throw new InputFault(fault.path, fault.message);
    return checkCircuit(input);
  },
  sheet: (i, o) => {
    let at = 0;
    const stops = i.legs.map((l) => ({ at: (at += l.length), text: `${l.method}` }));
    const stops0 = o.findings.filter((x) => x.severity === "stop").length;
    return {
      headline: `Carries ${figure(o.iz, 1)} A, drops ${figure(o.drop.percent)} %, loop ${figure(o.zs)} Ω${o.maxZs === null ? "" : ` of ${figure(o.maxZs)} Ω`}: ${stops0 ? "it does not hold" : "it holds"}.`,
      scene: drawLines("The circuit opened out", [
        {
          name: `${i.cable}, ${mm(at / 1000)} m in ${i.legs.length} legs, worst is leg ${o.worstLeg + 1}`,
          length: at,
          ink: stops0 ? "stop" : "run1",
          stops: [{ at: 0, text: "board" }, ...stops],
        },
      ]),
    };
  },
});
