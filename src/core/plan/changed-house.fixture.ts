import fc from "fast-check";
import { generatedHouse } from "../routing/generated-house";
import { checkInvariants } from "../job/invariants";
import { type Job, jobSchema } from "../job/model";

/** One change that a hand might make to a house, chosen by numbers; the house as it was where it would not be a house. */
export function changed(job: Job, kind: number, n: number, by: number): Job {
  const pick = <T>(list: readonly T[]): T => list[n % list.length]!;
  const put = (next: Partial<Job>): Job => {
    const out = jobSchema.safeParse({ ...job, ...next });
    return out.success && !checkInvariants(out.data).length ? out.data : job;
  };
  const swap = <T extends { id: string }>(list: readonly T[], x: T): T[] => list.map((y) => (y.id === x.id ? x : y));
  const wall = pick(job.walls);
  switch (kind % 11) {
    case 0: {
      const p = pick(job.points.filter((x) => x.place.on === "wall"));
      return put({ points: swap(job.points, { ...p, place: { ...p.place, u: 150 + (by % 2200) } as typeof p.place }) });
    }
    case 1: {
      const door = {
        id: "new-door",
        wall: wall.id,
        kind: "door" as const,
        u: 300 + (by % 1200),
        v: 0,
        width: 800,
        height: 2040,
      };
      return put({ openings: [...job.openings, door] });
    }
    case 2:
      return put({
        walls: swap(job.walls, {
          ...wall,
          build: "stud",
          studs: { spacing: 400, first: 200 + (by % 300), breadth: 38, depth: null, noggins: [1200] },
        }),
      });
    case 3: {
      const d = pick(job.decks);
      return put({
        decks: swap(job.decks, {
          ...d,
          noggins: [{ at: 500 + (by % 1500), depth: d.joists.depth, edge: "top", later: false }],
        }),
      });
    }
    case 4: {
      const d = pick(job.decks);
      return put({ decks: swap(job.decks, { ...d, access: "closed" }) });
    }
    case 5:
      return put({
        fixtures: [
          ...job.fixtures,
          {
            id: "new-beam",
            wall: wall.id,
            kind: "beam" as const,
            name: "",
            u: 400 + (by % 1500),
            v: 2200,
            width: 150,
            height: 200,
            depth: 100,
          },
        ],
      });
    case 6: {
      const r = pick(job.rooms);
      return put({ rooms: swap(job.rooms, { ...r, height: 2400 - (by % 200) }) });
    }
    case 8:
      return put({ walls: swap(job.walls, { ...wall, build: "masonry", leaf: 60 + (by % 60) }) });
    case 7: {
      // One room of the row ends before the others: strips through its thin walls end with it.
      const r = pick(job.rooms);
      const top = Math.max(...r.outline.map((p) => p.y));
      const outline = r.outline.map((p) => (p.y === top ? { ...p, y: top - 400 - (by % 900) } : p));
      const end = Math.max(...outline.map((p) => p.y));
      const walls = new Map(job.walls.filter((w) => w.room === r.id).map((w) => [w.id, w.index]));
      const points = job.points.map((p) => {
        const index = p.place.on === "wall" ? walls.get(p.place.wall) : undefined;
        if (p.place.on !== "wall" || (index !== 0 && index !== 2)) return p;
        return { ...p, place: { ...p.place, u: Math.min(p.place.u, end - 200) } };
      });
      return put({ rooms: swap(job.rooms, { ...r, outline }), points });
    }
    case 10: {
      // A point put down where another is, as one copied and not yet moved.
      const p = pick(job.points.filter((x) => x.kind !== "board"));
      const others = job.points.filter((x) => x.kind !== "board");
      const other = others[by % others.length]!;
      return put({ points: swap(job.points, { ...p, place: other.place }) });
    }
    default: {
      const d = pick(job.decks);
      return put({ decks: swap(job.decks, { ...d, joists: { ...d.joists, first: 50 + (by % 350) } }) });
    }
  }
}

/** Changes by number, made one after the other to a made-up house of two rooms. */
export const changedHouse = (seed: number, changes: readonly (readonly [kind: number, n: number, by: number])[]): Job =>
  changes.reduce((j, [k, n, by]) => changed(j, k, n, by), generatedHouse(seed, 2, 3));

/** Made-up houses after one to three changes. */
export const changedHouses = fc
  .tuple(
    fc.integer({ min: 1, max: 5000 }),
    fc.array(fc.tuple(fc.nat(10), fc.nat(60), fc.nat(3000)), { minLength: 1, maxLength: 3 }),
  )
  .map(([seed, changes]) => ({ seed, changes, job: changedHouse(seed, changes) }));
