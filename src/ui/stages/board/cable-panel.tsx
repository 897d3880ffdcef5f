"use client";
import { useMemo } from "react";
import { cableFlag } from "../../../core/drawings/board-drawing";
import { boardFigures } from "../../../core/plan/board-figures";
import { endFigures } from "../../../core/plan/end-figures";
import { endSteps } from "../../../core/plan/end-steps";
import { useDesk } from "../../job/store";
import { roomName } from "../../../core/words/at-end";
import { StepLinks } from "../ends/step-links";
import { useNames } from "../sheets/frame";
import { BoardPlace } from "./board-place";
import { pickedCable } from "./entry";

/** Beside a board: the cable picked there, with everything that is done with it. */
export function BoardCablePanel() {
  const { job, house, plan, point } = useNames();
  const selection = useDesk((s) => s.selection);
  const run = selection?.kind === "run" ? selection.id : null;
  const boards = job.points.filter((p) => p.kind === "board");
  const laid = plan?.runs.find((r) => r.id === run);
  const board =
    boards.find((p) => p.id === (selection?.kind === "point" ? selection.id : "")) ??
    boards.find((p) => laid && (laid.from === p.id || laid.to === p.id)) ??
    boards[0];
  const f = useMemo(() => (plan && board ? boardFigures(house, plan, board.id) : null), [house, plan, board]);
  const c = f && pickedCable(f, run);
  if (!f || !c) return null;
  const end = endFigures(house, plan!, f.board.id);
  const at = end?.cables.find((x) => x.run.id === c.run.id);
  const steps = end && at ? endSteps(house, plan!, end, at) : [];
  const far = [point(c.other), roomName(house, c.other)].filter(Boolean).join(" ");
  return (
    <section aria-label="The picked cable">
      <h2 className="text-lg">
        {cableFlag(c)} · to {far}
      </h2>
      <BoardPlace f={f} c={c} far={far} />
      <div className="mt-2 flex flex-wrap gap-1">
        <StepLinks job={job.id} run={c.run.id} at={f.board.id} steps={steps} />
      </div>
      {run === null ? <p className="mt-1 text-[13px] text-soft">Press a cable under the drawing for its own.</p> : null}
    </section>
  );
}
