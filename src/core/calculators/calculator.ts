import { z } from "zod";
import type { Scene } from "../drawings/scene";
import { type Catalogue, standardCatalogue } from "../rules/catalogue";
import type { Fact } from "../rules/fact";
import { worded } from "../words/findings";

/** What the Bench sorts questions by. */
export const groups = [
  "Walls and zones",
  "Timber",
  "Containment",
  "Fixings",
  "Ends",
  "Circuits",
  "Kitchen",
  "Outside",
  "Tests",
  "Materials and board",
] as const;
export type Group = (typeof groups)[number];

/** Marks to transfer, in reading order, from where the tape is hooked on. Lengths mm. */
export interface Marks {
  length: number;
  datum: string;
  marks: { at: number; text: string }[];
}

/** What a person takes from an answer: one sentence, a drawing of the thing, marks on the tape, and steps with their numbers. */
export interface Sheet {
  headline: string;
  scene?: Scene;
  tape?: Marks;
  steps?: string[];
}

/** What a calculator works out: facts in place of findings, which get their words when they are answered. */
export type Raw<T> = T extends { findings: unknown } ? Omit<T, "findings"> & { facts: readonly Fact[] } : T;

/** One calculator as the registry holds it. The command line, the HTTP route, the Bench and the reference page are made from this alone. */
export interface Calculator<I extends z.ZodType = z.ZodType, O extends z.ZodType = z.ZodType> {
  name: string;
  /** The question it answers, as one would ask it. */
  purpose: string;
  group: Group;
  source: string;
  input: I;
  output: O;
  /** A sensible first input; its answer is a worked example. */
  first: z.input<I>;
  run: (input: z.output<I>, catalogue: Catalogue) => Raw<z.output<O>>;
  sheet: (input: z.output<I>, output: z.output<O>, catalogue: Catalogue) => Sheet;
}

/** Declares a calculator with its types kept. */
export const calculator = <I extends z.ZodType, O extends z.ZodType>(c: Calculator<I, O>): Calculator =>
  c as unknown as Calculator;

/** A refused input: what kind of fault, in words, and which field. */
export interface InputError {
  code: string;
  message: string;
  path: string;
}

export type Answer = { ok: true; output: unknown } | { ok: false; error: InputError };

const show = (x: unknown): string => {
  if (x === undefined) return "nothing";
  if (typeof x === "number" && !Number.isFinite(x)) return String(x);
  const s = JSON.stringify(x) ?? String(x);
  return s.length > 60 ? `${s.slice(0, 57)}…` : s;
};

const valueAt = (input: unknown, path: readonly PropertyKey[]): unknown =>
  path.reduce<unknown>(
    (v, k) => (typeof v === "object" && v !== null ? (v as Record<PropertyKey, unknown>)[k] : undefined),
    input,
  );

const kinds: Record<string, string> = {
  number: "a number",
  string: "text",
  boolean: "true or false",
  array: "a list",
  object: "an object",
  tuple: "a list",
  int: "a whole number",
};

/** What a field may be, from the fault found in it. */
function allowed(issue: z.core.$ZodIssue): string {
  switch (issue.code) {
    case "invalid_type":
      return `must be ${kinds[issue.expected] ?? issue.expected}`;
    case "too_small":
      return issue.origin === "array"
        ? `needs at least ${issue.minimum} entries`
        : issue.origin === "string"
          ? `needs at least ${issue.minimum} characters`
          : `must be ${issue.inclusive ? "at least" : "more than"} ${issue.minimum}`;
    case "too_big":
      return issue.origin === "array"
        ? `may have at most ${issue.maximum} entries`
        : issue.origin === "string"
          ? `may have at most ${issue.maximum} characters`
          : `must be ${issue.inclusive ? "at most" : "less than"} ${issue.maximum}`;
    case "invalid_value":
      return `must be ${issue.values.map((v) => show(v)).join(" or ")}`;
    case "unrecognized_keys":
      return `has no field ${issue.keys.map((k) => `"${k}"`).join(", ")}`;
    case "invalid_union": {
      const options = (issue as { options?: unknown[] }).options;
      return options?.length
        ? `must be ${options.map((v) => show(v)).join(" or ")}`
        : "is none of the forms allowed here";
    }
    default:
      return issue.message;
  }
}

/** The first fault as an error that names the field, what it got and what is allowed. */
export function refusal(input: unknown, error: z.ZodError): InputError {
  const issue = error.issues[0]!;
  const inner = issue.code === "invalid_union" && issue.errors?.length ? deepest(issue.errors.flat()) : null;
  const path = [...issue.path, ...(inner?.path ?? [])];
  const at = path.map(String).join(".");
  const fault = inner ?? issue;
  const got = fault.code === "unrecognized_keys" ? "" : ` got ${show(valueAt(input, path))};`;
  return { code: fault.code, message: `${at || "input"}:${got} ${allowed(fault)}`, path: at };
}

const deepest = (issues: z.core.$ZodIssue[]): z.core.$ZodIssue | null =>
  issues.reduce<z.core.$ZodIssue | null>(
    (best, i) => (best === null || i.path.length > best.path.length ? i : best),
    null,
  );

/** Checks the input, runs the calculator, and answers with the output or the refusal. Never throws for bad input. */
export function answer(c: Calculator, input: unknown, catalogue: Catalogue = standardCatalogue): Answer {
  const parsed = c.input.safeParse(input);
  if (!parsed.success) return { ok: false, error: refusal(input, parsed.error) };
  try {
    const raw = c.run(parsed.data, catalogue) as { facts?: readonly Fact[] };
    const { facts, ...rest } = raw;
    return { ok: true, output: facts === undefined ? raw : { ...rest, findings: worded(facts) } };
  } catch (e) {
    if (e instanceof InputFault) return { ok: false, error: { code: "refused", message: e.message, path: e.path } };
    throw e;
  }
}

/** What to take from an answer; null when the input is refused. */
export function sheetOf(c: Calculator, input: unknown, catalogue: Catalogue = standardCatalogue): Sheet | null {
  const parsed = c.input.safeParse(input);
  if (!parsed.success) return null;
  const a = answer(c, input, catalogue);
  return a.ok ? c.sheet(parsed.data, a.output, catalogue) : null;
}

/** Thrown by a calculator for input whose fields are each allowed but do not go together. */
export class InputFault extends Error {
  constructor(
    readonly path: string,
    message: string,
  ) {
    super(`${path}: ${message}`);
  }
}
