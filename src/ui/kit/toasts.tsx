"use client";
import { Toaster } from "sonner";

/** Short messages at the foot of the page. */
export function Toasts() {
  return (
    <Toaster
      position="bottom-center"
      toastOptions={{
        style: {
          borderRadius: 0,
          background: "var(--ink)",
          color: "var(--panel)",
          border: "1px solid var(--ink)",
          fontFamily: "var(--font-sans)",
          fontSize: 14,
        },
        actionButtonStyle: { borderRadius: 0, background: "var(--panel)", color: "var(--ink)" },
      }}
    />
  );
}
