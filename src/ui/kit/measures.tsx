"use client";
import { NumberField } from "./field";

/** One measure of a thing: the key it is kept under, how it is asked for, and what is allowed. */
export interface Measure<K extends string> {
  key: K;
  label: string;
  /** What the field is known by where two of one label stand on a screen. */
  name?: string;
  min?: number;
  max?: number;
  unit?: string;
  step?: number;
  whole?: boolean;
}

/** The measures of a thing, one row each; `put` is told the one that was typed and says why it is refused. */
export function Measures<K extends string>({
  of,
  rows,
  put,
}: {
  of: Readonly<Record<K, number>>;
  rows: readonly Measure<K>[];
  put: (next: Partial<Record<K, number>>) => string | null | void;
}) {
  return rows.map(({ key, ...row }) => (
    <NumberField key={key} {...row} value={of[key]} onCommit={(x) => put({ [key]: x } as Partial<Record<K, number>>)} />
  ));
}
