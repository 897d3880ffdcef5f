/// <reference lib="webworker" />
import { CacheFirst, CacheableResponsePlugin, ExpirationPlugin, NetworkFirst, NetworkOnly, Serwist } from "serwist";

/**
 * Keeps on the phone what has been opened on site, so that it opens again without a signal, also after the phone was off: pages as
 * they last came from the server, programs, fonts and pictures. What was done on site waits elsewhere and is not this worker's.
 */
const good = new CacheableResponsePlugin({ statuses: [200] });

/**
 * A program for a worker of the page is handed on without the address it was first fetched by: what follows the # in it tells
 * the worker what it is, and one kept copy serves several kinds.
 */
const ownAddress = {
  handlerWillRespond: async ({ request, response }: { request: Request; response: Response }): Promise<Response> =>
    request.destination === "worker"
      ? new Response(response.body, { status: response.status, headers: response.headers })
      : response,
};

/** Pages that are for the site: a job carried out, and its steps. */
const forSite = (path: string): boolean => /^\/jobs\/[^/]+\/site$/.test(path) || path === "/steps";

const worker = new Serwist({
  skipWaiting: true,
  clientsClaim: true,
  runtimeCaching: [
    {
      // Named by their content: what is kept under a name never changes.
      matcher: ({ url, sameOrigin }) => sameOrigin && /^\/(_next\/static|icons)\//.test(url.pathname),
      handler: new CacheFirst({
        cacheName: "lumbet-programs",
        matchOptions: { ignoreVary: true },
        plugins: [
          good,
          ownAddress,
          new ExpirationPlugin({ maxEntries: 600, maxAgeSeconds: 90 * 86_400, purgeOnQuotaError: true }),
        ],
      }),
    },
    {
      matcher: ({ url, sameOrigin }) => sameOrigin && /^\/api\/jobs\/[^/]+\/pictures\/[^/]+$/.test(url.pathname),
      handler: new CacheFirst({
        cacheName: "lumbet-pictures",
        matchOptions: { ignoreVary: true },
        plugins: [good, new ExpirationPlugin({ maxEntries: 1000, purgeOnQuotaError: true })],
      }),
    },
    {
      matcher: ({ request, url, sameOrigin }) =>
        sameOrigin && request.method === "GET" && request.headers.get("rsc") === null && forSite(url.pathname),
      handler: new NetworkFirst({
        cacheName: "lumbet-pages",
        // Where the signal is poor one does not stand and wait for it.
        networkTimeoutSeconds: 4,
        matchOptions: { ignoreVary: true },
        plugins: [
          good,
          // One page for a job, whichever run of it is open.
          {
            cacheKeyWillBeUsed: async ({ request }) => {
              const url = new URL(request.url);
              return url.pathname.endsWith("/site") ? url.origin + url.pathname : request;
            },
          },
          new ExpirationPlugin({ maxEntries: 400, purgeOnQuotaError: true }),
        ],
      }),
    },
    { matcher: ({ request }) => request.mode === "navigate", handler: new NetworkOnly() },
  ],
});
/** What is said where a page was never opened here with a signal. */
const noSignal = `<!doctype html><html lang="en-GB"><meta charset="utf-8"><meta name="viewport" content="width=device-width">
<title>No signal</title><body style="font:18px/1.4 sans-serif;margin:2rem;max-width:32rem">
<h1>No signal, or the server is not running</h1>
<p>This page has not been opened on this device before, so it is not kept here. A job's site page opens without a signal once it has
been opened with one.</p></body></html>`;
worker.setCatchHandler(async ({ request }) =>
  request.mode === "navigate"
    ? new Response(noSignal, { status: 503, headers: { "content-type": "text/html; charset=utf-8" } })
    : Response.error(),
);
worker.addEventListeners();
