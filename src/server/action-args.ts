/** Values that are written with a dollar in front and stand for themselves. */
const PLAIN = /^\$(\$|undefined$|NaN$|-?Infinity$|-0$|D|n|S)/;

/**
 * Whether the arguments of an action can be read at all: whole JSON, a list, and every pointer in it to something that is there.
 * What is in them is judged by the action itself. Null where they can; else words.
 */
export function faultOfArgs(text: string): string | null {
  let root: unknown;
  try {
    root = JSON.parse(text);
  } catch (e) {
    return `arguments: are not whole JSON: ${(e as Error).message.slice(0, 80)}`;
  }
  if (!Array.isArray(root)) return "arguments: are no list";
  const left: unknown[] = [root];
  for (let v = left.pop(); left.length || v !== undefined; v = left.pop()) {
    if (typeof v === "string") {
      if (v.startsWith("$") && !PLAIN.test(v) && !pointsAt(root, v))
        return `arguments: hold ${JSON.stringify(v.slice(0, 20))}, which points at nothing`;
    } else if (typeof v === "object" && v !== null) for (const x of Object.values(v)) if (x !== undefined) left.push(x);
  }
  return null;
}

/** "$0:0:name" points from the whole list down to something in it. */
function pointsAt(root: unknown, pointer: string): boolean {
  const [first, ...path] = pointer.slice(1).split(":");
  if (first !== "0") return false;
  let at: unknown = root;
  for (const key of path) {
    if (typeof at !== "object" || at === null || !Object.hasOwn(at, key)) return false;
    at = (at as Record<string, unknown>)[key];
  }
  return typeof at === "object" && at !== null;
}
