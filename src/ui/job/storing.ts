"use client";
import { useEffect } from "react";
import { toast } from "sonner";
import type { JobActions } from "./actions";
import { mergeMissed, useDesk } from "./store";

/** How long to wait before trying again when the server cannot be reached, ms. */
const RETRY = 3000;

/** Sends waiting patches one after the other; keeps them while there is no connection. */
export function useStoring(actions: JobActions): void {
  useEffect(() => {
    let busy = false;
    let stopped = false;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const send = async (): Promise<void> => {
      const s = useDesk.getState();
      if (busy || stopped || s.conflict || !s.waiting.length) return;
      busy = true;
      useDesk.setState({ storing: "storing" });
      const sent = s.waiting.length;
      try {
        const answer = await actions.edit(s.job.id, s.version, s.waiting.flat());
        if (stopped) return;
        if (answer.kind === "stored") {
          mergeMissed(answer.missed, answer.version, sent);
          useDesk.setState((x) => ({ storing: x.waiting.length ? "storing" : "stored" }));
        } else if (answer.kind === "conflict") {
          useDesk.setState((x) => ({
            storing: "conflict",
            conflict: { theirs: answer.job, version: answer.version, clashes: answer.clashes, mine: x.waiting },
          }));
        } else {
          const why =
            answer.kind === "gone"
              ? "This job has been deleted meanwhile."
              : answer.refusals.map((r) => r.message).join("; ");
          toast.error(`Not stored: ${why}`, { duration: 20_000 });
          useDesk.setState({ waiting: [], storing: "stored" });
        }
      } catch {
        useDesk.setState({ storing: "offline" });
        timer = setTimeout(() => void send(), RETRY);
      } finally {
        busy = false;
      }
      const left = useDesk.getState();
      if (left.waiting.length && left.storing === "storing") void send();
    };
    const off = useDesk.subscribe((s, before) => {
      if (s.waiting !== before.waiting || s.conflict !== before.conflict) void send();
    });
    // What a reload cut short is sent at once.
    void send();
    // What other tabs store shows here without asking.
    const poll = setInterval(() => {
      const s = useDesk.getState();
      if (busy || s.waiting.length || s.conflict || document.hidden) return;
      actions
        .changesSince(s.job.id, s.version)
        .then((missed) => {
          const now = useDesk.getState();
          const last = missed[missed.length - 1];
          if (!stopped && last && last.version > now.version && !now.waiting.length && !busy)
            mergeMissed(
              missed.filter((m) => m.version > now.version),
              last.version,
              0,
            );
        })
        .catch(() => undefined);
    }, 5000);
    const online = (): void => void send();
    const leave = (e: BeforeUnloadEvent): void => {
      if (useDesk.getState().waiting.length) e.preventDefault();
    };
    window.addEventListener("online", online);
    window.addEventListener("beforeunload", leave);
    return () => {
      stopped = true;
      off();
      clearTimeout(timer);
      clearInterval(poll);
      window.removeEventListener("online", online);
      window.removeEventListener("beforeunload", leave);
    };
  }, [actions]);
}
