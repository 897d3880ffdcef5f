"use client";
import type { Point } from "../../core/job/model";
import { isLight } from "../../core/rules/accessories";
import { gangsOf } from "../../core/trades/lighting/gangs";
import { useDesk } from "../job/store";
import { SelectField } from "../kit/field";
import { Ticks } from "../kit/ticks";

/** Gangs that a switch may have on one plate. */
const MOST = 4;

/** The lights that a switch works, and by which of its gangs. */
export function Works({
  point,
  lights,
  put,
}: {
  point: Point;
  lights: readonly Point[];
  put: (next: Point) => string | null;
}) {
  const job = useDesk((s) => s.job);
  const kinds = new Map(job.points.map((p) => [p.id, p.kind]));
  const gangs = gangsOf(point, (id) => kinds.has(id) && isLight(kinds.get(id)!));
  const works = point.controls.filter((id) => lights.some((l) => l.id === id));
  const label = (id: string): string => lights.find((l) => l.id === id)?.label ?? id;
  return (
    <>
      <Ticks
        title="Works"
        options={lights}
        ticked={point.controls}
        none="No lights placed yet."
        onChange={(controls) => put({ ...point, controls })}
      />
      {works.length > 1 || gangs.length > 1
        ? works.map((id) => (
            <SelectField
              key={id}
              label={`${label(id)} by`}
              name={`gang of ${label(id)}`}
              value={String(gangs.findIndex((g) => g.includes(id)) + 1)}
              options={Array.from({ length: MOST }, (_, n) => ({ value: String(n + 1), name: `gang ${n + 1}` }))}
              onCommit={(gang) => put({ ...point, gangOf: { ...point.gangOf, [id]: Number(gang) } })}
            />
          ))
        : null}
    </>
  );
}
