"use client";
import type { Run } from "../../core/laid/laid";
import { runKey } from "../../core/job/run-key";
import { change, edit, useDesk } from "../job/store";
import { SelectField } from "../kit/field";

/** The cable of one run: as worked out, or one of its own. */
export function RunCable({ run }: { run: Run }) {
  const job = useDesk((s) => s.job);
  const { cables } = useDesk((s) => s.catalogue);
  const c = job.circuits.find((x) => x.id === run.circuit);
  if (!c) return null;
  const mine = (x: { from: string; to: string; number: number }): boolean =>
    runKey({ circuit: c.id, from: x.from, to: x.to }, x.number) === run.id;
  const own = c.runCables.find(mine);
  const { from, to, number } = run;
  return (
    <SelectField
      label="Cable"
      name="run cable"
      value={own?.cable ?? ""}
      options={[
        {
          value: "",
          name: own ? "as worked out" : `as worked out: ${cables.find((x) => x.id === run.cable)?.name ?? run.cable}`,
        },
        ...cables.map((x) => ({ value: x.id, name: x.name })),
      ]}
      onCommit={(cable) =>
        edit([
          change("circuits", c.id, {
            ...c,
            runCables: [...c.runCables.filter((x) => !mine(x)), ...(cable ? [{ from, to, number, cable }] : [])],
          }),
        ])
      }
    />
  );
}
