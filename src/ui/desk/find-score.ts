/** Words of a name or of what is typed, small letters and figures apart from all else. */
const wordsOf = (s: string): string[] => s.toLowerCase().match(/[\p{L}\p{N}.]+/gu) ?? [];

/**
 * How well a thing answers what was typed, 0 (not at all) to 1. Every typed word must begin a word of the thing; a figure must be
 * the whole of it, so that "wall 2" is not wall 20. Of two that answer alike the one with fewer other words is first.
 */
export function findScore(thing: string, typed: string): number {
  const [words, asked] = [wordsOf(thing), wordsOf(typed)];
  if (!asked.length) return 1;
  let score = 0;
  const used = new Set<number>();
  for (const a of asked) {
    const whole = words.findIndex((w, i) => w === a && !used.has(i));
    const begins = /^\d+$/.test(a) ? -1 : words.findIndex((w, i) => w.startsWith(a) && !used.has(i));
    const inside = a.length > 2 ? words.findIndex((w, i) => w.includes(a) && !used.has(i)) : -1;
    const at = whole >= 0 ? whole : begins >= 0 ? begins : inside;
    if (at < 0) return 0;
    used.add(at);
    score += whole >= 0 ? 1 : begins >= 0 ? 0.7 : 0.3;
  }
  return (score / asked.length) * (0.8 + (0.2 * asked.length) / Math.max(asked.length, words.length));
}
