"use client";
import { pointLabels } from "../../../../core/job/labels";
import { mm } from "../../../../core/base/figures";
import type { Face } from "../../../../core/house/house";
import { behindWall } from "../../../../core/plan/behind-wall";
import { useDesk, usePlan } from "../../../job/store";

const whole = (x: number): string => mm(Math.round(x));
const reach = (a: number, b: number): string =>
  Math.abs(a - b) < 1 ? whole(a) : `${whole(Math.min(a, b))} to ${whole(Math.max(a, b))}`;

const states = { traced: "Found", found: "Found", done: "In", planned: "Planned" } as const;

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
                {states[x.state]}: {label(x.ends[0])}–{x.ends[1] === null ? "not traced" : label(x.ends[1])},{" "}
                {x.state === "found" ? "taken to run" : x.state === "traced" ? "traced" : x.method}:{" "}
                <span className="num">{reach(x.a.u, x.b.u)}</span> from left,{" "}
                <span className="num">{reach(x.a.v, x.b.v)}</span> up, <span className="num">{whole(x.depth)}</span>{" "}
                deep{x.otherFace ? `, from ${x.from}` : ""}
              </button>
            </li>
          );
        })}
      </ul>
    </details>
  );
}
