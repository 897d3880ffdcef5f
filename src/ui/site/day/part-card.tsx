"use client";
import { useMemo } from "react";
import { drawAtWall, drawBoreLine, drawHere, drawOutsidePart, faceOf } from "../../../core/drawings/part-drawing";
import type { House } from "../../../core/house/house";
import type { Plan } from "../../../core/laid/laid";
import { holeKey } from "../../../core/laid/run-measures";
import type { Part } from "../../../core/record/parts";
import { partWords } from "../../../core/words/tasks";
import { SceneView } from "../../drawing/scene-view";
import { Speak } from "./speak";

/** One thing to do: its one number, where one stands, the wall or bore line, and all further marks. */
export function PartCard({
  house,
  plan,
  part,
  done,
}: {
  house: House;
  plan: Plan;
  part: Part;
  done: ReadonlySet<string>;
}) {
  const w = useMemo(() => partWords(house, plan, part), [house, plan, part]);
  const face = faceOf(house, part);
  const line = useMemo(() => {
    if (!part.hole || part.hole.in.kind !== "joist") return null;
    const keys = new Map(plan.holes.map((o) => [o.id, o]));
    return drawBoreLine(house, plan, part.hole.id, (id) => {
      const o = keys.get(id);
      return o !== undefined && done.has(holeKey(o));
    });
  }, [house, plan, part, done]);
  const wall = useMemo(() => drawAtWall(house, plan, part), [house, plan, part]);
  const outside = useMemo(() => drawOutsidePart(house, plan, part), [house, plan, part]);
  const here = useMemo(() => (face ? drawHere(house, face.room.id, face.wall.id) : null), [house, face]);
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-2 border border-line bg-panel p-3" data-part={part.id}>
      <p className="text-[17px] text-soft">{w.over}</p>
      {w.number ? (
        <p className="font-cond text-7xl leading-none font-semibold tracking-tight" data-big>
          {w.number}
        </p>
      ) : null}
      <p className="text-[17px]">{w.under}</p>
      {line ? <SceneView scene={line} tall={190} beside={16} /> : null}
      {!line && wall ? <SceneView scene={wall} tall={250} beside={40} /> : null}
      {outside ? <SceneView scene={outside} tall={230} beside={30} /> : null}
      {here ? (
        <div className="max-w-44">
          <SceneView scene={here} tall={190} beside={10} />
        </div>
      ) : null}
      {w.more.length ? (
        <ul className="text-[16px]" aria-label="Further marks">
          {w.more.map((m, i) => (
            <li key={i} className="flex justify-between gap-3 border-b border-dotted border-line py-1">
              <span>{m.what}</span>
              <span className="num text-right font-medium">{m.number}</span>
            </li>
          ))}
        </ul>
      ) : null}
      <Speak text={w.spoken} />
    </div>
  );
}
