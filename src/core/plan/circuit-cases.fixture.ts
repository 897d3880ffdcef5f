import { board, circuit, deck, house } from "../book/limits/by-hand.fixture";
import type { Job } from "../job/model";

type PointRow = [id: string, kind: string, more?: object];

/** Points stand along the north wall, 330 apart, lights on the ceiling where their kind hangs there. */
const CEILING = new Set(["light", "downlights", "pull-cord", "smoke-alarm", "heat-alarm"]);
const place = ([id, kind, more = {}]: PointRow, n: number): object => ({
  id,
  label: id.toUpperCase(),
  kind,
  place: CEILING.has(kind)
    ? { on: "deck", deck: "d", x: 500 + 380 * n, y: 1500, face: "ceiling" }
    : { on: "wall", wall: "w1", u: 250 + 330 * n, v: kind === "switch" ? 1200 : 450 },
  ...more,
});

export interface Described {
  points: PointRow[];
  circuits: object[];
  supply?: object;
  kind?: string;
  fixtures?: object[];
  thickness?: number;
  schools?: object;
  walls?: object;
}

/** The job of a description: one room, 4 000 × 3 000, joists over it, the board on its south wall, every circuit on a way of its own. */
export function jobOf(d: Described): Job {
  return house({
    rooms: [{ ...house().rooms[0]!, kind: d.kind ?? "bedroom" }],
    walls: house().walls.map((w) => ({ ...w, ...d.walls })),
    decks: [deck()],
    fixtures: d.fixtures ?? [],
    supply: { earthing: "TN-C-S", ze: 0.3, ...d.supply },
    settings: { schools: d.schools ?? {} },
    points: [board, ...d.points.map(place)],
    circuits: d.circuits.map((c, n) => circuit({ id: `c${n + 1}`, label: `C${n + 1}`, way: n + 1, ...c })),
  });
}
