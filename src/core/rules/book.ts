import { circuitRules } from "./book-circuits";
import { containmentRules } from "./book-containment";
import { endRules } from "./book-ends";
import { joistRules } from "./book-joists";
import { outsideRules } from "./book-outside";
import { pointRules } from "./book-points";
import { routeRules } from "./book-routes";
import { zoneRules } from "./book-walls";
import type { Rule } from "./rule";

/**
 * The rule book: every rule the program judges by, as data. Figures are a working aid: local codes and licensed
 * practice come first.
 */
export const book = {
  ...zoneRules,
  ...joistRules,
  ...pointRules,
  ...routeRules,
  ...circuitRules,
  ...containmentRules,
  ...outsideRules,
  ...endRules,
} as const;

export type RuleId = keyof typeof book;

/** Rows that say what a zone is, or that answer a question of the Bench only: nothing is judged by them, so no fact has their id. */
export const definitions = ["zone.top-band", "zone.corner-band", "zone.point", "zone.reverse", "clip.conduit"] as const;
/** Rules by which something is judged: every fact names one. */
export type JudgedRule = Exclude<RuleId, (typeof definitions)[number]>;
export const judgedRules = (Object.keys(book) as RuleId[]).filter(
  (r): r is JudgedRule => !(definitions as readonly string[]).includes(r),
);

/** The row of a rule. */
export const ruleOf = (id: RuleId): Rule => book[id];
/** The row of a rule named in a finding, or null when this edition of the book does not hold it. */
export const findRule = (id: string): Rule | null => (Object.hasOwn(book, id) ? book[id as RuleId] : null);
