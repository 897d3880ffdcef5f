"use client";
import { boardOfCircuit } from "../../core/trades/circuits/circuit-facts";
import { Download, Smartphone } from "lucide-react";
import Link from "next/link";
import { useState } from "react";
import { pathLength } from "../../core/base/wall-frame";
import { cutDrums } from "../../core/plan/drums";
import { totals } from "../../core/plan/take-off";
import { legWords } from "../../core/drawings/tape";
import type { Plan } from "../../core/laid/laid";
import { makingForPoint } from "../../core/trades/ends/steps/makings";
import { accessories, boxOf } from "../../core/rules/accessories";
import { cableOf } from "../../core/rules/catalogue";
import { mm } from "../../core/base/figures";
import { stepNames, steps } from "../../core/job/site-entry";
import { stateOf } from "../../core/record/entries";
import { KeptList } from "../bench/keep-answer";
import { useDesk, useSnapshot } from "../job/store";
import { Table } from "./table";

function useNames() {
  const { house, job, plan } = useSnapshot();
  const point = (id: string): string => job.points.find((p) => p.id === id)?.label ?? id;
  const circuit = (id: string | null): string =>
    id === null ? "" : (job.circuits.find((c) => c.id === id)?.label ?? id);
  const runName = (id: string): string => {
    const r = plan?.runs.find((x) => x.id === id);
    return r ? `${point(r.from)} to ${point(r.to)}` : id;
  };
  return { job, house, plan, point, circuit, runName };
}

const pickRun = (id: string): void => useDesk.setState({ selection: { kind: "run", id } });

function SheetFrame({
  title,
  about,
  tools,
  children,
}: {
  title: string;
  about: string;
  tools?: React.ReactNode;
  children: React.ReactNode;
}) {
  return (
    <section className="sheet min-h-0 flex-1 overflow-auto border border-line bg-panel p-3" aria-label={title}>
      <div className="mb-2 flex flex-wrap items-start justify-between gap-2">
        <div>
          <h2 className="text-xl">{title}</h2>
          <p className="max-w-[70ch] text-[13.5px] text-soft">{about}</p>
        </div>
        {tools}
      </div>
      {children}
    </section>
  );
}

const link =
  "inline-flex min-h-8 items-center gap-1.5 border border-line bg-panel px-2.5 font-cond font-semibold hover:border-ink";

export function ContainmentSheet() {
  const { plan, house, circuit } = useNames();
  const lines = new Map<
    string,
    { key: string; where: string; method: string; circuits: Set<string>; length: number; runs: number }
  >();
  for (const r of plan?.runs ?? [])
    for (const l of r.legs) {
      if (l.surface.kind !== "wall") continue;
      const face = house.faces[house.faceOfWall.get(l.surface.id) ?? -1];
      if (!face) continue;
      const key = `${face.wall.id} ${l.method}`;
      const line = lines.get(key) ?? {
        key,
        where: `${face.room.name}, wall ${face.wall.index + 1}`,
        method: legWords[l.method],
        circuits: new Set<string>(),
        length: 0,
        runs: 0,
      };
      line.circuits.add(circuit(r.circuit));
      line.length += pathLength(l.path);
      line.runs++;
      lines.set(key, line);
    }
  return (
    <SheetFrame
      title="Containment on walls"
      about="What each wall needs to take its cables: chase with capping in masonry, the void in stud walls. Lengths count every cable; where two lie side by side one chase takes both."
    >
      <Table
        label="Containment by wall"
        rows={[...lines.values()].sort((a, b) => (a.where < b.where ? -1 : 1))}
        keyOf={(r) => r.key}
        empty="Nothing runs on walls yet."
        columns={[
          { name: "Wall", cell: (r) => r.where },
          { name: "Taken as", cell: (r) => r.method },
          { name: "Circuits", cell: (r) => [...r.circuits].sort().join(", ") },
          { name: "Legs", num: true, cell: (r) => r.runs },
          { name: "Length, m", num: true, cell: (r) => (r.length / 1000).toFixed(2) },
        ]}
      />
    </SheetFrame>
  );
}

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

export function EndsSheet() {
  const { job, plan, point, runName } = useNames();
  return (
    <SheetFrame
      title="Ends"
      about="How each cable comes in and what to leave, measured from the edge where it enters. Too short cannot be saved; slightly long can. Isolate and prove dead before anything is joined to what exists."
    >
      <Table
        label="Ends by point"
        rows={[...(plan?.ends ?? [])].sort(
          (a, b) =>
            point(a.point).localeCompare(point(b.point), undefined, { numeric: true }) || (a.run < b.run ? -1 : 1),
        )}
        keyOf={(e) => `${e.point} ${e.run}`}
        onPick={(e) => useDesk.setState({ selection: { kind: "point", id: e.point } })}
        empty="No ends yet: lay some runs first."
        columns={[
          { name: "Point", cell: (e) => point(e.point) },
          { name: "Kind", cell: (e) => accessories[job.points.find((p) => p.id === e.point)!.kind].name },
          { name: "Run", cell: (e) => runName(e.run) },
          { name: "Comes in", cell: (e) => (e.entry === "behind" ? "from behind" : `at the ${e.entry}`) },
          { name: "Leave, mm", num: true, cell: (e) => mm(e.measures.tail ?? 0) },
          {
            name: "Steps",
            cell: (e) => {
              const p = job.points.find((x) => x.id === e.point)!;
              const kind = makingForPoint(p.kind, plan?.runs.find((r) => r.id === e.run)?.cable ?? "");
              return kind ? (
                <Link
                  className="underline underline-offset-2"
                  href={`/steps?kind=${kind}&job=${job.id}&box=${boxOf(p).width}&past=${e.measures.past ?? ""}`}
                >
                  make off
                </Link>
              ) : (
                ""
              );
            },
          },
        ]}
      />
    </SheetFrame>
  );
}

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
      <div role="radiogroup" aria-label="Sum" className="no-print mb-1 flex">
        {(["all", "circuit"] as const).map((b) => (
          <button
            key={b}
            type="button"
            role="radio"
            aria-checked={by === b}
            onClick={() => setBy(b)}
            className={`min-h-8 cursor-pointer border border-line px-2.5 font-cond font-semibold ${by === b ? "bg-ink text-panel" : "bg-panel"}`}
          >
            {b === "all" ? "In all" : "By circuit"}
          </button>
        ))}
      </div>
      <Table
        label="Take-off"
        rows={rows}
        keyOf={(r) => `${r.circuit} ${r.item} ${r.size}`}
        empty="Nothing to take off yet."
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
              {d.pieces.length
                ? d.pieces.map((p) => `${runName(p.run)} ${mm(Math.ceil(p.length))}`).join(" · ")
                : "not opened"}
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

export function SiteBookSheet() {
  const { job, plan, circuit, runName } = useNames();
  const siteBook = useDesk((s) => s.siteBook);
  const kept = useDesk((s) => s.kept);
  const latest = [...siteBook].reverse().slice(0, 60);
  return (
    <SheetFrame
      title="Site book"
      about="What has been done, by whom and when. Lines are only added; a slip is taken back by a further line."
      tools={
        <Link className={link} href={`/jobs/${job.id}/site`}>
          <Smartphone size={14} aria-hidden /> Open on site
        </Link>
      }
    >
      <Table
        label="Steps by run"
        rows={plan?.runs ?? []}
        keyOf={(r) => r.id}
        onPick={(r) => pickRun(r.id)}
        empty="No runs yet."
        columns={[
          { name: "Run", cell: (r) => runName(r.id) },
          { name: "Circuit", cell: (r) => circuit(r.circuit) },
          { name: "Cut, mm", num: true, cell: (r) => mm(Math.ceil(r.cutLength)) },
          ...steps.map((s) => ({
            name: stepNames[s],
            cell: (r: Plan["runs"][number]) => {
              const state = stateOf(siteBook, r.id)[s];
              return state.done ? (
                <span className="text-good" title={`${state.by}, ${state.at}`}>
                  ✓ <span className="text-[12px] text-soft">{state.by}</span>
                </span>
              ) : (
                <span className="text-soft">–</span>
              );
            },
          })),
        ]}
      />
      <h3 className="mt-4 text-lg">Latest lines</h3>
      {latest.length ? (
        <ul className="text-[13.5px]">
          {latest.map((e) => (
            <li key={e.id} className="border-b border-dotted border-line py-0.5">
              <span className="num">
                {new Date(e.at).toLocaleString("en-GB", { dateStyle: "short", timeStyle: "short" })}
              </span>{" "}
              {e.by}: {runName(e.run)}
              {e.step ? `, ${stepNames[e.step].toLowerCase()}` : ""}
              {e.kind === "undone" ? ", taken back" : e.kind === "cannot" ? ", cannot" : ""}
              {e.text ? ` · ${e.text}` : ""}
            </li>
          ))}
        </ul>
      ) : (
        <p className="text-soft">Nothing yet.</p>
      )}
      <h3 className="mt-4 mb-1 text-lg">Answers kept from the Bench</h3>
      <KeptList kept={kept} />
    </SheetFrame>
  );
}
