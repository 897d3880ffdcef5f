"use client";
import { clsx } from "clsx";
import { Printer } from "lucide-react";
import { useMemo } from "react";
import { count, mm } from "../../../core/base/figures";
import { cableFlag, drawBoardEntry, drawSlot } from "../../../core/drawings/board-drawing";
import { runStyles } from "../../../core/drawings/run-lines";
import type { BoardCable, BoardFigures } from "../../../core/plan/board-figures";
import { Ribbon } from "../../drawing/ribbon";
import { RunSample } from "../../drawing/run-sample";
import { SceneView, TrueScalePrint } from "../../drawing/scene-view";
import { editPoint, say } from "../../job/edits";
import { useDesk } from "../../job/store";
import { Button } from "../../kit/button";
import { Sortable } from "../../kit/sortable";
import { usePrint } from "../../kit/use-print";
import { useNames } from "../sheets/frame";

/** "3 pairs cross as they are tied; none need." */
export const crossingWords = (f: BoardFigures): string =>
  f.crossings
    ? `${count(f.crossings, "pair")} cross${f.crossings === 1 ? "es" : ""} as they are tied · ${f.least ? `${f.least} must` : "none need"}`
    : `0 crossings${f.asListed > f.crossings ? ` · ${f.asListed} if tied in the order of the list of runs` : ""}`;

/** The cable picked at a board, or its first. */
export const pickedCable = (f: BoardFigures, selected: string | null): BoardCable | undefined =>
  f.cables.find((c) => c.run.id === selected) ?? f.cables[0];

/** How the cables come into a board: drawn from the far end to their ways, tied, seated, cut, and changed by hand. */
export function BoardEntry({ f }: { f: BoardFigures }) {
  const { job } = useNames();
  const styles = useMemo(() => runStyles(job), [job]);
  const selected = useDesk((s) => (s.selection?.kind === "run" ? s.selection.id : null));
  const [printed, print] = usePrint();
  if (!f.cables.length) return <p className="text-soft">No cable is laid to it yet: lay some runs first.</p>;
  const picked = pickedCable(f, selected)!;
  const tie = (id: string, over: string): void => {
    const ids = f.cables.map((c) => c.run.id);
    const [from, to] = [ids.indexOf(id), ids.indexOf(over)];
    if (f.cables[from]!.block !== f.cables[to]!.block)
      return say(
        `${cableFlag(f.cables[from]!)} comes in at another place than ${cableFlag(f.cables[to]!)}: they cannot change order.`,
      );
    ids.splice(to, 0, ...ids.splice(from, 1));
    say(editPoint(f.board.id, () => ({ tied: ids })));
  };
  return (
    <>
      <p className={`mb-1 font-medium ${f.crossings > f.least ? "text-warn" : ""}`} data-crossings>
        {crossingWords(f)}
      </p>
      <div className={`min-w-0 ${printed ? "no-print" : ""}`}>
        <SceneView
          scene={drawBoardEntry(f, styles, picked.run.id)}
          tall={540}
          beside={f.cables.some((c) => c.edge === "left" || c.edge === "right") ? 110 : 50}
        />
        {f.blocks.map((b, n) => {
          const mine = f.cables.filter((c) => c.block === n);
          const seated = mine.filter((c) => c.seat);
          return (
            <section key={n} className="mt-2" aria-label={`Cables at the ${b.edge}`}>
              <h3 className="font-cond text-[15px] font-semibold">
                {b.section === null
                  ? `Drop at the ${b.edge}`
                  : `${job.sections.find((s) => s.id === b.section)?.label ?? "Section"}, at the ${b.edge}`}
                <span className="font-normal text-soft">
                  {seated.length
                    ? ` · ${count(seated.length, "seat")}${b.rows > 1 ? ` in ${b.rows} rows` : ""}, ${b.spare} left`
                    : " · through glands"}
                </span>
              </h3>
              <Sortable
                label={`Order tied, ${b.edge}`}
                className="my-1 flex flex-wrap gap-1"
                onMove={tie}
                items={mine.map((c) => ({
                  id: c.run.id,
                  name: cableFlag(c),
                  content: (
                    <button
                      type="button"
                      aria-pressed={c === picked}
                      onClick={() => useDesk.setState({ selection: { kind: "run", id: c.run.id } })}
                      className={clsx(
                        "flex min-h-8 cursor-pointer items-center gap-1.5 px-2 font-cond font-semibold",
                        c === picked && "bg-page",
                      )}
                    >
                      <RunSample style={styles.get(c.circuit.id)} />
                      {cableFlag(c)}
                    </button>
                  ),
                }))}
              />
              {seated.length ? (
                <Ribbon
                  length={b.length}
                  marks={seated.map((c) => ({ at: c.seat!.at, text: cableFlag(c) }))}
                  words={(m) => `${mm(Math.round(m.at * 10) / 10)} ${m.text}`}
                />
              ) : null}
              {seated.length ? (
                <p className="mt-1 text-[13.5px] text-soft">
                  0 is the start of the slot, {mm(Math.round(b.length))} long.{" "}
                  {b.notched
                    ? `Notches ${mm(seated[0]!.seat!.width)} × ${mm(seated[0]!.seat!.height)} each, ` +
                      `${mm(seated[0]!.seat!.at - seated[0]!.seat!.width / 2)} from the end; `
                    : `One slot with a grommet strip, seats ${mm(seated[0]!.seat!.width)} × ${mm(seated[0]!.seat!.height)}; `}
                  edges filed, grommets in before the board hangs. Pull in one at a time, deepest first, as numbered;
                  stroke kinks out. Seal round them when all are in.
                </p>
              ) : null}
            </section>
          );
        })}
        <div className="no-print mt-2 flex flex-wrap gap-1">
          {f.board.tied.length ? (
            <Button onClick={() => say(editPoint(f.board.id, () => ({ tied: [] })))}>
              Tie in the order that crosses least
            </Button>
          ) : null}
          <Button icon={<Printer size={14} />} onClick={print}>
            Print the slots, true scale
          </Button>
        </div>
      </div>
      {printed
        ? f.blocks.map((_, n) =>
            f.cables.some((c) => c.block === n && c.seat) ? <TrueScalePrint key={n} scene={drawSlot(f, n)} /> : null,
          )
        : null}
    </>
  );
}
