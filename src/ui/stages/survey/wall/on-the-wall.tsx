"use client";
import { mm } from "../../../../core/base/figures";
import type { Face } from "../../../../core/house/house";
import { fixtureNames } from "../../../../core/house/typical";
import { fixtureKinds } from "../../../../core/job/model";
import { addFixture, addOpening, say } from "../../../job/edits";
import { change, edit, useDesk } from "../../../job/store";
import { Button } from "../../../kit/button";
import { SelectField, TextField } from "../../../kit/field";
import { Measures } from "../../../kit/measures";
import { Thing } from "../../../kit/thing";

const openingRows = (kind: string) =>
  [
    { key: "u", label: "From left", name: `${kind} u`, min: 0 },
    { key: "v", label: "Sill, from floor", name: `${kind} v`, min: 0 },
    { key: "width", label: "Width", name: `${kind} width`, min: 1 },
    { key: "height", label: "Height", name: `${kind} height`, min: 1 },
  ] as const;
const fixtureRows = (kind: string) =>
  [
    { key: "u", label: "From left", name: `${kind} u`, min: 0 },
    { key: "v", label: "From floor", name: `${kind} v`, min: 0 },
    { key: "width", label: "Width", name: `${kind} width`, min: 1 },
    { key: "height", label: "Height", name: `${kind} height`, min: 1 },
    { key: "depth", label: "Depth", name: `${kind} depth`, min: 0 },
  ] as const;

const goToWall = (id: string): void =>
  useDesk.setState((s) => {
    const room = s.job.rooms.find((r) => r.id === s.job.walls.find((w) => w.id === id)?.room);
    return room ? { room: room.id, storey: room.storey, selection: { kind: "wall", id } } : {};
  });

/** Doors, windows and arches of a wall. */
export function Openings({ face }: { face: Face }) {
  const all = useDesk((s) => s.job.openings);
  const fresh = useDesk((s) => s.fresh);
  const { length, height } = face.shape;
  const mine = all.filter((o) => o.wall === face.wall.id).sort((a, b) => a.u - b.u);
  const others = face.openings.filter((o) => o.wall !== face.wall.id);
  return (
    <>
      <h3 className="mt-1">Openings</h3>
      {mine.length + others.length ? null : <p className="text-[13px] text-soft">None.</p>}
      {mine.map((o) => (
        <Thing
          key={o.id}
          open={fresh === o.id}
          onRemove={() => say(edit([change("openings", o.id, null)]))}
          summary={
            <>
              {o.kind}{" "}
              <span className="num">
                {mm(o.width)} × {mm(o.height)}
              </span>{" "}
              at <span className="num">{mm(o.u)}</span>
            </>
          }
        >
          <Measures
            of={o}
            rows={openingRows(o.kind)}
            put={(next) => edit([change("openings", o.id, { ...o, ...next })])}
          />
        </Thing>
      ))}
      {others.map((o) => (
        <p key={o.id} className="flex items-center justify-between gap-2 text-[13.5px]">
          <span>
            {o.kind}{" "}
            <span className="num">
              {mm(o.width)} × {mm(o.height)}
            </span>{" "}
            at <span className="num">{mm(o.u)}</span>, given in {o.room}
          </span>
          <Button onClick={() => goToWall(o.wall)}>Go there</Button>
        </p>
      ))}
      <div className="flex flex-wrap gap-1">
        {(["door", "window", "arch"] as const).map((k) => (
          <Button key={k} onClick={() => say(addOpening(face.wall.id, k, length, height))}>
            Add {k}
          </Button>
        ))}
      </div>
    </>
  );
}

/** What stands against a wall. */
export function Fixtures({ face }: { face: Face }) {
  const all = useDesk((s) => s.job.fixtures);
  const fresh = useDesk((s) => s.fresh);
  const mine = all.filter((f) => f.wall === face.wall.id).sort((a, b) => a.u - b.u);
  return (
    <>
      <h3 className="mt-1">Standing against it</h3>
      {mine.map((f) => {
        const put = (next: Partial<typeof f>): string | null => edit([change("fixtures", f.id, { ...f, ...next })]);
        return (
          <Thing
            key={f.id}
            open={fresh === f.id}
            onRemove={() => say(edit([change("fixtures", f.id, null)]))}
            summary={
              <>
                {f.name || fixtureNames[f.kind]} <span className="num">{mm(f.width)}</span> at{" "}
                <span className="num">{mm(f.u)}</span>
              </>
            }
          >
            <TextField label="Name" required={false} most={40} value={f.name} onCommit={(name) => put({ name })} />
            <Measures of={f} rows={fixtureRows(f.kind)} put={put} />
          </Thing>
        );
      })}
      <SelectField
        label="Add"
        name="add fixture"
        value=""
        options={[
          { value: "", name: "choose" },
          ...fixtureKinds.map((k) => ({ value: k as string, name: fixtureNames[k] })),
        ]}
        onCommit={(k) => (k ? addFixture(face.wall.id, k as (typeof fixtureKinds)[number], face.shape.length) : null)}
      />
    </>
  );
}
