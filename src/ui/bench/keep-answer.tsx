"use client";
import { Bookmark } from "lucide-react";
import Link from "next/link";
import { useState } from "react";
import { toast } from "sonner";
import { Button } from "../kit/button";
import { Sheet } from "../kit/dialog";
import type { BenchActions, KeptAnswer } from "./actions";
import { addressOf } from "./recent";

/** Keeps the answer under a name, for a job if one is chosen. */
export function KeepAnswer({
  calculator,
  input,
  suggested,
  jobs,
  actions,
  onKept,
  disabled,
}: {
  calculator: string;
  input: unknown;
  suggested: string;
  jobs: { id: string; name: string }[];
  actions: BenchActions;
  onKept: (all: KeptAnswer[]) => void;
  disabled: boolean;
}) {
  const [open, setOpen] = useState(false);
  const [name, setName] = useState("");
  const [job, setJob] = useState("");
  const [fault, setFault] = useState<string | null>(null);
  const store = async (): Promise<void> => {
    try {
      const done = await actions.keep({ name, calculator, input, jobId: job || null });
      if (!done.ok) return setFault(done.message);
      onKept(done.kept);
      setOpen(false);
      toast("Answer kept");
    } catch {
      setFault("The server did not answer. Nothing is lost; try again when it is running.");
    }
  };
  return (
    <>
      <Button
        icon={<Bookmark size={15} />}
        disabled={disabled}
        onClick={() => {
          setName(suggested.slice(0, 80));
          setFault(null);
          setOpen(true);
        }}
      >
        Keep
      </Button>
      <Sheet
        open={open}
        onOpenChange={setOpen}
        title="Keep this answer"
        about="It is stored here with its input, and opens again from the Bench or from the job."
      >
        <form
          onSubmit={(e) => {
            e.preventDefault();
            void store();
          }}
        >
          <label className="grid gap-1 text-[14px]">
            Name
            <input
              className="min-h-10 border border-line bg-field px-2"
              value={name}
              onChange={(e) => setName(e.target.value)}
              data-field="answer name"
              aria-invalid={fault !== null}
            />
          </label>
          <label className="mt-2 grid gap-1 text-[14px]">
            For the job
            <select
              className="min-h-10 border border-line bg-field px-2"
              value={job}
              onChange={(e) => setJob(e.target.value)}
            >
              <option value="">no job</option>
              {jobs.map((j) => (
                <option key={j.id} value={j.id}>
                  {j.name}
                </option>
              ))}
            </select>
          </label>
          {fault ? (
            <p role="alert" className="mt-2 font-medium text-stop">
              {fault}
            </p>
          ) : null}
          <div className="mt-4 flex justify-end gap-2">
            <Button onClick={() => setOpen(false)}>Cancel</Button>
            <Button look="solid" type="submit">
              Keep it
            </Button>
          </div>
        </form>
      </Sheet>
    </>
  );
}

/** Answers that were kept. */
export function KeptList({
  kept,
  jobs,
  onDrop,
}: {
  kept: readonly KeptAnswer[];
  jobs?: readonly { id: string; name: string }[];
  onDrop?: (id: string) => void;
}) {
  if (!kept.length) return <p className="text-soft">None kept yet. On the Bench, work something out and press Keep.</p>;
  return (
    <ul>
      {kept.map((k) => (
        <li
          key={k.id}
          className="flex flex-wrap items-baseline gap-x-3 border-b border-dotted border-line py-1.5"
          data-kept={k.name}
        >
          <Link
            href={addressOf(k.calculator, k.input)}
            className="font-cond text-[15px] font-semibold underline decoration-dotted underline-offset-2"
          >
            {k.name}
          </Link>
          <span className="min-w-0 flex-1 basis-60 text-[14px]">{k.headline}</span>
          {k.jobId && jobs ? (
            <span className="text-[13px] text-soft">{jobs.find((j) => j.id === k.jobId)?.name ?? "a deleted job"}</span>
          ) : null}
          {onDrop ? (
            <button
              type="button"
              className="min-h-8 cursor-pointer text-[13.5px] text-soft underline underline-offset-2"
              onClick={() => onDrop(k.id)}
              aria-label={`Take away ${k.name}`}
            >
              take away
            </button>
          ) : null}
        </li>
      ))}
    </ul>
  );
}
