import { parseSetCookieHeader } from "better-auth/cookies";

/** Where cookies of an answer are put: Next's own store. */
interface Store {
  set: (
    name: string,
    value: string,
    options: {
      maxAge?: number;
      path?: string;
      httpOnly?: boolean;
      secure?: boolean;
      sameSite?: "lax" | "strict" | "none";
    },
  ) => unknown;
}

/** Puts cookies, as the library writes them in headers, into the answer that is being made. */
export function keepCookies(store: Store, headers: readonly string[]): void {
  for (const header of headers)
    for (const [name, c] of parseSetCookieHeader(header))
      store.set(name, decodeURIComponent(c.value), {
        path: "/",
        httpOnly: true,
        sameSite: "lax",
        secure: c.secure ?? false,
        ...(c["max-age"] === undefined ? {} : { maxAge: Number(c["max-age"]) }),
      });
}
