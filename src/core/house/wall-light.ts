import type { Job } from "../job/model";
import { pointSchema } from "../job/model";
import type { Change } from "../job/patch";
import { plateOf } from "../rules/accessories";
import { wiredTo } from "../job/wired";
import { overlap, rectAround } from "../base/rect";
import { type NewId, changeOf } from "./change-of";
import type { House } from "./house";

/** Heights of a wall light's switch and of the light itself above the floor, mm. Usual. */
const SWITCH = 1200;
const LIGHT = 1800;
/** How far beside the socket its fused unit is set, mm. */
const BESIDE = 200;

/** First free label of a letter. */
function nextOf(letter: string, taken: Set<string>): string {
  for (let n = 1; ; n++)
    if (!taken.has(`${letter}${n}`)) {
      taken.add(`${letter}${n}`);
      return `${letter}${n}`;
    }
}

/**
 * A wall light fed from a socket: a fused unit of 3 A beside it on a spur, its switch plumb above, and the light above that, wired one
 * behind the other. All three hang plumb over each other, so that one drop serves them.
 * @returns the changes, or words when the socket cannot feed it
 */
export function wallLightFrom(h: House, socket: string, newId: NewId): { light: string; changes: Change[] } | string {
  const { job }: { job: Job } = h;
  const p = job.points.find((x) => x.id === socket);
  const circuit = job.circuits.find((c) => wiredTo(c).includes(socket));
  const face = h.faces[h.points[h.pointOfId.get(socket) ?? -1]?.face ?? -1];
  if (!p || p.place.on !== "wall" || !face) return "It starts at a socket on a wall.";
  if (!circuit) return `${p.label} is on no circuit yet; put it on one first.`;
  if (circuit.kind !== "ring" && circuit.kind !== "radial")
    return `${p.label} is on ${circuit.label}, which is no socket circuit; a light from it has no place here.`;
  if (circuit.spurs.some((s) => s.point === socket))
    return `${p.label} is on a spur itself; a fused unit hangs on a point of the circuit, not on a spur.`;
  if (circuit.spurs.some((s) => s.from === socket)) return `${p.label} feeds a spur already; choose another socket.`;
  const from = p.place;
  const own = job.points.flatMap((q) =>
    q.place.on === "wall" && q.place.wall === from.wall ? [rectAround({ ...q.place, ...plateOf(q) })] : [],
  );
  const inTheWay = [
    ...own,
    ...face.shape.openings.map((o) => ({ u0: o.u, u1: o.u + o.width, v0: o.v, v1: o.v + o.height })),
  ];
  const free = (u: number): boolean =>
    u >= 60 &&
    u <= face.shape.length - 60 &&
    [from.v, SWITCH, LIGHT].every(
      (v) => !inTheWay.some((r) => overlap(r, rectAround({ u, v, width: 86, height: 86 }))),
    );
  const u = [1, -1, 2, -2, 3, -3].map((n) => from.u + n * BESIDE).find(free);
  if (u === undefined)
    return `There is no room beside ${p.label} for a fused unit with its switch and light plumb above it.`;
  if (face.shape.height < LIGHT + 100)
    return `The wall is ${Math.round(face.shape.height)} high; the light wants ${LIGHT}.`;
  const taken = new Set(job.points.map((x) => x.label));
  const on = (v: number) => ({ on: "wall" as const, wall: from.wall, u, v });
  const light = pointSchema.parse({ id: newId("p"), label: nextOf("B", taken), kind: "wall-light", place: on(LIGHT) });
  const switching = pointSchema.parse({
    id: newId("p"),
    label: nextOf("W", taken),
    kind: "switch",
    place: on(SWITCH),
    controls: [light.id],
  });
  const unit = pointSchema.parse({
    id: newId("p"),
    label: nextOf("F", taken),
    kind: "fused-unit",
    place: on(from.v),
    fuse: 3,
    labelled: true,
    name: `Wall light ${light.label}`.slice(0, 40),
  });
  return {
    light: light.id,
    changes: [
      ...[unit, switching, light].map((x) => changeOf(job, "points", x.id, x)),
      changeOf(job, "circuits", circuit.id, {
        ...circuit,
        spurs: [
          ...circuit.spurs,
          { point: unit.id, from: socket },
          { point: switching.id, from: unit.id },
          { point: light.id, from: switching.id },
        ],
      }),
    ],
  };
}
