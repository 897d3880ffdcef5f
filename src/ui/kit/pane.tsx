"use client";
import type { ReactNode } from "react";
import { ErrorBoundary, type FallbackProps } from "react-error-boundary";
import { Button } from "./button";

/** A part of the screen that may fail on its own: the rest stands, it says what happened and offers to try again. */
export function Pane({ name, of, children }: { name: string; of?: unknown; children: ReactNode }) {
  return (
    <ErrorBoundary
      resetKeys={[of]}
      fallbackRender={(p) => <Fallen name={name} {...p} />}
      onError={(e) => console.error(`${name} failed`, e)}
    >
      {children}
    </ErrorBoundary>
  );
}

function Fallen({ name, error, resetErrorBoundary }: FallbackProps & { name: string }) {
  const why = error instanceof Error ? error.message : String(error);
  return (
    <div role="alert" className="m-2 grid content-start gap-2 border-2 border-stop bg-panel p-3" data-fallen={name}>
      <p className="font-medium text-stop">{name} could not be shown.</p>
      <p className="text-[13.5px] text-soft">
        Your job is not touched by this and the rest of the screen goes on working. The fault said: {why}
      </p>
      <div>
        <Button onClick={resetErrorBoundary}>Try again</Button>
      </div>
    </div>
  );
}
