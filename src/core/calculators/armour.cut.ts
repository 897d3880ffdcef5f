import { z } from "zod";
import { drawSweep } from "../drawings/end-drawings";
import { armourCut } from "../trades/ends/armour-cut";
import { mm } from "../base/figures";
import { calculator } from "./calculator";
import * as f from "./fields";

export default calculator({
  name: "armour.cut",
  purpose: "Where does the armour stop, and where do I cut?",
  group: "Ends",
  source: "Geometry of the arc; BS 5467",
  input: z.strictObject({
    chord: f.size("Straight from gland to gland"),
    sweep: f.length0("Height of the bow"),
    tails: f.length0("Tails beyond the armour"),
  }),
  output: z.object({ armourStop: z.number(), cut: z.number() }),
  first: { chord: 1200, sweep: 80, tails: 250 },
  run: (i) => armourCut(i.chord, i.sweep, i.tails),
  sheet: (i, o) => ({
    headline: `Armour stops ${mm(o.armourStop)} along the cable; cut at ${mm(o.cut)}.`,
    scene: drawSweep(i.chord, i.sweep, i.tails),
    tape: {
      length: o.cut,
      datum: "gland already made off",
      marks: [
        { at: o.armourStop, text: "armour stops" },
        { at: o.cut, text: "cut" },
      ],
    },
    steps: [
      "Shroud on first, cut where the gland marks it.",
      `Offer the cable to the gland, with a tie as a gauge at ${mm(o.armourStop)}.`,
      `Cut at ${mm(o.cut)}. A bit long is pushed back into the bend; too short is scrap.`,
      "Score the armour, do not cut through; snap the wires; leave the bedding.",
      "Isolate, prove dead, prove the tester before working on a cable already in use.",
    ],
  }),
});
