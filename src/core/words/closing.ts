import { mm } from "../base/figures";
import type { House } from "../house/house";
import type { OutsideWay } from "../job/model";
import { stepNames } from "../job/site-entry";
import type { ClosingList, Surface } from "../record/closing";
import type { Damage } from "../record/damage";
import { findingOf, namesOf } from "./findings";

/** "T1, trench to the shed". */
export const outsideName = (w: Pick<OutsideWay, "label" | "kind" | "name">): string =>
  `${w.label}, ${w.name || w.kind}`;

/** "Kitchen, wall 2"; a deck or a trench by its own name. */
export function surfaceName(h: House, s: Pick<Surface, "kind" | "id">): string {
  if (s.kind === "deck") return h.job.decks.find((d) => d.id === s.id)?.name ?? s.id;
  if (s.kind === "outside") {
    const way = h.job.outsideWays.find((w) => w.id === s.id);
    return way ? outsideName(way) : s.id;
  }
  const face = h.faces[h.faceOfWall.get(s.id) ?? -1];
  return face ? `${face.room.name}, wall ${face.wall.index + 1}` : s.id;
}

/** "Cooker to board, 1 240 from its start: a nick"; `run` as it is called. */
export const damageWords = (d: Damage, run: string): string =>
  `${run}${d.along === null ? "" : `, ${mm(d.along)} from its start`}: ${d.text}`;

/** What stands against closing a surface, one sentence each, what is done first first. */
export function closingWords(h: House, list: ClosingList, runName: (id: string) => string): string[] {
  const names = namesOf(h);
  return [
    ...list.damage.map((d) => `Damage, not repaired: ${damageWords(d, runName(d.run))}`),
    ...list.rules.map((f) => findingOf(f, names).message),
    ...list.steps.flatMap(({ step, runs }) =>
      runs.map(
        (r) =>
          `${step === "tested" ? "Not tested on the tails" : `Not ${stepNames[step].toLowerCase()}`}: ${runName(r)}`,
      ),
    ),
    ...(list.photo ? ["No photo of it, with a tape in the picture"] : []),
  ];
}

/** What only eyes see before a surface is closed; whoever releases it says of each that it is so. */
export const seenBefore = [
  "Plates are on wherever a cable is nearer than 50 mm to the face of timber",
  "Boxes are covered against plaster, ends flagged and coiled",
  "Photographs have a tape in the picture",
  "What other trades have in it is noted",
] as const;
