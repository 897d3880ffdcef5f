"use client";
import { useMemo } from "react";
import { Bar, BarChart, CartesianGrid, Legend, ResponsiveContainer, Tooltip, XAxis, YAxis } from "recharts";
import { type DrumState, cableUsed, drumsOf } from "../../../core/record/drums";
import { cableOf } from "../../../core/rules/catalogue";
import { useDesk } from "../../job/store";
import { Table } from "../table";
import { useNames } from "./frame";

const m = (mm: number): string => (mm / 1000).toFixed(1);
const round = (mm: number): number => Math.round(mm / 100) / 10;

/** Cable planned and used, by circuit and by day, and how every drum stands. */
export function CableUsedSheet() {
  const { plan, job, circuit, runName } = useNames();
  const siteBook = useDesk((s) => s.siteBook);
  const catalogue = useDesk((s) => s.catalogue);
  const used = useMemo(() => (plan ? cableUsed(plan, siteBook) : null), [plan, siteBook]);
  const drums = useMemo(() => drumsOf(job, siteBook), [job, siteBook]);
  if (!used) return <p className="text-soft">Working out.</p>;
  const over = (x: number | null): string =>
    x === null ? "–" : `${x < 0 ? "−" : "+"}${Math.abs(100 * x).toFixed(1)} %`;
  return (
    <div className="grid gap-3" data-cable-used>
      <h3 className="text-lg">Planned and used, by circuit</h3>
      <div
        className="h-64"
        role="img"
        aria-label="Metres of cable planned and used by circuit; the table below has the figures"
      >
        <ResponsiveContainer width="100%" height="100%">
          <BarChart
            data={used.circuits.map((c) => ({
              name: circuit(c.circuit),
              Planned: round(c.planned),
              Used: round(c.used),
            }))}
          >
            <CartesianGrid stroke="var(--line)" vertical={false} />
            <XAxis dataKey="name" stroke="var(--soft)" fontSize={12} />
            <YAxis stroke="var(--soft)" fontSize={12} unit=" m" width={56} />
            <Tooltip contentStyle={{ background: "var(--panel)", border: "1px solid var(--line)" }} />
            <Legend />
            <Bar dataKey="Planned" fill="var(--soft)" isAnimationActive={false} />
            <Bar dataKey="Used" fill="var(--accent)" isAnimationActive={false} />
          </BarChart>
        </ResponsiveContainer>
      </div>
      <Table
        label="Cable by circuit"
        rows={used.circuits}
        keyOf={(c) => c.circuit}
        empty="Nothing is laid yet."
        columns={[
          { name: "Circuit", cell: (c) => circuit(c.circuit) },
          { name: "Planned, m", num: true, cell: (c) => m(c.planned) },
          { name: "Of it cut, m", num: true, cell: (c) => m(c.cut) },
          { name: "Used, m", num: true, cell: (c) => m(c.used) },
          { name: "Against the plan", num: true, cell: (c) => over(c.over) },
        ]}
      />
      {used.days.length ? (
        <>
          <h3 className="text-lg">Used by day</h3>
          <div className="h-48" role="img" aria-label="Metres of cable used each day; the table below has the figures">
            <ResponsiveContainer width="100%" height="100%">
              <BarChart data={used.days.map((d) => ({ name: d.date.slice(5), Used: round(d.used) }))}>
                <CartesianGrid stroke="var(--line)" vertical={false} />
                <XAxis dataKey="name" stroke="var(--soft)" fontSize={12} />
                <YAxis stroke="var(--soft)" fontSize={12} unit=" m" width={56} />
                <Bar dataKey="Used" fill="var(--accent)" isAnimationActive={false} />
              </BarChart>
            </ResponsiveContainer>
          </div>
          <Table
            label="Cable by day"
            rows={used.days}
            keyOf={(d) => d.date}
            empty=""
            columns={[
              {
                name: "Day",
                cell: (d) =>
                  new Date(`${d.date}T12:00:00`).toLocaleDateString("en-GB", {
                    weekday: "short",
                    day: "numeric",
                    month: "short",
                  }),
              },
              { name: "Used, m", num: true, cell: (d) => m(d.used) },
            ]}
          />
        </>
      ) : (
        <p className="text-[13.5px] text-soft">No cut is told yet: lengths are cut on site, drum by drum.</p>
      )}
      <h3 className="text-lg">Drums and offcuts</h3>
      <Table
        label="Drums"
        rows={drums}
        keyOf={(d) => d.id}
        empty="No drum is listed: add drums at the side."
        columns={[
          { name: "Drum", cell: (d: DrumState) => d.label },
          { name: "Cable", cell: (d) => cableOf(d.cable, catalogue)?.name ?? d.cable },
          { name: "Came with, m", num: true, cell: (d) => m(d.length) },
          { name: "Used, m", num: true, cell: (d) => m(d.used) },
          { name: "Left, m", num: true, cell: (d) => m(d.left) },
          { name: "Mark now", num: true, cell: (d) => (d.mark === null ? "–" : m(d.mark)) },
          { name: "Cut for", cell: (d) => d.cuts.map((c) => `${runName(c.run)} ${m(c.length)}`).join(" · ") },
        ]}
      />
      {used.back ? <p className="text-[13.5px]">{m(used.back)} m came back as offcuts and are used first.</p> : null}
    </div>
  );
}
