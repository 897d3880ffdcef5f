import { atLeast } from "../../base/tolerance";
import type { Job } from "../../job/model";
import { type Fact, fact } from "../../rules/fact";
import { bondingLeast } from "../../rules/supply";

/** Main bonding that is too small for the supply, or was not seen: about the job, each service by itself. */
export function supplyFacts(job: Job): Fact[] {
  const { bonding, earthing } = job.supply;
  return bonding.flatMap((b): Fact[] => {
    const least = bondingLeast(earthing);
    const of = { service: b.service, earthing: earthing ?? "unknown" };
    if (!atLeast(b.csa, least))
      return [
        fact("supply.bonding", "job", job.id, { measured: b.csa, limit: least, sense: "least", unit: "mm²", of }),
      ];
    return b.seen ? [] : [fact("supply.bonding", "job", job.id, { case: "unseen", severity: "note", of })];
  });
}
