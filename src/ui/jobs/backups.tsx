"use client";
import { Archive, RotateCcw } from "lucide-react";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { toast } from "sonner";
import { count } from "../../core/base/figures";
import { FileButton } from "../kit/file-button";

/** How backups stand. `newest`: day (ISO 8601) and bytes; `failed`: why the last try failed. */
export interface BackupsState {
  newest: { day: string; bytes: number } | null;
  count: number;
  /** How many days are kept. */
  days: number;
  failed: string | null;
}
/** What putting one back answers. */
interface Restored {
  at: string;
  back: number;
  same: number;
  beside: string[];
}

const size = (bytes: number): string =>
  bytes < 1e6 ? `${Math.ceil(bytes / 1000)} kB` : `${(bytes / 1e6).toFixed(1)} MB`;

const told = (r: Restored): string =>
  [
    r.back ? `${count(r.back, "job")} put back` : "",
    r.same ? `${r.same} stood as they are` : "",
    r.beside.length ? `${r.beside.length} put beside what has changed since: ${r.beside.slice(0, 3).join(", ")}` : "",
  ]
    .filter(Boolean)
    .join("; ") || "there was no job in it";

/** Sends an archive to be put back; what came of it in words, or why it was not. Throws where nothing answers. */
export async function putBack(f: File): Promise<{ words: string } | { fault: string }> {
  const answer = await fetch("/api/backup", { method: "POST", body: f });
  const body = (await answer.json()) as Restored & { error?: { message: string } };
  return answer.ok
    ? { words: told(body) }
    : { fault: body.error?.message ?? "The server could not read it. Nothing has changed." };
}

/** All jobs as one file, out and back in; and the one that is kept of every day. */
export function Backups({ newest, count: kept, days, failed }: BackupsState) {
  const router = useRouter();
  const [busy, setBusy] = useState(false);
  const [fault, setFault] = useState<string | null>(null);
  const bringBack = async (f: File): Promise<void> => {
    setBusy(true);
    setFault(null);
    try {
      const answer = await putBack(f);
      if ("words" in answer) toast("Backup put back", { description: answer.words, duration: 15_000 });
      else setFault(answer.fault);
      router.refresh();
    } catch {
      setFault("The server did not answer to its end. Look at the list, and try again when it is running.");
    }
    setBusy(false);
  };
  return (
    <section aria-label="Backup" className="mt-6 border-t border-line pt-3" data-backups>
      <h2 className="text-lg">Backup</h2>
      <p className="text-[14px] text-soft">
        {newest
          ? `Kept on this machine: ${count(kept, "day")}, the last of ${newest.day}, ${size(newest.bytes)}, read again after writing.`
          : `The first is written a minute after the start; then one a day, the last ${days} are kept.`}{" "}
        Keep one on another machine too.
      </p>
      {failed ? (
        <p role="alert" className="font-medium text-stop">
          The last one failed, {failed}
        </p>
      ) : null}
      <div className="mt-2 flex flex-wrap gap-1.5">
        <a
          className="inline-flex min-h-8 items-center gap-1.5 border border-line bg-panel px-2.5 font-cond text-[14px] font-semibold hover:border-ink"
          href="/api/backup"
          download
        >
          <Archive size={14} aria-hidden /> All jobs as one file
        </a>
        <FileButton
          mark="restore"
          label="Backup"
          accept=".gz,application/gzip"
          icon={<RotateCcw size={14} />}
          onFile={(f) => void bringBack(f)}
        >
          {busy ? "Putting back" : "Put a backup back"}
        </FileButton>
      </div>
      {fault ? (
        <p role="alert" className="mt-2 font-medium text-stop">
          {fault}
        </p>
      ) : null}
    </section>
  );
}
