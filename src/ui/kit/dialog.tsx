"use client";
import { X } from "lucide-react";
import { Dialog as D } from "radix-ui";
import type { ReactNode } from "react";

/** A plain sheet over the page, with a title, words, and a way out. */
export function Sheet({
  open,
  onOpenChange,
  title,
  about,
  children,
  wide,
  keep,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  title: string;
  about?: string;
  children: ReactNode;
  wide?: boolean;
  keep?: boolean;
}) {
  return (
    <D.Root open={open} onOpenChange={onOpenChange}>
      <D.Portal>
        <D.Overlay className="fixed inset-0 z-40 bg-black/45" />
        <D.Content
          className={`fixed top-1/2 left-1/2 z-50 max-h-[88vh] w-[calc(100vw-2rem)] ${wide ? "max-w-3xl" : "max-w-lg"} -translate-x-1/2 -translate-y-1/2 overflow-auto border border-ink bg-panel p-4`}
          {...(about ? {} : { "aria-describedby": undefined })}
          onOpenAutoFocus={(e) => {
            // One starts where one types, not on the way out.
            const content = e.currentTarget as HTMLElement;
            const first = content.querySelector<HTMLElement>(
              "input:not([type=hidden]):not([disabled]), select:not([disabled]), textarea:not([disabled])",
            );
            const start = first ?? content.querySelector<HTMLElement>("[data-do]");
            if (!start) return;
            e.preventDefault();
            start.focus();
            if (start instanceof HTMLInputElement) start.select();
          }}
          onKeyDown={(e) => {
            // Where one line is all there is to answer, Enter does what the dialog is for, once the line has taken it.
            if (e.key !== "Enter" || e.defaultPrevented || !(e.target instanceof HTMLInputElement)) return;
            const content = e.currentTarget;
            const asked = content.querySelectorAll("input:not([type=hidden]):not([type=file]), select, textarea");
            if (e.target.form || asked.length !== 1 || asked[0] !== e.target) return;
            setTimeout(() => content.querySelector<HTMLButtonElement>("[data-do]:not([disabled])")?.click());
          }}
          onInteractOutside={(e) => keep && e.preventDefault()}
          onEscapeKeyDown={(e) => keep && e.preventDefault()}
        >
          <div className="mb-2 flex items-start justify-between gap-3">
            <D.Title className="text-xl">{title}</D.Title>
            {keep ? null : (
              <D.Close
                className="inline-flex size-8 shrink-0 cursor-pointer items-center justify-center border border-transparent hover:border-line"
                aria-label="Close"
              >
                <X size={18} />
              </D.Close>
            )}
          </div>
          {about ? <D.Description className="mb-3 text-soft">{about}</D.Description> : null}
          {children}
        </D.Content>
      </D.Portal>
    </D.Root>
  );
}
