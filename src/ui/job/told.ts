"use client";

export type ToldOf = "job" | "record" | "any";

/** One stream a page, however many listen: a browser opens only a few connections to one server, for all its tabs together. */
let stream: { job: string; close: () => void } | null = null;
const listeners = new Set<(of: ToldOf) => void>();

/** Opens the stream while the page is seen; whoever comes back to it is told once, and looks. */
function open(job: string): { job: string; close: () => void } {
  let events: EventSource | null = null;
  const follow = (): void => {
    events?.close();
    events = null;
    if (document.hidden) return;
    events = new EventSource(`/api/jobs/${encodeURIComponent(job)}/changes`);
    events.onmessage = (e) => {
      if (e.data === "job" || e.data === "record" || e.data === "any") for (const told of listeners) told(e.data);
    };
  };
  follow();
  document.addEventListener("visibilitychange", follow);
  return {
    job,
    close: () => {
      document.removeEventListener("visibilitychange", follow);
      events?.close();
    },
  };
}

/**
 * Calls `told` as soon as somebody else changes the job or its record. Where the connection is gone it comes back by itself, and
 * tells once more then.
 * @returns what ends it
 */
export function whenTold(jobId: string, told: (of: ToldOf) => void): () => void {
  if (typeof EventSource === "undefined") return () => {};
  listeners.add(told);
  if (stream?.job !== jobId) {
    stream?.close();
    stream = open(jobId);
  }
  return () => {
    listeners.delete(told);
    if (listeners.size) return;
    stream?.close();
    stream = null;
  };
}
