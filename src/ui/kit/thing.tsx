"use client";
import { Trash2 } from "lucide-react";
import type { ReactNode } from "react";
import { Button } from "./button";

/** One thing of a list that opens to its fields, and can be removed. `open`: it has just been made. */
export function Thing({
  summary,
  open = false,
  onRemove,
  children,
}: {
  summary: ReactNode;
  open?: boolean;
  onRemove: () => void;
  children: ReactNode;
}) {
  return (
    <details className="border border-line px-2 py-1" open={open || undefined}>
      <summary className="cursor-pointer truncate text-[13.5px]">{summary}</summary>
      <div className="grid gap-1 pt-1">
        {children}
        <Button look="quiet" icon={<Trash2 size={14} />} onClick={onRemove}>
          Remove
        </Button>
      </div>
    </details>
  );
}
