import type { Job } from "../job/model";
import { type Refusal, equal } from "../job/patch";
import type { SiteEntry } from "../job/site-entry";
import { lastReleased, releasedSurfaces } from "./closing";

/** Of the record what is needed: lines that release a surface and open it again. */
export type ReleaseLine = Pick<SiteEntry, "id" | "run" | "kind" | "by" | "at" | "after">;

/**
 * What the drawing of a surface shows that is in it: the wall or deck itself, the room's shape, openings, points and sections. What
 * stands before it (units, a wardrobe) and what becomes known of it later (found cables) can still be told.
 */
function drawnOn(job: Job, key: string): unknown[] {
  const at = key.indexOf(":");
  const [kind, id] = [key.slice(0, at), key.slice(at + 1)];
  const isHere = (p: { on: string; wall?: string; deck?: string }): boolean =>
    p.on === kind && (kind === "wall" ? p.wall : p.deck) === id;
  const wall = kind === "wall" ? job.walls.find((w) => w.id === id) : undefined;
  const room = job.rooms.find((r) => r.id === wall?.room);
  const { name: _, ...deck } = job.decks.find((d) => kind === "deck" && d.id === id) ?? { name: "" };
  return [
    wall,
    room && [room.outline, room.height, room.slopes, room.storey],
    deck,
    job.openings.filter((o) => kind === "wall" && o.wall === id),
    job.points
      .filter((p) => isHere(p.place))
      .map((p) => [p.id, p.kind, p.gang, p.place, p.mount, p.boxDepth, p.existing]),
    job.sections.flatMap((s) => {
      const here = s.path.filter(isHere);
      return here.length ? [[s.id, s.kind, s.size, s.corners, here]] : [];
    }),
  ];
}

function nameOf(job: Job, key: string): string {
  const id = key.slice(key.indexOf(":") + 1);
  const wall = job.walls.find((w) => `wall:${w.id}` === key);
  if (!wall) return job.decks.find((d) => d.id === id)?.name ?? id;
  return `${job.rooms.find((r) => r.id === wall.room)?.name ?? wall.room}, wall ${wall.index + 1}`;
}

/**
 * What an edit would change in surfaces that are released for closing: their drawing stays as it was released until somebody opens
 * them again, with a reason. Empty where there is nothing against it.
 */
export function frozenChanges(before: Job, after: Job, lines: readonly ReleaseLine[]): Refusal[] {
  return releasedSurfaces(lines).flatMap((key) => {
    if (equal(drawnOn(before, key), drawnOn(after, key))) return [];
    const said = lastReleased(lines, key)!;
    const id = key.slice(key.indexOf(":") + 1);
    return [
      {
        path: `${key.startsWith("wall:") ? "walls" : "decks"}.${id}`,
        message:
          `${nameOf(before, key)} was released for closing by ${said.by} on ${said.at.slice(0, 10)}: ` +
          "its drawing stays as it is. Open it again first, with the reason, under Close on the site page",
      },
    ];
  });
}
