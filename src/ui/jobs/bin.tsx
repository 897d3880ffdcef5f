"use client";
import { RotateCcw, Trash2 } from "lucide-react";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { toast } from "sonner";
import type { JobsActions, Told } from "../job/actions";
import { Button } from "../kit/button";
import { Sheet } from "../kit/dialog";

/** A job in the bin; `deletedAt` ISO 8601, UTC. */
export interface BinLine {
  id: string;
  name: string;
  address: string;
  deletedAt: string;
}

/** What was deleted: it stays, with its date, until it is put back or cleared for good. */
export function Bin({ bin, actions }: { bin: readonly BinLine[]; actions: Pick<JobsActions, "restore" | "clear"> }) {
  const router = useRouter();
  const [asked, setAsked] = useState<BinLine | null>(null);
  if (!bin.length) return null;
  const act = (what: Promise<Told>, done: string, j: BinLine): void =>
    void what.then(
      (told) => {
        if (told.ok) toast(`${j.name} ${done}`);
        else toast.error(told.message);
        router.refresh();
      },
      () => void toast.error("The server did not answer. Nothing has changed; try again when it is running."),
    );
  return (
    <details className="mt-6 border-t border-line pt-3" data-bin>
      <summary className="cursor-pointer py-1 font-cond text-lg font-semibold">Bin · {bin.length}</summary>
      <p className="text-[14px] text-soft">
        Deleted jobs stay here with all that belongs to them until they are cleared.
      </p>
      <ul className="mt-2">
        {bin.map((j) => (
          <li key={j.id} className="flex flex-wrap items-center gap-3 border-b border-dotted border-line py-2">
            <span className="min-w-0 flex-1 basis-56">
              <span className="font-cond text-[17px] font-semibold">{j.name}</span>
              <span className="block text-[13.5px] text-soft">
                deleted <time dateTime={j.deletedAt}>{j.deletedAt.slice(0, 16).replace("T", " ")}</time>
              </span>
            </span>
            <Button
              icon={<RotateCcw size={14} />}
              aria-label={`Put ${j.name} back`}
              onClick={() => act(actions.restore(j.id), "is back on the list", j)}
            >
              Put back
            </Button>
            <Button icon={<Trash2 size={14} />} aria-label={`Clear ${j.name} for good`} onClick={() => setAsked(j)}>
              Clear for good
            </Button>
          </li>
        ))}
      </ul>
      <Sheet
        open={asked !== null}
        onOpenChange={(o) => !o && setAsked(null)}
        title={`Clear ${asked?.name ?? ""} for good?`}
        about="Its rooms, runs, pictures and its whole record go with it. There is no way back but a backup."
      >
        <div className="flex flex-wrap justify-end gap-2">
          <Button
            look="danger"
            onClick={() => {
              if (asked) act(actions.clear(asked.id), "has been cleared for good", asked);
              setAsked(null);
            }}
          >
            Clear it for good
          </Button>
          <Button look="solid" data-do onClick={() => setAsked(null)}>
            Leave it in the bin
          </Button>
        </div>
      </Sheet>
    </details>
  );
}
