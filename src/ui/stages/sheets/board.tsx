"use client";
import { boardOfCircuit } from "../../../core/job/boards";
import { cableOf } from "../../../core/rules/catalogue";
import { useDesk } from "../../job/store";
import { Table } from "../table";
import { SheetFrame, useNames } from "./frame";

export function BoardSheet() {
  const { job, plan } = useNames();
  const boards = job.points.filter((p) => p.kind === "board");
  const without = job.circuits.filter((c) => c.way === null);
  return (
    <SheetFrame
      title={boards.length === 1 ? `Board ${boards[0]!.label}` : boards.length ? "Boards" : "Board"}
      about="Which circuit is on which way. Nothing is dead until it is tested: isolate, prove dead, prove the tester before and after."
    >
      {boards.length ? null : (
        <p className="text-soft">There is no board yet. Add one in Points: every run starts there.</p>
      )}
      {boards.map((board) => {
        const mine = job.circuits.filter((c) => boardOfCircuit(job, c)?.id === board.id);
        const on = (w: number): typeof mine => mine.filter((c) => c.way === w);
        return (
          <div key={board.id} className="mb-3">
            {boards.length > 1 ? <h3 className="text-lg">{board.label}</h3> : null}
            <Table
              label={`Ways of ${board.label}`}
              rows={Array.from({ length: Math.max(board.ways, ...mine.map((c) => c.way ?? 0)) }, (_, i) => i + 1)}
              keyOf={String}
              empty="The board has no ways: set their number in its form."
              columns={[
                { name: "Way", num: true, cell: (w) => w },
                {
                  name: "Circuit",
                  cell: (w) =>
                    on(w)
                      .map((c) => `${c.label} · ${c.name}`)
                      .join(" and ") || "spare",
                },
                {
                  name: "Device",
                  cell: (w) =>
                    on(w)
                      .map((c) => `${c.device.curve}${c.device.rating}`)
                      .join(", "),
                },
                {
                  name: "RCD",
                  cell: (w) =>
                    on(w)
                      .map((c) => (c.rcd ? `${c.rcd} mA` : "none"))
                      .join(", "),
                },
                {
                  name: "Cable",
                  cell: (w) =>
                    on(w)
                      .map((c) => cableOf(c.cable, useDesk.getState().catalogue)?.name)
                      .join(", "),
                },
                {
                  name: "Cables in",
                  num: true,
                  cell: (w) =>
                    on(w).reduce(
                      (s, c) =>
                        s +
                        (plan?.runs.filter((r) => r.circuit === c.id && (r.from === board.id || r.to === board.id))
                          .length ?? 0),
                      0,
                    ) || "",
                },
              ]}
            />
          </div>
        );
      })}
      {without.length ? (
        <p className="mt-2 font-medium text-stop">✕ Without a way: {without.map((c) => c.label).join(", ")}</p>
      ) : null}
    </SheetFrame>
  );
}
