"use client";
import { useState } from "react";
import { type Room, type Wall, roomKinds, wallBuilds } from "../../../core/job/model";
import { freeRoomName, kindOfName } from "../../../core/house/room-names";
import type { NewRoom } from "../../../core/house/rooms";
import { currentStorey } from "../../job/edits";
import { useDesk } from "../../job/store";
import { NumberField, SelectField, TextField } from "../../kit/field";

export const buildNames: Record<Wall["build"], string> = {
  masonry: "masonry",
  "dry-lined": "dry-lined masonry",
  stud: "timber stud",
  "metal-stud": "metal stud",
  open: "open, no wall",
};

/** What a room is, apart from its shape. */
export type RoomFacts = Omit<NewRoom, "outline">;

/** Facts to start a new room from: those of the last one on the storey. */
export function startFacts(): RoomFacts {
  const { job } = useDesk.getState();
  const storey = currentStorey();
  const last = [...job.rooms].filter((r) => r.storey === storey).pop();
  const wall = job.walls.find((w) => w.room === last?.id);
  return {
    storey,
    name: freeRoomName(job),
    kind: "other",
    height: last?.height ?? job.storeys.find((s) => s.id === storey)?.height ?? 2400,
    build: wall && wall.build !== "open" ? wall.build : "masonry",
    thickness: wall && wall.build !== "open" ? wall.thickness : 100,
  };
}

/** Name and kind of a room to be added; the kind follows the name until it is chosen. */
export function RoomNameFields({ facts, set }: { facts: RoomFacts; set: (next: Partial<RoomFacts>) => void }) {
  const [chosen, setChosen] = useState(false);
  const named = (name: string): void => {
    const kind = chosen ? null : kindOfName(name);
    // An empty name stays a draft: the field says what is wrong with it when it is left.
    if (name.trim()) set({ name: name.trim(), ...(kind ? { kind } : {}) });
  };
  return (
    <>
      <TextField label="Name" name="new room name" value={facts.name} onDraft={named} onCommit={named} />
      <SelectField
        label="Kind"
        name="new room kind"
        value={facts.kind}
        options={roomKinds.map((k) => ({ value: k, name: k }))}
        onCommit={(kind: Room["kind"]) => {
          setChosen(true);
          set({ kind });
        }}
      />
    </>
  );
}

/** Storey, height and walls of a room to be added. */
export function RoomFactsFields({ facts, set }: { facts: RoomFacts; set: (next: Partial<RoomFacts>) => void }) {
  const storeys = useDesk((s) => s.job.storeys);
  return (
    <div className="grid gap-1.5">
      {storeys.length > 1 ? (
        <SelectField
          label="Storey"
          name="new room storey"
          value={facts.storey}
          options={storeys.map((s) => ({ value: s.id, name: s.name }))}
          onCommit={(storey) => set({ storey })}
        />
      ) : null}
      <NumberField
        label="Ceiling height"
        name="new room height"
        value={facts.height}
        min={300}
        max={20000}
        onCommit={(height) => set({ height })}
      />
      {facts.kind === "yard" ? null : (
        <>
          <SelectField
            label="Walls"
            name="new room walls"
            value={facts.build}
            options={wallBuilds.map((b) => ({ value: b, name: buildNames[b] }))}
            onCommit={(build) => set({ build })}
          />
          <NumberField
            label="Wall thickness"
            name="new room thickness"
            value={facts.thickness}
            min={20}
            max={2000}
            onCommit={(thickness) => set({ thickness })}
          />
        </>
      )}
    </div>
  );
}

/** Where a new room is set: to the right of everything, or against a wall of another room. */
export function useAgainst(storey: string): {
  options: { value: string; name: string }[];
  against: string;
  setAgainst: (a: string) => void;
} {
  const job = useDesk((s) => s.job);
  const [against, setAgainst] = useState("");
  const options = [
    { value: "", name: "to the right of the others" },
    ...job.rooms
      .filter((r) => r.storey === storey)
      .flatMap((r) => r.outline.map((_, i) => ({ value: `${r.id} ${i}`, name: `against wall ${i + 1} of ${r.name}` }))),
  ];
  return { options, against, setAgainst };
}
