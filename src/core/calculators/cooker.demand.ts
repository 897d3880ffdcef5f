import { NOMINAL } from "../rules/supply";
import { z } from "zod";
import { cookerDemand } from "../trades/circuits/cooker";
import { drawBars } from "../drawings/line-drawings";
import { figure } from "../base/figures";
import { calculator } from "./calculator";
import * as f from "./fields";

export default calculator({
  name: "cooker.demand",
  purpose: "What current do I design a cooker for?",
  group: "Circuits",
  source: "On-site working practice to BS 7671:2018+A2:2022, allowances for diversity",
  input: z.strictObject({
    watts: f.number("Rated load", "W", 1, 200_000),
    voltage: f.number("Voltage", "V", 100, 440).default(NOMINAL),
    outlet: f.flag("Control has a socket outlet").default(false),
    school: f.choice("School", ["full", "diversity"], { full: "all of it", diversity: "10 A and 30 % of the rest" }),
  }),
  output: z.object({ full: z.number(), design: z.number() }),
  first: { watts: 10000, voltage: NOMINAL, outlet: false, school: "diversity" },
  run: (i) => cookerDemand(i.watts, i.voltage, i.outlet, i.school),
  sheet: (i, o) => ({
    headline: `${figure(o.full, 1)} A in full; design for ${figure(o.design, 1)} A${i.outlet ? ". The outlet adds 30 mA protection" : ""}.`,
    scene: drawBars("Cooker current", "A", [
      { name: "in full", value: o.full, ink: "ink" },
      { name: "designed for", value: o.design, ink: "good" },
    ]),
  }),
});
