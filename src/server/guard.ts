/** Names under which this machine is reached by itself. */
const LOCAL = ["localhost", "127.0.0.1", "[::1]"];

/** What of a request is looked at before anything else is. */
export interface Asked {
  method: string;
  path: string;
  header: (name: string) => string | null;
}

/** Hosts this server answers to: its own machine, and those named in LUMBET_HOSTS, with commas between. */
export const allowedHosts = (named = ""): ReadonlySet<string> =>
  new Set([...LOCAL, ...named.split(",").map((h) => h.trim().toLowerCase())].filter(Boolean));

/** Host without its port, as a name. */
const nameOf = (host: string): string => host.toLowerCase().replace(/:\d+$/, "");

const CHANGES_NOTHING = new Set(["GET", "HEAD", "OPTIONS"]);

/**
 * Whether a request may come in at all: from a host that is this server's, by no other site's page, to an address that can be
 * written. Null where it may; else the status and words.
 */
export function refusalOf(asked: Asked, hosts: ReadonlySet<string>): { status: number; message: string } | null {
  for (const header of ["host", "x-forwarded-host"]) {
    const host = asked.header(header);
    if (host === null && header !== "host") continue;
    if (host === null || !hosts.has(nameOf(host)))
      return {
        status: 421,
        message: `${header}: ${host === null ? "is missing" : `${JSON.stringify(host.slice(0, 80))} is none this server answers to`}; name it in LUMBET_HOSTS if it should be`,
      };
  }
  if (/%00/.test(asked.path))
    return { status: 400, message: "address: holds the character NUL, which no name here has" };
  if (CHANGES_NOTHING.has(asked.method)) return null;
  const origin = asked.header("origin");
  const site = asked.header("sec-fetch-site");
  const foreign =
    origin === null
      ? site !== null && site !== "same-origin" && site !== "none"
      : hostOf(origin) !== asked.header("host")!.toLowerCase();
  return foreign
    ? { status: 403, message: `origin: ${JSON.stringify((origin ?? site)!.slice(0, 80))} may not change anything here` }
    : null;
}

/** Host with port of an origin; null for "null" and what is none. */
function hostOf(origin: string): string | null {
  try {
    return new URL(origin).host.toLowerCase();
  } catch {
    return null;
  }
}

/** What a page may load and run: its own, and the scripts written into it that carry this answer's number. */
export const contentPolicy = (nonce: string): string =>
  [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}'`,
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self'",
    "connect-src 'self'",
    "worker-src 'self' blob:",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join("; ");

/** Headers of every answer. */
export const safeHeaders: Readonly<Record<string, string>> = {
  "x-content-type-options": "nosniff",
  "x-frame-options": "DENY",
  "referrer-policy": "same-origin",
  "permissions-policy": "camera=(self), microphone=(), geolocation=(), payment=(), usb=()",
  "cross-origin-opener-policy": "same-origin",
  "cross-origin-resource-policy": "same-origin",
};

/** The answer to a request that may not come in; null where it may. */
export function refusedBy(request: Request): Response | null {
  const refused = refusalOf(
    { method: request.method, path: addressOf(request), header: (name) => request.headers.get(name) },
    allowedHosts(process.env.LUMBET_HOSTS),
  );
  return refused
    ? Response.json(
        { error: { code: "refused", message: refused.message, path: refused.message.split(":")[0] } },
        { status: refused.status, headers: safeHeaders },
      )
    : null;
}

/** Path and question of a request, as they were written. */
const addressOf = (request: Request): string => {
  const { pathname, search } = new URL(request.url);
  return pathname + search;
};
