"use client";
import { toast } from "sonner";
import { writeJobFile } from "../../core/job/file";
import type { JobActions } from "../job/actions";
import { useDesk } from "../job/store";
import { planAgain } from "../job/use-planner";
import { Button } from "../kit/button";

/** What the server would not take, and the ways on. What was typed stays on the screen and on this device. */
export function NotStored({ actions }: { actions: JobActions }) {
  const storing = useDesk((s) => s.storing);
  const why = useDesk((s) => s.notStored);
  const job = useDesk((s) => s.job);
  const changes = useDesk((s) => s.waiting.length);
  if (storing !== "gone" && storing !== "refused") return null;
  const offline = (): void => void toast.error("The server did not answer; try again when it is running.");
  const keep = (): void => {
    const url = URL.createObjectURL(new Blob([writeJobFile(job)], { type: "application/json" }));
    const a = document.createElement("a");
    a.href = url;
    a.download = `${job.name.replace(/[^A-Za-z0-9]+/g, "-") || "job"}.lumbet.json`;
    a.click();
    URL.revokeObjectURL(url);
  };
  const putBack = (): void => {
    actions.restore(job.id).then((told) => {
      if (!told.ok) return void toast.error(told.message);
      useDesk.setState((s) => ({
        storing: s.waiting.length ? "storing" : "stored",
        notStored: null,
        waiting: [...s.waiting],
      }));
      toast("The job is on the list again");
    }, offline);
  };
  const letGo = (): void => {
    // What waits is forgotten on this device too; the page then opens on what is stored.
    useDesk.setState({ waiting: [] });
    window.location.reload();
  };
  return (
    <div
      role="alert"
      className="no-print flex flex-wrap items-center gap-2 border-b-2 border-stop bg-panel px-3 py-2"
      data-not-stored
    >
      <p className="min-w-0 flex-1">
        <strong className="text-stop">Not stored.</strong> {why}{" "}
        {changes
          ? `${changes === 1 ? "Your change is" : `Your ${changes} changes are`} kept on this device.`
          : "Nothing of yours waits."}{" "}
        {storing === "refused" ? "Undo or change it, and it is sent again." : ""}
      </p>
      <Button onClick={keep}>Keep as a job file</Button>
      {storing === "gone" ? (
        <Button look="solid" onClick={putBack}>
          Put the job back
        </Button>
      ) : (
        <Button onClick={letGo}>Go back to what is stored</Button>
      )}
    </div>
  );
}

/** The planner failed: what is shown is the plan before, and it can be asked again. */
export function PlanFault() {
  const fault = useDesk((s) => s.planFault);
  if (!fault) return null;
  return (
    <div role="alert" className="no-print flex flex-wrap items-center gap-2 border-2 border-stop bg-panel px-2 py-1.5">
      <p className="min-w-0 flex-1 text-[13.5px]">
        <strong className="text-stop">The plan could not be worked out:</strong> {fault}. What is shown is from before
        your last change.
      </p>
      <Button onClick={planAgain}>Try again</Button>
    </div>
  );
}
