"use client";
import { mm } from "../../../../core/base/figures";
import type { Face } from "../../../../core/house/house";
import { type FoundTrunking, foundTrunkingSchema } from "../../../../core/job/model";
import { newId, say } from "../../../job/edits";
import { change, edit, useDesk } from "../../../job/store";
import { Button } from "../../../kit/button";
import { NumberField, SelectField } from "../../../kit/field";
import { Measures } from "../../../kit/measures";
import { Thing } from "../../../kit/thing";

/** Trunking found on a wall: where it runs, its size, and what is in it already. */
export function FoundTrunkings({ face }: { face: Face }) {
  const job = useDesk((s) => s.job);
  const catalogue = useDesk((s) => s.catalogue);
  const { length, height } = face.shape;
  const add = (): void => {
    const id = newId("ft");
    const u = Math.round(length / 2);
    const trunking = foundTrunkingSchema.parse({
      id,
      wall: face.wall.id,
      size: catalogue.trunkings[2]!.id,
      from: { u, v: 1500 },
      to: { u, v: Math.round(height) },
    });
    const refused = edit([change("foundTrunkings", id, trunking)]);
    if (!refused) useDesk.setState({ fresh: id });
    say(refused);
  };
  return (
    <>
      <h3 className="mt-1">Trunking found on it</h3>
      {job.foundTrunkings
        .filter((t) => t.wall === face.wall.id)
        .map((t) => (
          <FoundRow key={t.id} t={t} length={length} height={height} />
        ))}
      <div>
        <Button onClick={add}>Add trunking</Button>
      </div>
    </>
  );
}

function FoundRow({ t, length, height }: { t: FoundTrunking; length: number; height: number }) {
  const catalogue = useDesk((s) => s.catalogue);
  const fresh = useDesk((s) => s.fresh);
  const put = (next: Partial<FoundTrunking>): string | null =>
    edit([change("foundTrunkings", t.id, { ...t, ...next })]);
  const holds = (n: number, next: Partial<FoundTrunking["holds"][number]>): string | null =>
    put({ holds: t.holds.map((y, i) => (i === n ? { ...y, ...next } : y)) });
  const end = (n: 1 | 2, words: string) =>
    [
      { key: "u", label: `From left, ${words} end`, name: `trunking u${n}`, min: 0, max: length },
      { key: "v", label: `From floor, ${words} end`, name: `trunking v${n}`, min: 0, max: height },
    ] as const;
  return (
    <Thing
      open={fresh === t.id}
      onRemove={() => say(edit([change("foundTrunkings", t.id, null)]))}
      summary={
        <>
          {t.size.replace("x", " × ")}{" "}
          <span className="text-soft">with {t.holds.reduce((n, x) => n + x.count, 0)} cables</span>
        </>
      }
    >
      <SelectField
        label="Size"
        value={t.size}
        options={catalogue.trunkings.map((x) => ({ value: x.id, name: `${mm(x.width)} × ${mm(x.height)}` }))}
        onCommit={(size) => put({ size })}
      />
      <Measures of={t.from} rows={end(1, "one")} put={(next) => put({ from: { ...t.from, ...next } })} />
      <Measures of={t.to} rows={end(2, "other")} put={(next) => put({ to: { ...t.to, ...next } })} />
      {t.holds.map((x, i) => (
        <div key={i} className="grid gap-1 border-t border-dotted border-line pt-1">
          <SelectField
            label="Holds"
            value={x.cable}
            options={catalogue.cables.map((c) => ({ value: c.id, name: c.name }))}
            onCommit={(cable) => holds(i, { cable })}
          />
          <NumberField
            label="How many"
            unit=""
            step={1}
            whole
            value={x.count}
            min={1}
            max={200}
            onCommit={(count) => holds(i, { count })}
          />
          <Button look="quiet" onClick={() => say(put({ holds: t.holds.filter((_, n) => n !== i) }))}>
            Take these out of the list
          </Button>
        </div>
      ))}
      <Button onClick={() => say(put({ holds: [...t.holds, { cable: catalogue.cables[2]!.id, count: 1 }] }))}>
        Add cables in it
      </Button>
    </Thing>
  );
}
