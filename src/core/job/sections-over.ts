import type { Job } from "./model";
import { type Change, applyPatch, current } from "./patch";
import { pathOverAgain } from "./section-junctions";

/** What a section that goes from a wall into a deck, or to a wall of another storey, hangs on. */
const carries: ReadonlySet<string> = new Set(["rooms", "walls", "decks", "storeys"]);

/** A patch that moves rooms, walls, decks or storeys, with the sections that go through decks brought along; any other as it is. */
export function withSectionsOver(job: Job, patch: readonly Change[]): readonly Change[] {
  if (!patch.some((c) => carries.has(c.collection))) return patch;
  const next = applyPatch(job, patch);
  const more = next.sections.flatMap((s): Change[] => {
    const path = pathOverAgain(next, s.path);
    if (JSON.stringify(path) === JSON.stringify(s.path)) return [];
    const of = { collection: "sections", id: s.id } as const;
    return [{ ...of, before: current(job, of), after: { ...s, path } }];
  });
  if (!more.length) return patch;
  return [...patch.filter((c) => c.collection !== "sections" || !more.some((m) => m.id === c.id)), ...more];
}
