"use client";
import { type ReactNode, useRef } from "react";
import { Button } from "./button";

/** A button that asks for a file. `mark` names its input for tests; the same file can be given twice. */
export function FileButton({
  mark,
  accept,
  camera = false,
  icon,
  onFile,
  children,
}: {
  mark: string;
  accept: string;
  camera?: boolean;
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
        className="hidden"
        data-file={mark}
        onChange={(e) => {
          const f = e.target.files?.[0];
          e.target.value = "";
          if (f) onFile(f);
        }}
      />
      <Button icon={icon} onClick={() => input.current?.click()}>
        {children}
      </Button>
    </>
  );
}
