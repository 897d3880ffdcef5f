"use client";
import { useMemo, useState } from "react";
import { toast } from "sonner";
import { drawBoth } from "../../core/drawings/both-drawing";
import { differences, thingName } from "../../core/job/differences";
import { type Change, current } from "../../core/job/patch";
import { SceneView } from "../drawing/scene-view";
import { type Conflict, type Keep, settle, thingKey, useDesk } from "../job/store";
import { Button } from "../kit/button";
import { Choice } from "../kit/choice";
import { Sheet } from "../kit/dialog";

/** Two people changed some things: of each, which to keep. All else that was done here is kept. */
export function ConflictSheet() {
  const conflict = useDesk((s) => s.conflict);
  return conflict ? <Settle key={conflict.version} conflict={conflict} /> : null;
}

function Settle({ conflict }: { conflict: Conflict }) {
  const things = useMemo(() => {
    const seen = new Map(conflict.clashes.map((c) => [thingKey(c), c]));
    return [...seen.values()];
  }, [conflict]);
  const [keep, setKeep] = useState<Readonly<Record<string, Keep>>>({});
  const [fault, setFault] = useState<string | null>(null);
  const of = (thing: string): Keep => keep[thing] ?? "mine";
  return (
    <Sheet
      open
      onOpenChange={() => undefined}
      keep
      wide
      title="Changed in two places"
      about="While you worked here, another window or person changed the same things. Say of each which to keep; everything else you did is kept."
    >
      <ul className="grid gap-4">
        {things.map((c) => (
          <Thing
            key={thingKey(c)}
            c={c}
            conflict={conflict}
            keep={of(thingKey(c))}
            onKeep={(k) => setKeep({ ...keep, [thingKey(c)]: k })}
          />
        ))}
      </ul>
      {fault ? (
        <p role="alert" className="mt-3 font-medium text-stop">
          {fault} Choose otherwise.
        </p>
      ) : null}
      <div className="mt-4 flex flex-wrap justify-end gap-2">
        <Button
          look="solid"
          data-do
          onClick={() => {
            const refused = settle(of);
            setFault(refused);
            if (!refused) toast("Settled. What you kept is being stored.");
          }}
        >
          Keep these
        </Button>
      </div>
    </Sheet>
  );
}

function Thing({
  c,
  conflict,
  keep,
  onKeep,
}: {
  c: Pick<Change, "collection" | "id">;
  conflict: Conflict;
  keep: Keep;
  onKeep: (k: Keep) => void;
}) {
  const job = useDesk((s) => s.job);
  const catalogue = useDesk((s) => s.catalogue);
  const name = thingName(c, job, conflict.theirs);
  const rows = differences(current(conflict.theirs, c), current(job, c));
  const scene = useMemo(() => drawBoth(c, conflict.theirs, job, catalogue), [c, conflict, job, catalogue]);
  return (
    <li className="grid gap-2 border-t border-line pt-3" data-clash={thingKey(c)}>
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h3 className="text-lg first-letter:uppercase">{name}</h3>
        <Choice
          label={`Which to keep of ${name}`}
          value={keep}
          options={[
            ["theirs", "Theirs"],
            ["mine", "Mine"],
          ]}
          onChange={onKeep}
        />
      </div>
      {scene ? <SceneView scene={scene} tall={300} /> : null}
      <table className="w-full text-[14px]">
        <thead>
          <tr className="text-left text-soft">
            <th className="font-medium">Field</th>
            <th className="font-medium">Theirs</th>
            <th className="font-medium">Mine</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((r) => (
            <tr key={r.field} className="border-t border-dotted border-line">
              <td className="pr-3 text-soft">{r.field}</td>
              <td className="num pr-3 break-all">{r.theirs}</td>
              <td className="num break-all">{r.mine}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </li>
  );
}
