import { lowestTop } from "../geometry/ceiling";
import { insidePolygon } from "../geometry/polygon";
import { contains, overlap, rectAround, rectOf } from "../geometry/rect";
import { EPS, atLeast, atMost } from "../geometry/tolerance";
import type { Face, House } from "../job/house";
import { type KitchenPoint, checkClearances } from "../kitchen/clearances";
import { type Finding, finding, mm } from "../rules/findings";

/** Heights of outlets and switches in new dwellings, mm. Source: Approved Document M. */
export const newDwellingHeights = { least: 450, most: 1200 } as const;

const kitchenKind: Partial<Record<string, KitchenPoint["kind"]>> = {
  socket: "outlet",
  "cooker-control": "control",
  "fused-unit": "fused-unit",
  "appliance-outlet": "appliance-outlet",
};

/** What is wrong with where the points stand, before any cable is thought of. */
export function pointFindings(h: House): Finding[] {
  const out: Finding[] = [];
  const wired = new Set(h.job.circuits.flatMap((c) => [...c.points, ...c.spurs.map((s) => s.point)]));
  for (const f of h.faces) if (f.points.length) out.push(...faceFindings(h, f));
  for (const p of h.points) {
    const { point } = p;
    if (point.place.on === "deck") {
      const deck = h.decks[p.deck];
      if (deck && !insidePolygon(deck.deck.outline, point.place))
        out.push(
          finding("point.off-wall", {
            subject: point.id,
            message: `${point.label} lies outside ${deck.deck.name}.`,
            remedy: "Move it onto the deck.",
          }),
        );
    }
    if (point.kind !== "board" && !wired.has(point.id))
      out.push(
        finding("point.circuit", {
          subject: point.id,
          message: `${point.label} is on no circuit.`,
          remedy: "Add it to a circuit in Circuits.",
        }),
      );
  }
  return out;
}

function faceFindings(h: House, f: Face): Finding[] {
  const out: Finding[] = [];
  const { length, height } = f.shape;
  const points = f.points.map((p) => ({ ...p, point: h.points[h.pointOfId.get(p.id)!]!.point }));
  points.forEach((p, i) => {
    const rect = rectAround(p);
    const { label } = p.point;
    if (f.wall.build === "open")
      out.push(
        finding("point.off-wall", {
          subject: p.id,
          message: `${label} is on a side of ${f.room.name} that has no wall.`,
          remedy: "Move it to a wall, or give that side one.",
        }),
      );
    const topOver = (u: number): number =>
      f.shape.top ? lowestTop(f.shape.top, Math.max(0, u - p.width / 2), Math.min(length, u + p.width / 2)) : height;
    if (rect.u0 < -EPS || rect.v0 < -EPS || rect.u1 > length + EPS || rect.v1 > topOver(p.u) + EPS) {
      const u = Math.min(Math.max(p.u, p.width / 2), length - p.width / 2);
      const v = Math.round(Math.min(Math.max(p.v, p.height / 2), topOver(u) - p.height / 2) * 10) / 10;
      out.push(
        finding("point.off-wall", {
          subject: p.id,
          message: `${label} reaches past the edge of its wall.`,
          remedy: `Move ${label} to ${mm(u)}, ${mm(v)}`,
          fix: [{ collection: "points", id: p.id, set: { u, v } }],
        }),
      );
    }
    const opening = h.job.openings.find(
      (o) => o.wall === f.wall.id && (contains(rectOf(o), p) || overlap(rectOf(o), rect)),
    );
    if (opening) {
      const left = opening.u - p.width / 2;
      const right = opening.u + opening.width + p.width / 2;
      const sides = p.u < opening.u + opening.width / 2 ? [left, right] : [right, left];
      const u = sides.find((x) => x >= p.width / 2 && x <= length - p.width / 2);
      out.push(
        finding("point.in-opening", {
          subject: p.id,
          message: `${label} is in the ${opening.kind}.`,
          ...(u === undefined
            ? { remedy: "Move it to another wall." }
            : { remedy: `Move ${label} to ${mm(u)}`, fix: [{ collection: "points", id: p.id, set: { u } }] }),
        }),
      );
    }
    for (const q of points.slice(i + 1))
      if (overlap(rect, rectAround(q)))
        out.push(
          finding("point.overlap", {
            subject: p.id,
            message: `${label} and ${q.point.label} overlap.`,
            remedy: "Move one of them.",
          }),
        );
    if (
      h.job.dwelling.newDwelling &&
      (p.point.kind === "socket" || p.point.kind === "switch") &&
      !(atLeast(p.v, newDwellingHeights.least) && atMost(p.v, newDwellingHeights.most))
    ) {
      const low = p.v < newDwellingHeights.least;
      const limit = low ? newDwellingHeights.least : newDwellingHeights.most;
      out.push(
        finding("height.new-dwelling", {
          subject: p.id,
          message: `${label} is ${mm(p.v)} above the floor in a new dwelling.`,
          measured: p.v,
          limit,
          sense: low ? "least" : "most",
          unit: "mm",
          remedy: `Move ${label} to ${mm(limit)} up`,
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
      return kind && overTop
        ? [{ id: p.id, label: p.point.label, kind, u: p.u, v: p.v, width: p.width, height: p.height }]
        : [];
    });
    const besideTop = (id: string): boolean => {
      const p = points.find((x) => x.id === id)!;
      return !tops.length || tops.some((t) => p.u >= t.u && p.u <= t.u + t.width);
    };
    out.push(
      ...checkClearances({ worktopHeight, sinks, hobs, points: kitchenPoints }, length).filter(
        (x) => x.rule !== "kitchen.worktop" || besideTop(x.subject),
      ),
    );
  }
  return out;
}
