import { rectAround } from "../base/rect";
import { type Face, type House, decksOfStorey, pointsOfStorey } from "../house/house";
import type { Plan } from "../laid/laid";
import { deckScene, holeShapes } from "./deck-scene";
import { planScene } from "./plan-scene";
import { UNKNOWN_STYLE, planRuns, runLine, runStyles, storeyBand } from "./run-lines";
import { type Scene, type Shape, pen, shifted } from "./scene";
import { unroll } from "./unrolled-runs";
import { deckSectionShapes, sectionShapes, sectionTags } from "./section-drawings";
import { wallScene } from "./wall-scene";

/** Radius of a point on a plan, mm. */
const POINT = 40;

/** One storey from above with its decks: rooms, openings, fixtures, joists, points, runs and holes. x east, y down (south), mm. */
export function storeySheet(h: House, storeyId: string, plan: Plan | null): Scene {
  const { job } = h;
  const storey = job.storeys.find((s) => s.id === storeyId);
  const p = pen();
  for (const { point, space } of pointsOfStorey(h, storeyId)) {
    p.circle(space[0], -space[1], POINT, "paper", "ink", { layer: "POINTS", id: point.id });
    p.text(space[0], -space[1], point.label, { layer: "LABELS", anchor: "start", shift: 8, drop: -0.3 });
  }
  const band = storeyBand(job, storeyId);
  const holes = (plan?.holes ?? []).filter((o) => o.centre[2] >= band.low && o.centre[2] <= band.high);
  const mine = new Set(decksOfStorey(job, storeyId).map((d) => d.id));
  const decks = h.decks.filter((d) => d.deck.kind !== "concrete" && mine.has(d.deck.id));
  return {
    label: `${job.name}, ${storey?.name ?? storeyId}, plan`,
    template: false,
    shapes: [
      ...planScene(h, storeyId),
      ...decks.flatMap((d) => deckScene(d, job, holes)),
      ...deckSectionShapes(h, storeyId),
      ...(plan ? planRuns(job, plan, storeyId) : []),
      ...holeShapes(holes),
      ...p.shapes,
    ],
  };
}

/** The plates of a wall's points with their labels; `x` and y of the wall's left end at floor level, mm. */
function pointShapes(
  h: House,
  points: readonly { id: string; u: number; v: number; width: number; height: number }[],
): Shape[] {
  const p = pen({ layer: "POINTS" });
  for (const q of points) {
    const r = rectAround(q);
    p.rect(r.u0, -r.v1, q.width, q.height, "paper", "ink", { id: q.id });
    p.text(r.u0, -r.v1, h.points[h.pointOfId.get(q.id)!]!.point.label, {
      layer: "LABELS",
      anchor: "start",
      drop: -0.3,
      size: 9,
    });
  }
  return p.shapes;
}

/** Names of the sections on a wall. */
function tagShapes(h: House, f: Face): Shape[] {
  const p = pen({ layer: "LABELS" });
  for (const t of sectionTags(h, f))
    if (t.plumb)
      p.text(t.u + (t.right ? t.half : -t.half), -t.v, t.text, {
        anchor: t.right ? "start" : "end",
        shift: t.right ? 4 : -4,
        size: 9,
        id: t.id,
      });
    else p.text(t.u, -t.v - t.half, t.text, { drop: -0.4, size: 9, id: t.id });
  return p.shapes;
}

/** "as built" once at each run that lies where it was measured on site. */
function builtWords(legs: ReturnType<typeof unroll>["legs"]): Shape[] {
  const p = pen({ layer: "LABELS" });
  const told = new Set<string>();
  for (const l of legs) {
    if (!l.run.built || told.has(l.run.id)) continue;
    told.add(l.run.id);
    p.text((l.a.x + l.b.x) / 2, (l.a.y + l.b.y) / 2, "as built", { anchor: "start", shift: 6, size: 9, id: l.run.id });
  }
  return p.shapes;
}

/** The walls of one room unrolled, turning right from its start wall, with the decks over and under, points, runs and holes. */
export function roomSheet(h: House, roomId: string, plan: Plan | null): Scene {
  const { job } = h;
  const room = job.rooms.find((r) => r.id === roomId);
  const { walls, legs, holes, found } = unroll(h, roomId, plan);
  const styles = runStyles(job);
  const p = pen({ layer: "BORES" });
  for (const o of holes) p.circle(o.x, o.y, o.diameter / 2, "deck", "stop", { id: o.id });
  return {
    label: `${job.name}, ${room?.name ?? roomId}, unrolled`,
    template: false,
    shapes: [
      ...walls.flatMap((w) =>
        shifted(
          [
            ...wallScene(h, w.face),
            ...sectionShapes(h, w.face),
            ...tagShapes(h, w.face),
            ...pointShapes(h, w.face.points),
          ],
          w.x,
          0,
        ),
      ),
      ...legs.map((l) =>
        runLine(l.run, styles.get(l.run.circuit) ?? UNKNOWN_STYLE, [
          [l.a.x, l.a.y],
          [l.b.x, l.b.y],
        ]),
      ),
      ...found,
      ...builtWords(legs),
      ...p.shapes,
    ],
  };
}
