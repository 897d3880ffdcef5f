"use client";
import { useMemo, useState } from "react";
import { boardFigures } from "../../../core/plan/board-figures";
import { glandFaces } from "../../../core/plan/gland-faces";
import { useDesk } from "../../job/store";
import { Choice } from "../../kit/choice";
import { BoardChart } from "../board/chart";
import { BoardDropView } from "../board/drop";
import { BoardEntry } from "../board/entry";
import { BoardWays } from "../board/ways";
import { GlandFaceView } from "../ends/gland-face";
import { SheetFrame, link, useNames } from "./frame";

const tabs = [
  ["entry", "Entry"],
  ["ways", "Ways"],
  ["chart", "Flags and chart"],
  ["drop", "Drop"],
  ["gland", "Gland face"],
] as const;
type Tab = (typeof tabs)[number][0];

/** A board: how its cables come in, its ways, its flags and chart, and the faces that armour comes in at. */
export function BoardSheet() {
  const { job, plan, house } = useNames();
  const selection = useDesk((s) => s.selection);
  const [tab, setTab] = useState<Tab>("entry");
  const boards = job.points.filter((p) => p.kind === "board");
  const run = selection?.kind === "run" ? plan?.runs.find((r) => r.id === selection.id) : undefined;
  const board =
    boards.find((p) => selection?.kind === "point" && selection.id === p.id) ??
    boards.find((p) => run && (run.from === p.id || run.to === p.id)) ??
    boards[0];
  const f = useMemo(() => (plan && board ? boardFigures(house, plan, board.id) : null), [house, plan, board]);
  const faces = useMemo(() => (plan && board ? glandFaces(house, plan, board.id) : []), [house, plan, board]);
  return (
    <SheetFrame
      title={board ? `Board ${board.label}` : "Board"}
      about={
        "In which order the cables are tied so that none crosses, where each sits, how long each conductor is cut, and " +
        "which circuit is on which way. Nothing is dead until it is tested: isolate, prove dead, prove the tester before " +
        "and after."
      }
      tools={
        <div className="no-print flex flex-wrap gap-1">
          {boards.length > 1 && board ? (
            <Choice
              label="Board"
              value={board.id}
              options={boards.map((b) => [b.id, b.label] as const)}
              onChange={(id) => useDesk.setState({ selection: { kind: "point", id } })}
            />
          ) : null}
          <a className={link} href={`/api/jobs/${job.id}/board.csv`} download>
            Board, CSV
          </a>
        </div>
      }
    >
      {!board ? (
        <p className="text-soft">There is no board yet. Add one in Points: every run starts there.</p>
      ) : !f ? (
        <p className="text-soft">Working out the board.</p>
      ) : (
        <>
          <Choice className="no-print mb-2" label="Of the board" value={tab} options={tabs} onChange={setTab} />
          {tab === "entry" ? <BoardEntry f={f} /> : null}
          {tab === "ways" ? <BoardWays f={f} /> : null}
          {tab === "chart" ? <BoardChart f={f} /> : null}
          {tab === "drop" ? <BoardDropView f={f} /> : null}
          {tab === "gland" ? (
            faces.length ? (
              faces.map((x) => <GlandFaceView key={x.edge} face={x} />)
            ) : (
              <p className="text-soft">No armour comes to this board: nothing is drilled for glands.</p>
            )
          ) : null}
        </>
      )}
    </SheetFrame>
  );
}
