"use client";
import { Download } from "lucide-react";
import { useState } from "react";
import { cutDrums } from "../../../core/plan/drums";
import { totals } from "../../../core/plan/take-off";
import type { Plan } from "../../../core/laid/laid";
import { cableOf } from "../../../core/rules/catalogue";
import { mm, toCut } from "../../../core/base/figures";
import { useDesk } from "../../job/store";
import { Choice } from "../../kit/choice";
import { Table } from "../table";
import { SheetFrame, link, useNames } from "./frame";

export function MaterialsSheet() {
  const { job, plan, circuit, runName } = useNames();
  const [by, setBy] = useState<"all" | "circuit">("all");
  const rows = plan ? (by === "all" ? totals(plan.takeoff) : plan.takeoff) : [];
  const cabled = [...new Set((plan?.runs ?? []).map((r) => r.cable))].sort();
  const cuts = cabled.map((c) =>
    cutDrums(
      c,
      plan!.runs.filter((r) => r.cable === c).map((r) => ({ run: r.id, length: r.cutLength })),
      job.drums,
    ),
  );
  return (
    <SheetFrame
      title="Materials"
      about="Cable is path, tails and spare at both ends, and waste. Sizes are typical: your maker's sheet goes before them."
      tools={
        <div className="no-print flex flex-wrap gap-1">
          <a className={link} href={`/api/jobs/${job.id}/take-off.csv`} download>
            <Download size={14} aria-hidden /> Take-off CSV
          </a>
          <a className={link} href={`/api/jobs/${job.id}/cut-list.csv`} download>
            <Download size={14} aria-hidden /> Cut list CSV
          </a>
          <a className={link} href={`/api/jobs/${job.id}/file`} download>
            <Download size={14} aria-hidden /> Job file
          </a>
        </div>
      }
    >
      <Choice
        className="no-print mb-1"
        label="Sum"
        value={by}
        options={[
          ["all", "In all"],
          ["circuit", "By circuit"],
        ]}
        onChange={setBy}
      />
      <Table
        label="Take-off"
        rows={rows}
        keyOf={(r) => `${r.circuit} ${r.item} ${r.size}`}
        empty="No materials yet: lay some runs."
        columns={[
          ...(by === "circuit"
            ? [{ name: "Circuit", cell: (r: Plan["takeoff"][number]) => circuit(r.circuit) || "shared" }]
            : []),
          { name: "Item", cell: (r) => r.item },
          { name: "Size", cell: (r) => r.size },
          { name: "Quantity", num: true, cell: (r) => (r.unit === "m" ? r.quantity.toFixed(1) : r.quantity) },
          { name: "Unit", cell: (r) => r.unit },
        ]}
      />
      <h3 className="mt-4 text-lg">Which length off which drum</h3>
      {cuts.map((c) => (
        <div key={c.cable} className="mt-2">
          <h4 className="font-semibold">{cableOf(c.cable, useDesk.getState().catalogue)?.name}</h4>
          {c.drums.length ? null : (
            <p className="text-[13.5px] text-soft">No drum listed: buy {(c.short / 1000).toFixed(1)} m.</p>
          )}
          {c.drums.map((d) => (
            <p key={d.id} className="text-[13.5px]">
              {d.label} <span className="num">{mm(d.length / 1000)} m</span>:{" "}
              {d.pieces.length ? d.pieces.map((p) => `${runName(p.run)} ${toCut(p.length)}`).join(" · ") : "not opened"}
              ; <span className="num">{(d.left / 1000).toFixed(1)} m</span> left
            </p>
          ))}
          {c.drums.length && c.unmet.length ? (
            <p className="font-medium text-warn">
              ! No drum holds {c.unmet.map((p) => `${runName(p.run)} (${(p.length / 1000).toFixed(1)} m)`).join(", ")}.
            </p>
          ) : null}
        </div>
      ))}
    </SheetFrame>
  );
}
