import { atLeast } from "../geometry/tolerance";
import { type Finding, finding } from "../rules/findings";
import { figure } from "../rules/words";

/** Least insulation resistance at 500 V d.c., MΩ, and what new work usually reads. Source: BS 7671:2018+A2:2022 Table 64. */
export const insulationLeast = 1;
export const insulationUsual = 200;

/** Judges an insulation reading, MΩ. Inclusive at 1 and at 200. */
export function checkInsulation(megohms: number, volts: 250 | 500): Finding[] {
  const out: Finding[] = [];
  if (!atLeast(megohms, insulationLeast))
    out.push(
      finding("test.insulation", {
        subject: "circuit",
        message: `${figure(megohms)} MΩ at ${volts} V: the insulation has failed.`,
        measured: megohms,
        limit: insulationLeast,
        sense: "least",
        unit: "MΩ",
        remedy: "Find the damaged or damp cable before anything is closed.",
      }),
    );
  else if (!atLeast(megohms, insulationUsual))
    out.push(
      finding("test.insulation", {
        severity: "warn",
        subject: "circuit",
        message: `${figure(megohms)} MΩ at ${volts} V; new work usually reads ${insulationUsual} or more.`,
        measured: megohms,
        limit: insulationUsual,
        sense: "least",
        unit: "MΩ",
        remedy: "Look for damp, dust or a nicked sheath.",
      }),
    );
  if (volts === 250)
    out.push(
      finding("test.insulation", {
        severity: "note",
        subject: "circuit",
        message: "250 V is the first, careful test; repeat at 500 V with electronics disconnected.",
      }),
    );
  return out;
}
