"use client";
import { Download } from "lucide-react";
import dynamic from "next/dynamic";
import { useMemo, useState } from "react";
import { mm, toCut } from "../../../core/base/figures";
import type { House } from "../../../core/house/house";
import type { Job } from "../../../core/job/model";
import type { SiteEntry } from "../../../core/job/site-entry";
import type { Plan, TakeOffLine } from "../../../core/laid/laid";
import { placedTakeOff, totals, totalsBy } from "../../../core/plan/take-off";
import { byDate, daysOf, nowOf } from "../../../core/record/day";
import { cutsToCome, drumsOf, runsToCut } from "../../../core/record/drums";
import { cableOf } from "../../../core/rules/catalogue";
import { groupName } from "../../../core/words/tasks";
import { useDesk } from "../../job/store";
import { Choice } from "../../kit/choice";
import { Table } from "../table";
import { BuyingSheet } from "./buying";
import { SheetFrame, link, useNames } from "./frame";

// The charts are fetched when they are first looked at.
const CableUsedSheet = dynamic(() => import("./cable-used").then((m) => m.CableUsedSheet));

type By = "all" | "circuit" | "room" | "day";
type Row = TakeOffLine & { of: string };

/** The day by which a line of the take-off is needed: that of the task that uses it; plates are for second fix. */
function dayOf(house: House, plan: Plan, siteBook: readonly SiteEntry[]): (task: string, group: string) => string {
  const days = daysOf(house, plan, siteBook, nowOf(new Date()));
  const first = new Map<string, string>();
  for (const d of byDate(days)) for (const s of d.slots) if (!first.has(s.task)) first.set(s.task, d.date);
  return (task, group) => (task === "close" ? "second fix" : (first.get(`${task}@${group}`) ?? "done or not planned"));
}

/** Lines of the take-off as they are asked for: in all, or by what they are needed for. */
function rowsBy(by: By, house: House, plan: Plan, siteBook: readonly SiteEntry[], job: Pick<Job, "circuits">): Row[] {
  if (by === "all") return totals(plan.takeoff).map((l) => ({ ...l, of: "" }));
  if (by === "circuit")
    return plan.takeoff.map((l) => ({ ...l, of: job.circuits.find((c) => c.id === l.circuit)?.label ?? "shared" }));
  const placed = placedTakeOff(house, plan);
  const day = by === "day" ? dayOf(house, plan, siteBook) : null;
  const split = totalsBy(placed, (l) => (day ? day(l.task, l.group) : l.place));
  const name = (key: string): string => (day ? key : groupName(house, key));
  return split
    .sort((a, b) => (name(a.key) < name(b.key) ? -1 : 1))
    .flatMap(({ key, lines }) => lines.map((l) => ({ ...l, of: name(key) })));
}

const heads: Record<By, string> = { all: "", circuit: "Circuit", room: "Room or deck", day: "Day" };

export function MaterialsSheet() {
  const { job } = useNames();
  const [show, setShow] = useState<"take-off" | "buy" | "used">("take-off");
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
        className="no-print mb-2"
        label="Show"
        value={show}
        options={[
          ["take-off", "Take-off and cuts"],
          ["buy", "To buy"],
          ["used", "Cable used"],
        ]}
        onChange={setShow}
      />
      {show === "buy" ? <BuyingSheet /> : show === "used" ? <CableUsedSheet /> : <TakeOff />}
    </SheetFrame>
  );
}

function TakeOff() {
  const { job, house, plan, runName } = useNames();
  const [by, setBy] = useState<By>("all");
  const siteBook = useDesk((s) => s.siteBook);
  const catalogue = useDesk((s) => s.catalogue);
  const rows = useMemo(() => (plan ? rowsBy(by, house, plan, siteBook, job) : []), [by, house, plan, siteBook, job]);
  const cuts = useMemo(
    () => (plan ? cutsToCome(runsToCut(plan, siteBook), drumsOf(job, siteBook)) : []),
    [plan, siteBook, job],
  );
  return (
    <>
      <Choice
        className="no-print mb-1"
        label="Sum"
        value={by}
        options={[
          ["all", "In all"],
          ["circuit", "By circuit"],
          ["room", "By room"],
          ["day", "By day"],
        ]}
        onChange={setBy}
      />
      <Table
        label="Take-off"
        rows={rows}
        keyOf={(r) => `${r.of} ${r.circuit} ${r.item} ${r.size}`}
        empty="No materials yet: lay some runs."
        columns={[
          ...(by === "all" ? [] : [{ name: heads[by], cell: (r: Row) => r.of }]),
          { name: "Item", cell: (r) => r.item },
          { name: "Size", cell: (r) => r.size },
          { name: "Quantity", num: true, cell: (r) => (r.unit === "m" ? r.quantity.toFixed(1) : r.quantity) },
          { name: "Unit", cell: (r) => r.unit },
        ]}
      />
      <h3 className="mt-4 text-lg">Which length off which drum</h3>
      <p className="text-[13px] text-soft">
        Of what is left: runs cut or drawn in are not in it, offcuts are used first.
      </p>
      {cuts.map((c) => (
        <div key={c.cable} className="mt-2">
          <h4 className="font-semibold">{cableOf(c.cable, catalogue)?.name}</h4>
          {c.drums.length ? null : (
            <p className="text-[13.5px] text-soft">No drum listed: buy {(c.short / 1000).toFixed(1)} m.</p>
          )}
          {c.drums.map((d) => (
            <p key={d.id} className="text-[13.5px]">
              {d.label} <span className="num">{mm(Math.round(d.length / 100) / 10)} m</span>:{" "}
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
    </>
  );
}
