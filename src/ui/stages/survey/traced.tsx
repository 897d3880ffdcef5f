"use client";
import type { House } from "../../../core/house/house";
import type { Job } from "../../../core/job/model";
import { wallName } from "../../../core/words/ways";
import { say } from "../../job/edits";
import { useDesk } from "../../job/store";
import { Button } from "../../kit/button";
import { SelectField } from "../../kit/field";
import { Measures } from "../../kit/measures";

type Cable = Job["foundCables"][number];
type Traced = Cable["traced"][number];

/** Where an old cable was traced, wall by wall; a stretch begins where the one before ended. */
export function TracedStretches({ cable, put }: { cable: Cable; put: (next: Partial<Cable>) => string | null }) {
  const house = useDesk((s) => s.house);
  const change = (n: number, next: Partial<Traced>): string | null =>
    put({ traced: cable.traced.map((t, i) => (i === n ? { ...t, ...next } : t)) });
  return (
    <div className="grid gap-1 border-t border-dotted border-line pt-1">
      <h4 className="text-[13.5px] font-semibold">Traced on walls</h4>
      {cable.traced.length ? null : (
        <p className="text-[13px] text-soft">
          Nowhere yet: it is taken to run within the zones of its ends, and drawn broken.
        </p>
      )}
      {cable.traced.map((t, n) => (
        <div key={n} className="grid gap-1 border border-line px-2 py-1">
          <SelectField
            label="Wall"
            value={t.wall}
            options={house.faces.map((f) => ({ value: f.wall.id, name: wallName(house, f.wall.id) }))}
            onCommit={(wall) => change(n, { wall })}
          />
          <Measures of={t.from} rows={end(house, t, n, "from")} put={(x) => change(n, { from: { ...t.from, ...x } })} />
          <Measures of={t.to} rows={end(house, t, n, "to")} put={(x) => change(n, { to: { ...t.to, ...x } })} />
          <Button look="quiet" onClick={() => say(put({ traced: cable.traced.filter((_, i) => i !== n) }))}>
            Take this stretch out
          </Button>
        </div>
      ))}
      <Button onClick={() => say(put({ traced: [...cable.traced, next(house, cable)] }))}>Add a stretch</Button>
    </div>
  );
}

/** The two measures of one end of a stretch. */
function end(house: House, t: Traced, n: number, which: "from" | "to") {
  const shape = house.faces[house.faceOfWall.get(t.wall) ?? -1]?.shape;
  const words = which === "from" ? "one end" : "other end";
  return [
    {
      key: "u" as const,
      label: `From left, ${words}`,
      name: `stretch ${n + 1} ${which} u`,
      min: 0,
      ...(shape ? { max: shape.length } : {}),
    },
    {
      key: "v" as const,
      label: `From floor, ${words}`,
      name: `stretch ${n + 1} ${which} v`,
      min: 0,
      ...(shape ? { max: shape.height } : {}),
    },
  ];
}

/** A stretch to begin with: on from where the last one ended, or straight up from the point the cable starts at. */
function next(house: House, cable: Cable): Traced {
  const last = cable.traced.at(-1);
  const p = house.points[house.pointOfId.get(cable.from) ?? -1]?.point.place;
  const wall = last?.wall ?? (p?.on === "wall" ? p.wall : house.faces[0]!.wall.id);
  const { length, height } = house.faces[house.faceOfWall.get(wall)!]!.shape;
  const from = last?.to ?? (p?.on === "wall" ? { u: p.u, v: p.v } : { u: Math.round(length / 2), v: 450 });
  const up = from.v < height - 150;
  return {
    wall,
    from,
    to: up ? { u: from.u, v: Math.round(height - 75) } : { u: from.u, v: Math.max(0, from.v - 500) },
  };
}
