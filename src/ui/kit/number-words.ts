import { readNumber } from "../../core/base/numbers";
import { mm } from "../../core/base/figures";

/** Reads a number as people type it, in the field's unit; null when it cannot be told. */
function parse(text: string, unit = ""): number | null {
  const r = readNumber(text, unit);
  return r.ok ? r.value : null;
}

const range = (min: number | undefined, max: number | undefined, unit: string, whole: boolean): string => {
  const w = whole ? "a whole number " : "";
  const u = unit ? ` ${unit}` : "";
  if (min !== undefined && max !== undefined) return `${w}between ${mm(min)} and ${mm(max)}${u}`;
  if (min !== undefined) return `${w}at least ${mm(min)}${u}`;
  if (max !== undefined) return `${w}at most ${mm(max)}${u}`;
  return `a ${whole ? "whole " : ""}number${u ? ` in${u}` : ""}`;
};

/** The sentence for a number that cannot be taken, or null when it can. */
function fault(
  label: string,
  typed: string,
  min: number | undefined,
  max: number | undefined,
  unit: string,
  whole = false,
): string | null {
  const r = readNumber(typed, unit);
  if (!r.ok) return `${label} is “${typed.trim()}”: ${r.why}. It must be ${range(min, max, unit, whole)}.`;
  if (
    (min !== undefined && r.value < min) ||
    (max !== undefined && r.value > max) ||
    (whole && !Number.isInteger(r.value))
  )
    return `${label} is ${mm(r.value)}; it must be ${range(min, max, unit, whole)}.`;
  return null;
}

export const words = { parse, fault };
