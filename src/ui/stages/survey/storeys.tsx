"use client";
import { Trash2 } from "lucide-react";
import { addStorey, removeStorey, say } from "../../job/edits";
import { change, edit, useDesk } from "../../job/store";
import { Button } from "../../kit/button";
import { NumberField, TextField } from "../../kit/field";

/** Storeys from the top down, the shown one with its form. */
export function Storeys({ shown }: { shown: string }) {
  const job = useDesk((s) => s.job);
  const ordered = [...job.storeys].sort((a, b) => b.level - a.level);
  const storey = job.storeys.find((s) => s.id === shown);
  const pick = (id: string): void =>
    useDesk.setState((s) => ({
      storey: id,
      selection: null,
      room: s.job.rooms.find((r) => r.storey === id)?.id ?? null,
    }));
  return (
    <section aria-label="Storeys" className="grid gap-1.5">
      <h2 className="text-lg">Storeys</h2>
      <ul className="border border-line">
        {ordered.map((s) => {
          const rooms = job.rooms.filter((r) => r.storey === s.id).length;
          return (
            <li key={s.id} className="border-b border-line last:border-b-0">
              <button
                type="button"
                aria-pressed={s.id === shown}
                className={`flex min-h-8 w-full cursor-pointer items-center justify-between px-2 text-left ${s.id === shown ? "bg-ink text-panel" : "hover:bg-rail"}`}
                onClick={() => pick(s.id)}
              >
                <span className="font-cond font-semibold">{s.name}</span>
                <span className="text-[12.5px] opacity-80">
                  {rooms} {rooms === 1 ? "room" : "rooms"}
                </span>
              </button>
            </li>
          );
        })}
      </ul>
      {storey ? (
        <>
          <TextField
            label="Name"
            name="storey name"
            value={storey.name}
            onCommit={(name) => edit([change("storeys", storey.id, { ...storey, name })])}
          />
          <NumberField
            label="Floor level"
            name="storey level"
            value={storey.level}
            onCommit={(level) => edit([change("storeys", storey.id, { ...storey, level })])}
          />
          <NumberField
            label="Usual height"
            name="storey height"
            value={storey.height}
            min={300}
            max={20000}
            onCommit={(height) => edit([change("storeys", storey.id, { ...storey, height })])}
          />
        </>
      ) : null}
      <div className="flex flex-wrap gap-1">
        <Button
          onClick={() =>
            say(
              addStorey(
                "above",
                ["First floor", "Second floor", "Loft"].find((n) => !job.storeys.some((s) => s.name === n)) ??
                  `Storey ${job.storeys.length + 1}`,
              ),
            )
          }
        >
          Add one above
        </Button>
        <Button
          onClick={() =>
            say(
              addStorey(
                "below",
                job.storeys.some((s) => s.name === "Cellar") ? `Cellar ${job.storeys.length}` : "Cellar",
              ),
            )
          }
        >
          Add one below
        </Button>
        {storey && job.storeys.length > 1 ? (
          <Button
            look="quiet"
            icon={<Trash2 size={14} />}
            aria-label={`Delete ${storey.name}`}
            onClick={() => say(removeStorey(storey.id))}
          />
        ) : null}
      </div>
    </section>
  );
}
