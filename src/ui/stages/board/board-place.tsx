"use client";
import { mm } from "../../../core/base/figures";
import { cableFlag } from "../../../core/drawings/board-drawing";
import type { BoardCable, BoardFigures } from "../../../core/plan/board-figures";
import { SHEATH_PAST_ENTRY } from "../../../core/trades/board/layout";

const tenth = (x: number): string => mm(Math.round(x * 10) / 10);
const third = (n: number): string => (n === 1 ? "back row" : `row ${n}`);

/** Everything one does with one cable at a board, in the order it is done. */
export function BoardPlace({ f, c, far }: { f: BoardFigures; c: BoardCable; far?: string }) {
  const block = f.blocks[c.block]!;
  const mine = f.cables.filter((x) => x.block === c.block);
  const rows: [string, string][] = [
    ["Flag", far ? `${cableFlag(c)} · ${far}` : cableFlag(c)],
    ["Tie it as number", `${mine.indexOf(c) + 1} of ${mine.length}`],
    ...(c.seat
      ? ([
          ["Seat, from the slot's start", mm(Math.round(c.seat.at * 10) / 10)],
          ...(block.rows > 1 ? [["In the", third(c.seat.row + 1)] as [string, string]] : []),
        ] as [string, string][])
      : ([["Comes through", "a gland: see its face"]] as [string, string][])),
    ...(c.brown ? ([["Brown side", c.brown]] as [string, string][]) : []),
    ["Sheath off at", `entry + ${SHEATH_PAST_ENTRY}`],
    ...(c.feed ? ([["Feeds the board", "to the main switch"]] as [string, string][]) : []),
    ...(c.tails
      ? ([
          ["Line", mm(c.tails.line)],
          ["Neutral", mm(c.tails.neutral)],
          ["Earth", mm(c.tails.earth)],
        ] as [string, string][])
      : ([["Way", "none yet"]] as [string, string][])),
    ...(c.spare === null ? [] : ([["Spare folded behind", mm(Math.floor(c.spare))]] as [string, string][])),
    ["Bends, least radius", tenth(c.radius)],
  ];
  return (
    <dl className="grid grid-cols-[1fr_auto] text-[14.5px]" data-board-place={c.run.id}>
      {rows.map(([k, v]) => (
        <div key={k} className="col-span-2 flex justify-between gap-3 border-b border-dotted border-line py-1">
          <dt className="text-soft">{k}</dt>
          <dd
            className={`num text-right font-medium ${c.spare !== null && c.spare < 0 && k.startsWith("Spare") ? "text-stop" : ""}`}
          >
            {v}
          </dd>
        </div>
      ))}
    </dl>
  );
}
