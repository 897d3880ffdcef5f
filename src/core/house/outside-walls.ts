import type { Wall } from "../job/model";
import type { Change } from "../job/patch";
import { changeOf } from "./change-of";
import type { Face, House } from "./house";

/** What is told of all outside walls at once. */
export type OutsideFacts = Pick<Wall, "build" | "thickness" | "insulated">;

/** Walls with no room of the job behind them, the neighbour's and open sides left out: those that face outdoors, as far as is drawn. */
export const outsideFaces = (h: House, storey: string | null = null): Face[] =>
  h.faces.filter(
    (f) =>
      !f.opposite.length &&
      f.wall.build !== "open" &&
      f.wall.backing !== "party" &&
      f.room.kind !== "yard" &&
      (storey === null || f.room.storey === storey),
  );

/** Makes all outside walls alike, and outside. */
export const outsideWallsAre = (h: House, facts: OutsideFacts, storey: string | null = null): Change[] =>
  outsideFaces(h, storey).map((f) => changeOf(h.job, "walls", f.wall.id, { ...f.wall, ...facts, backing: "outside" }));
