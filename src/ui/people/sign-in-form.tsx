"use client";
import { type FormEvent, useId, useState } from "react";
import { Button } from "../kit/button";
import { FaultLine } from "../kit/fault-line";
import type { SignInActions } from "./actions";

const box = "min-h-12 w-full border border-line bg-field px-3 text-[17px] text-ink";

/** Name and passphrase; the first time, with the code of the server's console, of who is to be the owner. */
export function SignInForm({
  first,
  code,
  to,
  actions,
}: {
  first: boolean;
  code: string;
  to: string;
  actions: SignInActions;
}) {
  const id = useId();
  const [fault, setFault] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const send = async (e: FormEvent<HTMLFormElement>): Promise<void> => {
    e.preventDefault();
    const data = new FormData(e.currentTarget);
    const text = (name: string): string => String(data.get(name) ?? "");
    setBusy(true);
    setFault(null);
    try {
      const told = first
        ? await actions.beFirstOwner(text("code"), text("name"), text("passphrase"))
        : await actions.signIn(text("name"), text("passphrase"));
      if (told.ok) return window.location.assign(to);
      setFault(told.message);
    } catch {
      setFault("The server did not answer. Try again when it is running.");
    }
    setBusy(false);
  };
  const field = (name: string, label: string, more: object) => (
    <label className="grid gap-1" htmlFor={`${id}-${name}`}>
      <span className="text-soft">{label}</span>
      <input
        id={`${id}-${name}`}
        name={name}
        required
        className={box}
        aria-describedby={fault ? `${id}-fault` : undefined}
        {...more}
      />
    </label>
  );
  return (
    <main className="mx-auto grid min-h-dvh max-w-sm content-center gap-4 p-4">
      <h1 className="text-3xl">{first ? "Who runs this Lumbet?" : "Sign in to Lumbet"}</h1>
      <p className="text-soft">
        {first
          ? "Nobody is here yet. The owner adds all others, and sees to backups. The code stands in the window where the server was started."
          : "This server can be reached by others, so it asks who you are. The owner gives you a name and a passphrase, or invites this device."}
      </p>
      <form className="grid gap-3" onSubmit={(e) => void send(e)}>
        {first
          ? field("code", "Code", { defaultValue: code, autoComplete: "off", spellCheck: false, autoFocus: !code })
          : null}
        {field("name", "Name", { autoComplete: "username", maxLength: 60, autoFocus: !first || code !== "" })}
        {field("passphrase", first ? "Passphrase, 10 characters or more: four words are good" : "Passphrase", {
          type: "password",
          maxLength: 200,
          autoComplete: first ? "new-password" : "current-password",
        })}
        <FaultLine id={`${id}-fault`} big fault={fault} />
        <Button look="solid" big disabled={busy} type="submit">
          {first ? "Be the owner" : "Sign in"}
        </Button>
      </form>
      <p className="text-[14px] text-soft">
        Does the browser warn of the certificate?{" "}
        <a className="underline" href="/certificate">
          Trust this server&apos;s own certificate
        </a>{" "}
        once and it is silent.
      </p>
    </main>
  );
}
