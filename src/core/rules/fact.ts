import { z } from "zod";
import { type JudgedRule, ruleOf } from "./book";

/** How much a fact weighs: `stop` breaks a rule or is dangerous, `warn` is doubtful or a maker's matter, `note` explains. */
export const severitySchema = z.enum(["stop", "warn", "note"]);
export type Severity = z.infer<typeof severitySchema>;

/** A change that would put a fact right: fields of one thing in the job set to new values. */
export const fixSchema = z.object({
  collection: z.enum(["points", "circuits", "pins", "decks", "walls", "sections", "outsideWays"]),
  id: z.string(),
  /** New values by field; `remove` takes the thing out. */
  set: z.record(z.string(), z.unknown()).optional(),
  remove: z.boolean().optional(),
});
export type Fix = z.infer<typeof fixSchema>;

/** What a fact is about. `input`: a part of a calculator's question, known by its own name. */
export const subjectKinds = [
  "job",
  "point",
  "circuit",
  "run",
  "joist",
  "hole",
  "cut",
  "trunking",
  "section",
  "outside",
  "row",
  "cable",
  "input",
] as const;
export type SubjectKind = (typeof subjectKinds)[number];

/** Where it is. Ids, but `leg` (from 0 along its run), `joist` and `span` (from 1) and `at` (mm along what is named). */
export const whereSchema = z.object({
  wall: z.string().optional(),
  deck: z.string().optional(),
  run: z.string().optional(),
  leg: z.number().optional(),
  joist: z.number().optional(),
  span: z.number().optional(),
  at: z.number().optional(),
});
export type Where = z.infer<typeof whereSchema>;

const detail = z.union([z.string(), z.number(), z.array(z.string())]);

/**
 * A fact that a check returns: which rule, how grave, about what, where, measured against limit. No sentence is in it: `words/`
 * makes those. `case` tells which of a rule's several cases it is; `of` holds the figures and ids that its sentence names.
 */
export const factSchema = z.object({
  rule: z.string(),
  severity: severitySchema,
  subject: z.object({ kind: z.enum(subjectKinds), id: z.string() }),
  where: whereSchema.optional(),
  case: z.string().optional(),
  measured: z.number().optional(),
  limit: z.number().optional(),
  /** Whether the limit is the least or the most allowed; a value on the limit is allowed. */
  sense: z.enum(["least", "most"]).optional(),
  unit: z.string().optional(),
  of: z.record(z.string(), detail).optional(),
  fix: z.array(fixSchema).optional(),
});
export type Fact = Omit<z.infer<typeof factSchema>, "rule"> & { rule: JudgedRule };

type Rest = Partial<Omit<Fact, "rule" | "subject">>;

/** A fact of the named rule about one thing; its severity is that of the rule's row unless given. */
export function fact(rule: JudgedRule, kind: SubjectKind, id: string, rest: Rest = {}): Fact {
  return { rule, severity: ruleOf(rule).severity, subject: { kind, id }, ...rest };
}

const weight: Record<Severity, number> = { stop: 0, warn: 1, note: 2 };

/** What tells two facts apart: rule, subject, place, case and measure. Equal facts have equal keys. */
export function factKey(f: Fact): string {
  let key = keys.get(f);
  if (key === undefined) keys.set(f, (key = keyOf(f)));
  return key;
}

/** Facts are never changed in place, and many are those of the plan before. */
const keys = new WeakMap<Fact, string>();

function keyOf(f: Fact): string {
  const w = f.where ?? {};
  return [
    f.rule,
    f.subject.kind,
    f.subject.id,
    f.case ?? "",
    w.wall ?? "",
    w.deck ?? "",
    w.run ?? "",
    w.leg ?? "",
    w.joist ?? "",
    w.span ?? "",
    w.at ?? "",
    f.measured ?? "",
    JSON.stringify(f.of ?? {}),
  ].join("\u0000");
}

interface Keyed {
  f: Fact;
  k: string;
}
const graver = (a: Keyed, b: Keyed): number =>
  weight[a.f.severity] - weight[b.f.severity] || (a.k < b.k ? -1 : a.k > b.k ? 1 : 0);

/** Facts in reading order, each once: gravest first, then by rule, subject, place and measure, so that equal jobs read equal. */
export function inOrder(list: readonly Fact[]): Fact[] {
  const keyed: Keyed[] = [];
  for (const f of list) keyed.push({ f, k: factKey(f) });
  keyed.sort(graver);
  const out: Fact[] = [];
  for (let i = 0; i < keyed.length; i++) if (i === 0 || keyed[i]!.k !== keyed[i - 1]!.k) out.push(keyed[i]!.f);
  return out;
}
