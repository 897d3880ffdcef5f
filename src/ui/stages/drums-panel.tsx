"use client";
import { Plus, Trash2 } from "lucide-react";
import { nanoid } from "nanoid";
import { cableOf } from "../../core/rules/catalogue";
import { mm } from "../../core/base/figures";
import { change, edit, useDesk } from "../job/store";
import { Button } from "../kit/button";
import { CheckField, NumberField, SelectField, TextField } from "../kit/field";

/** Drums on the van: what the runs are cut from. */
export function DrumsPanel() {
  const job = useDesk((s) => s.job);
  return (
    <section aria-label="Drums" className="grid gap-1.5">
      <div className="flex items-center justify-between">
        <h2 className="text-lg">Drums</h2>
        <Button
          icon={<Plus size={14} />}
          onClick={() => {
            const id = `drum-${nanoid(6)}`;
            edit([
              change("drums", id, {
                id,
                label: `Drum ${job.drums.length + 1}`,
                cable: "te-2.5",
                length: 50_000,
                mark: null,
                rising: true,
              }),
            ]);
          }}
        >
          Add drum
        </Button>
      </div>
      {job.drums.map((d) => (
        <details key={d.id} className="border border-line px-2 py-1">
          <summary className="cursor-pointer text-[13.5px]">
            {d.label} · {cableOf(d.cable, useDesk.getState().catalogue)?.name}{" "}
            <span className="num">{mm(d.length / 1000)} m</span>
          </summary>
          <div className="grid gap-1 pt-1">
            <TextField
              label="Label"
              most={20}
              value={d.label}
              onCommit={(label) => edit([change("drums", d.id, { ...d, label })])}
            />
            <SelectField
              label="Cable"
              value={d.cable}
              options={useDesk.getState().catalogue.cables.map((c) => ({ value: c.id, name: c.name }))}
              onCommit={(cable) => edit([change("drums", d.id, { ...d, cable })])}
            />
            <NumberField
              label="On it when it came"
              unit="m"
              step={1}
              value={d.length / 1000}
              min={0.1}
              max={100}
              onCommit={(m) => edit([change("drums", d.id, { ...d, length: m * 1000 })])}
            />
            <CheckField
              label="Metre mark read"
              value={d.mark !== null}
              onCommit={(on) => edit([change("drums", d.id, { ...d, mark: on ? 0 : null })])}
            />
            {d.mark === null ? null : (
              <>
                <NumberField
                  label="Mark at its end then"
                  unit="m"
                  step={0.1}
                  min={0}
                  max={10_000}
                  value={d.mark / 1000}
                  onCommit={(m) => edit([change("drums", d.id, { ...d, mark: Math.round(m * 1000) })])}
                />
                <CheckField
                  label="Marks rise as it is drawn off"
                  value={d.rising}
                  onCommit={(rising) => edit([change("drums", d.id, { ...d, rising })])}
                />
              </>
            )}
            <Button look="quiet" icon={<Trash2 size={14} />} onClick={() => edit([change("drums", d.id, null)])}>
              Remove
            </Button>
          </div>
        </details>
      ))}
    </section>
  );
}
