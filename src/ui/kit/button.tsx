"use client";
import clsx from "clsx";
import type { ComponentProps, ReactNode } from "react";

type Props = ComponentProps<"button"> & {
  look?: "plain" | "solid" | "quiet" | "danger";
  hint?: string;
  icon?: ReactNode;
  big?: boolean;
};

/** How a button looks; also for a link that does what a button does. */
export const buttonLook = ({ look = "plain", big = false }: Pick<Props, "look" | "big">): string =>
  clsx(
    "inline-flex items-center justify-center gap-1.5 border font-cond font-semibold whitespace-nowrap disabled:opacity-50 disabled:cursor-not-allowed cursor-pointer",
    big ? "min-h-12 px-4 text-lg" : "min-h-8 px-2.5 text-[14px]",
    look === "plain" && "bg-panel border-line hover:border-ink",
    look === "solid" && "bg-accent text-onaccent border-accent hover:brightness-110",
    look === "quiet" && "bg-transparent border-transparent hover:border-line",
    look === "danger" && "bg-panel border-stop text-stop hover:bg-stop hover:text-panel",
  );

/** A flat, square button; `hint` shows the key that does the same. */
export function Button({ look = "plain", hint, icon, big = false, className, children, ...rest }: Props) {
  return (
    <button type="button" {...rest} className={clsx(buttonLook({ look, big }), className)}>
      {icon}
      {children}
      {hint ? (
        <kbd className="ml-0.5 border border-current/40 px-1 font-mono text-[11px] font-normal opacity-80">{hint}</kbd>
      ) : null}
    </button>
  );
}
