import { z } from "zod";
import { storeySchema, roomSchema, wallSchema, openingSchema, fixtureSchema, deckSchema } from "./building";
import { foundCableSchema, foundTrunkingSchema, forbiddenSchema, photoSchema, traceSchema, drumSchema } from "./found";
import { extensionSchema } from "./extensions";
import { idSchema, name } from "./measures";
import { groundSchema, lightRowSchema, outsideWaySchema, postSchema } from "./outside";
import { sectionSchema } from "./sections";
import { settingsSchema, dwellingSchema, supplySchema, workSchema } from "./settings";
import { packSchema, stockSchema } from "./supplies";
import { pointSchema, circuitSchema, pinSchema } from "./wiring";

export * from "./building";
export * from "./extensions";
export * from "./found";
export { FAR, idSchema } from "./measures";
export * from "./outside";
export * from "./sections";
export * from "./settings";
export * from "./supplies";
export * from "./wiring";

export const jobSchema = z.strictObject({
  id: idSchema,
  name,
  address: z.string().trim().max(200).default(""),
  dwelling: dwellingSchema.prefault({}),
  supply: supplySchema.prefault({}),
  settings: settingsSchema.prefault({}),
  work: workSchema.prefault({}),
  storeys: z.array(storeySchema).max(8),
  rooms: z.array(roomSchema).max(200),
  walls: z.array(wallSchema).max(3000),
  openings: z.array(openingSchema).max(2000),
  fixtures: z.array(fixtureSchema).max(2000),
  decks: z.array(deckSchema).max(60),
  points: z.array(pointSchema).max(3000),
  circuits: z.array(circuitSchema).max(400),
  pins: z.array(pinSchema).max(3000),
  drums: z.array(drumSchema).max(300),
  foundCables: z.array(foundCableSchema).max(1000).default([]),
  foundTrunkings: z.array(foundTrunkingSchema).max(500).default([]),
  sections: z.array(sectionSchema).max(500).default([]),
  forbidden: z.array(forbiddenSchema).max(500).default([]),
  photos: z.array(photoSchema).max(1000).default([]),
  traces: z.array(traceSchema).max(20).default([]),
  stock: z.array(stockSchema).max(1000).default([]),
  packs: z.array(packSchema).max(3000).default([]),
  grounds: z.array(groundSchema).max(300).default([]),
  posts: z.array(postSchema).max(300).default([]),
  outsideWays: z.array(outsideWaySchema).max(60).default([]),
  lightRows: z.array(lightRowSchema).max(60).default([]),
  extensions: z.array(extensionSchema).max(100).default([]),
});

export type Job = z.infer<typeof jobSchema>;

/** The lists of a job that hold things with ids, and the schema of each. */
export const collections = {
  storeys: storeySchema,
  rooms: roomSchema,
  walls: wallSchema,
  openings: openingSchema,
  fixtures: fixtureSchema,
  decks: deckSchema,
  points: pointSchema,
  circuits: circuitSchema,
  pins: pinSchema,
  drums: drumSchema,
  foundCables: foundCableSchema,
  foundTrunkings: foundTrunkingSchema,
  sections: sectionSchema,
  forbidden: forbiddenSchema,
  photos: photoSchema,
  traces: traceSchema,
  stock: stockSchema,
  packs: packSchema,
  grounds: groundSchema,
  posts: postSchema,
  outsideWays: outsideWaySchema,
  lightRows: lightRowSchema,
  extensions: extensionSchema,
} as const;
export type Collection = keyof typeof collections;
export const collectionNames = Object.keys(collections) as Collection[];

/** Order of ids, by their code units: the same everywhere. */
export const byId = (a: { id: string }, b: { id: string }): number => (a.id < b.id ? -1 : a.id > b.id ? 1 : 0);

/** Lists sorted by id, so that the same things make the same job whatever order they were added in. */
export function canonical(job: Job): Job {
  const out = { ...job };
  for (const c of collectionNames) (out as Record<string, unknown>)[c] = [...job[c]].sort(byId);
  return out;
}

/** A job with nothing in it but one storey. */
export function blankJob(id: string, jobName: string): Job {
  return jobSchema.parse({
    id,
    name: jobName,
    storeys: [{ id: "ground", name: "Ground floor", level: 0, height: 2400 }],
    rooms: [],
    walls: [],
    openings: [],
    fixtures: [],
    decks: [],
    points: [],
    circuits: [],
    pins: [],
    drums: [],
    foundCables: [],
    foundTrunkings: [],
    sections: [],
    forbidden: [],
    photos: [],
    traces: [],
  });
}
