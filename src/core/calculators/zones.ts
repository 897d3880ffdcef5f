import { z } from "zod";
import { checkPath } from "../zones/check-path";
import { wallZones } from "../zones/wall-zones";
import { calculator } from "./calculator";
import * as f from "./fields";

const wallInput = { wall: f.wall, points: z.array(f.pointOnFace).max(500).default([]), reversePoints: z.array(f.pointOnFace).max(500).default([]) };
const source = "BS 7671:2018+A2:2022 522.6.202";

export const zonesWall = calculator({
  name: "zones.wall",
  purpose: "Where on this wall face may a hidden cable run?",
  source,
  input: z.strictObject(wallInput),
  output: z.object({ zones: z.array(f.zone) }),
  run: (i) => ({ zones: wallZones(i.wall, i.points, i.reversePoints) }),
});

export const zonesCheck = calculator({
  name: "zones.check",
  purpose: "Does this path keep to the zones of the wall, and with how much to spare?",
  source,
  input: z.strictObject({ ...wallInput, path: z.array(z.strictObject({ u: f.place, v: f.place })).min(2).max(500), depth: f.length0.default(15), protected: z.boolean().default(false) }),
  output: z.object({ legs: z.array(z.object({ index: z.number(), inside: z.boolean(), zones: z.array(f.zone), margin: z.number() })), findings: f.findings }),
  run: (i) => checkPath(i.wall, wallZones(i.wall, i.points, i.reversePoints), i.path, { depth: i.depth, protected: i.protected }),
});
