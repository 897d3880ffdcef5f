"use client";
import { count, figure, mm } from "../../../core/base/figures";
import { sectionName } from "../../../core/drawings/section-drawings";
import { legWords } from "../../../core/drawings/tape";
import { containmentOnWalls } from "../../../core/plan/containment-on-walls";
import { useDesk } from "../../job/store";
import { fillWords } from "../../../core/words/at-end";
import { useSectionFigures } from "../containment/use-figures";
import { Table } from "../table";
import { SheetFrame, link, useNames } from "./frame";

/** Everything of containment as lists: sections, their pieces, and what each wall takes. */
export function ContainmentSheet() {
  const { job, plan, house, circuit } = useNames();
  const figures = useSectionFigures();
  const lines = plan ? containmentOnWalls(house, plan) : [];
  const pieces = figures.flatMap((f) => f.pieces.map((p) => ({ f, p })));
  return (
    <SheetFrame
      title="Containment"
      about="Every section with how full it is and what its weakest circuit carries in it, the pieces it is cut in, and how each wall takes its cables."
      tools={
        <div className="no-print flex flex-wrap gap-1">
          <a className={link} href={`/api/jobs/${job.id}/containment.csv`} download>
            Pieces, CSV
          </a>
          <a className={link} href={`/api/jobs/${job.id}/fixings.csv`} download>
            Fixings, CSV
          </a>
        </div>
      }
    >
      <h3 className="mt-2 text-lg">Sections</h3>
      <Table
        label="Sections"
        rows={figures}
        keyOf={(f) => f.laid.section.id}
        onPick={(f) => useDesk.setState({ selection: { kind: "section", id: f.laid.section.id } })}
        empty="No section is drawn yet."
        columns={[
          { name: "Section", cell: (f) => sectionName(f.laid) },
          { name: "It is", cell: (f) => (f.laid.section.state === "found" ? "found" : "new") },
          { name: "Length, m", num: true, cell: (f) => (f.laid.length / 1000).toFixed(2) },
          { name: "Cables", num: true, cell: (f) => f.there.length + f.inside.length },
          { name: "Full", cell: (f) => <span className={f.fill.ok ? "" : "text-stop"}>{fillWords(f)}</span> },
          {
            name: "Weakest circuit",
            cell: (f) => {
              const weak = [...f.circuits].sort((a, b) => a.carries / a.needs - b.carries / b.needs)[0];
              if (!weak) return "none in it";
              return (
                <span className={!weak.holds ? "text-stop" : ""}>
                  {circuit(weak.circuit)}: {figure(weak.carries, 1)} A of {figure(weak.needs, 1)}
                </span>
              );
            },
          },
          { name: "Fixings", num: true, cell: (f) => f.fixings.reduce((n, x) => n + x.marks.length, 0) },
        ]}
      />
      <h3 className="mt-4 text-lg">Pieces</h3>
      <Table
        label="Pieces"
        rows={pieces}
        keyOf={({ f, p }) => `${f.laid.section.id} ${p.number}`}
        onPick={({ f }) => useDesk.setState({ selection: { kind: "section", id: f.laid.section.id } })}
        empty="Nothing is cut to length yet."
        columns={[
          { name: "Piece", cell: ({ f, p }) => `${f.laid.section.label}, ${p.number}` },
          {
            name: "Of",
            cell: ({ f }) => `${f.laid.row.name.toLowerCase()} ${f.laid.section.size.replace("x", " × ")}`,
          },
          { name: "Cut, mm", num: true, cell: ({ p }) => mm(Math.round(p.length * 10) / 10) },
          {
            name: "Folds",
            cell: ({ p }) =>
              p.folds.length ? count(p.folds.length, p.folds[0]!.way === "bend" ? "bend" : "fold") : "straight",
          },
        ]}
      />
      <h3 className="mt-4 text-lg">Walls</h3>
      <p className="mb-1 text-[13.5px] text-soft">
        What each wall needs to take its cables. Lengths count every cable; where two lie side by side one chase takes
        both.
      </p>
      <Table
        label="Containment by wall"
        rows={lines}
        keyOf={(r) => `${r.wall} ${r.method}`}
        empty="Nothing runs on walls yet."
        columns={[
          { name: "Wall", cell: (r) => `${r.room}, wall ${r.number}` },
          { name: "Taken as", cell: (r) => legWords[r.method] },
          { name: "Circuits", cell: (r) => r.circuits.map(circuit).join(", ") },
          { name: "Legs", num: true, cell: (r) => r.legs },
          { name: "Length, m", num: true, cell: (r) => (r.length / 1000).toFixed(2) },
        ]}
      />
    </SheetFrame>
  );
}
