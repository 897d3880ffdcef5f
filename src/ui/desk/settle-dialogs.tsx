"use client";
import { pointLabels } from "../../core/job/labels";
import { toast } from "sonner";
import { partsOfKey } from "../../core/job/run-key";
import { stepNames } from "../../core/job/site-entry";
import { thingName } from "../../core/job/differences";
import { edit, passOver, redo, undo, useDesk } from "../job/store";
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

/** Before a step back that would take back what another did since: what it is, and ways on. */
export function OverwritesSheet() {
  const overwrites = useDesk((s) => s.overwrites);
  const job = useDesk((s) => s.job);
  if (!overwrites) return null;
  const word = overwrites.way === "past" ? "Undo" : "Redo";
  const leave = (): void => useDesk.setState({ overwrites: null });
  return (
    <Sheet
      open
      onOpenChange={(o) => !o && leave()}
      title="Another has changed this since"
      about={`${word} would set it to what it was for you, and what the other made of it would be gone.`}
    >
      <ul className="mb-3 list-inside list-disc">
        {[...new Set(overwrites.things.map((t) => thingName(t, job)))].map((name) => (
          <li key={name}>{name}</li>
        ))}
      </ul>
      <div className="flex flex-wrap justify-end gap-2">
        <Button
          onClick={() => {
            leave();
            const stepped = overwrites.way === "past" ? undo(true) : redo(true);
            if (typeof stepped === "object") toast.error(stepped.refused);
          }}
        >
          {word} all the same
        </Button>
        <Button
          onClick={() => {
            passOver();
            toast("Passed over. The step before it is next.");
          }}
        >
          Pass over it
        </Button>
        <Button look="solid" data-do onClick={leave}>
          Leave it
        </Button>
      </div>
    </Sheet>
  );
}
