"use client";

/** Whether a request failed because nobody is signed in here any more, and not for want of a signal. */
export async function signedOut(): Promise<boolean> {
  try {
    return (await fetch("/api/me", { cache: "no-store", redirect: "manual" })).status === 401;
  } catch {
    return false;
  }
}

/** Said where work waits for somebody to sign in: in another window, so that this page stays as it is. */
export function SignInAgain() {
  return (
    <p
      role="alert"
      className="no-print flex flex-wrap items-center gap-x-3 border-b-2 border-stop bg-panel px-3 py-2"
      data-signed-out
    >
      <strong className="text-stop">Signed out.</strong> What you do is kept on this device and sent when you are signed
      in again.
      <a
        className="inline-flex min-h-10 items-center font-semibold underline"
        href="/sign-in"
        target="_blank"
        rel="noreferrer"
      >
        Sign in again
      </a>
    </p>
  );
}
