"use client";
import { containmentOnWalls } from "../../../core/plan/containment-on-walls";
import { legWords } from "../../../core/drawings/tape";
import { Table } from "../table";
import { SheetFrame, useNames } from "./frame";

export function ContainmentSheet() {
  const { plan, house, circuit } = useNames();
  const lines = plan ? containmentOnWalls(house, plan) : [];
  return (
    <SheetFrame
      title="Containment on walls"
      about="What each wall needs to take its cables: chase with capping in masonry, the void in stud walls. Lengths count every cable; where two lie side by side one chase takes both."
    >
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
