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

/** A circuit of a case: `amps` of its device, its points and spurs in words ("s1>f1 f1>s2"); all points of the case when left out. */
export interface ShortCircuit {
  amps?: number;
  curve?: "C";
  points?: string;
  spurs?: string;
  [field: string]: unknown;
}
/** A case in short: its points by id, the kind after a colon where the letters do not tell it, and what else is to be said of each. */
export interface Short extends Omit<Described, "points" | "circuits"> {
  on: string;
  with?: Record<string, { works?: string; [field: string]: unknown }>;
  circuits: ShortCircuit[];
  /** A room with a shower tray in the corner by the west end of wall 1. */
  bath?: boolean;
}
/** A case of the tables: what it is, where the rule stands, the job, and what is found. */
export type CaseRow = [what: string, source: string, job: Short, finds?: string];

const KINDS: Readonly<Record<string, string>> = {
  s: "socket",
  l: "light",
  b: "wall-light",
  w: "switch",
  f: "fused-unit",
  h: "heater",
  c: "cooker-control",
  k: "isolator",
  wp: "pull-cord",
  sa: "smoke-alarm",
  ha: "heat-alarm",
  vp: "charging-point",
  sh: "shower-pull-cord",
  im: "immersion",
  os: "outdoor-socket",
  fn: "fan",
  sv: "shaver",
  hb: "hob",
  dl: "downlights",
};
const words = (text: string): string[] => text.split(" ").filter((x) => x !== "");

export const radial = (more: ShortCircuit = {}): ShortCircuit => ({ kind: "radial", amps: 20, ...more });
export const ring = (more: ShortCircuit = {}): ShortCircuit => ({ kind: "ring", amps: 32, ...more });
export const lights = (more: ShortCircuit = {}): ShortCircuit => ({
  kind: "lighting",
  amps: 6,
  cable: "te-1.0",
  ...more,
});
export const fixed = (more: ShortCircuit = {}): ShortCircuit => ({ kind: "fixed", amps: 20, ...more });
export const over = (x: number, y: number): object => ({ on: "deck", deck: "d", x, y, face: "ceiling" });
export const onWall = (wall: string, u: number, v: number): object => ({ on: "wall", wall, u, v });

/** The job of a case. */
export function jobOfCase(c: Short): Job {
  const points = words(c.on).map((word): PointRow => {
    const [id, kind] = word.split(":") as [string, string?];
    const { works, ...more } = c.with?.[id] ?? {};
    return [id, kind ?? KINDS[id.replace(/\d+$/, "")]!, { ...(works ? { controls: words(works) } : {}), ...more }];
  });
  const circuits = c.circuits.map(({ amps, curve, points: on, spurs, ...more }) => {
    const hung = words(spurs ?? "").map((x) => {
      const [from, point] = x.split(">") as [string, string];
      return { point, from };
    });
    const off = new Set(hung.map((s) => s.point));
    const own = on === undefined ? points.map(([id]) => id).filter((id) => !off.has(id)) : words(on);
    return { ...more, device: { rating: amps, ...(curve ? { curve } : {}) }, points: own, spurs: hung };
  });
  const tray = { id: "b", wall: "w0", kind: "bath", u: 0, v: 0, width: 800, height: 150, depth: 800 };
  return jobOf({ ...c, points, circuits, ...(c.bath ? { kind: "bathroom", fixtures: [tray] } : {}) });
}
