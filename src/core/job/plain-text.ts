/** Deepest that plain data may go: a job file, an edit and a question of the Bench are far below. */
const DEEPEST = 60;

/**
 * Where plain data holds what no database keeps: the character NUL, half of a pair of characters, or lists within lists without
 * end. Null where all can be kept. Walks by hand, so that no depth ends it.
 * @returns the path to it and words that say what it is
 */
export function unkeepable(value: unknown): { path: string; message: string } | null {
  const left: { value: unknown; path: string; deep: number }[] = [{ value, path: "", deep: 0 }];
  for (let at = left.pop(); at; at = left.pop()) {
    const { value: v, path, deep } = at;
    if (typeof v === "string") {
      if (v.includes("\u0000")) return { path, message: "holds the character NUL, which cannot be kept; take it out" };
      if (!wellFormed(v)) return { path, message: "holds half of a character, which cannot be kept; type it again" };
    } else if (typeof v === "object" && v !== null) {
      if (deep >= DEEPEST) return { path, message: `goes deeper than ${DEEPEST} lists within lists` };
      for (const [k, x] of Object.entries(v)) {
        const name = k.includes("\u0000") || !wellFormed(k) ? "a name" : k.slice(0, 60);
        if (name === "a name") return { path, message: "has a name with a character that cannot be kept" };
        left.push({ value: x, path: path ? `${path}.${name}` : name, deep: deep + 1 });
      }
    }
  }
  return null;
}

/** True where no half of a surrogate pair stands alone. */
const wellFormed = (s: string): boolean => !/\p{Surrogate}/u.test(s);
