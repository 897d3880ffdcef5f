import { alike } from "./alike";

/**
 * Keeps what was worked out of a thing with the thing, which goes on from one house or plan to the next while nothing of it changes. It
 * is worked out anew when anything else that it was made of is not the very same.
 */
export class Kept<K extends object, V> {
  private readonly known = new WeakMap<K, { made: readonly unknown[]; value: V }>();

  /**
   * @param made all that the value depends on beside the thing itself: numbers, words, or things that are never changed in place
   * @param work works it out; given the value that was there before
   */
  of(thing: K, made: readonly unknown[], work: (before: V | undefined) => V): V {
    const there = this.known.get(thing);
    if (there && alike(there.made, made)) return there.value;
    const value = work(there?.value);
    this.known.set(thing, { made, value });
    return value;
  }
}
