"use client";
import { Trash2 } from "lucide-react";
import { toast } from "sonner";
import type { Face } from "../../core/job/house";
import { fixtureKinds } from "../../core/job/model";
import { mm } from "../../core/rules/findings";
import { addFixture, addOpening, splitSide } from "../job/edits";
import { change, edit, useDesk } from "../job/store";
import { Button } from "../kit/button";
import { CheckField, NumberField, SelectField } from "../kit/field";

const say = (refused: string | null): void => {
  if (refused) toast.error(refused);
};

/** Build of a wall, its openings and what stands against it. */
export function WallForm({ face }: { face: Face }) {
  const job = useDesk((s) => s.job);
  const { wall } = face;
  const { length, height } = face.shape;
  const openings = job.openings.filter((o) => o.wall === wall.id).sort((a, b) => a.u - b.u);
  const fixtures = job.fixtures.filter((f) => f.wall === wall.id).sort((a, b) => a.u - b.u);
  const put = (next: Partial<typeof wall>): string | null => edit([change("walls", wall.id, { ...wall, ...next })]);
  return (
    <section aria-label={`Wall ${wall.index + 1}`} className="grid gap-1.5">
      <h2 className="text-lg">
        Wall {wall.index + 1} of {face.room.name} <span className="num text-[14px] font-normal text-soft">{mm(length)}</span>
      </h2>
      <SelectField label="Build" value={wall.build} options={[{ value: "masonry", name: "masonry" }, { value: "dry-lined", name: "dry-lined masonry" }, { value: "stud", name: "timber stud" }, { value: "metal-stud", name: "metal stud" }]} onCommit={(build) => put({ build })} />
      <NumberField label="Thickness" value={wall.thickness} min={20} max={2000} onCommit={(thickness) => put({ thickness })} />
      <SelectField label="Behind it" value={wall.backing} options={[{ value: "room", name: "a room" }, { value: "outside", name: "outside" }, { value: "party", name: "the neighbour" }]} onCommit={(backing) => put({ backing })} />
      <div className="flex gap-4">
        <CheckField label="Insulated" value={wall.insulated} onCommit={(insulated) => say(put({ insulated }))} />
        <CheckField label="Foil-backed board" value={wall.foilBacked} onCommit={(foilBacked) => say(put({ foilBacked }))} />
      </div>
      <h3 className="mt-1">Openings</h3>
      {openings.length ? null : <p className="text-[13px] text-soft">None.</p>}
      {openings.map((o) => (
        <details key={o.id} className="border border-line px-2 py-1">
          <summary className="cursor-pointer text-[13.5px]">
            {o.kind} <span className="num">{mm(o.width)} × {mm(o.height)}</span> at <span className="num">{mm(o.u)}</span>
          </summary>
          <div className="grid gap-1 pt-1">
            {(["u", "v", "width", "height"] as const).map((k) => (
              <NumberField key={k} label={{ u: "From left", v: "Sill, from floor", width: "Width", height: "Height" }[k]} value={o[k]} min={k === "u" || k === "v" ? 0 : 1} onCommit={(x) => edit([change("openings", o.id, { ...o, [k]: x })])} />
            ))}
            <Button look="quiet" icon={<Trash2 size={14} />} onClick={() => say(edit([change("openings", o.id, null)]))}>
              Remove
            </Button>
          </div>
        </details>
      ))}
      <div className="flex flex-wrap gap-1">
        {(["door", "window", "arch"] as const).map((k) => (
          <Button key={k} onClick={() => say(addOpening(wall.id, k, length, height))}>
            Add {k}
          </Button>
        ))}
      </div>
      <h3 className="mt-1">Standing against it</h3>
      {fixtures.map((f) => (
        <details key={f.id} className="border border-line px-2 py-1">
          <summary className="cursor-pointer text-[13.5px]">
            {f.name || f.kind} <span className="num">{mm(f.width)}</span> at <span className="num">{mm(f.u)}</span>
          </summary>
          <div className="grid gap-1 pt-1">
            {(["u", "v", "width", "height", "depth"] as const).map((k) => (
              <NumberField key={k} label={{ u: "From left", v: "From floor", width: "Width", height: "Height", depth: "Depth" }[k]} value={f[k]} min={k === "width" || k === "height" ? 1 : 0} onCommit={(x) => edit([change("fixtures", f.id, { ...f, [k]: x })])} />
            ))}
            <Button look="quiet" icon={<Trash2 size={14} />} onClick={() => say(edit([change("fixtures", f.id, null)]))}>
              Remove
            </Button>
          </div>
        </details>
      ))}
      <SelectField label="Add" value="" options={[{ value: "", name: "choose" }, ...fixtureKinds.map((k) => ({ value: k as string, name: k.replace("-", " ") }))]} onCommit={(k) => (k ? addFixture(wall.id, k as (typeof fixtureKinds)[number], length) : null)} />
      <Button look="quiet" onClick={() => say(splitSide(face.room, wall.index))}>
        Put a corner in the middle of this wall
      </Button>
    </section>
  );
}
