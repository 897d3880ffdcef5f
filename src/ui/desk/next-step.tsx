"use client";
import { ArrowRight } from "lucide-react";
import type { Job } from "../../core/job/model";
import { type StageId } from "../job/stages";
import { type DeskState, useDesk } from "../job/store";
import { goTo } from "./order-of-work";

interface Step {
  words: string;
  name: string;
  go: () => void;
}

const ask = (asked: DeskState["asked"]): void => {
  goTo("survey");
  useDesk.setState({ asked });
};
/** The first wall of the room shown, or of the first room. */
const wallOf = (job: Job, room: string | null): string | undefined =>
  job.walls.filter((w) => w.room === (room ?? job.rooms[0]?.id)).sort((a, b) => a.index - b.index)[0]?.id;

/** The next thing of a job that has only begun; null once it has all that a plan is made from. */
export function nextStep(job: Job, room: string | null): Step | null {
  if (!job.rooms.length)
    return {
      words: "Walk the first room: its lengths and turns are enough.",
      name: "Walk a room",
      go: () => ask("walk"),
    };
  const pickWall = (stage: StageId): void => {
    goTo(stage);
    const wall = wallOf(job, room);
    if (wall) useDesk.setState({ view: "unrolled", selection: { kind: "wall", id: wall } });
  };
  if (!job.openings.length && !job.points.length)
    return {
      words: "Press a wall, and put in its doors and windows.",
      name: "Show its form",
      go: () => pickWall("survey"),
    };
  if (!job.points.some((p) => p.kind === "board"))
    return {
      words: "Put the board on a wall: nothing is laid without it.",
      name: "To the points",
      go: () => pickWall("points"),
    };
  if (!job.points.some((p) => p.kind !== "board"))
    return {
      words: "Put in the first socket: it makes its own circuit, and its marks stand on the tape.",
      name: "To the points",
      go: () => pickWall("points"),
    };
  if (!job.decks.some((d) => d.kind !== "concrete"))
    return {
      words: "Say how the joists over this storey lie, for lights and for cables that go over.",
      name: "Add joists",
      go: () => ask("deck"),
    };
  return null;
}

/** What to do next, with the press that does it; nothing once the job is under way. */
export function NextStep() {
  const job = useDesk((s) => s.job);
  const room = useDesk((s) => s.room);
  const looking = useDesk((s) => s.looking);
  const step = nextStep(job, room);
  if (!step || looking) return null;
  return (
    <p
      className="flex flex-wrap items-center justify-between gap-2 border-l-4 border-accent bg-rail p-2 text-[14px]"
      data-next
    >
      <span className="min-w-0 flex-1 basis-40">
        <b>Next.</b> {step.words}
      </span>
      <button
        type="button"
        onClick={step.go}
        className="inline-flex min-h-8 cursor-pointer items-center gap-1 border border-line bg-panel px-2 font-cond font-semibold hover:border-ink"
      >
        {step.name} <ArrowRight size={14} aria-hidden />
      </button>
    </p>
  );
}
