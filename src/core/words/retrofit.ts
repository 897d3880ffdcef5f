import { mm } from "../base/figures";
import type { Extension, NewWay } from "../job/model";
import { DRAW_BENDS, type Lifted, type NoWay, type WayOffer } from "../trades/retrofit/new-ways";

/** The ways a new cable can go, as they are called. */
export const newWayNames: Record<NewWay, string> = {
  "under-boards": "rod under the boards",
  skirting: "behind the skirting",
  surface: "mini-trunking along the skirting",
  "old-cable": "drawn in with the old cable",
  chased: "chased, as the plan lays it",
};

/** What each is like, and what goes wrong with it. */
export const newWayRisks: Record<NewWay, string> = {
  "under-boards": "What lies in the bay is felt and not seen; boards may not come up whole.",
  skirting: "Old skirting splits; holes for its fixings must miss the cable.",
  surface: "It is seen, and knocked by chairs; nothing of the house is hurt.",
  "old-cable": "A clip, a tee or plaster holds it: then it draws nothing.",
  chased: "Dust and noise; the wall is made good and painted.",
};

export const jointPlaceNames: Record<Extension["joints"][number]["where"], string> = {
  "at-point": "in the old point's own box",
  "under-floor": "in a box under the floor",
  "new-box": "in a new box on the wall",
};

/** Why a way is not to be had. */
export function noWayWords(no: NoWay): string {
  switch (no.kind) {
    case "no-boards":
      return "no boards over solid joists under both ends";
    case "other-room":
      return "its ends are in two rooms";
    case "door":
      return "a door is in the way on either side";
    case "no-old-cable":
      return "no old cable between its ends comes out";
    case "in-plaster":
      return `the old cable lies in plaster for ${mm(Math.round(no.length))}`;
    case "bends":
      return `the old cable has ${no.bends} bends; ${DRAW_BENDS} at most draw`;
  }
}

/** Which boards come up for one run: "by S16 and by S18; 970 of boards across joists 1 to 3". */
export function liftedWords(x: Lifted, label: (id: string) => string): string {
  const [first, last] = [x.joists[0], x.joists[x.joists.length - 1]];
  const over =
    first === undefined
      ? "with the joists between, none"
      : `${mm(Math.round(x.across))} of boards across ${first === last ? `joist ${first}` : `joists ${first} to ${last}`}`;
  return `A board by ${label(x.ends[0])} and one by ${label(x.ends[1])}; ${over}.`;
}

/** What a way leaves behind and takes up: "boards 2 200, 2 holes". */
export function messWords(x: WayOffer): string {
  const parts = [
    x.boards ? `boards ${mm(Math.round(x.boards))}` : "",
    x.chase ? `chase ${mm(Math.round(x.chase))}` : "",
    x.skirting ? `skirting off ${mm(Math.round(x.skirting))}` : "",
    x.seen ? `seen ${mm(Math.round(x.seen))}` : "",
    x.holes ? `${x.holes} ${x.holes === 1 ? "hole" : "holes"}` : "",
  ].filter(Boolean);
  return parts.length ? parts.join(", ") : "none";
}
