import { mainsOf } from "../job/mains";
import { innerWalls } from "../house/bearings";
import type { House } from "../house/house";
import { outsideFaces } from "../house/outside-walls";
import { ceilingDeck } from "../house/places";
import { mainBoard } from "../job/boards";
import { ASSUMED_STUDS } from "../house/studs";
import { externalLoop } from "../trades/circuits/check-circuit";

/** What nobody has said of a house yet. */
export const unknownKinds = [
  "board",
  "earthing",
  "ze",
  "main-switch",
  "bonding",
  "outside-walls",
  "cavity",
  "studs",
  "deck-over",
  "bearings",
  "noggins",
  "found-end",
  "way",
] as const;
export type UnknownKind = (typeof unknownKinds)[number];

/** One thing not known: of what by name, how many, and the figure that is taken in its place. */
export interface Unknown {
  kind: UnknownKind;
  /** Names of the things, in order. */
  of: string[];
  /** Ω of a loop, mm between studs; left out where nothing is measured. */
  taken?: number;
}

/** From this thickness a masonry wall may have a cavity, mm. Source: Trade habit: two leaves and the gap between them. */
const CAVITY = 250;

/** What is still unknown about a house, in the order one finds it out. What is known is left out. */
export function unknownsOf(h: House): Unknown[] {
  const { job } = h;
  const { supply } = job;
  const outside = outsideFaces(h);
  const wallName = (f: (typeof h.faces)[number]): string => `${f.room.name}, wall ${f.wall.index + 1}`;
  const stud = h.faces.filter((f) => f.studs?.assumed && !(f.opposite.length && f.opposite[0]! < f.n));
  const over = job.rooms.filter((r) => r.kind !== "yard" && r.kind !== "loft" && ceilingDeck(job, r) === null);
  const joisted = h.decks.filter((l) => l.deck.kind !== "concrete");
  const edgesOnly = joisted.filter((l) => {
    const below = job.storeys.find((s) => Math.abs(s.level + s.height - l.underside) <= 400);
    return (
      l.deck.joists.bearings.length <= 2 &&
      below !== undefined &&
      innerWalls(h, below.id, l.deck.joists.direction).some((w) => w.masonry && w.share >= 0.5)
    );
  });
  const list: Unknown[] = [
    { kind: "board", of: mainBoard(job) ? [] : [""] },
    { kind: "earthing", of: supply.earthing === null ? [""] : [], taken: externalLoop(supply) },
    { kind: "ze", of: supply.earthing !== null && supply.ze === null ? [""] : [], taken: externalLoop(supply) },
    { kind: "main-switch", of: supply.mainSwitch === null ? [""] : [] },
    { kind: "bonding", of: supply.bonding.length ? [] : [""] },
    { kind: "outside-walls", of: outside.filter((f) => f.wall.backing === "room").map(wallName) },
    {
      kind: "cavity",
      of: outside
        .filter((f) => f.wall.build === "masonry" && f.wall.thickness >= CAVITY && f.wall.leaf === null)
        .map(wallName),
    },
    { kind: "studs", of: stud.map(wallName), taken: ASSUMED_STUDS.spacing },
    { kind: "deck-over", of: over.map((r) => r.name) },
    { kind: "bearings", of: edgesOnly.map((l) => l.deck.name) },
    { kind: "noggins", of: joisted.filter((l) => !l.deck.noggins.length).map((l) => l.deck.name) },
    { kind: "found-end", of: job.foundCables.filter((f) => f.to === null).map((f) => f.id) },
    {
      kind: "way",
      of: mainsOf(job)
        .filter((c) => c.way === null && c.state !== "keep")
        .map((c) => c.label),
    },
  ];
  return list.filter((u) => u.of.length > 0);
}
