"use client";
import type { ReactNode } from "react";
import { Button } from "./button";

/** Foot of a dialog: why it was refused, a way out, and the one thing it does. */
export function DialogFoot({
  fault,
  onLeave,
  onDo,
  icon,
  children,
}: {
  fault: string | null;
  onLeave: () => void;
  onDo: () => void;
  icon?: ReactNode;
  children: ReactNode;
}) {
  return (
    <>
      {fault ? (
        <p role="alert" className="font-medium text-stop">
          {fault}
        </p>
      ) : null}
      <div className="mt-1 flex justify-end gap-2">
        <Button onClick={onLeave}>Cancel</Button>
        <Button look="solid" icon={icon} onClick={onDo} data-do>
          {children}
        </Button>
      </div>
    </>
  );
}
