"use client";
import { stepNames } from "../../core/job/site-entry";
import { Button } from "../kit/button";
import type { SeenEntries } from "./entries-queue";

/** What stands between a tap and the server, in words, and what to do. */
export function Troubles({
  refused,
  notTaken,
  full,
  settle,
}: Pick<SeenEntries, "refused" | "notTaken" | "full" | "settle">) {
  if (!refused.length && !notTaken && !full) return null;
  return (
    <div role="alert" className="grid gap-2 bg-panel p-3 text-stop">
      {full ? (
        <p className="font-medium">This phone&apos;s storage is full: keep this page open until all is sent.</p>
      ) : null}
      {notTaken ? <p className="font-medium">Nothing was taken: {notTaken} It stays on this phone.</p> : null}
      {refused.map((r) => (
        <p key={r.entry.id}>
          Not taken: {r.entry.step ? stepNames[r.entry.step].toLowerCase() : r.entry.kind},{" "}
          {r.entry.at.slice(0, 16).replace("T", " ")}: {r.message}.
        </p>
      ))}
      {refused.length ? (
        <p className="flex flex-wrap gap-2">
          <Button big onClick={() => settle("again")}>
            Send again
          </Button>
          <Button big onClick={() => settle("let-go")}>
            Let them go
          </Button>
        </p>
      ) : null}
    </div>
  );
}
