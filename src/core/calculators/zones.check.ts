import { z } from "zod";
import { drawWall } from "../drawings/wall-drawing";
import { mm } from "../base/figures";
import { checkPath } from "../trades/zones/check-path";
import { wallZones } from "../house/wall-zones";
import { calculator } from "./calculator";
import * as f from "./fields";
import { wallInput } from "./zones.wall";

export default calculator({
  name: "zones.check",
  purpose: "Does this cable keep to the zones, and with how much to spare?",
  group: "Walls and zones",
  source: "BS 7671:2018+A2:2022 522.6.202",
  input: z.strictObject({
    ...wallInput,
    path: z
      .array(z.strictObject({ u: f.place("From the left"), v: f.place("Above the floor") }))
      .min(2)
      .max(500)
      .meta({ title: "Path of the cable" }),
    depth: f.length0("Depth of the cable").default(15),
    protected: f.flag("In earthed metal or armour").default(false),
  }),
  output: z.object({
    legs: z.array(z.object({ index: z.number(), inside: z.boolean(), zones: z.array(f.zone), margin: z.number() })),
    findings: f.findings,
  }),
  first: {
    wall: { length: 3600, height: 2400, thickness: 100 },
    points: [{ id: "S1", u: 900, v: 450, width: 146, height: 86 }],
    path: [
      { u: 900, v: 450 },
      { u: 900, v: 2400 },
    ],
    depth: 15,
  },
  run: (i) =>
    checkPath(i.wall, wallZones(i.wall, i.points, i.reversePoints), i.path, { depth: i.depth, protected: i.protected }),
  sheet: (i, o) => {
    const outside = o.legs.filter((l) => !l.inside);
    const least = Math.min(...o.legs.map((l) => l.margin));
    return {
      headline:
        outside.length && i.depth < 50 && !i.protected
          ? `${outside.length} of ${o.legs.length} legs leave the zones.`
          : `Every leg is allowed; the nearest edge of a zone is ${mm(least)} away.`,
      scene: drawWall(
        i.wall,
        wallZones(i.wall, i.points, i.reversePoints),
        i.points,
        i.path,
        new Set(outside.map((l) => l.index)),
      ),
    };
  },
});
