import type { WallFrame } from "../base/wall-frame";
import type { Opening, Room, Wall } from "../job/model";
import type { OpeningOnFace, PointOnFace, WallFaceShape, Zone } from "./wall-zones";

/** An opening as seen from one face, mm from its left and floor: one given on this face, or on the other face of the same wall. */
export interface SeenOpening extends OpeningOnFace {
  id: string;
  kind: Opening["kind"];
  /** The wall on whose face it was given, and the name of its room. */
  wall: string;
  room: string;
}

/** A stud as one face sees it: its number from the left and its centre line, mm from the left end. */
export interface Stud {
  n: number;
  at: number;
  /** False where it is only taken to be there: a row that nobody has looked for. */
  known: boolean;
}
/** The timbers of a stud wall as one face sees it. mm. */
export interface WallStuds {
  studs: Stud[];
  breadth: number;
  /** From board to board. */
  depth: number;
  /** Rows of noggins, middle above this face's floor. */
  noggins: number[];
  /** True where nobody has said where the studs are. */
  assumed: boolean;
}

/** One wall face of a room with all that is on it. */
export interface Face {
  n: number;
  wall: Wall;
  room: Room;
  frame: WallFrame;
  /** z of the floor. */
  floor: number;
  /** Its openings are all holes of the wall, on whichever face they were given. */
  shape: WallFaceShape;
  /** The openings it sees, its own first. */
  openings: SeenOpening[];
  /** The timbers behind its boards; null where it is no stud wall. */
  studs: WallStuds | null;
  points: PointOnFace[];
  /** Points on the other face of the same wall, in this face's u. */
  reverse: PointOnFace[];
  zones: Zone[];
  /** Faces of the neighbouring walls of the room, by number, left and right. */
  left: number;
  right: number;
  /** Faces of other rooms on the other side of this wall. */
  opposite: number[];
}
