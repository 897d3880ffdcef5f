"use client";
import { Download } from "lucide-react";
import { useMemo, useState } from "react";
import { count, mm } from "../../../core/base/figures";
import { legWords } from "../../../core/drawings/tape";
import type { Clips } from "../../../core/laid/laid";
import { type ClipMarks, clipMarks, clippedLength } from "../../../core/plan/clip-marks";
import { Ribbon } from "../../drawing/ribbon";
import { useDesk } from "../../job/store";
import { Table } from "../table";
import { SheetFrame, link, useNames } from "./frame";

/** Clips of every leg with their marks, each from what one can hook a tape on where it lies. */
export function FixingsSheet() {
  const { job, house, plan, runName } = useNames();
  const selection = useDesk((s) => s.selection);
  const [metal, setMetal] = useState(false);
  const rows = useMemo(() => {
    const runs = new Map((plan?.runs ?? []).map((r) => [r.id, r]));
    return (plan?.clips ?? []).flatMap((c) =>
      clipMarks(house, runs.get(c.run)!, c).map((m, part) => ({ c, run: runs.get(c.run)!, m, part })),
    );
  }, [house, plan]);
  const where = (m: ClipMarks): string => {
    if (!m.on) return "";
    if ("wall" in m.on) {
      const f = house.faces[house.faceOfWall.get(m.on.wall) ?? -1];
      return f ? `${f.room.name}, wall ${f.wall.index + 1}` : "";
    }
    const { deck, joist, span } = m.on;
    return `${job.decks.find((d) => d.id === deck)?.name ?? ""}, joist ${joist}${span > 1 ? `, span ${span}` : ""}`;
  };
  const picked =
    selection?.kind === "run"
      ? (rows.find(({ c }) => c.run === selection.id && (selection.leg === undefined || c.leg === selection.leg)) ??
        null)
      : null;
  const shown = metal ? rows.filter(({ c }) => c.metal) : rows;
  const all = rows.reduce((n, { m }) => n + m.marks.length, 0);
  const metals = rows.reduce((n, { c, m }) => n + (c.metal ? m.marks.length : 0), 0);
  return (
    <SheetFrame
      title="Clips"
      about={
        "Evenly spaced within the limit, first and last close to the end; a short leg takes one. Where the cable stays in " +
        "reach the table binds; out of reach the spacing is the school picked for the job. Metal where it could fall " +
        "across a way out."
      }
      tools={
        <a className={`${link} no-print`} href={`/api/jobs/${job.id}/clips.csv`} download>
          <Download size={14} aria-hidden /> Marks, CSV
        </a>
      }
    >
      {picked ? (
        <section aria-label="Marks of the picked leg" className="mb-3" data-clip-marks>
          <h3 className="text-lg">
            {runName(picked.c.run)}, leg {picked.c.leg + 1} · {where(picked.m)}
          </h3>
          <p className="text-[14px]">
            {count(picked.m.marks.length, "clip")}
            {picked.c.metal ? ", metal" : ""}, marked from the {picked.m.from}.
          </p>
          <Ribbon
            length={picked.m.marks[picked.m.marks.length - 1]! + 200}
            from={Math.max(0, picked.m.marks[0]! - 200)}
            to={picked.m.marks[picked.m.marks.length - 1]! + 200}
            marks={picked.m.marks.map((at) => ({ at, text: "clip" }))}
          />
        </section>
      ) : null}
      <div className="no-print mb-1 flex flex-wrap items-center gap-3 text-[14px]">
        <span>
          {count(all, "clip")}, {metals} of them metal
        </span>
        <label className="flex min-h-8 items-center gap-1.5">
          <input type="checkbox" checked={metal} onChange={(e) => setMetal(e.target.checked)} /> metal only
        </label>
      </div>
      <Table
        label="Clips by leg"
        rows={shown}
        keyOf={({ c, part }) => `${c.run} ${c.leg} ${part}`}
        onPick={({ c }) => useDesk.setState({ selection: { kind: "run", id: c.run, leg: c.leg } })}
        empty={metal ? "No clip has to be metal." : "No clips yet: lay some runs first."}
        columns={[
          { name: "Run", cell: ({ c }) => `${runName(c.run)}, leg ${c.leg + 1}` },
          { name: "Where", cell: ({ m }) => where(m) },
          { name: "Taken as", cell: ({ c, run }) => legWords[run.legs[c.leg]!.method] },
          { name: "Length, mm", num: true, cell: ({ c, run }) => mm(Math.round(clippedLength(run, c))) },
          { name: "Clips", num: true, cell: ({ c, m }) => `${m.marks.length}${c.metal ? " metal" : ""}` },
          { name: "Apart, mm", num: true, cell: ({ c }) => apart(c) },
          { name: "Most, mm", num: true, cell: ({ c }) => `${mm(c.max)}${c.reachable ? "" : " *"}` },
          { name: "From the", cell: ({ m }) => m.from },
          { name: "Marks, mm", cell: ({ m }) => <Marks m={m} /> },
        ]}
      />
      <p className="mt-2 text-[13px] text-soft">* out of reach: by judgement, the table does not bind.</p>
    </SheetFrame>
  );
}

const apart = (c: Clips): string => (c.marks.length > 1 ? mm(Math.round(c.pitch)) : "–");

/** Marks as they are read out: the first few, and where the row goes on to. */
function Marks({ m }: { m: ClipMarks }) {
  const first = m.marks.slice(0, 4).map((x) => mm(Math.round(x)));
  const last = m.marks[m.marks.length - 1]!;
  return (
    <span className="num">
      {first.join(" · ")}
      {m.marks.length > 5 ? " … " : m.marks.length > 4 ? " · " : ""}
      {m.marks.length > 4 ? mm(Math.round(last)) : ""}
    </span>
  );
}
