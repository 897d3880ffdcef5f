"use client";
import { nanoid } from "nanoid";
import { toast } from "sonner";
import { overlap, rectOf } from "../../core/base/rect";
import {
  type Circuit,
  type Deck,
  type Job,
  type Opening,
  type Point,
  type Room,
  type SectionPlace,
  fixtureSchema,
  openingSchema,
  sectionSchema,
} from "../../core/job/model";
import type { Change } from "../../core/job/patch";
import { pinOf } from "../../core/laid/move-leg";
import { pinId } from "../../core/job/run-key";
import { nextLabel } from "../../core/plan/choose-sections";
import type { PointKind } from "../../core/rules/accessories";
import type { SectionKind } from "../../core/rules/sections";
import {
  type Alignment,
  addPoint as newPoint,
  addSeries as newSeries,
  align as aligned,
  copyPoints as copied,
} from "../../core/house/places";
import { outsideWithout } from "../../core/house/outside-kept";
import { paintCircuit } from "../../core/house/on-circuit";
import { joinWalls as joined, splitWall as split, turnRoom as turned } from "../../core/house/reshape";
import {
  type NewJoists,
  type NewRoom,
  addDeck as newDeck,
  addRoom as newRoom,
  addStorey as newStorey,
  copyRoom as roomCopy,
  removeRoom as roomGone,
  removeStorey as storeyGone,
  withoutPoints,
} from "../../core/house/rooms";
import { newCircuit } from "../../core/house/usual-circuits";
import { fixtureSizes, openingSizes } from "../../core/house/typical";
import { change, edit, useDesk } from "./store";

export const newId = (prefix: string): string => `${prefix}-${nanoid(8)}`;

/** Says a refusal aloud; nothing when there is none. */
export const say = (refused: string | null | void): void => {
  if (refused) toast.error(refused);
};

/** Changes some of a point as it is now, whatever the plan on the screen was worked out from; the refusal, or null. */
export function editPoint(id: string, set: (p: Point) => Partial<Point>): string | null {
  const p = useDesk.getState().job.points.find((x) => x.id === id);
  return p ? edit([change("points", id, { ...p, ...set(p) })]) : "That point is not there any more.";
}

/** Stores what the core worked out, or passes its words on. */
export const editWith = (made: Change[] | string): string | null =>
  typeof made === "string" ? made : made.length ? edit(made) : null;

/**
 * Puts a new section in, named next in line, and picks it; corners of trunking are folded by hand to begin with. Says why it is refused.
 */
export function putSection(of: { kind: SectionKind; size: string; path: SectionPlace[] }): string | null {
  const id = newId("se");
  const label = nextLabel(new Set(useDesk.getState().job.sections.map((s) => s.label)));
  const corners = of.kind.startsWith("trunking") ? "folded" : "fitted";
  const refused = edit([change("sections", id, sectionSchema.parse({ ...of, id, label, corners }))]);
  if (!refused) useDesk.setState({ selection: { kind: "section", id } });
  return refused;
}

const here = (): { job: Job; room: Room | undefined } => {
  const { job, room } = useDesk.getState();
  return { job, room: job.rooms.find((r) => r.id === room) };
};

/** Wall that new points go on: the picked one, or that of the picked point. */
export function pickedWall(): string | null {
  const { selection, job } = useDesk.getState();
  if (selection?.kind === "wall") return selection.id;
  const id = selection?.kind === "point" ? selection.id : selection?.kind === "points" ? selection.ids[0] : undefined;
  const place = job.points.find((p) => p.id === id)?.place;
  return place?.on === "wall" ? place.wall : null;
}

/**
 * Adds a point of a kind to the picked wall (or the deck over the room for ceiling points) and picks it out. Returns
 * the refusal, or null.
 */
export function addPoint(kind: PointKind, gang: 1 | 2, circuitId: string | null): string | null {
  const { house } = useDesk.getState();
  const { room } = here();
  if (!room) return "There is no room to put it in; add a room first.";
  const made = newPoint(house, room, pickedWall(), kind, gang, circuitId, newId);
  if (typeof made === "string") return made;
  const refused = edit(made.changes);
  if (!refused) useDesk.setState({ selection: { kind: "point", id: made.point } });
  return refused;
}

/** Adds several at equal spacing to a wall and picks them out. */
export function addSeries(wall: string, s: Parameters<typeof newSeries>[2], circuitId: string | null): string | null {
  const { house } = useDesk.getState();
  const face = house.faces[house.faceOfWall.get(wall) ?? -1];
  if (!face) return "Pick a wall first.";
  const made = newSeries(house, face, s, circuitId, newId);
  if (typeof made === "string") return made;
  const refused = edit(made.changes);
  if (!refused)
    useDesk.setState({
      selection:
        made.points.length === 1 ? { kind: "point", id: made.points[0]! } : { kind: "points", ids: made.points },
    });
  return refused;
}

/** Takes points out, and out of everything that names them. */
export function removePoints(ids: readonly string[]): string | null {
  const refused = edit(withoutPoints(useDesk.getState().job, new Set(ids)));
  if (!refused) useDesk.setState({ selection: null });
  return refused;
}

export const alignPoints = (ids: readonly string[], how: Alignment): string | null =>
  editWith(aligned(useDesk.getState().house, ids, how));

/** Puts points on a circuit (or on none), off any other. */
export const setCircuit = (ids: readonly string[], circuitId: string | null): string | null =>
  editWith(paintCircuit(useDesk.getState().job, ids, circuitId));

/** Copies the points of one room into another and shows it. */
export function copyPoints(from: string, to: string): string | null {
  const { house, job } = useDesk.getState();
  const [a, b] = [job.rooms.find((r) => r.id === from), job.rooms.find((r) => r.id === to)];
  if (!a || !b) return "Choose the room to copy from.";
  const made = copied(house, a, b, null, newId);
  if (typeof made === "string") return made;
  const refused = edit(made.changes);
  if (!refused) {
    useDesk.setState({ room: to, selection: { kind: "points", ids: made.points } });
    toast(
      `${made.points.length} points copied into ${b.name}`,
      made.left ? { description: `${made.left} had no wall or deck to go on.` } : {},
    );
  }
  return refused;
}

/** Adds a circuit of a kind with its usual device and cable, and picks it. */
export function addCircuit(kind: Circuit["kind"]): string | null {
  const made = newCircuit(useDesk.getState().job, kind, newId);
  const refused = edit([change("circuits", made.id, made)]);
  if (!refused) useDesk.setState({ selection: { kind: "circuit", id: made.id } });
  return refused;
}

export function removeCircuit(id: string): string | null {
  const { job } = useDesk.getState();
  return edit([
    ...job.pins.filter((p) => p.circuit === id).map((p) => change("pins", p.id, null)),
    ...job.sections
      .filter((s) => s.out.includes(id))
      .map((s) => change("sections", s.id, { ...s, out: s.out.filter((c) => c !== id) })),
    ...outsideWithout(job, { circuits: new Set([id]) }),
    change("circuits", id, null),
  ]);
}

/** Storey that new rooms and decks belong to: that of the room shown, else the picked or lowest one. */
export function currentStorey(): string {
  const { job, room, storey } = useDesk.getState();
  return storey ?? job.rooms.find((r) => r.id === room)?.storey ?? job.storeys[0]!.id;
}

/** Adds rooms in one step and shows the first. */
export function addRooms(list: readonly NewRoom[]): string | null {
  const { job } = useDesk.getState();
  const made = list.map((f) => newRoom(job, f, newId));
  const refused = edit(made.flatMap((m) => m.changes));
  if (!refused && made[0]) useDesk.setState({ room: made[0].room, storey: list[0]!.storey, selection: null });
  return refused;
}

export function copyRoom(room: Room, to: Parameters<typeof roomCopy>[2]): string | null {
  const made = roomCopy(useDesk.getState().job, room, to, newId);
  const refused = edit(made.changes);
  if (!refused) useDesk.setState({ room: made.room, storey: to.storey, selection: null });
  return refused;
}

/** Takes a room out with its walls, openings and fixtures, and the points on its walls. */
export function removeRoom(id: string): string | null {
  const refused = edit(roomGone(useDesk.getState().job, id));
  if (!refused)
    useDesk.setState((s) => ({
      room: (s.job.rooms.find((r) => r.storey === s.storey) ?? s.job.rooms[0])?.id ?? null,
      selection: null,
    }));
  return refused;
}

export const splitSide = (room: Room, side: number, u: number): string | null =>
  editWith(split(useDesk.getState().job, room, side, u, newId));
export const joinSides = (room: Room, side: number): string | null => {
  const refused = editWith(joined(useDesk.getState().job, room, side));
  if (!refused) useDesk.setState({ selection: null });
  return refused;
};
export const turnRoom = (room: Room, degrees: number): string | null =>
  editWith(turned(useDesk.getState().job, room, degrees));

export function addStorey(where: "above" | "below", name: string): string | null {
  const made = newStorey(useDesk.getState().job, where, name, newId);
  const refused = edit(made.changes);
  if (!refused) useDesk.setState({ storey: made.storey, room: null, selection: null });
  return refused;
}
export const removeStorey = (id: string): string | null => {
  const refused = editWith(storeyGone(useDesk.getState().job, id));
  if (!refused) useDesk.setState((s) => ({ storey: s.job.storeys[0]!.id, room: s.job.rooms[0]?.id ?? null }));
  return refused;
};

export function addOpening(wall: string, kind: Opening["kind"], length: number, height: number): string | null {
  const { job } = useDesk.getState();
  const size = openingSizes[kind];
  const width = Math.min(size.width, length * 0.8);
  const tall = Math.min(size.height, height - size.v);
  const taken = job.openings.filter((o) => o.wall === wall).map(rectOf);
  for (let u = 100; u + width <= length; u += 50)
    if (!taken.some((r) => overlap(r, { u0: u, u1: u + width, v0: size.v, v1: size.v + tall }))) {
      const id = newId("o");
      const refused = edit([
        change("openings", id, openingSchema.parse({ id, wall, kind, u, v: size.v, width, height: tall })),
      ]);
      if (!refused) useDesk.setState({ fresh: id });
      return refused;
    }
  return `There is no room for a ${kind} of ${width} mm on this wall.`;
}

export function addFixture(
  wall: string,
  kind: (typeof fixtureSchema)["_output"]["kind"],
  length: number,
): string | null {
  const s = fixtureSizes[kind];
  const id = newId("f");
  const width = Math.min(s.width, length);
  const refused = edit([
    change(
      "fixtures",
      id,
      fixtureSchema.parse({
        id,
        wall,
        kind,
        u: Math.max(0, Math.round((length - width) / 2)),
        v: s.v,
        width,
        height: s.height,
        depth: s.depth,
      }),
    ),
  ]);
  if (!refused) useDesk.setState({ fresh: id });
  return refused;
}

/** A deck of joists over (or a slab under) all rooms of the storey, its joists and bearings as told. */
export function addDeck(kind: Deck["kind"], joists: NewJoists | null = null): string | null {
  const made = newDeck(useDesk.getState().job, currentStorey(), kind, newId, joists);
  if (typeof made === "string") return made;
  const refused = edit(made.changes);
  if (!refused) useDesk.setState({ selection: { kind: "deck", id: made.deck }, fresh: made.deck });
  return refused;
}

/** Pins runs where they lie now: they stay there whatever else is laid. */
export function pinRuns(ids: readonly string[]): string | null {
  const runs = (useDesk.getState().snap?.plan.runs ?? []).filter(
    (r) => ids.includes(r.id) && r.pin === null && !r.held,
  );
  return editWith(runs.map((r) => change("pins", pinId(r, r.number), pinOf(r))));
}

/** Lets go of every pinned run. */
export function unpinAll(): number {
  const { job } = useDesk.getState();
  if (job.pins.length) edit(job.pins.map((p) => change("pins", p.id, null)));
  return job.pins.length;
}
