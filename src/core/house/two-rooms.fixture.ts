import { expect } from "vitest";
import { checkInvariants } from "../job/invariants";
import { type Job, type Room, blankJob } from "../job/model";
import { type Change, applyPatch, inverse } from "../job/patch";
import { pinId } from "../job/run-key";
import { layHouse } from "./house";
import { addPoint, addSeries } from "./places";
import { addDeck, addRoom } from "./rooms";

let next = 0;
/** Ids as the screen makes them: a letter and a number never given before. */
export const newId = (p: string): string => `${p}${++next}`;
/** Corners of a box, clockwise from its south-west, mm. */
export const box = (x: number, y: number, w: number, d: number) => [
  { x, y },
  { x, y: y + d },
  { x: x + w, y: y + d },
  { x: x + w, y },
];
/** The job after changes that must leave it whole, and that can be taken back. */
export const apply = (job: Job, changes: Change[] | string): Job => {
  if (typeof changes === "string") throw new Error(changes);
  const out = applyPatch(job, changes);
  expect(checkInvariants(out)).toEqual([]);
  // Whatever is done can be undone.
  expect(applyPatch(out, inverse(changes))).toEqual(job);
  return out;
};
/** A room by its name. */
export const room = (job: Job, name: string): Room => job.rooms.find((r) => r.name === name)!;
/** A wall of a room by its number from 0. */
export const wallOf = (job: Job, name: string, index: number) =>
  job.walls.find((w) => w.room === room(job, name).id && w.index === index)!;

/** The job with its points on no circuit. */
const unwired = (job: Job): Job => ({ ...job, circuits: [] });

/** Two rooms 100 apart, a deck over both, a door, a bath, three sockets and a light on no circuit. */
export function twoRooms(): Job {
  let job = blankJob("j", "Two rooms");
  const add = (name: string, x: number) =>
    (job = apply(
      job,
      addRoom(
        job,
        {
          storey: "ground",
          name,
          kind: "bedroom",
          outline: box(x, 0, 3600, 3000),
          height: 2400,
          build: "stud",
          thickness: 100,
        },
        newId,
      ).changes,
    ));
  add("A", 0);
  add("B", 3700);
  const d = addDeck(job, "ground", "solid-joists", newId);
  job = apply(job, typeof d === "string" ? d : d.changes);
  job = apply(job, [
    {
      collection: "openings",
      id: "door",
      before: null,
      after: { id: "door", wall: wallOf(job, "A", 3).id, kind: "door", u: 500, v: 0, width: 838, height: 2040 },
    },
    {
      collection: "fixtures",
      id: "bath",
      before: null,
      after: {
        id: "bath",
        wall: wallOf(job, "A", 1).id,
        kind: "bath",
        name: "",
        u: 200,
        v: 0,
        width: 1700,
        height: 560,
        depth: 700,
      },
    },
  ]);
  const h = layHouse(job);
  const s = addSeries(
    h,
    h.faces.find((f) => f.wall.id === wallOf(job, "A", 2).id)!,
    { kind: "socket", gang: 2, count: 3, from: 0, to: 3000, v: 450, how: "between" },
    null,
    newId,
  );
  job = unwired(apply(job, typeof s === "string" ? s : s.changes));
  const l = addPoint(layHouse(job), room(job, "A"), null, "light", 1, null, newId);
  return unwired(apply(job, typeof l === "string" ? l : l.changes));
}
/** Where every point stands, by its label, mm to a fifth. */
export const inSpace = (job: Job): Map<string, number[]> =>
  new Map(layHouse(job).points.map((p) => [p.point.label, p.space.map((x) => Math.round(x * 5) / 5)]));

/** The job with one more circuit: a ring of its own label over points. */
export function withCircuit(job: Job, id: string, points: string[], more: Record<string, unknown> = {}): Job {
  const after = {
    id,
    label: id,
    name: id,
    kind: "radial",
    device: { curve: "B", rating: 20 },
    rcd: 30,
    cable: "te-2.5",
    way: null,
    points,
    order: "find",
    spurs: [],
    runCables: [],
    insulated: 0,
    walls: "hidden",
    ambient: 30,
    watts: 0,
    board: null,
    state: "new",
    ...more,
  };
  return apply(job, [{ collection: "circuits", id, before: null, after }]);
}

/** A change that pins the run of a circuit between two points, without a word on where. */
export const pinned = (circuit: string, from: string, to: string): Change => {
  const id = pinId({ circuit, from, to });
  return { collection: "pins", id, before: null, after: { id, circuit, from, to, number: 1, legs: [] } };
};
