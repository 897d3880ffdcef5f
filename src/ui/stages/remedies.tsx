"use client";
import { count, figure } from "../../core/base/figures";
import type { CircuitRemedies, CircuitRemedy } from "../../core/plan/circuit-remedies";
import { fixed } from "../../core/plan/tried-fixes";
import type { Job } from "../../core/job/model";
import type { Fix } from "../../core/rules/fact";
import { cableOf } from "../../core/rules/catalogue";
import { askWorker } from "../job/ask";
import { say } from "../job/edits";
import { change, edit, useDesk } from "../job/store";
import { useAsked } from "../job/use-asked";
import { Button } from "../kit/button";

/** The changes that fixes stand for, on the job as it is now. */
const changesOf = (job: Job, fixes: readonly Fix[]): ReturnType<typeof change>[] =>
  fixes.flatMap((f) => {
    const thing = (job[f.collection] as { id: string }[]).find((x) => x.id === f.id);
    return thing ? [change(f.collection, f.id, fixed(thing, f) as never)] : [];
  });

/** Changes that were tried and would make a circuit hold as it is laid. */
export function Remedies({ circuit }: { circuit: string }) {
  const { answer: r, ask } = useAsked<CircuitRemedies>((job) =>
    askWorker((w) => w.circuitRemedies(job, useDesk.getState().catalogue, useDesk.getState().siteBook, circuit)),
  );
  const job = useDesk((s) => s.job);
  const catalogue = useDesk((s) => s.catalogue);
  const c = job.circuits.find((x) => x.id === circuit);
  if (!c) return null;
  if (r === null) return <Button onClick={ask}>Does it hold? Try what would make it</Button>;
  if (r === "working") return <p>Laying the job with each change.</p>;
  if (r.holds) return <p>It holds as it is laid: nothing need be changed.</p>;
  const name = (x: CircuitRemedy): string =>
    x.kind === "cable"
      ? (cableOf(String(x.to), catalogue)?.name ?? String(x.to))
      : x.kind === "device"
        ? `a ${x.to} A device`
        : `a way of its own, out of ${job.sections.find((s) => s.id === x.to)?.label ?? "the section"}`;
  return (
    <div className="grid gap-1 border border-line p-2" data-remedies>
      <p>
        {r.found.length
          ? "Tried, and it holds with:"
          : `${count(r.tried, "change")} tried; none of them makes it hold. Split the circuit, or bring the board nearer.`}
      </p>
      {r.found.map((x) => (
        <div key={`${x.kind} ${x.to}`} className="flex flex-wrap items-center justify-between gap-1">
          <span>
            {name(x)}
            {Math.abs(x.metres) >= 0.1 ? (
              <span className="text-soft">
                , {x.metres > 0 ? "+" : ""}
                {figure(x.metres, 1)} m of cable
              </span>
            ) : null}
          </span>
          <Button onClick={() => say(edit(changesOf(job, x.fix)))}>Take it</Button>
        </div>
      ))}
    </div>
  );
}
