"use client";
import { pointLabels } from "../../core/job/labels";
import { toast } from "sonner";
import { partsOfKey } from "../../core/job/run-key";
import { stepNames } from "../../core/job/site-entry";
import { edit, settle, useDesk } from "../job/store";
import { Button } from "../kit/button";
import { Sheet } from "../kit/dialog";

/** Before a change that would move what is already done: what it touches, and a way back. */
export function ContradictsSheet() {
  const contradicts = useDesk((s) => s.contradicts);
  const job = useDesk((s) => s.job);
  const siteBook = useDesk((s) => s.siteBook);
  if (!contradicts) return null;
  const label = pointLabels(job);
  const runs = [...new Set(contradicts.touched.map((t) => t.run))];
  const name = (key: string): string => {
    const p = partsOfKey(key);
    return p ? `${label(p.from)} to ${label(p.to)}` : key;
  };
  const last = (key: string) => [...siteBook].reverse().find((e) => e.run === key && e.kind === "done");
  const leave = (): void => useDesk.setState({ contradicts: null });
  return (
    <Sheet
      open
      onOpenChange={(o) => !o && leave()}
      title="Work is already done on this"
      about="What is in the wall stays where it was done, whatever the plan says. Changed all the same, the plan will show both, planned and done."
    >
      <ul className="mb-3 list-inside list-disc">
        {runs.map((r) => {
          const e = last(r);
          return (
            <li key={r}>
              {name(r)}
              {e?.step ? `: ${stepNames[e.step].toLowerCase()} by ${e.by}, ${e.at.slice(0, 10)}` : ""}
            </li>
          );
        })}
      </ul>
      <div className="flex flex-wrap justify-end gap-2">
        <Button
          onClick={() => {
            leave();
            const refused = edit(contradicts.patch, true);
            if (refused) toast.error(refused);
          }}
        >
          Change it all the same
        </Button>
        <Button look="solid" data-do onClick={leave}>
          Leave it as it was done
        </Button>
      </div>
    </Sheet>
  );
}

/** Two people changed one thing: which to keep. */
export function ConflictSheet() {
  const conflict = useDesk((s) => s.conflict);
  const job = useDesk((s) => s.job);
  if (!conflict) return null;
  const nameOf = (c: { collection: string; id: string }): string => {
    if (c.collection === "points") return `point ${job.points.find((p) => p.id === c.id)?.label ?? c.id}`;
    if (c.collection === "circuits") return `circuit ${job.circuits.find((p) => p.id === c.id)?.label ?? c.id}`;
    if (c.collection === "rooms") return `room ${job.rooms.find((p) => p.id === c.id)?.name ?? c.id}`;
    return c.collection === "head" ? `the job's ${c.id}` : `${c.collection.replace(/s$/, "")} ${c.id}`;
  };
  return (
    <Sheet
      open
      onOpenChange={() => undefined}
      keep
      title="Changed in two places"
      about="While you worked here, another window or person changed the same thing. Nothing is lost: choose which to keep."
    >
      <p className="mb-3">
        It is about: <strong>{[...new Set(conflict.clashes.map(nameOf))].join(", ")}</strong>.
      </p>
      <div className="flex flex-wrap justify-end gap-2">
        <Button
          onClick={() => {
            settle("theirs");
            toast("Theirs taken. Yours was let go.");
          }}
        >
          Take theirs
        </Button>
        <Button
          look="solid"
          onClick={() => {
            settle("mine");
            toast("Yours kept and stored.");
          }}
        >
          Keep mine
        </Button>
      </div>
    </Sheet>
  );
}
