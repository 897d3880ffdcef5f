import type { LegMethod, Wall } from "../job/model";
import type { House } from "./house";

/** Where a cable lies in a stud void, mm behind the face: it hangs free and may touch the board. Typical. */
export const STUD_DEPTH = 25;

/** How a hidden cable lies in a wall, and how deep behind its face, mm. */
export const hiddenIn = (h: Pick<House, "job">, wall: Wall): { method: LegMethod; depth: number } =>
  wall.build === "stud" || wall.build === "metal-stud"
    ? { method: "stud-void", depth: STUD_DEPTH }
    : { method: "chase", depth: h.job.settings.chaseDepth };
