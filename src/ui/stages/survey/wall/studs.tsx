"use client";
import { mm } from "../../../../core/base/figures";
import type { Face } from "../../../../core/house/house";
import { ASSUMED_STUDS } from "../../../../core/house/studs";
import { say } from "../../../job/edits";
import { change, edit } from "../../../job/store";
import { Button } from "../../../kit/button";
import { TextField } from "../../../kit/field";
import { Measures } from "../../../kit/measures";
import { listOf } from "../deck/list-of";

/** The timbers of a stud wall: as measured, or what is taken until they are. */
export function Studs({ face }: { face: Face }) {
  const { wall, studs: seen } = face;
  if (!seen) return null;
  const { studs } = wall;
  const put = (next: typeof studs): string | null => edit([change("walls", wall.id, { ...wall, studs: next })]);
  if (!studs)
    return (
      <>
        <h3 className="mt-1">Studs</h3>
        <p className="text-[13.5px] text-soft">
          {seen.assumed
            ? `Not measured: taken at ${mm(ASSUMED_STUDS.spacing)} centres. Find two with the detector or a bradawl and give them here; holes and clips follow.`
            : "As given on the other face of this wall."}
        </p>
        <div>
          <Button onClick={() => say(put({ ...ASSUMED_STUDS, first: seen.studs[1]?.at ?? ASSUMED_STUDS.spacing }))}>
            Give the studs
          </Button>
        </div>
      </>
    );
  const depth = { depth: studs.depth ?? seen.depth };
  return (
    <>
      <h3 className="mt-1">Studs</h3>
      <Measures
        of={studs}
        rows={[
          { key: "first", label: "First, from left", name: "stud first", min: 0 },
          { key: "spacing", label: "Centre to centre", name: "stud spacing", min: 150, max: 1200 },
          { key: "breadth", label: "Thickness", name: "stud breadth", min: 20, max: 150 },
        ]}
        put={(next) => put({ ...studs, ...next })}
      />
      <Measures
        of={depth}
        rows={[{ key: "depth", label: "Depth, board to board", name: "stud depth", min: 38, max: 400 }]}
        put={(next) => put({ ...studs, ...next })}
      />
      <TextField
        label="Noggins at heights"
        name="stud noggins"
        required={false}
        most={120}
        value={studs.noggins.join("; ")}
        onCommit={(text) => {
          const list = listOf(text, []);
          if (!list) return `Noggins at heights is “${text}”; write heights above the floor, such as 1200; 1800.`;
          return put({ ...studs, noggins: list.map(([v]) => v!) });
        }}
      />
      <Button look="quiet" onClick={() => say(put(null))}>
        Studs not known
      </Button>
    </>
  );
}
