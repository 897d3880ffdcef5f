import { z } from "zod";
import { legSchema } from "../job/model";
import { carriedNames } from "../rules/cores";
import { type Fact, factSchema } from "../rules/fact";

const xyz = z.tuple([z.number(), z.number(), z.number()]);

export const plannedLegSchema = legSchema.extend({ depth: z.number(), path: z.array(xyz).min(2) });

export const runSchema = z.object({
  /** Key of the run: circuit, both points without direction, number. */
  id: z.string(),
  /** Which of several cables between the same points, from 1. */
  number: z.number(),
  circuit: z.string(),
  from: z.string(),
  to: z.string(),
  cable: z.string(),
  /** What its live cores carry where lights and switches are wired; none where it is any other cable. */
  carries: z.array(z.enum(carriedNames)),
  legs: z.array(plannedLegSchema),
  pathLength: z.number(),
  /** Path, tails at both ends, spare and waste, mm. */
  cutLength: z.number(),
  /** Method of the longest part of the run. */
  method: z.string(),
  /** Number of loaded circuits that lie together where the run is most crowded, 1 when it is alone or too lightly loaded to count. */
  grouped: z.number(),
  /** Id of its pin, when the user has said where it goes. */
  pin: z.string().nullable(),
  /** True from the first tick on site: it stays as it was done. */
  held: z.boolean(),
  /** True where it was built elsewhere than planned, and lies as it was measured. */
  built: z.boolean().optional(),
});
export type Run = z.infer<typeof runSchema>;

export const holeSchema = z.object({
  id: z.string(),
  in: z.object({
    kind: z.enum(["joist", "wall", "stud", "noggin"]),
    deck: z.string().optional(),
    joist: z.number().optional(),
    span: z.number().optional(),
    wall: z.string().optional(),
    /** In a noggin of a deck: its row, from 1, and the joist (by `joist`) it stands beside. */
    row: z.number().optional(),
    /** In the timber of a stud wall: which part of it, and for a stud its number from the wall's left end. */
    part: z.enum(["stud", "noggin", "head-plate", "sole-plate"]).optional(),
    stud: z.number().optional(),
  }),
  /** Joist: from the left bearing of its span. Wall and stud: u from the left end. Noggin: from the side of its joist. */
  at: z.number(),
  /** Joist and noggin: from the top edge of the joists. Wall and stud: from the ceiling. */
  fromTop: z.number(),
  centre: xyz,
  /** Bit; of a notch its width. */
  diameter: z.number(),
  /** In a joist: a notch sawn into its top in place of a hole, mm. */
  notch: z.object({ width: z.number(), depth: z.number() }).optional(),
  runs: z.array(z.string()),
  /** A steel plate goes over it because 50 mm to the edge is not kept. */
  plated: z.boolean(),
});
export type Hole = z.infer<typeof holeSchema>;

export const clipsSchema = z.object({
  run: z.string(),
  leg: z.number(),
  /** Distances along the leg from its start, mm. */
  marks: z.array(z.number()),
  pitch: z.number(),
  max: z.number(),
  reachable: z.boolean(),
  /** Metal, since the cable could fall where people get out. */
  metal: z.boolean(),
});
export type Clips = z.infer<typeof clipsSchema>;

export const endSchema = z.object({
  point: z.string(),
  run: z.string(),
  entry: z.enum(["left", "right", "top", "bottom", "behind"]),
  /** Measures of the end by name, mm. */
  measures: z.record(z.string(), z.number()),
});
export type End = z.infer<typeof endSchema>;

export const takeOffSchema = z.object({
  item: z.string(),
  size: z.string(),
  quantity: z.number(),
  unit: z.enum(["m", "each"]),
  circuit: z.string().nullable(),
});
export type TakeOffLine = z.infer<typeof takeOffSchema>;

/** A cable found in the house, and where it is taken to run until someone traces it. */
export const foundWaySchema = z.object({
  id: z.string(),
  from: z.string(),
  /** Null while its other end is not found. */
  to: z.string().nullable(),
  /** Where it is taken to run; none on walls where it was traced. */
  legs: z.array(plannedLegSchema),
  /** Where it was traced. */
  traced: z.array(plannedLegSchema),
});
export type FoundWay = z.infer<typeof foundWaySchema>;

export const planSchema = z.object({
  runs: z.array(runSchema),
  holes: z.array(holeSchema),
  clips: z.array(clipsSchema),
  ends: z.array(endSchema),
  takeoff: z.array(takeOffSchema),
  /** Cables found in the house, as they are taken to run. */
  found: z.array(foundWaySchema),
  /**
   * Total path of all laid runs, mm; `bound`, below which no cable that joins the same points can be, however it is laid, and the
   * ratio of the two; `plumb`, the shortest tours straight level and plumb from plate to plate, as one measures by eye. Bound and
   * ratio are null only where nothing is laid. `lines` is the least that any orders over the planner's own lines could have, by
   * which its search is judged: null with a point without a way, or runs pinned or done.
   */
  cable: z.object({
    total: z.number(),
    bound: z.number().nullable(),
    ratio: z.number().nullable(),
    plumb: z.number(),
    lines: z.number().nullable(),
  }),
  facts: z.array(factSchema),
  /** Milliseconds, by the clock of whoever asked; 0 without one. */
  elapsed: z.number(),
});
export type Plan = Omit<z.infer<typeof planSchema>, "facts"> & { facts: Fact[] };
