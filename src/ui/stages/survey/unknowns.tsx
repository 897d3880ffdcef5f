"use client";
import { useMemo } from "react";
import { unknownsOf } from "../../../core/plan/unknowns";
import { unknownWords } from "../../../core/words/unknowns";
import { useDesk } from "../../job/store";

/** What nobody has said of the house yet, and what the plan takes in its place. */
export function Unknowns() {
  const house = useDesk((s) => s.house);
  const list = useMemo(() => (house.job.rooms.length ? unknownsOf(house) : []), [house]);
  if (!list.length) return null;
  return (
    <details className="border border-line px-2 py-1" data-unknowns={list.length}>
      <summary className="cursor-pointer text-[13.5px]">
        Not known yet
        <span className="text-soft">
          {" "}
          · {list.length} {list.length === 1 ? "thing" : "things"}
        </span>
      </summary>
      <dl className="grid gap-1.5 pt-1 text-[13.5px]">
        {list.map((u) => {
          const said = unknownWords(u);
          return (
            <div key={u.kind} className="border-b border-dotted border-line pb-1.5 last:border-0" data-unknown={u.kind}>
              <dt className="font-medium">{said.unknown}</dt>
              <dd className="text-soft">{said.took}</dd>
            </div>
          );
        })}
      </dl>
    </details>
  );
}
