import type { FaceHole, GlandFace } from "../plan/gland-faces";
import type { TrunkingEnd } from "../plan/trunking-ends";
import { HAND_ROOM } from "../trades/ends/gland-row";
import { drawGlandRow } from "./end-drawings";
import type { Scene } from "./scene";

const isSpare = (o: FaceHole): boolean => o.gland !== null && o.run === null;

/** The face of an enclosure: also the template that is laid on it to drill by, mm. */
export const drawFace = (f: GlandFace): Scene =>
  drawGlandRow(
    f.width,
    f.holes.map((o) => ({ x: o.x, hole: o.hole, gland: o.name, spare: isSpare(o) })),
    new Map(f.holes.map((o) => [o.name, { acrossCorners: o.across }])),
    HAND_ROOM,
    { depth: f.depth, plugs: f.plugs },
  );

/** The plate at the end of a trunking, with the tubes that go on from it, mm. */
export const drawEndPlate = (e: TrunkingEnd): Scene =>
  drawGlandRow(
    e.width,
    e.holes.map((o) => ({ x: o.x, hole: o.hole, gland: o.name, spare: false })),
    new Map(e.holes.map((o) => [o.name, { acrossCorners: o.across }])),
    HAND_ROOM,
    { depth: e.depth },
  );
