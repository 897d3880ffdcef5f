"use client";
import { pointLabels } from "../../../../core/job/labels";
import { toMark } from "../../../../core/base/figures";
import type { Face } from "../../../../core/house/house";
import { behindWall } from "../../../../core/plan/behind-wall";
import { behindPlace, behindState } from "../../../../core/words/behind";
import { useDesk, usePlan } from "../../../job/store";

/** What runs behind this face and the other one, measured from here. */
export function BehindThis({ face }: { face: Face }) {
  const house = useDesk((s) => s.house);
  const plan = usePlan();
  const list = behindWall(house, plan, face.wall.id);
  const label = pointLabels(house.job);
  return (
    <details>
      <summary className="cursor-pointer text-[13.5px] text-soft">
        Behind this wall: {list.length ? `${list.length} legs of cable` : "nothing laid or found"}
      </summary>
      {list.length ? <p className="pt-1 text-[13px] text-soft">mm from the left-hand corner; above the floor</p> : null}
      <ul className="pt-1 text-[13px]" data-behind>
        {list.map((x) => {
          return (
            <li key={`${x.run} ${x.leg} ${x.from}`}>
              <button
                type="button"
                className="w-full cursor-pointer border-b border-dotted border-line py-0.5 text-left hover:bg-rail"
                disabled={x.state === "found" || x.state === "traced"}
                onClick={() => useDesk.setState({ selection: { kind: "run", id: x.run, leg: x.leg } })}
              >
                {label(x.ends[0])}–{x.ends[1] === null ? "not traced" : label(x.ends[1])}, {behindState(x)}:{" "}
                <span className="num">{behindPlace(x)}</span>, <span className="num">{toMark(x.depth)}</span> deep
              </button>
            </li>
          );
        })}
      </ul>
    </details>
  );
}
