"use client";

/**
 * Calls `told` as soon as somebody else changes the job or its record. Where the connection is gone it comes back by itself, and
 * tells once more then.
 * @returns what ends it
 */
export function whenTold(jobId: string, told: (of: "job" | "record" | "any") => void): () => void {
  if (typeof EventSource === "undefined") return () => {};
  const events = new EventSource(`/api/jobs/${encodeURIComponent(jobId)}/changes`);
  events.onmessage = (e) => {
    if (e.data === "job" || e.data === "record" || e.data === "any") told(e.data);
  };
  return () => events.close();
}
