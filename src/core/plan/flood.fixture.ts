import type { Job } from "../job/model";
import { plateOf } from "../rules/accessories";
import { type DeckGrid, deckGrids, mayBore, nearly, opened, within } from "./second-decks.fixture";
import { type Box, type Wall, boxes, insideBox, on, secondWalls, spot } from "./second-walls.fixture";

/*
 * A flood of the legal places of a house, for tests: every face of a wall and every deck as a grid of cells, legal or not by a second
 * reading of the rules, and water let in at a point. Where it comes and how far it has run is what hidden cable can do. It shares no
 * code with the lines and the search of the program.
 */

/** Width of a cell, mm. */
const STEP = 25;
/** How far beside a box a cable is led past it, mm. */
const BESIDE = 12.5;
/** Room a cable needs beside a joist, mm. */
const BESIDE_JOIST = 8;
/** How far a wall's foot may stand off a deck's outline, mm. */
const OFF_DECK = 260;

interface WallGrid {
  w: Wall;
  us: number[];
  vs: number[];
  nu: number;
  nv: number;
  base: number;
}

/**
 * How far cable runs at least from a point to every other one, mm by steps of 25; null where no legal place leads to it.
 * @param apart how far it keeps from boxes, steel and openings it is led past, mm
 */
export function flood(job: Job, source: string, apart = BESIDE): Map<string, number | null> {
  const second = secondWalls(job);
  let size = 0;
  const grids: WallGrid[] = second.walls.map((w) => {
    // Every 25 mm, right beside every box and through its middle, and beside the joists that end there.
    const mine = job.points.flatMap((p) =>
      p.place.on === "wall" && p.place.wall === w.id ? [{ ...p.place, ...plateOf(p) }] : [],
    );
    const marks = (most: number, more: number[]): number[] =>
      [...new Set([...Array.from({ length: Math.ceil(most / STEP) }, (_, i) => i * STEP), most, ...more])]
        .filter((x) => x >= 0 && x <= most)
        .sort((a, b) => a - b);
    const around = [...job.openings, ...job.fixtures, ...job.forbidden.map((x) => x.place)].flatMap((x) =>
      "wall" in x && typeof x.wall === "string" && x.wall === w.id
        ? [x as { u: number; v: number; width: number; height: number }]
        : [],
    );
    const beside = (mid: number, wide: number): number[] => [mid - wide / 2 - BESIDE, mid + wide / 2 + BESIDE];
    const edges = (from: number, wide: number): number[] => beside(from + wide / 2, wide);
    const joists = job.decks.flatMap((d) => {
      const eastWest = d.joists.direction === "east-west";
      const across = d.outline.map((p) => (eastWest ? p.y : p.x));
      const [dir, from] = eastWest ? [w.dy, w.oy] : [w.dx, w.ox];
      const off = d.joists.breadth / 2 + BESIDE_JOIST + 0.5;
      const out: number[] = [];
      if (Math.abs(dir) < 0.1) return out;
      for (let at = Math.min(...across) + d.joists.first; at < Math.max(...across); at += d.joists.spacing)
        out.push((at - off - from) / dir, (at + off - from) / dir);
      return out;
    });
    // Heights at which level strips of both faces of the wall lie over each other.
    const bothStrips = (these: readonly { v: number; height: number }[], of: Wall): number[] =>
      second.back.get(of.id)!.flatMap((o) => {
        const theirs = job.points.filter((p) => p.place.on === "wall" && p.place.wall === o.id);
        return these.flatMap((p) =>
          theirs.flatMap((q) => {
            const v = (q.place as { v: number }).v + o.floor - of.floor;
            const half = plateOf(q).height / 2;
            const [low, high] = [Math.max(p.v - p.height / 2, v - half), Math.min(p.v + p.height / 2, v + half)];
            return high - low > 2 ? [(low + high) / 2] : [];
          }),
        );
      });
    const us = marks(w.long, [
      ...joists,
      ...mine.flatMap((p) => [p.u, ...beside(p.u, p.width)]),
      ...around.flatMap((x) => edges(x.u, x.width)),
    ]);
    const vs = marks(w.room.height, [
      ...mine.flatMap((p) => [p.v, ...beside(p.v, p.height)]),
      ...around.flatMap((x) => edges(x.v, x.height)),
      ...bothStrips(mine, w),
    ]);
    const g = { w, us, vs, nu: us.length, nv: vs.length, base: size };
    size += g.nu * g.nv;
    return g;
  });
  const decks = deckGrids(job, STEP, size);
  size = decks.reduce((n, g) => n + g.nx * g.ny, size);
  const gridOf = new Map(grids.map((g) => [g.w.id, g]));

  const uOf = (g: WallGrid, i: number): number => g.us[i]!;
  const vOf = (g: WallGrid, j: number): number => g.vs[j]!;
  const barred = new Map(
    grids.map(({ w }) => [
      w.id,
      [
        ...second.openings.get(w.id)!,
        ...boxes(
          job.fixtures.filter((x) => x.kind === "beam"),
          w,
        ),
        ...job.forbidden.flatMap((x) => (x.place.on === "wall" ? boxes([x.place], w) : [])),
      ],
    ]),
  );
  const state = new Int8Array(size);
  const wallOk = (g: WallGrid, i: number, j: number): boolean => {
    if (i < 0 || j < 0 || i >= g.nu || j >= g.nv || g.w.wall.build === "open") return false;
    // Out of doors nothing is hidden in a wall.
    if (g.w.room.kind === "yard") return false;
    const k = g.base + i + j * g.nu;
    if (!state[k]) {
      const [u, v] = [uOf(g, i), vOf(g, j)];
      const ok = !barred.get(g.w.id)!.some((b) => insideBox(b, u, v, 0.6 - apart)) && second.inZone(g.w, u, v);
      state[k] = ok ? 1 : 2;
    }
    return state[k] === 1;
  };
  const place = (g: DeckGrid, i: number, j: number): [number, number] => [g.x0 + i * STEP, g.y0 + j * STEP];
  /** Joist in whose body a place of a deck lies, from 0; −1 beside all of them. */
  const joistAt = (g: DeckGrid, x: number, y: number): number => {
    const across = g.along === "x" ? y : x;
    return g.joists.findIndex((at) => Math.abs(across - at) < g.d.joists.breadth / 2 + BESIDE_JOIST);
  };
  const free = (g: DeckGrid, x: number, y: number): boolean =>
    ![
      ...g.d.obstacles.map((o) => o.outline),
      ...job.forbidden.flatMap((f) => (f.place.on === "deck" && f.place.deck === g.d.id ? [f.place.outline] : [])),
    ].some((o) => within(o, x, y));
  const deckOk = (g: DeckGrid, i: number, j: number): boolean => {
    if (i < 0 || j < 0 || i >= g.nx || j >= g.ny) return false;
    const k = g.base + i + j * g.nx;
    if (!state[k]) {
      const [x, y] = place(g, i, j);
      state[k] = nearly(g.d.outline, x, y, 1) && joistAt(g, x, y) < 0 && free(g, x, y) ? 1 : 2;
    }
    return state[k] === 1;
  };
  const over = (g: DeckGrid, w: Wall): boolean =>
    g.d.underside >= w.floor + w.room.height - 1 && g.d.underside <= w.floor + w.room.height + 450;
  const under = (g: DeckGrid, w: Wall): boolean => {
    const top = g.d.underside + g.d.joists.depth;
    return top < w.floor + 1 && Math.abs(top + g.d.boards.thickness - w.floor) <= 100;
  };
  /** Cells of a deck at a place that lies in it or at most so far off, the nearest ones beside a joist that stands there. */
  const cellsAt = (g: DeckGrid, x: number, y: number, by: number): number[] => {
    const out: number[] = [];
    if (!nearly(g.d.outline, x, y, by)) return out;
    const clamp = (n: number, most: number): number => Math.max(0, Math.min(most - 1, n));
    const i = clamp(Math.round((x - g.x0) / STEP), g.nx);
    const j = clamp(Math.round((y - g.y0) / STEP), g.ny);
    if (deckOk(g, i, j)) return [g.base + i + j * g.nx];
    for (const off of [-1, 1, -2, 2])
      for (const [p, q] of g.along === "x" ? [[i, j + off]] : [[i + off, j]])
        if (deckOk(g, p!, q!)) out.push(g.base + p! + q! * g.nx);
    return out;
  };

  // Behind the plate of a point on the way nothing is led on: only into it.
  const plate = new Int32Array(size).fill(-1);
  const box = new Int32Array(size).fill(-1);
  job.points.forEach((p, n) => {
    const at = p.place;
    if (at.on !== "wall") return;
    const g = gridOf.get(at.wall)!;
    const { width, height } = plateOf(p);
    const around = (by: number): Box => ({
      u0: at.u - width / 2 - by,
      u1: at.u + width / 2 + by,
      v0: at.v - height / 2 - by,
      v1: at.v + height / 2 + by,
    });
    for (let i = 0; i < g.nu; i++)
      for (let j = 0; j < g.nv; j++) {
        const [u, v] = [uOf(g, i), vOf(g, j)];
        if (insideBox(around(apart), u, v) && p.id !== source) plate[g.base + i + j * g.nu] = n;
        if (insideBox(around(1), u, v)) box[g.base + i + j * g.nu] = n;
      }
  });

  const best = new Float64Array(size).fill(Infinity);
  const buckets: number[][] = [];
  const reach = (k: number, d: number): void => {
    if (d >= best[k]! - 1e-9) return;
    best[k] = d;
    (buckets[Math.floor(d / 5)] ??= []).push(k);
  };
  const nearest = (list: readonly number[], x: number): number => {
    let i = list.findIndex((y) => y >= x);
    if (i < 0) i = list.length - 1;
    return i > 0 && x - list[i - 1]! < list[i]! - x ? i - 1 : i;
  };
  const wallCell = (g: WallGrid, u: number, v: number): number => g.base + nearest(g.us, u) + nearest(g.vs, v) * g.nu;
  /** Cells at a point, each with how far it lies from it. */
  const cellsOf = (p: Job["points"][number]): [number, number][] => {
    const { place: at } = p;
    if (at.on === "wall") return [[wallCell(gridOf.get(at.wall)!, at.u, at.v), 0]];
    const g = decks.find((x) => x.d.id === at.deck);
    if (!g) return [];
    // A light hangs as low as the ceiling of its room.
    const gaps = job.rooms
      .filter((r) => within(r.outline, at.x, at.y))
      .map((r) => g.d.underside - (job.storeys.find((s) => s.id === r.storey)?.level ?? 0) - r.height);
    const hung = gaps.find((x) => x > 100 && x <= 450) ?? 0;
    return cellsAt(g, at.x, at.y, 1).map((k): [number, number] => [
      k,
      at.face === "ceiling" ? g.mid - g.d.underside + hung : g.d.underside + g.d.joists.depth - g.mid,
    ]);
  };
  // The tops and feet of walls, and the cells of the decks they lead into.
  const rises = new Map<number, [number, number][]>();
  const rise = (a: number, b: number, far: number): void => {
    for (const [p, q] of [
      [a, b],
      [b, a],
    ] as const)
      rises.set(p, [...(rises.get(p) ?? []), [q, far]]);
  };
  for (const g of grids)
    for (const deck of decks)
      for (const [j, meets] of [
        [g.nv - 1, over(deck, g.w)],
        [0, under(deck, g.w)],
      ] as const)
        for (let i = 0; meets && i < g.nu; i++) {
          if (!wallOk(g, i, j)) continue;
          const [x, y] = spot(g.w, uOf(g, i), 0) as [number, number];
          // Beside a joist, never through it.
          if (joistAt(deck, x, y) >= 0) continue;
          const far = (k: number): number => {
            const [p, q] = place(deck, (k - deck.base) % deck.nx, Math.floor((k - deck.base) / deck.nx));
            return Math.hypot(p - x, q - y);
          };
          const bay = (k: number): boolean => {
            const [p, q] = place(deck, (k - deck.base) % deck.nx, Math.floor((k - deck.base) / deck.nx));
            const [a, b] = deck.along === "x" ? [q, y] : [p, x];
            return !deck.joists.some((at) => Math.min(a, b) < at && at < Math.max(a, b));
          };
          const [to] = cellsAt(deck, x, y, OFF_DECK)
            .filter(bay)
            .sort((p, q) => far(p) - far(q));
          if (to !== undefined) rise(g.base + i + j * g.nu, to, Math.abs(deck.mid - g.w.floor - vOf(g, j)));
        }

  const fromWall = (g: WallGrid, k: number, d: number): void => {
    const i = (k - g.base) % g.nu;
    const j = Math.floor((k - g.base) / g.nu);
    const { w } = g;
    const put = (to: number, far: number): void => {
      if (plate[k]! < 0 || plate[to] === plate[k]) reach(to, far);
    };
    const leaf = w.wall.leaf ?? w.wall.thickness;
    const chased = w.wall.build === "masonry" ? job.settings.chaseDepth : 0;
    // Within a box nothing is chased.
    const inBox = (to: number): boolean => box[k]! >= 0 && box[to] === box[k];
    const [u, v] = [uOf(g, i), vOf(g, j)];
    // Along the very ceiling or floor nothing is laid.
    if (j > 0 && j < g.nv - 1)
      for (const by of [-1, 1])
        if (wallOk(g, i + by, j) && (chased * 6 <= leaf + 1e-6 || inBox(k + by)))
          put(k + by, d + Math.abs(uOf(g, i + by) - u));
    if (chased * 3 <= leaf + 1e-6)
      for (const by of [-1, 1]) if (wallOk(g, i, j + by)) put(k + by * g.nu, d + Math.abs(vOf(g, j + by) - v));
    const n = w.room.outline.length;
    for (const by of [-1, 1] as const) {
      if (i !== (by < 0 ? 0 : g.nu - 1) || !second.turns(w, by)) continue;
      const next = grids.find((x) => x.w.room.id === w.room.id && x.w.wall.index === (w.wall.index + by + n) % n)!;
      const at = by < 0 ? next.nu - 1 : 0;
      const up = nearest(next.vs, v);
      if (wallOk(next, at, up)) put(next.base + at + up * next.nu, d + Math.abs(next.vs[up]! - v));
    }
    // Through the wall, but not right in a corner.
    if (u > 10 && u < w.long - 10)
      for (const o of second.back.get(w.id)!) {
        const there = on(o, spot(w, u, v));
        const next = gridOf.get(o.id)!;
        if (there.u < 10 || there.u > o.long - 10 || there.v < 0 || there.v > o.room.height) continue;
        const to = wallCell(next, there.u, there.v) - next.base;
        if (wallOk(next, to % next.nu, Math.floor(to / next.nu))) put(next.base + to, d + Math.abs(there.out));
      }
    for (const [to, far] of rises.get(k) ?? []) put(to, d + far);
  };
  const fromDeck = (g: DeckGrid, k: number, d: number): void => {
    const i = (k - g.base) % g.nx;
    const j = Math.floor((k - g.base) / g.nx);
    const [x, y] = place(g, i, j);
    for (const [di, dj] of [
      [1, 0],
      [-1, 0],
      [0, 1],
      [0, -1],
    ] as const) {
      const across = (di !== 0) !== (g.along === "x");
      // In a closed deck no hand gets at a noggin on the way.
      const barred = (n: { at: number; depth: number }): boolean => {
        const at = g.from + n.at;
        const [a, b] = g.along === "x" ? [x, x + di * STEP] : [y, y + dj * STEP];
        const [px, py] = g.along === "x" ? [at, y] : [x, at];
        return n.depth * 2 >= g.d.joists.depth && Math.min(a, b) < at && at <= Math.max(a, b) && !opened(g, px, py);
      };
      if (!across && g.d.noggins.some(barred)) continue;
      if (deckOk(g, i + di, j + dj)) reach(g.base + i + di + (j + dj) * g.nx, d + STEP);
      else if (across) {
        const joist = joistAt(g, x + di * STEP, y + dj * STEP);
        if (joist < 0 || !mayBore(g, joist, g.along === "x" ? x : y)) continue;
        for (let m = 2; m < 16; m++) {
          if (joistAt(g, x + m * di * STEP, y + m * dj * STEP) === joist) continue;
          if (deckOk(g, i + m * di, j + m * dj)) reach(g.base + i + m * di + (j + m * dj) * g.nx, d + m * STEP);
          break;
        }
      }
      // Over the edge into a deck that meets this one.
      for (const o of decks) {
        if (o === g || deckOk(g, i + di, j + dj)) continue;
        const deep =
          Math.min(o.d.underside + o.d.joists.depth, g.d.underside + g.d.joists.depth) -
          Math.max(o.d.underside, g.d.underside);
        if (deep < 50) continue;
        for (const to of cellsAt(o, x + di * 30, y + dj * 30, 20)) reach(to, d + 30 + Math.abs(o.mid - g.mid));
      }
    }
    for (const [to, far] of rises.get(k) ?? []) reach(to, d + far);
  };
  const owner = new Int32Array(size);
  grids.forEach((g, n) => owner.fill(n, g.base, g.base + g.nu * g.nv));
  decks.forEach((g, n) => owner.fill(-1 - n, g.base, g.base + g.nx * g.ny));
  for (const [k, d] of cellsOf(job.points.find((p) => p.id === source)!)) reach(k, d);
  for (let b = 0; b < buckets.length; b++)
    for (let q = 0; q < (buckets[b]?.length ?? 0); q++) {
      const k = buckets[b]![q]!;
      const d = best[k]!;
      if (Math.floor(d / 5) !== b) continue;
      const n = owner[k]!;
      if (n < 0) fromDeck(decks[-1 - n]!, k, d);
      else fromWall(grids[n]!, k, d);
    }
  return new Map(
    job.points.map((p) => {
      const least = Math.min(Infinity, ...cellsOf(p).map(([k, d]) => best[k]! + d));
      return [p.id, least < Infinity ? least : null];
    }),
  );
}
