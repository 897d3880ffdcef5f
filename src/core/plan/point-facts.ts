import { wiredTo } from "../job/wired";
import { isOnMains, isSignal, isSwitch } from "../rules/accessories";
import { Kept } from "../base/kept";
import { lowestTop } from "../base/ceiling";
import { insidePolygon } from "../base/polygon";
import { contains, overlap, rectAround, rectOf } from "../base/rect";
import { EPS, atLeast, atMost } from "../base/tolerance";
import type { Face, House } from "../house/house";
import type { Point } from "../job/model";
import { type KitchenPoint, checkClearances } from "../trades/kitchen/clearances";
import { type Fact, fact } from "../rules/fact";

/** Heights of outlets and switches in new dwellings, mm. Source: Approved Document M. */
export const newDwellingHeights = { least: 450, most: 1200 } as const;

const kitchenKind: Partial<Record<string, KitchenPoint["kind"]>> = {
  socket: "outlet",
  "cooker-control": "control",
  "fused-unit": "fused-unit",
  "appliance-outlet": "appliance-outlet",
};

/** What is wrong on each face, kept with it while the points and fixtures on it are the same. */
const found = new Kept<Face, readonly Fact[]>();

const pointOf = (h: House, id: string): Point => h.points[h.pointOfId.get(id)!]!.point;

/** What is wrong with where the points stand, before any cable is thought of. */
export function pointFacts(h: House): Fact[] {
  const out: Fact[] = [];
  const wired = new Set(h.job.circuits.flatMap(wiredTo));
  for (const f of h.faces) {
    if (!f.points.length) continue;
    const made = [h.job.dwelling.newDwelling, h.job.fixtures, ...f.points.map((p) => pointOf(h, p.id))];
    out.push(...found.of(f, made, () => faceFindings(h, f)));
  }
  out.push(...deckOverlaps(h));
  for (const p of h.points) {
    const { point } = p;
    if (point.place.on === "deck") {
      const deck = h.decks[p.deck];
      if (deck && !insidePolygon(deck.deck.outline, point.place))
        out.push(fact("point.off-wall", "point", point.id, { case: "deck", where: { deck: deck.deck.id } }));
    }
    if (isOnMains(point.kind) && !wired.has(point.id)) out.push(fact("point.circuit", "point", point.id));
  }
  return out;
}

/** Points that hang from one deck, or stand on it, and reach into each other. What is as wide as high there is round. */
function deckOverlaps(h: House): Fact[] {
  const out: Fact[] = [];
  const known = new Map<string, { id: string; x: number; y: number; width: number; height: number }[]>();
  for (const { point, plate } of h.points) {
    if (point.place.on !== "deck") continue;
    const { deck, face, x, y } = point.place;
    const p = { id: point.id, x, y, ...plate };
    const there = known.get(`${face} ${deck}`) ?? [];
    for (const q of there) {
      const round = p.width === p.height && q.width === q.height;
      const apart = round
        ? Math.hypot(p.x - q.x, p.y - q.y) - (p.width + q.width) / 2
        : Math.max(Math.abs(p.x - q.x) - (p.width + q.width) / 2, Math.abs(p.y - q.y) - (p.height + q.height) / 2);
      if (apart < -EPS) out.push(fact("point.overlap", "point", q.id, { of: { other: p.id } }));
    }
    known.set(`${face} ${deck}`, [...there, p]);
  }
  return out;
}

function faceFindings(h: House, f: Face): Fact[] {
  const out: Fact[] = [];
  const { length, height } = f.shape;
  const points = f.points.map((p) => ({ ...p, point: pointOf(h, p.id) }));
  points.forEach((p, i) => {
    const rect = rectAround(p);
    if (f.wall.build === "open")
      out.push(fact("point.off-wall", "point", p.id, { case: "open-side", where: { wall: f.wall.id } }));
    const topOver = (u: number): number =>
      f.shape.top ? lowestTop(f.shape.top, Math.max(0, u - p.width / 2), Math.min(length, u + p.width / 2)) : height;
    if (rect.u0 < -EPS || rect.v0 < -EPS || rect.u1 > length + EPS || rect.v1 > topOver(p.u) + EPS) {
      const u = Math.min(Math.max(p.u, p.width / 2), length - p.width / 2);
      const v = Math.round(Math.min(Math.max(p.v, p.height / 2), topOver(u) - p.height / 2) * 10) / 10;
      out.push(
        fact("point.off-wall", "point", p.id, {
          case: "edge",
          where: { wall: f.wall.id },
          of: { u, v },
          fix: [{ collection: "points", id: p.id, set: { u, v } }],
        }),
      );
    }
    const opening = f.openings.find((o) => contains(rectOf(o), p) || overlap(rectOf(o), rect));
    if (opening) {
      const left = opening.u - p.width / 2;
      const right = opening.u + opening.width + p.width / 2;
      const sides = p.u < opening.u + opening.width / 2 ? [left, right] : [right, left];
      const u = sides.find((x) => x >= p.width / 2 && x <= length - p.width / 2);
      out.push(
        fact("point.in-opening", "point", p.id, {
          where: { wall: f.wall.id },
          of: { opening: opening.kind, ...(u === undefined ? {} : { u }) },
          ...(u === undefined ? {} : { fix: [{ collection: "points", id: p.id, set: { u } }] }),
        }),
      );
    }
    for (const q of points.slice(i + 1))
      if (overlap(rect, rectAround(q))) out.push(fact("point.overlap", "point", p.id, { of: { other: q.id } }));
    if (
      h.job.dwelling.newDwelling &&
      (p.point.kind === "socket" || isSwitch(p.point.kind) || isSignal(p.point.kind)) &&
      !(atLeast(p.v, newDwellingHeights.least) && atMost(p.v, newDwellingHeights.most))
    ) {
      const low = p.v < newDwellingHeights.least;
      const limit = low ? newDwellingHeights.least : newDwellingHeights.most;
      out.push(
        fact("height.new-dwelling", "point", p.id, {
          measured: p.v,
          limit,
          sense: low ? "least" : "most",
          unit: "mm",
          fix: [{ collection: "points", id: p.id, set: { v: limit } }],
        }),
      );
    }
  });
  const fixtures = h.job.fixtures.filter((x) => x.wall === f.wall.id);
  const along = (kind: string): { u0: number; u1: number }[] =>
    fixtures.filter((x) => x.kind === kind).map((x) => ({ u0: x.u, u1: x.u + x.width }));
  const sinks = along("sink");
  const hobs = along("hob");
  const tops = fixtures.filter((x) => x.kind === "worktop");
  if (sinks.length || hobs.length || tops.length) {
    const worktopHeight = tops.length ? Math.max(...tops.map((x) => x.v + x.height)) : 900;
    const kitchenPoints = points.flatMap((p): KitchenPoint[] => {
      const kind = kitchenKind[p.point.kind];
      // Only a point over a worktop, bowl or hob answers to the worktop; elsewhere on the wall it is an ordinary point.
      const overTop = tops.some((t) => p.u >= t.u && p.u <= t.u + t.width) || sinks.length + hobs.length > 0;
      return kind && overTop ? [{ id: p.id, kind, u: p.u, v: p.v, width: p.width, height: p.height }] : [];
    });
    const besideTop = (id: string): boolean => {
      const p = points.find((x) => x.id === id)!;
      return !tops.length || tops.some((t) => p.u >= t.u && p.u <= t.u + t.width);
    };
    out.push(
      ...checkClearances({ worktopHeight, sinks, hobs, points: kitchenPoints }, length).filter(
        (x) => x.rule !== "kitchen.worktop" || besideTop(x.subject.id),
      ),
    );
  }
  return out;
}
