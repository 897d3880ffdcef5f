/** One row of the rule book. Text is our own; `source` names where the working value comes from. */
export interface Rule {
  title: string;
  /** The rule in plain words. */
  text: string;
  /** The limit as one would write it on a card. */
  limit: string;
  severity: "stop" | "warn" | "note";
  source: string;
  /** Why it exists, or where practitioners differ. */
  why: string;
  /** What to mind when working by it. */
  caution?: string;
}
