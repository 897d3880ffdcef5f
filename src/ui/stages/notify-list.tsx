"use client";
import { useMemo } from "react";
import { notifiable } from "../../core/plan/notify";
import { notifyRules } from "../../core/rules/notify";
import { NOTIFY_CAUTION, notifyWords } from "../../core/words/notify";
import { useDesk } from "../job/store";

/** Which parts of the job are notifiable where it stands, and why. */
export function NotifyList() {
  const house = useDesk((s) => s.house);
  const lines = useMemo(() => notifiable(house), [house]);
  const { job } = house;
  const name = (kind: string, id: string): string =>
    kind === "circuit"
      ? (job.circuits.find((c) => c.id === id)?.label ?? id)
      : (job.points.find((p) => p.id === id)?.label ?? id);
  const source = notifyRules[job.dwelling.country]?.source;
  return (
    <section aria-label="Notification" data-notify>
      <h3 className="mt-4 text-lg">Notification</h3>
      {lines.length ? null : (
        <p className="text-[13.5px] text-soft">Nothing new is planned yet, so nothing is notifiable.</p>
      )}
      <ul className="text-[13.5px]">
        {lines.map((l) => (
          <li key={`${l.kind} ${l.id}`} className="border-b border-dotted border-line py-0.5">
            <span aria-hidden className="inline-block w-5">
              {l.notify === null ? "?" : l.notify ? "●" : "○"}
            </span>
            {notifyWords(l, name(l.kind, l.id))}
          </li>
        ))}
      </ul>
      <p className="mt-1 max-w-[80ch] text-[13px] text-soft">
        {source ? `By ${source}. ` : ""}
        {NOTIFY_CAUTION}
      </p>
    </section>
  );
}
