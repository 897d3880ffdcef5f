"use client";
import { count } from "../../../core/base/figures";
import type { Circuit } from "../../../core/job/model";
import type { BoardFigures } from "../../../core/plan/board-figures";
import { schoolQuestions } from "../../../core/rules/schools";
import { cableOf } from "../../../core/rules/catalogue";
import type { Ways } from "../../../core/trades/board/give-ways";
import { say } from "../../job/edits";
import { change, edit, useDesk } from "../../job/store";
import { Button } from "../../kit/button";
import { Sortable } from "../../kit/sortable";
import { useNames } from "../sheets/frame";

/** The circuits with other ways; one change each. */
const withWays = (ways: Ways): string | null => {
  const { circuits } = useDesk.getState().job;
  const changed = circuits.filter((c) => ways.has(c.id) && ways.get(c.id) !== c.way);
  return changed.length
    ? edit(changed.map((c) => change("circuits", c.id, { ...c, way: ways.get(c.id)! })))
    : "They are in that order already.";
};

/** Which circuit is on which way: dragged to another, or given by one of the two schools with what each costs. */
export function BoardWays({ f }: { f: BoardFigures }) {
  const { job, house } = useNames();
  const school = job.settings.schools.boardOrder;
  const question = schoolQuestions.find((q) => q.key === "boardOrder")!;
  const highest = f.layout.ways.length;
  const on = (way: number): Circuit[] => f.circuits.filter((c) => c.way === way);
  const cables = (c: Circuit): number => f.cables.filter((x) => x.circuit.id === c.id).length;
  const move = (id: string, over: string): void => {
    const [from, to] = [Number(id), Number(over)];
    const [mine, theirs] = [on(from), on(to)];
    const fixed = theirs.find((c) => c.state === "keep");
    if (!mine.length) return;
    if (fixed) return say(`${fixed.label} was found on way ${to} and stays there.`);
    say(withWays(new Map([...mine.map((c) => [c.id, to] as const), ...theirs.map((c) => [c.id, from] as const)])));
  };
  return (
    <>
      <div className="mb-3 grid gap-2 sm:grid-cols-2">
        {question.options.map((o) => {
          const { ways, crossings } = f.orders[o.value as "heaviest" | "by-room"];
          const same = f.circuits.every((c) => ways.get(c.id) === c.way);
          const beyond = [...ways.values()].filter((w) => w > f.board.ways).length;
          return (
            <section key={o.value} aria-label={o.name} className="border border-line p-2" data-order={o.value}>
              <h3 className="font-cond text-[15px] font-semibold">
                {o.name}
                {o.value === school ? " · the school of this job" : ""}
              </h3>
              <p className="text-[13.5px] text-soft">{o.reason}</p>
              <p className="text-[13.5px]">
                {crossings ? `${count(crossings, "pair")} of cables must cross.` : "No cables cross."}
                {beyond ? ` ${count(beyond, "circuit")} more than the board has ways.` : ""}
              </p>
              <ol className="num my-1 flex flex-wrap gap-x-2 text-[13.5px]">
                {[...ways]
                  .sort((a, b) => a[1] - b[1])
                  .map(([id, w]) => (
                    <li key={id}>
                      {w} {f.circuits.find((c) => c.id === id)?.label}
                    </li>
                  ))}
              </ol>
              <Button className="no-print" disabled={same || beyond > 0} onClick={() => say(withWays(ways))}>
                {same ? "As it is" : "Give these ways"}
              </Button>
            </section>
          );
        })}
      </div>
      <Sortable
        swap
        label={`Ways of ${f.board.label}`}
        className="grid gap-px"
        onMove={move}
        items={Array.from({ length: highest }, (_, i) => i + 1).map((w) => {
          const here = on(w);
          return {
            id: String(w),
            name: `way ${w}`,
            fixed: !here.length || here.some((c) => c.state === "keep"),
            content: (
              <div
                className="grid flex-1 grid-cols-[2.5rem_3rem_1fr_auto] items-center gap-2 px-2 py-1 text-[14.5px]"
                data-way={w}
              >
                <span className="num">{w}</span>
                <span className="font-cond font-semibold">{here.map((c) => c.label).join("+")}</span>
                <span className="min-w-0">
                  {here.length ? (
                    here.map((c) => (
                      <span key={c.id} className="block">
                        {c.name}
                        {c.state === "keep" ? ", found here" : ""}
                      </span>
                    ))
                  ) : (
                    <span className="text-soft">spare</span>
                  )}
                </span>
                <span className="num text-right text-[13.5px] text-soft">
                  {here.map((c) => (
                    <span key={c.id} className="block">
                      {c.device.curve}
                      {c.device.rating} · {c.rcd ? `${c.rcd} mA` : "no RCD"} · {cableOf(c.cable, house.catalogue)?.name}
                      {cables(c) ? ` · ${count(cables(c), "cable")} in` : ""}
                    </span>
                  ))}
                </span>
              </div>
            ),
          };
        })}
      />
      {f.circuits.some((c) => c.way === null) ? (
        <p className="mt-2 font-medium text-stop">
          ✕ Without a way:{" "}
          {f.circuits
            .filter((c) => c.way === null)
            .map((c) => c.label)
            .join(", ")}
        </p>
      ) : null}
      <p className="mt-2 text-[13.5px] text-soft">
        {f.spareWays > 0 ? `${count(f.spareWays, "spare way")}.` : "No spare way."} Drag a way onto another to change
        them over; by keyboard: space, arrows, space.{" "}
        <button
          type="button"
          className="cursor-pointer underline underline-offset-2"
          onClick={() => useDesk.setState({ selection: { kind: "point", id: f.board.id } })}
        >
          The board itself
        </button>
      </p>
    </>
  );
}
