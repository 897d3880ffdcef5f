"use client";
import { heldAs } from "../../core/trades/fixings/clips";
import { pointLabels } from "../../core/job/labels";
import { PinOff } from "lucide-react";
import { useMemo } from "react";
import { carriedWords } from "../../core/words/wiring";
import { bendRadius } from "../../core/trades/fixings/bends";
import { legWords } from "../../core/drawings/tape";
import type { Run } from "../../core/laid/laid";
import { pinId } from "../../core/job/run-key";
import { legPosition, moveLeg } from "../../core/laid/move-leg";
import { pathLength } from "../../core/base/wall-frame";
import { cableOf } from "../../core/rules/catalogue";
import { mm, toCut } from "../../core/base/figures";
import { change, edit, useDesk, useSnapshot } from "../job/store";
import { pinRuns, say } from "../job/edits";
import { Button } from "../kit/button";
import { NumberField } from "../kit/field";
import { RunCable } from "./run-cable";
import { WhyThisWay } from "./why-this-way";

const measureNames = { u: "from left", v: "from floor", x: "east", y: "north" } as const;

/** Lengths of a run and its legs; a leg's position can be typed, which pins the run. */
export function RunDetails({ run }: { run: Run }) {
  const { house, job, plan } = useSnapshot();
  const selection = useDesk((s) => s.selection);
  const leg = selection?.kind === "run" ? selection.leg : undefined;
  const cable = cableOf(run.cable, useDesk.getState().catalogue);
  const clips = useMemo(
    () => (plan?.clips ?? []).filter((c) => c.run === run.id).reduce((s, c) => s + c.marks.length, 0),
    [plan, run.id],
  );
  const holes = useMemo(() => (plan?.holes ?? []).filter((o) => o.runs.includes(run.id)).length, [plan, run.id]);
  const bundle = useMemo(
    () => [...new Set((plan?.holes ?? []).filter((o) => o.runs.includes(run.id)).flatMap((o) => o.runs))],
    [plan, run.id],
  );
  const ends = (plan?.ends ?? []).filter((e) => e.run === run.id);
  const label = pointLabels(job);
  const pin = useDesk((s) => s.job.pins.find((p) => p.id === pinId(run, run.number)));
  const rows: [string, string][] = [
    ["Path", `${mm(run.pathLength)}`],
    ["Tails and spare", `${mm(ends.reduce((s, e) => s + (e.measures.fromMiddle ?? 0), 0) + 2 * job.settings.slack)}`],
    ["Cut length", toCut(run.cutLength)],
    ["Holes", String(holes)],
    ["Clips", String(clips)],
    ["Bends, least inner radius", cable ? mm(bendRadius(heldAs(cable), cable.width, cable.thickness).radius) : ""],
    ["Most circuits together", String(run.grouped)],
  ];
  return (
    <section aria-label={`Run ${label(run.from)} to ${label(run.to)}`}>
      <div className="flex items-center justify-between">
        <h2 className="text-lg">
          {label(run.from)} to {label(run.to)}
        </h2>
        {pin ? (
          <Button onClick={() => edit([change("pins", pin.id, null)])} icon={<PinOff size={14} />}>
            Lay again
          </Button>
        ) : null}
      </div>
      <p className="text-[13px] text-soft">
        {job.circuits.find((c) => c.id === run.circuit)?.label} · {cable?.name}
        {run.built
          ? " · as built: it lies where it was measured"
          : run.held
            ? " · done on site: it stays as it is"
            : run.pin !== null
              ? " · pinned by hand"
              : ""}
      </p>
      <dl className="mt-1">
        {rows.map(([k, v]) => (
          <div key={k} className="flex justify-between border-b border-dotted border-line py-1">
            <dt className="text-[13.5px] text-soft">{k}</dt>
            <dd className="num font-medium">{v}</dd>
          </div>
        ))}
      </dl>
      {run.held ? null : <RunCable run={run} />}
      {run.carries.length ? (
        <p className="text-[13px]">
          <span className="text-soft">Carries: </span>
          {run.carries.map((x) => carriedWords[x]).join(", ")}
        </p>
      ) : null}
      <div className="mt-2 flex flex-wrap gap-1">
        <WhyThisWay run={run.id} />
        {run.pin !== null || run.held ? null : <Button onClick={() => say(pinRuns([run.id]))}>Pin this run</Button>}
        {bundle.length > 1 ? (
          <Button onClick={() => say(pinRuns(bundle))}>Pin the bundle of {bundle.length}</Button>
        ) : null}
      </div>
      <h3 className="mt-2 text-[14px]">Legs, mm</h3>
      <ol className="text-[13px]">
        {run.legs.map((l, i) => {
          const at = legPosition(house, l);
          const face = house.faces[house.faceOfWall.get(l.surface.id) ?? -1];
          const most = at?.measure === "u" ? face?.shape.length : at?.measure === "v" ? face?.shape.height : undefined;
          return (
            <li key={i} className={`border-b border-dotted border-line py-0.5 ${leg === i ? "bg-rail" : ""}`}>
              <button
                type="button"
                aria-pressed={leg === i}
                className="flex min-h-6 w-full cursor-pointer justify-between text-left"
                onClick={() => useDesk.setState({ selection: { kind: "run", id: run.id, leg: i } })}
              >
                <span>
                  {i + 1}. {legWords[l.method]}
                  {face ? `, wall ${face.wall.index + 1} ${face.room.name}` : ""}
                </span>
                <span className="num shrink-0 whitespace-nowrap">{mm(pathLength(l.path))}</span>
              </button>
              {leg === i && at && !run.held ? (
                <NumberField
                  label={`Leg ${i + 1} ${measureNames[at.measure]}`}
                  name="leg"
                  value={at.value}
                  min={most === undefined ? undefined : 0}
                  max={most}
                  onCommit={(x) => {
                    const moved = moveLeg(house, run, i, x);
                    return moved ? edit([change("pins", moved.id, moved)]) : "This leg cannot be moved.";
                  }}
                />
              ) : null}
            </li>
          );
        })}
      </ol>
    </section>
  );
}
