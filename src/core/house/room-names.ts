import type { Job, Room } from "../job/model";

/** Words of a room's name that tell its kind, in the order they are looked for. */
const words: readonly [RegExp, Room["kind"]][] = [
  [/bath|shower|wet ?room|en ?suite/, "bathroom"],
  [/kitchen/, "kitchen"],
  [/utility|laundry/, "utility"],
  [/landing/, "landing"],
  [/hall|entrance|corridor|lobby|porch/, "hall"],
  [/bed|nursery/, "bedroom"],
  [/living|lounge|sitting|front room|snug/, "living"],
  [/loft|attic/, "loft"],
  [/workshop|shed|garage|studio/, "workshop"],
  [/store|cupboard|pantry|larder/, "store"],
  [/yard|garden|patio/, "yard"],
];

/** The kind that a room's name tells; null where it tells none. */
export const kindOfName = (name: string): Room["kind"] | null =>
  words.find(([w]) => w.test(name.toLowerCase()))?.[1] ?? null;

/** "Room 3", the first of that name that is free. */
export function freeRoomName(job: Pick<Job, "rooms">): string {
  const taken = new Set(job.rooms.map((r) => r.name));
  let n = job.rooms.length + 1;
  while (taken.has(`Room ${n}`)) n++;
  return `Room ${n}`;
}
