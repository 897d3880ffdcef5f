import type { Circuit, Job } from "../../job/model";
import { tripOf } from "../../job/wired";
import { type Fact, fact } from "../../rules/fact";

/** Most that trips what protects people, mA. Source: BS 7671:2018+A2:2022 415.1.1. */
const PERSONS = 30;

/** A circuit that a rule wants on 30 mA and that is not, with what would put it right; none where it is, or the whole installation is. */
export function needsRcd(
  rule: "circuit.rcd" | "zone.rcd" | "bath.rcd",
  job: Pick<Job, "supply">,
  c: Circuit,
  of?: Fact["of"],
): Fact[] {
  const trip = tripOf(job, c);
  if (trip === PERSONS) return [];
  return [
    fact(rule, "circuit", c.id, {
      ...(trip === null ? {} : { measured: trip }),
      limit: PERSONS,
      sense: "most",
      unit: "mA",
      ...(of ? { of } : {}),
      fix: [{ collection: "circuits", id: c.id, set: { rcd: PERSONS } }],
    }),
  ];
}
