import { bounds } from "../base/polygon";
import { toSpace } from "../base/wall-frame";
import type { Face, House } from "../house/house";
import { fixtureNames } from "../house/typical";
import type { Fixture, Job, Opening } from "../job/model";
import { type Shape, type XY, arc, pen } from "./scene";

/** Fixtures that hang above a head are drawn dashed on plan: from this height of their underside, mm. */
const HIGH = 1300;
/** Thickest wall drawn to its thickness, mm: thicker ones go on beyond the paper. */
const THICKEST = 600;
/** Share of its width that a door leaf is drawn. */
const LEAF = 0.92;

/** What of the house is drawn on the plan of its rooms. */
export type PlanHouse = Pick<House, "faces"> & { job: Pick<Job, "rooms" | "fixtures" | "openings" | "grounds"> };

/** A place of a wall on plan: x east, y down (south), mm; `into` the room. */
const on = (f: Face, u: number, into = 0): XY => {
  const p = toSpace(f.frame, { u, v: 0 }, into);
  return [p[0], -p[1]];
};
const across = (f: Face, u0: number, u1: number, into: number): XY[] => [
  on(f, u0),
  on(f, u1),
  on(f, u1, into),
  on(f, u0, into),
];
const deepOf = (f: Face): number => Math.min(f.shape.thickness, THICKEST);

function fixtureShapes(f: Face, x: Fixture): Shape[] {
  const p = pen({ layer: "FIXTURES", id: x.id });
  const high = x.v >= HIGH;
  const soft = { width: 1 } as const;
  const short = Math.min(x.width, x.depth);
  p.area(across(f, x.u, x.u + x.width, x.depth), high || x.kind === "worktop" ? undefined : "metal", "soft", {
    ...soft,
    cover: 0.7,
    ...(high ? { dash: [4, 3] } : {}),
  });
  const mid = on(f, x.u + x.width / 2, x.depth / 2);
  if (x.kind === "hob")
    for (const s of [0.27, 0.73])
      for (const t of [0.3, 0.7]) {
        const [cx, cy] = on(f, x.u + x.width * s, x.depth * t);
        p.circle(cx, cy, short * 0.16, undefined, "soft", soft);
      }
  else if (x.kind === "sink") p.circle(...mid, short * 0.08, undefined, "soft", soft);
  if (x.kind !== "worktop" && x.kind !== "hob")
    p.text(...mid, x.name || fixtureNames[x.kind], {
      layer: "NAMES",
      ink: "soft",
      size: 10,
      drop: 0.27,
      room: { width: Math.max(x.width, x.depth), height: short },
    });
  return p.shapes;
}

function openingShapes(f: Face, o: Opening): Shape[] {
  const p = pen({ layer: "OPENINGS", id: o.id });
  const deep = deepOf(f);
  p.area(across(f, o.u, o.u + o.width, -deep), "paper", "ink", { width: 0.9 });
  if (o.kind === "window") p.line([on(f, o.u, -deep / 2), on(f, o.u + o.width, -deep / 2)], "ink", { width: 1.2 });
  if (o.kind === "door") {
    const leaf = o.width * LEAF;
    p.line([on(f, o.u), on(f, o.u, leaf)], "soft", { width: 1.2 });
    p.line(
      arc(0, 0, leaf, 90, 0, 8).map(([u, into]) => on(f, o.u + u, into)),
      "soft",
      { width: 0.7, dash: [3, 3] },
    );
  }
  return p.shapes;
}

/**
 * The rooms of a storey from above, with the thickness of their walls, what stands against them and their openings: x east, y down
 * (south), mm of the house. `room` is drawn as the one in hand.
 */
export function planScene(h: PlanHouse, storey: string, room: string | null = null): Shape[] {
  const { job } = h;
  const faces = h.faces.filter((f) => f.room.storey === storey);
  const p = pen();
  for (const f of faces)
    if (f.wall.build !== "open")
      p.area(across(f, 0, f.shape.length, -deepOf(f)), "opening", "none", { layer: "WALLS", id: f.wall.id });
  for (const r of job.rooms) {
    if (r.storey !== storey) continue;
    const hand = r.id === room;
    const outline = r.outline.map((c): XY => [c.x, -c.y]);
    p.area(outline, hand ? "plaster" : "panel", "ink", {
      layer: "ROOMS",
      id: r.id,
      width: hand ? 2.5 : 1.5,
      ...(r.kind === "yard" ? { dash: [8, 5] } : {}),
    });
    const b = bounds(r.outline);
    p.text((b.x0 + b.x1) / 2, -(b.y0 + b.y1) / 2, r.name, {
      layer: "NAMES",
      drop: -0.77,
      size: 13,
      ink: "soft",
      type: "bold",
    });
  }
  for (const g of job.grounds) {
    if (job.rooms.find((r) => r.id === g.room)?.storey !== storey) continue;
    p.area(
      g.outline.map((c): XY => [c.x, -c.y]),
      undefined,
      g.kind === "tree" ? "good" : "soft",
      { layer: "GROUND", id: g.id, width: 1, dash: [4, 4] },
    );
  }
  const each = <T extends { wall: string }>(list: readonly T[], draw: (f: Face, x: T) => Shape[]): Shape[] =>
    faces.flatMap((f) => list.filter((x) => x.wall === f.wall.id).flatMap((x) => draw(f, x)));
  return [...p.shapes, ...each(job.fixtures, fixtureShapes), ...each(job.openings, openingShapes)];
}
