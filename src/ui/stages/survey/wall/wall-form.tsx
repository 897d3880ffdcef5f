"use client";
import { useState } from "react";
import { mm } from "../../../../core/base/figures";
import type { Face } from "../../../../core/house/house";
import { moveWall, setWall } from "../../../../core/house/reshape";
import { wallBuilds } from "../../../../core/job/model";
import { editWith, joinSides, say, splitSide } from "../../../job/edits";
import { change, edit, useDesk } from "../../../job/store";
import { Button } from "../../../kit/button";
import { CheckField, NumberField, SelectField } from "../../../kit/field";
import { KeepFree } from "../keep-free";
import { buildNames } from "../new-room";
import { BehindThis } from "./behind-this";
import { FoundTrunkings } from "./found-trunkings";
import { Fixtures, Openings } from "./on-the-wall";
import { Photos } from "./photos";
import { Studs } from "./studs";

/** Build of a wall, its openings, what stands against it, photos of it; splitting, joining and moving it. */
export function WallForm({ face }: { face: Face }) {
  const job = useDesk((s) => s.job);
  const { wall, room } = face;
  const { length, height } = face.shape;
  const put = (next: Partial<typeof wall>): string | null => edit([change("walls", wall.id, { ...wall, ...next })]);
  const whole = (next: Parameters<typeof setWall>[2]): string | null => editWith(setWall(job, wall, next));
  return (
    <section aria-label={`Wall ${wall.index + 1}`} className="grid gap-1.5">
      <h2 className="text-lg">
        Wall {wall.index + 1} of {room.name} <span className="num text-[14px] font-normal text-soft">{mm(length)}</span>
      </h2>
      <SelectField
        label="Build"
        value={wall.build}
        options={wallBuilds.map((b) => ({ value: b, name: buildNames[b] }))}
        onCommit={(build) => whole({ build })}
      />
      <NumberField
        label="Thickness"
        value={wall.thickness}
        min={20}
        max={2000}
        onCommit={(thickness) => whole({ thickness })}
      />
      {wall.build === "masonry" ? (
        <NumberField
          label="Leaf, 0 where solid"
          name="leaf"
          value={wall.leaf ?? 0}
          min={0}
          max={600}
          onCommit={(leaf) => put({ leaf: leaf === 0 ? null : leaf })}
        />
      ) : null}
      <SelectField
        label="Behind it"
        value={wall.backing}
        options={[
          { value: "room", name: "a room" },
          { value: "outside", name: "outside" },
          { value: "party", name: "the neighbour" },
        ]}
        onCommit={(backing) => put({ backing })}
      />
      <div className="flex flex-wrap gap-x-4">
        <CheckField label="Insulated" value={wall.insulated} onCommit={(insulated) => say(whole({ insulated }))} />
        <CheckField
          label="Foil-backed board"
          value={wall.foilBacked}
          onCommit={(foilBacked) => say(put({ foilBacked }))}
        />
        {wall.backing === "party" ? null : (
          <CheckField
            label="Holds fire back"
            value={wall.fireResisting}
            onCommit={(fireResisting) => say(whole({ fireResisting }))}
          />
        )}
      </div>
      {wall.insulated && (wall.build === "stud" || wall.build === "metal-stud") ? (
        <SelectField
          label="Cables lie"
          value={wall.againstBoard ? "board" : "free"}
          options={[
            { value: "free", name: "free in the insulation" },
            { value: "board", name: "fixed against the board" },
          ]}
          onCommit={(x) => put({ againstBoard: x === "board" })}
        />
      ) : null}
      <Studs face={face} />
      <Openings face={face} />
      <Fixtures face={face} />
      <FoundTrunkings face={face} />
      <KeepFree
        on={{ wall: wall.id }}
        fresh={() => ({
          on: "wall",
          wall: wall.id,
          u: Math.round(length / 2) - 150,
          v: 0,
          width: 300,
          height: Math.round(height),
        })}
      />
      <BehindThis face={face} />
      <Photos face={face} />
      <Shape face={face} />
    </section>
  );
}

/** Splitting, joining and moving a wall. */
function Shape({ face }: { face: Face }) {
  const job = useDesk((s) => s.job);
  const [place, setPlace] = useState<number | null>(null);
  const { wall, room } = face;
  const { length } = face.shape;
  const at = place ?? Math.round(length / 2);
  return (
    <details>
      <summary className="cursor-pointer text-[13.5px] text-soft">Split, join, move this wall</summary>
      <div className="grid gap-1 pt-1">
        <NumberField label="Split at" name="split at" value={at} min={10} max={length - 10} onCommit={setPlace} />
        <Button onClick={() => say(splitSide(room, wall.index, at))}>Put a corner there</Button>
        <Button onClick={() => say(joinSides(room, wall.index))}>Join with the wall to its right</Button>
        <NumberField
          label="Move into the room"
          name="move wall"
          value={0}
          min={-20000}
          max={20000}
          onCommit={(by) => (by === 0 ? null : editWith(moveWall(job, room, wall.index, by)))}
        />
        <p className="text-[12.5px] text-soft">A shared wall moves with its face in the other room.</p>
      </div>
    </details>
  );
}
