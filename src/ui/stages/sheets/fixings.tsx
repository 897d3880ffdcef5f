"use client";
import { legWords } from "../../../core/drawings/tape";
import { mm } from "../../../core/base/figures";
import { useDesk } from "../../job/store";
import { Table } from "../table";
import { SheetFrame, useNames } from "./frame";

export function FixingsSheet() {
  const { plan, runName } = useNames();
  return (
    <SheetFrame
      title="Clips"
      about="Evenly spaced within the limit, first and last close to the end. Where the cable stays in reach the table binds; out of reach the spacing is the school picked for the job."
    >
      <Table
        label="Clips by leg"
        rows={plan?.clips ?? []}
        keyOf={(c) => `${c.run} ${c.leg}`}
        onPick={(c) => useDesk.setState({ selection: { kind: "run", id: c.run, leg: c.leg } })}
        empty="No clips yet: lay some runs first."
        columns={[
          { name: "Run", cell: (c) => `${runName(c.run)}, leg ${c.leg + 1}` },
          { name: "Taken as", cell: (c) => legWords[plan!.runs.find((r) => r.id === c.run)!.legs[c.leg]!.method] },
          { name: "Clips", num: true, cell: (c) => c.marks.length },
          { name: "Apart, mm", num: true, cell: (c) => (c.marks.length > 1 ? mm(c.pitch) : "–") },
          { name: "Most, mm", num: true, cell: (c) => `${mm(c.max)}${c.reachable ? "" : " *"}` },
        ]}
      />
      <p className="mt-2 text-[13px] text-soft">* out of reach: by judgement, the table does not bind.</p>
    </SheetFrame>
  );
}
