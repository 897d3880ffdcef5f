"use client";
import { Trash2 } from "lucide-react";
import type { Face } from "../../core/house/house";
import { type FoundTrunking, foundTrunkingSchema } from "../../core/job/model";
import { mm } from "../../core/base/figures";
import { newId, say } from "../job/edits";
import { change, edit, useDesk } from "../job/store";
import { Button } from "../kit/button";
import { NumberField, SelectField } from "../kit/field";

/** Trunking found on a wall: where it runs, its size, and what is in it already. */
export function FoundTrunkings({ face }: { face: Face }) {
  const job = useDesk((s) => s.job);
  const catalogue = useDesk((s) => s.catalogue);
  const fresh = useDesk((s) => s.fresh);
  const { length, height } = face.shape;
  return (
    <>
      <h3 className="mt-1">Trunking found on it</h3>
      {job.foundTrunkings
        .filter((t) => t.wall === face.wall.id)
        .map((t) => {
          const put = (next: Partial<FoundTrunking>): string | null =>
            edit([change("foundTrunkings", t.id, { ...t, ...next })]);
          return (
            <details key={t.id} className="border border-line px-2 py-1" open={fresh === t.id || undefined}>
              <summary className="cursor-pointer text-[13.5px]">
                {t.size.replace("x", " × ")}{" "}
                <span className="text-soft">with {t.holds.reduce((n, x) => n + x.count, 0)} cables</span>
              </summary>
              <div className="grid gap-1 pt-1">
                <SelectField
                  label="Size"
                  value={t.size}
                  options={catalogue.trunkings.map((x) => ({ value: x.id, name: `${mm(x.width)} × ${mm(x.height)}` }))}
                  onCommit={(size) => put({ size })}
                />
                <NumberField
                  label="From left, one end"
                  name="trunking u1"
                  value={t.from.u}
                  min={0}
                  max={length}
                  onCommit={(u) => put({ from: { ...t.from, u } })}
                />
                <NumberField
                  label="From floor, one end"
                  name="trunking v1"
                  value={t.from.v}
                  min={0}
                  max={height}
                  onCommit={(v) => put({ from: { ...t.from, v } })}
                />
                <NumberField
                  label="From left, other end"
                  name="trunking u2"
                  value={t.to.u}
                  min={0}
                  max={length}
                  onCommit={(u) => put({ to: { ...t.to, u } })}
                />
                <NumberField
                  label="From floor, other end"
                  name="trunking v2"
                  value={t.to.v}
                  min={0}
                  max={height}
                  onCommit={(v) => put({ to: { ...t.to, v } })}
                />
                {t.holds.map((x, i) => (
                  <div key={i} className="grid gap-1 border-t border-dotted border-line pt-1">
                    <SelectField
                      label="Holds"
                      value={x.cable}
                      options={catalogue.cables.map((c) => ({ value: c.id, name: c.name }))}
                      onCommit={(cable) => put({ holds: t.holds.map((y, n) => (n === i ? { ...y, cable } : y)) })}
                    />
                    <NumberField
                      label="How many"
                      unit=""
                      step={1}
                      value={x.count}
                      min={1}
                      max={200}
                      onCommit={(count) =>
                        Number.isInteger(count)
                          ? put({ holds: t.holds.map((y, n) => (n === i ? { ...y, count } : y)) })
                          : `How many is ${count}; it must be a whole number.`
                      }
                    />
                    <Button look="quiet" onClick={() => say(put({ holds: t.holds.filter((_, n) => n !== i) }))}>
                      Take these out of the list
                    </Button>
                  </div>
                ))}
                <Button onClick={() => say(put({ holds: [...t.holds, { cable: catalogue.cables[2]!.id, count: 1 }] }))}>
                  Add cables in it
                </Button>
                <Button
                  look="quiet"
                  icon={<Trash2 size={14} />}
                  onClick={() => say(edit([change("foundTrunkings", t.id, null)]))}
                >
                  Remove
                </Button>
              </div>
            </details>
          );
        })}
      <div>
        <Button
          onClick={() => {
            const id = newId("ft");
            const u = Math.round(length / 2);
            const refused = edit([
              change(
                "foundTrunkings",
                id,
                foundTrunkingSchema.parse({
                  id,
                  wall: face.wall.id,
                  size: catalogue.trunkings[2]!.id,
                  from: { u, v: 1500 },
                  to: { u, v: Math.round(height) },
                }),
              ),
            ]);
            if (!refused) useDesk.setState({ fresh: id });
            say(refused);
          }}
        >
          Add trunking
        </Button>
      </div>
    </>
  );
}
