"use client";
import { type ReactNode, useRef } from "react";
import { Button } from "./button";

/** A button that asks for a file. `mark` names its input for tests; the same file can be given twice. */
export function FileButton({
  mark,
  label,
  accept,
  camera = false,
  big = false,
  icon,
  onFile,
  children,
}: {
  mark: string;
  /** Name of the input for those who cannot see the button. */
  label?: string;
  accept: string;
  camera?: boolean;
  big?: boolean;
  icon: ReactNode;
  onFile: (f: File) => void;
  children: ReactNode;
}) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <input
        ref={input}
        type="file"
        accept={accept}
        capture={camera ? "environment" : undefined}
        className="sr-only"
        tabIndex={-1}
        aria-label={label ?? "File"}
        data-file={mark}
        onChange={(e) => {
          const f = e.target.files?.[0];
          e.target.value = "";
          if (f) onFile(f);
        }}
      />
      <Button
        icon={icon}
        big={big}
        className={big ? "min-h-16 whitespace-normal!" : ""}
        onClick={() => input.current?.click()}
      >
        {children}
      </Button>
    </>
  );
}
