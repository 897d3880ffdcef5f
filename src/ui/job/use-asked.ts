"use client";
import { useState } from "react";
import { toast } from "sonner";
import type { Job } from "../../core/job/model";
import { useDesk } from "./store";

/**
 * An answer that a person asks the worker for. It belongs to the job as it was when it was asked: after any change it is gone, so that
 * no figure stands on the screen that is no longer so. A question that fails is told, and can be asked again.
 */
export function useAsked<T>(question: (job: Job) => Promise<T>): { answer: T | "working" | null; ask: () => void } {
  const job = useDesk((s) => s.job);
  const [told, setTold] = useState<{ job: Job; answer: T | "working" } | null>(null);
  const ask = (): void => {
    setTold({ job, answer: "working" });
    question(job).then(
      (answer) => setTold((t) => (t?.job === job ? { job, answer } : t)),
      (e: unknown) => {
        setTold((t) => (t?.job === job ? null : t));
        toast.error(`That could not be worked out: ${e instanceof Error ? e.message : String(e)}. Ask again.`);
      },
    );
  };
  return { answer: told?.job === job ? told.answer : null, ask };
}
