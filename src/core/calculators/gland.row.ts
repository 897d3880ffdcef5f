import { z } from "zod";
import { drawGlandRow } from "../drawings/end-drawings";
import { EDGE_ROOM, glandRow } from "../trades/ends/gland-row";
import { rowOf } from "../rules/catalogue";
import { count, mm } from "../base/figures";
import { InputFault, calculator } from "./calculator";
import * as f from "./fields";

export default calculator({
  name: "gland.row",
  purpose: "Where do I drill for a row of glands?",
  group: "Ends",
  source: "Trade habit; BS EN 62444 glands, typical sizes",
  input: z.strictObject({
    width: f.size("Width of the face", 5000),
    glands: z.array(f.name("Gland")).min(1).max(60).meta({ title: "Glands from the left", hint: "20S, 20S, 25" }),
    handRoom: f.length0("Hand room between glands", 500).default(10),
    spare: f.whole("Spare holes", 0, 20).default(0),
    edgeRoom: f.length0("Room at the edges", 500).default(EDGE_ROOM),
  }),
  output: z.object({
    fits: z.boolean(),
    holes: z.array(z.object({ x: z.number(), hole: z.number(), gland: z.string(), spare: z.boolean() })),
    slack: z.number(),
    findings: f.findings,
  }),
  first: { width: 200, glands: ["20S", "20S", "25"], handRoom: 10, spare: 1 },
  run: (i, catalogue) => {
    const row = i.glands.map((g, n) => {
      const found = rowOf(catalogue.glands, g);
      if (!found)
        throw new InputFault(
          `glands.${n}`,
          `got "${g}"; must be one of ${catalogue.glands.map((x) => x.id).join(", ")}`,
        );
      return found;
    });
    return glandRow(i.width, row, i.handRoom, i.spare, i.edgeRoom);
  },
  sheet: (i, o, catalogue) => ({
    headline: o.fits
      ? `${count(o.holes.length, "hole")} from the left edge: ${o.holes.map((h) => mm(h.x)).join(", ")}.`
      : (o.findings[0]?.message ?? "They do not fit."),
    scene: drawGlandRow(i.width, o.holes, new Map(catalogue.glands.map((g) => [g.id, g])), i.handRoom),
    tape: {
      length: i.width,
      datum: "left edge of the face",
      marks: o.holes.map((h) => ({ at: h.x, text: `Ø ${mm(h.hole)} ${h.gland}${h.spare ? " spare" : ""}` })),
    },
    steps: o.fits
      ? [
          "Template each hole from a fitting of that size.",
          `Scribe one line for the centres, and mark ${o.holes.map((h) => mm(h.x)).join(", ")} from the left edge.`,
          "Pilot, then cut: the size by the gland, before anything is mounted.",
          "Deburr, and take the paint off where the washers bite.",
          ...(o.holes.some((h) => h.spare) ? ["Close the spare with a plug of the enclosure's rating."] : []),
        ]
      : [],
  }),
});
