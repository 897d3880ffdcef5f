"use client";
import { useSyncExternalStore } from "react";
import { THEME_KEY as KEY } from "./theme-script";

const listeners = new Set<() => void>();

const read = (): "light" | "dark" => (document.documentElement.dataset.theme === "dark" ? "dark" : "light");

/** The theme and a way to turn it over; kept on this device. */
export function useTheme(): ["light" | "dark", () => void] {
  const theme = useSyncExternalStore<"light" | "dark">(
    (f) => {
      listeners.add(f);
      return () => listeners.delete(f);
    },
    read,
    () => "light",
  );
  return [
    theme,
    () => {
      const next = read() === "dark" ? "light" : "dark";
      document.documentElement.dataset.theme = next;
      localStorage.setItem(KEY, next);
      listeners.forEach((f) => f());
    },
  ];
}
