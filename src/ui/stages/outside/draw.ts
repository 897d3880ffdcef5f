"use client";
import type { XY } from "../../../core/base/polygon";
import { groundOf, postAt, rowAlong, usualGround, usualWay, wayBetween } from "../../../core/house/outside-made";
import type { Ground } from "../../../core/job/model";
import { newId } from "../../job/edits";
import { change, edit, useDesk } from "../../job/store";

/** What can be drawn out of doors. */
export type Drawn = Ground["kind"] | "post" | "trench" | "catenary" | "row";

/** Puts a thing into the job and picks it out; the refusal in words, or null. */
function put(
  collection: "grounds" | "posts" | "outsideWays" | "lightRows",
  made: { id: string } | string,
): string | null {
  if (typeof made === "string") return made;
  const refused = edit([change(collection, made.id, made)]);
  if (!refused) useDesk.setState({ selection: { kind: "outside", id: made.id } });
  return refused;
}

/** Makes what was drawn, from the places pressed. */
export function makeDrawn(kind: Drawn, places: readonly XY[]): string | null {
  const { house } = useDesk.getState();
  if (kind === "trench" || kind === "catenary") return put("outsideWays", wayBetween(house, kind, places, newId("ow")));
  if (kind === "post")
    return put("posts", places[0] ? postAt(house, places[0], newId("po")) : "Press where it stands.");
  if (kind === "row") return put("lightRows", rowAlong(house, places, newId("lr")));
  return put("grounds", groundOf(house, kind, places, newId("gr")));
}

/** The same without a press, at a usual place: its figures are then typed. */
export function makeUsual(kind: Drawn): string | null {
  const { house } = useDesk.getState();
  if (kind === "trench" || kind === "catenary") return put("outsideWays", usualWay(house, kind, newId("ow")));
  const yard = house.job.rooms.find((r) => r.kind === "yard");
  const middle = yard && {
    x: yard.outline.reduce((s, p) => s + p.x, 0) / yard.outline.length,
    y: yard.outline.reduce((s, p) => s + p.y, 0) / yard.outline.length,
  };
  const xs = yard?.outline.map((p) => p.x) ?? [];
  if (kind === "post") return put("posts", postAt(house, middle ?? { x: 0, y: 0 }, newId("po")));
  if (kind === "row")
    return put(
      "lightRows",
      rowAlong(
        house,
        middle
          ? [
              { x: Math.min(...xs) + 200, y: middle.y },
              { x: Math.max(...xs) - 200, y: middle.y },
            ]
          : [],
        newId("lr"),
      ),
    );
  return put("grounds", usualGround(house, kind, newId("gr")));
}

/** How many presses a thing takes: it is made at the last of them. Null where it ends when the person says so. */
export const pressesOf = (kind: Drawn): number | null => (kind === "post" ? 1 : kind === "catenary" ? 2 : null);

/** What is to be pressed next. */
export function nextPress(kind: Drawn, done: number): string {
  if (kind === "post") return "Press where it stands.";
  if (kind === "catenary") return done ? "Press the wall it comes to." : "Press the wall it leaves.";
  if (kind === "trench")
    return done
      ? "Press its turns, and last the wall it comes to; then Done."
      : "Press the foot of the wall it leaves.";
  if (kind === "row")
    return done ? "Press on along the path; Done at its end." : "Press where the path begins, by the house.";
  return done ? "Press the opposite corner, then Done; or all corners one after the other." : "Press one corner.";
}
