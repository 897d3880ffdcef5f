import { boardOfCircuit } from "../../job/boards";
import { isMains } from "../../job/mains";
import type { Job } from "../../job/model";
import { wiredTo } from "../../job/wired";
import { isOnCircuit, isSignal } from "../../rules/accessories";
import { isSignalCable } from "../../rules/cables";
import { type Catalogue, cableOf } from "../../rules/catalogue";
import { type Fact, fact } from "../../rules/fact";

/**
 * What is wrong with the lines for data, television, telephone and bells as described: mains and signals on one circuit or cable, a line that
 * starts nowhere, an outlet that no line leads to.
 */
export function lineFacts(job: Job, catalogue: Catalogue): Fact[] {
  const kindOf = new Map(job.points.map((p) => [p.id, p.kind]));
  const out: Fact[] = [];
  for (const c of job.circuits) {
    if (c.state === "keep") continue;
    const wrong = wiredTo(c).filter((id) => {
      const kind = kindOf.get(id);
      return kind !== undefined && isSignal(kind) === isMains(c);
    });
    if (wrong.length)
      out.push(
        fact("signal.mixed", "circuit", c.id, { case: isMains(c) ? "on-mains" : "on-line", of: { points: wrong } }),
      );
    const cables = [c.cable, ...c.runCables.map((r) => r.cable)].map((id) => cableOf(id, catalogue));
    if (cables.some((x) => x && isSignalCable(x) === isMains(c)))
      out.push(fact("signal.mixed", "circuit", c.id, { case: isMains(c) ? "cable-on-mains" : "cable-on-line" }));
    if (!isMains(c) && wiredTo(c).length && boardOfCircuit(job, c)?.kind !== "cabinet")
      out.push(fact("signal.start", "circuit", c.id, { case: "no-cabinet" }));
  }
  const led = new Set(job.circuits.flatMap(wiredTo));
  for (const p of job.points)
    if (isSignal(p.kind) && isOnCircuit(p.kind) && !p.existing && !led.has(p.id))
      out.push(fact("signal.start", "point", p.id, { case: "no-line" }));
  return out;
}
