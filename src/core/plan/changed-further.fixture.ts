import fc from "fast-check";
import { checkInvariants } from "../job/invariants";
import { type Deck, type Job, jobSchema } from "../job/model";
import { generatedHouse } from "../routing/generated-house";
import { changed } from "./changed-house.fixture";

type XY = { x: number; y: number };

/** How far a light keeps from what stands in its deck: nearer, one reads it as in or beside it as one likes, mm. */
const OFF = 60;

/** Kinds of change below: after those of `changed`. */
export const FIRST = 11;
export const LAST = 19;

/** One change more that a hand might make to a house, chosen by numbers; the house as it was where it would not be a house. */
export function changedFurther(job: Job, kind: number, n: number, by: number): Job {
  if (kind < FIRST) return changed(job, kind, n, by);
  const put = (next: object): Job => {
    const out = jobSchema.safeParse({ ...job, ...next });
    return out.success && !checkInvariants(out.data).length ? out.data : job;
  };
  const d = job.decks[0]!;
  const deck = (more: Partial<Deck>): Job => put({ decks: [{ ...d, ...more }] });
  const [x1, y1] = [Math.max(...d.outline.map((p) => p.x)), Math.max(...d.outline.map((p) => p.y))];
  const corner: XY = { x: (by * 7) % Math.max(1, x1 - 900), y: (by * 13) % Math.max(1, y1 - 900) };
  /** An area of a deck, where no light hangs in it. */
  const area = (width: number, depth: number, then: (outline: XY[]) => Job): Job => {
    const { x, y } = corner;
    const within = (p: XY): boolean => p.x > x - OFF && p.x < x + width + OFF && p.y > y - OFF && p.y < y + depth + OFF;
    if (job.points.some((p) => p.place.on === "deck" && within(p.place))) return job;
    return then([corner, { x, y: y + depth }, { x: x + width, y: y + depth }, { x: x + width, y }]);
  };
  const wall = job.walls[n % job.walls.length]!;
  switch (kind) {
    case 11: {
      const of = (["steel", "trimmer", "chimney", "stair"] as const)[n % 4]!;
      const [width, depth] = of === "steel" || of === "trimmer" ? [120, 880] : [800, 800];
      const id = `stands-${by}`;
      return area(width, depth, (outline) =>
        deck({ obstacles: [...d.obstacles, { id, kind: of, name: "", outline }] }),
      );
    }
    case 12: {
      const id = `kept-${by}`;
      if (n % 2)
        return area(700, 600, (outline) =>
          put({ forbidden: [...job.forbidden, { id, place: { on: "deck", deck: d.id, outline } }] }),
        );
      const place = { on: "wall", wall: wall.id, u: 200 + (by % 1500), v: (by * 3) % 2000, width: 400, height: 300 };
      return put({ forbidden: [...job.forbidden, { id, place }] });
    }
    case 13: {
      const cut = { id: `old-${by}`, joist: 1 + (n % 12), span: 1, at: 300 + (by % 2500) };
      const old =
        n % 2
          ? { ...cut, kind: "hole" as const, diameter: 20 + (by % 30), fromTop: d.joists.depth / 2 }
          : { ...cut, kind: "notch" as const, width: 40, depth: 10 + (by % 30), edge: "top" as const };
      return deck({ existingCuts: [...d.existingCuts, old] });
    }
    case 14: {
      const makerAllows = [{ from: 300 + (by % 900), to: 1500 + (by % 1200), most: 40 }];
      return deck({ kind: "engineered", makerAllows });
    }
    case 15: {
      const size = { u: 200 + (by % 1800), v: 900 + (n % 5) * 100, width: 600 + (n % 7) * 100, height: 900 };
      return put({ openings: [...job.openings, { id: `window-${by}`, wall: wall.id, kind: "window", ...size }] });
    }
    case 16: {
      const of = (["hatch", "board", "below"] as const)[n % 3]!;
      return deck({ access: "closed", opened: [{ id: `open-${by}`, kind: of, ...corner, width: 800, depth: 800 }] });
    }
    case 17:
      return deck({ joists: { ...d.joists, depth: 95 + (by % 8) * 25, spacing: 300 + (n % 7) * 50 } });
    case 18:
      return put({ walls: job.walls.map((w) => (w.id === wall.id ? { ...w, thickness: 80 + (by % 200) } : w)) });
    default: {
      const size = { u: 100 + (by % 2500), v: 1900 + (n % 4) * 100, width: 150 + (n % 5) * 100 };
      const beam = { ...size, height: 100 + (n % 4) * 80, depth: 100, kind: "beam" as const };
      return put({ fixtures: [...job.fixtures, { id: `beam-${by}`, wall: wall.id, name: "", ...beam }] });
    }
  }
}

/** Changes by number, made one after the other to a made-up house of two rooms. */
export const changedFurtherHouse = (
  seed: number,
  changes: readonly (readonly [kind: number, n: number, by: number])[],
): Job => changes.reduce((j, [k, n, by]) => changedFurther(j, k, n, by), generatedHouse(seed, 2, 3));

/** Made-up houses after one to three such changes, most of them of the kinds here. */
export const changedFurtherHouses = fc
  .tuple(
    fc.integer({ min: 1, max: 5000 }),
    fc.array(
      fc.tuple(
        fc.oneof({ weight: 2, arbitrary: fc.integer({ min: FIRST, max: LAST }) }, fc.nat(10)),
        fc.nat(60),
        fc.nat(3000),
      ),
      { minLength: 1, maxLength: 3 },
    ),
  )
  .map(([seed, changes]) => ({ seed, changes, job: changedFurtherHouse(seed, changes) }));
