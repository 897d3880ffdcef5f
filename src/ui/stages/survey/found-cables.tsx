"use client";
import { pointLabels } from "../../../core/job/labels";
import { foundShapeWords } from "../../../core/words/circuits";
import { foundShape } from "../../../core/trades/circuits/found";
import { foundCableSchema } from "../../../core/job/model";
import { newId, say } from "../../job/edits";
import { change, edit, useDesk } from "../../job/store";
import { Button } from "../../kit/button";
import { SelectField, TextField } from "../../kit/field";
import { Thing } from "../../kit/thing";
import { TracedStretches } from "./traced";

/** Cables found in the house: from where to where, in which colours, kept or taken out; and what follows for the old circuits. */
export function FoundCables() {
  const job = useDesk((s) => s.job);
  const catalogue = useDesk((s) => s.catalogue);
  const points = [...job.points].sort((a, b) => a.label.localeCompare(b.label, undefined, { numeric: true }));
  const label = pointLabels(job);
  const old = job.circuits.filter((c) => c.state !== "new");
  return (
    <section aria-label="Found in the house" className="grid gap-1.5">
      <h2 className="text-lg">Found in the house</h2>
      <p className="text-[13px] text-soft">
        Mark old points as found in their form, and old circuits as kept or extended in Circuits. Isolate, prove dead,
        prove the tester before and after.
      </p>
      {old.map((c) => (
        <p key={c.id} className="text-[13px]" data-found={c.label}>
          <span className="font-semibold">{c.label}</span>:{" "}
          {foundShapeWords(foundShape(job, c), (id) => job.points.find((p) => p.id === id)?.label ?? id)}
        </p>
      ))}
      {job.foundCables.map((f) => {
        const put = (next: Partial<typeof f>): string | null => edit([change("foundCables", f.id, { ...f, ...next })]);
        return (
          <Thing
            key={f.id}
            onRemove={() => say(edit([change("foundCables", f.id, null)]))}
            summary={
              <>
                {label(f.from)} to {f.to === null ? "not traced" : label(f.to)}
                <span className="text-soft">
                  {" "}
                  · {f.colours === "unknown" ? "not made out" : `${f.colours} colours`}
                  {f.fate === "take-out" ? ", comes out" : ""}
                </span>
              </>
            }
          >
            <SelectField
              label="From"
              value={f.from}
              options={points.map((p) => ({ value: p.id, name: p.label }))}
              onCommit={(from) => put({ from })}
            />
            <SelectField
              label="To"
              value={f.to ?? ""}
              options={[
                { value: "", name: "end not traced" },
                ...points.filter((p) => p.id !== f.from).map((p) => ({ value: p.id, name: p.label })),
              ]}
              onCommit={(to) => put({ to: to || null })}
            />
            <SelectField
              label="Cable"
              value={f.cable}
              options={[
                { value: "", name: "not made out" },
                ...catalogue.cables.map((c) => ({ value: c.id, name: c.name })),
              ]}
              onCommit={(cable) => put({ cable })}
            />
            <SelectField
              label="Colours"
              value={f.colours}
              options={[
                { value: "unknown", name: "not looked at" },
                { value: "old", name: "old: red and black" },
                { value: "new", name: "new: brown and blue" },
              ]}
              onCommit={(colours) => put({ colours })}
            />
            <SelectField
              label="Stays"
              value={f.fate}
              options={[
                { value: "keep", name: "keep it" },
                { value: "take-out", name: "take it out" },
              ]}
              onCommit={(fate) => put({ fate })}
            />
            <TracedStretches cable={f} put={put} />
            <TextField label="Note" required={false} most={200} value={f.note} onCommit={(note) => put({ note })} />
          </Thing>
        );
      })}
      <div>
        <Button
          onClick={() => {
            const from = points.find((p) => p.existing) ?? points[0];
            if (!from) return say("Place the point it was found at first.");
            const id = newId("fc");
            say(edit([change("foundCables", id, foundCableSchema.parse({ id, from: from.id, to: null }))]));
          }}
        >
          Add a cable found
        </Button>
      </div>
    </section>
  );
}
