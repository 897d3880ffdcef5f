"use client";
import { useEffect } from "react";
import { takeReading } from "../instruments/laser";
import { useDesk } from "../job/store";
import { commands } from "./commands";
import { isLetter, letterKeysOn } from "./letter-keys";

const typing = (t: EventTarget | null): boolean =>
  t instanceof HTMLElement && (t.matches("input, select, textarea") || t.isContentEditable);

/** Keys for everything; a number typed while something is held goes to its distance. */
export function useKeys(): void {
  useEffect(() => {
    const down = (e: KeyboardEvent): void => {
      if (e.key === "F9") {
        // The one key that works while typing: the reading goes into the field.
        e.preventDefault();
        void takeReading();
        return;
      }
      // Undo inside a field belongs to the field.
      if (typing(e.target)) return;
      if (useDesk.getState().find || document.querySelector("[role=dialog]")) return;
      if (isLetter(e) && !letterKeysOn()) return;
      if (/^[0-9]$/.test(e.key) && !e.ctrlKey && !e.metaKey && !e.altKey) {
        const s = useDesk.getState().selection;
        const field = document.querySelector<HTMLInputElement>(
          s?.kind === "point"
            ? '[data-field="u"], [data-field="x"]'
            : s?.kind === "run"
              ? '[data-field="leg"]'
              : "[data-none]",
        );
        if (field) {
          // The digit itself lands in the field, in place of the selected text.
          field.focus();
          field.select();
        }
        return;
      }
      const c = commands.find((x) => x.on(e));
      if (!c) return;
      e.preventDefault();
      c.run();
    };
    window.addEventListener("keydown", down);
    return () => window.removeEventListener("keydown", down);
  }, []);
}
