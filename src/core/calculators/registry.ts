import type { Calculator } from "./calculator";
import { tailsLength } from "./ends";
import { clipLayoutCalculator, clipSpacingCalculator } from "./fixings";
import { timberCheck, timberWindows } from "./timber";
import { zonesCheck, zonesWall } from "./zones";

/** Every calculator of the core, by name. */
export const calculators: readonly Calculator[] = [clipLayoutCalculator, clipSpacingCalculator, tailsLength, timberCheck, timberWindows, zonesCheck, zonesWall];

const byName = new Map(calculators.map((c) => [c.name, c]));

/** The calculator of that name, or null. */
export const calculatorNamed = (name: string): Calculator | null => byName.get(name) ?? null;
