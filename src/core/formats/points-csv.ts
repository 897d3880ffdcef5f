import type { House } from "../house/house";
import { accessories } from "../rules/accessories";
import { toCsv } from "./csv";

const round = (x: number): number => Number(x.toFixed(1));

/** All points: label, kind, size, room, wall, from left, from floor, box, circuit, new or found, and the place in the house, mm. */
export function pointsCsv(h: House): string {
  const { job } = h;
  const circuit = (id: string): string =>
    job.circuits.find((c) => c.points.includes(id) || c.spurs.some((s) => s.point === id))?.label ?? "";
  const rows = h.points.map((p) => {
    const f = h.faces[p.face];
    const { point } = p;
    return [
      point.label,
      accessories[point.kind].name,
      point.gang === 2 ? "2-gang" : "1-gang",
      f ? f.room.name : (h.decks[p.deck]?.deck.name ?? ""),
      f ? f.wall.index + 1 : "",
      point.place.on === "wall" ? round(point.place.u) : "",
      point.place.on === "wall" ? round(point.place.v) : "",
      point.mount,
      point.boxDepth,
      circuit(point.id),
      point.existing ? "found" : "new",
      round(p.space[0]),
      round(p.space[1]),
      round(p.space[2]),
      point.name,
    ];
  });
  rows.sort(
    (a, b) =>
      String(a[3]).localeCompare(String(b[3])) ||
      String(a[0]).localeCompare(String(b[0]), undefined, { numeric: true }),
  );
  return toCsv(
    [
      "label",
      "kind",
      "size",
      "room or deck",
      "wall",
      "from left mm",
      "from floor mm",
      "box",
      "box depth mm",
      "circuit",
      "new or found",
      "east mm",
      "north mm",
      "up mm",
      "name",
    ],
    rows,
  );
}
