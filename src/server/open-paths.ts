/** Addresses that open without being signed in: where people sign in, and what stands beside it. */
const OPEN = ["/sign-in", "/join", "/sheets", "/certificate", "/icon.svg", "/manifest.webmanifest", "/icons", "/sw.js"];

export const isOpen = (path: string): boolean => OPEN.some((o) => path === o || path.startsWith(`${o}/`));

/** Where to sign in, and come back to afterwards. */
export const toSignIn = (to: string): string => (to === "/" ? "/sign-in" : `/sign-in?to=${encodeURIComponent(to)}`);

/** An address of this server's own to go on to; anything else is the start. */
export const ownPath = (to: unknown): string =>
  typeof to === "string" && /^\/(?![/\\])[^\0\r\n]*$/.test(to) && !isOpen(to.split("?")[0]!) ? to : "/";
