"use client";
import { useEffect } from "react";
import type { JobActions } from "./actions";
import { personName } from "../kit/person";
import { signedOut } from "../kit/signed-out";
import { whenTold } from "./told";
import { mergeMissed, useDesk } from "./store";

/** How long to wait before trying again when the server cannot be reached, ms. */
const RETRY = 3000;

/** How often it is asked what others stored, beside being told, ms. */
const LOOK = 10_000;

/** Most patches sent in one go. */
const AT_ONCE = 200;

/** Sends waiting patches one after the other; keeps them while there is no connection. */
export function useStoring(actions: JobActions): void {
  useEffect(() => {
    let busy = false;
    let stopped = false;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const send = async (): Promise<void> => {
      const s = useDesk.getState();
      if (busy || stopped || s.conflict || s.storing === "gone" || !s.waiting.length) return;
      busy = true;
      useDesk.setState({ storing: "storing" });
      const sent = s.waiting.slice(0, AT_ONCE);
      try {
        const answer = await actions.edit(s.job.id, s.version, sent, personName());
        if (stopped) return;
        switch (answer.kind) {
          case "stored":
            mergeMissed(answer.missed, answer.version, new Set(sent.map((w) => w.key)));
            useDesk.setState((x) => ({ storing: x.waiting.length ? "storing" : "stored", notStored: null }));
            break;
          case "conflict":
            useDesk.setState((x) => ({
              storing: "conflict",
              conflict: { theirs: answer.job, version: answer.version, clashes: answer.clashes, mine: x.waiting },
            }));
            break;
          case "signed-out":
            useDesk.setState({ storing: "signed-out" });
            timer = setTimeout(() => void send(), RETRY);
            break;
          case "no-room":
            useDesk.setState({ storing: "no-room", notStored: answer.message });
            timer = setTimeout(() => void send(), RETRY);
            break;
          case "gone":
            useDesk.setState({ storing: "gone", notStored: "This job has been deleted in another window." });
            break;
          case "refused":
            useDesk.setState({ storing: "refused", notStored: answer.refusals.map((r) => r.message).join("; ") });
        }
      } catch {
        useDesk.setState({ storing: (await signedOut()) ? "signed-out" : "offline" });
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
    const quiet = (): void => undefined;
    /** A deleted job that was put back takes what waited for it. */
    const back = (missed: Awaited<ReturnType<JobActions["changesSince"]>>): void => {
      if (stopped || missed === null) return;
      useDesk.setState({ storing: "storing", notStored: null });
      void send();
    };
    // What others store shows here without asking: told at once, and looked for where nobody tells.
    const look = (): void => {
      const s = useDesk.getState();
      if (busy || s.conflict || document.hidden) return;
      if (s.waiting.length)
        return s.storing === "gone" ? void actions.changesSince(s.job.id, s.version).then(back, quiet) : undefined;
      actions
        .changesSince(s.job.id, s.version)
        .then((missed) => {
          const now = useDesk.getState();
          if (stopped || busy || now.waiting.length) return;
          if (missed === null)
            return useDesk.setState({ storing: "gone", notStored: "This job has been deleted in another window." });
          if (now.storing === "gone") useDesk.setState({ storing: "stored", notStored: null });
          if (missed.kind === "whole") return mergeMissed(missed, missed.version, new Set());
          const patches = missed.patches.filter((m) => m.version > now.version);
          const last = patches[patches.length - 1];
          if (last) mergeMissed({ kind: "patches", patches }, last.version, new Set());
        })
        .catch(() => undefined);
    };
    const poll = setInterval(look, LOOK);
    const deaf = whenTold(useDesk.getState().job.id, (of) => of !== "record" && look());
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
      deaf();
      window.removeEventListener("online", online);
      window.removeEventListener("beforeunload", leave);
    };
  }, [actions]);
}
