import { containmentIn } from "../job/settings";
import { wiredTo } from "../job/wired";
import type { House } from "../house/house";
import { accessories } from "../rules/accessories";
import { type Cable, isMetalClad } from "../rules/cables";
import { cableOf } from "../rules/catalogue";
import { sectionRows, sectionSizes } from "../rules/sections";
import { sectionsOf } from "../house/sections";
import { sectionPieces } from "../trades/containment/section-pieces";
import { makingOf, sectionCorners } from "../trades/containment/section-turns";
import { drawBoxes } from "../trades/containment/draw-boxes";
import { sectionFixings } from "../trades/containment/section-supports";
import { chasesOn } from "./chases";
import { endFigures } from "./end-figures";
import { glandFaces } from "./gland-faces";
import { metalInside } from "./metal-inside";
import { addJoints, addOutside } from "./outside-take-off";
import { runsInSections } from "../trades/containment/section-facts";
import { sealsOf } from "./section-figures";
import { sectionTies } from "./section-ties";
import { sealedHoles } from "./wall-seals";
import { armourSleeves } from "../rules/armour-cores";
import type { TaskKind } from "../rules/times";
import { roomServed } from "../house/rooms-of";
import type { Clips, FoundWay, Hole, Run, TakeOffLine, End } from "../laid/laid";

const gangName = (gang: number): string => (gang === 2 ? "2-gang" : "1-gang");

/**
 * Where and with what work a line of the take-off is needed: a room or deck ("room:ID", "deck:ID"), and the task that
 * uses it.
 */
export interface Placed extends TakeOffLine {
  place: string;
  task: TaskKind;
  /** Group of that task. */
  group: string;
}

type Add = (
  item: string,
  size: string,
  quantity: number,
  unit: TakeOffLine["unit"],
  circuit: string | null,
  task: TaskKind,
  place: string,
  group?: string,
) => void;

const summed = <L extends TakeOffLine>(lines: readonly L[], keyOf: (l: L) => readonly string[]): L[] => {
  const sums = new Map<string, L>();
  for (const l of lines) {
    const key = keyOf(l).join("\u0000");
    const there = sums.get(key);
    if (there) there.quantity += l.quantity;
    else sums.set(key, { ...l });
  }
  return [...sums.values()];
};

/**
 * What to buy and bring, circuit by circuit: cable, boxes, plates, clips, grommets, capping, steel plates. Lengths in
 * metres, unrounded.
 */
export function takeOff(
  h: House,
  runs: readonly Run[],
  holes: readonly Hole[],
  clips: readonly Clips[],
  ends: readonly End[],
  found: readonly FoundWay[] = [],
): TakeOffLine[] {
  const lines = placedTakeOff(h, { runs, holes, clips, ends, found }).map(
    ({ item, size, quantity, unit, circuit }) => ({
      item,
      size,
      quantity,
      unit,
      circuit,
    }),
  );
  return summed(lines, (l) => [l.circuit ?? "", l.item, l.size]).sort((a, b) => {
    const ka = [a.circuit ?? "\uffff", a.item, a.size].join("\u0000");
    const kb = [b.circuit ?? "\uffff", b.item, b.size].join("\u0000");
    return ka < kb ? -1 : ka > kb ? 1 : 0;
  });
}

/** The same line by line, each with the place and the work it is needed for. */
export function placedTakeOff(
  h: House,
  plan: {
    runs: readonly Run[];
    holes: readonly Hole[];
    clips: readonly Clips[];
    ends: readonly End[];
    found?: readonly FoundWay[];
  },
): Placed[] {
  const { runs, holes, clips, ends } = plan;
  const lines: Placed[] = [];
  const add: Add = (item, size, quantity, unit, circuit, task, place, group = place) =>
    void lines.push({ item, size, quantity, unit, circuit, task, place, group });
  const roomOfWall = (wall: string): string => `room:${h.faces[h.faceOfWall.get(wall) ?? -1]?.room.id ?? ""}`;
  const roomOfPoint = (point: string): string => `room:${roomServed(h, point) ?? ""}`;
  const circuitOfPoint = new Map<string, string>();
  for (const c of h.job.circuits) for (const p of wiredTo(c)) circuitOfPoint.set(p, c.id);
  const runOf = new Map(runs.map((r) => [r.id, r]));
  for (const r of runs) {
    const cable = cableOf(r.cable, h.catalogue)!;
    add("Cable", cable.name, r.cutLength / 1000, "m", r.circuit, "draw-in", roomOfPoint(r.to), `circuit:${r.circuit}`);
  }
  addOverChases(h, runs, roomOfWall, add);
  addSections(h, runs, roomOfWall, add);
  const kept = new Set(h.job.circuits.filter((c) => c.state === "keep").map((c) => c.id));
  for (const p of h.points) {
    const { point } = p;
    // What is found in the house, or belongs to a circuit kept as it was, is there already.
    if (point.existing || kept.has(circuitOfPoint.get(point.id) ?? "")) continue;
    const circuit = circuitOfPoint.get(point.id) ?? null;
    const room = roomOfPoint(point.id);
    const kind = accessories[point.kind];
    if (point.kind === "junction-box" && p.deck >= 0) {
      const hatch = h.job.settings.schools.floorJoints === "hatch";
      add(hatch ? "Joint box" : "Maintenance-free joint box", "", 1, "each", circuit, "tails", room);
      if (hatch) add("Access hatch in the floor", "", 1, "each", circuit, "tails", room);
      continue;
    }
    add(kind.name, kind.gangs.length > 1 ? gangName(point.gang) : "", 1, "each", circuit, "close", room);
    if (point.kind === "board" || point.kind === "cabinet" || p.deck >= 0) continue;
    add(
      point.mount === "flush" ? "Flush box" : "Surface box",
      `${gangName(kind.gangs.length > 1 ? point.gang : 1)}, ${point.boxDepth} mm deep`,
      1,
      "each",
      circuit,
      "box",
      room,
    );
  }
  for (const p of h.points) {
    const circuit = circuitOfPoint.get(p.point.id) ?? null;
    const ways = (endFigures(h, plan, p.point.id)?.connectors ?? []).flatMap((x) => x.ways);
    for (const w of new Set(ways)) {
      const many = ways.filter((x) => x === w).length;
      add("Lever connector", `${w}-way`, many, "each", circuit, "close", roomOfPoint(p.point.id));
    }
  }
  for (const e of ends) {
    const p = h.points[h.pointOfId.get(e.point)!]!;
    if (p.face >= 0 && p.point.kind !== "board" && p.point.mount === "flush")
      add("Grommet", "20 mm", 1, "each", runOf.get(e.run)?.circuit ?? null, "box", roomOfPoint(e.point));
  }
  for (const c of clips) {
    const run = runOf.get(c.run)!;
    const { kind, id } = run.legs[c.leg]!.surface;
    const place = kind === "deck" ? `deck:${id}` : roomOfWall(id);
    add(
      c.metal ? "Metal clip" : "Clip",
      cableOf(run.cable, h.catalogue)!.name,
      c.marks.length,
      "each",
      run.circuit,
      "clip",
      place,
    );
  }
  addGlands(h, runs, ends, roomOfPoint, add);
  addOutside(h, runs, add);
  addJoints(h, { runs, found: plan.found ?? [] }, roomOfPoint, add);
  for (const o of sealedHoles(h, holes))
    add("Intumescent seal", `hole of ${o.diameter} mm`, 1, "each", null, "section", roomOfWall(o.in.wall!));
  for (const hole of holes)
    if (hole.plated)
      add(
        "Steel plate",
        "for one hole",
        1,
        "each",
        null,
        "bore",
        hole.in.deck === undefined ? roomOfWall(hole.in.wall ?? "") : `deck:${hole.in.deck}`,
      );
  return lines;
}

/**
 * What goes over chased cables where no section is drawn: capping or oval tube, as their room has it, over all that lie in one chase
 * together, as wide as they are; more than the widest takes go under several. Protected cable has its own.
 */
function addOverChases(h: House, runs: readonly Run[], roomOfWall: (wall: string) => string, add: Add): void {
  const bare = runs.map((r) => ({ ...r, legs: r.legs.filter((l) => !l.protected) }));
  const runOf = new Map(runs.map((r) => [r.id, r]));
  for (const f of h.faces)
    for (const c of chasesOn(h, bare, f.wall.id)) {
      const cables = c.runs.map((r) => cableOf(runOf.get(r)!.cable, h.catalogue)!);
      const circuits = new Set(c.runs.map((r) => runOf.get(r)!.circuit));
      const circuit = circuits.size === 1 ? [...circuits][0]! : null;
      for (const { name, size } of overChase(h, cables, f.room.id))
        add(name, `${size} mm`, (c.to - c.from) / 1000, "m", circuit, "cover", roomOfWall(f.wall.id));
    }
}

/** Covers for cables side by side: the narrowest that takes them all, else so many of the widest and one for the rest. */
export function overChase(
  h: Pick<House, "job" | "catalogue">,
  cables: readonly Pick<Cable, "width" | "thickness">[],
  room: string | null,
): { name: string; size: string }[] {
  const kind = containmentIn(h.job.settings, room).masonry;
  const { name } = sectionRows[kind];
  const sizes = sectionSizes(kind, h.catalogue);
  const thick = Math.max(...cables.map((c) => c.thickness));
  const widthIn = (x: (typeof sizes)[number]): number => ("width" in x.inside ? x.inside.width : 0);
  const fitting = (wide: number): (typeof sizes)[number] | undefined =>
    sizes.find((x) => widthIn(x) >= wide && "height" in x.inside && x.inside.height >= thick);
  const widest = sizes[sizes.length - 1]!;
  const wideOf = (list: typeof cables): number => list.reduce((sum, c) => sum + c.width, 0);
  const out: { name: string; size: string }[] = [];
  let left = [...cables].sort((p, q) => q.width - p.width);
  while (left.length > 1 && !fitting(wideOf(left))) {
    const taken = new Set<number>();
    let wide = 0;
    left.forEach((c, i) => {
      if (taken.size && wide + c.width > widthIn(widest)) return;
      taken.add(i);
      wide += c.width;
    });
    // As wide as the widest, and thicker than any: one over the other does not help.
    if (taken.size === left.length) break;
    out.push({ name, size: widest.id });
    left = left.filter((_, i) => !taken.has(i));
  }
  return [...out, { name, size: (fitting(wideOf(left)) ?? widest).id }];
}
/**
 * What the sections of containment take, once for all their cables: lengths, corners, couplers, ends, fixings. Nothing
 * for found ones.
 */
function addSections(h: House, runs: readonly Run[], roomOfWall: (wall: string) => string, put: Add): void {
  const inside = runsInSections(h, runs);
  for (const s of sectionsOf(h)) {
    if (s.section.state === "found") continue;
    const { row } = s;
    const first = s.section.path[0]!;
    const place = first.on === "wall" ? roomOfWall(first.wall) : `deck:${first.deck}`;
    const add = (item: string, of: string, quantity: number, unit: TakeOffLine["unit"], circuit: null): void =>
      put(item, of, quantity, unit, circuit, "section", place);
    const name = row.name;
    const size = s.section.size.replace("x", " × ");
    const pieces = sectionPieces(h, s);
    const corners = sectionCorners(h, s);
    const fixings = sectionFixings(s).reduce((sum, f) => sum + f.marks.length, 0);
    if (row.holds === "alone") {
      add("Cleat", "", fixings, "each", null);
    } else {
      add(name, size, pieces.reduce((sum, p) => sum + p.length, 0) / 1000, "m", null);
      const byHand = makingOf(s) !== "fitted";
      if (!byHand)
        for (const c of corners)
          add(`${name}: ${c.turn === "left" || c.turn === "right" ? "flat" : c.turn} corner`, size, 1, "each", null);
      // Between the pieces of a stretch, or of the whole where it is made by hand.
      const boxes = drawBoxes(h, s).length;
      if (boxes) add("Conduit box to draw from", `${size}, 2 ways`, boxes, "each", null);
      const joints = pieces.length - 1 - boxes - (byHand ? 0 : corners.length);
      if (joints > 0) add(`${name}: coupler`, size, joints, "each", null);
      if (!row.hidden && row.method !== "tube") add(`${name}: end`, size, 2, "each", null);
      if (row.method === "tube") add("Conduit bush", size, 2, "each", null);
      if (row.method === "trunking" || row.method === "mini-trunking")
        add(`${name}: lid`, size, s.length / 1000, "m", null);
    }
    add("Screw and plug", "", fixings, "each", null);
    for (const x of sealsOf(h, s)) add("Intumescent seal", `${x.width} × ${x.depth} mm`, 1, "each", null);
    const ties = sectionTies(h, s, inside.get(s.section.id)?.map((x) => x.cable) ?? []);
    for (const [item, metal] of [
      ["Metal tie", true],
      ["Cable tie", false],
    ] as const) {
      const count = ties.reduce((n, t) => n + (t.metal === metal ? t.count : 0), 0);
      if (count) add(item, "", count, "each", null);
    }
    const metal = metalInside(h, s);
    if (metal) add("Metal clip inside plastic", "", metal, "each", null);
  }
}

/**
 * Glands with their parts for armoured runs by where each end stands, sleeves for their cores, plugs for spare holes and for holes
 * that are there and are not used: what the end cards and gland faces show.
 */
function addGlands(
  h: House,
  runs: readonly Run[],
  ends: readonly End[],
  roomOfPoint: (point: string) => string,
  put: Add,
): void {
  const plan = { runs, ends };
  const clad = new Set(runs.filter((r) => isMetalClad(cableOf(r.cable, h.catalogue))).map((r) => r.id));
  const points = new Set(ends.filter((e) => clad.has(e.run)).map((e) => e.point));
  for (const point of points) {
    const add = (item: string, size: string, n: number, unit: TakeOffLine["unit"], circuit: string | null): void =>
      put(item, size, n, unit, circuit, "tails", roomOfPoint(point));
    for (const c of endFigures(h, plan, point)?.cables ?? []) {
      if (c.mineral) add("Pot, seal and gland", c.cable.name, 1, "each", c.run.circuit);
      if (!c.armour) continue;
      const { gland, outdoors } = c.armour;
      const size = gland ? `${gland.id}, ${gland.thread}, ${outdoors ? "outdoor" : "indoor"} type` : "ask the maker";
      add("Gland with tag, lock ring and shroud", size, 1, "each", c.run.circuit);
      add("Bolt, serrated washer and lead for a gland's tag", "brass, 4 mm² lead", 1, "each", c.run.circuit);
      for (const s of armourSleeves(c.cable.cores, h.job.settings.schools.armourCores))
        add("Core sleeve", `${s.sleeve} over ${s.core}`, 1, "each", c.run.circuit);
    }
    for (const face of glandFaces(h, plan, point)) {
      const run = face.holes.find((o) => o.run !== null)?.run;
      const circuit = runs.find((r) => r.id === run)?.circuit ?? null;
      for (const o of face.holes)
        if (o.run === null && o.gland) add("Plug for a spare gland hole", o.gland.thread, 1, "each", circuit);
      for (const q of face.plugs) add("Plug for an old hole", `${q.size} mm`, 1, "each", circuit);
    }
  }
}

/** The same list summed over all circuits. */
export const totals = (lines: readonly TakeOffLine[]): TakeOffLine[] =>
  summed(
    lines.map((l) => ({ ...l, circuit: null })),
    (l) => [l.item, l.size],
  ).sort((a, b) => {
    const [ka, kb] = [`${a.item}\u0000${a.size}`, `${b.item}\u0000${b.size}`];
    return ka < kb ? -1 : ka > kb ? 1 : 0;
  });

/** The list summed by whatever its lines have in common: the place, or the day of the work. */
export const totalsBy = (
  lines: readonly Placed[],
  of: (l: Placed) => string,
): { key: string; lines: TakeOffLine[] }[] => {
  const keys = [...new Set(lines.map(of))];
  return keys.map((key) => ({ key, lines: totals(lines.filter((l) => of(l) === key)) }));
};
