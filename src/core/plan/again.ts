import type { Run } from "../laid/laid";
import type { Fact } from "../rules/fact";

/** What a fact about a pinned run offers: to let go of the pin, so that it is laid afresh. */
export const again = (run: Run): Pick<Fact, "fix"> =>
  run.pin === null ? {} : { fix: [{ collection: "pins", id: run.pin, remove: true }] };
