"use client";
import { useCallback, useEffect, useMemo, useState } from "react";
import type { SiteEntry } from "../../core/job/site-entry";
import { signedOut } from "../kit/signed-out";
import { get, set } from "idb-keyval";
import { bookKey } from "../kit/keep-for-offline";
import { linesKeep } from "./entries-keep";
import { EntriesStore, type Refused, type Send } from "./entries-store";

export type { Send } from "./entries-store";

/** The record as it is seen on this phone. */
export interface SeenEntries {
  entries: SiteEntry[];
  toSend: number;
  /** Those of them that the server has not answered for. */
  waiting: readonly SiteEntry[];
  /** Lines the server would not take, each with its reason. */
  refused: Refused[];
  /** Why the server took nothing at all; null when it did. */
  notTaken: string | null;
  /** Nobody is signed in on this phone any more: what was done waits. */
  signedOut: boolean;
  /** The phone's storage is full: what waits is lost if the page is closed. */
  full: boolean;
  add: (e: SiteEntry) => void;
  settle: (how: "let-go" | "again") => void;
}

/** Lines of both, each once: lines are only ever added. */
const together = (first: SiteEntry[], second: readonly SiteEntry[]): SiteEntry[] => {
  const have = new Set(first.map((e) => e.id));
  const more = second.filter((e) => !have.has(e.id));
  return more.length ? [...first, ...more] : first;
};

/**
 * The site book as seen on this phone: what the server has, and what is kept here to send. A tap counts at once;
 * without a signal it is kept and sent when there is one again.
 */
export function useEntries(jobId: string, stored: SiteEntry[], send: Send): SeenEntries {
  const [server, setServer] = useState(stored);
  const learn = useCallback(
    (book: SiteEntry[]): void => {
      setServer((had) => together(book, had));
      // The page as it is kept for where there is no signal is older than what has been sent from it since.
      void set(bookKey(jobId), book).catch(() => undefined);
    },
    [jobId],
  );
  const [, redraw] = useState(0);
  const draw = useCallback(() => redraw((n) => n + 1), []);
  const queue = useMemo(
    () => (typeof indexedDB === "undefined" ? null : new EntriesStore(jobId, linesKeep(jobId), send, signedOut)),
    [jobId, send],
  );
  // What the phone keeps is not known to the server that drew the page first.
  const [here, setHere] = useState(false);
  const flush = useCallback(async () => {
    await queue?.flush(learn);
    draw();
  }, [queue, learn, draw]);
  useEffect(() => {
    const go = async (): Promise<void> => {
      await queue?.open();
      setHere(true);
      draw();
      await flush();
    };
    get<SiteEntry[]>(bookKey(jobId)).then(
      (book) => book && setServer((had) => together(had, book)),
      () => undefined,
    );
    void go();
    const timer = setInterval(() => void go(), 6000);
    const online = (): void => void go();
    const leave = (e: BeforeUnloadEvent): void => {
      if (queue?.full) e.preventDefault();
    };
    window.addEventListener("online", online);
    window.addEventListener("beforeunload", leave);
    return () => {
      clearInterval(timer);
      window.removeEventListener("online", online);
      window.removeEventListener("beforeunload", leave);
    };
  }, [flush, queue, jobId, draw]);
  const add = useCallback(
    (e: SiteEntry) => {
      // Seen at once; told as kept when the phone has it.
      void queue?.add(e).then(draw);
      draw();
      void flush();
    },
    [flush, queue, draw],
  );
  const settle = useCallback(
    (how: "let-go" | "again") => {
      void queue?.settle(how).then(() => {
        draw();
        void flush();
      });
    },
    [flush, queue, draw],
  );
  const kept = here && queue ? queue.waiting() : [];
  const have = new Set(server.map((e) => e.id));
  return {
    entries: [...server, ...kept.filter((e) => !have.has(e.id))],
    toSend: kept.length,
    waiting: kept,
    refused: here && queue ? queue.refused() : [],
    notTaken: queue?.notTaken ?? null,
    signedOut: queue?.signedOut ?? false,
    full: queue?.full ?? false,
    add,
    settle,
  };
}
