import { z } from "zod";
import { perMillimetre, ringReadings } from "../trades/dead-tests/ring";
import { conductorResistance } from "../rules/resistance";
import { drawLines } from "../drawings/line-drawings";
import { figure } from "../base/figures";
import { InputFault, calculator } from "./calculator";
import * as f from "./fields";

const along = { id: f.name("Point"), at: f.length0("Along the ring", 1_000_000) };

export default calculator({
  name: "test.ring",
  purpose: "What should the meter read on this ring?",
  group: "Tests",
  source: "BS 7671:2018+A2:2022 643.2; conductor resistances at 20 °C",
  input: z.strictObject({
    length: f.size("Once round the ring", 1_000_000),
    line: f.number("Line and neutral", "mm²", 0.5, 50),
    cpc: f.number("Protective conductor", "mm²", 0.5, 50),
    temperature: f.number("Temperature", "°C", -20, 70).default(20),
    points: f.rows("Points", z.strictObject(along)).default([]),
    spurs: f.rows("Spurs", z.strictObject({ ...along, length: f.length0("Length of the spur", 100_000) })).default([]),
  }),
  output: z.object({
    r1: z.number(),
    rn: z.number(),
    r2: z.number(),
    points: z.array(
      z.object({ id: z.string(), lineNeutral: z.number(), lineEarth: z.number(), lineEarthHere: z.number() }),
    ),
  }),
  first: {
    length: 60000,
    line: 2.5,
    cpc: 1.5,
    points: [
      { id: "S1", at: 8000 },
      { id: "S2", at: 30000 },
    ],
    spurs: [{ id: "S3", at: 8000, length: 4000 }],
  },
  run: (i) => {
    const at = (field: "line" | "cpc"): number => {
      const r = perMillimetre(i[field], i.temperature);
      if (r === null)
        throw new InputFault(
          field,
          `got ${i[field]}; must be one of ${Object.keys(conductorResistance)
            .map(Number)
            .sort((a, b) => a - b)
            .join(", ")} mm²`,
        );
      return r;
    };
    [
      ...i.points.map((p, n) => [`points.${n}.at`, p.at] as const),
      ...i.spurs.map((p, n) => [`spurs.${n}.at`, p.at] as const),
    ].forEach(([path, x]) => {
      if (x > i.length) throw new InputFault(path, `got ${x}; must be at most ${i.length}, the length of the ring`);
    });
    return ringReadings(i.length, at("line"), at("cpc"), i.points, i.spurs);
  },
  sheet: (i, o) => ({
    headline: `Line and neutral ${figure(o.r1, 3)} Ω, protective conductor ${figure(o.r2, 3)} Ω; crossed ${figure((o.r1 + o.rn) / 4, 3)} and ${figure((o.r1 + o.r2) / 4, 3)} Ω at every point.`,
    scene: drawLines("The ring opened out", [
      {
        name: `${figure(i.length / 1000, 1)} m`,
        length: i.length,
        ink: "run1",
        stops: [
          { at: 0, text: "board" },
          ...[...i.points, ...i.spurs].sort((a, b) => a.at - b.at).map((p) => ({ at: p.at, text: p.id })),
          { at: i.length, text: "board" },
        ],
      },
    ]),
    steps: [
      "Isolate, prove dead, prove the tester before and after.",
      `End to end: line ${figure(o.r1, 3)}, neutral ${figure(o.rn, 3)}, protective ${figure(o.r2, 3)} Ω.`,
      `Cross line and neutral at the board: ${figure((o.r1 + o.rn) / 4, 3)} Ω at each point.`,
      `Cross line and protective conductor: about ${figure((o.r1 + o.r2) / 4, 3)} Ω at each point.`,
      ...o.points
        .filter((p) => i.spurs.some((s) => s.id === p.id))
        .map((p) => `${p.id} is a spur: ${figure(p.lineNeutral, 3)} and ${figure(p.lineEarth, 3)} Ω.`),
    ],
  }),
});
