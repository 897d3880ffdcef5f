"use client";
import { delMany, keys } from "idb-keyval";
import { useEffect, useState } from "react";

/**
 * Keeps this page, and all that it is made of, on the phone, so that it opens again without a signal.
 * @param also fetches what the page uses later, so that it is kept with it; the same function every time
 * @returns true once it is all kept; null where this browser cannot keep it, which needs the server's certificate to be trusted
 */
export function useKeptForOffline(also: () => Promise<unknown>): boolean | null {
  const [kept, setKept] = useState<boolean | null>(false);
  useEffect(() => {
    if (!("serviceWorker" in navigator) || !window.isSecureContext) return setKept(null);
    let stopped = false;
    const keep = async (): Promise<void> => {
      await navigator.serviceWorker.register("/sw.js", { scope: "/" });
      const { active } = await navigator.serviceWorker.ready;
      await also();
      // What came before the worker was there was not kept by it; what is in a picture or a style comes with it.
      const urls = new Set(
        [...performance.getEntriesByType("resource"), ...performance.getEntriesByType("navigation")]
          // What was not there is not kept either.
          .filter((e) => ((e as PerformanceResourceTiming).responseStatus ?? 200) < 400)
          .map((e) => e.name)
          .filter((u) => u.startsWith(window.location.origin) && !/\/(changes|me)$/.test(u)),
      );
      urls.add(window.location.origin + window.location.pathname);
      await told(active!, [...urls]);
      await allThere([...urls].filter((u) => KEPT.test(new URL(u).pathname)));
      // Otherwise the browser may drop it all when its disk is full.
      await navigator.storage?.persist?.();
      if (!stopped) setKept(true);
    };
    keep().catch(() => !stopped && setKept((k) => k || null));
    return () => {
      stopped = true;
    };
  }, [also]);
  return kept;
}

/** What the worker keeps of a page, by its path: programs, letters and pictures, and the page of the site. */
const KEPT = /^\/(_next\/static|icons)\/|\/site$/;

/** Waits until all of these are kept: the worker answers when they have come, and puts them away after. Throws where they are not. */
async function allThere(urls: readonly string[]): Promise<void> {
  for (let tries = 0; tries < 150; tries++) {
    const there = await Promise.all(urls.map((u) => caches.match(u, { ignoreVary: true, ignoreSearch: true })));
    if (there.every((r) => r !== undefined)) return;
    await new Promise((done) => setTimeout(done, 200));
  }
  throw new Error("not all of the page is kept");
}

/** Asks the worker to keep these; done when they have come to it. */
const told = (worker: ServiceWorker, urls: string[]): Promise<void> =>
  new Promise((done) => {
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = () => done();
    worker.postMessage({ type: "CACHE_URLS", payload: { urlsToCache: urls } }, [port2]);
  });

const BOOK = "lumbet-book-";

/** Under what the record of a job is kept on this phone, as the server had it last. */
export const bookKey = (jobId: string): string => BOOK + jobId;

/** Drops all that is kept of pages and pictures: the next at this device may be somebody else. */
export async function dropKept(): Promise<void> {
  if (typeof caches === "undefined") return;
  const books = (await keys()).filter((k) => String(k).startsWith(BOOK));
  await delMany(books);
  await Promise.all(["lumbet-pages", "lumbet-pictures"].map((name) => caches.delete(name)));
}
