"use client";
import { Sheet } from "./dialog";

/** What is wrong with a file that was not taken. */
export interface FileRefusals {
  file: string;
  list: readonly { path: string; message: string }[];
}

/** Says that a file was not taken and why; nothing has been changed by it. `what` is what it was meant to be, such as "file". */
export function RefusalsSheet({
  what,
  refusals,
  onClose,
}: {
  what: string;
  refusals: FileRefusals | null;
  onClose: () => void;
}) {
  return (
    <Sheet
      open={refusals !== null}
      onOpenChange={(o) => !o && onClose()}
      title={`The ${what} was not taken`}
      about={`${refusals?.file ?? ""}: nothing has been changed. This is what is wrong with it.`}
    >
      <ul className="list-disc pl-5" data-refusals>
        {refusals?.list.slice(0, 15).map((r, i) => (
          <li key={i}>
            {r.path ? <span className="num">{r.path}: </span> : null}
            {r.message}
          </li>
        ))}
      </ul>
    </Sheet>
  );
}
