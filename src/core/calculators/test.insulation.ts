import { z } from "zod";
import { checkInsulation } from "../trades/dead-tests/insulation";
import { figure } from "../base/figures";
import { calculator } from "./calculator";
import * as f from "./fields";

export default calculator({
  name: "test.insulation",
  purpose: "Is this insulation reading good enough?",
  group: "Tests",
  source: "BS 7671:2018+A2:2022 643.3, Table 64",
  input: z.strictObject({
    megohms: f.number("Reading", "MΩ", 0, 1_000_000),
    volts: z
      .union([z.literal(500), z.literal(250)])
      .default(500)
      .meta({ title: "Test voltage", unit: "V" }),
  }),
  output: z.object({ ok: z.boolean(), findings: f.findings }),
  first: { megohms: 200, volts: 500 },
  run: (i) => {
    const facts = checkInsulation(i.megohms, i.volts);
    return { ok: !facts.some((x) => x.severity === "stop"), facts };
  },
  sheet: (i, o) => ({
    headline: o.ok
      ? `${figure(i.megohms)} MΩ passes${o.findings.some((x) => x.severity === "warn") ? ", but look again" : ""}.`
      : `${figure(i.megohms)} MΩ fails: find it before anything is closed.`,
  }),
});
