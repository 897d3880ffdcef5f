import { z } from "zod";
import { type RuleId, ruleOf } from "./book";

/** How much a finding weighs: `stop` breaks a rule or is dangerous, `warn` is doubtful or a maker's matter, `note` explains. */
export const severitySchema = z.enum(["stop", "warn", "note"]);
export type Severity = z.infer<typeof severitySchema>;

/** A change that would put a finding right: fields of one thing in the job set to new values. */
export const fixSchema = z.object({
  collection: z.enum(["points", "circuits", "pins", "cuts", "decks", "walls", "settings"]),
  id: z.string(),
  /** New values by field; `remove` takes the thing out. */
  set: z.record(z.string(), z.unknown()).optional(),
  remove: z.boolean().optional(),
});
export type Fix = z.infer<typeof fixSchema>;

export const findingSchema = z.object({
  rule: z.string(),
  severity: severitySchema,
  /** Id of the thing the finding is about: a point, run, leg, joist, circuit. */
  subject: z.string(),
  message: z.string(),
  measured: z.number().optional(),
  limit: z.number().optional(),
  /** Whether the limit is the least or the most allowed; a value on the limit is allowed. */
  sense: z.enum(["least", "most"]).optional(),
  unit: z.string().optional(),
  remedy: z.string().optional(),
  fix: z.array(fixSchema).optional(),
  source: z.string(),
});
export type Finding = z.infer<typeof findingSchema>;

type Facts = Omit<Finding, "rule" | "severity" | "source"> & { severity?: Severity };

/** Builds a finding of the named rule; severity and source come from the rule's row unless given. */
export function finding(rule: RuleId, facts: Facts): Finding {
  const row = ruleOf(rule);
  const { severity, ...rest } = facts;
  return { rule, severity: severity ?? row.severity, ...rest, source: row.source };
}

const weight: Record<Severity, number> = { stop: 0, warn: 1, note: 2 };

/** Findings in reading order: gravest first, then by rule, subject and message, so equal jobs read equal. */
export function inOrder(list: readonly Finding[]): Finding[] {
  const text = (f: Finding): string => `${f.rule}\u0000${f.subject}\u0000${f.message}`;
  return [...list].sort(
    (a, b) => weight[a.severity] - weight[b.severity] || (text(a) < text(b) ? -1 : text(a) > text(b) ? 1 : 0),
  );
}

/** A measured value for a gauge: lengths as `mm`, shares to a tenth of a percent, other units with up to three decimals. */
export const quantity = (x: number, unit: string | undefined): string =>
  unit === undefined || unit === "mm" ? mm(x) : String(Number(x.toFixed(unit === "%" ? 1 : 3)));

/** A length for a sentence: whole millimetres with thin spaces between thousands, one decimal when it matters. */
export function mm(x: number): string {
  const r = Math.round(x * 10) / 10;
  const s = Number.isInteger(r) ? String(r) : r.toFixed(1);
  const [whole, part] = s.split(".");
  const spaced = whole!.replace(/\B(?=(\d{3})+(?!\d))/g, "\u2009");
  return part ? `${spaced}.${part}` : spaced;
}
