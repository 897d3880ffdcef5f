import { z } from "zod";
import { checkSpurs } from "../trades/circuits/spurs";
import { count } from "../base/figures";
import { InputFault, calculator } from "./calculator";
import * as f from "./fields";

export default calculator({
  name: "circuit.spurs",
  purpose: "May I take a spur from here?",
  group: "Circuits",
  source: "On-site working practice to BS 7671:2018+A2:2022, Appendix 15",
  input: z.strictObject({
    points: f.rows(
      "Points",
      z.strictObject({
        id: f.name("Point"),
        on: f.choice("On", ["ring", "radial", "spur", "fused-spur"], { "fused-spur": "fused unit on a spur" }),
        from: f.name("Taken from").optional(),
        outlets: f.whole("Outlets", 0, 20),
      }),
      500,
    ),
    source: f.choice("Circuit", ["ring", "radial", "lighting", "cooker", "shower"]),
  }),
  output: z.object({ findings: f.findings }),
  first: {
    points: [
      { id: "S1", on: "ring", outlets: 2 },
      { id: "S2", on: "ring", outlets: 2 },
      { id: "S3", on: "spur", from: "S1", outlets: 2 },
      { id: "S4", on: "spur", from: "S3", outlets: 1 },
    ],
    source: "ring",
  },
  run: (i) => {
    const ids = new Set<string>();
    i.points.forEach((p, n) => {
      if (ids.has(p.id)) throw new InputFault(`points.${n}.id`, `got "${p.id}"; must differ from the other points`);
      ids.add(p.id);
    });
    i.points.forEach((p, n) => {
      if (p.from !== undefined && (!ids.has(p.from) || p.from === p.id))
        throw new InputFault(
          `points.${n}.from`,
          `got "${p.from}"; must be another of the points, or left out for the board`,
        );
    });
    return { facts: checkSpurs(i.points, i.source) };
  },
  sheet: (i, o) => ({
    headline: o.findings.length
      ? `No: ${count(o.findings.length, "reason")}.`
      : `Yes: ${count(i.points.filter((p) => p.on === "spur").length, "spur")} on ${count(i.points.filter((p) => p.on === "ring").length, "point")} of the ring.`,
  }),
});
