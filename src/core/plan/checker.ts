import { isMains } from "../job/mains";
import { topAt } from "../base/ceiling";
import { Kept } from "../base/kept";
import { contains, crosses, rectAround, rectOf } from "../base/rect";
import { atMost } from "../base/tolerance";
import { type XYZ, distance, toFace } from "../base/wall-frame";
import { heldAs, END_MOST, clipSpacing } from "../trades/fixings/clips";
import type { Face, House, PlacedPoint } from "../house/house";
import type { Circuit, PinnedLeg } from "../job/model";
import { PENCIL, checkDeckLeg } from "./check-deck-leg";
import { checkHoles } from "./check-holes";
import { clippedStretch, orientationOf } from "./clips";
import type { Clips, Hole, Run } from "../laid/laid";
import { holesByRun } from "../laid/run-measures";
import { overall } from "../rules/cables";
import { cableOf } from "../rules/catalogue";
import { deepestChase } from "../rules/chases";
import { outsideOf } from "../house/outside";
import { sectionOfLeg } from "../house/sections";
import { cutIn, isSectionMethod, onSurface } from "../rules/sections";
import { needsRcd } from "../trades/circuits/needs-rcd";
import { again } from "./again";
import { checkLevelChases } from "./level-chase-facts";
import { type Fact, type Where, fact } from "../rules/fact";
import { studAt } from "../house/studs";
import { studCrossings } from "../house/stud-crossings";
import { checkPath } from "../trades/zones/check-path";

/** What the checker judges: a plan's runs, holes and clips, wherever they came from. */
export interface ToCheck {
  runs: readonly Run[];
  holes: readonly Hole[];
  clips: readonly Clips[];
}

/**
 * Judges every leg, hole and clip of a plan against the house from scratch. It shares nothing with the search:
 * it looks only at the lines in space and asks of each whether it may be there.
 */
export function checkPlan(h: House, p: ToCheck): Fact[] {
  const out: Fact[] = [];
  const circuits = new Map(h.job.circuits.map((c) => [c.id, c]));
  const exposed = new Map<string, Circuit>();
  const holesOf = holesByRun(p.holes);
  for (const run of p.runs) {
    const c = circuits.get(run.circuit);
    if (!c) continue;
    const holes = holesOf.get(run.id) ?? [];
    out.push(...checkEnds(h, run), ...checkContinuity(h, run));
    if (!run.held) out.push(...checkLevelChases(h, run));
    for (let i = 0; i < run.legs.length; i++) {
      const leg = run.legs[i]!;
      const where = { run: run.id, leg: i };
      if (isSectionMethod(leg.method) && !sectionOfLeg(h, leg, run.circuit))
        out.push(fact("route.off-surface", "run", run.id, { case: "section-gone", where, ...again(run) }));
      if (leg.surface.kind === "wall") out.push(...wallLegFacts(h, run, i));
      if (leg.surface.kind === "wall" && leg.method === "stud-void")
        out.push(...checkVoidLeg(h, run, leg, { ...where, wall: leg.surface.id }, holes));
      if (leg.surface.kind === "deck")
        out.push(...checkDeckLeg(h, run, leg, { ...where, deck: leg.surface.id }, holes));
      if (leg.surface.kind === "outside" && !liesInWay(h, leg))
        out.push(fact("route.off-surface", "run", run.id, { case: "way-gone", where, ...again(run) }));
      if (leg.surface.kind === "through")
        out.push(...checkThroughLeg(h, run, leg, { ...where, wall: leg.surface.id }, holes));
      if (isMains(c) && wantsRcd(h, leg)) exposed.set(c.id, c);
    }
  }
  for (const c of exposed.values()) out.push(...needsRcd("zone.rcd", h.job, c));
  out.push(...checkHoles(h, p.holes, p.runs), ...checkClips(h, p.clips, p.runs));
  return out;
}

/** Whether a leg goes from end to end of the way out of doors that it names, one way or the other. */
function liesInWay(h: House, leg: PinnedLeg): boolean {
  const way = outsideOf(h).find((w) => w.way.id === leg.surface.id);
  if (!way) return false;
  const ends = [way.path[0]!, way.path[way.path.length - 1]!];
  const mine = [leg.path[0]!, leg.path[leg.path.length - 1]!];
  return [ends, [...ends].reverse()].some((e) => e.every((p, i) => distance(p, mine[i]!) <= PENCIL));
}

function faceOf(h: House, leg: PinnedLeg): Face | undefined {
  return h.faces[h.faceOfWall.get(leg.surface.id) ?? -1];
}

function wantsRcd(h: House, leg: PinnedLeg): boolean {
  if (leg.surface.kind !== "wall" || onSurface.has(leg.method) || leg.protected) return false;
  const f = faceOf(h, leg);
  return f !== undefined && (leg.depth < 50 || f.shape.thickness - leg.depth < 50 || f.wall.build === "metal-stud");
}

/** True when a place lies on the plate of a point, or at the point itself where it hangs on a deck. */
function atPoint(h: House, p: PlacedPoint, s: XYZ): boolean {
  const face = h.faces[p.face];
  if (!face || p.point.place.on !== "wall") return distance(p.space, s) <= PENCIL;
  const here = toFace(face.frame, s);
  return Math.abs(here.into) <= PENCIL && contains(rectAround({ ...p.point.place, ...p.plate }), here);
}

function checkEnds(h: House, run: Run): Fact[] {
  const out: Fact[] = [];
  const first = run.legs[0]!.path[0]!;
  const lastLeg = run.legs[run.legs.length - 1]!;
  // Work already done stays where it was done; what has moved since is told elsewhere, planned and done.
  if (run.held) return out;
  const last = lastLeg.path[lastLeg.path.length - 1]!;
  for (const [id, place] of [
    [run.from, first],
    [run.to, last],
  ] as const) {
    const p = h.points[h.pointOfId.get(id) ?? -1];
    if (p && atPoint(h, p, place)) continue;
    out.push(
      fact("route.loose-end", "run", run.id, {
        where: { run: run.id },
        of: { point: id },
        ...(p ? { measured: distance(p.space, place), limit: 0, sense: "most" as const, unit: "mm" } : {}),
        ...again(run),
      }),
    );
  }
  return out;
}

function checkContinuity(h: House, run: Run): Fact[] {
  const out: Fact[] = [];
  for (let i = 1; i < run.legs.length; i++) {
    const p = run.legs[i - 1]!.path;
    const gap = distance(p[p.length - 1]!, run.legs[i]!.path[0]!);
    if (gap > PENCIL)
      out.push(
        fact("route.broken", "run", run.id, {
          where: { run: run.id, leg: i },
          measured: gap,
          limit: 0,
          sense: "most",
          unit: "mm",
          ...again(run),
        }),
      );
  }
  return out;
}

const onWalls = new Kept<PinnedLeg, Fact[]>();

/** What there is to say of a leg on a wall; kept with it while it, its wall and all that is said by it stay as they are. */
function wallLegFacts(h: House, run: Run, i: number): Fact[] {
  const leg = run.legs[i]!;
  const { fixtures, forbidden } = h.job;
  const f = faceOf(h, leg);
  const made = [
    f,
    i,
    run.id,
    run.from,
    run.to,
    run.pin,
    run.held,
    run.circuit,
    run.cable,
    h.catalogue,
    fixtures,
    forbidden,
  ];
  return onWalls.of(leg, made, () => checkWallLeg(h, run, leg, { run: run.id, leg: i, wall: leg.surface.id }));
}

function checkWallLeg(h: House, run: Run, leg: PinnedLeg, where: Where): Fact[] {
  const f = faceOf(h, leg);
  if (!f) return [fact("route.off-surface", "run", run.id, { case: "wall-gone", where, ...again(run) })];
  const path = leg.path.map((s) => toFace(f.frame, s));
  const out: Fact[] = [];
  const off = path.find(
    (p) =>
      Math.abs(p.into) > PENCIL ||
      p.u < -PENCIL ||
      p.u > f.shape.length + PENCIL ||
      p.v < -PENCIL ||
      p.v > (f.shape.top ? topAt(f.shape.top, p.u) : f.shape.height) + PENCIL,
  );
  if (off) out.push(fact("route.off-surface", "run", run.id, { case: "leaves-wall", where, ...again(run) }));
  const judged = checkPath(
    f.shape,
    f.zones,
    path,
    { depth: leg.depth, protected: leg.protected || onSurface.has(leg.method) },
    run.id,
    "run",
  );
  for (const x of judged.facts) out.push({ ...x, where, ...(x.severity === "stop" ? again(run) : {}) });
  if (cutIn.has(leg.method) && !run.held)
    for (let i = 1; i < path.length; i++) {
      const way = Math.abs(path[i]!.v - path[i - 1]!.v) > Math.abs(path[i]!.u - path[i - 1]!.u) ? "plumb" : "level";
      const limit = deepestChase(f.wall, way);
      if (!atMost(leg.depth, limit))
        out.push(
          fact("chase.depth", "run", run.id, {
            case: way,
            where,
            measured: leg.depth,
            limit,
            sense: "most",
            unit: "mm",
            of: { leaf: f.wall.leaf ?? f.wall.thickness },
            ...again(run),
          }),
        );
    }
  // Out of doors the sun reaches it: ordinary flat cable has no place there.
  if (f.room.kind === "yard" && cableOf(run.cable, h.catalogue)?.family === "sheathed" && !leg.protected)
    out.push(fact("outside.sheath", "circuit", run.circuit, { where }));
  for (const x of h.job.forbidden) {
    const { place } = x;
    if (
      place.on === "wall" &&
      place.wall === f.wall.id &&
      path.some((q, i) => i > 0 && crosses(rectOf(place), path[i - 1]!, q))
    )
      out.push(fact("route.forbidden", "run", run.id, { where, of: { name: x.name }, ...again(run) }));
  }
  for (const x of h.job.fixtures)
    if (x.kind === "beam" && x.wall === f.wall.id && path.some((q, i) => i > 0 && crosses(rectOf(x), path[i - 1]!, q)))
      out.push(
        fact("route.forbidden", "run", run.id, { case: "beam", where, of: { name: x.name || "beam" }, ...again(run) }),
      );
  for (const p of f.points) {
    if (p.id === run.from || p.id === run.to) continue;
    const rect = rectAround(p);
    if (path.some((q, i) => i > 0 && crosses(rect, path[i - 1]!, q)))
      out.push(fact("route.through-box", "run", run.id, { where, of: { point: p.id } }));
  }
  return out;
}

function checkThroughLeg(h: House, run: Run, leg: PinnedLeg, where: Where, holes: readonly Hole[]): Fact[] {
  const hole = holes.find(
    (o) =>
      o.in.kind === "wall" &&
      o.in.wall === leg.surface.id &&
      leg.path.some((s) => distance(s, o.centre) <= 1.5 * PENCIL),
  );
  return hole || !faceOf(h, leg) ? [] : [fact("hole.missing", "run", run.id, { case: "wall", where })];
}

/** How far a hole of a bundle may stand above or beside the line its cables lie on, mm: half the width of a strip. */
const OF_BUNDLE = 75;

/** Every stud, noggin and plate on the way of a cable in a stud wall has its hole. */
function checkVoidLeg(h: House, run: Run, leg: PinnedLeg, where: Where, holes: readonly Hole[]): Fact[] {
  const f = faceOf(h, leg);
  if (!f?.studs) return [];
  const out: Fact[] = [];
  // From either face: the timber is one, and so may be the hole.
  const sides = new Set([f.wall.id, ...f.opposite.map((n) => h.faces[n]!.wall.id)]);
  const own = holes
    .filter((o) => o.in.kind === "stud" && sides.has(o.in.wall!))
    .map((o) => ({ part: o.in.part, ...toFace(f.frame, o.centre) }));
  for (let i = 1; i < leg.path.length; i++) {
    const [a, b] = [toFace(f.frame, leg.path[i - 1]!), toFace(f.frame, leg.path[i]!)];
    const stud = Math.abs(a.u - b.u) < Math.abs(a.v - b.v) ? studAt(f.studs, a.u) : null;
    if (stud) out.push(fact("timber.in-joist", "run", run.id, { case: "stud", where, of: { stud: stud.n } }));
    for (const c of studCrossings(f, a, b)) {
      const [du, dv] = c.part === "stud" ? [1.5 * PENCIL, OF_BUNDLE] : [OF_BUNDLE, 1.5 * PENCIL];
      const there = own.some((o) => o.part === c.part && Math.abs(o.u - c.u) <= du && Math.abs(o.v - c.v) <= dv);
      if (!there)
        out.push(fact("hole.missing", "run", run.id, { case: c.part, where: { ...where, at: c.u }, of: { v: c.v } }));
    }
  }
  return out;
}

function checkClips(h: House, clips: readonly Clips[], runs: readonly Run[]): Fact[] {
  const out: Fact[] = [];
  const runOf = new Map(runs.map((r) => [r.id, r]));
  for (const c of clips) {
    const run = runOf.get(c.run);
    const leg = run?.legs[c.leg];
    const cable = run && cableOf(run.cable, h.catalogue);
    if (!run || !leg || !cable) continue;
    const { max } = clipSpacing(heldAs(cable), overall(cable), orientationOf(leg), c.reachable);
    const gaps = c.marks.slice(1).map((m, i) => m - c.marks[i]!);
    const widest = Math.max(0, ...gaps);
    if (c.reachable && max !== null && !atMost(widest, max))
      out.push(
        fact("clip.spacing", "run", run.id, {
          where: { run: run.id, leg: c.leg },
          measured: widest,
          limit: max,
          sense: "most",
          unit: "mm",
        }),
      );
    // Both ends of the stretch, not only the one the tape is hooked on.
    const lastMark = c.marks[c.marks.length - 1] ?? 0;
    const [from, to] = clippedStretch(h, run, c.leg);
    const farthest = Math.max((c.marks[0] ?? 0) - from, to - lastMark);
    if (!atMost(farthest, END_MOST))
      out.push(
        fact("clip.end", "run", run.id, {
          where: { run: run.id, leg: c.leg },
          measured: farthest,
          limit: END_MOST,
          sense: "most",
          unit: "mm",
        }),
      );
  }
  return out;
}
