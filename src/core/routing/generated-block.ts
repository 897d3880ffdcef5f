import { type Job, canonical } from "../job/model";
import { generatedHouse } from "./generated-house";

/** Most sockets on one ring and rooms on one lighting circuit of a generated flat. */
const RING = 12;
const LIGHT_ROOMS = 3;

/**
 * A made-up block of flats for timing: flats side by side and on top of each other, each with its own board, rings and lights.
 * The same seed gives the same block. Twelve flats of six rooms and twelve sockets a room make about a thousand points.
 */
export function generatedBlock(seed: number, flats = 12, rooms = 6, sockets = 12): Job {
  const across = Math.ceil(Math.sqrt(flats));
  const columns = Array.from({ length: across }, (_, i) => generatedHouse(seed + i, rooms, sockets));
  const wide = columns.map((c) => Math.max(...c.rooms.flatMap((r) => r.outline.map((p) => p.x))));
  const out: Job = {
    ...columns[0]!,
    id: `block-${seed}`,
    name: `Block ${seed}`,
    storeys: [],
    rooms: [],
    walls: [],
    openings: [],
    points: [],
    decks: [],
    circuits: [],
  };
  for (let n = 0; n < flats; n++) {
    const column = n % across;
    const level = Math.floor(n / across);
    const flat = columns[column]!;
    const deck = flat.decks[0]!;
    // Each storey stands on the decks of the one below; the deepest of them sets its level.
    const rise = Math.max(
      ...columns.map((c) => c.decks[0]!.underside + c.decks[0]!.joists.depth + c.decks[0]!.boards.thickness),
    );
    const dx = wide.slice(0, column).reduce((s, w) => s + w + 300, 0);
    const id = (x: string): string => `f${n}${x}`;
    const shift = <T extends { x: number; y: number }>(p: T): T => ({ ...p, x: p.x + dx });
    if (column === 0)
      out.storeys.push({ id: `s${level}`, name: `Storey ${level + 1}`, level: level * rise, height: 2400 });
    out.rooms.push(
      ...flat.rooms.map((r) => ({ ...r, id: id(r.id), storey: `s${level}`, outline: r.outline.map(shift) })),
    );
    out.walls.push(...flat.walls.map((w) => ({ ...w, id: id(w.id), room: id(w.room) })));
    out.openings.push(...flat.openings.map((o) => ({ ...o, id: id(o.id), wall: id(o.wall) })));
    out.decks.push({
      ...deck,
      id: id(deck.id),
      name: `Deck over flat ${n + 1}`,
      underside: deck.underside + level * rise,
      outline: deck.outline.map(shift),
    });
    out.points.push(
      ...flat.points.map((p) => ({
        ...p,
        id: id(p.id),
        label: `${n + 1}.${p.label}`,
        controls: p.controls.map(id),
        place:
          p.place.on === "wall"
            ? { ...p.place, wall: id(p.place.wall) }
            : { ...shift(p.place), deck: id(p.place.deck) },
      })),
    );
    const board = id("board");
    const socketIds = flat.points
      .filter((p) => p.kind === "socket")
      .map((p) => id(p.id))
      .sort();
    const base = flat.circuits.find((c) => c.kind === "ring")!;
    for (let i = 0; i * RING < socketIds.length; i++)
      out.circuits.push({
        ...base,
        id: id(`r${i}`),
        label: `${n + 1}R${i + 1}`,
        way: null,
        board,
        points: socketIds.slice(i * RING, (i + 1) * RING),
      });
    const lights = flat.circuits.find((c) => c.kind === "lighting")!;
    for (let i = 0; i * LIGHT_ROOMS < rooms; i++) {
      const mine = Array.from(
        { length: Math.min(LIGHT_ROOMS, rooms - i * LIGHT_ROOMS) },
        (_, k) => i * LIGHT_ROOMS + k,
      ).flatMap((r) => [id(`r${r}l`), id(`r${r}k`)]);
      out.circuits.push({ ...lights, id: id(`l${i}`), label: `${n + 1}L${i + 1}`, way: null, board, points: mine });
    }
  }
  return canonical(out);
}
