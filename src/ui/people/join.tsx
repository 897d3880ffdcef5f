"use client";
import { useState } from "react";
import type { Told } from "../job/actions";
import { Button } from "../kit/button";
import { FaultLine } from "../kit/fault-line";

/** A device that was invited: it enters when its person says so, so that a link merely looked at is not used up. */
export function Join({ token, enter }: { token: string; enter: (token: string) => Promise<Told> }) {
  const [fault, setFault] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const go = async (): Promise<void> => {
    setBusy(true);
    try {
      const told = await enter(token);
      if (told.ok) return window.location.assign("/");
      setFault(told.message);
    } catch {
      setFault("The server did not answer. Try again when there is a signal.");
    }
    setBusy(false);
  };
  return (
    <main className="mx-auto grid min-h-dvh max-w-sm content-center gap-4 p-4">
      <h1 className="text-3xl">This device is invited</h1>
      <p className="text-soft">
        It stays signed in until you sign it out, or the owner does. Do this on your own device only.
      </p>
      <FaultLine big fault={fault} />
      <Button look="solid" big data-do disabled={busy || fault !== null} onClick={() => void go()}>
        Sign this device in
      </Button>
    </main>
  );
}
