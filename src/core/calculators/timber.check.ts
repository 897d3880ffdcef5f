import { z } from "zod";
import { drawJoist } from "../drawings/joist-drawing";
import { count } from "../base/figures";
import { checkJoist } from "../trades/timber/check-joist";
import { joistWindows } from "../trades/timber/joist";
import { calculator } from "./calculator";
import * as f from "./fields";

const cut = z.discriminatedUnion("kind", [
  z
    .strictObject({
      id: f.name("Mark"),
      kind: z.literal("hole"),
      at: f.place("Middle from the left bearing"),
      diameter: f.size("Diameter"),
      fromTop: f.place("Centre from the top"),
    })
    .meta({ title: "Hole" }),
  z
    .strictObject({
      id: f.name("Mark"),
      kind: z.literal("notch"),
      at: f.place("Middle from the left bearing"),
      width: f.size("Width"),
      depth: f.size("Depth"),
      edge: f.choice("Edge", ["top", "bottom"]),
    })
    .meta({ title: "Notch" }),
]);

export default calculator({
  name: "timber.check",
  purpose: "Are these holes and notches in a joist allowed, alone and together?",
  group: "Timber",
  source: "Approved Document A, and new-home warranty practice; BS 7671:2018+A2:2022 522.6.201",
  input: z.strictObject({
    joist: f.joist,
    notchSchool: f.notchSchool,
    cuts: f.rows("Holes and notches", cut),
    heavyLoad: f.flag("Trimmer, partition, cylinder or steel on it").default(false),
    noggin: f.length0("Batten or noggin fixed on top later").default(0),
    axisTolerance: f.length0("Tolerance of the centre line").default(5),
  }),
  output: z.object({ findings: f.findings }),
  first: {
    joist: { kind: "solid", depth: 195, breadth: 47, span: 3420 },
    notchSchool: "warranty",
    cuts: [
      { id: "A", kind: "hole", at: 1000, diameter: 22, fromTop: 97.5 },
      { id: "B", kind: "hole", at: 1050, diameter: 22, fromTop: 97.5 },
    ],
  },
  run: (i) => ({
    facts: checkJoist(i.joist, i.cuts, {
      notchSchool: i.notchSchool,
      heavyLoad: i.heavyLoad,
      noggin: i.noggin,
      axisTolerance: i.axisTolerance,
    }),
  }),
  sheet: (i, o) => ({
    headline: o.findings.length
      ? `${count(o.findings.filter((x) => x.severity === "stop").length, "stop")} in ${count(i.cuts.length, "cut")}.`
      : "All of them are allowed, alone and together.",
    scene: drawJoist(
      i.joist,
      i.joist.kind === "solid" ? joistWindows(i.joist, i.notchSchool, i.noggin) : null,
      i.cuts,
      new Set(o.findings.flatMap((x) => x.subject.split(" "))),
    ),
    tape: {
      length: i.joist.span,
      datum: "left bearing face",
      marks: [...i.cuts].sort((a, b) => a.at - b.at).map((c) => ({ at: c.at, text: `${c.id} ${c.kind}` })),
    },
  }),
});
