import type { Calculator } from "./calculator";
import { list } from "./list";

/** Every calculator of the core, by name. */
export const calculators: readonly Calculator[] = list;

const byName = new Map(calculators.map((c) => [c.name, c]));

/** The calculator of that name, or null. */
export const calculatorNamed = (name: string): Calculator | null => byName.get(name) ?? null;
