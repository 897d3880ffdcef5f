import { cutIn } from "../rules/sections";
import { distance } from "../base/wall-frame";
import type { House } from "../house/house";
import { roomsOf } from "../house/rooms-of";
import type { PinnedLeg } from "../job/model";
import { chaseTooLong } from "../rules/chases";

/** A level cut in masonry: its first leg, its whole length and how much of it lies in rooms the run does not serve, mm. */
export interface LevelChase {
  leg: number;
  length: number;
  elsewhere: number;
}

/** The level chases of a run that are longer than a level chase should be: on and on round corners counts as one. */
export function longLevelChases(h: House, run: { from: string; to: string; legs: readonly PinnedLeg[] }): LevelChase[] {
  const served = new Set([...roomsOf(h, run.from), ...roomsOf(h, run.to)]);
  const all: LevelChase[] = [];
  let now: LevelChase | null = null;
  for (let leg = 0; leg < run.legs.length; leg++) {
    const l = run.legs[leg]!;
    const face = l.surface.kind === "wall" ? h.faces[h.faceOfWall.get(l.surface.id) ?? -1] : undefined;
    const cut = face?.wall.build === "masonry" && cutIn.has(l.method);
    for (let i = 1; i < l.path.length; i++) {
      const [a, b] = [l.path[i - 1]!, l.path[i]!];
      const d = distance(a, b);
      if (!cut || Math.abs(a[2] - b[2]) > 0.5) {
        // Through an angle from face to face there may be a step that is no cut at all.
        if (d > 0.5) now = null;
        continue;
      }
      if (!now) all.push((now = { leg, length: 0, elsewhere: 0 }));
      now.length += d;
      if (!served.has(face.room.id)) now.elsewhere += d;
    }
  }
  return all.filter(chaseTooLong);
}
