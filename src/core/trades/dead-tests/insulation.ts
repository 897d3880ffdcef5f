import { atLeast } from "../../base/tolerance";
import { type Fact, fact } from "../../rules/fact";

/** Least insulation resistance at 500 V d.c., MΩ, and what new work usually reads. Source: BS 7671:2018+A2:2022 Table 64. */
export const insulationLeast = 1;
export const insulationUsual = 200;

/** Judges an insulation reading, MΩ. Inclusive at 1 and at 200. */
export function checkInsulation(megohms: number, volts: 250 | 500): Fact[] {
  const out: Fact[] = [];
  if (!atLeast(megohms, insulationLeast))
    out.push(
      fact("test.insulation", "input", "circuit", {
        case: "failed",
        measured: megohms,
        limit: insulationLeast,
        sense: "least",
        unit: "MΩ",
        of: { volts },
      }),
    );
  else if (!atLeast(megohms, insulationUsual))
    out.push(
      fact("test.insulation", "input", "circuit", {
        case: "low",
        severity: "warn",
        measured: megohms,
        limit: insulationUsual,
        sense: "least",
        unit: "MΩ",
        of: { volts },
      }),
    );
  if (volts === 250) out.push(fact("test.insulation", "input", "circuit", { case: "first-test", severity: "note" }));
  return out;
}
