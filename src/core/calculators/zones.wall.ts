import { z } from "zod";
import { drawWall } from "../drawings/wall-drawing";
import { count } from "../base/figures";
import { wallZones } from "../house/wall-zones";
import { calculator } from "./calculator";
import * as f from "./fields";

export const wallInput = {
  wall: f.wall,
  points: f.rows("Points on this face", f.pointOnFace, 500).default([]),
  reversePoints: f.rows("Points on the other face", f.pointOnFace, 500).default([]),
};

export default calculator({
  name: "zones.wall",
  purpose: "Where on this wall may a hidden cable run?",
  group: "Walls and zones",
  source: "BS 7671:2018+A2:2022 522.6.202",
  input: z.strictObject(wallInput),
  output: z.object({ zones: z.array(f.zone) }),
  first: {
    wall: { length: 3600, height: 2400, thickness: 100, openings: [{ u: 2300, v: 0, width: 838, height: 2000 }] },
    points: [{ id: "S1", u: 900, v: 450, width: 146, height: 86 }],
  },
  run: (i) => ({ zones: wallZones(i.wall, i.points, i.reversePoints) }),
  sheet: (i, o) => ({
    headline: `${count(o.zones.length, "zone")}: the band under the ceiling, the corners, and the strips level and plumb from each point.`,
    scene: drawWall(i.wall, o.zones, i.points),
    tape: {
      length: i.wall.length,
      datum: "left corner",
      marks: i.points
        .flatMap((p) => [
          { at: p.u - p.width / 2, text: `${p.id} strip from` },
          { at: p.u + p.width / 2, text: `${p.id} strip to` },
        ])
        .sort((a, b) => a.at - b.at),
    },
  }),
});
