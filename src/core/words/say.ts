import type { Fact } from "../rules/fact";

/** What a fact reads as: a sentence, and what to do about it. */
export interface Said {
  message: string;
  remedy?: string;
}

/** How things are called in sentences: ids into what people know them by. */
export interface Names {
  point: (id: string) => string;
  circuit: (id: string) => string;
  /** "S1 to S2". */
  run: (key: string) => string;
  /** "wall 2 of Kitchen". */
  wall: (id: string) => string;
  deck: (id: string) => string;
  cable: (id: string) => string;
}
export type Say = (f: Fact, n: Names) => Said;

/** A figure that the sentence names; 0 where the fact lacks it. */
export const num = (f: Fact, key: string): number => Number(f.of?.[key] ?? 0);
export const txt = (f: Fact, key: string): string => String(f.of?.[key] ?? "");
export const list = (f: Fact, key: string): string[] => {
  const x = f.of?.[key];
  return Array.isArray(x) ? x : [];
};
export const flag = (f: Fact, key: string): boolean => num(f, key) !== 0;
export const measured = (f: Fact): number => f.measured ?? 0;
export const limit = (f: Fact): number => f.limit ?? 0;

/** "S1 to S2, leg 3" where the fact lies on a leg. */
export const leg = (f: Fact, n: Names): string => {
  const { run, leg: i } = f.where ?? {};
  return run === undefined ? "The run" : `${n.run(run)}${i === undefined ? "" : `, leg ${i + 1}`}`;
};
/** "Joist 4 of the deck", with its span where it has several. */
export const joist = (f: Fact, n: Names): string => {
  const { deck, joist: j, span } = f.where ?? {};
  if (deck === undefined || j === undefined) return "";
  return `Joist ${j} of ${n.deck(deck)}${span !== undefined && span > 1 ? `, span ${span}` : ""}`;
};
export const and = (parts: readonly string[]): string =>
  parts.length < 2 ? parts.join("") : `${parts.slice(0, -1).join(", ")} and ${parts[parts.length - 1]}`;
/** An "at most" or "at least" with its figure. */
export const cap = (s: string): string => (s ? s[0]!.toUpperCase() + s.slice(1) : s);
