"use client";
import { clsx } from "clsx";
import { Printer } from "lucide-react";
import { useMemo, useState } from "react";
import { drawBox } from "../../../core/drawings/box-drawing";
import type { Point } from "../../../core/job/model";
import { wiredTo } from "../../../core/job/wired";
import type { EndFigures } from "../../../core/plan/end-figures";
import { endSteps } from "../../../core/plan/end-steps";
import { glandFaces } from "../../../core/plan/gland-faces";
import { accessories } from "../../../core/rules/accessories";
import { isDrawn } from "../../../core/trades/lighting/terminals";
import { TrueScalePrint } from "../../drawing/scene-view";
import { useDesk } from "../../job/store";
import { Button } from "../../kit/button";
import { usePrint } from "../../kit/use-print";
import { cableName, roomName } from "../../../core/words/at-end";
import { EndCard } from "../ends/end-card";
import { GlandFaceView } from "../ends/gland-face";
import { StepLinks } from "../ends/step-links";
import { useEnd } from "../ends/use-ends";
import { WiringPicture } from "../wiring-picture";
import { SheetFrame, link, useNames } from "./frame";

/** Every point with cables, and of the picked one its box with every measure, its wiring and its guided steps. */
export function EndsSheet() {
  const { job, house, plan } = useNames();
  const selection = useDesk((s) => s.selection);
  const [printed, print] = usePrint();
  const [all, setAll] = useState(false);
  const points = useMemo(() => {
    const ids = new Set((plan?.ends ?? []).map((e) => e.point));
    return job.points
      .filter((p) => ids.has(p.id))
      .sort((a, b) => a.label.localeCompare(b.label, undefined, { numeric: true }));
  }, [job, plan]);
  const drawn = useMemo(
    () =>
      job.points
        .filter((p) => isDrawn(p) && job.circuits.some((c) => c.state !== "keep" && wiredTo(c).includes(p.id)))
        .sort((a, b) => a.label.localeCompare(b.label, undefined, { numeric: true })),
    [job],
  );
  const run = selection?.kind === "run" ? plan?.runs.find((r) => r.id === selection.id) : undefined;
  const wanted = selection?.kind === "point" ? selection.id : run?.to;
  const picked = points.find((p) => p.id === wanted) ?? points[0];
  const f = useEnd(picked?.id ?? null);
  return (
    <SheetFrame
      title="Ends"
      about={
        "The box of each point from the front: how each cable comes in and what to leave, measured from the edge where " +
        "it enters. Too short cannot be saved; slightly long can. Isolate and prove dead before anything is joined to " +
        "what exists."
      }
      tools={
        <div className="no-print flex flex-wrap gap-1">
          {f && picked?.kind !== "board" ? (
            <Button icon={<Printer size={14} />} onClick={print}>
              Print the box, true scale
            </Button>
          ) : null}
          {drawn.length ? (
            <Button aria-pressed={all} onClick={() => setAll(!all)}>
              {all ? "Wiring of this point only" : `All ${drawn.length} wirings, for paper`}
            </Button>
          ) : null}
          <a className={link} href={`/api/jobs/${job.id}/ends.csv`} download>
            Ends, CSV
          </a>
        </div>
      }
    >
      {picked && f ? (
        <div className="grid items-start gap-4 md:grid-cols-[190px_1fr]">
          <PointList points={points} picked={picked.id} />
          <div className="min-w-0">
            <h3 className="text-lg">
              {picked.label} · {accessories[picked.kind].name}
              <span className="text-soft">
                {" "}
                {roomName(house, picked.id)}
                {f.outdoors ? ", out of doors" : ""}
              </span>
            </h3>
            <div className={printed ? "no-print" : ""}>
              {picked.kind === "board" ? (
                <p className="text-soft">
                  Its cables come in by order and seat: see{" "}
                  <button
                    type="button"
                    className="cursor-pointer underline underline-offset-2"
                    onClick={() => useDesk.setState({ stage: "board" })}
                  >
                    Board
                  </button>
                  .
                </p>
              ) : (
                <EndCard f={f} job={job} />
              )}
              <StepsOf f={f} />
              <Wiring picked={picked} drawn={drawn} all={all} />
              <Gland id={picked.id} />
            </div>
            {printed ? <TrueScalePrint scene={drawBox(f, (c) => cableName(job, c))} /> : null}
          </div>
        </div>
      ) : (
        <p className="text-soft">No ends yet: lay some runs first.</p>
      )}
    </SheetFrame>
  );
}

function PointList({ points, picked }: { points: readonly Point[]; picked: string }) {
  const { plan, house } = useNames();
  const short = useMemo(
    () =>
      new Set(
        (plan?.facts ?? [])
          .filter((x) => x.rule === "end.box-depth" || x.rule.startsWith("gland."))
          .map((x) => x.subject.id),
      ),
    [plan],
  );
  return (
    <ul className="no-print grid max-h-[70vh] gap-px overflow-auto max-md:max-h-48" aria-label="Points with cables">
      {points.map((p) => (
        <li key={p.id}>
          <button
            type="button"
            aria-current={p.id === picked}
            onClick={() => useDesk.setState({ selection: { kind: "point", id: p.id } })}
            className={clsx(
              "flex w-full cursor-pointer items-baseline gap-2 border-l-4 px-2 py-2 text-left",
              p.id === picked ? "border-accent bg-page" : "border-transparent hover:bg-rail",
            )}
          >
            <span className="font-cond font-semibold">{p.label}</span>
            <span className="min-w-0 truncate text-[13px] text-soft">{roomName(house, p.id)}</span>
            {short.has(p.id) ? <span className="ml-auto text-warn">!</span> : null}
          </button>
        </li>
      ))}
    </ul>
  );
}

/** To the guided steps of each cable here, with its own figures. */
function StepsOf({ f }: { f: EndFigures }) {
  const { job, house, plan } = useNames();
  if (!plan) return null;
  return (
    <section aria-label="Steps" className="no-print my-2 grid gap-1">
      {f.cables.map((c) => (
        <div key={c.run.id} className="flex flex-wrap items-center gap-1">
          <span className="min-w-24 font-cond font-semibold">{cableName(job, c)}</span>
          <StepLinks job={job.id} run={c.run.id} at={c.end.point} steps={endSteps(house, plan, f, c)} />
        </div>
      ))}
    </section>
  );
}

/** Faces of the enclosure that armour comes in at. */
function Gland({ id }: { id: string }) {
  const { house, plan } = useNames();
  const faces = useMemo(() => (plan ? glandFaces(house, plan, id) : []), [house, plan, id]);
  return faces.map((f) => <GlandFaceView key={f.edge} face={f} />);
}

/** The wiring of the picked point, or of every light, switch and fused unit, for paper. */
function Wiring({ picked, drawn, all }: { picked: Point; drawn: readonly Point[]; all: boolean }) {
  const shown = all ? drawn : drawn.filter((p) => p.id === picked.id);
  if (!shown.length) return null;
  return (
    <section aria-label="Wiring" className="mt-3" data-wiring-sheet>
      <h4 className="font-cond text-[16px] font-semibold">Wiring</h4>
      <div className={`mt-1 grid gap-4 ${all ? "min-[1500px]:grid-cols-2" : ""}`}>
        {shown.map((p) => (
          <div key={p.id} className="break-inside-avoid">
            {all ? (
              <h5 className="font-cond font-semibold">
                {p.label} · {accessories[p.kind].name}
              </h5>
            ) : null}
            <WiringPicture point={p.id} />
          </div>
        ))}
      </div>
    </section>
  );
}
