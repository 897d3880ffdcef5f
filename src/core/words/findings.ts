import { z } from "zod";
import type { House } from "../house/house";
import { partsOfKey } from "../job/run-key";
import { type JudgedRule, ruleOf } from "../rules/book";
import { cableOf } from "../rules/catalogue";
import { type Fact, fixSchema, severitySchema } from "../rules/fact";
import { circuitWords } from "./circuits";
import { specialWords } from "./special";
import { containmentWords } from "./containment";
import { endWords } from "./ends";
import { outsideWords } from "./outside";
import { pointWords } from "./points";
import { routeWords } from "./routes";
import type { Names, Say } from "./say";
import { testWords } from "./tests";
import { timberWords } from "./timber";

/** One sentence for every rule of the book: a rule without words does not compile. */
const words: Record<JudgedRule, Say> = {
  ...pointWords,
  ...routeWords,
  ...timberWords,
  ...circuitWords,
  ...specialWords,
  ...containmentWords,
  ...outsideWords,
  ...endWords,
  ...testWords,
};

/** A fact with its words, as the contract names its fields: what screens, calculators and the command line print. */
export const findingSchema = z.object({
  rule: z.string(),
  severity: severitySchema,
  /** Id of the thing the finding is about. */
  subject: z.string(),
  message: z.string(),
  measured: z.number().optional(),
  limit: z.number().optional(),
  sense: z.enum(["least", "most"]).optional(),
  unit: z.string().optional(),
  remedy: z.string().optional(),
  fix: z.array(fixSchema).optional(),
  source: z.string(),
});
export type Finding = z.infer<typeof findingSchema>;

/** Names of a calculator's question: ids are what the user typed. */
const plain: Names = {
  point: (id) => id,
  circuit: (id) => id,
  run: (id) => id,
  wall: (id) => id,
  deck: (id) => id,
  cable: (id) => cableOf(id)?.name ?? id,
};

/** Names of the things of a house. */
export function namesOf(h: House): Names {
  const point = (id: string): string => h.points[h.pointOfId.get(id) ?? -1]?.point.label ?? id;
  return {
    point,
    circuit: (id) => h.job.circuits.find((c) => c.id === id)?.label ?? id,
    run: (key) => {
      const p = partsOfKey(key);
      return p ? `${point(p.from)} to ${point(p.to)}` : key;
    },
    wall: (id) => {
      const f = h.faces[h.faceOfWall.get(id) ?? -1];
      return f ? `wall ${f.wall.index + 1} of ${f.room.name}` : "a wall that is gone";
    },
    deck: (id) => h.job.decks.find((d) => d.id === id)?.name ?? id,
    cable: (id) => cableOf(id, h.catalogue)?.name ?? id,
  };
}

/** A fact with its words. */
export function findingOf(f: Fact, names: Names = plain): Finding {
  const { rule, severity, subject, measured, limit, sense, unit, fix } = f;
  return {
    rule,
    severity,
    subject: subject.id,
    ...words[rule](f, names),
    ...(measured === undefined ? {} : { measured }),
    ...(limit === undefined ? {} : { limit }),
    ...(sense === undefined ? {} : { sense }),
    ...(unit === undefined ? {} : { unit }),
    ...(fix === undefined ? {} : { fix }),
    source: ruleOf(rule).source,
  };
}

/** Facts with their words, in the order given. */
export const worded = (facts: readonly Fact[], names: Names = plain): Finding[] =>
  facts.map((f) => findingOf(f, names));
