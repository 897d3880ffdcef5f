import { layHouse, type House } from "../house/house";
import type { Job } from "../job/model";
import { type Change, current } from "../job/patch";
import type { Catalogue } from "../rules/catalogue";
import { type Scene, pen } from "./scene";

type Pen = ReturnType<typeof pen>;
type Side = { job: Job; name: "theirs" | "mine" };

/**
 * One thing as two people left it, in one picture to scale, theirs dashed: a point or an opening on its wall, a room by its outline.
 * Null for what has no place. x along the wall or east, y down the paper.
 */
export function drawBoth(
  c: Pick<Change, "collection" | "id">,
  theirs: Job,
  mine: Job,
  catalogue: Catalogue,
): Scene | null {
  const p = pen();
  const sides: Side[] = [
    { job: theirs, name: "theirs" },
    { job: mine, name: "mine" },
  ];
  const drawn = c.collection === "rooms" ? rooms(p, c.id, sides) : onWall(p, c, sides, catalogue);
  return drawn ? { label: `Theirs, dashed, and mine`, shapes: p.shapes, template: false } : null;
}

const look = (s: Side) => ({
  ink: s.name === "mine" ? ("accent" as const) : ("cut" as const),
  dash: s.name === "theirs",
});

function rooms(p: Pen, id: string, sides: readonly Side[]): boolean {
  let any = false;
  for (const s of sides) {
    const room = s.job.rooms.find((r) => r.id === id);
    if (!room) continue;
    any = true;
    const { ink, dash } = look(s);
    p.area(
      room.outline.map(({ x, y }) => [x, -y] as const),
      undefined,
      ink,
      { heavy: true, dash },
    );
    const { x, y } = room.outline[0]!;
    p.text(x, -y, s.name, { ink, anchor: "start", drop: s.name === "mine" ? -0.6 : 1.4, type: "bold" });
  }
  return any;
}

/** A rectangle on a wall: the box of a point, an opening, a thing at a wall. */
function placeOn(
  h: House,
  c: Pick<Change, "collection" | "id">,
): { wall: string; x: number; y: number; w: number; t: number } | null {
  const x = current(h.job, c) as Record<string, unknown> | null;
  if (!x) return null;
  if (c.collection === "points") {
    const placed = h.points[h.pointOfId.get(c.id) ?? -1];
    if (!placed || placed.point.place.on !== "wall") return null;
    const { wall, u, v } = placed.point.place;
    const { width, height } = placed.box;
    return { wall, x: u - width / 2, y: v - height / 2, w: width, t: height };
  }
  if (c.collection !== "openings" && c.collection !== "fixtures") return null;
  const o = x as { wall: string; u: number; v: number; width: number; height: number };
  return { wall: o.wall, x: o.u, y: o.v, w: o.width, t: o.height };
}

function onWall(p: Pen, c: Pick<Change, "collection" | "id">, sides: readonly Side[], catalogue: Catalogue): boolean {
  const places = sides.flatMap((s) => {
    const h = layHouse(s.job, catalogue);
    const at = placeOn(h, c);
    return at ? [{ s, h, at }] : [];
  });
  const walls = [...new Set(places.map((x) => x.at.wall))];
  let left = 0;
  for (const wall of walls) {
    const here = places.filter((x) => x.at.wall === wall);
    const { h } = here[0]!;
    const face = h.faces[h.faceOfWall.get(wall) ?? -1];
    if (!face) continue;
    const { length, height } = face.shape;
    p.rect(left, -height, length, height, "paper", "ink", { heavy: true });
    p.text(left, 0, `${face.room.name}, wall ${face.wall.index + 1}`, { anchor: "start", drop: 1.3, ink: "soft" });
    for (const { s, at } of here) {
      const { ink, dash } = look(s);
      p.rect(left + at.x, -(at.y + at.t), at.w, at.t, undefined, ink, { heavy: true, dash });
      p.text(left + at.x + at.w / 2, -(s.name === "mine" ? at.y + at.t : at.y), s.name, {
        ink,
        type: "bold",
        drop: s.name === "mine" ? -0.5 : 1.2,
      });
    }
    left += length + 400;
  }
  return left > 0;
}
