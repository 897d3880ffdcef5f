"use client";
import { Printer } from "lucide-react";
import { useMemo, useState } from "react";
import { count, figure } from "../../../core/base/figures";
import { cableFlag } from "../../../core/drawings/board-drawing";
import type { Circuit } from "../../../core/job/model";
import { wiredTo } from "../../../core/job/wired";
import type { BoardFigures } from "../../../core/plan/board-figures";
import { boardNotes } from "../../../core/plan/board-notes";
import { lastReading } from "../../../core/record/readings";
import { TORQUE_AT_MAIN, TORQUE_AT_WAY } from "../../../core/trades/ends/steps/joints";
import { cableOf } from "../../../core/rules/catalogue";
import { useDesk } from "../../job/store";
import { Button } from "../../kit/button";
import { usePrint } from "../../kit/use-print";
import { Table } from "../table";
import { roomName } from "../../../core/words/at-end";
import { StepLinks } from "../ends/step-links";
import { useNames } from "../sheets/frame";

/** Flags for every cable, the chart that hangs in the board, what its screws were tightened to, and what the rules ask of it. */
export function BoardChart({ f }: { f: BoardFigures }) {
  const { job, house, point } = useNames();
  const siteBook = useDesk((s) => s.siteBook);
  const [printed, print] = usePrint();
  const [what, setWhat] = useState<"flags" | "chart">("chart");
  const notes = useMemo(() => boardNotes(house, f), [house, f]);
  const rooms = (c: Circuit): string =>
    [...new Set(wiredTo(c).map((p) => roomName(house, p)))].filter(Boolean).join(", ");
  const inOrder = [...f.circuits].sort((a, b) => (a.way ?? 99) - (b.way ?? 99) || a.label.localeCompare(b.label));
  const read = (what: string, at: readonly string[]): string => {
    const last = lastReading(siteBook, new Set(at), what);
    return last ? `${figure(last.value)} ${last.unit}, ${last.by}` : "not read";
  };
  const torque = (c: Circuit): string =>
    read(
      TORQUE_AT_WAY,
      f.cables.filter((x) => x.circuit.id === c.id).map((x) => x.run.id),
    );
  const out = (w: "flags" | "chart") => () => {
    setWhat(w);
    print();
  };
  const hide = (w: "flags" | "chart"): string => (printed && what !== w ? "no-print" : "");
  return (
    <>
      <div className="no-print mb-2 flex flex-wrap gap-1">
        <Button icon={<Printer size={14} />} onClick={out("flags")}>
          Print the flags
        </Button>
        <Button icon={<Printer size={14} />} onClick={out("chart")}>
          Print the chart
        </Button>
      </div>
      <section aria-label="Flags" className={hide("flags")}>
        <h3 className="text-lg">Flags</h3>
        <p className="mb-1 text-[13.5px] text-soft">One for each cable at the board, and its fellow at the far end.</p>
        <ul className="grid gap-1 sm:grid-cols-2 lg:grid-cols-3">
          {f.cables.flatMap((c) => [
            <Flag
              key={c.run.id}
              head={cableFlag(c)}
              foot={`${f.board.label} → ${point(c.other)} ${roomName(house, c.other)}`}
            />,
            <Flag
              key={`${c.run.id} far`}
              head={cableFlag(c)}
              foot={`${point(c.other)} → ${f.board.label} way ${c.way ?? "?"}`}
            />,
          ])}
        </ul>
      </section>
      <section aria-label="Circuit chart" className={`mt-4 ${hide("chart")}`}>
        <h3 className="text-lg">
          Circuit chart of {f.board.label} · {job.name}
        </h3>
        <p className="text-[13.5px] text-soft">{job.address}</p>
        <Table
          label="Circuit chart"
          rows={inOrder}
          keyOf={(c) => c.id}
          empty="No circuit is on this board yet."
          columns={[
            { name: "Way", num: true, cell: (c) => c.way ?? "–" },
            { name: "Circuit", cell: (c) => `${c.label} · ${c.name}` },
            { name: "Device", cell: (c) => `${c.device.curve}${c.device.rating} A` },
            { name: "RCD", cell: (c) => (c.rcd ? `${c.rcd} mA` : "none") },
            { name: "Cable", cell: (c) => cableOf(c.cable, house.catalogue)?.name ?? c.cable },
            { name: "Points", num: true, cell: (c) => wiredTo(c).length },
            { name: "Rooms", cell: rooms },
            { name: "Torque at the way", cell: torque },
          ]}
        />
        <p className="mt-1 text-[13.5px]" data-main-torque>
          Main switch: {read(TORQUE_AT_MAIN, [f.board.id])}. It and {count(f.circuits.length, "way")} by their
          makers&apos; figures; a torque driver, once each. A reading is written down on the card of its steps.
        </p>
        <p className="no-print mt-1 flex flex-wrap gap-1.5">
          <StepLinks job={job.id} run={f.board.id} at={f.board.id} steps={[{ kind: "main-switch", measures: {} }]} />
        </p>
      </section>
      <section aria-label="What the rules ask" className={`mt-4 ${printed ? "no-print" : ""}`}>
        <h3 className="text-lg">What the rules ask of this board</h3>
        <ul className="text-[14px]">
          {notes.map((n) => (
            <li key={n.text} className="grid grid-cols-[3.5rem_1fr_auto] gap-2 border-b border-dotted border-line py-1">
              <span className={n.due ? "font-medium" : "text-soft"}>{n.due ? "due" : "note"}</span>
              <span>{n.text}</span>
              <span className="text-right text-[13px] text-soft">{n.source}</span>
            </li>
          ))}
        </ul>
      </section>
    </>
  );
}

function Flag({ head, foot }: { head: string; foot: string }) {
  return (
    <li className="break-inside-avoid border border-ink px-2 py-1">
      <span className="block font-cond text-[17px] leading-tight font-semibold">{head}</span>
      <span className="block text-[13px]">{foot}</span>
    </li>
  );
}
