import { z } from "zod";
import { expectedR1R2 } from "../rules/resistance";
import { conductorResistance } from "../rules/resistance";
import { AGREE } from "../trades/dead-tests/ring-read";
import { drawBars } from "../drawings/line-drawings";
import { atMost } from "../base/tolerance";
import { fact } from "../rules/fact";
import { figure } from "../base/figures";
import { InputFault, calculator } from "./calculator";
import * as f from "./fields";

export default calculator({
  name: "test.radial",
  purpose: "What should R1 + R2 read at the end of a radial?",
  group: "Tests",
  source: "BS 7671:2018+A2:2022 643.2; conductor resistances at 20 °C",
  input: z.strictObject({
    length: f.size("Length of the cable", 1_000_000),
    line: f.number("Line", "mm²", 0.5, 50),
    cpc: f.number("Protective conductor", "mm²", 0.5, 50),
    temperature: f.number("Temperature", "°C", -20, 70).default(20),
    measured: f.number("Measured", "Ω", 0, 1_000_000).optional(),
  }),
  output: z.object({ expected: z.number(), findings: f.findings }),
  first: { length: 24000, line: 2.5, cpc: 1.5 },
  run: (i) => {
    const cold = expectedR1R2(i.length, i.line, i.cpc);
    if (cold === null) {
      const field = conductorResistance[String(i.line)] === undefined ? "line" : "cpc";
      throw new InputFault(
        field,
        `got ${i[field]}; must be one of ${Object.keys(conductorResistance)
          .map(Number)
          .sort((a, b) => a - b)
          .join(", ")} mm²`,
      );
    }
    const expected = cold * (1 + 0.004 * (i.temperature - 20));
    const off = i.measured === undefined ? 0 : i.measured - expected;
    const facts =
      i.measured === undefined || atMost(Math.abs(off), Math.max(AGREE, 0.1 * expected))
        ? []
        : [
            fact("test.radial", "input", "radial", {
              case: off > 0 ? "high" : "low",
              measured: i.measured,
              limit: expected,
              sense: off > 0 ? "most" : "least",
              unit: "Ω",
            }),
          ];
    return { expected, facts };
  },
  sheet: (i, o) => ({
    headline: `${figure(o.expected, 3)} Ω over ${figure(i.length / 1000, 1)} m.`,
    scene: drawBars("R1 + R2", "Ω", [
      { name: "expected", value: o.expected, ink: "good" },
      ...(i.measured === undefined
        ? []
        : [{ name: "measured", value: i.measured, ink: o.findings.length ? ("stop" as const) : ("ink" as const) }]),
    ]),
  }),
});
