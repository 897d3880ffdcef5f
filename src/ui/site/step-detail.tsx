"use client";
import { isSignalCable } from "../../core/rules/cables";
import { SIGNAL_TEST } from "../../core/words/special";
import { useState } from "react";
import { pointLabels } from "../../core/job/labels";
import { expectedOnTails } from "../../core/plan/expected-readings";
import type { House } from "../../core/house/house";
import type { Job } from "../../core/job/model";
import type { Plan, Run } from "../../core/laid/laid";
import { boardFigures } from "../../core/plan/board-figures";
import { clipMarks } from "../../core/plan/clip-marks";
import { endFigures } from "../../core/plan/end-figures";
import { legWords, runTape } from "../../core/drawings/tape";
import { cableOf } from "../../core/rules/catalogue";
import { holeTool, holeWords } from "../../core/words/holes";
import { mm, toCut } from "../../core/base/figures";
import { pathLength } from "../../core/base/wall-frame";
import { type SiteEntry, type Step, readingWords, stepNames } from "../../core/job/site-entry";
import { nextStep, stateOf } from "../../core/record/entries";
import { neededSteps } from "../../core/record/needed";
import { Ribbon } from "../drawing/ribbon";
import { Button } from "../kit/button";
import { BoardPlace } from "../stages/board/board-place";
import { EndCard } from "../stages/ends/end-card";
import { GuideLinks } from "./end-guide";
import type { Guide } from "./guide";
import type { Line } from "../../core/record/do-part";
import { DamageCard } from "./damage-card";
import { BuiltCard } from "./day/built-card";
import { CutCard } from "./day/draw-in";
import { Foot } from "./day/foot";
import { TestCard } from "./day/test-card";
import { StepBar } from "./step-bar";

/** One run on site: the number that matters for the step in hand, its marks, and a tap to tick it. */
export function StepDetail({
  job,
  plan,
  house,
  run,
  entries,
  onDone,
  onUndo,
  onCannot,
  tell,
  onBuilt,
  openGuide,
  next,
}: {
  job: Job;
  plan: Plan;
  house: House;
  run: Run;
  entries: SiteEntry[];
  onDone: (s: Step, text?: string) => void;
  onUndo: (s: Step) => void;
  onCannot: (s: Step, why: string) => void;
  /** A line about the run that is no step: damage, its repair. */
  tell: (line: Omit<Line, "run" | "step">) => void;
  onBuilt: (lines: readonly Line[], job: Job, plan: Plan) => void;
  openGuide: (guide: Guide) => void;
  next: { name: string; open: () => void } | null;
}) {
  const label = pointLabels(job);
  const name = `${label(run.from)} to ${label(run.to)}`;
  const needed = neededSteps(plan, run.id);
  const state = stateOf(entries, run.id);
  const step = nextStep(state, needed);
  /** Before closing it is tested on the tails, though making off is for second fix. */
  const [early, setEarly] = useState(false);
  const testing = step === "tested" || (early && !state.tested.done);
  const last = [...needed].reverse().find((s) => state[s].done) ?? null;
  const notes = entries.filter((e) => e.run === run.id && ["cannot", "note", "reading"].includes(e.kind));
  return (
    <>
      <main className="flex-1 pb-4">
        <div className="p-4 pb-2">
          {step ? (
            <StepHead job={job} plan={plan} house={house} run={run} step={step} />
          ) : (
            <p className="font-cond text-3xl font-semibold">All steps done</p>
          )}
        </div>
        {step ? <StepMarks job={job} plan={plan} house={house} run={run} step={step} /> : null}
        {step === "made-off" || step === "tested" ? <EndsOf {...{ job, plan, house, run, openGuide }} /> : null}
        {step === "drawn-in" ? (
          <div className="px-4 pt-2">
            <CutCard job={job} plan={plan} run={run} entries={entries} tell={tell} />
          </div>
        ) : null}
        {testing ? (
          <div className="px-4 pt-2">
            <TestCard
              house={house}
              plan={plan}
              run={run}
              entries={entries}
              tell={tell}
              onTested={(text) => onDone("tested", text)}
              onFailed={(why) => onCannot("tested", why)}
            />
          </div>
        ) : null}
        <div className="px-4 pt-2">
          <StepBar needed={needed} state={state} />
        </div>
        <ol className="mt-3 px-4 text-[15px]">
          {run.legs.map((l, i) => {
            const face = house.faces[house.faceOfWall.get(l.surface.id) ?? -1];
            return (
              <li key={i} className="flex justify-between border-t border-line py-2">
                <span>
                  {i + 1}. {legWords[l.method]}
                  {face ? `, ${face.room.name} wall ${face.wall.index + 1}` : ""}
                </span>
                <span className="num">{mm(pathLength(l.path))}</span>
              </li>
            );
          })}
        </ol>
        {notes.length ? (
          <ul className="px-4 text-[15px]">
            {notes.map((e) => (
              <li key={e.id} className={`border-t border-line py-2 ${e.kind === "reading" ? "" : "text-warn"}`}>
                {e.reading ? `${e.by}: ${readingWords(e.reading)}` : `! ${e.by}: ${e.text}`}
              </li>
            ))}
          </ul>
        ) : null}
        <BuiltCard house={house} plan={plan} run={run} entries={entries} onBuilt={onBuilt} />
        <DamageCard run={run} name={name} entries={entries} tell={tell} />
      </main>
      <Foot
        className=""
        onCannot={step ? (why) => onCannot(step, why) : null}
        second={
          <>
            {step === "made-off" && !state.tested.done && !early ? (
              <Button big onClick={() => setEarly(true)} data-test-early>
                Test on the tails
              </Button>
            ) : null}
            {last ? (
              <button
                type="button"
                className="min-h-12 cursor-pointer text-[15px] text-soft underline underline-offset-4"
                onClick={() => onUndo(last)}
              >
                Take back “{stepNames[last].toLowerCase()}” ({state[last].by})
              </button>
            ) : null}
          </>
        }
      >
        {step && step !== "tested" ? (
          <Button big look="solid" className="min-h-16 text-xl" onClick={() => onDone(step)} data-step={step}>
            {stepNames[step]}
          </Button>
        ) : !step && next ? (
          <Button big look="solid" className="min-h-16 text-xl" onClick={next.open}>
            Next: {next.name}
          </Button>
        ) : null}
      </Foot>
    </>
  );
}

interface Props {
  job: Job;
  plan: Plan;
  house: House;
  run: Run;
  step: Step;
}

/** Holes of a run in the order a person drills them: joists first, then wall by wall. */
function boresOf(plan: Plan, run: Run) {
  const order = (o: Plan["holes"][number]): string => (o.in.kind === "joist" ? "" : (o.in.wall ?? ""));
  return plan.holes
    .filter((o) => o.runs.includes(run.id))
    .sort(
      (a, b) =>
        (order(a) < order(b) ? -1 : order(a) > order(b) ? 1 : 0) ||
        (a.in.joist ?? 0) - (b.in.joist ?? 0) ||
        a.at - b.at,
    );
}

function Big({ over, n, under }: { over: string; n: string; under: string }) {
  return (
    <>
      <p className="text-lg text-soft">{over}</p>
      <p className="font-cond text-7xl leading-none font-semibold tracking-tight" data-big>
        {n}
      </p>
      <p className="mt-1 text-lg text-soft">{under}</p>
    </>
  );
}

/** Each end of the run: its box with every measure, and the way to its guided steps. */
function EndsOf({
  job,
  plan,
  house,
  run,
  openGuide,
}: {
  job: Job;
  plan: Plan;
  house: House;
  run: Run;
  openGuide: (guide: Guide) => void;
}) {
  const ends = [run.from, run.to].flatMap((id) => {
    const f = endFigures(house, plan, id);
    return f?.cables.some((x) => x.run.id === run.id) ? [f] : [];
  });
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3 px-4 pt-2">
      {ends.map((f) => {
        const { point } = f.placed;
        const board = point.kind === "board" ? boardFigures(house, plan, point.id) : null;
        const mine = board?.cables.find((x) => x.run.id === run.id);
        return (
          <details key={point.id} className="border border-line bg-panel p-2" data-site-end={point.id}>
            <summary className="min-h-10 cursor-pointer py-2 font-cond text-lg font-semibold">
              {point.label}: {mine ? "its place in the board" : "the box from the front"}
            </summary>
            {mine && board ? <BoardPlace f={board} c={mine} /> : <EndCard f={f} job={job} tall={260} />}
            <div className="mt-2">
              <GuideLinks house={house} plan={plan} run={run.id} point={point.id} open={openGuide} />
            </div>
          </details>
        );
      })}
    </div>
  );
}

function StepHead({ job, plan, house, run, step }: Props) {
  const cable = cableOf(run.cable, house.catalogue);
  if (step === "bored") {
    const first = boresOf(plan, run)[0]!;
    const w = holeWords(house, first);
    const where = [w.timber, w.of, w.room].filter(Boolean).join(", ");
    return (
      <Big
        over={`${where[0]!.toUpperCase()}${where.slice(1)}, from ${w.from}`}
        n={mm(first.at)}
        under={`${[holeTool(first), w.height].filter(Boolean).join(", ")}. Scan before drilling.`}
      />
    );
  }
  if (step === "drawn-in")
    return <Big over="cut" n={toCut(run.cutLength)} under={`${cable?.name ?? run.cable}, tails and spare included`} />;
  if (step === "clipped") {
    const mine = plan.clips.filter((c) => c.run === run.id);
    return (
      <Big
        over="clips"
        n={String(mine.reduce((s, c) => s + c.marks.length, 0))}
        under={mine
          .map((c) =>
            c.marks.length > 1 ? `leg ${c.leg + 1} every ${mm(Math.round(c.pitch))}` : `leg ${c.leg + 1} one`,
          )
          .join(", ")}
      />
    );
  }
  if (step === "made-off") {
    const ends = plan.ends.filter((e) => e.run === run.id);
    const e = ends[0]!;
    return (
      <Big
        over={`leave at ${job.points.find((p) => p.id === e.point)?.label}, ${e.entry === "behind" ? "from behind" : `in at the ${e.entry}`}`}
        n={mm(e.measures.tail ?? 0)}
        under="from the edge where it comes in. Isolated, proved dead, tester proved."
      />
    );
  }
  if (isSignalCable(cable))
    return <Big over="end to end" n="–" under={`${SIGNAL_TEST}; never the 500 V of the insulation test.`} />;
  const expected = expectedOnTails(house, plan, run);
  return (
    <Big
      over="R1 + R2 of this run, to expect"
      n={expected ? `${expected.lineEarth.toFixed(2)} Ω` : "–"}
      under="Continuity, insulation, polarity. Nothing is dead until tested."
    />
  );
}

function StepMarks({ job, plan, house, run, step }: Props) {
  const rows: { k: string; v: string }[] = [];
  let ribbon: { length: number; marks: { at: number; text: string }[]; from?: number; to?: number } | null = null;
  if (step === "bored") {
    const bores = boresOf(plan, run);
    const first = bores[0]!;
    ribbon = {
      length: first.at + 300,
      from: Math.max(0, first.at - 300),
      to: first.at + 300,
      marks: [{ at: first.at, text: "drill" }],
    };
    for (const o of bores) {
      const w = holeWords(house, o);
      const where = [w.timber, w.of, w.room].filter(Boolean).join(", ");
      rows.push({
        k: `${where[0]!.toUpperCase()}${where.slice(1)}: ${[w.height, holeTool(o), o.plated ? "steel plate" : ""].filter(Boolean).join(", ")}`,
        v: mm(o.at),
      });
    }
  } else if (step === "made-off") {
    for (const e of plan.ends.filter((x) => x.run === run.id))
      rows.push({
        k: `${job.points.find((p) => p.id === e.point)?.label}, ${e.entry === "behind" ? "from behind" : `in at the ${e.entry}`}`,
        v: mm(e.measures.tail ?? 0),
      });
  } else if (step === "clipped") {
    const clips = plan.clips.filter((x) => x.run === run.id);
    for (const { c, m } of clips.flatMap((c) => clipMarks(house, run, c).map((m) => ({ c, m })))) {
      const last = m.marks[m.marks.length - 1]!;
      if (!ribbon)
        ribbon = {
          length: last + 200,
          from: Math.max(0, m.marks[0]! - 200),
          to: last + 200,
          marks: m.marks.map((at) => ({ at, text: "clip" })),
        };
      rows.push({
        k: `Leg ${c.leg + 1}, from the ${m.from}${m.on && "joist" in m.on ? ` of joist ${m.on.joist}` : ""}${c.metal ? ", metal" : ""}`,
        v: m.marks.map((x) => mm(Math.round(x)).replace(/\s/g, "\u202f")).join(" · "),
      });
    }
  } else {
    const tape = runTape(house, plan, run, "start");
    const marks = tape.marks.filter((m) => m.kind === "edge");
    ribbon = { length: tape.length, marks };
    for (const m of marks) rows.push({ k: m.text, v: mm(m.at) });
  }
  return (
    <>
      {ribbon ? <Ribbon {...ribbon} tall /> : null}
      <ul className="px-4 text-[17px]">
        {rows.map((r, i) => (
          <li key={i} className="flex justify-between gap-3 border-b border-dotted border-line py-1.5">
            <span>{r.k}</span>
            <span className="num text-right font-medium">{r.v}</span>
          </li>
        ))}
      </ul>
    </>
  );
}
