import { mm } from "../../core/rules/findings";

/** Reads a number as people type it: "1 460", "1,5" or "1.5"; null when it is none. */
function parse(text: string): number | null {
  const t = text.replace(/[\s\u2009\u00a0]/g, "").replace(",", ".");
  if (!/^[+-]?(\d+\.?\d*|\.\d+)$/.test(t)) return null;
  const n = Number(t);
  return Number.isFinite(n) ? n : null;
}

const range = (min: number | undefined, max: number | undefined, unit: string): string => {
  const u = unit ? ` ${unit}` : "";
  if (min !== undefined && max !== undefined) return `between ${mm(min)} and ${mm(max)}${u}`;
  if (min !== undefined) return `at least ${mm(min)}${u}`;
  if (max !== undefined) return `at most ${mm(max)}${u}`;
  return `a number${u ? ` in${u}` : ""}`;
};

/** The sentence for a number that cannot be taken, or null when it can. */
function fault(
  label: string,
  typed: string,
  n: number | null,
  min: number | undefined,
  max: number | undefined,
  unit: string,
): string | null {
  if (n === null) return `${label} is “${typed}”; it must be a number, ${range(min, max, unit)}.`;
  if ((min !== undefined && n < min) || (max !== undefined && n > max))
    return `${label} is ${mm(n)}; it must be ${range(min, max, unit)}.`;
  return null;
}

export const words = { parse, fault };
