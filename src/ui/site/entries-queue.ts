"use client";
import { useCallback, useEffect, useRef, useState } from "react";
import type { SiteEntry } from "../../core/job/site-entry";

export type Send = (
  jobId: string,
  entries: SiteEntry[],
) => Promise<{ ok: true; siteBook: SiteEntry[] } | { ok: false; message: string }>;

/** Lines that stay on the phone until the server has them. */
const read = (key: string): SiteEntry[] => {
  try {
    const list: unknown = JSON.parse(localStorage.getItem(key) ?? "[]");
    return Array.isArray(list) ? (list as SiteEntry[]) : [];
  } catch {
    return [];
  }
};

/**
 * The site book as seen on this phone: what the server has, and what is kept here to send. A tap counts at once;
 * without a signal it is kept and sent when there is one again.
 */
export function useEntries(
  jobId: string,
  stored: SiteEntry[],
  send: Send,
): { entries: SiteEntry[]; toSend: number; refused: string | null; add: (e: SiteEntry) => void } {
  const key = `lumbet-site-${jobId}`;
  const [server, setServer] = useState(stored);
  const [kept, setKept] = useState<SiteEntry[]>([]);
  const [refused, setRefused] = useState<string | null>(null);
  const busy = useRef(false);
  const flush = useCallback(async () => {
    const list = read(key);
    if (busy.current || !list.length) return;
    busy.current = true;
    try {
      const answer = await send(jobId, list);
      if (answer.ok) {
        const sent = new Set(list.map((e) => e.id));
        const left = read(key).filter((e) => !sent.has(e.id));
        localStorage.setItem(key, JSON.stringify(left));
        setServer(answer.siteBook);
        setKept(left);
        setRefused(null);
      } else setRefused(answer.message);
    } catch {
      // No signal: it stays here and goes with the next try.
    }
    busy.current = false;
  }, [jobId, key, send]);
  useEffect(() => {
    setKept(read(key));
    void flush();
    const timer = setInterval(() => void flush(), 6000);
    const online = (): void => void flush();
    window.addEventListener("online", online);
    return () => {
      clearInterval(timer);
      window.removeEventListener("online", online);
    };
  }, [flush, key]);
  const add = useCallback(
    (e: SiteEntry) => {
      const next = [...read(key), e];
      localStorage.setItem(key, JSON.stringify(next));
      setKept(next);
      void flush();
    },
    [flush, key],
  );
  const have = new Set(server.map((e) => e.id));
  return { entries: [...server, ...kept.filter((e) => !have.has(e.id))], toSend: kept.length, refused, add };
}
