import { readNumber } from "../../core/base/numbers";

/** A form as it follows from a calculator's JSON Schema: nobody writes one by hand. */
export type Field =
  | { kind: "number"; title: string; unit: string; nullable: boolean; hint: string; whole: boolean }
  | { kind: "text"; title: string; hint: string }
  | { kind: "flag"; title: string }
  | { kind: "choice"; title: string; unit: string; options: { value: string | number; name: string }[] }
  | { kind: "group"; title: string; fields: { key: string; field: Field; required: boolean; initial?: unknown }[] }
  | { kind: "list"; title: string; row: Field; least: number }
  | { kind: "texts"; title: string; hint: string }
  /** Words by name, typed as "L1 up, W1 down". */
  | { kind: "pairs"; title: string; hint: string }
  | { kind: "matrix"; title: string; unit: string; hint: string }
  | { kind: "variants"; title: string; options: { title: string; field: Field; keys: string[] }[] };

interface Schema {
  type?: string;
  title?: string;
  unit?: string;
  hint?: string;
  names?: Record<string, string>;
  enum?: (string | number)[];
  const?: string | number;
  anyOf?: Schema[];
  oneOf?: Schema[];
  properties?: Record<string, Schema>;
  additionalProperties?: boolean | Schema;
  required?: string[];
  items?: Schema;
  minItems?: number;
  default?: unknown;
}

const spaced = (key: string): string =>
  key
    .replace(/([A-Z])/g, " $1")
    .replace(/^./, (c) => c.toUpperCase())
    .replace(/-/g, " ");
/** A value as words: "caravan-foot" reads "caravan foot". */
export const valueName = (v: string | number, names: Record<string, string> = {}): string =>
  names[String(v)] ?? String(v).replace(/-/g, " ");

/** The field that a piece of schema stands for. */
export function fieldOf(schema: unknown, key: string): Field {
  const s = schema as Schema;
  const title = s.title ?? spaced(key);
  const unit = s.unit ?? "";
  const hint = s.hint ?? "";
  const all = s.anyOf ?? s.oneOf;
  const options = all?.filter((o) => o.type !== "null");
  const nullable = !!all && options!.length < all.length;
  if (s.enum)
    return {
      kind: "choice",
      title,
      unit,
      options: s.enum.map((value) => ({ value, name: valueName(value, s.names) })),
    };
  if (options && options.length === 1) {
    const inner = fieldOf({ ...options[0], title, unit, hint }, key);
    return inner.kind === "number" ? { ...inner, nullable } : inner;
  }
  if (options?.every((o) => o.const !== undefined))
    return {
      kind: "choice",
      title,
      unit,
      options: options.map((o) => ({ value: o.const!, name: valueName(o.const!, s.names) })),
    };
  if (options?.every((o) => o.type === "object"))
    return {
      kind: "variants",
      title,
      options: options.map((o, i) => ({
        title: o.title ?? `Form ${i + 1}`,
        field: fieldOf(o, key),
        keys: Object.keys(o.properties ?? {}),
      })),
    };
  if (options) {
    // A number or something simpler, such as true for "as usual": the number is what a person types.
    const text = options.some((o) => o.type === "string");
    return text ? { kind: "text", title, hint } : { kind: "number", title, unit, nullable, hint, whole: false };
  }
  if (s.type === "object" && !s.properties && typeof s.additionalProperties === "object")
    return { kind: "pairs", title, hint };
  if (s.type === "object")
    return {
      kind: "group",
      title,
      fields: Object.entries(s.properties ?? {})
        .filter(([, p]) => p.const === undefined)
        .map(([k, p]) => ({
          key: k,
          field: fieldOf(p, k),
          required: !!s.required?.includes(k),
          ...(p.default === undefined ? {} : { initial: p.default }),
        })),
    };
  if (s.type === "array") {
    if (s.items?.type === "array") return { kind: "matrix", title, unit, hint };
    if (s.items?.type === "string") return { kind: "texts", title, hint };
    return { kind: "list", title, row: fieldOf(s.items ?? {}, "row"), least: s.minItems ?? 0 };
  }
  if (s.type === "boolean") return { kind: "flag", title };
  if (s.type === "string") return { kind: "text", title, hint };
  return { kind: "number", title, unit, nullable, hint, whole: s.type === "integer" };
}

/** Which form of several a value has: by the constant they are told apart with, else by the keys that fit best. */
export function variantOf(field: Extract<Field, { kind: "variants" }>, value: unknown): number {
  if (typeof value !== "object" || value === null) return 0;
  const has = Object.keys(value);
  const kind = (value as { kind?: unknown }).kind;
  const named = field.options.findIndex((o) => typeof kind === "string" && o.title.toLowerCase() === kind);
  if (named >= 0) return named;
  let best = 0;
  let most = -Infinity;
  field.options.forEach((o, i) => {
    const score = has.filter((k) => o.keys.includes(k)).length - has.filter((k) => !o.keys.includes(k)).length * 2;
    if (score > most) [most, best] = [score, i];
  });
  return best;
}

/** A first value for a field when a row is added or a form changed: nothing typed where a person must say. */
export function blankOf(field: Field): unknown {
  switch (field.kind) {
    case "group":
      return Object.fromEntries(
        field.fields.flatMap(({ key, field: f, required, initial }) =>
          required || initial !== undefined ? [[key, initial ?? blankOf(f)]] : [],
        ),
      );
    case "choice":
      return field.options[0]!.value;
    case "flag":
      return false;
    case "list":
    case "texts":
    case "matrix":
      return [];
    case "variants":
      return withKind(field, 0, blankOf(field.options[0]!.field));
    case "number":
      return field.nullable ? null : undefined;
    case "text":
    case "pairs":
      return undefined;
  }
}

/** A value with what it leaves unsaid put in, as the calculator takes it: a box never shows other than what is reckoned with. */
export function withInitials(field: Field, value: unknown): unknown {
  if (field.kind === "list") return Array.isArray(value) ? value.map((x) => withInitials(field.row, x)) : value;
  if (typeof value !== "object" || value === null) return value;
  if (field.kind === "variants") return withInitials(field.options[variantOf(field, value)]!.field, value);
  if (field.kind !== "group") return value;
  const of = value as Record<string, unknown>;
  return {
    ...of,
    ...Object.fromEntries(
      field.fields.flatMap(({ key, field: f, initial }) => {
        const now = of[key] === undefined ? initial : withInitials(f, of[key]);
        return now === undefined ? [] : [[key, now]];
      }),
    ),
  };
}

/** Puts back the constant by which a form of several is known. */
export function withKind(field: Extract<Field, { kind: "variants" }>, i: number, value: unknown): unknown {
  const o = field.options[i]!;
  return o.keys.includes("kind") ? { kind: o.title.toLowerCase(), ...(value as object) } : value;
}

/**
 * What was typed into a number's box, in the unit of the box: the number, nothing, or the text itself for the calculator to refuse
 * in words.
 */
export function typedNumber(text: string, nullable: boolean, unit = ""): number | string | null | undefined {
  if (text.trim() === "") return nullable ? null : undefined;
  // A very small figure comes back from the calculator in powers of ten.
  if (/^-?\d+(\.\d+)?e[+-]?\d{1,2}$/i.test(text.trim())) return Number(text);
  const r = readNumber(text, unit);
  return r.ok ? r.value : text;
}

/** What was typed as pairs, "L1 up, W1 down"; a name without its word keeps an empty one, for the calculator to refuse. */
export function typedPairs(text: string): Record<string, string> | undefined {
  const pairs = text
    .split(/[,;]/)
    .map((x) => x.trim())
    .filter((x) => x !== "")
    .map((x) => [x.split(/\s+/)[0]!, x.split(/\s+/).slice(1).join(" ")] as const);
  return pairs.length ? Object.fromEntries(pairs) : undefined;
}

/** What was typed into a matrix: a row a line, numbers apart by spaces, semicolons, tabs or a comma with a space. */
export const typedMatrix = (text: string): (number | string)[][] =>
  text
    .split(/\n/)
    .map((l) => l.trim())
    .filter((l) => l !== "")
    .map((l) =>
      l
        .split(/,(?!\d{3}(?!\d))|[\s;]+/)
        .filter((x) => x !== "")
        .map((x) => typedNumber(x, false) as number | string),
    );

/** A value with one place in it changed; leaving out what is nothing. */
export function setAt(value: unknown, path: readonly (string | number)[], next: unknown): unknown {
  const [head, ...rest] = path;
  if (head === undefined) return next;
  if (Array.isArray(value)) return value.map((v, i) => (i === head ? setAt(v, rest, next) : v));
  const object = { ...(value as Record<string, unknown> | undefined) };
  const made = setAt(object[head], rest, next);
  if (made === undefined) delete object[head];
  else object[head] = made;
  return object;
}
